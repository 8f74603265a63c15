import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { slotId } from '../../base'
import { defaultContext } from '../../plan/method'
import { sessionSeconds, sessionTime } from '../../plan/minutes'
import { day, straight } from '../../testing/notation'
import { floorProgress } from './progress'

const context = defaultContext({ trainingAgeMonths: 36 })
const [SESSION] = day(straight('cable_curl', 3, 10, 2), straight('pushdown_rope', 2, 12, 2))
  .sessions as [ReturnType<typeof day>['sessions'][number]]
const [curl, pushdown] = SESSION.groupings.map(({ slots }) => slots[0].id) as [
  ReturnType<typeof slotId>,
  ReturnType<typeof slotId>,
]

describe('how far somebody is', () => {
  test('before the first set', () => {
    expect(floorProgress(SESSION, context, [])).toEqual({
      done: 0,
      of: 5,
      next: { slot: curl, exercise: 'cable_curl', set: 1, sets: 3 },
      lastEnds: null,
    })
  })

  test('what is next is the first that is not said, and a set said twice counts once', () => {
    const said = [
      { slot: curl, set: 0 },
      { slot: curl, set: 2 },
      { slot: curl, set: 0 },
    ]
    expect(floorProgress(SESSION, context, said)).toMatchObject({
      done: 2,
      next: { slot: curl, set: 2 },
    })
  })

  test('all said: nothing is next, and the last set ends the session', () => {
    const said = [0, 1, 2].map(set => ({ slot: curl, set }))
    const all = [...said, { slot: pushdown, set: 0 }, { slot: pushdown, set: 1 }]
    const { done, of, next, lastEnds } = floorProgress(SESSION, context, all)
    expect([done, of, next]).toEqual([5, 5, null])
    expect(lastEnds).toBeLessThanOrEqual(sessionSeconds(SESSION, context))
    expect(lastEnds).toBeGreaterThan(0.8 * sessionSeconds(SESSION, context))
  })

  test('what the session does not have counts for nothing; more said is never less done', () => {
    const { spans } = sessionTime(SESSION, context)
    expect(spans.length).toBeGreaterThan(5)
    const place = fc.record({
      slot: fc.constantFrom(curl, pushdown, slotId('elsewhere')),
      set: fc.integer({ min: 0, max: 4 }),
    })
    fc.assert(
      fc.property(fc.array(place, { maxLength: 12 }), place, (said, more) => {
        const [before, after] = [said, [...said, more]].map(all =>
          floorProgress(SESSION, context, all),
        )
        const isThere =
          (more.slot === curl && more.set < 3) || (more.slot === pushdown && more.set < 2)
        const isNew = !said.some(({ slot, set }) => slot === more.slot && set === more.set)
        expect(after!.done - before!.done).toBe(isThere && isNew ? 1 : 0)
        expect(after!.done).toBeLessThanOrEqual(after!.of)
      }),
    )
  })
})
