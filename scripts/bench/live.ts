// 60 phones log while 200 floors are open against the built server: how long until a set stands on the coach's floor.
import { request } from 'node:http'
import type { LogEntry, SheetSession } from '#core/follow/sheet'
import { currentTime } from '../../server/clock'
import { answered, nextEntry, pause, type Phone, phones, today } from './logging'

const PHONES = 60
const FLOORS = 200
const SETS_EACH = 6
const PAUSE_MS = 4000
const LIMIT_MS = 2000

/** A session of today, so that it is on the floor. */
const ofToday = (sessions: readonly SheetSession[]): SheetSession | undefined =>
  sessions.find(({ on, ways }) => on === today && ways[0].turns.length >= SETS_EACH)

/** A floor that is open: calls back whenever there is news. */
function opened(base: string, cookie: string, news: () => void): Promise<() => void> {
  return new Promise((resolve, reject) => {
    const asking = request(
      `${base}/api/floor/live`,
      { headers: { cookie }, agent: false },
      answer => {
        if (answer.statusCode !== 200) return reject(new Error(`live: ${answer.statusCode}`))
        answer.setEncoding('utf8')
        answer.on('data', (text: string) => text.includes('event: news') && news())
        resolve(() => asking.destroy())
      },
    )
    asking.on('error', error => (asking.destroyed ? undefined : reject(error)))
    asking.end()
  })
}

interface Awaited {
  readonly client: string
  readonly done: number
  readonly seen: () => void
}

/** What one coach's page knows: asks again on news, one question at a time. */
function watched(base: string, cookie: string) {
  const waiting = new Set<Awaited>()
  let [isAsking, isDue] = [false, false]
  async function look(): Promise<void> {
    if (isAsking) return void (isDue = true)
    isAsking = true
    const { answer } = await answered<{ sessions: { id: string; done: number }[] }>(
      base,
      '/api/floor/now',
      { headers: { cookie } },
    )
    for (const one of waiting)
      if (answer.sessions.some(({ id, done }) => id.startsWith(one.client) && done >= one.done)) {
        waiting.delete(one)
        one.seen()
      }
    isAsking = false
    if (isDue) {
      isDue = false
      await look()
    }
  }
  const until = (client: string, done: number) =>
    new Promise<void>(seen => waiting.add({ client, done, seen }))
  return { look, until }
}

async function trains(
  base: string,
  { client, key, session }: Phone,
  page: ReturnType<typeof watched>,
  samples: number[],
): Promise<void> {
  const entries: LogEntry[] = []
  let done = 0
  while (done < SETS_EACH) {
    const entry = nextEntry(session, entries)
    if (!entry) return
    entries.push(entry)
    const isWorking = entry.word.kind === 'set' && entry.word.place.role === 'working'
    const isNew = isWorking && entry.word.kind === 'set' && entry.word.place.stage === 1
    if (isNew) done += 1
    const begun = performance.now()
    const seen = isNew ? page.until(client, done) : Promise.resolve()
    await answered(base, '/api/sheet/entries', {
      method: 'POST',
      headers: { authorization: `Sheet ${key}` },
      body: { sentAt: currentTime().toISOString(), entries: [{ ...entry, session: session.id }] },
    })
    await seen
    if (isNew) samples.push(performance.now() - begun)
    await pause(PAUSE_MS * (0.5 + Math.random()))
  }
}

/** Prints how soon sets are on the floor; fails where one takes too long. */
export async function benchLive(base: string, databaseUrl: string): Promise<void> {
  const all = await phones(base, databaseUrl, ofToday, PHONES)
  const cookies = [...new Set(all.map(({ cookie }) => cookie))]
  const pages = new Map(cookies.map(cookie => [cookie, watched(base, cookie)]))
  const ends = await Promise.all(
    Array.from({ length: FLOORS }, (_, at) => {
      const cookie = cookies[at % cookies.length] ?? ''
      // The first floor of each coach looks; the others hold their connections.
      return opened(
        base,
        cookie,
        at < cookies.length ? () => void pages.get(cookie)?.look() : () => {},
      )
    }),
  )
  const samples: number[] = []
  await Promise.all(
    all.map(async (phone, at) => {
      await pause((at * PAUSE_MS) / all.length)
      await trains(base, phone, pages.get(phone.cookie)!, samples)
    }),
  )
  ends.forEach(end => end())
  const sorted = [...samples].sort((a, b) => a - b)
  const at = (share: number) => Math.round(sorted[Math.floor(share * sorted.length)] ?? 0)
  console.table([
    {
      what: `${all.length} phones, ${FLOORS} open floors of ${cookies.length} studios: ms from a set said to the set on the floor`,
      sets: samples.length,
      median: at(0.5),
      p95: at(0.95),
      worst: Math.round(sorted.at(-1) ?? 0),
      limit: LIMIT_MS,
    },
  ])
  if (at(0.95) > LIMIT_MS) throw new Error('sets are late on the floor')
}
