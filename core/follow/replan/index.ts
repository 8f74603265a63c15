export { HORIZON_DAYS, REPLAN_OPTIONS } from './replan'
export type {
  Construction,
  Move,
  Place,
  Refilled,
  Replan,
  ReplanOption,
  ReplanQuestion,
} from './replan'
export { rankedReplans, replans, withReplan } from './options'
export { shifted } from './shift'
export { merged, spreadSets } from './refill'
export type { SpreadQuestion } from './refill'
