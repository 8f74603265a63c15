import type { SlotId } from '#core/base'
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine'
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import type { SessionBuilder } from './useSessionBuilder'

const PLANK = 'plank'
/** The outer quarters of a plank mean before and after it, the middle together with it. */
const EDGE = 0.25

export type DropPlace = 'before' | 'together' | 'after'

function placeIn(element: Element, clientX: number): DropPlace {
  const { left, width } = element.getBoundingClientRect()
  const share = (clientX - left) / width
  return share < EDGE ? 'before' : share > 1 - EDGE ? 'after' : 'together'
}

interface PlankOptions {
  readonly builder: SessionBuilder
  readonly slot: () => SlotId
  /** The first exercise of the grouping after this one. */ readonly next: () => SlotId | null
}

/** Lets a plank be dragged before, after or onto another. */
export function usePlankDrag(
  element: Readonly<Ref<HTMLElement | null>>,
  { builder, slot, next }: PlankOptions,
): { readonly over: Readonly<Ref<DropPlace | null>> } {
  const over = ref<DropPlace | null>(null)
  let detach: (() => void) | undefined
  onMounted(() => {
    const target = element.value
    if (!target) return
    detach = combine(
      draggable({ element: target, getInitialData: () => ({ kind: PLANK, slot: slot() }) }),
      dropTargetForElements({
        element: target,
        canDrop: ({ source }) => source.data.kind === PLANK && source.data.slot !== slot(),
        onDrag: ({ location }) => (over.value = placeIn(target, location.current.input.clientX)),
        onDragLeave: () => (over.value = null),
        onDrop: ({ source, location }) => {
          const place = placeIn(target, location.current.input.clientX)
          const moved = source.data.slot as SlotId
          over.value = null
          if (place === 'together') builder.pair(slot(), moved)
          else builder.moveBefore(moved, place === 'before' ? slot() : next())
        },
      }),
    )
  })
  onScopeDispose(() => detach?.())
  return { over: readonly(over) }
}
