import { type Group, GROUPS, type Joint, JOINTS } from '../../plan/catalogue'
import { estimatedOneRep, expectedReps, loadForReps } from '../../plan/estimate'
import { normalShare, setReading, sharedVariance } from '../../body/log'
import { type Called, lookOn, NOTHING_CALLED, type Observed, slopeOf } from '../../body/trend'
import type { PainLevel } from '../../plan/method'
import { PERFORMANCE_LOSS } from '../../body/recovery'
import { type Adjustment, adjustments, type DecisionRow, type GroupEvidence } from '../review'
import { chance, type Chance } from './chance'
import type { RehearsalData, RehearsedPass, RehearsedSession, RehearsedSlot } from './rehearsalData'
import { type Hidden, hiddenClient, saidRir, saysRecovered, SIMULATED } from './hidden'

/** One set as the simulated client did it. Load as a share of strength at the block's beginning. */
export interface RehearsedSet {
  readonly slot: RehearsedSlot
  readonly set: number
  readonly load: number
  readonly reps: number
  readonly rir: number
}

/** What becomes of a session; for whoever wants to keep it. */
export interface RehearsedOutcome {
  readonly session: RehearsedSession
  readonly isMissed: boolean
  readonly sets: readonly RehearsedSet[]
  readonly isRecovered: boolean | null
}

/** One pass of one run. By the order of GROUPS and JOINTS. */
export interface PassRun {
  readonly counted: Float64Array
  readonly readiness: Float64Array
  readonly joints: Float64Array
  readonly missed: number
  readonly sessions: number
  readonly rows: readonly DecisionRow[]
  readonly pains: number
}

export interface Run {
  readonly passes: readonly PassRun[]
  readonly strength: Float64Array
}

const RAMP_WEEKS = 4
const NOT_KNOWN = 100

interface State {
  readonly hidden: Hidden
  readonly chance: Chance
  /** ln of strength against the beginning, and what is left of fatigue: really, and as the model reckons it. */
  readonly strength: Float64Array
  readonly fatigue: Float64Array
  readonly assumed: Float64Array
  hour: number
  readonly believed: Map<number, number[]>
  /** Everything done, in the order of its days, and what was said of each muscle by it. */
  readonly observed: Observed[]
  readonly called: Called[]
  readonly jointWeeks: number[][]
  sore: readonly PainLevel[]
  /** Sets and reps in reserve by which the pass differs from the plan. */
  change: {
    readonly sets: Float64Array
    readonly rir: Float64Array
    readonly isDeload: boolean
  }
  readonly belowFloor: Int8Array
}

const noChange = () => ({
  sets: new Float64Array(GROUPS.length),
  rir: new Float64Array(GROUPS.length),
  isDeload: false,
})

function decay(state: State, hour: number, { tau }: RehearsalData): void {
  const passed = hour - state.hour
  for (let group = 0; group < GROUPS.length; group++) {
    const usual = tau[group] ?? 1
    state.fatigue[group] =
      state.fatigue[group]! * Math.exp(-passed / (usual * (state.hidden.pace[group] ?? 1)))
    state.assumed[group] = state.assumed[group]! * Math.exp(-passed / usual)
  }
  state.hour = hour
}

const readyPercent = (fatigue: number, capacity: number) =>
  100 * Math.max(0, 1 - fatigue / capacity)

/** Sets of a slot in this pass: the plan's, and what was decided about its muscle, given to its first exercises. */
function setsNow({ sets, main }: RehearsedSlot, left: Float64Array, isEasier: boolean): number {
  if (isEasier) return Math.max(1, Math.round(sets / 2))
  const wanted = left[main]!
  const change = wanted > 0 ? Math.min(2, wanted) : Math.max(-(sets - 1), wanted)
  left[main] = wanted - change
  return sets + change
}

/** The lower middle of the last three estimates, as a coach would plan with. */
function believedOf(state: State, exercise: number): number {
  const [a = 1, b, c] = state.believed.get(exercise) ?? []
  if (b === undefined) return a
  return c === undefined ? Math.min(a, b) : Math.max(Math.min(a, b), Math.min(Math.max(a, b), c))
}

/** An exercise done: a load by what its log says, reps by what is there today. */
function doSlot(
  slot: RehearsedSlot,
  sets: number,
  state: State,
  { capacity }: RehearsalData,
  rirShift: number,
): DoneSlot {
  const { main, exercise, low, high } = slot
  const loss = main < 0 ? 0 : (PERFORMANCE_LOSS * state.fatigue[main]!) / (capacity[main] ?? 1)
  const today =
    Math.exp(main < 0 ? 0 : state.strength[main]!) *
    (1 - Math.min(0.9, loss)) *
    Math.exp(state.chance.normal(0, SIMULATED.dayScatter))
  const rir = Math.max(0, slot.rir + rirShift)
  const load = loadForReps(believedOf(state, exercise), (low + high) / 2, rir)
  const able = expectedReps(today, load)
  // Who misjudges the first set misjudges the others alike; later sets lose a little to the ones before.
  const reps = Math.max(1, Math.floor(able - rir + SLACK))
  const said = saidRir(Math.max(0, able - reps), state.chance)
  return {
    slot,
    sets,
    load,
    rir: said,
    repsAt: set => Math.max(1, Math.floor(able * (1 - LOST_BY_SET * (set - 1)) - rir + SLACK)),
  }
}

interface DoneSlot {
  readonly slot: RehearsedSlot
  readonly sets: number
  readonly load: number
  readonly rir: number
  readonly repsAt: (set: number) => number
}
const LOST_BY_SET = 0.03
const SLACK = 1e-9

/** The sets one by one, for whoever keeps them. */
function setsOf({ slot, sets, load, rir, repsAt }: DoneSlot): readonly RehearsedSet[] {
  return Array.from({ length: sets }, (_, at): RehearsedSet => ({
    slot,
    set: at + 1,
    load,
    reps: repsAt(at + 1),
    rir,
  }))
}

function remember(
  { slot, sets, load, rir, repsAt }: DoneSlot,
  state: State,
  hour: number,
  { capacity }: RehearsalData,
): void {
  const reps = repsAt(1)
  const estimate = estimatedOneRep(load, reps, rir)
  if (!estimate) return
  const own = state.believed.get(slot.exercise) ?? []
  state.believed.set(slot.exercise, [...own, estimate.load].slice(-3))
  const { y, variance } = setReading(load, reps, { rir, isRirOpen: rir >= OPEN_RIR })
  state.observed.push({
    exercise: slot.exercise,
    day: Math.floor(hour / HOURS_PER_DAY),
    y,
    variance: sharedVariance(variance, sets),
    tired: slot.main < 0 ? 0 : state.assumed[slot.main]! / (capacity[slot.main] ?? 1),
  })
}
const OPEN_RIR = 4

interface Tally {
  readonly counted: Float64Array
  readonly readiness: Float64Array
  readonly lowest: Float64Array
  readonly exposures: Int16Array
  readonly low: Int16Array
  readonly joints: Float64Array
  readonly recovered: Int16Array
  readonly notRecovered: Int16Array
  done: number
  missed: number
}

const newTally = (): Tally => ({
  counted: new Float64Array(GROUPS.length),
  readiness: new Float64Array(GROUPS.length),
  lowest: new Float64Array(GROUPS.length).fill(NOT_KNOWN),
  exposures: new Int16Array(GROUPS.length),
  low: new Int16Array(GROUPS.length),
  joints: new Float64Array(JOINTS.length),
  recovered: new Int16Array(GROUPS.length),
  notRecovered: new Int16Array(GROUPS.length),
  done: 0,
  missed: 0,
})

const NO_SETS: readonly RehearsedSet[] = []
/** More in reserve in easier days. */
const EASIER_RIR = 2
const HOURS_PER_DAY = 24
/** Readiness in percent under which an exposure counts as tired. */
const LOW = 80

/** How ready the client comes, as the model has it and as it is; and what she says when asked. */
function arrive(
  groups: readonly number[],
  state: State,
  { capacity }: RehearsalData,
  tally: Tally,
): boolean | null {
  let worst = NOT_KNOWN
  for (const group of groups) {
    const [assumed, really] = [
      readyPercent(state.assumed[group]!, capacity[group] ?? 1),
      readyPercent(state.fatigue[group]!, capacity[group] ?? 1),
    ]
    tally.readiness[group] = tally.readiness[group]! + assumed
    tally.exposures[group] = (tally.exposures[group] ?? 0) + 1
    if (assumed < LOW) tally.low[group] = (tally.low[group] ?? 0) + 1
    tally.lowest[group] = Math.min(tally.lowest[group] ?? NOT_KNOWN, really)
    worst = Math.min(worst, really)
  }
  const isRecovered = groups.length === 0 ? null : saysRecovered(worst, state.chance)
  const answers = isRecovered ? tally.recovered : tally.notRecovered
  for (const group of groups) answers[group] = (answers[group] ?? 0) + 1
  return isRecovered
}

/** What an exercise leaves behind. */
function leave(
  { touched, strained, impulse, counted, joints }: RehearsedSlot,
  sets: number,
  state: State,
  tally: Tally,
): void {
  for (const group of touched) {
    const fatigue = impulse[group]! * sets
    state.fatigue[group] = state.fatigue[group]! + fatigue
    state.assumed[group] = state.assumed[group]! + fatigue
    tally.counted[group] = tally.counted[group]! + counted[group]! * sets
  }
  for (const joint of strained) tally.joints[joint] = tally.joints[joint]! + joints[joint]! * sets
  tally.done += sets
}

function doSession(
  session: RehearsedSession,
  state: State,
  data: RehearsalData,
  {
    tally,
    left,
    isEasier,
    isKept,
  }: {
    readonly tally: Tally
    readonly left: Float64Array
    readonly isEasier: boolean
    readonly isKept: boolean
  },
): RehearsedOutcome {
  const isMissed = state.chance.uniform() < SIMULATED.missed
  const { slots, groups } =
    state.chance.uniform() < SIMULATED.cutShort ? session.cut : session.whole
  if (isMissed) {
    tally.missed += 1
    return { session, isMissed, sets: NO_SETS, isRecovered: null }
  }
  decay(state, session.hour, data)
  const isRecovered = arrive(groups, state, data, tally)
  const done = slots.map(slot => {
    const own = doSlot(
      slot,
      setsNow(slot, left, isEasier),
      state,
      data,
      isEasier ? EASIER_RIR : slot.main < 0 ? 0 : state.change.rir[slot.main]!,
    )
    if (!isEasier) remember(own, state, session.hour, data)
    leave(slot, own.sets, state, tally)
    return own
  })
  return { session, isMissed, sets: isKept ? done.flatMap(setsOf) : NO_SETS, isRecovered }
}

/** Pain that a steep rise brings, joint by joint; it is there for a pass. */
function newPains(tally: Tally, state: State): readonly PainLevel[] {
  return JOINTS.map((_, joint) => {
    const before = state.jointWeeks[joint]?.slice(-RAMP_WEEKS) ?? []
    const load = tally.joints[joint]!
    const mean = before.reduce((sum, week) => sum + week, 0) / Math.max(1, before.length)
    const ramp = before.length >= 2 && mean > 0 ? load / mean : 1
    state.jointWeeks[joint]?.push(load)
    if (
      state.chance.uniform() >=
      SIMULATED.pain + SIMULATED.painByRamp * Math.max(0, ramp - SIMULATED.rampFrom)
    )
      return 'none'
    const score =
      SIMULATED.leastPain +
      Math.floor(state.chance.uniform() * (SIMULATED.mostPain - SIMULATED.leastPain + 1))
    return score >= 5 ? 'swap' : 'hold'
  })
}

/** What the log says of a muscle by now: the verdict that holds, and the slope behind it. */
function trendNow(group: number, { state, pass }: Facts) {
  const members = pass.members[group] ?? []
  const own = state.observed
    .filter(({ exercise }) => members.includes(exercise))
    .map(one => ({ ...one, exercise: members.indexOf(one.exercise) }))
  const called = (state.called[group] = lookOn(state.called[group] ?? NOTHING_CALLED, own))
  const { slope, error } = slopeOf(own)
  return { verdict: called.verdict, slope, probability: normalShare(slope / error) }
}

/** The worst joint that exercises of a muscle load; null where none is sore. */
function soreOf(
  group: number,
  { sore }: State,
  { jointsOf }: RehearsalData,
): GroupEvidence['sore'] {
  const at = (jointsOf[group] ?? []).find(joint => sore[joint] !== 'none')
  return at === undefined ? null : { joint: JOINTS[at] as Joint, level: sore[at] ?? 'none' }
}

/** Finished passes in a row in which a muscle was under its floor. */
function underFloor(group: number, { tally, state, pass }: Facts, floor: number): number {
  const isUnder = valueAt(tally.counted, group) / pass.weeks < floor - FLOOR_SLACK
  return (state.belowFloor[group] = isUnder ? valueAt(state.belowFloor, group) + 1 : 0)
}

interface Facts {
  readonly state: State
  readonly tally: Tally
  readonly data: RehearsalData
  readonly pass: RehearsedPass
  readonly next: RehearsedPass
}
const FLOOR_SLACK = 0.5
const NO_BAND = { floor: 0, target: 0, ceiling: 0 } as const
const valueAt = (values: Float64Array | Int16Array | Int8Array, at: number): number => values[at]!

function evidenceFor(group: number, facts: Facts, planned: number): GroupEvidence {
  const { state, tally, data, pass, next } = facts
  const exposures = valueAt(tally.exposures, group)
  const { verdict, probability, slope } = trendNow(group, facts)
  const band = data.bands[group] ?? NO_BAND
  const direct = valueAt(next.direct, group)
  return {
    group: GROUPS[group] as Group,
    mode: data.modes[group] ?? 'keep',
    direct,
    counted: valueAt(next.counted, group) / next.weeks,
    band,
    verdict,
    probability,
    slope,
    sore: soreOf(group, state, data),
    adherence: planned === 0 ? 1 : tally.done / planned,
    done: tally.done,
    planned,
    recovered: valueAt(tally.recovered, group),
    notRecovered: valueAt(tally.notRecovered, group),
    readiness: exposures > 0 ? valueAt(tally.readiness, group) / exposures : NOT_KNOWN,
    exposures,
    lowExposures: valueAt(tally.low, group),
    belowFloorFor: underFloor(group, facts, band.floor),
    ramp: next.isDeload || pass.isDeload ? 0 : Math.max(0, direct - valueAt(pass.direct, group)),
  }
}

/** What the rules make of the pass, followed as proposed. */
function decided(facts: Facts): readonly Adjustment[] {
  const { state, tally, data, pass, next } = facts
  const planned = pass.sessions.reduce(
    (sum, { whole }) => sum + whole.slots.reduce((own, { sets }) => own + sets, 0),
    0,
  )
  const evidence = data.trained.map(group => evidenceFor(group, facts, planned))
  const answers =
    tally.recovered.reduce((sum, one) => sum + one, 0) +
    tally.notRecovered.reduce((sum, one) => sum + one, 0)
  const falling = evidence.filter(({ verdict }) => verdict === 'decline').length >= 2
  const isTired =
    answers >= 4 && tally.notRecovered.reduce((sum, one) => sum + one, 0) / answers >= 0.5
  const isSore = state.sore.filter(level => level !== 'none').length >= 2
  return adjustments(
    evidence,
    next.isDeload
      ? []
      : [
          ...(falling ? ['falling' as const] : []),
          ...(isTired ? ['not_recovered' as const] : []),
          ...(isSore ? ['sore_joints' as const] : []),
        ],
  )
}

function changeFrom(all: readonly Adjustment[]): State['change'] {
  const next = noChange()
  let isDeload = false
  for (const { change, group, isWaiting } of all) {
    const at = group === null ? -1 : GROUPS.indexOf(group)
    if (isWaiting) continue
    if (change.kind === 'deload') isDeload = true
    if (at < 0) continue
    if (change.kind === 'rir') next.rir[at] = Math.max(next.rir[at]!, change.by)
    else if (change.kind === 'sets' || change.kind === 'hold_ramp') next.sets[at] = change.by
    if (change.kind === 'sets') next.rir[at] = Math.max(next.rir[at]!, change.rir)
  }
  return { ...next, isDeload }
}

function grow(
  state: State,
  tally: Tally,
  { bands, weeklyGain }: RehearsalData,
  weeks: number,
): void {
  for (let group = 0; group < GROUPS.length; group++) {
    const target = bands[group]?.target ?? 0
    const share =
      target > 0 ? Math.min(SIMULATED.mostGainFactor, tally.counted[group]! / weeks / target) : 0
    state.strength[group] = state.strength[group]! + Math.log(1 + weeklyGain * share) * weeks
  }
}

const newState = (by: Chance): State => ({
  hidden: hiddenClient(by),
  chance: by,
  strength: new Float64Array(GROUPS.length),
  fatigue: new Float64Array(GROUPS.length),
  assumed: new Float64Array(GROUPS.length),
  hour: 0,
  believed: new Map(),
  observed: [],
  called: GROUPS.map(() => NOTHING_CALLED),
  jointWeeks: JOINTS.map(() => []),
  sore: JOINTS.map(() => 'none' as const),
  change: noChange(),
  belowFloor: new Int8Array(GROUPS.length),
})

/**
 * One going of a simulated client through a block, who follows the adjustments as proposed.
 *
 * Shape:  a pass each; `keep` gets every session as it ends, for whoever wants the log.
 * Units:  counted sets per 7 days, percent at the least ready direct exposure, points in the pass, ln of strength at the end.
 * Edge:   the same seed gives the same run.
 * Source: docs/methods.md#rehearsal.
 */
export function rehearsedRun(
  data: RehearsalData,
  seed: number,
  keep?: (outcome: RehearsedOutcome) => void,
): Run {
  const state = newState(chance(seed))
  const passes = data.passes.map((pass, at): PassRun => {
    const tally = newTally()
    const left = Float64Array.from(state.change.sets)
    const isEasier = state.change.isDeload && !pass.isDeload
    for (const session of pass.sessions) {
      const outcome = doSession(session, state, data, {
        tally,
        left,
        isEasier,
        isKept: keep !== undefined,
      })
      keep?.(outcome)
    }
    grow(state, tally, data, pass.weeks)
    state.sore = newPains(tally, state)
    const next = data.passes[at + 1]
    const rows = next ? decided({ state, tally, data, pass, next }) : []
    state.change = next ? changeFrom(rows) : noChange()
    return {
      counted: tally.counted.map(sum => sum / pass.weeks),
      readiness: tally.lowest,
      joints: tally.joints.map(sum => sum / pass.weeks),
      missed: tally.missed,
      sessions: pass.sessions.length,
      rows: rows.filter(({ isWaiting }) => !isWaiting).map(({ row }) => row),
      pains: state.sore.filter(level => level !== 'none').length,
    }
  })
  return { passes, strength: state.strength }
}
