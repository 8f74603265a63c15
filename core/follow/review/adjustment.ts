import type { ExerciseId, PlainDate } from '../../base'
import type { Verdict } from '../../body/trend'
import type { Group, Joint } from '../../plan/catalogue'
import type { Band, Mode, PainLevel } from '../../plan/method'
import type { ReplanOption } from '../replan'

/** What is known of a muscle after a rotation, each figure with what it rests on. Missing answers are missing, never fine. */
export interface GroupEvidence {
  readonly group: Group
  readonly mode: Mode
  /** Direct sets and counted sets of the rotation as planned next; bands in the same span. */
  readonly direct: number
  readonly counted: number
  readonly band: Band
  readonly verdict: Verdict
  /** Probability that it rises, 0 to 1; change per week as a share. */
  readonly probability: number
  readonly slope: number
  /** Joints its exercises load that are at `hold` or worse. */
  readonly sore: { readonly joint: Joint; readonly level: PainLevel } | null
  /** Done over planned sets of the whole rotation, 0 to 1. */
  readonly adherence: number
  readonly done: number
  readonly planned: number
  /** Answers to "recovered?" of sessions that train it. */
  readonly recovered: number
  readonly notRecovered: number
  /** The last answers up to now, over rotations, the oldest first; at most three. Left out, those of the rotation stand for them. */
  readonly lately?: readonly boolean[]
  /** The latest change of its sets that is behind: which row, by how much, and rotations and weeks done under it. */
  readonly changed?: ChangedBefore | null
  /** Exercises it leads in the next rotation: those that more in reserve for it touches. */
  readonly led?: readonly ExerciseId[]
  /** Muscles that work along in the exercises it leads and have not recovered. */
  readonly wearsOn?: readonly Group[]
  /** Sets taken out since the block began because it had not recovered, and not given back. */
  readonly owed?: number
  /** Readiness at its direct exposures as planned, percent; the mean, and how many lie under 80. */
  readonly readiness: number
  readonly exposures: number
  readonly lowExposures: number
  /** Finished rotations in a row, this one among them, that were under the floor. */
  readonly belowFloorFor: number
  /** Sets the plan adds in the next rotation by itself. */
  readonly ramp: number
  /** The joint that bears most of its ceiling in a week of those its exercises load: which, and what share. */
  readonly strain?: { readonly joint: Joint; readonly share: number } | null
  /** The last day of a trial that it is in. */
  readonly onTrialUntil?: PlainDate | null
  /** The client eats less than is used up: strength that holds is what can be had. */
  readonly eatsLess?: boolean
  /** Days from the last time it was trained to the next rotation; null where it never was. */
  readonly daysAway?: number | null
}

/** A change of a muscle's sets, and how long it has been done. */
export interface ChangedBefore {
  readonly row: string
  readonly change: number
  readonly rotations: number
  readonly weeks: number
}

export const DECISION_ROWS = [
  'A1',
  'A2',
  'A3',
  'A4',
  'A5',
  'A6',
  'A7',
  'A8',
  'A9',
  'A10',
  'A11',
  'A12',
  'A13',
  'A14',
  'A15',
  'A16',
  'A17',
  'A18',
  'A19',
  'G1',
  'E1',
  'E2',
  'E3',
  'S1',
  'M1',
  'P1',
  'O1',
] as const
/** Rows about a muscle (A, and G after an absence), an exercise (E), a session (S); a missed session, a pace, a value that was questioned (M, P, O). */
export type DecisionRow = (typeof DECISION_ROWS)[number]

/** What is proposed for the next rotation. Units: direct sets in the rotation, reps in reserve. */
export type Change =
  | { readonly kind: 'sets'; readonly by: number; readonly rir: number }
  | { readonly kind: 'rir'; readonly by: number }
  /** The plan's own step is not taken. */
  | { readonly kind: 'hold_ramp'; readonly by: number }
  | { readonly kind: 'deload' }
  /** The coach changes something by hand: an exercise, a rep range, a rest. */
  | { readonly kind: 'by_hand' }
  | { readonly kind: 'go_on' }
  | { readonly kind: 'load'; readonly exercise: ExerciseId; readonly step: 'up' | 'down' }
  | {
      readonly kind: 'swap'
      readonly from: ExerciseId
      readonly to: ExerciseId
      readonly intent: string | null
    }
  /** The plan's own session made to fit its minutes. */
  | {
      readonly kind: 'shorten'
      readonly day: number
      readonly place: number
      readonly minutes: number
    }
  | {
      readonly kind: 'replan'
      readonly option: ReplanOption
      readonly session: string
      readonly on: PlainDate
    }
  | { readonly kind: 'pace'; readonly pace: number | null; readonly isAnew: boolean }
  | {
      readonly kind: 'confirm'
      readonly exercise: ExerciseId
      readonly on: PlainDate
      readonly value: number
    }

/** What a row about an exercise or a session rests on. Units: reps, minutes, share per week. */
export interface OwnFacts {
  readonly exercise?: ExerciseId
  readonly error?: number
  readonly sets?: number
  readonly missed?: number
  readonly sore?: { readonly joint: Joint; readonly level: PainLevel }
  readonly slope?: number
  readonly session?: string
  readonly minutes?: number
  readonly limit?: number
  readonly times?: number
  readonly of?: number
}

export interface Adjustment {
  readonly row: DecisionRow
  /** Null where it is about the whole rotation. */
  readonly group: Group | null
  readonly change: Change
  readonly before: number
  readonly after: number
  readonly evidence: GroupEvidence | null
  readonly facts?: OwnFacts
  readonly signs: readonly DeloadSign[]
  readonly confidence: 'strong' | 'fair' | 'weak'
  /** Beyond what one week may change: listed, not offered. */
  readonly isWaiting: boolean
}

export const DELOAD_SIGNS = ['falling', 'not_recovered', 'sore_joints', 'missed_reps'] as const
export type DeloadSign = (typeof DELOAD_SIGNS)[number]

/** A decision that no proposal came before: a re-plan chosen, a pace set, a value confirmed. */
export function ownDecision(
  row: 'M1' | 'P1' | 'O1',
  change: Change,
  group: Group | null = null,
): Adjustment {
  return {
    row,
    group,
    change,
    before: 0,
    after: 0,
    evidence: null,
    signs: [],
    confidence: 'strong',
    isWaiting: false,
  }
}

/** What tells one proposal from another: the row, what it is about and what it changes; refused ones are known by it. */
export function adjustmentKey({ row, group, change }: Adjustment): string {
  switch (change.kind) {
    case 'load':
      return [row, change.exercise, change.step].join(' ')
    case 'swap':
      return [row, change.from, change.to].join(' ')
    case 'shorten':
      return [row, change.day, change.place, change.minutes].join(' ')
    case 'replan':
      return [row, change.option, change.session, change.on].join(' ')
    case 'pace':
      return [row, group, change.isAnew ? 'anew' : (change.pace ?? 'usual')].join(' ')
    case 'confirm':
      return [row, change.exercise, change.on, change.value].join(' ')
    default:
      return [row, group ?? 'all', change.kind, 'by' in change ? change.by : ''].join(' ')
  }
}
