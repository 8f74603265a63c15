import { addDays } from '#core/base'
import { placeOn } from '#core/plan/rotation'
import { Done } from '#shared/contracts/history'
import type { RosterEntry } from '#shared/contracts/roster'

export const ROSTER_FILTERS = ['all', 'now', 'week', 'steady', 'flagged'] as const
export type RosterFilter = (typeof ROSTER_FILTERS)[number]

const SECTION_NAMES = { now: 'Now', week: 'This week', steady: 'Steady' } as const

/** Until those whose logs are still being read are asked for again. */
const READ_ON_MS = 1500

/** The roster as the screen shows it: search, filters, sections, and the coach's answers. */
export function useRoster() {
  const store = useRosterStore()
  const today = useToday()
  const { ask } = useApi()
  const typed = ref('')
  const filter = ref<RosterFilter>('all')
  const openRow = ref<string | null>(null)
  const complaint = ref('')

  const shown = computed(() => {
    const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean)
    return (store.view?.clients ?? []).filter(
      entry => isIn(entry, filter.value) && words.every(word => textOf(entry).includes(word)),
    )
  })
  const sections = computed(() =>
    (['now', 'week', 'steady'] as const)
      .map(id => ({
        id,
        name: SECTION_NAMES[id],
        clients: shown.value.filter(({ section }) => section === id),
      }))
      .filter(({ clients }) => clients.length > 0),
  )
  const rows = useRosterRows(sections)
  const { start: readOn } = useTimeoutFn(() => void store.load(), READ_ON_MS, { immediate: false })
  watch(
    () => store.view,
    view => import.meta.client && view && view.unread > 0 && readOn(),
    { immediate: true },
  )
  const counts = computed(
    () =>
      Object.fromEntries(
        ROSTER_FILTERS.map(id => [
          id,
          (store.view?.clients ?? []).filter(entry => isIn(entry, id)).length,
        ]),
      ) as Record<RosterFilter, number>,
  )

  function isIn({ section, isFlagged }: RosterEntry, id: RosterFilter): boolean {
    return id === 'all' || (id === 'flagged' ? isFlagged : section === id)
  }
  function textOf({ name, about, needs, block }: RosterEntry): string {
    return [name, about, block?.title ?? '', ...needs.map(({ headline }) => headline)]
      .join(' ')
      .toLowerCase()
  }
  function placeToday({ block }: RosterEntry) {
    return block && placeOn(block.days.length, block.startsOn, today.value)
  }

  async function post(path: string, body: object): Promise<void> {
    const result = await ask(path, { method: 'PUT', body, answer: Done })
    complaint.value = result.ok ? '' : 'That was not saved: the server did not take it. Try again.'
    await store.load()
  }
  function entryOf(id: string): RosterEntry | undefined {
    return store.view?.clients.find(entry => entry.id === id)
  }
  async function flag(id: string): Promise<void> {
    const entry = entryOf(id)
    if (entry)
      await post(`/api/clients/${id}/marks`, {
        isFlagged: !entry.isFlagged,
        laterUntil: entry.laterUntil,
      })
  }
  async function later(id: string, days: number): Promise<void> {
    const entry = entryOf(id)
    if (entry)
      await post(`/api/clients/${id}/marks`, {
        isFlagged: entry.isFlagged,
        laterUntil: days === 0 ? null : addDays(today.value, days),
      })
  }
  const settle = (id: string, session: string) =>
    post(`/api/clients/${id}/sessions/${session}/decision`, { decision: 'drop' })
  function toggle(id: string): void {
    openRow.value = openRow.value === id ? null : id
  }
  return {
    store,
    today,
    typed,
    filter,
    openRow,
    complaint: readonly(complaint),
    sections: rows,
    counts,
    placeToday,
    flag,
    later,
    settle,
    toggle,
  }
}
