import { describe, expect, test } from '@jest/globals'
import { seededRandom } from '../../base/seededRandom'
import { answeredWords } from '../../words'
import { answeredTo, type BlockAnswer } from '.'

const block = (sets: number, slope: number, error = 0.001, count = 12): BlockAnswer => ({
  title: `${sets}`,
  sets,
  slope,
  error,
  count,
})

describe('what a muscle answered to', () => {
  test('some sets and not more', () => {
    const found = answeredTo('triceps', [block(24, 0.0005), block(16, 0.006), block(20, 0.005)])!
    expect(found).toMatchObject({ other: 'more', from: 16, to: 20, at: [24], blocks: 3 })
    expect(found.rise.value).toBeCloseTo(0.0055, 9)
    expect(found.rise.error).toBeCloseTo(0.001 / Math.SQRT2, 9)
    expect(answeredWords(found)).toBe(
      'Triceps answered to 16 to 20 sets a week, not to more: + 0.55 % a week (80 % between 0.46 and 0.64), at 24 sets 0.50 ± 0.16 less. 3 blocks say so; exercises, food and sleep may have differed too.',
    )
  })

  test('some sets and not less', () => {
    const found = answeredTo('biceps', [block(8, 0), block(15, 0.005), block(15.2, 0.006)])
    expect(found).toMatchObject({ other: 'less', at: [8] })
    expect(answeredWords(found!)).toMatch(
      /^Biceps answered to 15 to 15\.2 sets a week, not to less: /,
    )
  })

  test.each<readonly [string, readonly BlockAnswer[]]>([
    ['two blocks are too few', [block(16, 0.006), block(24, 0)]],
    ['it rose only once', [block(16, 0.006), block(20, 0.001), block(24, 0)]],
    ['it rose everywhere', [block(16, 0.006), block(20, 0.006), block(24, 0.006)]],
    ['the sets were hardly apart', [block(16, 0.006), block(20, 0.006), block(22, 0)]],
    [
      'a block between them did not rise',
      [block(16, 0.006), block(18, 0), block(20, 0.006), block(24, 0)],
    ],
    [
      'too little is known of the third',
      [block(16, 0.006), block(20, 0.006), block(24, 0, 0.001, 5)],
    ],
    ['its slope is anyone’s guess', [block(16, 0.006), block(20, 0.006), block(24, 0, Infinity)]],
    ['the difference is within its error', [block(16, 0.006), block(20, 0.006), block(24, 0.004)]],
  ])('nothing is said where %s', (_, blocks) => expect(answeredTo('triceps', blocks)).toBeNull())

  test('where strength never depended on sets, it is said in fewer than 5 of 100 clients', () => {
    const random = seededRandom(7)
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
    const CLIENTS = 4000
    for (const truth of [0, 0.002, 0.004, 0.008])
      for (const count of [3, 5, 8]) {
        const said = Array.from({ length: CLIENTS }, () =>
          answeredTo(
            'triceps',
            Array.from({ length: count }, () => {
              const error = 0.001 + 0.002 * random()
              return block(8 + 16 * random(), truth + error * normal(), error)
            }),
          ),
        ).filter(found => found !== null).length
        expect({ truth, count, share: said / CLIENTS }).toMatchObject({ truth, count })
        expect(said / CLIENTS).toBeLessThan(0.05)
      }
  })
})
