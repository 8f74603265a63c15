import { addDays, DAYS_PER_WEEK, remembered } from '../../base'
import type { CarriedSession, PlanContext } from '../../plan/method'
import { GROUPS, JOINTS } from '../../plan/catalogue'
import { type PlanDocument, factsInBlock } from '../../plan/block'
import { expandedBlock } from './expand'
import { heldSessions } from './held'

/** Fatigue of earlier work has faded. Source: docs/methods.md#season. */
const CARRIED_DAYS = 2 * DAYS_PER_WEEK

/** A block as it is read by itself: with its own emphasis, and nothing carried in. */
export const ownContext = remembered((plan: PlanDocument, context: PlanContext): PlanContext => {
  const { carried: _, ...client } = context.client
  return { ...context, client: factsInBlock(client, plan) }
})

/**
 * What the sessions of a block leave in the body for one that begins after it, as planned.
 *
 * Shape:  sessions of the last two weeks before a day, in the order of their days; empty where the block ended earlier.
 * Units:  impulses as recovery reads them, joints in points.
 * Source: docs/methods.md#season.
 */
export function sessionsCarried(
  before: PlanDocument,
  into: PlanDocument,
  context: PlanContext,
): readonly CarriedSession[] {
  const own = ownContext(before, context)
  const since = addDays(into.startsOn, -CARRIED_DAYS)
  return heldSessions(
    expandedBlock(before, own).passes.filter(({ to }) => to >= since),
    before.startsOn,
    own,
  )
    .filter(({ session: { on } }) => on >= since && on < into.startsOn)
    .map(({ session: { on, place }, impulses, joints }) => ({
      on,
      place,
      impulses: Object.fromEntries(
        GROUPS.flatMap(group => {
          const impulse = impulses.get(group) ?? 0
          return impulse > 0 ? [[group, impulse]] : []
        }),
      ),
      joints: Object.fromEntries(
        JOINTS.flatMap(joint => (joints[joint] > 0 ? [[joint, joints[joint]]] : [])),
      ),
    }))
}
