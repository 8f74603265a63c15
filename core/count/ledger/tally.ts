import { type Assumption, type Figure, plus, remembered, times, ZERO } from '../../base'
import {
  type Credits,
  type Group,
  GROUP_MUSCLES,
  GROUPS,
  type HeadShares,
  headShare,
  type Muscle,
} from '../../plan/catalogue'
import { type CountingSchool, worthOfCredit } from '../../plan/method'
import type { CountedWork } from './countedWork'

/** Sets of one muscle or group over some span: direct, indirect, and their sum. */
export interface Tally {
  readonly direct: Figure
  readonly indirect: Figure
  readonly counted: Figure
}

/** Every group and muscle over one span, zeros included. */
export interface SpanLedger {
  readonly groups: Readonly<Record<Group, Tally>>
  readonly muscles: Readonly<Record<Muscle, Tally>>
}

/** No sets. */
export const NO_SETS: Tally = { direct: ZERO, indirect: ZERO, counted: ZERO }

/** Sum of two tallies of the same thing. */
export function tallyPlus(a: Tally, b: Tally): Tally {
  if (a === NO_SETS) return b
  if (b === NO_SETS) return a
  return {
    direct: plus(a.direct, b.direct),
    indirect: plus(a.indirect, b.indirect),
    counted: plus(a.counted, b.counted),
  }
}

/** A tally scaled by a factor of 0 or more. */
export function tallyTimes(tally: Tally, factor: number): Tally {
  if (tally === NO_SETS || factor === 1) return tally
  return {
    direct: times(tally.direct, factor),
    indirect: times(tally.indirect, factor),
    counted: times(tally.counted, factor),
  }
}

/** Most that long sets may add beyond one per set, and primers at all, per group and session. Source: docs/methods.md#long-sets. */
export const SESSION_CAPS = { bonus: 3, primer: 0.5 } as const

/** A figure being added up; one is made per total, not per step. */
interface Sum {
  value: number
  low: number
  high: number
  assumed: readonly Assumption[]
  isTouched: boolean
}
interface Account {
  readonly direct: Sum
  readonly indirect: Sum
}

function emptySum(): Sum {
  return { value: 0, low: 0, high: 0, assumed: ZERO.assumed, isTouched: false }
}

function addTo(sum: Sum, figure: Figure, factor: number): void {
  if (factor === 0) return
  sum.isTouched = true
  sum.value += figure.value * factor
  sum.low += figure.low * factor
  sum.high += figure.high * factor
  if (figure.assumed.some(assumption => !sum.assumed.includes(assumption)))
    sum.assumed = [...new Set([...sum.assumed, ...figure.assumed])].sort()
}

function figureOf({ value, low, high, assumed, isTouched }: Sum): Figure {
  return isTouched ? { value, low, high, assumed } : ZERO
}

function tallyOfAccount({ direct, indirect }: Account): Tally {
  if (!direct.isTouched && !indirect.isTouched) return NO_SETS
  const [own, helped] = [figureOf(direct), figureOf(indirect)]
  return { direct: own, indirect: helped, counted: plus(own, helped) }
}

/** What a line of totals counts: which credit a set has for it, and which part of that falls on it. */
export interface Target {
  readonly credit: (credits: Credits) => number
  readonly share: (shares: HeadShares) => number
}

/** A group, counted whole. */
export const groupTarget = (group: Group): Target => ({
  credit: credits => credits[group] ?? 0,
  share: () => 1,
})
/** A head of a group: its share of the group's sets. */
export const headTarget = (group: Group, muscle: Muscle): Target => ({
  credit: credits => credits[group] ?? 0,
  share: shares => headShare(shares, group, muscle),
})
/** Several groups taken as one: each set counts once, at its highest credit. */
export const onceTarget = (groups: readonly Group[]): Target => ({
  credit: credits => highestOf(credits, groups),
  share: () => 1,
})

function highestOf(credits: Credits, groups: readonly Group[]): number {
  let highest = 0
  for (const group of groups) highest = Math.max(highest, credits[group] ?? 0)
  return highest
}

/** One addition to a total: so many sets, each worth so much. */
export interface Addition {
  readonly work: CountedWork
  readonly figure: Figure
  readonly credit: number
  readonly worth: number
  readonly part: 'sets' | 'bonus' | 'primer'
  /** Below 1 where a session's cap shrinks it. */
  readonly cap: number
}

/**
 * What some work adds to a target, piece by piece: the one place where sets turn into counted sets.
 *
 * Edge: the work of one session must be given together, since long sets and primers are capped per session.
 */
export function additionsOf(
  work: readonly CountedWork[],
  target: Target,
  school: CountingSchool,
): readonly Addition[] {
  if (school.value === 'weighted') return weightedAdditions(work, target, school)
  const additions: Addition[] = []
  for (const piece of work) {
    const credit = target.credit(piece.credits)
    const worth = credit === 0 ? 0 : worthOfCredit(school, credit) * target.share(piece.headShares)
    const figure = school.value === 'parts' ? piece.valued : piece.sets
    if (worth > 0 && figure.high > 0)
      additions.push({
        work: piece,
        figure,
        credit,
        worth,
        part: 'sets',
        cap: 1,
      })
  }
  return additions
}

function weightedAdditions(
  work: readonly CountedWork[],
  target: Target,
  school: CountingSchool,
): readonly Addition[] {
  return bySession(work).flatMap(session => {
    const raw = session.flatMap(piece =>
      piece.weighted.flatMap(part => {
        const credit = target.credit(part.credits)
        const worth = credit === 0 ? 0 : worthOfCredit(school, credit)
        if (worth === 0) return []
        const share = target.share(part.headShares)
        return (['base', 'bonus', 'primer'] as const)
          .filter(key => part[key] > 0)
          .map(key => ({
            work: piece,
            figure: piece.times,
            credit,
            uncapped: worth * part[key],
            worth: worth * part[key] * share,
            part: key === 'base' ? ('sets' as const) : key,
          }))
      }),
    )
    const capOf = (part: 'bonus' | 'primer') => {
      const sum = raw.reduce(
        (total, addition) =>
          total + (addition.part === part ? addition.uncapped * addition.figure.value : 0),
        0,
      )
      return sum > SESSION_CAPS[part] ? SESSION_CAPS[part] / sum : 1
    }
    const caps = { sets: 1, bonus: capOf('bonus'), primer: capOf('primer') }
    return raw.map(({ uncapped: _, ...addition }) => ({
      ...addition,
      worth: addition.worth * caps[addition.part],
      cap: caps[addition.part],
    }))
  })
}

function bySession(work: readonly CountedWork[]): readonly (readonly CountedWork[])[] {
  const sessions = new Map<string, CountedWork[]>()
  for (const piece of work) {
    const known = sessions.get(piece.sessionId)
    if (known) known.push(piece)
    else sessions.set(piece.sessionId, [piece])
  }
  return [...sessions.values()]
}

/** Direct, indirect and counted sets of one target. */
export function tallyFor(
  work: readonly CountedWork[],
  target: Target,
  school: CountingSchool,
): Tally {
  const account: Account = { direct: emptySum(), indirect: emptySum() }
  for (const { figure, credit, worth } of additionsOf(work, target, school))
    addTo(account[credit === 1 ? 'direct' : 'indirect'], figure, worth)
  return tallyOfAccount(account)
}

const ALL_TARGETS = GROUPS.map(group => ({
  group,
  target: groupTarget(group),
  heads: (GROUP_MUSCLES[group] as readonly Muscle[]).map(muscle => ({
    muscle,
    target: headTarget(group, muscle),
  })),
}))

/**
 * Direct, indirect and counted sets of every group and muscle in some work.
 *
 * Units: sets under the school, unrounded; heads of a group add up to the group.
 * Edge:  no work gives zeros for all.
 */
export const spanLedger: (work: readonly CountedWork[], school: CountingSchool) => SpanLedger =
  remembered((work: readonly CountedWork[], school: CountingSchool) => {
    const groups = {} as Record<Group, Tally>
    const muscles = {} as Record<Muscle, Tally>
    for (const { group, target, heads } of ALL_TARGETS) {
      const tally = tallyFor(work, target, school)
      groups[group] = tally
      for (const head of heads)
        muscles[head.muscle] =
          tally === NO_SETS || heads.length === 1 ? tally : tallyFor(work, head.target, school)
    }
    return { groups, muscles }
  })

/** Sum of ledgers over several spans. */
export function sumOfLedgers(ledgers: readonly SpanLedger[]): SpanLedger {
  const groups = {} as Record<Group, Tally>
  const muscles = {} as Record<Muscle, Tally>
  for (const { group, heads } of ALL_TARGETS) {
    groups[group] = ledgers.reduce((sum, ledger) => tallyPlus(sum, ledger.groups[group]), NO_SETS)
    for (const { muscle } of heads)
      muscles[muscle] = ledgers.reduce(
        (sum, ledger) => tallyPlus(sum, ledger.muscles[muscle]),
        NO_SETS,
      )
  }
  return { groups, muscles }
}

/** Credit a set gives to the best served of several groups. */
export function highestCredit(work: CountedWork, groups: readonly Group[]): number {
  return highestOf(work.credits, groups)
}

/** Sets for several groups taken as one: each set counts once, at its highest credit. */
export function tallyOnce(
  work: readonly CountedWork[],
  groups: readonly Group[],
  school: CountingSchool,
): Tally {
  return tallyFor(work, onceTarget(groups), school)
}
