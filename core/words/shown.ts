import type { PlainDate } from '../base'
import type { Group } from '../plan/catalogue'
import { MEASUREMENT_TABLE } from '../body/measurements'
import type { MeasurementKind } from '../body/measurements'
import { formatDay } from './dates'
import { formatOneDecimal } from './figures'
import { GROUP_NAMES } from './names'
import { signed } from './trends'

/** A table that is looked at: heads, and rows of as many cells. */
export interface ShownTable {
  readonly title: string
  readonly heads: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

/** One exercise of a dated session. */
interface PlannedRow {
  readonly rotation: number
  readonly on: PlainDate
  readonly name: string
  readonly exercise: string
  readonly sets: number
  readonly scheme: string
}

/** What somebody looks at, in a word. */
export const SHOWN_WORDS = {
  plan: 'The plan',
  rotation: 'One rotation',
  report: 'The report',
  calendar: 'Calendar',
} as const

/** A plan as it is shown: one table a rotation. */
export function shownPlan(rows: readonly PlannedRow[]): readonly ShownTable[] {
  const rotations = [...new Set(rows.map(({ rotation }) => rotation))]
  return rotations.map(rotation => ({
    title: `Rotation ${rotation}`,
    heads: ['Day', 'Session', 'Exercise', 'Sets', 'How'],
    rows: rows
      .filter(row => row.rotation === rotation)
      .map(({ on, name, exercise, sets, scheme }) => [
        formatDay(on),
        name,
        exercise,
        String(sets),
        scheme,
      ]),
  }))
}

/** What a report is shown from. */
interface Reported {
  readonly sessionsDone: number
  readonly sessionsDue: number
  readonly setsDone: number
  readonly setsDue: number
  readonly muscles: readonly {
    readonly group: Group
    readonly slope: number
    readonly count: number
  }[]
  readonly exercises: readonly {
    readonly name: string
    readonly points: readonly { readonly value: number }[]
  }[]
  readonly changes: readonly { readonly on: string; readonly words: string; readonly why: string }[]
  readonly pain: { readonly reports: number; readonly worst: number }
  readonly measured: readonly {
    readonly kind: MeasurementKind
    readonly first: number
    readonly last: number
  }[]
}

/** A report as it is shown; pain, measurements and the reasons of changes only where they may be. */
export function shownReport(report: Reported, withHealth: boolean): readonly ShownTable[] {
  const { sessionsDone, sessionsDue, setsDone, setsDue, muscles, exercises, changes } = report
  return [
    {
      title: 'Done',
      heads: ['', 'Done', 'Planned'],
      rows: [
        ['Sessions', String(sessionsDone), String(sessionsDue)],
        ['Sets', String(setsDone), String(setsDue)],
      ],
    },
    {
      title: 'Strength of the arms, a week',
      heads: ['Muscle', 'Change', 'Sessions'],
      rows: muscles.map(({ group, slope, count }) => [
        GROUP_NAMES[group],
        signed(slope),
        String(count),
      ]),
    },
    {
      title: 'Best set, as one repetition',
      heads: ['Exercise', 'First, kg', 'Last, kg'],
      rows: exercises
        .filter(({ points }) => points.length > 1)
        .map(({ name, points }) => [
          name,
          formatOneDecimal(points[0]?.value ?? 0),
          formatOneDecimal(points.at(-1)?.value ?? 0),
        ]),
    },
    {
      title: 'Changed on the way',
      heads: withHealth ? ['Day', 'What', 'Why'] : ['Day', 'What'],
      rows: changes.map(({ on, words, why }) => [on, words, ...(withHealth ? [why] : [])]),
    },
    ...(withHealth ? healthTables(report) : []),
  ].filter(({ rows }) => rows.length > 0)
}

const healthTables = ({ pain, measured }: Reported): readonly ShownTable[] => [
  {
    title: 'Pain told',
    heads: ['Reports', 'Worst, of 10'],
    rows: [[String(pain.reports), String(pain.worst)]],
  },
  {
    title: 'Measured',
    heads: ['What', 'First', 'Last'],
    rows: measured.map(({ kind, first, last }) => [
      MEASUREMENT_TABLE[kind].name,
      formatOneDecimal(first),
      formatOneDecimal(last),
    ]),
  },
]
