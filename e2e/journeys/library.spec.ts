import {
  boardIsLive,
  cell,
  expect,
  openFind,
  openSplit,
  saved,
  signedIn,
  signIn,
  test,
  week,
} from '../support/test'

test('the library is searched by keyboard alone', async ({ page, studio }) => {
  await signIn(page, studio)
  await page.waitForLoadState('networkidle')
  await openFind(page)
  await page.keyboard.type('exercises')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: /^Exercises/ })).toBeVisible()
  await page.getByRole('searchbox', { name: 'Search the exercises' }).focus()
  await page.keyboard.type('overhead ext')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('article')).toContainText(/overhead/i)
  await page.getByRole('searchbox', { name: 'Search the exercises' }).fill('')
  await page.getByLabel('Muscle', { exact: true }).selectOption('Biceps')
  await page.getByLabel('Length').selectOption('hardest at long length')
  await page.getByLabel('Easy on').selectOption('easy on the wrist')
  const found = page.getByRole('list', { name: 'Exercises found' })
  await expect(found).toContainText('Incline dumbbell curl')
  await expect(found).not.toContainText('Barbell curl')
})

test('a changed credit tells its effect before it is saved, and every board uses it', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  const before = await week(page, 'Triceps').getAttribute('aria-label')
  await page.goto('/exercises?id=bench_press_barbell')
  await page.getByRole('radio', { name: 'Triceps 0.75' }).check()
  await expect(page.getByText(/Changes 1 client’s weekly triceps up by 1\.0 set/)).toBeVisible()
  await page.getByRole('button', { name: 'Save the credits' }).click()
  await expect(page.getByText('Saved. Every board uses it from now on.')).toBeVisible()
  await page.goto(`/clients/${studio.client('Joren').id}/split`)
  await boardIsLive(page)
  expect(await week(page, 'Triceps').getAttribute('aria-label')).not.toBe(before)
  await page.goto('/exercises?id=bench_press_barbell')
  await expect(page.getByRole('list', { name: 'Exercises found' })).toContainText('changed')
  await page.getByRole('button', { name: 'Bring the usual ones back' }).click()
  await expect(page.getByText('Saved. Every board uses it from now on.')).toBeVisible()
  await page.goto(`/clients/${studio.client('Joren').id}/split`)
  await boardIsLive(page)
  await expect(week(page, 'Triceps')).toHaveAccessibleName(before ?? '')
})

test('credits for one client change nobody else', async ({ page, studio }) => {
  await signedIn(page, studio)
  await page.goto('/exercises?id=cable_curl')
  await page.getByLabel('For whom').selectOption('Marit Solheim-Okafor')
  await page.getByRole('radio', { name: 'Biceps 0.5' }).check()
  await expect(page.getByText(/Changes 1 client’s weekly biceps down by 1\.8 sets/)).toBeVisible()
  await page.getByRole('button', { name: 'Save the credits' }).click()
  await expect(page.getByText('Saved. Every board uses it from now on.')).toBeVisible()
  const facts = (await (
    await page.request.get(`/api/clients/${studio.client('Marit').id}`)
  ).json()) as { facts: { credits: object }; library: { credits: object } }
  expect(facts.facts.credits).toHaveProperty('cable_curl')
  expect(facts.library.credits).toEqual({})
})

test('an own exercise is added, planned, and not removed while a plan uses it', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/409|422/)
  await signedIn(page, studio)
  await page.goto('/exercises?id=cable_curl')
  await page.getByRole('button', { name: 'Copy as my own' }).click()
  const save = page.getByRole('button', { name: 'Save the exercise' })
  await save.click()
  await expect(page.getByText(/^Name is empty/).first()).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('Barbell curl')
  await save.click()
  await expect(page.getByText(/is taken by another exercise/).first()).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('Sandbag curl')
  await page.getByLabel('Credit, Biceps', { exact: true }).selectOption('0.75')
  await save.click()
  await expect(page.getByText(/must train one muscle directly/).first()).toBeVisible()
  await page.getByLabel('Credit, Biceps', { exact: true }).selectOption('direct')
  await save.click()
  await expect(page.getByRole('article', { name: 'Sandbag curl' })).toBeVisible()

  await page.goto(`/clients/${studio.client('Joren').id}/split`)
  await boardIsLive(page)
  await cell(page, 'Biceps', 'day 2 Pull').click()
  await page.keyboard.press('e')
  await page.getByRole('combobox', { name: 'Exercise' }).fill('sandbag')
  await page.getByRole('option', { name: /^Sandbag curl/ }).click()
  await saved(page)
  await page.reload()
  await boardIsLive(page)

  await page.goto('/exercises')
  await page.getByLabel('mine or changed').check()
  await page.getByRole('button', { name: /^Sandbag curl/ }).click()
  await page.getByRole('button', { name: 'Remove' }).click()
  await expect(page.getByRole('alert')).toContainText(
    'This exercise is used by Joren Haakestad: Spring block. Replace it there first.',
  )
})

test('a plan cannot name what the library lacks', async ({ page, studio }) => {
  await signIn(page, studio)
  const { blockId, plan } = studio.client('Joren')
  const foreign = JSON.parse(
    JSON.stringify(plan).replace('"pull_up"', '"own-nobody-knows"'),
  ) as object
  const answer = await page.request.put(`/api/blocks/${blockId}/plan`, {
    data: { version: 1, plan: foreign },
  })
  expect(answer.status()).toBe(422)
  expect((await answer.json()).errors[0]).toMatchObject({ pointer: '/plan/rotation/days/1' })
})
