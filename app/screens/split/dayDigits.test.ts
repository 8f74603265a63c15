import { expect, test } from '@jest/globals'
import { dayDigits, dayFromDigits } from './dayDigits'

test('two digits in a row name a day past nine', () => {
  expect(dayFromDigits('', 1, 12)).toEqual({ day: 0, typed: '1' })
  expect(dayFromDigits('1', 2, 12)).toEqual({ day: 11, typed: '' })
  expect(dayFromDigits('1', 4, 8)).toEqual({ day: 3, typed: '4' })
  expect(dayFromDigits('', 9, 7)).toEqual({ day: null, typed: '' })
})

test('digits with a pause between them are days of their own', () => {
  let now = 0
  const heard = dayDigits(
    () => 12,
    () => now,
  )
  expect(heard(1)).toBe(0)
  now += 599
  expect(heard(1)).toBe(10)
  now += 100
  expect(heard(1)).toBe(0)
  now += 600
  expect(heard(1)).toBe(0)
})
