// 200 coaches who sign in in the same instant, and one who is at work meanwhile.
import { randomUUID } from 'node:crypto'
import { coachId } from '#core/base'
import { serverToday } from '../../server/clock'
import { connectedDatabase } from '../../server/db/database'
import { insertStudio } from '../../server/db/queries/studio'
import { demoClients } from '../../server/demo/studio'
import { hashedPassword } from '../../server/services/passwords'

const COACHES = 200
const LIMIT_MS = 300
const EVERY_MS = 50

interface Account {
  readonly email: string
  readonly password: string
}

/** Accounts of their own, one of them with the demo's clients; one hash serves them all, since only the comparing is pressed. */
async function accounts(databaseUrl: string): Promise<readonly Account[]> {
  const { db, close } = connectedDatabase(databaseUrl)
  const password = randomUUID()
  const passwordHash = await hashedPassword(password)
  const all: Account[] = []
  for (let at = 0; at <= COACHES; at++) {
    const email = `storm-${at}-${randomUUID().slice(0, 8)}@skerrylane.example`
    const coach = { id: coachId(randomUUID()), email, name: 'Storm', studio: 'Storm', passwordHash }
    await insertStudio(db, coach, at === 0 ? demoClients(serverToday(), 77) : [])
    all.push({ email, password })
  }
  await close()
  return all
}

const signIn = (base: string, body: Account) =>
  fetch(`${base}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })

/** Prints how long signing in takes for all of them, and how long others wait meanwhile. */
export async function benchStorm(base: string, databaseUrl: string): Promise<void> {
  const [working, ...others] = await accounts(databaseUrl)
  if (!working) throw new Error('no account was made')
  const cookie = (await signIn(base, working)).headers
    .getSetCookie()
    .map(line => line.split(';')[0])
    .join('; ')
  const waits: number[] = []
  let isOver = false
  const working$ = (async () => {
    while (!isOver) {
      const began = performance.now()
      const answer = await fetch(`${base}/api/roster`, { headers: { cookie } })
      await answer.arrayBuffer()
      if (!answer.ok) throw new Error(`roster: ${answer.status}`)
      waits.push(performance.now() - began)
      await new Promise(resolve => setTimeout(resolve, EVERY_MS))
    }
  })()
  const began = performance.now()
  const statuses = await Promise.all(
    others.map(account => signIn(base, account).then(({ status }) => status)),
  )
  const seconds = (performance.now() - began) / 1000
  isOver = true
  await working$
  const sorted = waits.sort((a, b) => a - b)
  const at = (share: number) => (sorted[Math.floor(share * sorted.length)] ?? 0).toFixed(0)
  console.table([
    {
      what: `roster while ${COACHES} sign in`,
      asked: waits.length,
      median: at(0.5),
      p95: at(0.95),
      'limit p95': LIMIT_MS,
      'signed in': statuses.filter(status => status === 200).length,
      'seconds for all': seconds.toFixed(1),
    },
  ])
}
