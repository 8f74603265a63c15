import { daysBetween, HOURS_PER_DAY, type PlainDate } from '../../base'
import { countedWorkOfDay } from '../../count/ledger'
import { directGroups, type Group } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { SECOND_SESSION_HOURS } from '../../plan/rotation'
import type { Session } from '../../plan/session'
import { impulsesOf, LASTING, RECOVERY, tauHours, tiredShare } from '../recovery'

/** A session as it was done, with its day and its place in the day. */
export interface DoneWork {
  readonly id: string
  readonly on: PlainDate
  readonly place: number
  readonly content: Session
}

/** Earlier work than this has long faded. Units: days. */
export const FADED_DAYS = 14

/** Fatigue over capacity of each muscle before a session; muscles that nothing tired are left out. */
export type Tired = ReadonlyMap<Group, number>

/**
 * How tired each muscle came to each session, by the usual hours and a twentieth that lasts for days: what trends take off a day's
 * strength.
 *
 * Shape:  by session id; sessions in any order. Units: share of capacity, 0 is fresh.
 * Edge:   a learned recovery rate is left out: it rests on the same strength, and would be counted twice.
 * Source: docs/methods.md#trend.
 */
export function tiredBefore(
  sessions: readonly DoneWork[],
  context: PlanContext,
): ReadonlyMap<string, Tired> {
  const { recoveryPace: _, ...client } = context.client
  const usual = { ...context, client }
  const ordered = [...sessions].sort((a, b) => a.on.localeCompare(b.on) || a.place - b.place)
  const first = ordered[0]?.on
  const left = new Map<Group, { fading: number; lasting: number }>()
  const found = new Map<string, Tired>()
  let before = 0
  for (const { id, on, place, content } of ordered) {
    const hour = daysBetween(first ?? on, on) * HOURS_PER_DAY + place * SECOND_SESSION_HOURS
    for (const [group, own] of left) {
      own.fading *= Math.exp(-(hour - before) / tauHours(group, usual))
      own.lasting *= Math.exp(-(hour - before) / LASTING.tauHours)
    }
    before = hour
    found.set(
      id,
      new Map(
        [...left].map(([group, { fading, lasting }]) => [
          group,
          tiredShare(fading, lasting, RECOVERY[group].capacity),
        ]),
      ),
    )
    const work = countedWorkOfDay({ role: 'open', sessions: [content] }, usual)
    for (const [group, impulse] of impulsesOf(work, usual)) {
      const own = left.get(group) ?? { fading: 0, lasting: 0 }
      left.set(group, { fading: own.fading + impulse, lasting: own.lasting + impulse })
    }
  }
  return found
}

/** How tired the muscle of an exercise came; null where the exercise is not known. */
export function tiredFor(
  exercise: string,
  tired: Tired | undefined,
  { catalogue }: PlanContext,
): number | null {
  const known = catalogue.get(exercise)
  const [lead] = known ? directGroups(known.intents[0].credits) : []
  return lead === undefined || tired === undefined ? null : (tired.get(lead) ?? 0)
}
