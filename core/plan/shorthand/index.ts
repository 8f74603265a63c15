export { formatScheme, nearestScheme, parseScheme } from './scheme'
export { inOneSpelling } from './spellings'
export {
  formatGrouping,
  formatSession,
  groupingPlaces,
  parseGrouping,
  parseSession,
} from './session'
export { formatDoneAs, heldAs, parseDoneAs, turnsHeld } from './doneAs'
export type { ShorthandProblem } from './problem'
