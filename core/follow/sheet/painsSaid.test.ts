import { expect, test } from '@jest/globals'
import type { Joint } from '../../plan/catalogue'
import { entry, placeAt, saidSet, SLOTS } from '../../testing/sheets'
import { type LogWord, painsSaid } from '.'

const pain = (
  joints: readonly Joint[],
  score: number,
  side: 'left' | 'right' | 'both' = 'both',
): LogWord => ({ kind: 'pain', joints, side, score, hasAlarmSign: false })
const said = (...words: readonly LogWord[]) => painsSaid(words.map(word => entry(word)))

test.each([
  ['nothing', [], {}],
  ['sets are no pain', [saidSet(placeAt(SLOTS[0], 1))], {}],
  ['a joint with its side', [pain(['wrist'], 4, 'left')], { wrist: { score: 4, side: 'left' } }],
  [
    'the latest word stands',
    [pain(['wrist'], 4, 'left'), pain(['wrist'], 2, 'right')],
    { wrist: { score: 2, side: 'right' } },
  ],
  ['none any more is said too', [pain(['wrist'], 4), pain(['wrist'], 0)], { wrist: { score: 0 } }],
] as const)('%s', (_, words, expected) => {
  expect(said(...words)).toMatchObject(expected)
  expect(Object.keys(said(...words))).toHaveLength(Object.keys(expected).length)
})

test('an elbow of which the side is not known is both sides of it', () =>
  expect(Object.values(said(pain(['elbow_flexor_side', 'elbow_extensor_side'], 5)))).toEqual([
    { score: 5, side: 'both' },
    { score: 5, side: 'both' },
  ]))
