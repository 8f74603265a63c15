import { type Joint, JOINTS } from '../../plan/catalogue'
import { DAYS_PER_WEEK, HOURS_PER_DAY } from '../../base'
import { PAIN_LEVELS, type PainLevel } from '../../plan/method'
import { painLevel, type PainReport, RETURN_WEEKS } from './pain'

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

const HOURS_PER_WEEK = DAYS_PER_WEEK * HOURS_PER_DAY

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

/**
 * Joints that were cleared after a stop and are on their way back, with the week they are in.
 *
 * Units: weeks from 1; a joint leaves the list once it may bear all again. Hours count from the same point as the reports.
 */
export function jointsReturning(
  reports: readonly PlacedPainReport[],
  clearances: readonly JointClearance[],
  atHour: number,
): Readonly<Partial<Record<Joint, number>>> {
  return Object.fromEntries(
    JOINTS.flatMap(joint => {
      const own = clearances.filter(clearance => clearance.joint === joint)
      const last = Math.max(-Infinity, ...own.map(clearance => clearance.atHour))
      const week = Math.floor((atHour - last) / HOURS_PER_WEEK) + 1
      if (week > RETURN_WEEKS) return []
      const before = reports.filter(report => report.atHour <= last)
      const earlier = own.filter(clearance => clearance.atHour < last)
      return painByJoint(before, earlier)[joint] === 'stop' ? [[joint, Math.max(1, week)]] : []
    }),
  )
}
