import type { PlainDate } from '../base'
import type { Attention } from '../count/ledger'
import { type StandIn, type StationKind, STATIONS } from '../follow/floor'
import { attentionWords } from './attention'
import { formatDay } from './dates'
import { formatOneDecimal } from './figures'
import { GROUP_NAMES } from './names'
import { swapChangeWords } from './session'
import { listed } from './text'

type NameOf = (exercise: string) => string
const counted = (count: number, one: string, more = `${one}s`) =>
  `${count} ${count === 1 ? one : more}`

/** `3 to 10 May`, or the one day. */
export const daysWords = (from: PlainDate, to: PlainDate): string =>
  from === to ? `on ${formatDay(from)}` : `from ${formatDay(from)} to ${formatDay(to)}`

/** `Cable tower: none left from … to …`. */
export const outageWords = (
  station: StationKind,
  left: number,
  from: PlainDate,
  to: PlainDate,
): string => `${STATIONS[station].name}: ${left === 0 ? 'none' : left} left ${daysWords(from, to)}`

/** What stands in on a date, and for what nothing does. */
export function withoutStationLines(
  on: PlainDate,
  what: string,
  {
    standIns,
    stuck,
  }: {
    readonly standIns: readonly Pick<StandIn, 'from' | 'to' | 'cost'>[]
    readonly stuck: readonly string[]
  },
  nameOf: NameOf,
): readonly string[] {
  const day = `${formatDay(on)}, ${what}`
  return [
    ...standIns.map(({ from, to, cost }) => {
      const differs = swapChangeWords(cost)
      return `${day}: ${nameOf(to)} for ${nameOf(from)}${differs.length > 0 ? ` (${differs.join('; ')})` : ''}`
    }),
    ...stuck.map(from => `${day}: nothing stands in for ${nameOf(from)}. Change it by hand.`),
  ]
}

/** `3 stand-ins in 2 sessions, 1 by hand`. */
export const withoutStationWords = (standIns: number, sessions: number, stuck: number): string =>
  [
    ...(standIns > 0
      ? [`${counted(standIns, 'stand-in')} in ${counted(sessions, 'session')}`]
      : []),
    ...(stuck > 0 ? [`${stuck} by hand`] : []),
  ].join(', ')

/** What a changed count does to a week: groups that leave their band and those that come back into it. */
export function bandMoves(
  before: readonly Attention[],
  after: readonly Attention[],
): readonly string[] {
  const keyOf = ({ kind, group }: Attention) => `${kind} ${group}`
  const said = (attention: Attention) => {
    const { subject, matter } = attentionWords(attention)
    return `${subject} ${matter}`
  }
  const [was, is] = [before, after].map(list => new Set(list.map(keyOf)))
  return [
    ...after.filter(one => !was?.has(keyOf(one))).map(one => `${said(one)}, now`),
    ...before
      .filter(one => !is?.has(keyOf(one)))
      .map(one => `${GROUP_NAMES[one.group]} back in its band`),
  ]
}

/** `Biceps 9.0 → 7.5`. */
export const weekMove = (group: keyof typeof GROUP_NAMES, before: number, after: number): string =>
  `${GROUP_NAMES[group]} ${formatOneDecimal(before)} → ${formatOneDecimal(after)} sets per 7 days`

/** `Done for 6 clients: …`. */
export const whatIfDone = (what: string, names: readonly string[]): string =>
  names.length === 0 ? `${what}.` : `${what}. Changed for ${listed(names)}.`
