import { expect, test } from '@jest/globals'
import { isTypedSet, readTypedSet } from './typedSet'

const part = (count: number, amount: number | null, more = {}) => ({
  count,
  amount,
  rir: null,
  isRirOpen: false,
  lapses: [],
  ...more,
})

test.each([
  ['6@20, drop 5@16', [part(6, 20), part(5, 16)]],
  ['6@20,5@16', [part(6, 20), part(5, 16)]],
  ['6 @ 22,5, drop 5 @ 17,5', [part(6, 22.5), part(5, 17.5)]],
  ['8@30 r1, pause 3', [part(8, 30, { rir: 1 }), part(3, 30)]],
  ['8@30 4+ left', [part(8, 30, { rir: 4, isRirOpen: true })]],
  ['10@30 r0 helped', [part(10, 30, { rir: 0, lapses: ['helped'] })]],
  ['10 cut short and loose', [part(10, null, { lapses: ['cut_short', 'loose'] })]],
  ['12@10kg then 8@7kg', [part(12, 10), part(8, 7)]],
  ['5+3', [part(5, null), part(3, null)]],
  ['7.5@20', [part(7.5, 20)]],
])('%s', (text, expected) => {
  expect(isTypedSet(text)).toBe(true)
  expect(readTypedSet(text)).toEqual({ ok: true, value: expected })
})

test.each(['12', ' 8 ', '7.5', '27,5', '4+'])('%s is a plain number', text => {
  expect(isTypedSet(text)).toBe(false)
})

test.each([
  ['6@20, sideways 5@16', 'sideways 5@16'],
  ['6@', '6@'],
  ['six@20', 'six@20'],
  ['6@9999', '600 at most'],
  ['900@10', '150 at most'],
  ['6@20 r11', 'Reps left may be 10 at most'],
  [Array(14).fill('1@5').join(', '), '12 parts'],
  [', ,', 'not read'],
])('%s tells what is wrong: %s', (text, words) => {
  const read = readTypedSet(text)
  expect(read.ok ? read.value : read.error).toEqual(expect.stringContaining(words))
})
