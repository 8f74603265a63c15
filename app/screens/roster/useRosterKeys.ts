import { useEventListener } from '@vueuse/core'

interface RosterVerbs {
  /** Opens or closes the row of a client. */
  readonly open: (client: string) => void
  readonly flag: (client: string) => void
}

/** Keys of the roster: arrows walk the rows, digits give a quick answer, L asks again later, F flags. Enter is the link's own. */
export function useRosterKeys(
  list: Readonly<Ref<HTMLElement | null>>,
  { open, flag }: RosterVerbs,
): void {
  const rows = () => [...(list.value?.querySelectorAll<HTMLElement>('[data-client]') ?? [])]
  const atRow = () =>
    rows().findIndex(row => row.closest('.roster-row')?.contains(document.activeElement))

  function walk(step: number): void {
    const all = rows()
    const at = atRow()
    all[at < 0 ? 0 : Math.min(all.length - 1, Math.max(0, at + step))]?.focus()
  }

  async function answer(selector: string, client: HTMLElement): Promise<void> {
    const row = client.closest('.roster-row')
    if (!row?.hasAttribute('data-open')) open(client.dataset.client ?? '')
    await nextTick()
    const target = row?.querySelector<HTMLElement>(selector)
    target?.focus()
    if (selector.startsWith('[data-answer')) target?.click()
  }

  function pressed(key: string, client: HTMLElement | undefined): boolean {
    const id = client?.dataset.client
    if (key === 'ArrowDown' || key === 'ArrowUp') walk(key === 'ArrowDown' ? 1 : -1)
    else if (!client || !id) return false
    else if (/^[1-4]$/.test(key)) void answer(`[data-answer="${key}"]`, client)
    else if (key === 'l') void answer('[data-later]', client)
    else if (key === 'f') flag(id)
    else if (key === 'ArrowRight' || key === 'ArrowLeft') open(id)
    else return false
    return true
  }

  useEventListener('keydown', (event: KeyboardEvent) => {
    const isInField =
      event.target instanceof Element &&
      event.target.closest('input, textarea, select, [role=dialog]') !== null
    if (isInField || !list.value || event.ctrlKey || event.metaKey || event.altKey) return
    if (pressed(event.key.length === 1 ? event.key.toLowerCase() : event.key, rows()[atRow()]))
      event.preventDefault()
  })
}
