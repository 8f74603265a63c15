import { useEventListener } from '@vueuse/core'

/** Arrow keys walk the rows of the roster; Enter is the link's own. */
export function useRosterKeys(list: Readonly<Ref<HTMLElement | null>>): void {
  useEventListener('keydown', (event: KeyboardEvent) => {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
    if (step === 0 || !list.value || event.ctrlKey || event.metaKey || event.altKey) return
    const rows = [...list.value.querySelectorAll<HTMLElement>('a')]
    const at = rows.findIndex(row => row === document.activeElement)
    const next = at < 0 ? 0 : Math.min(rows.length - 1, Math.max(0, at + step))
    rows[next]?.focus()
    event.preventDefault()
  })
}
