import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { BUILT_IN_CATALOGUE, requireExercise } from '../../plan/catalogue'
import { type LoadGrid, loadGrid } from '../../plan/estimate'
import { contextWith, LOAD_PROGRESSIONS, STEADY_MIDDLE } from '../../plan/method'
import type { SetScheme } from '../../plan/scheme'
import { planIn, written } from '../../testing/shorthandPlans'
import {
  effortRamp,
  leastDose,
  type LoadPlan,
  type LoadQuestion,
  nextLoadPlan,
  setRamp,
  setsToRemove,
  specialisation,
  spreadSets,
  unusualJump,
  withLeadRir,
  withRepShift,
} from '.'

/** Rules that move a load by what was done. */
const MOVING_RULES = LOAD_PROGRESSIONS.filter(rule => rule !== 'held')

const barbell: LoadGrid = { kind: 'steps', base: 20, step: 2.5 }
const dumbbells: LoadGrid = { kind: 'steps', base: 0, step: 2, fineUpTo: { limit: 10, step: 1 } }
const stack: LoadGrid = { kind: 'steps', base: 0, step: 5 }
const sets = (reps: readonly number[], rir: readonly number[] | number = 1) =>
  reps.map((count, at) => ({ reps: count, rir: typeof rir === 'number' ? rir : (rir[at] ?? 0) }))
const plan = (load: number, high: number, more: Partial<LoadPlan> = {}): LoadPlan => ({
  load,
  targets: [],
  high,
  short: 0,
  ...more,
})
const ask = (more: Partial<LoadQuestion> & Pick<LoadQuestion, 'plan' | 'done'>): LoadPlan =>
  nextLoadPlan({ rule: 'double_progression', range: [8, 12], rir: 1, grid: barbell, ...more })

describe('sets and effort over the rotations of a block', () => {
  test.each([
    [
      'P1 evenly to fourteen',
      { kind: 'linear', start: 8, end: 14, rotations: 5 },
      [8, 10, 11, 13, 14],
    ],
    [
      'P2 the cap holds it back',
      { kind: 'linear', start: 6, end: 12, rotations: 4 },
      [6, 7, 8, 10],
    ],
    ['level', { kind: 'none', start: 9, end: 14, rotations: 3 }, [9, 9, 9]],
    [
      'one more at the third, the fifth, the seventh',
      { kind: 'step', start: 8, end: 10, rotations: 8 },
      [8, 8, 9, 9, 10, 10, 10, 10],
    ],
    ['a single rotation is the start', { kind: 'linear', start: 8, end: 14, rotations: 1 }, [8]],
    ['down to less', { kind: 'linear', start: 12, end: 6, rotations: 3 }, [12, 9, 6]],
  ] as const)('%s', (_, question, expected) => expect(setRamp(question)).toEqual(expected))
  test('P3 reps in reserve', () => {
    expect([
      effortRamp({ from: 3, to: 1 }, 4),
      effortRamp({ from: 3, to: 0 }, 5),
      effortRamp({ from: 3, to: 0 }, 6),
    ]).toEqual([
      [3, 2, 2, 1],
      [3, 2, 2, 1, 0],
      [3, 2, 2, 1, 1, 0],
    ])
    expect(effortRamp({ from: 3, to: 0 }, 4, 1).at(-1)).toBe(1)
  })
  test('P4 sets go round the exercises in order, one each at most', () => {
    expect(spreadSets([3, 3, 2], 10)).toEqual({ sets: [4, 4, 2], left: 0 })
    expect(spreadSets([3, 3, 2], 13)).toEqual({ sets: [4, 4, 3], left: 2 })
    expect(spreadSets([3, 3, 2], 9, at => at === 2)).toEqual({ sets: [3, 3, 3], left: 0 })
  })
  test('a ramp never falls on its way up and never passes its end', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 1, max: 16 }),
        fc.constantFrom('linear' as const, 'step' as const),
        (start, more, rotations, kind) => {
          const ramp = setRamp({ kind, start, end: start + more, rotations })
          expect(ramp).toHaveLength(rotations)
          ramp.forEach((value, at) => {
            expect(value).toBeGreaterThanOrEqual(ramp[at - 1] ?? start)
            expect(value).toBeLessThanOrEqual(start + more)
          })
        },
      ),
    )
  })
})

describe('load rules', () => {
  test('P10 all sets at the top: the next weight with the reps it allows', () =>
    expect(ask({ plan: plan(30, 12), done: sets([12, 12, 12], [2, 1, 1]) })).toMatchObject({
      load: 32.5,
      targets: [9, 9, 9],
    }))
  test('P11 else one more rep on the first two below the top', () =>
    expect(ask({ plan: plan(30, 12), done: sets([12, 11, 10]) })).toMatchObject({
      load: 30,
      targets: [12, 12, 11],
    }))
  test('P12, P13 a step that is too large is waited for at a higher range', () => {
    const stay = ask({
      range: [8, 15],
      grid: dumbbells,
      plan: plan(10, 15),
      done: sets([15, 15, 15]),
    })
    expect(stay).toMatchObject({ load: 10, high: 17, targets: [16, 16, 16] })
    expect(
      ask({ range: [8, 15], grid: dumbbells, plan: stay, done: sets([17, 17, 17]) }),
    ).toMatchObject({ load: 12, targets: [9, 9, 9] })
  })
  test('P14 twice below the range: lighter', () => {
    const once = ask({ grid: stack, plan: plan(40, 12), done: sets([7, 7, 6]) })
    expect(once).toMatchObject({ load: 40, short: 1 })
    expect(ask({ grid: stack, plan: once, done: sets([8, 7, 6]) })).toMatchObject({
      load: 35,
      targets: [10, 10, 10],
    })
  })
  test('P15, P16 top set and back-off', () => {
    expect(
      ask({ rule: 'top_set_back_off', range: [5, 7], plan: plan(100, 7), done: sets([6]) }),
    ).toMatchObject({ load: 100, backOff: { load: 90, reps: 8 } })
    expect(
      ask({ rule: 'top_set_back_off', range: [5, 7], plan: plan(100, 7), done: sets([7]) }),
    ).toMatchObject({ load: 102.5, backOff: { load: 90 } })
    expect(
      ask({ rule: 'top_set_back_off', range: [5, 7], plan: plan(100, 7), done: sets([4]) }).load,
    ).toBe(95)
  })
  test('P17 load from reps in reserve', () =>
    expect(
      ask({
        rule: 'load_from_rir',
        rir: 2,
        plan: plan(30, 12),
        done: sets([10, 10], 2),
        estimates: [44, 43, 45],
      }),
    ).toMatchObject({ load: 32.5 }))
  test('P18 fixed load: reps rise to the top, then the next weight', () => {
    const first = ask({
      rule: 'fixed_load_add_reps',
      plan: plan(20, 12, { targets: [10, 10, 10] }),
      done: sets([10, 10, 10]),
    })
    expect(first.targets).toEqual([11, 11, 11])
    const second = ask({ rule: 'fixed_load_add_reps', plan: first, done: sets([11, 11, 11]) })
    expect(second.targets).toEqual([12, 12, 12])
    expect(ask({ rule: 'fixed_load_add_reps', plan: second, done: sets([12, 12, 12]) }).load).toBe(
      22.5,
    )
  })
  test('fixed load missed: again, again, then lighter', () => {
    const missed = (from: LoadPlan) =>
      ask({ rule: 'fixed_load_add_reps', plan: from, done: sets([8, 8, 8]) })
    const [once, twice] = [
      missed(plan(40, 12, { targets: [10, 10, 10] })),
      missed(missed(plan(40, 12, { targets: [10, 10, 10] }))),
    ]
    expect([once.load, twice.load, missed(twice).load]).toEqual([40, 40, 37.5])
  })
  test('nothing done changes nothing; bands have no next weight', () => {
    expect(ask({ plan: plan(30, 12), done: [] })).toEqual(plan(30, 12))
    expect(ask({ grid: { kind: 'none' }, plan: plan(0, 12), done: sets([12, 12]) })).toMatchObject({
      load: 0,
      high: 14,
    })
  })
  test.each([
    ['one step is usual', 30, 32.5, null],
    ['ten per cent is usual', 100, 110, null],
    ['more is not', 30, 37.5, 0.25],
  ] as const)('jumps: %s', (_, before, after, expected) =>
    expect(unusualJump(before, after, barbell)).toBe(expected),
  )
  test('whatever was done, the next load can be loaded and targets are reps', () => {
    const grid = loadGrid(requireExercise(BUILT_IN_CATALOGUE, 'dumbbell_curl'), 'kg')
    fc.assert(
      fc.property(
        fc.constantFrom(...MOVING_RULES),
        fc.integer({ min: 1, max: 20 }),
        fc.array(fc.integer({ min: 0, max: 25 }), { minLength: 1, maxLength: 5 }),
        (rule, load, reps) => {
          const next = nextLoadPlan({
            rule,
            range: [8, 12],
            rir: 1,
            grid,
            plan: plan(load, 12),
            done: sets(reps),
          })
          expect(next.load).toBeGreaterThanOrEqual(0)
          expect(next.targets.every(target => Number.isInteger(target))).toBe(true)
        },
      ),
    )
  })
})

test('by every rule, who did a rep more of the first set is never given less', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...MOVING_RULES),
      fc.integer({ min: 10, max: 60 }),
      fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 5 }),
      fc.integer({ min: 0, max: 3 }),
      (rule, steps, [first = 1, ...rest], rir) => {
        const after = (reps: number) =>
          ask({ rule, plan: plan(20 + 2.5 * steps, 12), done: sets([reps, ...rest], rir) }).load
        expect(after(first + 1)).toBeGreaterThanOrEqual(after(first))
      },
    ),
    { numRuns: 3000 },
  )
})

test.each([
  ['far over the range', 30, 1, 62.5],
  ['as asked', 23, 1, 60],
  ['far under it', 12, 1, 55],
  ['with eight left', 20, 8, 62.5],
] as const)('of twenty reps and more no maximum is told; %s says enough', (_, reps, rir, load) =>
  expect(
    ask({ rule: 'load_from_rir', range: [20, 26], plan: plan(60, 26), done: sets([reps], rir) })
      .load,
  ).toBe(load),
)

describe('more here means less there', () => {
  test('P21 half of what comes goes, P22 a third of the sets keeps a muscle', () => {
    expect(setsToRemove(90, 10)).toBe(5)
    expect(setsToRemove(90, 0) + 0).toBe(0)
    expect(leastDose('maintain', 12, { floor: 4, target: 10 })).toBe(4)
    expect(leastDose('keep', 12, { floor: 4, target: 10 })).toBe(8)
  })
  const context = contextWith(STEADY_MIDDLE, {
    trainingAgeMonths: 60,
    modes: { biceps: 'build', triceps: 'build', chest: 'maintain', quads: 'maintain' },
  })
  const body = planIn(
    7,
    written('push', 'bench_press_dumbbell 6 x 8, rir 2', 'pushdown_rope 3 x 12, rir 1'),
    written('legs', 'leg_press 8 x 10, rir 2'),
    written('arms', 'cable_curl 4 x 12, rir 1'),
  )
  test('cuts come from what is only maintained, what stresses the elbow first, and never from the arms', () => {
    const trade = specialisation(body, context, 6)
    expect(trade.toRemove).toBeGreaterThanOrEqual(3)
    expect(trade.cuts[0]?.exercise).toBe('bench_press_dumbbell')
    expect(trade.cuts.every(({ group }) => group === 'chest' || group === 'quads')).toBe(true)
    expect(trade.cuts.reduce((sum, { sets: cut }) => sum + cut, 0)).toBe(
      trade.toRemove - trade.left,
    )
  })
  test('what cannot be found is told', () =>
    expect(
      specialisation(planIn(7, written('arms', 'cable_curl 4 x 12')), context, 6),
    ).toMatchObject({ cuts: [], left: 6 }))
})

describe('effort of a rotation laid over a scheme', () => {
  const failing = (): SetScheme => ({
    runs: [
      {
        role: 'working',
        count: 2,
        stages: [
          { kind: 'work', reps: { kind: 'exactly', count: 10 }, effort: { kind: 'rir', rir: 2 } },
        ],
      },
      {
        role: 'working',
        count: 1,
        stages: [
          { kind: 'work', reps: { kind: 'exactly', count: 10 }, effort: { kind: 'failure' } },
        ],
      },
    ],
  })
  const efforts = (scheme: SetScheme) =>
    scheme.runs.flatMap(({ stages }) =>
      stages.map(stage => (stage.kind === 'work' ? stage.effort : undefined)),
    )

  test('sets to failure stay sets to failure, whatever the rotation asks', () => {
    for (const rir of [0, 1, 3, 5])
      expect(efforts(withLeadRir(failing(), rir, 0)).at(-1)).toEqual({ kind: 'failure' })
  })

  test('what differs from set to set keeps its difference, within its limits', () => {
    const [first] = failing().runs
    const scheme: SetScheme = {
      runs: [first!, { ...first!, stages: [{ kind: 'work', effort: { kind: 'rir', rir: 1 } }] }],
    }
    const rirs = (asked: number, least = 0) =>
      efforts(withLeadRir(scheme, asked, least)).map(effort =>
        effort?.kind === 'rir' ? effort.rir : null,
      )
    expect(rirs(4)).toEqual([4, 3])
    expect(rirs(0)).toEqual([0, 0])
    expect(rirs(0, 1)).toEqual([1, 1])
    expect(rirs(9)).toEqual([6, 6])
  })

  test('a set without reps in reserve gets them; a warm-up set does not', () => {
    const scheme: SetScheme = {
      runs: [
        { role: 'warmup', count: 1, stages: [{ kind: 'work' }] },
        { role: 'working', count: 1, stages: [{ kind: 'work' }] },
      ],
    }
    expect(efforts(withLeadRir(scheme, 2, 0))).toEqual([undefined, { kind: 'rir', rir: 2 }])
  })
})

describe('reps of a wave', () => {
  const reps = (low: number, high: number): SetScheme => ({
    runs: [
      {
        role: 'working',
        count: 3,
        stages: [
          {
            kind: 'work',
            reps: low === high ? { kind: 'exactly', count: low } : { kind: 'between', low, high },
          },
        ],
      },
    ],
  })
  test.each([
    { name: 'four fewer', from: reps(8, 12), by: -4, to: reps(4, 8) },
    { name: 'never under three', from: reps(6, 10), by: -8, to: reps(3, 3) },
    { name: 'two more', from: reps(10, 10), by: 2, to: reps(12, 12) },
    { name: 'a single stays a single', from: reps(1, 1), by: -2, to: reps(1, 1) },
  ])('$name', ({ from, by, to }) => {
    const moved = withRepShift(from, by)
    const shown = (scheme: SetScheme) => {
      const [stage] = scheme.runs[0]!.stages
      const { reps: of } = stage as {
        reps?: { kind: string; count?: number; low?: number; high?: number }
      }
      return [of?.low ?? of?.count, of?.high ?? of?.count]
    }
    expect(shown(moved)).toEqual(shown(to))
  })
  test('no shift is the same scheme', () => {
    const scheme = reps(8, 12)
    expect(withRepShift(scheme, 0)).toBe(scheme)
  })
})
