import type { BlockException, BlockPlan } from '../../plan/block'
import { type Exercise, requireExercise } from '../../plan/catalogue'
import { amountIn, type LoadGrid, loadForReps, loadGrid, roundLoad } from '../../plan/estimate'
import { type LoadProgression, mostKgOf, type PlanContext } from '../../plan/method'
import {
  leadRir,
  nominalReps,
  plannedSets,
  type WeightUnit,
  type WorkStage,
  workStages,
} from '../../plan/scheme'
import { sessionSlots, type Slot } from '../../plan/session'
import type { ExpandedBlock } from './expand'
import { type LoadPlan, nextLoadPlan, steppedLoad, unusualJump } from './loadRules'
import { DELOAD } from './passContent'

/** What an exercise is planned to be done with in one session, if everything before goes as planned. */
export interface PlannedLoad {
  readonly pass: number
  readonly slot: Slot
  readonly load: number
  readonly unit: WeightUnit
  /** Reps to aim at in the first working set. */
  readonly reps: number
  readonly from: 'log' | 'plan'
  /** How much more than the time before, as a share, where that is more than usual. */
  readonly jump: number | null
}

export interface ForecastTerms {
  /** One-rep maximum by exercise, from the log. Units: kg. */
  readonly strengths: ReadonlyMap<string, number>
  readonly rules?: BlockPlan['rules']
}

/** The rule an exercise's load goes up by: the block's own, else the method's for its kind. */
export function loadRuleOf(
  exercise: Exercise,
  rules: BlockPlan['rules'],
  { method }: PlanContext,
): LoadProgression {
  return (
    rules?.[exercise.id]?.rule ??
    (exercise.kind === 'isolation' ? method.progress.isolationRule : method.progress.compoundRule)
  )
}

function rangeOf({ reps }: WorkStage, exercise: Exercise): readonly [number, number] {
  if (reps?.kind === 'between') return [reps.low, reps.high]
  const count = nominalReps(reps)
  return count === undefined ? exercise.repRange : [count, count]
}

interface State {
  readonly plan: LoadPlan
  readonly unit: WeightUnit
  readonly grid: LoadGrid
  readonly from: PlannedLoad['from']
  /** Load of the working session before. */ readonly last?: number
}

/** The heaviest load the coach has set for an exercise, as it can be loaded; Infinity where there is no limit. */
export function heaviestFor(
  exercise: Exercise,
  unit: WeightUnit,
  client: PlanContext['client'],
): number {
  const kg = mostKgOf(client, exercise.id)
  return kg === Infinity
    ? Infinity
    : roundLoad(amountIn({ amount: kg, unit: 'kg' }, unit), loadGrid(exercise, unit), 'down')
}

/** Where an exercise begins: with the load the plan names, else with what its log allows; undefined where neither says. */
function startOf(
  stage: WorkStage,
  exercise: Exercise,
  rir: number,
  strengths: ForecastTerms['strengths'],
): State | undefined {
  const [low, high] = rangeOf(stage, exercise)
  const named = stage.load?.kind === 'weight' ? stage.load : undefined
  const unit = named?.unit ?? 'kg'
  const grid = loadGrid(exercise, unit)
  const oneRep = strengths.get(exercise.id)
  const load =
    named?.amount ??
    (oneRep === undefined || grid.kind === 'none'
      ? undefined
      : roundLoad(loadForReps(oneRep, (low + high) / 2, rir), grid))
  return load === undefined
    ? undefined
    : {
        unit,
        grid,
        from: named ? 'plan' : 'log',
        plan: { load, high, short: 0, targets: [Math.round((low + high) / 2)] },
      }
}

/** The load a rotation's exception asks for, the first time the exercise comes up in it; the rule goes on from there. */
function withStep(
  state: State,
  exceptions: readonly BlockException[],
  exercise: Exercise,
  isFirst: boolean,
): State {
  const step = exceptions.find(
    exception => exception.kind === 'load' && exception.exercise === exercise.id,
  )
  return step?.kind === 'load' && isFirst
    ? {
        ...state,
        plan: { ...state.plan, load: steppedLoad(state.plan.load, step.step, state.grid) },
      }
    : state
}

/**
 * Loads of every dated session, each exercise going on by its rule from the one before.
 *
 * Shape:  one entry for each exercise and session that has a load, in the order of dates.
 * Units:  the unit the plan names, else kilograms; rounded to what can be loaded.
 * Edge:   every target is taken as met; an easier pass is a tenth lighter and moves nothing on; without a log and without a load in
 *         the plan there is no entry.
 * Source: docs/methods.md#block.
 */
export function plannedLoads(
  { passes }: ExpandedBlock,
  context: PlanContext,
  { strengths, rules }: ForecastTerms,
): readonly PlannedLoad[] {
  const states = new Map<string, State>()
  const stepped = new Set<string>()
  const sessions = passes
    .flatMap(({ isDeload, sessions: own }) =>
      own.filter(({ isSkipped }) => !isSkipped).map(session => ({ ...session, isDeload })),
    )
    .sort((a, b) => (a.on === b.on ? a.place - b.place : a.on < b.on ? -1 : 1))
  return sessions.flatMap(({ pass, content, isDeload }) =>
    sessionSlots(content).flatMap((slot): PlannedLoad[] => {
      const exercise = requireExercise(context.catalogue, slot.exercise)
      const run = slot.scheme.runs.find(({ role }) => role !== 'warmup')
      const stage = run && workStages(run)[0]
      if (!run || !stage || exercise.repUnit !== 'reps') return []
      const rir = leadRir(run) ?? context.method.effort.defaultRir
      const key = `${exercise.id} ${slot.intent ?? ''}`
      const before = states.get(key)
      const begun = before ?? startOf(stage, exercise, rir, strengths)
      if (!begun) return []
      const state = withStep(
        begun,
        passes[pass]?.exceptions ?? [],
        exercise,
        !stepped.has(`${pass} ${key}`),
      )
      stepped.add(`${pass} ${key}`)
      const { grid, unit, from } = state
      const most = heaviestFor(exercise, unit, context.client)
      const plan = { ...state.plan, load: Math.min(state.plan.load, most) }
      if (isDeload) {
        states.set(key, state)
        return [
          {
            pass,
            slot,
            load: roundLoad(plan.load * DELOAD.load, grid, 'down'),
            unit,
            reps: plan.targets[0] ?? 0,
            from,
            jump: null,
          },
        ]
      }
      const sets = Math.max(1, plannedSets(slot.scheme))
      const reps = plan.targets[0] ?? 0
      const done = Array.from({ length: sets }, (_, at) => ({
        reps: plan.targets[at] ?? reps,
        rir,
      }))
      const backOff = rules?.[exercise.id]?.backOffPercent
      const next = nextLoadPlan({
        rule: loadRuleOf(exercise, rules, context),
        range: rangeOf(stage, exercise),
        rir,
        grid,
        plan,
        done,
        ...(backOff !== undefined && { backOffShare: backOff / 100 }),
      })
      states.set(key, { ...state, plan: next, last: plan.load })
      return [
        {
          pass,
          slot,
          load: plan.load,
          unit,
          reps,
          from,
          jump: state.last === undefined ? null : unusualJump(state.last, plan.load, grid),
        },
      ]
    }),
  )
}
