export { sheetSession } from './sheetSession'
export type { SheetQuestion } from './question'
export { sheetSets } from './sheetSets'
