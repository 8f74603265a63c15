import type { ExerciseId, SlotId } from '../../base'
import { requireExercise } from '../../plan/catalogue'
import { type FloorChange, type FloorGuest, guestAfter } from './guests'
import { floorParts } from './parts'
import { type Cost, standInsAt } from './remedyCosts'
import { type StationKind, stationsFor } from './stations'

/** An exercise that another stands in for. */
export interface StandIn {
  readonly change: Extract<FloorChange, { kind: 'stand_in' }>
  readonly from: ExerciseId
  readonly to: ExerciseId
  readonly cost: Cost
}

/** A session done without a station. */
export interface WithoutStation {
  readonly guest: FloorGuest
  readonly standIns: readonly StandIn[]
  /** Exercises for which nothing stands in: the coach has to decide. */
  readonly stuck: readonly ExerciseId[]
}

/**
 * A session with the likest stand-in wherever it needs a station that is not there.
 *
 * Edge: what has begun is left as it is; what nothing stands in for is told and left as it is, too.
 */
export function withoutStation(guest: FloorGuest, station: StationKind): WithoutStation {
  if (guest.isBegun) return { guest, standIns: [], stuck: [] }
  const parts = floorParts(guest.content, guest.context)
  let after = guest
  const standIns: StandIn[] = []
  const stuck: ExerciseId[] = []
  parts.forEach((part, at) => {
    if (!part.needs.includes(station)) return
    for (const { slot, exercise } of needing(after, at, station)) {
      const found = standInsAt(after, at, station).find(({ change }) => isAt(change, slot))
      if (!found || found.change.kind !== 'stand_in') {
        stuck.push(exercise)
        continue
      }
      standIns.push({
        change: found.change,
        from: exercise,
        to: found.change.exercise,
        cost: found.cost,
      })
      after = guestAfter(after, found.change)
    }
  })
  return { guest: after, standIns, stuck }
}

const isAt = (change: FloorChange, slot: SlotId) =>
  change.kind === 'stand_in' && change.slot === slot

/** Places of a part whose exercise needs the station. */
function needing({ content, context }: FloorGuest, part: number, station: StationKind) {
  const id = floorParts(content, context)[part]?.grouping
  const slots = content.groupings.find(held => held.id === id)?.slots ?? []
  return slots
    .filter(({ exercise }) =>
      stationsFor(requireExercise(context.catalogue, exercise).equipment).includes(station),
    )
    .map(({ id: slot, exercise }) => ({ slot, exercise }))
}
