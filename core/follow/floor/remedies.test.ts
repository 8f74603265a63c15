import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { requireExercise } from '../../plan/catalogue'
import { checkPlan, findingKey } from '../../judge/checks'
import { sessionSlots } from '../../plan/session'
import { PLAIN_WEEKS, plainWeek } from '../../testing/plainPlans'
import { written } from '../../testing/shorthandPlans'
import { floorDay } from './day'
import {
  type FloorGuest,
  floorSessionOf,
  guestAfter,
  guestsAfter,
  planOnDay,
  sessionsOf,
  startsOf,
} from './guests'
import { ALWAYS_OPEN } from './house'
import { type FloorRemedy, remediesFor } from './remedies'
import { standInsAt, turnCost } from './remedyCosts'
import { type Stations, stationsFor } from './stations'
import { sumOfWaits, waitedBy } from './waits'

const HOUR = 3600
const MINUTE = 60

/** A session of a written week as somebody's on the floor. */
function guest(id: string, week: number, day: number, more: Partial<FloorGuest> = {}): FloorGuest {
  const { plan, context } = plainWeek(PLAIN_WEEKS[week % PLAIN_WEEKS.length]!, 24)
  const days = plan.rotation.days.flatMap(({ sessions }, at) =>
    sessions.map((content, place) => ({ day: at, place, content })),
  )
  const start = more.start ?? 17 * HOUR
  return {
    id,
    plan,
    context,
    isBegun: false,
    canMove: true,
    start,
    usual: start,
    ...days[day % days.length]!,
    ...more,
  }
}
const SCARCE: Stations = { cable: 1, bench: 1, rack: 1, preacher_bench: 1, dip_bars: 1 }

const someDay = fc
  .array(
    fc.record({
      week: fc.nat({ max: 30 }),
      day: fc.nat({ max: 6 }),
      start: fc.integer({ min: 0, max: 12 }).map(step => 17 * HOUR + step * 10 * MINUTE),
      isBegun: fc.boolean(),
    }),
    { minLength: 2, maxLength: 7 },
  )
  .map(all =>
    all.map(({ week, day, start, isBegun }, at) =>
      guest(`g${at}`, week, day, { start, isBegun: isBegun && at === 0 }),
    ),
  )

const dayOf = (guests: readonly FloorGuest[], stations = SCARCE) =>
  floorDay(guests.map(floorSessionOf), stations)
const after = (guests: readonly FloorGuest[], { change }: FloorRemedy) =>
  guestsAfter(guests, change)
/** Whoever waits longest. */
const longest = (guests: readonly FloorGuest[]) => {
  const day = dayOf(guests)
  return [...guests].sort((a, b) => waitedBy(day, b.id) - waitedBy(day, a.id))[0]!.id
}
const found = (one: FloorGuest) => checkPlan(planOnDay(one), one.context).length

describe('remedies of any day', () => {
  test('do what they say, to everybody, and touch nothing that has begun', () => {
    let offered = 0
    fc.assert(
      fc.property(someDay, guests => {
        const waiting = longest(guests)
        const now = dayOf(guests)
        for (const remedy of remediesFor(waiting, guests, SCARCE)) {
          offered += 1
          const then = dayOf(after(guests, remedy))
          expect(remedy.own).toEqual({
            before: waitedBy(now, waiting),
            after: waitedBy(then, waiting),
          })
          expect(remedy.all).toEqual({ before: sumOfWaits(now), after: sumOfWaits(then) })
          expect(remedy.ends.after).toBe(then.ends.get(remedy.change.session))
          for (const { id } of guests) {
            const said = remedy.others.find(({ session }) => session === id)?.seconds ?? 0
            if (id !== waiting)
              expect(waitedBy(then, id) - waitedBy(now, id)).toBeLessThanOrEqual(said + 1e-6)
          }
          expect(remedy.all.before - remedy.all.after).toBeGreaterThanOrEqual(MINUTE)
          for (const session of sessionsOf(remedy.change))
            expect(guests.find(({ id }) => id === session)?.isBegun).toBe(false)
        }
      }),
      { numRuns: 60 },
    )
    expect(offered).toBeGreaterThan(20)
  })

  test('stay within half an hour of the usual start and within the hours of the studio', () => {
    const hours = { opens: 16.75 * HOUR, closes: 19.5 * HOUR }
    fc.assert(
      fc.property(someDay, guests => {
        for (const { change, ends } of remediesFor(longest(guests), guests, SCARCE, hours)) {
          if (change.kind !== 'start') continue
          for (const { session, start } of startsOf(change)) {
            const { usual } = guests.find(({ id }) => id === session)!
            expect(Math.abs(start - usual)).toBeLessThanOrEqual(30 * MINUTE)
            expect(start).toBeGreaterThanOrEqual(hours.opens)
          }
          // Without waiting it would be over in time.
          expect(ends.after).toBeLessThanOrEqual(hours.closes + sumOfWaits(dayOf(guests)))
        }
      }),
      { numRuns: 40 },
    )
  })

  test('turn nothing round where a check finds more, and stand in with what needs no such station', () => {
    const kinds = new Set<string>()
    fc.assert(
      fc.property(someDay, guests => {
        const waiting = longest(guests)
        for (const remedy of remediesFor(waiting, guests, SCARCE)) {
          kinds.add(remedy.change.kind)
          const was = guests.find(({ id }) => id === remedy.change.session)!
          const is = guestAfter(was, remedy.change)
          const sets = (one: FloorGuest) => sessionSlots(one.content).map(({ id }) => id)
          if (remedy.change.kind === 'turn') {
            expect(found(is)).toBeLessThanOrEqual(found(was))
            expect([...sets(is)].sort()).toEqual([...sets(was)].sort())
            expect(sets(is)).not.toEqual(sets(was))
          }
          if (remedy.change.kind === 'stand_in') {
            const { slot } = remedy.change
            const at = (one: FloorGuest) => sessionSlots(one.content).find(({ id }) => id === slot)!
            const needs = (one: FloorGuest) =>
              stationsFor(requireExercise(one.context.catalogue, at(one).exercise).equipment)
            expect(at(is).exercise).not.toBe(at(was).exercise)
            expect(needs(was).some(kind => !needs(is).includes(kind))).toBe(true)
          }
        }
      }),
      { numRuns: 60 },
    )
    expect([...kinds].sort()).toEqual(['stand_in', 'start', 'turn'])
  })

  test('move two starts at once only where one alone leaves somebody waiting', () => {
    let pairs = 0
    fc.assert(
      fc.property(someDay, guests => {
        for (const id of guests.map(one => one.id))
          for (const { change, all } of remediesFor(id, guests, SCARCE)) {
            if (change.kind !== 'start' || !change.also) continue
            pairs += 1
            expect(change.also.session).not.toBe(change.session)
            // Neither start does as much without the other.
            for (const { session, start } of startsOf(change)) {
              const alone = guestsAfter(guests, { kind: 'start', session, start })
              expect(sumOfWaits(dayOf(alone))).toBeGreaterThan(all.after)
            }
          }
      }),
      { numRuns: 30, seed: 3 },
    )
    expect(pairs).toBeGreaterThan(0)
  })

  test('taken one after the other leave little waiting', () => {
    const sums = { before: 0, after: 0 }
    fc.assert(
      fc.property(someDay, guests => {
        let now = guests.map(one => ({ ...one, isBegun: false }))
        sums.before += sumOfWaits(dayOf(now))
        for (let step = 0; step < 20; step++) {
          const [best] = now
            .map(({ id }) => id)
            .sort((a, b) => waitedBy(dayOf(now), b) - waitedBy(dayOf(now), a))
            .flatMap(id => remediesFor(id, now, SCARCE).slice(0, 1))
          if (!best) break
          now = [...guestsAfter(now, best.change)]
        }
        sums.after += sumOfWaits(dayOf(now))
      }),
      { numRuns: 10, seed: 7 },
    )
    expect(sums.after / sums.before).toBeLessThan(0.3)
  })
})

describe('the edges', () => {
  test('nobody waits, nothing is offered', () => {
    expect(remediesFor('a', [guest('a', 0, 0)], SCARCE)).toEqual([])
    expect(remediesFor('nobody', [guest('a', 0, 0)], SCARCE)).toEqual([])
  })

  test('what there is none of is done on something else', () => {
    const guests = PLAIN_WEEKS.map((_, week) => guest('a', week, 0))
    const some = guests.find(one =>
      floorSessionOf(one).parts.some(({ needs }) => needs.includes('cable')),
    )!
    const [remedy] = remediesFor('a', [some], { cable: 0 }, ALWAYS_OPEN)
    expect(remedy?.change.kind).toBe('stand_in')
    expect(remedy!.lacks.after).toBeLessThan(remedy!.lacks.before)
  })

  test('who was moved before is brought back towards her hour before anybody else is moved', () => {
    const [content] = written('push', 'bench_press_barbell 4 x 8, rir 2').sessions
    const at = (id: string, usual: number) =>
      guest(id, 0, 0, { content: content!, start: 17 * HOUR, usual })
    const guests = [at('a', 17.5 * HOUR), at('b', 17 * HOUR)]
    const length = floorSessionOf(guests[0]!).parts.reduce(
      (sum, { before, seconds }) => sum + before + seconds,
      0,
    )
    // Either can begin ten minutes later and no more: for her that is nearer, for the other further off.
    const hours = { opens: 17 * HOUR, closes: 17 * HOUR + 10 * MINUTE + length }
    const [first] = remediesFor(longest(guests), guests, SCARCE, hours)
    expect(first?.change).toEqual({
      kind: 'start',
      session: 'a',
      start: 17 * HOUR + 10 * MINUTE,
    })
  })

  test('two who come at once and want one thing: the smaller way is offered first', () => {
    const [a, b] = [guest('a', 0, 0), guest('b', 0, 0)]
    const [first] = remediesFor(longest([a, b]), [a, b], SCARCE)
    expect(first?.change).toMatchObject({ kind: 'start' })
    expect(first?.own.after).toBeLessThan(first!.own.before)
  })
})

describe('what a way out costs, in every session of the plain weeks', () => {
  const guests = PLAIN_WEEKS.flatMap((_, week) =>
    Array.from({ length: 7 }, (__, at) => guest('a', week, at)),
  )
  const keysOf = (one: FloorGuest) => checkPlan(planOnDay(one), one.context).map(findingKey)

  /** Each grouping before each earlier one, and whether a check finds something then. */
  const comingBefore = (one: FloorGuest) => {
    const before = new Set(keysOf(one))
    return one.content.groupings.flatMap((grouping, at) =>
      one.content.groupings.slice(0, at).map(earlier => {
        const change = {
          kind: 'turn',
          session: one.id,
          slot: grouping.slots[0].id,
          before: earlier.slots[0].id,
        } as const
        return [change, keysOf(guestAfter(one, change)).some(key => !before.has(key))] as const
      }),
    )
  }

  test('a turn has a price just where no check finds what it did not before', () => {
    const seen = { priced: 0, refused: 0 }
    for (const one of guests)
      for (const [change, isNew] of comingBefore(one)) {
        expect(turnCost(one, change) === null).toBe(isNew)
        seen[isNew ? 'refused' : 'priced'] += 1
      }
    expect(seen.priced).toBeGreaterThan(20)
    expect(seen.refused).toBeGreaterThan(5)
  })

  test('what stands in needs no station of the kind, under whatever name of equipment', () => {
    const offered = new Set<string>()
    for (const one of guests)
      floorSessionOf(one).parts.forEach(({ needs }, part) => {
        for (const station of needs)
          for (const { change } of standInsAt(one, part, station)) {
            if (change.kind !== 'stand_in') continue
            const exercise = requireExercise(one.context.catalogue, change.exercise)
            expect(stationsFor(exercise.equipment)).not.toContain(station)
            offered.add(station)
          }
      })
    expect([...offered].sort()).toEqual(expect.arrayContaining(['bench', 'cable']))
  })

  test('whoever has a second session that day is offered no other start', () => {
    const day = (more: Partial<FloorGuest>) => ['a', 'b'].map(id => guest(id, 0, 0, { ...more }))
    const kinds = (all: readonly FloorGuest[]) =>
      remediesFor(longest(all), all, SCARCE).map(({ change }) => change.kind)
    expect(kinds(day({}))).toContain('start')
    expect(kinds(day({ canMove: false }))).not.toContain('start')
  })
})
