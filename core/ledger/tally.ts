import { type Figure, plus, times, ZERO } from '../base'
import { type Group, GROUP_MUSCLES, GROUPS, headShare, type Muscle, MUSCLES } from '../catalogue'
import { type CountingSchool, worthOfCredit } from '../method'
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
  return { direct: plus(a.direct, b.direct), indirect: plus(a.indirect, b.indirect), counted: plus(a.counted, b.counted) }
}

/** A tally scaled by a factor of 0 or more. */
export function tallyTimes(tally: Tally, factor: number): Tally {
  if (tally === NO_SETS || factor === 1) return tally
  return { direct: times(tally.direct, factor), indirect: times(tally.indirect, factor), counted: times(tally.counted, factor) }
}

/** What some work adds at the given credit; `share` is the part that falls on a head. */
export function tallyOf(sets: Figure, credit: number, school: CountingSchool, share = 1): Tally {
  const worth = worthOfCredit(school, credit) * share
  if (worth === 0) return NO_SETS
  const counted = times(sets, worth)
  return credit === 1 ? { direct: counted, indirect: ZERO, counted } : { direct: ZERO, indirect: counted, counted }
}

/**
 * Direct, indirect and counted sets of every group and muscle in some work.
 *
 * Units: sets under the school, unrounded; heads of a group add up to the group.
 * Edge:  no work gives zeros for all.
 */
export function spanLedger(work: readonly CountedWork[], school: CountingSchool): SpanLedger {
  const groups = Object.fromEntries(GROUPS.map(group => [group, NO_SETS])) as Record<Group, Tally>
  const muscles = Object.fromEntries(MUSCLES.map(muscle => [muscle, NO_SETS])) as Record<Muscle, Tally>
  for (const { sets, credits, headShares } of work) {
    for (const group of Object.keys(credits) as Group[]) {
      const credit = credits[group] ?? 0
      groups[group] = tallyPlus(groups[group], tallyOf(sets, credit, school))
      for (const muscle of GROUP_MUSCLES[group]) {
        const share = headShare(headShares, group, muscle)
        muscles[muscle] = tallyPlus(muscles[muscle], tallyOf(sets, credit, school, share))
      }
    }
  }
  return { groups, muscles }
}

/** Sum of ledgers over several spans. */
export function sumOfLedgers(ledgers: readonly SpanLedger[]): SpanLedger {
  return {
    groups: Object.fromEntries(GROUPS.map(group => [group, ledgers.reduce((sum, { groups }) => tallyPlus(sum, groups[group]), NO_SETS)])) as Record<Group, Tally>,
    muscles: Object.fromEntries(MUSCLES.map(muscle => [muscle, ledgers.reduce((sum, { muscles }) => tallyPlus(sum, muscles[muscle]), NO_SETS)])) as Record<Muscle, Tally>,
  }
}

/** Credit a set gives to the best served of several groups. */
export function highestCredit(work: CountedWork, groups: readonly Group[]): number {
  return Math.max(0, ...groups.map(group => work.credits[group] ?? 0))
}

/** Sets for several groups taken as one: each set counts once, at its highest credit. */
export function tallyOnce(work: readonly CountedWork[], groups: readonly Group[], school: CountingSchool): Tally {
  return work.reduce((sum, piece) => tallyPlus(sum, tallyOf(piece.sets, highestCredit(piece, groups), school)), NO_SETS)
}
