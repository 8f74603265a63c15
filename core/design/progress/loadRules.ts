import { roundHalfUp } from '../../base'
import {
  estimatedOneRep,
  expectedReps,
  type LoadGrid,
  loadForOther,
  loadForReps,
  nextWeight,
  previousWeight,
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
  /** What the body adds to every load: its weight on a dip, and under a counterweight, whose loads are below zero. */
  readonly body?: number
  /** Failure has to fall within the range: outside it the load was wrong. */
  readonly isWindow?: boolean
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

/** A share of what is moved, the body's own weight with it, as a load that can be loaded and is no heavier. */
export function shareOfLoad(load: number, share: number, grid: LoadGrid, body = 0): number {
  const moved = load + body
  // Nothing is known of what is moved under a counterweight alone: one step is taken.
  if (moved <= 0) return share < 1 ? previousWeight(load, grid) : load
  return Math.min(load, roundLoad(moved * share - body, grid, 'down'))
}

/** A lighter load that can be loaded, at least one step down. */
function lighter(load: number, grid: LoadGrid, body = 0): number {
  return shareOfLoad(load, LOWER, grid, body)
}

const MOST_UP = 1.05

/** One extra step up, at most a twentieth where more than one step fits into it; or a twentieth down. */
export function steppedLoad(load: number, step: 'up' | 'down', grid: LoadGrid, body = 0): number {
  if (step === 'down') return lighter(load, grid, body)
  const next = nextWeight(load, grid) ?? load
  return next > load * MOST_UP ? next : Math.max(next, roundLoad(load * MOST_UP, grid, 'down'))
}

/** Of what is moved in all, the body's weight with it. */
function oneRepOf(load: number, [first]: readonly DoneSet[]): number | undefined {
  return first && load > 0 ? estimatedOneRep(load, first.reps, first.rir)?.load : undefined
}

/** What is to be moved for the reps that are wanted, by the first set that was done; where nothing is known to be moved, as before. */
function rightFor(moved: number, [first]: readonly DoneSet[], wanted: DoneSet): number {
  return first && moved > 0 ? loadForOther(moved, first, wanted) : moved
}

/** One rep more on the first sets that are below the top. */
function oneMore(done: readonly DoneSet[], high: number): readonly number[] {
  let left = done.length <= 2 ? 1 : 2
  return done.map(({ reps }) => (reps < high && left-- > 0 ? reps + 1 : Math.min(reps, high)))
}

/** A step that is larger than this share of what is moved waits until the reps allow it. */
const LARGE_STEP = 0.1
const MOST_MISSED = 4

/** A plan that asks for one number goes on with that number: the next weight, unless it is far away and would cost too many reps. */
function stepUpFixed({ range: [count], grid, body = 0, rir, plan, done }: LoadQuestion): LoadPlan {
  const targets = done.map(() => count)
  const next = nextWeight(plan.load, grid)
  if (next === undefined) return { ...plan, targets, short: 0 }
  const oneRep = oneRepOf(plan.load + body, done)
  const isFar = next - plan.load > (plan.load + body) * LARGE_STEP
  const isTooFar =
    isFar &&
    oneRep !== undefined &&
    expectedReps(oneRep, next + body) - rir + SLACK < count - MOST_MISSED
  return isTooFar ? { ...plan, targets, short: 0 } : { load: next, targets, high: count, short: 0 }
}

/** The next weight where its reps would still be in the range; a higher range for now where they would not. */
function stepUp(question: LoadQuestion, mayWait: boolean): LoadPlan {
  const {
    range: [low, high],
    rir,
    grid,
    body = 0,
    plan,
    done,
  } = question
  if (low === high) return stepUpFixed(question)
  const next = nextWeight(plan.load, grid)
  const raised: LoadPlan = {
    ...plan,
    high: plan.high + RAISE,
    targets: done.map(({ reps }) => reps + 1),
    short: 0,
  }
  if (next === undefined) return raised
  const oneRep = oneRepOf(plan.load + body, done)
  const reps =
    oneRep === undefined ? low : Math.floor(expectedReps(oneRep, next + body) - rir + SLACK)
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
    body,
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
      load: lighter(plan.load, grid, body),
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
    body = 0,
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
        ? lighter(plan.load, grid, body)
        : plan.load
  const oneRep = oneRepOf(plan.load + body, done)
  const backOff = shareOfLoad(load, 1 - backOffShare, grid, body)
  return {
    load,
    high,
    short: 0,
    targets: [Math.min(high, top.reps + (load === plan.load ? 1 : 0))],
    backOff: {
      load: backOff,
      reps: Math.max(
        1,
        Math.floor(
          (oneRep === undefined ? high : expectedReps(oneRep, backOff + body)) - rir - 1 + SLACK,
        ),
      ),
    },
  }
}

function fixedLoadAddReps(question: LoadQuestion): LoadPlan {
  const {
    range: [, high],
    grid,
    body,
    plan,
    done,
  } = question
  if (done.every(({ reps }) => reps >= high)) return stepUp(question, false)
  const isMissed = done.some(({ reps }, at) => reps < (plan.targets[at] ?? 0))
  if (!isMissed)
    return { ...plan, targets: done.map(({ reps }) => Math.min(high, reps + 1)), short: 0 }
  if (plan.short + 1 >= FIXED_TRIES)
    return { ...plan, load: lighter(plan.load, grid, body), short: 0 }
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
  body = 0,
  plan,
  estimates = [],
  done,
}: LoadQuestion): LoadPlan {
  const middle = (low + high) / 2
  const targets = done.map(() => roundHalfUp(middle))
  // A single step is always allowed, however large its share.
  const moved = plan.load + body
  const most = Math.max(moved * (1 + BAND) - body, nextWeight(plan.load, grid) ?? plan.load)
  const least = Math.min(moved * (1 - BAND) - body, lighter(plan.load, grid, body))
  const right =
    estimates.length > 0
      ? loadForReps(median(estimates), middle, rir)
      : rightFor(moved, done, { reps: middle, rir })
  return {
    load: roundLoad(Math.min(most, Math.max(least, right - body)), grid),
    targets,
    high,
    short: 0,
  }
}

/** Most that a load is put right by at once where failure fell outside its window, as a share; a single step is always allowed. */
const WINDOW = { up: 0.1, down: 0.15 } as const

/** Failure has to fall within the range: too late, and the load goes up; too early in the first or half of the sets, and it goes down. */
function windowed(question: LoadQuestion): LoadPlan {
  const {
    range: [low, high],
    rir,
    grid,
    body = 0,
    plan,
    done,
  } = question
  const middle = roundHalfUp((low + high) / 2)
  const first = done[0]?.reps ?? middle
  const isLate = first > high
  const isEarly = first < low || done.filter(({ reps }) => reps < low).length * 2 >= done.length
  if (!isLate && !isEarly) return { ...plan, targets: done.map(({ reps }) => reps), short: 0 }
  const moved = plan.load + body
  const right = rightFor(moved, done, { reps: middle, rir })
  const step = isLate ? (nextWeight(plan.load, grid) ?? plan.load) : lighter(plan.load, grid, body)
  const bound = isLate
    ? Math.min(right, moved * (1 + WINDOW.up))
    : Math.max(right, moved * (1 - WINDOW.down))
  const put = roundLoad(bound - body, grid, isLate ? 'down' : 'near')
  return {
    load: isLate ? Math.max(step, put) : Math.min(step, put),
    targets: done.map(() => middle),
    high: plan.high,
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
  if (question.isWindow && question.rule !== 'held') return windowed(question)
  switch (question.rule) {
    case 'double_progression':
      return doubleProgression(question)
    case 'top_set_back_off':
      return topSetBackOff(question)
    case 'fixed_load_add_reps':
      return fixedLoadAddReps(question)
    case 'load_from_rir':
      return loadFromRir(question)
    case 'held':
      return { ...question.plan, targets: question.done.map(({ reps }) => reps), short: 0 }
  }
}

/** A jump of load that is larger than usual, as a share of the load before; null where it is not. */
export function unusualJump(before: number, after: number, grid: LoadGrid): number | null {
  const next = nextWeight(before, grid) ?? before
  if (before <= 0 || after <= next + SLACK || after <= before * (1 + 2 * BAND) + SLACK) return null
  return after / before - 1
}
