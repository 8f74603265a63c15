import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exerciseId, plainDate, type SlotId } from '../../base'
import { rotationLedger } from '../../count/ledger'
import {
  type Alternation,
  CHOICE_LETTERS,
  type PlanDocument,
  turnAt,
  turnsIn,
  withTurn,
} from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { daySlots } from '../../plan/rotation'
import { isPossibleWith, requireExercise } from '../../plan/catalogue'
import { planIn, written } from '../../testing/shorthandPlans'
import { expandedBlock } from '../progress'
import { blockCoverage, missedCoverage, proposedTurns } from '.'

const context = contextWith(STEADY_MIDDLE, {
  trainingAgeMonths: 60,
  modes: { biceps: 'build', triceps: 'build', elbow_flexors_other: 'build' },
})
/** Only palms up, and nothing overhead: both are missed. */
const plan: PlanDocument = {
  ...planIn(
    7,
    written('push', 'pushdown_bar 4 x 12, rir 2'),
    written('pull', 'cable_curl 4 x 12, rir 2', 'barbell_curl 3 x 10, rir 2'),
    written('arms', 'pushdown_rope 4 x 12, rir 2'),
  ),
  startsOn: plainDate('2026-03-02'),
  passes: 8,
}
const slots = plan.rotation.days.flatMap(daySlots)
const turn = (slot: SlotId, exercise: string, by: Alternation['by'] = 'exposure'): Alternation => ({
  slot,
  exercise: exerciseId(exercise),
  intent: null,
  by,
})
const curl = slots[1]!.id

describe('up to four exercises take turns at a place', () => {
  test('one after the other, by exposure; the rule of the newest holds for all', () => {
    const two = withTurn([turn(curl, 'hammer_curl', 'week')], turn(curl, 'incline_dumbbell_curl'))!
    expect(turnsIn({ alternations: two })).toMatchObject([
      {
        slot: curl,
        by: 'exposure',
        others: [{ exercise: 'hammer_curl' }, { exercise: 'incline_dumbbell_curl' }],
      },
    ])
    const done = expandedBlock({ ...plan, block: { alternations: two } }, context).passes.map(
      ({ rotation, choice }) => [rotation.days.flatMap(daySlots)[1]!.exercise, choice],
    )
    expect(done.slice(0, 4)).toEqual([
      ['cable_curl', 'A'],
      ['hammer_curl', 'B'],
      ['incline_dumbbell_curl', 'C'],
      ['cable_curl', 'A'],
    ])
  })
  test('no fifth, and none twice', () => {
    const full = ['hammer_curl', 'incline_dumbbell_curl', 'preacher_curl_bar'].reduce<
      readonly Alternation[]
    >((all, id) => withTurn(all, turn(curl, id))!, [])
    expect(withTurn(full, turn(curl, 'drag_curl'))).toBeUndefined()
    expect(withTurn(full.slice(0, 1), turn(curl, 'hammer_curl'))).toBeUndefined()
    expect(turnsIn({ alternations: full })[0]!.others).toHaveLength(CHOICE_LETTERS.length - 1)
  })
  test.each([
    ['half', [0, 0, 0, 1, 1, 1, 2, 2]],
    ['exposure', [0, 1, 2, 0, 1, 2, 0, 1]],
  ] as const)('by %s, of three in eight', (by, wanted) =>
    expect(
      wanted.map((_, working) => turnAt(by, 3, { working, workingPasses: 8, week: working })),
    ).toEqual(wanted),
  )
  test('by half each has its share, the first never less than the last', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 4 }),
        fc.integer({ min: 4, max: 20 }),
        (count, workingPasses) => {
          const taken = Array.from({ length: workingPasses }, (_, working) =>
            turnAt('half', count, { working, workingPasses, week: 0 }),
          )
          expect(taken).toEqual([...taken].sort((a, b) => a - b))
          const each = Array.from(
            { length: count },
            (_, at) => taken.filter(one => one === at).length,
          )
          expect(Math.max(...each) - Math.min(...each)).toBeLessThanOrEqual(1)
          expect(each[0]).toBeGreaterThanOrEqual(each.at(-1)!)
        },
      ),
    )
  })
})

describe('heads, grips and lengths over a block', () => {
  const linesOf = (of: PlanDocument) =>
    blockCoverage(
      expandedBlock(of, context).passes.map(({ rotation }) => rotationLedger(rotation, context)),
      context,
    )
  const line = (of: PlanDocument, kind: string) =>
    linesOf(of).find(({ row }) => row.kind === kind || ('grip' in row && row.grip === kind))!
  test('what no rotation reaches is hollow in each, what one in two reaches is thin or full over the block', () => {
    expect(line(plan, 'neutral').cells.map(({ state }) => state)).toEqual(Array(8).fill('hollow'))
    const turned = { ...plan, block: { alternations: [turn(curl, 'hammer_curl')] } }
    expect(
      line(turned, 'neutral')
        .cells.map(({ state }) => state)
        .slice(0, 2),
    ).toEqual(['hollow', 'full'])
    // Four of seven sets, every second rotation.
    expect(line(turned, 'neutral').over.share).toBeCloseTo(4 / 7 / 2, 9)
  })
  test('a muscle without sets says nothing', () =>
    expect(
      blockCoverage(
        [
          rotationLedger(
            planIn(7, written('push', 'bench_press_dumbbell 3 x 8')).rotation,
            context,
          ),
        ],
        context,
      ).find(({ row }) => row.kind === 'overhead')!.over.state,
    ).toBe('none'))
})

describe('a block reckoned place by place', () => {
  test('with turns that are there already too, once each has come round', () => {
    const alternations = [turn(curl, 'hammer_curl'), turn(curl, 'incline_dumbbell_curl')]
    const of = { ...plan, passes: 12, block: { alternations } }
    const lines = blockCoverage(
      expandedBlock(of, context).passes.map(({ rotation }) => rotationLedger(rotation, context)),
      context,
    )
    expect(proposedTurns(of, context).before.map(({ over }) => over.share)).toEqual(
      lines.map(({ over }) => expect.closeTo(over.share, 9)),
    )
  })
  test('comes to what its rotations come to', () => {
    const { before } = proposedTurns(plan, context)
    const lines = blockCoverage([rotationLedger(plan.rotation, context)], context)
    expect(before.map(({ over }) => over.share)).toEqual(
      lines.map(({ over }) => expect.closeTo(over.share, 9)),
    )
  })
})

describe('turns that fill what is missed', () => {
  const made = proposedTurns(plan, context)
  test('fill it, with fewer and kinder movements than would be possible', () => {
    expect(made.added.length).toBeGreaterThan(0)
    expect(made.added.length).toBeLessThanOrEqual(6)
    expect(missedCoverage(made.after)).toBeLessThan(missedCoverage(made.before) * 0.5)
  })
  test('what is promised is what the block then has', () => {
    const lines = blockCoverage(
      expandedBlock(
        { ...plan, passes: 12, block: { alternations: made.alternations } },
        context,
      ).passes.map(({ rotation }) => rotationLedger(rotation, context)),
      context,
    )
    for (const [at, { over }] of made.after.entries())
      expect(Math.abs(over.share - lines[at]!.over.share)).toBeLessThan(0.12)
  })
  test('the same curl with the palms facing comes before a movement that is new', () => {
    const pull = written('pull', 'cable_curl 4 x 12, rir 2', 'incline_dumbbell_curl 3 x 10, rir 2')
    const of = { ...planIn(7, pull), startsOn: plan.startsOn, passes: 8 }
    const { added, before, after } = proposedTurns(of, context)
    expect(added).toMatchObject([
      { exercise: 'cable_curl', as: { grip: 'neutral', attachment: 'rope' } },
    ])
    const neutral = (lines: typeof before) =>
      lines.find(({ row }) => 'grip' in row && row.grip === 'neutral')!.over.state
    expect([neutral(before), neutral(after)]).toEqual(['hollow', 'full'])
  })
  test.each([
    ['a grip that is said stays', 'cable_curl 4 x 12 palms up, rir 2'],
    ['a bar does not turn', 'barbell_curl 4 x 12, rir 2'],
  ])('%s', (_, line) => {
    const of = { ...planIn(7, written('pull', line)), startsOn: plan.startsOn, passes: 8 }
    expect(proposedTurns(of, context).added.filter(({ as }) => as)).toEqual([])
  })
  test('each choice keeps three exposures: a short block gets none', () =>
    expect(proposedTurns({ ...plan, passes: 5 }, context).added).toEqual([]))
  test('nothing the client cannot do or that loads a sore joint harder', () => {
    const sore = contextWith(STEADY_MIDDLE, {
      trainingAgeMonths: 60,
      equipment: ['dumbbell', 'bench'],
      modes: { biceps: 'build', triceps: 'build' },
    })
    for (const { exercise } of proposedTurns(plan, sore).added)
      expect(isPossibleWith(requireExercise(sore.catalogue, exercise), ['dumbbell', 'bench'])).toBe(
        true,
      )
  })
  test('where nothing is missed nothing is proposed, and the same answer comes each time', () => {
    const kept = { ...plan, block: { alternations: made.alternations } }
    expect(missedCoverage(proposedTurns(kept, context).after)).toBeLessThanOrEqual(
      missedCoverage(made.after) + 1e-9,
    )
    expect(proposedTurns(plan, context)).toEqual(made)
  })
})
