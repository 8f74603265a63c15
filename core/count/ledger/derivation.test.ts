import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BUILT_IN_CATALOGUE, GROUPS, requireExercise } from '../../plan/catalogue'
import {
  COUNTING_SCHOOL_IDS,
  COUNTING_SCHOOLS,
  defaultContext,
  effectiveSets,
} from '../../plan/method'
import { dayArbitrary, planArbitrary } from '../../testing/arbitraries'
import { day, drop, planOf, REST_DAY, sets, slot, straight, work } from '../../testing/notation'
import { blockLedger } from './blockLedger'
import { countedWorkOfDay } from './countedWork'
import { coverage } from './coverage'
import { derivation } from './derivation'
import { rotationLedger } from './rotationLedger'
import { groupTarget, SESSION_CAPS, spanLedger } from './tally'
import { rangeLength } from './rangeLength'

const context = defaultContext({ trainingAgeMonths: 48 })
const under = (id: (typeof COUNTING_SCHOOL_IDS)[number]) => ({
  ...context,
  method: { ...context.method, school: COUNTING_SCHOOLS[id] },
})

test('a derivation adds up to the figure it explains, under every school', () => {
  fc.assert(
    fc.property(
      dayArbitrary,
      fc.constantFrom(...COUNTING_SCHOOL_IDS),
      fc.constantFrom(...GROUPS),
      (held, id, group) => {
        const given = under(id)
        const ledger = spanLedger(countedWorkOfDay(held, given), given.method.school)
        expect(derivation(held, groupTarget(group), given).counted).toBeCloseTo(
          ledger.groups[group].counted.value,
          9,
        )
      },
    ),
  )
})

test('every line says why it counts as it does', () => {
  const held = day(
    slot(
      'cable_curl',
      sets(2, [work(15)], { role: 'warmup' }),
      sets(2, [work(12, 1)]),
      sets(1, [work(12, 0), drop(8, 0)]),
    ),
    straight('pulldown_neutral', 3, 10),
    straight('cable_curl', 1, 20, 7),
  )
  const lines = derivation(held, groupTarget('biceps'), context).lines.map(
    ({ slot: { exercise }, sets: count, counted, rules }) => [
      exercise,
      count,
      counted,
      rules.join(' '),
    ],
  )
  expect(lines).toEqual([
    ['cable_curl', 2, 2, 'direct'],
    ['cable_curl', 1, 1, 'direct'],
    ['pulldown_neutral', 3, 1.5, 'indirect rir_assumed'],
    ['cable_curl', 0, 0, 'too_far_from_failure'],
    ['cable_curl', 2, 0, 'warm_up'],
  ])
})

describe('the school that weighs sets', () => {
  test('effective sets never pass the sets, and long sets are capped per session', () => {
    fc.assert(
      fc.property(dayArbitrary, held => {
        const given = under('stimulus')
        const work1 = countedWorkOfDay(held, given)
        const { groups } = spanLedger(work1, given.method.school)
        const sessions = held.sessions.length
        for (const group of GROUPS) {
          const counted = groups[group].counted.value
          expect(effectiveSets(counted, 'trained')).toBeLessThanOrEqual(counted + 1e-9)
          const bases = work1.reduce(
            (sum, piece) =>
              sum +
              piece.times.value *
                piece.weighted.reduce(
                  (total, part) => total + part.base * (part.credits[group] ?? 0),
                  0,
                ),
            0,
          )
          expect(counted).toBeLessThanOrEqual(
            bases + sessions * (SESSION_CAPS.bonus + SESSION_CAPS.primer) + 1e-9,
          )
        }
      }),
    )
  })
  test('curves bend each day by itself (N16)', () => {
    const week = (...direct: readonly number[]) => {
      const days = direct.map(count =>
        count === 0 ? REST_DAY : day(straight('cable_curl', count, 10, 1)),
      )
      return rotationLedger(planOf(...days).rotation, under('stimulus')).groups.biceps
        .effectivePer7Days
    }
    expect(week(0, 7, 0, 0, 4, 6, 0)).toBeCloseTo(15.75, 3)
    expect(week(0, 7, 0, 0, 3, 9, 0, 0)).toBeCloseTo(14.569, 3)
    expect(week(5, 0, 0, 6, 0)).toBeCloseTo(14.35, 3)
    expect(week(4, 0, 0)).toBeCloseTo(9.333, 3)
  })
  test('circuits count a little less (C34), and schools that book parts count each part', () => {
    const plain = day(straight('pushdown_rope', 3, 12, 2))
    const session = plain.sessions[0]
    const circuit = {
      ...plain,
      sessions: session
        ? [
            {
              ...session,
              groupings: session.groupings.map(grouping => ({
                ...grouping,
                kind: 'circuit' as const,
              })),
            },
          ]
        : [],
    }
    const given = under('stimulus')
    expect(
      spanLedger(countedWorkOfDay(circuit, given), given.method.school).groups.triceps.counted
        .value,
    ).toBeCloseTo(2.565, 9)
    const parts = {
      ...context,
      method: {
        ...context.method,
        school: { ...COUNTING_SCHOOLS.fractional, id: 'own', value: 'parts' as const },
      },
    }
    const dropped = day(slot('cable_curl', sets(2, [work(10, 0), drop(8, 0)])))
    expect(
      spanLedger(countedWorkOfDay(dropped, parts), parts.method.school).groups.biceps.counted.value,
    ).toBe(4)
  })
})

describe('load besides the plan', () => {
  const rotation = planOf(
    day(straight('cable_curl', 4, 10, 1)),
    REST_DAY,
    REST_DAY,
    REST_DAY,
    REST_DAY,
    REST_DAY,
    REST_DAY,
  ).rotation
  const rowing = { what: 'Rows at dawn', groups: ['biceps' as const], times: { low: 1, high: 3 } }
  test('a known amount is added as indirect sets, with its range', () => {
    const { week } = rotationLedger(
      { ...rotation, sideLoads: [{ ...rowing, setsEach: 2 }] },
      context,
    ).groups.biceps
    expect([week.direct.value, week.indirect.value, week.counted.low, week.counted.high]).toEqual([
      4, 4, 6, 10,
    ])
  })
  test('an unknown amount leaves the sum open: at least four', () => {
    const { week } = rotationLedger(
      { ...rotation, sideLoads: [{ ...rowing, setsEach: null }] },
      context,
    ).groups.biceps
    expect([week.counted.value, week.counted.low, week.counted.high, week.counted.assumed]).toEqual(
      [4, 4, Infinity, ['side_load']],
    )
  })
})

describe('coverage', () => {
  const push = day(
    straight('bench_press_barbell', 4, 8, 2),
    straight('overhead_press_dumbbell', 3, 10, 2),
    straight('pushdown_rope', 3, 12, 1),
  )
  const arms = (last: string) =>
    day(
      straight('cambered_bar_curl', 4, 10, 1),
      straight('incline_dumbbell_curl', 3, 10, 1),
      straight('hammer_curl', 3, 10, 1),
      straight('narrow_grip_bench_press', 4, 8, 2),
      straight('overhead_extension_rope', 3, 12, 1),
      straight(last, 3, 12, 0),
    )
  test('C41 and C43: the long head is short until a pushdown makes room for overhead work', () => {
    const before = coverage(
      rotationLedger(planOf(push, arms('pushdown_rope')).rotation, context),
      'triceps',
      context,
    )
    expect(before.heads[0]?.share).toBeCloseTo(0.291, 3)
    expect(before.gaps[0]).toMatchObject({ kind: 'head_short', muscle: 'triceps_long', wish: 0.3 })
    const swapped = day(
      straight('bench_press_barbell', 4, 8, 2),
      straight('overhead_press_dumbbell', 3, 10, 2),
      straight('overhead_extension_rope', 3, 12, 1),
    )
    expect(
      coverage(
        rotationLedger(planOf(swapped, arms('pushdown_rope')).rotation, context),
        'triceps',
        context,
      ).heads[0]?.share,
    ).toBeCloseTo(0.318, 3)
  })
  test('hammer curls cover the wish for a turned grip', () => {
    const { grips, gaps } = coverage(
      rotationLedger(planOf(arms('pushdown_rope')).rotation, context),
      'biceps',
      context,
    )
    expect(grips.neutral).toBeCloseTo(0.3, 9)
    expect(gaps.some(({ kind }) => kind === 'neutral_short')).toBe(false)
  })
  test('the lower half of a pushdown is the short one', () => {
    const half = { kind: 'part', from: 0, to: 0.5 } as const
    expect(
      ['pushdown_rope', 'cable_curl'].map(id =>
        rangeLength(half, requireExercise(BUILT_IN_CATALOGUE, id)),
      ),
    ).toEqual(['shortened', 'lengthened'])
  })
})

test('a block is the sum of its sessions, by totals and by calendar weeks, under every school', () => {
  fc.assert(
    fc.property(
      planArbitrary,
      fc.constantFrom(...COUNTING_SCHOOL_IDS),
      fc.constantFrom(...GROUPS),
      (plan, id, group) => {
        const given = under(id)
        const sessions = plan.rotation.days.flatMap(held =>
          held.sessions.map(session =>
            spanLedger(
              countedWorkOfDay({ ...held, sessions: [session] }, given),
              given.method.school,
            ),
          ),
        )
        const sum =
          plan.passes *
          sessions.reduce((total, { groups }) => total + groups[group].counted.value, 0)
        const { total, weeks } = blockLedger(plan, given)
        expect(total.groups[group].counted.value).toBeCloseTo(sum, 6)
        expect(weeks[group].reduce((all, { sets: own }) => all + own, 0)).toBeCloseTo(sum, 6)
      },
    ),
  )
})
