import {
  addDays,
  DAYS_PER_WEEK,
  daysBetween,
  groupedBy,
  isoWeekday,
  type PlainDate,
} from '#core/base'
import { applyEdit, type PlanDocument, withException, withoutException } from '#core/plan/block'
import { formatDay, monthName, moveEffectWords, sessionStateWords } from '#core/words'
import { type BlockSession, blockAsTold, expandedBlock, moveEffects } from '#core/design/progress'
import { plannedSets } from '#core/plan/scheme'
import { sessionSlots } from '#core/plan/session'
import { newId } from '~/shell/newId'

export interface CalendarEntry {
  readonly key: string
  readonly name: string
  readonly sets: number
  readonly words: string
  readonly pass: number
  readonly isDeload: boolean
  readonly isSkipped: boolean
  readonly isDone: boolean
  readonly isMoved: boolean
  readonly label: string
}
export interface CalendarDay {
  readonly date: PlainDate
  /** `28`; with its month where one begins. */
  readonly label: string
  readonly isMonthStart: boolean
  readonly isInBlock: boolean
  readonly isToday: boolean
  readonly events: readonly { readonly id: string; readonly what: string }[]
  readonly entries: readonly CalendarEntry[]
}

const earlier = (a: PlainDate, b: PlainDate) => (a < b ? a : b)
const later = (a: PlainDate, b: PlainDate) => (a > b ? a : b)
const keyOf = ({ pass, day, place }: Pick<BlockSession, 'pass' | 'day' | 'place'>) =>
  `${pass} ${day} ${place}`

/** The block on the calendar: week under week, sessions that can be carried to another day with what that costs shown first. */
export function useBlockCalendar() {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const today = useToday()
  const carried = ref<{
    readonly key: string
    readonly to: PlainDate
    /** Carried by keys: the day is brought into sight. */ readonly isStepped: boolean
  } | null>(null)
  const message = ref('')

  const sessions = computed(
    () =>
      issued.expanded?.passes.flatMap(pass =>
        pass.sessions.map(session => ({ session, isDeload: pass.isDeload })),
      ) ?? [],
  )
  const held = computed(() =>
    carried.value
      ? (sessions.value.find(({ session }) => keyOf(session) === carried.value?.key)?.session ??
        null)
      : null,
  )

  function planWith(session: BlockSession, to: PlainDate): PlanDocument | null {
    if (!store.plan) return null
    const block = store.plan.block ?? {}
    const exception = {
      kind: 'moved' as const,
      pass: session.pass,
      day: session.day,
      place: session.place,
      on: to,
    }
    const usual = expandedBlock(
      { ...store.plan, block: withoutException(block, exception) },
      store.context!,
    ).passes[session.pass]?.sessions.find(other => keyOf(other) === keyOf(session))
    const next =
      usual?.on === to ? withoutException(block, exception) : withException(block, exception)
    const edited = applyEdit(store.plan, { kind: 'set_block', block: next }, newId)
    return edited.ok ? edited.value : null
  }
  /** What putting the carried session down there changes. */
  const consequences = computed((): readonly string[] => {
    const [session, target, context] = [held.value, carried.value, store.context]
    const plan = session && target && planWith(session, target.to)
    if (!plan || !context || !issued.expanded) return []
    const after = blockAsTold(plan, context, issued.sent, today.value)
    return moveEffects(session, target.to, {
      before: issued.expanded,
      after,
      today: today.value,
      context,
    }).map(moveEffectWords)
  })

  function entryOf({
    session,
    isDeload,
  }: {
    session: BlockSession
    isDeload: boolean
  }): CalendarEntry {
    const sets = sessionSlots(session.content).reduce(
      (sum, { scheme }) => sum + plannedSets(scheme),
      0,
    )
    const words = sessionStateWords(session)
    return {
      key: keyOf(session),
      name: session.name,
      sets,
      words,
      pass: session.pass,
      isDeload,
      isSkipped: session.isSkipped,
      isDone: session.sent?.isDone === true,
      isMoved: session.isMoved,
      label: `${session.name}, rotation ${session.pass + 1}, ${formatDay(session.on)}, ${sets} sets, ${words}${session.isMoved ? ', moved' : ''}`,
    }
  }
  /** Weeks from the first session to the last, whole, one under the other. */
  const weeks = computed((): readonly (readonly CalendarDay[])[] => {
    const expanded = issued.expanded
    if (!expanded) return []
    const days = [expanded.from, expanded.to, ...sessions.value.map(({ session }) => session.on)]
    const [first, last] = [days.reduce(earlier), days.reduce(later)]
    const byDate = groupedBy(sessions.value, ({ session }) => session.on)
    const start = addDays(first, 1 - isoWeekday(first))
    const count = Math.floor(daysBetween(start, last) / DAYS_PER_WEEK) + 1
    return Array.from({ length: count }, (_, week) =>
      Array.from({ length: DAYS_PER_WEEK }, (__, day): CalendarDay => {
        const date = addDays(start, week * DAYS_PER_WEEK + day)
        const isMonthStart = date.endsWith('-01') || (week === 0 && day === 0)
        return {
          date,
          label: isMonthStart
            ? `${Number(date.slice(8))} ${monthName(Number(date.slice(5, 7)))}`
            : String(Number(date.slice(8))),
          isMonthStart,
          isInBlock: date >= expanded.from && date <= expanded.to,
          isToday: date === today.value,
          events: (store.plan?.block?.events ?? [])
            .filter(({ from, to }) => from <= date && date <= to)
            .map(({ id, what }) => ({ id, what })),
          entries: (byDate.get(date) ?? []).map(entryOf),
        }
      }),
    )
  })

  function lift(key: string): void {
    const found = sessions.value.find(({ session }) => keyOf(session) === key)?.session
    if (!found) return
    if (found.sent?.isDone)
      return void (message.value = `${found.name} on ${formatDay(found.on)} is done and stays where it was.`)
    carried.value = { key, to: found.on, isStepped: false }
    message.value = ''
  }
  function carryTo(to: PlainDate): void {
    if (carried.value) carried.value = { ...carried.value, to, isStepped: false }
  }
  function carryBy(days: number): void {
    if (carried.value)
      carried.value = { ...carried.value, to: addDays(carried.value.to, days), isStepped: true }
  }
  function putDown(): void {
    const [session, target] = [held.value, carried.value]
    carried.value = null
    if (!session || !target || target.to === session.on) return
    const plan = planWith(session, target.to)
    if (!plan) return
    store.put(plan)
    message.value = `${session.name} of rotation ${session.pass + 1} is on ${formatDay(target.to)} now, ${Math.abs(daysBetween(session.on, target.to))} ${Math.abs(daysBetween(session.on, target.to)) === 1 ? 'day' : 'days'} ${target.to > session.on ? 'later' : 'earlier'}.`
  }
  function putBack(): void {
    carried.value = null
    message.value = ''
  }
  const heldWords = computed(() =>
    held.value && carried.value
      ? `${held.value.name} of rotation ${held.value.pass + 1}: ${formatDay(held.value.on)} → ${formatDay(carried.value.to)}`
      : '',
  )
  return {
    weeks,
    carried,
    consequences,
    heldWords,
    message,
    lift,
    carryTo,
    carryBy,
    putDown,
    putBack,
  }
}
