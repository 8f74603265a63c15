// Key press to next paint on the largest plan, and the weight of the board's scripts; run through `npm run bench:ui`.
import { randomUUID } from 'node:crypto'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { coachId } from '#core/base'
import playwrightConfig from '../playwright.config'
import { connectedDatabase } from '../server/db/database'
import { insertStudio } from '../server/db/queries/studio'
import { hashedPassword } from '../server/services/passwords'
import { manyClients } from './bench/manyClients'
import { nineDayPlan } from './bench/plans'
import { demoClients } from '../server/demo/studio'
import { serverToday } from '../server/clock'

const EDITS = 200
const CHART_EDITS = 60
const LIMITS = {
  p95Ms: 50,
  chartMs: 200,
  gzippedKb: 220,
  sheetKb: 120,
  rosterMs: 1200,
  reviewMs: 400,
} as const

interface Sampling {
  samples?: number[]
}

const { db, close } = connectedDatabase(process.env.DATABASE_URL ?? '')
const [client] = demoClients(serverToday(), 77)
if (!client) throw new Error('the demo has no client')
const account = { email: 'bench@skerrylane.example', password: randomUUID() }
await insertStudio(
  db,
  {
    id: coachId(randomUUID()),
    email: account.email,
    name: 'Bench',
    studio: 'Bench',
    passwordHash: await hashedPassword(account.password),
  },
  [{ ...client, plan: nineDayPlan() }],
)

const browser = await chromium.launch(playwrightConfig.use?.launchOptions)
const many = await manyClients(browser, process.env.BASE_URL ?? '', db)
await close()
const page = await (
  await browser.newContext({
    viewport: { width: 1280, height: 800 },
    baseURL: process.env.BASE_URL ?? '',
  })
).newPage()
await page.request.post('/api/sign-in', { data: account })
const sizes = new Map<string, number>()
const asked = new Set<string>()
page.on(
  'request',
  request =>
    request.url().endsWith('.js') &&
    request.resourceType() === 'script' &&
    asked.add(request.url()),
)
page.on('response', response => {
  if (response.url().endsWith('.js'))
    void response.body().then(
      body => sizes.set(response.url(), gzipSync(body).length),
      () => {},
    )
})
await page.goto(`/clients/${client.id}/split`)
// What has been asked for as a script when the board hears keys was needed for it; what is only fetched ahead is no script yet.
await page.locator('[role=grid][aria-busy=false]').waitFor()
const scripts = [...asked]
await page.waitForLoadState('networkidle')
const loaded = scripts.reduce((sum, url) => sum + (sizes.get(url) ?? 0), 0) / 1024

/** Presses a key to and fro, and gives the times from each press to the paint that answers it, sorted. */
async function pressed(...keys: readonly string[]): Promise<readonly number[]> {
  await page.evaluate(() => {
    const sampling = window as unknown as Sampling
    const isHeard = sampling.samples !== undefined
    sampling.samples = []
    if (isHeard) return
    document.addEventListener(
      'keydown',
      ({ timeStamp }) =>
        requestAnimationFrame(() => {
          const { port1, port2 } = new MessageChannel()
          port1.onmessage = () => sampling.samples?.push(performance.now() - timeStamp)
          port2.postMessage(null)
        }),
      true,
    )
  })
  for (let edit = 0; edit < EDITS; edit++) {
    await page.keyboard.press(keys[edit % keys.length] ?? '+')
    await page.waitForTimeout(30)
  }
  return (await page.evaluate(() => (window as unknown as Sampling).samples ?? [])).sort(
    (a, b) => a - b,
  )
}

await page
  .locator(
    '[role=gridcell][aria-label^="Biceps, day"]:not([aria-label*="no sets"]):not([aria-label*=" 0 direct"])',
  )
  .first()
  .click()
const onBoard = await pressed('+', '-')
await page.goto(`/clients/${client.id}/session/1`)
await page.locator('[aria-busy=false] ol').first().waitFor()
await page.waitForLoadState('networkidle')
const inSession = await pressed('+', '-')
const rests = await pressed(']', '[')
/** Steps the ramp of a muscle up and down and gives the times until its chart is painted anew, sorted. */
async function rampedCharts(): Promise<readonly number[]> {
  await page.goto(`/clients/${client?.id}/block?view=charts`)
  await page.locator('[data-drawn]').nth(3).waitFor()
  await page.getByRole('combobox', { name: 'Course' }).selectOption('linear')
  const field = page.getByRole('spinbutton', { name: 'Last working rotation' })
  await field.focus()
  const samples: number[] = []
  for (let edit = 0; edit < CHART_EDITS; edit++) {
    await page.evaluate(() => {
      const sampling = window as unknown as { took?: Promise<number> }
      sampling.took = new Promise(resolve => {
        let from = 0
        document.addEventListener('keydown', ({ timeStamp }) => (from = timeStamp), {
          capture: true,
          once: true,
        })
        const chart = document.querySelector('[data-drawn]')
        if (!chart) return
        const observer = new MutationObserver(() => {
          observer.disconnect()
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from)))
        })
        observer.observe(chart, { attributeFilter: ['data-drawn'] })
      })
    })
    await page.keyboard.press(edit % 2 === 0 ? 'ArrowUp' : 'ArrowDown')
    samples.push(await page.evaluate(() => (window as unknown as { took: Promise<number> }).took))
    await page.waitForTimeout(30)
  }
  return samples.sort((a, b) => a - b)
}
const ramped = await rampedCharts()

/** Scripts a phone loads to show its sheet for the first time, kB gzipped. */
async function sheetWeight(): Promise<{ readonly files: number; readonly kb: number }> {
  const { token } = (await (
    await page.request.post(`/api/clients/${client?.id}/link`, { data: { pin: null, days: null } })
  ).json()) as { token: string }
  const phone = await (
    await browser.newContext({
      viewport: { width: 390, height: 844 },
      baseURL: process.env.BASE_URL ?? '',
      serviceWorkers: 'block',
    })
  ).newPage()
  const loaded: Promise<number>[] = []
  phone.on(
    'response',
    response =>
      response.url().endsWith('.js') &&
      loaded.push(
        response.body().then(
          body => gzipSync(body).length,
          () => 0,
        ),
      ),
  )
  await phone.goto(`/sheet/${token}`)
  await phone.locator('.phone[data-state=ready]').waitFor()
  const sizes = await Promise.all(loaded)
  return { files: sizes.length, kb: sizes.reduce((sum, size) => sum + size, 0) / 1024 }
}
const phoneSheet = await sheetWeight()
const at = (samples: readonly number[], share: number) =>
  samples[Math.floor(share * samples.length)] ?? 0
const row = (what: string, samples: readonly number[], limit: number = LIMITS.p95Ms) => ({
  what: `${what}, ${samples.length} times, ms`,
  median: at(samples, 0.5).toFixed(1),
  p95: at(samples, 0.95).toFixed(1),
  limit,
})
console.table([
  row('board: key press to next paint', onBoard),
  row('session: sets, key press to next paint', inSession),
  row('session: rests, key press to next paint', rests),
  row('block: a ramp changed, key press to charts painted', ramped, LIMITS.chartMs),
  row('roster of 400, first paint, first visit after a start', many.firstVisit, LIMITS.rosterMs),
  row('roster of 400, first paint', many.rosterPaint, LIMITS.rosterMs),
  row('review of the next client, chosen to painted', many.nextReview, LIMITS.reviewMs),
  {
    what: `scripts of the board's first view, ${scripts.length} files, kB gzipped`,
    median: loaded.toFixed(0),
    p95: '',
    limit: LIMITS.gzippedKb,
  },
  {
    what: `scripts of the phone sheet's first view, ${phoneSheet.files} files, kB gzipped`,
    median: phoneSheet.kb.toFixed(0),
    p95: '',
    limit: LIMITS.sheetKb,
  },
])
await browser.close()
