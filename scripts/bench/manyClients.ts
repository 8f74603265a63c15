import { randomUUID } from 'node:crypto'
import type { Browser, Page } from '@playwright/test'
import type { Database } from '../../server/db/database'
import { serverToday } from '../../server/clock'
import { hashedPassword } from '../../server/services/passwords'
import { rosterStudio } from './rosterStudio'

const CLIENTS = 400
const WEEKS = 12
const VISITS = 12
const REVIEWS = 30

/** What a roster of 400 clients asks of one's patience, ms, each sorted. */
export interface Waits {
  /** From asking for the roster's address to its first rows painted, by the first visitor after a start. */
  readonly firstVisit: readonly number[]
  readonly rosterPaint: readonly number[]
  /** From choosing another client on the review page to that client's review painted. */
  readonly nextReview: readonly number[]
}

/** A studio of 400 clients with three months of logs, seen in the browser. */
export async function manyClients(browser: Browser, baseURL: string, db: Database): Promise<Waits> {
  const password = randomUUID()
  const { coach, clients } = await rosterStudio({
    count: CLIENTS,
    weeks: WEEKS,
    today: serverToday(),
    passwordHash: await hashedPassword(password),
    db,
  })
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL })
  const page = await context.newPage()
  await page.request.post('/api/sign-in', { data: { email: coach.email, password } })
  const firstVisit = [await paintOfRoster(page)]
  // All logs are read before anything else is timed.
  while (await page.getByText('being read').isVisible()) await page.waitForTimeout(500)
  const rosterPaint: number[] = []
  for (let visit = 0; visit < VISITS; visit++) rosterPaint.push(await paintOfRoster(page))
  await page.goto(`/clients/${clients[0]?.id}/review`)
  await page.locator('[aria-busy=false] h1').waitFor()
  const nextReview: number[] = []
  for (const { name } of clients.slice(1, REVIEWS + 1))
    nextReview.push(await reviewOfNext(page, name))
  await context.close()
  const sorted = (samples: readonly number[]) => [...samples].sort((a, b) => a - b)
  return { firstVisit, rosterPaint: sorted(rosterPaint), nextReview: sorted(nextReview) }
}

/** Opens the roster; when its first contentful paint was, and rows were in it. */
async function paintOfRoster(page: Page): Promise<number> {
  await page.goto('/', { waitUntil: 'load' })
  await page.locator('.roster-row').first().waitFor()
  return page.evaluate(
    () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? Number.NaN,
  )
}

/** Chooses a client by name, as a coach does, and waits for that review. */
async function reviewOfNext(page: Page, name: string): Promise<number> {
  await page.keyboard.press('q')
  const box = page.getByRole('dialog', { name: 'Choose a client' }).getByRole('combobox')
  await box.fill(name)
  await page.getByRole('option', { name }).first().waitFor()
  await page.evaluate(wanted => {
    const timing = window as unknown as { took?: Promise<number> }
    timing.took = new Promise(resolve => {
      const from = { time: Number.NaN }
      const options = { capture: true, once: true }
      document.addEventListener('keydown', ({ timeStamp }) => (from.time = timeStamp), options)
      new MutationObserver((_, observer) => {
        if (!document.title.startsWith(`Review of ${wanted}`)) return
        observer.disconnect()
        requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from.time)))
      }).observe(document, { subtree: true, childList: true, characterData: true })
    })
  }, name)
  await page.keyboard.press('Enter')
  return page.evaluate(() => (window as unknown as { took: Promise<number> }).took)
}
