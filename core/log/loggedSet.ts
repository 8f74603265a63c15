import type { ExerciseId, SlotId } from '../base'

/** One work stage of one set as it was done. A plain set has one stage; a drop set has one per load. */
export interface LoggedSet {
  /** Where it was planned; null for work that was added in the gym. */
  readonly slot: SlotId | null
  readonly exercise: ExerciseId
  readonly intent: string | null
  /** From 1, in the order done. */
  readonly set: number
  /** From 1; later stages follow without a full rest. */
  readonly stage: number
  readonly role: 'warmup' | 'working'
  /** Null where no load was moved that can be written in kilograms. */
  readonly loadKg: number | null
  readonly reps: number | null
  /** As reported; null where nobody said. */
  readonly rir: number | null
}
