import { plainDate } from '../../base'
import { describe, expect, test } from '@jest/globals'
import { exposuresByExercise } from '../../body/log'
import { contextWith, type PlanContext } from '../../plan/method'
import {
  amountsOf,
  loadsOf,
  logged,
  type Said,
  slotWith,
  straight,
  usualContext,
} from '../../testing/loads'
import { formatScheme } from '../../plan/shorthand'
import { planIn, written } from '../../testing/shorthandPlans'
import { workStages } from '../../plan/scheme'
import { loadReasonWords, loadWords } from '../../words'
import { withSetCount } from '../progress'
import { startingLoad, withMovedWeights } from '.'

const HELD = { rules: { barbell_curl: { rule: 'held' as const } } }
const last = (sets: readonly Said[], day = '2026-04-17') => logged('barbell_curl', day, sets)
const withPain: PlanContext = contextWith(
  usualContext.method,
  { ...usualContext.client, pain: { elbow_flexor_side: 'hold' } },
  usualContext.catalogue,
)

describe('straight sets', () => {
  const curl = slotWith('barbell_curl', '3 x 8-12, rir 1')
  test.each([
    {
      name: 'P10: the top was reached, one step up',
      sets: [
        [30, 12, 2],
        [30, 12, 1],
        [30, 12, 1],
      ] as const,
      amounts: [32.5, 32.5, 32.5],
      targets: [9, 9, 9],
      why: '+2.5\u00a0kg: 12, 12, 12 at 1 left last time',
    },
    {
      name: 'P11: not yet, one rep more on the first sets',
      sets: straight(30, [12, 11, 10]),
      amounts: [30, 30, 30],
      targets: [12, 12, 11],
      why: 'Same weight: 12, 11, 10 at 1 left last time',
    },
  ])('$name', ({ sets, amounts, targets, why }) => {
    const loads = loadsOf(curl, { log: last(sets) })!
    expect(amountsOf(loads)).toEqual(amounts)
    expect(loads.sets.map(({ target }) => target)).toEqual(targets)
    expect(loadReasonWords(loads)).toBe(why)
  })
  test('fell short twice: lighter', () => {
    const log = [...last(straight(40, [7, 7, 6]), '2026-04-14'), ...last(straight(40, [8, 7, 6]))]
    expect(amountsOf(loadsOf(curl, { log }))).toEqual([37.5, 37.5, 37.5])
  })
  test('of two arms the weaker one decides', () => {
    const log = last(straight(30, [12, 12, 12], 2)).flatMap(set => [
      { ...set, side: 'left' as const },
      { ...set, side: 'right' as const, reps: 10 },
    ])
    expect(loadsOf(curl, { log })?.sets.map(({ target }) => target)).toEqual([11, 11, 10])
  })
  test('a sore joint allows no more than last time; easier days are a tenth lighter', () => {
    const log = last(straight(30, [12, 12, 12], 2))
    expect(amountsOf(loadsOf(curl, { log, context: withPain }))).toEqual([30, 30, 30])
    expect(amountsOf(loadsOf(curl, { log, isDeload: true }))).toEqual([25, 25, 25])
  })
  test('a step by the coach’s wish', () => {
    const log = last(straight(30, [12, 12, 12], 2))
    expect(amountsOf(loadsOf(curl, { log, step: 'up' }))[0]).toBe(35)
    expect(amountsOf(loadsOf(curl, { log, step: 'down' }))[0]).toBe(30)
    expect(loadReasonWords(loadsOf(curl, { log, step: 'up' })!)).toMatch(/^A step heavier/)
  })
  test('what the plan names without a log; nothing where neither says anything; bands never', () => {
    expect(amountsOf(loadsOf(slotWith('barbell_curl', '3 x 10, 25kg')))).toEqual([25, 25, 25])
    expect(loadsOf(curl)).toBeUndefined()
    expect(loadsOf(slotWith('band_curl', '3 x 15'))).toBeUndefined()
  })
  test('pounds step in pounds', () => {
    const loads = loadsOf(curl, {
      log: last(straight(65 * 0.45359237, [12, 12, 12], 2)),
      unit: 'lb',
    })
    expect(loads?.unit).toBe('lb')
    expect(amountsOf(loads)).toEqual([70, 70, 70])
  })
  test('12, 10 and 8 reps at one load are each judged by their own', () => {
    const row = slotWith('barbell_curl', '3 x 12/10/8, rir 1')
    const met = last([
      [30, 12],
      [30, 10],
      [30, 8],
    ])
    expect(amountsOf(loadsOf(row, { log: met }))).toEqual([32.5, 32.5, 32.5])
    const missed = last([
      [30, 12],
      [30, 10],
      [30, 6],
    ])
    const loads = loadsOf(row, { log: missed })!
    expect(amountsOf(loads)).toEqual([30, 30, 30])
    expect(loads.sets.map(({ target }) => target)).toEqual([12, 10, 7])
  })
})

describe('sets that differ', () => {
  test.each([
    // The found faults first.
    ['4 x 10/10/8/8, 30/30/35/35kg', [30, 30, 35, 35]],
    ['4 x 14/11/9/7, 30kg; load +4kg a set', [30, 34, 38, 42]],
    ['3 x 8, 40/35/30kg', [40, 35, 30]],
    [
      'ramp 5 x 6, 40/45/45/50/55kg, then 1 x 9, 57.5kg, then 1 x 7, heavier',
      [40, 45, 45, 50, 55, 57.5, 60],
    ],
    ['1 x 6, 60kg, then 3 x 10, lighter', [60, 52.5, 52.5, 52.5]],
    ['1 x 14, 30kg, then 3 x 9, heavier', [30, 32.5, 32.5, 32.5]],
    ['1 x 6, 60kg, then 2 x 8, drop 10%', [60, 52.5, 52.5]],
    ['1 x 6, 60kg, then 2 x 8, drop 5kg of first', [60, 55, 55]],
    ['2 x 10, 20kg; load -2.5kg a set', [20, 17.5]],
  ] as const)('%s begins with %j', (text, amounts) =>
    expect(amountsOf(loadsOf(slotWith('barbell_curl', text)))).toEqual(amounts),
  )

  test.each([
    '4 x 10/10/8/8, 30/30/35/35kg',
    '4 x 14/11/9/7, 30kg; load +4kg a set',
    '3 x 8, 40/35/30kg',
    '3 x 8-12, 31kg',
    'ramp 3 x 6, 40/45/50kg, then 2 x 9, 57.5kg',
  ])('%s done as planned comes back unchanged where the load stays', text => {
    const slot = slotWith('barbell_curl', text)
    const before = amountsOf(loadsOf(slot))
    const log = last(before.map((load): Said => [load, 8, 1]))
    expect(amountsOf(loadsOf(slot, { log, ...HELD }))).toEqual(before)
  })

  const ladder = slotWith('barbell_curl', '4 x 14/11/9/7, 30kg, rir 1; load +4kg a set')
  const climbed = (reps: readonly number[], loads = [30, 34, 38, 42]) =>
    last(reps.map((count, at): Said => [loads[at]!, count, 1]))
  test('all met: the whole ladder goes up a step', () =>
    expect(amountsOf(loadsOf(ladder, { log: climbed([14, 11, 9, 7]) }))).toEqual([
      32.5, 37.5, 40, 45,
    ]))
  test('the first alone was met: it goes up alone', () => {
    const loads = loadsOf(ladder, { log: climbed([14, 10, 8, 6]) })!
    expect(amountsOf(loads)).toEqual([32.5, 34, 38, 42])
    expect(loadReasonWords(loads)).toMatch(/^One set made its reps/)
  })
  test('none met: it stays as it is', () =>
    expect(amountsOf(loadsOf(ladder, { log: climbed([13, 10, 8, 6]) }))).toEqual([30, 34, 38, 42]))
  test('a top set missed twice falls, and the sets before it stay below', () => {
    const log = [
      ...logged('barbell_curl', '2026-04-14', [
        [30, 13],
        [35, 10],
        [40, 8],
        [42.5, 5],
      ]),
      ...climbed([14, 11, 9, 5], [30, 35, 40, 42.5]),
    ]
    const amounts = amountsOf(
      loadsOf(slotWith('barbell_curl', '4 x 14/11/9/7, 30/35/40/42.5kg, rir 1'), { log }),
    )
    expect(amounts[3]).toBe(40)
    amounts.forEach((amount, at) => at > 0 && expect(amount!).toBeGreaterThan(amounts[at - 1]!))
  })
  test('sets that a ramp adds to a ladder are like its last one, and climb no further', () => {
    const added = { ...ladder, scheme: withSetCount(ladder.scheme, 7) }
    expect(amountsOf(loadsOf(added))).toEqual([30, 34, 38, 42, 42, 42, 42])
    expect(loadWords(workStages(added.scheme.runs.at(-1)!)[0]!.load)).toBe('as the set before')
    const log = climbed([14, 11, 9, 7, 7, 7, 7], [30, 34, 38, 42, 42, 42, 42])
    expect(amountsOf(loadsOf(added, { log, ...HELD }))).toEqual([30, 34, 38, 42, 42, 42, 42])
  })
  test('heavier and lighter go by what was really done there', () => {
    const slot = slotWith('barbell_curl', '1 x 6, 60kg, then 3 x 10, lighter')
    const log = last([
      [60, 6, 1],
      [45, 10, 1],
      [45, 10, 1],
      [45, 9, 1],
    ])
    expect(amountsOf(loadsOf(slot, { log, ...HELD }))).toEqual([60, 45, 45, 45])
    const up = amountsOf(loadsOf(slot, { log: log.map(set => ({ ...set, rir: 2 })) }))
    expect(up.slice(0, 2)).toEqual([62.5, 47.5])
    // Without a log they come from the estimate of the top set.
    expect(amountsOf(loadsOf(slot))[1]).toBe(52.5)
  })
  test('a top set with lighter ones behind it, where the rule is so and the plan names none', () => {
    const rules = { barbell_curl: { rule: 'top_set_back_off' as const } }
    const slot = slotWith('barbell_curl', '3 x 5-7, rir 1')
    const loads = loadsOf(slot, { log: last([[100, 6, 1]]), rules })!
    expect(loads.sets).toEqual([
      { amount: 100, target: 7 },
      { amount: 90, target: 8 },
      { amount: 90, target: 8 },
    ])
    const named = slotWith('barbell_curl', '3 x 5, 100kg')
    expect(amountsOf(loadsOf(named, { rules }))).toEqual([100, 100, 100])
  })
  test('shares of an estimate and of the usual', () => {
    const heavy = logged('barbell_curl', '2026-04-16', straight(60, [6, 6], 1), { slot: null })
    expect(
      amountsOf(loadsOf(slotWith('barbell_curl', '2 x 12, 60% e1rm'), { log: heavy })),
    ).toEqual([42.5, 42.5])
    const light = slotWith('barbell_curl', '2 x 6, 60kg, then 1 x 20, 50% usual')
    expect(amountsOf(loadsOf(light, { log: heavy }))).toEqual([60, 60, 30])
  })
})

describe('aims', () => {
  test('a window is a window: failing outside it puts the load right', () => {
    const slot = slotWith('barbell_curl', '3 x to failure 11-14')
    const after = (reps: readonly number[]) =>
      amountsOf(loadsOf(slot, { log: last(straight(40, reps, 0)) }))[0]
    expect(after([13, 12, 11])).toBe(40)
    expect(after([15, 14, 12])).toBe(42.5)
    expect(after([8, 7, 6])).toBeLessThanOrEqual(35)
    // Both ends belong to it, and a last set under it is no reason.
    expect(after([11, 11, 11, 6])).toBe(40)
    expect(after([14, 11, 11])).toBe(40)
  })
  test('an end of the window by weekday has its own load', () => {
    const slot = slotWith('barbell_curl', '3 x 9-18; low end tue, high end sat')
    const log = [
      ...last(straight(40, [10, 10, 10], 1), '2026-04-14'),
      ...last(straight(30, [17, 16, 16], 1), '2026-04-18'),
    ]
    const on = (day: string) => amountsOf(loadsOf(slot, { log, on: day }))[0]!
    expect(on('2026-04-21')).toBeGreaterThanOrEqual(37.5)
    expect(on('2026-04-25')).toBeLessThanOrEqual(32.5)
  })
  test('other reps for the same slot are a load of their own', () => {
    const before = slotWith('barbell_curl', '3 x 12-15, rir 1')
    const now = slotWith('barbell_curl', '3 x 6-8, rir 1')
    const log = last(straight(30, [13, 13, 12], 1))
    const loads = loadsOf(now, { log, lastPlanned: [before] })!
    expect(loads.reason).toMatchObject({ kind: 'other_reps', before: 30, reps: 13 })
    expect(amountsOf(loads)[0]).toBeGreaterThan(30)
  })
  test('two slots of one exercise with aims of their own do not pull at each other', () => {
    const heavy = slotWith('barbell_curl', '3 x 5-7, rir 1', 'heavy')
    const light = slotWith('barbell_curl', '3 x 14-18, rir 1', 'light')
    const log = [
      ...logged('barbell_curl', '2026-04-14', straight(50, [6, 6, 5]), { slot: heavy.id }),
      ...logged('barbell_curl', '2026-04-17', straight(30, [16, 15, 15]), { slot: light.id }),
    ]
    const lastPlanned = [heavy, light]
    expect(amountsOf(loadsOf(heavy, { log, lastPlanned }))[0]).toBe(50)
    expect(amountsOf(loadsOf(light, { log, lastPlanned }))[0]).toBe(30)
  })
  test('a weight the coach names anew is the weight, and what it jumps by is told', () => {
    const before = slotWith('barbell_curl', '3 x 8-12, 30kg')
    const now = slotWith('barbell_curl', '3 x 8-12, 40kg')
    const log = last(straight(30, [10, 10, 10]))
    const loads = loadsOf(now, { log, lastPlanned: [before] })!
    expect(amountsOf(loads)).toEqual([40, 40, 40])
    expect(loads.reason.kind).toBe('new_plan')
    expect(loads.jump).toBeCloseTo(1 / 3, 6)
    expect(amountsOf(loadsOf(before, { log, lastPlanned: [before] }))).toEqual([30, 30, 30])
  })
})

describe('after easier days, absence, and with the body’s weight', () => {
  const curl = slotWith('barbell_curl', '3 x 8-12, rir 1')
  test('the next session goes on from the last working weight', () => {
    const log = [
      ...last(straight(30, [12, 12, 12], 2), '2026-04-10'),
      ...last(straight(27.5, [12], 4), '2026-04-17'),
    ]
    expect(amountsOf(loadsOf(curl, { log, easy: ['2026-04-17'] }))[0]).toBe(32.5)
  })
  test.each([
    ['2026-04-13', 30, 'same'],
    // Seven days are planned, seven more change nothing.
    ['2026-04-06', 30, 'same'],
    ['2026-04-05', 27.5, 'away'],
    ['2026-03-29', 25, 'away'],
    ['2026-03-15', 22.5, 'away'],
    ['2026-01-20', 20, 'new_start'],
  ] as const)('last done on %s: %d kg', (day, amount, kind) => {
    const loads = loadsOf(curl, { log: last(straight(30, [11, 11, 10]), day) })!
    expect(amountsOf(loads)[0]).toBe(amount)
    expect(loads.reason.kind).toBe(kind)
  })
  test('a session of a fourteen-day rotation that slips by some days loses nothing; without the plan it would', () => {
    const { rotation } = planIn(14, written('arms', 'barbell_curl 3 x 8-12, rir 1'))
    const log = last(straight(30, [11, 11, 10]), '2026-03-31')
    expect(amountsOf(loadsOf(curl, { log, rotation }))[0]).toBe(30)
    expect(amountsOf(loadsOf(curl, { log }))[0]).toBe(27.5)
  })
  test('another exercise of the muscle counts against an absence; the lift itself comes back carefully', () => {
    const trained = logged('cable_curl', '2026-04-18', straight(20, [10]))
    const after = (day: string) =>
      loadsOf(curl, { log: [...last(straight(40, [11, 11, 10]), day), ...trained] })!
    expect(amountsOf(after('2026-03-31'))[0]).toBe(40)
    const left = after('2026-03-01')
    expect(amountsOf(left)[0]).toBe(32.5)
    expect(loadReasonWords(left)).toBe('15\u00a0% lighter: not done for 43 days beyond the plan')
  })
  test('assistance falls when the target was met, and rises when it was missed', () => {
    const slot = slotWith('assisted_chin_up', '3 x 6-8, rir 1')
    const log = (reps: readonly number[]) =>
      logged('assisted_chin_up', '2026-04-17', straight(30, reps, 2))
    expect(amountsOf(loadsOf(slot, { log: log([8, 8, 8]), bodyKg: 80 }))[0]).toBe(25)
    const short = [
      ...logged('assisted_chin_up', '2026-04-14', straight(30, [4, 4, 4])),
      ...log([4, 4, 3]),
    ]
    expect(amountsOf(loadsOf(slot, { log: short, bodyKg: 80 }))[0]).toBe(35)
    expect(loadReasonWords(loadsOf(slot, { log: log([8, 8, 8]), bodyKg: 80 })!)).toMatch(
      /^−5\u00a0kg: 8, 8, 8/,
    )
  })
  test('added weight is lightened as a share of all that is moved', () => {
    const slot = slotWith('dip', '3 x 6-8, +15kg, rir 1')
    const log = logged('dip', '2026-04-17', straight(15, [7, 7, 7]))
    // 95 kg in all; a tenth less is 85.5, of which the body is 80.
    expect(amountsOf(loadsOf(slot, { log, bodyKg: 80, isDeload: true }))[0]).toBe(5)
    expect(amountsOf(loadsOf(slot, { log, isDeload: true }))[0]).toBe(12.5)
  })
  test('never over the coach’s limit, in any set', () => {
    const context = contextWith(
      usualContext.method,
      {
        ...usualContext.client,
        exerciseRules: [{ exercise: 'barbell_curl', mostKg: 36, instead: null }],
      },
      usualContext.catalogue,
    )
    const ladder = slotWith('barbell_curl', '4 x 10, 30kg; load +4kg a set')
    expect(amountsOf(loadsOf(ladder, { context }))).toEqual([30, 34, 35, 35])
  })
})

describe('weights to begin with', () => {
  const basis = {
    context: usualContext,
    unit: 'kg' as const,
    bodyKg: null,
    rules: undefined,
    rotation: null,
  }
  const start = (
    slot: ReturnType<typeof slotWith>,
    log: ReturnType<typeof logged>,
    bodyKg: number | null = null,
    unit: 'kg' | 'lb' = 'kg',
  ) =>
    startingLoad(
      slot,
      exposuresByExercise(log),
      { ...basis, bodyKg, unit },
      plainDate('2026-04-10'),
    )
  test('come from the exercise like it that was done last, careful and with their margin', () => {
    const log = [
      ...logged('barbell_curl', '2026-04-01', straight(30, [10, 10], 2)),
      ...logged('bench_press_barbell', '2026-04-02', straight(80, [8, 8], 2)),
    ]
    expect(start(slotWith('cambered_bar_curl', '3 x 8-12, rir 2'), log)).toEqual({
      amount: 22.5,
      unit: 'kg',
      from: 'barbell_curl',
      margin: 20,
    })
    expect(start(slotWith('dumbbell_curl', '3 x 8-12, rir 2'), log)?.amount).toBe(10)
  })
  test('come from body weight alone where nothing like it was logged, with a wide margin', () => {
    expect(start(slotWith('barbell_curl', '3 x 8-12, rir 2'), [], 80)).toEqual({
      amount: 20,
      unit: 'kg',
      from: null,
      margin: 40,
    })
    const light = (id: string, kg: number) => start(slotWith(id, '3 x 8-12, rir 2'), [], kg)?.amount
    expect(light('dumbbell_curl', 80)).toBe(5)
    expect(light('pushdown_rope', 80)).toBe(10)
    // One arm at a stack, and a raise to the front, are another matter.
    expect(light('pushdown_single', 80) ?? 0).toBeLessThanOrEqual(5)
    expect(light('front_raise', 80)).toBeUndefined()
    expect(light('deadlift', 80)).toBeUndefined()
    const pounds = start(slotWith('barbell_curl', '3 x 8-12, rir 2'), [], 80, 'lb')
    expect(pounds).toMatchObject({ unit: 'lb', amount: 45 })
  })
  test('a log of one like it speaks before the body does', () => {
    const log = logged('barbell_curl', '2026-04-01', straight(30, [10, 10], 2))
    expect(start(slotWith('cambered_bar_curl', '3 x 8-12, rir 2'), log, 80)).toMatchObject({
      from: 'barbell_curl',
      margin: 20,
    })
  })
  test('are none where nothing like it was logged, or nothing is loaded', () => {
    const log = logged('bench_press_barbell', '2026-04-02', straight(80, [8, 8], 2))
    expect(start(slotWith('cambered_bar_curl', '3 x 8-12'), log)).toBeUndefined()
    const curls = logged('barbell_curl', '2026-04-01', straight(30, [10, 10], 2))
    expect(start(slotWith('band_curl', '3 x 15'), curls)).toBeUndefined()
  })
})

test('the next block’s named weights go along with the log, and what only holds back for now does not', () => {
  const plan = planIn(7, written('arms', 'barbell_curl 2 x 8-10, 30kg', 'cable_curl 2 x 10, 20kg'))
  const [curl, cable] = plan.rotation.days[0]!.sessions[0]!.groupings.map(({ slots }) => slots[0])
  const loads = (slot: typeof curl, day: string) =>
    loadsOf(slot!, {
      log: logged(slot!.exercise, day, straight(35, [8, 8], 1), { slot: slot!.id }),
    })!
  const moved = withMovedWeights(
    plan,
    new Map([
      [curl!.id, loads(curl, '2026-04-17')],
      [cable!.id, loads(cable, '2026-02-17')],
    ]),
  )
  const texts = moved.rotation.days[0]!.sessions[0]!.groupings.map(({ slots }) =>
    formatScheme(slots[0].scheme),
  )
  expect(texts).toEqual(['2 x 8-10, 35kg', '2 x 10, 20kg'])
})
