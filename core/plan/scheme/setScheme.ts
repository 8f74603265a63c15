import { mapNonEmpty } from '../../base'
import type { Rest, Stage, WeightUnit } from './stage'

export const SET_ROLES = ['working', 'warmup', 'primer', 'ramp'] as const
export type SetRole = (typeof SET_ROLES)[number]

export const SET_PROTOCOLS = ['restricted_flow', 'eccentric_only'] as const
export type SetProtocol = (typeof SET_PROTOCOLS)[number]

/**
 * How two arms share one set: one after the other at once, with a rest between them, rep by rep, set by set without
 * pause, or both at once where the exercise is usually done one arm at a time.
 */
export const SIDE_ORDERS = [
  'switch',
  'rest_between',
  'alternating_reps',
  'alternating_sets',
  'together',
] as const
export type SideOrder = (typeof SIDE_ORDERS)[number]

/** Equal sets in a row. A technique on one set, or on the last two, is a run of its own; the others stay as they are. */
export interface SetRun {
  /** Whole number of sets that the plan counts with. */
  readonly count: number
  /** The choice left to the client, where there is one; `high: null` is open. */
  readonly countRange?: { readonly low: number; readonly high: number | null }
  readonly role: SetRole
  readonly protocol?: SetProtocol
  /** Only this side; both sides when left out. */
  readonly side?: 'left' | 'right'
  /** How the arms take turns; as is usual for the exercise when left out. */
  readonly sideOrder?: SideOrder
  readonly startSide?: 'left' | 'right'
  readonly stages: readonly [Stage, ...Stage[]]
  /** Rest after each set of the run. */
  readonly restAfter?: Rest
  readonly onlyIf?: string
}

/** What the load may do from set to set. */
export const LOAD_RULES = ['hold', 'must_not_fall', 'may_fall', 'hold_or_rise', 'by_feel'] as const
export type LoadRule = (typeof LOAD_RULES)[number]
const HOLDING: readonly (LoadRule | undefined)[] = ['hold', 'must_not_fall', 'hold_or_rise']

/** Whether a scheme's load may not fall from set to set. */
export const mayNotFall = ({ loadRule }: Pick<SetScheme, 'loadRule'>): boolean =>
  HOLDING.includes(loadRule)

/** On some weekdays a wide rep window is meant at one of its ends. 1 is Monday. */
export interface RepAim {
  readonly weekday: number
  readonly end: 'low' | 'high'
}

/** How one exercise is done: runs of sets in order. */
export interface SetScheme {
  readonly runs: readonly SetRun[]
  readonly loadRule?: LoadRule
  /** Change of load from each set to the next. */
  readonly loadStep?: { readonly amount: number; readonly unit: WeightUnit }
  readonly aims?: readonly RepAim[]
}

/** More sets of one exercise in one slot than any session holds (docs/formats.md). */
export const MAX_SETS_PER_EXERCISE = 20

/** Sets of a scheme that are not warm-up; the number a coach reads and the add and cut keys change. */
export function plannedSets(scheme: SetScheme): number {
  return scheme.runs.reduce((sum, run) => sum + (run.role === 'warmup' ? 0 : run.count), 0)
}

/** All sets of a scheme, warm-up included. */
export function allSets(scheme: SetScheme): number {
  return scheme.runs.reduce((sum, run) => sum + run.count, 0)
}

function withCount(run: SetRun, count: number): SetRun {
  if (!run.countRange) return { ...run, count }
  const shift = count - run.count
  const { low, high } = run.countRange
  return {
    ...run,
    count,
    countRange: { low: Math.max(0, low + shift), high: high === null ? null : high + shift },
  }
}

/**
 * Place of the run that grows or shrinks, -1 if there is none: the longest, so that a technique on the last set
 * stays on the last; the last where all are single sets, so that a falling row of reps loses its end.
 */
function elasticRun(runs: readonly SetRun[], counts: readonly number[]): number {
  let chosen = -1
  runs.forEach((run, at) => {
    const count = counts[at]!
    const best = counts[chosen] ?? 0
    if (run.role !== 'warmup' && (count > best || (count === 1 && best === 1))) chosen = at
  })
  return chosen
}

/** The scheme with `added` more sets, all of them like the longest run; without a set to repeat it stays as it is. */
export function withSetsAdded(scheme: SetScheme, added: number): SetScheme {
  const grown = elasticRun(
    scheme.runs,
    scheme.runs.map(run => run.count),
  )
  return {
    ...scheme,
    runs: scheme.runs.map((run, at) => (at === grown ? withCount(run, run.count + added) : run)),
  }
}

/**
 * Takes up to `wanted` sets out of a scheme, one after the other from the run that is longest then.
 *
 * Shape: `taken` are runs with the sets taken out, `kept` is what stays; together they are the scheme.
 */
export function splitSets(
  scheme: SetScheme,
  wanted: number,
): { readonly kept: SetScheme; readonly taken: readonly SetRun[] } {
  const counts = scheme.runs.map(run => run.count)
  for (let left = wanted; left > 0; left--) {
    const shrunk = elasticRun(scheme.runs, counts)
    if (shrunk < 0) break
    counts[shrunk] = counts[shrunk]! - 1
  }
  const kept = scheme.runs.flatMap((run, at) => (counts[at] ? [withCount(run, counts[at])] : []))
  const taken = scheme.runs.flatMap((run, at) =>
    counts[at] === run.count ? [] : [withCount(run, run.count - counts[at]!)],
  )
  return { kept: { ...scheme, runs: kept }, taken }
}

/** JSON with keys in order, so that equal values have equal text. */
export function orderedText(value: unknown): string {
  return JSON.stringify(value, (_, held: unknown) =>
    typeof held === 'object' && held !== null && !Array.isArray(held)
      ? Object.fromEntries(Object.entries(held).sort(([a], [b]) => (a < b ? -1 : 1)))
      : held,
  )
}

/**
 * Whether two values have equal text, whatever the order of their keys, as after crossing the wire. Told without writing it: most
 * differ soon, or are the same object.
 */
export function isAlike(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) || Array.isArray(b))
    return (
      Array.isArray(a) &&
      Array.isArray(b) &&
      a.length === b.length &&
      a.every((held, at) => isAlike(held, b[at]))
    )
  const [mine, theirs] = [a as Record<string, unknown>, b as Record<string, unknown>]
  return (
    Object.keys(mine).every(key => mine[key] === undefined || isAlike(mine[key], theirs[key])) &&
    Object.keys(theirs).every(key => theirs[key] === undefined || mine[key] !== undefined)
  )
}

function isSameRun(a: SetRun, b: SetRun): boolean {
  const shape = ({ count: _, countRange: __, ...rest }: SetRun) => rest
  return isAlike(shape(a), shape(b))
}

/** The scheme with more runs put in: sets equal to a run it has join that run, others follow at the end. */
export function withRunsAdded(scheme: SetScheme, added: readonly SetRun[]): SetScheme {
  return {
    ...scheme,
    runs: added.reduce<readonly SetRun[]>((runs, run) => {
      const like = runs.findIndex(candidate => isSameRun(candidate, run))
      return like < 0
        ? [...runs, run]
        : runs.map((candidate, at) =>
            at === like ? withCount(candidate, candidate.count + run.count) : candidate,
          )
    }, scheme.runs),
  }
}

/** A run with equal meaning in one spelling: what says nothing is left out. */
function normalStage(stage: Stage): Stage {
  if (stage.kind !== 'work') return stage
  const { optional, tempo, ...rest } = stage
  return {
    ...rest,
    ...(optional && { optional }),
    ...(tempo && Object.keys(tempo).length > 0 && { tempo }),
  }
}

/**
 * The scheme in its one normal spelling: neighbouring runs of equal sets joined, what says nothing left out.
 *
 * Edge: a run whose number is the client's choice stays by itself.
 */
export function normalScheme(scheme: SetScheme): SetScheme {
  const { aims, ...rest } = scheme
  const runs = scheme.runs.reduce<readonly SetRun[]>((joined, raw) => {
    const run: SetRun = {
      ...raw,
      stages: mapNonEmpty(raw.stages, normalStage),
    }
    const before = joined.at(-1)
    if (!before || before.countRange || run.countRange || !isSameRun(before, run))
      return [...joined, run]
    return [...joined.slice(0, -1), { ...before, count: before.count + run.count }]
  }, [])
  return { ...rest, runs, ...(aims && aims.length > 0 && { aims }) }
}
