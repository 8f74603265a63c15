import { hasWork } from '#core/body/log'
import { formatDay, SESSION_STATE_WORDS } from '#core/words'
import { LogListView } from '#shared/contracts/log'

/** Sessions of a client's log, and which one is open; the address names it, so that it can be linked to. */
export async function useLog(id: string) {
  const { ask } = useApi()
  const route = useRoute()
  const router = useRouter()
  const today = useToday()
  const { data, refresh } = await useAsyncData(
    `log-${id}`,
    async () => {
      const result = await ask(`/api/clients/${id}/log`, { answer: LogListView })
      if (result.ok) return result.value
      throw createError({
        statusCode: result.error.kind === 'refused' ? result.error.problem.status : 503,
        fatal: true,
      })
    },
    { deep: false },
  )
  const rows = computed(() =>
    (data.value?.sessions ?? []).map(session => ({
      ...session,
      day: formatDay(session.on),
      words: SESSION_STATE_WORDS[session.state],
      isWorked: hasWork(session.state),
    })),
  )
  /** The one that was asked for, else today's, else the next, else the latest. */
  const chosen = computed(() => {
    const asked = route.query.session
    return (
      rows.value.find(({ id: own }) => own === asked) ??
      rows.value.find(({ on }) => on === today.value) ??
      rows.value.findLast(({ on }) => on > today.value) ??
      rows.value[0] ??
      null
    )
  })
  const choose = (session: string) => router.replace({ query: { ...route.query, session } })
  function step(by: 1 | -1): void {
    const at = rows.value.findIndex(({ id: own }) => own === chosen.value?.id)
    const next = rows.value[at + by]
    if (next) void choose(next.id)
  }
  return {
    name: computed(() => data.value?.name ?? ''),
    units: computed(() => data.value?.units ?? 'kg'),
    rows,
    chosen,
    choose,
    step,
    refresh,
  }
}
