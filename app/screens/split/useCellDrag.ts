import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine'
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { setCustomNativeDragPreview } from '@atlaskit/pragmatic-drag-and-drop/element/set-custom-native-drag-preview'
import { pointerOutsideOfPreview } from '@atlaskit/pragmatic-drag-and-drop/element/pointer-outside-of-preview'
import type { SplitBoardState } from './useSplitBoard'

interface DropOptions {
  readonly board: SplitBoardState
  readonly dayAt: number
}

/** Makes an element a place to put sets down on a day. */
export function useDayDrop(
  element: Readonly<Ref<HTMLElement | null>>,
  { board, dayAt }: DropOptions,
): void {
  useOnElement(element, target =>
    dropTargetForElements({
      element: target,
      canDrop: ({ source }) => source.data.kind !== DAY_HEAD && board.carry.inHand.value !== null,
      onDragEnter: () => board.carryOver(dayAt),
    }),
  )
}

/** Lets a cluster be dragged to another day: the exercise under the pointer, else all direct sets; with Shift one set. */
export function useCellDrag(
  element: Readonly<Ref<HTMLElement | null>>,
  { board, railAt, dayAt }: DropOptions & { readonly railAt: number },
): void {
  useDayDrop(element, { board, dayAt })
  let isShiftHeld = false
  useOnElement(element, target =>
    combine(
      draggable({
        element: target,
        canDrag: ({ input }) => {
          isShiftHeld = input.shiftKey
          return (board.rails.value[railAt]?.view.cells[dayAt]?.pieces.length ?? 0) > 0
        },
        onGenerateDragPreview: ({ nativeSetDragImage }) => {
          board.lift(
            { rail: railAt, day: dayAt },
            { pick: board.pick.value ?? board.grabbed.value, onlyOne: isShiftHeld },
          )
          setCustomNativeDragPreview({
            nativeSetDragImage,
            getOffset: pointerOutsideOfPreview({ x: '12px', y: '8px' }),
            render: ({ container }) => void container.append(chip(handWords(board))),
          })
        },
        onDrop: ({ location }) => {
          const isOnDay = location.current.dropTargets.length > 0
          if (!isOnDay || !board.carry.putDown()) board.carry.putBack()
        },
      }),
    ),
  )
}

const DAY_HEAD = 'day-head'

/** Lets a day's head be dragged to another: onto an empty day its session moves, else the two days change places. */
export function useDayDrag(
  element: Readonly<Ref<HTMLElement | null>>,
  { board, dayAt }: DropOptions,
): { readonly isOver: Readonly<Ref<boolean>> } {
  const isOver = ref(false)
  useOnElement(element, target =>
    combine(
      draggable({
        element: target,
        getInitialData: () => ({ kind: DAY_HEAD, day: dayAt }),
        canDrag: () => (board.days.value[dayAt]?.sessions.length ?? 0) > 0,
      }),
      dropTargetForElements({
        element: target,
        canDrop: ({ source }) => source.data.kind === DAY_HEAD && source.data.day !== dayAt,
        onDragEnter: () => (isOver.value = true),
        onDragLeave: () => (isOver.value = false),
        onDrop: ({ source }) => {
          isOver.value = false
          board.dropDay(Number(source.data.day), dayAt)
        },
      }),
    ),
  )
  return { isOver: readonly(isOver) }
}

function useOnElement(
  element: Readonly<Ref<HTMLElement | null>>,
  attach: (element: HTMLElement) => () => void,
): void {
  let detach: (() => void) | undefined
  onMounted(() => {
    if (element.value) detach = attach(element.value)
  })
  onScopeDispose(() => detach?.())
}

function handWords(board: SplitBoardState): string {
  const inHand = board.carry.inHand.value
  return inHand
    ? `${inHand.count} ${inHand.count === 1 ? 'set' : 'sets'} in hand`
    : 'Nothing to carry'
}

function chip(words: string): HTMLElement {
  const element = document.createElement('div')
  element.textContent = words
  element.style.cssText =
    'padding:4px 9px;border-radius:4px;background:var(--ink);color:var(--on-ink);font:600 12.5px var(--font-text)'
  return element
}
