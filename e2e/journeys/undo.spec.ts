import { boardIsLive, cell, expect, openSplit, saved, signedIn, test } from '../support/test'

test('what was done last for a client is undone from wherever one is, also after a reload, and told', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id } = studio.client('Marit')
  await openSplit(page, studio, 'Marit')
  const biceps = cell(page, 'Biceps', 'day 2 Pull')
  const before = await biceps.getAttribute('aria-label')
  await biceps.click()
  await page.keyboard.press('+')
  await saved(page)
  const after = await biceps.getAttribute('aria-label')
  expect(after).not.toBe(before)

  await page.goto(`/clients/${id}/targets`)
  const ceiling = page.getByRole('spinbutton', { name: 'Triceps, ceiling' })
  await ceiling.fill('31')
  await page.getByRole('button', { name: 'Save the targets' }).click()
  await expect(page.getByText(/^Saved/)).toBeVisible()

  await page.goto(`/clients/${id}/review`)
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  await page.keyboard.press('z')
  await expect(page.getByText('Undone: targets.')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  await page.keyboard.press('z')
  await expect(page.getByText(/^Undone: change of the plan, day 2 /)).toBeVisible()

  await page.goto(`/clients/${id}/split`)
  await boardIsLive(page)
  await expect(biceps).toHaveAttribute('aria-label', before ?? '')
  await page.keyboard.press('u')
  const list = page.getByRole('dialog', { name: 'Done for Marit Solheim-Okafor' })
  await expect(list.getByRole('listitem')).toHaveCount(2)
  await expect(list.getByRole('listitem').first()).toContainText('Targets, undone')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Shift+Z')
  await expect(page.getByText(/^Done again: change of the plan/)).toBeVisible()
  await expect(biceps).toHaveAttribute('aria-label', after ?? '')
})

test('a rotation that was sent is taken back, and is not on the sheet', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id, blockId } = studio.client('Joren')
  const sent = await page.request.post(`/api/blocks/${blockId}/send`, {
    data: { pass: 5, version: 1, again: false },
  })
  expect(sent.ok()).toBe(true)
  await page.goto(`/clients/${id}/history`)
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  await page.keyboard.press('z')
  await expect(page.getByText('Undone: sending of a rotation.')).toBeVisible()
  const left = await page.request.get(`/api/blocks/${blockId}/sent`)
  const { sent: rows } = (await left.json()) as { sent: readonly { readonly pass: number }[] }
  expect(rows.filter(({ pass }) => pass === 5)).toEqual([])
})

test('what belongs to the studio is undone on its own pages', async ({ page, studio }) => {
  await signedIn(page, studio)
  const made = await page.request.post('/api/methods', {
    data: { from: 'steady-middle', name: 'Winter' },
  })
  const { undo } = (await (await page.request.get('/api/changes/last')).json()) as {
    undo: { readonly id: string; readonly did: string }
  }
  expect(made.ok()).toBe(true)
  expect(undo.did).toBe('method of your own')
  await page.goto('/methods')
  await expect(page.getByRole('heading', { name: 'Yours' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  await page.keyboard.press('z')
  await expect(page.getByText('Undone: method of your own.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Yours' })).toHaveCount(0)
  const methods = (await (await page.request.get('/api/methods')).json()) as {
    methods: readonly { readonly name: string }[]
  }
  expect(JSON.stringify(methods)).not.toContain('Winter')
})
