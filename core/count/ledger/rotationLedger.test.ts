import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { GROUP_MUSCLES, GROUPS } from '../../plan/catalogue'
import {
  COUNTING_SCHOOLS,
  type CountingSchool,
  defaultContext,
  type PlanContext,
} from '../../plan/method'
import { withSetsAdded } from '../../plan/scheme'
import { planArbitrary, slotArbitrary } from '../../testing/arbitraries'
import { day, planOf, REST_DAY, straight } from '../../testing/notation'
import { attentionList, isUnallocated } from './attention'
import { armBalance } from './balance'
import { countedWorkOfDay } from './countedWork'
import { railView } from './rail'
import { rotationLedger } from './rotationLedger'
import { spanLedger } from './tally'

const context = defaultContext({ trainingAgeMonths: 48, modes: { elbow_flexors_other: 'build' } })
const under = (school: CountingSchool): PlanContext => ({
  ...context,
  method: { ...context.method, school },
})

const push = day(
  straight('bench_press_barbell', 4, 8, 2),
  straight('overhead_press_dumbbell', 3, 10, 2),
  straight('pushdown_rope', 3, 12, 1),
)
const pull = day(
  straight('pulldown_neutral', 4, 10, 2),
  straight('seated_cable_row', 4, 10, 2),
  straight('incline_dumbbell_curl', 3, 10, 1),
)
const arms = day(
  straight('cambered_bar_curl', 4, 10, 1),
  straight('incline_dumbbell_curl', 3, 10, 1),
  straight('hammer_curl', 3, 10, 1),
  straight('narrow_grip_bench_press', 4, 8, 2),
  straight('overhead_extension_rope', 3, 12, 1),
  straight('pushdown_rope', 3, 12, 0),
)
const seven = planOf(push, pull, REST_DAY, arms, REST_DAY, REST_DAY, REST_DAY).rotation
const eight = planOf(push, pull, REST_DAY, arms, REST_DAY, REST_DAY, REST_DAY, REST_DAY).rotation

describe('a push, a pull and an arm day (domain B5, B6 and the ratio example)', () => {
  test('B5 in seven days', () => {
    const { groups } = rotationLedger(seven, context)
    expect([
      groups.biceps.week.counted.value,
      groups.elbow_flexors_other.week.counted.value,
      groups.triceps.week.counted.value,
    ]).toEqual([16.25, 13, 16.5])
    expect([
      groups.biceps.position,
      groups.elbow_flexors_other.position,
      groups.triceps.position,
    ]).toEqual(['on_target', 'on_target', 'low'])
  })
  test('B6 in eight days', () => {
    const { groups } = rotationLedger(eight, context)
    expect(groups.biceps.week.counted.value).toBeCloseTo(14.219, 3)
    expect(groups.triceps.week.counted.value).toBe(14.4375)
    expect([
      groups.biceps.position,
      groups.elbow_flexors_other.position,
      groups.triceps.position,
    ]).toEqual(['low', 'low', 'low'])
  })
  test('a curl is one flexor set', () => {
    const balance = armBalance(rotationLedger(seven, context).work.flat(), context)
    expect([balance.flexors, balance.extensors]).toEqual([18, 16.5])
    expect(balance.ratio).toBeCloseTo(0.917, 3)
    expect(balance.verdict).toBe('leaning')
  })
  test('frequency follows fractional sets under every school', () => {
    const frequency = (school: CountingSchool) =>
      rotationLedger(seven, under(school)).groups.biceps.spread.frequencyPer7Days
    expect(Object.values(COUNTING_SCHOOLS).map(frequency)).toEqual([2, 2, 2, 2])
  })
  test('a folded rail counts a set once, at its highest credit', () => {
    const back = railView(
      rotationLedger(seven, context),
      { kind: 'bundle', bundle: 'back' },
      context,
    )
    expect(back.cells.map(cell => cell.tally.counted.value)).toEqual([0, 8, 0, 0, 0, 0, 0])
    expect([back.frequencyPer7Days, back.band?.group]).toEqual([1, 'traps'])
  })
  test('a cell shows direct work first, in the order it is done', () => {
    const triceps = railView(
      rotationLedger(seven, context),
      { kind: 'group', group: 'triceps' },
      context,
    )
    expect(
      triceps.cells[0]?.pieces.map(({ slot, credit, pegs }) => [slot.exercise, credit, pegs]),
    ).toEqual([
      ['pushdown_rope', 1, 3],
      ['bench_press_barbell', 0.5, 4],
      ['overhead_press_dumbbell', 0.5, 3],
    ])
    expect(triceps.week.counted.value).toBe(16.5)
  })
  test('a head gets its share of the figure, and pegs of the sets that really serve it', () => {
    const long = railView(
      rotationLedger(seven, context),
      { kind: 'head', group: 'triceps', muscle: 'triceps_long' },
      context,
    )
    expect(long.cells[3]?.tally.counted.value).toBeCloseTo(3.13, 9)
    expect(long.cells[3]?.pieces.map(({ slot, pegs }) => [slot.exercise, pegs])).toEqual([
      ['narrow_grip_bench_press', 0],
      ['overhead_extension_rope', 3],
      ['pushdown_rope', 3],
    ])
    expect(long.band).toBeNull()
  })
  test('what to look at starts with the priorities', () => {
    const list = attentionList(rotationLedger(planOf(push, REST_DAY).rotation, context))
    expect(list[0]).toEqual({ kind: 'under_floor', group: 'biceps', sets: 12 })
    expect(list.some(item => item.kind === 'over_ceiling' && item.group === 'delts_front')).toBe(
      true,
    )
  })
})

test('an empty rotation has no sets, no frequency and a beam at rest', () => {
  const ledger = rotationLedger(planOf(REST_DAY, REST_DAY).rotation, context)
  expect(ledger.groups.triceps.week.counted.value).toBe(0)
  expect(ledger.groups.triceps.spread.gaps).toBeNull()
  expect(armBalance(ledger.work.flat(), context).verdict).toBe('empty')
})

test('triceps work alone has no ratio and is out of balance', () => {
  const ledger = rotationLedger(
    planOf(day(straight('pushdown_rope', 3, 12, 1)), REST_DAY).rotation,
    context,
  )
  expect(armBalance(ledger.work.flat(), context)).toMatchObject({ ratio: null, verdict: 'outside' })
})

test.each([
  [1.05, 'level'],
  [0.95, 'level'],
  [1.06, 'leaning'],
  [0.94, 'leaning'],
  [1 / 0.7, 'leaning'],
  [1 / 0.69, 'outside'],
  [1 / 1.4, 'leaning'],
  [1 / 1.41, 'outside'],
])('of as many sets to either side where %f is wished, the beam is %s', (ratioWish, verdict) => {
  const wishing = { ...context, client: { ...context.client, ratioWish } }
  const { rotation } = planOf(
    day(straight('pushdown_rope', 3, 12, 1), straight('cable_curl', 3, 12, 1)),
    REST_DAY,
  )
  const balance = armBalance(rotationLedger(rotation, wishing).work.flat(), wishing)
  expect(balance).toMatchObject({ flexors: 3, extensors: 3, ratio: 1, wish: ratioWish, verdict })
  expect(balance.flexorExcess).toBeCloseTo(ratioWish - 1, 9)
})

describe('what always holds', () => {
  const value = (plan: Parameters<typeof rotationLedger>[0], school: CountingSchool) =>
    rotationLedger(plan, under(school))

  test('a group is the sum of its days and of its heads', () => {
    fc.assert(
      fc.property(
        planArbitrary,
        fc.constantFrom(...Object.values(COUNTING_SCHOOLS)),
        (plan, school) => {
          const { days, total } = value(plan.rotation, school)
          for (const group of GROUPS) {
            const { counted, direct, indirect } = total.groups[group]
            expect(
              days.reduce((sum, ledger) => sum + ledger.groups[group].counted.value, 0),
            ).toBeCloseTo(counted.value, 9)
            expect(
              GROUP_MUSCLES[group].reduce(
                (sum, muscle) => sum + total.muscles[muscle].counted.value,
                0,
              ),
            ).toBeCloseTo(counted.value, 9)
            expect(direct.value + indirect.value).toBeCloseTo(counted.value, 9)
          }
        },
      ),
    )
  })

  test('direct never exceeds counted; fractional never exceeds whole once quarters count whole', () => {
    const wholeFromQuarter: CountingSchool = { ...COUNTING_SCHOOLS.whole, wholeFrom: 0.25 }
    fc.assert(
      fc.property(planArbitrary, plan => {
        const direct = value(plan.rotation, COUNTING_SCHOOLS.direct_only).total
        const fractional = value(plan.rotation, COUNTING_SCHOOLS.fractional).total
        const whole = value(plan.rotation, wholeFromQuarter).total
        for (const group of GROUPS) {
          expect(direct.groups[group].counted.value).toBeLessThanOrEqual(
            fractional.groups[group].counted.value + 1e-9,
          )
          expect(fractional.groups[group].counted.value).toBeLessThanOrEqual(
            whole.groups[group].counted.value + 1e-9,
          )
        }
      }),
    )
  })

  test('one more set never lowers a total', () => {
    fc.assert(
      fc.property(slotArbitrary, held => {
        const ledgerOf = (slot: typeof held) =>
          spanLedger(countedWorkOfDay(day(slot), context), COUNTING_SCHOOLS.fractional)
        const before = ledgerOf(held)
        const after = ledgerOf({ ...held, scheme: withSetsAdded(held.scheme, 1) })
        for (const group of GROUPS) {
          expect(after.groups[group].counted.value).toBeGreaterThanOrEqual(
            before.groups[group].counted.value,
          )
        }
      }),
    )
  })

  test('the order of the days changes no total', () => {
    fc.assert(
      fc.property(planArbitrary, ({ rotation }) => {
        const turned = { ...rotation, days: [...rotation.days].reverse() }
        const totals = (ledger: ReturnType<typeof rotationLedger>) =>
          GROUPS.map(group => ledger.total.groups[group].counted.value)
        const [forward, backward] = [
          totals(rotationLedger(rotation, context)),
          totals(rotationLedger(turned, context)),
        ]
        forward.forEach((sets, at) => expect(sets).toBeCloseTo(backward[at] ?? NaN, 9))
      }),
    )
  })

  test('going through a rotation twice gives the same week', () => {
    fc.assert(
      fc.property(
        planArbitrary.filter(plan => plan.rotation.days.length <= 7),
        ({ rotation }) => {
          const twice = { ...rotation, days: [...rotation.days, ...rotation.days] }
          const [once, doubled] = [
            rotationLedger(rotation, context),
            rotationLedger(twice, context),
          ]
          for (const group of GROUPS) {
            expect(doubled.groups[group].week.counted.value).toBeCloseTo(
              once.groups[group].week.counted.value,
              9,
            )
            expect(doubled.groups[group].spread.frequencyPer7Days).toBeCloseTo(
              once.groups[group].spread.frequencyPer7Days,
              9,
            )
          }
        },
      ),
    )
  })
})

test('an empty plan is out of nothing: there is nothing to look at yet', () => {
  const empty = rotationLedger(planOf(REST_DAY, { role: 'full', sessions: [] }).rotation, context)
  expect([isUnallocated(empty), attentionList(empty)]).toEqual([true, []])
  expect(isUnallocated(rotationLedger(seven, context))).toBe(false)
})
