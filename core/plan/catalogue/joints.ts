import { keysOf } from '../../base'

interface JointRow {
  /** As a coach and a client read it, in the middle of a sentence. */
  readonly name: string
  /** Id and words of the place the phone asks about. */
  readonly place: string
  readonly asked: string
  /** Joints of one region can be said together where a client cannot tell them apart. */
  readonly region: 'elbow' | 'wrist' | 'shoulder' | 'trunk'
  /** Whether it has a left and a right. */
  readonly hasSides: boolean
  /** Time constant with which load decays. Units: hours. */
  readonly tauHours: number
  /** Ceilings for an advanced client. Units: points in any seven days, and in one session. */
  readonly week: number
  readonly session: number
}

/**
 * Every joint that load is counted for: the only place that lists them. A row more is counted, capped, asked about and
 * named everywhere; a row that lacks a field does not compile.
 *
 * Source: rules of thumb, docs/methods.md#joints.
 */
// prettier-ignore
export const JOINT_TABLE = {
  elbow_flexor_side: { name: 'front of the elbow', place: 'elbow_front', asked: 'Elbow, front or inner side', region: 'elbow', hasSides: true, tauHours: 96, week: 60, session: 20 },
  elbow_extensor_side: { name: 'back of the elbow', place: 'elbow_back', asked: 'Elbow, back', region: 'elbow', hasSides: true, tauHours: 96, week: 60, session: 22 },
  wrist: { name: 'wrist', place: 'wrist', asked: 'Wrist', region: 'wrist', hasSides: true, tauHours: 72, week: 70, session: 22 },
  shoulder: { name: 'shoulder', place: 'shoulder', asked: 'Shoulder', region: 'shoulder', hasSides: true, tauHours: 96, week: 110, session: 35 },
  low_back: { name: 'low back', place: 'low_back', asked: 'Low back', region: 'trunk', hasSides: false, tauHours: 96, week: 60, session: 22 },
} as const satisfies Readonly<Record<string, JointRow>>

export type Joint = keyof typeof JOINT_TABLE

/** All joints in the order of the table. */
export const JOINTS = keysOf(JOINT_TABLE)

/** The joints that are summed up as the elbow: front and back. */
export const ELBOW_JOINTS: readonly Joint[] = JOINTS.filter(
  joint => JOINT_TABLE[joint].region === 'elbow',
)

/** Whether a joint has a left and a right; one without is said of both. */
export function hasSides(joint: Joint): boolean {
  return JOINT_TABLE[joint].hasSides
}
