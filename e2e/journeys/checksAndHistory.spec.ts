import { cell, expect, openSplit, saved, signedIn, test, week } from '../support/test'

test('a finding shows its fix on the board, is fixed by one key, dismissed with a note and brought back', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Liv')
  await page.keyboard.press('x')
  const sheet = page.getByRole('dialog', { name: 'Checks' })
  // Several muscles under their floor are one line, which opens.
  const line = sheet.getByRole('listitem', { name: /muscles under their floor: .*Triceps 1\.1/ })
  await line.focus()
  await page.keyboard.press('Enter')
  const under = sheet.getByRole('listitem', { name: /Triceps 1\.1 under floor/ })
  await under.focus()
  await expect(week(page, 'Triceps')).toContainText('→')
  await page.keyboard.press('Enter')
  await expect(under).toHaveCount(0)
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/^Triceps: 13\.3/)

  const chest = sheet.getByRole('listitem', { name: /Chest 2\.1 under floor/ })
  await chest.getByRole('button', { name: 'Dismiss…' }).click()
  await page.getByRole('dialog', { name: 'Dismiss' }).getByLabel('Why').fill('Shoulder first')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog', { name: 'Dismiss' })).toHaveCount(0)
  await saved(page)
  await page.reload()
  await expect(page.getByRole('grid')).toHaveAttribute('aria-busy', 'false')
  await page.keyboard.press('x')
  const floors = sheet.getByRole('listitem', { name: /under their floor|under floor/ })
  await expect(floors).toHaveCount(1)
  await expect(floors).not.toHaveAccessibleName(/Chest/)
  await sheet.getByRole('button', { name: '1 dismissed' }).click()
  await expect(sheet).toContainText('“Shoulder first”')
  await sheet.getByRole('button', { name: 'Bring back' }).click()
  await sheet.getByRole('button', { name: /^Close/ }).click()
  await page.keyboard.press('x')
  await expect(floors).toHaveAccessibleName(/Chest 2\.1/)
})

test('N walks the findings and Enter fixes the one in sight', async ({ page, studio }) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Liv')
  const list = page.getByRole('region', { name: 'To look at' })
  const before = await list.getByRole('heading').textContent()
  for (let step = 0; step < 3; step++) await page.keyboard.press('n')
  await expect(list).toContainText('fix')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Fixed. Z undoes it.')).toBeVisible()
  await page.keyboard.press('z')
  await expect(list.getByRole('heading')).toHaveText(before ?? '')
})

test('any figure tells where it comes from, and the weeks of the calendar what they hold', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Marit')
  await cell(page, 'Biceps', 'day 4 Arms').click()
  await page.keyboard.press('y')
  const why = page.getByRole('dialog', { name: /^Biceps: where the figure comes from/ })
  await expect(why.getByRole('row', { name: /day 4 Arms.*Cable curl.*direct/ })).toBeVisible()
  await expect(why).toContainText(/× 7 ÷ 8 = 20\.6 per 7 days/)
  await page.keyboard.press('Escape')
  await page.keyboard.press('c')
  const weeks = page.getByRole('dialog', { name: 'Calendar weeks' })
  await expect(weeks.getByRole('row', { name: /^Biceps 12 \/ 18 \/ 26/ })).toContainText(
    /to \d+\.\d/,
  )
  await expect(weeks).toContainText('drifts against the week')
})

test('every save is in the history with what it changed; one is named, brought back and compared', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await cell(page, 'Biceps', 'day 2 Pull').click()
  await page.keyboard.press('+')
  await saved(page)
  await page.keyboard.press('b')
  const history = page.getByRole('dialog', { name: 'History of this plan' })
  await expect(history).toContainText('day 2 Incline dumbbell curl 3 → 4')
  await history.getByLabel('Name of version 1').fill('As sent')
  await history.getByLabel('Name of version 1').blur()
  await history.getByRole('button', { name: 'Bring version 1 back' }).click()
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/3 direct/)
  await page.keyboard.press('z')
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/4 direct/)
  await saved(page)
  await page.keyboard.press('b')
  await expect(history.getByLabel('Name of version 1')).toHaveValue('As sent')
  await history.getByRole('link', { name: 'Compare…' }).click()
  await page.getByLabel('Version, right').selectOption({ label: '1 · As sent' })
  await expect(page.getByRole('row', { name: /^Biceps 17\.3 .* 16\.3/ })).toBeVisible()
  await page.getByLabel('Client, right').selectOption('Marit Solheim-Okafor')
  await expect(page.getByRole('region', { name: 'Right side' })).toContainText('8 days')
})

test('minutes, elbow load and recovery follow what is in hand before it is put down', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Marit')
  const minutes = page.getByRole('gridcell', { name: /^Minutes, limit, day 7:/ })
  const before = await minutes.getAttribute('aria-label')
  await expect(cell(page, 'Biceps', 'day 5 Upper')).toHaveAccessibleName(
    /arrives 64 percent ready after 24 hours/,
  )
  await cell(page, 'Biceps', 'day 4 Arms').click()
  for (let step = 0; step < 3; step++) await page.keyboard.press('Shift+ArrowRight')
  expect(await minutes.getAttribute('aria-label')).not.toBe(before)
  await expect(cell(page, 'Biceps', 'day 5 Upper')).not.toHaveAccessibleName(/arrives 64 percent/)
  await page.keyboard.press('Escape')
  await expect(minutes).toHaveAccessibleName(before ?? '')
})
