import { AxeBuilder } from '@axe-core/playwright'
import { boardIsLive, expect, openSplit, signedIn, test } from '../support/test'

test('any client, screen or action is reached by typing, from anywhere, by keyboard alone', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openSplit(page, studio, 'Joren')
  await page.keyboard.press('/')
  const box = page.getByRole('combobox', { name: 'Client, screen or action' })
  await expect(box).toBeFocused()
  await page.keyboard.type('ferry')
  await expect(page.getByRole('option', { name: /^Liv Adeyemi-Strand/ }).first()).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Liv Adeyemi-Strand' })).toBeVisible()
  await boardIsLive(page)

  await page.keyboard.press('/')
  await page.keyboard.type('methods')
  await expect(page.getByRole('option')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('row', { name: /^Counting/ })).toContainText('direct sets only')
  expect(
    (await new AxeBuilder({ page }).analyze()).violations
      .filter(({ impact }) => impact === 'serious' || impact === 'critical')
      .map(({ id }) => id),
  ).toEqual([])

  await page.keyboard.press('/')
  await page.keyboard.type('qqq')
  await expect(page.getByText('Nothing by that name. Try fewer letters.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(box).toBeHidden()
})
