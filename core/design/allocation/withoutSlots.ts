import type { SlotId } from '../../base'
import type { PlanDocument } from '../../plan/block'
import type { Grouping } from '../../plan/session'

/** A plan without some of its exercises; partners that are left stand by themselves. */
export function withoutSlots(plan: PlanDocument, gone: ReadonlySet<SlotId>): PlanDocument {
  if (gone.size === 0) return plan
  const kept = (grouping: Grouping): readonly Grouping[] => {
    const [first, ...others] = grouping.slots.filter(({ id }) => !gone.has(id))
    if (!first) return []
    const kind = others.length === 0 ? 'straight' : grouping.kind
    return [{ ...grouping, kind, slots: [first, ...others] }]
  }
  const days = plan.rotation.days.map(day => ({
    ...day,
    sessions: day.sessions.map(session => ({
      ...session,
      groupings: session.groupings.flatMap(kept),
    })),
  }))
  return { ...plan, rotation: { ...plan.rotation, days } }
}
