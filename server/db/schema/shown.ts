import type { BlockId, ClientId, CoachId } from '#core/base'
import {
  boolean,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core'
import { clients } from './clients'

export const SHOWN_KINDS = ['plan', 'rotation', 'report', 'calendar'] as const

/** Addresses at which somebody without an account looks at something. The address is told once: only its hash is kept. */
export const shownLinks = pgTable(
  'shown_links',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    kind: text('kind').$type<(typeof SHOWN_KINDS)[number]>().notNull(),
    blockId: uuid('block_id').$type<BlockId>(),
    /** The rotation, from 0, where only one is shown. */
    pass: integer('pass'),
    /** Whether pain and measurements are shown, too. */
    withHealth: boolean('with_health').notNull(),
    tokenHash: text('token_hash').notNull().unique(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
    expiresAt: timestamp('expires_at', { withTimezone: true }),
    seenAt: timestamp('seen_at', { withTimezone: true }),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('shown_links_by_client').on(table.coachId, table.clientId),
  ],
)
