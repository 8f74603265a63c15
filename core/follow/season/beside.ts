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
