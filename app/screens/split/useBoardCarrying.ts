import { editProblemSentence, formatSetCount } from '#core/words'
import type { CarryOptions } from './useCarry'
import type { BoardPlace, ShownBoard } from './useShownBoard'

/** Sets taken in hand and put down on another day. */
export function useBoardCarrying(board: ShownBoard) {
  const { store, rails, days, place, pick, marked, carry, say, report, actedCells } = board

  /** Takes the sets of a cell in hand, those of the marked cells with them. */
  function lift(at: BoardPlace, options: { pick: number | null; onlyOne?: boolean }): boolean {
    const rail = rails.value[at.rail]
    const cell = rail?.view.cells[at.day]
    if (!rail || !cell) return false
    const lifted = carry.lift({
      railKey: rail.key,
      day: at.day,
      cell,
      ...options,
      others:
        marked.value.size > 0
          ? actedCells()
              .filter(other => other.cell !== cell)
              .map(other => other.cell)
          : [],
    })
    if (!lifted)
      say(
        cell.pieces.length > 0
          ? 'Only indirect sets here. Pick the exercise with , or . first.'
          : 'No sets to carry here.',
      )
    return lifted
  }

  function carryBy(step: number): void {
    if (!carry.inHand.value && !lift(place.value, { pick: pick.value })) return
    if (carry.inHand.value) carryOver(carry.inHand.value.toDay + step)
  }

  function carryOver(day: number): void {
    carry.over(Math.min(days.value.length - 1, Math.max(0, day)))
    sayProblem()
  }

  function sayProblem(): void {
    const problem = carry.problem.value
    say(problem && store.context ? editProblemSentence(problem, store.context.catalogue) : '')
  }

  const putDown: CarryOptions['putDown'] = (held, moves) => {
    const names = held.pieces
      .map(piece => store.context?.catalogue.get(piece.slot.exercise)?.name)
      .join(', ')
    if (!report(store.edit({ kind: 'move_sets', toDay: held.toDay, moves }))) return
    pick.value = null
    place.value = {
      rail: Math.max(
        0,
        rails.value.findIndex(rail => rail.key === held.railKey),
      ),
      day: held.toDay,
    }
    say(
      `${formatSetCount(held.count)} of ${names} moved from day ${held.fromDay + 1} to day ${held.toDay + 1}.`,
    )
  }

  function moveTo(day: number, sets: number | null): void {
    if (!lift(place.value, { pick: pick.value })) return
    if (sets !== null) carry.takeMore(sets - (carry.inHand.value?.count ?? 0))
    carryOver(day)
    if (!carry.putDown()) carry.putBack()
  }

  return { lift, carryBy, carryOver, sayProblem, putDown, moveTo }
}
