import { AxeBuilder } from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import type { TestStudio } from '../support/studio'
import {
  boardIsLive,
  cell,
  expect,
  openSplit,
  sessionIsLive,
  signedIn,
  test,
} from '../support/test'

const GRAVE = new Set<unknown>(['serious', 'critical'])

/** What differs between the themes: colours, and nothing else. */
const RULES_OF_COLOUR = ['color-contrast', 'link-in-text-block']

/** Serious and critical findings of the page as it stands. */
async function graveFindings(page: Page, rules?: string[]): Promise<readonly string[]> {
  // What passes is not asked for, nothing is fetched again, and no second page adds up the answers of frames: there are none.
  const all = new AxeBuilder({ page })
    .options({ resultTypes: ['violations'], preload: false })
    .setLegacyMode()
  const { violations } = await (rules ? all.withRules(rules) : all).analyze()
  return violations
    .filter(({ impact }) => GRAVE.has(impact))
    .map(({ id, nodes }) => {
      const where = nodes.map(node => node.target.join(' ')).slice(0, 3)
      return `${id}: ${where.join(', ')}`
    })
}

const inTheme = (page: Page, colorScheme: 'light' | 'dark') =>
  page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })

/** The page as it stands, in both themes: everything in the light one, the colours in the dark one. */
async function lookInBothThemes(page: Page, what: string): Promise<void> {
  expect(await graveFindings(page), `${what}, light`).toEqual([])
  await inTheme(page, 'dark')
  expect(await graveFindings(page, RULES_OF_COLOUR), `${what}, dark`).toEqual([])
  await inTheme(page, 'light')
}

test.use({ logs: 'logged' })

/** One look: what is in sight must have no grave finding. */
type Look = (what: string) => Promise<void>

interface Walk {
  readonly page: Page
  readonly studio: TestStudio
  readonly look: Look
}

/** A dialog that a key opens and Escape closes. */
async function lookAtDialogs(
  { page, look }: Walk,
  dialogs: readonly (readonly [key: string, heading: string | RegExp])[],
): Promise<void> {
  for (const [key, name] of dialogs) {
    await page.keyboard.press(key)
    await expect(page.getByRole('heading', { name })).toBeVisible()
    await look(String(name))
    await page.keyboard.press('Escape')
    await expect(page.getByRole('heading', { name })).toBeHidden()
  }
}

async function lookAtPages({ page, look }: Walk, paths: readonly string[]): Promise<void> {
  for (const path of paths) {
    await page.goto(path)
    await look(path)
  }
}

/** Every screen with its dialogs; each is a test of its own. */
const SCREENS: Readonly<Record<string, (walk: Walk) => Promise<void>>> = {
  'the roster': async ({ page, look }) => {
    await page.goto('/roster')
    await page.getByRole('button', { name: /^Reasons and answers for Teo/ }).click()
    await look('roster')
  },
  'the library and the methods': async walk => {
    await lookAtPages(walk, ['/exercises', '/methods'])
    await walk.page.goto('/exercises')
    await walk.page.getByRole('button', { name: 'Copy as my own' }).click()
    await walk.look('own exercise')
  },
  'the queue, what if and together': walk => lookAtPages(walk, ['/queue', '/what-if', '/together']),
  'archive, comparison, messages': walk => lookAtPages(walk, ['/archive', '/compare', '/outbox']),
  'a client’s profile, targets and history': async walk => {
    const client = `/clients/${walk.studio.client('Teo').id}`
    await lookAtPages(walk, [client, `${client}/targets`, `${client}/history`])
  },
  'a client’s review, trends, rehearsal and report': async walk => {
    const client = `/clients/${walk.studio.client('Teo').id}`
    const parts = ['season', 'review', 'plateau/triceps', 'trends', 'rehearsal', 'report']
    await lookAtPages(
      walk,
      parts.map(part => `${client}/${part}`),
    )
  },
  'the board': async walk => {
    const { page, studio, look } = walk
    await openSplit(page, studio, 'Joren')
    await cell(page, 'Triceps', 'day 1 Push').click()
    await page.keyboard.press('h')
    await look('split board with heads')
    await page.keyboard.press('Shift+ArrowRight')
    await look('carrying')
    await page.keyboard.press('Escape')
    await lookAtDialogs(walk, [['e', 'Add an exercise']])
    await page.keyboard.press('t')
    await look('plain table')
  },
  'the board’s dialogs': async walk => {
    await openSplit(walk.page, walk.studio, 'Joren')
    await cell(walk.page, 'Triceps', 'day 1 Push').click()
    await lookAtDialogs(walk, [
      ['x', /Checks/],
      ['Shift+M', /beside/],
      ['y', /where the figure/],
      ['o', /Rotation/],
      ['c', /Calendar weeks/],
      ['b', /History of this plan/],
    ])
  },
  'a session': async walk => {
    const { page, studio, look } = walk
    await page.goto(`/clients/${studio.client('Marit').id}/session/4`)
    await sessionIsLive(page)
    await page.getByRole('button', { name: 'Settings of Cable curl, bar' }).click()
    await look('session')
    await lookAtDialogs(walk, [
      ['l', 'Only so many minutes'],
      ['v', /^Swap/],
      ['b', 'Session templates'],
      ['x', 'The session as text'],
    ])
  },
  'the block': async ({ page, studio, look }) => {
    for (const [view, there] of [
      ['rotations', 'grid'],
      ['terms', 'table'],
      ['loads', 'table'],
      ['charts', 'img'],
      ['calendar', 'table'],
    ] as const) {
      await page.goto(`/clients/${studio.client('Marit').id}/block?view=${view}`)
      await expect(page.getByRole(there).first()).toBeVisible()
      await look(`block, ${view}`)
    }
    await page.getByRole('button', { name: 'The next block' }).click()
    await expect(page.getByRole('heading', { name: 'The next block' })).toBeVisible()
    await look('next block')
  },
  'the log': async walk => {
    await walk.page.goto(`/clients/${walk.studio.client('Marit').id}/log`)
    await expect(walk.page.getByRole('textbox').first()).toBeVisible()
    await walk.look('log')
    await lookAtDialogs(walk, [
      ['k', /^Sheet of/],
      ['i', 'Import a log'],
    ])
  },
  'the client’s sheet': async ({ page, studio, look }) => {
    const link = `/api/clients/${studio.client('Marit').id}/link`
    const made = await page.request.post(link, { data: { pin: null, days: null } })
    const { token } = (await made.json()) as { token: string }
    await page.goto(`/sheet/${token}`)
    await expect(page.getByRole('button', { name: 'Sore?' })).toBeVisible()
    await look('sheet')
    await page
      .getByRole('button', { name: /^(Begin|Arms)/ })
      .first()
      .click()
    await page.getByRole('button', { name: /^Log / }).click()
    await look('training')
    for (const [button, title] of [
      ['Sore?', 'What hurts?'],
      ['Less time, more', 'This session'],
      ['Swap', /^Instead of/],
    ] as const) {
      await page.getByRole('button', { name: button, exact: true }).click()
      await expect(page.getByRole('dialog', { name: title })).toBeVisible()
      await look(String(title))
      await page.getByRole('dialog', { name: title }).getByRole('button', { name: 'Close' }).click()
    }
  },
  'proposals, paper and what is not there': async ({ page, studio, look }) => {
    await page.goto(`/clients/${studio.client('Emil').id}/proposals`)
    const first = page.getByRole('region', { name: /^A, / })
    await expect(first).toBeVisible({ timeout: 60_000 })
    await look('proposals')
    await page.getByRole('region', { name: 'Other terms' }).getByLabel('Terms').fill('2 days')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('rowheader', { name: '2 days' })).toBeVisible({ timeout: 60_000 })
    await look('other terms')
    await page.request.post('/api/clients', {
      data: { ...studio.client('Emil').profile, name: 'Nobody Yet' },
    })
    await page.goto('/roster')
    await page
      .getByRole('link', { name: /Nobody Yet/ })
      .first()
      .click()
    await boardIsLive(page)
    await page.keyboard.press('p')
    await expect(first).toBeVisible({ timeout: 60_000 })
    await look('drafts')
    await page.goto(`/clients/${studio.client('Marit').id}/print?day=4`)
    await look('print')
    await page.goto('/clients/nobody/split')
    await look('not found')
  },
}

/** Pages a coach uses on a phone, beside the desk's. */
const ON_A_PHONE = [
  '/roster',
  '/floor',
  '/queue',
  '/guide',
  '/split',
  '/log',
  '/review',
  '/history',
] as const

test('no grave finding: on a phone, and what the bar opens', async ({ page, studio }) => {
  test.slow()
  await page.setViewportSize({ width: 390, height: 844 })
  await inTheme(page, 'light')
  await signedIn(page, studio)
  const { id } = studio.client('Ines')
  for (const path of ON_A_PHONE) {
    const isStudio = ['/roster', '/floor', '/queue', '/guide'].includes(path)
    await page.goto(isStudio ? path : `/clients/${id}${path}`)
    await page.locator('main').first().waitFor()
    await page.waitForLoadState('networkidle')
    await lookInBothThemes(page, path)
  }
  await page.setViewportSize({ width: 1280, height: 800 })
  for (const [key, heading] of [
    ['u', /^Done for/],
    ['?', 'Help: History'],
    ['Shift+G', 'Go to'],
  ] as const) {
    await page.keyboard.press(key)
    await expect(
      page.getByRole('dialog').getByRole('heading', { name: heading }).first(),
    ).toBeVisible()
    await lookInBothThemes(page, `opened by ${key}`)
    await page.keyboard.press('Escape')
  }
  await page.getByRole('button', { name: /account menu$/ }).click()
  await lookInBothThemes(page, 'account menu')
})

test('no grave finding: signing in', async ({ page }) => {
  await inTheme(page, 'light')
  await page.goto('/sign-in')
  await lookInBothThemes(page, 'sign-in')
})

for (const [name, walk] of Object.entries(SCREENS))
  test(`no grave finding: ${name}`, async ({ page, studio, expectedErrors }) => {
    test.slow()
    expectedErrors.push(/404/)
    await inTheme(page, 'light')
    await signedIn(page, studio)
    await walk({ page, studio, look: what => lookInBothThemes(page, what) })
  })

test('the chosen theme is there from the first drawing on', async ({ page, studio }) => {
  await signedIn(page, studio)
  await page.goto('/roster')
  for (const theme of ['as the system', 'light']) {
    await page.getByRole('button', { name: /account menu$/ }).click()
    await page.getByRole('menuitem', { name: `Theme: ${theme}` }).click()
  }
  await page.goto(`/clients/${studio.client('Emil').id}/split`)
  await boardIsLive(page)
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
})
