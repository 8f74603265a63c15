import { addDays, type PlainDate } from '#core/base'
import { passDates } from '#core/plan/block'
import { formatDay } from '#core/words'
import { type EnteredEvent, useBlockEvents } from './useBlockEvents'

interface Marked {
  /** Where marking began. */
  readonly start: PlainDate
  readonly end: PlainDate
  /** Marked by keys: the day is brought into sight. */
  readonly isStepped: boolean
}

/** Days marked on the calendar by mouse or keys, and the event that is made of them. */
export function useDrawnEvents() {
  const store = usePlanStore()
  const today = useToday()
  const { events, put, drop, effects } = useBlockEvents()
  const marked = ref<Marked | null>(null)
  /** The event in the form, and which one it is where it is there already. */
  const form = ref<{ readonly id: string | null; readonly entered: EnteredEvent } | null>(null)
  const span = computed(() => {
    if (!marked.value) return null
    const { start, end } = marked.value
    return start <= end ? { from: start, to: end } : { from: end, to: start }
  })

  function firstDay(): PlainDate | undefined {
    const days = store.plan ? passDates(store.plan).flat() : []
    return days.find(day => day >= today.value) ?? days[0]
  }
  /** Marking by keys begins with today, or with the block's first day. */
  function begin(): void {
    const day = firstDay()
    if (day) marked.value = { start: day, end: day, isStepped: true }
  }
  const press = (day: PlainDate): void => {
    marked.value = { start: day, end: day, isStepped: false }
  }
  function stretchTo(day: PlainDate): void {
    if (marked.value) marked.value = { ...marked.value, end: day, isStepped: false }
  }
  function moveBy(days: number): void {
    if (!marked.value) return
    const { start, end } = marked.value
    marked.value = { start: addDays(start, days), end: addDays(end, days), isStepped: true }
  }
  function stretchBy(days: number): void {
    if (marked.value)
      marked.value = {
        ...marked.value,
        end: addDays(marked.value.end, days),
        isStepped: true,
      }
  }
  function write(): void {
    if (!span.value) return
    form.value = {
      id: null,
      entered: { what: '', ...span.value, effect: 'skip', minutes: 30 },
    }
  }
  function open(id: string): void {
    const event = events.value.find(other => other.id === id)
    if (!event) return
    const { what, from, to, effect, minutes = 30 } = event
    form.value = { id, entered: { what, from, to, effect, minutes } }
  }
  function close(): void {
    marked.value = null
    form.value = null
  }
  return {
    events,
    marked,
    span,
    form,
    begin,
    press,
    stretchTo,
    moveBy,
    stretchBy,
    write,
    open,
    close,
    put,
    drop,
    effects,
    markedWords: computed(() => {
      if (!span.value) return ''
      const { from, to } = span.value
      return from === to ? formatDay(from) : `${formatDay(from)} to ${formatDay(to)}`
    }),
  }
}
export type DrawnEvents = ReturnType<typeof useDrawnEvents>
