import type { SlotId } from '../../base'
import { plannedSets } from '../../plan/scheme'
import type { RailCell, RailPiece } from './rail'

/** What can be taken in hand from a cell: the picked exercise, else all that is direct there. */
export function carriedPieces(cell: RailCell, pick: number | null): readonly RailPiece[] {
  const picked = pick === null ? undefined : cell.pieces[pick]
  return picked ? [picked] : cell.pieces.filter(piece => piece.credit === 1)
}

/** Sets that some pieces hold together. */
export function setsInHand(pieces: readonly RailPiece[]): number {
  return pieces.reduce((sum, { slot }) => sum + plannedSets(slot.scheme), 0)
}

/** How many sets of which slot make up `count`, taken from the last exercise first. */
export function movesOf(
  pieces: readonly RailPiece[],
  count: number,
): readonly { readonly slot: SlotId; readonly count: number }[] {
  let left = count
  const moves = []
  for (const { slot } of [...pieces].reverse()) {
    const taken = Math.min(left, plannedSets(slot.scheme))
    if (taken > 0) moves.push({ slot: slot.id, count: taken })
    left -= taken
  }
  return moves
}
