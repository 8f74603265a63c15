import { randomBytes, randomUUID } from 'node:crypto'
import { afterAll, beforeAll } from '@jest/globals'
import postgres from 'postgres'
import { type CoachId, coachId, type PlainDate, plainDate, type Result } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import { type DemoClient, demoClients } from '../demo/studio'
import { type ToldOtherwise, toldOtherwise } from '../demo/toldOtherwise'
import { writtenHistory } from '../demo/writtenHistory'
import { closeDatabase, database } from '../db/database'
import { insertHistories, insertStudio } from '../db/queries/studio'
import type { Coach } from '../services/signIn'

/** The day on which tests play that do not ask for another. */
export const TEST_DAY = plainDate('2026-04-02')

async function onServer(work: (sql: postgres.Sql) => Promise<unknown>): Promise<void> {
  const sql = postgres(new URL('/postgres', templateUrl()).href, { max: 1, onnotice: () => {} })
  try {
    await work(sql)
  } finally {
    await sql.end()
  }
}

function templateUrl(): string {
  const url = process.env.TEST_TEMPLATE_URL
  if (!url) throw new Error('TEST_TEMPLATE_URL is not set; run unit tests through `npm run unit`')
  return url
}

/** Studios of one test file have ids of their own, the same whatever ran before it. */
const FIRST_SEED = 4000
let seed = FIRST_SEED

/**
 * Gives the test file a real, migrated database of its own for as long as it runs; services and queries find it as they
 * find the server's. It is made from the template, so it is there in a moment.
 */
export function useTestDatabase(): void {
  const name = `tholepin_unit_${process.pid}_${randomBytes(4).toString('hex')}`
  beforeAll(async () => {
    // Test files share their modules: work that an earlier one left behind may have opened its pool again.
    await closeDatabase()
    const template = new URL(templateUrl()).pathname.slice(1)
    await onServer(sql => sql`create database ${sql(name)} template ${sql(template)}`)
    process.env.DATABASE_URL = new URL(`/${name}`, templateUrl()).href
    seed = FIRST_SEED
  })
  afterAll(async () => {
    await closeDatabase()
    await onServer(sql => sql`drop database if exists ${sql(name)} with (force)`)
  })
}

/** A coach of a test's own with the demo's clients, as services see them. */
export interface UnitStudio {
  readonly coach: Coach
  readonly today: PlainDate
  readonly clients: readonly DemoClient[]
  /** The client whose name begins so. */
  readonly client: (name: string) => DemoClient
}

/** Writes a studio as the demo has it on a day; with the log of the clients named, or of nobody. */
export async function unitStudio({
  logsOf = [],
  today = TEST_DAY,
  stories = {},
}: {
  readonly logsOf?: readonly string[]
  readonly today?: PlainDate
  readonly stories?: ToldOtherwise
} = {}): Promise<UnitStudio> {
  const clients = demoClients(today, (seed += 1))
  const id: CoachId = coachId(randomUUID())
  const email = `coach-${randomBytes(6).toString('hex')}@skerrylane.example`
  const coach = { id, name: 'Test Coach', studio: 'Test studio' }
  await insertStudio(database(), { ...coach, email, passwordHash: 'none' }, clients)
  const logged = clients.filter(({ name }) => logsOf.some(who => name.startsWith(who)))
  await insertHistories(
    database(),
    id,
    logged.map(client => {
      const [told, weeks] = toldOtherwise(client, stories)
      return writtenHistory(told, today, weeks)
    }),
  )
  const client = (name: string) => {
    const found = clients.find(candidate => candidate.name.startsWith(name))
    if (!found) throw new Error(`The demo has no client whose name begins with ${name}`)
    return found
  }
  return { coach, today, clients, client }
}

/** A coach who owns nothing of a studio: whatever she names of it must be absent. */
export async function stranger(): Promise<Coach> {
  const id: CoachId = coachId(randomUUID())
  const coach = { id, name: 'Other Coach', studio: 'Another room' }
  const email = `other-${randomBytes(6).toString('hex')}@skerrylane.example`
  await insertStudio(database(), { ...coach, email, passwordHash: 'none' }, [])
  return coach
}

/** What a service gave. Errors: throws with its problem where it gave none. */
export function valueOf<Value>(result: Result<Value, Problem>): Value {
  if (!result.ok) throw new Error(`refused: ${JSON.stringify(result.error)}`)
  return result.value
}

/** Why a service gave nothing. Errors: throws where it gave something. */
export function problemOf<Value>(result: Result<Value, Problem>): Problem {
  if (result.ok) throw new Error(`not refused: ${JSON.stringify(result.value)}`)
  return result.error
}
