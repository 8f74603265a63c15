import type { ClientId, CoachId } from '#core/base'
import type { ClientFacts } from '#core/method'
import type { Profile } from '#shared/contracts/profile'
import { integer, jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import { coaches } from './coaches'

/** People who train, one coach each. */
export const clients = pgTable('clients', {
  coachId: uuid('coach_id').$type<CoachId>().notNull().references(() => coaches.id, { onDelete: 'cascade' }),
  id: uuid('id').$type<ClientId>().notNull(),
  name: text('name').notNull(),
  /** Who the client is, in the coach's words. */
  about: text('about').notNull(),
  /** Place in the coach's list. */
  position: integer('position').notNull(),
  facts: jsonb('facts').$type<ClientFacts>().notNull(),
  /** Id of the method the client follows. */
  method: text('method').notNull(),
  profile: jsonb('profile').$type<Profile>().notNull(),
  createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
}, table => [primaryKey({ columns: [table.coachId, table.id] })])
