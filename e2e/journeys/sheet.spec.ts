import type { Browser, BrowserContext, Page } from '@playwright/test'
import { alive, expect, onThisDay, signedIn, signIn, test } from '../support/test'
import { newSheetSession } from '../support/sheet'

/** A phone of its own, with its own errors allowed: without reception the browser says so itself. */
async function phone(browser: Browser): Promise<{ context: BrowserContext; page: Page }> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    baseURL: process.env.BASE_URL!,
    hasTouch: true,
    isMobile: true,
  })
  await onThisDay(context)
  return { context, page: await context.newPage() }
}
const log = (page: Page) => page.getByRole('button', { name: /^Log / })
/** Waits until the page is kept on the phone: from then on it opens without reception. */
const kept = (page: Page) =>
  page.evaluate(async () => {
    const has = async () =>
      (await caches.has('tholepin-sheet-pages')) &&
      (await (await caches.open('tholepin-sheet-pages')).keys()).length > 0 &&
      (await (await caches.open('tholepin-sheet-parts')).keys()).length > 3
    while (!(await has())) await new Promise(resolve => setTimeout(resolve, 100))
  })
const nothingWaits = (page: Page) =>
  expect(page.locator('.phone')).toHaveAttribute('data-waiting', '0')

test(
  'a superset session with a drop set on the phone: no network in the middle, a reload, finished, found once in the log',
  { tag: '@day' },
  async ({ page, browser, studio }) => {
    test.slow()
    const { client, token, session } = await newSheetSession(studio, 'Marit', 'Arms')
    const { context, page: sheet } = await phone(browser)
    await sheet.goto(`/sheet/${token}`)
    await sheet.getByRole('button', { name: /^Arms/ }).first().click()
    const now = sheet.getByRole('heading', { level: 2 }).first()
    await expect(now).toHaveText(/curl/i)
    const curl = (await now.textContent())!.trim()
    await kept(sheet)
    // A superset: one curl, one extension, with the rest that the plan has between them.
    await sheet.getByLabel('Load in kg', { exact: true }).fill('27,5')
    await log(sheet).click()
    await expect(now).toHaveText(/extension/i)
    await expect(sheet.getByRole('timer')).toContainText('rest left')
    await sheet.getByRole('button', { name: 'Ring at the end of a rest' }).click()
    await expect(sheet.getByText(/screen stays on|shows a message|stays silent/)).toBeVisible()
    await sheet.getByLabel('Load in kg', { exact: true }).fill('30')
    await log(sheet).click()
    await expect(now).toHaveText(curl)
    // While one rests, the other station is made ready.
    await expect(sheet.getByRole('timer')).toContainText('Make ready: 27.5 kg')
    await expect(sheet.getByLabel('Load in kg', { exact: true })).toHaveValue('27.5')
    await nothingWaits(sheet)
    // No reception from here on: logging goes on, and so does a reload.
    await context.setOffline(true)
    for (let at = 0; at < 4; at++) await log(sheet).click()
    await expect(sheet.getByText(/No signal\. \d sets kept on this phone/)).toBeVisible()
    await sheet.reload()
    await expect(sheet.getByText(/No signal\. 4 sets kept on this phone/)).toBeVisible()
    // The last set of the curl has a drop: two parts, the second lighter.
    await log(sheet).click()
    await expect(sheet.getByText(/part 2:/)).toBeVisible()
    await expect(sheet.getByLabel('Load in kg', { exact: true })).toHaveValue('17.5')
    await sheet.getByLabel('Reps', { exact: true }).fill('999')
    await log(sheet).click()
    await expect(sheet.getByRole('alert')).toContainText(
      'Reps may be 150 at most; 999 looks like a slip',
    )
    await sheet.getByLabel('Reps', { exact: true }).fill('9')
    await log(sheet).click()
    // Its sets are done: one tap says where it was felt.
    const felt = sheet.getByRole('group', { name: `Where did you feel the ${curl}?` })
    await felt.getByRole('button', { name: 'Forearms' }).click()
    await expect(felt).toBeHidden()
    await sheet.getByRole('button', { name: 'Less time, more' }).click()
    await sheet.getByRole('button', { name: 'Finish the session now' }).click()
    await sheet.getByText('8', { exact: true }).first().click()
    await sheet.getByLabel('Minutes it took').fill('38')
    await sheet.locator('summary', { hasText: 'More, if you like' }).click()
    await sheet.getByText('strong', { exact: true }).click()
    await sheet.getByLabel('In one word').fill('heavy')
    await sheet.getByLabel('Minutes of warming up').fill('8')
    await sheet.getByRole('button', { name: 'Finish Arms' }).click()
    await expect(sheet.getByText('Done lately')).toBeVisible()
    await context.setOffline(false)
    await nothingWaits(sheet)
    const comes = sheet.getByRole('region', { name: /^After Arms: next time/ })
    await expect(comes.getByRole('listitem').first()).toContainText(`${curl}: `)
    // Found once, in order, on the coach's side.
    await signedIn(page, studio)
    await page.goto(`/clients/${client}/log?session=${session}`)
    await expect(page.getByText(/^done, 7 of \d+ sets, 38 min$/)).toBeVisible()
    await expect(
      page.getByText(`${curl} felt in the forearms; pump strong, “heavy”, 8 min of warming up`),
    ).toBeVisible()
    const logged = page.getByRole('region', { name: curl, exact: true })
    await expect(logged.getByRole('textbox', { name: `${curl}, set 1, load in kg` })).toHaveValue(
      '27.5',
    )
    await expect(
      logged.getByRole('textbox', { name: `${curl}, set 4, part 2, load in kg` }),
    ).toHaveValue('17.5')
    await expect(
      logged.getByRole('textbox', { name: `${curl}, set 4, part 2, reps`, exact: true }),
    ).toHaveValue('9')
    const csv = await (await page.request.get(`/api/clients/${client}/log/csv`)).text()
    expect(csv.trim().split('\n').length - 1).toBe(8)
    // Put right by the coach; what was said before stays beside it.
    const first = logged.getByRole('textbox', { name: `${curl}, set 1, reps`, exact: true })
    await first.fill('11')
    await first.press('Enter')
    await expect(logged.getByText(/was 27\.5\skg × \d+ .*\(client, /)).toBeVisible()
    await context.close()
  },
)

test('elbow pain on the phone stops the work on it at once, and stands first on the roster', async ({
  page,
  browser,
  studio,
}) => {
  const { token, client } = await newSheetSession(studio, 'Marit', 'Arms')
  const { context, page: sheet } = await phone(browser)
  await sheet.goto(`/sheet/${token}`)
  await sheet.getByRole('button', { name: /^Arms/ }).first().click()
  await context.setOffline(true)
  await sheet.getByRole('button', { name: 'Sore?' }).click()
  const hurt = sheet.getByRole('dialog', { name: 'What hurts?' })
  await expect(hurt.getByText(/call your local emergency number/)).toBeVisible()
  await hurt.getByText('Elbow, back').click()
  await hurt.getByText('Both', { exact: true }).click()
  await hurt.getByText('7', { exact: true }).click()
  await hurt.getByRole('button', { name: 'Tell my coach' }).click()
  // Without reception already: the phone judges by the same rules.
  await expect(hurt.getByRole('status')).toContainText(
    'Stop training this joint. Please have it examined by a physician or other licensed professional',
  )
  await hurt.getByRole('button', { name: 'Back to the session' }).click()
  await log(sheet).click()
  // The extension of the superset is passed over: the next curl follows.
  await expect(sheet.getByRole('heading', { name: 'Cable curl, bar' })).toBeVisible()
  await expect(log(sheet)).toHaveText('Log set 2')
  // What was said during the session stands in the form at its end.
  await sheet.getByRole('button', { name: 'Less time, more' }).click()
  await sheet.getByRole('button', { name: 'Finish the session now' }).click()
  await expect(sheet.getByRole('combobox', { name: /^Elbow, back/ })).toHaveValue('7')
  await sheet.getByRole('button', { name: 'Back to the sets' }).click()
  await context.setOffline(false)
  await nothingWaits(sheet)
  await signIn(page, studio)
  await expect(
    page
      .locator('main a[href^="/clients/"]')
      .filter({ hasText: studio.client('Marit').name })
      .first(),
  ).toBeVisible()
  expect(
    await page
      .locator('main a[href^="/clients/"]')
      .evaluateAll(
        (links, name) =>
          links.map(link => link.textContent ?? '').findIndex(text => text.includes(name)),
        studio.client('Marit').name,
      ),
  ).toBe(0)
  await expect(page.getByText(/Pain 7 of 10: back of the elbow/).first()).toBeVisible()
  await page.goto(`/clients/${client}/log`)
  await page
    .getByRole('navigation', { name: 'Sessions' })
    .getByRole('button', { name: /Arms.* \d+\/\d+/ })
    .first()
    .click()
  await expect(page.getByText(/back of the elbow, both: 7 of 10/)).toBeVisible()
  // Every screen that plans says so first, with the day of the report.
  for (const path of ['split', 'session/1', 'block', 'proposals']) {
    await page.goto(`/clients/${client}/${path}`)
    await expect(page.getByRole('list', { name: 'Pain' })).toContainText(
      /Back of the elbow, 7 of 10 on .*: nothing loads it until a licensed professional has cleared it\./,
    )
  }
  // No proposal gives the joint more than it has now.
  const columns = page.getByRole('region', { name: /^[A-C], / })
  await expect(columns.first()).toBeVisible({ timeout: 60_000 })
  const lines = await columns.getByRole('listitem').allTextContents()
  for (const line of lines.filter(text => /pushdown|extension/i.test(text))) {
    expect(line).not.toMatch(/new on day/)
    const [, now, was] = /: (\d+) sets?, was (\d+)/.exec(line) ?? []
    if (now !== undefined) expect(Number(now)).toBeLessThan(Number(was))
  }
  await page.goto('/outbox')
  await expect(page.getByText(/Stop training this joint/)).toBeVisible()
  await context.close()
})

test('a link with a PIN, taken back in the middle of a session, and a new one that brings the rest', async ({
  page,
  browser,
  studio,
}) => {
  test.slow()
  await signedIn(page, studio)
  const { client } = await newSheetSession(studio, 'Marit', 'Arms')
  await page.goto(`/clients/${client}/log`)
  await alive(page)
  await page.getByRole('button', { name: 'Sheet link K' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('PIN, if you want one').fill('12')
  await dialog.getByRole('button', { name: /Make/ }).click()
  await expect(dialog.getByRole('alert')).toContainText('4 to 8 digits')
  await dialog.getByLabel('PIN, if you want one').fill('2468')
  await dialog.getByRole('button', { name: /Make/ }).click()
  await expect(dialog.getByRole('img', { name: 'QR code of the link' })).toBeVisible()
  const url = await dialog.getByLabel('The link, shown this once').inputValue()
  const { context, page: sheet } = await phone(browser)
  await sheet.goto(url)
  await sheet.getByLabel('The digits your coach told you').fill('1357')
  await sheet.getByRole('button', { name: 'Open my sheet' }).click()
  await expect(sheet.getByRole('alert')).toContainText('That is not the PIN of this link')
  await sheet.getByLabel('The digits your coach told you').fill('2468')
  await sheet.getByRole('button', { name: 'Open my sheet' }).click()
  await sheet.getByRole('button', { name: /^Arms/ }).first().click()
  await log(sheet).click()
  await nothingWaits(sheet)
  await dialog.getByRole('button', { name: 'Withdraw it' }).click()
  await expect(dialog.getByText(/was withdrawn or has run out/)).toBeVisible()
  await log(sheet).click()
  await expect(sheet.getByRole('alert')).toContainText('This link was withdrawn or has run out')
  await expect(sheet.getByRole('alert')).toContainText(
    'things you logged since are kept on this phone',
  )
  await dialog.getByLabel('PIN, if you want one').fill('')
  await dialog.getByRole('button', { name: 'Make the link' }).click()
  await expect(dialog.getByText('not opened yet')).toBeVisible()
  await sheet.goto(await dialog.getByLabel('The link, shown this once').inputValue())
  await expect(sheet.locator('.phone')).toHaveAttribute('data-state', 'ready')
  await nothingWaits(sheet)
  await expect
    .poll(
      async () =>
        (await (await page.request.get(`/api/clients/${client}/log/csv`)).text()).trim().split('\n')
          .length - 1,
    )
    .toBe(2)
  await context.close()
})

test('the very last set went on: said after it, and the session is finished again', async ({
  browser,
  studio,
}) => {
  test.slow()
  const { token } = await newSheetSession(studio, 'Marit', 'Arms')
  const { context, page: sheet } = await phone(browser)
  await sheet.goto(`/sheet/${token}`)
  await sheet.getByRole('button', { name: /^Arms/ }).first().click()
  const finish = sheet.getByRole('button', { name: 'Finish Arms' })
  const reps = sheet.getByLabel('Reps', { exact: true })
  for (let sets = 0; sets < 60 && (await finish.count()) === 0; sets++) {
    if ((await reps.count()) > 0 && (await reps.inputValue()) === '') await reps.fill('8')
    await log(sheet).click()
  }
  await sheet.getByRole('button', { name: 'Back to the sets' }).click()
  await sheet.getByRole('button', { name: /went on$/ }).click()
  await sheet.getByRole('button', { name: /^Log set \d+, part \d+/ }).click()
  await expect(finish).toBeVisible()
  await context.close()
})

test('less time, one set more, something else, a note, a skip: said on the phone, found in the log', async ({
  page,
  browser,
  studio,
}) => {
  const { token, client, session } = await newSheetSession(studio, 'Marit', 'Arms')
  const { context, page: sheet } = await phone(browser)
  await sheet.goto(`/sheet/${token}`)
  await sheet.getByRole('button', { name: /^Arms/ }).first().click()
  const sets = sheet.getByRole('list', { name: 'Sets of this exercise' }).getByRole('listitem')
  const planned = await sets.count()
  await sheet.getByRole('button', { name: 'Less time, more' }).click()
  await sheet.getByRole('button', { name: /^15 minutes/ }).click()
  await expect(sets).not.toHaveCount(planned)
  const short = await sets.count()
  await sheet.getByRole('button', { name: 'Less time, more' }).click()
  await sheet.getByRole('button', { name: 'One set more' }).click()
  await expect(sets).toHaveCount(short + 1)
  await sheet.getByRole('button', { name: 'Swap' }).click()
  const choice = sheet.getByRole('dialog').getByRole('listitem').first().getByRole('button')
  const other = (await choice.locator('span').first().textContent())!.trim()
  await choice.click()
  await expect(sheet.getByRole('heading', { level: 2, name: other })).toBeVisible()
  await sheet.getByLabel('Load in kg', { exact: true }).fill('-4')
  await log(sheet).click()
  await expect(sheet.getByRole('alert')).toContainText('Load cannot be below 0')
  await sheet.getByLabel('Load in kg', { exact: true }).fill('14')
  await log(sheet).click()
  // The rest goes by the clock: a reload does not stop it.
  await expect(sheet.getByRole('timer')).toBeVisible()
  await sheet.reload()
  await expect(sheet.getByRole('timer')).toContainText(/rest left|Rest is over/)
  await sheet.getByRole('button', { name: 'Less time, more' }).click()
  await sheet.getByLabel('A note for your coach').fill('The cable was taken')
  await sheet.getByRole('button', { name: 'Keep the note' }).click()
  const before = (await sheet.getByRole('heading', { level: 2 }).first().textContent())!.trim()
  await sheet.getByRole('button', { name: 'Less time, more' }).click()
  await sheet.getByRole('button', { name: 'Skip the rest of it' }).click()
  await expect(sheet.getByRole('heading', { level: 2, name: before })).toHaveCount(0)
  await nothingWaits(sheet)
  await signedIn(page, studio)
  await page.goto(`/clients/${client}/log?session=${session}`)
  await expect(page.getByText('“The cable was taken”')).toBeVisible()
  await expect(page.getByText('instead of Cable curl, bar')).toBeVisible()
  await expect(page.getByText(/, skipped$/)).toBeVisible()
  await expect(page.getByRole('textbox', { name: `${other}, set 1, load in kg` })).toHaveValue('14')
  await context.close()
})

test('how the station is set up is said on the phone and stays there, and how the exercise is done can be read', async ({
  browser,
  studio,
}) => {
  const { token } = await newSheetSession(studio, 'Marit', 'Arms')
  const { context, page: sheet } = await phone(browser)
  await sheet.goto(`/sheet/${token}`)
  await sheet.getByRole('button', { name: /^Arms/ }).first().click()
  const setUp = sheet.locator('summary', { hasText: 'Set-up' })
  await setUp.click()
  await sheet.getByLabel('Seat', { exact: true }).fill('high up')
  await sheet.getByRole('button', { name: 'Keep for next time' }).click()
  await expect(sheet.getByRole('alert')).toHaveText('Seat: give 1 to 40.')
  await sheet.getByLabel('Seat', { exact: true }).fill('4')
  await sheet.getByLabel('Cable', { exact: true }).fill('low')
  await sheet.getByRole('button', { name: 'Keep for next time' }).click()
  await expect(setUp).toContainText('cable low, seat 4')
  await nothingWaits(sheet)
  await sheet.reload()
  await expect(setUp).toContainText('cable low, seat 4')
  await sheet.locator('summary', { hasText: 'How to do it' }).click()
  await expect(sheet.getByText('Keep the cable tight at the bottom')).toBeVisible()
  await context.close()
})

test('the sheet installs as a web app of its own, and tells nobody its address', async ({
  page,
  studio,
  expectedErrors,
}) => {
  const { token } = await newSheetSession(studio, 'Marit', 'Arms')
  const shell = await page.goto(`/sheet/${token}`)
  expect(shell?.headers()['cache-control'] ?? '').not.toContain('public')
  await expect(page.locator('link[rel=manifest]')).toHaveAttribute('href', '/sheet.webmanifest')
  await expect(page.locator('meta[name=referrer]')).toHaveAttribute('content', 'no-referrer')
  const manifest = (await (await page.request.get('/sheet.webmanifest')).json()) as {
    start_url: string
    scope: string
    display: string
    icons: { src: string }[]
  }
  expect(manifest).toMatchObject({ start_url: '/sheet', scope: '/sheet', display: 'standalone' })
  for (const { src } of manifest.icons) expect((await page.request.get(src)).status()).toBe(200)
  // The icon on the home screen leads to the sheet that was opened last.
  await expect(page.locator('.phone')).toHaveAttribute('data-state', 'ready')
  await page.goto('/sheet')
  await expect(page.getByText(studio.client('Marit').name)).toBeVisible()
  expectedErrors.push(/404/)
  await page.goto('/sheet/no-such-link-as-this-one')
  await expect(page.getByRole('heading', { name: 'No sheet here' })).toBeVisible()
})

test('two phones log the same set: neither goes under, one is chosen', async ({
  browser,
  studio,
}) => {
  const { token } = await newSheetSession(studio, 'Marit', 'Arms')
  const [a, b] = [await phone(browser), await phone(browser)]
  for (const { page: sheet } of [a, b]) {
    await sheet.goto(`/sheet/${token}`)
    await sheet.getByRole('button', { name: /^Arms/ }).first().click()
    await expect(log(sheet)).toBeVisible()
  }
  await a.page.getByLabel('Load in kg', { exact: true }).fill('25')
  await log(a.page).click()
  await nothingWaits(a.page)
  await b.page.getByLabel('Load in kg', { exact: true }).fill('30')
  await log(b.page).click()
  const clash = b.page.getByRole('region', { name: 'Logged twice' })
  await expect(clash).toContainText(/Yours: 30 × \d+\. Theirs: 25 × \d+/)
  await clash.getByRole('button', { name: 'Keep mine' }).click()
  await expect(clash).toHaveCount(0)
  await nothingWaits(b.page)
  await a.page.reload()
  await expect(a.page.getByRole('button', { name: /^Set 1: 30 × \d+/ })).toHaveCount(0)
  await a.page
    .getByRole('button', { name: /Log set 1|To the next set/ })
    .first()
    .waitFor()
  await a.context.close()
  await b.context.close()
})
