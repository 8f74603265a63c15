import { recordOf } from '../../base'
import { GROUPS, type Group, MUSCLES, type Muscle } from '../../plan/catalogue'
import type { PlanDocument } from '../../plan/block'
import type { PlanContext } from '../../plan/method'
import { type CalendarWeek, calendarWeeks, dailySets } from './dated'
import { rotationLedger } from './rotationLedger'
import { type SpanLedger, type Tally, tallyTimes } from './tally'

/** A whole block: every pass of the rotation, and the calendar weeks it falls in. */
export interface BlockLedger {
  readonly total: SpanLedger
  readonly weeks: Readonly<Record<Group, readonly CalendarWeek[]>>
}

/**
 * Counted sets of a block, all passes together and by calendar week.
 *
 * Units: sets under the method's school; in the school that weighs sets before the session curve.
 */
export function blockLedger(
  plan: PlanDocument,
  context: PlanContext,
  weekStart = 1,
  ledger = rotationLedger(plan.rotation, context),
): BlockLedger {
  const scaled = <Key extends string>(
    keys: readonly Key[],
    tallies: Readonly<Record<Key, Tally>>,
  ) =>
    Object.fromEntries(keys.map(key => [key, tallyTimes(tallies[key], plan.passes)])) as Record<
      Key,
      Tally
    >
  return {
    total: {
      groups: scaled<Group>(GROUPS, ledger.total.groups),
      muscles: scaled<Muscle>(MUSCLES, ledger.total.muscles),
    },
    weeks: recordOf(GROUPS, group =>
      calendarWeeks(
        {
          dailySets: dailySets(ledger.days, group),
          startsOn: plan.startsOn,
          lengthDays: plan.passes * plan.rotation.days.length,
        },
        weekStart,
      ),
    ),
  }
}
