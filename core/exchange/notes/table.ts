import type { Catalogue } from '../../plan/catalogue'
import type { WeightUnit } from '../../plan/scheme'
import { headingIn } from './headings'
import { type NotedPlan, readRows, type Written } from './reading'

/** What a column of a table of plans can be. */
export const PLAN_COLUMNS = [
  'week',
  'day',
  'exercise',
  'sets',
  'reps',
  'load',
  'effort',
  'rest',
  'tempo',
  'note',
] as const
export type PlanColumn = (typeof PLAN_COLUMNS)[number]
/** Which column of the table is which, by its place; what is not there is left out. */
export type PlanMapping = Readonly<Partial<Record<PlanColumn, number>>>

const GUESSES: Readonly<Record<PlanColumn, string>> = {
  week: 'week wk woche semaine semana uke',
  day: 'day session workout training tag einheit jour seance dia sesion dag okt',
  exercise: 'exercise movement lift name ubung uebung exercice ejercicio ovelse oefening esercizio',
  sets: 'sets set satze saetze series serie sett serier',
  reps: 'reps rep repetitions range wdh wiederholungen repetitions repeticiones repetisjoner ripetizioni',
  load: 'load weight kg kgs lb lbs gewicht poids charge peso vekt carico',
  effort: 'rir rpe effort intensity reserve intensitat',
  rest: 'rest pause repos descanso hvile recupero rest(s)',
  tempo: 'tempo cadence kadenz',
  note: 'note notes comment comments remarks bemerkung bemerkungen hinweis notiz commentaire nota notas kommentar',
}

const plainCell = (cell: string) =>
  cell
    .toLowerCase()
    .replaceAll('ø', 'o')
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z()]+/g, ' ')
    .trim()

/** Columns by their headings, in several languages; a heading of two words counts by either. */
export function guessedPlanMapping(headings: readonly string[]): PlanMapping {
  const taken = new Set<number>()
  return Object.fromEntries(
    PLAN_COLUMNS.flatMap(column => {
      const words = GUESSES[column].split(' ')
      const at = headings.findIndex(
        (heading, place) =>
          !taken.has(place) &&
          (words.includes(plainCell(heading)) ||
            plainCell(heading)
              .split(' ')
              .some(word => words.includes(word))),
      )
      if (at < 0) return []
      taken.add(at)
      return [[column, at]]
    }),
  )
}

/** A table that says what its columns are: where its heading stands, and what is guessed. */
export interface PlanTable {
  /** The row of the headings, from 0; -1 where there is none. */
  readonly headingRow: number
  readonly headings: readonly string[]
  readonly mapping: PlanMapping
}

const HEADING_ROWS = 15

/** Finds the headings of a table among its first rows; a title above them does not matter. */
export function planTable(rows: readonly (readonly string[])[]): PlanTable {
  for (const [at, row] of rows.slice(0, HEADING_ROWS).entries()) {
    const mapping = guessedPlanMapping(row)
    if (mapping.exercise !== undefined && Object.keys(mapping).length > 1)
      return { headingRow: at, headings: row, mapping }
  }
  return { headingRow: -1, headings: [], mapping: {} }
}

const amount = (text: string) => text.trim().replace(/^@\s*/, '')
/** Stands before a load whose unit the table does not say. */
const BARE = '@@'
const isNumber = (text: string) => /^\d+(?:[.,]\d+)?$/.test(text)
/** A cell in the words of a note, by what its column means. */
const SAID: Readonly<Partial<Record<PlanColumn, (cell: string, heading: string) => string>>> = {
  load: (cell, heading) => {
    const [unit] = /lb|kg/i.exec(heading) ?? []
    return !isNumber(cell) ? cell : unit ? `${cell} ${unit}` : `${BARE}${cell}`
  },
  effort: (cell, heading) =>
    isNumber(cell) ? `${/rpe/i.test(heading) ? 'rpe' : 'rir'} ${cell}` : cell,
  rest: (cell, heading) =>
    `rest ${cell.replace(/^rest\s*/i, '')}${isNumber(cell) && /min/i.test(heading) ? ' min' : ''}`,
  tempo: cell => `tempo ${cell}`,
  note: cell => `(${cell.replace(/[()]/g, ' ')})`,
}

function lineOf(cell: (column: PlanColumn) => string, { headings, mapping }: PlanTable): string {
  const [sets, reps] = [amount(cell('sets')), amount(cell('reps'))]
  const count =
    /x|×/i.test(sets) || reps === ''
      ? sets
      : sets === ''
        ? reps
        : `${sets} x ${reps.replace(/\s*reps?$/i, '')}`
  const others = (['load', 'effort', 'rest', 'tempo', 'note'] as const).flatMap(column => {
    const text = amount(cell(column))
    return text === '' || text === '-' ? [] : SAID[column]!(text, headings[mapping[column]!] ?? '')
  })
  const counted = isNumber(count) ? `${count} sets` : count
  return [`${cell('exercise')} ${counted}`, ...others].join(', ')
}

/** A table with an exercise a row; cells left empty by merging are those above. */
function byRows(rows: readonly (readonly string[])[], table: PlanTable): readonly Written[] {
  let [day, week] = ['', '']
  return rows.slice(table.headingRow + 1).flatMap((row, at): Written[] => {
    const cell = (column: PlanColumn) => {
      const place = table.mapping[column]
      return place === undefined ? '' : (row[place] ?? '').trim()
    }
    const line = table.headingRow + at + 2
    const begins: Written[] = []
    if (cell('week') !== '' && cell('week') !== week) {
      week = cell('week')
      day = ''
      begins.push({ line, text: /\d/.test(week) && !/[a-z]/i.test(week) ? `Week ${week}` : week })
    }
    if (cell('day') !== '' && cell('day') !== day) {
      day = cell('day')
      begins.push({ line, text: isNumber(day) ? `Day ${day}` : day, isDay: true })
    }
    if (cell('exercise') !== '')
      return [...begins, { line, text: lineOf(cell, table), isOne: true }]
    const left = row.filter(
      text => text.trim() !== '' && text.trim() !== day && text.trim() !== week,
    )
    return [...begins, ...(left.length > 0 ? [{ line, text: left.join(' ') }] : [])]
  })
}

/** A table with a day a column: `Mon | Wed | Fri`, and exercises under each. */
function byColumns(rows: readonly (readonly string[])[]): readonly Written[] | undefined {
  const at = rows
    .slice(0, HEADING_ROWS)
    .findIndex(row => row.filter(cell => headingIn(cell)?.kind === 'day').length >= 2)
  if (at < 0) return undefined
  return rows[at]!.flatMap((heading, place): Written[] => {
    if (headingIn(heading)?.kind !== 'day') return []
    const cells = rows.slice(at + 1).flatMap((row, below): Written[] => {
      const text = (row[place] ?? '').trim()
      return text === '' ? [] : [{ line: at + below + 2, text }]
    })
    return [{ line: at + 1, text: heading, isDay: true }, ...cells]
  })
}

/**
 * A plan out of a table: an exercise a row under headings, a day a column, or plain lines in cells.
 *
 * Shape:  as `readNotes`; lines are rows of the table, from 1.
 * Edge:   empty cells of day and week are those above, as merged cells come; a row without an exercise is read as a note.
 * Source: docs/formats.md#plans-from-notes-and-tables.
 */
export function readTable(
  rows: readonly (readonly string[])[],
  table: PlanTable,
  catalogue: Catalogue,
  unit: WeightUnit = 'kg',
): NotedPlan {
  const isMapped = table.headingRow >= 0 && table.mapping.exercise !== undefined
  const written = isMapped
    ? byRows(rows, table)
    : (byColumns(rows) ??
      rows.map((row, at) => ({
        line: at + 1,
        text: row.filter(cell => cell.trim() !== '').join(' '),
      })))
  return readRows(written, catalogue, unit)
}
