import { beforeEach, describe, expect, test } from '@jest/globals'
import * as vue from 'vue'
import { planIn, written } from '#core/testing/shorthandPlans'
import { plannedSets } from '#core/plan/scheme'
import { sessionSlots } from '#core/plan/session'
import { planScreen } from '~/testing/planScreen'
import { provideGlobally } from '~/testing/framework'

const plan = {
  ...planIn(
    7,
    written(
      'arms',
      'cable_curl 3 x 10-12, rir 1, rest 100s',
      'superset: pushdown_rope 3 x 12, rir 1 & hammer_curl 3 x 12, rir 1',
    ),
  ),
  passes: 4,
}

let screen: Awaited<ReturnType<typeof planScreen>>
let of: ReturnType<typeof import('./useWays').useWays>
beforeEach(async () => {
  screen = await planScreen(plan, { answering: () => ({ ok: true, value: { sent: [] } }) })
  const { useIssuedStore } = await import('~/stores/issued')
  provideGlobally({ useIssuedStore })
  await useIssuedStore().load()
  const { useWays } = await import('./useWays')
  of = useWays(vue.computed(() => useIssuedStore().expanded?.passes ?? []))
})
const block = () => screen.store.plan!.block ?? {}

describe('what an exercise gains by', () => {
  test('a set more: from where it stands, and its load stays meanwhile', async () => {
    of.setWay('cable_curl', 'sets')
    expect(block()).toMatchObject({
      ways: { cable_curl: { kind: 'sets', everyWeeks: 2, by: 1, to: 5 } },
      rules: { cable_curl: { rule: 'held' } },
    })
    const { useIssuedStore } = await import('~/stores/issued')
    const sets = useIssuedStore().expanded!.passes.map(({ sessions }) =>
      plannedSets(sessionSlots(sessions[0]!.content)[0]!.scheme),
    )
    expect(sets).toEqual([3, 3, 4, 4])
    screen.store.undo()
    expect(block()).toEqual({})
  })

  test.each([
    ['rest', { kind: 'rest', everyWeeks: 1, by: 15, to: 50 }],
    ['lowering', { kind: 'lowering', everyWeeks: 2, by: 1, to: 5 }],
  ] as const)('%s', (kind, way) => {
    of.setWay('cable_curl', kind)
    expect(block().ways).toEqual({ cable_curl: way })
  })

  test('back to the load takes both out', () => {
    of.setWay('cable_curl', 'sets')
    of.setWay('cable_curl', '')
    expect(block()).toEqual({})
  })

  test('the rest of a pair is not one exercise’s: it says what to do instead', () => {
    of.setWay('pushdown_rope', 'rest')
    expect(of.wayProblem.value).toMatch(/^It is done in a pair/)
    expect(block()).toEqual({})
    of.setWay('pushdown_rope', 'sets')
    expect(of.wayProblem.value).toBe('')
    expect(block().ways).toHaveProperty('pushdown_rope')
  })

  test.each([
    ['to', 11, 'Up or down to must be a whole number between 2 and 10.'],
    ['everyWeeks', 0, 'Every so many weeks must be a whole number between 1 and 8.'],
    ['by', 1.5, 'By must be a whole number between 1 and 2.'],
  ] as const)('%s of %s is refused with its bounds, and nothing changes', (field, value, words) => {
    of.setWay('cable_curl', 'sets')
    const before = block()
    of.setWayField('cable_curl', field, value)
    expect(of.wayProblem.value).toBe(words)
    expect(block()).toBe(before)
    of.setWayField('cable_curl', 'to', 6)
    expect(block().ways?.cable_curl).toMatchObject({ to: 6 })
    expect(of.wayProblem.value).toBe('')
  })
})
