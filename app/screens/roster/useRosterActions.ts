import { useActions } from '~/shell/useActions'
import { ROSTER_ACTIONS } from './rosterActions'

interface RosterVerbs {
  /** Opens or closes the row of a client. */
  readonly open: (client: string) => void
  readonly flag: (client: string) => void
}

/** Keys of the roster: arrows walk the rows, digits give a quick answer, L asks again later, F flags. Enter is the link's own. */
export function useRosterActions(
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

  /** The client whose row has the keyboard. */
  const here = () => rows()[atRow()]
  const withRow = (act: (client: HTMLElement, id: string) => unknown) => {
    const client = here()
    if (client?.dataset.client) void act(client, client.dataset.client)
  }
  useActions(
    ROSTER_ACTIONS,
    {
      hasRow: () => here() !== undefined,
      walk,
      toggle: () => withRow((_, id) => open(id)),
      answer: selector => withRow(client => answer(selector, client)),
      flag: () => withRow((_, id) => flag(id)),
      review: () => navigateTo('/queue'),
    },
    { isSilent: () => !list.value },
  )
}
