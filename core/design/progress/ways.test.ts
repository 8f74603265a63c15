import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { plainDate } from '../../base'
import type { BlockPlan, PlanDocument, Way } from '../../plan/block'
import { defaultContext } from '../../plan/method'
import { sessionSlots, type Slot } from '../../plan/session'
import { formatScheme } from '../../plan/shorthand'
import { plannedSets } from '../../plan/scheme'
import { planIn, written } from '../../testing/shorthandPlans'
import { idsInARow } from '../../testing/notation'
import { expandedBlock, nextBlock, reached, restOf, waySteps } from '.'
import { requireExercise } from '../../plan/catalogue'

const context = defaultContext({ trainingAgeMonths: 30 })
const plan: PlanDocument = {
  ...planIn(
    7,
    written('arms', 'cable_curl 3 x 10-12, rir 1, rest 90s', 'pushdown_rope 3 x 10-12, rir 1'),
  ),
  startsOn: plainDate('2026-03-02'),
  passes: 6,
}
const passes = (block: BlockPlan, under = context): readonly (readonly Slot[])[] =>
  expandedBlock({ ...plan, block }, under).passes.map(({ sessions }) =>
    sessions.flatMap(({ content }) => sessionSlots(content)),
  )
const curlsOf = (block: BlockPlan, under = context) =>
  passes(block, under).map(slots => slots.find(({ exercise }) => exercise === 'cable_curl')!)
const restIn = ({ scheme, exercise }: Slot) =>
  restOf(scheme, requireExercise(context.catalogue, exercise))

const more: Way = { kind: 'sets', everyWeeks: 2, by: 1, to: 5 }
const less: Way = { kind: 'rest', everyWeeks: 1, by: 15, to: 45 }
const slower: Way = { kind: 'lowering', everyWeeks: 2, by: 1, to: 3 }

describe('an exercise on a way of its own', () => {
  test('gains a set every two weeks, and stops where it was said', () => {
    expect(
      curlsOf({ ways: { cable_curl: more } }).map(({ scheme }) => plannedSets(scheme)),
    ).toEqual([3, 3, 4, 4, 5, 5])
    const short = { ...more, everyWeeks: 1, to: 4 }
    expect(
      curlsOf({ ways: { cable_curl: short } }).map(({ scheme }) => plannedSets(scheme)),
    ).toEqual([3, 4, 4, 4, 4, 4])
  })

  test('rests ever less, down to where it was said', () => {
    expect(curlsOf({ ways: { cable_curl: less } }).map(restIn)).toEqual([90, 75, 60, 45, 45, 45])
  })

  test('is lowered ever more slowly', () => {
    const written = curlsOf({ ways: { cable_curl: slower } }).map(({ scheme }) =>
      formatScheme(scheme),
    )
    expect(written[0]).not.toMatch(/lower/)
    expect(written[2]).toMatch(/lower 3s/)
    expect(written[5]).toBe(written[2])
  })

  test('leaves the others alone, and the block itself in easier rotations', () => {
    const [before, after] = [passes({}), passes({ ways: { cable_curl: more } })]
    for (const [at, slots] of after.entries()) expect(slots[1]).toBe(before[at]![1])
    const easier = curlsOf({ ways: { cable_curl: more }, deloads: [4] })
    expect(easier.map(({ scheme }) => plannedSets(scheme))).toEqual([3, 3, 4, 4, 2, 5])
  })

  test('that loads a sore joint stays as the rotation has it', () => {
    const sore = defaultContext({ trainingAgeMonths: 30, pain: { wrist: 'hold' } })
    for (const way of [more, less, slower])
      expect(curlsOf({ ways: { cable_curl: way } }, sore)).toEqual(curlsOf({}, sore))
  })

  test('never goes back, and never beyond what was said', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('sets' as const, 'rest' as const, 'lowering' as const),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 0, max: 60 }),
        (kind, by, to, base, steps) => {
          const way: Way = { kind, everyWeeks: 1, by, to }
          const [now, next] = [reached(way, base, steps), reached(way, base, steps + 1)]
          const onward = kind === 'rest' ? -1 : 1
          expect(onward * (next - now)).toBeGreaterThanOrEqual(0)
          expect(onward * (now - base)).toBeGreaterThanOrEqual(0)
          const end = kind === 'rest' ? Math.min(base, to) : Math.max(base, to)
          expect(onward * (end - now)).toBeGreaterThanOrEqual(0)
        },
      ),
    )
  })

  test('takes its steps by weeks, whatever the length of the rotation', () => {
    const from = plainDate('2026-03-02')
    expect(waySteps(more, from, plainDate('2026-03-15'))).toBe(0)
    expect(waySteps(more, from, plainDate('2026-03-16'))).toBe(1)
    expect(waySteps(more, from, plainDate('2026-02-20'))).toBe(0)
  })
})

describe('the next block', () => {
  const next = (block: BlockPlan, startsOn = '2026-04-13') =>
    nextBlock({ ...plan, block }, context, {
      title: 'Next',
      startsOn: plainDate(startsOn),
      weeks: 6,
      from: 'first',
      newId: idsInARow(),
    }).block ?? {}
  test('keeps the way with the load that stays because of it', () => {
    const block = next({ ways: { cable_curl: more }, rules: { cable_curl: { rule: 'held' } } })
    expect(block.ways).toEqual({ cable_curl: more })
    expect(block.rules).toEqual({ cable_curl: { rule: 'held' } })
  })
  test('keeps a trial that still runs, and no other', () => {
    const running = {
      what: 'Arm day',
      from: plainDate('2026-03-30'),
      weeks: 4,
      groups: ['biceps'],
    } as const
    const over = { ...running, what: 'Before', from: plainDate('2026-03-02') }
    expect(next({ trials: [over, running] }).trials).toEqual([running])
    expect(next({ trials: [over, running] }, '2026-04-27').trials).toBeUndefined()
  })
})
