import { movementKey } from '../../body/log'
import type { Slot } from '../../plan/session'
import { heldAs } from '../../plan/shorthand'

/** What a place has its loads from: its exercise, or the same held or set up otherwise for its turn. */
export const movementOf = (slot: Slot): string => movementKey(slot.exercise, heldAs(slot))

/** A place with its movement: what takes turns there was planned each by itself. */
export const plannedKey = (slot: Slot): string => `${slot.id} ${movementOf(slot)}`
