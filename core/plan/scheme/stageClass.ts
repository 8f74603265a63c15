import { remembered } from '../../base'
import type { SetRun } from './setScheme'
import { isSetOtherwise, SET_UP_FIELDS } from './setUp'
import type { Load, Reps, Rest, Stage, WorkStage } from './stage'

/*
 * Reads off a list of stages what each of them is. The code knows no set types: a drop set, a rest-pause or 7+7+7
 * is what its stages make it. Source: docs/methods.md#long-sets.
 */

export const STAGE_CLASSES = [
  'lead',
  'hold',
  'tail_slow',
  'tail_partial',
  'drop',
  'grip',
  'join',
  'pause',
  'apart',
] as const
export type StageClass = (typeof STAGE_CLASSES)[number]

/** One stage of a set with what it is; rests are left out. */
export interface ClassedStage {
  readonly stage: Exclude<Stage, { kind: 'rest' }>
  readonly at: number
  readonly class: StageClass
  /** Reps in reserve at its end, of which there is one for worth, fatigue, joints and findings; undefined for holds and where the plan leaves it open. */
  readonly rir?: number
  /** Whether it goes on after the set was at its end: a drop always does, since what is lighter goes to failure. */
  readonly goesOn: boolean
}

/** Seconds up to which a stage follows at once, and up to which it still belongs to the set. */
const AT_ONCE_SECONDS = 10
const SAME_SET_SECONDS = 40
/** A stage that ends this near to failure is at its end. */
const END_RIR = 1
const SLOW_FORMS: readonly (string | undefined)[] = ['lowering_only', 'assisted', 'momentum']

/** Whether the last rep was meant and not finished: 1.5 of 2, 3 of 5. A failed rep is failure, whatever is said beside it. */
export const isFailedRep = ({ reps }: WorkStage): boolean =>
  reps?.kind === 'exactly' && reps.intended !== undefined && reps.count < reps.intended

/** RIR that a stage states itself; undefined where it says nothing in numbers. */
export function statedRir(stage: WorkStage): number | undefined {
  if (stage.effort?.kind === 'failure' || isFailedRep(stage)) return 0
  if (stage.effort?.kind === 'rir') return stage.effort.rir
  return stage.effort === undefined && stage.reps?.kind === 'to_failure' ? 0 : undefined
}

/** Seconds of a rest to reckon with; undefined where it is not given in numbers. */
export function restSeconds(rest: Rest): number | undefined {
  switch (rest.kind) {
    case 'seconds':
    case 'stretch':
      return rest.seconds
    case 'between':
      return (rest.low + rest.high) / 2
    case 'none':
      return 0
    case 'in_words':
      return undefined
  }
}

/** Whether a stage is lifted with less than the one before. */
export function isLighter(load: Load | undefined, before: Load | undefined): boolean {
  switch (load?.kind) {
    case 'drop_percent':
    case 'drop_weight':
    case 'drop_open':
      return true
    case 'than_before':
      return load.direction === 'lighter'
    case 'bodyweight':
      return before?.kind === 'weight' && before.basis === 'added'
    case 'weight':
      return before?.kind === 'weight' && before.unit === load.unit && load.amount < before.amount
    default:
      return false
  }
}

function isSameLoad(load: Load | undefined, before: Load | undefined): boolean {
  return (
    load === undefined ||
    (load.kind === 'weight' &&
      before?.kind === 'weight' &&
      load.amount === before.amount &&
      load.unit === before.unit)
  )
}

function isOtherMovement(stage: WorkStage, before: WorkStage): boolean {
  return (
    (stage.grip !== undefined && stage.grip !== before.grip) ||
    (stage.exercise !== undefined && stage.exercise.id !== before.exercise?.id) ||
    SET_UP_FIELDS.some(field => isSetOtherwise(field, stage.setUp, before.setUp)) ||
    (stage.gripWidth !== undefined && stage.gripWidth !== before.gripWidth) ||
    (stage.attachment !== undefined && stage.attachment !== before.attachment)
  )
}

/** Reps that are short bouts with rests between them, whatever they follow. */
function isRunningTotal(reps: Reps | undefined): boolean {
  return reps?.kind === 'until_total'
}

function classOf(
  stage: WorkStage,
  before: WorkStage,
  rir: number | undefined,
  gap: number,
): StageClass {
  const isAtItsEnd = rir !== undefined && rir <= END_RIR
  if (gap > SAME_SET_SECONDS) return 'apart'
  if (gap <= AT_ONCE_SECONDS) {
    if (isAtItsEnd && SLOW_FORMS.includes(stage.form) && isSameLoad(stage.load, before.load))
      return 'tail_slow'
    if (
      isAtItsEnd &&
      stage.range &&
      stage.range.kind !== 'may_shorten' &&
      isSameLoad(stage.load, before.load)
    )
      return 'tail_partial'
    if (isOtherMovement(stage, before)) return 'grip'
    if (isLighter(stage.load, before.load)) return 'drop'
  }
  const isOpenBefore = rir === undefined || rir > END_RIR
  return isOpenBefore &&
    isSameLoad(stage.load, before.load) &&
    !isRunningTotal(stage.reps) &&
    !isOtherMovement(stage, before)
    ? 'join'
    : 'pause'
}

const TO_FAILURE: readonly StageClass[] = ['drop', 'grip', 'tail_slow', 'tail_partial']

/** Reserve of a stage that says none: what was changed to go on goes to failure, the rest as near to it as the stage before. */
function reserveOf(
  stage: WorkStage,
  own: StageClass,
  before: number | undefined,
): number | undefined {
  return statedRir(stage) ?? (TO_FAILURE.includes(own) ? 0 : before)
}

/**
 * What each stage of a set is, compared with the work before it.
 *
 * Shape: work and hold stages in order; the first work stage is the lead; a rest in words counts as joining.
 */
export function classedStages(run: SetRun): readonly ClassedStage[] {
  return classified(run, STAGE_CLASSES)
}

const classified = remembered((run: SetRun, _: object): readonly ClassedStage[] => {
  const classed: ClassedStage[] = []
  let before: WorkStage | undefined
  let rir: number | undefined
  let gap = 0
  const isAtItsEnd = () => rir !== undefined && rir <= END_RIR
  run.stages.forEach((stage, at) => {
    if (stage.kind === 'rest') {
      gap += restSeconds(stage.rest) ?? 0
      return
    }
    if (stage.kind === 'hold') {
      classed.push({ stage, at, class: 'hold', goesOn: isAtItsEnd() })
      return
    }
    const own = before ? classOf(stage, before, rir, gap) : 'lead'
    const goesOn =
      own !== 'lead' && own !== 'join' && (isAtItsEnd() || own === 'drop' || own === 'grip')
    const reserve = reserveOf(stage, own, rir)
    classed.push({ stage, at, class: own, goesOn, ...(reserve !== undefined && { rir: reserve }) })
    rir = reserve
    if (own !== 'tail_slow' && own !== 'tail_partial')
      before = {
        ...(before?.load && { load: before.load }),
        ...(before?.grip && { grip: before.grip }),
        ...stage,
      }
    gap = 0
  })
  return classed
})

/** Whether the set goes on after it has come near failure: a drop, a pause, partials or a hold behind it. */
export function isExtended(run: SetRun): boolean {
  return classedStages(run).some(({ goesOn }) => goesOn)
}
