import { beforeEach, describe, expect, test } from '@jest/globals'
import { plannedSets } from '#core/plan/scheme'
import { formatScheme } from '#core/plan/shorthand'
import { planIn, written } from '#core/testing/shorthandPlans'
import { planScreen } from '~/testing/planScreen'

const plan = planIn(
  5,
  written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 3 x 12, rir 1'),
  written(
    'arms',
    'cable_curl 4 x 12, rir 1, rest 90s',
    'overhead_extension_rope 3 x 12, rir 1',
    'hammer_curl 2 x 12, rir 1',
  ),
)

/** A press that comes after tired triceps: the checks have something to say, and a way out. */
const tired = planIn(
  3,
  written('push', 'pushdown_rope 6 x 12, rir 0', 'bench_press_dumbbell 4 x 8, rir 2'),
)

async function session(day = 1, document = plan) {
  const { store } = await planScreen(document)
  const { useSessionBuilder } = await import('./useSessionBuilder')
  const of = useSessionBuilder(
    () => day,
    () => 0,
  )
  return { store, of }
}
let store: Awaited<ReturnType<typeof session>>['store']
let of: Awaited<ReturnType<typeof session>>['of']
beforeEach(async () => void ({ store, of } = await session()))

const names = () => of.slots.value.map(({ exercise }) => exercise)
const slotOf = (exercise: string) => of.slots.value.find(slot => slot.exercise === exercise)!
const setsOf = (exercise: string) => plannedSets(slotOf(exercise).scheme)
const partners = () => of.groupings.value.map(({ kind, slots }) => [kind, slots.length])

describe('walking through a session', () => {
  test('begins at its first exercise and stops at both ends', () => {
    expect(of.selected.value?.exercise).toBe('cable_curl')
    of.go({ groupings: -1, slots: 0 })
    expect(of.selected.value?.exercise).toBe('cable_curl')
    of.go({ groupings: 99, slots: 0 })
    expect(of.selected.value?.exercise).toBe('hammer_curl')
    of.go({ groupings: 0, slots: -1 })
    expect(of.selected.value?.exercise).toBe('overhead_extension_rope')
  })

  test('a day without sessions holds nothing, and no key does anything', async () => {
    const empty = (await session(4)).of
    expect([empty.selected.value, empty.slots.value, empty.setCount.value]).toEqual([null, [], 0])
    empty.go({ groupings: 1, slots: 0 })
    empty.changeSets(1)
    empty.changeRest(1)
    empty.togglePair()
    empty.remove()
    expect(empty.message.value).toBe('')
  })

  test('an exercise is called as the session calls it; one that is not there has no name', () => {
    expect(of.nameOf(slotOf('cable_curl').id)).toBe('Cable curl, bar')
    expect(of.nameOf('nobody' as never)).toBe('')
  })
})

describe('order', () => {
  test('an exercise moves left and right, and says so at the end', () => {
    of.move({ groupings: 1, slots: 0 })
    expect(names()).toEqual(['overhead_extension_rope', 'cable_curl', 'hammer_curl'])
    expect(of.message.value).toBe('Cable curl, bar moved.')
    of.move({ groupings: 1, slots: 0 })
    expect(names().at(-1)).toBe('cable_curl')
    of.move({ groupings: 1, slots: 0 })
    expect(of.message.value).toBe('It stands at the end already.')
  })

  test('is put before any other, or last of all', () => {
    of.moveBefore(slotOf('hammer_curl').id, slotOf('cable_curl').id)
    expect(names()[0]).toBe('hammer_curl')
    of.moveBefore(slotOf('hammer_curl').id, null)
    expect(names().at(-1)).toBe('hammer_curl')
  })

  test('partners change places within their pair', () => {
    of.togglePair()
    of.move({ groupings: 0, slots: 1 })
    expect(names().slice(0, 2)).toEqual(['overhead_extension_rope', 'cable_curl'])
    expect(partners()).toEqual([
      ['alternating', 2],
      ['straight', 1],
    ])
  })
})

describe('pairs', () => {
  test('with the next exercise, apart again, and with the one before for the last', () => {
    of.togglePair()
    expect(partners()).toEqual([
      ['alternating', 2],
      ['straight', 1],
    ])
    expect(of.message.value).toMatch(/are done together\.$/)
    of.togglePair()
    expect(partners()).toHaveLength(3)
    expect(of.message.value).toBe('Each by itself again.')
    of.select(slotOf('hammer_curl').id)
    of.togglePair()
    expect(partners()).toContainEqual(['alternating', 2])
  })

  test('an exercise alone has nobody to pair with', async () => {
    for (const exercise of ['overhead_extension_rope', 'hammer_curl'])
      of.remove(slotOf(exercise).id)
    of.togglePair()
    expect(of.message.value).toMatch(/no second exercise/)
  })

  test('are made alternating, and a pair saves minutes', () => {
    const alone = of.view.value!.time.seconds
    of.togglePair()
    of.convert(slotOf('cable_curl').id, 'superset')
    expect(partners()[0]).toEqual(['superset', 2])
    expect(of.view.value!.time.seconds).toBeLessThan(alone)
    expect(of.effects.value.length).toBeGreaterThan(0)
    expect(of.straight.value?.seconds).toBeCloseTo(alone, 6)
  })
})

describe('sets and rests', () => {
  test('a set more and a set fewer, and undo goes back step by step', () => {
    of.changeSets(1)
    expect([setsOf('cable_curl'), of.setCount.value]).toEqual([5, 10])
    of.changeSets(-1)
    of.changeSets(-1)
    expect(setsOf('cable_curl')).toBe(3)
    of.undo()
    of.undo()
    expect([setsOf('cable_curl'), of.message.value]).toEqual([5, 'Undone.'])
    of.redo()
    expect([setsOf('cable_curl'), of.message.value]).toEqual([4, 'Done again.'])
  })

  test('with nothing to undo or to do again, that is said', () => {
    of.undo()
    expect(of.message.value).toBe('Nothing to undo.')
    of.redo()
    expect(of.message.value).toBe('Nothing to do again.')
  })

  test('the rest after a set goes in steps of fifteen seconds, never under none', () => {
    of.changeRest(1)
    expect(formatScheme(slotOf('cable_curl').scheme)).toContain('rest 105s')
    for (let times = 0; times < 20; times++) of.changeRest(-1)
    expect(formatScheme(slotOf('cable_curl').scheme)).toContain('rest 0s')
  })

  test('the rest of a pair is that after a round of it', () => {
    of.togglePair()
    of.changeRest(1)
    const [grouping] = of.groupings.value
    const first = grouping!.restAfterRound
    expect(first?.kind).toBe('seconds')
    of.changeRest(-1)
    const second = of.groupings.value[0]!.restAfterRound
    expect(
      first?.kind === 'seconds' && second?.kind === 'seconds' && first.seconds - second.seconds,
    ).toBe(15)
  })

  test('warm-up sets stand before the working sets, once', () => {
    of.warmUp(slotOf('cable_curl'))
    const warm = () => slotOf('cable_curl').scheme.runs.filter(({ role }) => role === 'warmup')
    expect(warm().length).toBeGreaterThan(0)
    const count = warm().length
    of.warmUp(slotOf('cable_curl'))
    expect(warm()).toHaveLength(count)
    expect(slotOf('cable_curl').scheme.runs[0]?.role).toBe('warmup')
    expect(setsOf('cable_curl')).toBe(4)
  })
})

describe('adding and taking out', () => {
  test('a choice is found by a few letters and added with its sets', () => {
    const [choice] = of.choices('preacher')
    of.add(choice!)
    expect(names()).toContain(choice!.exercise.id)
    expect(of.selected.value?.exercise).toBe(choice!.exercise.id)
    expect(of.message.value).toMatch(/added\.$/)
  })

  test('added as a partner, it stands with the last exercise', () => {
    const [choice] = of.choices('preacher')
    of.add(choice!, 2, true)
    expect(partners().at(-1)).toEqual(['alternating', 2])
    expect(setsOf(choice!.exercise.id)).toBe(2)
  })

  test('without letters the arms come first, and nothing comes twice', () => {
    const all = of.choices('')
    expect(all.length).toBeGreaterThan(5)
    const keys = all.map(({ exercise, intent }) => `${exercise.id} ${intent}`)
    expect(new Set(keys).size).toBe(keys.length)
    const scores = all.map(({ score }) => score)
    expect([...scores].sort((a, b) => b - a)).toEqual(scores)
  })

  test('taken out, it says how it comes back, and it does', () => {
    of.remove()
    expect(names()).not.toContain('cable_curl')
    expect(of.message.value).toBe('Cable curl, bar taken out. Z brings it back.')
    of.undo()
    expect(names()).toContain('cable_curl')
  })
})

describe('what the checks say of the session', () => {
  test('findings are this day’s, walked through one by one and round again', async () => {
    const { of: push } = await session(0, tired)
    const count = push.findings.value.length
    expect(push.findings.value.every(({ place }) => place.day === 0)).toBe(true)
    if (count === 0) throw new Error('the push day was expected to have a finding')
    for (let at = 0; at < count; at++) {
      push.nextNotice()
      expect(push.noticeAt.value).toBe(at)
    }
    push.nextNotice()
    expect(push.noticeAt.value).toBe(0)
  })

  test('one with a fix is fixed as one step of undo, one can be dismissed with a note', async () => {
    const { of: push, store: held } = await session(0, tired)
    const finding = push.findings.value.find(({ fix }) => fix)
    if (!finding) throw new Error('a finding with a fix was expected')
    const before = held.plan
    push.fix(finding)
    expect(push.message.value).toBe('Fixed. Z undoes it.')
    push.undo()
    expect(held.plan).toEqual(before)
    push.dismiss(finding, 'As wanted.')
    expect(held.plan?.dismissed).toMatchObject([{ note: 'As wanted.' }])
    expect(push.findings.value.some(({ check }) => check === finding.check)).toBe(false)
  })
})

describe('panels', () => {
  test('open and close by the same key, and leave the plan alone', () => {
    of.open('swap')
    expect(of.opened.value).toBe('swap')
    of.open('swap')
    expect(of.opened.value).toBeNull()
    of.open('swap')
    of.close()
    expect([of.opened.value, store.plan]).toEqual([null, plan])
  })

  test('readiness at an exercise knows whether earlier sets worked its muscle', () => {
    expect(of.readinessAt(slotOf('cable_curl').id)).toMatchObject({ isWorked: false })
    const later = of.readinessAt(slotOf('hammer_curl').id)
    expect(later && later.percent <= 100 && later.percent > 0).toBe(true)
    expect(of.readinessAt('nobody' as never)).toBeNull()
  })
})
