import fc from 'fast-check'
import { EXERCISES } from '../plan/catalogue'
import {
  type Effort,
  FORMS,
  GRIP_WIDTHS,
  GRIPS,
  HOLD_POSITIONS,
  type Load,
  LOAD_BASES,
  LOAD_RULES,
  LOCK_OUTS,
  type RangeOfMotion,
  type Reps,
  type Rest,
  type RestStage,
  SET_PROTOCOLS,
  SET_ROLES,
  SET_UP,
  SET_UP_FIELDS,
  type SetUp,
  type SetRun,
  type SetScheme,
  SIDE_ORDERS,
  type Span,
  type Stage,
  type Tempo,
  TEMPO_WORDS,
  WEIGHT_UNITS,
  type WorkStage,
} from '../plan/scheme'

/* Any set scheme that can be written down: every kind of every field, alone and together. */

const whole = (min: number, max: number) => fc.integer({ min, max })
const quarter = (min: number, max: number) =>
  fc.integer({ min: min * 4, max: max * 4 }).map(count => count / 4)
const words = fc.oneof(
  fc.constantFrom(
    'a few breaths',
    'incline 45',
    'until form would break',
    'with "quotes", commas; and | bars',
    'nach Gefühl: leicht & locker',
  ),
  fc
    .string({ minLength: 1, maxLength: 12 })
    .map(text => text.trim())
    .filter(text => text !== ''),
)
const unit = fc.constantFrom(...WEIGHT_UNITS)
const kind = <K extends string>(name: K) => fc.constant(name)

export const repsArbitrary: fc.Arbitrary<Reps> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record(
      { kind: kind('exactly'), count: quarter(0, 40), intended: whole(1, 40) },
      { requiredKeys: ['kind', 'count'] },
    ),
  },
  {
    weight: 3,
    arbitrary: fc
      .tuple(whole(1, 12), whole(0, 12))
      .map(([low, more]) => ({ kind: 'between' as const, low, high: low + more })),
  },
  fc.record(
    { kind: kind('to_failure'), low: whole(1, 10), high: whole(10, 30) },
    { requiredKeys: ['kind'] },
  ),
  fc.record({ kind: kind('up_to'), high: whole(1, 20) }),
  fc.record({ kind: kind('same_as'), stage: whole(0, 5) }),
  fc.record({ kind: kind('until_total'), total: whole(10, 60) }),
  fc.record({ kind: kind('first_to_last'), first: whole(1, 20), last: whole(1, 20) }),
)

export const effortArbitrary: fc.Arbitrary<Effort> = fc.oneof(
  { weight: 3, arbitrary: fc.record({ kind: kind('rir'), rir: quarter(0, 8) }) },
  fc.constant({ kind: 'failure' as const }),
  fc.record({ kind: kind('in_words'), text: words }),
)

const loadArbitrary: fc.Arbitrary<Load> = fc.oneof(
  {
    weight: 3,
    arbitrary: fc.record({
      kind: kind('weight'),
      amount: quarter(0, 200),
      unit,
      basis: fc.constantFrom(...LOAD_BASES),
    }),
  },
  fc.record({ kind: kind('stack_position'), position: whole(1, 20) }),
  fc.record({ kind: kind('percent_of_e1rm'), percent: whole(1, 110) }),
  fc.record({ kind: kind('percent_of_usual'), percent: whole(1, 110) }),
  {
    weight: 2,
    arbitrary: fc.record({
      kind: kind('drop_percent'),
      percent: whole(1, 90),
      from: fc.constantFrom('first' as const, 'previous' as const),
    }),
  },
  fc.record({
    kind: kind('drop_weight'),
    amount: quarter(1, 50),
    unit,
    from: fc.constantFrom('first' as const, 'previous' as const),
  }),
  fc.constant({ kind: 'drop_open' as const }),
  fc.record({
    kind: kind('than_before'),
    direction: fc.constantFrom('heavier' as const, 'lighter' as const),
  }),
  fc.constant({ kind: 'bodyweight' as const }),
  fc.record({ kind: kind('band'), name: words }),
  fc.record(
    { kind: kind('in_words'), text: words, atMost: fc.record({ amount: quarter(1, 50), unit }) },
    { requiredKeys: ['kind', 'text'] },
  ),
)

const THIRD = 1 / 3
const rangeArbitrary: fc.Arbitrary<RangeOfMotion> = fc.oneof(
  fc
    .constantFrom(
      [0, 0.5],
      [0.5, 1],
      [0, THIRD],
      [THIRD, 2 * THIRD],
      [2 * THIRD, 1],
      [0, 2 * THIRD],
      [THIRD, 1],
      [0.1, 0.4],
    )
    .map(([from = 0, to = 1]) => ({ kind: 'part' as const, from, to })),
  fc.record({ kind: kind('landmark'), text: words }),
  fc.constant({ kind: 'may_shorten' as const }),
)

const span: fc.Arbitrary<Span> = fc.oneof(
  whole(0, 9),
  fc.tuple(whole(0, 5), whole(0, 5)).map(([low, more]) => ({ low, high: low + more })),
)
const tempoArbitrary: fc.Arbitrary<Tempo> = fc.record(
  {
    lower: span,
    longPause: span,
    lift: span,
    shortPause: span,
    midPause: span,
    word: fc.constantFrom(...TEMPO_WORDS),
    deadStop: fc.constant(true as const),
  },
  { requiredKeys: [] },
)

const seconds = quarter(0, 180)
export const restArbitrary: fc.Arbitrary<Rest> = fc.oneof(
  { weight: 3, arbitrary: fc.record({ kind: kind('seconds'), seconds }) },
  fc.record({ kind: kind('between'), low: whole(0, 60), high: whole(60, 180) }),
  fc.constant({ kind: 'none' as const }),
  fc.record({ kind: kind('in_words'), text: words }),
  fc.record({ kind: kind('stretch'), seconds }),
)

const setUpArbitrary: fc.Arbitrary<SetUp> = fc
  .record(
    Object.fromEntries(
      SET_UP_FIELDS.map(field => {
        const { words: own, ...row } = SET_UP[field]
        const numbers = 'numbers' in row ? [whole(row.numbers.least, row.numbers.most)] : []
        return [field, fc.oneof(...numbers, ...(own.length > 0 ? [fc.constantFrom(...own)] : []))]
      }),
    ),
    { requiredKeys: [] },
  )
  .filter(setUp => Object.keys(setUp).length > 0)

const workArbitrary: fc.Arbitrary<WorkStage> = fc.record(
  {
    kind: kind('work'),
    reps: repsArbitrary,
    repsInAll: fc.constant(true as const),
    load: loadArbitrary,
    effort: effortArbitrary,
    range: rangeArbitrary,
    tempo: tempoArbitrary,
    form: fc.constantFrom(...FORMS),
    lockOut: fc.constantFrom(...LOCK_OUTS),
    grip: fc.constantFrom(...GRIPS),
    gripWidth: fc.constantFrom(...GRIP_WIDTHS),
    thumbless: fc.constant(true as const),
    position: words,
    attachment: words,
    setUp: setUpArbitrary,
    optional: fc.boolean(),
    onlyIf: words,
    exercise: fc.constantFrom(...EXERCISES).map(({ id }) => ({ id, intent: null })),
  },
  { requiredKeys: ['kind'] },
)

const stageArbitrary: fc.Arbitrary<Stage> = fc.oneof(
  { weight: 5, arbitrary: workArbitrary },
  fc.record(
    { kind: kind('hold'), seconds, at: fc.constantFrom(...HOLD_POSITIONS) },
    { requiredKeys: ['kind', 'at'] },
  ),
  fc.record({ kind: kind('rest'), rest: restArbitrary }) as fc.Arbitrary<RestStage>,
)

const countArbitrary = fc.oneof(
  { weight: 4, arbitrary: whole(1, 5).map(count => ({ count })) },
  fc.tuple(whole(0, 3), whole(0, 2), fc.option(whole(0, 3))).map(([low, above, more]) => ({
    count: Math.max(1, low + above),
    countRange: { low, high: more === null ? null : Math.max(1, low + above) + more },
  })),
)

const runArbitrary: fc.Arbitrary<SetRun> = fc
  .tuple(
    countArbitrary,
    fc.record(
      {
        role: fc.constantFrom(...SET_ROLES),
        protocol: fc.constantFrom(...SET_PROTOCOLS),
        side: fc.constantFrom('left' as const, 'right' as const),
        sideOrder: fc.constantFrom(...SIDE_ORDERS),
        startSide: fc.constantFrom('left' as const, 'right' as const),
        stages: fc
          .tuple(stageArbitrary, fc.array(stageArbitrary, { maxLength: 3 }))
          .map(([first, others]): [Stage, ...Stage[]] => [first, ...others]),
        restAfter: restArbitrary,
        onlyIf: words,
      },
      { requiredKeys: ['role', 'stages'] },
    ),
  )
  .map(([count, run]) => ({ ...count, ...run }))

/** Runs that differ in one thing only, as rows and techniques on the last set do. */
const familyArbitrary: fc.Arbitrary<readonly SetRun[]> = fc
  .tuple(
    runArbitrary,
    fc.array(
      fc.tuple(
        whole(1, 2),
        repsArbitrary,
        effortArbitrary,
        loadArbitrary,
        fc.array(stageArbitrary, { maxLength: 2 }),
      ),
      { maxLength: 3 },
    ),
  )
  .map(([first, variants]) => [
    first,
    ...variants.map(([count, reps, effort, load, extra], at): SetRun => {
      const [lead, ...others] = first.stages
      const own =
        lead.kind === 'work' ? { ...lead, reps, ...(at % 2 === 0 ? { effort } : { load }) } : lead
      const { countRange: _, ...rest } = first
      return { ...rest, count, stages: [own, ...others, ...extra] }
    }),
  ])

/** Any scheme at all. */
export const schemeArbitrary: fc.Arbitrary<SetScheme> = fc.record(
  {
    runs: fc.oneof(fc.array(runArbitrary, { minLength: 1, maxLength: 3 }), familyArbitrary),
    loadRule: fc.constantFrom(...LOAD_RULES),
    loadStep: fc.record({ amount: fc.oneof(quarter(1, 10), quarter(-10, -1)), unit }),
    aims: fc.array(
      fc.record({ weekday: whole(1, 7), end: fc.constantFrom('low' as const, 'high' as const) }),
      { maxLength: 3 },
    ),
  },
  { requiredKeys: ['runs'] },
)
