import { addDays, DAYS_PER_WEEK, daysBetween, type PlainDate } from '../../base'
import type { DatedValue, LoggedSet } from '../../body/log'
import { datedTrend, TREND } from '../../body/trend'
import { type Trial, trialEnd } from '../../plan/block'
import { type Catalogue, directGroups, type Group, type Joint } from '../../plan/catalogue'
import { isWorkingSet } from './outcome'

/** What the log knows of the weeks of a trial and of those before it. */
export interface TriedLog {
  /** Estimates that are reckoned with. */
  readonly values: readonly DatedValue[]
  readonly sets: readonly (LoggedSet & { readonly on: PlainDate })[]
  readonly pains: readonly {
    readonly joint: Joint
    readonly score: number
    readonly on: PlainDate
  }[]
}

/** A stretch of the log of one muscle. Units: slope as a share a week, direct sets a week. */
export interface Stretch {
  readonly sessions: number
  readonly slope: number
  /** Null where nothing is known. */
  readonly error: number | null
  readonly setsPerWeek: number
  /** Reports of three and more about a joint that its exercises load. */
  readonly pains: number
}

/** A muscle in a trial, beside as long before it (98 days at most). */
export interface TriedMuscle {
  readonly group: Group
  readonly before: Stretch
  readonly during: Stretch
  /** How surely it rises faster in the trial, or slower; unclear where chance would do, or too little is known. */
  readonly verdict: 'faster' | 'slower' | 'unclear' | 'too_early'
}

export interface TriedTrial {
  readonly trial: Trial
  readonly until: PlainDate
  readonly isOver: boolean
  /** Whole weeks of it that are behind. */
  readonly weeksDone: number
  /** Told when it is over. */
  readonly muscles: readonly TriedMuscle[]
}

const SORE_FROM = 3
/** One look, at its end: one in forty on either side. */
const SURE = 1.96

function stretchOf(
  group: Group,
  [from, to]: readonly [PlainDate, PlainDate],
  log: TriedLog,
  catalogue: Catalogue,
): Stretch {
  const within = ({ on }: { readonly on: PlainDate }) => on >= from && on <= to
  const trains = ({ exercise }: { readonly exercise: string }) =>
    directGroups(catalogue.get(exercise)?.intents[0].credits ?? {}).includes(group)
  const sets = log.sets.filter(set => isWorkingSet(set) && within(set) && trains(set))
  // A log that begins within the stretch says nothing of the days before it.
  const first = log.sets.map(({ on }) => on).sort()[0] ?? from
  const begun = first > from && first <= to ? first : from
  const loads = (joint: Joint) =>
    sets.some(({ exercise }) => (catalogue.get(exercise)?.intents[0].jointStress[joint] ?? 0) > 0)
  const values = log.values.filter(value => within(value) && trains(value))
  const { slope, error, count } = datedTrend(values)
  return {
    sessions: count,
    slope,
    error: Number.isFinite(error) && count > 0 ? error : null,
    setsPerWeek: (sets.length * DAYS_PER_WEEK) / (daysBetween(begun, to) + 1),
    pains: log.pains.filter(pain => within(pain) && pain.score >= SORE_FROM && loads(pain.joint))
      .length,
  }
}

function verdictOf(before: Stretch, during: Stretch): TriedMuscle['verdict'] {
  const isEnough = ({ sessions, error }: Stretch) => sessions >= TREND.leastDays && error !== null
  if (!isEnough(before) || !isEnough(during)) return 'too_early'
  const z = (during.slope - before.slope) / Math.hypot(before.error ?? 0, during.error ?? 0)
  return z >= SURE ? 'faster' : z <= -SURE ? 'slower' : 'unclear'
}

/**
 * What came of a trial, muscle by muscle, beside the weeks before it; nothing of it before it is over.
 *
 * Units:  weeks; slopes as shares a week; direct sets a week as done.
 * Source: docs/methods.md#trials.
 */
export function triedTrial(
  trial: Trial,
  log: TriedLog,
  catalogue: Catalogue,
  today: PlainDate,
): TriedTrial {
  const until = trialEnd(trial)
  const isOver = today > until
  const weeksDone = Math.min(
    trial.weeks,
    Math.max(0, Math.floor((daysBetween(trial.from, today) + 1) / DAYS_PER_WEEK)),
  )
  const ago = addDays(trial.from, -TREND.windowDays)
  const muscles = trial.groups.map((group): TriedMuscle => {
    const before = stretchOf(group, [ago, addDays(trial.from, -1)], log, catalogue)
    const during = stretchOf(group, [trial.from, until], log, catalogue)
    return { group, before, during, verdict: verdictOf(before, during) }
  })
  return { trial, until, isOver, weeksDone, muscles: isOver ? muscles : [] }
}
