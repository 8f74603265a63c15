export { loadRows } from './loadRows'
export { logRows } from './logRows'
export type { LogLineOut } from './logRows'
export {
  effortRows,
  jointRows,
  planRows,
  readinessRows,
  sessionLines,
  sessionState,
  volumeRows,
} from './planRows'
export type { Row } from './planRows'
