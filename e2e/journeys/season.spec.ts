import { addDays } from '#core/base'
import { type PlanDocument, planEnd } from '#core/plan/block'
import { alive, boardIsLive, expect, openSplit, saved, signedIn, test } from '../support/test'

test.use({ logs: 'logged' })

test('the next block is worked on while this one runs, whose misses are still seen', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id, plan, blockId } = studio.client('Ines')
  await page.goto(`/clients/${id}/season`)
  await alive(page)
  await page.keyboard.press('b')
  const dialog = page.getByRole('dialog', { name: 'The next block' })
  await dialog.getByLabel('Title').fill('Caulking')
  // Too early: the running block says until when it goes, or makes room.
  const start = dialog.getByLabel('Starts on')
  const after = await start.inputValue()
  await start.fill('tomorrow')
  await start.press('Tab')
  await expect(dialog.getByText(/makes room|first rotation is not over/)).toBeVisible()
  await start.fill(after)
  await start.press('Tab')
  await dialog.getByLabel('Triceps, mode').selectOption('maintain')
  await dialog.getByRole('button', { name: 'Put it behind this block' }).click()
  await expect(page.getByRole('button', { name: /^Caulking/ })).toBeVisible()
  // A second one over it is refused with its days.
  const over = await page.request.post(`/api/blocks/${blockId}/next`, {
    data: {
      version: 1,
      title: 'Over it',
      startsOn: plan.startsOn.replace(/^\d{4}/, year => String(Number(year) + 1)),
      weeks: 60,
      from: 'first',
      modes: {},
    },
  })
  expect(over.status()).toBe(422)

  // The roster goes by today: the miss of the running block is there, and it is the one that opens.
  await page.goto('/roster')
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('Ines')
  await openSplit(page, studio, 'Ines')
  await expect(page.getByText(new RegExp(`^${plan.title} ·`))).toBeVisible()

  // The one ahead is changed, with its own emphasis, and the running one stays as it is.
  await page.goto(`/clients/${id}/season`)
  await alive(page)
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/^Ahead: Caulking, from /)).toBeVisible()
  await page.getByRole('link', { name: 'Split', exact: true }).click()
  await boardIsLive(page)
  await expect(page.getByText(/^Caulking ·/)).toBeVisible()
  const cell = page.getByRole('gridcell', { name: /^Biceps, day \d .* [1-9]/ }).first()
  await cell.click()
  await page.keyboard.press('+')
  await saved(page)
  await page.getByRole('button', { name: 'To today’s block' }).click()
  await expect(page.getByText(new RegExp(`^${plan.title} ·`))).toBeVisible()
  const held = (await (await page.request.get(`/api/clients/${id}`)).json()) as {
    block: { id: string; version: number; plan: object }
  }
  expect([held.block.id, held.block.version]).toEqual([blockId, 1])
  expect(held.block.plan).toEqual(plan)
})

test('a block that is over is opened, looked back at and reported', async ({ page, studio }) => {
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await page.goto(`/clients/${id}/season`)
  await alive(page)
  const former = page.getByRole('listitem').getByRole('button', { name: / behind / })
  const title = (await former.locator('bdi').textContent())!.trim()
  // Beside the running one: what was put in, what it cost, what grew.
  await page.keyboard.press('c')
  const beside = page.getByRole('dialog', { name: 'Two blocks side by side' })
  await expect(beside.getByLabel('Block on the left').locator('option:checked')).toHaveText(title)
  const row = (name: string) => beside.getByRole('row', { name: new RegExp(`^${name}`) })
  await expect(row('Sets done').getByRole('cell')).toHaveText([/^\d+ of \d+$/, /^\d+ of \d+$/])
  await expect(row('Pain told').getByRole('cell').first()).toHaveText(/none|worst/)
  await page.keyboard.press('Escape')
  await expect(beside).toHaveCount(0)
  await former.click()
  await page.keyboard.press('r')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await expect(page).toHaveURL(/review\?block=/)
  await expect(page.getByText(new RegExp(`^Behind: ${title}, from `))).toBeVisible()
  await page.goto(`/clients/${id}/report`)
  await expect(page.getByRole('heading', { name: new RegExp(title) })).toBeVisible()
  await page.getByRole('button', { name: 'To today’s block' }).click()
  await expect(page.getByRole('heading', { name: new RegExp(title) })).toHaveCount(0)
})

test('a year is planned in one form, in well under two minutes', async ({ page, studio }) => {
  await signedIn(page, studio)
  const { id } = studio.client('Kaja')
  await page.goto(`/clients/${id}/season`)
  await alive(page)
  const before = await page.getByRole('listitem').getByRole('button').count()
  const started = Date.now()
  await page.keyboard.press('y')
  const dialog = page.getByRole('dialog', { name: 'Plan ahead' })
  await expect(dialog.getByText('52 weeks in all')).toBeVisible()
  await dialog.getByLabel('Title of block 1').fill('Ribs')
  await dialog
    .getByLabel('What comes first in block 2')
    .selectOption({ label: 'both sides of the arm' })
  const button = dialog.getByRole('button', { name: /^Put \d+ blocks behind the last$/ })
  const many = Number(/\d+/.exec(await button.innerText())![0])
  await button.click()
  await expect(dialog).toHaveCount(0, { timeout: 60_000 })
  expect(Date.now() - started).toBeLessThan(120_000)
  await expect(page.getByRole('button', { name: /^Ribs/ })).toBeVisible()
  await expect(page.getByRole('listitem').getByRole('button')).toHaveCount(before + many)

  // They are drafts: how far the sets go is decided here, a mistake is told at once.
  await page.getByRole('button', { name: /^Ribs.*draft, in / }).click()
  const draft = page.getByRole('region', { name: 'Draft: Ribs' })
  const end = draft.getByLabel('Triceps, sets at the draft’s end')
  await end.fill('400')
  await end.press('Enter')
  await expect(page.getByText(/^Triceps: sets per 7 days from/)).toBeVisible()
  await end.fill('14')
  await end.press('Enter')
  await expect(page.getByText('Kept.')).toBeVisible()
  await expect(end).toHaveValue('14')
  // Opened, it says so; one key makes it a plan, one takes that back.
  await page.getByRole('button', { name: 'Make it a plan' }).click()
  await expect(draft).toHaveCount(0)
  await page.keyboard.press('z')
  await expect(draft).toBeVisible()
})

test('a seam moves by keys, a block that jumps begins lower, and both are taken back', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id, plan, blockId } = studio.client('Ines')
  const body = {
    version: 1,
    title: 'Caulking',
    startsOn: addDays(planEnd(plan), 1),
    weeks: 6,
    from: 'first',
    modes: {},
    isCut: false,
  }
  const begun = await page.request.post(`/api/blocks/${blockId}/next`, { data: body })
  const next = ((await begun.json()) as { id: string }).id
  await page.goto(`/clients/${id}/season`)
  await alive(page)
  const plank = page.getByRole('button', { name: /^Caulking/ })
  await plank.click()
  const days = page.locator('main header').first().locator('span')
  const before = await days.innerText()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByText('The seam is later')).toBeVisible()
  await expect(days).not.toHaveText(before)
  await page.keyboard.press('z')
  await expect(page.getByText('Undone: seam moved')).toBeVisible()
  await expect(days).toHaveText(before)

  // Something jumps: what is offered says what it does, and is taken by one key.
  const held = (await (await page.request.get(`/api/clients/${id}?block=${next}`)).json()) as {
    block: { version: number; plan: PlanDocument }
  }
  const jump = { kind: 'sets', pass: 0, group: 'triceps', change: 7 }
  const saved = await page.request.put(`/api/blocks/${next}/plan`, {
    data: {
      version: held.block.version,
      plan: { ...held.block.plan, block: { ...held.block.plan.block, exceptions: [jump] } },
    },
  })
  expect(saved.ok()).toBe(true)
  await page.reload()
  await alive(page)
  await plank.click()
  await expect(page.getByRole('button', { name: /^Start .*lower and step up/ })).toBeVisible()
  await expect(page.getByText(/Triceps × \d\.\d\d to × 1\.\d\d/)).toBeVisible()
  await page.keyboard.press('1')
  await expect(page.getByText(/^Taken: start .*lower and step up/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Start .*lower/ })).toHaveCount(0)
  await page.keyboard.press('z')
  await expect(page.getByText('Undone: fix at a seam')).toBeVisible()
})

test('arm days follow a phase until its event, and arm work comes in after a base', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id } = studio.client('Ines')
  await page.goto(`/clients/${id}/season`)
  await alive(page)
  await page.keyboard.press('f')
  const dialog = page.getByRole('dialog', { name: /^Phase of / })
  await dialog.getByLabel('Phase').selectOption('Before an event')
  await expect(dialog.getByLabel('What comes first')).toHaveValue('both')
  await dialog.getByLabel('What it leads to').fill('the regatta')
  // What cannot be is said with its bounds, and nothing typed is lost.
  await dialog.getByLabel('Arms at least every').fill('1')
  await dialog.getByRole('button', { name: 'Keep it' }).click()
  await expect(dialog.getByRole('alert')).toContainText('a whole number from 2 to 14')
  await expect(dialog.getByLabel('What it leads to')).toHaveValue('the regatta')
  await dialog.getByLabel('Arms at least every').fill('2')
  await dialog.getByRole('button', { name: 'Keep it' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByText('Before the regatta')).toBeVisible()
  await expect(page.getByText(/to go, until .*arms at least every 2 days/)).toBeVisible()

  // The board asks for the days the phase wants, and the block's page says why.
  await page.goto(`/clients/${id}/block?view=terms`)
  await alive(page)
  await expect(page.getByText(/^Before the regatta · arms at least every 2 days/)).toBeVisible()
  const base = page.getByLabel(/^Base: single-joint arm work comes in after/)
  await base.fill('1')
  await base.press('Tab')
  await saved(page)
  await page.goto(`/clients/${id}/split`)
  await boardIsLive(page)
  await expect(
    page.getByText(/in 7, wanted 3\.5|days without work, at most 2/).first(),
  ).toBeVisible()

  // One step takes the base back, another the phase.
  await page.goto(`/clients/${id}/season`)
  await alive(page)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByText(/^Undone: change of the plan/)).toBeVisible()
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByText(/^Undone: phase of a block/)).toBeVisible()
  await expect(page.getByText('Before the regatta')).toBeHidden()
})
