import type { CoachId } from '#core/base'
import type { Method } from '#core/plan/method'
import { jsonb, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import { coaches } from './coaches'

/** Methods of a coach's own, each a whole document. */
export const methods = pgTable(
  'methods',
  {
    coachId: uuid('coach_id')
      .$type<CoachId>()
      .notNull()
      .references(() => coaches.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    basedOn: text('based_on').notNull(),
    method: jsonb('method').$type<Method>().notNull(),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [primaryKey({ columns: [table.coachId, table.id] })],
)
