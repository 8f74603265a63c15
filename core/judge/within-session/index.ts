export { alongSession } from './alongSession'
export type { FeltSet, GroupAlong, JointAlong, SessionAlong } from './alongSession'
