import type { ExerciseId, SlotId } from '../../base'
import type { Joint } from '../../plan/catalogue'
import type { SetRole, SetUp, WeightUnit } from '../../plan/scheme'
import type { BodySide, SetLapse } from '../../body/log'
import type { FeltPlace, MoreSaid } from './feelings'

/** Which part of which set: one place holds one value at a time. */
export interface SetPlace {
  readonly slot: SlotId
  readonly role: SetRole
  readonly set: number
  readonly stage: number
  readonly side: BodySide | null
}

/** What was done at a place. A count is reps, or seconds where the movement is held or counted so. */
export interface DonePart {
  readonly exercise: ExerciseId
  readonly intent: string | null
  readonly load: { readonly amount: number; readonly unit: WeightUnit } | null
  readonly reps: number | null
  readonly seconds: number | null
  readonly rir: number | null
  /** `4 or more`: counts as 4 and stays out of trends. */
  readonly isRirOpen: boolean
  readonly lapses?: readonly SetLapse[]
}

/** What happened in a session, as somebody says it. Entries are only ever added; what they say together is the session's standing. */
export type LogWord =
  | { readonly kind: 'opened' }
  | SetWord
  | { readonly kind: 'clear'; readonly place: SetPlace; readonly replaces: string | null }
  | { readonly kind: 'more_sets'; readonly slot: SlotId }
  | { readonly kind: 'skip'; readonly slot: SlotId; readonly isSkipped: boolean }
  | {
      readonly kind: 'swap'
      readonly slot: SlotId
      /** null is back to the plan. */ readonly exercise: ExerciseId | null
      readonly intent: string | null
    }
  | { readonly kind: 'way'; readonly minutes: number | null }
  | { readonly kind: 'note'; readonly slot: SlotId | null; readonly text: string }
  /** How the station was set up for a movement, to be found again next time. */
  | {
      readonly kind: 'set_up'
      readonly slot: SlotId
      readonly exercise: ExerciseId
      readonly setUp: SetUp
    }
  /** Where an exercise was felt, once its sets are done. */
  | {
      readonly kind: 'felt'
      readonly slot: SlotId
      readonly exercise: ExerciseId
      readonly where: FeltPlace
    }
  | {
      readonly kind: 'pain'
      readonly joints: readonly Joint[]
      readonly side: BodySide | 'both'
      readonly score: number
      readonly hasAlarmSign: boolean
    }
  | FinishWord

/** The end of a session. */
export interface FinishWord extends MoreSaid {
  readonly kind: 'finish'
  readonly minutes: number | null
  readonly isRecovered: boolean | null
  /** How recovered the muscles felt at the start, 0 to 10; sessions from before have yes or no alone. */
  readonly recovery?: number
  readonly note: string
}

/** From here on a client who answers 0 to 10 counts as recovered where only yes and no are asked. */
const RECOVERED_FROM = 6

/** An answer from 0 to 10 as it goes into the log; null where nothing was said. */
export const recoverySaid = (
  rating: number | null,
): { readonly isRecovered: boolean | null; readonly recovery?: number } =>
  rating === null
    ? { isRecovered: null }
    : { isRecovered: rating >= RECOVERED_FROM, recovery: rating }

/** A set, or a part of one, as it was done; `replaces` is the entry that stood there when it was said. */
export interface SetWord {
  readonly kind: 'set'
  readonly place: SetPlace
  readonly done: DonePart
  readonly replaces: string | null
}

/** A word with its key and time; the key makes sending it twice the same as sending it once. */
export interface LogEntry {
  readonly id: string
  readonly at: string
  readonly word: LogWord
}

/** The one spelling of a place, for maps. */
export function placeKey({ slot, role, set, stage, side }: SetPlace): string {
  return [slot, role, set, stage, side ?? ''].join(' ')
}
