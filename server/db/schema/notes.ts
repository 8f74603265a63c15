import type { ClientId, CoachId, PlainDate } from '#core/base'
import type { GoalMeasure } from '#shared/contracts/notes'
import {
  date,
  foreignKey,
  index,
  jsonb,
  pgTable,
  primaryKey,
  real,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core'
import { clients } from './clients'

const ofClient = {
  coachId: uuid('coach_id').$type<CoachId>().notNull(),
  id: uuid('id').notNull(),
  clientId: uuid('client_id').$type<ClientId>().notNull(),
}

/** What a coach writes down about a client on a day, or about one of her sessions. Clients never see it. */
export const notes = pgTable(
  'notes',
  {
    ...ofClient,
    /** The session it is about; what it was called and when it was is found by it. */
    sessionId: uuid('session_id'),
    on: date('on', { mode: 'string' }).$type<PlainDate>().notNull(),
    text: text('text').notNull(),
    writtenAt: timestamp('written_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('notes_by_client').on(table.coachId, table.clientId, table.on),
  ],
)

/** What a client wants to reach: in words, by a measure, until a day. */
export const goals = pgTable(
  'goals',
  {
    ...ofClient,
    words: text('words').notNull(),
    measure: jsonb('measure').$type<GoalMeasure>().notNull(),
    target: real('target').notNull(),
    since: date('since', { mode: 'string' }).$type<PlainDate>().notNull(),
    by: date('by', { mode: 'string' }).$type<PlainDate>().notNull(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('goals_by_client').on(table.coachId, table.clientId, table.by),
  ],
)
