import { success } from '#core/base'
import { planEnd } from '#core/plan/block'
import { formatDay } from '#core/words'
import type { OpenedPart } from '~/stores/plan'

/** What is said of a rotation that is opened by itself. */
export interface ToldRotation {
  /** From 0. */
  readonly at: number
  readonly passes: number
  readonly days: string
  readonly isDeload: boolean
  readonly isSent: boolean
}

/**
 * One rotation of the block, shown and changed in place of the whole, where the address names one: `?rotation=4`.
 * What lays a block out is fetched only then, so that the board itself stays light.
 */
export async function useOpenedRotation(clientId: string) {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const route = useRoute()
  const today = useToday()
  const at = computed(() => {
    const asked = Number(route.query.rotation ?? 0) - 1
    return Number.isInteger(asked) && asked >= 0 && asked < (store.whole?.passes ?? 0)
      ? asked
      : null
  })

  async function partAt(asked: number): Promise<OpenedPart> {
    const { expandedAfter, passAlone, passContext, passTaken } =
      await import('#core/design/progress')
    /** None where a step back has made the block shorter than that. */
    const passOf = (...of: Parameters<OpenedPart['shown']>) =>
      expandedAfter(...of, issued.sent, today.value).passes[asked]
    return {
      shown(whole, context) {
        const pass = passOf(whole, context)
        return pass ? passAlone(whole, pass) : whole
      },
      context(whole, context) {
        const pass = passOf(whole, context)
        return pass ? passContext(context, pass) : context
      },
      taken(whole, next, context) {
        const pass = passOf(whole, context)
        return pass ? passTaken(whole, pass, next) : success(next)
      },
    }
  }
  async function open(): Promise<void> {
    store.openPart(at.value === null ? null : await partAt(at.value))
  }
  watch(at, open)
  await useAsyncData(`opened-sent-${clientId}`, async () =>
    at.value === null ? true : (await issued.load()).ok,
  )
  await open()
  return {
    /** From 0; null where the whole block is shown. */
    at,
    /** What is said above it; null where the whole block is shown. */
    told: computed((): ToldRotation | null => {
      const { plan, whole } = store
      if (at.value === null || !plan || !whole) return null
      return {
        at: at.value,
        passes: whole.passes,
        days: `${formatDay(plan.startsOn)} to ${formatDay(planEnd(plan))}`,
        isDeload: whole.block?.deloads?.includes(at.value) ?? false,
        isSent: issued.sent.some(({ pass }) => pass === at.value),
      }
    }),
    /** Behind an address of the application, so that it shows the same rotation. */
    query: computed(() => (at.value === null ? '' : `?rotation=${at.value + 1}`)),
  }
}
