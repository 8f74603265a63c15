import { randomUUID } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { exerciseId, plainDate } from '../../base'
import { type PlanDocument, withChangeEnded } from '../../plan/block'
import { defaultContext } from '../../plan/method'
import { expandedBlock, nextBlock } from '../../design/progress'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import { planIn, written } from '../../testing/shorthandPlans'
import { isMeant, mayHold, passReview, type SessionOutcome, withAdjustment } from '.'

const context = defaultContext({ trainingAgeMonths: 40 })
const { block: _, ...bare } = planIn(
  7,
  written('arms', 'barbell_curl 3 x 8-12, rir 1', 'pushdown_rope 4 x 10-12, rir 1'),
)
const plan: PlanDocument = { ...bare, passes: 3 }
const done: SessionOutcome = {
  day: 0,
  place: 0,
  state: 'done',
  minutes: null,
  isRecovered: true,
  sets: [1, 2, 3].map(set => ({
    slot: null,
    exercise: exerciseId('barbell_curl'),
    intent: null,
    set,
    stage: 1,
    side: null,
    role: 'working',
    loadKg: 30,
    reps: 9,
    seconds: null,
    rir: 1,
    isRirOpen: false,
  })),
}

describe('a change that holds', () => {
  const taking = { isOnce: false, on: plainDate('2026-04-12'), why: 'Recovered again.' }
  const more = {
    row: 'A15' as const,
    group: 'triceps' as const,
    change: { kind: 'sets' as const, by: 1, rir: 0 },
  }
  const tricepsIn = (plan: PlanDocument, under = context) =>
    expandedBlock(plan, under).passes.map(pass =>
      pass.sessions
        .flatMap(({ content }) => sessionSlots(content))
        .filter(({ exercise }) => exercise === 'pushdown_rope')
        .reduce((sum, { scheme }) => sum + plannedSets(scheme), 0),
    )
  test('stands in every rotation from the next on, with its reason and its day', () => {
    const before = tricepsIn(plan)
    const held = withAdjustment(plan, 1, more, context, taking)
    expect(held.block).toEqual({
      changes: [
        {
          from: 1,
          group: 'triceps',
          change: 1,
          row: 'A15',
          on: '2026-04-12',
          why: 'Recovered again.',
        },
      ],
    })
    expect(tricepsIn(held)).toEqual(before.map((sets, pass) => sets + (pass >= 1 ? 1 : 0)))
    const twice = withAdjustment(held, 2, more, context, taking)
    expect(tricepsIn(twice)).toEqual(before.map((sets, pass) => sets + Math.min(2, pass)))
  })
  test('for the next rotation only it is that rotation’s', () => {
    const once = withAdjustment(plan, 1, more, context, { ...taking, isOnce: true })
    expect(once.block?.changes).toBeUndefined()
    const before = tricepsIn(plan)
    expect(tricepsIn(once)).toEqual(before.map((sets, pass) => sets + (pass === 1 ? 1 : 0)))
  })
  test('more in reserve, and coming back after an absence, are for one rotation', () => {
    const reserve = { ...more, row: 'A5' as const, change: { kind: 'rir' as const, by: 1 } }
    expect(mayHold(reserve)).toBe(false)
    expect(mayHold({ ...more, row: 'G1' })).toBe(false)
    expect(withAdjustment(plan, 1, reserve, context, taking).block?.exceptions).toEqual([
      { kind: 'rir', pass: 1, group: 'triceps', change: 1 },
    ])
  })
  test('ends from a rotation on, and goes altogether where it had not begun', () => {
    const held = withAdjustment(plan, 1, more, context, taking)
    const [change] = held.block!.changes!
    const ended = { ...held, block: withChangeEnded(held.block!, change!, 2) }
    const before = tricepsIn(plan)
    expect(tricepsIn(ended)).toEqual(before.map((sets, pass) => sets + (pass === 1 ? 1 : 0)))
    expect(withChangeEnded(held.block!, change!, 1)).toEqual({})
  })
  test('is the start of the next block, whichever rotation that begins with', () => {
    const held = withAdjustment(plan, 1, more, context, taking)
    const begun = (from: 'first' | 'last') =>
      nextBlock(held, context, {
        title: 'Next',
        startsOn: plainDate('2026-06-01'),
        weeks: 3,
        from,
        newId: () => randomUUID(),
      })
    for (const from of ['first', 'last'] as const) {
      expect(tricepsIn({ ...begun(from), block: {} })[0]).toBe(tricepsIn(plan)[0]! + 1)
      expect(begun(from).block?.changes).toBeUndefined()
    }
  })
  test('a joint that is sore by now gets none of what was decided before; what takes sets away holds', () => {
    const sore = defaultContext({ trainingAgeMonths: 40, pain: { elbow_extensor_side: 'hold' } })
    const held = (by: number) =>
      withAdjustment(plan, 1, { ...more, change: { kind: 'sets', by, rir: 0 } }, context, taking)
    const before = tricepsIn(plan)
    expect(tricepsIn(held(1), sore)).toEqual(before)
    expect(tricepsIn(held(-1), sore)).toEqual(
      before.map((sets, pass) => sets - (pass >= 1 ? 1 : 0)),
    )
    // Her own one-off is hers to judge.
    const once = withAdjustment(plan, 1, more, context, { ...taking, isOnce: true })
    expect(tricepsIn(once, sore)[1]).toBe(before[1]! + 1)
  })
  test('taken out and given back leaves the exercises as they were', () => {
    const less = { ...more, row: 'A6' as const, change: { kind: 'sets' as const, by: -1, rir: 0 } }
    const back = { ...more, row: 'A14' as const }
    const both = withAdjustment(
      withAdjustment(plan, 1, less, context, taking),
      2,
      back,
      context,
      taking,
    )
    const before = tricepsIn(plan)
    expect(tricepsIn(both)).toEqual(before.map((sets, pass) => sets - (pass === 1 ? 1 : 0)))
    expect(evidenceOf(both, 2).owed).toBe(0)
    const owing = withAdjustment(plan, 1, less, context, taking)
    expect(evidenceOf(owing, 1)).toMatchObject({
      owed: 1,
      changed: { row: 'A6', change: -1, rotations: 1 },
    })
    expect(evidenceOf(owing, 0)).toMatchObject({ owed: 1, changed: null })
  })
  function evidenceOf(of: PlanDocument, pass: number) {
    const review = passReview({
      expanded: expandedBlock({ ...of, passes: 4 }, context),
      pass,
      context,
      outcomes: new Map([[pass, [done]]]),
      trends: [],
      muscles: new Map(),
    })!
    return review.adjustments.find(({ group }) => group === 'triceps')!.evidence!
  }
})

describe('an answer about a session', () => {
  const { block: _block, ...two } = planIn(
    7,
    written('push', 'pushdown_rope 8 x 10-12, rir 0'),
    written('arms', 'barbell_curl 3 x 8-12, rir 1', 'pushdown_bar 3 x 10-12, rir 1'),
  )
  const latelyAfter = (isRecovered: boolean) => {
    const review = passReview({
      expanded: expandedBlock({ ...two, passes: 3 }, context),
      pass: 0,
      context,
      outcomes: new Map([[0, [{ ...done, day: 1, isRecovered }]]]),
      trends: [],
      muscles: new Map(),
    })!
    return Object.fromEntries(
      review.adjustments.flatMap(({ group, evidence }) =>
        group && evidence ? [[group, evidence.lately]] : [],
      ),
    )
  }
  test('not recovered is about the muscle that came least ready, recovered about all of it', () => {
    expect(latelyAfter(false)).toMatchObject({ triceps: [false], biceps: [] })
    expect(latelyAfter(true)).toMatchObject({ triceps: [true], biceps: [true] })
  })
  test('muscles that came as ready as the least are meant too', () => {
    expect([isMeant(false, 84, 80), isMeant(false, 86, 80), isMeant(true, 99, 80)]).toEqual([
      true,
      false,
      true,
    ])
  })
})
