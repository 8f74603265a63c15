import { useEventListener } from '@vueuse/core'

/** Keys of the Review page; they act only while no field has the focus. */
export function useReviewKeyboard(actions: {
  readonly step: (by: 1 | -1) => void
  readonly turn: (by: 1 | -1) => void
  readonly take: () => void
  readonly change: () => void
  readonly refuse: () => void
  readonly replan: (at: number) => void
  readonly send: () => void
}): void {
  const BY_KEY: Readonly<Record<string, () => void>> = {
    ArrowDown: () => actions.step(1),
    ArrowUp: () => actions.step(-1),
    ',': () => actions.turn(-1),
    '.': () => actions.turn(1),
    Enter: actions.take,
    e: actions.change,
    Delete: actions.refuse,
    s: actions.send,
    '1': () => actions.replan(0),
    '2': () => actions.replan(1),
    '3': () => actions.replan(2),
    '4': () => actions.replan(3),
  }
  useEventListener('keydown', event => {
    const target = event.target as HTMLElement
    if (
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      target.closest('input, textarea, select, [role=dialog]') ||
      (event.key === 'Enter' && target.closest('a, button'))
    )
      return
    const act = BY_KEY[event.key]
    if (!act) return
    event.preventDefault()
    act()
  })
}
