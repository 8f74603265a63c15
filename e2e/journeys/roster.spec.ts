import { expect, signIn, test } from '../support/test'

test.use({ logs: 'logged' })

test(
  'the roster says who needs the coach now, why, and leads to where it is settled',
  { tag: '@day' },
  async ({ page, studio }) => {
    await signIn(page, studio)
    const now = page.getByRole('region', { name: 'Now' })
    await expect(now).toContainText('Pain 4 of 10: front of the elbow, left')
    await expect(now).toContainText('Missed')
    await expect(now).toContainText('Oskar Brekke-Mensah')
    await expect(now).toContainText(/Rotation \d+ starts .*, not sent/)
    const week = page.getByRole('region', { name: 'This week' })
    await expect(week).toContainText('Joren Haakestad')
    await expect(week).toContainText(/falling/)
    await expect(week).toContainText(/Block ends/)
    await expect(week).toContainText('Triceps 1.1 under floor')
    await expect(page.getByRole('region', { name: 'Steady' })).toContainText('Marit Solheim-Okafor')

    await page.getByRole('button', { name: /^Reasons and answers for Teo/ }).click()
    await page.getByRole('link', { name: /See the joint/ }).click()
    await expect(page.getByRole('heading', { name: 'Joints', exact: true })).toBeVisible()
    await expect(page.getByText(/held: no more load/)).toBeVisible()
  },
)

test(
  'a missed session is let go, and the client leaves the section for it',
  { tag: '@day' },
  async ({ page, studio }) => {
    await signIn(page, studio)
    await page.getByRole('button', { name: /^Reasons and answers for Ines/ }).click()
    await page.getByRole('button', { name: 'Let it go' }).click()
    await expect(page.getByRole('region', { name: 'Now' })).not.toContainText('Ines')
    await page.reload()
    await expect(page.getByRole('region', { name: 'Now' })).not.toContainText('Ines')
  },
)

test('search, filters, flag and later, by keyboard alone', async ({ page, studio }) => {
  await signIn(page, studio)
  const search = page.getByRole('searchbox', { name: 'Search the roster' })
  await search.focus()
  await page.keyboard.type('falling')
  await expect(page.getByRole('link', { name: /open the split$/ })).toHaveCount(1)
  await search.fill('')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /^Now/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('region')).toHaveCount(1)
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('link', { name: /^Teo Brandvold/ })).toBeFocused()
  await page.keyboard.press('f')
  await expect(page.getByRole('img', { name: 'flagged' })).toBeVisible()
  await page.getByRole('link', { name: /^Teo Brandvold/ }).focus()
  await page.keyboard.press('l')
  await expect(page.getByRole('button', { name: 'tomorrow' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Now' })).not.toContainText('Teo')
  await page.getByRole('button', { name: /^Flagged/ }).click()
  await expect(page.getByRole('region', { name: 'Steady' })).toContainText(/asks again/)
})

test('a quick answer by its digit opens the place of the reason', async ({ page, studio }) => {
  await signIn(page, studio)
  await page.getByRole('link', { name: /^Joren Haakestad/ }).focus()
  await page.keyboard.press('1')
  await expect(page).toHaveURL(/\/trends$/)
  await expect(page.getByText(/falling/i).first()).toBeVisible()
})
