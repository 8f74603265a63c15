import { useActions } from '~/shell/useActions'
import { BOARD_ACTIONS } from './boardActions'
import { dayDigits } from './dayDigits'
import type { SplitBoardState } from './useSplitBoard'

interface BoardPage {
  readonly board: SplitBoardState
  readonly isSilent: () => boolean
  /** Asked before the board is; true where the key has been answered. */
  readonly onConfirm: () => boolean
  readonly onCancel: () => boolean
  readonly onTable: () => void
}

/** The selected cell gets the keyboard back, so that walking with the arrows is seen and heard. */
function focusBoard(): void {
  if (document.activeElement?.closest('[role=grid]')) return
  document.querySelector<HTMLElement>('[role=grid] [role=gridcell][tabindex="0"]')?.focus()
}

/** Sends keys to the board, unless they belong to a field, a dialog, a menu or a control. */
export function useBoardActions({
  board,
  isSilent,
  onConfirm,
  onCancel,
  onTable,
}: BoardPage): void {
  const dayOf = dayDigits(
    () => board.days.value.length,
    () => performance.now(),
  )

  /** A digit answers the question which day, even before its dialog is drawn. */
  function answersDay({ key }: KeyboardEvent): boolean {
    const asked = board.opened.value
    const day = Number(key) - 1
    if (asked !== 'swap' && asked !== 'copy' && asked !== 'move') return false
    if (!/^[1-9]$/.test(key) || day >= board.days.value.length || day === board.place.value.day)
      return false
    board.withDay(asked, board.place.value.day, day)
    return true
  }

  useActions(
    BOARD_ACTIONS,
    {
      board,
      toDigit: digit => {
        const day = dayOf(digit)
        if (day !== null) board.goToDay(day)
      },
      confirm: () => (onConfirm() ? undefined : board.confirm()),
      cancel: () => (onCancel() ? undefined : board.cancel()),
      toggleTable: onTable,
    },
    { isSilent, before: answersDay, onAction: focusBoard },
  )
}
