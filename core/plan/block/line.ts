import { addDays, daysBetween, type PlainDate } from '../../base'
import { planEnd } from './passDates'
import type { PlanDocument } from './planDocument'

/** Where a block of a client's line lies on a day. */
export type BlockState = 'behind' | 'running' | 'ahead'

export function blockState(plan: PlanDocument, today: PlainDate): BlockState {
  if (plan.startsOn > today) return 'ahead'
  return planEnd(plan) < today ? 'behind' : 'running'
}

interface Named {
  readonly id: string
  readonly plan: PlanDocument
}

/** The block a client is in on a day: the one begun last, else the first that lies ahead; undefined where there is none. */
export function blockOn<Held extends Named>(
  line: readonly Held[],
  today: PlainDate,
): Held | undefined {
  const byStart = [...line].sort((a, b) => (a.plan.startsOn < b.plan.startsOn ? -1 : 1))
  return byStart.findLast(({ plan }) => plan.startsOn <= today) ?? byStart[0]
}

/** The first block of a line that has a day in common with a plan; its own place in the line, `id`, is left out. */
export function overlapOf<Held extends Named>(
  line: readonly Held[],
  id: string | null,
  plan: PlanDocument,
): Held | undefined {
  return line.find(
    other =>
      other.id !== id &&
      other.plan.startsOn <= planEnd(plan) &&
      plan.startsOn <= planEnd(other.plan),
  )
}

/**
 * A plan cut so that it is over before a day: whole rotations only.
 *
 * Edge: undefined where not even one rotation is over by then, and where it ends before the day anyway the plan itself.
 */
export function cutBefore(plan: PlanDocument, day: PlainDate): PlanDocument | undefined {
  if (planEnd(plan) < day) return plan
  for (let passes = plan.passes - 1; passes >= 1; passes--) {
    const cut = { ...plan, passes }
    if (planEnd(cut) < day) return cut
  }
  return undefined
}

/** The first day on which a plan could be followed by another without being cut to nothing. */
export const earliestAfter = (plan: PlanDocument): PlainDate =>
  addDays(planEnd({ ...plan, passes: 1 }), 1)

/** Whole weeks from a day until a plan begins; negative where it has begun. */
export const weeksUntil = (plan: Pick<PlanDocument, 'startsOn'>, today: PlainDate): number =>
  Math.ceil(daysBetween(today, plan.startsOn) / 7)
