import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { PLAIN_WEEKS, plainWeek } from '../../testing/plainPlans'
import { floorDay } from './day'
import { type FloorGuest, floorSessionOf, guestAfter } from './guests'
import { ALWAYS_OPEN } from './house'
import { arrangedTogether, GROUP_SIZE } from './together'
import { waitedBy } from './waits'

const HOUR = 3600
const SCARCE = { cable: 1, bench: 1, rack: 1, preacher_bench: 1, dip_bars: 1 }

function guest(id: string, week: number, day: number, isBegun = false): FloorGuest {
  const { plan, context } = plainWeek(PLAIN_WEEKS[week % PLAIN_WEEKS.length]!, 24)
  const days = plan.rotation.days.flatMap(({ sessions }, at) =>
    sessions.map((content, place) => ({ day: at, place, content })),
  )
  const start = 17 * HOUR
  return {
    id,
    plan,
    context,
    isBegun,
    canMove: true,
    start,
    usual: start,
    ...days[day % days.length]!,
  }
}
const hours = fc
  .array(fc.record({ week: fc.nat({ max: 20 }), day: fc.nat({ max: 6 }), isBegun: fc.boolean() }), {
    minLength: 3,
    maxLength: 6,
  })
  .map(all =>
    all.map(({ week, day, isBegun }, at) => guest(`g${at}`, week, day, isBegun && at === 1)),
  )

test('a group laid side by side waits as it says, nobody else longer, and nobody who has begun is moved', () => {
  const sums = { before: 0, after: 0 }
  fc.assert(
    fc.property(hours, guests => {
      const group = new Set(guests.slice(0, -1).map(({ id }) => id))
      const { changes, before, after } = arrangedTogether(group, guests, SCARCE, ALWAYS_OPEN)
      const so = changes.reduce<readonly FloorGuest[]>(
        (all, change) =>
          all.map(one => (one.id === change.session ? guestAfter(one, change) : one)),
        guests,
      )
      const [was, is] = [guests, so].map(all => floorDay(all.map(floorSessionOf), SCARCE))
      const waits = (day: typeof was) => [...group].reduce((sum, id) => sum + waitedBy(day!, id), 0)
      expect(waits(was)).toBeCloseTo(before, 6)
      expect(waits(is)).toBeCloseTo(after, 6)
      expect(after).toBeLessThanOrEqual(before)
      for (const change of changes) {
        expect(group.has(change.session)).toBe(true)
        expect(change.kind).not.toBe('stand_in')
        expect(guests.find(({ id }) => id === change.session)?.isBegun).toBe(false)
      }
      sums.before += before
      sums.after += after
    }),
    { numRuns: 12 },
  )
  expect(sums.after).toBeLessThan(sums.before / 2)
})

test('who waits for nobody is left as she is', () => {
  const two = [guest('a', 0, 0), guest('b', 1, 1)]
  const apart = arrangedTogether(new Set(['a', 'b']), two, {}, ALWAYS_OPEN)
  expect(apart).toEqual({ changes: [], before: 0, after: 0 })
  expect(GROUP_SIZE).toEqual({ least: 2, most: 6 })
})
