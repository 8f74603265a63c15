import { MS_PER_HOUR } from '#core/base'
import { type Joint, JOINTS } from '#core/plan/catalogue'
import { jointsReturning, painByJoint, type PlacedPainReport } from '#core/body/joints'
import type { ClientFacts, PainLevel } from '#core/plan/method'
import type { allClearances, allPainReports } from '../db/queries/health'

type Report = Awaited<ReturnType<typeof allPainReports>>[number]
type Clearance = Awaited<ReturnType<typeof allClearances>>[number]

/** Reports as the core judges them. */
export function placedReports(reports: readonly Report[]): readonly PlacedPainReport[] {
  return reports.map(({ joint, side, atHour, score, nextMorning, hasAlarmSign }) => ({
    joint,
    side,
    atHour,
    hasAlarmSign,
    session: score,
    ...(nextMorning !== null && { nextMorning }),
  }))
}

/** What a client's reports ask for, joint by joint. */
export function painOf(
  reports: readonly Report[],
  clearances: readonly Clearance[],
): Readonly<Partial<Record<Joint, PainLevel>>> {
  return painByJoint(placedReports(reports), clearances)
}

/** The latest report about a joint. */
export function latestReport(reports: readonly Report[], joint: Joint): Report | undefined {
  return reports.filter(report => report.joint === joint).at(-1)
}

/** Facts with what the joints' reports ask for, the last report about each of those joints, and those on their way back. */
export function withPain(
  facts: ClientFacts,
  reports: readonly Report[],
  clearances: readonly Clearance[],
  now: Date,
): ClientFacts {
  const { pain: _pain, lastPain: _lastPain, returning: _returning, ...plain } = facts
  const returning = jointsReturning(placedReports(reports), clearances, now.getTime() / MS_PER_HOUR)
  const others = { ...plain, ...(Object.keys(returning).length > 0 && { returning }) }
  const pain = painOf(reports, clearances)
  const joints = JOINTS.filter(joint => pain[joint] !== undefined)
  if (joints.length === 0) return others
  const lastPain = Object.fromEntries(
    joints.flatMap(joint => {
      const last = latestReport(reports, joint)
      return last
        ? [[joint, { on: last.on, score: Math.max(last.score, last.nextMorning ?? 0) }] as const]
        : []
    }),
  )
  return { ...others, pain, lastPain }
}
