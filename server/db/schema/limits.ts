import { bigint, integer, pgTable, text } from 'drizzle-orm/pg-core'

/** Attempts that are limited, by what they were made with; kept here so that a restart forgets none. */
export const attemptLimits = pgTable('attempt_limits', {
  key: text('key').primaryKey(),
  points: integer('points').notNull().default(0),
  expire: bigint('expire', { mode: 'number' }),
})
