export { formatScheme, parseScheme } from './scheme'
export { formatGrouping, formatSession, parseGrouping, parseSession } from './session'
export type { ShorthandProblem } from './problem'
