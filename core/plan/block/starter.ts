import { type PlainDate, DAYS_PER_WEEK } from '../../base'
import type { AvailableDay } from '../method'
import type { RotationDay } from '../rotation'
import { PLAN_SCHEMA, type PlanDocument } from './planDocument'

const USUAL_PASSES = 6

/**
 * An empty block for a new client: a week with a training day wherever there is time for one.
 *
 * Edge: `monday` is the first day, today or the next one; the roles are full body until the coach says otherwise; days without time are rest.
 */
export function starterPlan(days: readonly AvailableDay[], monday: PlainDate): PlanDocument {
  const week = Array.from({ length: DAYS_PER_WEEK }, (_, at): RotationDay => {
    const available = days.find(({ weekday }) => weekday === at + 1)
    return available
      ? { role: 'full', minuteLimit: available.minutes, sessions: [] }
      : { role: 'rest', sessions: [] }
  })
  return {
    schema: PLAN_SCHEMA,
    title: 'First block',
    startsOn: monday,
    passes: USUAL_PASSES,
    rotation: { kind: 'places', anchor: { kind: 'weekday', startsOn: 1 }, days: week },
  }
}
