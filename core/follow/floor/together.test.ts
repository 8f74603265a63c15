import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { PLAIN_WEEKS, plainWeek } from '../../testing/plainPlans'
import { written } from '../../testing/shorthandPlans'
import { floorDay } from './day'
import { type FloorGuest, floorSessionOf, guestsAfter, sessionsOf } from './guests'
import { ALWAYS_OPEN } from './house'
import { unspotted } from './spots'
import type { Stations } from './stations'
import { arrangedTogether, GROUP_SIZE } from './together'
import { waitedBy } from './waits'

const HOUR = 3600
const SCARCE = { cable: 1, bench: 1, rack: 1, preacher_bench: 1, dip_bars: 1 }
const ROOM = { stations: SCARCE, hours: ALWAYS_OPEN }

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

/** The day simulated anew. */
function hourOf(guests: readonly FloorGuest[], coaches?: number, stations: Stations = SCARCE) {
  const sessions = guests.map(floorSessionOf)
  const day = floorDay(sessions, stations)
  const missed = unspotted(sessions, day, coaches)
  return {
    waitedIn: (ids: Iterable<string>) => [...ids].reduce((sum, id) => sum + waitedBy(day, id), 0),
    aloneIn: (ids: Iterable<string>) =>
      missed.filter(({ session }) => [...ids].includes(session)).length,
  }
}

test('a group laid side by side waits as it says, nobody else longer, and nobody who has begun is moved', () => {
  const sums = { before: 0, after: 0 }
  fc.assert(
    fc.property(hours, fc.constantFrom(undefined, 1, 2), (guests, coaches) => {
      const room = { ...ROOM, coaches }
      const group = new Set(guests.slice(0, -1).map(({ id }) => id))
      const { changes, before, after } = arrangedTogether(group, guests, room)
      const so = changes.reduce<readonly FloorGuest[]>(guestsAfter, guests)
      const [was, is] = [hourOf(guests, room.coaches), hourOf(so, room.coaches)] as const
      for (const [hour, told] of [
        [was, before],
        [is, after],
      ] as const) {
        expect(hour.waitedIn(group)).toBeCloseTo(told.waited, 6)
        expect(hour.aloneIn(group)).toBe(told.unspotted)
      }
      for (const { id } of guests.filter(one => !group.has(one.id))) {
        expect(is.waitedIn([id])).toBeLessThanOrEqual(was.waitedIn([id]) + 1e-6)
        expect(is.aloneIn([id])).toBeLessThanOrEqual(was.aloneIn([id]))
      }
      for (const change of changes) {
        expect(change.kind).not.toBe('stand_in')
        for (const session of sessionsOf(change)) {
          expect(group.has(session)).toBe(true)
          expect(guests.find(({ id }) => id === session)?.isBegun).toBe(false)
        }
      }
      sums.before += before.waited
      sums.after += after.waited
    }),
    { numRuns: 12 },
  )
  expect(sums.after).toBeLessThan(sums.before / 2)
})

test('who waits for nobody is left as she is', () => {
  const two = [guest('a', 0, 0), guest('b', 1, 1)]
  const apart = arrangedTogether(new Set(['a', 'b']), two, { stations: {}, hours: ALWAYS_OPEN })
  const nothing = { waited: 0, unspotted: 0 }
  expect(apart).toEqual({ changes: [], before: nothing, after: nothing })
  expect(GROUP_SIZE).toEqual({ least: 2, most: 6 })
})

describe('one coach and two who press to failure at once', () => {
  const session = written('push', 'bench_press_barbell 3 x 8, rir 0').sessions[0]!
  const pressing = (id: string): FloorGuest => ({ ...guest(id, 0, 0), content: session })
  const two = [pressing('a'), pressing('b')]
  const both = new Set(['a', 'b'])
  const plenty = { stations: {}, hours: ALWAYS_OPEN }

  test('start apart, so that each has her at every such set', () => {
    const { changes, before, after } = arrangedTogether(both, two, { ...plenty, coaches: 1 })
    expect(before).toEqual({ waited: 0, unspotted: 3 })
    expect(after).toEqual({ waited: 0, unspotted: 0 })
    expect(changes.map(({ kind }) => kind)).toEqual(['start'])
  })

  test.each([
    ['two coaches', 2],
    ['nobody said how many', undefined],
  ])('%s: nothing to lay', (_, coaches) => {
    expect(arrangedTogether(both, two, { ...plenty, coaches }).changes).toEqual([])
  })

  test('whoever has begun stays, and the other gives way', () => {
    const [a, b] = two
    const { changes } = arrangedTogether(both, [{ ...a!, isBegun: true }, b!], {
      ...plenty,
      coaches: 1,
    })
    expect(changes.flatMap(sessionsOf)).toEqual(['b'])
  })

  test('nobody outside loses the coach to it, though that would do for the group', () => {
    // Half an hour earlier, where the first of the group would go, somebody else is spotted.
    const other = { ...pressing('x'), start: 16.5 * HOUR, usual: 16.5 * HOUR }
    const guests = [...two, other]
    expect(hourOf(guests, 1, {}).aloneIn(['x'])).toBe(0)
    const { changes, after } = arrangedTogether(both, guests, { ...plenty, coaches: 1 })
    expect(after.unspotted).toBe(0)
    const so = changes.reduce<readonly FloorGuest[]>(guestsAfter, guests)
    expect(hourOf(so, 1, {}).aloneIn(['x'])).toBe(0)
  })

  test('who is not of the group keeps hers: the group gives way', () => {
    const { changes } = arrangedTogether(new Set(['b', 'c']), [...two, pressing('c')], {
      ...plenty,
      coaches: 1,
    })
    expect(changes.length).toBeGreaterThan(0)
    for (const change of changes) expect(sessionsOf(change)).not.toContain('a')
  })
})
