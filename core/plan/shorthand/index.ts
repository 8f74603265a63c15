export { formatScheme, parseScheme } from './scheme'
export {
  formatGrouping,
  formatSession,
  groupingPlaces,
  parseGrouping,
  parseSession,
} from './session'
export type { ShorthandProblem } from './problem'
