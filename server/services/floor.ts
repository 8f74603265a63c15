import { type PlainDate, type Result, success } from '#core/base'
import { floorParts, type Stations } from '#core/follow/floor'
import type { FloorView } from '#shared/contracts/floor'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { database } from '../db/database'
import { plansOf, rosterLines } from '../db/queries/clients'
import { setStations, stationsOf } from '../db/queries/coaches'
import { roster } from './roster'
import type { Coach } from './signIn'
import { contextIn, studioSettings } from './studioSettings'

/** What everybody who trains today does, part by part, and what there is to do it on. */
export async function floor(
  coach: Coach,
  today: PlainDate,
): Promise<Result<z.input<typeof FloorView>, Problem>> {
  const db = database()
  const [{ clients }, lines, settings, stations] = await Promise.all([
    roster(coach, today, 0),
    rosterLines(db, coach.id, today),
    studioSettings(db, coach.id),
    stationsOf(db, coach.id),
  ])
  const days = new Map(
    clients.flatMap(({ id, next }) => (next?.on === today ? [[id, next.day] as const] : [])),
  )
  const methods = new Map(lines.map(({ id, method }) => [id, method]))
  const plans = await plansOf(db, coach.id, [...days.keys()], today)
  return success({
    stations,
    sessions: plans.map(({ id, plan, facts }) => {
      const context = contextIn(settings, methods.get(id) ?? '', facts)
      const sessions = plan.rotation.days[days.get(id) ?? -1]?.sessions ?? []
      return { id, parts: sessions.flatMap(session => floorParts(session, context)) }
    }),
  })
}

/** Saves how many stations there are. */
export async function saveStations(
  coach: Coach,
  { stations }: { readonly stations: Stations },
): Promise<Result<{ stations: Stations }, Problem>> {
  await setStations(database(), coach.id, stations)
  return success({ stations })
}
