import type { SlotId } from '../../base'
import type { Exposure } from '../../body/log'
import { loadForReps, nextWeight, roundLoad } from '../../plan/estimate'
import { shareOfLoad } from '../progress'
import { doneBySet, isUnder } from './done'
import { carefulOneRep, followed, type Standing, toldBack } from './followed'
import { type Case, heaviestIn, middleOf, workingExposures } from './loadCase'
import { plannedKey } from './movementOf'
import { placesOf } from './places'
import type { LoadReason } from './reason'
import type { Scale } from './scale'
import { shapeOf } from './shape'
import { spreadLoads } from './spread'

/** Loads before anything holds them back: by set, with reps to aim at and the reason. */
export interface Drawn {
  readonly amounts: readonly (number | undefined)[]
  readonly targets: readonly (number | null)[]
  readonly reason: LoadReason
  readonly from: 'log' | 'plan'
  /** What was lifted last, by set; loads are held back from there. */
  readonly before: readonly (number | undefined)[]
  readonly last: number | undefined
}

/** The heaviest load of the exercise under any aim lately: the usual one. */
function usualLoad(of: Case): number | undefined {
  const loads = workingExposures(of)
    .slice(-USUAL_EXPOSURES)
    .flatMap(exposure => heaviestIn(exposure, of) ?? [])
  return loads.length > 0 ? Math.max(...loads) : undefined
}
const USUAL_EXPOSURES = 6

/** Loads of all places from the reference's. */
export function spreadFrom(
  of: Case,
  load: number,
  lastAt: Drawn['before'],
  last: number | undefined,
) {
  return spreadLoads({
    places: of.places,
    shape: of.shape,
    scale: of.scale,
    load,
    lastAt,
    last,
    oneRep: () => carefulOneRep(workingExposures(of), of.terms.slots, of.scale),
    usual: () => usualLoad(of),
  })
}

export const NO_TARGETS: readonly null[] = []

const begun = (of: Case, load: number, reason: LoadReason, from: Drawn['from']): Drawn => ({
  amounts: spreadFrom(of, load, [], undefined),
  targets: NO_TARGETS,
  reason,
  from,
  before: [],
  last: undefined,
})

/** A load for other reps than were done, from the lowest estimate of the last times. */
function fromOtherReps(of: Case): Drawn | undefined {
  const { shape, scale, places, terms } = of
  const working = workingExposures(of)
  const oneRep = carefulOneRep(working, terms.slots, scale)
  const latest = working.at(-1)
  const ref = places[shape.reference]!
  if (oneRep === undefined || !latest) return undefined
  if (ref.ask.kind === 'of_one_rep')
    return begun(
      of,
      roundLoad(oneRep * ref.ask.share - scale.body, scale.grid),
      { kind: 'of_one_rep' },
      'log',
    )
  const heaviest = [...doneBySet(latest, terms.slots, scale).values()].reduce((best, set) =>
    set.load > best.load ? set : best,
  )
  const moved = loadForReps(oneRep, Math.floor(middleOf(ref.range)), ref.rir)
  return begun(
    of,
    roundLoad(moved - scale.body, scale.grid, 'down'),
    { kind: 'other_reps', before: scale.sign * heaviest.load, reps: heaviest.reps },
    'log',
  )
}

/** Where nothing was done under this aim: the plan's weight, a share of an estimate, or a load from other reps. */
export function drawnAnew(of: Case, reason: 'as_planned' | 'new_plan'): Drawn | undefined {
  const { shape, scale } = of
  if (shape.named === undefined) {
    const found = fromOtherReps(of)
    return found && withBackOff(of, undefined, found)
  }
  const named = scale.grid.kind === 'list' ? roundLoad(shape.named, scale.grid) : shape.named
  return begun(of, named, { kind: reason }, 'plan')
}

/** A set made the reps it was asked for, with the reserve. */
function isMet({ own, places, terms, scale }: Case, at: number): boolean {
  const latest = own.at(-1)
  const done = latest && doneBySet(latest, terms.slots, scale).get(at)
  const place = places[at]!
  return (
    done !== undefined &&
    terms.rule !== 'held' &&
    done.reps >= place.range[1] &&
    done.rir >= place.rir - RESERVE_SLACK
  )
}
const RESERVE_SLACK = 0.5

/** A ladder that was done as one: each place by its own reps, or all of it a step up. */
function byPlace(of: Case, lastAt: Drawn['before'], ref: Standing): Drawn | undefined {
  const { shape, places, own, terms, scale } = of
  const working = places.flatMap(({ isWorking }, at) =>
    isWorking && shape.offsets[at] !== undefined ? [at] : [],
  )
  const isDone = working.every(
    (at, n) =>
      lastAt[at] !== undefined &&
      (n === 0 ||
        Math.sign(lastAt[at] - lastAt[working[n - 1]!]!) ===
          Math.sign(shape.offsets[at]! - shape.offsets[working[n - 1]!]!)),
  )
  if (!shape.isLadder || !isDone) return undefined
  const standings = new Map(working.map(at => [at, followed(own, [at], places, terms)]))
  const rises = working.map(at => {
    const standing = standings.get(at)
    return standing !== undefined && standing.plan.load > lastAt[at]!
  })
  const under = roundLoad(ref.last, scale.grid, 'down')
  const step = (nextWeight(under, scale.grid) ?? under) - under
  // A load from effort goes by what is left, not by what was asked.
  const isWhole =
    terms.rule === 'load_from_rir' ? rises.every(Boolean) : working.every(at => isMet(of, at))
  const moved = places.map((_, at) => {
    const before = lastAt[at]
    if (before === undefined || !standings.has(at)) return undefined
    return isWhole ? roundLoad(before + step, scale.grid) : standings.get(at)!.plan.load
  })
  const load = moved[shape.reference] ?? ref.plan.load
  const others = spreadFrom(of, load, lastAt, ref.last)
  const raised = rises.filter(Boolean).length
  return {
    amounts: places.map((_, at) => moved[at] ?? others[at]),
    targets: places.map((_, at) => standings.get(at)?.plan.targets[0] ?? null),
    reason: isWhole || raised === 0 ? reasonOf(ref, load, scale) : { kind: 'by_set', raised },
    from: 'log',
    before: lastAt,
    last: ref.last,
  }
}

function reasonOf({ last, done }: Standing, load: number, { sign }: Scale): LoadReason {
  return {
    kind: load > last ? 'up' : load < last ? 'down' : 'same',
    before: sign * last,
    done,
  }
}

/** The rule of a top set with lighter ones behind it, where the plan names no weights of its own. */
function withBackOff(of: Case, standing: Standing | undefined, drawn: Drawn): Drawn {
  const { terms, shape, scale } = of
  const [, ...behind] = shape.alike
  const top = drawn.amounts[shape.reference]
  if (terms.rule !== 'top_set_back_off' || shape.named !== undefined || top === undefined)
    return drawn
  const load = shareOfLoad(top, 1 - (terms.backOffShare ?? BACK_OFF), scale.grid, scale.body)
  return {
    ...drawn,
    amounts: drawn.amounts.map((amount, at) => (behind.includes(at) ? load : amount)),
    targets: of.places.map((_, at) =>
      behind.includes(at) ? (standing?.plan.backOff?.reps ?? null) : (drawn.targets[at] ?? null),
    ),
  }
}
const BACK_OFF = 0.1

/** By the rule from what was done under this aim. */
export function drawnOn(of: Case): Drawn | undefined {
  const { shape, places, own, terms, scale } = of
  const standing = followed(own, shape.alike, places, terms)
  const latest = own.at(-1)
  if (!standing || !latest) return undefined
  const done = doneBySet(latest, terms.slots, scale)
  const lastAt = places.map((_, at) => done.get(at)?.load)
  const laddered = byPlace(of, lastAt, standing)
  if (laddered) return laddered
  const { load, targets } = standing.plan
  const [lead] = shape.alike
  const ref = places[lead ?? 0]!
  return withBackOff(of, standing, {
    amounts: spreadFrom(of, load, lastAt, standing.last),
    targets: places.map((place, at) => {
      const n = shape.alike.indexOf(at)
      const target = targets[Math.min(n, targets.length - 1)]
      return n < 0 || target === undefined ? null : toldBack(target, place.range, ref.range)
    }),
    reason: reasonOf(standing, load, scale),
    from: 'log',
    before: lastAt,
    last: standing.last,
  })
}

/** Whether the coach has named another weight since the slot was last done, or named one for a slot never done. */
export function namedAnew({
  slot,
  shape,
  lastPlanned,
  isDeload,
  exposures,
  basis,
  on,
  scale,
}: Case) {
  if (shape.named === undefined || isDeload) return undefined
  const then = lastPlanned.get(plannedKey(slot))
  if (!then) return isUnderAny(exposures, slot.id) ? undefined : ('as_planned' as const)
  const named = shapeOf(placesOf(then, basis.context, scale.unit, on)).named
  return named === shape.named ? undefined : ('new_plan' as const)
}

const isUnderAny = (exposures: readonly Exposure[], slot: SlotId) => {
  const own = new Set([slot])
  return exposures.some(exposure => isUnder(exposure, own))
}
