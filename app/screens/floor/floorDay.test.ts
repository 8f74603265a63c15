import { describe, expect, test } from '@jest/globals'
import { clientId, plainDate } from '#core/base'
import type { FloorView } from '#shared/contracts/floor'
import { dayOn } from '#core/follow/floor'
import { floorNotices } from '#core/words'
import { laneEnd, mostAtOnce } from './floorDay'
import {
  busiest,
  clientLanes,
  dayParts,
  leftOf,
  partOfView,
  scaleOf,
  stationLanes,
} from './floorLanes'

type Seen = FloorView['sessions'][number]
const session = (id: string, name: string, start: string, more: Partial<Seen> = {}): Seen => ({
  id,
  client: clientId(id),
  name,
  what: 'Upper',
  start,
  usual: start,
  minuteLimit: null,
  isBegun: false,
  parts: [
    { before: 300, seconds: 900, needs: ['cable'], what: 'Cable row' },
    { before: 60, seconds: 600, needs: [], what: 'Hammer curl' },
  ],
  ...more,
})
const view = (more: Partial<FloorView> = {}): FloorView => ({
  on: plainDate('2026-04-02'),
  gear: {},
  stations: { cable: 1 },
  house: {},
  sessions: [
    session('marit', 'Marit Solheim-Okafor', '17:20'),
    session('joren', 'Joren Haakestad', '17:25', { usual: '17:30', minuteLimit: 35 }),
  ],
  ...more,
})

describe('a day of the floor', () => {
  test('says who waits when, for what and who has it, and how long sessions become', () => {
    const seen = view()
    const day = dayOn(seen)
    expect(floorNotices(seen, day)).toEqual([
      {
        session: 'joren',
        at: 63_000,
        clock: '17:30',
        words: 'waits about 10 min for the cable tower; Marit has it',
      },
    ])
    const [marit, joren] = seen.sessions.map(one => laneEnd(one, day))
    expect(marit).toEqual({ ends: '17:51', minutes: '31', waits: false, over: '' })
    expect(joren).toEqual({
      ends: '18:06',
      minutes: '31 + 10',
      waits: true,
      over: '6 over the limit',
    })
    expect(mostAtOnce(seen, day)).toBe(2)
  })

  test('says what is not there, and what is outside the hours', () => {
    const seen = view({ stations: { cable: 0 }, house: { opens: '17:22', closes: '17:50' } })
    expect(
      floorNotices(seen, dayOn(seen)).map(({ session: who, words }) => `${who} ${words}`),
    ).toEqual([
      'marit needs the cable tower, and there is none',
      'marit begins before 17:22, when it opens',
      'joren needs the cable tower, and there is none',
      'joren ends after 17:50, when it closes',
    ])
    const closed = view({ stations: {}, house: { closed: [plainDate('2026-04-02')] } })
    expect(floorNotices(closed, dayOn(closed)).map(({ words }) => words)).toEqual([
      'the studio is closed',
      'the studio is closed',
    ])
  })
})

describe('lanes', () => {
  test('lie on one clock from half hour to half hour', () => {
    const seen = view()
    const scale = scaleOf(seen, dayOn(seen))
    expect(scale.ticks.map(({ clock }) => clock)).toEqual(['17:00', '17:30', '18:00', '18:30'])
    expect(leftOf(scale.from, scale)).toBe(0)
    expect(leftOf(scale.until, scale)).toBe(100)
  })

  test('of clients show the way, the wait and the work, end to end', () => {
    const seen = view()
    const day = dayOn(seen)
    const [, joren] = clientLanes(seen, day, scaleOf(seen, day))
    expect(joren?.about).toBe('Upper at 17:25, usually 17:30')
    expect(joren?.boxes.map(({ kind, label, station }) => `${kind} ${label} ${station}`)).toEqual([
      'way  ',
      'wait 10 min waits',
      'part Cable row Cable tower',
      'way  ',
      'part Hammer curl ',
    ])
    const boxes = joren?.boxes ?? []
    for (const [at, box] of boxes.slice(1).entries())
      expect(box.left).toBeCloseTo(boxes[at]!.left + boxes[at]!.width, 6)
  })

  test('of stations show who has one and who waits, never one on another', () => {
    const seen = view({ stations: { cable: 2 } })
    const three = { ...seen, sessions: [...seen.sessions, session('pia', 'Pia Holm', '17:25')] }
    const day = dayOn(three)
    const lanes = stationLanes(three, day, scaleOf(three, day))
    expect(lanes.map(({ name, about }) => `${name} ${about}`.trim())).toEqual([
      'Cable tower 2 there',
      '',
      '',
    ])
    for (const { boxes } of lanes)
      for (const [at, box] of boxes.slice(1).entries())
        expect(box.left).toBeGreaterThanOrEqual(boxes[at]!.left + boxes[at]!.width - 1e-6)
    expect(lanes.at(-1)?.boxes.map(({ kind, label }) => [kind, label])).toEqual([['wait', 'Pia']])
  })
})

describe('parts of a day', () => {
  test('are told by the hours nobody is there, the busiest first looked at', () => {
    const seen = view({
      sessions: [
        session('pia', 'Pia Holm', '07:00'),
        session('liv', 'Liv Adeyemi', '09:00'),
        ...view().sessions,
      ],
    })
    const day = dayOn(seen)
    const parts = dayParts(seen, day)
    expect(parts.map(({ name, sessions }) => `${name} ${sessions.join(' ')}`)).toEqual([
      'Morning, 07:00 pia',
      'Morning, 09:00 liv',
      'Evening marit joren',
    ])
    const evening = busiest(parts, day)!
    expect(evening.id).toBe('17:20')
    const shown = partOfView(seen, evening)
    expect(scaleOf(shown, day).ticks[0]?.clock).toBe('17:00')
    expect(stationLanes(seen, day, scaleOf(shown, day)).flatMap(({ boxes }) => boxes)).toHaveLength(
      3,
    )
  })
})

test('a set to failure under a bar while the only coach spots another is told, once a part', () => {
  const pressing = (id: string, name: string) =>
    session(id, name, '17:20', {
      parts: [
        {
          before: 60,
          seconds: 600,
          needs: [],
          what: 'Bench press, barbell',
          spots: [
            { at: 100, seconds: 40 },
            { at: 300, seconds: 40 },
          ],
        },
      ],
    })
  const seen = view({ sessions: [pressing('marit', 'Marit S'), pressing('joren', 'Joren H')] })
  expect(floorNotices(seen, dayOn(seen))).toEqual([])
  const alone = { ...seen, house: { coaches: 1 } }
  expect(floorNotices(alone, dayOn(alone)).map(({ session: who, words }) => [who, words])).toEqual([
    ['joren', 'nobody to spot bench press, barbell to failure; Marit is spotted then'],
  ])
  const two = { ...seen, house: { coaches: 2 } }
  expect(floorNotices(two, dayOn(two))).toEqual([])
})
