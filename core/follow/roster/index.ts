export { byPressure, clientNeeds, rosterSection } from './needs'
export type { Need, RosterFacts, RosterSection, RosterSession } from './needs'
