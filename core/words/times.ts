import type { ClientTimes } from '../plan/method'
import type { OwnSessionTime } from '../plan/minutes'
import { firstName } from './firstName'
import { formatOneDecimal, NBSP } from './figures'

const minutes = (seconds: number) => Math.round(seconds / 60)

/** `41 min estimated, 58 to 63 as Marit trains`; empty while the log does not tell. */
export function ownTimeWords({ estimated, own }: OwnSessionTime, name: string): string {
  if (!own) return ''
  const [low, high] = [minutes(own.low), minutes(own.high)]
  const range = low === high ? `${low}` : `${low} to ${high}`
  return `${minutes(estimated)}${NBSP}min estimated, ${range} as ${firstName(name)} trains`
}

/** `as Marit takes them`, beside minutes that follow the client's log; empty where they are estimated. */
export const asTaken = (times: ClientTimes | undefined, name: string): string =>
  times ? `as ${firstName(name)} takes them` : ''

/** Where a client's minutes differ from the estimate, and how sure that is. */
export function clientTimesWords(times: ClientTimes, name: string): string {
  const parts = [
    ['rests', times.rest],
    ['setting up', times.setUp],
    ['sets', times.set],
  ] as const
  const said = parts.map(([part, factor]) => `${part} ${formatOneDecimal(factor)}`).join(', ')
  return `As ${firstName(name)} takes them against the estimate: ${said} times as long, from ${times.sessions} sessions.`
}
