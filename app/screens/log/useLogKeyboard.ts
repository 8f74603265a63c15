import { useEventListener } from '@vueuse/core'

/** Keys of the Log page; they act only while no field has the focus. */
export function useLogKeyboard({
  step,
  open,
}: {
  readonly step: (by: 1 | -1) => void
  readonly open: (panel: 'link' | 'import') => void
}): void {
  const ACTIONS: Readonly<Record<string, () => void>> = {
    ',': () => step(-1),
    '.': () => step(1),
    k: () => open('link'),
    i: () => open('import'),
  }
  useEventListener('keydown', event => {
    const target = event.target as HTMLElement
    if (
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      target.closest('input, textarea, select, dialog, [role=dialog]')
    )
      return
    const act = ACTIONS[event.key]
    if (!act) return
    event.preventDefault()
    act()
  })
}
