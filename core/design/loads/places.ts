import { isoWeekday, type PlainDate, remembered } from '../../base'
import { type Exercise, requireExercise } from '../../plan/catalogue'
import { amountIn } from '../../plan/estimate'
import type { PlanContext } from '../../plan/method'
import {
  leadRir,
  type Load,
  nominalReps,
  type Reps,
  type SetRun,
  type SetScheme,
  type WeightUnit,
  type WorkStage,
  workStages,
} from '../../plan/scheme'
import type { Slot } from '../../plan/session'

/** What a plan says about the load of one set, apart from how it goes on over time. Amounts in the unit of the loads. */
export type Ask =
  | { readonly kind: 'named'; readonly amount: number }
  /** So much more than the set before. */
  | { readonly kind: 'step'; readonly by: number }
  | { readonly kind: 'like_before' }
  | { readonly kind: 'heavier' | 'lighter' }
  | { readonly kind: 'share' | 'less'; readonly of: 'first' | 'previous'; readonly by: number }
  | { readonly kind: 'of_one_rep' | 'of_usual'; readonly share: number }
  /** Moved without a number: own body, a band, a word. */
  | { readonly kind: 'none' }

/** One set of an exercise that is no warm-up, as its load is reckoned. */
export interface Place {
  readonly isWorking: boolean
  readonly ask: Ask
  /** Reps at its first load, and those left at its end. */
  readonly range: readonly [low: number, high: number]
  readonly rir: number
  /** Failure has to fall within the range: outside it the load was wrong. */
  readonly isWindow: boolean
}

type End = 'low' | 'high' | undefined

/** Share of a wide window that counts as one of its ends. */
const END_SHARE = 1 / 3

function endOf([low, high]: readonly [number, number], end: End): readonly [number, number] {
  if (end === undefined) return [low, high]
  const part = Math.round((high - low) * END_SHARE)
  return end === 'low' ? [low, low + part] : [high - part, high]
}

function rangeOf(
  reps: Reps | undefined,
  exercise: Exercise,
  { at, of }: { readonly at: number; readonly of: number },
): readonly [number, number] {
  switch (reps?.kind) {
    case 'between':
      return [reps.low, reps.high]
    case 'to_failure':
      return reps.low === undefined && reps.high === undefined
        ? exercise.repRange
        : [reps.low ?? reps.high!, reps.high ?? reps.low!]
    case 'first_to_last': {
      const count = Math.round(reps.first + ((reps.last - reps.first) * at) / Math.max(1, of - 1))
      return [count, count]
    }
    default: {
      const count = nominalReps(reps)
      return count === undefined ? exercise.repRange : [count, count]
    }
  }
}

function loadAsk(load: Load | undefined, unit: WeightUnit): Ask {
  switch (load?.kind) {
    case undefined:
      return { kind: 'like_before' }
    case 'weight':
      return {
        kind: 'named',
        amount: amountIn(load, unit) * (load.basis === 'assisted' ? -1 : 1),
      }
    case 'stack_position':
      return { kind: 'named', amount: load.position }
    case 'percent_of_e1rm':
      return { kind: 'of_one_rep', share: load.percent / 100 }
    case 'percent_of_usual':
      return { kind: 'of_usual', share: load.percent / 100 }
    case 'drop_percent':
      return { kind: 'share', of: load.from, by: 1 - load.percent / 100 }
    case 'drop_weight':
      return { kind: 'less', of: load.from, by: amountIn(load, unit) }
    case 'drop_open':
      return { kind: 'lighter' }
    case 'than_before':
      return { kind: load.direction }
    case 'bodyweight':
    case 'band':
    case 'in_words':
      return { kind: 'none' }
  }
}

/** No less than before: a set that a ramp has added to a ladder climbs no further. */
const isLevel = (ask: Ask): boolean => ask.kind === 'less' && ask.by === 0

/** In a run of equal working sets only the first is heavier or lighter than what came before it. */
function askIn(run: SetRun, stage: WorkStage | undefined, n: number, unit: WeightUnit): Ask {
  if (!stage) return { kind: 'none' }
  const ask = loadAsk(stage.load, unit)
  const isPlateau = run.role === 'working' && n > 0
  const isRelative =
    ask.kind !== 'named' && ask.kind !== 'none' && ask.kind !== 'of_one_rep' && !isLevel(ask)
  return isPlateau && isRelative ? { kind: 'like_before' } : ask
}

/** A change from set to set takes the place of a weight that is only named again. */
function stepped(scheme: SetScheme, places: readonly Place[], unit: WeightUnit): readonly Place[] {
  if (!scheme.loadStep) return places
  const by = amountIn(scheme.loadStep, unit)
  const first = places.find(({ isWorking }) => isWorking)
  return places.map(place => {
    const again =
      place.ask.kind === 'like_before' ||
      (place.ask.kind === 'named' &&
        first?.ask.kind === 'named' &&
        place.ask.amount === first.ask.amount)
    return place !== first && place.isWorking && again
      ? { ...place, ask: { kind: 'step', by } }
      : place
  })
}

function computedPlaces(
  slot: Slot,
  {
    context,
    unit,
    end,
  }: { readonly context: PlanContext; readonly unit: WeightUnit; readonly end: End },
): readonly Place[] {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const places = slot.scheme.runs
    .filter(({ role, stages }) => role !== 'warmup' && stages.some(({ kind }) => kind !== 'rest'))
    .flatMap(run => {
      const [stage] = workStages(run)
      const isWindow = stage?.reps?.kind === 'to_failure' && stage.reps.high !== undefined
      const rir =
        stage?.reps?.kind === 'to_failure' ? 0 : (leadRir(run) ?? context.method.effort.defaultRir)
      return Array.from({ length: run.count }, (_, n): Place => ({
        isWorking: run.role === 'working',
        ask: askIn(run, stage, n, unit),
        range: endOf(rangeOf(stage?.reps, exercise, { at: n, of: run.count }), end),
        rir,
        isWindow,
      }))
    })
  return stepped(slot.scheme, places, unit)
}

interface Key {
  readonly context: PlanContext
  readonly unit: WeightUnit
  readonly end: End
}
const keys = new WeakMap<PlanContext, Map<string, Key>>()
/** One object for equal terms, so that what was computed under them is found again. */
function keyOf(context: PlanContext, unit: WeightUnit, end: End): Key {
  const known = keys.get(context) ?? keys.set(context, new Map()).get(context)!
  const name = `${unit} ${end ?? ''}`
  return known.get(name) ?? known.set(name, { context, unit, end }).get(name)!
}
const rememberedPlaces = remembered(computedPlaces)

/** Which end of its window a scheme means on a day; undefined where it means all of it. */
export function aimedEnd({ aims }: SetScheme, on: PlainDate): End {
  if (!aims) return undefined
  const weekday = isoWeekday(on)
  return aims?.find(aim => aim.weekday === weekday)?.end
}

/**
 * The sets of a slot that are no warm-up, numbered as the sheet numbers them, with what the plan says about their loads.
 *
 * Units: `unit`; weights of assistance are negative, so that more is always harder.
 */
export const placesOf = (
  slot: Slot,
  context: PlanContext,
  unit: WeightUnit,
  on: PlainDate,
): readonly Place[] => rememberedPlaces(slot, keyOf(context, unit, aimedEnd(slot.scheme, on)))
