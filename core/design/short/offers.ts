import type { CheckInput } from '../../judge/checks'
import { mayGrow } from '../../body/joints'
import { intentFor } from '../../plan/method'
import { mainGroup } from '../../plan/minutes'
import { requireExercise } from '../../plan/catalogue'
import type { Slot } from '../../plan/session'
import type { ShortSession } from './shortSession'

/** Sets that a short session leaves out, and a later day that could take them. Days from 0, readiness in percent. */
export interface CatchUpOffer {
  readonly slot: Slot
  readonly sets: number
  readonly day: number
  readonly readiness: number
}

/** Minutes that one set more is reckoned with. */
const MINUTES_OF_A_SET = 2.5

/** Where the sets left out could be caught up: the later day, over the turn if need be, that trains the muscle, is readiest and has the minutes. */
export function catchUpOffers(
  { slots }: ShortSession,
  day: number,
  { sessions, recovery, context, plan }: CheckInput,
): readonly CatchUpOffer[] {
  return slots.flatMap(({ slot, before, after }): CatchUpOffer[] => {
    const exercise = requireExercise(context.catalogue, slot.exercise)
    const group = mainGroup(slot, exercise, context)
    const sets = before - after
    const { jointStress } = intentFor(context, exercise, slot.intent)
    const arrivals =
      group && mayGrow(jointStress, context)
        ? recovery.arrivals[group].filter(
            arrival => arrival.day !== day && hasMinutes(arrival.day, sets),
          )
        : []
    const [best] = [...arrivals].sort(
      (a, b) => b.readiness - a.readiness || later(a.day) - later(b.day),
    )
    return best ? [{ slot, sets, day: best.day, readiness: best.readiness }] : []
  })

  function later(other: number): number {
    return (other - day + plan.rotation.days.length) % plan.rotation.days.length
  }
  function hasMinutes(other: number, sets: number): boolean {
    const limit = plan.rotation.days[other]?.minuteLimit
    if (limit === undefined) return true
    const used = sessions
      .filter(session => session.day === other)
      .reduce((sum, { time }) => sum + time.seconds / 60, 0)
    return used + sets * MINUTES_OF_A_SET <= limit
  }
}
