import type { ClientId, CoachId } from '#core/base'
import {
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

/** How a mail stands; `unsure` is one of which nobody can say whether it was taken: it is not sent again by itself. */
export const MAIL_STATES = ['waiting', 'claimed', 'sent', 'unsure', 'failed'] as const

/** Messages on their way by mail, each under the id of the message it carries: a message is one mail at most. */
export const mails = pgTable(
  'mails',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    to: text('to').notNull(),
    state: text('state').$type<(typeof MAIL_STATES)[number]>().notNull(),
    attempts: integer('attempts').notNull().default(0),
    /** When it is tried next, or was claimed last. */
    at: timestamp('at', { withTimezone: true }).notNull(),
    /** What the mail server said last. */
    said: text('said').notNull().default(''),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('mails_by_state').on(table.state, table.at),
  ],
)
