import { remembered, mapNonEmpty } from '../../base'
import { type Alternation, slotTaken } from '../../plan/block'
import { requireExercise } from '../../plan/catalogue'
import { intentFor, type PlanContext } from '../../plan/method'
import { mayGrow } from '../../body/joints'
import {
  leadRir,
  type Load,
  orderedText,
  plannedSets,
  type SetRun,
  type SetScheme,
  splitSets,
  type Stage,
  type WeightUnit,
  withSetsAdded,
} from '../../plan/scheme'
import type { Grouping, Session, Slot } from '../../plan/session'
import { deloadScheme } from './deload'
import { mayFail, withLastToFailure } from './lastSet'
import { LEAST_RIR } from './ramp'
import { reached, type TakenWay, withWay } from './ways'

const LEAST_REPS = 3
const MOST_RIR = 6

function withStages(
  run: SetRun,
  change: (stage: Extract<Stage, { kind: 'work' }>) => Stage,
): SetRun {
  return {
    ...run,
    stages: mapNonEmpty(run.stages, stage => (stage.kind === 'work' ? change(stage) : stage)),
  }
}

function onWorking(scheme: SetScheme, change: (run: SetRun) => SetRun): SetScheme {
  return { ...scheme, runs: scheme.runs.map(run => (run.role === 'warmup' ? run : change(run))) }
}

/** More sets of a ladder that climbs a step a set: they are like its last one, with the same load, so that no ramp adds weight. */
function withLevelSets(scheme: SetScheme, added: number, unit: WeightUnit): SetScheme {
  const last = scheme.runs.findLast(({ role }) => role === 'working')
  if (!last) return withSetsAdded(scheme, added)
  const [lead, ...later] = last.stages
  const level: Load = { kind: 'drop_weight', amount: 0, unit, from: 'previous' }
  const run: SetRun = {
    ...last,
    count: added,
    stages: [lead.kind === 'work' ? { ...lead, load: level } : lead, ...later],
  }
  return { ...scheme, runs: [...scheme.runs, run] }
}

/** A scheme with so many working sets. */
export function withSetCount(scheme: SetScheme, sets: number): SetScheme {
  const change = sets - plannedSets(scheme)
  if (change === 0) return scheme
  if (change > 0 && scheme.loadStep) return withLevelSets(scheme, change, scheme.loadStep.unit)
  return change > 0 ? withSetsAdded(scheme, change) : splitSets(scheme, -change).kept
}

/**
 * A scheme with the reps in reserve of its first working set at a value; what differs from set to set keeps its difference.
 *
 * Edge: sets to failure stay so; sets without reps in reserve get them.
 */
export function withLeadRir(scheme: SetScheme, rir: number, least: number): SetScheme {
  const first = scheme.runs.find(({ role }) => role !== 'warmup')
  const shift = rir - ((first && leadRir(first)) ?? rir)
  return onWorking(scheme, run =>
    withStages(run, stage => {
      if (!stage.effort)
        return run.stages.indexOf(stage) === 0
          ? { ...stage, effort: { kind: 'rir', rir: Math.max(least, rir) } }
          : stage
      if (stage.effort.kind !== 'rir') return stage
      return {
        ...stage,
        effort: { kind: 'rir', rir: Math.min(MOST_RIR, Math.max(least, stage.effort.rir + shift)) },
      }
    }),
  )
}

/** A scheme with more or fewer reps; counts that are not numbers stay. */
export function withRepShift(scheme: SetScheme, shift: number): SetScheme {
  const moved = (reps: number) => Math.max(Math.min(reps, LEAST_REPS), reps + shift)
  return shift === 0
    ? scheme
    : onWorking(scheme, run =>
        withStages(run, stage => {
          if (stage.reps?.kind === 'exactly')
            return { ...stage, reps: { ...stage.reps, count: moved(stage.reps.count) } }
          if (stage.reps?.kind === 'between')
            return {
              ...stage,
              reps: { ...stage.reps, low: moved(stage.reps.low), high: moved(stage.reps.high) },
            }
          return stage
        }),
      )
}

export interface PassTerms {
  readonly setsOf: (slot: Slot) => number
  readonly rir: { readonly compound: number; readonly isolation: number } | null
  readonly rirShiftOf: (slot: Slot) => number
  readonly repShiftOf: (slot: Slot) => number
  readonly isDeload: boolean
  readonly otherOf: (slot: Slot) => Alternation | undefined
  /** The last set of single-joint work goes to failure by now. */
  readonly isToFailure?: boolean
  /** How far an exercise is along a way of its own; left out where none has one. */
  readonly wayOf?: (exercise: string) => TakenWay | undefined
}

/** What becomes of a slot in a pass, in figures: equal figures make equal slots. */
interface SlotTerms {
  readonly sets: number
  readonly rir: number | null
  readonly repShift: number
  readonly isDeload: boolean
  readonly other: Alternation | undefined
  readonly taken: TakenWay | undefined
  readonly fails: boolean
}

function isKept(slot: Slot, other: Alternation | undefined, context: PlanContext): boolean {
  const { exercise, intent } = other ?? slot
  const { jointStress } = intentFor(context, requireExercise(context.catalogue, exercise), intent)
  return !mayGrow(jointStress, context)
}

const begun = (taken: TakenWay | undefined) => (taken && taken.steps > 0 ? taken : undefined)
const setsAlong = (sets: number, taken: TakenWay | undefined): number =>
  taken?.way.kind === 'sets' && sets > 0 ? reached(taken.way, sets, taken.steps) : sets

function termsOf(
  slot: Slot,
  { setsOf, rir: course, rirShiftOf, repShiftOf, isDeload, otherOf, wayOf, isToFailure }: PassTerms,
  context: PlanContext,
): SlotTerms {
  const other = otherOf(slot)
  const rirShift = rirShiftOf(slot)
  const repShift = repShiftOf(slot)
  const own =
    course?.[
      requireExercise(context.catalogue, other?.exercise ?? slot.exercise).kind === 'isolation'
        ? 'isolation'
        : 'compound'
    ]
  const lead = own ?? (rirShift === 0 ? null : leadOf(slot.scheme))
  const rir = lead === null ? null : lead + rirShift
  // A sore joint is loaded no nearer to failure, and with no more weight for fewer reps, than now.
  const isHeld = isKept(slot, other, context)
  const taken = isHeld || isDeload ? undefined : begun(wayOf?.(other?.exercise ?? slot.exercise))
  return {
    sets: setsAlong(setsOf(slot), taken),
    rir: rir !== null && isHeld ? Math.max(rir, leadOf(slot.scheme)) : rir,
    repShift: isHeld ? Math.max(0, repShift) : repShift,
    isDeload,
    other,
    taken,
    fails: isToFailure === true && !isHeld && !isDeload && mayFail(other ?? slot, context),
  }
}

function slotIn(
  slot: Slot,
  { sets, rir, repShift, isDeload, other, taken, fails }: SlotTerms,
  context: PlanContext,
): Slot {
  const named = other ? slotTaken(slot, other) : slot
  const exercise = requireExercise(context.catalogue, named.exercise)
  const { kind } = exercise
  let scheme = withRepShift(withSetCount(named.scheme, sets), repShift)
  if (taken) scheme = withWay(scheme, taken.way, taken.steps, exercise)
  if (rir !== null)
    scheme = withLeadRir(scheme, rir, LEAST_RIR[kind === 'isolation' ? 'isolation' : 'compound'])
  if (fails) scheme = withLastToFailure(scheme)
  if (isDeload) scheme = deloadScheme(scheme, named, context)
  return scheme === slot.scheme && named === slot ? slot : { ...named, scheme }
}

function leadOf(scheme: SetScheme): number {
  const first = scheme.runs.find(({ role }) => role !== 'warmup')
  return (first && leadRir(first)) ?? 2
}

const keyOf = ({ sets, rir, repShift, isDeload, other, taken, fails }: SlotTerms): string =>
  [
    sets,
    rir,
    repShift,
    isDeload,
    fails,
    other?.exercise,
    other?.intent,
    other?.as && orderedText(other.as),
    ...(taken ? [taken.way.kind, taken.way.by, taken.way.to, taken.steps] : []),
  ].join()

/** More versions of one session than a block has; what is older is made again when it is asked for. */
const MOST_VERSIONS = 400

/** A session of the rotation and what passes have made of it. */
const versionsOf = remembered((_session: Session, _context: PlanContext) => ({
  groupings: new Map<string, Grouping | null>(),
  sessions: new Map<string, Session>(),
}))

/**
 * A session as a pass has it; exercises that are left without sets go.
 *
 * Shape: the session itself where nothing changes, and the same object for the same terms, so that what was counted of one pass, or
 *        before an edit that does not touch it, is known for its like.
 */
export function sessionInPass(session: Session, terms: PassTerms, context: PlanContext): Session {
  const { groupings: known, sessions } = versionsOf(session, context)
  if (known.size > MOST_VERSIONS) [known, sessions].forEach(versions => versions.clear())
  let key = ''
  const groupings = session.groupings.flatMap((grouping): Grouping[] => {
    if (grouping.placement === 'warmup') return [grouping]
    const own = grouping.slots.map(slot => termsOf(slot, terms, context))
    const groupingKey = `${grouping.id}|${own.map(keyOf).join(';')}`
    key += groupingKey
    const held =
      known.get(groupingKey) ?? (known.has(groupingKey) ? null : made(grouping, own, context))
    known.set(groupingKey, held)
    return held ? [held] : []
  })
  const isSame =
    groupings.length === session.groupings.length &&
    groupings.every((grouping, at) => grouping === session.groupings[at])
  const found = sessions.get(key) ?? (isSame ? session : { ...session, groupings })
  sessions.set(key, found)
  return found
}

/** Its sets are gone; warm-ups do not stay alone. */
const isLeftOut = (slot: Slot, { sets }: SlotTerms): boolean =>
  sets === 0 && plannedSets(slot.scheme) > 0

function made(
  grouping: Grouping,
  terms: readonly SlotTerms[],
  context: PlanContext,
): Grouping | null {
  const [first, ...others] = grouping.slots
    .flatMap((slot, at) =>
      terms[at] && !isLeftOut(slot, terms[at]) ? [slotIn(slot, terms[at], context)] : [],
    )
    .filter(({ scheme }) => scheme.runs.length > 0)
  if (!first) return null
  const slots = [first, ...others] as const
  if (
    slots.length === grouping.slots.length &&
    slots.every((slot, at) => slot === grouping.slots[at])
  )
    return grouping
  return { ...grouping, kind: others.length === 0 ? 'straight' : grouping.kind, slots }
}
