export { GROUPING_KINDS, PLACEMENTS, sessionSlots } from './session'
export type { Grouping, GroupingKind, Placement, Preparation, Session, Slot } from './session'
