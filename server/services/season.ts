import { type ClientId, type PlainDate, type Result, success } from '#core/base'
import { blockOn } from '#core/plan/block'
import { catalogueWith } from '#core/plan/catalogue'
import { contextWith, type PlanContext } from '#core/plan/method'
import { isGirth } from '#core/body/measurements'
import { season } from '#core/follow/season'
import type { Problem } from '#shared/contracts/problem'
import type { SeasonView } from '#shared/contracts/season'
import { database } from '../db/database'
import { readOnce } from '../db/documents'
import { blocksOf } from '../db/queries/blocks'
import { clientOf } from '../db/queries/clients'
import { measurementsOf } from '../db/queries/health'
import { client } from './clients'
import type { Coach } from './signIn'

/** The same facts are one object, so that what was judged by them is found again. */
const readSame = readOnce((facts: Parameters<typeof contextWith>[1]) => facts)

/** What the blocks of a client are read by: without the emphasis of any of them. */
export async function seasonContext(
  coach: Coach,
  id: ClientId,
  today: PlainDate,
): Promise<Result<PlanContext, Problem>> {
  const [found, own] = await Promise.all([
    client(coach, id, { today }),
    clientOf(database(), coach.id, id, { today }),
  ])
  if (!found.ok) return found
  const { method, facts, library } = found.value
  // What is shown of a client has the emphasis of today's block in it; every block here has its own.
  // What the log says of minutes and of exercises done changes nothing here, and would have everything judged anew.
  const { modes: _, phase: _phase, times: _times, doneExercises: _done, ...others } = facts
  const bare = readSame({ ...others, ...(own?.facts.modes && { modes: own.facts.modes }) })
  return success(contextWith(method, bare, catalogueWith(library)))
}

/** A client's blocks one after the other: what each asks for, and what each asks where it follows another. */
export async function clientSeason(
  coach: Coach,
  id: ClientId,
  today: PlainDate,
): Promise<Result<SeasonView, Problem>> {
  const db = database()
  const [own, context, line, measured] = await Promise.all([
    clientOf(db, coach.id, id, { today }),
    seasonContext(coach, id, today),
    blocksOf(db, coach.id, id),
    measurementsOf(db, coach.id, id),
  ])
  if (!context.ok) return context
  return success({
    name: own?.name ?? '',
    today,
    season: season(line, context.value, today),
    current: blockOn(line, today)?.id ?? null,
    girths: measured.filter(({ kind, isPumped }) => isGirth(kind) && !isPumped).reverse(),
  })
}
