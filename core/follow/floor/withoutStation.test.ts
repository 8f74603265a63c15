import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../../base'
import { requireExercise } from '../../plan/catalogue'
import { sessionSlots } from '../../plan/session'
import { PLAIN_WEEKS, plainWeek } from '../../testing/plainPlans'
import { outageWords, withoutStationLines, withoutStationWords } from '../../words'
import type { FloorGuest } from './guests'
import { isClosedOn, stationsOn, withOutage } from './house'
import { type StationKind, stationsFor } from './stations'
import { withoutStation } from './withoutStation'

const guests = PLAIN_WEEKS.filter((_, at) => at % 2 === 0).flatMap((week, at): FloorGuest[] => {
  const { plan, context } = plainWeek(week, 24)
  return plan.rotation.days.flatMap(({ sessions }, day) =>
    sessions.map((content, place) => ({
      id: `${at}.${day}`,
      plan,
      context,
      day,
      place,
      content,
      start: 0,
      usual: 0,
      isBegun: false,
      canMove: true,
    })),
  )
})
const needing = ({ content, context }: FloorGuest, station: StationKind) =>
  sessionSlots(content).filter(({ exercise }) =>
    stationsFor(requireExercise(context.catalogue, exercise).equipment).includes(station),
  )

describe('a session without a station', () => {
  test('needs it no more but for what is told; nothing else is touched', () => {
    const seen = new Set<string>()
    for (const station of ['cable', 'bench', 'dip_bars'] as const)
      for (const guest of guests) {
        const { guest: after, standIns, stuck } = withoutStation(guest, station)
        const before = needing(guest, station)
        expect(standIns.length + stuck.length).toBe(before.length)
        expect(needing(after, station).map(({ exercise }) => exercise)).toEqual(stuck)
        if (standIns.length > 0) seen.add(station)
        const own = new Set(before.map(({ id }) => id))
        const others = (one: FloorGuest) =>
          sessionSlots(one.content).filter(({ id }) => !own.has(id))
        expect(others(after)).toEqual(others(guest))
      }
    expect([...seen]).toContain('cable')
  })

  test('what has begun stays', () => {
    const begun = { ...guests.find(one => needing(one, 'cable').length > 0)!, isBegun: true }
    expect(withoutStation(begun, 'cable')).toEqual({ guest: begun, standIns: [], stuck: [] })
  })

  test('in words, with what a set counts and what the joints bear otherwise', () => {
    const nameOf = (exercise: string) => exercise
    const cost = {
      readiness: null,
      stress: [{ joint: 'wrist' as const, before: 1, after: 2 }],
      credits: [{ group: 'biceps' as const, before: 0.5, after: 1 }],
    }
    expect(
      withoutStationLines(
        plainDate('2026-04-10'),
        'Arms',
        { standIns: [{ from: 'a' as never, to: 'b' as never, cost }], stuck: ['c'] },
        nameOf,
      ),
    ).toEqual([
      'Fri 10 Apr, Arms: b for a (biceps direct, was at half; wrist medium stress, was low)',
      'Fri 10 Apr, Arms: nothing stands in for c. Change it by hand.',
    ])
    expect(withoutStationWords(3, 2, 0)).toBe('3 stand-ins in 2 sessions')
    expect(withoutStationWords(1, 1, 2)).toBe('1 stand-in in 1 session, 2 by hand')
    expect(withoutStationWords(0, 1, 1)).toBe('1 by hand')
  })
})

describe('what is out of use', () => {
  const [mon, wed, fri] = ['2026-04-06', '2026-04-08', '2026-04-10'].map(plainDate)
  const outage = { station: 'cable' as const, left: 1, from: wed!, to: fri! }
  test.each([
    ['before', mon!, 3],
    ['on the first day', wed!, 1],
    ['on the last', fri!, 1],
  ])('%s', (_, on, cable) => {
    expect(stationsOn({ cable: 3, rack: 2 }, { out: [outage] }, on)).toEqual({ cable, rack: 2 })
  })
  test('what is plenty is as many as are left; never more than there are', () => {
    expect(stationsOn({}, { out: [outage] }, wed!)).toEqual({ cable: 1 })
    expect(stationsOn({ cable: 1 }, { out: [{ ...outage, left: 4 }] }, wed!)).toEqual({ cable: 1 })
  })
  test('is kept once, and goes when it is over', () => {
    const once = withOutage({ coaches: 2 }, outage, mon!)
    expect(withOutage(once, { ...outage, left: 0 }, mon!).out).toEqual([{ ...outage, left: 0 }])
    const later = { ...outage, from: plainDate('2026-05-01'), to: plainDate('2026-05-02') }
    expect(withOutage(once, later, plainDate('2026-04-11'))).toEqual({ coaches: 2, out: [later] })
    expect(isClosedOn({ closed: [mon!] }, mon!)).toBe(true)
  })
  test('in words', () => {
    expect(outageWords('cable', 0, wed!, fri!)).toBe(
      'Cable tower: none left from Wed 8 Apr to Fri 10 Apr',
    )
    expect(outageWords('rack', 1, wed!, wed!)).toBe('Rack: 1 left on Wed 8 Apr')
  })
})
