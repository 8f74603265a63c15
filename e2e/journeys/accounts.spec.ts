import { resetLink } from '../../server/services/passwordReset'
import { randomBytes } from 'node:crypto'
import { Agent, get } from 'node:http'
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
  await expect(page.getByText('Your name is empty; fill it in.')).toBeVisible()
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
  // Once that page is looked at again nothing of anybody is left on it.
  await elsewhere.evaluate(() => document.dispatchEvent(new Event('visibilitychange')))
  await expect(elsewhere.getByRole('heading', { name: 'Signed out' })).toBeVisible()
  await expect(elsewhere.getByText('Pier 3')).toHaveCount(0)

  await signInByForm(elsewhere, { ...coach, password: 'spring-tide-2' })
  // Another tab of this browser hears of it at once.
  const tab = await page.context().newPage()
  await tab.goto('/roster')
  await expect(tab.getByText('Pier 3 · 0 clients')).toBeVisible()
  await page.getByRole('button', { name: 'Sign out everywhere' }).click()
  await expect(page).toHaveURL(/sign-in/)
  await expect(tab.getByRole('heading', { name: 'Signed out' })).toBeVisible()
  await expect(tab.getByText('Pier 3')).toHaveCount(0)
  expect((await elsewhere.request.get('/api/roster')).status()).toBe(401)
})

test('an email that is taken is answered like a new one; its owner is told and stays as she was', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/401/)
  await page.goto('/sign-up')
  for (const [label, text] of [
    ['Your name', 'Somebody'],
    ['Studio', 'Else'],
    ['Email', studio.email],
    ['Password', 'long enough 1'],
  ] as const)
    await page.getByLabel(label).fill(text)
  await page.getByRole('button', { name: 'Make the account' }).click()
  await expect(page).toHaveURL(/\/sign-in/)
  await expect(page.getByText('There is an account for this email.')).toBeVisible()
  await expect(page.getByLabel('Email')).toHaveValue(studio.email)
  await expect(page.getByLabel('Password')).toBeFocused()
  await page.getByLabel('Password').fill(studio.password)
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page).toHaveURL(/\/roster$/)
  await page.goto('/outbox')
  await expect(page.getByText(/asked for a new account with your email/)).toBeVisible()

  const asked = (email: string) =>
    page.request.post('/api/sign-up', {
      data: { name: 'Some', studio: 'Body', email, password: 'long enough 1' },
    })
  const [taken, fresh] = [await asked(studio.email), await asked(`x${studio.email}`)]
  expect([taken.status(), await taken.text()]).toEqual([fresh.status(), await fresh.text()])
  const told = (names: typeof taken) => Object.keys(names.headers()).sort()
  expect(told(taken)).toEqual(told(fresh))
})

test('how dates and figures are written holds on every screen at once, on the server as in the browser', async ({
  page,
  studio,
}) => {
  await signInByForm(page, studio)
  await page.goto('/account#dates')
  await page.getByLabel('Dates as').selectOption('Sat Nov 28')
  await page.getByLabel('Names of days and months in').selectOption('Deutsch')
  await page.getByLabel('Figures as').selectOption('12,5')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.goto('/roster')
  const heading = page.getByRole('heading', { level: 1 })
  await expect(heading).toHaveText(/^(Mo|Di|Mi|Do|Fr|Sa|So) [A-Zä]+[a-zäé]* \d+$/)
  const drawn = await (await page.request.get('/roster')).text()
  expect(drawn.replace(/>\s+|\s+</g, sign => sign.trim())).toContain(
    `>${(await heading.innerText()).trim()}</h1>`,
  )
  const { id } = studio.client('Marit')
  await page.goto(`/clients/${id}/split`)
  await expect(page.getByText(/^\d,\d\d : 1$/)).toBeVisible()
  // Words of the server are written the same way, and another coach's are not.
  await page.goto('/account')
  await page.getByLabel('Dates as').selectOption('Sat 2026-11-28')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.goto('/roster')
  await expect(heading).toHaveText(/^\S+ \d{4}-\d\d-\d\d$/)
})

test('the demo studio is one’s own for a day; an account takes everything along and goes', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/401/)
  await page.goto('/sign-in')
  await page.getByRole('button', { name: 'Look around in the demo studio' }).click()
  await expect(page).toHaveURL(/\/roster$/, { timeout: 30_000 })
  await expect(page.getByRole('link', { name: /^Marit Solheim-Okafor/ }).first()).toBeVisible()
  await expect(page.getByText('Demo studio', { exact: true })).toBeVisible()
  await page.goto('/account')
  await expect(page.getByRole('button', { name: 'Erase the account…' })).toHaveCount(0)

  await page.context().clearCookies()
  await signInByForm(page, studio)
  const whole = (await (await page.request.get('/api/account/export')).json()) as {
    clients: readonly { readonly profile: { readonly name: string } }[]
  }
  expect(whole.clients.map(({ profile }) => profile.name)).toContain('Marit Solheim-Okafor')
  await page.goto('/account')
  // What is erased by itself is told before it happens, and holds when the page is opened again.
  await expect(page.getByText('Nothing is erased by itself.')).toBeVisible()
  await page.getByLabel('Messages that went out').selectOption('Erased after a year')
  await page.getByRole('button', { name: 'Save the rules' }).click()
  await expect(
    page.getByText(/^Followed from .* on\. Nothing is old enough today\.$/),
  ).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Messages that went out')).toHaveValue('12')
  await page.getByRole('button', { name: 'Erase the account…' }).click()
  const erase = page.getByRole('button', { name: 'Erase for good' })
  await expect(erase).toBeDisabled()
  await page.getByLabel(/Type .* to confirm/).fill(studio.email)
  await erase.click()
  await expect(page).toHaveURL(/sign-in/)
  await page.getByLabel('Email').fill(studio.email)
  await page.getByLabel('Password').fill(studio.password)
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByText(/do not match/)).toBeVisible()
})

test('a lost password is set anew by a link that is good once', async ({
  page,
  studio,
  expectedErrors,
}) => {
  expectedErrors.push(/422/)
  const link = (await resetLink(studio.email)) ?? ''
  await page.goto(link)
  const set = page.getByRole('button', { name: 'Set the password' })
  await page.getByLabel('New password').fill('short')
  await set.click()
  await expect(page.getByText('New password must be at least 10 characters.')).toBeVisible()
  await page.getByLabel('New password').fill('neap-tide-22')
  await set.click()
  await expect(page.getByText(/every sign-in has ended/)).toBeVisible()
  await page.getByRole('link', { name: 'Sign in' }).click()
  await signInByForm(page, { email: studio.email, password: 'neap-tide-22' })
  await page.context().clearCookies()
  await page.goto('about:blank')
  await page.goto(link)
  await page.getByLabel('New password').fill('spring-tide-3')
  await set.click()
  await expect(page.getByRole('alert')).toContainText('used already or has run out')
})

test('a connection that nobody uses is kept longer than a proxy in front keeps it', async () => {
  const url = new URL(process.env.BASE_URL!)
  const agent = new Agent({ keepAlive: true, maxSockets: 1 })
  const kept = await new Promise<string>((resolve, reject) =>
    get({ host: url.hostname, port: url.port, path: '/api/health', agent }, answer => {
      answer.resume()
      resolve(String(answer.headers['keep-alive'] ?? ''))
    }).on('error', reject),
  )
  agent.destroy()
  expect(Number(/timeout=(\d+)/.exec(kept)?.[1])).toBeGreaterThan(60)
})
