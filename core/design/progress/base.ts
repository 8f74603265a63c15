import { DAYS_PER_WEEK, daysBetween, type PlainDate } from '../../base'
import { passDates, type PlanDocument, type PlanPlace } from '../../plan/block'
import { ARM_GROUPS, requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import { mainGroup } from '../../plan/minutes'
import { type Session, sessionSlots, type Slot } from '../../plan/session'

/* The base: weeks at a block's beginning without single-joint work for the arms. Source: docs/methods.md#phases. */

/** Passes that begin before the base is over; the last pass of a block is never one. */
export function basePassesOf(plan: PlanDocument, dates: readonly (readonly PlainDate[])[]): number {
  const days = (plan.block?.base?.weeks ?? 0) * DAYS_PER_WEEK
  const first = dates.findIndex(([from]) => from && daysBetween(plan.startsOn, from) >= days)
  return first < 0 ? Math.max(0, plan.passes - 1) : first
}

/** Single-joint work for the arms, which a base leaves out; what is held fixed stays. */
export function waitsForBase(slot: Slot, context: PlanContext): boolean {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const main = mainGroup(slot, exercise, context)
  return exercise.kind === 'isolation' && !slot.isHeld && ARM_GROUPS.some(arm => arm === main)
}

/** Which sessions of a plan are not held, since all their work comes in after the base. */
export function waitingInBase(
  plan: PlanDocument,
  context: PlanContext,
): (at: PlanPlace) => boolean {
  const basePasses = basePassesOf(plan, passDates(plan))
  if (basePasses === 0) return () => false
  const empty = new Set(
    plan.rotation.days.flatMap(({ sessions }, day) =>
      sessions.flatMap((session, place) => {
        const slots = sessionSlots(session)
        const waits = slots.length > 0 && slots.every(slot => waitsForBase(slot, context))
        return waits ? [`${day} ${place}`] : []
      }),
    ),
  )
  return ({ pass, day, place }) => pass < basePasses && empty.has(`${day} ${place}`)
}

/** Nothing of it is left to do. */
export const isEmptied = (session: Session, content: Session): boolean =>
  content.groupings.length === 0 && session.groupings.length > 0
