import type { boardIsLive } from '../support/test'
import { expect, openFind, signedIn, test } from '../support/test'
import { serverToday } from '../../server/clock'

test.use({ logs: 'logged' })

test('pain of seven stops the joint until a clearance is recorded', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/422/)
  await signedIn(page, studio)
  const { id } = studio.client('Joren')
  await page.goto(`/clients/${id}/history`)
  await boardOrPageLive(page)
  const joints = page.getByRole('region', { name: 'Joints' })
  await expect(joints).toContainText('No pain reported.')
  await joints.getByRole('button', { name: 'Add the report' }).click()
  await expect(joints.getByRole('alert')).toContainText('score')
  await joints.getByLabel('Joint').selectOption('wrist')
  await joints.getByLabel('pain 0–10').fill('7')
  await joints.getByRole('button', { name: 'Add the report' }).click()
  await expect(joints).toContainText('stopped: refer to a licensed professional')
  await page.goto('/roster')
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('Pain 7 of 10: wrist, left')
  const { facts } = (await (await page.request.get(`/api/clients/${id}`)).json()) as {
    facts: { pain: object }
  }
  expect(facts.pain).toEqual({ wrist: 'stop' })

  await page.goto(`/clients/${id}/history`)
  await page.getByRole('button', { name: 'Record a clearance…' }).click()
  await page.getByLabel('profession').fill('physiotherapist')
  await page.getByLabel('limits').fill('No straight bar for four weeks.')
  await page.getByRole('button', { name: 'Record', exact: true }).click()
  await expect(joints).toContainText(/Cleared .* by a physiotherapist: No straight bar/)
  await page.goto('/roster')
  await expect(page.getByRole('region', { name: 'Now' })).not.toContainText('Joren')
})

test('measurements are added with a comma, shown with their day, and removed', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/422/)
  await signedIn(page, studio)
  await page.goto(`/clients/${studio.client('Emil').id}/history`)
  await boardOrPageLive(page)
  const list = page.getByRole('region', { name: 'Measurements' })
  await list.getByLabel('cm').fill('900')
  await list.getByRole('button', { name: 'Add the measurement' }).click()
  await expect(list.getByRole('alert')).toContainText('value must be between 10 and 100 cm')
  await list.getByLabel('cm').fill('36,5')
  await list.getByLabel('measured on').fill('2050-01-01')
  await list.getByRole('button', { name: 'Add the measurement' }).click()
  await expect(list.getByRole('alert')).toContainText('may not lie in the future')
  // What is no day is told at its field; a day is read as it is written, or taken from the calendar.
  const day = list.getByLabel('measured on')
  await day.fill('soon')
  await day.press('Tab')
  await expect(list.getByText(/^“soon” is no day\. Write it like/)).toBeVisible()
  await day.fill('15 june 2026')
  await day.press('Alt+ArrowDown')
  await expect(list.getByRole('gridcell', { name: 'Mon 15 Jun 2026' })).toBeFocused()
  await page.keyboard.press('ArrowUp')
  await expect(list.getByRole('gridcell', { name: 'Mon 8 Jun 2026' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(day).toHaveValue('Mon 8 Jun 2026')
  await day.press('ArrowUp')
  await expect(day).toHaveValue('Tue 9 Jun 2026')
  await day.fill(serverToday())
  await list.getByRole('button', { name: 'Add the measurement' }).click()
  await expect(list).toContainText('36.5 cm')
  await list.getByRole('button', { name: /^Remove Upper arm, left/ }).click()
  await expect(list).toContainText('Nothing measured yet.')
})

test(
  'what was done is told set by set of sets, and what was missed can be let go',
  { tag: '@day' },
  async ({ page, studio }) => {
    await signedIn(page, studio)
    await page.goto(`/clients/${studio.client('Ines').id}/history`)
    await boardOrPageLive(page)
    const sessions = page.getByRole('region', { name: /^Sessions/ })
    await expect(sessions.getByRole('row', { name: /missed/ })).toHaveCount(1)
    await sessions.getByRole('button', { name: /^Let .* go$/ }).click()
    await expect(sessions.getByRole('row', { name: /let go/ })).toHaveCount(1)
    await expect(sessions.getByRole('row', { name: /done \d+ of \d+/ }).first()).toBeVisible()
  },
)

/** Forms of the page hear clicks once its code runs; the trend table is drawn by then. */
async function boardOrPageLive(page: Parameters<typeof boardIsLive>[0]): Promise<void> {
  await page.waitForLoadState('networkidle')
}

test('a note is written, found from anywhere by its words, and a goal says where it stands', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id } = studio.client('Joren')
  await page.goto(`/clients/${id}/history`)
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible()
  const note = page.getByLabel('Note', { exact: true })
  await note.fill('Likes the quiet corner by the window')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByRole('button', { name: /^Remove the note of/ })).toHaveCount(1)
  await page.getByLabel('to reach').fill('40,5')
  await page.getByLabel('by', { exact: true }).fill('2031-05-01')
  await page.getByRole('button', { name: 'Set it' }).click()
  const goals = page.getByRole('region', { name: 'Goals' })
  await expect(goals.getByRole('listitem')).toContainText('Upper arm, left: 40.5 cm')
  await expect(goals.getByRole('listitem')).toContainText(/Nothing measured|Too early to say/)
  await page.goto('/roster')
  await openFind(page)
  await page.keyboard.type('quiet window')
  await page.getByRole('option', { name: /Likes the quiet corner/ }).click()
  await expect(page).toHaveURL(new RegExp(`/clients/${id}/history#notes$`))
})
