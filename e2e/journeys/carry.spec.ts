import { boardIsLive, expect, openSplit, saved, signIn, test } from '../support/test'

// One client is taken back from after something else was done: the server refuses that one.
test.use({ expectedErrors: [/status of 422/] })

test('a rotation is kept as a template and carried to three clients with other days and equipment, seen before, and taken back', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  await openSplit(page, studio, 'Marit')
  await page.keyboard.press('o')
  await page.getByRole('button', { name: 'Keep it, or give it to others' }).click()
  await page.getByLabel('Keep it as a template').fill('Harbour eight')
  await page.getByLabel('Why, for whom').fill('Own arm day')
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(page.getByText(/^Kept\. It stands under/)).toBeVisible()

  const clients = page.getByRole('group', { name: 'Clients' })
  const names = ['Emil', 'Kaja', 'Pia']
  for (const name of names)
    await clients.getByRole('checkbox', { name: new RegExp(`^${name}`) }).setChecked(true)
  const version = async (name: string) => {
    const view = await page.request.get(`/api/clients/${studio.client(name).id}`)
    return ((await view.json()) as { block: { version: number } }).block.version
  }
  const before = await Promise.all(names.map(version))
  await page.getByRole('button', { name: 'See what would differ' }).click()
  const list = page.getByRole('list', { name: 'Client by client' })
  await expect(list.locator(':scope > li')).toHaveCount(3)
  const emil = list.locator(':scope > li').filter({ hasText: 'Emil' })
  await expect(emil).toContainText('would go into')
  await emil.getByText(/differences?$/).click()
  await expect(emil.getByRole('listitem').first()).toBeVisible()
  expect(await Promise.all(names.map(version))).toEqual(before)

  await page.getByRole('button', { name: 'Give it to 3 clients' }).click()
  await expect(page.getByText('3 clients have it.')).toBeVisible()
  expect(await Promise.all(names.map(version))).toEqual(before.map(one => one + 1))
  // What was done for one of them since stays, and so does the plan under it.
  const pia = studio.client('Pia').id
  await page.request.post(`/api/clients/${pia}/notes`, {
    data: { on: studio.client('Pia').plan.startsOn, session: null, text: 'Since then' },
  })
  await page.getByRole('button', { name: 'Take it back from 3 clients' }).click()
  await expect(list.getByText('taken back')).toHaveCount(2)
  await expect(list.getByText(/^Changed again since/)).toBeVisible()
  const kept = await page.request.get(`/api/clients/${pia}/notes`)
  expect(JSON.stringify(await kept.json())).toContain('Since then')

  // The template stands in the list of every client, fitted to each.
  await openSplit(page, studio, 'Emil')
  await page.keyboard.press('o')
  await page.getByRole('button', { name: 'Start from a template' }).click()
  const own = page
    .getByRole('list', { name: 'Templates, best fit first' })
    .getByRole('listitem')
    .filter({ hasText: 'Harbour eight' })
  await expect(own).toContainText('your own')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    own.getByRole('link', { name: 'export' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('Harbour eight.json')
  await page.getByLabel('Take a template in').setInputFiles(await file.path())
  await expect(page.getByText('Harbour eight (2)')).toBeVisible()
  // The second gets a name of its own; without one it is told what is missing.
  await page.getByRole('button', { name: 'Rename Harbour eight (2)' }).click()
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toHaveText(/^Give it a name/)
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Quay week')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Rename Quay week' })).toBeVisible()
  await expect(page.getByText('Harbour eight (2)')).toHaveCount(0)
  await page.getByLabel('Take a template in').setInputFiles({
    name: 'letter.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"letter"}'),
  })
  await expect(page.getByRole('alert')).toHaveText(/^letter\.json is no template/)
  await page.getByRole('button', { name: 'Use Harbour eight', exact: true }).click()
  await expect(page.getByText(/^Harbour eight, fitted to this client/)).toBeVisible()
  await saved(page)
  await page.keyboard.press('z')
  await saved(page)
  await boardIsLive(page)
})

test('a template made as a plan is by now offers what changed to those who have it', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  const made = await page.request.post('/api/plan-templates', {
    data: {
      name: 'Quay week',
      reason: '',
      block: studio.client('Marit').blockId,
      part: 'rotation',
    },
  })
  const { id } = (await made.json()) as { id: string }
  const kaja = studio.client('Kaja').id
  const given = await page.request.post(`/api/clients/${kaja}/carry`, {
    data: { from: { kind: 'template', id }, isTrial: false },
  })
  expect(given.ok()).toBe(true)

  await openSplit(page, studio, 'Marit')
  await page
    .getByRole('gridcell', { name: /^Triceps, day \d .* [1-9]/ })
    .first()
    .click()
  await page.keyboard.press('+')
  await saved(page)
  await page.keyboard.press('o')
  await page.getByRole('button', { name: 'Start from a template' }).click()
  await page.getByRole('button', { name: 'Make Quay week as this plan is' }).click()
  await expect(page.getByText(/^Quay week is as this plan is now/)).toBeVisible()

  await openSplit(page, studio, 'Kaja')
  const bar = page.getByRole('region', { name: 'Template' })
  await expect(bar).toContainText(
    'Quay week changed since this plan was made from it: 1 difference.',
  )
  await bar.getByRole('button', { name: 'Look at it' }).click()
  const dialog = page.getByRole('dialog', { name: 'What changed in Quay week' })
  await expect(dialog.getByRole('checkbox')).toBeChecked()
  await expect(dialog.getByText(/, 1 set more/)).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'On trial' })).toContainText(
    'what changed in Quay week',
  )
  await page.keyboard.press('Enter')
  await saved(page)
  await expect(bar).toHaveCount(0)
  await page.reload()
  await boardIsLive(page)
  await expect(bar).toHaveCount(0)
})
