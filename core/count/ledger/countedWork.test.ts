import { describe, expect, test } from '@jest/globals'
import type { Group } from '../../plan/catalogue'
import { COUNTING_SCHOOLS, type CountingSchoolId, defaultContext } from '../../plan/method'
import type { Slot } from '../../plan/session'
import { day, drop, pause, sets, slot, straight, work } from '../../testing/notation'
import { countedWorkOfDay } from './countedWork'
import { spanLedger } from './tally'

const SCHOOLS: readonly CountingSchoolId[] = ['direct_only', 'fractional', 'whole', 'stimulus']
const context = defaultContext({ trainingAgeMonths: 48 })

function counted(slots: readonly Slot[], group: Group, schoolId: CountingSchoolId): number {
  const school = COUNTING_SCHOOLS[schoolId]
  const under = { ...context, method: { ...context.method, school } }
  return spanLedger(countedWorkOfDay(day(...slots), under), school).groups[group].counted.value
}

const failure = { effort: { kind: 'failure' } } as const
const primer = (exercise: string, count: number) =>
  slot(exercise, sets(count, [work(20, 8)], { role: 'primer' }))
const restPause = (exercise: string, ...reps: readonly number[]) =>
  slot(
    exercise,
    sets(1, [
      work(reps[0] ?? 0, 0),
      ...reps.slice(1).flatMap(count => [pause(15), work(count, 0)]),
    ]),
  )
const runningTotal = (exercise: string, lead: number, total: number, count = 1) =>
  slot(
    exercise,
    sets(count, [work(lead, 0), pause(15), { kind: 'work', reps: { kind: 'until_total', total } }]),
  )
const restricted = (exercise: string, ...reps: readonly number[]) =>
  slot(
    exercise,
    sets(1, [work(reps[0] ?? 0), ...reps.slice(1).flatMap(count => [pause(30), work(count)])], {
      protocol: 'restricted_flow',
    }),
  )
const part = (from: number, to: number) => ({ range: { kind: 'part', from, to } }) as const

const C41 = [
  straight('bench_press_barbell', 4, 8, 2),
  straight('overhead_press_dumbbell', 3, 10, 2),
  straight('pushdown_rope', 3, 12, 1),
]
const C42 = [
  straight('pulldown_neutral', 4, 10, 2),
  straight('seated_cable_row', 4, 10, 2),
  straight('incline_dumbbell_curl', 3, 10, 1),
]
const C43 = [
  straight('cambered_bar_curl', 4, 10, 1),
  straight('incline_dumbbell_curl', 3, 10, 1),
  straight('hammer_curl', 3, 10, 1),
  straight('narrow_grip_bench_press', 4, 8, 2),
  straight('overhead_extension_rope', 3, 12, 1),
  straight('pushdown_rope', 3, 12, 0),
]

type Row = readonly [
  name: string,
  slots: readonly Slot[],
  group: Group,
  direct: number,
  fractional: number,
  whole: number,
  stimulus: number,
]
const EXAMPLES: readonly Row[] = [
  ['C1 three curls: biceps', [straight('barbell_curl', 3, 10, 2)], 'biceps', 3, 3, 3, 2.85],
  [
    'C1 three curls: other flexors',
    [straight('barbell_curl', 3, 10, 2)],
    'elbow_flexors_other',
    0,
    1.5,
    3,
    1.425,
  ],
  [
    'C1 three curls: forearms',
    [straight('barbell_curl', 3, 10, 2)],
    'forearms',
    0,
    0.75,
    0,
    0.7125,
  ],
  [
    'C2 four bench presses: chest',
    [straight('bench_press_barbell', 4, 8, 2)],
    'chest',
    4,
    4,
    4,
    3.8,
  ],
  [
    'C2 four bench presses: triceps',
    [straight('bench_press_barbell', 4, 8, 2)],
    'triceps',
    0,
    2,
    4,
    1.9,
  ],
  ['C3 chin-ups for the lats: lats', [straight('chin_up:lats', 3, 8, 1)], 'lats', 3, 3, 3, 3],
  [
    'C3 chin-ups for the lats: biceps',
    [straight('chin_up:lats', 3, 8, 1)],
    'biceps',
    0,
    2.25,
    3,
    2.25,
  ],
  [
    'C4 chin-ups for the biceps: lats',
    [straight('chin_up:biceps', 3, 8, 1)],
    'lats',
    0,
    2.25,
    3,
    2.25,
  ],
  [
    'C4 chin-ups for the biceps: biceps',
    [straight('chin_up:biceps', 3, 8, 1)],
    'biceps',
    3,
    3,
    3,
    3,
  ],
  ['C5 reverse curls: biceps', [straight('reverse_curl', 3, 12, 1)], 'biceps', 0, 0.75, 0, 0.75],
  [
    'C5 reverse curls: other flexors',
    [straight('reverse_curl', 3, 12, 1)],
    'elbow_flexors_other',
    3,
    3,
    3,
    3,
  ],
  [
    'C6 warm-up sets never count',
    [slot('cambered_bar_curl', sets(2, [work(12)], { role: 'warmup' }), sets(3, [work(10, 1)]))],
    'biceps',
    3,
    3,
    3,
    3,
  ],
  [
    'C7 a primer set counts nothing',
    [primer('cable_curl', 1), straight('cable_curl', 3, 10, 1)],
    'biceps',
    3,
    3,
    3,
    3.25,
  ],
  ['C8 primers alone', [primer('pushdown_rope', 3)], 'triceps', 0, 0, 0, 0.5],
  ['C9 RIR 2.5', [straight('pushdown_rope', 3, 12, 2.5)], 'triceps', 3, 3, 3, 2.7],
  ['C10 RIR 6 is too easy', [straight('pushdown_rope', 2, 15, 6)], 'triceps', 0, 0, 0, 0.6],
  ['C11 no RIR given', [straight('pushdown_rope', 3, 10)], 'triceps', 3, 3, 3, 2.85],
  [
    'C12 low reps: triceps',
    [straight('narrow_grip_bench_press', 5, 3, 1)],
    'triceps',
    5,
    5,
    5,
    2.5,
  ],
  ['C12 low reps: chest', [straight('narrow_grip_bench_press', 5, 3, 1)], 'chest', 0, 2.5, 5, 1.25],
  ['C13 high reps', [straight('band_pushdown', 2, 35, 0)], 'triceps', 2, 2, 2, 1.7],
  [
    'C14 double drop on the last',
    [
      slot(
        'cambered_bar_curl',
        sets(2, [work(10, 2)]),
        sets(1, [work(10, 2), drop(8, 0), drop(8, 0)]),
      ),
    ],
    'biceps',
    3,
    3,
    3,
    3.65,
  ],
  [
    'C15 four drops',
    [slot('cable_curl', sets(1, [work(10, 0), drop(6, 0), drop(6, 0), drop(6, 0), drop(6, 0)]))],
    'biceps',
    1,
    1,
    1,
    2,
  ],
  [
    'C16 a drop of three reps',
    [slot('cable_curl', sets(1, [work(10, 0), drop(3, 0)]))],
    'biceps',
    1,
    1,
    1,
    1,
  ],
  [
    'C17 a drop stopped early',
    [slot('cable_curl', sets(1, [work(10, 1), drop(8, 2)]))],
    'biceps',
    1,
    1,
    1,
    1.475,
  ],
  [
    'C18 press with a drop: chest',
    [slot('machine_chest_press', sets(1, [work(10, 0), drop(8, 0)]))],
    'chest',
    1,
    1,
    1,
    1.5,
  ],
  [
    'C18 press with a drop: triceps',
    [slot('machine_chest_press', sets(1, [work(10, 0), drop(8, 0)]))],
    'triceps',
    0,
    0.5,
    1,
    0.75,
  ],
  ['C19 rest-pause', [restPause('pushdown_bar', 12, 4, 3, 2)], 'triceps', 1, 1, 1, 1.6],
  [
    'C20 running total 30: other flexors',
    [runningTotal('hammer_curl', 12, 30)],
    'elbow_flexors_other',
    2,
    2,
    2,
    2.2,
  ],
  [
    'C20 running total 30: biceps',
    [runningTotal('hammer_curl', 12, 30)],
    'biceps',
    0,
    1.5,
    2,
    1.65,
  ],
  ['C21 running total 40 is capped', [runningTotal('cable_curl', 10, 40)], 'biceps', 3, 3, 3, 2.5],
  [
    'C22 cluster near failure at its end',
    [
      slot(
        'narrow_grip_bench_press',
        sets(1, [work(4, 6), pause(20), work(4, 6), pause(20), work(4, 2)]),
      ),
    ],
    'triceps',
    1,
    1,
    1,
    0.95,
  ],
  [
    'C23 partials after the last rep',
    [slot('preacher_curl_bar', sets(1, [work(10, 0), work(5, 0, part(0, 0.5))]))],
    'biceps',
    1,
    1,
    1,
    1.25,
  ],
  [
    'C24 many partials',
    [slot('preacher_curl_bar', sets(1, [work(10, 0), work(9, 0, part(0, 0.5))]))],
    'biceps',
    1,
    1,
    1,
    1.3,
  ],
  [
    'C25 assisted lowerings',
    [slot('preacher_curl_bar', sets(1, [work(10, 0), work(2, 0, { form: 'lowering_only' })]))],
    'biceps',
    1,
    1,
    1,
    1.2,
  ],
  [
    'C26 lengthened partials',
    [slot('overhead_extension_rope', sets(3, [work(12, 1, part(0, 0.5))]))],
    'triceps',
    3,
    3,
    3,
    3,
  ],
  [
    'C27 shortened partials',
    [slot('pushdown_rope', sets(3, [work(12, 1, part(0, 0.5))]))],
    'triceps',
    3,
    3,
    3,
    2.25,
  ],
  [
    'C28 three ranges',
    [
      slot(
        'cambered_bar_curl',
        sets(1, [work(7, undefined, part(0, 0.5)), work(7, undefined, part(0.5, 1)), work(7, 1)]),
      ),
    ],
    'biceps',
    1,
    1,
    1,
    1,
  ],
  [
    'C29 three ranges with reps to spare',
    [
      slot(
        'cambered_bar_curl',
        sets(1, [work(7, undefined, part(0, 0.5)), work(7, undefined, part(0.5, 1)), work(7, 3)]),
      ),
    ],
    'biceps',
    1,
    1,
    1,
    0.85,
  ],
  [
    'C30 a longer stretch hold',
    [
      slot(
        'incline_dumbbell_curl',
        sets(1, [work(12, 0), { kind: 'hold', at: 'lengthened', seconds: 40 }]),
      ),
    ],
    'biceps',
    1,
    1,
    1,
    1.2,
  ],
  [
    'C30 stretch hold after the set',
    [
      slot(
        'incline_dumbbell_curl',
        sets(1, [work(12, 0), { kind: 'hold', at: 'lengthened', seconds: 20 }]),
      ),
    ],
    'biceps',
    1,
    1,
    1,
    1.1,
  ],
  [
    'C31 stretch hold alone',
    [slot('incline_dumbbell_curl', sets(1, [{ kind: 'hold', at: 'lengthened', seconds: 45 }]))],
    'biceps',
    0,
    0,
    0,
    0.25,
  ],
  [
    'C32 restricted flow: biceps',
    [restricted('cable_curl', 30, 15, 15, 15)],
    'biceps',
    3,
    3,
    3,
    2.5,
  ],
  [
    'C32 restricted flow: other flexors',
    [restricted('cable_curl', 30, 15, 15, 15)],
    'elbow_flexors_other',
    0,
    1.5,
    3,
    1.25,
  ],
  [
    'C33 restricted flow cut short',
    [restricted('pushdown_rope', 30, 15, 15, 8)],
    'triceps',
    2.25,
    2.25,
    2.25,
    1.875,
  ],
  [
    'C35 grips in one set: other flexors',
    [
      slot(
        'reverse_curl',
        sets(1, [
          work(8, 0, { grip: 'pronated' }),
          work(8, 0, { grip: 'neutral' }),
          work(8, 0, { grip: 'supinated' }),
        ]),
      ),
    ],
    'elbow_flexors_other',
    1,
    1,
    1,
    1.8,
  ],
  [
    'C35 grips in one set: biceps',
    [
      slot(
        'reverse_curl',
        sets(1, [
          work(8, 0, { grip: 'pronated' }),
          work(8, 0, { grip: 'neutral' }),
          work(8, 0, { grip: 'supinated' }),
        ]),
      ),
    ],
    'biceps',
    1,
    1,
    1,
    1.1,
  ],
  [
    'C36 lowering only',
    [
      slot(
        'preacher_curl_bar',
        sets(3, [work(5, 0, { tempo: { lower: 4 } })], { protocol: 'eccentric_only' }),
      ),
    ],
    'biceps',
    3,
    3,
    3,
    3,
  ],
  [
    'C38 one arm after the other',
    [straight('preacher_curl_dumbbell', 3, 10, 1)],
    'biceps',
    3,
    3,
    3,
    3,
  ],
  [
    'C39 an extra set on the left',
    [
      slot(
        'preacher_curl_dumbbell',
        sets(3, [work(10, 1)]),
        sets(1, [work(10, 1)], { side: 'left' }),
      ),
    ],
    'biceps',
    3.5,
    3.5,
    3.5,
    3.5,
  ],
  ['C40 three running totals', [runningTotal('cable_curl', 10, 40, 3)], 'biceps', 9, 9, 9, 6],
  ['C41 push day: triceps', C41, 'triceps', 3, 6.5, 10, 6.325],
  ['C41 push day: chest', C41, 'chest', 4, 4.75, 4, 4.5125],
  ['C41 push day: front delts', C41, 'delts_front', 3, 5, 7, 4.75],
  ['C42 pull day: biceps', C42, 'biceps', 3, 7, 11, 6.8],
  ['C42 pull day: other flexors', C42, 'elbow_flexors_other', 0, 6.5, 11, 6.25],
  ['C42 pull day: lats', C42, 'lats', 4, 7, 8, 6.65],
  ['C42 pull day: forearms', C42, 'forearms', 0, 2.75, 0, 2.65],
  ['C43 arm day: biceps', C43, 'biceps', 7, 9.25, 10, 9.25],
  ['C43 arm day: other flexors', C43, 'elbow_flexors_other', 3, 6.5, 10, 6.5],
  ['C43 arm day: triceps', C43, 'triceps', 10, 10, 10, 9.8],
  ['C43 arm day: forearms', C43, 'forearms', 0, 2.5, 0, 2.5],
]

describe('counted sets under four schools (domain C1 to C43)', () => {
  test.each(
    EXAMPLES.map(([name, slots, group, ...expected]) => ({ name, slots, group, expected })),
  )('$name', ({ slots, group, expected }) => {
    SCHOOLS.forEach((school, at) =>
      expect({ school, sets: Number(counted(slots, group, school).toFixed(9)) }).toEqual({
        school,
        sets: expected[at],
      }),
    )
  })
})

test('C5 with whole sets from a credit of 0.25 up', () => {
  const school = { ...COUNTING_SCHOOLS.whole, wholeFrom: 0.25 }
  const work3 = countedWorkOfDay(day(straight('reverse_curl', 3, 12, 1)), context)
  expect(spanLedger(work3, school).groups.biceps.counted.value).toBe(3)
})

test('C41 with indirect sets worth three quarters', () => {
  const school = { ...COUNTING_SCHOOLS.whole, wholeIndirect: 0.75 }
  expect(
    spanLedger(countedWorkOfDay(day(...C41), context), school).groups.triceps.counted.value,
  ).toBe(8.25)
})

test('C41 and C42: direct and indirect stand side by side', () => {
  const push = spanLedger(countedWorkOfDay(day(...C41), context), COUNTING_SCHOOLS.fractional)
    .groups.triceps
  const pull = spanLedger(countedWorkOfDay(day(...C42), context), COUNTING_SCHOOLS.fractional)
    .groups.biceps
  expect([push.direct.value, push.indirect.value, pull.direct.value, pull.indirect.value]).toEqual([
    3, 3.5, 3, 4,
  ])
})

test('C43 by head', () => {
  const { muscles } = spanLedger(
    countedWorkOfDay(day(...C43), context),
    COUNTING_SCHOOLS.fractional,
  )
  const heads = [
    'triceps_long',
    'triceps_lateral',
    'triceps_medial',
    'biceps_long',
    'biceps_short',
  ] as const
  const expected = [3.13, 3.7, 3.17, 5.1175, 4.1325]
  heads.forEach((head, at) =>
    expect(muscles[head].counted.value).toBeCloseTo(expected[at] ?? NaN, 6),
  )
})

describe('what is not known is said', () => {
  const figure = (held: Slot) =>
    spanLedger(countedWorkOfDay(day(held), context), COUNTING_SCHOOLS.fractional).groups.biceps
      .counted

  test('a missing RIR is assumed', () => {
    expect(figure(straight('cable_curl', 3, 10))).toEqual({
      value: 3,
      low: 3,
      high: 3,
      assumed: ['rir'],
    })
  })
  test('two to four sets are a range', () => {
    expect(
      figure(slot('cable_curl', sets(3, [work(10, 1)], { countRange: { low: 2, high: 4 } }))),
    ).toEqual({ value: 3, low: 2, high: 4, assumed: [] })
  })
  test('an open number of sets is "at least"', () => {
    expect(
      figure(slot('cable_curl', sets(3, [work(10, 1)], { countRange: { low: 3, high: null } })))
        .high,
    ).toBe(Infinity)
  })
  test('a conditional set may fall away', () => {
    expect(
      figure(slot('cable_curl', sets(2, [work(10, 1)], { onlyIf: 'the target was missed' }))).low,
    ).toBe(0)
  })
  test('a running total without a first bout is assumed to be one set', () => {
    const open = slot(
      'cable_curl',
      sets(1, [
        { kind: 'work', ...failure },
        pause(20),
        { kind: 'work', reps: { kind: 'until_total', total: 30 } },
      ]),
    )
    expect(figure(open)).toEqual({ value: 1, low: 1, high: 1, assumed: ['reps'] })
  })
})

describe('credits changed for one slot or one client', () => {
  test('a slot can make a dip chest work without touching the library', () => {
    const held = { ...straight('dip', 3, 10, 1), credits: { chest: 0.5, triceps: 1 } }
    const { groups } = spanLedger(countedWorkOfDay(day(held), context), COUNTING_SCHOOLS.fractional)
    expect([groups.chest.counted.value, groups.triceps.direct.value]).toEqual([1.5, 3])
  })
  test('a client can have own credits', () => {
    const own = defaultContext({ trainingAgeMonths: 48, credits: { hammer_curl: { biceps: 1 } } })
    const { groups } = spanLedger(
      countedWorkOfDay(day(straight('hammer_curl', 3, 10, 1)), own),
      COUNTING_SCHOOLS.fractional,
    )
    expect([groups.biceps.direct.value, groups.elbow_flexors_other.counted.value]).toEqual([3, 0])
  })
  test('a stage may name another movement', () => {
    const held = slot(
      'push_up',
      sets(1, [work(12, 0), work(12, 0, { exercise: { id: 'band_pushdown', intent: null } })]),
    )
    const { groups } = spanLedger(countedWorkOfDay(day(held), context), COUNTING_SCHOOLS.fractional)
    expect([groups.chest.counted.value, groups.triceps.counted.value]).toEqual([1, 1])
  })
})
