import { type GroupingId, remembered, type SlotId } from '../../base'
import { type Exercise, requireExercise } from '../catalogue'
import type { PlanContext } from '../method'
import { restSeconds, type SetRun } from '../scheme'
import type { Grouping, Session, Slot } from '../session'
import { givenRest, mainGroup, restAfterSet, type UsedRest } from './restUsed'
import { setSeconds, sideOrderOf } from './setSeconds'

/** Which number of sets to take where the plan leaves a choice. */
export type Case = 'low' | 'nominal' | 'high'

/** What a client is doing: getting warm, setting up, lifting, waiting between partners or for the next round, changing place. */
export type SpanKind = 'preparation' | 'setup' | 'warmup' | 'set' | 'inside' | 'rest' | 'transition'

/** A stretch of a session. Units: seconds, `start` from the session's beginning. */
export interface TimeSpan {
  readonly kind: SpanKind
  readonly start: number
  readonly seconds: number
  /** Seconds of it that rest on a default. */
  readonly assumed: number
  readonly grouping?: GroupingId
  readonly slot?: SlotId
  /** The run of the slot's scheme that a set belongs to, from 0. */
  readonly run?: number
  /** The working set of the slot, from 0; both arms of one set have the same. */
  readonly set?: number
}

/** Parameters of a session's time; rules of thumb. Source: docs/methods.md#minutes. */
const TRANSITION = 45
const WARM_UP_REST = 45
const USUAL_PAIR = {
  superset: { inside: 15, after: 75 },
  alternating: { inside: 60, after: 60 },
  circuit: { inside: 15, after: 75 },
} as const

type Paired = Grouping & { readonly kind: keyof typeof USUAL_PAIR }
interface PlannedSet {
  readonly run: SetRun
  readonly runAt: number
  readonly set: number
}
interface Part {
  readonly slot: Slot
  readonly exercise: Exercise
  readonly warmups: readonly SetRun[]
  readonly sets: readonly PlannedSet[]
}

/** Spans in a row, each beginning where the one before ends. */
interface Track {
  readonly spans: TimeSpan[]
  readonly client: PlanContext['client']
  end: number
}
const newTrack = ({ client }: PlanContext): Track => ({ spans: [], client, end: 0 })

/** What of a client's own times a span goes by. */
const TIMED_BY = {
  set: 'set',
  warmup: 'set',
  rest: 'rest',
  inside: 'rest',
  setup: 'setUp',
  transition: 'setUp',
  preparation: null,
} as const satisfies Readonly<Record<SpanKind, 'set' | 'rest' | 'setUp' | null>>

/** How much longer than estimated the client takes for a kind of span. */
function ownTime(kind: SpanKind, { times }: PlanContext['client']): number {
  const by = TIMED_BY[kind]
  return times && by ? times[by] : 1
}

function add(
  track: Track,
  kind: SpanKind,
  estimated: number,
  { assumed = 0, ...more }: Partial<TimeSpan> = {},
): void {
  const factor = ownTime(kind, track.client)
  const seconds = estimated * factor
  track.spans.push({ kind, start: track.end, seconds, assumed: assumed * factor, ...more })
  track.end += seconds
}

function addRest(
  track: Track,
  kind: 'rest' | 'inside',
  { seconds, isGiven }: UsedRest,
  grouping: Grouping,
): void {
  add(track, kind, seconds, { grouping: grouping.id, assumed: isGiven ? 0 : seconds })
}

function addSet(
  track: Track,
  { slot, exercise }: Part,
  { run, runAt, set }: PlannedSet,
  grouping: Grouping,
  context: PlanContext,
): void {
  const { seconds, assumed } = setSeconds(run, exercise, context, isPaired(grouping))
  add(track, 'set', seconds, { grouping: grouping.id, slot: slot.id, run: runAt, set, assumed })
}

function countIn(run: SetRun, which: Case, mayFallAway: boolean): number {
  if (which === 'nominal' || (which === 'high' && !run.countRange)) return run.count
  if (which === 'high') return run.countRange?.high ?? run.count
  return mayFallAway || run.onlyIf !== undefined ? 0 : (run.countRange?.low ?? run.count)
}

function partOf(slot: Slot, grouping: Grouping, which: Case, context: PlanContext): Part {
  const mayFallAway = grouping.onlyIf !== undefined || grouping.turn !== undefined
  const isOff = which === 'nominal' && grouping.turn !== undefined && grouping.turn.at !== 1
  const warmups: SetRun[] = []
  const sets: PlannedSet[] = []
  slot.scheme.runs.forEach((run, runAt) => {
    for (let left = isOff ? 0 : countIn(run, which, mayFallAway); left > 0; left--) {
      if (run.role === 'warmup') warmups.push(run)
      else sets.push({ run, runAt, set: sets.length })
    }
  })
  return { slot, exercise: requireExercise(context.catalogue, slot.exercise), warmups, sets }
}

function addStart(
  track: Track,
  { slot, exercise, warmups }: Part,
  grouping: Grouping,
  context: PlanContext,
): void {
  add(track, 'setup', exercise.setupSeconds, { grouping: grouping.id, slot: slot.id })
  for (const run of warmups) {
    add(
      track,
      'warmup',
      // Both arms get warm, one right after the other.
      setSeconds(run, exercise, context, true).seconds +
        ((run.restAfter && restSeconds(run.restAfter)) ?? WARM_UP_REST),
      { grouping: grouping.id, slot: slot.id },
    )
  }
}

/** Sets of one exercise by themselves; where sides rest in between, each side is a set with its rest. */
function addStraight(track: Track, part: Part, grouping: Grouping, context: PlanContext): void {
  part.sets.forEach((planned, at) => {
    const isLast = at === part.sets.length - 1
    const sides = sideOrderOf(planned.run, part.exercise, false) === 'rest_between' ? 2 : 1
    for (let side = 1; side <= sides; side++) {
      addSet(track, part, planned, grouping, context)
      if (!isLast || side < sides)
        addRest(
          track,
          'rest',
          restAfterSet(planned.run, part.slot, part.exercise, context),
          grouping,
        )
    }
  })
}

/** The rests of a grouping that is done together: between its partners and after a round. */
export function pairRests(
  grouping: Grouping,
  context: PlanContext,
): { readonly inside: UsedRest; readonly after: UsedRest } {
  const { pairing } = context.method
  const kind = grouping.kind === 'straight' ? 'superset' : grouping.kind
  const usual =
    pairing.mode === kind || (kind === 'circuit' && pairing.mode === 'superset')
      ? pairing
      : USUAL_PAIR[kind]
  const inside = givenRest(grouping.restBetweenPartners) ?? {
    seconds: usual.inside,
    isGiven: false,
  }
  return {
    inside: { ...inside, seconds: Math.max(inside.seconds, grouping.changeOverSeconds ?? 0) },
    after: givenRest(grouping.restAfterRound) ?? { seconds: usual.after, isGiven: false },
  }
}

/** Rounds of all partners, then what single partners have left over. */
function addPaired(
  track: Track,
  grouping: Paired,
  parts: readonly Part[],
  context: PlanContext,
): void {
  const rounds = Math.min(...parts.map(({ sets }) => sets.length))
  const { inside, after } = pairRests(grouping, context)
  for (let round = 0; round < rounds; round++) {
    parts.forEach((part, at) => {
      const planned = part.sets[round]
      if (planned) addSet(track, part, planned, grouping, context)
      if (at < parts.length - 1) addRest(track, 'inside', inside, grouping)
    })
    if (round < rounds - 1) addRest(track, 'rest', after, grouping)
  }
  let isFirst = rounds === 0
  for (const part of parts) {
    for (const planned of part.sets.slice(rounds)) {
      if (!isFirst)
        addRest(
          track,
          'rest',
          restAfterSet(planned.run, part.slot, part.exercise, context),
          grouping,
        )
      isFirst = false
      addSet(track, part, planned, grouping, context)
    }
  }
}

function isPaired(grouping: Grouping): grouping is Paired {
  return grouping.kind !== 'straight' && grouping.slots.length > 1
}

function addGrouping(track: Track, grouping: Grouping, which: Case, context: PlanContext): void {
  const parts = grouping.slots
    .map(slot => partOf(slot, grouping, which, context))
    .filter(({ sets, warmups }) => sets.length + warmups.length > 0)
  if (isPaired(grouping) && parts.length > 1) {
    for (const part of parts) addStart(track, part, grouping, context)
    return addPaired(track, grouping, parts, context)
  }
  parts.forEach((part, at) => {
    if (at > 0) add(track, 'transition', TRANSITION, { grouping: grouping.id, assumed: TRANSITION })
    addStart(track, part, grouping, context)
    addStraight(track, part, grouping, context)
  })
}

/** The muscle a grouping begins with. */
const mainOf = remembered((grouping: Grouping, context: PlanContext) => {
  const [slot] = grouping.slots
  return mainGroup(slot, requireExercise(context.catalogue, slot.exercise), context)
})

/** Between two groupings: the way over, or a longer rest that the plan asks for. */
function transitionAfter(
  grouping: Grouping,
  next: Grouping,
  session: Session,
  context: PlanContext,
): number {
  const own = givenRest(grouping.restAfterGrouping)?.seconds ?? 0
  const between = givenRest(session.restBetweenMuscles)?.seconds ?? 0
  if (between <= Math.max(TRANSITION, own)) return Math.max(TRANSITION, own)
  return mainOf(grouping, context) !== mainOf(next, context) ? between : Math.max(TRANSITION, own)
}

function hasSets(grouping: Grouping, which: Case, context: PlanContext): boolean {
  return grouping.slots.some(slot => {
    const { sets, warmups } = partOf(slot, grouping, which, context)
    return sets.length + warmups.length > 0
  })
}

function addPreparation(
  track: Track,
  { preparation }: Session,
  which: Case,
  isAnything: boolean,
  { method }: PlanContext,
): void {
  if (!preparation && isAnything)
    add(track, 'preparation', method.time.generalWarmup, { assumed: method.time.generalWarmup })
  for (const { minutes, onlyIf } of preparation ?? [])
    if (onlyIf === undefined || which !== 'low') add(track, 'preparation', minutes * 60)
}

/**
 * What happens when in a session: spans in a row without a gap, from warming up to the last set.
 *
 * Units:  seconds; the last span ends where `sessionTime` says the session does.
 * Edge:   no exercises give no spans but the preparation the plan names; no set-up time gives a span of 0 s.
 * Source: docs/methods.md#minutes.
 */
export function sessionSpans(
  session: Session,
  context: PlanContext,
  which: Case = 'nominal',
): readonly TimeSpan[] {
  const kept = session.groupings.filter(grouping => hasSets(grouping, which, context))
  const track = newTrack(context)
  addPreparation(track, session, which, kept.length > 0, context)
  kept.forEach((grouping, at) => {
    const before = kept[at - 1]
    if (before) {
      const seconds = transitionAfter(before, grouping, session, context)
      add(track, 'transition', seconds, { assumed: seconds })
    }
    addGrouping(track, grouping, which, context)
  })
  return track.spans
}

const groupingSeconds = remembered((grouping: Grouping, context: PlanContext): number => {
  const track = newTrack(context)
  addGrouping(track, grouping, 'nominal', context)
  return track.end
})

/** Seconds of a session as `sessionTime` gives them, without working out again the groupings that are known already. */
export function sessionSeconds(session: Session, context: PlanContext): number {
  const kept = session.groupings.filter(
    grouping => groupingSeconds(grouping, context) > 0 || hasSets(grouping, 'nominal', context),
  )
  const start = newTrack(context)
  addPreparation(start, session, 'nominal', kept.length > 0, context)
  return kept.reduce((sum, grouping, at) => {
    const before = kept[at - 1]
    return (
      sum +
      groupingSeconds(grouping, context) +
      (before
        ? transitionAfter(before, grouping, session, context) *
          ownTime('transition', context.client)
        : 0)
    )
  }, start.end)
}
