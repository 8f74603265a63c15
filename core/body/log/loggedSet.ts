import type { ExerciseId, SlotId } from '../../base'
import type { SetRole } from '../../plan/scheme'

export const BODY_SIDES = ['left', 'right'] as const
export type BodySide = (typeof BODY_SIDES)[number]

export const SET_LAPSES = ['cut_short', 'loose', 'helped'] as const
/** Where a set was less than what was asked: part of the range, swung, or with somebody's hands. */
export type SetLapse = (typeof SET_LAPSES)[number]
/** How a lapse is said, on the phone and in files. */
export const LAPSE_WORDS: Readonly<Record<SetLapse, string>> = {
  cut_short: 'cut short',
  loose: 'loose',
  helped: 'helped',
}

/** One work stage of one set as it was done. A plain set has one stage; a drop set has one per load. */
export interface LoggedSet {
  /** Where it was planned; for work nobody planned the exercise's id, or null where nobody said. */
  readonly slot: SlotId | null
  readonly exercise: ExerciseId
  readonly intent: string | null
  /** From 1, in the order done; warm-up sets among themselves. */
  readonly set: number
  /** From 1; later stages follow without a full rest. */
  readonly stage: number
  /** Null where both sides worked, or nobody said. */
  readonly side: BodySide | null
  readonly role: SetRole
  /** Null where no load was moved that can be written in kilograms. */
  readonly loadKg: number | null
  readonly reps: number | null
  /** Of a hold, or of work that is counted in seconds. */
  readonly seconds: number | null
  /** As reported; null where nobody said. */
  readonly rir: number | null
  /** `4 or more`: too far from failure to say anything about strength. */
  readonly isRirOpen: boolean
  /** Left out or null where it was done as asked. */
  readonly lapses?: readonly SetLapse[] | null
}
