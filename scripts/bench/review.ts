import { randomUUID } from 'node:crypto'
import { chromium } from '@playwright/test'
import { coachId, type PlainDate } from '#core/base'
import { catalogueWith } from '#core/plan/catalogue'
import { contextWith, methodById } from '#core/plan/method'
import { usualBlock } from '#core/design/progress'
import { sql } from 'drizzle-orm'
import playwrightConfig from '../../playwright.config'
import { connectedDatabase } from '../../server/db/database'
import { insertHistories, insertStudio } from '../../server/db/queries/studio'
import { hashedPassword } from '../../server/services/passwords'
import { type DemoClient, demoClients } from '../../server/demo/studio'
import { writtenHistory } from '../../server/demo/writtenHistory'
import { serverToday } from '../../server/clock'

const WEEKS = 104
const TIMES = 200
const WARM_UP = 20
const BLOCK_WEEKS = 12
const RUNS = 1000
const LIMITS = { reviewMs: 150, rehearsalSeconds: 3, sheetMs: 30, storyMs: 150 } as const

const today = () => serverToday()

function named(clients: readonly DemoClient[], name: string): DemoClient {
  const found = clients.find(client => client.name.startsWith(name))
  if (!found) throw new Error(`the demo has no ${name}`)
  return found
}

const MOST_PASSES = 60

/** A block behind holds no more rotations than one may have; its sessions stay. */
const withinBounds = (history: ReturnType<typeof writtenHistory>) => ({
  ...history,
  closedBlocks: history.closedBlocks.map(({ plan, ...block }) => ({
    ...block,
    plan: { ...plan, passes: Math.min(MOST_PASSES, plan.passes) },
  })),
})

/** A coach of the bench's own, with some clients, and one of them with so many weeks of logs. */
async function studio(
  databaseUrl: string,
  clients: readonly DemoClient[],
  logged: DemoClient | undefined,
  on: PlainDate,
) {
  const { db, close } = connectedDatabase(databaseUrl)
  const account = { email: `${randomUUID()}@skerrylane.example`, password: randomUUID() }
  const id = coachId(randomUUID())
  await insertStudio(
    db,
    {
      id,
      email: account.email,
      name: 'Bench',
      studio: 'Bench',
      passwordHash: await hashedPassword(account.password),
    },
    clients,
  )
  const history = logged && withinBounds(writtenHistory(logged, on, WEEKS))
  if (history) await insertHistories(db, id, [history])
  // A database that has run for two years knows how large its tables are; one that was filled a second ago does not yet.
  await db.execute(sql`analyze`)
  await close()
  return {
    account,
    sessions: history?.sessions.filter(({ finishedAt }) => finishedAt !== null).length ?? 0,
  }
}

function percentile(samples: readonly number[], share: number): string {
  const sorted = [...samples].sort((a, b) => a - b)
  return (sorted[Math.floor(share * sorted.length)] ?? 0).toFixed(0)
}

/** Asks the built server for the review, the phone's sheet and a story of a client with two years of logs, one request after another. */
export async function benchReview(base: string, databaseUrl: string): Promise<void> {
  const clients = demoClients(today(), 501)
  const client = named(clients, 'Joren')
  const { account, sessions } = await studio(databaseUrl, clients, client, today())
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions)
  const { request } = await browser.newContext({ baseURL: base })
  await request.post('/api/sign-in', { data: account })
  const timed = async (path: string, headers: Record<string, string> = {}) => {
    const samples: number[] = []
    for (let at = 0; at < TIMES + WARM_UP; at++) {
      const began = performance.now()
      const answer = await request.get(path, { headers })
      if (answer.status() !== 200) throw new Error(`${path} answered ${answer.status()}`)
      if (at >= WARM_UP) samples.push(performance.now() - began)
    }
    return `p50 ${percentile(samples, 0.5)}, p95 ${percentile(samples, 0.95)}, p99 ${percentile(samples, 0.99)} ms`
  }
  const about = `of a client with ${sessions} logged sessions in two years, over HTTP`
  const path = `/api/clients/${client.id}`
  console.log(`review ${about}: ${await timed(`${path}/review/latest`)} (limit ${LIMITS.reviewMs})`)
  const link = await request.post(`${path}/link`, { data: { pin: null, days: null } })
  const { token } = (await link.json()) as { token: string }
  const opened = await request.post('/api/sheet/open', { data: { token, pin: null } })
  const { key } = (await opened.json()) as { key: string }
  const sheet = await timed('/api/sheet', { authorization: `Sheet ${key}` })
  console.log(`sheet ${about}: ${sheet} (limit ${LIMITS.sheetMs})`)
  console.log(
    `story of an exercise ${about}: ${await timed(`${path}/stories/cable_curl`)} (limit ${LIMITS.storyMs})`,
  )
  await browser.close()
}

/** Rehearses a block of twelve weeks a thousand times in the worker of the built application. */
export async function benchRehearsal(base: string, databaseUrl: string): Promise<void> {
  const all = demoClients(today(), 502)
  const marit = named(all, 'Marit')
  const { block: _, ...bare } = marit.plan
  const plan = { ...bare, passes: Math.ceil((BLOCK_WEEKS * 7) / bare.rotation.days.length) }
  const client = {
    ...marit,
    plan: {
      ...plan,
      block: usualBlock(
        plan,
        contextWith(
          methodById(marit.method),
          marit.facts,
          catalogueWith({ exercises: [], credits: {} }),
        ),
      ),
    },
  }
  const { account } = await studio(databaseUrl, [client], undefined, today())
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions)
  const page = await (await browser.newContext({ baseURL: base })).newPage()
  await page.request.post('/api/sign-in', { data: account })
  await page.goto(`/clients/${client.id}/rehearsal`)
  await page.locator('[aria-busy=false]').first().waitFor()
  // The page rehearses once by itself.
  await page.getByRole('button', { name: /^Rehearse/ }).waitFor({ timeout: 60_000 })
  await page.getByLabel('Runs').selectOption(String(RUNS))
  const seconds: string[] = []
  for (let time = 1; time <= 3; time++) {
    await page.getByLabel('Draw').fill(String(time))
    await page.getByRole('button', { name: /^Rehearse/ }).click()
    const said = page.getByRole('status').filter({ hasText: new RegExp(`^\\s*${RUNS} runs in`) })
    await page
      .getByRole('button', { name: /^Cancel/ })
      .waitFor({ state: 'hidden', timeout: 60_000 })
    seconds.push((await said.textContent())?.match(/in ([\d.]+) s/)?.[1] ?? '?')
  }
  await browser.close()
  console.log(
    `rehearsal of ${plan.passes} rotations (${BLOCK_WEEKS} weeks), ${RUNS} runs in the page's worker: ${seconds.join(', ')} s (limit ${LIMITS.rehearsalSeconds})`,
  )
}
