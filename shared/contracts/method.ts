import {
  COUNTING_SCHOOL_IDS,
  COUNTING_SCHOOLS,
  type CountingSchoolId,
  USUAL_WATCH,
  LOAD_PROGRESSIONS,
  ORDER_RULES,
  LONG_SET_KINDS,
  type Method,
} from '#core/plan/method'
import { recordOf } from '#core/base'
import { z } from 'zod'
import type { Equal, Proven } from './equal'
import { SpanContract } from './scheme'

const seconds = z.number().min(0).max(900)
const rir = z.number().min(0).max(6)
const percent = z.number().min(0).max(100)
const fromTo = z.strictObject({ from: rir, to: rir }).readonly()

function ends(low: number, high: number) {
  return z
    .tuple([z.number().min(low).max(high), z.number().min(low).max(high)])
    .readonly()
    .refine(([from, to]) => from <= to, 'must give the lower number first')
}

/** A school as it is stored: the name of one that comes with the program, which then brings its own rules. */
const isSchool = (id: string): id is CountingSchoolId =>
  (COUNTING_SCHOOL_IDS as readonly string[]).includes(id)
const school = z
  .object({ id: z.string().refine(isSchool, 'must be one of the counting schools') })
  .transform(({ id }): Method['school'] => COUNTING_SCHOOLS[isSchool(id) ? id : 'fractional'])

/** A whole method, preset or own (docs/methods.md#schools). */
export const MethodContract = z
  .strictObject({
    id: z.string().regex(/^[a-z0-9-]{1,60}$/),
    name: z.string().trim().min(1).max(60),
    suits: z.string().trim().max(200),
    school,
    counts: z
      .strictObject({
        buildUp: z.enum(['nothing', 'whole']),
        restricted: z.enum(['by_stage', 'as_one']),
        long: z.enum(['as_one', 'by_parts']).default('as_one'),
        easiest: z.int().min(0).max(8).default(5),
      })
      .readonly()
      .default({ buildUp: 'nothing', restricted: 'by_stage', long: 'as_one', easiest: 5 }),
    dose: z
      .strictObject({
        bandScale: z.number().min(0.1).max(3),
        setsPerExercise: ends(1, 20),
        minSetsPerExposure: z.number().min(0.25).max(10),
        maxSetsPerExposure: z.number().min(1).max(30),
        frequencyMin: z.number().min(0.25).max(7),
      })
      .readonly(),
    effort: z
      .strictObject({
        defaultRir: rir,
        rirCompound: fromTo,
        rirIsolation: fromTo,
        lastSetToFailure: z.union([
          z.enum(['never', 'always']),
          z.strictObject({ fromWeek: z.int().min(1).max(16) }).readonly(),
        ]),
        extendedMax: z.int().min(0).max(6),
        extendedKinds: z.array(z.enum(LONG_SET_KINDS)).readonly(),
        restricted: z.boolean(),
      })
      .readonly(),
    rest: z
      .strictObject({
        compoundHeavy: seconds,
        compound: seconds,
        isolation: seconds,
        compoundMin: seconds,
        isolationMin: seconds,
      })
      .readonly(),
    pairing: z
      .strictObject({
        mode: z.enum(['straight', 'alternating', 'superset']),
        circuits: z.boolean(),
        inside: seconds,
        after: seconds,
      })
      .readonly(),
    order: z
      .strictObject({
        first: z.enum(['heavy', 'primer']),
        armPlacement: z.enum(['ownDay', 'finisher', 'both']),
        overhead: z.enum(['early', 'late', 'any']),
        forearms: z.enum(['armDay', 'pullDay', 'ownSlot', 'none']),
        watch: z
          .strictObject(recordOf(ORDER_RULES, () => z.enum(['told', 'left'])))
          .readonly()
          .default(USUAL_WATCH),
      })
      .readonly(),
    range: z.strictObject({ lockout: z.enum(['full', 'shortOf']) }).readonly(),
    form: z.strictObject({ momentum: z.enum(['strict', 'lastReps', 'allowed']) }).readonly(),
    tempo: z.tuple([SpanContract, SpanContract, SpanContract, SpanContract]).readonly(),
    reps: z
      .strictObject({ compound: ends(1, 50), isolation: ends(1, 50), forearms: ends(1, 50) })
      .readonly(),
    progress: z
      .strictObject({
        compoundRule: z.enum(LOAD_PROGRESSIONS),
        isolationRule: z.enum(LOAD_PROGRESSIONS),
        setRamp: z.enum(['none', 'linear', 'step']),
        setRampCap: z.number().min(0).max(1),
        workingWeeks: z.int().min(1).max(16),
        deloadWeeks: z.int().min(0).max(4),
        alternation: z.enum(['none', 'exposure', 'week']),
      })
      .readonly(),
    deload: z.strictObject({ mode: z.enum(['planned', 'triggered', 'both', 'none']) }).readonly(),
    recovery: z
      .strictObject({
        required: z.strictObject({ lead: percent, other: percent, indirect: percent }).readonly(),
        onShortfall: z.enum(['move', 'swap_days', 'cut_set']),
      })
      .readonly(),
    armCycle: z.strictObject({ days: z.union([ends(2, 14), z.literal('weekly')]) }).readonly(),
    time: z
      .strictObject({
        generalWarmup: seconds,
        compression: z.array(z.int().min(1).max(8)).readonly(),
      })
      .readonly(),
    checks: z.strictObject({ strictness: z.enum(['low', 'normal', 'high']) }).readonly(),
    joints: z.strictObject({ setting: z.enum(['normal', 'sensitive']) }).readonly(),
    ratioWish: z.number().min(0.3).max(3),
  })
  .readonly()

export type _MethodIsCore = Proven<Equal<z.output<typeof MethodContract>, Method>>

/** Id of a method a client follows: a preset or one of the coach's own; whether it exists is for the server to say. */
export const MethodIdContract = z
  .string()
  .regex(/^[a-z0-9-]{1,60}$/, 'must be one of the methods on the Methods page')

/** A method of the coach's own, with the one it was copied from and how many clients follow it. */
export const OwnMethodView = z.object({
  method: MethodContract,
  basedOn: z.string(),
  clients: z.array(z.object({ id: z.uuid(), name: z.string() })),
})
export type OwnMethodView = z.output<typeof OwnMethodView>

/** The coach's own methods. */
export const MethodsView = z.object({ methods: z.array(OwnMethodView) })

/** What copying a method takes. */
export const CopyMethodBody = z.strictObject({
  from: MethodIdContract,
  name: z.string().trim().min(1).max(60),
})

export const MethodParams = z.object({ methodId: z.string().regex(/^own-[a-z0-9-]{1,60}$/) })
/** What making or changing a method answers. */
export const SavedMethod = z.object({ id: z.string() })
