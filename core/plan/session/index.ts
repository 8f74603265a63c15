export { GROUPING_KINDS, PLACEMENTS, sessionInTurn, sessionSlots } from './session'
export type { Grouping, GroupingKind, Placement, Preparation, Session, Slot } from './session'
export { SLOT_ROLE_TABLE, SLOT_ROLES, suitsRole } from './slotRole'
export type { SlotRole } from './slotRole'
