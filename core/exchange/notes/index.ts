export { readNotes } from './reading'
export type { NotedDay, NotedGroup, NotedLine, NotedPlan, UnreadLine } from './reading'
export { meant, rotationFromNotes } from './rotation'
export type { NotedRotation, NotesFor } from './rotation'
export { guessedPlanMapping, PLAN_COLUMNS, planTable, readTable } from './table'
export type { PlanColumn, PlanMapping, PlanTable } from './table'
export { CLIENT_COLUMNS, clientTable, monthsOf, readClients } from './clientTable'
export type {
  ClientColumn,
  ClientMapping,
  ClientTable,
  NotedClient,
  TrainingUnit,
} from './clientTable'
