import type { BlockId, ClientId, CoachId, PlainDate } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { sql } from 'drizzle-orm'
import {
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core'
import { clients } from './clients'

/** Training blocks. The plan is one document, saved whole under a version that only grows. */
export const blocks = pgTable(
  'blocks',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').$type<BlockId>().notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    version: integer('version').notNull(),
    plan: jsonb('plan').$type<PlanDocument>().notNull(),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
    /** The plan's first day, `2026-11-28`; a trigger keeps it, so that a client's blocks are told apart without reading plans. */
    startsOn: text('starts_on')
      .$type<PlainDate>()
      .notNull()
      .default(sql`''`),
    /** Kept from files and times in which a block was closed by hand; which block runs is told by its dates. */
    closedAt: timestamp('closed_at', { withTimezone: true }),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('blocks_by_client').on(table.coachId, table.clientId, table.startsOn),
  ],
)

/** Every accepted save, so that nothing a coach has planned is ever lost. */
export const blockRevisions = pgTable(
  'block_revisions',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    blockId: uuid('block_id').$type<BlockId>().notNull(),
    version: integer('version').notNull(),
    plan: jsonb('plan').$type<PlanDocument>().notNull(),
    /** What the coach calls this save, so that she finds it again. */
    name: text('name'),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.blockId, table.version] }),
    foreignKey({
      columns: [table.coachId, table.blockId],
      foreignColumns: [blocks.coachId, blocks.id],
    }).onDelete('cascade'),
  ],
)
