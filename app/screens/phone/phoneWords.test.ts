import { expect, test } from '@jest/globals'
import { plainDate } from '#core/base'
import { smallSheet } from '../../../core/testing/sheets'
import * as words from './phoneWords'

test.each([
  [20, '20'],
  [22.5, '22.5'],
  [0, '0'],
  [12.25, '12.25'],
])('%d is shown as %s', (value, shown) => expect(words.phoneNumber(value)).toBe(shown))

test.each([
  [0, '0:00'],
  [125, '2:05'],
  [59.6, '1:00'],
  [-3, '0:00'],
])('%d seconds on the clock are %s', (seconds, shown) =>
  expect(words.phoneClock(seconds)).toBe(shown),
)

test.each([
  ['2026-04-03', 'Friday 3 Apr', '3 Apr'],
  ['2028-02-29', 'Tuesday 29 Feb', '29 Feb'],
  ['2027-01-01', 'Friday 1 Jan', '1 Jan'],
])('%s is %s, in little room %s', (day, long, short) =>
  expect([words.phoneDay(day), words.phoneDay(day, 'short')]).toEqual([long, short]),
)

test.each([
  [null, ''],
  [undefined, ''],
  [{ start: '17:30', usual: '17:30' }, ' at 17:30'],
  [{ start: '17:45', usual: '17:30' }, ' at 17:45 instead of 17:30'],
])('a start of %j is told as “%s”', (start, told) => expect(words.startWords(start)).toBe(told))

test.each([
  [{ load: { amount: 27.5, unit: 'kg' }, reps: 12, seconds: null }, '27.5 × 12'],
  [{ load: null, reps: 12, seconds: null }, '12 reps'],
  [{ load: null, reps: null, seconds: 30 }, '30 s'],
  [{ load: { amount: 20, unit: 'lb' }, reps: null, seconds: null }, '20 lb'],
  [{ load: null, reps: null, seconds: null }, '–'],
] as const)('what was done: %j is %s', (done, shown) => expect(words.doneWords(done)).toBe(shown))

test.each([
  ['working', 3, 'Set 3'],
  ['warmup', 1, 'Warm-up 1'],
  ['primer', 1, 'Primer 1'],
  ['ramp', 2, 'Build-up 2'],
] as const)('a %s set %d is called %s', (role, number, name) => {
  const plan = { role, number, parts: [], onlyIf: null }
  expect(words.setName({ plan } as never)).toBe(name)
})

test.each([
  [1, 'left', 1, 'Set 2'],
  [2, 'left', 1, 'Set 2, left'],
  [2, 'right', 1, 'Set 2, right'],
  [3, null, 2, 'Set 2, part 2'],
])('of %i parts, side %s, stage %i: %s', (count, side, stage, said) => {
  const turn = { plan: { role: 'working', number: 2 }, parts: Array.from({ length: count }) }
  expect(words.partName(turn as never, { part: { side, stage } } as never)).toBe(said)
})

test('a joint has the name it has everywhere', () =>
  expect(words.JOINT_NAMES.low_back).toBe('low back'))

test.each([
  [225, 12, 'Load: 225 kg is far from the usual 22.5 kg.'],
  [22.5, 112, 'Reps: 112 is far from the usual 11.5.'],
  [22.5, 4, null],
  [null, 12, null],
])('%s kg for %s reps against last time: %s', (amount, count, said) => {
  const sets = [12, 11].map(reps => ({ amount: 22.5, count: reps, rir: 1 }))
  const movement = smallSheet().exercises[0]!
  const last = { on: plainDate('2026-04-01'), sets }
  expect(words.farFromLast({ ...movement, last }, amount, count)).toBe(said)
  expect(words.farFromLast(movement, amount, count)).toBeNull()
})

test.each([
  [24, 22.5, null],
  [25, 22.5, 'Load: 25 kg is more than a tenth above the 22.5 of last time.'],
  [25, 25, null],
  [25, null, null],
])('%s kg where %s was suggested: %s', (amount, suggested, said) => {
  const sets = [12, 11].map(reps => ({ amount: 22.5, count: reps, rir: 1 }))
  const movement = { ...smallSheet().exercises[0]!, last: { on: plainDate('2026-04-01'), sets } }
  expect(words.farFromLast(movement, amount, 12, suggested)).toBe(said)
})

test.each([
  [30, 27.5, true],
  [30, 30, false],
  [30, 32.5, false],
  [null, 27.5, false],
])('from %s kg to %s a load that is to hold is asked about: %s', (before, amount, asked) =>
  expect(words.fallOf(before, amount, 'kg') !== null).toBe(asked),
)
