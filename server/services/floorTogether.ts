import { failure, type PlainDate, type Result, success } from '#core/base'
import { arrangedTogether, type FloorChange, hoursOf, stationsOn } from '#core/follow/floor'
import { arrangementWords, remedyTitle } from '#core/words'
import type { TogetherBody, TogetherView } from '#shared/contracts/floor'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { database } from '../db/database'
import { tellChange } from '../db/queries/changes'
import { gone, madeOnDay } from './floorChanges'
import { floorPeople } from './floorPeople'
import { isThere, namesIn, NO_SESSION } from './floorRemedies'
import type { Coach } from './signIn'

/**
 * Sessions of a group side by side: starts staggered and exercises turned; told first, then done.
 *
 * Errors: a session that is not there; the day over.
 */
export async function together(
  coach: Coach,
  { on, sessions, isTaken }: z.output<typeof TogetherBody>,
  today: PlainDate,
): Promise<Result<z.input<typeof TogetherView>, Problem>> {
  const floor = await floorPeople(coach, on, today)
  if (!sessions.every(session => isThere(floor, session))) return failure(NO_SESSION)
  if (on < today) return failure(gone)
  const arrangement = arrangedTogether(
    new Set(sessions),
    floor.people.map(({ guest }) => guest),
    {
      stations: stationsOn(floor.stations, floor.house, on),
      hours: hoursOf(floor.house),
      coaches: floor.house.coaches,
    },
  )
  const names = namesIn(floor)
  const { changes } = arrangement
  const lines = changes.map(change => remedyTitle({ change }, names))
  if (isTaken) await tellChange(database(), coach.id, lines.join('; '))
  if (isTaken)
    for (const change of changes) {
      const done = await changedOn(coach, change, { on, today })
      if (!done.ok) return done
    }
  return success({ summary: arrangementWords(arrangement), lines })
}

/** Makes one change of a day, on the day as it is by then. */
async function changedOn(
  coach: Coach,
  change: FloorChange,
  { on, today }: { readonly on: PlainDate; readonly today: PlainDate },
): Promise<Result<unknown, Problem>> {
  const floor = await floorPeople(coach, on, today)
  return madeOnDay(coach, floor, change, { on, isAlways: false, today })
}
