import type { RosterEntry } from '#shared/contracts/roster'

interface Section {
  readonly id: 'now' | 'week' | 'steady'
  readonly name: string
  readonly clients: readonly RosterEntry[]
}

/** Rows that are drawn at once, a screen or two; and those that follow at a time. */
const FIRST_ROWS = 40
const ROWS_AT_ONCE = 60

/** The rows of a long roster come screen by screen, so that the first is there at once. */
export function useRosterRows(sections: Readonly<Ref<readonly Section[]>>) {
  const drawn = ref(FIRST_ROWS)
  const wanted = computed(() =>
    sections.value.reduce((sum, { clients }) => sum + clients.length, 0),
  )
  function drawMore(): void {
    if (drawn.value >= wanted.value) return
    drawn.value += ROWS_AT_ONCE
    requestAnimationFrame(() => setTimeout(drawMore))
  }
  onMounted(drawMore)
  watch(wanted, drawMore)
  return computed(() => {
    let left = drawn.value
    return sections.value.map(section => {
      const rows = section.clients.slice(0, Math.max(0, left))
      left -= rows.length
      return { ...section, rows }
    })
  })
}
