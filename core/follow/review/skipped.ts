import { DAYS_PER_WEEK, daysBetween, isoWeekday, type PlainDate } from '../../base'
import { directGroups, type Group, GROUPS, requireExercise } from '../../plan/catalogue'
import { intentFor, type PlanContext } from '../../plan/method'
import { plannedSets } from '../../plan/scheme'
import type { Grouping, Session } from '../../plan/session'
import type { LoggedSet } from '../../body/log'

/** A session that is behind, as it was planned and as it was logged. */
export interface PastSession {
  readonly on: PlainDate
  readonly name: string
  readonly content: Session
  readonly sets: readonly LoggedSet[]
  /** Let go by the coach, or left out for something else: it says nothing of habits. */
  readonly isExcused: boolean
}

/** What a client tends to leave out; `times` of `of`, beside the share of everything else. */
export type Habit = {
  readonly times: number
  readonly of: number
  readonly othersShare: number
  /** A session that has it, for the remedy. */
  readonly session: string
} & (
  | { readonly kind: 'last' }
  | { readonly kind: 'group'; readonly group: Group }
  | { readonly kind: 'weekday'; readonly weekday: number }
)

/** Numbers of what counts as a habit; rules of thumb. Source: docs/methods.md#what-is-skipped. */
export const HABIT = {
  weeks: 4,
  leastTimes: 3,
  leastOf: 4,
  share: 0.4,
  /** Chance of so many or more, were it left out as often as the rest. */
  chance: 0.01,
} as const

/** Something that was planned and done or left out, by what could be behind it. */
interface Planned {
  readonly isSkipped: boolean
  readonly session: string
}

/** Chance of `k` or more of `n` marked ones among `K` of `N`, drawn without putting back. */
export function chanceOfAtLeast(k: number, n: number, K: number, N: number): number {
  const logOf: number[] = [0]
  for (let at = 1; at <= N; at += 1) logOf.push(logOf[at - 1]! + Math.log(at))
  const choose = (of: number, some: number) =>
    some < 0 || some > of ? -Infinity : logOf[of]! - logOf[some]! - logOf[of - some]!
  let sum = 0
  for (let at = k; at <= Math.min(n, K); at += 1)
    sum += Math.exp(choose(K, at) + choose(N - K, n - at) - choose(N, n))
  return sum
}

type Found = Pick<Habit, 'times' | 'of' | 'othersShare' | 'session'>

/** Whether some of what was planned is left out clearly more often than the rest. */
function habitIn(own: readonly Planned[], others: readonly Planned[]): Found | undefined {
  const skipped = own.filter(({ isSkipped }) => isSkipped)
  const otherSkipped = others.filter(({ isSkipped }) => isSkipped).length
  if (
    own.length < HABIT.leastOf ||
    skipped.length < HABIT.leastTimes ||
    others.length < HABIT.leastOf ||
    skipped.length / own.length < HABIT.share
  )
    return undefined
  const chance = chanceOfAtLeast(
    skipped.length,
    own.length,
    skipped.length + otherSkipped,
    own.length + others.length,
  )
  return chance > HABIT.chance
    ? undefined
    : {
        times: skipped.length,
        of: own.length,
        othersShare: otherSkipped / others.length,
        session: skipped.at(-1)!.session,
      }
}

const isBegun = ({ sets }: PastSession) => sets.some(({ role }) => role !== 'warmup')

/** A grouping nobody did a set of; another exercise in its place counts as done. */
function isLeftOut({ slots }: Grouping, { sets }: PastSession): boolean {
  const ids = new Set(slots.map(({ id }) => id as string))
  return !sets.some(({ slot, role }) => role !== 'warmup' && slot !== null && ids.has(slot))
}

const groupsOf = ({ slots }: Grouping, context: PlanContext): readonly Group[] =>
  slots.flatMap(slot =>
    directGroups(
      slot.credits ??
        intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).credits,
    ),
  )

interface PlannedGrouping extends Planned {
  readonly isLast: boolean
  readonly groups: readonly Group[]
}

function plannedGroupings(past: readonly PastSession[], context: PlanContext) {
  return past.filter(isBegun).flatMap(session => {
    // What is done only under a condition is nobody's to leave out.
    const groupings = session.content.groupings.filter(
      ({ slots, onlyIf }) =>
        onlyIf === undefined && slots.some(({ scheme }) => plannedSets(scheme) > 0),
    )
    return groupings.map((grouping, at): PlannedGrouping => ({
      isSkipped: isLeftOut(grouping, session),
      session: session.name,
      isLast: groupings.length > 1 && at === groupings.length - 1,
      groups: groupsOf(grouping, context),
    }))
  })
}

/** Whole sessions that nothing was done of, by their weekday. */
function weekdayHabits(past: readonly PastSession[]): readonly Habit[] {
  const planned = past.map(session => ({
    weekday: isoWeekday(session.on),
    isSkipped: !isBegun(session),
    session: session.name,
  }))
  return [1, 2, 3, 4, 5, 6, 7].flatMap((weekday): Habit[] => {
    const found = habitIn(
      planned.filter(one => one.weekday === weekday),
      planned.filter(one => one.weekday !== weekday),
    )
    return found ? [{ kind: 'weekday', weekday, ...found }] : []
  })
}

/**
 * What a client tends to skip: a weekday, the last thing of a session, a muscle; told once, by what explains it.
 *
 * Shape:  nothing under four weeks; a muscle only where it is left out before the last place too.
 * Units:  sessions for weekdays, else exercises and pairs of sessions that were begun.
 * Edge:   excused sessions do not count; another exercise in its place does as done.
 * Source: docs/methods.md#what-is-skipped.
 */
export function skippedHabits(
  sessions: readonly PastSession[],
  context: PlanContext,
): readonly Habit[] {
  const past = sessions.filter(({ isExcused }) => !isExcused)
  const days = past.map(({ on }) => on).sort()
  const [first, last] = [days[0], days.at(-1)]
  if (!first || !last || daysBetween(first, last) < (HABIT.weeks - 1) * DAYS_PER_WEEK) return []
  const groupings = plannedGroupings(past, context)
  const ofLast = habitIn(
    groupings.filter(({ isLast }) => isLast),
    groupings.filter(({ isLast }) => !isLast),
  )
  // Where the last place is skipped, a muscle is asked about elsewhere only: the place would explain it.
  const rest = ofLast ? groupings.filter(({ isLast }) => !isLast) : groupings
  const byGroup = GROUPS.flatMap((group): Habit[] => {
    const found = habitIn(
      rest.filter(({ groups }) => groups.includes(group)),
      rest.filter(({ groups }) => !groups.includes(group)),
    )
    return found ? [{ kind: 'group', group, ...found }] : []
  })
  return [
    ...weekdayHabits(past),
    ...(ofLast ? [{ kind: 'last' as const, ...ofLast }] : []),
    ...byGroup,
  ]
}
