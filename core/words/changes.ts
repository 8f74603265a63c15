import { planDifference, type PlanDocument } from '../plan/block'
import type { Catalogue } from '../plan/catalogue'

/** What a coach can do that can be taken back, and how it is told. */
interface ChangeWords {
  /** As in “Undone: …” and in the list. */
  readonly did: string
  /** The screen it was done on. */
  readonly place: string
  /** Why it may no longer be possible to take it back, where there is a usual reason. */
  readonly late?: string
}

const CHANGE_KINDS = {
  plan: { did: 'change of the plan', place: 'Plan' },
  sent: {
    did: 'sending of a rotation',
    place: 'Block',
    late: 'The client has opened it, so it cannot be taken back. Change the plan and send it again.',
  },
  next_block: { did: 'next block begun', place: 'Block' },
  seam: { did: 'seam moved', place: 'Season' },
  soft_start: { did: 'fix at a seam', place: 'Season' },
  draft_terms: { did: 'change of a draft', place: 'Season' },
  phase: { did: 'phase of a block', place: 'Season' },
  draft_made: { did: 'draft made a plan', place: 'Season' },
  targets: { did: 'targets', place: 'Targets' },
  profile: { did: 'profile', place: 'Profile' },
  method: { did: 'method followed', place: 'Split' },
  rule: { did: 'rule about an exercise', place: 'Story' },
  decision: { did: 'decision about a proposal', place: 'Review' },
  replan: { did: 'answer to a missed session', place: 'Review' },
  missed: { did: 'session let go', place: 'Roster' },
  confirmed: { did: 'set said to be right', place: 'Review' },
  recovery: { did: 'recovery rate', place: 'Review' },
  log: {
    did: 'entry in the log',
    place: 'Log',
    late: 'The session has been written in since, so this entry cannot be taken back alone. Correct it in the log.',
  },
  import: { did: 'imported log', place: 'Log' },
  practice: { did: 'simulated weeks of a practice client', place: 'Log' },
  sides: { did: 'rule for left and right', place: 'Story' },
  pain: { did: 'pain noted', place: 'History' },
  clearance: { did: 'clearance noted', place: 'History' },
  note: { did: 'note', place: 'History' },
  goal: { did: 'goal', place: 'History' },
  measurement: { did: 'measurement', place: 'History' },
  marks: { did: 'flag or reminder', place: 'Roster' },
  archived: { did: 'client put in the archive', place: 'Profile' },
  restored: { did: 'client taken out of the archive', place: 'Archive' },
  message: { did: 'message', place: 'Log' },
  credits: { did: 'credits of an exercise', place: 'Exercises' },
  exercise: { did: 'exercise of your own', place: 'Exercises' },
  own_method: { did: 'method of your own', place: 'Methods' },
  template: { did: 'kept session', place: 'Session' },
  plan_template: { did: 'kept plan', place: 'Split' },
  gear: { did: 'what the studio can load', place: 'Account' },
  stations: { did: 'stations and hours of the studio', place: 'Floor' },
  floor: {
    did: 'way out of a wait',
    place: 'Floor',
    late: 'The client has begun that session, or its plan was changed since, so it cannot be taken back. Change it by hand.',
  },
  seen: { did: 'client put behind in the queue', place: 'Queue' },
  safe_changes: {
    did: 'safe changes taken for several clients',
    place: 'Queue',
    late: 'A plan of one of them was changed since, or sent, so they cannot be taken back together. Change it by hand.',
  },
  what_if: {
    did: 'change for everybody',
    place: 'What if',
    late: 'A plan of one of them was changed since, or sent and opened, so it cannot be taken back for all. Change it by hand.',
  },
  shown: { did: 'address to look at', place: 'Log' },
  retention: { did: 'how long records are kept', place: 'Account' },
} as const satisfies Record<string, ChangeWords>

export type ChangeKind = keyof typeof CHANGE_KINDS

/** What was done, with a small first letter: `targets`, `sending of a rotation`. */
export const changeDid = (kind: ChangeKind): string => CHANGE_KINDS[kind].did

/** The screen a change was made on. */
export const changePlace = (kind: ChangeKind): string => CHANGE_KINDS[kind].place

/** Why a change cannot be taken back any more. */
export function tooLateWords(kind: ChangeKind): string {
  const { did, late }: ChangeWords = CHANGE_KINDS[kind]
  return (
    late ??
    `Something it touched was changed again since, by a client’s phone or in another window, so the ${did} cannot be taken back. Change it by hand.`
  )
}

const MOST_DIFFERENCES = 3

/** What a change of a plan did: `day 3 Cable curl 3 → 4 sets`; `more than sets` where reps, days or the order changed. */
export function differenceWords(
  before: PlanDocument,
  after: PlanDocument,
  catalogue: Catalogue,
): string {
  const { sets, isMore } = planDifference(after, before)
  const told = sets.slice(0, MOST_DIFFERENCES).map(({ day, exercise, mine, theirs }) => {
    const name = catalogue.get(exercise)?.name ?? exercise
    return `day ${day + 1} ${name} ${theirs} → ${mine} ${mine === 1 ? 'set' : 'sets'}`
  })
  const rest = sets.length - told.length
  return [
    ...told,
    ...(rest > 0 ? [`${rest} more`] : []),
    ...(isMore ? ['reps, rest, order, days or rules'] : []),
  ].join(', ')
}
