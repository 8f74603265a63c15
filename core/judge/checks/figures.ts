import type { Arrival } from '../../body/recovery'
import { jointCeiling } from '../../body/joints'
import { isUnallocated } from '../../count/ledger'
import type { PlanDocument } from '../../plan/block'
import { ARM_GROUPS, ELBOW_JOINTS, type Group } from '../../plan/catalogue'
import { findingsOf } from './checks'
import type { Finding } from './finding'
import { canBeDismissed, findingKey } from './findingKey'
import { findingLines } from './folded'
import type { CheckInput } from './input'

/* The figures that the board, the proposals and every comparison show of a plan: each is reckoned here only. */

/** Minutes of all sessions of a day. */
export const minutesOn = ({ sessions }: CheckInput, day: number): number =>
  sessions
    .filter(session => session.day === day)
    .reduce((sum, { time }) => sum + time.seconds / 60, 0)

/** What the side of the elbow that is used most bears in a day's hardest session. Points. */
export function elbowUse(
  { sessions, context }: CheckInput,
  day: number,
): { readonly load: number; readonly cap: number } {
  const sides = ELBOW_JOINTS.map(joint => ({
    load: Math.max(
      0,
      ...sessions.filter(session => session.day === day).map(({ joints }) => joints[joint]),
    ),
    cap: jointCeiling(joint, context).session,
  }))
  return sides.reduce((worse, side) =>
    side.load / side.cap > worse.load / worse.cap ? side : worse,
  )
}

/** The arm muscle that comes to a session least ready for what is asked of it; null where nothing is trained. */
export function leastReady({ recovery }: CheckInput): (Arrival & { readonly group: Group }) | null {
  const arrivals = ARM_GROUPS.flatMap(group =>
    recovery.arrivals[group].map(arrival => ({ ...arrival, group })),
  )
  const short = ({ readiness, required }: Arrival) => readiness - required
  return [...arrivals].sort((a, b) => short(a) - short(b))[0] ?? null
}

/** What the checks find in a plan, and which of it the coach has dismissed. A pain stop or an open screening stays in sight whatever the document says. */
export function openFindings(
  { dismissed = [] }: Pick<PlanDocument, 'dismissed'>,
  input: CheckInput,
): { readonly open: readonly Finding[]; readonly putAside: readonly Finding[] } {
  if (isUnallocated(input.ledger)) return { open: [], putAside: [] }
  const keys = new Set<string>(dismissed.map(({ finding }) => finding))
  const isAside = (finding: Finding) => canBeDismissed(finding) && keys.has(findingKey(finding))
  const found = findingsOf(input)
  return {
    open: found.filter(finding => !isAside(finding)),
    putAside: found.filter(isAside),
  }
}

/** A plan in a few figures. */
export interface PlanFigures {
  readonly least: ReturnType<typeof leastReady>
  /** Largest share of the elbow's cap in one session. */
  readonly elbowShare: number
  /** Of the whole rotation. */
  readonly minutes: number
  readonly sets: number
  /** Lines that stand under what there is to look at. */
  readonly toLookAt: number
}

export function planFigures(plan: PlanDocument, input: CheckInput): PlanFigures {
  const days = plan.rotation.days.map((_, day) => day)
  const shares = days.map(day => elbowUse(input, day)).map(({ load, cap }) => load / cap)
  return {
    least: leastReady(input),
    elbowShare: Math.max(0, ...shares),
    minutes: days.reduce((sum, day) => sum + minutesOn(input, day), 0),
    sets: input.sessions.reduce((sum, { sets }) => sum + sets, 0),
    toLookAt: findingLines(openFindings(plan, input).open).length,
  }
}
