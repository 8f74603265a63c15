import {
  addDays,
  type ClientId,
  failure,
  groupedBy,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { dayOn } from '#core/follow/floor'
import { passDates, type PlanDocument } from '#core/plan/block'
import { aheadWords, floorNotices, formatDay } from '#core/words'
import type { FloorAhead } from '#shared/contracts/floor'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { database } from '../db/database'
import { clientName, plansOf } from '../db/queries/clients'
import { floorDayView } from './floor'
import { floorGround } from './floorPeople'
import type { Coach } from './signIn'

/** Days that are looked at, today the first of them. */
const DAYS_AHEAD = 7

/** Dates on which a plan may have something to do. */
function busyDates(plan: PlanDocument): ReadonlySet<PlainDate> {
  const { rotation, block } = plan
  const moved = (block?.exceptions ?? []).flatMap(one => (one.kind === 'moved' ? [one.on] : []))
  const planned = passDates(plan).flatMap(dates =>
    dates.filter((_, day) => (rotation.days[day]?.sessions.length ?? 0) > 0),
  )
  return new Set([...planned, ...moved])
}

/** What the coming days hold for a client on the floor: waits, and what is not there, before it happens. */
export async function floorAhead(
  coach: Coach,
  client: ClientId,
  today: PlainDate,
): Promise<Result<z.input<typeof FloorAhead>, Problem>> {
  const db = database()
  if (!(await clientName(db, coach.id, client)))
    return failure({ kind: 'not-found', what: 'client' })
  const [row] = await plansOf(db, coach.id, [client], today)
  const busy = row ? busyDates(row.plan) : new Set()
  const dates = Array.from({ length: DAYS_AHEAD }, (_, at) => addDays(today, at)).filter(on =>
    busy.has(on),
  )
  const ground = await floorGround(coach)
  const days = await Promise.all(dates.map(on => floorDayView(coach, on, today, ground)))
  return success({
    ahead: days.flatMap(day => {
      const own = new Map(
        day.sessions.flatMap(one => (one.client === client ? [[one.id, one.start]] : [])),
      )
      const notices = floorNotices(day, dayOn(day)).filter(({ session }) => own.has(session))
      return [...groupedBy(notices, ({ session }) => session)].map(([session, all]) => ({
        on: day.on,
        session,
        words: aheadWords(
          formatDay(day.on),
          own.get(session) ?? '',
          all.map(({ words }) => words),
        ),
      }))
    }),
  })
}
