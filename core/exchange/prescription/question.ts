import type { PlainDate, SlotId } from '../../base'
import type { Exposure } from '../../body/log'
import type { SlotLoads } from '../../design/loads'
import type { GroupWeek } from '../../design/short'
import type { SheetMovement } from '../../follow/sheet'
import type { Group } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import type { WeightUnit } from '../../plan/scheme'
import type { Session, Slot } from '../../plan/session'

/** A session that was sent, with all a sheet is made from. */
export interface SheetQuestion {
  readonly id: string
  readonly on: PlainDate
  readonly name: string
  readonly minuteLimit: number | null
  readonly content: Session
  /** How often the rotation was gone through before, for what is done every other time. */
  readonly pass: number
  readonly context: PlanContext
  readonly unit: WeightUnit
  /** Loads of its slots, from the one forecast. */
  readonly loads: ReadonlyMap<SlotId, SlotLoads>
  /** What was done before, exercise by exercise, the oldest first. */
  readonly log: ReadonlyMap<string, readonly Exposure[]>
  /** Finishers of the plan: any of them may stand in for one that may be exchanged. */
  readonly finishers?: readonly Pick<Slot, 'exercise' | 'intent'>[]
  /** How stations were set up when a client last said so, by exercise. */
  readonly setUps?: ReadonlyMap<string, NonNullable<SheetMovement['setUp']['last']>>
  /** For making it shorter; left out, there is one way only. */
  readonly shortening?: {
    readonly weeks: Readonly<Record<Group, GroupWeek>>
    readonly lengthDays: number
  }
}
