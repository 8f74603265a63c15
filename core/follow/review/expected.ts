import type { Joint } from '../../plan/catalogue'
import { TREND } from '../../body/trend'
import { isSore } from '../../body/joints'
import { type PlanContext, setsUnderCeiling } from '../../plan/method'
import type { Adjustment, DecisionRow, GroupEvidence } from './adjustment'
import { DECIDE } from './decide'
import type { ExerciseRow } from './reviewed'

export const EXPECTED = [
  'recovers',
  'spares',
  'calms',
  'done',
  'stops_falling',
  'shows',
  'in_band',
  'reserve_fits',
  'session_fits',
  'signs_gone',
] as const
/**
 * What a change is for: recovery, its own or that of muscles that work along, a calm joint, sets that get done, an end of the fall, strength that shows, a dose within its band,
 * reps left as planned, a session within its minutes, nothing that asks for easier days any more.
 */
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
  // The easier rotation itself, and one after it.
  A3: { what: 'signs_gone', rotations: 2 },
  A4: { what: 'stops_falling' },
  A5: { what: 'stops_falling' },
  A6: { what: 'recovers', rotations: 2 },
  A7: { what: 'shows' },
  A9: { what: 'in_band', rotations: 1 },
  A10: { what: 'in_band', rotations: 1 },
  A14: { what: 'recovers', rotations: 2 },
  A15: { what: 'recovers', rotations: 2 },
  A19: { what: 'spares', rotations: 2 },
  E1: { what: 'reserve_fits', rotations: 1 },
  E2: { what: 'reserve_fits', rotations: 1 },
  E3: { what: 'calms', rotations: 2 },
  G1: { what: 'done', rotations: 1 },
  S1: { what: 'session_fits', rotations: 1 },
}

/** What is expected of a change; null where nothing is changed, or nobody could say by when. */
export function expectationOf({ row, change, evidence, facts }: Adjustment): Expectation | null {
  const of = OF_ROW[row]
  if (!of || change.kind === 'go_on' || change.kind === 'by_hand') return null
  // A stand-in for what falls is a try; one for what hurts is there to calm the joint.
  if (row === 'E3' && !facts?.sore) return null
  if (of.rotations !== undefined) return { ...of, rotations: of.rotations, sessions: null }
  if (!evidence) return null
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
  /** The muscle as it is now, or the exercise; null where it is about neither. */
  readonly now: GroupEvidence | null
  readonly exercise: ExerciseRow | null
}

/** Reps by which the reserve may miss what was planned and still be as planned. */
const RESERVE_SLACK = 1

function isReserveMet({ rirDone, rirPlanned }: ExerciseRow): boolean | null {
  return rirDone === null || rirPlanned === null
    ? null
    : Math.abs(rirDone - rirPlanned) <= RESERVE_SLACK
}

function isMuscleMet(
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
    case 'spares':
      return !(evidence?.wearsOn ?? []).some(group => now.wearsOn?.includes(group))
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
    case 'reserve_fits':
    case 'session_fits':
    case 'signs_gone':
      return null
  }
}

interface Reviewed {
  readonly pass: number
  readonly adjustments: readonly Adjustment[]
  readonly exercises: readonly ExerciseRow[]
}

/** What is known now of what a change was about; undefined where it is not trained any more. */
function standingOf(
  { group, facts, change }: Adjustment,
  { adjustments, exercises }: Reviewed,
): Pick<Came, 'now' | 'exercise'> | undefined {
  if (change.kind === 'shorten' || change.kind === 'swap' || change.kind === 'deload')
    return { now: null, exercise: null }
  if (group === null) {
    const exercise = exercises.find(row => row.exercise === facts?.exercise)
    return exercise && { now: null, exercise }
  }
  const now = adjustments.find(one => one.evidence !== null && one.group === group)?.evidence
  return now ? { now, exercise: null } : undefined
}

function isMet(
  { what }: Expectation,
  { now, exercise }: Pick<Came, 'now' | 'exercise'>,
  proposal: Adjustment,
  reviewed: Reviewed,
  context: PlanContext,
): boolean | null {
  // A session that still takes too long is proposed to be shortened again.
  if (what === 'session_fits')
    return !reviewed.adjustments.some(
      ({ row, facts }) => row === 'S1' && facts?.session === proposal.facts?.session,
    )
  if (what === 'signs_gone') return !reviewed.adjustments.some(({ row }) => row === 'A3')
  if (proposal.facts?.sore) return !isSore(context.client.pain?.[proposal.facts.sore.joint])
  if (exercise) return isReserveMet(exercise)
  return now && isMuscleMet(what, now, proposal, context)
}

/**
 * Changes taken earlier whose time has come in this rotation: what was expected of each, and what came.
 *
 * Shape: in the order given, each once: in the rotation its expectation names, counted from the one it began in.
 * Edge:  nothing of muscles and exercises that are not trained any more.
 */
export function cameOf(
  taken: readonly { readonly pass: number; readonly proposal: Adjustment }[],
  reviewed: Reviewed,
  context: PlanContext,
): readonly Came[] {
  return taken.flatMap(({ pass, proposal }): Came[] => {
    const expectation = expectationOf(proposal)
    const standing = standingOf(proposal, reviewed)
    if (!expectation || !standing || reviewed.pass !== pass + expectation.rotations) return []
    return [
      {
        proposal,
        expectation,
        pass,
        ...standing,
        isMet: isMet(expectation, standing, proposal, reviewed, context),
      },
    ]
  })
}
