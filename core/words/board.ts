import type { Catalogue } from '../plan/catalogue'
import type { RailCell, RailPiece, RailView } from '../count/ledger'
import { dayName, type RotationDay } from '../plan/rotation'
import { plannedSets } from '../plan/scheme'
import { formatFigure, formatOneDecimal, formatSets } from './figures'
import { creditWords, GROUP_NAMES, MUSCLE_NAMES, POSITION_NAMES, BUNDLE_NAMES } from './names'

/** Name of a line of the board. */
export function railName({ rail }: RailView): string {
  switch (rail.kind) {
    case 'group':
      return GROUP_NAMES[rail.group]
    case 'bundle':
      return BUNDLE_NAMES[rail.bundle]
    case 'head':
      return MUSCLE_NAMES[rail.muscle]
  }
}

/** `day 4 Arms`. */
export function dayWords(day: RotationDay, at: number): string {
  return `day ${at + 1} ${dayName(day)}`
}

/** What a screen reader says of one cell: muscle, day, direct and indirect sets. */
export function cellLabel(view: RailView, day: RotationDay, at: number): string {
  const cell = view.cells[at]
  const place = `${railName(view)}, ${dayWords(day, at)}`
  if (!cell || cell.pieces.length === 0) return `${place}, no sets`
  const { direct, indirect } = cell.tally
  return `${place}, ${formatFigure(direct)} direct, ${formatFigure(indirect)} indirect`
}

function exerciseName(piece: RailPiece, catalogue: Catalogue): string {
  const exercise = catalogue.get(piece.slot.exercise)
  const purpose = exercise?.intents.find(intent => intent.id === piece.slot.intent)
  return purpose ? `${exercise?.name} (${purpose.name})` : (exercise?.name ?? piece.slot.exercise)
}

/** One exercise of a cell in words. */
export interface PieceWords {
  readonly sets: string
  readonly name: string
  readonly credit: string
}

/** What stands in a cell, piece by piece, and what it comes to. */
export function cellWords(
  cell: RailCell,
  catalogue: Catalogue,
): { readonly pieces: readonly PieceWords[]; readonly total: string } {
  return {
    pieces: cell.pieces.map(piece => ({
      sets: formatSets(plannedSets(piece.slot.scheme)),
      name: exerciseName(piece, catalogue),
      credit: creditWords(piece.credit),
    })),
    total: formatFigure(cell.tally.counted),
  }
}

/** The figure over a cluster: direct, and what indirect work adds. */
export function pegGroupCount(cell: RailCell): {
  readonly direct: string
  readonly indirect: string
} {
  const { direct, indirect } = cell.tally
  return {
    direct: direct.value > 0 ? formatFigure(direct) : '',
    indirect: indirect.value > 0 ? formatFigure(indirect) : '',
  }
}

/** `0.5 over ceiling`, `1.4 under floor`, or nothing inside the band. */
export function outsideWords(outside: number): string {
  if (Math.abs(outside) < 0.05) return ''
  return outside < 0
    ? `${formatOneDecimal(-outside)} under floor`
    : `${formatOneDecimal(outside)} over ceiling`
}

/** A line's week in one sentence: figure, direct and indirect, frequency, place in the band. */
export function weekSentence(view: RailView): string {
  const { week, frequencyPer7Days, band } = view
  const figures = `${railName(view)}: ${formatOneDecimal(week.counted.value)} sets per 7 days, ${formatOneDecimal(week.direct.value)} direct, on ${formatOneDecimal(frequencyPer7Days)} days in 7`
  if (!band) return `${figures}.`
  const { floor, target, ceiling } = band.limits
  const whose =
    view.rail.kind === 'bundle'
      ? `${GROUP_NAMES[band.group]} ${formatOneDecimal(band.value)}, `
      : ''
  return `${figures}; ${whose}${POSITION_NAMES[band.position]} (floor ${floor}, target ${target}, ceiling ${ceiling}).`
}
