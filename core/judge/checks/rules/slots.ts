import type { FoundBy } from '../finding'
import type { CheckInput, PlacedSlot, SessionView } from '../input'

/** Where an exercise of a session is. */
export const placeOf = ({ day, session }: SessionView, { slot }: PlacedSlot) => ({
  day,
  session,
  slot: slot.id,
})

/** What is found looking at every exercise of every session. */
export function everySlot(
  input: CheckInput,
  find: (placed: PlacedSlot, session: SessionView) => readonly FoundBy[],
): readonly FoundBy[] {
  return input.sessions.flatMap(session => session.slots.flatMap(placed => find(placed, session)))
}
