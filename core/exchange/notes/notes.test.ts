import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exerciseId, type ExerciseId, plainDate } from '../../base'
import { BUILT_IN_CATALOGUE } from '../../plan/catalogue'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { plannedSets } from '../../plan/scheme'
import { formatScheme, parseScheme } from '../../plan/shorthand'
import { idsInARow } from '../../testing/notation'
import { NOTES_CORPUS } from '../../testing/notesCorpus'
import { type NotedLine, planTable, readNotes, readTable, rotationFromNotes } from '.'

const read = (text: string) => readNotes(text, BUILT_IN_CATALOGUE)
const linesOf = (text: string): readonly NotedLine[] =>
  read(text).days.flatMap(({ groups }) => groups.flatMap(({ exercises }) => exercises))
const spelt = (scheme: string | undefined) => {
  const parsed = scheme === undefined ? undefined : parseScheme(scheme)
  return parsed?.ok ? formatScheme(parsed.value) : undefined
}
/** What a line was read as: right, asked (a name, or a part that was not understood) or wrong. */
function judged(line: NotedLine | undefined, want: (typeof NOTES_CORPUS)[number]['lines'][number]) {
  if (!line) return 'lost'
  if (line.exercise === undefined || line.unread !== undefined) return 'asked'
  const scheme = line.scheme && formatScheme(line.scheme)
  return line.exercise === want.exercise && scheme === spelt(want.scheme) ? 'right' : 'wrong'
}
const all = NOTES_CORPUS.flatMap(note => {
  const lines = linesOf(note.text)
  return note.lines.map((want, at) => ({ note, want, line: lines[at], count: lines.length }))
})

describe('plans as coaches jot them down', () => {
  test('sixty notes and more', () => expect(NOTES_CORPUS.length).toBeGreaterThanOrEqual(60))
  test('what is expected can itself be read', () => {
    for (const { want } of all)
      expect([want.scheme, want.scheme === undefined || spelt(want.scheme) !== undefined]).toEqual([
        want.scheme,
        true,
      ])
  })
  test('nothing is lost, and no line is read wrongly without a question', () => {
    const bad = all
      .filter(({ line, want }) => ['lost', 'wrong'].includes(judged(line, want)))
      .map(({ note, want, line }) => [note.text, want, line])
    expect(bad).toEqual([])
    for (const { note, count } of all)
      expect([note.text, count]).toEqual([note.text, note.lines.length])
  })
  test('nine in ten are read rightly without a question, and what leaves it open is asked', () => {
    const clear = all.filter(({ want }) => want.exercise !== undefined)
    const right = clear.filter(({ line, want }) => judged(line, want) === 'right')
    expect(right.length / all.length).toBeGreaterThan(0.9)
    for (const { want, line } of all.filter(one => one.want.exercise === undefined))
      expect([line?.name, judged(line, want)]).toEqual([line?.name, 'asked'])
  })
})

describe('what belongs to one exercise stays with it', () => {
  test.each([
    ['Cable overhead extension w/ rope 3x12', ['overhead_extension_rope']],
    ['Row, cable - 4x10', ['seated_cable_row']],
    ['Bench 4x8 @ 100', ['bench_press_barbell']],
  ])('%s', (text, exercises) =>
    expect(linesOf(text).map(({ exercise }) => exercise)).toEqual(exercises),
  )
  test('a load without a unit is in the one that is said', () => {
    const loadIn = (unit: 'kg' | 'lb') =>
      readNotes('Bench 4x8 @ 100', BUILT_IN_CATALOGUE, unit).days[0]!.groups[0]!.exercises[0]!
        .scheme!
    expect([formatScheme(loadIn('kg')), formatScheme(loadIn('lb'))]).toEqual([
      '4 x 8, 100kg',
      '4 x 8, 100lb',
    ])
  })
})

describe('what a text says of days and weeks', () => {
  test('headings, rest days, minutes, weekdays', () => {
    const { days } = read(
      ['Mon push (45 min)', 'bench 4x8', 'Tue off', 'Day 3: pull', 'pull-ups 3x8'].join('\n'),
    )
    expect(
      days.map(({ weekdays, number, role, minutes, groups }) => [
        weekdays,
        number,
        role,
        minutes,
        groups.length,
      ]),
    ).toEqual([
      [[1], undefined, 'push', 45, 1],
      [[2], undefined, 'rest', undefined, 0],
      [[], 3, 'pull', undefined, 1],
    ])
  })
  test.each([
    ['Push press is no day', 'Push press 4x8', [['', 1]]],
    ['a leg press is no leg day', 'Leg press 4x8', [['', 1]]],
    ['a weekday and on it goes', 'Mon bench 4x8', [['Mon', 1]]],
  ])('%s', (_, text, days) =>
    expect(read(text).days.map(({ title, groups }) => [title, groups.length])).toEqual(days),
  )
  test('of several weeks the first is read; those that differ, their number and the easier ones are told', () => {
    const plan = read(
      'Week 1\nbench 3x8\nWeek 2\nbench 3x8\nWeek 3\nbench 4x8\nWeek 4 deload\nbench 2x8',
    )
    expect(plan.weeks).toEqual({ count: 4, deloads: [4] })
    expect(plan.otherWeeks).toEqual([3, 4])
    expect(plan.days).toHaveLength(1)
  })
  test('what nothing is made of is told with its line', () =>
    expect(read('bench 4x8\nFocus on form!').unread).toEqual([{ line: 2, text: 'Focus on form!' }]))
  test('any text is read without a fall, and no line of it is lost', () => {
    const word = fc.constantFrom(
      'bench',
      '3x8',
      '4',
      'x',
      ',',
      ':',
      '+',
      'Mon',
      'rest',
      '(',
      ')',
      'A1',
      '@',
      'ü',
      '🏋',
      '12/10',
      'drop',
      '\n',
    )
    fc.assert(
      fc.property(fc.array(word, { maxLength: 30 }), words => {
        const text = words.join(' ')
        const { unread } = read(text)
        const lines = linesOf(text)
        const count = text.split('\n').length
        for (const { line } of [...unread, ...lines]) expect(line).toBeLessThanOrEqual(count)
      }),
    )
  })
})

describe('a rotation out of notes', () => {
  const made = (
    text: string,
    days: readonly number[] = [],
    names = new Map<string, ExerciseId | null>(),
  ) =>
    rotationFromNotes(read(text), {
      context: contextWith(STEADY_MIDDLE, {
        trainingAgeMonths: 40,
        ...(days.length > 0 && {
          days: days.map(weekday => ({ weekday, minutes: 50, start: '17:30' })),
        }),
      }),
      startsOn: plainDate('2026-03-02'),
      names,
      newId: idsInARow(),
    })
  const shape = ({ days }: ReturnType<typeof made>) =>
    days.map(({ role, minuteLimit, sessions }) =>
      sessions.length === 0 ? '-' : `${role} ${minuteLimit ?? ''}`.trim(),
    )

  test('weekdays of the notes are kept', () => {
    const result = made(
      'Mon push: bench 4x8\nThu pull: pull-ups 4x8\nSat: sz curl 3x10, pushdown 3x10',
    )
    expect(shape(result)).toEqual(['push', '-', '-', 'pull', '-', 'arms', '-'])
    expect(result.onWeekdays).toBe(true)
  })
  test('one line for two days stands on both', () =>
    expect(shape(made('Mon/Thu upper: bench 4x8'))).toEqual([
      'upper',
      '-',
      '-',
      'upper',
      '-',
      '-',
      '-',
    ]))
  test('sessions without days go on the client’s, with the minutes there', () =>
    expect(shape(made('Push\nbench 4x8\nPull\npull-ups 4x8\nLegs\nsquat 3x5', [2, 4, 6]))).toEqual([
      '-',
      'push 50',
      '-',
      'pull 50',
      '-',
      'legs 50',
      '-',
    ]))
  test('where nothing is known they lie as far apart as can be', () =>
    expect(shape(made('A\nbench 4x8\nDay B\npull-ups 4x8'))).toHaveLength(7))
  test('rest days in the notes make an order of their own', () =>
    expect(shape(made('Push\nbench 4x8\nrest\nPull\npull-ups 4x8'))).toEqual(['push', '-', 'pull']))
  test('an answer is taken for a name, null leaves its line out, and pairs stay pairs', () => {
    const text = 'superset: curls 3x12 + pushdown 3x12\nrows 3x10'
    const [session] = made(
      text,
      [1],
      new Map([
        ['curls', exerciseId('cable_curl')],
        ['rows', null],
      ]),
    ).days[0]!.sessions
    expect(
      session!.groupings.map(({ kind, slots }) => [kind, slots.map(({ exercise }) => exercise)]),
    ).toEqual([['superset', ['cable_curl', 'pushdown_bar']]])
  })
  test('what is said besides is the note of the place, and sets without reps get the usual ones', () => {
    const [first, second] = made('cable curl 3x12 (slow)\nbench 3 sets', [1]).days[0]!.sessions[0]!
      .groupings
    expect(first!.slots[0].note).toBe('slow')
    expect(plannedSets(second!.slots[0].scheme)).toBe(3)
  })
  test('everything in the corpus that is read becomes a plan that its contract takes', () => {
    for (const { text } of NOTES_CORPUS) {
      const days = made(text, [1, 2, 4, 6]).days
      expect([text, days.some(({ sessions }) => sessions.length > 0)]).toEqual([text, true])
    }
  })
})

describe('a plan out of a table', () => {
  const table = (text: string) => {
    const rows = text.split('\n').map(row => row.split('|').map(cell => cell.trim()))
    return readTable(rows, planTable(rows), BUILT_IN_CATALOGUE)
  }
  const lines = (text: string) =>
    table(text).days.map(({ title, groups }) => [
      title,
      ...groups.flatMap(({ exercises }) =>
        exercises.map(
          ({ exercise, scheme, note }) =>
            `${exercise} ${scheme ? formatScheme(scheme) : '-'}${note ? ` (${note})` : ''}`,
        ),
      ),
    ])
  test('an exercise a row; merged days are those above, a title above the headings does not matter', () =>
    expect(
      lines(`Block of spring
Day | Exercise | Sets | Reps | Weight (kg) | RIR | Rest | Notes
Mon push | Bench | 4 | 8 | 80 | 2 | 120 | pause, on the chest
 | Pushdown | 3 | 12-15 | | 1 | 90s |
Thu pull | Pull-ups | 3 | AMRAP | | | |`),
    ).toEqual([
      [
        'Mon push',
        'bench_press_barbell 4 x 8, 80kg, rir 2, rest 120s (pause, on the chest)',
        'pushdown_bar 3 x 12-15, rir 1, rest 90s',
      ],
      ['Thu pull', 'pull_up 3 x to failure'],
    ]))
  test.each([
    [
      'Tag | Übung | Sätze | Wdh | Gewicht',
      'Montag | Bankdrücken | 4 | 8 | 62,5',
      'bench_press_barbell 4 x 8, 62.5kg',
    ],
    [
      'Jour | Exercice | Séries | Répétitions | Poids',
      'Lundi | Développé couché | 4 | 8 | 60',
      'bench_press_barbell 4 x 8, 60kg',
    ],
    [
      'Día | Ejercicio | Series | Repeticiones | Peso',
      'Lunes | Press banca | 4 | 8 | 60',
      'bench_press_barbell 4 x 8, 60kg',
    ],
  ])('%s', (head, row, line) => expect(lines(`${head}\n${row}`)[0]?.[1]).toBe(line))
  test('a day a column', () =>
    expect(lines('Mon | Wed | Fri\nBench 4x8 | Pull-ups 4x8 | Squat 3x5\nDips 3x8 | | ')).toEqual([
      ['Mon', 'bench_press_barbell 4 x 8', 'dip 3 x 8'],
      ['Wed', 'pull_up 4 x 8'],
      ['Fri', 'squat_barbell 3 x 5'],
    ]))
  test('weeks in a column: the first is read, the others are told where they differ', () => {
    const plan = table(`Week | Day | Exercise | Sets | Reps
1 | Push | Bench | 3 | 8
2 | Push | Bench | 3 | 8
3 | Push | Bench | 4 | 8`)
    expect([plan.weeks?.count, plan.otherWeeks, plan.days.length]).toEqual([3, [3], 1])
  })
  test('a day that is called anything is a day all the same', () =>
    expect(
      lines('Session | Exercise | Sets | Reps\nHarbour | Bench | 3 | 8\nQuay | Dips | 3 | 8'),
    ).toEqual([
      ['Harbour', 'bench_press_barbell 3 x 8'],
      ['Quay', 'dip 3 x 8'],
    ]))
  test('without headings the cells are read as notes', () =>
    expect(lines('Push |\nBench | 4x8')).toEqual([['Push', 'bench_press_barbell 4 x 8']]))
})
