import { serverToday } from '../../server/clock'
import { boardIsLive, expect, saved, signedIn, signIn, test, week } from '../support/test'

/** Opens the Proposals page and waits until they are drawn. */
async function drawn(page: Parameters<typeof signIn>[0], id: string): Promise<void> {
  await page.goto(`/clients/${id}/proposals`)
  await expect(page.getByRole('region', { name: /^A, Most stimulus/ })).toBeVisible({
    timeout: 60_000,
  })
}

test('a client out of band has every arm muscle in band after one proposal, as one step that the history names', async ({
  page,
  studio,
}) => {
  test.slow()
  await signedIn(page, studio)
  const { id } = studio.client('Emil')
  await drawn(page, id)
  const best = page.getByRole('region', { name: /^A, Most stimulus/ })
  await expect(best.getByText('Every want is met')).toBeVisible()
  await expect(page.getByText(/^Proven: within these limits/)).toBeVisible()
  const figure = await best.locator('b.font-display').first().innerText()
  // What the page promises of a proposal is what the board says once it is taken.
  const promised = await best.locator('dd', { hasText: 'to look at' }).innerText()
  const elbow = Number(
    (await best.locator('dd', { hasText: 'hardest session' }).innerText()).split(/\s/)[0],
  )
  await page.keyboard.press('a')
  await boardIsLive(page)
  await expect(week(page, 'Biceps')).toHaveAccessibleName(
    new RegExp(`^Biceps: ${figure.replace('.', '\\.')} sets`),
  )
  for (const muscle of ['Biceps', 'Triceps', 'Forearms'])
    await expect(week(page, muscle)).not.toHaveAccessibleName(/under the floor|over the ceiling/)
  await saved(page)
  await expect(
    page.getByText(promised.startsWith('0 ') ? 'Nothing to look at' : promised),
  ).toBeVisible()
  expect(elbow).toBeGreaterThan(0)
  await page.keyboard.press('b')
  await expect(page.getByRole('textbox', { name: 'Name of version 2' })).toHaveValue(
    'Proposal A: most stimulus',
  )
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
})

test('a week that asks too much says what gives; single changes can be left out; the answer is the same each time', async ({
  page,
  studio,
}) => {
  test.slow()
  await signedIn(page, studio)
  const { id } = studio.client('Liv')
  await drawn(page, id)
  const fewest = page.getByRole('region', { name: /^B, Fewest changes/ })
  await expect(fewest.getByRole('heading', { name: 'What had to give' })).toBeVisible()
  await expect(fewest.getByText(/under the floor|below target/).first()).toBeVisible()
  const first = await fewest.innerText()
  await page.getByRole('button', { name: /^Draw again/ }).click()
  await expect(page.locator('[data-draws]')).toHaveAttribute('data-draws', '2', { timeout: 60_000 })
  expect(await fewest.innerText()).toBe(first)
  for (const box of await fewest.getByRole('checkbox').all()) await box.uncheck()
  await fewest.getByRole('button', { name: /^Use B/ }).click()
  await expect(page.getByText('Nothing is chosen: the plan stays as it is.')).toBeVisible()
})

test('a proposal is tried on the board before it counts: put back it leaves nothing, kept it is saved by its name', async ({
  page,
  studio,
}) => {
  test.slow()
  await signedIn(page, studio)
  const { id } = studio.client('Emil')
  await drawn(page, id)
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press(' ')
  await boardIsLive(page)
  const bar = page.getByRole('region', { name: 'On trial' })
  await expect(bar).toContainText('Proposal B: fewest changes')
  await expect(page.getByText('Not saved: on trial')).toBeVisible()
  const tried = await week(page, 'Triceps').getAttribute('aria-label')
  await page.keyboard.press('Escape')
  await expect(bar).toBeHidden()
  expect(await week(page, 'Triceps').getAttribute('aria-label')).not.toBe(tried)
  await page.reload()
  await boardIsLive(page)
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
  await drawn(page, id)
  await page
    .getByRole('region', { name: /^B, Fewest changes/ })
    .getByRole('button', { name: 'Try on the board' })
    .click()
  await boardIsLive(page)
  await bar.getByRole('button', { name: /^Keep it/ }).click()
  await saved(page)
  await expect(week(page, 'Triceps')).toHaveAttribute('aria-label', tried ?? '')
  await page.keyboard.press('b')
  await expect(page.getByRole('textbox', { name: 'Name of version 2' })).toHaveValue(
    'Proposal B: fewest changes',
  )
})

test('other muscles may move too', async ({ page, studio }) => {
  test.slow()
  await signedIn(page, studio)
  await drawn(page, studio.client('Emil').id)
  await page
    .getByRole('combobox', { name: 'What may move' })
    .selectOption({ label: 'arms and chosen muscles' })
  const muscles = page.getByRole('group', { name: /Muscles that may move/ })
  await muscles.getByRole('checkbox', { name: 'Chest' }).check()
  await expect(
    page.getByRole('region', { name: /^A, Most stimulus/ }).getByRole('img', { name: /^Chest:/ }),
  ).toBeVisible({ timeout: 60_000 })
})

test('drawing can be stopped, nothing is changed, and other terms are compared', async ({
  page,
  studio,
}) => {
  test.slow()
  await signIn(page, studio)
  const { id } = studio.client('Marit')
  // The solver comes late, so that there is something to stop.
  await page.context().route(/highs-.*\.wasm/, async route => {
    await new Promise(resolve => setTimeout(resolve, 4000))
    await route.continue().catch(() => {})
  })
  await page.goto(`/clients/${id}/proposals`)
  await page.getByRole('button', { name: /^Stop/ }).click()
  await expect(page.getByText('Stopped. Nothing was changed.')).toBeVisible()
  await page.getByRole('button', { name: /^Draw again/ }).click()
  await expect(page.getByRole('region', { name: /^A, Most stimulus/ })).toBeVisible({
    timeout: 120_000,
  })
  const terms = page.getByRole('region', { name: 'Other terms' })
  await terms.getByLabel('Terms', { exact: true }).fill('four days, no arm day, more pump')
  await page.keyboard.press('Enter')
  await expect(terms.getByText(/“more pump” is not understood/)).toBeVisible()
  await terms
    .getByLabel('Terms', { exact: true })
    .fill('four days, 45 minutes, no arm day, no overhead')
  await page.keyboard.press('Enter')
  const typed = terms.getByRole('row', { name: /^4 days, 45 minutes, no arm day, no overhead/ })
  await expect(typed).toContainText(/below target|under the floor/, { timeout: 120_000 })
  await expect(typed.getByRole('cell').first()).toContainText('4')
  await expect(terms.getByRole('rowheader', { name: 'As it is, placed again' })).toBeVisible()
  await terms.getByRole('button', { name: 'no arm day, arms as finishers' }).click()
  await expect(terms.getByRole('rowheader', { name: 'no arm day, arms as finishers' })).toBeVisible(
    {
      timeout: 120_000,
    },
  )
  await terms.getByRole('button', { name: 'Keep with the plan as the reason' }).click()
  await terms.getByRole('link', { name: 'Print for the client' }).click()
  await expect(
    page.locator('dt', { hasText: '4 days, 45 minutes, no arm day, no overhead' }),
  ).toBeVisible({ timeout: 120_000 })
  await expect(page.getByText(/effective sets; /).first()).toBeVisible()
  await page.getByRole('link', { name: 'Back' }).click()
  await expect(page.getByText(/^Kept with the plan: As it is/)).toBeVisible({ timeout: 120_000 })
  await terms.getByRole('button', { name: 'take out of the plan' }).click()
  await expect(terms.getByText(/^Taken out of the plan/)).toBeVisible()
  // Escape leaves the page once nothing is being drawn any more.
  await expect(page.getByRole('region', { name: /^A, Most stimulus/ })).toBeVisible({
    timeout: 120_000,
  })
  await page.keyboard.press('Escape')
  await boardIsLive(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await saved(page)
})

test('with a sore elbow pain comes first: what is held back is told, nothing loads it more', async ({
  page,
  studio,
}) => {
  test.slow()
  await signedIn(page, studio)
  const { id } = studio.client('Emil')
  const report = { joint: 'elbow_extensor_side', side: 'left', score: 6 }
  const told = await page.request.post(`/api/clients/${id}/pain`, {
    data: { ...report, nextMorning: null, hasAlarmSign: false, on: serverToday() },
  })
  expect(told.ok()).toBe(true)
  await drawn(page, id)
  const held = page.getByRole('list', { name: 'Held back' })
  await expect(held.getByText(/^Held back for the .*elbow/).first()).toBeVisible()
  const shares = await page.locator('dd', { hasText: 'hardest session' }).allInnerTexts()
  const [now, ...proposed] = shares.map(text => Number(text.split(/\s/)[0]))
  for (const share of proposed) expect(share).toBeLessThanOrEqual(now!)
})

test('without the worker the page says so and keeps the plan', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/Failed to load|ERR_FAILED|allocate/)
  await page.route(/allocate-.*\.js/, route => route.abort())
  await signedIn(page, studio)
  await page.goto(`/clients/${studio.client('Emil').id}/proposals`)
  await expect(
    page.getByText(/could not be drawn: their part of the program did not load/),
  ).toBeVisible()
})
