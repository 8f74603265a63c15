import { type Joint, JOINTS, requireExercise } from '../../plan/catalogue'
import { intentFor, type PainLevel, type PlanContext } from '../../plan/method'
import type { Slot } from '../../plan/session'

type Stresses = Readonly<Partial<Record<Joint, number>>>

/** Levels at which a joint may not get more. */
export type SoreLevel = 'hold' | 'swap' | 'stop'

interface Asked {
  /** Most of what a joint bears now that it may bear after a change. */
  readonly share: number
  /** Most stress on it that an exercise new to the session may have. */
  readonly stress: number
}

/**
 * What a joint's reports ask of every change: while it is to settle it bears no more than now, where exercises are to be
 * swapped half, where it is to rest nothing. Source: docs/methods.md#pain; rules of thumb, stricter on purpose.
 */
const ASKED: Readonly<Record<PainLevel, Asked>> = {
  none: { share: Infinity, stress: Infinity },
  note: { share: Infinity, stress: Infinity },
  hold: { share: 1, stress: 1 },
  swap: { share: 0.5, stress: 1 },
  stop: { share: 0, stress: 0 },
}

const levelOf = (joint: Joint, { client }: PlanContext): PainLevel => client.pain?.[joint] ?? 'none'

/** Whether reports at this level keep a joint from getting more. */
export const isSore = (level: PainLevel | undefined): level is SoreLevel =>
  ASKED[level ?? 'none'].share !== Infinity

/** Joints an exercise stresses that pain keeps from getting more, the one with the gravest reports first. */
export function soreJoints(stresses: Stresses, context: PlanContext): readonly Joint[] {
  const share = (joint: Joint) => ASKED[levelOf(joint, context)].share
  return JOINTS.filter(joint => (stresses[joint] ?? 0) > 0 && share(joint) !== Infinity).sort(
    (a, b) => share(a) - share(b),
  )
}

/** Whether an exercise may get more sets, load or stages: not while a joint it stresses is sore. */
export const mayGrow = (stresses: Stresses, context: PlanContext): boolean =>
  soreJoints(stresses, context).length === 0

/** The sorest joint that keeps an exercise of a plan from getting another set; undefined where none does. */
export function growthHeldBy(
  { exercise, intent }: Pick<Slot, 'exercise' | 'intent'>,
  context: PlanContext,
): Joint | undefined {
  const own = requireExercise(context.catalogue, exercise)
  return soreJoints(intentFor(context, own, intent).jointStress, context)[0]
}

/** Most stress that an exercise new to a session may put on each sore joint; joints that are not sore are left out. */
export function stressLimits(context: PlanContext): Readonly<Partial<Record<Joint, number>>> {
  return Object.fromEntries(
    JOINTS.filter(joint => isSore(levelOf(joint, context))).map(joint => [
      joint,
      ASKED[levelOf(joint, context)].stress,
    ]),
  )
}

/** Whether an exercise is too hard on a sore joint to be put into a session. */
export function isTooHard(stresses: Stresses, context: PlanContext): boolean {
  return Object.entries(stressLimits(context)).some(
    ([joint, limit]) => (stresses[joint as Joint] ?? 0) > limit,
  )
}

/**
 * The most a joint may bear after a change.
 *
 * Units: points, as `now`, which is what it bears in the same session or week before the change.
 * Edge:  Infinity where its reports ask for nothing.
 */
export function painCeiling(joint: Joint, now: number, context: PlanContext): number {
  const { share } = ASKED[levelOf(joint, context)]
  return share === Infinity ? Infinity : now * share
}
