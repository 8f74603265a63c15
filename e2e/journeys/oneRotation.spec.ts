import type { Page } from '@playwright/test'
import { alive, boardIsLive, expect, saved, sessionIsLive, signedIn, test } from '../support/test'

async function openBlock(page: Page, id: string, view = ''): Promise<void> {
  await page.goto(`/clients/${id}/block${view}`)
  await alive(page)
}

test('one rotation is opened by itself on board and session, changed for its dates alone, and sent so', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id, blockId, plan } = studio.client('Marit')
  await openBlock(page, id, `?rotation=${plan.passes}`)
  const heads = page.getByRole('columnheader')
  await expect(heads.last()).toHaveAttribute('aria-label', new RegExp(`^Rotation ${plan.passes},`))
  await page.keyboard.press('o')
  const bar = page.getByRole('region', { name: 'One rotation' })
  await expect(bar).toContainText(`Rotation ${plan.passes} of ${plan.passes} by itself`)
  await boardIsLive(page)
  const cell = page.getByRole('gridcell', { name: /^Biceps, day \d .* [1-9]/ }).first()
  const before = await cell.getAttribute('aria-label')
  await cell.click()
  await page.keyboard.press('+')
  await saved(page)
  await expect(cell).not.toHaveAttribute('aria-label', before!)

  // Its days are the block's.
  await page.keyboard.press('o')
  await page.getByRole('dialog').getByRole('combobox', { name: 'Days' }).selectOption('10')
  await expect(page.getByText(/^This is one rotation by itself/)).toBeVisible()
  await page.keyboard.press('Escape')

  // The session shows the same rotation, and the one before is as it was.
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(new RegExp(`/session/\\d\\?rotation=${plan.passes}$`))
  await sessionIsLive(page)
  await expect(bar).toContainText('counts for these dates only')
  await page.getByRole('link', { name: 'Split', exact: true }).click()
  await expect(bar).toContainText(`Rotation ${plan.passes} of`)
  await page.getByRole('link', { name: 'Whole block' }).click()
  await expect(bar).toHaveCount(0)

  // The block says so, and what is sent has it.
  await openBlock(page, id, `?rotation=${plan.passes}`)
  await expect(page.getByText(/: changed for its date$/).first()).toBeVisible()
  const stored = await page.request.get(`/api/clients/${id}`)
  const view = (await stored.json()) as {
    block: { version: number; plan: { oneOffs: { on: string; content: unknown }[] } }
  }
  expect(view.block.plan.oneOffs).toHaveLength(1)
  const [own] = view.block.plan.oneOffs
  const sent = await page.request.post(`/api/blocks/${blockId}/send`, {
    data: { pass: plan.passes - 1, version: view.block.version, again: false },
  })
  expect(sent.ok()).toBe(true)
  const told = (await (await page.request.get(`/api/blocks/${blockId}/sent`)).json()) as {
    sent: { pass: number; on: string; content: unknown }[]
  }
  expect(
    told.sent.find(({ on, pass }) => on === own!.on && pass === plan.passes - 1)?.content,
  ).toEqual(own!.content)
})

test('sets, reps and what is wanted of a muscle change from a rotation on, with why, and end again', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openBlock(page, studio.client('Marit').id)
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('h')
  const dialog = page.getByRole('dialog', { name: /^Biceps from rotation \d on$/ })
  await expect(dialog.getByLabel('Sets, more or fewer')).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(dialog.getByRole('alert')).toHaveText(/^Nothing is to change yet/)
  await dialog.getByLabel('Reps, more or fewer').fill('2')
  await dialog.getByLabel('What you want of it').selectOption('keep')
  await dialog.getByLabel('Why').fill('Elbows want lighter weights')
  await page.keyboard.press('Enter')
  await expect(dialog).toHaveCount(0)
  const held = page.getByRole('region', { name: 'Changes that hold' })
  await expect(held.getByText(/^Biceps \+2 reps from rotation \d on/)).toBeVisible()
  await expect(held.getByText(/^Elbows want lighter weights/)).toHaveCount(2)
  await saved(page)
  await page.keyboard.press('ArrowRight')
  await held.getByRole('button', { name: /^End it from rotation \d on: Biceps: keep/ }).click()
  await expect(page.getByText(/^Biceps from rotation \d on: without that change\./)).toBeVisible()
  await saved(page)
})

test('what comes up is drawn on the calendar by mouse and by keys, and says what it does first', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  await openBlock(page, studio.client('Marit').id, '?view=calendar')
  const chip = page.getByRole('button', { name: /, rotation 7, .* planned/ }).first()
  const name = (await chip.getAttribute('aria-label'))!
  // What comes after the date changes with what comes up.
  const [session, rotation, date] = name.split(', ')
  const day = page.getByRole('cell').filter({
    has: page.getByRole('button', { name: `${session}, ${rotation}, ${date},` }),
  })
  const box = (await day.boundingBox())!
  await page.mouse.move(box.x + box.width - 8, box.y + box.height - 6)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width - 6, box.y + box.height - 8, { steps: 3 })
  await page.mouse.up()
  const dialog = page.getByRole('dialog', { name: 'What comes up' })
  await expect(dialog.getByRole('list', { name: 'What it does' })).toContainText(/^Left out: /)
  await page.keyboard.press('Enter')
  await expect(dialog.getByRole('alert')).toHaveText(/^Event: say what it is/)
  await dialog.getByLabel('What', { exact: true }).fill('Regatta')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Regatta is in the block.')).toBeVisible()
  await expect(day.getByRole('button', { name: /^Regatta: change or take out/ })).toBeVisible()
  await saved(page)

  await page.keyboard.press('e')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('Enter')
  await dialog.getByLabel('What', { exact: true }).fill('Exams')
  await dialog.getByLabel('Then').selectOption('light')
  await page.keyboard.press('Enter')
  const exams = page.getByRole('button', { name: /^Exams: change or take out/ })
  await expect(exams).toHaveCount(2)
  await exams.first().click()
  await page.getByRole('button', { name: 'Take it out' }).click()
  await expect(exams).toHaveCount(0)
  await page.keyboard.press('z')
  await expect(exams).toHaveCount(2)
  await saved(page)
})
