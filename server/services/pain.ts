import type { Joint } from '#core/catalogue'
import { painByJoint } from '#core/joints'
import type { ClientFacts, PainLevel } from '#core/method'
import type { allClearances, allPainReports } from '../db/queries/health'

type Report = Awaited<ReturnType<typeof allPainReports>>[number]
type Clearance = Awaited<ReturnType<typeof allClearances>>[number]

/** What a client's reports ask for, joint by joint. */
export function painOf(reports: readonly Report[], clearances: readonly Clearance[]): Readonly<Partial<Record<Joint, PainLevel>>> {
  return painByJoint(reports.map(({ score, nextMorning, ...report }) => ({ ...report, session: score, ...(nextMorning !== null && { nextMorning }) })), clearances)
}

/** The latest report about a joint. */
export function latestReport(reports: readonly Report[], joint: Joint): Report | undefined {
  return reports.filter(report => report.joint === joint).at(-1)
}

/** Facts with what the joints' reports ask for. */
export function withPain(facts: ClientFacts, pain: Readonly<Partial<Record<Joint, PainLevel>>>): ClientFacts {
  const { pain: _before, ...others } = facts
  return Object.keys(pain).length === 0 ? others : { ...others, pain }
}
