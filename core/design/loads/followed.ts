import { estimatedOneRep } from '../../plan/estimate'
import type { LoadProgression } from '../../plan/method'
import type { Exposure } from '../../body/log'
import type { SlotId } from '../../base'
import { type DoneSet, type LoadPlan, nextLoadPlan } from '../progress'
import { type DoneAt, doneBySet } from './done'
import type { Place } from './places'
import type { Scale } from './scale'

type Range = readonly [low: number, high: number]

/** What an exercise's loads are followed by. */
export interface Terms {
  readonly scale: Scale
  readonly slots: ReadonlySet<SlotId>
  readonly rule: LoadProgression
  readonly backOffShare?: number | undefined
}

/** Where a load stands after what was done: what comes next, what was lifted last, and how that went. */
export interface Standing {
  readonly plan: LoadPlan
  readonly last: number
  /** As it was done, in the order of the sets. */
  readonly done: readonly DoneSet[]
}

/** Reps of a set told in the reference's range, so that 12/10/8 at one load are judged together. */
export function toldIn(reps: number, [low, high]: Range, [refLow, refHigh]: Range): number {
  if (low === refLow && high === refHigh) return reps
  if (reps >= high) return refHigh + reps - high
  if (reps < low) return Math.max(0, refLow - (low - reps))
  return Math.min(refHigh, refLow + reps - low)
}

/** The other way round: reps to aim at in a set, from an aim told in the reference's range. */
export function toldBack(reps: number, own: Range, ref: Range): number {
  if (own[0] === ref[0] && own[1] === ref[1]) return reps
  return Math.max(1, toldIn(reps, ref, own))
}

const heaviestOf = (sets: readonly DoneAt[]) => Math.max(...sets.map(({ load }) => load))

/** Sets of some places as they were done, at the heaviest load among them. */
function deciding(
  exposure: Exposure,
  at: readonly number[],
  places: readonly Place[],
  { scale, slots }: Terms,
):
  | { readonly load: number; readonly raw: readonly DoneSet[]; readonly done: readonly DoneSet[] }
  | undefined {
  const bySet = doneBySet(exposure, slots, scale)
  const own: { readonly place: number; readonly done: DoneAt }[] = []
  for (const place of at) {
    const done = bySet.get(place)
    if (done) own.push({ place, done })
  }
  // Sets that lie nowhere in the plan, of an older plan or done on top, speak where no other does.
  const found =
    own.length > 0 ? own : [...bySet.values()].map(done => ({ place: at[0] ?? 0, done }))
  if (found.length === 0) return undefined
  const load = heaviestOf(found.map(({ done }) => done))
  const ref = places[at[0] ?? 0]!
  const heaviest = found.filter(({ done }) => done.load === load)
  return {
    load,
    raw: heaviest.map(({ done: { reps, rir } }) => ({ reps, rir })),
    done: heaviest.map(({ place, done }) => ({
      reps: toldIn(done.reps, places[place]!.range, ref.range),
      rir: done.rir - places[place]!.rir + ref.rir,
    })),
  }
}

/** One-rep estimate of a set, own body with it; undefined where nothing is known of what was moved. */
function oneRepOf(load: number, set: DoneSet | undefined, { body }: Scale): number | undefined {
  return set && load + body > 0 ? estimatedOneRep(load + body, set.reps, set.rir)?.load : undefined
}

/** Exposures that decide where a load stands: before them nothing is remembered. */
const MOST_FOLLOWED = 8
const ESTIMATES = 3

/**
 * Goes through the exposures by the exercise's rule, for the sets at some places; what was really lifted comes before what
 * the rule would have had.
 *
 * Shape: exposures oldest first; `at` the places that share one load, the first of them the one whose reps are aimed at.
 * Edge:  undefined where none of them holds a set with a load.
 */
export function followed(
  exposures: readonly Exposure[],
  at: readonly number[],
  places: readonly Place[],
  terms: Terms,
): Standing | undefined {
  const ref = places[at[0] ?? 0]
  if (!ref) return undefined
  const { scale, rule, backOffShare } = terms
  let state: Standing | undefined
  const estimates: number[] = []
  for (const exposure of exposures.slice(-MOST_FOLLOWED)) {
    const decided = deciding(exposure, at, places, terms)
    if (!decided) continue
    const { load, raw, done } = decided
    const before = state?.plan
    const estimate = oneRepOf(load, done[0], scale)
    if (estimate) estimates.push(estimate)
    state = {
      last: load,
      done: raw,
      plan: nextLoadPlan({
        rule,
        range: ref.range,
        rir: ref.rir,
        grid: scale.grid,
        body: scale.body,
        isWindow: ref.isWindow,
        plan:
          before?.load === load
            ? before
            : { load, targets: done.map(({ reps }) => reps), high: ref.range[1], short: 0 },
        done,
        estimates: estimates.slice(-ESTIMATES),
        ...(backOffShare !== undefined && { backOffShare }),
      }),
    }
  }
  return state
}

/** Lowest one-rep estimate of the last exposures, own body with it: what a load for other reps is reckoned from. */
export function carefulOneRep(
  exposures: readonly Exposure[],
  slots: ReadonlySet<SlotId>,
  scale: Scale,
): number | undefined {
  const estimates = exposures.slice(-ESTIMATES).flatMap(exposure => {
    const best = [...doneBySet(exposure, slots, scale).values()].flatMap(
      set => oneRepOf(set.load, set, scale) ?? [],
    )
    return best.length > 0 ? [Math.max(...best)] : []
  })
  return estimates.length > 0 ? Math.min(...estimates) : undefined
}
