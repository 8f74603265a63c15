import type { ClientId, CoachId, PlainDate } from '#core/base'
import type { Joint } from '#core/plan/catalogue'
import type { MeasurementKind } from '#core/body/measurements'
import {
  boolean,
  date,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  real,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core'
import { clients } from './clients'

/** What a client reported about a joint, 0 to 10. */
export const painReports = pgTable(
  'pain_reports',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    joint: text('joint').$type<Joint>().notNull(),
    side: text('side').$type<'left' | 'right' | 'both'>().notNull(),
    score: integer('score').notNull(),
    nextMorning: integer('next_morning'),
    hasAlarmSign: boolean('has_alarm_sign').notNull().default(false),
    reportedAt: timestamp('reported_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('pain_reports_by_client').on(table.coachId, table.clientId, table.reportedAt),
  ],
)

/** Records that a licensed professional has cleared a joint; reports before it no longer hold work back. */
export const clearances = pgTable(
  'clearances',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    joint: text('joint').$type<Joint>().notNull(),
    on: date('on', { mode: 'string' }).$type<PlainDate>().notNull(),
    profession: text('profession').notNull(),
    limits: text('limits').notNull(),
    recordedAt: timestamp('recorded_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('clearances_by_client').on(table.coachId, table.clientId),
  ],
)

/** Girths in centimetres and body weight in kilograms. */
export const measurements = pgTable(
  'measurements',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    on: date('on', { mode: 'string' }).$type<PlainDate>().notNull(),
    kind: text('kind').$type<MeasurementKind>().notNull(),
    value: real('value').notNull(),
    /** A girth taken with the muscle pumped. */
    isPumped: boolean('is_pumped').notNull().default(false),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.clientId],
      foreignColumns: [clients.coachId, clients.id],
    }).onDelete('cascade'),
    index('measurements_by_client').on(table.coachId, table.clientId, table.on),
  ],
)
