import { remembered } from '../../base'
import { type Exercise, type Group, type Intent, requireExercise } from '../../plan/catalogue'
import { type CountedWork, lengthBiasOf } from '../../count/ledger'
import { intentFor, type PlanContext, type TrainingAge, trainingAge } from '../../plan/method'
import {
  classedStages,
  isHoldAlone,
  lowestRir,
  nominalReps,
  type SetRun,
  workStages,
} from '../../plan/scheme'

/* How much fatigue a set leaves, before it decays. All sizes are rules of thumb; docs/methods.md#recovery gives the reasons. */

type Row = readonly [rir: number, factor: number]
const PROXIMITY: readonly Row[] = [
  [-1, 1.4],
  [0, 1.25],
  [1, 1.1],
  [2, 1],
  [3, 0.9],
  [4, 0.8],
  [5, 0.7],
]
const LENGTH: Readonly<Record<Intent['lengthBias'], number>> = {
  lengthened: 1.15,
  mid: 1,
  shortened: 0.9,
}
const TRAINING_AGE: Readonly<Record<TrainingAge, number>> = { new: 1.25, mid: 1, adv: 0.9 }
const NOVELTY = [1.5, 1.25, 1.1, 1] as const
const EXTENSION = {
  most: 0.6,
  stage: 0.35,
  perRep: 0.04,
  partial: 0.5,
  hold: 0.2,
  perSecond: 0.01,
} as const
const LOW_LOAD = 0.7
/** What sets cost that are less than one, against a working set. */
const PART_OF_A_SET = { primer: 0.5, wholeHoldSeconds: 30 } as const
/** Reserve of a build-up set that says none. */
const BUILD_UP_RIR = 5

/** Cost of nearness to failure, straight lines between the points; −1 is work after failure. */
export function proximityFactor(rir: number): number {
  const [first] = PROXIMITY
  if (first && rir <= first[0]) return first[1]
  const above = PROXIMITY.findIndex(([at]) => at >= rir)
  const [x1, y1] = PROXIMITY[above] ?? PROXIMITY.at(-1) ?? [0, 1]
  const [x0, y0] = PROXIMITY[above - 1] ?? [x1, y1]
  return above < 0 || x1 === x0 ? y1 : y0 + ((y1 - y0) * (rir - x0)) / (x1 - x0)
}

/** Extra cost of stages that follow after a set has come near failure, from 1 up. */
export function extensionFactor(run: SetRun): number {
  let extra = 0
  for (const { stage, goesOn } of classedStages(run)) {
    if (!goesOn) continue
    extra +=
      stage.kind === 'hold'
        ? Math.min(EXTENSION.hold, EXTENSION.perSecond * (stage.seconds ?? 0))
        : Math.min(
            EXTENSION.stage,
            EXTENSION.perRep *
              laterReps(run, nominalReps(stage.reps)) *
              (stage.range?.kind === 'part' ? EXTENSION.partial : 1),
          )
  }
  return 1 + Math.min(EXTENSION.most, extra)
}

/** Reps of a later stage; a number nobody gave is taken as a third of the lead's. */
function laterReps(run: SetRun, reps: number | undefined): number {
  return reps ?? Math.round((nominalReps(workStages(run)[0]?.reps) ?? 12) / 3)
}

/** RIR that costs: the lowest of the set, and below failure where partial or helped reps follow it. */
function costlyRir(run: SetRun, context: PlanContext): number {
  const goesOnAfterFailure = classedStages(run).some(
    ({ class: own }) => own === 'tail_partial' || own === 'tail_slow',
  )
  return goesOnAfterFailure ? -1 : endRir(run, context)
}

/** Reps in reserve that a set is taken to end at: as planned, else as the method has it, far away for build-up sets. */
export function endRir(run: SetRun, { method }: PlanContext): number {
  return lowestRir(run) ?? (run.role === 'ramp' ? BUILD_UP_RIR : method.effort.defaultRir)
}

/** How much of a working set a run costs muscles and joints: primers half, a hold by itself by its seconds. */
export function partOfASet(run: SetRun, { repUnit }: Exercise): number {
  if (run.role === 'warmup') return 0
  if (run.role === 'primer') return PART_OF_A_SET.primer
  if (!isHoldAlone(run) || repUnit === 'seconds') return 1
  const seconds = run.stages.reduce(
    (sum, stage) =>
      sum + (stage.kind === 'hold' ? (stage.seconds ?? PART_OF_A_SET.wholeHoldSeconds) : 0),
    0,
  )
  return Math.min(1, seconds / PART_OF_A_SET.wholeHoldSeconds)
}

function isLowLoad(run: SetRun): boolean {
  const load = workStages(run)[0]?.load
  return (
    run.protocol === 'restricted_flow' || (load?.kind === 'percent_of_e1rm' && load.percent < 40)
  )
}

export interface ImpulseOptions {
  /** How often the exercise was done in the last 56 days, this time included; left out on the board, where nothing is new. */
  readonly exposure?: number
}

/**
 * Fatigue of one set for credit 1, before it is shared out by credits.
 *
 * Units:  1 is a direct set at RIR 2 of a client trained one to three years.
 * Source: docs/methods.md#recovery; examples R1 to R8 in recovery.test.ts.
 */
export function setImpulse(
  run: SetRun,
  exercise: Exercise,
  intent: Intent,
  context: PlanContext,
  { exposure }: ImpulseOptions = {},
): number {
  return (
    partOfASet(run, exercise) *
    proximityFactor(costlyRir(run, context)) *
    LENGTH[lengthBiasOf(run, exercise, intent)] *
    extensionFactor(run) *
    (exposure === undefined ? 1 : (NOVELTY[Math.min(exposure, NOVELTY.length) - 1] ?? 1)) *
    TRAINING_AGE[trainingAge(context.client.trainingAgeMonths)] *
    (isLowLoad(run) ? LOW_LOAD : 1)
  )
}

/** Fatigue by group that some work leaves, with physical credits whatever the counting school. */
export const impulsesOf: (
  work: readonly CountedWork[],
  context: PlanContext,
) => ReadonlyMap<Group, number> = remembered(
  (work: readonly CountedWork[], context: PlanContext) => {
    const sums = new Map<Group, number>()
    for (const { run, slot, times, credits } of work) {
      const exercise = requireExercise(context.catalogue, slot.exercise)
      const impulse =
        times.value * setImpulse(run, exercise, intentFor(context, exercise, slot.intent), context)
      if (impulse === 0) continue
      for (const group of Object.keys(credits) as Group[])
        sums.set(group, (sums.get(group) ?? 0) + impulse * (credits[group] ?? 0))
    }
    return sums
  },
)
