import { remembered, roundHalfUp } from '../../base'
import { type Exercise, requireExercise } from '../catalogue'
import type { PlanContext } from '../method'
import {
  type Load,
  nominalReps,
  restSeconds,
  type SetRun,
  type SetScheme,
  type SideOrder,
  type Span,
  type Stage,
  type Tempo,
  type WorkStage,
} from '../scheme'

/** Seconds of one set, and how many of them rest on something that was not given. */
export interface SetSeconds {
  readonly seconds: number
  readonly assumed: number
}

/** Parameters of a set's time; rules of thumb. Source: docs/methods.md#minutes. */
const ENTRY = 8
const SIDE_SWITCH = 5
const OTHER_STATION = 15
const PARTIAL = 0.6
const TEMPO_WORD_SECONDS = { slow: 4, controlled: 3, quick: 1 } as const
const UNKNOWN_MINI_REST = 15

/** Seconds to change the load, by what is loaded. */
export function loadChangeSeconds({ equipment, loadBasis }: Exercise): number {
  if (
    equipment.includes('barbell') ||
    equipment.includes('cambered_bar') ||
    equipment.includes('rail_guided_barbell')
  )
    return 30
  if (
    equipment.includes('dumbbell') ||
    loadBasis === 'stack' ||
    loadBasis === 'added' ||
    loadBasis === 'counterweight'
  )
    return 8
  return equipment.includes('machine') ? 25 : 0
}

function middle(span: Span): number {
  return typeof span === 'number' ? span : (span.low + span.high) / 2
}

/** Seconds of one rep; what the tempo leaves open is as the method usually has it. */
function repSeconds(tempo: Tempo | undefined, usual: PlanContext['method']['tempo']): number {
  const [lower, longPause, lift, shortPause] = usual
  if (tempo?.word && tempo.lower === undefined && tempo.lift === undefined)
    return (
      TEMPO_WORD_SECONDS[tempo.word] +
      middle(tempo.longPause ?? 0) +
      middle(tempo.shortPause ?? 0) +
      middle(tempo.midPause ?? 0)
    )
  return (
    middle(tempo?.lower ?? lower) +
    middle(tempo?.longPause ?? longPause) +
    middle(tempo?.lift ?? lift) +
    middle(tempo?.shortPause ?? shortPause) +
    middle(tempo?.midPause ?? 0)
  )
}

interface Reps {
  readonly count: number
  readonly isAssumed: boolean
}

/** Reps to time a stage with; the arithmetic middle of a range, the middle of the usual range where nothing is known. */
export function timedReps(
  stage: WorkStage,
  exercise: Exercise,
  before: readonly number[],
  stageReps: readonly number[],
): Reps {
  const [low, high] = exercise.repRange
  const usual = { count: (low + high) / 2, isAssumed: true }
  const { reps } = stage
  switch (reps?.kind) {
    case 'between':
      return { count: (reps.low + reps.high) / 2, isAssumed: false }
    case 'first_to_last':
      return { count: (reps.first + reps.last) / 2, isAssumed: false }
    case 'same_as':
      return {
        count: stageReps[reps.stage] ?? usual.count,
        isAssumed: stageReps[reps.stage] === undefined,
      }
    case 'until_total':
      return {
        count: Math.max(0, reps.total - before.reduce((sum, count) => sum + count, 0)),
        isAssumed: false,
      }
    case 'to_failure':
      return reps.low !== undefined && reps.high !== undefined
        ? { count: (reps.low + reps.high) / 2, isAssumed: false }
        : { count: nominalReps(reps) ?? usual.count, isAssumed: true }
    case 'exactly':
    case 'up_to':
      return { count: nominalReps(reps) ?? usual.count, isAssumed: false }
    case undefined:
      return usual
  }
}

/** Short rests that a running total takes after its first bout. */
function miniRests(left: number, lead: number): number {
  return lead > 0 ? Math.ceil(left / Math.max(1, roundHalfUp(lead / 3))) : 0
}

interface Walk {
  work: number
  rest: number
  change: number
  assumed: number
  readonly bouts: number[]
  readonly reps: number[]
}

/** Said against the stage before: the same words twice are two changes of load. */
function isRelative(load: Load): boolean {
  switch (load.kind) {
    case 'drop_open':
    case 'than_before':
      return true
    case 'drop_percent':
    case 'drop_weight':
      return load.from === 'previous'
    default:
      return false
  }
}

function changes(stage: WorkStage, before: WorkStage): 'station' | 'load' | 'none' {
  if (stage.exercise && stage.exercise.id !== before.exercise?.id) return 'station'
  if (!stage.load) return 'none'
  return isRelative(stage.load) || JSON.stringify(stage.load) !== JSON.stringify(before.load)
    ? 'load'
    : 'none'
}

function addWork(
  walk: Walk,
  stage: WorkStage,
  before: Stage | undefined,
  exercise: Exercise,
  context: PlanContext,
): void {
  const performed = stage.exercise
    ? requireExercise(context.catalogue, stage.exercise.id)
    : exercise
  const { count, isAssumed } = timedReps(stage, performed, walk.bouts, walk.reps)
  const pace =
    performed.repUnit === 'seconds'
      ? 1
      : repSeconds(stage.tempo, context.method.tempo) * (stage.range?.kind === 'part' ? PARTIAL : 1)
  walk.work += count * pace
  if (isAssumed) walk.assumed += count * pace
  if (stage.reps?.kind === 'until_total') {
    const mini = before?.kind === 'rest' ? (restSeconds(before.rest) ?? UNKNOWN_MINI_REST) : 0
    walk.rest += Math.max(0, miniRests(count, walk.bouts[0] ?? 0) - 1) * mini
  }
  walk.bouts.push(count)
}

function walked(run: SetRun, exercise: Exercise, context: PlanContext): Walk {
  const walk: Walk = { work: 0, rest: 0, change: 0, assumed: 0, bouts: [], reps: [] }
  const loadChange = loadChangeSeconds(exercise)
  let lastWork: WorkStage | undefined
  run.stages.forEach((stage, at) => {
    const before = run.stages[at - 1]
    if (stage.kind === 'rest') {
      const next = run.stages.slice(at + 1).find(later => later.kind === 'work')
      const change =
        next?.kind === 'work' && lastWork && changes(next, lastWork) === 'load' ? loadChange : 0
      const given = restSeconds(stage.rest)
      walk.rest += Math.max(given ?? UNKNOWN_MINI_REST, change)
      if (given === undefined) walk.assumed += UNKNOWN_MINI_REST
    } else if (stage.kind === 'hold') walk.work += stage.seconds ?? 0
    else {
      if (lastWork && before?.kind !== 'rest')
        walk.change += { station: OTHER_STATION, load: loadChange, none: 0 }[
          changes(stage, lastWork)
        ]
      addWork(walk, stage, before, exercise, context)
      walk.reps[at] = walk.bouts.at(-1) ?? 0
      lastWork = { ...(lastWork?.load && { load: lastWork.load }), ...stage }
    }
  })
  return walk
}

/** A set of equal sets takes as long as the others. */
const walks = remembered(
  (_run: SetRun, _exercise: Exercise) => new WeakMap<PlanContext['method'], Walk>(),
)

/** How the arms take turns in a set: as the run says, else as the exercise is usually done; together where both work at once. */
export function sideOrderOf(run: SetRun, exercise: Exercise, isPaired: boolean): SideOrder | 'one' {
  if (run.side) return 'one'
  const order =
    run.sideOrder ?? (exercise.laterality === 'unilateral' ? 'rest_between' : 'together')
  return order === 'rest_between' && isPaired ? 'switch' : order
}

/** Whether any set of a scheme is done with one arm after the other. */
export const areSidesApart = (
  { runs }: SetScheme,
  exercise: Exercise,
  isPaired: boolean,
): boolean => runs.some(run => !['one', 'together'].includes(sideOrderOf(run, exercise, isPaired)))

/**
 * Time under the bar of one set: getting set, all stages, changes of load; for one side where sides rest in between.
 *
 * Units:  seconds; `assumed` are those of reps and short rests that the plan does not give.
 * Source: docs/methods.md#minutes; examples T1 to T6 in minutes.test.ts.
 */
export function setSeconds(
  run: SetRun,
  exercise: Exercise,
  context: PlanContext,
  isPaired = false,
): SetSeconds {
  const known = walks(run, exercise)
  const walk = known.get(context.method) ?? walked(run, exercise, context)
  known.set(context.method, walk)
  const { work, rest, change, assumed } = walk
  const order = sideOrderOf(run, exercise, isPaired)
  const areRepsInAll = run.stages.some(stage => stage.kind === 'work' && stage.repsInAll)
  const isTwice =
    order === 'switch' ||
    order === 'alternating_sets' ||
    (order === 'alternating_reps' && !areRepsInAll)
  const switching = order === 'switch' || order === 'alternating_sets' ? SIDE_SWITCH : 0
  return {
    seconds: ENTRY + work * (isTwice ? 2 : 1) + rest + change + switching,
    assumed: assumed * (isTwice ? 2 : 1),
  }
}
