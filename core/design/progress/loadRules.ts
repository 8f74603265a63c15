import { roundHalfUp } from '../../base'
import {
  estimatedOneRep,
  expectedReps,
  type LoadGrid,
  loadForReps,
  nextWeight,
  roundLoad,
} from '../../plan/estimate'
import { median } from '../../body/log'
import type { LoadProgression } from '../../plan/method'

/** A set as it was done: reps, and those in reserve at its end. */
export interface DoneSet {
  readonly reps: number
  readonly rir: number
}

/** What an exercise is to be done with, and where it stands in its rule. */
export interface LoadPlan {
  readonly load: number
  /** Reps to aim at, set by set. */
  readonly targets: readonly number[]
  /** Upper end of the range, raised while the next weight is too far away. */
  readonly high: number
  /** Exposures in a row at this load that fell short. */
  readonly short: number
  readonly backOff?: { readonly load: number; readonly reps: number }
}

export interface LoadQuestion {
  readonly rule: LoadProgression
  readonly range: readonly [low: number, high: number]
  /** Reps in reserve that are aimed at. */
  readonly rir: number
  readonly grid: LoadGrid
  readonly plan: LoadPlan
  readonly done: readonly DoneSet[]
  /** Estimates of the one-rep maximum of the last exposures, the latest last; for the rule that goes by them. */
  readonly estimates?: readonly number[]
  /** Share the back-off sets are lighter by. */
  readonly backOffShare?: number
}

const LOWER = 0.95
const MOST_RAISED = 6
const RAISE = 2
const BACK_OFF = 0.1
const BAND = 0.05
const RIR_SLACK = 0.5
const SLACK = 1e-9
const FIXED_TRIES = 3

const mean = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length)

/** A lighter load that can be loaded, at least one step down. */
function lighter(load: number, grid: LoadGrid): number {
  return roundLoad(load * LOWER, grid, 'down')
}

const MOST_UP = 1.05

/** One extra step up, at most a twentieth where more than one step fits into it; or a twentieth down. */
export function steppedLoad(load: number, step: 'up' | 'down', grid: LoadGrid): number {
  if (step === 'down') return lighter(load, grid)
  const next = nextWeight(load, grid) ?? load
  return next > load * MOST_UP ? next : Math.max(next, roundLoad(load * MOST_UP, grid, 'down'))
}

function oneRepOf(load: number, [first]: readonly DoneSet[]): number | undefined {
  return first && estimatedOneRep(load, first.reps, first.rir)?.load
}

/** One rep more on the first sets that are below the top. */
function oneMore(done: readonly DoneSet[], high: number): readonly number[] {
  let left = done.length <= 2 ? 1 : 2
  return done.map(({ reps }) => (reps < high && left-- > 0 ? reps + 1 : Math.min(reps, high)))
}

/** The next weight where its reps would still be in the range; a higher range for now where they would not. */
function stepUp(
  { range: [low, high], rir, grid, plan, done }: LoadQuestion,
  mayWait: boolean,
): LoadPlan {
  const next = nextWeight(plan.load, grid)
  const raised: LoadPlan = {
    ...plan,
    high: plan.high + RAISE,
    targets: done.map(({ reps }) => reps + 1),
    short: 0,
  }
  if (next === undefined) return raised
  const oneRep = oneRepOf(plan.load, done)
  const reps = oneRep === undefined ? low : Math.floor(expectedReps(oneRep, next) - rir + SLACK)
  if (reps >= low)
    return { load: next, targets: done.map(() => Math.min(reps, high)), high, short: 0 }
  if (mayWait && plan.high < high + MOST_RAISED) return raised
  return { load: next, targets: done.map(() => Math.max(1, low - 2)), high, short: 0 }
}

function doubleProgression(question: LoadQuestion): LoadPlan {
  const {
    range: [low, high],
    rir,
    grid,
    plan,
    done,
  } = question
  if (
    done.every(({ reps }) => reps >= plan.high) &&
    mean(done.map(set => set.rir)) >= rir - RIR_SLACK
  )
    return stepUp(question, true)
  const isShort = done.filter(({ reps }) => reps < low).length * 2 >= done.length
  if (isShort && plan.short > 0)
    return {
      load: lighter(plan.load, grid),
      targets: done.map(() => roundHalfUp((low + high) / 2)),
      high,
      short: 0,
    }
  return { ...plan, targets: oneMore(done, plan.high), short: isShort ? plan.short + 1 : 0 }
}

function topSetBackOff(question: LoadQuestion): LoadPlan {
  const {
    range: [low, high],
    rir,
    grid,
    plan,
    done,
    backOffShare = BACK_OFF,
  } = question
  const [top] = done
  if (!top) return plan
  const load =
    top.reps >= high && top.rir >= rir - RIR_SLACK
      ? (nextWeight(plan.load, grid) ?? plan.load)
      : top.reps < low
        ? lighter(plan.load, grid)
        : plan.load
  const oneRep = oneRepOf(plan.load, done)
  const backOff = roundLoad(plan.load * (1 - backOffShare), grid, 'down')
  return {
    load,
    high,
    short: 0,
    targets: [Math.min(high, top.reps + (load === plan.load ? 1 : 0))],
    backOff: {
      load: backOff,
      reps: Math.max(
        1,
        Math.floor((oneRep === undefined ? high : expectedReps(oneRep, backOff)) - rir - 1 + SLACK),
      ),
    },
  }
}

function fixedLoadAddReps(question: LoadQuestion): LoadPlan {
  const {
    range: [, high],
    grid,
    plan,
    done,
  } = question
  if (done.every(({ reps }) => reps >= high)) return stepUp(question, false)
  const isMissed = done.some(({ reps }, at) => reps < (plan.targets[at] ?? 0))
  if (!isMissed)
    return { ...plan, targets: done.map(({ reps }) => Math.min(high, reps + 1)), short: 0 }
  if (plan.short + 1 >= FIXED_TRIES) return { ...plan, load: lighter(plan.load, grid), short: 0 }
  return {
    ...plan,
    targets: plan.short === 0 ? oneMore(done, high) : plan.targets,
    short: plan.short + 1,
  }
}

function loadFromRir({
  range: [low, high],
  rir,
  grid,
  plan,
  estimates = [],
  done,
}: LoadQuestion): LoadPlan {
  const oneRep = median(estimates.length > 0 ? estimates : [oneRepOf(plan.load, done) ?? 0])
  const middle = (low + high) / 2
  const targets = done.map(() => roundHalfUp(middle))
  if (!oneRep) return { ...plan, targets }
  // A single step is always allowed, however large its share.
  const most = Math.max(plan.load * (1 + BAND), nextWeight(plan.load, grid) ?? plan.load)
  const least = Math.min(plan.load * (1 - BAND), lighter(plan.load, grid))
  return {
    load: roundLoad(Math.min(most, Math.max(least, loadForReps(oneRep, middle, rir))), grid),
    targets,
    high,
    short: 0,
  }
}

/**
 * What an exercise is to be done with next, from what was planned and done last.
 *
 * Units:  loads in the unit of the plan; reps whole.
 * Edge:   no set done leaves the plan as it is; without a weight to step to only reps rise.
 * Source: docs/methods.md#block; examples P10 to P18.
 */
export function nextLoadPlan(question: LoadQuestion): LoadPlan {
  if (question.done.length === 0) return question.plan
  switch (question.rule) {
    case 'double_progression':
      return doubleProgression(question)
    case 'top_set_back_off':
      return topSetBackOff(question)
    case 'fixed_load_add_reps':
      return fixedLoadAddReps(question)
    case 'load_from_rir':
      return loadFromRir(question)
  }
}

/** A jump of load that is larger than usual, as a share of the load before; null where it is not. */
export function unusualJump(before: number, after: number, grid: LoadGrid): number | null {
  const next = nextWeight(before, grid) ?? before
  if (before <= 0 || after <= next + SLACK || after <= before * (1 + 2 * BAND) + SLACK) return null
  return after / before - 1
}
