import { afterEach, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, plainDate } from '../base'
import { DATE_NAMES } from './dateNames'
import { daySentence, formatWholeDay, readDay } from './readDay'
import { DATE_LANGUAGES, DATE_ORDERS, USUAL_WRITING, writeAs, type Writing } from './writing'

const anyDate = fc
  .integer({ min: 0, max: 20_000 })
  .map(days => addDays(plainDate('2000-01-01'), days))
const TODAY = plainDate('2026-11-28')
const as = (more: Partial<Writing>) => writeAs(() => ({ ...USUAL_WRITING, ...more }))
afterEach(() => writeAs(() => undefined))
const read = (text: string, today = TODAY) => {
  const found = readDay(text, today)
  return found.ok ? found.value : found.error
}

describe('a day as it is typed', () => {
  test.each([
    ['2026-11-28', '2026-11-28'],
    ['Sat 2026-11-28', '2026-11-28'],
    ['28 Nov', '2026-11-28'],
    ['28 november', '2026-11-28'],
    ['Sat 28 Nov 2026', '2026-11-28'],
    ['Nov 28', '2026-11-28'],
    ['Sat Nov 28, 2026', '2026-11-28'],
    ['  1 mar ', '2027-03-01'],
    ['mar 1 mar', '2027-03-01'],
    ['30 Jun', '2026-06-30'],
    ['28.11.', '2026-11-28'],
    ['28.11.26', '2026-11-28'],
    ['3/12', '2026-12-03'],
    ['12/31', '2026-12-31'],
    ['3/12/2027', '2027-12-03'],
    ['Sat 3/12', '2026-12-03'],
    ['29 Feb', '2028-02-29'],
    ['29 Feb 2028', '2028-02-29'],
    ['today', '2026-11-28'],
    ['Yesterday', '2026-11-27'],
    ['tomorrow', '2026-11-29'],
    ['+3', '2026-12-01'],
    ['-28', '2026-10-31'],
    ['5. März', '2027-03-05'],
    ['14 août', '2026-08-14'],
    ['30 Feb', 'no_such_day'],
    ['29 Feb 2027', 'no_such_day'],
    ['31.4.', 'no_such_day'],
    ['2026-13-01', 'no_such_day'],
    ['28', 'unreadable'],
    ['', 'unreadable'],
    ['soon', 'unreadable'],
    ['Nov', 'unreadable'],
    ['28 Nov 20 26', 'unreadable'],
    ['2026 Nov 28', 'unreadable'],
    ['1 2 3 4', 'unreadable'],
    ['28 Foo', 'unreadable'],
    ['28 Nov 26', 'unreadable'],
  ])('%s is %s', (text, day) => expect(read(text)).toBe(day))

  test('figures are read as the reader has dates written', () => {
    as({ dates: 'month_day' })
    expect(read('3/12/2027')).toBe('2027-03-12')
    expect(read('13/12/2027')).toBe('2027-12-13')
    expect(read('3.12.2027')).toBe('2027-12-03')
  })
  test('a year that is not said is the nearest one, at the turn of the year too', () => {
    expect(read('2 Jan', plainDate('2026-12-30'))).toBe('2027-01-02')
    expect(read('30 Dec', plainDate('2027-01-02'))).toBe('2026-12-30')
  })
  test('what a field shows is read as the day it is, in every form and language', () => {
    fc.assert(
      fc.property(
        anyDate,
        fc.constantFrom(...DATE_ORDERS),
        fc.constantFrom(...DATE_LANGUAGES),
        (date, dates, language) => {
          as({ dates, language })
          expect([language, formatWholeDay(date), read(formatWholeDay(date))]).toEqual([
            language,
            formatWholeDay(date),
            date,
          ])
        },
      ),
    )
  })
  test('every month of every language is read by its own name', () => {
    for (const language of DATE_LANGUAGES) {
      as({ language })
      DATE_NAMES[language].months.forEach((month, at) =>
        expect([language, month, read(`5 ${month} 2027`)]).toEqual([
          language,
          month,
          `2027-${String(at + 1).padStart(2, '0')}-05`,
        ]),
      )
    }
  })
  test('without a year it is never more than half a year away', () => {
    fc.assert(
      fc.property(anyDate, fc.integer({ min: -180, max: 180 }), (today, away) => {
        const day = addDays(today, away)
        if (day.endsWith('02-29')) return
        expect(read(formatWholeDay(day).split(' ').slice(1, 3).join(' '), today)).toBe(day)
      }),
    )
  })
  test('what cannot be read is told with the form it may have', () => {
    expect(daySentence('unreadable', 'soon', TODAY)).toBe(
      '“soon” is no day. Write it like Sat 28 Nov 2026, or choose it in the calendar.',
    )
    expect(daySentence('no_such_day', '30 Feb', TODAY)).toContain('is not in the calendar')
  })
})
