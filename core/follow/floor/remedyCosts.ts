import { exerciseId } from '../../base'
import { type SwapChoice, stationsOf, swapChoices, swapEdits } from '../../design/suggest'
import { type CheckInput, checkInput, findingKey, findingsOf } from '../../judge/checks'
import { withinSession, type GroupWithin } from '../../judge/within-session'
import { type Group, requireExercise } from '../../plan/catalogue'
import { type FloorChange, type FloorGuest, guestAfter, planOnDay } from './guests'
import { floorParts } from './parts'
import { type StationKind, stationsFor } from './stations'

/** What a remedy costs the client besides time. */
export interface Cost {
  /** The muscle that comes least ready to a set it came readier to before. Units: percent. */
  readonly readiness: {
    readonly group: Group
    readonly before: number
    readonly after: number
  } | null
  readonly credits: SwapChoice['credits']
  readonly stress: SwapChoice['stress']
}
export const NO_COST: Cost = { readiness: null, credits: [], stress: [] }

const inputOf = (guest: FloorGuest): CheckInput => checkInput(planOnDay(guest), guest.context)
const viewIn = ({ sessions }: CheckInput, { day, place }: FloorGuest) =>
  sessions.find(view => view.day === day && view.session === place)

/** What the checks find in a plan, rules of order among it; what a method leaves alone is not there. */
const foundIn = (input: CheckInput) => new Set(findingsOf(input).map(findingKey))

/** How ready each exercise's muscles come to its first set, by slot and muscle. */
function readyBefore(
  groups: readonly GroupWithin[],
): ReadonlyMap<string, readonly [Group, number]> {
  const found = new Map<string, readonly [Group, number]>()
  for (const { group, startReadiness, sets } of groups)
    sets.forEach(({ slot, credit }, at) => {
      const key = `${slot} ${group}`
      if (credit >= 1 && !found.has(key))
        found.set(key, [group, sets[at - 1]?.readiness ?? startReadiness])
    })
  return found
}

/** What a change of order costs; null where a check finds something that it did not before. */
export function turnCost(guest: FloorGuest, change: FloorChange): Cost | null {
  const after = guestAfter(guest, change)
  const [was, is] = [inputOf(guest), inputOf(after)]
  const known = foundIn(was)
  if ([...foundIn(is)].some(key => !known.has(key))) return null
  const [wasView, isView] = [viewIn(was, guest), viewIn(is, after)]
  if (!wasView || !isView) return null
  const before = readyBefore(withinSession(wasView, was).groups)
  const drops = [...readyBefore(withinSession(isView, is).groups)].flatMap(
    ([key, [group, ready]]) => {
      const then = before.get(key)?.[1] ?? ready
      return ready < then ? [{ group, before: then, after: ready }] : []
    },
  )
  const [worst = null] = drops.sort((a, b) => b.before - b.after - (a.before - a.after))
  return { ...NO_COST, readiness: worst }
}

/** Stand-ins that are simulated for one place: the likest. */
const MOST_TRIED = 3

/** Other exercises for the places of a part that need a station, on none of the kind; the likest first. */
export function standInsAt(
  guest: FloorGuest,
  part: number,
  station: StationKind,
): readonly { readonly change: FloorChange; readonly cost: Cost }[] {
  const input = inputOf(guest)
  const view = viewIn(input, guest)
  const id = floorParts(guest.content, guest.context)[part]?.grouping
  const grouping = guest.content.groupings.find(held => held.id === id)
  if (!view || !grouping) return []
  const { catalogue } = guest.context
  return grouping.slots.flatMap(slot => {
    const exercise = requireExercise(catalogue, slot.exercise)
    const [taken] = stationsOf(exercise).filter(piece => stationsFor([piece]).includes(station))
    if (!taken) return []
    return swapChoices(input, view, { slot: slot.id, reason: 'taken', taken })
      .filter(choice => !stationsFor(choice.exercise.equipment).includes(station))
      .slice(0, MOST_TRIED)
      .map(choice => ({
        change: {
          kind: 'stand_in' as const,
          session: guest.id,
          slot: slot.id,
          exercise: exerciseId(choice.exercise.id),
          edits: swapEdits(slot.id, choice),
        },
        cost: { ...NO_COST, credits: choice.credits, stress: choice.stress },
      }))
  })
}
