import { expect, onThisDay, signIn, test } from '../support/test'

test('an address shows the plan to somebody without an account, until it is withdrawn', async ({
  page,
  studio,
  browser,
}) => {
  await signIn(page, studio)
  const { id, name } = studio.client('Marit')
  await page.goto(`/clients/${id}/log?panel=link`)
  await page.getByRole('button', { name: 'New address' }).click()
  const field = page.getByLabel('The address, shown this once')
  await expect(field).toBeVisible()
  const address = await field.inputValue()

  const other = await browser.newContext()
  await onThisDay(other)
  const reader = await other.newPage()
  await reader.goto(address)
  await expect(reader.getByRole('heading', { name: 'Rotation 1' })).toBeVisible()
  await expect(reader.getByText('To look at only')).toBeVisible()
  await expect(reader.getByText(name)).toHaveCount(0)
  // It leads nowhere else: the coach's pages still ask for a sign-in.
  await reader.goto('/roster')
  await expect(reader).toHaveURL(/\/sign-in/)

  await page.getByRole('button', { name: 'Withdraw: The plan' }).click()
  await expect(page.getByRole('list', { name: 'Addresses' })).toHaveCount(0)
  await reader.goto(address)
  await reader.reload()
  await expect(reader.getByRole('alert')).toBeVisible()
  await other.close()

  // A calendar program is given the sessions with their hours.
  await page.getByRole('combobox', { name: /^What/ }).selectOption('calendar')
  await page.getByRole('button', { name: 'New address' }).click()
  await expect(field).toHaveValue(/\/api\/calendar\//)
  const calendar = await (await fetch(await field.inputValue())).text()
  expect(calendar).toMatch(/^BEGIN:VCALENDAR/)
  expect(calendar).toMatch(/DTSTART:\d{8}T\d{6}/)
})
