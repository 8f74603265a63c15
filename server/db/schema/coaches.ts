import type { House, Stations } from '#core/follow/floor'
import type { Retention } from '#shared/contracts/retention'
import type { CoachId } from '#core/base'
import type { Gear } from '#core/plan/estimate'
import type { Writing } from '#core/words'
import {
  boolean,
  index,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core'

/** People who plan. Everything else in the database belongs to one of them. */
export const coaches = pgTable('coaches', {
  id: uuid('id').$type<CoachId>().primaryKey(),
  email: text('email').notNull().unique(),
  name: text('name').notNull(),
  studio: text('studio').notNull(),
  passwordHash: text('password_hash').notNull(),
  /** What the studio can load, line by line. */
  gear: jsonb('gear').$type<Gear>().notNull().default({}),
  /** How dates and figures are written for her; left out, as usual. */
  writing: jsonb('writing').$type<Partial<Writing>>().notNull().default({}),
  /** How many stations there are of each kind; left out, plenty. */
  stations: jsonb('stations').$type<Stations>().notNull().default({}),
  /** Its hours, who helps on the floor, and closed days. */
  house: jsonb('house').$type<House>().notNull().default({}),
  /** What is erased by itself, and when that was last changed; left out, everything is kept. */
  retention: jsonb('retention').$type<Partial<Retention>>().notNull().default({}),
  retentionSince: timestamp('retention_since', { withTimezone: true }),
  /** A studio to look around in, which goes after a day. */
  isDemo: boolean('is_demo').notNull().default(false),
  /** The last time somebody asked for a new account with this email. */
  signUpTriedAt: timestamp('sign_up_tried_at', { withTimezone: true }),
  createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
})

/** Sign-ins that are still good. The cookie names one of them, so that it can be revoked. */
export const signIns = pgTable(
  'sign_ins',
  {
    coachId: uuid('coach_id')
      .$type<CoachId>()
      .notNull()
      .references(() => coaches.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    index('sign_ins_by_expiry').on(table.coachId, table.expiresAt),
  ],
)

/** One-time ways back in for who has lost the password; only what a link's secret hashes to is kept. */
export const passwordResets = pgTable(
  'password_resets',
  {
    coachId: uuid('coach_id')
      .$type<CoachId>()
      .notNull()
      .references(() => coaches.id, { onDelete: 'cascade' }),
    tokenHash: text('token_hash').notNull(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.coachId] }),
    index('password_resets_by_token').on(table.tokenHash),
  ],
)
