import { isPlainDate, plainDate } from '#core/base'
import type { BlockEvent } from '#core/plan/block'
import { eventEffects, withEvent, withoutEvent } from '#core/design/progress'
import { eventEffectLines } from '#core/words'
import { newId } from '~/shell/newId'

/** An event as it is typed. */
export interface EnteredEvent {
  readonly what: string
  readonly from: string
  readonly to: string
  readonly effect: BlockEvent['effect']
  readonly minutes: number
}

function wrongWith({ what, from, to, effect, minutes }: EnteredEvent): string | undefined {
  if (what.trim() === '') return 'Event: say what it is, such as Regatta.'
  if (!isPlainDate(from) || !isPlainDate(to)) return 'Event: choose its first and last day.'
  if (to < from) return 'Event: its last day lies before its first. Change one of them.'
  return effect === 'short' && !(minutes >= 5 && minutes <= 480)
    ? 'Event: say how many minutes there are, from 5 to 480.'
    : undefined
}
const eventOf = (id: string, { what, from, to, effect, minutes }: EnteredEvent): BlockEvent => ({
  id,
  what: what.trim(),
  from: plainDate(from),
  to: plainDate(to),
  effect,
  ...(effect === 'short' && { minutes: Math.round(minutes) }),
})

/** Events of the block: put in, changed, taken out, with what each does told before. */
export function useBlockEvents() {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const today = useToday()
  const events = computed(() =>
    [...(store.plan?.block?.events ?? [])].sort((a, b) => (a.from < b.from ? -1 : 1)),
  )
  const hold = (plan: NonNullable<typeof store.plan>) =>
    store.edit({ kind: 'set_block', block: plan.block ?? {} })

  /** Puts an event in, or one in another's place; gives what is wrong. */
  function put(entered: EnteredEvent, id: string = newId()): string | undefined {
    const wrong = wrongWith(entered)
    if (wrong || !store.plan) return wrong
    return hold(withEvent(store.plan, eventOf(id, entered))).ok
      ? undefined
      : 'This cannot be changed.'
  }
  function drop(id: string): void {
    if (store.plan) hold(withoutEvent(store.plan, id))
  }
  /** What it does, line by line; nothing while something is wrong with it. */
  function effects(entered: EnteredEvent, id = ''): readonly string[] {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context || wrongWith({ ...entered, what: entered.what || '?' })) return []
    return eventEffectLines(
      eventEffects(plan, eventOf(id, entered), { context, sent: issued.sent, today: today.value }),
    )
  }
  return { events, put, drop, effects }
}
