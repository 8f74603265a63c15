import type { Joint } from '../../plan/catalogue'
import { TREND } from '../../body/trend'
import { isSore } from '../../body/joints'
import { type PlanContext, setsUnderCeiling } from '../../plan/method'
import { type Adjustment, DECIDE, type DecisionRow, type GroupEvidence } from './decide'

export const EXPECTED = ['recovers', 'calms', 'done', 'stops_falling', 'shows', 'in_band'] as const
/** What a change is for: recovery, a calm joint, sets that get done, an end of the fall, strength that shows, a dose within its band. */
export type Expected = (typeof EXPECTED)[number]

/** What is expected of a proposal, and by when: so many rotations after it begins, or so many sessions of the muscle. */
export interface Expectation {
  readonly what: Expected
  readonly rotations: number
  /** For what only the log of strength can tell. */
  readonly sessions: number | null
}

/** What each row is for, and rotations until that can be looked at; left out where only strength can tell. Rows that change nothing have none. */
const OF_ROW: Readonly<
  Partial<Record<DecisionRow, { readonly what: Expected; readonly rotations?: number }>>
> = {
  A1: { what: 'calms', rotations: 2 },
  A2: { what: 'done', rotations: 1 },
  A4: { what: 'stops_falling' },
  A5: { what: 'stops_falling' },
  A6: { what: 'recovers', rotations: 2 },
  A7: { what: 'shows' },
  A9: { what: 'in_band', rotations: 1 },
  A10: { what: 'in_band', rotations: 1 },
  A14: { what: 'recovers', rotations: 2 },
  A15: { what: 'recovers', rotations: 2 },
}

/** What is expected of a change about a muscle; null where nothing is changed. */
export function expectationOf({ row, change, evidence }: Adjustment): Expectation | null {
  const of = OF_ROW[row]
  if (!of || !evidence || change.kind === 'go_on' || change.kind === 'by_hand') return null
  if (of.rotations !== undefined) return { ...of, rotations: of.rotations, sessions: null }
  const sessions = TREND.usualSessions
  return {
    what: of.what,
    rotations: Math.max(1, Math.ceil(sessions / Math.max(1, evidence.exposures))),
    sessions,
  }
}

/** What came of a change, beside what was expected of it. */
export interface Came {
  readonly proposal: Adjustment
  readonly expectation: Expectation
  /** The rotation after which it was taken, from 0. */
  readonly pass: number
  /** Null where nobody can tell. */
  readonly isMet: boolean | null
  readonly now: GroupEvidence
}

function isMet(
  what: Expected,
  now: GroupEvidence,
  { evidence }: Adjustment,
  { client }: PlanContext,
): boolean | null {
  switch (what) {
    case 'recovers': {
      const answers = (now.lately ?? []).slice(-DECIDE.lastAnswers)
      return answers.length < DECIDE.agreeing
        ? null
        : answers.filter(Boolean).length >= DECIDE.agreeing
    }
    case 'calms':
      return evidence?.sore ? !isSore(client.pain?.[evidence.sore.joint as Joint]) : null
    case 'done':
      return now.planned === 0 ? null : now.adherence >= DECIDE.adherence
    case 'stops_falling':
      return now.verdict === 'insufficient' ? null : now.verdict !== 'decline'
    case 'shows':
      return now.verdict === 'insufficient' || now.verdict === 'unclear'
        ? null
        : now.verdict === 'progress'
    case 'in_band':
      return (
        now.counted >= now.band.floor - DECIDE.floorSlack &&
        setsUnderCeiling(now, now.mode) <= now.band.ceiling + DECIDE.floorSlack
      )
  }
}

/**
 * Changes taken earlier whose time has come in this rotation: what was expected of each, and what came.
 *
 * Shape: in the order given, each once: in the rotation its expectation names, counted from the one it began in.
 * Edge:  nothing of muscles that are not trained any more.
 */
export function cameOf(
  taken: readonly { readonly pass: number; readonly proposal: Adjustment }[],
  reviewed: { readonly pass: number; readonly adjustments: readonly Adjustment[] },
  context: PlanContext,
): readonly Came[] {
  return taken.flatMap(({ pass, proposal }): Came[] => {
    const expectation = expectationOf(proposal)
    const now = reviewed.adjustments.find(
      ({ group, evidence }) => evidence !== null && group === proposal.group,
    )?.evidence
    if (!expectation || !now || reviewed.pass !== pass + expectation.rotations) return []
    return [
      { proposal, expectation, pass, now, isMet: isMet(expectation.what, now, proposal, context) },
    ]
  })
}
