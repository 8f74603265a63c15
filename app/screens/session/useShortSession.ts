import { datesOfDay, sessionOn } from '#core/plan/block'
import {
  formatDay,
  GROUP_NAMES,
  offerWords,
  sessionLines,
  shortChangeWords,
  shortSentence,
} from '#core/words'
import {
  catchUpOffers,
  groupWeeks,
  SHORT_WAYS,
  shortSession,
  type ShortWay,
} from '#core/design/short'
import type { SessionBuilder } from './useSessionBuilder'

const DATES_SHOWN = 8

/** The dates on which the session falls from today on, with what is planned for each. */
export function useSessionDates(builder: SessionBuilder) {
  const store = usePlanStore()
  const today = useToday()
  return computed(() => {
    const [plan, session] = [store.plan, builder.session.value]
    if (!plan || !session) return []
    return datesOfDay(plan, builder.dayAt())
      .filter(on => on >= today.value)
      .slice(0, DATES_SHOWN)
      .map(on => ({ on, words: formatDay(on), isOneOff: sessionOn(plan, session, on) !== session }))
  })
}

/** The session made to fit a given time, beside what it is; steps can be refused, and the result kept in three ways. */
export function useShortSession(builder: SessionBuilder) {
  const store = usePlanStore()
  const minutes = ref(
    Math.max(10, Math.round((((builder.view.value?.time.seconds ?? 2700) / 60) * 0.66) / 5) * 5),
  )
  const way = ref<ShortWay>('usual')
  const refused = ref<ReadonlySet<string>>(new Set())
  const dates = useSessionDates(builder)
  const on = ref(dates.value[0]?.on ?? null)

  const result = computed(() => {
    const [input, session, context] = [store.input, builder.session.value, store.context]
    const asked = Math.round(Number(minutes.value))
    if (!input || !session || !context || !(asked >= 5 && asked <= 240)) return null
    return shortSession({
      session,
      minutes: asked,
      context,
      weeks: groupWeeks(input.ledger),
      lengthDays: input.plan.rotation.days.length,
      way: way.value,
      refused: refused.value,
    })
  })
  const sentence = computed(() =>
    result.value && store.context
      ? shortSentence(result.value, Math.round(Number(minutes.value)), store.context.catalogue)
      : 'Give a time between 5 and 240 minutes.',
  )
  const changes = computed(
    () =>
      result.value?.changes.map(change => ({
        key: change.key,
        saved: change.saved,
        words: store.context ? shortChangeWords(change, store.context.catalogue) : '',
      })) ?? [],
  )
  /** Refused steps stay in sight, so that they can be allowed again. */
  const refusedWords = ref<ReadonlyMap<string, string>>(new Map())
  const groups = computed(
    () => result.value?.groups.map(row => ({ ...row, name: GROUP_NAMES[row.group] })) ?? [],
  )
  const offers = computed(() =>
    result.value && store.input && store.context
      ? catchUpOffers(result.value, builder.dayAt(), store.input).map(offer => ({
          ...offer,
          words: offerWords(offer, store.context!.catalogue),
        }))
      : [],
  )
  const lines = computed(() =>
    result.value && store.context
      ? sessionLines(result.value.session, store.context.catalogue)
      : [],
  )

  function refuse(key: string, words: string): void {
    refused.value = new Set([...refused.value, key])
    refusedWords.value = new Map([...refusedWords.value, [key, words]])
  }
  function allow(key: string): void {
    refused.value = new Set([...refused.value].filter(other => other !== key))
    refusedWords.value = new Map([...refusedWords.value].filter(([other]) => other !== key))
  }
  function done(isDone: boolean, words: string): void {
    if (!isDone) return
    builder.close()
    builder.say(words)
  }
  function saveForDate(): void {
    const [short, session, date] = [result.value, builder.session.value, on.value]
    if (!short || !session || !date) return
    done(
      builder.edit({
        kind: 'put_one_off',
        oneOff: {
          on: date,
          session: session.id,
          reason: 'short',
          content: { ...short.session, id: session.id },
        },
      }),
      'Kept for that date; the plan stays as it is.',
    )
  }
  function saveAsVariant(): void {
    const [short, session] = [result.value, builder.session.value]
    if (short && session)
      done(
        builder.edit({
          kind: 'put_variant',
          variant: {
            session: session.id,
            name: `${Math.round(Number(minutes.value))} minutes`,
            content: { ...short.session, id: session.id },
          },
        }),
        'Kept as a version of this session.',
      )
  }
  function useAlways(): void {
    const [short, session] = [result.value, builder.session.value]
    if (short && session)
      done(
        builder.edit({
          kind: 'put_session',
          day: builder.dayAt(),
          session: session.id,
          content: short.session,
        }),
        'The session is shorter from now on. Z undoes it.',
      )
  }
  return {
    minutes,
    way,
    ways: SHORT_WAYS,
    dates,
    on,
    result,
    sentence,
    changes,
    refusedWords,
    groups,
    offers,
    lines,
    refuse,
    allow,
    saveForDate,
    saveAsVariant,
    useAlways,
  }
}
