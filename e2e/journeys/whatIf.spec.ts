import { addDays } from '#core/base'
import { formatDay } from '#core/words'
import { FloorView } from '#shared/contracts/floor'
import { serverToday } from '../../server/clock'
import { alive, expect, signIn, test } from '../support/test'

test('the cable tower broken until Friday is handled for all at once, one left out, and undone', async ({
  page,
  studio,
}) => {
  test.slow()
  await signIn(page, studio)
  await page.request.put('/api/account/studio', { data: { stations: { cable: 1 }, house: {} } })
  const last = addDays(serverToday(), 4)
  const onCable = async () => {
    const days = await Promise.all(
      Array.from({ length: 5 }, async (_, at) => {
        const on = addDays(serverToday(), at)
        return FloorView.parse(await (await page.request.get(`/api/floor?on=${on}`)).json())
      }),
    )
    return days
      .flatMap(({ sessions }) => sessions)
      .filter(({ parts }) => parts.some(({ needs }) => needs.includes('cable')))
      .map(({ name }) => name)
  }
  const before = await onCable()
  await page.goto('/what-if')
  await alive(page)
  await page.getByRole('combobox', { name: /^Station/ }).selectOption('cable')
  await page.getByLabel('How many are left').fill('0')
  await page.getByLabel('to', { exact: true }).fill(formatDay(last))
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('l')
  const list = page.getByRole('list', { name: 'What it would do' })
  await expect(list.getByRole('listitem').first()).toBeVisible()
  const touched = await list.getByRole('listitem').count()
  expect(touched).toBeGreaterThan(4)
  expect(await onCable()).toEqual(before)
  const first = list.getByRole('listitem').first()
  const kept = await first.locator('bdi').innerText()
  await first.getByRole('checkbox').uncheck()
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('a')
  await expect(page.getByText(/Cable tower: none left .* Z takes all of it back/)).toBeVisible()
  const after = await onCable()
  expect(after).toContain(kept)
  expect(after.length).toBeLessThan(before.length)
  await page.keyboard.press('z')
  await expect(page.getByText(/^Undone: change for everybody/)).toBeVisible()
  expect(await onCable()).toEqual(before)

  // The floor says what is out, and has it back; what was typed is still there.
  await alive(page)
  await page.keyboard.press('l')
  await expect(list.getByRole('listitem')).toHaveCount(touched)
  await page.keyboard.press('a')
  await expect(page.getByText(/Z takes all of it back/)).toBeVisible()
  await page.goto('/floor')
  await alive(page)
  const out = page.getByRole('list', { name: 'Out of use' })
  await expect(out).toContainText('Cable tower: none left')
  await out.getByRole('button', { name: 'Back in use' }).click()
  await expect(out).toHaveCount(0)
})
