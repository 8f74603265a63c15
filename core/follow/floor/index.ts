export { clockOf, knownStart, secondsOf, startOn } from './clock'
export type { ClientStarts } from './clock'
export {
  hoursOf,
  isClosedOn,
  MOST_CLOSED,
  MOST_COACHES,
  MOST_OUT,
  stationsOn,
  withOutage,
} from './house'
export type { FloorHours, House, Outage } from './house'
export { floorDay } from './day'
export type { FloorDay, FloorLack, FloorPart, FloorSession, FloorStretch, FloorWait } from './day'
export {
  contentAfter,
  floorEdits,
  floorSessionOf,
  guestsAfter,
  sessionsOf,
  startsOf,
} from './guests'
export type { FloorChange, FloorGuest } from './guests'
export { floorParts } from './parts'
export type { SessionPart } from './parts'
export { floorProgress } from './progress'
export type { FloorProgress, SaidPlace } from './progress'
export { remediesFor } from './remedies'
export { remedyKey } from './remedyKey'
export type { BeforeAfter, FloorRemedy } from './remedies'
export { arrangedTogether, GROUP_SIZE } from './together'
export type { Arrangement, GroupHour, Room } from './together'
export { withoutStation } from './withoutStation'
export type { StandIn, WithoutStation } from './withoutStation'
export { unspotted } from './spots'
export type { Unspotted } from './spots'
export { dayOn, felt, thereOn } from './view'
export type { FloorOn } from './view'
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
