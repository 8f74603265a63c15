import type { PlainDate, SlotId } from '../base'
import { daySlots, type Rotation } from '../rotation'
import type { Slot } from '../session'

/** Version of the document's shape; a stored document of an older one is migrated when it is read. */
export const PLAN_SCHEMA = 1

/** The plan of one training block, saved whole under a version number (docs/formats.md). */
export interface PlanDocument {
  readonly schema: typeof PLAN_SCHEMA
  readonly title: string
  readonly startsOn: PlainDate
  /** How many times the rotation is gone through. */
  readonly passes: number
  readonly rotation: Rotation
  /** Findings the coach has looked at and put aside, by finding key, each with her note. */
  readonly dismissed?: readonly { readonly finding: string, readonly note: string }[]
}

/** Where a slot stands, days from 0; undefined if the plan has no such slot. */
export function findSlot(plan: PlanDocument, id: SlotId): { readonly day: number, readonly slot: Slot } | undefined {
  for (const [day, content] of plan.rotation.days.entries()) {
    const slot = daySlots(content).find(candidate => candidate.id === id)
    if (slot) return { day, slot }
  }
  return undefined
}
