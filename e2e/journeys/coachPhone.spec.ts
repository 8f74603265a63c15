import { alive, expect, signedIn, test } from '../support/test'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, logs: 'logged' })

test('from the floor a coach reads the roster, settles a missed session, logs from paper and changes sets', async ({
  page,
  studio,
}) => {
  test.slow()
  await signedIn(page, studio)
  await page.goto('/roster')
  await alive(page)
  await page.getByRole('button', { name: 'Reasons and answers for Ines Cardozo-Lind' }).tap()
  await page.getByRole('link', { name: 'Choose what to do' }).first().tap()
  await page.getByRole('button', { name: 'Let it go' }).tap()
  await expect(page.getByRole('heading', { name: /Missed/ })).toBeHidden()

  await page.getByRole('button', { name: 'Follow: Review' }).tap()
  await page.getByRole('menuitem', { name: 'Log' }).tap()
  const first = page.getByRole('textbox', { name: /, set 1, reps$/ }).first()
  await first.fill('9')
  await first.press('Enter')
  await expect(page.getByRole('button', { name: /^Take set 1 of/ }).first()).toBeVisible()

  await page.getByRole('button', { name: /^Ines Cardozo-Lind, choose/ }).tap()
  await page.getByRole('combobox', { name: 'Choose a client' }).fill('joren')
  await page.getByRole('option', { name: /Joren/ }).tap()
  await expect(page.getByRole('button', { name: /^Joren .*, choose/ })).toBeVisible()
  await page.getByRole('button', { name: 'Follow: Log' }).tap()
  await page.getByRole('menuitem', { name: 'Split' }).tap()
  await page.getByRole('button', { name: /^Day 2, Pull/ }).tap()
  const less = page.getByRole('button', { name: /^One set less of/ }).first()
  await less.tap()
  await expect(page.getByText(/^was \d+$/)).toBeVisible()
  await expect(page.getByRole('region', { name: 'In 7 days' }).getByText('→').first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).tap()
  await expect(page.getByText(/^was \d+$/)).toBeHidden()
  for (const button of await page.getByRole('button', { name: /^One set/ }).all()) {
    const box = await button.boundingBox()
    expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(44)
  }
})
