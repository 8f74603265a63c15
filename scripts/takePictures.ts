// Takes the pictures; run through `npm run screenshots`, which starts the application on demo data.
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import playwrightConfig from '../playwright.config'
import { DEMO_COACH } from '../server/demo/studio'

interface Picture {
  readonly name: string
  readonly theme?: 'dark'
  readonly take: (page: Page) => Promise<unknown>
}

const board = (page: Page, client: string) => async () => {
  await page.getByRole('link', { name: new RegExp(`^${client}`) }).click()
  await page.locator('[role=grid][aria-busy=false]').waitFor()
}

async function keys(page: Page, ...pressed: readonly string[]): Promise<void> {
  for (const key of pressed) await page.keyboard.press(key)
}

async function session(page: Page, client: string, day: number): Promise<void> {
  await board(page, client)()
  await keys(page, String(day), 'Enter')
  await page.locator('[aria-busy=false] ol').first().waitFor()
}

async function block(page: Page, client: string, view: string): Promise<void> {
  await board(page, client)()
  await page.getByRole('link', { name: 'Block', exact: true }).click()
  await page
    .locator('[aria-busy=false]')
    .filter({ has: page.getByRole('group', { name: 'View' }) })
    .waitFor()
  await page.getByRole('button', { name: new RegExp(`^${view}`, 'i') }).click()
}

/** A client's review, by one of its ways. */
async function reviewWay(page: Page, client: string, way: string): Promise<void> {
  await board(page, client)()
  await page.getByRole('link', { name: 'Follow', exact: true }).click()
  await page.getByRole('navigation', { name: 'In Follow' }).getByRole('link', { name: way }).click()
  // Until the way is there, keys would still go to the rotation.
  await page
    .locator('[aria-busy=false]')
    .filter({
      has: page
        .getByRole('navigation', { name: 'In Follow' })
        .locator('[aria-current=page]', { hasText: way }),
    })
    .waitFor()
}

/** The client's sheet on a phone of its own, with the first round of the longest session logged. */
async function sheet(page: Page, client: string): Promise<void> {
  const { clients } = (await (await page.request.get('/api/roster')).json()) as {
    clients: { id: string; name: string }[]
  }
  const id = clients.find(({ name }) => name.startsWith(client))?.id ?? ''
  const { token } = (await (
    await page.request.post(`/api/clients/${id}/link`, { data: { pin: null, days: null } })
  ).json()) as { token: string }
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/sheet/${token}`)
  await page.getByRole('button', { name: /^Arms/ }).first().click()
  for (let set = 0; set < 4; set++) await page.getByRole('button', { name: /^Log / }).click()
  await page.locator('.phone[data-waiting="0"]').waitFor()
}

const PICTURES: readonly Picture[] = [
  {
    name: 'roster',
    take: async page => page.getByRole('button', { name: /^Reasons and answers for Teo/ }).click(),
  },
  {
    name: 'split-board',
    take: async page => (await board(page, 'Marit')(), await keys(page, '4')),
  },
  {
    name: 'floor',
    theme: 'dark',
    take: async page => (
      await page.goto('/floor'),
      await page.locator('main[aria-busy=false]').waitFor(),
      await keys(page, 'n'),
      await page.getByRole('listitem').first().waitFor()
    ),
  },
  {
    name: 'queue',
    take: async page => (
      await page.goto('/queue'),
      await page.getByRole('region', { name: /^Review of/ }).waitFor({ timeout: 60_000 }),
      await page.getByText('more being read').waitFor({ state: 'hidden', timeout: 60_000 })
    ),
  },
  {
    name: 'new-client',
    take: async page => (
      await page.getByRole('link', { name: 'New client' }).click(),
      await page.getByLabel('Name', { exact: true }).fill('Tora Eikeland'),
      await page.getByLabel('Months of training').fill('50')
    ),
  },
  {
    name: 'methods',
    take: async page => (await page.goto('/methods'), await page.getByRole('table').waitFor()),
  },
  {
    name: 'exercises',
    take: async page => (
      await page.goto('/exercises?id=cable_curl'),
      await page.getByRole('radio', { name: 'Biceps 0.75' }).check(),
      await page
        .getByText(/Changes \d/)
        .first()
        .waitFor()
    ),
  },
  {
    name: 'history',
    take: async page => (
      await board(page, 'Teo')(),
      await page.getByRole('link', { name: 'Client', exact: true }).click(),
      await page.getByRole('link', { name: 'History', exact: true }).click(),
      await page.getByRole('heading', { name: 'Joints', exact: true }).waitFor()
    ),
  },
  {
    name: 'session',
    take: async page => (
      await session(page, 'Marit', 4),
      await page.getByRole('button', { name: /^2: Preacher/ }).click()
    ),
  },
  {
    name: 'proposals',
    take: async page => (
      await board(page, 'Marit')(),
      await keys(page, 'p'),
      await page.getByRole('region', { name: /^A, / }).waitFor({ timeout: 60_000 })
    ),
  },
  {
    name: 'block',
    take: async page => (
      await block(page, 'Marit', 'rotations'),
      await page.getByRole('gridcell', { name: /^Triceps, rotation 6:/ }).click()
    ),
  },
  {
    name: 'season',
    take: async page => {
      await board(page, 'Marit')()
      await page.getByRole('link', { name: 'Season', exact: true }).click()
      await page.getByRole('region', { name: / to / }).waitFor()
    },
  },
  { name: 'sheet', take: page => sheet(page, 'Marit') },
  {
    name: 'log',
    take: async page => (
      await board(page, 'Marit')(),
      await page.getByRole('link', { name: 'Follow', exact: true }).click(),
      await page.getByRole('textbox').first().waitFor()
    ),
  },
  {
    name: 'review',
    take: async page => (
      await board(page, 'Ines')(),
      await page.getByRole('link', { name: 'Follow', exact: true }).click(),
      await page.getByRole('link', { name: 'Review', exact: true }).click(),
      await page.getByRole('list', { name: 'Proposals' }).waitFor()
    ),
  },
  {
    name: 'trends',
    take: async page => (
      await reviewWay(page, 'Joren', 'Trends'),
      await page.getByRole('button', { name: /^Overhead rope extension/ }).click(),
      await page.locator('[data-drawn]').nth(3).waitFor()
    ),
  },
  {
    name: 'rehearsal',
    theme: 'dark',
    take: async page => (
      await reviewWay(page, 'Marit', 'Rehearsal'),
      await keys(page, 'r'),
      await page.locator('[data-drawn]').nth(2).waitFor({ timeout: 60_000 })
    ),
  },
  {
    name: 'report',
    take: async page => (
      await reviewWay(page, 'Joren', 'Report'),
      await page.locator('[data-drawn]').nth(1).waitFor()
    ),
  },
  {
    name: 'session-print',
    take: async page => (
      await session(page, 'Marit', 4),
      await page.getByRole('link', { name: 'Print' }).click(),
      await page.getByRole('article').waitFor()
    ),
  },
]

const wanted = process.argv.slice(2)
const browser = await chromium.launch(playwrightConfig.use?.launchOptions)
for (const { name, theme, take } of PICTURES) {
  if (wanted.length > 0 && !wanted.includes(name)) continue
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: theme ?? 'light',
    baseURL: process.env.BASE_URL ?? '',
  })
  const page = await context.newPage()
  await page.goto('/sign-in')
  await page.getByLabel('Email').fill(DEMO_COACH.email)
  await page.getByLabel('Password').fill(process.env.DEMO_PASSWORD ?? '')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('heading', { level: 1 }).filter({ hasNotText: 'Sign in' }).waitFor()
  await take(page)
  await page.mouse.move(0, 0)
  await page.evaluate(() => document.fonts.ready)
  await page
    .locator('.nuxt-loading-indicator')
    .evaluate(element => new Promise(resolve => setTimeout(resolve, element ? 900 : 0)))
  await page.screenshot({
    path: join(process.env.SCREENSHOTS ?? '.', `${name}.png`),
    fullPage: name === 'new-client',
  })
  console.log(`· ${name}.png`)
  await context.close()
}
await browser.close()
