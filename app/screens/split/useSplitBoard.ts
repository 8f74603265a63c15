import { useBoardCarrying } from './useBoardCarrying'
import { useBoardDays } from './useBoardDays'
import { useBoardFindings } from './useBoardFindings'
import { useBoardSets } from './useBoardSets'
import { useShownBoard } from './useShownBoard'

export type { BoardPanel, BoardPlace } from './useShownBoard'

/** The state of the Split board beyond the plan itself, and everything that can be done on it. */
export function useSplitBoard(query: () => string = () => '') {
  const board = useShownBoard((held, moves) => carrying.putDown(held, moves))
  const carrying = useBoardCarrying(board)
  const findings = useBoardFindings(board)
  const { store, rails, days, place, pick, marked, carry, say, select } = board
  const { carryOver, sayProblem } = carrying
  const { notice, noticeAt, applyFix, close } = findings

  function go(step: { days: number; rails: number }): void {
    if (carry.inHand.value)
      return step.days === 0 ? undefined : carryOver(carry.inHand.value.toDay + step.days)
    select({ rail: place.value.rail + step.rails, day: place.value.day + step.days })
  }

  function goToDay(day: number): void {
    if (carry.inHand.value) carryOver(day)
    else select({ rail: place.value.rail, day })
  }

  function confirm(): void {
    if (carry.inHand.value) {
      if (!carry.putDown()) sayProblem()
    } else if (notice.value?.fix) applyFix(notice.value)
    else void openSession()
  }

  /** The selected day's session in detail. */
  async function openSession(): Promise<void> {
    const { day } = place.value
    if (days.value[day]?.role === 'rest')
      return say(`Day ${day + 1} is rest. R makes it a training day.`)
    await navigateTo(`/clients/${store.client?.id}/session/${day + 1}${query()}`)
  }

  function cancel(): void {
    if (carry.inHand.value) carry.putBack()
    else {
      pick.value = null
      noticeAt.value = -1
      marked.value = new Set()
      close()
    }
    say('')
  }

  function undo(): void {
    if (!carry.inHand.value) say(store.undo() ? 'Undone.' : 'Nothing to undo.')
  }

  function redo(): void {
    if (!carry.inHand.value) say(store.redo() ? 'Done again.' : 'Nothing to do again.')
  }

  function toggleHeads(): void {
    const at = place.value.rail
    const parent = rails.value.slice(0, at + 1).findLastIndex(rail => rail.opens !== null)
    const opens = rails.value[parent]?.opens
    if (!opens) return
    place.value = { ...place.value, rail: parent }
    board.toggle(opens.key)
  }

  return {
    ...board,
    ...carrying,
    ...findings,
    ...useBoardDays(board),
    ...useBoardSets(board),
    clientId: () => store.client?.id ?? '',
    go,
    goToDay,
    confirm,
    openSession,
    cancel,
    undo,
    redo,
    toggleHeads,
  }
}

export type SplitBoardState = ReturnType<typeof useSplitBoard>
