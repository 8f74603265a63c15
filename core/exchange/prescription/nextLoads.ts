import { daysBetween, type PlainDate } from '../../base'
import type { BlockPlan } from '../../plan/block'
import { directGroups, type Exercise, type Group, requireExercise } from '../../plan/catalogue'
import {
  estimatedOneRep,
  type LoadGrid,
  loadForReps,
  loadGrid,
  roundLoad,
} from '../../plan/estimate'
import { formatSets, NBSP } from '../../words'
import { isSore } from '../../body/joints'
import { intentFor, type PlanContext } from '../../plan/method'
import {
  DELOAD,
  heaviestFor,
  type LoadPlan,
  loadRuleOf,
  nextLoadPlan,
  steppedLoad,
} from '../../design/progress'
import { leadRir, nominalReps, type SetRun, type WeightUnit, workStages } from '../../plan/scheme'
import type { Slot } from '../../plan/session'
import type { Levels } from '../../follow/sheet'
import { decidingSets, type Exposure } from './exposures'

/** A load to begin with, and why it is this one. */
export interface NextLoad {
  readonly amount: number
  readonly targets: readonly number[]
  readonly unit: WeightUnit
  readonly why: string
}

export interface LoadTerms {
  readonly on: PlainDate
  readonly isDeload: boolean
  readonly rules: BlockPlan['rules']
  readonly pain: Levels
  /** Exercises the coach wants a step heavier or a twentieth lighter this time. */
  readonly steps?: ReadonlyMap<string, 'up' | 'down'> | undefined
  /** What was done before, exercise by exercise, the oldest first. */
  readonly log: ReadonlyMap<string, readonly Exposure[]>
}

/** How much lighter after so many days without work for the muscle. Source: docs/methods.md#after-an-absence. */
const ABSENCE = [
  [7, 1],
  [14, 0.95],
  [28, 0.9],
  [56, 0.8],
] as const

interface Aim {
  readonly range: readonly [number, number]
  readonly rir: number
  readonly sets: number
}

function aimOf(slot: Slot, exercise: Exercise, context: PlanContext): Aim | undefined {
  const run = slot.scheme.runs.find(({ role }) => role === 'working')
  const stage = run && workStages(run)[0]
  if (!run || !stage || exercise.repUnit !== 'reps') return undefined
  const count = nominalReps(stage.reps)
  const range: readonly [number, number] =
    stage.reps?.kind === 'between'
      ? [stage.reps.low, stage.reps.high]
      : count === undefined
        ? exercise.repRange
        : [count, count]
  return {
    range,
    rir: leadRir(run) ?? context.method.effort.defaultRir,
    sets: slot.scheme.runs.reduce(
      (sum, each) => sum + (each.role === 'working' ? each.count : 0),
      0,
    ),
  }
}

/** Days since the muscle was last worked directly, by any exercise. */
function daysAway(
  exercise: Exercise,
  slot: Slot,
  { on, log }: LoadTerms,
  context: PlanContext,
): number | undefined {
  const wanted = directGroups(intentFor(context, exercise, slot.intent).credits)
  const last = [...log]
    .flatMap(([id, exposures]) => {
      const other = context.catalogue.get(id)
      const day = exposures.at(-1)?.on
      return other &&
        day &&
        day < on &&
        directGroups(other.intents[0].credits).some((group: Group) => wanted.includes(group))
        ? [day]
        : []
    })
    .sort()
    .at(-1)
  return last && daysBetween(last, on)
}

function withAbsence(
  load: number,
  days: number | undefined,
  grid: LoadGrid,
): { readonly load: number; readonly why: string } | undefined {
  const share = days === undefined ? 1 : ABSENCE.find(([most]) => days <= most)?.[1]
  if (share === 1) return undefined
  if (share === undefined)
    return {
      load: roundLoad(load * 0.7, grid, 'down'),
      why: `A new start after ${days} days: find a weight you could do four reps more with`,
    }
  return {
    load: roundLoad(load * share, grid, 'down'),
    why: `${Math.round((1 - share) * 100)}${NBSP}% lighter after ${days} days away`,
  }
}

function holdsLoad(exercise: Exercise, slot: Slot, pain: Levels, context: PlanContext): boolean {
  const { jointStress } = intentFor(context, exercise, slot.intent)
  return Object.entries(pain).some(
    ([joint, sides]) =>
      jointStress[joint as keyof typeof jointStress] > 0 && [sides.left, sides.right].some(isSore),
  )
}

/** Goes through the exposures by the exercise's rule; what was really lifted comes before what the rule would have had. */
function followed(
  exposures: readonly Exposure[],
  {
    aim,
    unit,
    grid,
    exercise,
    context,
    rules,
  }: {
    readonly aim: Aim
    readonly unit: WeightUnit
    readonly grid: LoadGrid
    readonly exercise: Exercise
    readonly context: PlanContext
    readonly rules: BlockPlan['rules']
  },
): { readonly plan: LoadPlan; readonly last: number } | undefined {
  const backOff = rules?.[exercise.id]?.backOffPercent
  let state: { readonly plan: LoadPlan; readonly last: number } | undefined
  const estimates: number[] = []
  for (const exposure of exposures) {
    const deciding = decidingSets(exposure, unit)
    if (!deciding) continue
    const { load, done } = deciding
    const before = state?.plan
    const plan: LoadPlan =
      before && before.load === load
        ? before
        : { load, targets: done.map(({ reps }) => reps), high: aim.range[1], short: 0 }
    const estimate = done[0] && estimatedOneRep(load, done[0].reps, done[0].rir)?.load
    if (estimate) estimates.push(estimate)
    state = {
      last: load,
      plan: nextLoadPlan({
        rule: loadRuleOf(exercise, rules, context),
        range: aim.range,
        rir: aim.rir,
        grid,
        plan,
        done,
        estimates: estimates.slice(-3),
        ...(backOff !== undefined && { backOffShare: backOff / 100 }),
      }),
    }
  }
  return state
}

function whyOf(before: number, after: number, unit: WeightUnit): string {
  if (after > before)
    return `Up from ${formatSets(before)}${NBSP}${unit}: last time reached the top`
  if (after < before) return `Down from ${formatSets(before)}${NBSP}${unit}: last times fell short`
  return 'Same weight as last time'
}

/** Targets for as many sets as are planned, the last one repeated. */
function targetsFor({ targets }: LoadPlan, sets: number): readonly number[] {
  return Array.from({ length: sets }, (_, at) => targets[Math.min(at, targets.length - 1)] ?? 0)
}

/**
 * The load an exercise is to be begun with, by its own rule from what was really done, else from the plan.
 *
 * Units:  the plan's unit where it names a weight, else the client's; a load that can be loaded.
 * Edge:   pain at `hold` or worse allows no more than last time; an easier rotation is a tenth lighter; after an absence less;
 *         null where neither log nor plan says anything; never over the coach's limit for the exercise.
 * Source: docs/methods.md#block and #after-an-absence; examples P10 to P19 and A-18.
 */
export function nextLoad(
  slot: Slot,
  terms: LoadTerms,
  context: PlanContext,
  clientUnit: WeightUnit,
): NextLoad | null {
  const load = ruledLoad(slot, terms, context, clientUnit)
  return load && withinLimit(load, requireExercise(context.catalogue, slot.exercise), context)
}

/** No more than the coach's limit for the exercise; where it holds the load back, it is the reason. */
function withinLimit(load: NextLoad, exercise: Exercise, { client }: PlanContext): NextLoad {
  const most = heaviestFor(exercise, load.unit, client)
  return load.amount <= most
    ? load
    : {
        ...load,
        amount: most,
        targets: [],
        why: `Your coach has set ${formatSets(most)}${NBSP}${load.unit} as the heaviest`,
      }
}

function ruledLoad(
  slot: Slot,
  terms: LoadTerms,
  context: PlanContext,
  clientUnit: WeightUnit,
): NextLoad | null {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const aim = aimOf(slot, exercise, context)
  if (!aim) return null
  const named = plannedWeight(slot.scheme.runs)
  const unit = named?.unit ?? clientUnit
  const grid = loadGrid(exercise, unit)
  if (grid.kind === 'none' && !named) return null
  const exposures = (terms.log.get(exercise.id) ?? []).filter(({ on }) => on < terms.on)
  const state = followed(exposures, { aim, unit, grid, exercise, context, rules: terms.rules })
  if (!state) return named ? { amount: named.amount, targets: [], unit, why: 'As planned' } : null
  const { plan, last } = state
  if (holdsLoad(exercise, slot, terms.pain, context))
    return {
      amount: Math.min(plan.load, last),
      targets: [],
      unit,
      why: 'No more than last time while the joint is sore',
    }
  const away = withAbsence(last, daysAway(exercise, slot, terms, context), grid)
  if (away) return { amount: away.load, targets: [], unit, why: away.why }
  if (terms.isDeload)
    return {
      amount: roundLoad(last * DELOAD.load, grid, 'down'),
      targets: [],
      unit,
      why: 'Lighter on purpose: easier days',
    }
  const step = terms.steps?.get(exercise.id)
  if (step)
    return {
      amount: steppedLoad(plan.load, step, grid),
      targets: [],
      unit,
      why:
        step === 'up'
          ? 'A step heavier: your coach saw reps to spare'
          : 'Lighter: your coach wants every rep done',
    }
  return {
    amount: plan.load,
    targets: targetsFor(plan, aim.sets),
    unit,
    why: whyOf(last, plan.load, unit),
  }
}

function plannedWeight(runs: readonly SetRun[]) {
  const loads = runs
    .filter(({ role }) => role === 'working')
    .flatMap(run => workStages(run).slice(0, 1))
    .map(({ load }) => load)
  const [first] = loads.flatMap(load => (load?.kind === 'weight' ? [load] : []))
  return first
}

/** A load for a movement that stands in, from its own log, never over the coach's limit; null where it has none. */
export function standInLoad(
  exercise: Exercise,
  { log, on }: Pick<LoadTerms, 'log' | 'on'>,
  aim: { readonly reps: number; readonly rir: number },
  unit: WeightUnit,
  client: PlanContext['client'],
): number | null {
  const grid = loadGrid(exercise, unit)
  const estimates = (log.get(exercise.id) ?? [])
    .filter(exposure => exposure.on < on)
    .slice(-3)
    .flatMap(exposure => {
      const deciding = decidingSets(exposure, unit)
      const value =
        deciding?.done[0] &&
        estimatedOneRep(deciding.load, deciding.done[0].reps, deciding.done[0].rir)?.load
      return value ? [value] : []
    })
  const lowest = Math.min(...estimates)
  return estimates.length === 0 || grid.kind === 'none'
    ? null
    : Math.min(
        roundLoad(loadForReps(lowest, aim.reps, aim.rir), grid, 'down'),
        heaviestFor(exercise, unit, client),
      )
}
