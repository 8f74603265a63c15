import { type ClientId, type PlainDate, type Result, success } from '#core/base'
import { blockOn } from '#core/plan/block'
import { catalogueWith } from '#core/plan/catalogue'
import { contextWith } from '#core/plan/method'
import { isGirth } from '#core/body/measurements'
import { season } from '#core/follow/season'
import type { Problem } from '#shared/contracts/problem'
import type { SeasonView } from '#shared/contracts/season'
import { database } from '../db/database'
import { blocksOf } from '../db/queries/blocks'
import { clientOf } from '../db/queries/clients'
import { measurementsOf } from '../db/queries/health'
import { client } from './clients'
import type { Coach } from './signIn'

/** A client's blocks one after the other: what each asks for, and what each asks where it follows another. */
export async function clientSeason(
  coach: Coach,
  id: ClientId,
  today: PlainDate,
): Promise<Result<SeasonView, Problem>> {
  const db = database()
  const [found, own, line, measured] = await Promise.all([
    client(coach, id, { today }),
    clientOf(db, coach.id, id, { today }),
    blocksOf(db, coach.id, id),
    measurementsOf(db, coach.id, id),
  ])
  if (!found.ok) return found
  const { name, method, facts, library } = found.value
  // What is shown of a client has the emphasis of today's block in it; every block here has its own.
  const { modes: _, ...others } = facts
  const bare = { ...others, ...(own?.facts.modes && { modes: own.facts.modes }) }
  return success({
    name,
    today,
    season: season(line, contextWith(method, bare, catalogueWith(library)), today),
    current: blockOn(line, today)?.id ?? null,
    girths: measured.filter(({ kind, isPumped }) => isGirth(kind) && !isPumped).reverse(),
  })
}
