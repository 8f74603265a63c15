import type { ClientId, CoachId } from '#core/base'
import type { ChangeKind } from '#core/words'
import {
  bigserial,
  boolean,
  foreignKey,
  index,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core'
import { clients } from './clients'
import { coaches } from './coaches'

/** A row as PostgreSQL writes it in JSON. */
export type RowImage = Readonly<Record<string, unknown>>

/** What a coach did in one go, newest last: of a client, or of the whole studio where no client is named. */
export const changes = pgTable(
  'changes',
  {
    coachId: uuid('coach_id')
      .$type<CoachId>()
      .notNull()
      .references(() => coaches.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    seq: bigserial('seq', { mode: 'number' }).notNull(),
    clientId: uuid('client_id').$type<ClientId>(),
    kind: text('kind').$type<ChangeKind>().notNull(),
    /** What exactly, where whoever did it could say. */
    why: text('why').notNull().default(''),
    by: text('by').notNull(),
    at: timestamp('at', { withTimezone: true }).notNull(),
    /** When it was taken back; null while it holds. */
    undoneAt: timestamp('undone_at', { withTimezone: true }),
    /** Something else was done after it was taken back: it cannot be done again. */
    isPast: boolean('is_past').notNull().default(false),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('changes_by_client').on(table.coachId, table.clientId, table.seq),
  ],
)

/** The rows a change touched, before and after; written by triggers, so that no writer can forget. */
export const rowChanges = pgTable(
  'row_changes',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    changeId: uuid('change_id').notNull(),
    seq: bigserial('seq', { mode: 'number' }).notNull(),
    inTable: text('in_table').notNull(),
    before: jsonb('before').$type<RowImage>(),
    after: jsonb('after').$type<RowImage>(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.seq] }),
    foreignKey({
      columns: [table.coachId, table.changeId],
      foreignColumns: [changes.coachId, changes.id],
    }).onDelete('cascade'),
    index('row_changes_by_change').on(table.coachId, table.changeId, table.seq),
  ],
)
