import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { APIRequestContext, Page } from '@playwright/test'
import { newSheetSession } from '../support/sheet'
import { alive, expect, signedIn, signIn, test } from '../support/test'
import { currentTime } from '../../server/clock'

const DAY_MS = 86_400_000
const place = (slot: string, set = 1) => ({ slot, role: 'working', set, stage: 1, side: null })
const done = (reps = 10, amount = 20) => ({
  exercise: 'cable_curl',
  intent: null,
  load: { amount, unit: 'kg' },
  reps,
  seconds: null,
  rir: 1,
  isRirOpen: false,
})

/** A phone that is not there: it says what a phone would say. */
function asPhone(request: APIRequestContext, key: string) {
  return async (
    entries: readonly {
      readonly session: string
      readonly word: object
      readonly id?: string
      readonly at?: string
    }[],
    sentAt = currentTime().toISOString(),
  ) =>
    request.post('/api/sheet/entries', {
      headers: { authorization: `Sheet ${key}` },
      data: {
        sentAt,
        entries: entries.map(({ id = randomUUID(), at = sentAt, ...entry }) => ({
          id,
          at,
          ...entry,
        })),
      },
    })
}
/** Opens the log at the last session that is still to come. */
async function logOfNext(page: Page, client: string): Promise<void> {
  await page.goto(`/clients/${client}/log`)
  const next = page
    .getByRole('navigation', { name: 'Sessions' })
    .getByRole('button', { name: /to come/ })
    .last()
  await alive(page)
  await next.click()
  await expect(next).toHaveAttribute('aria-current', 'true')
}

const rows = async (page: Page, client: string) =>
  (await (await page.request.get(`/api/clients/${client}/log/csv`)).text()).trim().split('\n')
    .length - 1

test('what a phone can send wrongly: fifty times, half, for others, for long ago, by a wrong clock', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  const { client, session, key } = await newSheetSession(studio, 'Marit', 'Arms')
  const say = asPhone(page.request, key)
  const sheet = (await (
    await page.request.get('/api/sheet', { headers: { authorization: `Sheet ${key}` } })
  ).json()) as {
    sessions: { session: { id: string; on: string; exercises: { slot: string }[] } }[]
  }
  const { slot } = sheet.sessions.find(held => held.session.id === session)!.session.exercises[0]!
  const set = {
    session,
    id: randomUUID(),
    word: { kind: 'set', place: place(slot), done: done(), replaces: null },
  }
  // The same set fifty times, at once and one after the other.
  const answers = await Promise.all(Array.from({ length: 50 }, () => say([set])))
  expect(new Set(answers.map(answer => answer.status()))).toEqual(new Set([200]))
  expect(await rows(page, client)).toBe(1)
  // Half a request is none; what it would have said is said again by the phone.
  const half = await page.request.post('/api/sheet/entries', {
    headers: { authorization: `Sheet ${key}`, 'content-type': 'application/json' },
    data: Buffer.from('{"sentAt":"2026-'),
  })
  expect([half.status(), ((await half.json()) as { type: string }).type]).toEqual([
    400,
    '/problems/unreadable-json',
  ])
  // Numbers nobody lifts are refused by their place, all of the request with them.
  const absurd = await say([
    { session, word: { ...set.word, place: place(slot, 2), done: done(999) } },
    { session, word: { ...set.word, place: place(slot, 3), done: done(10, -5) } },
  ])
  expect(absurd.status()).toBe(422)
  expect(
    ((await absurd.json()) as { errors: { pointer: string }[] }).errors.map(
      ({ pointer }) => pointer,
    ),
  ).toEqual(['/entries/0/word/done/reps', '/entries/1/word/done/load/amount'])
  expect(await rows(page, client)).toBe(1)
  // Another value by somebody who did not know of the first is kept aside, and told.
  const late = (await (await say([{ session, word: { ...set.word, done: done(8) } }])).json()) as {
    results: { outcome: string; theirs: { word: { done: { reps: number } } } }[]
  }
  expect(late.results[0]).toMatchObject({
    outcome: 'conflict',
    theirs: { word: { done: { reps: 10 } } },
  })
  // A session the client does not have.
  expect(
    (
      (await (await say([{ session: randomUUID(), word: { kind: 'opened' } }])).json()) as {
        results: { outcome: string }[]
      }
    ).results[0]?.outcome,
  ).toBe('unknown_session')
  // Seven hours ahead: the time is put right, and never lies in the future.
  const ahead = new Date(currentTime().getTime() + 7 * 3_600_000).toISOString()
  expect(
    (
      await say([{ session, at: ahead, word: { ...set.word, place: place(slot, 2) } }], ahead)
    ).status(),
  ).toBe(200)
  const log = (await (
    await page.request.get(`/api/clients/${client}/sessions/${session}/log`)
  ).json()) as { entries: { at: string; clockOffSeconds: number; outcome: string }[] }
  expect(Math.max(...log.entries.map(({ at }) => Date.parse(at)))).toBeLessThanOrEqual(
    currentTime().getTime(),
  )
  expect(log.entries.some(({ clockOffSeconds }) => Math.abs(clockOffSeconds - 7 * 3600) < 60)).toBe(
    true,
  )
  expect(log.entries.filter(({ outcome }) => outcome === 'conflict')).toHaveLength(1)
  expect((await page.request.get('/api/sheet')).status()).toBe(401)
})

test.describe('with weeks of sessions behind', () => {
  test.use({ logs: 'logged' })
  test('a log for a session of last month waits for the coach, who takes it', async ({
    page,
    studio,
  }) => {
    await signIn(page, studio)
    const { id: client } = studio.client('Joren')
    const { token } = (await (
      await page.request.post(`/api/clients/${client}/link`, { data: { pin: null, days: 30 } })
    ).json()) as { token: string }
    const { key } = (await (
      await page.request.post('/api/sheet/open', { data: { token, pin: null } })
    ).json()) as { key: string }
    const history = (await (await page.request.get(`/api/clients/${client}/log`)).json()) as {
      sessions: { id: string; on: string; state: string; name: string }[]
    }
    const monthAgo = new Date(currentTime().getTime() - 30 * DAY_MS).toISOString().slice(0, 10)
    const old = history.sessions.find(({ on, state }) => on < monthAgo && state === 'done')!
    const detail = (await (
      await page.request.get(`/api/clients/${client}/sessions/${old.id}/log`)
    ).json()) as { session: { exercises: { slot: string; exercise: string; name: string }[] } }
    const [exercise] = detail.session.exercises
    const answer = (await (
      await asPhone(
        page.request,
        key,
      )([
        {
          session: old.id,
          word: {
            kind: 'set',
            place: place(exercise!.slot, 1),
            done: { ...done(7, 41), exercise: exercise!.exercise },
            replaces: null,
          },
        },
      ])
    ).json()) as { results: { outcome: string }[] }
    expect(answer.results[0]?.outcome).toBe('too_old')
    await page.goto(`/clients/${client}/log?session=${old.id}`)
    const region = page.getByRole('region', { name: exercise!.name, exact: true })
    await expect(region.getByText(/also 41\skg × 7 .*sent late/)).toBeVisible()
    await region.getByRole('button', { name: /^Take 41\skg/ }).click()
    await expect(
      region.getByRole('textbox', { name: `${exercise!.name}, set 1, reps`, exact: true }),
    ).toHaveValue('7')
    await expect(region.getByText(/was .*\(as it came in/)).toBeVisible()
    // What came without entries can be taken out too, and what it was stays.
    await region.getByRole('button', { name: /^Take set 2 of .* out$/ }).click()
    await expect(
      region.getByRole('textbox', { name: `${exercise!.name}, set 2, reps`, exact: true }),
    ).toHaveValue('')
    await expect(region.getByText(/was .*\(as it came in/)).toHaveCount(2)
  })

  test(
    'from paper by keyboard alone: as planned, one set otherwise, closed',
    { tag: '@day' },
    async ({ page, studio }) => {
      await signedIn(page, studio)
      const { id: client } = studio.client('Marit')
      await logOfNext(page, client)
      await alive(page)
      const fields = page.getByRole('textbox', { name: /, set 1, load in kg$/ })
      await fields.first().focus()
      // Enter takes the plan and goes on; a number typed over it counts instead.
      await page.keyboard.type('30')
      await page.keyboard.press('Enter')
      await expect(page.getByRole('textbox', { name: /, set 2, reps$/ }).first()).toBeFocused()
      await page.keyboard.type('9')
      await page.keyboard.press('Enter')
      await page.keyboard.press('Enter')
      await expect(page.getByText(/^under way, 3 of \d+ sets$/)).toBeVisible()
      await expect(fields.first()).toHaveValue('30')
      await page
        .getByRole('textbox', { name: /, set 3, reps$/ })
        .first()
        .fill('-3')
      await page.keyboard.press('Enter')
      await expect(page.getByRole('alert')).toContainText('Reps cannot be below 0')
      await page
        .getByRole('textbox', { name: /, set 3, reps$/ })
        .first()
        .fill('8')
      await page.keyboard.press('Enter')
      const rest = page.getByRole('button', { name: /: all as planned$/ })
      for (let left = await rest.count(); left > 0; left--) {
        await rest.first().click()
        await expect(rest).toHaveCount(left - 1)
      }
      await page.getByLabel('Minutes').fill('55')
      await page.getByLabel('Recovered at the start').selectOption('8')
      await page.getByRole('button', { name: 'Close the session' }).click()
      await expect(page.getByText(/^done, (\d+) of \1 sets, 55 min$/)).toBeVisible()
      // Minutes being put right outlast a set that is put right meanwhile.
      await page.getByLabel('Minutes').fill('60')
      await fields.first().fill('32')
      const answered = page.waitForResponse('**/sessions/*/log')
      await fields.first().press('Enter')
      await answered
      await expect(page.getByText(/^was 30\skg/)).toBeVisible()
      await expect(page.getByLabel('Minutes')).toHaveValue('60')
    },
  )

  for (const set of [1, 2])
    test(`what is typed into set ${set} while set 1 is still being saved stays`, async ({
      page,
      studio,
    }) => {
      await signedIn(page, studio)
      await logOfNext(page, studio.client('Marit').id)
      const repsOf = (of: number) =>
        page.getByRole('textbox', { name: new RegExp(`, set ${of}, reps$`) }).first()
      await repsOf(1).fill('9')
      // The answer is held back until something has been typed.
      let go = () => {}
      const typed = new Promise<void>(resolve => (go = resolve))
      await page.route('**/sessions/*/log', async route => {
        await typed
        await route.continue()
      })
      await repsOf(1).press('Enter')
      await expect(repsOf(2)).toBeFocused()
      await repsOf(set).fill('7')
      go()
      await expect(page.getByText(/^under way, 1 of \d+ sets$/)).toBeVisible()
      await expect(repsOf(set)).toHaveValue('7')
    })

  test('everything of a client goes out as a file and comes back as it was', async ({
    page,
    studio,
    expectedErrors,
  }) => {
    await signIn(page, studio)
    const { id } = studio.client('Teo')
    const out = (await (
      await page.request.get(`/api/clients/${id}/export?screening=with`)
    ).json()) as Record<string, unknown>
    const back = await page.request.post('/api/clients/import', { data: out })
    expect(back.status()).toBe(200)
    const { id: copy } = (await back.json()) as { id: string }
    const again = (await (
      await page.request.get(`/api/clients/${copy}/export?screening=with`)
    ).json()) as Record<string, unknown>
    const bare = (document: Record<string, unknown>) =>
      JSON.parse(
        JSON.stringify(document, (key, value: unknown) =>
          key === 'id' || key === 'blockId' || key === 'entryId' ? undefined : value,
        ).replaceAll('Teo Brandvold (2)', 'Teo Brandvold'),
      ) as unknown
    expect(bare(again)).toEqual(bare(out))
    await page.goto('/roster')
    await expect(page.getByRole('link', { name: /^Teo Brandvold \(2\)/ })).toBeVisible()
    // The form says what is wrong with a file.
    await page.goto('/clients/new')
    await alive(page)
    await page.getByLabel('Or take a client in from a file').setInputFiles({
      name: 'x.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify({ ...out, method: 'nobodys' })),
    })
    expectedErrors.push(/422/)
    await expect(page.locator('.alert-chip')).toContainText('method nobodys is not one of yours')
  })
})

test('a log from a CSV file: three bad rows are told, nothing is written; put right, all of it comes in', async ({
  page,
  studio,
}) => {
  await signedIn(page, studio)
  const { id: client } = studio.client('Emil')
  await page.goto(`/clients/${client}/log`)
  await alive(page)
  await page.keyboard.press('i')
  const dialog = page.getByRole('dialog')
  const file = (bad: boolean) =>
    [
      'Day;Movement;Weight;Repetitions;RIR',
      '3.4.2026;Hammer curl;12,5;12;2',
      '3.4.2026;Hammer curl;12,5;11;1',
      `3.4.2026;${bad ? 'Wall curl' : 'Dumbbell curl'};10;12;2`,
      `3.4.2026;Dumbbell curl;10;${bad ? '999' : '11'};4+`,
      `${bad ? '31.4.2026' : '5.4.2026'};Dumbbell curl;10;10;1`,
    ].join('\n')
  await dialog
    .getByLabel('Choose a CSV file')
    .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(file(true)) })
  await expect(dialog.getByRole('combobox', { name: 'Load', exact: true })).toHaveValue('Weight')
  await expect(
    dialog.getByRole('heading', { name: /^2 problems; nothing is taken in/ }),
  ).toBeVisible()
  const list = dialog.getByRole('list', { name: 'Problems' })
  const wall = dialog.getByLabel('Exercise for Wall curl')
  await expect(wall).toHaveValue('')
  await expect(dialog.getByRole('heading', { name: 'Which exercise is this?' })).toBeVisible()
  await expect(list).toContainText('Row 4: Reps may be 150 at most; 999 looks like a slip')
  await expect(list).toContainText('Row 5: date “31.4.2026” is no calendar day')
  await expect(dialog.getByRole('button', { name: 'Take all of it in' })).toBeDisabled()
  expect(await rows(page, client)).toBeLessThanOrEqual(0)
  // A name is said once for all its rows, and rows that cannot be mended are left out on purpose.
  await wall.selectOption({ label: 'Dumbbell curl' })
  await dialog.getByRole('button', { name: 'Leave these 2 rows out' }).click()
  await expect(dialog.getByText('3 sets: 0 sessions filled in, 1 added.')).toBeVisible()
  await expect(dialog.getByText('2 rows stay out.')).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Take the rest in' })).toBeEnabled()
  await dialog.getByRole('button', { name: 'Take them back in' }).click()
  await expect(list).toContainText('Row 4')
  await dialog.getByLabel('or paste it here, header line first').fill(file(false))
  await expect(dialog.getByRole('status')).toHaveText('5 sets: 0 sessions filled in, 2 added.')
  await dialog.getByRole('button', { name: 'Take all of it in' }).click()
  await expect(dialog.getByRole('status')).toHaveText('Taken in: 5 sets in 2 sessions.')
  expect(await rows(page, client)).toBe(5)
  // The same file again finds its days logged already, and goes out as it came in.
  const again = await page.request.post(`/api/clients/${client}/log/import`, {
    data: {
      isTrial: false,
      sets: [
        {
          on: '2026-04-03',
          session: '',
          exercise: 'hammer_curl',
          intent: null,
          set: 1,
          stage: 1,
          side: null,
          role: 'working',
          load: null,
          reps: 10,
          seconds: null,
          rir: null,
          isRirOpen: false,
        },
      ],
    },
  })
  expect(again.status()).toBe(422)
  await dialog.getByRole('button', { name: 'Close Esc' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV' }).click(),
  ])
  expect(readFileSync(await download.path(), 'utf8')).toContain(
    '2026-04-03,Imported,hammer_curl,Hammer curl,,1,1,,working,12.5,kg,12,,2',
  )
})
