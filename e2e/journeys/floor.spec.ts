import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import { addDays } from '#core/base'
import { dayOn, sumOfWaits } from '#core/follow/floor'
import { formatDay } from '#core/words'
import { FloorView } from '#shared/contracts/floor'
import { type LogWord, sessionStanding, turnsOf } from '#core/follow/sheet'
import type { SheetView } from '#shared/contracts/sheet'
import { currentTime, serverToday } from '../../server/clock'
import { newSheetSession } from '../support/sheet'
import { alive, boardIsLive, expect, signIn, test } from '../support/test'

const SCARCE = 'cable 1, bench 1, rack 1, preacher 1, dip bars 1, pull-up bar 1'

async function seen(page: Page, on: string): Promise<FloorView> {
  return FloorView.parse(await (await page.request.get(`/api/floor?on=${on}`)).json())
}
/** The day of the coming week on which most is waited. */
async function busyDay(page: Page): Promise<FloorView> {
  const days = await Promise.all(
    Array.from({ length: 7 }, (_, at) => seen(page, addDays(serverToday(), at))),
  )
  const [busiest] = days.sort((a, b) => sumOfWaits(dayOn(b)) - sumOfWaits(dayOn(a)))
  if (!busiest || sumOfWaits(dayOn(busiest)) === 0) throw new Error('nobody waits in a whole week')
  return busiest
}

test('the floor says who waits for what once the stations are named, and says so when a line is not read', async ({
  page,
  studio,
}) => {
  await signIn(page, studio)
  await page.goto('/floor')
  await alive(page)
  const stations = page.getByLabel('Stations')
  const save = page.getByRole('button', { name: 'Save the studio' })
  // What is not named is plenty.
  await expect(page.getByText(/of waiting/)).toHaveCount(0)
  await stations.fill('sauna 1')
  await expect(page.getByText(/“sauna 1” is not known\. Type cable tower/)).toBeVisible()
  await save.click()
  await stations.fill('rack 0, racks 1')
  await expect(page.getByText(/“racks 1” is there twice/)).toBeVisible()
  await stations.fill(SCARCE)
  await page.getByLabel('Opens').fill('noon')
  await expect(page.getByText(/“noon” is no time/)).toBeVisible()
  await page.getByLabel('Opens').fill('6')
  await page.getByLabel('Closes').fill('21:30')
  await save.click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.reload()
  await expect(stations).toHaveValue(
    'cable tower 1, preacher bench 1, bench 1, rack 1, dip bars 1, pull-up bar 1',
  )
  await expect(page.getByLabel('Opens')).toHaveValue('06:00')
})

test('a wait is told on the board, led to on the floor, ended with one key and taken back with one', async ({
  page,
  studio,
}) => {
  test.slow()
  await signIn(page, studio)
  await page.request.put('/api/account/studio', {
    data: { stations: { cable: 1, bench: 1, rack: 1, preacher_bench: 1 }, house: {} },
  })
  const busy = await busyDay(page)
  const wait = dayOn(busy).waits.reduce((a, b) => (b.seconds > a.seconds ? b : a))
  const waiting = busy.sessions.find(({ id }) => id === wait.session)!
  await page.goto(`/clients/${waiting.client}/split`)
  await boardIsLive(page)
  await page
    .getByRole('list', { name: 'On the floor' })
    .getByRole('link', { name: new RegExp(`^${formatDay(busy.on)} .*waits about`) })
    .first()
    .click()
  await expect(page).toHaveURL(new RegExp(`/floor\\?on=${busy.on}`))
  const lane = page.locator(`[data-lane="${waiting.id}"]`)
  const first = lane.getByRole('listitem').first().getByRole('button')
  await expect(first).toBeVisible()
  const [title = ''] = (await first.innerText()).split('\n')
  await page.keyboard.press('1')
  await expect(page.getByRole('status').filter({ hasText: 'Z takes it back.' })).toContainText(
    title.trim().slice(0, 20),
  )
  const after = await seen(page, busy.on)
  expect(sumOfWaits(dayOn(after))).toBeLessThan(sumOfWaits(dayOn(busy)))
  await page.keyboard.press('z')
  await expect(page.getByText(/^Undone: way out of a wait/)).toBeVisible()
  expect(await seen(page, busy.on)).toEqual(busy)

  // By hand, and lanes the other way.
  await page.goto(`/floor?on=${busy.on}&session=${waiting.id}`)
  await alive(page)
  await expect(lane.getByRole('button', { pressed: true }).first()).toBeVisible()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByRole('status').filter({ hasText: 'starts at' })).toBeVisible()
  const moved = (await seen(page, busy.on)).sessions.find(({ id }) => id === waiting.id)!
  expect(moved.start).not.toBe(waiting.start)
  expect(moved.usual).toBe(waiting.start)
  await expect(lane).toContainText(`usually ${waiting.start}`)
  await page.keyboard.press('s')
  await expect(page.getByText('1 there').first()).toBeVisible()
})

test('a floor cut off for ten minutes says since when, and then has what was said meanwhile, once', async ({
  page,
  studio,
  expectedErrors,
}) => {
  test.slow()
  expectedErrors.push(/Failed to load resource|ERR_FAILED/)
  await signIn(page, studio)
  const today = serverToday()
  const [somebody] = (await seen(page, today)).sessions
  if (!somebody) throw new Error('nobody trains today')
  const { key, session: id } = await newSheetSession(studio, somebody.name, somebody.what)
  await page.clock.install()
  await page.goto('/floor')
  await expect(page.getByText('Live, 0 training')).toBeVisible()
  await page.route('**/api/floor/live', route => route.abort())
  await page.clock.fastForward('10:00')
  await expect(
    page.getByRole('alert').filter({ hasText: /Not live since \d\d:\d\d/ }),
  ).toBeVisible()
  const at = currentTime().toISOString()
  const word = { kind: 'pain', joints: ['shoulder'], side: 'left', score: 5, hasAlarmSign: false }
  const said = await page.request.post('/api/sheet/entries', {
    headers: { authorization: `Sheet ${key}`, 'x-today': today },
    data: { sentAt: at, entries: [{ id: randomUUID(), session: id, at, word }] },
  })
  expect(said.ok(), await said.text()).toBe(true)
  const pains = page.getByRole('list', { name: 'What hurts' })
  await page.clock.fastForward('01:00')
  await expect(pains).toHaveCount(0)
  await page.unroute('**/api/floor/live')
  await page.clock.fastForward('00:30')
  await expect(page.getByText(/Live, \d training/)).toBeVisible()
  await expect(pains.getByRole('listitem')).toHaveCount(1)
  await expect(pains).toContainText(/left .*5 of 10/)
})

test('a set, a pain and a note said on a phone are on the open floor at once, and answered there', async ({
  page,
  studio,
}) => {
  test.slow()
  await signIn(page, studio)
  const today = serverToday()
  const [somebody] = (await seen(page, today)).sessions
  if (!somebody) throw new Error('nobody trains today')
  const { key, session: id } = await newSheetSession(studio, somebody.name, somebody.what)
  const headers = { authorization: `Sheet ${key}`, 'x-today': today }
  const sheet = (await (await page.request.get('/api/sheet', { headers })).json()) as SheetView
  const { session } = sheet.sessions.find(held => held.session.id === id)!
  const say = async (word: LogWord) => {
    const at = currentTime().toISOString()
    const entries = [{ id: randomUUID(), session: id, at, word }]
    const said = await page.request.post('/api/sheet/entries', {
      headers,
      data: { sentAt: at, entries },
    })
    expect(said.ok(), await said.text()).toBe(true)
  }
  await page.goto('/floor')
  await expect(page.getByText('Live, 0 training')).toBeVisible()
  const turn = turnsOf(session, sessionStanding([])).find(
    ({ parts }) => parts[0]?.place.role === 'working',
  )!
  const exercise = session.exercises.find(({ slot }) => slot === turn.slot)!
  await say({
    kind: 'set',
    place: turn.parts[0]!.place,
    replaces: null,
    done: {
      exercise: exercise.exercise,
      intent: exercise.intent,
      load: null,
      reps: 10,
      seconds: null,
      rir: 2,
      isRirOpen: false,
    },
  })
  const atOnce = { timeout: 4000 }
  await expect(page.getByText('Live, 1 training')).toBeVisible(atOnce)
  await expect(page.locator(`[data-lane="${somebody.id}"]`)).toContainText(/● .+, set \d of \d/)
  await say({
    kind: 'pain',
    joints: ['elbow_flexor_side'],
    side: 'left',
    score: 4,
    hasAlarmSign: false,
  })
  const pains = page.getByRole('list', { name: 'What hurts' })
  await expect(pains).toContainText(/left .*4 of 10/, atOnce)
  await expect(pains).toContainText('Told: ')
  await say({ kind: 'note', slot: null, text: 'Is the left grip meant to be wider?' })
  const wrote = page.getByRole('list', { name: 'What clients wrote' })
  await expect(wrote).toContainText('Is the left grip meant to be wider?', atOnce)
  const words = async () => await (await page.request.get('/api/sheet', { headers })).text()
  await wrote.getByRole('textbox', { name: `Answer to ${somebody.name}` }).fill('A hand wider.')
  await page.keyboard.press('Enter')
  await expect(wrote).toContainText('Told: A hand wider.', atOnce)
  expect(await words()).toContain('A hand wider.')
  await page.getByRole('heading', { name: /^Floor/ }).click()
  await page.keyboard.press('z')
  await expect(wrote).not.toContainText('Told: ')
  expect(await words()).not.toContain('A hand wider.')
})
