import { METHODS } from '../../core/plan/method'
import { boardIsLive, expect, saved, signedIn, signIn, test, week } from '../support/test'

test('a new client: from the intake to a sent first week in under three minutes', async ({
  page,
  studio,
}) => {
  test.slow()
  await signIn(page, studio)
  const started = Date.now()
  await page.getByRole('link', { name: 'New client' }).click()
  const open = page.getByRole('button', { name: 'Open the board' })
  await expect(open).toBeEnabled()
  await page.getByLabel('Name', { exact: true }).fill('Aslaug Brattvoll')
  await page.getByLabel('Months of training').fill('30')
  for (const day of ['Mon', 'Tue', 'Thu', 'Fri'])
    await page.getByRole('group', { name: day, exact: true }).getByRole('checkbox').setChecked(true)
  const screening = page
    .getByRole('radiogroup')
    .filter({ has: page.getByLabel('no', { exact: true }) })
  for (const question of await screening.all())
    await question.getByLabel('no', { exact: true }).check()
  await open.click()
  await boardIsLive(page)
  await expect(page.getByText(/P drafts the whole rotation/)).toBeVisible()
  await page.keyboard.press('p')
  await expect(page.getByRole('heading', { name: 'A rotation from nothing' })).toBeVisible()
  const first = page.getByRole('region', { name: /^A, / })
  await expect(first).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('region', { name: /^C, / })).toBeVisible()
  await expect(first.getByRole('heading', { name: /^Day 1/ })).toBeVisible()
  const promised = await first.locator('dd', { hasText: 'to look at' }).innerText()
  const biceps = await first.locator('b.font-display').first().innerText()
  await page.keyboard.press('a')
  await boardIsLive(page)
  await saved(page)
  await expect(week(page, 'Biceps')).toHaveAccessibleName(
    new RegExp(`^Biceps: ${biceps.replace('.', '\\.')} sets`),
  )
  await expect(
    page.getByText(promised.startsWith('0 ') ? 'Nothing to look at' : promised),
  ).toBeVisible()
  await page.getByRole('link', { name: 'Block', exact: true }).click()
  await page.getByRole('button', { name: /^Send rotation 1/ }).click()
  await expect(page.getByText(/^Rotation 1 is sent: 4 sessions\.$/)).toBeVisible()
  expect(Date.now() - started).toBeLessThan(180_000)
})

test('five methods fill one template for one client in five ways, and the checks say other things', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const own = await page.request.get(`/api/clients/${studio.client('Joren').id}/profile`)
  const profile = (await own.json()) as Record<string, unknown>
  const boards: { readonly weeks: string; readonly checks: string }[] = []
  for (const { id: method, name } of METHODS) {
    const made = await page.request.post('/api/clients', {
      data: { ...profile, name: `By ${name}`, method },
    })
    const { id } = (await made.json()) as { id: string }
    await page.goto(`/clients/${id}/split`)
    await boardIsLive(page)
    await page.keyboard.press('o')
    await page
      .getByRole('button', { name: /^Use Push, pull, legs twice, arms as finishers/ })
      .click()
    await expect(page.getByText(/filled for this client/)).toBeVisible()
    await page.keyboard.press('x')
    const checks = page.getByRole('dialog', { name: 'Checks' })
    await expect(checks).toBeVisible()
    const arms = ['Biceps', 'Triceps', 'Forearms']
    const weeks = arms.map(muscle => week(page, muscle).getAttribute('aria-label'))
    boards.push({
      weeks: (await Promise.all(weeks)).join(' '),
      checks: await checks.getByRole('list').innerText(),
    })
  }
  expect(new Set(boards.map(({ weeks }) => weeks)).size).toBe(METHODS.length)
  expect(new Set(boards.map(({ checks }) => checks)).size).toBe(METHODS.length)
})
