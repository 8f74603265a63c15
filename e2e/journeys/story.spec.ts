import { alive, expect, signedIn, test } from '../support/test'

test.use({ logs: 'logged' })

test('a set that went on: typed as it was done, put beside the plan, told in the review and in the story', async ({
  page,
  studio,
}) => {
  const { id } = studio.client('Joren')
  await signedIn(page, studio)
  await page.goto(`/clients/${id}/log`)
  await alive(page)
  // A session that is done: the review speaks of it.
  await page
    .getByRole('navigation', { name: 'Sessions' })
    .getByRole('button', { name: /done/ })
    .first()
    .click()
  const exercise = page
    .locator('section[data-exercise]')
    .filter({ has: page.getByRole('textbox', { name: /, load in kg$/ }) })
    .first()
  const name = (await exercise.getByRole('heading').first().textContent())!.trim()
  const reps = exercise.getByRole('textbox', { name: /set 1, reps$/ })
  await reps.fill('6@20, sideways 5')
  await reps.press('Enter')
  await expect(exercise.getByRole('alert')).toContainText('“sideways 5” is not read')
  await reps.fill('6@20, drop 5@16 cut short')
  await reps.press('Enter')
  await expect(exercise.getByRole('textbox', { name: /set 1, part 2, load in kg$/ })).toHaveValue(
    '16',
  )
  await expect(exercise.getByRole('textbox', { name: /set 1, part 2, reps$/ })).toHaveValue('5')
  await expect(exercise.getByRole('textbox', { name: /set 1, load in kg$/ })).toHaveValue('20')
  await expect(exercise).toContainText('cut short')

  await exercise.getByRole('heading').first().click()
  await page.keyboard.press('a')
  const story = page.getByRole('dialog', { name: 'Story of an exercise' })
  await expect(
    story.getByRole('row', { name: /20\skg × 6; 16\skg × 5 \(cut short\)/ }),
  ).toBeVisible()
  await expect(story.getByLabel('Exercise')).toHaveText(new RegExp(name))
  await expect(story.getByRole('heading', { name: 'Best sets' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(story).toBeHidden()

  await page.goto(`/clients/${id}/review`)
  await expect(page.locator('main')).toContainText(/1 of \d+ sets went on, unplanned/)
})

test('left and right: the rule is kept, reaches the phone, and is taken back', async ({
  page,
  studio,
}) => {
  const { id } = studio.client('Marit')
  await signedIn(page, studio)
  const one = 'pushdown_single'
  const sides = (rule: object | null) =>
    page.request.put(`/api/clients/${id}/sides`, { data: { exercise: one, sides: rule } })
  expect((await sides({ weak: 'right', rule: 'match' })).ok()).toBe(true)
  await page.goto(`/clients/${id}/trends?story=${one}`)
  const story = page.getByRole('dialog', { name: 'Story of an exercise' })
  const rule = story.getByLabel('On the client’s sheet')
  await expect(rule).toHaveValue(JSON.stringify({ weak: 'right', rule: 'match' }))
  await rule.selectOption({ label: 'The left begins' })
  await expect(rule).toHaveValue(JSON.stringify({ weak: 'left', rule: 'first' }))
  await story.getByRole('button', { name: 'Undo' }).click()
  await expect(rule).toHaveValue(JSON.stringify({ weak: 'right', rule: 'match' }))
  expect((await sides({ weak: 'up', rule: 'match' })).status()).toBe(422)
})

test('three rotations of eight days ahead: no load falls while targets are met', async ({
  page,
  studio,
}) => {
  const { id, plan } = studio.client('Marit')
  expect(plan.rotation.days).toHaveLength(8)
  await signedIn(page, studio)
  await page.goto(`/clients/${id}/block?view=loads`)
  const rows = page.locator('tr[data-exercise]')
  await expect(rows.first()).toBeVisible()
  await expect(page.locator('main')).not.toContainText(/days away/)
  expect(await rows.count()).toBeGreaterThan(10)
})
