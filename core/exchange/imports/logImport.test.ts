import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exerciseId, plainDate } from '../../base'
import { BUILT_IN_CATALOGUE, EXERCISES } from '../../plan/catalogue'
import { kilogramsOf } from '../../plan/estimate'
import { logRows } from '../exports'
import { guessedMapping, type ImportedSet, type LogReading, readLogRows } from '.'

const reading: LogReading = {
  catalogue: BUILT_IN_CATALOGUE,
  unit: 'kg',
  dateOrder: 'day_first',
  today: plainDate('2026-11-25'),
}
const read = (rows: readonly Record<string, string>[], more: Partial<LogReading> = {}) =>
  readLogRows(rows, guessedMapping(Object.keys(rows[0] ?? {})), { ...reading, ...more })
const row = (more: Record<string, string> = {}) => ({
  date: '2026-04-03',
  exercise: 'Cable curl, bar',
  set: '1',
  load: '27.5',
  reps: '12',
  rir: '1',
  ...more,
})

describe('a row as it is read', () => {
  test.each([
    {
      name: 'a comma, a day first, an alias in other letters',
      of: row({ date: '3.4.2026', load: '27,5', exercise: 'cable curl, BAR' }),
      set: { on: '2026-04-03', exercise: 'cable_curl', load: { amount: 27.5, unit: 'kg' } },
    },
    { name: 'an id', of: row({ exercise: 'hammer_curl' }), set: { exercise: 'hammer_curl' } },
    {
      name: 'pounds by their own column',
      of: row({ unit: 'lb' }),
      set: { load: { amount: 27.5, unit: 'lb' } },
    },
    { name: 'four or more', of: row({ rir: '4+' }), set: { rir: 4, isRirOpen: true } },
    {
      name: 'cut short and helped',
      of: row({ form: 'Helped; cut short' }),
      set: { lapses: ['cut_short', 'helped'] },
    },
    {
      name: 'no load and no effort',
      of: row({ load: '', rir: '' }),
      set: { load: null, rir: null, isRirOpen: false },
    },
    {
      name: 'a warm-up of the left side',
      of: row({ role: 'Warm-up', side: 'left' }),
      set: { role: 'warmup', side: 'left' },
    },
    {
      name: 'a hold in seconds',
      of: row({ reps: '', seconds: '30' }),
      set: { reps: null, seconds: 30 },
    },
  ])('$name', ({ of, set }) => expect(read([of])).toMatchObject({ problems: [], sets: [set] }))
  test('the month first, where that is said', () =>
    expect(read([row({ date: '4/3/2026' })], { dateOrder: 'month_first' }).sets[0]?.on).toBe(
      '2026-04-03',
    ))
  test('sets without a number are counted in their order', () =>
    expect(
      read([
        row({ set: '' }),
        row({ set: '', exercise: 'hammer_curl' }),
        row({ set: '' }),
      ]).sets.map(({ set }) => set),
    ).toEqual([1, 1, 2]))
  test('empty rows are no rows', () =>
    expect(
      read([row(), { date: '', exercise: '', set: '', load: '', reps: '', rir: '' }]),
    ).toMatchObject({ problems: [], sets: [{}] }))
})

describe('rows that cannot be read', () => {
  test.each([
    {
      name: 'no such day',
      of: row({ date: '2026-02-30' }),
      column: 'date',
      says: 'date “2026-02-30” is no calendar day. Write 2026-04-03 or 3.4.2026.',
    },
    {
      name: 'a day to come',
      of: row({ date: '2027-01-01' }),
      column: 'date',
      says: 'date 2027-01-01 lies in the future. A log holds what was done.',
    },
    {
      name: 'no exercise',
      of: row({ exercise: '' }),
      column: 'exercise',
      says: 'exercise is missing.',
    },
    {
      name: '999 reps',
      of: row({ reps: '999' }),
      column: 'reps',
      says: 'Reps may be 150 at most; 999 looks like a slip. Check the digits.',
    },
    {
      name: 'a load below nothing',
      of: row({ load: '-20' }),
      column: 'load',
      says: 'Load cannot be below 0. Check the sign.',
    },
    { name: 'no reps', of: row({ reps: '' }), column: 'reps', says: 'reps or seconds are needed.' },
    {
      name: 'a set that is no number',
      of: row({ set: 'last' }),
      column: 'set',
      says: 'set must be a whole number from 1 to 30, not “last”.',
    },
    {
      name: 'a third side',
      of: row({ side: 'middle' }),
      column: 'side',
      says: 'side must be left, right or empty, not “middle”.',
    },
    {
      name: 'a purpose of another exercise',
      of: row({ purpose: 'for the calves' }),
      column: 'purpose',
      says: 'purpose “for the calves” is not one of this exercise’s.',
    },
  ])('$name', ({ of, column, says }) =>
    expect(read([{ ...row({ set: '9' }), side: '', purpose: '' }, of])).toMatchObject({
      problems: [{ row: 2, column, detail: says }],
    }),
  )
  test('all problems of all rows, not the first', () =>
    expect(
      read([row({ reps: '999', load: '-1' }), row({ date: 'soon' })]).problems.map(
        ({ row: at, column }) => `${at} ${column}`,
      ),
    ).toEqual(['1 load', '1 reps', '2 date']))
  test('a set twice', () =>
    expect(read([row(), row()]).problems[0]?.detail).toBe(
      'set 1 of this exercise stands in row 1 already. Give it another number, or leave one of the rows out.',
    ))
  test('no column for the date', () =>
    expect(readLogRows([row()], { exercise: 'exercise' }, reading).problems).toEqual([
      { row: 0, column: 'date', detail: 'No column is chosen for the date. Choose one above.' },
    ]))
})

describe('names spelt otherwise than in the library', () => {
  const rows = [
    row({ exercise: 'Curls' }),
    row({ exercise: 'SZ curls', set: '2' }),
    row({ exercise: 'curls', set: '3' }),
    row({ set: '4' }),
  ]
  test('one that can only be one exercise is read and told; one that can be several is asked once for all its rows', () => {
    const { sets, names, problems } = read(rows)
    expect(problems).toEqual([])
    expect(sets.map(({ exercise }) => exercise)).toEqual(['cambered_bar_curl', 'cable_curl'])
    expect(names).toMatchObject([
      { name: 'Curls', rows: [1, 3], exercise: undefined },
      { name: 'SZ curls', rows: [2], exercise: 'cambered_bar_curl' },
    ])
    expect(names[0]?.near).toContain('barbell_curl')
  })
  test('an answer holds for all rows, and goes before what would be read', () => {
    const names = new Map([
      ['curls', exerciseId('barbell_curl')],
      ['sz curls', exerciseId('dumbbell_curl')],
    ])
    expect(read(rows, { names }).sets.map(({ exercise }) => exercise)).toEqual([
      'barbell_curl',
      'dumbbell_curl',
      'barbell_curl',
      'cable_curl',
    ])
  })
  test('rows are left out on purpose, by name or one by one, and are counted', () =>
    expect(read(rows, { names: new Map([['curls', null]]), leftOut: new Set([4]) })).toMatchObject({
      sets: [{ exercise: 'cambered_bar_curl' }],
      problems: [],
      leftOut: 3,
    }))
  test('what is left out has no problems', () =>
    expect(
      read([row(), row({ date: 'soon', reps: '999' })], { leftOut: new Set([2]) }),
    ).toMatchObject({ sets: [{}], problems: [] }))
})

test('columns are guessed by their usual names', () => {
  expect(
    guessedMapping(['Datum', 'Movement', 'Weight', 'Repetitions', 'Reps left', 'Mood']),
  ).toEqual({
    date: 'Datum',
    exercise: 'Movement',
    load: 'Weight',
    reps: 'Repetitions',
    rir: 'Reps left',
  })
})

const set: fc.Arbitrary<ImportedSet> = fc
  .record({
    on: fc
      .integer({ min: 1, max: 28 })
      .map(day => plainDate(`2026-04-${String(day).padStart(2, '0')}`)),
    session: fc.constantFrom('Arms', 'Push, heavy', 'Pull "B"'),
    exercise: fc.constantFrom(...EXERCISES).map(({ id }) => exerciseId(id)),
    intent: fc.constant(null),
    set: fc.integer({ min: 1, max: 9 }),
    stage: fc.integer({ min: 1, max: 3 }),
    side: fc.constantFrom('left' as const, 'right' as const, null),
    role: fc.constantFrom('working' as const, 'warmup' as const, 'primer' as const),
    load: fc.option(
      fc.record({
        amount: fc.integer({ min: 0, max: 800 }).map(quarters => quarters / 4),
        unit: fc.constantFrom('kg' as const, 'lb' as const),
      }),
    ),
    reps: fc.integer({ min: 0, max: 60 }),
    seconds: fc.constant(null),
    rir: fc.option(fc.integer({ min: 0, max: 6 })),
  })
  .chain(own =>
    fc.boolean().map(isRirOpen => ({ ...own, isRirOpen: isRirOpen && own.rir !== null })),
  )

test('a log that goes out comes back as it was', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(set, {
        maxLength: 20,
        selector: ({ on, session, exercise, role, set: at, stage, side }) =>
          [on, session, exercise, role, at, stage, side].join(' '),
      }),
      sets => {
        const rows = logRows(
          sets.map(({ load, ...own }) => ({
            ...own,
            slot: null,
            loadKg: load && kilogramsOf(load),
            unit: load?.unit ?? 'kg',
          })),
          BUILT_IN_CATALOGUE,
        ).map(cells =>
          Object.fromEntries(Object.entries(cells).map(([key, cell]) => [key, String(cell)])),
        )
        if (rows.length === 0) return
        const mapping = { ...guessedMapping(Object.keys(rows[0]!)), exercise: 'exercise_id' }
        expect(readLogRows(rows, mapping, reading)).toEqual({
          sets,
          rows: sets.map((_, at) => at + 1),
          problems: [],
          names: [],
          leftOut: 0,
        })
      },
    ),
  )
})
