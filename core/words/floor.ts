import { type FloorWait, type StationKind, STATIONS } from '../follow/floor'

const minutesOf = (seconds: number): number => Math.round(seconds / 60)

/** A wait as the waiter's row says it: `waits about 9 min for the cable tower; Marit has it`. */
export function floorWaitWords(
  { seconds, station, holders }: FloorWait,
  nameOf: (session: string) => string,
): string {
  const names = holders.map(nameOf)
  const [last, ...others] = [...names].reverse()
  const who = others.length > 0 ? `${[...others].reverse().join(', ')} and ${last}` : (last ?? '')
  return `waits about ${Math.max(1, minutesOf(seconds))} min for ${STATIONS[station].one}${who ? `; ${who} ${names.length > 1 ? 'have them' : 'has it'}` : ''}`
}

/** What all wait together: `16 min of waiting, 2 clients`; empty where it is less than half a minute. */
export function floorSumWords(waits: readonly FloorWait[]): string {
  const minutes = minutesOf(waits.reduce((sum, { seconds }) => sum + seconds, 0))
  const clients = new Set(waits.map(({ session }) => session)).size
  return minutes === 0
    ? ''
    : `${minutes} min of waiting, ${clients} ${clients === 1 ? 'client' : 'clients'}`
}

/** What the studio does not have and a plan needs: `needs the rack, and there is none`. */
export const floorLackWords = (station: StationKind): string =>
  `needs ${STATIONS[station].one}, and there is none`
