import { boardIsLive, expect, signedIn, signIn, test, week } from '../support/test'

test('own targets replace the usual ones, say so, and come back when cleared', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/422/)
  await signedIn(page, studio)
  const path = `/clients/${studio.client('Joren').id}`
  await page.goto(`${path}/targets`)
  const save = page.getByRole('button', { name: 'Save the targets' })
  await expect(save).toBeEnabled()
  const row = page.getByRole('row', { name: /Triceps/ })
  await expect(row).toContainText('training age, priority, method')
  await page.getByLabel('Triceps, floor').fill('20')
  await page.getByLabel('Triceps, target').fill('12')
  await save.click()
  await expect(page.getByText(/may not lie above the target/).first()).toBeVisible()
  await page.getByLabel('Triceps, floor').fill('8')
  await page.getByLabel('Triceps, ceiling').fill('14')
  await expect(row).toContainText('your own; usually 10 / 16 / 22')
  await page.getByLabel('Biceps, days in 7 at least').fill('3')
  await page.getByLabel('Wanted triceps sets per flexor set').fill('1.3')
  await page.getByRole('button', { name: 'Biceps' }).click()
  await page.getByLabel('Biceps, Long head, floor').fill('9')
  await page.getByLabel('wrist, points in a session').fill('12')
  await save.click()
  await expect(page.getByText(/^Saved\./)).toBeVisible()

  await page.goto(`${path}/split`)
  await boardIsLive(page)
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/floor 8, target 12, ceiling 14/)
  await page.goto(`${path}/targets`)
  await expect(save).toBeEnabled()
  await expect(page.getByLabel('Wanted triceps sets per flexor set')).toHaveValue('1.3')
  for (const part of ['floor', 'target', 'ceiling'])
    await page.getByLabel(`Triceps, ${part}`).fill('')
  await save.click()
  await expect(page.getByText(/^Saved\./)).toBeVisible()
  await page.goto(`${path}/split`)
  await boardIsLive(page)
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/floor 10, target 16, ceiling 22/)
})

test('a profile change leaves own targets alone, and a priority set with the targets is in the profile', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  const { id, profile } = studio.client('Emil')
  const targets = {
    modes: { ...profile.modes, triceps: 'keep' },
    bands: { biceps: { floor: 5, target: 8, ceiling: 12 } },
    headFloors: {},
    frequencyMin: { biceps: 1.5 },
    sessionMax: {},
    jointCeilings: {},
    ratioWish: 0.9,
  }
  const was = { ...targets, modes: profile.modes, bands: {}, frequencyMin: {}, ratioWish: null }
  const put = (mine: object) =>
    page.request.put(`/api/clients/${id}/targets`, { data: { mine, was } })
  expect((await put(targets)).status()).toBe(200)
  // A second tab that was opened before: what it changed otherwise is refused, and named.
  const late = await put({ ...targets, bands: { biceps: { floor: 1, target: 2, ceiling: 3 } } })
  expect(late.status()).toBe(409)
  expect((await late.json()).fields).toEqual(['bands.biceps'])
  const now = (await (
    await page.request.get(`/api/clients/${id}/profile`)
  ).json()) as typeof profile
  expect(now.modes.triceps).toBe('keep')
  expect(
    (
      await page.request.put(`/api/clients/${id}/profile`, {
        data: { mine: { ...now, goal: 'Arms.' }, was: now },
      })
    ).status(),
  ).toBe(200)
  const { facts } = (await (await page.request.get(`/api/clients/${id}`)).json()) as {
    facts: object
  }
  expect(facts).toMatchObject({
    bands: targets.bands,
    frequencyMin: { biceps: 1.5 },
    ratioWish: 0.9,
  })
})
