import { boardIsLive, expect, signedIn, signIn, test, week } from '../support/test'

test('a method is copied, changed and applied to a client, and the board says what differs', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/409|422/)
  await signedIn(page, studio)
  await page.goto('/methods')
  await page.getByRole('button', { name: 'Copy Steady middle' }).click()
  await page.getByLabel('Name of the copy').fill('Few hard sets')
  await page.getByRole('button', { name: 'Copy and change it' }).click()
  await expect(page.getByRole('alert')).toContainText('is taken by another method')
  await page.getByLabel('Name of the copy').fill('Harbour way')
  await page.getByRole('button', { name: 'Copy and change it' }).click()
  await expect(page.getByText(/Copied from Steady middle/)).toBeVisible()

  const save = page.getByRole('button', { name: 'Save the method' })
  await expect(save).toBeEnabled()
  await page.getByLabel('Sets per exercise, from').fill('6')
  await save.click()
  await expect(page.getByText(/must give the lower number first/)).toBeVisible()
  await page.getByRole('button', { name: 'Sets per exercise, from: back to 3 sets' }).click()
  // Sparing the joints changes its settings at once; each can be taken back by itself.
  await page.getByRole('button', { name: 'Spare the joints' }).click()
  await expect(page.getByLabel('Lock-out', { exact: true })).toHaveValue('shortOf')
  await page.getByRole('button', { name: /^Lock-out: back to/ }).click()
  await expect(page.getByLabel('Lock-out', { exact: true })).toHaveValue('full')
  // Nothing is kept that was not saved.
  await page.reload()
  await expect(save).toBeEnabled()
  await page.getByLabel('Usual bands, times').fill('0.5')
  await save.click()
  await expect(page.getByText(/^Saved\./)).toBeVisible()

  await page.goto(`/clients/${studio.client('Joren').id}`)
  await expect(page.getByRole('button', { name: 'Save the profile' })).toBeEnabled()
  await page.getByLabel('Method', { exact: true }).selectOption('Harbour way')
  await page.getByRole('button', { name: 'Save the profile' }).click()
  await expect(page.getByText('Saved. The board uses it from now on.')).toBeVisible()
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await boardIsLive(page)
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/floor 5, target 8, ceiling 11/)
  await expect(page.getByRole('link', { name: 'Harbour way, 1 setting changed' })).toBeVisible()

  await page.goto('/methods')
  await expect(page.getByRole('region', { name: 'Yours' })).toContainText('usual bands, times 0.5')
  await page.getByRole('button', { name: 'Remove Harbour way' }).click()
  await expect(page.getByRole('alert')).toContainText(
    'This method is used by Joren Haakestad. Replace it there first.',
  )
})

test('a profile cannot follow a method that is not there', async ({ page, studio }) => {
  await signIn(page, studio)
  const { id, profile } = studio.client('Joren')
  const answer = await page.request.put(`/api/clients/${id}/profile`, {
    data: { mine: { ...profile, method: 'own-nobodys' }, was: profile },
  })
  expect(answer.status()).toBe(422)
  expect((await answer.json()).errors[0].pointer).toBe('/method')
})
