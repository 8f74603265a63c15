export {
  byQueue,
  passEnd,
  passToReview,
  QUEUE_KINDS,
  queueItems,
  queueSum,
  toDecide,
  unseen,
} from './queue'
export type { QueueFacts, QueueItem, QueueKind, QueueRotation } from './queue'
export { isSmall, safeChanges, SMALL } from './safe'
export type { NotSafe, SafeFacts } from './safe'
