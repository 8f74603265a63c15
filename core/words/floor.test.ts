import { describe, expect, test } from '@jest/globals'
import { exerciseId, slotId } from '../base'
import type { FloorChange, FloorRemedy, FloorWait } from '../follow/floor'
import { floorLackWords, floorSumWords, floorWaitWords, remedyLines, remedyTitle } from './floor'

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

const names = {
  nameOf: (session: string) => ({ joren: 'Joren', pia: 'Pia' })[session] ?? '',
  exerciseOf: (_: string, slot: string) => ({ a: 'Cable row', b: 'Face pull' })[slot] ?? '',
  nameOfExercise: () => 'Dumbbell row',
}
const remedy = (change: FloorChange, more: Partial<FloorRemedy> = {}): FloorRemedy => ({
  change,
  own: { before: 540, after: 0 },
  all: { before: 960, after: 420 },
  lacks: { before: 0, after: 0 },
  ends: { before: 65_760, after: 65_820 },
  others: [],
  cost: { readiness: null, credits: [], stress: [] },
  ...more,
})
const START: FloorChange = { kind: 'start', session: 'joren', start: 63_300 }
const TURN: FloorChange = { kind: 'turn', session: 'joren', slot: slotId('b'), before: slotId('a') }
const OTHER: FloorChange = {
  kind: 'stand_in',
  session: 'joren',
  slot: slotId('a'),
  exercise: exerciseId('dumbbell_row'),
  edits: [],
}

describe('ways out in words', () => {
  test.each([
    [START, 'Joren starts at 17:35'],
    [TURN, 'Joren: face pull before cable row'],
    [OTHER, 'Joren: dumbbell row instead of cable row'],
  ])('%j', (change, title) => {
    expect(remedyTitle({ change }, names)).toBe(title)
  })

  test('what they bring and cost: to whoever waits, to others, to muscles and joints', () => {
    const PRICE = 'waits 9 → 0 min, all 16 → 7 min, ends 18:16 → 18:17'
    expect(
      remedyLines(remedy(START, { others: [{ session: 'pia', seconds: 185 }] }), names),
    ).toEqual([
      PRICE,
      'Pia waits 3 min longer',
      'sets, readiness and joints stay as they are; Joren gets a message',
    ])
    const readiness = { group: 'triceps', before: 91.4, after: 78.2 } as const
    const turned = remedy(TURN, { cost: { readiness, credits: [], stress: [] } })
    expect(remedyLines(turned, names)).toEqual([
      PRICE,
      'triceps 78\u00a0% ready for it, was 91\u00a0%',
    ])
    expect(remedyLines(remedy(TURN), names)).toEqual([
      PRICE,
      'nothing comes less ready for its sets',
    ])
    const cost = {
      readiness: null,
      credits: [{ group: 'biceps', before: 0.5, after: 0 }],
      stress: [{ joint: 'shoulder', before: 1, after: 0 }],
    } as const
    expect(remedyLines(remedy(OTHER, { cost, lacks: { before: 1, after: 0 } }), names)).toEqual([
      PRICE,
      'nothing is missing for it any more',
      'biceps nothing, was at half',
      'shoulder no stress, was low',
    ])
  })
})
