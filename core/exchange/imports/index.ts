export { DATE_ORDERS, guessedMapping, LOG_COLUMNS, readLogRows } from './logImport'
export type { ImportedSet, LogColumn, LogMapping, LogReading, RowProblem } from './logImport'
