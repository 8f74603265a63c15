import { sql } from 'drizzle-orm'
import type { CoachId } from '#core/base'
import type { CarriedPlan } from '#core/plan/block'
import {
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core'
import { coaches } from './coaches'

/** A template as it was before its content was replaced. */
export interface EarlierTemplate {
  readonly version: number
  readonly content: CarriedPlan
}

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
    version: integer('version').notNull().default(1),
    /** What it was before, the latest last; of so many versions only. */
    earlier: jsonb('earlier').$type<readonly EarlierTemplate[]>().notNull().default([]),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    uniqueIndex('plan_templates_by_name').on(table.coachId, sql`lower(${table.name})`),
  ],
)
