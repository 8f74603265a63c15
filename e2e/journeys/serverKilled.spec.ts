import { freePort } from '../../scripts/setup/freePort.mjs'
import { startedServer } from '../../scripts/setup/server.mjs'
import { boardIsLive, cell, expect, openSplit, saved, signedIn, test } from '../support/test'

test('a server that is killed between an edit and its answer loses nothing', async ({
  browser,
  studio,
}) => {
  test.slow()
  const settings = {
    port: await freePort(),
    databaseUrl: process.env.DATABASE_URL ?? '',
    sessionPassword: 'only-for-this-test-and-long-enough-for-it',
  }
  let server = await startedServer(settings)
  try {
    const page = await (await browser.newContext({ baseURL: server.url })).newPage()
    await signedIn(page, studio)
    await openSplit(page, studio, 'Joren')
    const pulls = cell(page, 'Biceps', 'day 2 Pull')
    await pulls.click()
    await page.keyboard.press('+')
    await saved(page)
    await page.keyboard.press('+')
    await Promise.all([page.waitForRequest(/\/api\/blocks\//), page.keyboard.press('+')])
    await server.kill()
    await page.keyboard.press('+')
    await expect(page.getByText(/Offline, \d changes? kept here/)).toBeVisible()
    await expect(pulls).toHaveAccessibleName(/7 direct/)

    server = await startedServer(settings)
    await saved(page)
    await page.reload()
    await boardIsLive(page)
    await expect(pulls).toHaveAccessibleName(/7 direct/)
    const { id } = studio.client('Joren')
    const { block } = (await (await page.request.get(`/api/clients/${id}`)).json()) as {
      block: { plan: object }
    }
    expect(JSON.stringify(block.plan)).toContain('"count":7')
  } finally {
    await server.stop()
  }
})
