import {
  exerciseId,
  groupingId,
  isoWeekday,
  isPlainDate,
  plainDate,
  sessionId,
  slotId,
} from '#core/base'
import {
  ALTERNATION_MODES,
  EVENT_EFFECTS,
  MAX_GROUPINGS,
  MOST_PASSES,
  MOST_TRIALS,
  TRIAL_WEEKS,
  WAY_KINDS,
  ONE_OFF_REASONS,
  PLAN_SCHEMA,
  type PlanDocument,
} from '#core/plan/block'
import { BUILT_IN_CATALOGUE, GROUPS, OWN_EXERCISE_PREFIX } from '#core/plan/catalogue'
import { LOAD_PROGRESSIONS, MODES, PHASE_KINDS } from '#core/plan/method'
import {
  canStayOnWeekdays,
  DAY_ROLES,
  MAX_SESSIONS_PER_DAY,
  ROTATION_KINDS,
  ROTATION_LENGTH,
} from '#core/plan/rotation'
import {
  allSets,
  MAX_SETS_PER_EXERCISE,
  type SetRun,
  type SetScheme,
  workStages,
} from '#core/plan/scheme'
import {
  GROUPING_KINDS,
  type Grouping,
  PLACEMENTS,
  type Slot,
  SLOT_ROLES,
} from '#core/plan/session'
import { z } from 'zod'
import type { Equal, Proven } from './equal'
import { DoneAsContract, IntentContract, RestContract, SetSchemeContract } from './scheme'
import { LIMITS } from './limits'

const id = z.string().min(1).max(100)
const shortText = z.string().trim().min(1).max(LIMITS.shortText)
const title = z.string().trim().min(1).max(LIMITS.title)

/** A calendar day, `2026-04-03`. */
export const PlainDateContract = z
  .string()
  .refine(isPlainDate, 'must be a calendar day like 2026-04-03')
  .refine(text => text >= '1900' && text < '2200', 'must lie in the years 1900 to 2199')
  .transform(plainDate)

const creditsContract = z.partialRecord(z.enum(GROUPS), z.number().min(0).max(1)).readonly()

/** A coach's own exercises are let through here; whether she has them is for the server to say, who knows her library. */
function exerciseProblem(id: string, intent: string | null): string | undefined {
  if (id.startsWith(OWN_EXERCISE_PREFIX)) return undefined
  const exercise = BUILT_IN_CATALOGUE.get(id)
  if (!exercise) return `names the exercise ${JSON.stringify(id)}, which the library does not have`
  if (intent !== null && !exercise.intents.some(candidate => candidate.id === intent)) {
    return `names the purpose ${JSON.stringify(intent)}, which ${exercise.name} does not have`
  }
  return undefined
}

const slot = z
  .strictObject({
    id: id.transform(slotId),
    exercise: id.transform(exerciseId),
    intent: IntentContract,
    as: DoneAsContract.exactOptional(),
    credits: creditsContract.exactOptional(),
    scheme: SetSchemeContract,
    note: shortText.exactOptional(),
    role: z.enum(SLOT_ROLES).exactOptional(),
    isHeld: z.literal(true).exactOptional(),
  })
  .readonly()
  .superRefine((value, context) => {
    const problem = exerciseProblem(value.exercise, value.intent)
    if (problem) context.addIssue({ code: 'custom', path: ['exercise'], message: problem })
    schemeProblems(value.scheme).forEach(({ path, message }) =>
      context.addIssue({ code: 'custom', path: ['scheme', ...path], message }),
    )
  })

interface FieldProblem {
  readonly path: (string | number)[]
  readonly message: string
}

function schemeProblems(scheme: SetScheme): readonly FieldProblem[] {
  const sets = allSets(scheme)
  const tooMany =
    sets > MAX_SETS_PER_EXERCISE
      ? [
          {
            path: ['runs'],
            message: `holds ${sets} sets; one exercise takes at most ${MAX_SETS_PER_EXERCISE} in a session`,
          },
        ]
      : []
  return [
    ...tooMany,
    ...scheme.runs.flatMap((run, at) =>
      runProblems(run).map(({ path, message }) => ({ path: ['runs', at, ...path], message })),
    ),
  ]
}

function runProblems(run: SetRun): readonly FieldProblem[] {
  const problems: FieldProblem[] = []
  const { count, countRange } = run
  if (countRange && (countRange.low > count || (countRange.high ?? count) < count)) {
    problems.push({
      path: ['countRange'],
      message: `must hold the planned number of sets, ${count}`,
    })
  }
  workStages(run).forEach(stage => {
    const named = stage.exercise && exerciseProblem(stage.exercise.id, stage.exercise.intent)
    if (named)
      problems.push({ path: ['stages', run.stages.indexOf(stage), 'exercise'], message: named })
    if (stage.reps?.kind === 'between' && stage.reps.low > stage.reps.high) {
      problems.push({
        path: ['stages', run.stages.indexOf(stage), 'reps'],
        message: 'must give the lower number of reps first',
      })
    }
  })
  return problems
}

const grouping = z
  .strictObject({
    id: id.transform(groupingId),
    kind: z.enum(GROUPING_KINDS),
    placement: z.enum(PLACEMENTS),
    slots: z.tuple([slot], slot).readonly(),
    part: title.exactOptional(),
    changeOverSeconds: z.number().min(0).max(600).exactOptional(),
    sameMuscleIntended: z.literal(true).exactOptional(),
    replaceable: z.literal(true).exactOptional(),
    turn: z
      .strictObject({ at: z.int().min(1).max(14), of: z.int().min(2).max(14) })
      .readonly()
      .exactOptional(),
    restBetweenPartners: RestContract.exactOptional(),
    restAfterRound: RestContract.exactOptional(),
    restAfterGrouping: RestContract.exactOptional(),
    onlyIf: shortText.exactOptional(),
  })
  .readonly()

/** What a client does in one visit. */
export const SessionContract = z
  .strictObject({
    id: id.transform(sessionId),
    name: title.exactOptional(),
    preparation: z
      .array(
        z
          .strictObject({
            minutes: z.number().min(0).max(120),
            what: shortText,
            onlyIf: shortText.exactOptional(),
          })
          .readonly(),
      )
      .max(10)
      .readonly()
      .exactOptional(),
    groupings: z.array(grouping).max(MAX_GROUPINGS).readonly(),
    restBetweenMuscles: RestContract.exactOptional(),
  })
  .readonly()

/** A day of a rotation (docs/formats.md). */
export const RotationDayContract = z
  .strictObject({
    role: z.enum(DAY_ROLES),
    label: title.exactOptional(),
    minuteLimit: z.int().min(LIMITS.minuteLimit.min).max(LIMITS.minuteLimit.max).exactOptional(),
    sessions: z.array(SessionContract).max(MAX_SESSIONS_PER_DAY).readonly(),
  })
  .readonly()
  .refine(value => value.role !== 'rest' || value.sessions.length === 0, {
    path: ['sessions'],
    message: 'must be empty on a rest day',
  })

/** Regular load besides the planned sessions. */
export const SideLoadContract = z
  .strictObject({
    what: shortText,
    groups: z.array(z.enum(GROUPS)).readonly(),
    times: z
      .strictObject({ low: z.number().min(0).max(21), high: z.number().min(0).max(21) })
      .readonly(),
    setsEach: z.number().min(0).max(50).nullable(),
    isEstimate: z.literal(true).exactOptional(),
    weekdays: z.array(z.int().min(1).max(7)).max(7).readonly().exactOptional(),
  })
  .readonly()

const rotation = z
  .strictObject({
    kind: z.enum(ROTATION_KINDS),
    maxGapDays: z.int().min(1).max(14).exactOptional(),
    sideLoads: z.array(SideLoadContract).max(20).readonly().exactOptional(),
    anchor: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('floating') }).readonly(),
      z.strictObject({ kind: z.literal('weekday'), startsOn: z.int().min(1).max(7) }).readonly(),
    ]),
    days: z.array(RotationDayContract).min(ROTATION_LENGTH.min).max(ROTATION_LENGTH.max).readonly(),
  })
  .readonly()
  .refine(value => value.anchor.kind === 'floating' || canStayOnWeekdays(value.days.length), {
    path: ['anchor'],
    message: 'can hold weekdays only with 7 or 14 days; choose floating',
  })

const fromTo = z
  .strictObject({
    from: z.int().min(LIMITS.rir.min).max(LIMITS.rir.max),
    to: z.int().min(LIMITS.rir.min).max(LIMITS.rir.max),
  })
  .readonly()
const pass = z
  .int()
  .min(0)
  .max(MOST_PASSES - 1)
const event = z
  .strictObject({
    id: id,
    what: title,
    from: PlainDateContract,
    to: PlainDateContract,
    effect: z.enum(EVENT_EFFECTS),
    minutes: z.int().min(LIMITS.minuteLimit.min).max(LIMITS.minuteLimit.max).exactOptional(),
  })
  .readonly()
  .refine(({ from, to }) => from <= to, {
    path: ['to'],
    message: 'must not lie before the first day',
  })
  .refine(({ effect, minutes }) => effect !== 'short' || minutes !== undefined, {
    path: ['minutes'],
    message: 'must say how many minutes there are',
  })
const exception = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('sets'),
      pass,
      group: z.enum(GROUPS),
      change: z.int().min(-40).max(40),
    })
    .readonly(),
  z
    .strictObject({
      kind: z.literal('rir'),
      pass,
      group: z.enum(GROUPS).exactOptional(),
      change: z.int().min(-6).max(6),
    })
    .readonly(),
  z.strictObject({ kind: z.literal('choice'), pass }).readonly(),
  z
    .strictObject({
      kind: z.literal('moved'),
      pass,
      day: z
        .int()
        .min(0)
        .max(ROTATION_LENGTH.max - 1),
      place: z
        .int()
        .min(0)
        .max(MAX_SESSIONS_PER_DAY - 1),
      on: PlainDateContract,
    })
    .readonly(),
  z
    .strictObject({
      kind: z.literal('dropped'),
      pass,
      day: z
        .int()
        .min(0)
        .max(ROTATION_LENGTH.max - 1),
      place: z
        .int()
        .min(0)
        .max(MAX_SESSIONS_PER_DAY - 1),
    })
    .readonly(),
  z
    .strictObject({
      kind: z.literal('load'),
      pass,
      exercise: id.transform(exerciseId),
      step: z.enum(['up', 'down']),
    })
    .readonly(),
])
const heldFrom = {
  from: pass,
  to: pass.exactOptional(),
  group: z.enum(GROUPS),
  on: PlainDateContract,
  why: z.string().max(LIMITS.shortText),
}
const heldChange = z.union([
  z
    .strictObject({ ...heldFrom, change: z.int().min(-30).max(30), row: z.string().max(8) })
    .readonly(),
  z.strictObject({ ...heldFrom, reps: z.int().min(-8).max(8) }).readonly(),
  z.strictObject({ ...heldFrom, mode: z.enum(MODES) }).readonly(),
])

/** How the passes of a block differ (docs/formats.md). */
const weekSets = z.number().min(LIMITS.weekSets.min).max(LIMITS.weekSets.max)
/** Counted sets per 7 days by muscle. */
export const EndsContract = z.partialRecord(z.enum(GROUPS), weekSets).readonly()
export const BaseWeeksContract = z.int().min(LIMITS.baseWeeks.min).max(LIMITS.baseWeeks.max)
const DraftContract = z
  .strictObject({
    ends: EndsContract.exactOptional(),
    baseWeeks: BaseWeeksContract.exactOptional(),
  })
  .readonly()

export const PhaseContract = z
  .strictObject({
    kind: z.enum(PHASE_KINDS),
    what: z.string().trim().min(1).max(LIMITS.title).exactOptional(),
    on: PlainDateContract.exactOptional(),
    armsEvery: z.int().min(LIMITS.armsEvery.min).max(LIMITS.armsEvery.max).exactOptional(),
    volume: z.number().min(LIMITS.phaseVolume.min).max(LIMITS.phaseVolume.max).exactOptional(),
  })
  .readonly()

export const BlockPlanContract = z
  .strictObject({
    ramps: z
      .partialRecord(
        z.enum(GROUPS),
        z
          .strictObject({
            kind: z.enum(['none', 'linear', 'step']),
            end: weekSets,
          })
          .readonly(),
      )
      .readonly()
      .exactOptional(),
    base: z.strictObject({ weeks: BaseWeeksContract }).readonly().exactOptional(),
    effort: z.strictObject({ compound: fromTo, isolation: fromTo }).readonly().exactOptional(),
    repWave: z.array(z.int().min(-8).max(8)).max(16).readonly().exactOptional(),
    deloads: z.array(pass).max(MOST_PASSES).readonly().exactOptional(),
    alternations: z
      .array(
        z
          .strictObject({
            slot: id.transform(slotId),
            exercise: id.transform(exerciseId),
            intent: IntentContract,
            as: DoneAsContract.exactOptional(),
            by: z.enum(ALTERNATION_MODES),
          })
          .readonly(),
      )
      .max(60)
      .readonly()
      .exactOptional(),
    events: z.array(event).max(60).readonly().exactOptional(),
    exceptions: z.array(exception).max(400).readonly().exactOptional(),
    changes: z.array(heldChange).max(400).readonly().exactOptional(),
    trials: z
      .array(
        z
          .strictObject({
            what: z.string().trim().min(1).max(LIMITS.shortText),
            from: PlainDateContract,
            weeks: z.int().min(TRIAL_WEEKS.least).max(TRIAL_WEEKS.most),
            groups: z.array(z.enum(GROUPS)).min(1).max(GROUPS.length).readonly(),
          })
          .readonly(),
      )
      .max(MOST_TRIALS)
      .readonly()
      .exactOptional(),
    failure: z
      .strictObject({ fromWeek: z.int().min(1).max(16) })
      .readonly()
      .exactOptional(),
    ways: z
      .record(
        id,
        z
          .strictObject({
            kind: z.enum(WAY_KINDS),
            everyWeeks: z.int().min(1).max(8),
            by: z.int().min(1).max(60),
            to: z.int().min(1).max(300),
          })
          .readonly(),
      )
      .readonly()
      .exactOptional(),
    rules: z
      .record(
        id,
        z
          .strictObject({
            rule: z.enum(LOAD_PROGRESSIONS),
            backOffPercent: z.number().min(5).max(20).exactOptional(),
          })
          .readonly(),
      )
      .readonly()
      .exactOptional(),
  })
  .readonly()

/** The plan of one block (docs/formats.md). Frozen when parsed. */
export const PlanContract = z
  .strictObject({
    schema: z.literal(PLAN_SCHEMA),
    title,
    startsOn: PlainDateContract,
    passes: z.int().min(1).max(MOST_PASSES),
    rotation,
    block: BlockPlanContract.exactOptional(),
    dismissed: z
      .array(
        z
          .strictObject({
            finding: z.string().min(1).max(300),
            note: z.string().trim().max(LIMITS.shortText),
          })
          .readonly(),
      )
      .max(200)
      .readonly()
      .exactOptional(),
    weighed: z
      .array(
        z
          .strictObject({
            terms: z.string().trim().min(1).max(LIMITS.shortText),
            outcome: z.string().trim().min(1).max(LIMITS.weighed),
          })
          .readonly(),
      )
      .max(4)
      .readonly()
      .exactOptional(),
    oneOffs: z
      .array(
        z
          .strictObject({
            on: PlainDateContract,
            session: id.transform(sessionId),
            reason: z.enum(ONE_OFF_REASONS),
            content: SessionContract,
          })
          .readonly(),
      )
      .max(200)
      .readonly()
      .exactOptional(),
    madeFrom: z
      .strictObject({ template: z.uuid(), version: z.int().min(1) })
      .readonly()
      .exactOptional(),
    emphasis: z.partialRecord(z.enum(GROUPS), z.enum(MODES)).readonly().exactOptional(),
    phase: PhaseContract.exactOptional(),
    draft: DraftContract.exactOptional(),
    closingNotes: z.string().max(LIMITS.closingNotes).exactOptional(),
    fromLast: z.string().max(LIMITS.closingNotes).exactOptional(),
    variants: z
      .array(
        z
          .strictObject({ session: id.transform(sessionId), name: title, content: SessionContract })
          .readonly(),
      )
      .max(40)
      .readonly()
      .exactOptional(),
  })
  .readonly()
  .superRefine((plan, context) => {
    const { anchor } = plan.rotation
    if (anchor.kind === 'weekday' && isoWeekday(plan.startsOn) !== anchor.startsOn) {
      context.addIssue({
        code: 'custom',
        path: ['startsOn'],
        message:
          'must fall on the weekday that the rotation begins with, or the rotation must be floating',
      })
    }
    const seen = new Set<string>()
    plan.rotation.days.forEach((content, dayAt) =>
      content.sessions.forEach((held, sessionAt) => {
        for (const repeated of idsOf(held.groupings).filter(
          candidate => seen.size === seen.add(candidate).size,
        )) {
          context.addIssue({
            code: 'custom',
            path: ['rotation', 'days', dayAt, 'sessions', sessionAt],
            message: `uses the id ${JSON.stringify(repeated)} twice`,
          })
        }
      }),
    )
  })

function idsOf(groupings: readonly Grouping[]): readonly string[] {
  return groupings.flatMap(({ id: own, slots }): readonly string[] => [
    own,
    ...slots.map((held: Slot) => held.id),
  ])
}

export type _PlanIsCore = Proven<Equal<z.output<typeof PlanContract>, PlanDocument>>

/** What a screen sends to save a plan: the version it started from, and the whole document. */
export const SavePlanBody = z.strictObject({ version: z.int().min(1), plan: PlanContract })

/** What a save answers. */
export const SavedPlan = z.object({ version: z.int(), savedAt: z.iso.datetime() })
