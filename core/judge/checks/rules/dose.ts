import { ARM_GROUPS, type Group, GROUPS } from '../../../plan/catalogue'
import { sessionMaxOf, type TrainingAge, trainingAge } from '../../../plan/method'
import { leadRir } from '../../../plan/scheme'
import type { FoundBy, Rule } from '../finding'
import { straightened, withReps, withRir, hasRoomFor } from '../fixes'
import { type CheckInput, extendedSets, type SessionView, strictly } from '../input'
import { everySlot, placeOf } from './slots'

/* How much and how hard in one session. Limits: docs/methods.md#session-limits. */

type Limit = readonly [soft: number, hard: number]
type ByAge = Readonly<Record<TrainingAge, Limit>>

const COUNTED: ByAge = { new: [6, 8], mid: [8, 11], adv: [10, 12] }
const DIRECT_ARM: Readonly<Record<'armDay' | 'otherDay' | 'finisher', ByAge>> = {
  armDay: { new: [5, 6], mid: [7, 10], adv: [9, 12] },
  otherDay: { new: [3, 5], mid: [5, 7], adv: [6, 8] },
  finisher: { new: [2, 3], mid: [3, 4], adv: [3, 5] },
}
const FOREARMS: ByAge = { new: [2, 4], mid: [3, 5], adv: [4, 6] }
const WHOLE_SESSION: ByAge = { new: [18, 22], mid: [24, 28], adv: [28, 34] }
const EXTENDED: ByAge = { new: [0, 1], mid: [1, 2], adv: [2, 3] }
const EXERCISES_PER_ARM_GROUP: ByAge = { new: [2, 3], mid: [3, 4], adv: [3, 4] }

const ageOf = ({ context }: CheckInput) => trainingAge(context.client.trainingAgeMonths)

interface Judged {
  readonly limit: number
  /** Where nothing is said any more. */ readonly quiet: number
  readonly severity: 'info' | 'caution'
}

function judged(value: number, [soft, hard]: Limit, input: CheckInput): Judged | undefined {
  const [low, high] = [
    strictly(input.context, soft, 'count'),
    strictly(input.context, hard, 'count'),
  ]
  if (value > high + 1e-9) return { limit: high, quiet: low, severity: 'caution' }
  return value > low + 1e-9 ? { limit: low, quiet: low, severity: 'info' } : undefined
}

function directIn({ work }: SessionView, groups: readonly Group[]): number {
  return work.reduce(
    (sum, { credits, sets }) => sum + (groups.some(group => credits[group] === 1) ? sets.value : 0),
    0,
  )
}

function countedIn({ work }: SessionView, group: Group): number {
  return work.reduce((sum, { credits, sets }) => sum + sets.value * (credits[group] ?? 0), 0)
}

function armLimit(session: SessionView, group: Group, age: TrainingAge): Limit {
  if (group === 'forearms') return FOREARMS[age]
  if (session.rotationDay.role === 'arms') return DIRECT_ARM.armDay[age]
  const direct = session.slots.filter(({ intent }) => intent.credits[group] === 1)
  const isFinisher =
    direct.length > 0 && direct.every(({ grouping }) => grouping.placement === 'finisher')
  return DIRECT_ARM[isFinisher ? 'finisher' : 'otherDay'][age]
}

const groupCrowded: Rule = {
  id: 'group-crowded',
  reason: 'Later sets of one muscle in one session add less and less.',
  tunedBy: 'dose.maxSetsPerExposure',
  find: input =>
    input.sessions.flatMap(session =>
      GROUPS.flatMap((group): readonly FoundBy[] => {
        const isArm = (ARM_GROUPS as readonly Group[]).includes(group)
        const counted = countedIn(session, group)
        const direct = directIn(session, [group])
        const most = sessionMaxOf(input.context, group)
        const byMethod = most !== undefined && counted > most + 1e-9 && direct > 0
        const all = judged(counted, COUNTED[ageOf(input)], input)
        const own = isArm
          ? judged(direct, armLimit(session, group, ageOf(input)), input)
          : undefined
        const worst =
          all?.severity === 'caution'
            ? all
            : (own ??
              all ??
              (byMethod ? { limit: most, quiet: most, severity: 'info' as const } : undefined))
        if (!worst || direct === 0) return []
        const slots = session.slots.filter(({ intent }) => intent.credits[group] === 1)
        const last = slots.at(-1)
        const value = worst === own ? direct : counted
        const surplus = last
          ? Math.min(
              last.sets,
              Math.ceil(Math.max(value - worst.quiet, most === undefined ? 0 : counted - most)),
            )
          : 0
        return [
          {
            place: { day: session.day, session: session.session, group },
            severity: worst.severity,
            figures: { group, sets: value, limit: worst.limit },
            ...(last &&
              surplus > 0 && {
                fix: [{ kind: 'cut_sets' as const, slot: last.slot.id, count: surplus }],
              }),
          },
        ]
      }),
    ),
}

const sessionLong: Rule = {
  id: 'session-many-sets',
  reason: 'After so many working sets the last ones are done tired.',
  find: input =>
    input.sessions.flatMap(session => {
      const found = judged(session.sets, WHOLE_SESSION[ageOf(input)], input)
      return found
        ? [
            {
              place: { day: session.day, session: session.session },
              severity: found.severity,
              figures: { sets: session.sets, limit: found.limit },
            },
          ]
        : []
    }),
}

const manyExercises: Rule = {
  id: 'many-exercises',
  reason: 'Many exercises for one arm muscle cost set-up time and attention.',
  find: input =>
    input.sessions.flatMap(session =>
      ARM_GROUPS.flatMap(group => {
        const exercises = session.slots.filter(
          ({ intent, exercise }) => intent.credits[group] === 1 && exercise.kind === 'isolation',
        ).length
        const found = judged(exercises, EXERCISES_PER_ARM_GROUP[ageOf(input)], input)
        return found
          ? [
              {
                place: { day: session.day, session: session.session, group },
                severity: found.severity,
                figures: { group, exercises, limit: found.limit },
              },
            ]
          : []
      }),
    ),
}

const exposureTooSmall: Rule = {
  id: 'exposure-too-small',
  reason: 'One direct set is hardly worth the set-up.',
  tunedBy: 'dose.minSetsPerExposure',
  find: input =>
    input.context.method.dose.minSetsPerExposure < 2
      ? []
      : input.sessions.flatMap(session =>
          ARM_GROUPS.flatMap(group => {
            const slots = session.slots.filter(
              ({ intent, sets }) => intent.credits[group] === 1 && sets > 0,
            )
            const [only] = slots
            return only && slots.length === 1 && only.sets === 1 && directIn(session, [group]) > 0
              ? [
                  {
                    place: { ...placeOf(session, only), group },
                    figures: { exercise: only.exercise.name, group },
                    ...(hasRoomFor(1, only, input) && {
                      fix: [{ kind: 'add_sets' as const, slot: only.slot.id, count: 1 }],
                    }),
                  },
                ]
              : []
          }),
        ),
}

const effortTooLow: Rule = {
  id: 'effort-too-low',
  reason: 'Sets five reps from failure barely count, easier ones not at all.',
  tunedBy: 'effort.rirIsolation',
  find: input =>
    everySlot(input, (placed, session) => {
      const easiest = Math.max(
        ...placed.runs.filter(({ role }) => role === 'working').map(run => leadRir(run) ?? 0),
        0,
      )
      return easiest >= 5
        ? [
            {
              place: placeOf(session, placed),
              figures: { exercise: placed.exercise.name, rir: easiest },
              fix: withRir(placed, 3),
            },
          ]
        : []
    }),
}

const failureShare: Rule = {
  id: 'failure-share',
  reason:
    'Failure on most sets costs recovery without a clear gain; on free compounds it costs form as well.',
  tunedBy: 'effort.lastSetToFailure',
  find: input =>
    input.sessions.flatMap((session): readonly FoundBy[] => {
      const { lastSetToFailure } = input.context.method.effort
      const free = session.slots.find(
        ({ exercise, lowestRir }) =>
          exercise.kind === 'compound' &&
          lowestRir <= 0 &&
          exercise.equipment.some(piece => piece === 'barbell' || piece === 'dumbbell'),
      )
      if (free)
        return [
          {
            place: placeOf(session, free),
            figures: { exercise: free.exercise.name, kind: 'compound' },
            fix: withRir(free, 1),
          },
        ]
      const isolation = session.slots.filter(({ exercise }) => exercise.kind === 'isolation')
      const sets = isolation.reduce((sum, { sets: own }) => sum + own, 0)
      const failed = isolation.reduce(
        (sum, { runs }) =>
          sum + runs.reduce((part, run) => part + ((leadRir(run) ?? 1) <= 0 ? run.count : 0), 0),
        0,
      )
      const most = isolation.find(({ lowestRir }) => lowestRir <= 0)
      return lastSetToFailure !== 'always' &&
        most &&
        sets > 0 &&
        failed / sets > strictly(input.context, 0.5)
        ? [
            {
              place: placeOf(session, most),
              figures: { exercise: most.exercise.name, kind: 'single-joint', share: failed / sets },
              fix: isolation
                .filter(({ lowestRir }) => lowestRir <= 0)
                .flatMap(placed => withRir(placed, 1)),
            },
          ]
        : []
    }),
}

const extendedTooMany: Rule = {
  id: 'extended-too-many',
  reason: 'Long sets tire much more than they train; a few are enough.',
  tunedBy: 'effort.extendedMax',
  find: input =>
    input.sessions.flatMap(session =>
      GROUPS.flatMap((group): readonly FoundBy[] => {
        const slots = session.slots.filter(
          placed => placed.intent.credits[group] === 1 && extendedSets(placed) > 0,
        )
        const sets = slots.reduce((sum, placed) => sum + extendedSets(placed), 0)
        const limit = Math.min(input.context.method.effort.extendedMax, EXTENDED[ageOf(input)][1])
        const [first] = slots
        return first && sets > limit
          ? [
              {
                place: { ...placeOf(session, first), group },
                figures: { group, sets, limit },
                fix: slots
                  .slice(0, limit === 0 ? undefined : -1)
                  .concat(limit === 0 || slots.length > 1 ? [] : slots)
                  .flatMap(straightened),
              },
            ]
          : []
      }),
    ),
}

const LEAST_REPS = 7

const lowRepIsolation: Rule = {
  id: 'low-rep-isolation',
  reason: 'Few heavy reps of single-joint elbow work load the tendon without growing more.',
  tunedBy: 'reps.isolation',
  find: input =>
    everySlot(input, (placed, session) => {
      const isElbow =
        placed.exercise.pattern === 'curl' || placed.exercise.pattern === 'elbow_extension'
      const isLow =
        placed.fewestReps !== undefined &&
        placed.fewestReps < LEAST_REPS &&
        !placed.runs.some(({ protocol }) => protocol === 'eccentric_only')
      const staged = placed.runs.every(
        run => run.stages.filter(stage => stage.kind === 'work').length > 1,
      )
      return isElbow && isLow && !staged && placed.exercise.kind === 'isolation'
        ? [
            {
              place: placeOf(session, placed),
              figures: { exercise: placed.exercise.name, reps: placed.fewestReps ?? 0 },
              fix: withReps(placed, 8, 12),
            },
          ]
        : []
    }),
}

export const DOSE: readonly Rule[] = [
  groupCrowded,
  sessionLong,
  manyExercises,
  exposureTooSmall,
  effortTooLow,
  failureShare,
  extendedTooMany,
  lowRepIsolation,
]
