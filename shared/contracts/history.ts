import { JOINTS } from '#core/plan/catalogue'
import { SESSION_STATES } from '#core/body/log'
import { VERDICTS } from '#core/body/trend'
import { isGirth, MEASUREMENT_KINDS, measurementProblem } from '#core/body/measurements'
import { FEELINGS, FELT_PLACES } from '#core/follow/sheet'
import { PAIN_LEVELS } from '#core/plan/method'
import { z } from 'zod'
import { PlainDateContract } from './plan'
import { LIMITS } from './limits'

export const SIDES = ['left', 'right', 'both'] as const
/** What was measured, in the unit of its kind. */
export const MeasurementBody = z
  .strictObject({
    on: PlainDateContract,
    kind: z.enum(MEASUREMENT_KINDS),
    value: z.number(),
    /** A girth taken with the muscle pumped. */
    isPumped: z.boolean().default(false),
  })
  .superRefine(({ kind, value, isPumped }, context) => {
    const problem = measurementProblem(kind, value)
    if (problem) context.addIssue({ code: 'custom', path: ['value'], message: problem })
    if (isPumped && !isGirth(kind))
      context.addIssue({ code: 'custom', path: ['isPumped'], message: 'holds for girths only' })
  })
export const MeasurementView = z.object({
  id: z.uuid(),
  on: PlainDateContract,
  kind: z.enum(MEASUREMENT_KINDS),
  value: z.number(),
  isPumped: z.boolean(),
})

/** A record that a licensed professional has cleared a joint. */
export const ClearanceBody = z.strictObject({
  joint: z.enum(JOINTS),
  on: PlainDateContract,
  profession: z.string().trim().min(1).max(100),
  limits: z.string().trim().max(2000),
})

/** Pain as the coach enters it for a client who told her. */
export const PainBody = z.strictObject({
  joint: z.enum(JOINTS),
  side: z.enum(SIDES),
  score: z.int().min(LIMITS.painScore.min).max(LIMITS.painScore.max),
  nextMorning: z.int().min(LIMITS.painScore.min).max(LIMITS.painScore.max).nullable(),
  hasAlarmSign: z.boolean(),
  on: PlainDateContract,
})

/** What the coach decided about a missed session. */
export const MissedDecisionBody = z.strictObject({ decision: z.enum(['drop']) })

const trend = z.object({
  exercise: z.string(),
  verdict: z.enum(VERDICTS),
  slope: z.number(),
  error: z.number().nullable(),
  count: z.int(),
  spanWeeks: z.number(),
  since: PlainDateContract.nullable(),
  leaning: z.enum(['up', 'down']).nullable(),
  isHighReps: z.boolean().exactOptional(),
})

/** One column of history: sessions, trends, pain, measurements; the newest first. */
export const HistoryView = z.object({
  name: z.string(),
  sessions: z.array(
    z.object({
      id: z.uuid(),
      on: PlainDateContract,
      name: z.string(),
      state: z.enum(SESSION_STATES),
      armSets: z.int(),
      setsDone: z.int(),
      setsPlanned: z.int(),
      minutes: z.int().nullable(),
      isRecovered: z.boolean().nullable(),
      note: z.string(),
    }),
  ),
  trends: z.array(trend),
  joints: z.array(
    z.object({
      joint: z.enum(JOINTS),
      level: z.enum(PAIN_LEVELS),
      reports: z.array(
        z.object({
          on: PlainDateContract,
          side: z.enum(SIDES),
          score: z.int(),
          nextMorning: z.int().nullable(),
          hasAlarmSign: z.boolean(),
        }),
      ),
      clearance: z
        .object({ on: PlainDateContract, profession: z.string(), limits: z.string() })
        .nullable(),
    }),
  ),
  measurements: z.array(MeasurementView),
  /** What clients said of sessions besides, the newest first. */
  said: z.array(
    z.object({
      on: PlainDateContract,
      session: z.string(),
      felt: z.array(z.object({ exercise: z.string(), where: z.enum(FELT_PLACES) })),
      recovery: z.int().nullable(),
      more: z.object({
        feelings: z.partialRecord(z.enum(FEELINGS), z.int()).readonly().exactOptional(),
        word: z.string().exactOptional(),
        warmUpMinutes: z.number().exactOptional(),
        wayMinutes: z.number().exactOptional(),
      }),
    }),
  ),
})
export type HistoryView = z.output<typeof HistoryView>

export const SessionParams = z.object({ clientId: z.uuid(), sessionId: z.uuid() })
export const MeasurementParams = z.object({ clientId: z.uuid(), measurementId: z.uuid() })
/** An answer that has nothing to say but that it is done. */
export const Done = z.object({ isDone: z.literal(true) })

/** Estimated one-rep maximum by exercise, from what was logged lately. Units: kilograms. */
export const StrengthsView = z.object({
  strengths: z.array(z.object({ exercise: z.string(), kg: z.number() })),
})
