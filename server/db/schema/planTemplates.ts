import type { CoachId } from '#core/base'
import type { CarriedPlan } from '#core/plan/block'
import { jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import { coaches } from './coaches'

/** Rotations and blocks a coach keeps to give to other clients. */
export const planTemplates = pgTable(
  'plan_templates',
  {
    coachId: uuid('coach_id')
      .$type<CoachId>()
      .notNull()
      .references(() => coaches.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    name: text('name').notNull(),
    reason: text('reason').notNull(),
    content: jsonb('content').$type<CarriedPlan>().notNull(),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [primaryKey({ columns: [table.coachId, table.id] })],
)
