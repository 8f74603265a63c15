import { plainWords, weekdaysIn } from './headings'

/** What a column of a table of clients can be. */
export const CLIENT_COLUMNS = [
  'name',
  'training',
  'days',
  'minutes',
  'start',
  'goal',
  'about',
] as const
export type ClientColumn = (typeof CLIENT_COLUMNS)[number]
/** Which column of the table is which, by its place; what is not there is left out. */
export type ClientMapping = Readonly<Partial<Record<ClientColumn, number>>>
export type TrainingUnit = 'months' | 'years'

const GUESSES: Readonly<Record<ClientColumn, string>> = {
  name: 'name client clients athlete member kunde kundin nom nombre navn naam nome cliente',
  training:
    'training experience trained months years erfahrung trainingsalter monate jahre experiencia meses experience mois ans erfaring',
  days: 'days day weekdays tage wochentage jours dias dager giorni dagen',
  minutes: 'minutes min mins minuten duration dauer duree duracion minutter',
  start: 'start time at from uhrzeit beginn heure hora tid',
  goal: 'goal goals aim ziel objectif objetivo mal obiettivo doel',
  about: 'about note notes remark remarks comment bemerkung notiz remarque nota',
}
/** A heading says what a bare number of training is. */
const UNITS: readonly (readonly [TrainingUnit, RegExp])[] = [
  ['months', /month|monat|mois|mes(es)?\b|mnd|maned/i],
  ['years', /year|yr|jahr|\ban(s|nees?)?\b|ano|år/i],
]
const IN_CELL: readonly (readonly [TrainingUnit, RegExp])[] = [
  ['months', /^(m|mo|mos|month|months|mon|monate?n?|mois|meses|mes|mnd)$/i],
  ['years', /^(y|yr|yrs|year|years|j|jahre?n?|an|ans|anos?|år)$/i],
]
const HEADING_ROWS = 15

/** A table of clients: where its heading stands, and what is guessed. */
export interface ClientTable {
  /** The row of the headings, from 0; -1 where there is none. */
  readonly headingRow: number
  readonly headings: readonly string[]
  readonly mapping: ClientMapping
  /** What a bare number of training is meant in; null where the heading does not say. */
  readonly unit: TrainingUnit | null
}

/** A client as a row says; what is left out was not said. */
export interface NotedClient {
  /** Of the file, from 1. */
  readonly row: number
  readonly name: string
  readonly trainingAgeMonths?: number
  /** A number without a unit, to be asked about once for all rows. */
  readonly bareTraining?: number
  /** 1 is Monday. */
  readonly weekdays?: readonly number[]
  readonly minutes?: number
  /** `17:30`. */
  readonly start?: string
  readonly goal: string
  readonly about: string
  /** Cells that could not be read, with what they should be. */
  readonly unread: readonly { readonly column: ClientColumn; readonly cell: string }[]
}

function guessed(headings: readonly string[]): ClientMapping {
  const taken = new Set<number>()
  return Object.fromEntries(
    CLIENT_COLUMNS.flatMap(column => {
      const words = new Set(GUESSES[column].split(' '))
      const at = headings.findIndex(
        (heading, place) => !taken.has(place) && plainWords(heading).some(word => words.has(word)),
      )
      if (at < 0) return []
      taken.add(at)
      return [[column, at]]
    }),
  )
}

/** Finds the headings of a table of clients among its first rows; a title above them does not matter. */
export function clientTable(rows: readonly (readonly string[])[]): ClientTable {
  for (const [headingRow, headings] of rows.slice(0, HEADING_ROWS).entries()) {
    const mapping = guessed(headings)
    if (mapping.name === undefined) continue
    const heading = headings[mapping.training ?? -1] ?? ''
    return {
      headingRow,
      headings,
      mapping,
      unit: UNITS.find(([, says]) => says.test(heading))?.[0] ?? null,
    }
  }
  return { headingRow: -1, headings: [], mapping: {}, unit: null }
}

const MONTHS: Readonly<Record<TrainingUnit, number>> = { months: 1, years: 12 }
const MOST_MONTHS = 1200
/** Months of so much training. */
export const monthsOf = (amount: number, unit: TrainingUnit): number =>
  Math.round(amount * MONTHS[unit])

/** `3 years`, `2,5 J`, `18 months`, `18`. */
function training(cell: string, unit: TrainingUnit | null): Partial<NotedClient> | undefined {
  const [, amount, word = ''] = /^(\d+(?:[.,]\d+)?)\s*(\p{L}*)\.?$/u.exec(cell) ?? []
  if (amount === undefined) return undefined
  const value = Number(amount.replace(',', '.'))
  const said = word === '' ? unit : (IN_CELL.find(([, is]) => is.test(word))?.[0] ?? undefined)
  if (said === undefined) return undefined
  if (said === null) return { bareTraining: value }
  const trainingAgeMonths = monthsOf(value, said)
  return trainingAgeMonths <= MOST_MONTHS ? { trainingAgeMonths } : undefined
}

/** `60`, `60 min`, `1 h`, `1h15`. */
function minutes(cell: string): Partial<NotedClient> | undefined {
  const plain = /^(\d{1,3})\s*(?:min\w*|')?\.?$/i.exec(cell)
  const hours = /^(\d)\s*h(?:ours?)?\s*(\d{2})?$/i.exec(cell)
  const told = plain ? Number(plain[1]) : hours ? Number(hours[1]) * 60 + Number(hours[2] ?? 0) : 0
  return told >= 10 && told <= 240 ? { minutes: told } : undefined
}

/** `17:30`, `17.30`, `17h30`, `5:30 pm`, `6 pm`. */
function start(cell: string): Partial<NotedClient> | undefined {
  const [, hour, minute = '00', half] =
    /^(\d{1,2})(?:[:.h](\d{2}))?\s*([ap]m)?$/i.exec(cell.trim()) ?? []
  if (hour === undefined) return undefined
  const noon = half?.toLowerCase() === 'pm' && Number(hour) < 12 ? 12 : 0
  const told = (half?.toLowerCase() === 'am' && hour === '12' ? 0 : Number(hour)) + noon
  return told < 24 && Number(minute) < 60
    ? { start: `${String(told).padStart(2, '0')}:${minute}` }
    : undefined
}

function days(cell: string): Partial<NotedClient> | undefined {
  const weekdays = weekdaysIn(cell)
  return weekdays && weekdays.length > 0 ? { weekdays } : undefined
}

type Reader = (cell: string, unit: TrainingUnit | null) => Partial<NotedClient> | undefined
const READERS: Readonly<Partial<Record<ClientColumn, Reader>>> = { training, days, minutes, start }

/**
 * The clients of a table, row by row.
 *
 * Shape: rows without a name are left out; what a cell holds that cannot be read is told, and the client is there all the same.
 */
export function readClients(
  rows: readonly (readonly string[])[],
  { headingRow, mapping, unit }: ClientTable,
): readonly NotedClient[] {
  return rows.slice(headingRow + 1).flatMap((row, at): NotedClient[] => {
    const cell = (column: ClientColumn) => row[mapping[column] ?? -1]?.trim() ?? ''
    const name = cell('name').replace(/\s+/g, ' ')
    if (name === '') return []
    const told = CLIENT_COLUMNS.flatMap(column => {
      const text = cell(column)
      const reader = READERS[column]
      return reader && text !== '' ? [{ column, text, read: reader(text, unit) }] : []
    })
    return [
      {
        ...Object.assign({}, ...told.map(({ read }) => read ?? {})),
        row: headingRow + at + 2,
        name,
        goal: cell('goal'),
        about: cell('about'),
        unread: told.flatMap(({ column, text, read }) => (read ? [] : [{ column, cell: text }])),
      },
    ]
  })
}
