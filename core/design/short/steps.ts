import { groupingId, remembered, type SlotId, mapNonEmpty } from '../../base'
import { groupingWith } from '../../plan/block'
import {
  directGroups,
  type Equipment,
  type Exercise,
  type Group,
  type Joint,
  JOINTS,
  requireExercise,
} from '../../plan/catalogue'
import { shareOfOneRep } from '../../plan/estimate'
import { intentFor, modeOf, type PlanContext } from '../../plan/method'
import { isGripLimited, pairRelation, pairRests, restAfterSet, restClass } from '../../plan/minutes'
import {
  isExtended,
  leadReps,
  leadRir,
  lowestRir,
  plannedSets,
  type SetRun,
  splitSets,
} from '../../plan/scheme'
import type { Grouping, Session, Slot } from '../../plan/session'

/** One way to make a session shorter by one step. */
export interface Shortening {
  /** Names the step and what it touches, so that the coach can refuse it. */
  readonly key: string
  readonly step: ShortStep
  readonly slots: readonly Slot[]
  /** The session with the step taken. */
  readonly apply: () => Session
  /** The one grouping that is changed and stays, as it is before; left out where more is changed. */
  readonly touched?: Grouping
}

/** Steps of a short session by the numbers of docs/methods.md#short-sessions. */
export const SHORT_STEPS = [
  'warm_up',
  'warm_up_sets',
  'pair',
  'rests',
  'drop',
  'sets',
  'lead_only',
  'later_exercises',
  'fewer_exercises',
] as const
export type ShortStep = (typeof SHORT_STEPS)[number]

/** Figures of the steps; rules of thumb. Source: docs/methods.md#short-sessions. */
const SHORT_WARM_UP = 120
const PAIR_REST = { inside: 15, after: 75 } as const
const HEAVY_SHARE = 0.8
const LOW_BACK_MOST = 2
const DROP_PERCENT = 30
const LATER = { part: 2 / 3, kept: 0.6 } as const
const FEWER = { sets: 3, rir: 1 } as const

/** Places with one user at a time; two different ones are not held together. */
const STATIONS: readonly Equipment[] = [
  'machine',
  'cable',
  'rack',
  'rail_guided_barbell',
  'preacher_bench',
  'pull_up_bar',
  'dip_bars',
]
const FREE_BARS: readonly Equipment[] = ['barbell', 'rack']

const exerciseOf = (slot: Slot, { catalogue }: PlanContext): Exercise =>
  requireExercise(catalogue, slot.exercise)
const workingRuns = ({ scheme }: Slot): readonly SetRun[] =>
  scheme.runs.filter(({ role }) => role !== 'warmup')
const isFree = ({ slots }: Grouping) => slots.every(({ isHeld }) => !isHeld)
const keyOf = (step: ShortStep, ...slots: readonly Slot[]) =>
  `${step} ${slots.map(({ id }) => id).join(' ')}`

function stressed(slot: Slot, context: PlanContext): readonly Joint[] {
  const { jointStress } = intentFor(context, exerciseOf(slot, context), slot.intent)
  return JOINTS.filter(joint => jointStress[joint] > 0)
}

function hurts(slot: Slot, context: PlanContext, levels: readonly string[]): boolean {
  return stressed(slot, context).some(joint =>
    levels.includes(context.client.pain?.[joint] ?? 'none'),
  )
}

/** Working load over the one-rep maximum, from reps and RIR. */
function shareOf(slot: Slot, context: PlanContext): number {
  const { repRange } = exerciseOf(slot, context)
  return Math.max(
    0,
    ...workingRuns(slot).map(run =>
      shareOfOneRep(
        leadReps(run) ?? (repRange[0] + repRange[1]) / 2,
        leadRir(run) ?? context.method.effort.defaultRir,
      ),
    ),
  )
}

function withGrouping(session: Session, at: number, ...changed: readonly Grouping[]): Session {
  return {
    ...session,
    groupings: [...session.groupings.slice(0, at), ...changed, ...session.groupings.slice(at + 1)],
  }
}

function withSlot(session: Session, at: number, changed: Slot): Session {
  const grouping = session.groupings[at]
  return grouping ? withGrouping(session, at, ...groupingWith(grouping, changed)) : session
}

const withRuns = (slot: Slot, runs: readonly SetRun[]): Slot => ({
  ...slot,
  scheme: { ...slot.scheme, runs },
})

/** Step 1: the general warm-up is two minutes, unless a joint that is used asks for care. */
export function shorterWarmUp(session: Session, context: PlanContext): readonly Shortening[] {
  const slots = session.groupings.flatMap(grouping => grouping.slots)
  const now =
    session.preparation?.reduce((sum, { minutes }) => sum + minutes * 60, 0) ??
    context.method.time.generalWarmup
  if (now <= SHORT_WARM_UP || slots.some(slot => hurts(slot, context, ['hold', 'swap', 'stop'])))
    return []
  return [
    {
      key: 'warm_up',
      step: 'warm_up',
      slots: [],
      apply: () => ({
        ...session,
        preparation: [{ minutes: SHORT_WARM_UP / 60, what: 'General warm-up' }],
      }),
    },
  ]
}

/** Step 2: of an exercise's warm-up sets only the last stays. */
export function fewerWarmUpSets(session: Session, context: PlanContext): readonly Shortening[] {
  return session.groupings.flatMap((grouping, at) =>
    grouping.slots.flatMap((slot): Shortening[] => {
      const warmups = slot.scheme.runs.filter(({ role }) => role === 'warmup')
      const last = warmups.at(-1)
      const sets = warmups.reduce((sum, { count }) => sum + count, 0)
      if (
        !last ||
        sets < 2 ||
        slot.isHeld ||
        shareOf(slot, context) >= HEAVY_SHARE ||
        hurts(slot, context, ['note', 'hold', 'swap', 'stop'])
      )
        return []
      return [
        {
          key: keyOf('warm_up_sets', slot),
          step: 'warm_up_sets',
          slots: [slot],
          apply: () =>
            withSlot(session, at, withRuns(slot, [{ ...last, count: 1 }, ...workingRuns(slot)])),
        },
      ]
    }),
  )
}

function isPairable(slot: Slot, context: PlanContext): boolean {
  const exercise = exerciseOf(slot, context)
  const isHeavyCompound = exercise.kind === 'compound' && shareOf(slot, context) >= HEAVY_SHARE
  return (
    !isHeavyCompound &&
    intentFor(context, exercise, slot.intent).jointStress.low_back <= LOW_BACK_MOST
  )
}

function areHeldTogether(a: Slot, b: Slot, context: PlanContext): boolean {
  const [one, two] = [a, b].map(slot =>
    STATIONS.filter(station => exerciseOf(slot, context).equipment.includes(station)),
  )
  return (
    !one ||
    !two ||
    one.length === 0 ||
    two.length === 0 ||
    one.every(station => two.includes(station))
  )
}

/** Whether both need the hands; what a coach counts differently still has to be held. */
function shareGrip(a: Slot, b: Slot, context: PlanContext): boolean {
  return [a, b].every(({ credits: _, ...slot }) => {
    const exercise = exerciseOf(slot, context)
    return (
      isGripLimited(slot, exercise, context) ||
      exercise.pattern === 'wrist' ||
      exercise.pattern === 'grip'
    )
  })
}

/** Step 3: neighbours of opposite or unrelated groups become a superset. */
export function pairedNeighbours(session: Session, context: PlanContext): readonly Shortening[] {
  if (context.method.pairing.mode === 'straight') return []
  return session.groupings.flatMap((grouping, at): Shortening[] => {
    const next = session.groupings[at + 1]
    const [a, b] = [grouping.slots[0], next?.slots[0]]
    if (
      !next ||
      !b ||
      grouping.slots.length > 1 ||
      next.slots.length > 1 ||
      !isFree(grouping) ||
      !isFree(next)
    )
      return []
    if (
      grouping.placement === 'warmup' ||
      next.placement === 'warmup' ||
      grouping.turn ||
      next.turn
    )
      return []
    if (
      pairRelation(a, b, context) === 'same_group' ||
      shareGrip(a, b, context) ||
      !areHeldTogether(a, b, context) ||
      !isPairable(a, context) ||
      !isPairable(b, context)
    )
      return []
    const together: Grouping = {
      ...grouping,
      id: groupingId(`${grouping.id}+${next.id}`),
      kind: 'superset',
      slots: [a, b],
      restBetweenPartners: { kind: 'seconds', seconds: PAIR_REST.inside },
      restAfterRound: { kind: 'seconds', seconds: PAIR_REST.after },
    }
    return [
      {
        key: keyOf('pair', a, b),
        step: 'pair',
        slots: [a, b],
        apply: () => ({
          ...session,
          groupings: [
            ...session.groupings.slice(0, at),
            together,
            ...session.groupings.slice(at + 2),
          ],
        }),
      },
    ]
  })
}

function leastRest(run: SetRun, slot: Slot, context: PlanContext): number {
  const { rest } = context.method
  return Math.min(
    restAfterSet(run, slot, exerciseOf(slot, context), context).seconds,
    restClass(run, exerciseOf(slot, context)) === 'isolation'
      ? rest.isolationMin
      : rest.compoundMin,
  )
}

function withLeastRests(slot: Slot, context: PlanContext): Slot {
  return withRuns(
    slot,
    slot.scheme.runs.map((run): SetRun => {
      const seconds = leastRest(run, slot, context)
      return run.role === 'warmup' ||
        restAfterSet(run, slot, exerciseOf(slot, context), context).seconds <= seconds
        ? run
        : { ...run, restAfter: { kind: 'seconds', seconds } }
    }),
  )
}

/** Step 4: the rests of one grouping come down to the method's least; the session's first exercise keeps them where it ends near failure. */
export function shorterRests(session: Session, context: PlanContext): readonly Shortening[] {
  const lead = session.groupings.find(({ placement }) => placement !== 'warmup')?.slots[0]
  return session.groupings.flatMap((grouping, at): Shortening[] => {
    if (!isFree(grouping) || grouping.placement === 'warmup') return []
    if (
      grouping.slots.some(
        slot =>
          slot === lead &&
          workingRuns(slot).some(run => (lowestRir(run) ?? context.method.effort.defaultRir) <= 1),
      )
    )
      return []
    const [first, ...others] = grouping.slots.map(slot => withLeastRests(slot, context))
    if (!first) return []
    const { after } = pairRests(grouping, context)
    const least = context.method.rest.isolationMin
    const isTighter = grouping.kind !== 'straight' && after.seconds > least
    return [
      {
        key: keyOf('rests', ...grouping.slots),
        step: 'rests',
        slots: grouping.slots,
        apply: () =>
          withGrouping(session, at, {
            ...grouping,
            slots: [first, ...others],
            ...(isTighter && { restAfterRound: { kind: 'seconds', seconds: least } }),
          }),
      },
    ]
  })
}

/** Step 5: the last two straight sets of a single-joint exercise become one with a drop. */
export function droppedLast(session: Session, context: PlanContext): readonly Shortening[] {
  if (!context.method.effort.extendedKinds.includes('drop')) return []
  return session.groupings.flatMap((grouping, at) =>
    grouping.slots.flatMap((slot): Shortening[] => {
      const exercise = exerciseOf(slot, context)
      const runs = workingRuns(slot)
      if (
        exercise.kind !== 'isolation' ||
        slot.isHeld ||
        grouping.placement === 'warmup' ||
        runs.length !== 1 ||
        plannedSets(slot.scheme) < 2 ||
        runs.some(isExtended)
      )
        return []
      if (
        hurts(slot, context, ['hold', 'swap', 'stop']) ||
        FREE_BARS.some(bar => exercise.equipment.includes(bar))
      )
        return []
      const [run] = runs
      return run
        ? [
            {
              key: keyOf('drop', slot),
              step: 'drop',
              slots: [slot],
              apply: () => withSlot(session, at, withDropAtEnd(slot, run, run.count - 1)),
            },
          ]
        : []
    }),
  )
}

function withDropAtEnd(slot: Slot, run: SetRun, sets: number): Slot {
  const last: SetRun = {
    ...run,
    count: 1,
    stages: [
      ...run.stages,
      {
        kind: 'work',
        reps: { kind: 'to_failure' },
        load: { kind: 'drop_percent', percent: DROP_PERCENT, from: 'previous' },
      },
    ],
  }
  const warmups = slot.scheme.runs.filter(({ role }) => role === 'warmup')
  return withRuns(slot, [...warmups, ...(sets > 1 ? [{ ...run, count: sets - 1 }] : []), last])
}

/** Direct sets of a group in a session besides one slot. */
function isTrainedElsewhere(
  session: Session,
  group: Group,
  besides: SlotId,
  context: PlanContext,
): boolean {
  return session.groupings.some(
    ({ slots, placement }) =>
      placement !== 'warmup' &&
      slots.some(slot => slot.id !== besides && mainGroups(slot, context).includes(group)),
  )
}

function mainGroups(slot: Slot, context: PlanContext): readonly Group[] {
  return directGroups(
    slot.credits ?? intentFor(context, exerciseOf(slot, context), slot.intent).credits,
  )
}

/** Step 6: one set less of an exercise; the last one only where its muscles are kept alive elsewhere. */
export function oneSetLess(session: Session, context: PlanContext): readonly Shortening[] {
  return session.groupings.flatMap((grouping, at) =>
    (grouping.placement === 'warmup' ? [] : grouping.slots).flatMap((slot): Shortening[] => {
      if (slot.isHeld) return []
      const isLast = plannedSets(slot.scheme) === 1
      if (
        isLast &&
        !mainGroups(slot, context).every(
          group =>
            modeOf(context, group) === 'maintain' ||
            isTrainedElsewhere(session, group, slot.id, context),
        )
      )
        return []
      return [
        {
          key: keyOf('sets', slot),
          step: 'sets',
          slots: [slot],
          ...(!isLast && { touched: grouping }),
          apply: () => withSlot(session, at, withOneLess(slot, context)),
        },
      ]
    }),
  )
}

const withOneLess = remembered((slot: Slot, _context: PlanContext): Slot => ({
  ...slot,
  scheme: splitSets(slot.scheme, 1).kept,
}))

/** Step 7: only the first exercise of each group in build stays. */
export function leadsOnly(session: Session, context: PlanContext): readonly Shortening[] {
  const seen = new Set<Group>()
  const leads = new Set(
    session.groupings
      .filter(({ placement }) => placement !== 'warmup')
      .flatMap(({ slots }) => slots)
      .filter(slot => {
        const fresh = mainGroups(slot, context).filter(
          group => modeOf(context, group) === 'build' && !seen.has(group),
        )
        fresh.forEach(group => seen.add(group))
        return fresh.length > 0 || slot.isHeld
      }),
  )
  return droppedBut(session, slot => leads.has(slot), 'lead_only')
}

function droppedBut(
  session: Session,
  isKept: (slot: Slot) => boolean,
  step: ShortStep,
): readonly Shortening[] {
  return session.groupings.flatMap((grouping, at) =>
    grouping.slots.flatMap((slot): Shortening[] =>
      isKept(slot)
        ? []
        : [
            {
              key: keyOf(step, slot),
              step,
              slots: [slot],
              apply: () => withSlot(session, at, withRuns(slot, [])),
            },
          ],
    ),
  )
}

/** The later exercises keep part of their sets, the last of them with a drop where the method has drops. */
export function laterExercises(session: Session, context: PlanContext): readonly Shortening[] {
  const slots = session.groupings
    .filter(({ placement }) => placement !== 'warmup')
    .flatMap(grouping => grouping.slots)
  const later = slots.slice(Math.floor(slots.length * LATER.part))
  const mayDrop = context.method.effort.extendedKinds.includes('drop')
  return session.groupings.flatMap((grouping, at) =>
    grouping.slots.flatMap((slot): Shortening[] => {
      const sets = plannedSets(slot.scheme)
      const kept = Math.ceil(sets * LATER.kept)
      const [run, ...others] = workingRuns(slot)
      if (!later.includes(slot) || slot.isHeld || kept === sets || !run) return []
      const isSafe =
        mayDrop &&
        others.length === 0 &&
        !isExtended(run) &&
        !hurts(slot, context, ['hold', 'swap', 'stop']) &&
        !FREE_BARS.some(bar => exerciseOf(slot, context).equipment.includes(bar))
      const changed = isSafe
        ? withDropAtEnd(slot, run, kept)
        : { ...slot, scheme: splitSets(slot.scheme, sets - kept).kept }
      return [
        {
          key: keyOf('later_exercises', slot),
          step: 'later_exercises',
          slots: [slot],
          apply: () => withSlot(session, at, changed),
        },
      ]
    }),
  )
}

/** One exercise for each muscle, done with attention: three sets near failure; the others fall away, last first. */
export function fewerExercises(session: Session, context: PlanContext): readonly Shortening[] {
  const seen = new Set<Group>()
  const first = new Set(
    session.groupings
      .flatMap(({ slots, placement }) => (placement === 'warmup' ? [] : slots))
      .filter(slot => {
        const fresh = mainGroups(slot, context).filter(group => !seen.has(group))
        fresh.forEach(group => seen.add(group))
        return fresh.length > 0 || slot.isHeld
      }),
  )
  const fallen = [...droppedBut(session, slot => first.has(slot), 'fewer_exercises')].reverse()
  if (fallen.length > 0) return fallen
  return session.groupings.flatMap((grouping, at) =>
    grouping.slots.flatMap((slot): Shortening[] => {
      const surplus = plannedSets(slot.scheme) - FEWER.sets
      if (surplus <= 0 || slot.isHeld) return []
      const kept = splitSets(slot.scheme, surplus).kept
      const nearer = kept.runs.map((run): SetRun =>
        run.role === 'warmup' || hurts(slot, context, ['hold', 'swap', 'stop'])
          ? run
          : {
              ...run,
              stages: mapNonEmpty(run.stages, stage =>
                stage.kind === 'work' &&
                stage.effort?.kind === 'rir' &&
                stage.effort.rir > FEWER.rir
                  ? { ...stage, effort: { kind: 'rir' as const, rir: FEWER.rir } }
                  : stage,
              ),
            },
      )
      return [
        {
          key: keyOf('fewer_exercises', slot),
          step: 'fewer_exercises',
          slots: [slot],
          apply: () => withSlot(session, at, { ...slot, scheme: { ...kept, runs: nearer } }),
        },
      ]
    }),
  )
}
