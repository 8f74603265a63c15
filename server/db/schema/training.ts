import type { BlockId, ClientId, CoachId, ExerciseId, PlainDate, SlotId } from '#core/base'
import type { SetRole, WeightUnit } from '#core/plan/scheme'
import type { Session } from '#core/plan/session'
import type { SessionTimes } from '#core/body/times'
import type { BodySide, SetLapse, SetValue } from '#core/body/log'
import {
  boolean,
  date,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  real,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import { blocks } from './blocks'

/** A day's session with its date, as it was prescribed and how it went. */
export const datedSessions = pgTable(
  'dated_sessions',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    id: uuid('id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    blockId: uuid('block_id').$type<BlockId>().notNull(),
    /** Of the block's rotation, from 0; then the day, and the session within the day. */
    pass: integer('pass').notNull(),
    day: integer('day').notNull(),
    place: integer('place').notNull(),
    on: date('on', { mode: 'string' }).$type<PlainDate>().notNull(),
    name: text('name').notNull(),
    armSets: integer('arm_sets').notNull(),
    setsPlanned: integer('sets_planned').notNull(),
    /** What the client was told; later edits of the plan never rewrite it. */
    prescribed: jsonb('prescribed').$type<Session>().notNull(),
    sentAt: timestamp('sent_at', { withTimezone: true }),
    openedAt: timestamp('opened_at', { withTimezone: true }),
    /** When the first set was done. */
    startedAt: timestamp('started_at', { withTimezone: true }),
    finishedAt: timestamp('finished_at', { withTimezone: true }),
    minutes: integer('minutes'),
    isRecovered: boolean('is_recovered'),
    /** The same from 0 to 10; null where it was asked as yes or no. */
    recovery: integer('recovery'),
    note: text('note').notNull().default(''),
    missedDecision: text('missed_decision'),
    /** What it says of the client's minutes; null until it is finished. */
    times: jsonb('times').$type<SessionTimes>(),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.id] }),
    foreignKey({
      columns: [table.coachId, table.blockId],
      foreignColumns: [blocks.coachId, blocks.id],
    }).onDelete('cascade'),
    index('dated_sessions_by_date').on(table.coachId, table.on),
    index('dated_sessions_by_client').on(table.coachId, table.clientId, table.on),
  ],
)

/** What was done, one row per work stage of a set. */
export const loggedSets = pgTable(
  'logged_sets',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    sessionId: uuid('session_id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    /** Order within the session, from 0. */
    at: integer('at').notNull(),
    slot: text('slot').$type<SlotId>(),
    exercise: text('exercise').$type<ExerciseId>().notNull(),
    intent: text('intent'),
    set: integer('set').notNull(),
    stage: integer('stage').notNull(),
    side: text('side').$type<BodySide>(),
    role: text('role').$type<SetRole>().notNull(),
    loadKg: real('load_kg'),
    reps: real('reps'),
    seconds: real('seconds'),
    rir: real('rir'),
    /** `4 or more` in reserve. */
    isRirOpen: boolean('is_rir_open').notNull().default(false),
    /** Where it was less than what was asked; null where it was not. */
    lapses: jsonb('lapses').$type<readonly SetLapse[]>(),
    /** The unit it was said in; `load_kg` is for sums. */
    unit: text('unit').$type<WeightUnit>().notNull().default('kg'),
    /** What was said last about it; null for what came without entries. */
    entryId: uuid('entry_id'),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.sessionId, table.at] }),
    // A place of a session holds one value.
    unique('logged_sets_by_place')
      .on(
        table.coachId,
        table.sessionId,
        table.slot,
        table.exercise,
        table.role,
        table.set,
        table.stage,
        table.side,
      )
      .nullsNotDistinct(),
    foreignKey({
      columns: [table.coachId, table.sessionId],
      foreignColumns: [datedSessions.coachId, datedSessions.id],
    }).onDelete('cascade'),
  ],
)

/** The trend value of each exercise of each session done, kept beside the log so that a roster need not read every set. */
export const exposures = pgTable(
  'exposures',
  {
    coachId: uuid('coach_id').$type<CoachId>().notNull(),
    sessionId: uuid('session_id').notNull(),
    clientId: uuid('client_id').$type<ClientId>().notNull(),
    exercise: text('exercise').$type<ExerciseId>().notNull(),
    on: date('on', { mode: 'string' }).$type<PlainDate>().notNull(),
    value: real('value').notNull(),
    repsToFailure: real('reps_to_failure').notNull(),
    /** What each working set says; null for rows from before, of which the value alone speaks. */
    sets: jsonb('sets').$type<readonly SetValue[]>(),
    /** Fatigue over capacity of its muscle before the session; null where nobody reckoned it. */
    tired: real('tired'),
    /** How it was held or set up for its turn, in words; null where it was as usual. */
    heldAs: text('held_as'),
  },
  table => [
    primaryKey({ columns: [table.coachId, table.sessionId, table.exercise] }),
    foreignKey({
      columns: [table.coachId, table.sessionId],
      foreignColumns: [datedSessions.coachId, datedSessions.id],
    }).onDelete('cascade'),
    index('exposures_by_client').on(table.coachId, table.clientId, table.on),
  ],
)
