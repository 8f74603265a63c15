import type { Page } from '@playwright/test'
import { FloorView } from '#shared/contracts/floor'
import { serverToday } from '../../server/clock'
import { newSheetSession } from '../support/sheet'
import { alive, expect, signIn, test } from '../support/test'

/** Two who train today, each with the session of the day on her sheet. */
async function two(page: Page, studio: Parameters<typeof newSheetSession>[0]) {
  const answer = await page.request.get(`/api/floor?on=${serverToday()}`)
  const { sessions } = FloorView.parse(await answer.json())
  const people = sessions.slice(0, 2)
  for (const { name, what } of people) await newSheetSession(studio, name, what)
  return people
}
const setsIn = async (page: Page, client: string) => {
  const { sessions } = (await (await page.request.get(`/api/clients/${client}/log`)).json()) as {
    sessions: { on: string; setsDone: number }[]
  }
  return sessions
    .filter(({ on }) => on === serverToday())
    .reduce((sum, one) => sum + one.setsDone, 0)
}

test.use({ viewport: { width: 1024, height: 768 } })

test('a group hour is logged on a tablet without reception, survives a reload, and is sent when it is back', async ({
  page,
  studio,
  context,
  expectedErrors,
}) => {
  test.slow()
  expectedErrors.push(/Failed to load resource|ERR_INTERNET_DISCONNECTED|ERR_FAILED/)
  await signIn(page, studio)
  const people = await two(page, studio)
  expect(people).toHaveLength(2)
  await page.goto('/floor')
  await alive(page)
  await page.getByRole('link', { name: 'Together' }).click()
  await expect(page.getByRole('main')).toHaveAttribute('aria-busy', 'false')
  for (const { name } of people) await page.getByLabel(new RegExp(name)).check()
  const columns = people.map(({ name }) => page.getByRole('region', { name, exact: true }))
  const lit = (at: number) => columns[at]!.getByRole('button', { name: /^Log / })
  for (const at of [0, 1]) await expect(lit(at)).toBeVisible()
  // The page is kept by then: it opens again without reception.
  await page.evaluate(() => navigator.serviceWorker.ready)
  await page.waitForTimeout(1500)

  await context.setOffline(true)
  for (const at of [0, 1]) {
    const before = await lit(at).getAttribute('aria-label')
    await lit(at).click()
    await expect(lit(at)).not.toHaveAttribute('aria-label', before!)
    await expect(columns[at]!.getByText('1 waiting to be sent')).toBeVisible()
  }
  // By its key, and with other figures.
  await page.keyboard.press('1')
  await expect(columns[0]!.getByText('2 waiting to be sent')).toBeVisible()
  await columns[1]!.getByRole('button', { name: 'otherwise' }).click()
  await columns[1]!.getByRole('textbox', { name: 'Reps' }).fill('7')
  await columns[1]!.getByRole('button', { name: 'Log it' }).click()
  const again = columns[1]!.getByRole('button', { name: 'Log it' })
  // What looks like a slip is asked about once.
  if (await columns[1]!.getByRole('alert').isVisible()) await again.click()
  await expect(columns[1]!.getByText('2 waiting to be sent')).toBeVisible()

  // Long names and logged parts stay inside a column as narrow as six in a group have it.
  await page.setViewportSize({ width: 264, height: 768 })
  for (const at of [0, 1])
    for (const part of [lit(at), columns[at]!])
      expect(await part.evaluate(of => of.scrollWidth - of.clientWidth)).toBeLessThanOrEqual(0)
  await page.setViewportSize({ width: 1024, height: 768 })

  await page.reload()
  for (const at of [0, 1])
    await expect(columns[at]!.getByText('2 waiting to be sent')).toBeVisible()
  const [one, other] = people
  expect(await setsIn(page, one!.client)).toBe(0)

  await context.setOffline(false)
  for (const at of [0, 1])
    await expect(columns[at]!.getByText(/waiting to be sent/)).toHaveCount(0, { timeout: 30_000 })
  await expect.poll(() => setsIn(page, one!.client)).toBeGreaterThan(0)
  await expect.poll(() => setsIn(page, other!.client)).toBeGreaterThan(0)

  // Whoever signs out leaves nobody's sheet on the tablet.
  await page.goto('/roster')
  await page
    .getByRole('button', { name: /account|Test Coach/i })
    .first()
    .click()
  await page
    .getByRole('menuitem', { name: /sign out/i })
    .first()
    .click()
  await expect(page).toHaveURL(/\/sign-in/)
  const left = await page.evaluate(
    () =>
      new Promise<number>(done => {
        const opening = indexedDB.open('tholepin-together')
        opening.onsuccess = () => {
          const count = opening.result.transaction('kept').objectStore('kept').count()
          count.onsuccess = () => done(count.result)
        }
      }),
  )
  expect(left).toBe(0)
})
