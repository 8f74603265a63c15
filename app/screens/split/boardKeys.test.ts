import { describe, expect, test } from '@jest/globals'
import { boardIntent, dayFromDigits } from './boardKeys'

const press = (
  key: string,
  held: Partial<Record<'shiftKey' | 'ctrlKey' | 'metaKey' | 'altKey', boolean>> = {},
) => boardIntent({ key, shiftKey: false, ctrlKey: false, metaKey: false, altKey: false, ...held })

describe('keys of the board', () => {
  test.each([
    {
      name: 'an arrow walks',
      actual: press('ArrowDown'),
      expected: { kind: 'go', days: 0, rails: 1 },
    },
    {
      name: 'shift and arrow carry',
      actual: press('ArrowRight', { shiftKey: true }),
      expected: { kind: 'carry', days: 1 },
    },
    { name: 'plus without shift is plus', actual: press('='), expected: { kind: 'sets', step: 1 } },
    { name: 'minus', actual: press('-'), expected: { kind: 'sets', step: -1 } },
    { name: 'z undoes', actual: press('z'), expected: { kind: 'undo' } },
    { name: 'shift z redoes', actual: press('Z', { shiftKey: true }), expected: { kind: 'redo' } },
    {
      name: 'control z undoes too',
      actual: press('z', { ctrlKey: true }),
      expected: { kind: 'undo' },
    },
    {
      name: 'control shift z redoes too',
      actual: press('Z', { ctrlKey: true, shiftKey: true }),
      expected: { kind: 'redo' },
    },
    { name: 'a digit names a day', actual: press('4'), expected: { kind: 'go_to_day', digit: 4 } },
    {
      name: 'other shortcuts stay with the browser',
      actual: press('r', { ctrlKey: true }),
      expected: undefined,
    },
    { name: 'so do unknown keys', actual: press('F5'), expected: undefined },
  ])('$name', ({ actual, expected }) => expect(actual).toEqual(expected))
})

test('two digits in a row name a day past nine', () => {
  expect(dayFromDigits('', 1, 12)).toEqual({ day: 0, typed: '1' })
  expect(dayFromDigits('1', 2, 12)).toEqual({ day: 11, typed: '' })
  expect(dayFromDigits('1', 4, 8)).toEqual({ day: 3, typed: '4' })
  expect(dayFromDigits('', 9, 7)).toEqual({ day: null, typed: '' })
})
