import { newStudio } from '../support/studio'
import { expect, signInByForm, test } from '../support/test'

test('a wrong password is refused, and after five of them even the right one has to wait', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/401|429/)
  await page.goto('/sign-in')
  await page.getByLabel('Email').fill(studio.email)
  await page.getByLabel('Password').fill('low-tide')
  const button = page.getByRole('button', { name: 'Sign in' })
  await button.click()
  await expect(page.getByRole('alert')).toContainText('Email and password do not match')
  await expect(page).toHaveURL(/sign-in/)
  for (let attempt = 0; attempt < 4; attempt++) {
    await page.request.post('/api/sign-in', { data: { email: studio.email, password: 'low-tide' } })
  }
  await page.getByLabel('Password').fill(studio.password)
  await button.click()
  await expect(page.getByRole('alert')).toContainText(/Wait \d+ min before the next attempt/)
})

test('an empty form names the fields', async ({ page }) => {
  await page.goto('/sign-in')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('alert')).toContainText('Email must be an email address')
})

test('signing out ends the sign-in itself, not only the cookie', async ({
  page,
  context,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/401/)
  await signInByForm(page, studio)
  const kept = await context.storageState()
  await page.getByRole('button', { name: /account menu/ }).click()
  await page.getByRole('menuitem', { name: 'Sign out' }).click()
  await expect(page).toHaveURL(/sign-in/)
  await context.addCookies(kept.cookies)
  expect((await page.request.get('/api/roster')).status()).toBe(401)
})

test('a new sign-in on the same browser ends the one before; pages about people are stored nowhere', async ({
  page,
  context,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/401/)
  await signInByForm(page, studio)
  const before = await context.storageState()
  const roster = await page.request.get('/roster')
  expect(roster.headers()['cache-control']).toBe('no-store')
  const { email, password } = studio
  const again = await page.request.post('/api/sign-in', { data: { email, password } })
  expect(again.status()).toBe(200)
  expect((await page.request.get('/api/roster')).status()).toBe(200)
  await context.addCookies(before.cookies)
  expect((await page.request.get('/api/roster')).status()).toBe(401)
  // What is kept differs, who is signed in does not: the sign-in stays.
  await page.request.post('/api/sign-in', { data: { email, password } })
  const foreign = await page.request.put('/api/account', {
    data: {},
    headers: { origin: 'https://elsewhere.example' },
  })
  expect(foreign.status()).toBe(403)
})

test('without a sign-in every page leads to the form and back', async ({ page, studio }) => {
  const path = `/clients/${studio.client('Marit').id}/split`
  await page.goto(path)
  await expect(page).toHaveURL(/\/sign-in\?next=/)
  await page.getByLabel('Email').fill(studio.email)
  await page.getByLabel('Password').fill(studio.password)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page).toHaveURL(path)
})

test("another coach's client and block answer 404 and stay as they are", async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/404/)
  const other = await newStudio()
  const { id, blockId, plan } = other.client('Marit')
  await signInByForm(page, studio)
  expect((await page.request.get(`/api/clients/${id}`)).status()).toBe(404)
  expect(
    (
      await page.request.put(`/api/blocks/${blockId}/plan`, {
        data: { version: 1, plan: { ...plan, title: 'Mine now' } },
      })
    ).status(),
  ).toBe(404)
  const shown = await page.goto(`/clients/${id}/split`)
  expect(shown?.status()).toBe(404)
  await expect(page.getByRole('heading', { name: 'This page is not there' })).toBeVisible()
  await signInByForm(
    await page
      .context()
      .browser()!
      .newContext({ baseURL: process.env.BASE_URL! })
      .then(context => context.newPage()),
    other,
  )
})
