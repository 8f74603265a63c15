import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate } from '#core/base'
import { planIn, written } from '#core/testing/shorthandPlans'
import { planScreen, TODAY } from '~/testing/planScreen'

const plan = {
  ...planIn(
    7,
    written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 3 x 12, rir 1'),
    written('arms', 'cable_curl 4 x 12, rir 1', 'overhead_extension_rope 3 x 12, rir 1'),
    written('upper', 'pulldown_neutral 3 x 10, rir 2', 'hammer_curl 2 x 12, rir 1'),
  ),
  startsOn: plainDate('2026-04-06'),
}

async function terms(of = plan) {
  const { store } = await planScreen(of, { facts: { modes: { quads: 'keep', chest: 'keep' } } })
  const { useBlockTerms } = await import('./useBlockTerms')
  return { store, of: useBlockTerms() }
}

describe('the dates of a block', () => {
  test('a start that is no calendar day is refused in words, and nothing changes', async () => {
    const { store, of } = await terms()
    of.setStart('2026-02-30')
    expect(of.message.value).toMatch(/^Start: this is no calendar day/)
    expect(store.plan?.startsOn).toBe(plan.startsOn)
  })

  test('a start in the past is taken, with what that means', async () => {
    const { store, of } = await terms()
    const past = addDays(plainDate(TODAY), -1)
    of.setStart(past)
    expect([store.plan?.startsOn, of.message.value]).toEqual([past, ''])
    expect(of.note.value).toMatch(/begins in the past/)
    of.setStart(TODAY)
    expect(of.note.value).toBe('')
  })

  test.each([
    ['half a rotation', 1.5],
    ['none', 0],
    ['more than a block may have', 1000],
  ])('%s is refused', async (_, count) => {
    const { store, of } = await terms()
    of.setPasses(count)
    expect(of.message.value).toMatch(/^Rotations: give a whole number from 1 to/)
    expect(store.plan?.passes).toBe(plan.passes)
  })

  test.each([
    [1, /^1 weeks: blocks of 2 to 16/],
    [2, /^$/],
    [16, /^$/],
    [17, /^17 weeks: blocks of 2 to 16/],
  ])('%d rotations of a week', async (count, note) => {
    const { store, of } = await terms()
    of.setPasses(count)
    expect(store.plan?.passes).toBe(count)
    expect(of.note.value).toMatch(note)
  })

  test('weeks become rotations; where they do not fit, the days are told', async () => {
    const { store, of } = await terms()
    of.setWeeks(6)
    expect([store.plan?.passes, of.note.value]).toEqual([6, ''])
    of.setWeeks(53)
    expect(of.message.value).toBe('Weeks: give a whole number from 1 to 52.')
    expect(store.plan?.passes).toBe(6)
  })
})

describe('ramps', () => {
  test('name what is trained directly, with where it stands and where it may go', async () => {
    const { of } = await terms()
    const biceps = of.ramps.value.find(({ group }) => group === 'biceps')
    expect(biceps).toMatchObject({ name: 'Biceps', kind: 'none', mode: 'build', problem: '' })
    expect(biceps!.floor).toBeLessThan(biceps!.ceiling)
    expect(of.ramps.value.map(({ group }) => group)).not.toContain('quads')
  })

  test('an end over the ceiling, and one under the floor, are told beside it', async () => {
    const { of } = await terms()
    of.setRamp('biceps', { kind: 'linear', end: 60 })
    const problem = () => of.ramps.value.find(({ group }) => group === 'biceps')?.problem
    expect(problem()).toMatch(/^over the ceiling of \d+/)
    of.setRamp('biceps', { end: 1 })
    expect(problem()).toMatch(/^under the floor of \d+/)
  })

  test.each([-1, 61, Number.NaN])('an end of %d sets is refused', async end => {
    const { store, of } = await terms()
    of.setRamp('biceps', { kind: 'linear', end })
    expect(of.message.value).toMatch(/^Biceps: give the sets/)
    expect(store.plan?.block?.ramps).toBeUndefined()
  })

  test('taken back, nothing of it is left in the plan', async () => {
    const { store, of } = await terms()
    of.setRamp('biceps', { kind: 'linear', end: 18 })
    of.setRamp('triceps', { kind: 'linear', end: 16 })
    of.setRamp('biceps', { kind: 'none' })
    expect(store.plan?.block?.ramps).toEqual({ triceps: { kind: 'linear', end: 16 } })
  })
})

describe('effort, waves and deloads', () => {
  test('reps in reserve are whole numbers from 0 to 6', async () => {
    const { store, of } = await terms()
    for (const value of [-1, 7, 1.5]) {
      of.setEffort('isolation', 'to', value)
      expect(of.message.value).toMatch(/from 0 to 6/)
    }
    expect(store.plan?.block?.effort).toBeUndefined()
    of.setEffort('isolation', 'to', 0)
    expect(store.plan?.block?.effort?.isolation.to).toBe(0)
    of.setEffort('compound', 'from', 4)
    expect(store.plan?.block?.effort).toMatchObject({ compound: { from: 4 }, isolation: { to: 0 } })
  })

  test('the last set to failure has a week, or none', async () => {
    const { store, of } = await terms()
    of.setFailure('4')
    expect(store.plan?.block?.failure).toEqual({ fromWeek: 4 })
    of.setFailure('0')
    expect(of.message.value).toMatch(
      /^Last set to failure: give the week it begins in, from 1 to 16/,
    )
    expect(store.plan?.block?.failure).toEqual({ fromWeek: 4 })
    of.setFailure('')
    expect(store.plan?.block?.failure).toBeUndefined()
  })

  test.each([
    ['0 -2 −4', [0, -2, -4]],
    ['0, 1; 2/3', [0, 1, 2, 3]],
    ['0 0 0', undefined],
    ['', undefined],
  ])('a wave of %j', async (text, wave) => {
    const { store, of } = await terms()
    of.setWave(text)
    expect(of.message.value).toBe('')
    expect(store.plan?.block?.repWave).toEqual(wave)
  })

  test.each(['9', '-9', 'two', '1.5', Array.from({ length: 17 }, () => '1').join(' ')])(
    'a wave of %j is refused with an example',
    async text => {
      const { of } = await terms()
      of.setWave(text)
      expect(of.message.value).toMatch(/^Rep wave: give whole numbers from −8 to 8, such as/)
    },
  )

  test('an easier rotation is put in and taken out, in order', async () => {
    const { of } = await terms()
    of.toggleDeload(3)
    of.toggleDeload(1)
    expect(of.deloads.value).toEqual([1, 3])
    of.toggleDeload(3)
    expect(of.deloads.value).toEqual([1])
    of.proposeDeloads()
    expect(of.deloads.value.every(pass => pass >= 0 && pass < plan.passes)).toBe(true)
  })

  test('as the method has it: ramps, effort and deloads in one step of undo', async () => {
    const { store, of } = await terms()
    of.useMethodsBlock()
    expect(of.note.value).toMatch(/^As .* has it/)
    expect(store.plan?.block).toBeDefined()
    store.undo()
    expect(store.plan).toEqual(plan)
  })
})

describe('exercises that take turns', () => {
  test('others stand in, one after the other', async () => {
    const { store, of } = await terms()
    const { slot, words } = of.slots.value.find(({ slot: one }) => one.exercise === 'cable_curl')!
    expect(words).toBe('Day 2: Cable curl, bar')
    const [itself, first, second] = of.choices(slot.id)
    of.addTurn(slot.id, first!.exercise, 'exposure')
    of.addTurn(slot.id, second!.exercise, 'exposure')
    expect(store.plan?.block?.alternations?.map(({ exercise }) => exercise)).toEqual([
      first!.exercise,
      second!.exercise,
    ])
    expect(of.turns.value[0]).toMatchObject({ words })
    of.addTurn(slot.id, itself!.exercise, 'exposure')
    expect(of.message.value).toMatch(/^Turns: say how the same exercise is held or set up then/)
    of.addTurn(slot.id, itself!.exercise, 'exposure', 'bench 200')
    expect(of.message.value).toMatch(
      /^Turns, held or set up: At character 7.* Bench: give 0 to 90/s,
    )
    of.addTurn(slot.id, itself!.exercise, 'exposure', 'palms facing')
    expect(store.plan?.block?.alternations?.at(-1)).toMatchObject({ as: { grip: 'neutral' } })
    expect(of.turns.value[0]!.others.at(-1)!.name).toBe('Cable curl, bar, palms facing')
    of.dropTurn(slot.id)
    expect(of.turns.value).toEqual([])
  })

  test('without a choice nothing is put in', async () => {
    const { of } = await terms()
    of.addTurn('nobody', 'cable_curl', 'exposure')
    expect(of.message.value).toMatch(/^Turns: choose/)
    expect(of.turns.value).toEqual([])
  })
})

describe('events', () => {
  const regatta = {
    what: 'Regatta',
    from: '2026-04-20',
    to: '2026-04-22',
    effect: 'skip' as const,
    minutes: 0,
  }

  test.each([
    ['without a name', { what: '  ' }, /^Event: say what it is/],
    ['without a day', { from: '' }, /first and last day/],
    ['ending before it begins', { to: '2026-04-19' }, /lies before its first/],
    ['short of no minutes', { effect: 'short' as const, minutes: 4 }, /from 5 to 480/],
    ['short of more than a day', { effect: 'short' as const, minutes: 481 }, /from 5 to 480/],
  ])('%s is refused', async (_, change, told) => {
    const { of } = await terms()
    expect(of.addEvent({ ...regatta, ...change })).toBe(false)
    expect(of.message.value).toMatch(told)
    expect(of.events.value).toEqual([])
  })

  test('stand in the order of their days, and go again', async () => {
    const { of } = await terms()
    expect(of.addEvent(regatta)).toBe(true)
    const short = { ...regatta, what: 'Exams', from: '2026-04-10', to: '2026-04-10' }
    of.addEvent({ ...short, effect: 'short', minutes: 30.4 })
    expect(of.events.value.map(({ what, minutes }) => [what, minutes])).toEqual([
      ['Exams', 30],
      ['Regatta', undefined],
    ])
    of.dropEvent(of.events.value[0]!.id)
    expect(of.events.value.map(({ what }) => what)).toEqual(['Regatta'])
  })
})

describe('the trade for more arm work', () => {
  test('without ramps nothing is asked for, and nothing goes', async () => {
    const { store, of } = await terms()
    expect(of.trade.value?.cuts ?? []).toEqual([])
    of.takeTrade()
    expect(store.plan).toEqual(plan)
  })

  test('with them, what would go is named, and goes as one step of undo', async () => {
    const more = planIn(
      7,
      written('legs', 'leg_press 8 x 10, rir 1', 'leg_curl_seated 8 x 12, rir 1'),
      written('arms', 'cable_curl 4 x 12, rir 1', 'overhead_extension_rope 3 x 12, rir 1'),
      written('upper', 'bench_press_dumbbell 9 x 8, rir 1', 'lateral_raise_cable 8 x 12, rir 1'),
    )
    const { store, of } = await terms({ ...more, startsOn: plan.startsOn })
    of.setRamp('biceps', { kind: 'linear', end: 24 })
    of.setRamp('triceps', { kind: 'linear', end: 24 })
    const before = store.plan
    const lines = of.trade.value?.lines ?? []
    expect(lines.length).toBeGreaterThan(0)
    expect(lines[0]).toMatch(/^\d+ sets? of .* on day \d \(.*\)$/)
    of.takeTrade()
    expect(of.note.value).toMatch(/one step of undo/)
    store.undo()
    expect(store.plan).toEqual(before)
  })
})
