import { returnAllowance } from './pain'
import { isSore } from './painGuard'
import { remembered, recordOf, HOURS_PER_DAY } from '../../base'
import {
  type Exercise,
  type Intent,
  type Joint,
  JOINT_TABLE,
  JOINTS,
  requireExercise,
} from '../../plan/catalogue'
import { countedWorkOfDay, type CountedWork, rollingWeek, workOfSession } from '../../count/ledger'
import {
  intentFor,
  type JointSetting,
  type PlanContext,
  type TrainingAge,
  trainingAge,
} from '../../plan/method'
import { cyclicBefore, endRir, extensionFactor, partOfASet } from '../recovery'
import { type Rotation, SECOND_SESSION_HOURS } from '../../plan/rotation'
import { leadReps, repsFor, type SetRun, setUpStress, workStages } from '../../plan/scheme'

const BY_AGE: Readonly<Record<TrainingAge, number>> = { new: 0.7, mid: 0.85, adv: 1 }
const BY_SETTING: Readonly<Record<JointSetting, number>> = { normal: 1, sensitive: 0.7 }
const FACTORS = {
  momentum: 1.2,
  lockOut: 1.1,
  straightBar: 1.15,
  stretchHold: 1.15,
  stretchSeconds: 20,
  novelty: 1.1,
  noveltyExposures: 3,
  restricted: 0.6,
} as const

function loadFactor(run: SetRun, { repUnit }: Exercise): number {
  if (run.protocol === 'restricted_flow') return FACTORS.restricted
  const count = leadReps(run)
  if (count === undefined) return 1
  const reps = repsFor(count, repUnit)
  if (reps <= 5) return 1.3
  if (reps <= 8) return 1.15
  return reps <= 15 ? 1 : 0.85
}

function proximity(run: SetRun, context: PlanContext): number {
  const rir = endRir(run, context)
  if (rir <= 0) return 1.1
  return rir <= 1 ? 1.05 : 1
}

function isStraightBar(exercise: Exercise): boolean {
  return exercise.equipment.includes('barbell') && exercise.kind === 'isolation'
}

function modifier(
  run: SetRun,
  exercise: Exercise,
  joint: Joint,
  exposure: number | undefined,
): number {
  const works = workStages(run)
  const holdsLong = run.stages.some(
    stage =>
      stage.kind === 'hold' &&
      stage.at === 'lengthened' &&
      (stage.seconds ?? 0) >= FACTORS.stretchSeconds,
  )
  return (
    (works.some(({ form }) => form === 'momentum') ? FACTORS.momentum : 1) *
    (joint === 'elbow_extensor_side' && works.some(({ lockOut }) => lockOut === 'hard')
      ? FACTORS.lockOut
      : 1) *
    (joint === 'wrist' && isStraightBar(exercise) ? FACTORS.straightBar : 1) *
    (holdsLong ? FACTORS.stretchHold : 1) *
    setUpStress(works[0]?.setUp, joint) *
    (exposure !== undefined && exposure <= FACTORS.noveltyExposures ? FACTORS.novelty : 1)
  )
}

/**
 * What one set puts on a joint.
 *
 * Units:  points; 1 is a set of 9 to 15 reps at RIR 2 of an exercise with low stress on the joint.
 * Edge:   warm-up sets put nothing on it; `exposure` counts how often the exercise was done, left out where nothing is new.
 * Source: docs/methods.md#joints; examples J-1 to J-5 in joints.test.ts.
 */
export function setJointLoad(
  run: SetRun,
  exercise: Exercise,
  intent: Intent,
  joint: Joint,
  context: PlanContext,
  exposure?: number,
): number {
  const stress = intent.jointStress[joint]
  if (stress === 0) return 0
  return (
    stress *
    partOfASet(run, exercise) *
    loadFactor(run, exercise) *
    proximity(run, context) *
    extensionFactor(run) *
    modifier(run, exercise, joint, exposure)
  )
}

export type JointLoads = Readonly<Record<Joint, number>>

/** Joint load of some work by joint. Units: points. */
export const jointLoads: (work: readonly CountedWork[], context: PlanContext) => JointLoads =
  remembered((work: readonly CountedWork[], context: PlanContext) => {
    const sums: Record<Joint, number> = { ...recordOf(JOINTS, () => 0) }
    for (const { slot, run, times } of work) {
      const exercise = requireExercise(context.catalogue, slot.exercise)
      const intent = intentFor(context, exercise, slot.intent)
      for (const joint of JOINTS)
        sums[joint] += times.value * setJointLoad(run, exercise, intent, joint, context)
    }
    return sums
  })

/** Ceilings of a joint for the client: the coach's own, else by training age and by how the joint is set; lower on the way back after a clearance. Units: points. */
export function jointCeiling(
  joint: Joint,
  { client, method }: PlanContext,
): { readonly week: number; readonly session: number } {
  const setting =
    client.joints?.[joint] ?? (isSore(client.pain?.[joint]) ? 'sensitive' : method.joints.setting)
  const scale = BY_AGE[trainingAge(client.trainingAgeMonths)] * BY_SETTING[setting]
  const usual = client.jointCeilings?.[joint] ?? {
    week: JOINT_TABLE[joint].week * scale,
    session: JOINT_TABLE[joint].session * scale,
  }
  const week = client.returning?.[joint]
  return week === undefined
    ? usual
    : {
        week: returnAllowance(usual.week, week),
        session: returnAllowance(usual.session, week),
      }
}

/** A joint over a rotation. Units: points. */
export interface JointWeek {
  readonly joint: Joint
  readonly sessions: readonly {
    readonly day: number
    readonly session: number
    readonly hour: number
    readonly load: number
    /** What earlier sessions have left in the joint. */ readonly store: number
  }[]
  /** The largest 7 days in a row. */
  readonly weekLoad: number
  readonly ceiling: { readonly week: number; readonly session: number }
}

const NO_WORK: readonly CountedWork[] = []

/** Load of every joint over a rotation repeated for long. Source: docs/methods.md#joints. */
export function rotationJoints(
  rotation: Rotation,
  context: PlanContext,
  work: readonly (readonly CountedWork[])[] = rotation.days.map(day =>
    countedWorkOfDay(day, context),
  ),
): Readonly<Record<Joint, JointWeek>> {
  const sessions = rotation.days.flatMap((day, at) =>
    day.sessions.map((session, place) => ({
      day: at,
      session: place,
      hour: at * HOURS_PER_DAY + place * SECOND_SESSION_HOURS,
      loads: jointLoads(workOfSession(session, work[at] ?? NO_WORK), context),
    })),
  )
  const period = rotation.days.length * HOURS_PER_DAY
  return recordOf(JOINTS, (joint): JointWeek => {
    const doses = sessions.map(({ hour, loads }) => ({ hour, impulse: loads[joint] }))
    const stores = cyclicBefore(doses, period, JOINT_TABLE[joint].tauHours)
    const daily = new Array<number>(rotation.days.length).fill(0)
    for (const { day, loads } of sessions) daily[day] = daily[day]! + loads[joint]
    return {
      joint,
      ceiling: jointCeiling(joint, context),
      weekLoad: largestWeek(daily),
      sessions: sessions.map(({ day, session, hour, loads }, place) => ({
        day,
        session,
        hour,
        load: loads[joint],
        store: stores[place]!,
      })),
    }
  })
}

function largestWeek(daily: readonly number[]): number {
  return Math.max(0, rollingWeek(daily).max)
}
