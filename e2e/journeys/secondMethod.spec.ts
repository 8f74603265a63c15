import { boardIsLive, expect, openSplit, signedIn, test, week } from '../support/test'

test('direct only laid over a plan counted in part: what changes sides comes first, nothing changes until it is taken', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  const before = await week(page, 'Biceps').getAttribute('aria-label')
  await page.keyboard.press('Shift+M')
  const sheet = page.getByRole('dialog', { name: 'A second method' })
  const method = sheet.getByRole('combobox', { name: 'Method laid over the board' })
  await expect(method).toBeFocused()
  await expect(sheet.getByText(/direct only \d+\.\d: under the floor/).first()).toBeVisible()
  const rows = sheet.getByRole('row')
  await expect(rows.nth(1)).toContainText(/under the floor|over the ceiling/)
  // Every line of the board has both figures.
  const own = page.getByRole('row', { name: 'Biceps', exact: true })
  await expect(own.getByRole('note', { name: /^.+: Biceps: \d/ })).toBeVisible()
  await expect(week(page, 'Biceps')).toHaveAttribute('aria-label', before ?? '')
  await sheet.getByRole('button', { name: 'Which proposal would win under each' }).click()
  await expect(sheet.getByRole('status').getByRole('listitem')).toHaveCount(2, { timeout: 60_000 })
  // Taken, the board counts by it; back again, it counts as before.
  await sheet.getByRole('button', { name: /^Follow / }).click()
  await expect(week(page, 'Biceps')).not.toHaveAttribute('aria-label', before ?? '')
  await sheet.getByRole('button', { name: /^Back to / }).click()
  await expect(week(page, 'Biceps')).toHaveAttribute('aria-label', before ?? '')
  await page.keyboard.press('Escape')
  await expect(sheet).toBeHidden()
  await expect(own.getByRole('note')).toHaveCount(0)
  await page.reload()
  await boardIsLive(page)
  await expect(week(page, 'Biceps')).toHaveAttribute('aria-label', before ?? '')
})

test('one plan by two methods, side by side', async ({ page, studio }) => {
  await signedIn(page, studio)
  const { id } = studio.client('Joren')
  await page.goto(`/compare?left=${id}&right=${id}`)
  const biceps = page.getByRole('row', { name: /^Biceps/ })
  const counted = async (at: number) => Number(await biceps.getByRole('cell').nth(at).innerText())
  // Each side is fetched by itself.
  await expect(biceps.getByRole('cell').nth(0)).toHaveText(/\d/)
  await expect(biceps.getByRole('cell').nth(3)).toHaveText(/\d/)
  expect(await counted(0)).toBe(await counted(3))
  await page
    .getByRole('combobox', { name: 'Counted by, right' })
    .selectOption({ label: 'by Few hard sets' })
  await expect(page.getByRole('region', { name: 'Right side' })).toContainText('Few hard sets')
  await expect.poll(() => counted(3)).toBeLessThan(await counted(0))
  expect(await counted(1)).toBe(await counted(4))
})
