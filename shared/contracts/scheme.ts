import {
  FORMS,
  GRIP_WIDTHS,
  GRIPS,
  HOLD_POSITIONS,
  LOAD_BASES,
  LOAD_RULES,
  LOCK_OUTS,
  MAX_SETS_PER_EXERCISE,
  SET_PROTOCOLS,
  SET_ROLES,
  SET_UP_FIELDS,
  isSetUpValue,
  setUpChoices,
  SIDE_ORDERS,
  TEMPO_WORDS,
  WEIGHT_UNITS,
} from '#core/plan/scheme'
import { z } from 'zod'
import { LIMITS } from './limits'

/*
 * What one set looks like on the wire. Keys that are left out mean "not given".
 * The plan contract proves that the whole document equals core's types, these parts with it.
 */
const MAX_TEXT = 500
const shortText = z.string().trim().min(1).max(MAX_TEXT)
const seconds = z.number().min(LIMITS.restSeconds.min).max(LIMITS.restSeconds.max)
const repCount = z.number().min(0).max(1000)
const percent = z.number().gt(0).max(200)
const amount = z.number().min(0).max(2000)
const weightUnit = z.enum(WEIGHT_UNITS)
const dropFrom = z.enum(['first', 'previous'])

const reps = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('exactly'),
      count: repCount,
      intended: repCount.exactOptional(),
    })
    .readonly(),
  z.strictObject({ kind: z.literal('between'), low: repCount, high: repCount }).readonly(),
  z
    .strictObject({
      kind: z.literal('to_failure'),
      low: repCount.exactOptional(),
      high: repCount.exactOptional(),
    })
    .readonly(),
  z.strictObject({ kind: z.literal('same_as'), stage: z.int().min(0).max(20) }).readonly(),
  z.strictObject({ kind: z.literal('until_total'), total: z.int().min(1).max(1000) }).readonly(),
  z.strictObject({ kind: z.literal('up_to'), high: repCount }).readonly(),
  z.strictObject({ kind: z.literal('first_to_last'), first: repCount, last: repCount }).readonly(),
])

const load = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('weight'),
      amount,
      unit: weightUnit,
      basis: z.enum(LOAD_BASES),
    })
    .readonly(),
  z
    .strictObject({ kind: z.literal('stack_position'), position: z.int().min(1).max(100) })
    .readonly(),
  z.strictObject({ kind: z.literal('percent_of_e1rm'), percent }).readonly(),
  z.strictObject({ kind: z.literal('percent_of_usual'), percent }).readonly(),
  z
    .strictObject({
      kind: z.literal('drop_percent'),
      percent: z.number().gt(0).lt(100),
      from: dropFrom,
    })
    .readonly(),
  z
    .strictObject({ kind: z.literal('drop_weight'), amount, unit: weightUnit, from: dropFrom })
    .readonly(),
  z.strictObject({ kind: z.literal('bodyweight') }).readonly(),
  z.strictObject({ kind: z.literal('band'), name: shortText }).readonly(),
  z.strictObject({ kind: z.literal('drop_open') }).readonly(),
  z
    .strictObject({ kind: z.literal('than_before'), direction: z.enum(['heavier', 'lighter']) })
    .readonly(),
  z
    .strictObject({
      kind: z.literal('in_words'),
      text: shortText,
      atMost: z.strictObject({ amount, unit: weightUnit }).readonly().exactOptional(),
    })
    .readonly(),
])

const effort = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rir'), rir: z.number().min(0).max(20) }).readonly(),
  z.strictObject({ kind: z.literal('failure') }).readonly(),
  z.strictObject({ kind: z.literal('in_words'), text: shortText }).readonly(),
])

const range = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('part'),
      from: z.number().min(0).max(1),
      to: z.number().min(0).max(1),
    })
    .readonly(),
  z.strictObject({ kind: z.literal('landmark'), text: shortText }).readonly(),
  z.strictObject({ kind: z.literal('may_shorten') }).readonly(),
])

export const SpanContract = z.union([
  seconds,
  z.strictObject({ low: seconds, high: seconds }).readonly(),
])

const tempo = z
  .strictObject({
    lower: SpanContract.exactOptional(),
    longPause: SpanContract.exactOptional(),
    lift: SpanContract.exactOptional(),
    shortPause: SpanContract.exactOptional(),
    midPause: SpanContract.exactOptional(),
    word: z.enum(TEMPO_WORDS).exactOptional(),
    deadStop: z.literal(true).exactOptional(),
  })
  .readonly()

/** A pause, at any of the five levels. */
export const RestContract = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('seconds'), seconds }).readonly(),
  z.strictObject({ kind: z.literal('between'), low: seconds, high: seconds }).readonly(),
  z.strictObject({ kind: z.literal('none') }).readonly(),
  z.strictObject({ kind: z.literal('in_words'), text: shortText }).readonly(),
  z.strictObject({ kind: z.literal('stretch'), seconds }).readonly(),
])

/** An intent id of the exercise, or null for its default. */
export const IntentContract = z.string().min(1).max(100).nullable()

/** Each field as its table has it: a number within its bounds, or one of its words. */
export const SetUpContract = z
  .partialRecord(z.enum(SET_UP_FIELDS), z.union([z.number(), z.string().max(20)]))
  .superRefine((held, at) => {
    for (const field of SET_UP_FIELDS) {
      const value = held[field]
      if (value !== undefined && !isSetUpValue(field, value))
        at.addIssue({ code: 'custom', path: [field], message: setUpChoices(field) })
    }
  })
  .readonly()

/** How an exercise is held and set up. */
export const DoneAsContract = z
  .strictObject({
    grip: z.enum(GRIPS).exactOptional(),
    gripWidth: z.enum(GRIP_WIDTHS).exactOptional(),
    attachment: shortText.exactOptional(),
    setUp: SetUpContract.exactOptional(),
  })
  .readonly()

const stage = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('work'),
      reps: reps.exactOptional(),
      repsInAll: z.literal(true).exactOptional(),
      load: load.exactOptional(),
      effort: effort.exactOptional(),
      range: range.exactOptional(),
      tempo: tempo.exactOptional(),
      form: z.enum(FORMS).exactOptional(),
      lockOut: z.enum(LOCK_OUTS).exactOptional(),
      grip: z.enum(GRIPS).exactOptional(),
      gripWidth: z.enum(GRIP_WIDTHS).exactOptional(),
      thumbless: z.literal(true).exactOptional(),
      position: shortText.exactOptional(),
      attachment: shortText.exactOptional(),
      setUp: SetUpContract.exactOptional(),
      exercise: z
        .strictObject({ id: z.string().min(1).max(100), intent: IntentContract })
        .readonly()
        .exactOptional(),
      optional: z.boolean().exactOptional(),
      onlyIf: shortText.exactOptional(),
    })
    .readonly(),
  z
    .strictObject({
      kind: z.literal('hold'),
      seconds: seconds.exactOptional(),
      at: z.enum(HOLD_POSITIONS),
    })
    .readonly(),
  z.strictObject({ kind: z.literal('rest'), rest: RestContract }).readonly(),
])

const run = z
  .strictObject({
    count: z.int().min(1).max(MAX_SETS_PER_EXERCISE),
    countRange: z
      .strictObject({ low: z.int().min(0), high: z.int().max(MAX_SETS_PER_EXERCISE).nullable() })
      .readonly()
      .exactOptional(),
    role: z.enum(SET_ROLES),
    protocol: z.enum(SET_PROTOCOLS).exactOptional(),
    side: z.enum(['left', 'right']).exactOptional(),
    sideOrder: z.enum(SIDE_ORDERS).exactOptional(),
    startSide: z.enum(['left', 'right']).exactOptional(),
    stages: z.tuple([stage], stage).readonly(),
    restAfter: RestContract.exactOptional(),
    onlyIf: shortText.exactOptional(),
  })
  .readonly()

/** How one exercise is done: runs of equal sets. */
export const SetSchemeContract = z
  .strictObject({
    runs: z.array(run).min(1).max(MAX_SETS_PER_EXERCISE).readonly(),
    loadRule: z.enum(LOAD_RULES).exactOptional(),
    loadStep: z
      .strictObject({ amount: z.number().min(-2000).max(2000), unit: weightUnit })
      .readonly()
      .exactOptional(),
    aims: z
      .array(
        z.strictObject({ weekday: z.int().min(1).max(7), end: z.enum(['low', 'high']) }).readonly(),
      )
      .max(7)
      .readonly()
      .exactOptional(),
  })
  .readonly()
