import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DAYS_PER_WEEK } from '../../base'
import type { RotationDay } from '../rotation'
import { written } from '../../testing/shorthandPlans'
import { isTraining, onClientDays } from '.'

const day = (name: string): RotationDay => ({
  ...written('upper', 'bench_press_dumbbell 3 x 8, rir 2'),
  label: name,
  minuteLimit: 60,
})
const REST: RotationDay = { role: 'rest', sessions: [] }
const on = (...weekdays: readonly number[]) =>
  weekdays.map(weekday => ({ weekday, minutes: 40 + weekday, start: '17:30' }))
const names = (days: readonly RotationDay[]) =>
  days.map(({ label, minuteLimit }) => (label ? `${label} ${minuteLimit}` : '-'))
const UPPER_LOWER = [day('A'), day('B'), REST, day('C'), day('D'), REST, REST]

describe('a rotation on a client’s days', () => {
  test('four days, twice upper and lower, land on Tue Thu Sat Sun with the minutes there', () => {
    const { days, unplaced, isMoved } = onClientDays(UPPER_LOWER, on(2, 4, 6, 7), 1)
    expect(names(days)).toEqual(['-', 'A 42', '-', 'B 44', '-', 'C 46', 'D 47'])
    expect([unplaced, isMoved]).toEqual([[], true])
  })
  test('the week begins on the day the block does', () =>
    expect(names(onClientDays(UPPER_LOWER, on(2, 4, 6, 7), 6).days)).toEqual([
      'A 46',
      'B 47',
      '-',
      'C 42',
      '-',
      'D 44',
      '-',
    ]))
  test('fewer sessions than days take those farthest apart', () =>
    expect(names(onClientDays([day('A'), day('B')], on(1, 2, 3, 4, 5), 1).days)).toEqual([
      'A 41',
      '-',
      '-',
      'B 44',
      '-',
      '-',
      '-',
    ]))
  test('what finds no day is told, in the order of the rotation', () => {
    const { days, unplaced } = onClientDays(UPPER_LOWER, on(1, 4), 1)
    expect(names(days).filter(name => name !== '-')).toEqual(['A 41', 'B 44'])
    expect(unplaced.map(({ label }) => label)).toEqual(['C', 'D'])
  })
  test('where it lies on the client’s days already nothing moves but the minutes', () => {
    const { days, isMoved } = onClientDays(UPPER_LOWER, on(1, 2, 4, 5, 7), 1)
    expect(isMoved).toBe(false)
    expect(names(days)).toEqual(['A 41', 'B 42', '-', 'C 44', 'D 45', '-', '-'])
  })
  test('eight days stay eight where every day is free, with the least of the minutes', () => {
    const eight = [...UPPER_LOWER, day('E')]
    const { days, isMoved } = onClientDays(eight, on(1, 2, 3, 4, 5, 6, 7), 1)
    expect(isMoved).toBe(false)
    expect(names(days)).toEqual(['A 41', 'B 41', '-', 'C 41', 'D 41', '-', '-', 'E 41'])
  })
  test('nothing known of the days changes nothing', () =>
    expect(onClientDays(UPPER_LOWER, [], 1)).toEqual({
      days: UPPER_LOWER,
      unplaced: [],
      isMoved: false,
    }))

  const week = fc.array(fc.constantFrom(REST, day('A'), day('B')), { minLength: 2, maxLength: 10 })
  const some = fc
    .uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 6 })
    .map(days => on(...days))
  test('whatever comes: no session is lost, and none stands on a day that is not the client’s', () => {
    fc.assert(
      fc.property(week, some, fc.integer({ min: 1, max: 7 }), (wanted, available, startsOn) => {
        const { days, unplaced } = onClientDays(wanted, available, startsOn)
        const training = days.filter(isTraining).length
        expect(training + unplaced.length).toBe(wanted.filter(isTraining).length)
        expect(unplaced.length === 0 || training === available.length).toBe(true)
        days.forEach((one, at) => {
          if (!isTraining(one)) return
          const weekday = ((startsOn - 1 + at) % DAYS_PER_WEEK) + 1
          expect(available.map(free => free.weekday)).toContain(weekday)
        })
      }),
    )
  })
})
