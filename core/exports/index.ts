export { effortRows, jointRows, planRows, readinessRows, sessionLines, sessionState, volumeRows } from './planRows'
export type { Row } from './planRows'
