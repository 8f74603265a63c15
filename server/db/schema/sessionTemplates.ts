import { sql } from 'drizzle-orm'
import type { CoachId } from '#core/base'
import type { Session } from '#core/plan/session'
import { jsonb, pgTable, primaryKey, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core'
import { coaches } from './coaches'

/** Sessions a coach keeps to put on other days and for other clients. */
export const sessionTemplates = pgTable(
  'session_templates',
  {
    coachId: uuid('coach_id')
      .$type<CoachId>()
      .notNull()
      .references(() => coaches.id, { onDelete: 'cascade' }),
    id: uuid('id').notNull(),
    name: text('name').notNull(),
    reason: text('reason').notNull(),
    content: jsonb('content').$type<Session>().notNull(),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    uniqueIndex('session_templates_by_name').on(table.coachId, sql`lower(${table.name})`),
  ],
)
