import { type FloorChange, startsOf } from './guests'

/** Names a change, so that it can be found again among those offered later. */
export function remedyKey(change: FloorChange): string {
  switch (change.kind) {
    case 'start':
      return startsOf(change)
        .map(({ session, start }) => `start ${session} ${start}`)
        .join(' ')
    case 'turn':
      return `turn ${change.session} ${change.slot} ${change.before}`
    case 'stand_in':
      return `stand_in ${change.session} ${change.slot} ${change.exercise}`
  }
}
