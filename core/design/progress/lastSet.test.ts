import { describe, expect, test } from '@jest/globals'
import { plainDate } from '../../base'
import type { BlockPlan } from '../../plan/block'
import { contextWith, defaultContext, METHODS, STEADY_MIDDLE } from '../../plan/method'
import { sessionSlots } from '../../plan/session'
import { formatScheme } from '../../plan/shorthand'
import { planIn, written } from '../../testing/shorthandPlans'
import { checkPlan } from '../../judge/checks'
import { expandedBlock, usualBlock } from '.'

const context = defaultContext({ trainingAgeMonths: 40 })
const plan = {
  ...planIn(
    7,
    written(
      'arms',
      'bench_press_dumbbell 3 x 8-10, rir 2',
      'cable_curl 3 x 10-12, rir 1',
      'pushdown_rope 2 x 12 | drop 8, rir 1',
    ),
  ),
  startsOn: plainDate('2026-03-02'),
  passes: 5,
}
const schemes = (block: BlockPlan, under = context) =>
  expandedBlock({ ...plan, block }, under).passes.map(({ sessions }) =>
    sessions
      .flatMap(({ content }) => sessionSlots(content))
      .map(({ scheme }) => formatScheme(scheme)),
  )

describe('the last set to failure', () => {
  test('begins in its week, on single-joint straight sets alone', () => {
    const [before, , from] = schemes({ failure: { fromWeek: 3 } })
    expect(before).toEqual(schemes({})[0])
    expect(from![0]).toBe(before![0])
    expect(from![1]).toBe('2 x 10-12, rir 1, then 1 x 10-12, at failure')
    expect(from![2]).toBe(before![2])
  })
  test('not in easier rotations, and not on a joint that is sore', () => {
    const easier = schemes({ failure: { fromWeek: 1 }, deloads: [2] })
    expect(easier[2]!.join(' ')).not.toContain('failure')
    const sore = defaultContext({ trainingAgeMonths: 40, pain: { wrist: 'hold' } })
    expect(schemes({ failure: { fromWeek: 1 } }, sore)[1]![1]).not.toContain('failure')
  })
})

describe('whatever the exercise', () => {
  const alone = (exercise: string, under: typeof context) => {
    const one = { ...planIn(7, written('arms', `${exercise} 3 x 10-12, rir 2`)), passes: 1 }
    const inBlock = (block: BlockPlan) => ({
      ...one,
      rotation: expandedBlock({ ...one, block }, under).passes[0]!.rotation,
    })
    const cautions = (block: BlockPlan) =>
      checkPlan(inBlock(block), under)
        .filter(({ severity, check }) => severity !== 'info' && check !== 'failure-share')
        .map(({ check }) => check)
    return { with: cautions({ failure: { fromWeek: 1 } }), without: cautions({}) }
  }
  test.each([
    ['a grown client', {}],
    ['one under 18', { isMinor: true }],
    ['one in the first months', { trainingAgeMonths: 3 }],
  ] as const)('failure brings no caution that was not there, %s', (_, facts) => {
    const under = defaultContext({ trainingAgeMonths: 40, ...facts })
    for (const { id, kind, repUnit } of under.catalogue.values()) {
      if (kind !== 'isolation' || repUnit !== 'reps') continue
      const found = alone(id, under)
      expect([id, found.with.filter(check => !found.without.includes(check))]).toEqual([id, []])
    }
  })
})

describe('what a method makes of a new block', () => {
  const blockOf = (change: Partial<typeof STEADY_MIDDLE>) =>
    usualBlock(
      { ...plan, passes: 14 },
      contextWith({ ...STEADY_MIDDLE, ...change }, { trainingAgeMonths: 40 }),
    )
  const effort = STEADY_MIDDLE.effort
  test.each([
    ['never', undefined],
    ['always', { fromWeek: 1 }],
    [{ fromWeek: 4 }, { fromWeek: 4 }],
  ] as const)('last set to failure %j', (lastSetToFailure, failure) =>
    expect(blockOf({ effort: { ...effort, lastSetToFailure } }).failure).toEqual(failure),
  )
  test('easier weeks: none, one, two in a row, and none where they come by signs', () => {
    const progress = STEADY_MIDDLE.progress
    const weeks = (deloadWeeks: number) =>
      blockOf({ progress: { ...progress, deloadWeeks } }).deloads
    expect(weeks(0)).toBeUndefined()
    expect(weeks(1)).toEqual([6, 13])
    expect(weeks(2)).toEqual([5, 6, 12, 13])
    expect(blockOf({ deload: { mode: 'triggered' } }).deloads).toBeUndefined()
  })
  test('A and B by turns: another exercise for each single-joint arm exercise, none twice', () => {
    const progress = { ...STEADY_MIDDLE.progress, alternation: 'week' as const }
    const { alternations = [] } = blockOf({ progress })
    expect(alternations.map(({ by }) => by)).toEqual(['week', 'week'])
    const all = [
      ...alternations.map(({ exercise }) => exercise as string),
      'cable_curl',
      'pushdown_rope',
    ]
    expect(new Set(all).size).toBe(4)
    expect(blockOf({}).alternations).toBeUndefined()
    // Turns that stand already are the coach's.
    const [own] = alternations
    const kept = usualBlock(
      { ...plan, passes: 14, block: { alternations: [own!] } },
      contextWith({ ...STEADY_MIDDLE, progress }, { trainingAgeMonths: 40 }),
    )
    expect(kept.alternations).toEqual([own])
  })
  test('every preset makes a block that can be laid out', () => {
    for (const method of METHODS) {
      const own = contextWith(method, { trainingAgeMonths: 40 })
      expect(expandedBlock({ ...plan, block: usualBlock(plan, own) }, own).passes).toHaveLength(5)
    }
  })
})
