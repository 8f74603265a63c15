export { floorDay } from './day'
export type { FloorDay, FloorLack, FloorPart, FloorSession, FloorStretch, FloorWait } from './day'
export { contentAfter, floorEdits, floorSessionOf, guestAfter } from './guests'
export type { FloorChange, FloorGuest } from './guests'
export { floorParts } from './parts'
export type { SessionPart } from './parts'
export { ALWAYS_OPEN, remediesFor } from './remedies'
export type { BeforeAfter, FloorHours, FloorRemedy } from './remedies'
export { sumOfWaits, waitedBy } from './waits'
export {
  MOST_STATIONS,
  parsedStations,
  STATION_KINDS,
  STATIONS,
  stationsFor,
  stationsText,
} from './stations'
export type { StationKind, Stations } from './stations'
