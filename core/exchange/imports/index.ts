export { guessedMapping, LOG_COLUMNS } from './logColumns'
export type { LogColumn, LogMapping } from './logColumns'
export { DATE_ORDERS, readLogRows } from './logImport'
export type { ImportedSet, LogReading, RowProblem } from './logImport'
