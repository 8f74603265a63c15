import {
  exerciseId,
  type ExerciseId,
  failure,
  isPlainDate,
  type PlainDate,
  plainDate,
  type Result,
  success,
} from '../../base'
import type { Catalogue } from '../../plan/catalogue'
import { SET_ROLES, type SetRole, WEIGHT_UNITS, type WeightUnit } from '../../plan/scheme'
import { BODY_SIDES, type BodySide, type SetLapse } from '../../body/log'
import { type LogField, numberSentence, parsedNumber } from '../../follow/sheet'
import { type NameReader, nameReader } from '../naming'
import { lapsesIn } from './lapses'
import { type LogColumn, type LogMapping, plain } from './logColumns'

/** A set as a file has it. */
export interface ImportedSet {
  readonly on: PlainDate
  readonly session: string
  readonly exercise: ExerciseId
  readonly intent: string | null
  readonly set: number
  readonly stage: number
  readonly side: BodySide | null
  readonly role: SetRole
  readonly load: { readonly amount: number; readonly unit: WeightUnit } | null
  readonly reps: number | null
  readonly seconds: number | null
  readonly rir: number | null
  readonly isRirOpen: boolean
  readonly lapses?: readonly SetLapse[]
}

/** What is wrong with a row; rows count from 1, the header not among them. */
export interface RowProblem {
  readonly row: number
  readonly column: LogColumn
  readonly detail: string
}

export const DATE_ORDERS = ['day_first', 'month_first'] as const
export interface LogReading {
  readonly catalogue: Catalogue
  readonly unit: WeightUnit
  readonly dateOrder: (typeof DATE_ORDERS)[number]
  readonly today: PlainDate
  /** Which exercise a name means that could not be read (by `plain` name); null leaves its rows out. */
  readonly names?: ReadonlyMap<string, ExerciseId | null>
  /** Rows that are left out on purpose, counted from 1. */
  readonly leftOut?: ReadonlySet<number>
}

/** A name of the file that is not spelt as in the library, told or asked about once for all its rows. */
export interface OtherName {
  readonly name: string
  readonly rows: readonly number[]
  /** What it is read as; undefined where it must be said, null where its rows are left out. */
  readonly exercise: ExerciseId | null | undefined
  /** Exercises that come near, likeliest first. */
  readonly near: readonly ExerciseId[]
}

export interface LogRead {
  readonly sets: readonly ImportedSet[]
  /** The row of each set, counted from 1. */
  readonly rows: readonly number[]
  readonly problems: readonly RowProblem[]
  readonly names: readonly OtherName[]
  /** How many rows stay outside on purpose. */
  readonly leftOut: number
}

function parsedDate(text: string, order: LogReading['dateOrder']): PlainDate | undefined {
  const trimmed = text.trim()
  if (isPlainDate(trimmed)) return plainDate(trimmed)
  const [, a = '', b = '', year = ''] = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/.exec(trimmed) ?? []
  const [day, month] = order === 'day_first' ? [a, b] : [b, a]
  const written = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`
  return isPlainDate(written) ? written : undefined
}

type Cells = (column: LogColumn) => string

function numberIn(cells: Cells, column: LogColumn, field: LogField): Result<number | null, string> {
  const text = cells(column)
  if (text === '') return success(null)
  const parsed = parsedNumber(text, field)
  return parsed.ok ? parsed : failure(numberSentence(parsed.error, field))
}

function wholeIn(cells: Cells, column: LogColumn, otherwise: number): Result<number, string> {
  const text = cells(column)
  if (text === '') return success(otherwise)
  const value = Number(text)
  return Number.isInteger(value) && value >= 1 && value <= 30
    ? success(value)
    : failure(`${column} must be a whole number from 1 to 30, not “${text.slice(0, 20)}”.`)
}

function oneOf<Choice extends string>(
  cells: Cells,
  column: LogColumn,
  choices: readonly Choice[],
  otherwise: Choice | null,
): Result<Choice | null, string> {
  const text = plain(cells(column))
  if (text === '' || text === 'both') return success(otherwise)
  const found = choices.find(choice => plain(choice) === text)
  return found
    ? success(found)
    : failure(`${column} must be ${choices.join(', ')} or empty, not “${text.slice(0, 20)}”.`)
}

const ROLE_WORDS: Readonly<Record<string, SetRole>> = {
  'warm up': 'warmup',
  'warm-up': 'warmup',
  work: 'working',
}
const RIR_OPEN = /^(\d+)\s*\+$/

interface Reader {
  /** The exercise of the row; empty where it was not said. */
  readonly exercise: string
  readonly reading: LogReading
  readonly nextSet: (key: string) => number
}

function dateIn(cells: Cells, { dateOrder, today }: LogReading): Result<PlainDate, string> {
  const on = parsedDate(cells('date'), dateOrder)
  if (!on)
    return failure(
      `date “${cells('date').slice(0, 20)}” is no calendar day. Write 2026-04-03 or 3.4.2026.`,
    )
  return on > today
    ? failure(`date ${on} lies in the future. A log holds what was done.`)
    : success(on)
}

/** Names as they come, each read once: as answered, else as it can be read. */
function namesOf({ names, catalogue }: LogReading, read: NameReader) {
  const spelt = new Set(
    [...catalogue.values()].flatMap(({ id, name, aliases }) => [id, name, ...aliases].map(plain)),
  )
  const others = new Map<string, OtherName & { readonly rows: number[] }>()
  function exerciseIn(name: string, row: number): OtherName['exercise'] {
    const { exercise, near } = read(name)
    const said = names?.get(plain(name))
    const meant = said === undefined ? exercise : said
    if (meant && spelt.has(plain(name))) return meant
    const before = others.get(plain(name))
    if (before) before.rows.push(row)
    else others.set(plain(name), { name, rows: [row], exercise: meant, near })
    return meant
  }
  return { exerciseIn, others: () => [...others.values()] }
}

function purposeIn(
  cells: Cells,
  exercise: string,
  catalogue: Catalogue,
): Result<string | null, string> {
  const purpose = plain(cells('purpose'))
  if (purpose === '' || exercise === '') return success(null)
  const found = catalogue
    .get(exercise)
    ?.intents.find(({ id, name }) => plain(id) === purpose || plain(name) === purpose)
  return found
    ? success(found.id)
    : failure(`purpose “${cells('purpose').slice(0, 40)}” is not one of this exercise’s.`)
}

function roleIn(cells: Cells): Result<SetRole | null, string> {
  const word = ROLE_WORDS[plain(cells('role'))]
  return word ? success(word) : oneOf(cells, 'role', SET_ROLES, 'working')
}

/** `4+` is four or more. */
function rirIn(
  cells: Cells,
): Result<{ readonly rir: number | null; readonly isRirOpen: boolean }, string> {
  const open = RIR_OPEN.exec(cells('rir'))
  const rir = numberIn(column => (open ? (open[1] ?? '') : cells(column)), 'rir', 'rir')
  return rir.ok ? success({ rir: rir.value, isRirOpen: open !== null }) : rir
}

function readRow(
  cells: Cells,
  { exercise, reading, nextSet }: Reader,
): Result<ImportedSet, readonly Omit<RowProblem, 'row'>[]> {
  const problems: Omit<RowProblem, 'row'>[] = []
  const take = <Value>(
    column: LogColumn,
    result: Result<Value, string>,
    otherwise: Value,
  ): Value => {
    if (result.ok) return result.value
    problems.push({ column, detail: result.error })
    return otherwise
  }
  const on = take('date', dateIn(cells, reading), reading.today)
  if (exercise === '') problems.push({ column: 'exercise', detail: 'exercise is missing.' })
  const [intent, role] = [
    take('purpose', purposeIn(cells, exercise, reading.catalogue), null),
    take('role', roleIn(cells), 'working') ?? 'working',
  ]
  const amount = take('load', numberIn(cells, 'load', 'load'), null)
  const unit =
    take('unit', oneOf(cells, 'unit', WEIGHT_UNITS, reading.unit), reading.unit) ?? reading.unit
  const [reps, seconds] = [
    take('reps', numberIn(cells, 'reps', 'reps'), null),
    take('seconds', numberIn(cells, 'seconds', 'seconds'), null),
  ]
  if (cells('reps') === '' && cells('seconds') === '')
    problems.push({ column: 'reps', detail: 'reps or seconds are needed.' })
  const effort = take('rir', rirIn(cells), { rir: null, isRirOpen: false })
  const lapses = take('form', lapsesIn(cells('form')), [])
  const [stage, side] = [
    take('part', wholeIn(cells, 'part', 1), 1),
    take('side', oneOf(cells, 'side', BODY_SIDES, null), null),
  ]
  const session = cells('session').slice(0, 120)
  const set = take(
    'set',
    wholeIn(
      cells,
      'set',
      cells('set') === '' ? nextSet([on, session, exercise, role, stage, side].join(' ')) : 1,
    ),
    1,
  )
  if (problems.length > 0) return failure(problems)
  return success({
    on,
    session,
    exercise: exerciseId(exercise),
    intent,
    set,
    stage,
    side,
    role,
    load: amount === null ? null : { amount, unit },
    reps,
    seconds,
    ...effort,
    ...(lapses.length > 0 && { lapses }),
  })
}

const keyOf = ({ on, session, exercise, role, set, stage, side }: ImportedSet) =>
  [on, session, exercise, role, set, stage, side].join(' ')

const missingColumns = (mapping: LogMapping): readonly RowProblem[] =>
  (['date', 'exercise'] as const)
    .filter(column => mapping[column] === undefined)
    .map(column => ({
      row: 0,
      column,
      detail: `No column is chosen for the ${column}. Choose one above.`,
    }))

/** Counts up by a key, from 1. */
function counter(): (key: string) => number {
  const counted = new Map<string, number>()
  return key => {
    counted.set(key, (counted.get(key) ?? 0) + 1)
    return counted.get(key) ?? 1
  }
}

/**
 * Sets of a log from rows of text.
 *
 * Shape:  sets in the order of the rows, every problem of every row, and every name spelt otherwise than in the library;
 *         where there is a problem, or a name without an exercise, nothing should be written.
 * Units:  as each row says, else the client's; `27,5` and `27.5` are the same.
 * Edge:   rows without a set number are counted in their order; a set that comes twice is a problem of its second row; empty
 *         rows are left out; what is left out on purpose is counted and has no problems.
 * Source: docs/formats.md#log-csv.
 */
export function readLogRows(
  rows: readonly Readonly<Record<string, string>>[],
  mapping: LogMapping,
  reading: LogReading,
): LogRead {
  const missing = missingColumns(mapping)
  if (missing.length > 0) return { sets: [], rows: [], problems: missing, names: [], leftOut: 0 }
  const names = namesOf(reading, nameReader(reading.catalogue))
  const nextSet = counter()
  const seen = new Map<string, number>()
  const sets: ImportedSet[] = []
  const rowsOfSets: number[] = []
  const problems: RowProblem[] = []
  let leftOut = 0
  rows.forEach((cellsOf, at) => {
    const row = at + 1
    const cells: Cells = column =>
      mapping[column] === undefined ? '' : (cellsOf[mapping[column]] ?? '').trim()
    if (Object.values(cellsOf).every(text => text.trim() === '')) return
    const name = cells('exercise')
    if (reading.leftOut?.has(row)) return (leftOut += 1)
    const exercise = name === '' ? '' : names.exerciseIn(name, row)
    if (exercise === null) return (leftOut += 1)
    if (exercise === undefined) return undefined
    const result = readRow(cells, { exercise, reading, nextSet })
    if (!result.ok) return problems.push(...result.error.map(problem => ({ ...problem, row })))
    const before = seen.get(keyOf(result.value))
    if (before !== undefined)
      return problems.push({
        row,
        column: 'set',
        detail: `set ${result.value.set} of this exercise stands in row ${before} already. Give it another number, or leave one of the rows out.`,
      })
    seen.set(keyOf(result.value), row)
    rowsOfSets.push(row)
    return sets.push(result.value)
  })
  return { sets, rows: rowsOfSets, problems, names: names.others(), leftOut }
}
