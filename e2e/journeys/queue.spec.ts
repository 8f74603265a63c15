import type { Page } from '@playwright/test'
import { QueueView } from '#shared/contracts/queue'
import { expect, signIn, test } from '../support/test'

test.use({ logs: 'logged' })

async function seen(page: Page) {
  let view: QueueView
  do view = QueueView.parse(await (await page.request.get('/api/queue')).json())
  while (view.unread > 0)
  return view.entries.filter(({ isBehind }) => !isBehind)
}
/** Waits until everybody's log is read and the page hears keys; beside other tests twelve logs take a while. */
async function queueIsLive(page: Page): Promise<void> {
  await expect(page.getByRole('region', { name: /^Review of/ })).toBeVisible()
  await expect(page.getByText(/more being read/)).toHaveCount(0, { timeout: 90_000 })
  await expect(page.getByRole('main')).toHaveAttribute('aria-busy', 'false')
}

test('everybody is reviewed by keyboard alone: safe ones together, the rest one by one, the last undone', async ({
  page,
  studio,
}) => {
  test.slow()
  await signIn(page, studio)
  await expect(page.getByRole('link', { name: /^Reviews/ })).toBeVisible()
  await page.locator('body').press('r')
  await expect(page).toHaveURL(/\/queue$/)
  await queueIsLive(page)
  const before = await seen(page)
  expect(before.length).toBeGreaterThan(6)
  const said = page.getByRole('main').getByRole('status')

  // What is safe, together, and back.
  await page.keyboard.press('a')
  await expect(said.filter({ hasText: /taken for \d+ clients?\. Z takes them back/ })).toBeVisible()
  const settled = await seen(page)
  expect(settled.length).toBeLessThan(before.length)
  await page.keyboard.press('z')
  await expect(page.getByText(/^Undone: safe changes taken for several clients/)).toBeVisible()
  await expect.poll(async () => (await seen(page)).length).toBe(before.length)

  // The first, put behind by N, comes back by Z although the next one is open already.
  await queueIsLive(page)
  const [first, second] = before
  const review = (name: string) => page.getByRole('region', { name: `Review of ${name}` })
  await expect(review(first!.name)).toBeVisible()
  await page.keyboard.press('n')
  await expect(review(second!.name)).toBeVisible()
  await page.keyboard.press('z')
  await expect(page.getByText(/^Undone: client put behind in the queue/)).toBeVisible()
  expect((await seen(page)).map(({ id }) => id)).toContain(first!.id)

  // Undone is said once the page stands anew, so the next key is heard, and what it did is told.
  await page.keyboard.press('a')
  await expect(said.filter({ hasText: /Z takes them back/ })).toBeVisible({ timeout: 60_000 })
  let left = await seen(page)
  while (left.length > 0) {
    await expect(page.getByRole('main')).toHaveAttribute('aria-busy', 'false')
    await page.keyboard.press('n')
    const was = left.length
    await expect.poll(async () => (await seen(page)).length).toBeLessThan(was)
    left = await seen(page)
  }
  await expect(page.getByText(new RegExp(`^${before.length} reviewed, \\d+ changed`))).toBeVisible()
  await page.keyboard.press('Shift+S')
  await expect(said.filter({ hasText: /^Sent to / })).toBeVisible()
  await expect(page.getByText(/reviewed, \d+ changed, [1-9]\d* sent/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/reviewed, \d+ changed, [1-9]\d* sent/)).toBeVisible()
})

test('a proposal taken in the queue stands on the client’s review', async ({ page, studio }) => {
  test.slow()
  await signIn(page, studio)
  await page.goto('/queue')
  await queueIsLive(page)
  const one = (await seen(page)).find(({ why }) => why[0]?.kind === 'proposals')!
  await page
    .getByRole('navigation', { name: 'Clients' })
    .getByRole('button', { name: one.name })
    .click()
  const list = page.getByRole('list', { name: 'Proposals' })
  await expect(page.getByRole('region', { name: `Review of ${one.name}` })).toBeVisible()
  const open = await list.getByRole('listitem').count()
  const [words = ''] = (await list.getByRole('listitem').first().innerText()).split('\n')
  await page.locator('body').press('Enter')
  await expect(list.getByRole('listitem')).toHaveCount(open - 1)
  await page.goto(`/clients/${one.id}/review?rotation=${(one.pass ?? 0) + 1}`)
  await expect(page.getByRole('region', { name: 'Decided' })).toContainText(words)
})

test('on a phone the next client comes into view at the top, not the list below', async ({
  page,
  studio,
}) => {
  test.slow()
  await page.setViewportSize({ width: 390, height: 844 })
  await signIn(page, studio)
  await page.goto('/queue')
  await queueIsLive(page)
  const [, second] = await seen(page)
  await page.getByRole('button', { name: /^Next,/ }).click()
  const next = page.getByRole('region', { name: `Review of ${second!.name}` })
  await expect(next.getByRole('heading', { name: second!.name })).toBeInViewport()
})
