export { coaches, signIns } from './coaches'
export { clients } from './clients'
export { blockRevisions, blocks } from './blocks'
export { attemptLimits } from './limits'
