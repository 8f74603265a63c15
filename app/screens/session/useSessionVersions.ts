import type { PlainDate } from '#core/base'
import { formatClock, formatDay, sessionLines } from '#core/words'
import { sessionSeconds } from '#core/plan/minutes'
import type { Session } from '#core/plan/session'
import type { SessionBuilder } from './useSessionBuilder'
import { useSessionDates } from './useShortSession'

const WHY = { short: 'shortened', swap: 'with a swap', other: 'changed' } as const

/** What is kept beside a session: other contents on single dates, and versions at hand. */
export function useSessionVersions(builder: SessionBuilder) {
  const store = usePlanStore()
  const dates = useSessionDates(builder)
  const on = ref(dates.value[0]?.on ?? null)
  const minutesOf = (content: Session) =>
    store.context ? formatClock(sessionSeconds(content, store.context)) : ''
  const linesOf = (content: Session) =>
    store.context ? sessionLines(content, store.context.catalogue) : []
  const own = <Kept extends { readonly session: string }>(kept: readonly Kept[] | undefined) =>
    (kept ?? []).filter(({ session }) => session === builder.session.value?.id)
  const oneOffs = computed(() =>
    own(store.plan?.oneOffs).map(({ on: date, reason, content }) => ({
      on: date,
      words: formatDay(date),
      why: WHY[reason],
      minutes: minutesOf(content),
      lines: linesOf(content),
    })),
  )
  const variants = computed(() =>
    own(store.plan?.variants).map(({ name, content }) => ({
      name,
      minutes: minutesOf(content),
      lines: linesOf(content),
      content,
    })),
  )
  const contentOf = (name: string) => variants.value.find(variant => variant.name === name)?.content

  function put(name: string): void {
    const [content, session] = [contentOf(name), builder.session.value]
    if (
      !content ||
      !session ||
      !builder.edit({ kind: 'put_session', day: builder.dayAt(), session: session.id, content })
    )
      return
    builder.close()
    builder.say(`${name} is the session from now on. Z undoes it.`)
  }
  function putForDate(name: string): void {
    const [content, session] = [contentOf(name), builder.session.value]
    if (content && session && on.value)
      builder.edit({
        kind: 'put_one_off',
        oneOff: { on: on.value, session: session.id, reason: 'other', content },
      })
  }
  function dropOneOff(date: PlainDate): void {
    if (builder.session.value)
      builder.edit({ kind: 'drop_one_off', session: builder.session.value.id, on: date })
  }
  function dropVariant(name: string): void {
    if (builder.session.value)
      builder.edit({ kind: 'drop_variant', session: builder.session.value.id, name })
  }
  return { oneOffs, variants, dates, on, put, putForDate, dropOneOff, dropVariant }
}
