import type { CoachId } from '#core/base'
import type { Credits, Exercise } from '#core/plan/catalogue'
import { jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import { coaches } from './coaches'

/** Exercises a coach has added. A retired one is no longer offered, but plans of the past still name it. */
export const ownExercises = pgTable(
  'own_exercises',
  {
    coachId: uuid('coach_id')
      .$type<CoachId>()
      .notNull()
      .references(() => coaches.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    exercise: jsonb('exercise').$type<Exercise>().notNull(),
    retiredAt: timestamp('retired_at', { withTimezone: true }),
  },
  table => [primaryKey({ columns: [table.coachId, table.id] })],
)

/** Credits a coach has changed for all her clients, by credit key. */
export const creditChanges = pgTable(
  'credit_changes',
  {
    coachId: uuid('coach_id')
      .$type<CoachId>()
      .notNull()
      .references(() => coaches.id, { onDelete: 'cascade' }),
    key: text('key').notNull(),
    credits: jsonb('credits').$type<Credits>().notNull(),
  },
  table => [primaryKey({ columns: [table.coachId, table.key] })],
)
