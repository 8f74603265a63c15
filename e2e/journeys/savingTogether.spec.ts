import { boardIsLive, cell, expect, openSplit, saved, signedIn, test } from '../support/test'

test('changes of different days from two windows are laid together, and undo leaves the other window alone', async ({
  page,
  context,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/409/)
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  const second = await context.newPage()
  await second.goto(page.url())
  await boardIsLive(second)

  await cell(second, 'Triceps', 'day 5 Push').click()
  await second.keyboard.press('+')
  await cell(page, 'Biceps', 'day 2 Pull').click()
  await page.keyboard.press('+')
  await expect(cell(second, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/4 direct/)
  await expect(cell(second, 'Triceps', 'day 5 Push')).toHaveAccessibleName(/4 direct/)
  await expect(cell(page, 'Triceps', 'day 5 Push')).toHaveAccessibleName(/4 direct/)
  await expect(second.getByRole('alert', { name: /saved elsewhere/ })).toHaveCount(0)

  await second.getByRole('button', { name: 'Undo' }).click()
  await expect(cell(second, 'Triceps', 'day 5 Push')).toHaveAccessibleName(/3 direct/)
  await expect(cell(second, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/4 direct/)
  await saved(second)
})

test('two changes of one cell are asked about; both are offered and neither is lost', async ({
  page,
  context,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/409|ERR_FAILED|Failed to load resource/)
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  const second = await context.newPage()
  await second.goto(page.url())
  await boardIsLive(second)
  await second.route('**/api/blocks/**', route => route.abort())
  await cell(second, 'Biceps', 'day 2 Pull').click()
  await second.keyboard.press('-')
  await expect(second.getByText(/Offline, 1 change kept here/)).toBeVisible()

  await cell(page, 'Biceps', 'day 2 Pull').click()
  await page.keyboard.press('+')
  await saved(page)
  const question = second.getByRole('alert', { name: 'This plan was saved elsewhere meanwhile' })
  await expect(
    question.getByRole('row', { name: /Day 2 Pull.*Incline dumbbell curl.*2.*4/ }),
  ).toBeVisible()
  await second.unroute('**/api/blocks/**')
  await question.getByRole('button', { name: 'Take theirs' }).click()
  await expect(cell(second, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/4 direct/)
  await second.getByRole('button', { name: 'Undo' }).click()
  await expect(cell(second, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/2 direct/)
  await saved(second)
})

test('edits without a connection are kept here, outlive a reload and are saved when it is back', async ({
  page,
  context,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/ERR_INTERNET_DISCONNECTED|ERR_FAILED|Failed to load resource/)
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await page.route('**/api/blocks/**', route => route.abort())
  await cell(page, 'Biceps', 'day 2 Pull').click()
  await page.keyboard.press('+')
  await expect(page.getByText(/Offline, 1 change kept here/)).toBeVisible()

  const later = await context.newPage()
  await page.close()
  await later.goto(`/clients/${studio.client('Joren').id}/split`)
  await boardIsLive(later)
  await expect(cell(later, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/4 direct/)
  await saved(later)
  await later.reload()
  await expect(cell(later, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/4 direct/)
})
