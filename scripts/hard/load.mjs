// Coaches and phones that go on whatever happens, and remember what they were promised.
import { randomUUID } from 'node:crypto'

export const LONG_MS = 5000
const DEMO = 'ragna@skerrylane.example'
export const rest = ms => new Promise(resolve => setTimeout(resolve, ms))

const newTally = () => ({
  asked: 0,
  saved: 0,
  sets: 0,
  away: 0,
  failed: 0,
  lost: 0,
  doubled: 0,
  long: 0,
  longest: 0,
})

/** The headers of the demo's coach, signed in. */
export async function signedIn(url, password) {
  const answer = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: DEMO, password }),
  })
  if (!answer.ok) throw new Error(`signing in: ${answer.status}`)
  const cookie = answer.headers
    .getSetCookie()
    .map(line => line.split(';')[0])
    .join('; ')
  return { cookie, origin: url }
}

/** Asks, and keeps what came of it and how long it took. `mayEnd`: the server itself may be gone, and no answer is none of its faults. */
async function asked(tally, url, options, { mayEnd = false } = {}) {
  const began = performance.now()
  const found = await fetch(url, { ...options, signal: AbortSignal.timeout(4 * LONG_MS) }).then(
    async answer => ({ status: answer.status, text: await answer.text() }),
    () => ({ status: 0, text: '' }),
  )
  const ms = performance.now() - began
  tally.asked += 1
  tally.longest = Math.max(tally.longest, ms)
  if (ms > LONG_MS) tally.long += 1
  // A proxy says 502 for a server that ended while it was asked.
  if (found.status === 503 || (mayEnd && found.status === 502)) tally.away += 1
  else if (found.status >= 500 || (found.status === 0 && !mayEnd)) tally.failed += 1
  return found
}

/** Saves a plan over and over, a version each; what was acknowledged is the least that must be there afterwards. */
async function writer(going, tally, { url, headers }, client, trust) {
  const held = () =>
    fetch(`${url}/api/clients/${client}`, { headers }).then(
      answer => answer.json(),
      () => undefined,
    )
  let acknowledged = 0
  let block
  while (going.on) {
    const next = await held()
    if (next?.block) block = next.block
    // Whether a save that was not answered was taken is asked, as a page would.
    if (next?.block && block.version < acknowledged) tally.lost += 1
    if (!block) {
      await rest(100)
      continue
    }
    const { status } = await asked(
      tally,
      `${url}/api/blocks/${block.id}/plan`,
      {
        method: 'PUT',
        headers: { ...headers, 'content-type': 'application/json' },
        body: JSON.stringify({ version: block.version, plan: block.plan }),
      },
      trust,
    )
    if (status === 200) {
      acknowledged = block.version + 1
      tally.saved += 1
    }
    await rest(20)
  }
}

async function reader(going, tally, { url, headers }, paths, trust) {
  for (let at = 0; going.on; at++) {
    await asked(tally, `${url}${paths[at % paths.length]}`, { headers }, trust)
    await rest(30)
  }
}

/** Pages of the demo that readers go through. */
async function pagesOf({ url, headers }) {
  const { clients } = await (await fetch(`${url}/api/roster`, { headers })).json()
  const [first, second] = clients.map(({ id }) => id)
  return {
    ids: clients.map(({ id }) => id),
    first,
    paths: [
      '/api/roster',
      `/api/clients/${second}`,
      `/api/clients/${second}/history`,
      `/api/clients/${second}/season`,
    ],
  }
}

/** A phone with its key and the place of a set it will say over and over; undefined for a client with nothing sent. */
async function openPhone({ url, headers }, client) {
  const json = { ...headers, 'content-type': 'application/json' }
  const post = (path, body, more) =>
    fetch(`${url}${path}`, {
      method: 'POST',
      headers: { ...json, ...more },
      body: JSON.stringify(body),
    }).then(answer => answer.json())
  const { token } = await post(`/api/clients/${client}/link`, { pin: null, days: null })
  const { key } = await post('/api/sheet/open', { token, pin: null })
  const sheet = await fetch(`${url}/api/sheet`, { headers: { authorization: `Sheet ${key}` } })
  const { sessions } = await sheet.json()
  for (const { session, entries } of sessions) {
    const exercise = session.exercises.at(-1)
    const plan = exercise && session.ways[0]?.sets[exercise.slot]?.at(-1)
    if (!plan || entries.length > 0) continue
    const { stage, side } = plan.parts[0]
    const place = { slot: exercise.slot, role: plan.role, set: plan.number, stage, side }
    return { key, session: session.id, place, exercise, said: [], standing: null }
  }
  return undefined
}

/** An entry that says the phone's set, in the place of what it said last. */
function nextEntry({ session, place, exercise, said, standing }) {
  const [id, at] = [randomUUID(), new Date().toISOString()]
  const done = {
    exercise: exercise.exercise,
    intent: exercise.intent,
    load: null,
    reps: 5 + (said.length % 10),
    seconds: null,
    rir: 2,
    isRirOpen: false,
  }
  const word = { kind: 'set', place, replaces: standing, done }
  return { id, sent: { sentAt: at, entries: [{ id, at, session, word }] } }
}

/** Says a set, and puts it right over and over, each until it is acknowledged, as a phone does. */
async function logging(going, tally, { url }, phone, trust) {
  const headers = { authorization: `Sheet ${phone.key}`, 'content-type': 'application/json' }
  while (going.on) {
    const { id, sent } = nextEntry(phone)
    const options = { method: 'POST', headers, body: JSON.stringify(sent) }
    phone.said.push(id)
    for (let isTaken = false; !isTaken && going.on;) {
      const { status, text } = await asked(tally, `${url}/api/sheet/entries`, options, trust)
      isTaken = status === 200
      if (!isTaken) {
        await rest(80)
        continue
      }
      const [{ outcome }] = JSON.parse(text).results
      if (outcome === 'taken') phone.standing = id
      else if (!trust.mayBeLate) tally.failed += 1
      phone.acknowledged = phone.said.length
      tally.sets += 1
    }
    await rest(40)
  }
}

/** What was promised to phones and is not in the log, and what is there twice. */
async function countedPhones(sql, phones, tally) {
  for (const { session, said, acknowledged = 0, place } of phones) {
    const [{ there }] =
      await sql`select count(*)::int as there from log_entries where id = any(${said.slice(0, acknowledged)}::uuid[])`
    const [{ all, places }] = await sql`select
      (select count(*)::int from log_entries
        where session_id = ${session} and author = 'client' and word->>'kind' = 'set') as all,
      (select count(*)::int from logged_sets where session_id = ${session} and slot = ${place.slot} and set = ${place.set}
        and stage = ${place.stage} and role = ${place.role} and side is not distinct from ${place.side}) as places`
    tally.lost += acknowledged - there
    tally.doubled += Math.max(0, all - said.length) + Math.max(0, places - 1)
  }
}

/** Milliseconds until a request is answered well again. */
export async function untilWell({ url, headers }) {
  const began = performance.now()
  for (;;) {
    const isWell = await fetch(`${url}/api/roster`, {
      headers,
      signal: AbortSignal.timeout(LONG_MS),
    }).then(
      answer => answer.status === 200,
      () => false,
    )
    if (isWell) return performance.now() - began
    if (performance.now() - began > 4 * LONG_MS) return Infinity
    await rest(50)
  }
}

/**
 * Readers, a coach who saves and phones that log go on while `harm` is done to what they use; then it is counted what was promised
 * and is not there. `mayEnd`: the server itself may be gone, and no answer is none of its faults; `mayBeLate`: by its clock what is said may
 * come too late, and is kept for the coach to look at.
 */
export async function underLoad(
  { server, demoPassword, sql },
  { readers = 0, writers = 0, phones = 4, mayEnd = false, mayBeLate = false },
  harm,
) {
  const site = { url: server.url, headers: await signedIn(server.url, demoPassword) }
  const { ids, paths } = await pagesOf(site)
  const opened = await Promise.all(ids.map(id => openPhone(site, id)))
  const logged = opened.filter(Boolean).slice(0, phones)
  const [tally, going, trust] = [newTally(), { on: true }, { mayEnd, mayBeLate }]
  const all = [
    ...ids.slice(0, writers).map(id => writer(going, tally, site, id, trust)),
    ...logged.map(phone => logging(going, tally, site, phone, trust)),
    ...Array.from({ length: readers }, () => reader(going, tally, site, paths, trust)),
  ]
  const found = await harm(site)
  going.on = false
  await Promise.all(all)
  await countedPhones(sql(), logged, tally)
  const { asked: requests, saved: saves, sets, away, failed, lost, doubled, long, longest } = tally
  return {
    requests,
    saves,
    sets,
    'told 503': away,
    failed,
    lost,
    doubled,
    [`over ${LONG_MS / 1000} s`]: mayEnd ? '' : long,
    'longest ms': Math.round(longest),
    ...found,
  }
}
