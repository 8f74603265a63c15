import { type PlainDate, type Result, success } from '#core/base'
import { clockOf, floorParts, type House, type Stations } from '#core/follow/floor'
import { requireExercise } from '#core/plan/catalogue'
import type { PlanContext } from '#core/plan/method'
import type { Session } from '#core/plan/session'
import type { FloorView } from '#shared/contracts/floor'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { database } from '../db/database'
import { setFloor } from '../db/queries/floor'
import { type FloorGround, type FloorPerson, floorPeople } from './floorPeople'
import type { Coach } from './signIn'

/** Parts with what is done in them. */
function partsOf(content: Session, context: PlanContext) {
  return floorParts(content, context).map(({ grouping, ...part }) => ({
    ...part,
    what: (content.groupings.find(({ id }) => id === grouping)?.slots ?? [])
      .map(({ exercise }) => requireExercise(context.catalogue, exercise).name)
      .join(', '),
  }))
}

const sessionView = ({ client, name, what, minuteLimit, guest }: FloorPerson) => ({
  id: guest.id,
  client,
  name,
  what,
  minuteLimit,
  start: clockOf(guest.start),
  usual: clockOf(guest.usual),
  isBegun: guest.isBegun,
  parts: partsOf(guest.content, guest.context),
})

/** A day of the floor, as one function of everybody's plans. */
export async function floorDayView(
  coach: Coach,
  on: PlainDate,
  today: PlainDate,
  ground?: FloorGround,
) {
  const { people, stations, house, gear } = await floorPeople(coach, on, today, ground)
  return { on, stations, house, gear, sessions: people.map(sessionView) }
}

/** What everybody who trains on a date does, part by part, and what there is to do it on. */
export async function floor(
  coach: Coach,
  on: PlainDate,
  today: PlainDate,
): Promise<Result<z.input<typeof FloorView>, Problem>> {
  return success(await floorDayView(coach, on, today))
}

/** Saves how many stations there are, the hours, who helps, and closed days. */
export async function saveStudio(
  coach: Coach,
  studio: { readonly stations: Stations; readonly house: House },
): Promise<Result<{ stations: Stations; house: House }, Problem>> {
  await setFloor(database(), coach.id, studio)
  return success(studio)
}
