import { GROUPS, JOINTS } from '../../plan/catalogue'
import { estimatedOneRep, expectedReps, loadForReps } from '../../plan/estimate'
import { setReading, sharedVariance } from '../../body/log'
import type { PainLevel } from '../../plan/method'
import { LASTING, PERFORMANCE_LOSS, tiredShare } from '../../body/recovery'
import type { ReplanOption } from '../replan'
import { type DecisionRow, isMeant } from '../review'
import { type Allotted, allotted, refill } from './allotted'
import { chance } from './chance'
import {
  placeKey,
  type RehearsalData,
  type RehearsedPass,
  type RehearsedSession,
  type RehearsedSlot,
} from './rehearsalData'
import { gainShare, type RehearsedWorld, saidRir, saysRecovered, SIMULATED } from './hidden'
import { decideNext, type Policy } from './policy'
import { newState, newTally, type State, type Tally } from './state'

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
  /** Missed on its day and done on the next. */
  readonly isPutOff: boolean
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
  /** Exposures of muscles, and those at which one was truly under 80 % ready. */
  readonly exposures: number
  readonly unready: number
}

export interface Run {
  readonly passes: readonly PassRun[]
  readonly strength: Float64Array
}

/** How a run is gone through; left out, by the rules and in the world where more sets always help a little. */
export interface RunTerms {
  /** The dose it begins with, in targets, by the order of GROUPS; left out, the plan's own. */
  readonly start?: Float64Array
  readonly policy?: Policy
  readonly world?: RehearsedWorld
  readonly keep?: (outcome: RehearsedOutcome) => void
}

const RAMP_WEEKS = 4
const NOT_KNOWN = 100

/** Time goes on; a session put off may come as late as the first of the next pass. */
function decay(state: State, hour: number, { tau }: RehearsalData): void {
  const passed = Math.max(0, hour - state.hour)
  const lasts = Math.exp(-passed / LASTING.tauHours)
  for (let group = 0; group < GROUPS.length; group++) {
    const usual = tau[group] ?? 1
    state.fatigue[group] =
      state.fatigue[group]! * Math.exp(-passed / (usual * (state.hidden.pace[group] ?? 1)))
    state.assumed[group] = state.assumed[group]! * Math.exp(-passed / usual)
    state.lasting[group]! *= lasts
  }
  state.hour += passed
}

/** What the sessions before the block left, gone through as time was; the block's clock begins at its first hour. */
function carryIn(state: State, data: RehearsalData): void {
  const [first] = data.carried
  if (!first) return
  state.hour = first.hour
  for (const { hour, impulses } of data.carried) {
    decay(state, hour, data)
    GROUPS.forEach((group, at) => {
      const left = impulses[group] ?? 0
      state.fatigue[at] = state.fatigue[at]! + left
      state.assumed[at] = state.assumed[at]! + left
      state.lasting[at]! += left
    })
  }
}

const readyPercent = (fatigue: number, capacity: number) =>
  100 * Math.max(0, 1 - fatigue / capacity)

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
  const load =
    loadForReps(believedOf(state, exercise), (low + high) / 2, rir) *
    (state.loads.get(exercise) ?? 1)
  const able = expectedReps(today, load)
  // Who misjudges the first set misjudges the others alike; later sets lose a little to the ones before.
  const reps = Math.max(1, Math.floor(able - rir + SLACK))
  const said = saidRir(Math.max(0, able - reps), state.chance)
  return {
    slot,
    sets,
    load,
    rir: said,
    planned: rir,
    repsAt: set => Math.max(1, Math.floor(able * (1 - LOST_BY_SET * (set - 1)) - rir + SLACK)),
  }
}

interface DoneSlot {
  readonly slot: RehearsedSlot
  readonly sets: number
  readonly load: number
  readonly rir: number
  readonly planned: number
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
  { slot, sets, load, rir, planned, repsAt }: DoneSlot,
  state: State,
  tally: Tally,
  hour: number,
  { capacity }: RehearsalData,
): void {
  const reps = repsAt(1)
  const estimate = estimatedOneRep(load, reps, rir)
  if (!estimate) return
  const own = state.believed.get(slot.exercise) ?? []
  state.believed.set(slot.exercise, [...own, estimate.load].slice(-3))
  const errors = tally.errors.get(slot.exercise) ?? []
  tally.errors.set(slot.exercise, errors)
  for (let set = 0; set < sets; set++) errors.push(rir - planned)
  const { y, variance } = setReading(load, reps, { rir, isRirOpen: rir >= OPEN_RIR })
  state.observed.push({
    exercise: slot.exercise,
    day: Math.floor(hour / HOURS_PER_DAY),
    y,
    variance: sharedVariance(variance, sets),
    tired: tiredOf(slot.main, state, capacity),
  })
}

/** How tired a muscle is as a trend takes it. */
const tiredOf = (main: number, { assumed, lasting }: State, capacity: readonly number[]) =>
  main < 0 ? 0 : tiredShare(assumed[main]!, lasting[main]!, capacity[main] ?? 1)
const OPEN_RIR = 4
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
  let [worst, least] = [NOT_KNOWN, NOT_KNOWN]
  const assumedOf = (group: number) => readyPercent(state.assumed[group]!, capacity[group] ?? 1)
  for (const group of groups) {
    const assumed = assumedOf(group)
    const really = readyPercent(state.fatigue[group]!, capacity[group] ?? 1)
    least = Math.min(least, assumed)
    tally.readiness[group] = tally.readiness[group]! + assumed
    tally.exposures[group] = tally.exposures[group]! + 1
    tally.ready[group] = tally.ready[group]! + Math.min(1, really / SIMULATED.readyFrom)
    if (assumed < LOW) tally.low[group] = tally.low[group]! + 1
    if (really < LOW) tally.unready[group] = tally.unready[group]! + 1
    tally.lowest[group] = Math.min(tally.lowest[group] ?? NOT_KNOWN, really)
    worst = Math.min(worst, really)
  }
  if (groups.length === 0) return null
  const isRecovered = saysRecovered(worst, state.chance)
  const answers = isRecovered ? tally.recovered : tally.notRecovered
  for (const group of groups) {
    if (!isMeant(isRecovered, assumedOf(group), least)) continue
    answers[group] = answers[group]! + 1
    state.lately[group] = [...state.lately[group]!, isRecovered].slice(-3)
  }
  return isRecovered
}

/** Of an exercise another stands in for, what the joint still bears. */
const SPARED = 0.5

/** What an exercise leaves behind. */
function leave(
  { touched, strained, impulse, counted, joints, exercise }: RehearsedSlot,
  sets: number,
  state: State,
  tally: Tally,
): void {
  for (const group of touched) {
    const fatigue = impulse[group]! * sets
    state.fatigue[group] = state.fatigue[group]! + fatigue
    state.assumed[group] = state.assumed[group]! + fatigue
    state.lasting[group]! += fatigue
    tally.counted[group] = tally.counted[group]! + counted[group]! * sets
  }
  const share = state.swapped.has(exercise) ? SPARED : 1
  for (const joint of strained)
    tally.joints[joint] = tally.joints[joint]! + joints[joint]! * sets * share
  tally.done += sets
}

interface Doing {
  readonly tally: Tally
  readonly sets: Allotted
  readonly isEasier: boolean
  /** Somebody looks at loads and reps: the rules, or whoever keeps them. */
  readonly isLogged: boolean
  readonly isKept: boolean
  /** What is done about a session that is missed, and what is left of the pass. */
  readonly replanOf: (session: RehearsedSession) => ReplanOption
  readonly after: (session: RehearsedSession) => readonly RehearsedSession[]
  /** Hours by which sessions missed and done a day later have put off the rest of the pass. */
  readonly delay: number
}

/** Easier days: half the sets. */
const easier = (sets: number) => Math.max(1, Math.round(sets / 2))

function doSession(
  session: RehearsedSession,
  state: State,
  data: RehearsalData,
  { tally, sets, isEasier, isLogged, isKept, replanOf, after, delay }: Doing,
): RehearsedOutcome {
  // Each session has chances of its own, so that two ways through a block meet the same days.
  state.chance = chance(state.seed * 7919 + session.hour)
  const isMissed = state.chance.uniform() < SIMULATED.missed
  const { slots, groups } =
    state.chance.uniform() < SIMULATED.cutShort ? session.cut : session.whole
  if (isMissed) {
    tally.missed += 1
    const replan = replanOf(session)
    refill(session, replan, after(session), sets)
    if (replan !== 'shift')
      return { session, isMissed, isPutOff: false, sets: NO_SETS, isRecovered: null }
  }
  decay(state, session.hour + delay + (isMissed ? HOURS_PER_DAY : 0), data)
  const isRecovered = arrive(groups, state, data, tally)
  const done: DoneSlot[] = []
  for (const slot of slots) {
    const count = isEasier ? easier(slot.sets) : sets[slot.at]!
    if (isLogged) {
      const rir = isEasier ? EASIER_RIR : slot.main < 0 ? 0 : state.change.rir[slot.main]!
      const own = doSlot(slot, count, state, data, rir)
      if (!isEasier) remember(own, state, tally, state.hour, data)
      done.push(own)
    }
    leave(slot, count, state, tally)
  }
  const kept = isKept ? done.flatMap(setsOf) : NO_SETS
  return { session, isMissed: false, isPutOff: isMissed, sets: kept, isRecovered }
}

/** Pain that a steep rise brings, and a joint near its ceiling; it is there for a pass. */
function newPains(
  tally: Tally,
  state: State,
  { ceilings }: RehearsalData,
  weeks: number,
  at: number,
): readonly PainLevel[] {
  const by = chance(state.seed * 7919 + 500_000 + at)
  return JOINTS.map((_, joint) => {
    const before = state.jointWeeks[joint]?.slice(-RAMP_WEEKS) ?? []
    const load = tally.joints[joint]!
    const mean = before.reduce((sum, week) => sum + week, 0) / Math.max(1, before.length)
    const ramp = before.length >= 2 && mean > 0 ? load / mean : 1
    state.jointWeeks[joint]?.push(load)
    const [drawn, score] = [by.uniform(), by.uniform()]
    const share = load / weeks / (ceilings[joint] ?? Infinity)
    const risk =
      SIMULATED.pain +
      SIMULATED.painByRamp * Math.max(0, ramp - SIMULATED.rampFrom) +
      SIMULATED.painByLoad * Math.max(0, share - SIMULATED.loadFrom)
    if (drawn >= risk) return 'none'
    const pain =
      SIMULATED.leastPain + Math.floor(score * (SIMULATED.mostPain - SIMULATED.leastPain + 1))
    return pain >= 5 ? 'swap' : 'hold'
  })
}

/** What the pass adds to strength: by the dose against her own need, how ready she came, pain, and reps left. */
function grow(
  state: State,
  tally: Tally,
  { bands, weeklyGain, jointsOf }: RehearsalData,
  { weeks }: RehearsedPass,
  world: RehearsedWorld,
): void {
  for (let group = 0; group < GROUPS.length; group++) {
    const target = bands[group]?.target ?? 0
    const exposures = tally.exposures[group]!
    if (target <= 0 || exposures === 0) continue
    const dose = tally.counted[group]! / weeks / (target * state.hidden.need[group]!)
    const isSore = (jointsOf[group] ?? []).some(joint => state.sore[joint] !== 'none')
    const ready = tally.ready[group]! / exposures
    const share = gainShare({ dose, ready, isSore, reserve: state.change.rir[group]! }, world)
    state.strength[group] = state.strength[group]! + Math.log(1 + weeklyGain * share) * weeks
  }
}

const sumOf = (values: Int16Array) => values.reduce((sum, value) => sum + value, 0)

function passRun(
  { weeks, sessions }: RehearsedPass,
  tally: Tally,
  rows: readonly DecisionRow[],
  { sore }: State,
): PassRun {
  return {
    counted: tally.counted.map(sum => sum / weeks),
    readiness: tally.lowest,
    joints: tally.joints.map(sum => sum / weeks),
    missed: tally.missed,
    sessions: sessions.length,
    rows,
    pains: sore.filter(level => level !== 'none').length,
    exposures: sumOf(tally.exposures),
    unready: sumOf(tally.unready),
  }
}

/**
 * One going of a simulated client through a block, under what is decided after each rotation.
 *
 * Shape:  a pass each; `keep` gets every session as it ends, for whoever wants the log.
 * Units:  counted sets per 7 days, percent at the least ready direct exposure, points in the pass, ln of strength at the end.
 * Edge:   the same seed gives the same run, and under another policy the same days.
 * Source: docs/methods.md#rehearsal.
 */
export function rehearsedRun(
  data: RehearsalData,
  seed: number,
  { policy = { kind: 'rules' }, world = 'more', start, keep }: RunTerms = {},
): Run {
  const state = newState(seed)
  carryIn(state, data)
  const from = policy.kind === 'level' ? policy.of : start
  if (from) decideNext({ kind: 'level', of: from }, { state, tally: newTally(), data, at: -1 })
  const passes = data.passes.map((pass, at): PassRun => {
    const tally = newTally()
    const { held, once } = state.change
    const doing = {
      tally,
      sets: allotted(
        pass,
        held.map((sets, group) => sets + once[group]!),
      ),
      isEasier: state.change.isDeload && !pass.isDeload,
      isLogged: policy.kind === 'rules' || keep !== undefined,
      isKept: keep !== undefined,
      replanOf: ({ session }: RehearsedSession) =>
        policy.kind === 'rules' ? (data.replans.get(placeKey(session)) ?? 'drop') : 'drop',
      after: (session: RehearsedSession) => pass.sessions.slice(pass.sessions.indexOf(session) + 1),
      delay: 0,
    }
    for (const session of pass.sessions) {
      const outcome = doSession(session, state, data, doing)
      if (outcome.isPutOff) doing.delay += HOURS_PER_DAY
      keep?.(outcome)
    }
    grow(state, tally, data, pass, world)
    state.sore = newPains(tally, state, data, pass.weeks, at)
    const rows = at + 1 < data.passes.length ? decideNext(policy, { state, tally, data, at }) : []
    return passRun(pass, tally, rows, state)
  })
  return { passes, strength: state.strength }
}
