import { groupedBy, type PlainDate } from '../../base'
import type { MeasurementKind } from '../../body/measurements'
import type { Group } from '../../plan/catalogue'
import type { CourseRow } from '../review'

/** Counted sets a muscle was to have and had in a usual week of a block, easier rotations left out. Units: sets per 7 days. */
export function usualWeek(
  volume: readonly CourseRow[],
  group: Group,
): { readonly planned: number; readonly done: number } {
  const rows = volume.filter(row => row.group === group && !row.isDeload)
  const mean = (of: (row: CourseRow) => number) =>
    rows.length === 0 ? 0 : rows.reduce((sum, row) => sum + of(row), 0) / rows.length
  return { planned: mean(({ planned }) => planned), done: mean(({ done }) => done) }
}

/** What a tape tells apart where nothing says how one measures: centimetres to either side. */
export const GIRTH_NOISE = 0.5

/** Whether a girth changed by more than measuring it twice would. */
export const isSurelyChanged = ({
  first,
  last,
}: {
  readonly first: number
  readonly last: number
}): boolean => Math.abs(last - first) > GIRTH_NOISE * Math.SQRT2

interface Measured {
  readonly on: PlainDate
  readonly kind: MeasurementKind
  readonly value: number
}

/** A girth over the season. Units: cm. */
export interface GirthCourse {
  readonly kind: MeasurementKind
  /** One for each day, the mean where it was measured more than once. */
  readonly points: readonly { readonly on: PlainDate; readonly value: number }[]
  /** What measuring it twice differs by, to either side. */
  readonly noise: number
  /** Whether the noise is only stated, since too little was measured twice to tell. */
  readonly isStated: boolean
}

/** Days on which a girth has to be measured twice before that tells how one measures. */
const LEAST_REPEATS = 3
/** No tape reads finer. Units: cm. */
const LEAST_NOISE = 0.1

/** Standard deviation of one measuring, from days on which it was done more than once; undefined where they are too few. */
function repeatedNoise(days: readonly (readonly number[])[]): number | undefined {
  const repeated = days.filter(({ length }) => length > 1)
  if (repeated.length < LEAST_REPEATS) return undefined
  const freedom = repeated.reduce((sum, { length }) => sum + length - 1, 0)
  const squares = repeated.reduce(
    (sum, values) => sum + values.reduce((own, value) => own + (value - mean(values)) ** 2, 0),
    0,
  )
  return Math.max(LEAST_NOISE, Math.sqrt(squares / freedom))
}
const mean = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length

/**
 * Courses of some girths, each with the noise of measuring it: by days on which it was measured more than once, else as stated.
 *
 * Shape:  kinds in the order asked for, those never measured left out; points in the order of their days.
 * Source: docs/methods.md#season.
 */
export function girthCourses(
  measured: readonly Measured[],
  kinds: readonly MeasurementKind[],
): readonly GirthCourse[] {
  return kinds.flatMap((kind): GirthCourse[] => {
    const days = [
      ...groupedBy(
        measured.filter(one => one.kind === kind),
        ({ on }) => on,
      ),
    ].sort(([a], [b]) => (a < b ? -1 : 1))
    if (days.length === 0) return []
    const values = days.map(([on, own]) => [on, own.map(({ value }) => value)] as const)
    const noise = repeatedNoise(values.map(([, own]) => own))
    return [
      {
        kind,
        points: values.map(([on, own]) => ({ on, value: mean(own) })),
        noise: noise ?? GIRTH_NOISE,
        isStated: noise === undefined,
      },
    ]
  })
}
