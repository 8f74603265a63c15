import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate } from '../../base'
import type { BlockEvent, BlockPlan } from '../../plan/block'
import { withException } from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import { planIn, written } from '../../testing/shorthandPlans'
import { blockConcerns } from './concerns'
import { expandedBlock } from './expand'
import { setsWithoutPlace } from './setsOverBlock'
import { returnExceptions, returnsIn, weeksWithoutEasier } from './weeksTrained'

const START = plainDate('2026-03-02')
const rest = { ...written('rest'), sessions: [] }
const WEEK = [
  written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 5 x 12, rir 2'),
  rest,
  written('pull', 'pulldown_neutral 4 x 10, rir 2', 'cable_curl 5 x 12, rir 2'),
  rest,
  written('upper', 'hammer_curl 5 x 12, rir 2', 'overhead_extension_rope 5 x 12, rir 2'),
  rest,
  rest,
]
const context = contextWith(STEADY_MIDDLE, {
  trainingAgeMonths: 30,
  modes: {},
  bands: {},
  equipment: [],
  credits: {},
})
const expanded = (block: BlockPlan = {}, passes = 8) =>
  expandedBlock({ ...planIn(7, ...WEEK), startsOn: START, passes, block }, context)

/** Away from a day of the block, counted from 0, for so many days. */
const away = (from: number, days: number): BlockEvent => ({
  id: 'away',
  what: 'Holiday',
  from: addDays(START, from),
  to: addDays(START, from + days - 1),
  effect: 'skip',
})
const setsIn = (block: BlockPlan, at: number) =>
  expanded(block)
    .passes[at]!.sessions.flatMap(({ content }) => sessionSlots(content))
    .reduce((sum, { scheme }) => sum + plannedSets(scheme), 0)

describe('weeks in training without an easier one', () => {
  test.each([
    ['eight weeks in a row', {}, 8],
    ['an easier one after five', { deloads: [5] }, 5],
    ['a week without training ends the stretch', { events: [away(14, 7)] }, 5],
    ['two thirds of a week count two thirds', { events: [away(0, 2)] }, 7 + 2 / 3],
    ['nothing but holidays', { events: [away(0, 56)] }, 0],
  ] as const)('%s', (_, block, weeks) => {
    expect(weeksWithoutEasier(expanded(block as BlockPlan))).toBeCloseTo(weeks, 9)
  })
  test('a block with a holiday in its middle asks for no easier week', () => {
    const kinds = (block: BlockPlan, passes: number) =>
      blockConcerns(expanded(block, passes), context).map(({ kind }) => kind)
    expect(kinds({}, 10)).toContain('no_deload')
    expect(kinds({ events: [away(28, 7)] }, 10)).not.toContain('no_deload')
  })
})

describe('after days without training', () => {
  test.each([
    ['a week', away(14, 7), 10, 3],
    ['nine days from the middle of a week', away(9, 9), 11, 2],
  ])('%s: the rotation after it is one of return', (_, event, days, pass) => {
    expect(returnsIn(expanded({ events: [event] }))).toMatchObject([{ pass, days }])
  })
  test.each([
    ['one session left out', away(2, 1)],
    ['nothing was trained before', away(0, 14)],
    ['nothing comes after', away(42, 14)],
  ])('%s is none', (_, event) => {
    expect(returnsIn(expanded({ events: [event] }))).toEqual([])
  })
  test('days without training that no event explains are no return', () => {
    const sparse = planIn(14, WEEK[0]!, ...Array.from({ length: 13 }, () => rest))
    const plan = { ...sparse, startsOn: START, passes: 4, block: {} }
    expect(returnsIn(expandedBlock(plan, context))).toEqual([])
    expect(returnsIn(expanded())).toEqual([])
  })
  test('a holiday is no steep rise of a joint, and is told as a return', () => {
    const kinds = blockConcerns(expanded({ events: [away(14, 7)] }), context).map(
      ({ kind }) => kind,
    )
    expect(kinds).toContain('return')
    expect(kinds).not.toContain('joint_ramp')
  })
  test('made a return: a fifth of the direct sets less, a rep in reserve more, and nothing to look at', () => {
    const block: BlockPlan = { events: [away(14, 7)] }
    const of = expanded(block)
    const changed = returnExceptions(of, 3, context).reduce(
      (next, one) => withException(next, one),
      block,
    )
    expect(setsIn(changed, 3)).toBeLessThanOrEqual(0.8 * setsIn(block, 2))
    expect(setsIn(changed, 4)).toBe(setsIn(block, 4))
    expect(changed.exceptions).toContainEqual({ kind: 'rir', pass: 3, change: 1 })
    expect(blockConcerns(expanded(changed), context).map(({ kind }) => kind)).not.toContain(
      'return',
    )
  })
  test('what the coach had changed there stays', () => {
    const block: BlockPlan = {
      events: [away(14, 7)],
      exceptions: [{ kind: 'rir', pass: 3, change: 1 }],
    }
    expect(returnExceptions(expanded(block), 3, context)).toContainEqual({
      kind: 'rir',
      pass: 3,
      change: 2,
    })
  })
})

test('sets without a place: the rotation with most of them for each muscle, most first', () => {
  const by = 'minutes'
  const passes = [
    { at: 1, notPlaced: [{ group: 'biceps' as const, sets: 1, by } as const] },
    {
      at: 2,
      notPlaced: [
        { group: 'biceps' as const, sets: 2, by } as const,
        { group: 'triceps' as const, sets: 5, by } as const,
      ],
    },
    { at: 3, notPlaced: [{ group: 'biceps' as const, sets: 2, by } as const] },
  ]
  expect(setsWithoutPlace({ passes })).toEqual([
    { group: 'triceps', sets: 5, by, pass: 2 },
    { group: 'biceps', sets: 2, by, pass: 2 },
  ])
})
