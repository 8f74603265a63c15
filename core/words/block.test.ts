import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../base'
import type { BlockConcern, BlockSession } from '../design/progress'
import { blockConcernWords, exceptionWords, sessionStateWords, unplacedWords } from './index'

const on = plainDate('2026-03-12')

describe('what there is to look at in a block', () => {
  const arrival = {
    group: 'triceps',
    pass: 2,
    on,
    name: 'Arms',
    readiness: 71.4,
    required: 90,
    role: 'lead',
    thread: 'frayed',
  } as const
  test.each<[BlockConcern, RegExp]>([
    [
      { kind: 'over_ceiling', group: 'triceps', from: 4, to: 5, most: 1.44 },
      /^Triceps over the ceiling from rotation 5: 1\.4 at most$/,
    ],
    [{ kind: 'over_ceiling', group: 'biceps', from: 2, to: 2, most: 0.5 }, /in rotation 3: 0\.5/],
    [
      { kind: 'not_placed', group: 'biceps', pass: 1, sets: 1, by: 'minutes' },
      /1 more set finds no place: rotation 2; its days have no minutes left/,
    ],
    [
      { kind: 'not_placed', group: 'biceps', pass: 1, sets: 3, by: 'session' },
      /3 more sets find no place/,
    ],
    [{ kind: 'readiness', arrival }, /Triceps 71.% ready for Arms: Thu 12 Mar, 90.% wanted/],
    [
      { kind: 'joint_week', joint: 'wrist', pass: 0, load: 61, ceiling: 60 },
      /^Wrist over its ceiling of seven days: 61\.0 of 60\.0 in rotation 1$/,
    ],
    [
      { kind: 'joint_session', joint: 'elbow_flexor_side', pass: 6, load: 22.5, ceiling: 20 },
      /^Front of the elbow over its ceiling of a session: 22\.5 of 20\.0 in rotation 7$/,
    ],
    [
      { kind: 'joint_ramp', joint: 'wrist', pass: 3, ramp: 1.42 },
      /rises steeply in rotation 4: 1\.4 times/,
    ],
    [
      { kind: 'over_time', pass: 1, day: 3, minutes: 51.6, limit: 45 },
      /Day 4 takes too long in rotation 2: 52 of 45.min/,
    ],
    [
      { kind: 'return', pass: 4, days: 9, share: 1 },
      /^Rotation 5 comes after 9 days without training: 100\u00a0% of the sets before/,
    ],
    [
      { kind: 'no_deload', working: 9, after: 6 },
      /9 weeks of training without an easier one: 6 are usual/,
    ],
  ])('%j', (concern, words) => expect(blockConcernWords(concern).join(': ')).toMatch(words))
})

test.each([
  [{ kind: 'sets', pass: 0, group: 'biceps', change: -1 }, 'Biceps −1 set'],
  [{ kind: 'sets', pass: 0, group: 'biceps', change: 2 }, 'Biceps +2 sets'],
  [{ kind: 'rir', pass: 0, change: 1 }, '+1 in reserve'],
  [{ kind: 'choice', pass: 0 }, 'the other exercises'],
  [{ kind: 'moved', pass: 0, day: 2, place: 0, on }, 'day 3 on Thu 12 Mar'],
] as const)('an exception in words: %j', (exception, words) =>
  expect(exceptionWords(exception, id => id)).toBe(words),
)

describe('how a dated session stands', () => {
  const session = { isSkipped: false } as BlockSession
  const sent = { isDone: false, isOpened: false, setsDone: 0, isEdited: false }
  const event = { id: 'e', what: 'Regatta', from: on, to: on, effect: 'skip' } as const
  test.each<[Partial<BlockSession>, string]>([
    [{}, 'planned'],
    [{ event }, 'Regatta'],
    [{ event, isSkipped: true }, 'left out: Regatta'],
    [{ sent }, 'sent'],
    [{ sent: { ...sent, isOpened: true } }, 'sent, opened'],
    [{ sent: { ...sent, isEdited: true } }, 'sent, edited since'],
    [{ sent: { ...sent, isDone: true } }, 'done'],
  ])('%j', (more, words) => expect(sessionStateWords({ ...session, ...more })).toBe(words))
})

test.each([
  [
    { sets: 1, pass: 3, by: 'minutes' },
    '1 set finds no place in rotation 4: its days have no minutes left. To make room: give a day more minutes, or take sets out elsewhere.',
  ],
  [
    { sets: 3, pass: 0, by: 'readiness' },
    '3 sets find no place in rotation 1: it would not be ready the next time. To make room: put its days further apart.',
  ],
] as const)(
  'a ramp that finds no place says where, why and what would make room',
  (miss, words) => {
    expect(unplacedWords(miss)).toBe(words)
  },
)
