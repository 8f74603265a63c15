// 200 phones logging at once against the built server: how long a set's save takes, and whether every set is there once.
import { randomUUID } from 'node:crypto'
import { Agent, request } from 'node:http'
import { coachId } from '#core/base'
import type { SheetSession, LogEntry } from '#core/follow/sheet'
import { nextTurn, prefillOf, sessionStanding, turnsOf } from '#core/follow/sheet'
import { connectedDatabase } from '../../server/db/database'
import { insertStudio } from '../../server/db/queries/studio'
import { hashedPassword } from '../../server/services/passwords'
import { demoClients } from '../../server/demo/studio'
import { currentTime, serverToday } from '../../server/clock'

const CLIENTS = 200
const SETS_EACH = 12
/** So many of them, the last, come from all phones in the same instant, as after a power cut: one burst each. */
const BURSTS = 6
const LIMIT_MS = { apart: 60, together: 400 }
/** Between two sets of one phone: fifteen times as fast as anybody trains, so 200 phones stand for 3,000. */
const PAUSE_MS = 4000
/** One request in so many is sent again at once, as after an answer that got lost. */
const RESENT_EVERY = 5

export interface Phone {
  readonly client: string
  /** The coach's sign-in. */
  readonly cookie: string
  readonly key: string
  readonly session: SheetSession
}

export const today = serverToday()
export const pause = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))

/** One connection a phone, kept, and left before the server leaves it: the load is the server's, not that of 200 browsers in one process. */
const connections = new Agent({ keepAlive: true, maxSockets: Infinity, timeout: 4000 })

function exchanged(
  url: string,
  method: string,
  headers: Readonly<Record<string, string>>,
  body: string,
): Promise<{
  readonly status: number
  readonly text: string
  readonly cookies: readonly string[]
}> {
  return new Promise((resolve, reject) => {
    const asking = request(url, { method, headers, agent: connections }, answer => {
      let text = ''
      answer.setEncoding('utf8')
      answer.on('data', (part: string) => (text += part))
      answer.on('end', () =>
        resolve({
          status: answer.statusCode ?? 0,
          text,
          cookies: answer.headers['set-cookie'] ?? [],
        }),
      )
    })
    asking.on('error', reject)
    asking.end(body)
  })
}

export async function answered<Answer = object>(
  base: string,
  path: string,
  init: {
    readonly method?: string
    readonly body?: object
    readonly headers?: Readonly<Record<string, string>>
  },
): Promise<{ readonly answer: Answer; readonly cookie: string }> {
  const { status, text, cookies } = await exchanged(
    `${base}${path}`,
    init.method ?? 'GET',
    { 'content-type': 'application/json', 'x-today': today, ...init.headers },
    init.body ? JSON.stringify(init.body) : '',
  )
  if (status >= 300) throw new Error(`${path}: ${status} ${text}`)
  return {
    answer: JSON.parse(text) as Answer,
    cookie: cookies.map(cookie => cookie.split(';')[0]).join('; '),
  }
}

/** Coaches with the demo's clients, one of them as often as it takes, each with a link that is open on a phone. */
export async function phones(
  base: string,
  databaseUrl: string,
  choose: (sessions: readonly SheetSession[]) => SheetSession | undefined,
  wanted = CLIENTS,
): Promise<readonly Phone[]> {
  const { db, close } = connectedDatabase(databaseUrl)
  const all: Phone[] = []
  for (let coach = 0; all.length < wanted; coach++) {
    const account = {
      email: `bench-${coach}-${randomUUID().slice(0, 8)}@skerrylane.example`,
      password: randomUUID(),
    }
    const clients = demoClients(today, 1000 + coach)
    await insertStudio(
      db,
      {
        id: coachId(randomUUID()),
        email: account.email,
        name: 'Bench',
        studio: 'Bench',
        passwordHash: await hashedPassword(account.password),
      },
      clients,
    )
    const { cookie } = await answered(base, '/api/sign-in', { method: 'POST', body: account })
    for (const { id, blockId, plan } of clients) {
      if (all.length >= wanted) break
      const pass = Math.max(
        0,
        Math.min(
          plan.passes - 1,
          Math.floor(
            (Date.parse(today) - Date.parse(plan.startsOn)) /
              86_400_000 /
              plan.rotation.days.length,
          ),
        ),
      )
      await answered(base, `/api/blocks/${blockId}/send`, {
        method: 'POST',
        headers: { cookie },
        body: { pass, version: 1, again: false },
      }).catch(() => undefined)
      const {
        answer: { token },
      } = await answered<{ token: string }>(base, `/api/clients/${id}/link`, {
        method: 'POST',
        headers: { cookie },
        body: { pin: null, days: null },
      })
      const {
        answer: { key },
      } = await answered<{ key: string }>(base, '/api/sheet/open', {
        method: 'POST',
        body: { token, pin: null },
      })
      const { answer } = await answered<{
        sessions: readonly { readonly session: SheetSession }[]
      }>(base, '/api/sheet', { headers: { authorization: `Sheet ${key}` } })
      const session = choose(answer.sessions.map(held => held.session))
      if (session) all.push({ client: id, cookie, key, session })
    }
  }
  await close()
  return all
}

/** The longest session, where it has sets enough. */
const longest = (sessions: readonly SheetSession[]): SheetSession | undefined =>
  [...sessions]
    .sort((a, b) => b.ways[0].turns.length - a.ways[0].turns.length)
    .find(({ ways }) => ways[0].turns.length >= SETS_EACH)

/** Phones that wait for one another before they send. */
interface Burst {
  readonly samples: number[]
  readonly everybody: () => Promise<void>
}
function burstOf(phones: number): Burst {
  let waiting = phones
  let release = () => {}
  const released = new Promise<void>(resolve => (release = resolve))
  const everybody = () => {
    if (--waiting === 0) release()
    return released
  }
  return { samples: [], everybody }
}

/** The next set of a session, done as it is planned; undefined where all are said. */
export function nextEntry(
  session: SheetSession,
  entries: readonly LogEntry[],
): LogEntry | undefined {
  const turns = turnsOf(session, sessionStanding(entries))
  const turn = nextTurn(turns)
  const at = turn?.parts.findIndex(({ standing }) => standing === null) ?? -1
  const exercise = session.exercises.find(({ slot }) => slot === turn?.slot)
  if (!turn || !exercise || at < 0) return undefined
  const { amount, count } = prefillOf(turn, at, turns, exercise)
  return {
    id: randomUUID(),
    at: currentTime().toISOString(),
    word: {
      kind: 'set',
      place: turn.parts[at]!.place,
      replaces: null,
      done: {
        exercise: exercise.exercise,
        intent: exercise.intent,
        load: amount === null ? null : { amount, unit: 'kg' },
        reps: count ?? 10,
        seconds: null,
        rir: 2,
        isRirOpen: false,
      },
    },
  }
}

async function trained(
  base: string,
  { key, session }: Phone,
  samples: number[],
  bursts: readonly Burst[],
): Promise<number> {
  const entries: LogEntry[] = []
  for (let said = 0; said < SETS_EACH; said++) {
    const burst = bursts[said - SETS_EACH + BURSTS]
    await burst?.everybody()
    const entry = nextEntry(session, entries)
    if (!entry) break
    entries.push(entry)
    const send = () =>
      answered(base, '/api/sheet/entries', {
        method: 'POST',
        headers: { authorization: `Sheet ${key}` },
        body: { sentAt: currentTime().toISOString(), entries: [{ ...entry, session: session.id }] },
      })
    const begun = performance.now()
    await send()
    ;(burst?.samples ?? samples).push(performance.now() - begun)
    if (!burst && said % RESENT_EVERY === 0) await send()
    await pause(burst ? PAUSE_MS / 4 : PAUSE_MS * (0.5 + Math.random()))
  }
  return entries.length
}

/** Prints how the server bears it; fails where a set is lost or doubled. */
export async function benchLogging(base: string, databaseUrl: string): Promise<void> {
  const all = await phones(base, databaseUrl, longest)
  const samples: number[] = []
  const bursts = Array.from({ length: BURSTS }, () => burstOf(all.length))
  const counts = await Promise.all(
    all.map(async (phone, at) =>
      pause((at * PAUSE_MS) / all.length).then(() => trained(base, phone, samples, bursts)),
    ),
  )
  const said = counts.reduce((sum, count) => sum + count, 0)
  const { client, close } = connectedDatabase(databaseUrl)
  const [kept] = await client<
    { sets: number; entries: number }[]
  >`select (select count(*)::int from logged_sets where entry_id is not null) as sets, (select count(*)::int from log_entries where outcome = 'taken') as entries`
  await close()
  const row = (what: string, of: number[], limit: number) => {
    const sorted = [...of].sort((a, b) => a - b)
    const at = (share: number) => (sorted[Math.floor(share * sorted.length)] ?? 0).toFixed(1)
    return { what, median: at(0.5), p95: at(0.95), p99: at(0.99), 'limit p95': limit }
  }
  console.table([
    row(
      `${all.length} phones, a set every ${PAUSE_MS / 1000} s each, ms to save one`,
      samples,
      LIMIT_MS.apart,
    ),
    ...bursts.map(({ samples: atOnce }, at) =>
      row(`all ${all.length} in the same instant, burst ${at + 1}`, atOnce, LIMIT_MS.together),
    ),
  ])
  console.log(`${said} sets said, ${kept?.sets} in the log, ${kept?.entries} entries`)
  if (kept?.sets !== said || kept.entries !== said)
    throw new Error(`${said} sets were said, ${kept?.sets} are in the log`)
}
