import { boardIsLive, cell, expect, openSplit, saved, signedIn, test, week } from '../support/test'

test('a coach adds a direct triceps set to the push day and finds it saved after a reload', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  const pushDay = cell(page, 'Triceps', 'day 1 Push')
  await expect(pushDay).toHaveAccessibleName(/3 direct, 3.5 indirect/)
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/15.8 sets per 7 days, 8.0 direct/)

  await pushDay.hover()
  await page.getByRole('button', { name: /^Add a set: Triceps, day 1 Push/ }).click()
  await expect(pushDay).toHaveAccessibleName(/4 direct, 3.5 indirect/)
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/16.8 sets per 7 days, 9.0 direct/)
  await saved(page)

  await page.reload()
  await expect(cell(page, 'Triceps', 'day 1 Push')).toHaveAccessibleName(/4 direct/)
  await expect(week(page, 'Triceps')).toHaveAccessibleName(/16.8 sets per 7 days/)
})

test('enough sets carry a muscle over its ceiling, and the board says so', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await cell(page, 'Triceps', 'day 5 Push').click()
  for (let set = 0; set < 7; set++) await page.keyboard.press('+')
  await expect(week(page, 'Triceps')).toHaveAccessibleName(
    /22.8 sets.*over the ceiling \(floor 10, target 16, ceiling 22\)/,
  )
  await page.keyboard.press('x')
  await expect(page.getByRole('listitem', { name: /Triceps 0\.8 over ceiling/ })).toBeVisible()
})

test('an exercise is found by a few letters and added with its sets', async ({ page, studio }) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Emil')
  await cell(page, 'Triceps', 'day 5 Upper').click()
  await page.getByRole('button', { name: 'Add exercise' }).click()
  await page.getByRole('combobox', { name: 'Exercise' }).fill('kick')
  await expect(page.getByRole('option')).toHaveText([/kickback/i, /kickback/i])
  await page.getByRole('spinbutton', { name: 'Sets' }).fill('3')
  await page.getByRole('option', { name: /Dumbbell kickback/ }).click()
  await expect(cell(page, 'Triceps', 'day 5 Upper')).toHaveAccessibleName(/6 direct/)
  await expect(page.getByText('3 sets of Dumbbell kickback added on day 5.')).toBeVisible()
})

test('undo and redo follow each edit, and the rest day takes no sets', async ({ page, studio }) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await cell(page, 'Biceps', 'day 2 Pull').click()
  await page.keyboard.press('-')
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/2 direct/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/3 direct/)
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/2 direct/)
  await saved(page)
  await page.reload()
  await boardIsLive(page)
  await cell(page, 'Biceps', 'day 4 Rest').click()
  await page.keyboard.press('+')
  await expect(page.getByText('Day 4 is rest. Choose a training day.')).toBeVisible()
})
