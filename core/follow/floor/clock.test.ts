import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../../base'
import { type ClientStarts, clockOf, knownStart, secondsOf, startOn } from './clock'
import { ALWAYS_OPEN, hoursOf, isClosedOn } from './house'
import { felt } from './view'

const THURSDAY = plainDate('2026-04-02')
const FRIDAY = plainDate('2026-04-03')
const starts = (more: Partial<ClientStarts> = {}): ClientStarts => ({
  usual: new Map([
    [4, '17:30'],
    [6, '09:00'],
  ]),
  agreed: {},
  ...more,
})

describe('clocks', () => {
  test.each([
    [0, '00:00'],
    [18 * 3600 + 15 * 60 + 31, '18:16'],
    [24 * 3600 + 120, '00:02'],
  ])('%d seconds are %s', (seconds, clock) => {
    expect(clockOf(seconds)).toBe(clock)
  })

  test('are read as they are written, any minute of the day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 24 * 60 - 1 }), minute => {
        expect(secondsOf(clockOf(minute * 60))).toBe(minute * 60)
      }),
    )
  })
})

describe('when a client begins', () => {
  test.each([
    ['as her weekday has it', starts(), THURSDAY, { start: '17:30', usual: '17:30' }],
    [
      'on a day she has no hour for, as on another',
      starts(),
      FRIDAY,
      { start: '17:30', usual: '17:30' },
    ],
    [
      'as agreed for the date',
      starts({ agreed: { [THURSDAY]: '18:05' } }),
      THURSDAY,
      { start: '18:05', usual: '17:30' },
    ],
    [
      'as usual where something was agreed for another date',
      starts({ agreed: { [FRIDAY]: '18:05' } }),
      THURSDAY,
      { start: '17:30', usual: '17:30' },
    ],
    [
      'in the early evening where nothing was ever said',
      starts({ usual: new Map() }),
      THURSDAY,
      { start: '17:30', usual: '17:30' },
    ],
  ])('%s', (_, given, on, expected) => {
    expect(startOn(given, on)).toEqual(expected)
  })

  test('a second session of a day comes six hours later', () => {
    const early = starts({ usual: new Map([[4, '09:30']]), agreed: { [THURSDAY]: '10:00' } })
    expect(startOn(early, THURSDAY, 1)).toEqual({ start: '16:00', usual: '15:30' })
  })
})

describe('the house', () => {
  test('that says nothing is always open; what it says is seconds of the day', () => {
    expect(hoursOf({})).toEqual(ALWAYS_OPEN)
    expect(hoursOf({ opens: '06:00' })).toEqual({ opens: 21_600, closes: Infinity })
    expect(hoursOf({ closes: '21:30' })).toEqual({ opens: 0, closes: 77_400 })
  })

  test('is closed on the days it names', () => {
    expect(isClosedOn({}, THURSDAY)).toBe(false)
    expect(isClosedOn({ closed: [FRIDAY] }, THURSDAY)).toBe(false)
    expect(isClosedOn({ closed: [FRIDAY] }, FRIDAY)).toBe(true)
  })

  test('a wait under half a minute is not felt', () => {
    const wait = (seconds: number) => ({
      session: 'a',
      part: 0,
      from: 0,
      seconds,
      station: 'cable' as const,
      holders: [],
    })
    expect(felt({ waits: [wait(29), wait(30), wait(31)] }).map(({ seconds }) => seconds)).toEqual([
      30, 31,
    ])
  })
})

test('a client is told a start only where somebody said one', () => {
  const agreed = starts({ agreed: { [FRIDAY]: '18:00' } })
  expect([THURSDAY, FRIDAY].map(on => knownStart(agreed, on)?.start)).toEqual(['17:30', '18:00'])
  expect(knownStart(starts(), FRIDAY)).toBeNull()
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 1 }), (days, place) => {
      const on = addDays(THURSDAY, days)
      const told = knownStart(agreed, on, place)
      if (told) expect(told).toEqual(startOn(agreed, on, place))
    }),
  )
})
