import type { Alternation } from '../plan/block'
import type { Catalogue } from '../plan/catalogue'
import { formatDoneAs } from '../plan/shorthand'
import { type CoverageRow, type CoverageState, groupOf } from '../design/turns'
import { GROUP_NAMES, MUSCLE_NAMES } from './names'

const LENGTHS = {
  lengthened: 'Long length',
  mid: 'Middle length',
  shortened: 'Short length',
} as const
const GRIPS = {
  supinated: 'Palms up',
  neutral: 'Palms facing or down',
  pronated: 'Of these, palms down',
} as const

/** A head, length or grip of a block, as its row is called under its muscle. */
export function coverageRowName(row: CoverageRow): string {
  switch (row.kind) {
    case 'head':
      return MUSCLE_NAMES[row.muscle]
    case 'length':
      return LENGTHS[row.length]
    case 'grip':
      return GRIPS[row.grip]
    case 'overhead':
      return 'Arm overhead'
  }
}

/** The same with its muscle: `Triceps, arm overhead`. */
export const wholeRowName = (row: CoverageRow): string =>
  `${GROUP_NAMES[groupOf(row)]}, ${coverageRowName(row).toLowerCase()}`

/** What a cell says without its drawing. */
export const COVERAGE_STATES: Readonly<Record<CoverageState, string>> = {
  full: 'reached',
  thin: 'too little',
  hollow: 'not at all',
  none: 'nothing planned',
}

/** An exercise that takes turns, with how it is held or set up where that differs: `Cable curl, palms facing`. */
export function turnName({ exercise, as }: Alternation, catalogue: Catalogue): string {
  const name = catalogue.get(exercise)?.name ?? exercise
  return as ? `${name}, ${formatDoneAs(as)}` : name
}
