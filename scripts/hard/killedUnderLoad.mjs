const READERS = 12
const LONG_MS = 5000
const BACK_MS = 5000
const DEMO = 'ragna@skerrylane.example'
const rest = ms => new Promise(resolve => setTimeout(resolve, ms))

async function signedIn(url, password) {
  const answer = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: DEMO, password }),
  })
  if (!answer.ok) throw new Error(`signing in: ${answer.status}`)
  return answer.headers
    .getSetCookie()
    .map(line => line.split(';')[0])
    .join('; ')
}

/** Asks, and keeps what came of it and how long it took; an answer that never comes counts as long. */
async function asked(tally, url, options) {
  const began = performance.now()
  const status = await fetch(url, { ...options, signal: AbortSignal.timeout(4 * LONG_MS) }).then(
    async answer => {
      await answer.arrayBuffer()
      return answer.status
    },
    () => 0,
  )
  const ms = performance.now() - began
  tally.asked += 1
  tally.longest = Math.max(tally.longest, ms)
  if (ms > LONG_MS) tally.long += 1
  if (status === 503) tally.away += 1
  else if (status >= 500 || status === 0) tally.failed += 1
  return status
}

/** Saves a plan over and over, a version each; what was acknowledged is the least that must be there afterwards. */
async function writer(going, tally, url, headers, client) {
  const held = async () => (await fetch(`${url}/api/clients/${client}`, { headers })).json()
  let { block } = await held()
  while (going.on) {
    const version = block.version
    const body = JSON.stringify({ version, plan: block.plan })
    const status = await asked(tally, `${url}/api/blocks/${block.id}/plan`, {
      method: 'PUT',
      headers: { ...headers, 'content-type': 'application/json' },
      body,
    })
    if (status === 200) {
      going.acknowledged = version + 1
      tally.saved += 1
    }
    // Whether a save that was not answered was taken is asked, as a page would.
    const next = await held().catch(() => undefined)
    if (next?.block) block = next.block
    if (next?.block && next.block.version < going.acknowledged) tally.lost += 1
    await rest(20)
  }
}

async function reader(going, tally, url, headers, paths) {
  for (let at = 0; going.on; at++) {
    await asked(tally, `${url}${paths[at % paths.length]}`, { headers })
    await rest(30)
  }
}

/** Milliseconds until a request is answered well again. */
async function untilWell(url, headers) {
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
    if (performance.now() - began > 4 * BACK_MS) return Infinity
    await rest(50)
  }
}

/** The database killed so many times under readers and a writer; counts of what came of it. */
export async function killedUnderLoad({ server, postgres, demoPassword, kills }) {
  const { url } = server
  const headers = { cookie: await signedIn(url, demoPassword), origin: url }
  const { clients } = await (await fetch(`${url}/api/roster`, { headers })).json()
  const [first, second] = clients.map(({ id }) => id)
  const paths = [
    '/api/roster',
    `/api/clients/${second}`,
    `/api/clients/${second}/history`,
    `/api/clients/${second}/season`,
  ]
  const tally = { asked: 0, saved: 0, away: 0, failed: 0, lost: 0, long: 0, longest: 0 }
  const going = { on: true, acknowledged: 0 }
  const all = [
    writer(going, tally, url, headers, first),
    ...Array.from({ length: READERS }, () => reader(going, tally, url, headers, paths)),
  ]
  const back = []
  for (let kill = 0; kill < kills; kill++) {
    await rest(1500)
    postgres.kill()
    await rest(1000 + 500 * (kill % 4))
    await postgres.again()
    back.push(await untilWell(url, headers))
    process.stdout.write(
      `· killed ${kill + 1} of ${kills}, well again after ${Math.round(back.at(-1))} ms\n`,
    )
  }
  going.on = false
  await Promise.all(all)
  return told(tally, back)
}

const told = (tally, back) => ({
  kills: back.length,
  requests: tally.asked,
  'saves taken': tally.saved,
  'told 503': tally.away,
  failed: tally.failed,
  lost: tally.lost,
  'over 5 s': tally.long,
  'longest ms': Math.round(tally.longest),
  'well again ms, most': Math.round(Math.max(...back)),
  'back late': back.filter(ms => ms > BACK_MS).length,
})
