import type { ClientId, CoachId, PlainDate } from '#core/base'
import type { ClientFacts } from '#core/plan/method'
import type { Profile } from '#shared/contracts/profile'
import {
  boolean,
  date,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core'
import { coaches } from './coaches'

/** People who train, one coach each. */
export const clients = pgTable(
  'clients',
  {
    coachId: uuid('coach_id')
      .$type<CoachId>()
      .notNull()
      .references(() => coaches.id, { onDelete: 'cascade' }),
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
    /** Grows with every change of profile, targets or credits, so that what was computed from them is known to be old. */
    revision: integer('revision').notNull().default(1),
    /** Grows with every change of dated sessions and exposures; triggers see to it, so that no writer can forget. */
    trainingRevision: integer('training_revision').notNull().default(1),
    /** The coach's marks on the roster: first in its section, and out of sight until a day. */
    isFlagged: boolean('is_flagged').notNull().default(false),
    laterUntil: date('later_until', { mode: 'string' }).$type<PlainDate>(),
    /** When she comes on single dates, where that was agreed otherwise than usual. */
    agreedStarts: jsonb('agreed_starts')
      .$type<Readonly<Partial<Record<PlainDate, string>>>>()
      .notNull()
      .default({}),
    /** What of her the coach has looked at in the queue, by its keys, and on which day; null where nothing. */
    seen: jsonb('seen').$type<{ readonly on: PlainDate; readonly keys: readonly string[] }>(),
    archivedAt: timestamp('archived_at', { withTimezone: true }),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [primaryKey({ columns: [table.coachId, table.id] })],
)
