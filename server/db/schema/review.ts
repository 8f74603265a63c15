import type { BlockId, ClientId, CoachId } from '#core/base'
import type { Adjustment } from '#core/follow/review'
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
import { blocks } from './blocks'

/** What the coach decided about a proposal, with the figures it was made from: who decided what, when, and which plan came of it. */
export const decisions = pgTable(
  'decisions',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    blockId: uuid('block_id').$type<BlockId>().notNull(),
    /** The rotation that was reviewed, from 0. */
    pass: integer('pass').notNull(),
    /** Tells one proposal from another within a block. */
    key: text('key').notNull(),
    proposal: jsonb('proposal').$type<Adjustment>().notNull(),
    decision: text('decision').$type<'taken' | 'refused'>().notNull(),
    reason: text('reason').notNull().default(''),
    /** Version of the plan that holds it; null for what was refused. */
    version: integer('version'),
    decidedBy: text('decided_by').notNull(),
    decidedAt: timestamp('decided_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.blockId],
      foreignColumns: [blocks.coachId, blocks.id],
    }).onDelete('cascade'),
    index('decisions_by_block').on(table.coachId, table.blockId, table.decidedAt),
  ],
)
