import type { BlockId, PlainDate } from '#core/base'

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/

interface Chosen {
  readonly client: string
  readonly block: string
  /** Known where it was chosen from a list. */
  readonly title?: string
  readonly startsOn?: PlainDate
}

/**
 * The block of a client the coach is at work on, where it is not today's: an address names it by `?block=`, and it stays until
 * the window is closed or the coach goes back to the running one.
 */
export function useChosenBlock(clientId: string) {
  const kept = useCookie<Chosen | null>('tholepin-block', { default: () => null, sameSite: 'lax' })
  const asked = useRoute().query.block
  if (typeof asked === 'string' && asked !== kept.value?.block)
    kept.value = UUID.test(asked) ? { client: clientId, block: asked } : null
  const chosen = computed(() =>
    kept.value?.client === clientId ? (kept.value.block as BlockId) : null,
  )
  return {
    chosen,
    /** What is known of it without asking. */
    known: computed(() => (chosen.value ? kept.value : null)),
    choose: (block: Omit<Chosen, 'client'>) => (kept.value = { client: clientId, ...block }),
    /** Behind an address of the interface; empty where today's block is meant. */
    query: computed(() => (chosen.value ? `?block=${chosen.value}` : '')),
    leave: () => (kept.value = null),
  }
}
