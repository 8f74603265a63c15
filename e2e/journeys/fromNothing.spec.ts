import { randomBytes } from 'node:crypto'
import { METHODS } from '../../core/plan/method'
import { boardIsLive, expect, saved, signedIn, signIn, test, week } from '../support/test'

test('the first day: from an empty account to a sent week with its link, in 25 actions and three minutes', async ({
  page,
}) => {
  test.slow()
  const mark = randomBytes(6).toString('hex')
  await page.goto('/sign-up')
  await page.getByLabel('Your name').fill('Ebba Storskog')
  await page.getByLabel('Studio').fill('Boathouse')
  await page.getByLabel('Email').fill(`first-${mark}@skerrylane.example`)
  await page.getByLabel('Password').fill('spring-tide-1')
  await page.getByRole('button', { name: 'Make the account' }).click()
  await expect(page.getByRole('heading', { name: 'Your first client' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Look around in the demo studio' })).toBeVisible()

  let actions = 0
  const act = async (work: Promise<unknown>) => {
    actions += 1
    await work
  }
  const started = Date.now()
  await act(page.getByRole('link', { name: 'New client' }).first().click())
  const open = page.getByRole('button', { name: 'Open the board' })
  await expect(open).toBeEnabled()
  await expect(page.getByLabel('Name', { exact: true })).toBeFocused()
  await act(page.getByLabel('Name', { exact: true }).fill('Aslaug Brattvoll'))
  await act(page.getByLabel('Months of training').fill('30'))
  for (const day of ['Mon', 'Tue', 'Thu', 'Fri'])
    await act(
      page.getByRole('group', { name: day, exact: true }).getByRole('checkbox').setChecked(true),
    )
  await act(page.getByLabel('Minutes for all days').fill('55'))
  await act(page.getByRole('button', { name: 'Set', exact: true }).click())
  await act(page.getByRole('button', { name: 'No to all' }).click())
  await act(open.click())
  await boardIsLive(page)
  await expect(page.getByRole('heading', { name: 'Nothing is planned yet' })).toBeVisible()
  await act(page.keyboard.press('p'))
  await expect(page.getByRole('heading', { name: 'A rotation from nothing' })).toBeVisible()
  const first = page.getByRole('region', { name: /^A, / })
  await expect(first).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('region', { name: /^C, / })).toBeVisible()
  await expect(first.getByRole('heading', { name: /^Day 1/ })).toBeVisible()
  const promised = await first.locator('dd', { hasText: 'to look at' }).innerText()
  const biceps = await first.locator('b.font-display').first().innerText()
  await act(page.keyboard.press('a'))
  await boardIsLive(page)
  await saved(page)
  await expect(week(page, 'Biceps')).toHaveAccessibleName(
    new RegExp(`^Biceps: ${biceps.replace('.', '\\.')} sets`),
  )
  await expect(
    page.getByText(promised.startsWith('0 ') ? 'Nothing to look at' : promised),
  ).toBeVisible()
  await act(page.getByRole('link', { name: 'Block', exact: true }).click())
  await act(page.getByRole('button', { name: /^Send rotation 1/ }).click())
  const handing = page.getByRole('dialog', { name: 'Sheet of Aslaug Brattvoll' })
  await expect(handing.getByRole('img', { name: 'QR code of the link' })).toBeVisible()
  await expect(handing.getByLabel('The link, shown this once')).toHaveValue(/\/sheet\/\S{20,}/)
  await page.keyboard.press('Escape')
  await expect(page.getByText(/^Rotation 1 is sent: 4 sessions\.$/)).toBeVisible()
  expect(Date.now() - started).toBeLessThan(180_000)
  expect(actions).toBeLessThanOrEqual(25)
})

test('five methods fill one template for one client in five ways, and the checks say other things', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const own = await page.request.get(`/api/clients/${studio.client('Joren').id}/profile`)
  const profile = (await own.json()) as Record<string, unknown>
  const boards: { readonly weeks: string; readonly checks: string }[] = []
  for (const { id: method, name } of METHODS) {
    const made = await page.request.post('/api/clients', {
      data: { ...profile, name: `By ${name}`, method },
    })
    const { id } = (await made.json()) as { id: string }
    await page.goto(`/clients/${id}/split`)
    await boardIsLive(page)
    await page.keyboard.press('o')
    await page
      .getByRole('button', { name: /^Use Push, pull, legs twice, arms as finishers/ })
      .click()
    await expect(page.getByText(/fitted to this client/)).toBeVisible()
    await page.keyboard.press('x')
    const checks = page.getByRole('dialog', { name: 'Checks' })
    await expect(checks).toBeVisible()
    const arms = ['Biceps', 'Triceps', 'Forearms']
    const weeks = arms.map(muscle => week(page, muscle).getAttribute('aria-label'))
    boards.push({
      weeks: (await Promise.all(weeks)).join(' '),
      checks: await checks.getByRole('list').innerText(),
    })
  }
  expect(new Set(boards.map(({ weeks }) => weeks)).size).toBe(METHODS.length)
  expect(new Set(boards.map(({ checks }) => checks)).size).toBe(METHODS.length)
})

test('a roster in a table: looked at, asked once, added client by client, and one that cannot be is told', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  await page.goto('/clients/new')
  await expect(page.getByRole('button', { name: 'Open the board' })).toBeEnabled()
  const table = [
    'Client;Training;Days;Minutes;Goal',
    'Runa Askeland;3;Mon, Wed, Fri;60;Fuller arms',
    `${'A'.repeat(120)};2;Tue;45;`,
    'Signe Holt;18 months;sometimes;75;',
    `${studio.client('Marit').name};5;Mon;60;`,
  ].join('\n')
  await page.getByLabel('Or many clients from a table').setInputFiles({
    name: 'roster.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(table),
  })
  const list = page.getByRole('list', { name: 'Clients of the table' })
  await expect(list.getByRole('listitem')).toHaveCount(4)
  await expect(list).toContainText('36 months of training, Mon Wed Fri, 60 min')
  await expect(list).toContainText('days “sometimes” could not be read')
  await expect(list.getByRole('listitem').last()).toContainText('on the roster already')
  await expect(list.getByRole('checkbox').last()).not.toBeChecked()
  await page.getByRole('button', { name: 'Add 3 clients' }).click()
  await expect(
    page.getByRole('status').filter({ hasText: '2 clients are on the roster.' }),
  ).toBeVisible()
  await expect(list.getByRole('listitem').nth(1)).toContainText(/^.*name: /)
  await page.getByRole('link', { name: 'See them on the roster' }).click()
  await expect(page).toHaveURL(/\/roster$/)
  const roster = await (await page.request.get('/api/roster')).json()
  expect(JSON.stringify(roster)).toContain('Runa Askeland')
})
