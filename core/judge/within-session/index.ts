export { withinSession } from './withinSession'
export type { FeltSet, GroupWithin, JointWithin, WithinSession } from './withinSession'
