import { randomInt, randomUUID } from 'node:crypto'
import { coachId, MS_PER_DAY, type PlainDate, type Result, success } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { coachByEmail, eraseDemosBefore } from '../db/queries/coaches'
import { insertHistories, insertStudio } from '../db/queries/studio'
import { DEMO_COACH, DEMO_GEAR, DEMO_HOUSE, DEMO_STATIONS, demoClients } from '../demo/studio'
import { writtenHistory } from '../demo/writtenHistory'
import { countAttempt, LIMITS } from './attempts'
import { type SignedIn, startedSignIn } from './signIn'

/** Seeds lie within a positive integer of 31 bits. */
const SEEDS = 2 ** 31 - 1

/**
 * Makes a studio to look around in, of one visitor and for a day: made-up clients with a past, nobody's data. It is signed in
 * to like any other, and what is done there is undone by its going.
 */
export async function enterDemo(
  from: string,
  today: PlainDate,
): Promise<Result<SignedIn, Problem>> {
  const counted = await countAttempt(LIMITS.demo, from)
  if (!counted.ok) return counted
  const db = database()
  await eraseDemosBefore(db, new Date(currentTime().getTime() - MS_PER_DAY))
  const id = coachId(randomUUID())
  const clients = demoClients(today, randomInt(SEEDS))
  const email = `${id}@demo.invalid`
  await insertStudio(
    db,
    // Nobody knows a password of it: it is entered once, from here.
    {
      id,
      ...DEMO_COACH,
      email,
      gear: DEMO_GEAR,
      stations: DEMO_STATIONS,
      house: DEMO_HOUSE,
      passwordHash: 'none',
      isDemo: true,
    },
    clients,
  )
  await insertHistories(
    db,
    id,
    clients.map(client => writtenHistory(client, today)),
  )
  const made = await coachByEmail(db, email)
  if (!made) throw new Error('a demo studio was written and is not there')
  return success(await startedSignIn(made))
}
