export { floorDay } from './day'
export type { FloorDay, FloorLack, FloorPart, FloorSession, FloorStretch, FloorWait } from './day'
export { floorParts } from './parts'
export {
  MOST_STATIONS,
  parsedStations,
  STATION_KINDS,
  STATIONS,
  stationsFor,
  stationsText,
} from './stations'
export type { StationKind, Stations } from './stations'
