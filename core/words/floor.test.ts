import { describe, expect, test } from '@jest/globals'
import type { FloorWait } from '../follow/floor'
import { floorLackWords, floorSumWords, floorWaitWords } from './floor'

const wait = (more: Partial<FloorWait> = {}): FloorWait => ({
  session: 'joren',
  part: 1,
  from: 0,
  seconds: 540,
  station: 'cable',
  holders: ['Marit'],
  ...more,
})

describe('waiting in words', () => {
  test.each([
    [wait(), 'waits about 9 min for the cable tower; Marit has it'],
    [
      wait({ station: 'bench', seconds: 20, holders: ['Marit', 'Pia', 'Liv'] }),
      'waits about 1 min for a bench; Marit, Pia and Liv have them',
    ],
    [wait({ holders: [] }), 'waits about 9 min for the cable tower'],
  ])('one', (one, words) => {
    expect(floorWaitWords(one, name => name)).toBe(words)
  })

  test('all together', () => {
    expect(floorSumWords([])).toBe('')
    expect(floorSumWords([wait({ seconds: 12 })])).toBe('')
    expect(floorSumWords([wait()])).toBe('9 min of waiting, 1 client')
    expect(floorSumWords([wait(), wait({ seconds: 420, session: 'pia' })])).toBe(
      '16 min of waiting, 2 clients',
    )
    expect(floorLackWords('rack')).toBe('needs the rack, and there is none')
  })
})
