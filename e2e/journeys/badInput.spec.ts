import type { PlanDocument } from '#core/plan/block'
import { expect, signIn, test } from '../support/test'

interface Bad {
  readonly name: string
  readonly spoil: (plan: any) => unknown
  readonly status: number
  readonly pointer?: string
  readonly detail: RegExp
}

const slotAt = '/plan/rotation/days/0/sessions/0/groupings/0/slots/0'
const firstSlot = (plan: any) => plan.rotation.days[0].sessions[0].groupings[0].slots[0]

const BAD: readonly Bad[] = [
  {
    name: 'an unknown exercise',
    spoil: plan => (firstSlot(plan).exercise = 'moon_curl'),
    status: 422,
    pointer: `${slotAt}/exercise`,
    detail: /moon_curl.*library does not have/,
  },
  {
    name: 'negative sets',
    spoil: plan => (firstSlot(plan).scheme.runs[0].count = -3),
    status: 422,
    pointer: `${slotAt}/scheme/runs/0/count`,
    detail: /must be at least 1/,
  },
  {
    name: 'fractional sets',
    spoil: plan => (firstSlot(plan).scheme.runs[0].count = 2.5),
    status: 422,
    pointer: `${slotAt}/scheme/runs/0/count`,
    detail: /must be a whole number/,
  },
  {
    name: 'more than 20 sets of one exercise',
    spoil: plan =>
      (firstSlot(plan).scheme.runs = [
        firstSlot(plan).scheme.runs[0],
        { ...firstSlot(plan).scheme.runs[0], count: 18 },
      ]),
    status: 422,
    pointer: `${slotAt}/scheme/runs`,
    detail: /22 sets.*at most 20/,
  },
  {
    name: 'no days',
    spoil: plan => (plan.rotation.days = []),
    status: 422,
    pointer: '/plan/rotation/days',
    detail: /at least 2 entries/,
  },
  {
    name: 'one day',
    spoil: plan => (plan.rotation.days.length = 1),
    status: 422,
    pointer: '/plan/rotation/days',
    detail: /at least 2 entries/,
  },
  {
    name: 'forty days',
    spoil: plan =>
      (plan.rotation.days = Array.from({ length: 40 }, () => ({ role: 'rest', sessions: [] }))),
    status: 422,
    pointer: '/plan/rotation/days',
    detail: /at most 14 entries/,
  },
  {
    name: 'an old schema version',
    spoil: plan => (plan.schema = 0),
    status: 422,
    pointer: '/plan/schema',
    detail: /must be 1/,
  },
  {
    name: 'a plan of 10 MB',
    spoil: plan => (plan.title = 'x'.repeat(10_000_000)),
    status: 413,
    detail: /may hold 1 MB/,
  },
]

test('what cannot be a plan is refused at the door with the field and the remedy, and nothing is half-saved', async ({
  page,
  studio,
}) => {
  const { id, blockId, plan } = studio.client('Joren')
  await signIn(page, studio)
  for (const { name, spoil, status, pointer, detail } of BAD) {
    const spoiled = structuredClone(plan) as PlanDocument
    spoil(spoiled)
    const answer = await page.request.put(`/api/blocks/${blockId}/plan`, {
      data: { version: 1, plan: spoiled },
    })
    const problem = await answer.json()
    expect.soft(answer.status(), name).toBe(status)
    expect.soft(answer.headers()['content-type'], name).toBe('application/problem+json')
    expect.soft(problem.detail, name).toMatch(detail)
    if (pointer) expect.soft(problem.errors[0].pointer, name).toBe(pointer)
  }
  const broken = await page.request.put(`/api/blocks/${blockId}/plan`, {
    headers: { 'content-type': 'application/json' },
    data: Buffer.from('{"version": 1, "plan": '),
  })
  expect(broken.status()).toBe(400)
  const { block } = await (await page.request.get(`/api/clients/${id}`)).json()
  expect(block.version).toBe(1)
  expect(block.plan).toEqual(plan)
})

test('a change sent by another site is refused', async ({ page, studio }) => {
  await signIn(page, studio)
  const { blockId, plan } = studio.client('Joren')
  const answer = await page.request.put(`/api/blocks/${blockId}/plan`, {
    headers: { 'sec-fetch-site': 'cross-site' },
    data: { version: 1, plan },
  })
  expect(answer.status()).toBe(403)
})
