import { exerciseId } from '#core/base'
import { GROUPS, JOINTS } from '#core/plan/catalogue'
import { VERDICTS } from '#core/body/trend'
import { MODES, PAIN_LEVELS } from '#core/plan/method'
import { REPLAN_OPTIONS } from '#core/follow/replan'
import { type Adjustment, DECISION_ROWS, DELOAD_SIGNS } from '#core/follow/review'
import { z } from 'zod'
import type { Equal, Proven } from './equal'
import { PlainDateContract } from './plan'

const exercise = z.string().min(1).max(100).transform(exerciseId)
const sore = z.strictObject({ joint: z.enum(JOINTS), level: z.enum(PAIN_LEVELS) }).readonly()

const change = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('sets'), by: z.number(), rir: z.number() }).readonly(),
  z.strictObject({ kind: z.literal('rir'), by: z.number() }).readonly(),
  z.strictObject({ kind: z.literal('hold_ramp'), by: z.number() }).readonly(),
  z.strictObject({ kind: z.literal('deload') }).readonly(),
  z.strictObject({ kind: z.literal('by_hand') }).readonly(),
  z.strictObject({ kind: z.literal('go_on') }).readonly(),
  z.strictObject({ kind: z.literal('load'), exercise, step: z.enum(['up', 'down']) }).readonly(),
  z
    .strictObject({
      kind: z.literal('swap'),
      from: exercise,
      to: exercise,
      intent: z.string().max(60).nullable(),
    })
    .readonly(),
  z
    .strictObject({ kind: z.literal('shorten'), day: z.int(), place: z.int(), minutes: z.number() })
    .readonly(),
  z
    .strictObject({
      kind: z.literal('replan'),
      option: z.enum(REPLAN_OPTIONS),
      session: z.string().max(200),
      on: PlainDateContract,
    })
    .readonly(),
  z
    .strictObject({ kind: z.literal('pace'), pace: z.number().nullable(), isAnew: z.boolean() })
    .readonly(),
  z
    .strictObject({
      kind: z.literal('confirm'),
      exercise,
      on: PlainDateContract,
      value: z.number(),
    })
    .readonly(),
])

const evidence = z
  .strictObject({
    group: z.enum(GROUPS),
    mode: z.enum(MODES),
    direct: z.number(),
    counted: z.number(),
    band: z.strictObject({ floor: z.number(), target: z.number(), ceiling: z.number() }).readonly(),
    // Decisions from before may say that exercises went different ways, which no verdict says any more.
    verdict: z
      .enum([...VERDICTS, 'mixed'])
      .transform(verdict => (verdict === 'mixed' ? ('unclear' as const) : verdict)),
    probability: z.number(),
    slope: z.number(),
    sore: sore.nullable(),
    adherence: z.number(),
    done: z.number(),
    planned: z.number(),
    recovered: z.number(),
    notRecovered: z.number(),
    readiness: z.number(),
    exposures: z.number(),
    lowExposures: z.number(),
    belowFloorFor: z.number(),
    ramp: z.number(),
    daysAway: z.number().nullable().exactOptional(),
    lately: z.array(z.boolean()).max(3).readonly().exactOptional(),
    changed: z
      .strictObject({
        row: z.string().max(8),
        change: z.number(),
        rotations: z.number(),
        weeks: z.number(),
      })
      .readonly()
      .nullable()
      .exactOptional(),
    owed: z.number().exactOptional(),
    strain: z
      .strictObject({ joint: z.enum(JOINTS), share: z.number() })
      .readonly()
      .nullable()
      .exactOptional(),
    onTrialUntil: PlainDateContract.nullable().exactOptional(),
    eatsLess: z.boolean().exactOptional(),
    wearsOn: z.array(z.enum(GROUPS)).readonly().exactOptional(),
    led: z.array(exercise).max(200).readonly().exactOptional(),
  })
  .readonly()

const facts = z
  .strictObject({
    exercise: exercise.exactOptional(),
    error: z.number().exactOptional(),
    sets: z.number().exactOptional(),
    missed: z.number().exactOptional(),
    sore: sore.exactOptional(),
    slope: z.number().exactOptional(),
    session: z.string().max(200).exactOptional(),
    minutes: z.number().exactOptional(),
    limit: z.number().exactOptional(),
    times: z.number().exactOptional(),
    of: z.number().exactOptional(),
  })
  .readonly()

/** What was decided about, with the figures it rested on: a proposal, a missed session, a pace, an estimate. */
export const AdjustmentContract = z
  .strictObject({
    row: z.enum(DECISION_ROWS),
    group: z.enum(GROUPS).nullable(),
    change,
    before: z.number(),
    after: z.number(),
    evidence: evidence.nullable(),
    facts: facts.exactOptional(),
    signs: z.array(z.enum(DELOAD_SIGNS)).readonly(),
    confidence: z.enum(['strong', 'fair', 'weak']),
    isWaiting: z.boolean(),
  })
  .readonly()

export type _AdjustmentIsCore = Proven<Equal<z.output<typeof AdjustmentContract>, Adjustment>>
