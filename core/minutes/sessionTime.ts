import { type GroupingId, remembered } from '../base'
import { type Exercise, requireExercise } from '../catalogue'
import type { PlanContext } from '../method'
import { restSeconds, type SetRun } from '../scheme'
import type { Grouping, Session, Slot } from '../session'
import { givenRest, mainGroup, restAfterSet, type UsedRest } from './restUsed'
import { setSeconds, sideOrderOf } from './setSeconds'

/** Which number of sets to take where the plan leaves a choice. */
type Case = 'low' | 'nominal' | 'high'

/** Time of one grouping, split as the strip draws it. Units: seconds. */
export interface GroupingTime {
  readonly grouping: GroupingId
  readonly seconds: number
  readonly setup: number
  readonly warmup: number
  readonly work: number
  readonly rest: number
}

/** Time of a session. Units: seconds. */
export interface SessionTime {
  readonly seconds: number
  /** With the fewest and the most sets that the plan leaves open. */
  readonly low: number
  readonly high: number
  readonly generalWarmup: number
  readonly groupings: readonly GroupingTime[]
  /** Between groupings. */
  readonly transitions: number
  /** Share of the time that rests on defaults, 0 to 1. */
  readonly assumedShare: number
}

/** Parameters of a session's time; rules of thumb. Source: docs/methods.md#minutes. */
const TRANSITION = 45
const WARM_UP_REST = 45
const USUAL_PAIR = { superset: { inside: 15, after: 75 }, alternating: { inside: 60, after: 60 }, circuit: { inside: 15, after: 75 } } as const

interface Tally { setup: number, warmup: number, work: number, rest: number, assumed: number }

interface Part { readonly slot: Slot, readonly exercise: Exercise, readonly sets: readonly SetRun[] }

function countIn(run: SetRun, which: Case, mayFallAway: boolean): number {
  if (which === 'nominal' || (which === 'high' && !run.countRange)) return run.count
  if (which === 'high') return run.countRange?.high ?? run.count
  return mayFallAway || run.onlyIf !== undefined ? 0 : run.countRange?.low ?? run.count
}

function partOf(slot: Slot, grouping: Grouping, which: Case, context: PlanContext): Part {
  const mayFallAway = grouping.onlyIf !== undefined || grouping.turn !== undefined
  const isOff = which === 'nominal' && grouping.turn !== undefined && grouping.turn.at !== 1
  const sets = slot.scheme.runs.flatMap(run => Array.from({ length: isOff ? 0 : countIn(run, which, mayFallAway) }, () => run))
  return { slot, exercise: requireExercise(context.catalogue, slot.exercise), sets }
}

function addWarmups(tally: Tally, { exercise, sets }: Part, context: PlanContext): void {
  for (const run of sets.filter(({ role }) => role === 'warmup')) {
    tally.warmup += setSeconds(run, exercise, context).seconds + ((run.restAfter && restSeconds(run.restAfter)) ?? WARM_UP_REST)
  }
}

function addSet(tally: Tally, run: SetRun, exercise: Exercise, context: PlanContext, isPaired: boolean): void {
  const { seconds, assumed } = setSeconds(run, exercise, context, isPaired)
  tally.work += seconds
  tally.assumed += assumed
}

function addRest(tally: Tally, { seconds, isGiven }: UsedRest, times = 1): void {
  tally.rest += seconds * times
  if (!isGiven) tally.assumed += seconds * times
}

/** Sets of one exercise by themselves; where sides rest in between, each side is a set with its rest. */
function addStraight(tally: Tally, part: Part, context: PlanContext): void {
  const working = part.sets.filter(({ role }) => role !== 'warmup')
  working.forEach((run, at) => {
    const sides = sideOrderOf(run, part.exercise, false) === 'rest_between' ? 2 : 1
    for (let side = 0; side < sides; side++) addSet(tally, run, part.exercise, context, false)
    addRest(tally, restAfterSet(run, part.slot, part.exercise, context), at === working.length - 1 ? sides - 1 : sides)
  })
}

function pairRests(grouping: Grouping & { kind: keyof typeof USUAL_PAIR }, context: PlanContext): { readonly inside: UsedRest, readonly after: UsedRest } {
  const { pairing } = context.method
  const usual = pairing.mode === grouping.kind || (grouping.kind === 'circuit' && pairing.mode === 'superset') ? pairing : USUAL_PAIR[grouping.kind]
  const inside = givenRest(grouping.restBetweenPartners) ?? { seconds: usual.inside, isGiven: false }
  return {
    inside: { ...inside, seconds: Math.max(inside.seconds, grouping.changeOverSeconds ?? 0) },
    after: givenRest(grouping.restAfterRound) ?? { seconds: usual.after, isGiven: false },
  }
}

/** Rounds of all partners, then what single partners have left over. */
function addPaired(tally: Tally, grouping: Grouping & { kind: keyof typeof USUAL_PAIR }, parts: readonly Part[], context: PlanContext): void {
  const working = parts.map(part => ({ ...part, sets: part.sets.filter(({ role }) => role !== 'warmup') }))
  const rounds = Math.min(...working.map(({ sets }) => sets.length))
  const { inside, after } = pairRests(grouping, context)
  for (let round = 0; round < rounds; round++) {
    for (const { sets, exercise } of working) {
      const run = sets[round]
      if (run) addSet(tally, run, exercise, context, true)
    }
    addRest(tally, inside, working.length - 1)
    if (round < rounds - 1) addRest(tally, after)
  }
  for (const part of working) {
    part.sets.slice(rounds).forEach((run) => {
      addRest(tally, rounds > 0 || tally.work > 0 ? restAfterSet(run, part.slot, part.exercise, context) : { seconds: 0, isGiven: true })
      addSet(tally, run, part.exercise, context, true)
    })
  }
}

function isPaired(grouping: Grouping): grouping is Grouping & { kind: keyof typeof USUAL_PAIR } {
  return grouping.kind !== 'straight' && grouping.slots.length > 1
}

function timeOfGrouping(grouping: Grouping, which: Case, context: PlanContext): GroupingTime & { readonly assumed: number } {
  const tally: Tally = { setup: 0, warmup: 0, work: 0, rest: 0, assumed: 0 }
  const parts = grouping.slots.map(slot => partOf(slot, grouping, which, context)).filter(({ sets }) => sets.length > 0)
  for (const part of parts) {
    tally.setup += part.exercise.setupSeconds
    addWarmups(tally, part, context)
  }
  if (isPaired(grouping) && parts.length > 1) addPaired(tally, grouping, parts, context)
  else parts.forEach(part => addStraight(tally, part, context))
  const { assumed, ...time } = tally
  return { grouping: grouping.id, ...time, seconds: tally.setup + tally.warmup + tally.work + tally.rest, assumed }
}

/** Between two groupings: the way over, or a longer rest that the plan asks for. */
function transitionAfter(grouping: Grouping, next: Grouping, session: Session, context: PlanContext): number {
  const own = givenRest(grouping.restAfterGrouping)?.seconds ?? 0
  const mains = [grouping, next].map(({ slots: [slot] }) => mainGroup(slot, requireExercise(context.catalogue, slot.exercise), context))
  const muscles = mains[0] !== mains[1] ? givenRest(session.restBetweenMuscles)?.seconds ?? 0 : 0
  return Math.max(TRANSITION, own, muscles)
}

function timeIn(session: Session, which: Case, context: PlanContext) {
  const kept = session.groupings.map(grouping => ({ grouping, time: timeOfGrouping(grouping, which, context) })).filter(({ time }) => time.seconds > 0)
  const transitions = kept.slice(0, -1).reduce((sum, { grouping }, at) => sum + transitionAfter(grouping, kept[at + 1]?.grouping ?? grouping, session, context), 0)
  const preparation = (session.preparation ?? []).reduce((sum, { minutes, onlyIf }) => sum + (onlyIf !== undefined && which === 'low' ? 0 : minutes * 60), 0)
  const generalWarmup = session.preparation ? preparation : kept.length > 0 ? context.method.time.generalWarmup : 0
  const seconds = generalWarmup + transitions + kept.reduce((sum, { time }) => sum + time.seconds, 0)
  return { seconds, transitions, generalWarmup, kept }
}

function isOpen(session: Session): boolean {
  return session.preparation?.some(({ onlyIf }) => onlyIf !== undefined) === true
    || session.groupings.some(({ onlyIf, turn, slots }) => onlyIf !== undefined || turn !== undefined
      || slots.some(({ scheme }) => scheme.runs.some(run => run.countRange !== undefined || run.onlyIf !== undefined)))
}

/**
 * How long a session takes: warm-up, set-up, sets, rests and ways.
 *
 * Units:  seconds; `pace` is what the client usually needs against the plan, 1 without a log.
 * Edge:   no exercises give no time; a choice of sets and conditional parts give a range.
 * Source: docs/methods.md#minutes; examples T7 to T16 in minutes.test.ts.
 */
export function sessionTime(session: Session, context: PlanContext, pace = 1): SessionTime {
  const time = plannedTime(session, context)
  return pace === 1 ? time : atPace(time, pace)
}

const plannedTime = remembered((session: Session, context: PlanContext): SessionTime => {
  const nominal = timeIn(session, 'nominal', context)
  const [low, high] = isOpen(session) ? [timeIn(session, 'low', context).seconds, timeIn(session, 'high', context).seconds] : [nominal.seconds, nominal.seconds]
  const assumed = nominal.kept.reduce((sum, { time }) => sum + time.assumed, 0) + nominal.transitions + (session.preparation ? 0 : nominal.generalWarmup)
  return {
    seconds: nominal.seconds, low, high: Math.max(high, nominal.seconds), generalWarmup: nominal.generalWarmup, transitions: nominal.transitions,
    groupings: nominal.kept.map(({ time: { assumed: _, ...time } }) => time),
    assumedShare: nominal.seconds === 0 ? 0 : assumed / nominal.seconds,
  }
})

function atPace({ assumedShare, groupings, ...seconds }: SessionTime, pace: number): SessionTime {
  const scaled = <Times extends object>(times: Times) => Object.fromEntries(Object.entries(times).map(([key, value]) => [key, typeof value === 'number' ? value * pace : value])) as Times
  return { ...scaled(seconds), assumedShare, groupings: groupings.map(scaled) }
}
