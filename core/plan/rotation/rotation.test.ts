import { expect, test } from '@jest/globals'
import { addDays, daysBetween, isoWeekday, plainDate } from '../../base'
import { day, planOf, REST_DAY, straight } from '../../testing/notation'
import { canStayOnWeekdays, daySlots, placeOn } from './rotation'

const start = plainDate('2026-03-27')
const { rotation } = planOf(day(straight('cable_curl', 3, 10, 1)), REST_DAY, REST_DAY)

test('a rotation that floats drifts through the calendar, clock changes included', () => {
  expect(placeOn(3, start, plainDate('2026-03-31'))).toEqual({ pass: 1, day: 1 })
  expect(placeOn(3, start, plainDate('2026-03-26'))).toBeNull()
})

test('only whole weeks stay on their weekdays', () => {
  expect([5, 7, 8, 14].map(canStayOnWeekdays)).toEqual([false, true, false, true])
})

test('calendar days', () => {
  expect([
    addDays(start, -27),
    daysBetween(start, plainDate('2026-03-30')),
    isoWeekday(plainDate('2026-03-29')),
  ]).toEqual(['2026-02-28', 3, 7])
})

test('a day lists its exercises in order', () => {
  expect(daySlots(rotation.days[0] ?? REST_DAY).map(held => held.exercise)).toEqual(['cable_curl'])
})
