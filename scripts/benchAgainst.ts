// The hot paths of this state and another, in turn; run through `npm run bench -- --against REV`, which serves both on demo data.
import { type Browser, chromium, type Page } from '@playwright/test'
import playwrightConfig from '../playwright.config'
import { DEMO_COACH } from '../server/demo/studio'

/** Times each is asked, in turn, after those that only warm up. */
const ROUNDS = { warm: 4, counted: 30 } as const
const KEYS = { rounds: 12, each: 10, pauseMs: 30 } as const
const CLIENT = 'Joren'

interface Side {
  readonly base: string
  readonly cookie: string
  readonly client: string
}
type Timing = (side: Side) => Promise<number>

/** What is asked of a server, by its words. */
const ASKED: readonly (readonly [what: string, path: (client: string) => string])[] = [
  ['roster', () => '/api/roster'],
  ['board: the client with her plan', client => `/api/clients/${client}`],
  ['review of the latest rotation', client => `/api/clients/${client}/review/latest`],
  ['trends', client => `/api/clients/${client}/trends`],
  ['history', client => `/api/clients/${client}/history`],
  ['page of the board', client => `/clients/${client}/split`],
  ['page of the block', client => `/clients/${client}/block`],
  ['page of the review', client => `/clients/${client}/review`],
]

async function signedIn(base: string, password: string): Promise<Side> {
  const answer = await fetch(`${base}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: base },
    body: JSON.stringify({ email: DEMO_COACH.email, password }),
  })
  const cookie = answer.headers
    .getSetCookie()
    .map(one => one.split(';')[0])
    .join('; ')
  const roster = await fetch(`${base}/api/roster`, { headers: { cookie } })
  if (!roster.ok) throw new Error(`${base} answers ${roster.status} to the demo's coach`)
  const { clients } = (await roster.json()) as { clients: { id: string; name: string }[] }
  const client = clients.find(({ name }) => name.startsWith(CLIENT))?.id ?? ''
  return { base, cookie, client }
}

const asking =
  (path: (client: string) => string): Timing =>
  async ({ base, cookie, client }) => {
    const begun = performance.now()
    const answer = await fetch(base + path(client), { headers: { cookie } })
    await answer.arrayBuffer()
    if (!answer.ok) throw new Error(`${base}${path(client)} answers ${answer.status}`)
    return performance.now() - begun
  }

const at = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN
const inOrder = (of: readonly number[]) => [...of].sort((a, b) => a - b)

/** Both sides in turn, each first as often as the other; the ratio is that of each pair. */
async function compared(what: string, now: Side, then: Side, timing: Timing, rounds: number) {
  const pairs: { now: number; then: number }[] = []
  for (let round = 0; round < rounds; round++) {
    const [first, second] = round % 2 === 0 ? [now, then] : [then, now]
    const [a, b] = [await timing(first), await timing(second)]
    pairs.push(first === now ? { now: a, then: b } : { now: b, then: a })
  }
  const ratios = inOrder(pairs.map(pair => pair.now / pair.then))
  return {
    what,
    'now ms': at(inOrder(pairs.map(pair => pair.now)), 0.5).toFixed(1),
    'then ms': at(inOrder(pairs.map(pair => pair.then)), 0.5).toFixed(1),
    ratio: at(ratios, 0.5).toFixed(2),
    'of ten, eight': `${at(ratios, 0.1).toFixed(2)} to ${at(ratios, 0.9).toFixed(2)}`,
  }
}

/** A board that hears keys, on a cell with sets. */
async function openBoard(browser: Browser, { base, cookie, client }: Side): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    baseURL: base,
  })
  await context.addCookies(
    cookie.split('; ').map(one => {
      const [name = '', ...value] = one.split('=')
      return { name, value: value.join('='), url: base }
    }),
  )
  const page = await context.newPage()
  await page.goto(`/clients/${client}/split`)
  await page.locator('[role=grid][aria-busy=false]').waitFor()
  await page.waitForLoadState('networkidle')
  await page
    .locator(
      '[role=gridcell][aria-label^="Biceps, day"]:not([aria-label*="no sets"]):not([aria-label*=" 0 direct"])',
    )
    .first()
    .click()
  return page
}

/** The median of some presses, key to next paint: a set more and a set less. */
async function pressed(page: Page): Promise<number> {
  await page.bringToFront()
  const took: number[] = []
  for (let key = 0; key < KEYS.each; key++) {
    // The listener is there before the key is.
    await page.evaluate(() => {
      const timing = window as unknown as { took?: Promise<number> }
      timing.took = new Promise(resolve =>
        document.addEventListener(
          'keydown',
          ({ timeStamp }) =>
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - timeStamp))),
          { capture: true, once: true },
        ),
      )
    })
    await page.keyboard.press(key % 2 === 0 ? '+' : '-')
    took.push(await page.evaluate(() => (window as unknown as { took: Promise<number> }).took))
    await page.waitForTimeout(KEYS.pauseMs)
  }
  return at(inOrder(took), 0.5)
}

const { NOW_URL = '', NOW_PASSWORD = '', THEN_URL = '', THEN_PASSWORD = '' } = process.env
const now = await signedIn(NOW_URL, NOW_PASSWORD)
const then = await signedIn(THEN_URL, THEN_PASSWORD)
const rows: object[] = []
for (const [what, path] of ASKED) {
  await compared(what, now, then, asking(path), ROUNDS.warm)
  rows.push(await compared(what, now, then, asking(path), ROUNDS.counted))
}
const browser = await chromium.launch(playwrightConfig.use?.launchOptions)
const boards = new Map([
  [now, await openBoard(browser, now)],
  [then, await openBoard(browser, then)],
])
rows.push(
  await compared(
    'board: key press to next paint',
    now,
    then,
    side => pressed(boards.get(side)!),
    KEYS.rounds,
  ),
)
await browser.close()
console.table(rows)
