import { beforeEach, describe, expect, test } from '@jest/globals'
import { plainDate } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { plannedSets } from '#core/plan/scheme'
import { sessionSlots } from '#core/plan/session'
import { planIn, written } from '#core/testing/shorthandPlans'
import { type Asked, provideGlobally } from '~/testing/framework'
import { planScreen, TODAY } from '~/testing/planScreen'

const plan: PlanDocument = {
  ...planIn(
    7,
    written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 3 x 12, rir 1'),
    { ...written('rest'), sessions: [] },
    written(
      'arms',
      'cable_curl 4 x 12 40kg, rir 1',
      'overhead_extension_rope 4 x 12, rir 1',
      'hammer_curl 3 x 12, rir 1',
      'pushdown_rope 3 x 12, rir 1',
    ),
    { ...written('rest'), sessions: [] },
    written('upper', 'pulldown_neutral 3 x 10, rir 2', 'cable_curl 2 x 12, rir 1'),
  ),
  startsOn: plainDate('2026-03-30'),
  passes: 4,
}

/** What the server answers, by the end of the path. */
let answers: Record<string, unknown> = {}
const answering = ({ path, method }: Asked) => {
  const known = Object.entries(answers).find(([end]) => `${method} ${path}`.endsWith(end))
  return known ? known[1] : { ok: true, value: {} }
}

async function builder(facts = {}) {
  const { store, asked } = await planScreen(plan, { facts, answering })
  const mounted: (() => Promise<void>)[] = []
  const { useIssuedStore } = await import('~/stores/issued')
  provideGlobally({
    useIssuedStore,
    onMounted: (work: () => Promise<void>) => mounted.push(work),
  })
  const { useSessionBuilder } = await import('./useSessionBuilder')
  const of = useSessionBuilder(
    () => 2,
    () => 0,
  )
  return { store, asked, mounted, of }
}
type Builder = Awaited<ReturnType<typeof builder>>
let page: Builder
beforeEach(async () => {
  answers = {
    'GET /api/session-templates': { ok: true, value: { templates: [] } },
    '/sent': { ok: true, value: { sent: [] } },
    '/strengths': { ok: true, value: { strengths: [{ exercise: 'cable_curl', kg: 50 }] } },
  }
  page = await builder()
})
const arms = () => page.store.plan!.rotation.days[2]!.sessions[0]!
const setsIn = (content = arms()) =>
  sessionSlots(content).reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)
const exercisesIn = (content = arms()) => sessionSlots(content).map(({ exercise }) => exercise)

describe('only so many minutes', () => {
  async function short() {
    const { useShortSession } = await import('./useShortSession')
    return useShortSession(page.of)
  }

  test('offers two thirds of the session, in fives, and the dates from today on', async () => {
    const of = await short()
    const minutes = page.of.view.value!.time.seconds / 60
    expect(of.minutes.value % 5).toBe(0)
    expect(Math.abs(of.minutes.value - minutes * 0.66)).toBeLessThanOrEqual(2.5)
    expect(of.dates.value[0]!.on >= TODAY).toBe(true)
    expect(of.dates.value.map(({ isOneOff }) => isOneOff)).toEqual([false, false, false])
    expect(of.on.value).toBe(of.dates.value[0]?.on)
  })

  test('what has to go is named; refused, something else goes, and it can be allowed again', async () => {
    const of = await short()
    of.minutes.value = 20
    const before = of.changes.value
    expect(before.length).toBeGreaterThan(0)
    const [first] = before
    of.refuse(first!.key, first!.words)
    expect(of.changes.value.map(({ key }) => key)).not.toContain(first!.key)
    expect([...of.refusedWords.value.values()]).toEqual([first!.words])
    of.allow(first!.key)
    expect(of.changes.value).toEqual(before)
    expect(of.refusedWords.value.size).toBe(0)
  })

  test.each([0, 4, 241, Number.NaN])('%d minutes are no time to go by', async minutes => {
    const of = await short()
    of.minutes.value = minutes
    expect(of.result.value).toBeNull()
    expect(of.sentence.value).toBe('Give a time between 5 and 240 minutes.')
    of.useAlways()
    of.saveForDate()
    of.saveAsVariant()
    expect(page.store.plan).toEqual(plan)
  })

  test('kept for a date: the plan stays, that day is shorter', async () => {
    const of = await short()
    of.minutes.value = 20
    page.of.open('short')
    of.saveForDate()
    expect(page.of.opened.value).toBeNull()
    expect(page.of.message.value).toBe('Kept for that date; the plan stays as it is.')
    expect(setsIn()).toBe(14)
    const [oneOff] = page.store.plan!.oneOffs!
    expect(oneOff).toMatchObject({ on: of.on.value, session: arms().id, reason: 'short' })
    expect(setsIn(oneOff!.content)).toBeLessThan(14)
    expect(of.dates.value[0]?.isOneOff).toBe(true)
  })

  test('kept as a version, or for good, as one step of undo', async () => {
    const of = await short()
    of.minutes.value = 15
    of.saveAsVariant()
    expect(page.store.plan!.variants).toMatchObject([{ session: arms().id, name: '15 minutes' }])
    expect(setsIn()).toBe(14)
    of.useAlways()
    expect(setsIn()).toBeLessThan(14)
    page.of.undo()
    expect(setsIn()).toBe(14)
  })

  test('tells for each muscle what is left, and where it could be made up', async () => {
    const of = await short()
    of.minutes.value = 15
    expect(of.groups.value.map(({ name }) => name)).toContain('Triceps')
    for (const offer of of.offers.value) expect(offer.words).toMatch(/\S/)
    expect(of.lines.value.length).toBeGreaterThan(0)
  })
})

describe('something else in place of an exercise', () => {
  async function swap() {
    const { useSwap } = await import('./useSwap')
    return useSwap(page.of)
  }

  test('offers stand-ins with their price, and says that weights are lost', async () => {
    const of = await swap()
    expect(of.name).toMatch(/^Cable curl/)
    expect(of.losesWeights).toBe(true)
    expect(of.shown.value.length).toBeGreaterThan(1)
    for (const { words } of of.shown.value) expect(words).not.toBe('')
    of.chosen.value = 2
    of.reason.value = 'taken'
    await new Promise(resolve => setTimeout(resolve))
    expect(of.chosen.value).toBe(0)
  })

  test('taken equipment is in none of the stand-ins', async () => {
    const of = await swap()
    of.reason.value = 'taken'
    const [station] = of.stations
    of.taken.value = station!.id
    const { stationsOf } = await import('#core/design/suggest')
    for (let at = 0; at < of.shown.value.length; at++) {
      of.chosen.value = at
      expect(stationsOf(of.choice.value!.exercise)).not.toContain(station!.id)
    }
  })

  test('here: this session only', async () => {
    const of = await swap()
    const { exercise } = of.choice.value!
    of.here()
    expect(exercisesIn()[0]).toBe(exercise.id)
    expect(exercisesIn(page.store.plan!.rotation.days[4]!.sessions[0]!)).toContain('cable_curl')
    expect(page.of.message.value).toBe(`${exercise.name} stands here now. Z undoes it.`)
  })

  test('in the whole block: on every day that has it', async () => {
    const of = await swap()
    const { exercise } = of.choice.value!
    expect(of.forBlock()).toBe(true)
    for (const day of [2, 4]) {
      const names = exercisesIn(page.store.plan!.rotation.days[day]!.sessions[0]!)
      expect(names).toContain(exercise.id)
      expect(names).not.toContain('cable_curl')
    }
  })

  test('on one date: the plan stays as it is', async () => {
    const of = await swap()
    of.forDate()
    expect(exercisesIn()[0]).toBe('cable_curl')
    expect(page.store.plan!.oneOffs).toMatchObject([{ on: of.on.value, reason: 'swap' }])
    expect(exercisesIn(page.store.plan!.oneOffs![0]!.content)[0]).toBe(of.choice.value!.exercise.id)
  })

  test('for good: also on the list to avoid, and nothing offers it again', async () => {
    const of = await swap()
    await of.forGood()
    expect(page.asked.find(({ path }) => path.endsWith('/avoid'))?.body).toEqual({
      exercise: 'cable_curl',
    })
    expect(page.store.client?.facts.avoid).toContain('cable_curl')
    expect(page.of.message.value).toMatch(/is avoided from now on/)
    expect(page.of.choices('').map(({ exercise }) => exercise.id)).not.toContain('cable_curl')
  })

  test.each([
    [{ kind: 'unreachable' }, /does not answer/],
    [{ kind: 'refused', problem: { detail: 'The client is archived.' } }, /archived/],
  ])('for good, and the server does not take it: nothing is changed. %#', async (error, words) => {
    answers['/avoid'] = { ok: false, error }
    const of = await swap()
    await of.forGood()
    expect(of.complaint.value).toMatch(words)
    expect(of.isBusy.value).toBe(false)
    expect(page.store.plan).toEqual(plan)
  })

  test('with a sore elbow it begins with what hurts', async () => {
    page = await builder({ pain: { elbow_flexor_side: 'swap' } })
    const of = await swap()
    expect(of.reason.value).toBe('hurts')
    expect(of.joint.value).toBe('elbow_flexor_side')
  })
})

describe('templates', () => {
  async function templates() {
    const { useSessionTemplates } = await import('./useSessionTemplates')
    const of = useSessionTemplates(page.of)
    await Promise.all(page.mounted.map(work => work()))
    return of
  }

  test('come fitted to the client, and are put in place of what stands there', async () => {
    const of = await templates()
    expect(of.isLoading.value).toBe(false)
    expect(of.offered.value.length).toBeGreaterThan(3)
    const [offer] = of.offered.value
    const id = arms().id
    of.put(offer!, false)
    expect(exercisesIn()).toEqual(exercisesIn(offer!.fitted.session))
    expect(arms().id).toBe(id)
    expect(page.of.message.value).toBe(`${offer!.name} put in. Z undoes it.`)
  })

  test('or at its end', async () => {
    const of = await templates()
    const [offer] = of.offered.value
    const before = exercisesIn()
    of.put(offer!, true)
    expect(exercisesIn()).toEqual([...before, ...exercisesIn(offer!.fitted.session)])
  })

  test('the coach’s own come first; one is kept and taken out by asking the server', async () => {
    const id = '8f9619ff-8b86-4011-b42d-00c04fc964ff'
    const own = { id, name: 'Fridays', reason: 'short evenings', content: arms() }
    answers['GET /api/session-templates'] = { ok: true, value: { templates: [own] } }
    answers['POST /api/session-templates'] = { ok: true, value: { id } }
    const of = await templates()
    expect(of.offered.value[0]).toMatchObject({
      name: 'Fridays',
      suits: 'your own',
      reasons: ['short evenings'],
      ownId: id,
    })
    expect(await of.keep('', 'no name')).toBe(false)
    expect(await of.keep('Mondays', 'long ones')).toBe(true)
    await of.remove(id)
    const sent = page.asked.filter(({ path }) => path.startsWith('/api/session-templates'))
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
      'GET /api/session-templates',
      'POST /api/session-templates',
      'GET /api/session-templates',
      `DELETE /api/session-templates/${id}`,
      'GET /api/session-templates',
    ])
  })
})
