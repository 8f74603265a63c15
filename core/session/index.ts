export { GROUPING_KINDS, PLACEMENTS, sessionSlots } from './session'
export type { Grouping, GroupingKind, Placement, Session, Slot } from './session'
