import { queueSum } from '#core/follow/queue'
import { queueSumWords } from '#core/words'
import { SentAnswer } from '#shared/contracts/block'
import { Done } from '#shared/contracts/history'
import { type QueueEntry, QueueView, SafeAnswer } from '#shared/contracts/queue'
import { refusalWords } from '~/shell/refusalWords'
import { after } from './queueOrder'
import { useSessionStorage } from '@vueuse/core'

/** Until clients whose logs are still being read are asked for again. */
const READ_ON_MS = 500
const MINUTE_MS = 60_000
const NOTHING_DONE = 'the server did not answer, so nothing was changed. Try again.'

/** Everybody the coach has to look back at, one after the other. */
export function useQueue() {
  const { ask } = useApi()
  const today = useToday()
  const failed = useState('queue-failed', () => false)
  const fetched = useAsyncData(
    'queue',
    async () => {
      const result = await ask('/api/queue', { answer: QueueView })
      failed.value = !result.ok
      return result.ok ? result.value : null
    },
    { deep: false },
  )
  const { data: view, refresh } = fetched
  const entries = computed(() => view.value?.entries ?? [])
  const waiting = computed(() => entries.value.filter(({ isBehind }) => !isBehind))
  const behind = computed(() => entries.value.filter(({ isBehind }) => isBehind))
  const wanted = useState<string | null>('queue-at', () => null)
  const current = computed(
    () => entries.value.find(({ id }) => id === wanted.value) ?? waiting.value[0] ?? null,
  )
  /** Who comes after the one at hand. */
  const coming = computed(() => after(current.value, waiting.value))
  const said = ref('')
  const isBusy = ref(false)
  const { start: readOn } = useTimeoutFn(() => void refresh(), READ_ON_MS, { immediate: false })
  watch(view, is => import.meta.client && is && is.unread > 0 && readOn(), { immediate: true })
  // What was decided moves clients and figures.
  const written = useWritten()
  watch(written, () => void refresh())

  /** Runs one change at a time, and says what came of it. */
  async function once(work: () => Promise<string>): Promise<void> {
    if (isBusy.value) return
    isBusy.value = true
    said.value = await work()
    await refresh()
    isBusy.value = false
  }
  const next = () =>
    once(async () => {
      const [at, then] = [current.value, coming.value]
      if (!at) return ''
      const result = await ask(`/api/clients/${at.id}/seen`, {
        method: 'PUT',
        body: { keys: at.keys },
        answer: Done,
      })
      if (!result.ok) return refusalWords(result.error, NOTHING_DONE)
      wanted.value = then?.id ?? null
      // Whoever comes next is read from the top.
      window.scrollTo({ top: 0 })
      return `${at.name}: done. Z takes it back.`
    })
  function back(): void {
    const at = entries.value.findIndex(({ id }) => id === current.value?.id)
    const before = entries.value[at < 0 ? entries.value.length - 1 : at - 1]
    if (before) wanted.value = before.id
  }
  const startedAt = useSessionStorage(`tholepin-queue-${today.value}`, 0)
  onMounted(() => (startedAt.value ||= Date.now()))
  const now = useNow({ interval: MINUTE_MS / 6 })
  const sum = computed(() => queueSum(behind.value))
  return {
    view,
    ready: fetched,
    failed,
    refresh,
    entries,
    waiting,
    behind,
    current,
    coming,
    said,
    isBusy,
    once,
    next,
    back,
    choose: (id: string) => (wanted.value = id),
    sum,
    minutes: computed(() =>
      startedAt.value === 0 ? 0 : (now.value.getTime() - startedAt.value) / MINUTE_MS,
    ),
    sumWords: (minutes: number) => queueSumWords(sum.value, minutes),
  }
}
export type QueuePage = ReturnType<typeof useQueue>

/** What is safe to take for all: ticked by client and change, taken with one key; and what changed sent to who is done. */
export function useSafe({ waiting, behind, once }: QueuePage) {
  const { ask } = useApi()
  const left = ref<ReadonlySet<string>>(new Set())
  const lines = computed(() =>
    waiting.value.flatMap(entry =>
      entry.safe.map((one, n) => ({
        ...one,
        id: `${entry.id} ${one.key}`,
        client: entry.id,
        pass: entry.pass ?? 0,
        name: n === 0 ? entry.name : '',
        isIn: !left.value.has(`${entry.id} ${one.key}`),
      })),
    ),
  )
  const ticked = computed(() => lines.value.filter(({ isIn }) => isIn))
  const clients = computed(() => new Set(ticked.value.map(({ client }) => client)).size)
  function toggle(id: string): void {
    const all = new Set(left.value)
    if (!all.delete(id)) all.add(id)
    left.value = all
  }
  const take = () =>
    once(async () => {
      const result = await ask('/api/queue/take', {
        method: 'POST',
        body: {
          changes: ticked.value.map(({ client, pass, key }) => ({ client, pass, key })),
        },
        answer: SafeAnswer,
      })
      if (!result.ok) return refusalWords(result.error, NOTHING_DONE)
      const { taken, clients: of, left: not } = result.value
      return [
        `${taken} taken for ${of} ${of === 1 ? 'client' : 'clients'}. Z takes them back.`,
        ...not.map(({ name, why }) => `${name}: ${why}`),
      ].join(' ')
    })
  const unsent = computed(() =>
    behind.value.filter(({ toSend, changed }) => changed > 0 && toSend.length > 0),
  )
  /** Sends what changed to everybody who is done; whoever could not be sent to is named, the others are. */
  const sendRest = () =>
    once(async () => {
      const [sent, not]: [string[], string[]] = [[], []]
      for (const entry of unsent.value) {
        const why = await sendTo(entry)
        if (why === '') sent.push(entry.name)
        else not.push(`${entry.name}: ${why}`)
      }
      return [sent.length > 0 ? `Sent to ${sent.join(', ')}.` : '', ...not].join(' ').trim()
    })
  async function sendTo({ block, version, toSend }: QueueEntry): Promise<string> {
    for (const { pass, again } of toSend) {
      const result = await ask(`/api/blocks/${block}/send`, {
        method: 'POST',
        body: { pass, version, again },
        answer: SentAnswer,
      })
      if (!result.ok) return refusalWords(result.error, NOTHING_DONE)
    }
    return ''
  }
  return {
    lines,
    ticked,
    clients,
    toggle,
    take,
    unsent,
    sendRest,
    notSafe: computed(() => waiting.value.filter(({ notSafe }) => notSafe !== '')),
  }
}
