import { PAIN_LEVELS, type PainLevel } from '../../plan/method'

/** What a client reported about one joint. Hours count from any fixed point. */
export interface PainReport {
  readonly atHour: number
  /** 0 to 10, in the session. */
  readonly session: number
  readonly nextMorning?: number
  readonly hasAlarmSign?: boolean
}

const HOURS = { betweenCalm: 48, holdLimit: 14 * 24, oneSession: 4 } as const

function worst({ session, nextMorning }: PainReport): number {
  return Math.max(session, nextMorning ?? 0)
}

function levelAlone(report: PainReport, before: readonly PainReport[]): PainLevel {
  const pain = worst(report)
  const last = before.at(-1)
  const threeBack = before.at(-2)
  const isStop =
    report.hasAlarmSign === true ||
    pain >= 7 ||
    (pain >= 5 && last !== undefined && worst(last) >= 5) ||
    (pain >= 5 && threeBack !== undefined && pain - worst(threeBack) >= 3)
  if (isStop) return 'stop'
  if (pain >= 5) return 'swap'
  if (pain >= 3 || (report.nextMorning ?? 0) - report.session >= 2) return 'hold'
  return pain >= 1 ? 'note' : 'none'
}

function higher(a: PainLevel, b: PainLevel): PainLevel {
  return PAIN_LEVELS.indexOf(a) >= PAIN_LEVELS.indexOf(b) ? a : b
}

/** Whether the last two reports were calm enough, and far enough apart, to come down. */
function isCalm(reports: readonly PainReport[], most: number): boolean {
  const [before, last] = reports.slice(-2)
  return (
    before !== undefined &&
    last !== undefined &&
    worst(before) <= most &&
    worst(last) <= most &&
    last.atHour - before.atHour >= HOURS.betweenCalm
  )
}

/** Reports of one session as one: what was said during it and at its end is not said twice. The worst of each counts. */
function bySession(reports: readonly PainReport[]): readonly PainReport[] {
  const sessions: PainReport[] = []
  for (const report of reports) {
    const last = sessions.at(-1)
    if (!last || report.atHour - last.atHour > HOURS.oneSession) sessions.push(report)
    else {
      const mornings = [last.nextMorning, report.nextMorning].flatMap(said => said ?? [])
      sessions[sessions.length - 1] = {
        atHour: last.atHour,
        session: Math.max(last.session, report.session),
        ...(mornings.length > 0 && { nextMorning: Math.max(...mornings) }),
        hasAlarmSign: last.hasAlarmSign === true || report.hasAlarmSign === true,
      }
    }
  }
  return sessions
}

/**
 * What a joint's reports ask for, the oldest first. It never improves by itself, and a stop is lifted by a record only.
 *
 * Edge:   no report is `none`; a hold of more than 14 days becomes a swap; reports within four hours are one.
 * Source: docs/methods.md#pain; examples J-9 and J-10. A planning rule, stricter on purpose, never a diagnosis.
 */
export function painLevel(all: readonly PainReport[]): PainLevel {
  const reports = bySession(all)
  let level: PainLevel = 'none'
  let heldSince: number | undefined
  reports.forEach((report, at) => {
    const seen = reports.slice(0, at + 1)
    const alone = levelAlone(report, reports.slice(0, at))
    if (level === 'stop') return
    if (level === 'swap' && alone !== 'stop' && isCalm(seen, 3)) level = 'hold'
    else if (level === 'hold' && alone !== 'stop' && alone !== 'swap' && isCalm(seen, 2))
      level = alone
    else level = level === 'hold' || level === 'swap' ? higher(level, alone) : alone
    if (level !== 'hold') heldSince = undefined
    else {
      heldSince ??= report.atHour
      if (report.atHour - heldSince > HOURS.holdLimit) level = 'swap'
    }
  })
  return level
}

const RETURN = { first: 0.5, weekly: 0.1 } as const

/** Load a joint may bear in a week after a recorded clearance; week 1 is the first. Units: points. Example J-11. */
export function returnAllowance(baseline: number, week: number): number {
  return baseline * Math.min(1, RETURN.first + RETURN.weekly * (week - 1))
}

/** Weeks after a clearance in which a joint bears less than it may at other times. */
export const RETURN_WEEKS = Math.ceil((1 - RETURN.first) / RETURN.weekly - 1e-9)
