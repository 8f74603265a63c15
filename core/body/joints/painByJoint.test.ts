import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { jointCeiling, jointsReturning, painByJoint, type PlacedPainReport } from '.'
import { defaultContext } from '../../plan/method'
import { painNotices } from '../../words'

const report = (
  atHour: number,
  session: number,
  more: Partial<PlacedPainReport> = {},
): PlacedPainReport => ({ joint: 'wrist', side: 'left', atHour, session, ...more })

test.each([
  { name: 'no reports', reports: [], levels: {} },
  { name: 'a calm joint says nothing', reports: [report(0, 0)], levels: {} },
  {
    name: 'each joint by itself',
    reports: [report(0, 4), report(1, 8, { joint: 'shoulder' })],
    levels: { wrist: 'hold', shoulder: 'stop' },
  },
  {
    name: 'the worse side counts',
    reports: [report(0, 1), report(1, 5, { side: 'right' })],
    levels: { wrist: 'swap' },
  },
  {
    name: 'five twice in a row on two sides is no stop',
    reports: [report(0, 5), report(1, 5, { side: 'right' })],
    levels: { wrist: 'swap' },
  },
  {
    name: 'both sides count for each',
    reports: [report(0, 5), report(24, 5, { side: 'both' })],
    levels: { wrist: 'stop' },
  },
  {
    name: 'the order of entry does not matter',
    reports: [report(60, 0), report(0, 4), report(110, 1)],
    levels: { wrist: 'note' },
  },
])('$name', ({ reports, levels }) => expect(painByJoint(reports)).toEqual(levels))

test('a clearance answers what came before it, and nothing after', () => {
  const stopped = [report(0, 8)]
  expect(painByJoint(stopped, [{ joint: 'wrist', atHour: 24 }])).toEqual({})
  expect(painByJoint(stopped, [{ joint: 'shoulder', atHour: 24 }])).toEqual({ wrist: 'stop' })
  expect(painByJoint([...stopped, report(48, 5)], [{ joint: 'wrist', atHour: 24 }])).toEqual({
    wrist: 'swap',
  })
})

test('a worse report never brings a joint down', () => {
  const order = ['none', 'note', 'hold', 'swap', 'stop']
  const reports = fc.array(
    fc
      .record({
        atHour: fc.integer({ min: 0, max: 900 }),
        session: fc.integer({ min: 0, max: 10 }),
      })
      .map(({ atHour, session }) => report(atHour, session)),
    { minLength: 1, maxLength: 6 },
  )
  fc.assert(
    fc.property(reports, all => {
      const last = all.reduce((a, b) => (b.atHour >= a.atHour ? b : a))
      const worse = all.map(one => (one === last ? { ...one, session: 10 } : one))
      expect(order.indexOf(painByJoint(worse).wrist ?? 'none')).toBeGreaterThanOrEqual(
        order.indexOf(painByJoint(all).wrist ?? 'none'),
      )
    }),
  )
})

describe('the way back after a clearance (J-11)', () => {
  const WEEK = 7 * 24
  const stop = report(0, 8)
  const cleared = { joint: 'wrist' as const, atHour: WEEK }
  const at = (hour: number) => jointsReturning([stop], [cleared], hour)
  test.each([
    [WEEK, { wrist: 1 }],
    [2 * WEEK - 1, { wrist: 1 }],
    [2 * WEEK, { wrist: 2 }],
    [6 * WEEK - 1, { wrist: 5 }],
    [6 * WEEK, {}],
  ])('at hour %d: %j', (hour, expected) => expect(at(hour)).toEqual(expected))
  test('only a stop has a way back, and only what was reported before the clearance', () => {
    expect(jointsReturning([report(0, 4)], [cleared], WEEK)).toEqual({})
    expect(jointsReturning([report(WEEK + 1, 8)], [cleared], WEEK + 2)).toEqual({})
    expect(jointsReturning([stop], [{ ...cleared, joint: 'shoulder' }], WEEK)).toEqual({})
  })
  test('the ceiling begins at half and grows by a tenth a week, the coach’s own too', () => {
    const of = (week: number | undefined, own = {}) =>
      jointCeiling(
        'wrist',
        defaultContext({
          trainingAgeMonths: 60,
          ...(week !== undefined && { returning: { wrist: week } }),
          ...own,
        }),
      )
    expect([undefined, 1, 2, 5].map(week => of(week).week)).toEqual(
      [70, 35, 42, 63].map(value => expect.closeTo(value, 9)),
    )
    expect(of(1, { jointCeilings: { wrist: { week: 40, session: 10 } } })).toEqual({
      week: 20,
      session: 5,
    })
  })
  test('every page that plans says so', () =>
    expect(painNotices({ returning: { wrist: 2 } }).map(({ words }) => words)).toEqual([
      'Wrist: cleared, week 2 of the way back; at most 60\u00a0% of its ceiling.',
    ]))
})
