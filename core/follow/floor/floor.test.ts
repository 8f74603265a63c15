import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { EQUIPMENT } from '../../plan/catalogue'
import { sessionTime } from '../../plan/minutes'
import { PLAIN_WEEKS, plainWeek } from '../../testing/plainPlans'
import {
  type FloorDay,
  floorDay,
  floorParts,
  type FloorSession,
  parsedStations,
  type StationKind,
  STATION_KINDS,
  STATIONS,
  type Stations,
  stationsFor,
  stationsText,
} from '.'

const sumBy = <Item>(items: readonly Item[], of: (item: Item) => number) =>
  items.reduce((sum, item) => sum + of(item), 0)
const part = (seconds: number, needs: readonly StationKind[] = [], before = 0) => ({
  before,
  seconds,
  needs,
})
const session = (id: string, start: number, ...parts: FloorSession['parts']): FloorSession => ({
  id,
  start,
  parts,
})

describe('the day on one clock', () => {
  test('whoever comes second to the one cable waits until it is free, and ends later by that', () => {
    const day = floorDay(
      [
        session('marit', 0, part(600, ['cable'], 60), part(300, ['preacher_bench'])),
        session('joren', 120, part(240, ['cable']), part(100)),
      ],
      { cable: 1 },
    )
    expect(day.waits).toEqual([
      { session: 'joren', part: 0, from: 120, seconds: 540, station: 'cable', holders: ['marit'] },
    ])
    expect(day.ends.get('marit')).toBe(960)
    expect(day.ends.get('joren')).toBe(660 + 240 + 100)
  })

  test('of two towers the first that is free is taken; who came first has the first look', () => {
    const day = floorDay(
      [
        session('a', 0, part(100, ['cable'])),
        session('b', 0, part(50, ['cable'])),
        session('c', 10, part(20, ['cable'])),
        session('d', 5, part(20, ['cable'])),
      ],
      { cable: 2 },
    )
    expect(day.waits.map(({ session: who, seconds }) => [who, seconds])).toEqual([
      ['d', 45],
      ['c', 60],
    ])
  })

  test('what is done together holds both; meanwhile whoever needs one of them only goes ahead', () => {
    const day = floorDay(
      [
        session('a', 0, part(100, ['cable'])),
        session('b', 10, part(50, ['cable', 'bench'])),
        session('c', 20, part(30, ['bench'])),
      ],
      { cable: 1, bench: 1 },
    )
    expect(day.waits.map(({ session: who, seconds }) => [who, seconds])).toEqual([['b', 90]])
    expect(day.stretches.map(({ session: who, from }) => [who, from])).toEqual([
      ['a', 0],
      ['c', 20],
      ['b', 100],
    ])
  })

  test('what is left out is plenty; what there is none of is told and waited for by nobody', () => {
    const sessions = ['a', 'b'].map(id => session(id, 0, part(60, ['rack'])))
    expect(floorDay(sessions, {})).toMatchObject({ waits: [], lacks: [] })
    expect([...floorDay(sessions, { rack: 0 }).ends.values()]).toEqual([60, 60])
    expect(floorDay(sessions, { rack: 0 })).toMatchObject({
      waits: [],
      lacks: [
        { session: 'a', part: 0, station: 'rack' },
        { session: 'b', part: 0, station: 'rack' },
      ],
    })
  })

  test('a wait names who had the station when it was wanted, though another has it before one’s turn', () => {
    const day = floorDay(
      ['a', 'b', 'c'].map((id, at) => session(id, at, part(60, ['cable']))),
      { cable: 1 },
    )
    expect(day.waits.map(({ session: who, holders }) => [who, holders])).toEqual([
      ['b', ['a']],
      ['c', ['a']],
    ])
  })

  test('a session without parts ends when it begins', () => {
    expect([...floorDay([session('a', 30)], {}).ends]).toEqual([['a', 30]])
  })
})

const KINDS: readonly StationKind[] = ['cable', 'bench', 'rack']
const someSessions = fc
  .array(
    fc.record({
      start: fc.integer({ min: 0, max: 40 }),
      parts: fc.array(
        fc.record({
          before: fc.integer({ min: 0, max: 3 }),
          seconds: fc.integer({ min: 0, max: 12 }),
          needs: fc.subarray([...KINDS]),
        }),
        { maxLength: 5 },
      ),
    }),
    { maxLength: 7 },
  )
  .map(all => all.map((one, at): FloorSession => ({ id: `s${at}`, ...one })))
const someStations: fc.Arbitrary<Stations> = fc.record(
  { cable: fc.integer({ min: 1, max: 2 }), bench: fc.integer({ min: 1, max: 3 }) },
  { requiredKeys: ['cable'] },
)

/** The same, second by second: everybody looks around each second, whoever has waited longest first. */
function plainDay(sessions: readonly FloorSession[], stations: Stations) {
  const all = sessions.map(one => ({ one, part: 0, wants: one.start, until: -1, ends: -1 }))
  for (const each of all) each.wants = each.one.start + (each.one.parts[0]?.before ?? 0)
  const waited = new Map<string, number>()
  for (let now = 0; now < 2000; now++) {
    for (let isMoving = true; isMoving;) {
      isMoving = false
      for (const each of all)
        if (each.until >= 0 && each.until <= now) {
          each.part += 1
          each.wants = each.until + (each.one.parts[each.part]?.before ?? 0)
          each.until = -1
          isMoving = true
        }
      const queue = all
        .filter(({ wants, until, ends }) => wants <= now && until < 0 && ends < 0)
        .sort((a, b) => a.wants - b.wants || a.one.start - b.one.start)
      for (const each of queue) {
        const wanted = each.one.parts[each.part]
        if (!wanted) {
          each.ends = each.wants
          continue
        }
        const isFree = wanted.needs.every(
          kind =>
            all.filter(
              other => other.until >= 0 && other.one.parts[other.part]?.needs.includes(kind),
            ).length < (stations[kind] ?? Infinity),
        )
        if (!isFree) continue
        each.until = now + wanted.seconds
        waited.set(each.one.id, (waited.get(each.one.id) ?? 0) + now - each.wants)
        isMoving = true
      }
    }
  }
  return { ends: new Map(all.map(({ one, ends }) => [one.id, ends])), waited }
}

const waitedBy = ({ waits }: FloorDay, id: string) =>
  sumBy(
    waits.filter(wait => wait.session === id),
    ({ seconds }) => seconds,
  )

describe('any day', () => {
  test('comes out as it does second by second', () => {
    fc.assert(
      fc.property(someSessions, someStations, (sessions, stations) => {
        const [day, plain] = [floorDay(sessions, stations), plainDay(sessions, stations)]
        for (const { id } of sessions) {
          expect(day.ends.get(id)).toBe(plain.ends.get(id))
          expect(waitedBy(day, id)).toBe(plain.waited.get(id) ?? 0)
        }
      }),
    )
  })

  test('never has more at a station than there are, and everybody ends later by exactly what she waits', () => {
    fc.assert(
      fc.property(someSessions, someStations, (sessions, stations) => {
        const day = floorDay(sessions, stations)
        const needsOf = (id: string, at: number) =>
          sessions.find(one => one.id === id)?.parts[at]?.needs ?? []
        for (const { from } of day.stretches)
          for (const kind of KINDS) {
            const there = day.stretches.filter(
              one =>
                one.from <= from &&
                one.until > from &&
                needsOf(one.session, one.part).includes(kind),
            )
            expect(there.length).toBeLessThanOrEqual(stations[kind] ?? Infinity)
          }
        for (const { id, start, parts } of sessions)
          expect(day.ends.get(id)).toBe(
            start + sumBy(parts, ({ before, seconds }) => before + seconds) + waitedBy(day, id),
          )
      }),
    )
  })
})

describe('parts of a session', () => {
  test('add up to its time, and hold what their exercises need', () => {
    const kinds = new Set<StationKind>()
    for (const written of PLAIN_WEEKS) {
      const { plan, context } = plainWeek(written, 24)
      for (const planned of plan.rotation.days.flatMap(({ sessions }) => sessions)) {
        const parts = floorParts(planned, context)
        const { seconds } = sessionTime(planned, context)
        expect(sumBy(parts, ({ before, seconds: held }) => before + held)).toBeCloseTo(seconds, 6)
        expect(parts.length).toBe(planned.groupings.length)
        for (const { needs } of parts) needs.forEach(kind => kinds.add(kind))
      }
    }
    expect([...kinds]).toEqual(expect.arrayContaining(['bench', 'cable']))
  })

  test('every kind of equipment that is a station is one kind of station', () => {
    for (const piece of EQUIPMENT) expect(stationsFor([piece]).length).toBeLessThanOrEqual(1)
    expect(stationsFor(['dumbbell', 'incline_bench', 'cable'])).toEqual(['cable', 'bench'])
  })
})

describe('a line of stations', () => {
  test.each([
    ['cable tower 2, preacher bench 1, rack 2', { cable: 2, preacher_bench: 1, rack: 2 }],
    ['Racks x3; dip bars', { rack: 3, dip_bars: 1 }],
    ['benches 4, pull-up bars 2', { bench: 4, pull_up_bar: 2 }],
    ['cable 0', { cable: 0 }],
    ['', {}],
  ])('%s', (text, stations) => {
    expect(parsedStations(text)).toEqual({ ok: true, value: stations })
  })

  test.each([
    ['sauna 1', /“sauna 1” is not known\. Type cable tower, preacher bench/],
    ['rack 2, racks 1', /“racks 1” is there twice/],
    ['rack 500', /more than 50; check the digits/],
  ])('%s is refused in words', (text, words) => {
    const read = parsedStations(text)
    expect(read.ok ? '' : read.error).toMatch(words)
  })

  test('is written back as it reads, and every station can be typed as it is called', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom(...STATION_KINDS), fc.integer({ min: 0, max: 50 })),
        stations => {
          expect(parsedStations(stationsText(stations))).toEqual({ ok: true, value: stations })
        },
      ),
    )
    for (const kind of STATION_KINDS)
      expect(parsedStations(STATIONS[kind].name)).toEqual({ ok: true, value: { [kind]: 1 } })
  })
})
