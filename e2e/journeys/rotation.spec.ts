import type { Page } from '@playwright/test'
import {
  boardIsLive,
  cell,
  expect,
  openSplit,
  saved,
  signedIn,
  signIn,
  test,
  week,
} from '../support/test'

const IN_BAND = /^(?!.*(under the floor|over the ceiling)).*$/

async function newClient(page: Page, name: string): Promise<void> {
  await page.goto('/clients/new')
  await expect(page.getByRole('button', { name: 'Open the board' })).toBeEnabled()
  await page.getByLabel('Name', { exact: true }).fill(name)
  await page.getByLabel('Months of training').fill('24')
  await page.getByRole('button', { name: 'Open the board' }).click()
  await boardIsLive(page)
}

test('by keyboard alone: a template, arms in band and recovered, two days swapped, all undone, reloaded, done again', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  await newClient(page, 'Tora Eikeland')
  await page.keyboard.press('o')
  const use = page.getByRole('button', { name: 'Use Upper, lower and an arm day' })
  await use.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('columnheader', { name: /^4 Arms/ })).toBeVisible()
  await expect(week(page, 'Biceps')).toHaveAccessibleName(IN_BAND)
  await expect(week(page, 'Triceps')).toHaveAccessibleName(IN_BAND)
  for (const muscle of ['Biceps', 'Triceps']) {
    const exposures = page.getByRole('gridcell', {
      name: new RegExp(`^${muscle}, day .*arrives (8|9)\\d percent ready`),
    })
    expect(await exposures.count()).toBeGreaterThanOrEqual(2)
  }
  await page.keyboard.press('1')
  await page.keyboard.press('w')
  await expect(page.getByRole('heading', { name: /^Swap day 1 Upper with/ })).toBeVisible()
  await page.keyboard.press('2')
  await expect(page.getByRole('columnheader', { name: /^1 Lower/ })).toBeVisible()
  await expect(page.getByText('Days 1 and 2 swapped.')).toBeVisible()
  await page.keyboard.press('z')
  await page.keyboard.press('z')
  await expect(page.getByRole('columnheader', { name: /^1 Full body/ })).toBeVisible()
  await saved(page)
  await page.waitForTimeout(400)
  await page.reload()
  await boardIsLive(page)
  await page.keyboard.press('Shift+Z')
  await page.keyboard.press('Shift+Z')
  await expect(page.getByRole('columnheader', { name: /^1 Lower/ })).toBeVisible()
  await saved(page)
})

test('days: a longer rotation floats, a session is moved and copied, and a day with sets is no rest day', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await page.keyboard.press('o')
  const dialog = page.getByRole('dialog', { name: 'Rotation' })
  await dialog.getByRole('combobox', { name: 'Days' }).selectOption('9')
  await expect(dialog.getByRole('radio', { name: /floats/ })).toBeChecked()
  await dialog.getByLabel('Role of day 9').selectOption('Arms')
  await dialog.getByLabel('Own word for day 9').fill('Guns')
  await dialog.getByLabel('Own word for day 9').blur()
  await dialog.getByLabel('Role of day 1').selectOption('Rest')
  await expect(dialog.getByRole('alert')).toContainText('Day 1 holds 17 sets')
  await dialog.getByLabel('Minutes of day 1').fill('1800')
  await dialog.getByLabel('Minutes of day 1').blur()
  await expect(dialog.getByRole('alert')).toContainText(
    'Minutes of day 1 must be a whole number from 5 to 480',
  )
  await dialog.getByRole('button', { name: /^Close/ }).click()
  await expect(page.getByRole('columnheader', { name: /^9 Guns/ })).toBeVisible()
  await page.keyboard.press('2')
  await page.keyboard.press('m')
  await page.keyboard.press('8')
  await expect(page.getByRole('columnheader', { name: /^8 Pull/ })).toBeVisible()
  await expect(page.getByRole('columnheader', { name: /^2 Rest/ })).toBeVisible()
  await page.keyboard.press('k')
  await page.keyboard.press('9')
  await expect(page.getByRole('columnheader', { name: /^9 Pull/ })).toBeVisible()
  await saved(page)
})

test('a day head is dragged to another day', async ({ page, studio }) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await page
    .getByRole('columnheader', { name: /^3 Legs/ })
    .getByText('Legs')
    .dragTo(page.getByRole('columnheader', { name: /^4 Rest/ }).getByText('Rest'))
  await expect(page.getByRole('columnheader', { name: /^4 Legs/ })).toBeVisible()
  await expect(page.getByText('The session of day 3 moved to day 4.')).toBeVisible()
})

test('several cells are changed as one, and sets are held fixed', async ({ page, studio }) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await cell(page, 'Biceps', 'day 2 Pull').click()
  await page.keyboard.press('Space')
  await cell(page, 'Triceps', 'day 5 Push').click()
  await page.keyboard.press('+')
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/4 direct/)
  await expect(cell(page, 'Triceps', 'day 5 Push')).toHaveAccessibleName(/4 direct/)
  await page.keyboard.press('z')
  await expect(cell(page, 'Biceps', 'day 2 Pull')).toHaveAccessibleName(/3 direct/)
  await page.keyboard.press('Escape')
  await page.keyboard.press('f')
  await expect(cell(page, 'Triceps', 'day 5 Push')).toHaveAccessibleName(/held fixed/)
})
