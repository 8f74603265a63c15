import { useEventListener } from '@vueuse/core'
import { boardIntent, type BoardIntent, dayFromDigits } from './boardKeys'
import type { SplitBoardState } from './useSplitBoard'

const DIGIT_PAUSE_MS = 600

interface KeyboardOptions {
  readonly board: SplitBoardState
  readonly isSilent: () => boolean
  /** Asked before the board is; true where the key has been answered. */
  readonly onConfirm: () => boolean
  readonly onCancel: () => boolean
  readonly onTable: () => void
  readonly onKeys: () => void
}

/** Sends key presses to the board, unless they belong to a field, a dialog, a menu or a control. */
export function useBoardKeyboard({
  board,
  isSilent,
  onConfirm,
  onCancel,
  onTable,
  onKeys,
}: KeyboardOptions): void {
  let typedDigits = ''
  let typedAt = 0

  function digit(value: number): void {
    const now = performance.now()
    const { day, typed } = dayFromDigits(
      now - typedAt < DIGIT_PAUSE_MS ? typedDigits : '',
      value,
      board.days.value.length,
    )
    typedDigits = typed
    typedAt = now
    if (day !== null) board.goToDay(day)
  }

  function follow(intent: BoardIntent): void {
    switch (intent.kind) {
      case 'go':
        return board.go(intent)
      case 'go_to_day':
        return digit(intent.digit)
      case 'carry':
        return board.carryBy(intent.days)
      case 'sets':
        return board.changeSets(intent.step)
      case 'pick':
        return board.pickNext(intent.step)
      case 'confirm':
        return onConfirm() ? undefined : board.confirm()
      case 'cancel':
        return onCancel() ? undefined : board.cancel()
      case 'undo':
        return board.undo()
      case 'redo':
        return board.redo()
      case 'heads':
        return board.toggleHeads()
      case 'add_exercise':
        return board.openPicker()
      case 'next_notice':
        return board.nextNotice()
      case 'rest_day':
        return board.toggleRest()
      case 'swap_days':
        return board.choose('swap')
      case 'copy_day':
        return board.choose('copy')
      case 'move_session':
        return board.choose('move')
      case 'hold':
        return board.toggleHold()
      case 'mark':
        return board.toggleMark(board.place.value)
      case 'why':
        return board.open('why')
      case 'calendar':
        return board.open('calendar')
      case 'revisions':
        return board.open('revisions')
      case 'rotation':
        return board.open('rotation')
      case 'checks':
        return board.open('checks')
      case 'dismiss':
        return board.dismissNotice()
      case 'propose':
        return void navigateTo(`/clients/${board.clientId()}/proposals`)
      case 'table':
        return onTable()
      case 'keys':
        return onKeys()
    }
  }

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

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (answersDay(event)) return event.preventDefault()
    const target = event.target instanceof Element ? event.target : null
    if (
      isSilent() ||
      event.defaultPrevented ||
      target?.closest('input, textarea, select, [role=menu], [role=dialog]')
    )
      return
    // The search box is the app bar's.
    if (event.key === '/') return
    // Enter and Space on a button or link are that control's own.
    if (event.key === 'Enter' && target?.closest('button, a')) return
    const intent = boardIntent(event)
    if (!intent) return
    event.preventDefault()
    focusBoard()
    follow(intent)
  })
}

/** The selected cell gets the keyboard back, so that walking with the arrows is seen and heard. */
function focusBoard(): void {
  if (document.activeElement?.closest('[role=grid]')) return
  document.querySelector<HTMLElement>('[role=grid] [role=gridcell][tabindex="0"]')?.focus()
}
