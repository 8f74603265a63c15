import { cell, expect, openSplit, saved, signedIn, test, week } from '../support/test'

test('a cluster is dragged to another day and its figures follow', async ({ page, studio }) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await cell(page, 'Biceps', 'day 2 Pull').dragTo(cell(page, 'Biceps', 'day 6 Pull'))
  await expect(cell(page, 'Biceps', 'day 6 Pull')).toHaveAccessibleName(/3 direct/)
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/0 direct/)
  await expect(week(page, 'Biceps')).toHaveAccessibleName(/16.3 sets per 7 days/)
  await saved(page)
})

test('a drop on a rest day puts the sets back', async ({ page, studio }) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await cell(page, 'Biceps', 'day 2 Pull').dragTo(cell(page, 'Biceps', 'day 4 Rest'))
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/3 direct/)
  await expect(cell(page, 'Biceps', 'day 4 Rest')).toHaveAccessibleName(/no sets/)
})

test('the menu moves the picked exercise alone', async ({ page, studio }) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Marit')
  // Beside the pegs: a click on one picks its exercise.
  await cell(page, 'Biceps', 'day 4 Arms').click({ position: { x: 4, y: 62 } })
  await page.keyboard.press('.')
  await page.getByRole('button', { name: 'Move to day' }).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('menuitem', { name: '5 Upper' }).waitFor()
  await page.keyboard.type('5')
  await page.keyboard.press('Enter')
  await expect(cell(page, 'Biceps', 'day 5 Upper')).toHaveAccessibleName(/4 direct/)
  await expect(cell(page, 'Biceps', 'day 4 Arms')).toHaveAccessibleName(/3 direct/)
})
