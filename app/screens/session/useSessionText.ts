import { formatClock, formatSetCount } from '#core/words'
import { sessionSeconds } from '#core/plan/minutes'
import { plannedSets } from '#core/plan/scheme'
import { sessionSlots } from '#core/plan/session'
import { formatSession } from '#core/plan/shorthand'
import type { SessionBuilder } from './useSessionBuilder'
import { readSession, useTextDrafts } from './useSchemeText'

const CONTEXT = 16

/** A whole session while it is being written as text; kept in this browser until it is taken or given up. */
export function useSessionText(builder: SessionBuilder) {
  const store = usePlanStore()
  const { drafts, keep, drop } = useTextDrafts()
  const key = `${store.client?.block?.id} ${builder.dayAt()} ${builder.sessionAt()}`
  const planned = computed(() =>
    builder.session.value ? formatSession(builder.session.value) : '',
  )
  const text = ref('')
  onMounted(() => (text.value = drafts.value[key] ?? planned.value))
  const isChanged = computed(() => text.value !== planned.value)
  watch(text, value => (value === planned.value ? drop(key) : keep(key, value)))

  const read = computed(() => readSession(text.value))
  /** An exercise that the library lacks is a problem of the text too; the contract says which. */
  const problem = computed(() =>
    text.value.trim() === '' || read.value.ok ? null : read.value.error,
  )
  const line = computed(() => {
    const at = problem.value?.at ?? 0
    const end = Math.max(problem.value?.end ?? 0, at + 1)
    const start = text.value.lastIndexOf('\n', at - 1) + 1
    return {
      number: text.value.slice(0, at).split('\n').length,
      before: text.value.slice(Math.max(start, at - CONTEXT), at),
      marked: text.value.slice(at, end) || '▁',
      after: text.value.slice(end, end + CONTEXT).split('\n')[0] ?? '',
    }
  })
  const summary = computed(() => {
    if (!read.value.ok || !store.context) return ''
    const sets = sessionSlots(read.value.value).reduce(
      (sum, { scheme }) => sum + plannedSets(scheme),
      0,
    )
    return `${formatSetCount(sets)} in ${formatClock(sessionSeconds(read.value.value, store.context))}.`
  })

  function take(): void {
    if (!read.value.ok) return
    const now = builder.session.value
    if (
      !builder.edit({
        kind: 'put_session',
        day: builder.dayAt(),
        session: now?.id ?? null,
        content: read.value.value,
      })
    )
      return
    drop(key)
    builder.close()
    builder.say('Taken into the plan. Z undoes it.')
  }
  function reset(): void {
    text.value = planned.value
  }
  return { text, problem, line, isChanged, summary, take, reset }
}
