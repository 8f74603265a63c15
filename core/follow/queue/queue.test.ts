import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, exerciseId, plainDate } from '../../base'
import { PAIN_LEVELS } from '../../plan/method'
import { notSafeWords, outcomeWords, queueSumWords, queueWhy } from '../../words'
import type { Adjustment, Change } from '../review'
import type { Need } from '../roster'
import {
  byQueue,
  isSmall,
  passEnd,
  passToReview,
  type QueueItem,
  queueItems,
  queueSum,
  safeChanges,
  unseen,
} from '.'

const today = plainDate('2026-04-08')
const curl = exerciseId('cable_curl')
const proposal = (more: Partial<Adjustment> = {}): Adjustment => ({
  row: 'A1',
  group: 'biceps',
  change: { kind: 'sets', by: 1, rir: 0 },
  before: 10,
  after: 11,
  evidence: null,
  signs: [],
  confidence: 'strong',
  isWaiting: false,
  ...more,
})
const pain = (more: Partial<Extract<Need, { kind: 'pain' }>> = {}): Need => ({
  kind: 'pain',
  level: 'hold',
  joint: 'wrist',
  side: 'left',
  score: 4,
  on: today,
  ...more,
})
const missed = (session: string): Need => ({
  kind: 'missed_session',
  session,
  on: addDays(today, -2),
  name: 'Arms',
  armSets: 6,
})
const over = { block: 'b', pass: 4, to: addDays(today, -1) }
const kinds = (items: readonly QueueItem[]) => items.map(({ kind }) => kind)

describe('what a client stands in the queue for', () => {
  test.each<[string, Parameters<typeof queueItems>[0], readonly string[]]>([
    ['nothing', { today, needs: [], rotation: null, open: [] }, []],
    ['a rotation that ended', { today, needs: [], rotation: over, open: [] }, ['ended']],
    [
      'one that ends today is not over yet, and its proposals are not due',
      { today, needs: [], rotation: { ...over, to: today }, open: [proposal()] },
      [],
    ],
    [
      'pain and a missed session wait for no end',
      { today, needs: [missed('s'), pain()], rotation: { ...over, to: today }, open: [] },
      ['missed', 'pain'],
    ],
    [
      'what waits and what goes on is not to be decided',
      {
        today,
        needs: [],
        rotation: over,
        open: [proposal({ isWaiting: true }), proposal({ change: { kind: 'go_on' } })],
      },
      ['ended'],
    ],
    [
      'other needs are no reviews',
      { today, needs: [{ kind: 'no_plan', what: 'empty' }], rotation: null, open: [] },
      [],
    ],
  ])('%s', (_, facts, expected) => expect(kinds(queueItems(facts))).toEqual(expected))

  test('what was seen does not come again; what is new about the same thing does', () => {
    const facts = { today, needs: [pain()], rotation: over, open: [proposal()] }
    const seen = queueItems(facts).map(({ key }) => key)
    expect(unseen(queueItems(facts), seen)).toEqual([])
    const worse = { ...facts, needs: [pain({ score: 6 })] }
    expect(kinds(unseen(queueItems(worse), seen))).toEqual(['pain'])
    const later = { ...facts, rotation: { ...over, pass: 5 } }
    expect(kinds(unseen(queueItems(later), seen))).toEqual(['proposals', 'ended'])
    const other = { ...facts, open: [proposal({ group: 'triceps' })] }
    expect(kinds(unseen(queueItems(other), seen))).toEqual(['proposals'])
  })
})

describe('which rotation is looked back at', () => {
  const block = { startsOn: plainDate('2026-03-09'), lengthDays: 7, passes: 6 }
  test.each([
    ['none has ended', plainDate('2026-03-12'), [], null],
    ['the last day is not over', plainDate('2026-03-15'), [], null],
    ['the day after', plainDate('2026-03-16'), [], 0],
    ['long after the block', plainDate('2027-01-01'), [], 5],
    ['a missed session comes first, the oldest', plainDate('2026-04-08'), [3, 2], 2],
  ] as const)('%s', (_, on, passes, expected) => {
    expect(passToReview(block, passes, on)).toBe(expected)
  })
  test('it is over on the day of looking, whichever day that is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 400 }),
        fc.integer({ min: 3, max: 14 }),
        (day, length) => {
          const of = { ...block, lengthDays: length }
          const on = addDays(block.startsOn, day)
          const pass = passToReview(of, [], on)
          if (pass === null) expect(passEnd(of, 0) >= on).toBe(true)
          else {
            expect(passEnd(of, pass) < on).toBe(true)
            expect(pass === of.passes - 1 || passEnd(of, pass + 1) >= on).toBe(true)
          }
        },
      ),
    )
  })
})

describe('worst first', () => {
  const one = (name: string, needs: readonly Need[], open: readonly Adjustment[] = []) => ({
    name,
    needs,
    items: queueItems({ today, needs, rotation: over, open }),
  })
  test('pain by its level, then what was missed, then proposals, then names', () => {
    const sorted = [
      one('Teo', []),
      one('Ada', []),
      one('Ines', [], [proposal()]),
      one('Oskar', [missed('a')]),
      one('Kaja', [missed('a'), missed('b')]),
      one('Liv', [pain()]),
      one('Pia', [pain({ level: 'stop', score: 2 })]),
      one('Marit', [pain({ score: 5 })]),
    ].sort(byQueue)
    expect(sorted.map(({ name }) => name)).toEqual([
      'Pia',
      'Marit',
      'Liv',
      'Kaja',
      'Oskar',
      'Ines',
      'Ada',
      'Teo',
    ])
  })
  test('pain that was looked at weighs no more', () => {
    const needs = [pain()]
    const calm = { name: 'A', needs, items: [] }
    expect(byQueue(calm, one('B', [missed('a')]))).toBeGreaterThan(0)
  })
})

describe('what is safe for all', () => {
  const changes: readonly [Change, boolean][] = [
    [{ kind: 'sets', by: 1, rir: 0 }, true],
    [{ kind: 'sets', by: -1, rir: 1 }, true],
    [{ kind: 'sets', by: 2, rir: 0 }, false],
    [{ kind: 'sets', by: -2, rir: 0 }, false],
    [{ kind: 'sets', by: 1, rir: 2 }, false],
    [{ kind: 'rir', by: 1 }, true],
    [{ kind: 'rir', by: -2 }, false],
    [{ kind: 'load', exercise: curl, step: 'up' }, true],
    [{ kind: 'hold_ramp', by: 1 }, true],
    [{ kind: 'deload' }, false],
    [{ kind: 'by_hand' }, false],
    [{ kind: 'swap', from: curl, to: exerciseId('ez_curl'), intent: null }, false],
    [{ kind: 'shorten', day: 0, place: 0, minutes: 40 }, false],
  ]
  test.each(changes)('%j is small: %s', (change, expected) =>
    expect(isSmall(proposal({ change }))).toBe(expected),
  )

  const facts = { open: [proposal()], pain: {}, missed: 0 }
  test.each<[string, Parameters<typeof safeChanges>[0], number, string | null]>([
    ['strong and small', facts, 1, null],
    ['nothing open', { ...facts, open: [] }, 0, null],
    ['a joint that is only noted', { ...facts, pain: { wrist: 'note' } }, 0, 'Wrist: noted'],
    [
      'the worst joint is named',
      { ...facts, pain: { wrist: 'note', low_back: 'stop' } },
      0,
      'Low back: stopped: refer to a licensed professional',
    ],
    ['a calm joint', { ...facts, pain: { wrist: 'none' } }, 1, null],
    ['a missed session', { ...facts, missed: 1 }, 0, 'A missed session comes first'],
    [
      'a log that is not sure',
      { ...facts, open: [proposal({ confidence: 'fair' })] },
      0,
      'The log is not sure enough',
    ],
    [
      'a big step',
      { ...facts, open: [proposal({ change: { kind: 'deload' } })] },
      0,
      'More than a small step',
    ],
    ['later is later', { ...facts, open: [proposal({ isWaiting: true })] }, 0, null],
  ])('%s', (_, of, count, why) => {
    const { safe, not } = safeChanges(of)
    expect(safe).toHaveLength(count)
    expect(not && notSafeWords(not)).toBe(why)
  })

  test('nothing is ever safe beside a joint that hurts, whatever else', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PAIN_LEVELS.slice(1)),
        fc.array(fc.constantFrom(...changes.map(([change]) => change))),
        (level, open) => {
          const all = open.map(change => proposal({ change }))
          expect(safeChanges({ open: all, pain: { wrist: level }, missed: 0 }).safe).toEqual([])
        },
      ),
    )
  })
})

describe('in words', () => {
  const nameOf = () => 'Cable curl'
  test('proposals share a line, pain comes first', () => {
    const needs = [pain(), missed('s')]
    const open = [proposal(), proposal({ group: 'triceps' }), proposal({ group: 'forearms' })]
    const items = queueItems({ today, needs, rotation: over, open })
    const told = queueWhy({ items, needs, open, rotation: over, today, nameOf })
    expect(told.map(({ words }) => words)).toEqual([
      'Pain 4 of 10: wrist, left',
      'Missed Arms Mon 6 Apr',
      expect.stringMatching(/^Biceps.*, and 2 more$/),
      'Rotation 5 ended Tue 7 Apr',
    ])
    expect(queueWhy({ items: [], needs, open, rotation: over, today, nameOf })).toEqual([])
  })
  test('the line at the end counts clients', () => {
    const behind = [
      { changed: 3, isSent: true },
      { changed: 1, isSent: false },
      { changed: 0, isSent: false },
    ]
    expect(queueSumWords(queueSum(behind), 6.6)).toBe('3 reviewed, 2 changed, 1 sent, 7 minutes')
    expect(queueSumWords(queueSum([]), 1)).toBe('0 reviewed, 0 changed, 0 sent, 1 minute')
    expect(behind.map(outcomeWords)).toEqual(['3 changed, sent', '1 changed', 'as planned'])
  })
})
