import { EXERCISES } from '#core/plan/catalogue'
import { METHODS } from '#core/plan/method'
import { NO_TARGETS } from '../support/noTargets'
import type { TestStudio } from '../support/studio'
import { expect, signIn, test } from '../support/test'
import { currentTime, serverToday } from '../../server/clock'

const today = serverToday()
const pain = {
  joint: 'wrist',
  side: 'left',
  score: 2,
  nextMorning: null,
  hasAlarmSign: false,
  on: today,
}
const { id: _id, ...exercise } = EXERCISES[0]

interface Row {
  readonly what: string
  readonly method: 'POST' | 'PUT' | 'DELETE'
  readonly path: (of: TestStudio) => string
  readonly data: unknown
  readonly pointer: string
}
const client = (part: string) => (of: TestStudio) => `/api/clients/${of.client('Joren').id}/${part}`

/** What each door refuses, and the field it names. */
const REFUSED: readonly Row[] = [
  {
    what: 'a floor above the target',
    method: 'PUT',
    path: client('targets'),
    data: {
      mine: { ...NO_TARGETS, bands: { triceps: { floor: 9, target: 4, ceiling: 12 } } },
      was: NO_TARGETS,
    },
    pointer: '/mine/bands/triceps/floor',
  },
  {
    what: 'a target above the ceiling',
    method: 'PUT',
    path: client('targets'),
    data: {
      mine: { ...NO_TARGETS, bands: { triceps: { floor: 1, target: 14, ceiling: 12 } } },
      was: NO_TARGETS,
    },
    pointer: '/mine/bands/triceps/target',
  },
  {
    what: 'a hundred sets',
    method: 'PUT',
    path: client('targets'),
    data: { mine: { ...NO_TARGETS, headFloors: { triceps_long: 100 } }, was: NO_TARGETS },
    pointer: '/mine/headFloors/triceps_long',
  },
  {
    what: 'a ratio of nothing',
    method: 'PUT',
    path: client('targets'),
    data: { mine: { ...NO_TARGETS, ratioWish: 0 }, was: NO_TARGETS },
    pointer: '/mine/ratioWish',
  },
  {
    what: 'eight days in seven',
    method: 'PUT',
    path: client('targets'),
    data: { mine: { ...NO_TARGETS, frequencyMin: { biceps: 8 } }, was: NO_TARGETS },
    pointer: '/mine/frequencyMin/biceps',
  },
  {
    what: 'pain of eleven',
    method: 'POST',
    path: client('pain'),
    data: { ...pain, score: 11 },
    pointer: '/score',
  },
  {
    what: 'pain of half a point',
    method: 'POST',
    path: client('pain'),
    data: { ...pain, score: 2.5 },
    pointer: '/score',
  },
  {
    what: 'pain of a joint nobody has',
    method: 'POST',
    path: client('pain'),
    data: { ...pain, joint: 'tail' },
    pointer: '/joint',
  },
  {
    what: 'pain of next year',
    method: 'POST',
    path: client('pain'),
    data: { ...pain, on: '2099-01-01' },
    pointer: '/on',
  },
  {
    what: 'pain of a day that is none',
    method: 'POST',
    path: client('pain'),
    data: { ...pain, on: '2026-02-30' },
    pointer: '/on',
  },
  {
    what: 'a clearance by nobody',
    method: 'POST',
    path: client('clearances'),
    data: { joint: 'wrist', on: today, profession: '  ', limits: '' },
    pointer: '/profession',
  },
  {
    what: 'limits of 5,000 characters',
    method: 'POST',
    path: client('clearances'),
    data: { joint: 'wrist', on: today, profession: 'physician', limits: 'x'.repeat(5000) },
    pointer: '/limits',
  },
  {
    what: 'a girth of nothing',
    method: 'POST',
    path: client('measurements'),
    data: { on: today, kind: 'waist', value: 0 },
    pointer: '/value',
  },
  {
    what: 'a girth of something else',
    method: 'POST',
    path: client('measurements'),
    data: { on: today, kind: 'shoe', value: 42 },
    pointer: '/kind',
  },
  {
    what: 'a flag of maybe',
    method: 'PUT',
    path: client('marks'),
    data: { isFlagged: 'maybe', laterUntil: null },
    pointer: '/isFlagged',
  },
  {
    what: 'later until no day',
    method: 'PUT',
    path: client('marks'),
    data: { isFlagged: true, laterUntil: 'soon' },
    pointer: '/laterUntil',
  },
  {
    what: 'a method without a name',
    method: 'POST',
    path: () => '/api/methods',
    data: { from: METHODS[0]!.id, name: ' ' },
    pointer: '/name',
  },
  {
    what: 'a method by a name that is taken',
    method: 'POST',
    path: () => '/api/methods',
    data: { from: METHODS[0]!.id, name: 'few HARD sets' },
    pointer: '/name',
  },
  {
    what: 'an exercise that trains nothing',
    method: 'POST',
    path: () => '/api/exercises',
    data: {
      ...exercise,
      name: 'Nothing',
      intents: [{ ...EXERCISES[0].intents[0], credits: { biceps: 0.5 } }],
    },
    pointer: '/intents/0/credits',
  },
  {
    what: 'an exercise from twelve to eight reps',
    method: 'POST',
    path: () => '/api/exercises',
    data: { ...exercise, name: 'Down', repRange: [12, 8] },
    pointer: '/repRange',
  },
  {
    what: 'an exercise without a name',
    method: 'POST',
    path: () => '/api/exercises',
    data: { ...exercise, name: '' },
    pointer: '/name',
  },
  {
    what: 'an exercise by a name that is taken',
    method: 'POST',
    path: () => '/api/exercises',
    data: { ...exercise, name: EXERCISES[1].name },
    pointer: '/name',
  },
  {
    what: 'a credit of two',
    method: 'PUT',
    path: () => `/api/exercises/${EXERCISES[0].id}/credits`,
    data: { intent: null, client: null, credits: { biceps: 2 } },
    pointer: '/credits/biceps',
  },
  {
    what: 'a credit for a muscle nobody has',
    method: 'POST',
    path: () => `/api/exercises/${EXERCISES[0].id}/effect`,
    data: { intent: null, client: null, credits: { gills: 1 } },
    pointer: '/credits',
  },
  {
    what: 'a save named with nothing',
    method: 'PUT',
    path: of => `/api/blocks/${of.client('Joren').blockId}/revisions/1/name`,
    data: { name: '' },
    pointer: '/name',
  },
]

test('every door names the field it refuses, and writes nothing', async ({ page, studio }) => {
  await signIn(page, studio)
  const before = await (await page.request.get(`/api/clients/${studio.client('Joren').id}`)).text()
  for (const { what, method, path, data, pointer } of REFUSED) {
    const answer = await page.request.fetch(path(studio), { method, data })
    expect.soft(answer.status(), what).toBe(422)
    const { errors = [] } = (await answer.json()) as {
      errors?: { pointer: string; detail: string }[]
    }
    expect
      .soft(
        errors.map(error => error.pointer),
        what,
      )
      .toContain(pointer)
    expect
      .soft(
        errors.every(({ detail }) => detail.length > 8),
        what,
      )
      .toBe(true)
  }
  expect(await (await page.request.get(`/api/clients/${studio.client('Joren').id}`)).text()).toBe(
    before,
  )
})

/** What is not there, or not any more, is as absent as what is another's. */
const ABSENT: readonly {
  readonly what: string
  readonly method: string
  readonly path: (of: TestStudio) => string
  readonly data?: unknown
}[] = [
  {
    what: 'an exercise nobody knows',
    method: 'PUT',
    path: () => '/api/exercises/levitation/credits',
    data: { intent: null, client: null, credits: null },
  },
  {
    what: 'a purpose the exercise does not have',
    method: 'POST',
    path: () => `/api/exercises/${EXERCISES[0].id}/effect`,
    data: { intent: 'levitate', client: null, credits: null },
  },
  {
    what: 'a built-in exercise, which is nobody’s to remove',
    method: 'DELETE',
    path: () => `/api/exercises/${EXERCISES[0].id}`,
  },
  {
    what: 'a preset, which is nobody’s to change',
    method: 'DELETE',
    path: () => '/api/methods/steady-middle',
  },
  {
    what: 'a measurement that was removed',
    method: 'DELETE',
    path: client('measurements/6f9619ff-8b86-4011-b42d-00c04fc964ff'),
  },
  {
    what: 'a save that was never made',
    method: 'GET',
    path: of => `/api/blocks/${of.client('Joren').blockId}/revisions/99`,
  },
  {
    what: 'a save by the number nothing',
    method: 'GET',
    path: of => `/api/blocks/${of.client('Joren').blockId}/revisions/0`,
  },
  { what: 'a client by no id', method: 'GET', path: () => '/api/clients/joren/history' },
  {
    what: 'copying a method nobody has',
    method: 'POST',
    path: () => '/api/methods',
    data: { from: 'own-nothing', name: 'Mine' },
  },
]

test('what is not there is not found', async ({ page, studio }) => {
  await signIn(page, studio)
  for (const { what, method, path, data } of ABSENT) {
    const answer = await page.request.fetch(path(studio), {
      method,
      ...(data !== undefined && { data }),
    })
    expect.soft(answer.status(), what).toBe(404)
  }
})

test(
  'the asking person’s own day decides what is missed, within a day of the server’s',
  { tag: '@day' },
  async ({ page, studio }) => {
    await signIn(page, studio)
    const roster = async (day: string) =>
      (
        (await (await page.request.get('/api/roster', { headers: { 'x-today': day } })).json()) as {
          clients: { next: { on: string } | null }[]
        }
      ).clients
    const tomorrow = new Date(currentTime().getTime() + 86_400_000).toISOString().slice(0, 10)
    expect((await roster(tomorrow)).every(({ next }) => next === null || next.on >= tomorrow)).toBe(
      true,
    )
    expect(
      (await roster('2031-01-01')).some(({ next }) => next !== null && next.on < '2031-01-01'),
    ).toBe(true)
    expect((await roster('no day')).length).toBe(studio.clients.length)
  },
)
