import { type Joint, JOINTS } from '../../plan/catalogue'
import { PAIN_LEVELS, type PainLevel } from '../../plan/method'
import { painLevel, type PainReport } from './pain'

/** A report with the place it is about. */
export interface PlacedPainReport extends PainReport {
  readonly joint: Joint
  readonly side: 'left' | 'right' | 'both'
}

/** A record that a licensed professional has cleared a joint; it answers every report before it. */
export interface JointClearance {
  readonly joint: Joint
  readonly atHour: number
}

const SIDES = ['left', 'right'] as const

/** Levels of one joint, side by side. */
export type SideLevels = Readonly<Record<(typeof SIDES)[number], PainLevel>>

/**
 * What each joint's reports ask for, the sides judged each by itself.
 *
 * Shape: joints with a level above `none` on some side only; reports in any order.
 * Edge:  a report about both sides counts for each; reports up to a clearance are answered by it.
 */
export function painBySide(
  reports: readonly PlacedPainReport[],
  clearances: readonly JointClearance[] = [],
): Readonly<Partial<Record<Joint, SideLevels>>> {
  const sorted = [...reports].sort((a, b) => a.atHour - b.atHour)
  return Object.fromEntries(
    JOINTS.flatMap(joint => {
      const cleared = Math.max(
        -Infinity,
        ...clearances.filter(clearance => clearance.joint === joint).map(({ atHour }) => atHour),
      )
      const own = sorted.filter(report => report.joint === joint && report.atHour > cleared)
      const on = (side: (typeof SIDES)[number]) =>
        painLevel(own.filter(report => report.side === side || report.side === 'both'))
      const levels: SideLevels = { left: on('left'), right: on('right') }
      return levels.left === 'none' && levels.right === 'none' ? [] : [[joint, levels]]
    }),
  )
}

/** What each joint's reports ask for, the worse side taken; see `painBySide`. */
export function painByJoint(
  reports: readonly PlacedPainReport[],
  clearances: readonly JointClearance[] = [],
): Readonly<Partial<Record<Joint, PainLevel>>> {
  return Object.fromEntries(
    Object.entries(painBySide(reports, clearances)).map(([joint, levels]) => [
      joint,
      PAIN_LEVELS[Math.max(...SIDES.map(side => PAIN_LEVELS.indexOf(levels[side])))] ?? 'none',
    ]),
  )
}
