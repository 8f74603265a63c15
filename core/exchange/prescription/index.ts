export { sheetSession } from './sheetSession'
export type { SheetQuestion } from './sheetSession'
export { sheetSets } from './sheetSets'
