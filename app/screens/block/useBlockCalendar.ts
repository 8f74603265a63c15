import {
  addDays,
  daysBetween,
  isoWeekday,
  type PlainDate,
  plainDate,
  DAYS_PER_WEEK,
} from '#core/base'
import { applyEdit, type PlanDocument, withException, withoutException } from '#core/plan/block'
import { formatDay, moveEffectWords, sessionStateWords } from '#core/words'
import { type BlockSession, blockAsTold, expandedBlock, moveEffects } from '#core/design/progress'
import { plannedSets } from '#core/plan/scheme'
import { sessionSlots } from '#core/plan/session'
import { newId } from '~/shell/newId'

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const

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
  readonly number: number
  readonly isInBlock: boolean
  readonly isToday: boolean
  readonly events: readonly string[]
  readonly entries: readonly CalendarEntry[]
}

const keyOf = ({ pass, day, place }: Pick<BlockSession, 'pass' | 'day' | 'place'>) =>
  `${pass} ${day} ${place}`

/** The block on the calendar: months of weeks, sessions that can be carried to another day with what that costs shown first. */
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
  const months = computed(() => {
    const expanded = issued.expanded
    if (!expanded) return []
    const last = sessions.value.reduce(
      (latest, { session }) => (session.on > latest ? session.on : latest),
      expanded.to,
    )
    const first = sessions.value.reduce(
      (earliest, { session }) => (session.on < earliest ? session.on : earliest),
      expanded.from,
    )
    const byDate = new Map<string, CalendarEntry[]>()
    for (const held of sessions.value)
      byDate.set(held.session.on, [...(byDate.get(held.session.on) ?? []), entryOf(held)])
    const found: { key: string; title: string; weeks: CalendarDay[][] }[] = []
    for (
      let month = first.slice(0, 7);
      month <= last.slice(0, 7);
      month = addDays(plainDate(`${month}-28`), 4).slice(0, 7)
    ) {
      const begin = plainDate(`${month}-01`)
      const start = addDays(begin, 1 - isoWeekday(begin))
      const weeks: CalendarDay[][] = []
      for (let week = start; week.slice(0, 7) <= month; week = addDays(week, DAYS_PER_WEEK)) {
        weeks.push(
          Array.from({ length: DAYS_PER_WEEK }, (_, day) => {
            const date = addDays(week, day)
            const isHere = date.startsWith(month)
            return {
              date,
              number: isHere ? Number(date.slice(8)) : 0,
              isInBlock: date >= expanded.from && date <= expanded.to,
              isToday: date === today.value,
              events: isHere
                ? (store.plan?.block?.events ?? [])
                    .filter(({ from, to }) => from <= date && date <= to)
                    .map(({ what }) => what)
                : [],
              entries: isHere ? (byDate.get(date) ?? []) : [],
            }
          }),
        )
      }
      const shown = weeks.filter(days =>
        days.some(
          ({ isInBlock, number, entries }) => number > 0 && (isInBlock || entries.length > 0),
        ),
      )
      found.push({
        key: month,
        title: `${MONTHS[Number(month.slice(5)) - 1]} ${month.slice(0, 4)}`,
        weeks: shown,
      })
    }
    return found
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
    months,
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
