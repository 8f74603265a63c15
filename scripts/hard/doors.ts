// Every route with the wrong asker, and with bodies nobody should send.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import { type APIRequestContext, type APIResponse, request } from '@playwright/test'
import type { z } from 'zod'
import {
  BODIES,
  idsIn,
  OPEN,
  owned,
  type Owned,
  pathWith,
  type RouteFile,
  routes,
} from '../../e2e/support/routes'
import { connectedDatabase } from '../../server/db/database'
import { bodiesOf, shifted, spoilt } from './bodies'

const ROOT = join(import.meta.dirname, '../..')
const BASE_URL = process.env.BASE_URL ?? ''

export type Row = Readonly<Record<string, number | string>>

const context = (headers: Readonly<Record<string, string>> = {}) =>
  request.newContext({ baseURL: BASE_URL, extraHTTPHeaders: headers })

async function signedIn({ studio }: Owned): Promise<APIRequestContext> {
  const asking = await context()
  const { email, password } = studio
  const answer = await asking.post('/api/sign-in', { data: { email, password } })
  if (!answer.ok()) throw new Error(`signing in: ${answer.status()}`)
  return asking
}

/** A key as a client's phone has it. */
async function phoneKey(coach: APIRequestContext, { ids }: Owned): Promise<string> {
  const link = await coach.post(`/api/clients/${ids.clientId}/link`, {
    data: { pin: null, days: null },
  })
  const { token } = (await link.json()) as { token: string }
  const opened = await coach.post('/api/sheet/open', { data: { token, pin: null } })
  return ((await opened.json()) as { key: string }).key
}

/** Everything a coach owns as one sum a table, so that a change anywhere shows. */
async function sumsOf(email: string): Promise<Readonly<Record<string, string>>> {
  const { client, close } = connectedDatabase(process.env.DATABASE_URL ?? '')
  const tables = await client<{ name: string }[]>`
    select table_name as name from information_schema.columns
    where table_schema = 'public' and column_name = 'coach_id' order by 1`
  const sums: Record<string, string> = {}
  for (const { name } of tables) {
    const [row] = await client<{ sum: string | null }[]>`
      select md5(string_agg(t::text, '' order by t::text)) as sum from ${client(name)} t
      where coach_id = (select id from coaches where email = ${email})`
    sums[name] = row?.sum ?? ''
  }
  await close()
  return sums
}

const changedIn = (
  before: Readonly<Record<string, string>>,
  after: Readonly<Record<string, string>>,
) => Object.keys(after).filter(name => before[name] !== after[name])

/** Who should be let into no route of a coach's, and what each is told. */
async function wrongAskers(theirs: Owned): Promise<
  readonly {
    readonly who: string
    readonly asking: APIRequestContext
    readonly told: number
    readonly needsId?: true
  }[]
> {
  const coach = await signedIn(theirs)
  const left = await context({
    cookie: (await coach.storageState()).cookies
      .map(({ name, value }) => `${name}=${value}`)
      .join('; '),
  })
  const key = await phoneKey(coach, theirs)
  await coach.post('/api/sign-out')
  const stranger = await owned({ request: { newContext: () => context() } })
  return [
    { who: 'nobody', asking: await context(), told: 401 },
    {
      who: 'a made-up cookie',
      asking: await context({ cookie: 'tholepin-session=Fe26.2**0*0*0*0' }),
      told: 401,
    },
    { who: 'a cookie from before signing out', asking: left, told: 401 },
    {
      who: 'a phone of a client',
      asking: await context({ authorization: `Sheet ${key}` }),
      told: 401,
    },
    { who: 'another coach', asking: await signedIn(stranger), told: 404, needsId: true },
  ]
}

/** Each route with each wrong asker: how often another answer came than the one it should be. */
export async function accessMatrix(): Promise<readonly Row[]> {
  const theirs = await owned({ request: { newContext: () => context() } })
  const askers = await wrongAskers(theirs)
  const before = await sumsOf(theirs.studio.email)
  const ofCoaches = routes().filter(
    ({ file }) => !OPEN.includes(file) && !file.startsWith('sheet/'),
  )
  const rows: Row[] = []
  for (const { who, asking, told, needsId } of askers) {
    const wrong: string[] = []
    const asked = needsId ? ofCoaches.filter(({ path }) => idsIn(path).length > 0) : ofCoaches
    for (const { file, method, path } of asked) {
      const answer = await asking.fetch(pathWith(path, theirs.ids), {
        method,
        ...(method !== 'GET' && { data: BODIES[file]?.(theirs.studio) ?? {} }),
      })
      if (answer.status() !== told) wrong.push(`${file}: ${answer.status()}`)
    }
    for (const line of wrong) console.log(`  ${who}, ${line}`)
    rows.push({ asker: who, routes: asked.length, 'answered otherwise': wrong.length })
  }
  const changed = changedIn(before, await sumsOf(theirs.studio.email))
  if (changed.length > 0) console.log(`  changed meanwhile: ${changed.join(', ')}`)
  return [...rows, { asker: 'tables changed', routes: '', 'answered otherwise': changed.length }]
}

/** The contract a route parses its body with; undefined where it takes none. */
async function contractOf({ file }: RouteFile): Promise<z.ZodType | undefined> {
  const source = readFileSync(join(ROOT, 'server/api', file), 'utf8')
  const [, name] = /^ {2}body: (\w+),$/m.exec(source) ?? []
  if (!name) return undefined
  const [, from] =
    new RegExp(`import (?:type )?\\{[^}]*\\b${name}\\b[^}]*\\} from '#shared/([^']+)'`).exec(
      source,
    ) ?? []
  if (!from) throw new Error(`${file}: where ${name} comes from is not told`)
  const contracts = (await import(join(ROOT, 'shared', from))) as Record<string, z.ZodType>
  return contracts[name]
}

interface Door {
  readonly route: RouteFile
  readonly bodies: fc.Arbitrary<unknown>
}

/** Routes that take a body, each with bodies as its contract has them, spoilt ones, and spoilt ones of those that are right. */
async function doors({ studio }: Owned): Promise<readonly Door[]> {
  const all: Door[] = []
  for (const route of routes()) {
    const contract = await contractOf(route)
    if (!contract) continue
    const made = bodiesOf(contract)
    const right = BODIES[route.file]?.(studio)
    all.push({
      route,
      bodies: fc.oneof(
        made,
        made.chain(spoilt),
        ...(right === undefined ? [] : [spoilt(right), shifted(right), shifted(right)]),
        fc.jsonValue(),
      ),
    })
  }
  return all
}

/** So many bodies for all doors together. An answer of 500, or none, is one too many. */
export async function fuzzed(times: number, seed: number): Promise<readonly Row[]> {
  const mine = await owned({ request: { newContext: () => context() } })
  const theirs = await owned({ request: { newContext: () => context() } })
  const before = await sumsOf(theirs.studio.email)
  let asking = await signedIn(mine)
  const key = await phoneKey(asking, mine)
  const phone = await context({ authorization: `Sheet ${key}` })
  const all = await doors(mine)
  const each = Math.ceil(times / all.length)
  const tally = { bodies: 0, taken: 0, refused: 0, 'answers of 500': 0, 'pages of 500': 0 }
  for (const { route, bodies } of all)
    for (const data of fc.sample(bodies, { numRuns: each, seed })) {
      const by = route.file.startsWith('sheet/') ? phone : asking
      const answer = await sent(
        by,
        route,
        pathWith(route.path, mine.ids),
        await upToDate(data, asking, mine),
      )
      tally.bodies += 1
      if (answer === undefined || answer.status() >= 500) {
        tally['answers of 500'] += 1
        console.log(
          `  ${route.file}: ${answer?.status() ?? 'no answer'} to ${JSON.stringify(data).slice(0, 600)}`,
        )
      } else if (answer.ok()) {
        tally.taken += 1
        tally['pages of 500'] += await brokenPages(asking, mine, route, data)
      } else tally.refused += 1
      if (answer?.status() === 401 && by === asking) asking = await signedIn(mine)
    }
  const changed = changedIn(before, await sumsOf(theirs.studio.email))
  return [{ routes: all.length, ...tally, 'tables of others changed': changed.length, seed }]
}

/** What was taken has to be readable: pages of the client that fail afterwards. */
async function brokenPages(
  asking: APIRequestContext,
  { ids }: Owned,
  { file }: RouteFile,
  data: unknown,
): Promise<number> {
  let broken = 0
  for (const page of ['', '/history', '/season', '/strengths', '/profile', '/export'].map(
    name => `/api/clients/${ids.clientId}${name}`,
  )) {
    const answer = await asking.get(page)
    if (answer.status() < 500) continue
    broken += 1
    console.log(`  ${page} after ${file}: ${JSON.stringify(data).slice(0, 600)}`)
  }
  return broken
}

/** A body that names a version is about the one that stands, so that it is looked at further than that. */
async function upToDate(
  data: unknown,
  asking: APIRequestContext,
  { ids }: Owned,
): Promise<unknown> {
  if (typeof data !== 'object' || data === null || !('version' in data)) return data
  const answer = await asking.get(`/api/clients/${ids.clientId}`)
  if (!answer.ok()) return data
  const { block } = (await answer.json()) as { block: { version: number } | null }
  return { ...data, version: block?.version ?? data.version }
}

/** JSON as a browser sends it: half surrogates are told by their escapes. */
const sent = (
  by: APIRequestContext,
  { method }: RouteFile,
  path: string,
  data: unknown,
): Promise<APIResponse | undefined> =>
  by
    .fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      data: Buffer.from(JSON.stringify(data ?? null)),
      timeout: 20_000,
    })
    .catch(() => undefined)
