import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, daysBetween, isoWeekday, isPlainDate, mondayFrom, plainDate } from '.'

describe('calendar days', () => {
  test.each([
    ['2026-02-28', true],
    ['2026-02-29', false],
    ['2028-02-29', true],
    ['2026-13-01', false],
    ['26-01-01', false],
    ['', false],
  ])('“%s” is one: %s', (text, is) => expect(isPlainDate(text)).toBe(is))

  test.each([
    ['2026-11-30', '2026-11-30'],
    ['2026-12-01', '2026-12-07'],
    ['2026-11-28', '2026-11-30'],
    ['2026-11-29', '2026-11-30'],
    ['2026-12-31', '2027-01-04'],
    ['2028-02-29', '2028-03-06'],
  ])('from %s the next Monday is %s', (day, monday) =>
    expect(mondayFrom(plainDate(day))).toBe(monday),
  )

  test('the next Monday is a Monday, never behind and less than a week ahead', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), days => {
        const day = addDays(plainDate('2000-01-01'), days)
        const monday = mondayFrom(day)
        expect(isoWeekday(monday)).toBe(1)
        expect(daysBetween(day, monday)).toBeGreaterThanOrEqual(0)
        expect(daysBetween(day, monday)).toBeLessThan(7)
      }),
    )
  })
})
