import type { Arrival } from '../body/recovery'
import { NBSP, wholeReadiness } from './figures'
import { GROUP_NAMES } from './names'

/** What a screen reader says of an exposure: `arrives 90 percent ready after 48 hours`. */
export function arrivalWords({ readiness, hoursSince }: Arrival): string {
  return `arrives ${wholeReadiness(readiness)} percent ready after ${Math.round(hoursSince)} hours`
}

/** Readiness in a sentence for the coach. */
export function threadWords({
  group,
  readiness,
  hoursSince,
  hoursToReady,
  state,
  required,
}: Arrival): string {
  const name = GROUP_NAMES[group]
  const percent = `${wholeReadiness(readiness)}${NBSP}%`
  const wanted = readiness < required ? `, ${required}${NBSP}% wanted here` : ''
  switch (state) {
    case 'ready':
      return `${name}: ready, ${percent} ${Math.round(hoursSince)} h after the last work${wanted}.`
    case 'nearly':
      return `${name}: nearly ready, ${percent}${wanted}. Fine for accessory or indirect work.`
    case 'part':
      return `${name}: part recovered, ${percent}${wanted}. Expect fewer reps; ready in ${Math.round(hoursToReady)} h.`
    case 'not':
      return `${name}: not recovered, ${percent}${wanted}. Move, cut, or swap.`
  }
}
