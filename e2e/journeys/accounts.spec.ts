import { randomBytes } from 'node:crypto'
import { expect, signInByForm, test } from '../support/test'

test('a new coach makes an account, changes the password and signs out everywhere', async ({
  page,
  browser,
  expectedErrors,
}) => {
  expectedErrors.push(/401|422/)
  const coach = {
    email: `new-${randomBytes(6).toString('hex')}@skerrylane.example`,
    password: 'slack-water-1',
  }
  await page.goto('/sign-up')
  const make = page.getByRole('button', { name: 'Make the account' })
  await make.click()
  await expect(page.getByText('Your name must be at least 1 character.')).toBeVisible()
  await page.getByLabel('Your name').fill('Ines Varga')
  await page.getByLabel('Studio').fill('Pier 3')
  await page.getByLabel('Email').fill(coach.email)
  await page.getByLabel('Password').fill('short')
  await make.click()
  await expect(page.getByText('Password must be at least 10 characters.')).toBeVisible()
  await page.getByLabel('Password').fill(coach.password)
  await make.click()
  await expect(page).toHaveURL(/\/roster$/)
  await expect(page.getByText('Pier 3 · 0 clients')).toBeVisible()

  const elsewhere = await browser
    .newContext({ baseURL: process.env.BASE_URL! })
    .then(context => context.newPage())
  await signInByForm(elsewhere, coach)
  await page.getByRole('button', { name: 'Ines Varga, account menu' }).click()
  await page.getByRole('menuitem', { name: 'Account', exact: true }).click()
  await expect(page.getByText('You are signed in at 2 places.')).toBeVisible()
  await page.getByLabel('Current password').fill('not this one')
  await page.getByLabel('New password').fill('spring-tide-2')
  await page.getByRole('button', { name: 'Change the password' }).click()
  await expect(page.getByText('Current password is not your password.')).toBeVisible()
  await page.getByLabel('Current password').fill(coach.password)
  await page.getByRole('button', { name: 'Change the password' }).click()
  await expect(page.getByText('Changed. Every other sign-in has ended.')).toBeVisible()
  expect((await elsewhere.request.get('/api/roster')).status()).toBe(401)

  await signInByForm(elsewhere, { ...coach, password: 'spring-tide-2' })
  await page.getByRole('button', { name: 'Sign out everywhere' }).click()
  await expect(page).toHaveURL(/sign-in/)
  expect((await elsewhere.request.get('/api/roster')).status()).toBe(401)
})

test('an email that is taken is refused at its field and nothing entered is lost', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/422/)
  await page.goto('/sign-up')
  for (const [label, text] of [
    ['Your name', 'Somebody'],
    ['Studio', 'Else'],
    ['Email', studio.email],
    ['Password', 'long enough 1'],
  ] as const)
    await page.getByLabel(label).fill(text)
  await page.getByRole('button', { name: 'Make the account' }).click()
  await expect(page.getByText(/Email has an account already/)).toBeVisible()
  await expect(page.getByLabel('Your name')).toHaveValue('Somebody')
})
