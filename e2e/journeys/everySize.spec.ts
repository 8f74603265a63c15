import type { Page } from '@playwright/test'
import { expect, signedIn, test } from '../support/test'

/** A phone, a desk at 200 % zoom, a small desk. Units: pixels. */
const WIDTHS = [390, 640, 1024] as const
const SETTLED_MS = 2000
const STUDIO = [
  '/roster',
  '/floor',
  '/queue',
  '/what-if',
  '/together',
  '/exercises',
  '/methods',
  '/compare',
  '/outbox',
  '/archive',
  '/account',
  '/clients/new',
] as const
const CLIENT = [
  '/split',
  '/session/4',
  '/block',
  '/block?view=terms',
  '/block?view=loads',
  '/block?view=charts',
  '/block?view=calendar',
  '/proposals',
  '/season',
  '/log',
  '/review',
  '/trends',
  '/rehearsal',
  '/report',
  '/targets',
  '/history',
  '/plateau/triceps',
  '/print',
  '',
] as const
/** Longer than any name a coach will type, and from right to left. */
const LONG_NAME = `عبد الرحمن ${'Wolffenstein-Oyelaran '.repeat(4).trim()}`

async function tooWide(page: Page): Promise<readonly string[]> {
  const wide: string[] = []
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 800 })
    // What measures itself, as charts do, follows in a moment.
    const isIn = await page
      .waitForFunction(
        () => document.documentElement.scrollWidth <= document.documentElement.clientWidth,
        undefined,
        { timeout: SETTLED_MS },
      )
      .catch(() => null)
    if (!isIn) wide.push(`${page.url()} is wider than ${width}`)
  }
  return wide
}

test.describe('with a log', () => {
  test.use({ logs: 'logged' })
  test('no page of a client or of the studio scrolls sideways, on a phone, at 200 %, on a small desk', async ({
    page,
    studio,
  }) => {
    test.slow()
    await signedIn(page, studio)
    const { id } = studio.client('Marit')
    const wide: string[] = []
    for (const path of [...STUDIO, ...CLIENT.map(way => `/clients/${id}${way}`)]) {
      await page.goto(path)
      await page.locator('main').first().waitFor()
      wide.push(...(await tooWide(page)))
    }
    expect(wide).toEqual([])
  })
})

test('a name that fills the screen, from right to left, stays on two lines and in reach', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id, profile } = studio.client('Joren')
  const saved = await page.request.put(`/api/clients/${id}/profile`, {
    data: { mine: { ...profile, name: LONG_NAME }, was: profile },
  })
  expect(saved.ok()).toBe(true)
  for (const path of ['/roster', `/clients/${id}/split`, `/clients/${id}/review`]) {
    await page.goto(path)
    await page.locator('main').first().waitFor()
    expect(await tooWide(page)).toEqual([])
  }
  await page.setViewportSize({ width: 1024, height: 768 })
  const chooser = page.getByRole('button', { name: /choose another client$/ })
  const box = await chooser.boundingBox()
  const next = await page.getByRole('link', { name: 'Plan', exact: true }).boundingBox()
  expect(box && next && box.x + box.width <= next.x).toBe(true)
})

test('on a phone what is typed, headed and drawn keeps to its own room', async ({
  page,
  studio,
}) => {
  test.slow()
  await page.setViewportSize({ width: 390, height: 844 })
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await page.goto(`/clients/${id}/session/4`)
  const scheme = page.getByRole('textbox', { name: /^Sets of .* in shorthand$/ }).first()
  await expect(scheme).toBeVisible()
  expect((await scheme.boundingBox())?.width).toBeGreaterThan(300)
  await page.goto(`/clients/${id}/block`)
  const head = page.getByRole('columnheader').first()
  await expect(head).toBeVisible()
  await expect
    .poll(() => head.evaluate(one => one.scrollWidth - one.clientWidth))
    .toBeLessThanOrEqual(0)
  await page.goto(`/clients/${id}/proposals`)
  await expect(page.getByRole('region', { name: /^A, Most stimulus/ })).toBeVisible({
    timeout: 60_000,
  })
  expect(await tooWide(page)).toEqual([])
})
