import { formatDay, formatOneDecimal, GROUP_NAMES, dayWords, wholeReadiness } from '#core/words'
import { datesOfDay, passOn } from '#core/plan/block'
import { ARM_GROUPS, ELBOW_JOINTS } from '#core/plan/catalogue'
import type { SessionBuilder } from './useSessionBuilder'

/** The figures at the head of a session: time against the limit, sets, what it leaves behind, elbow load. */
export function useSessionFigures(builder: SessionBuilder) {
  const store = usePlanStore()
  const today = useToday()

  /** The muscle that comes least ready to where it is needed next after this session. */
  const leaves = computed(() => {
    const arrivals = ARM_GROUPS.flatMap(
      group =>
        store.input?.recovery.arrivals[group].filter(
          ({ fromDay }) => fromDay === builder.dayAt(),
        ) ?? [],
    )
    const [worst] = [...arrivals].sort(
      (a, b) => a.readiness - a.required - (b.readiness - b.required),
    )
    const day = worst && store.plan?.rotation.days[worst.day]
    if (!worst || !day) return null
    return {
      percent: wholeReadiness(worst.readiness),
      isShort: worst.thread !== 'whole',
      words: `${GROUP_NAMES[worst.group].toLowerCase()} ready for ${dayWords(day, worst.day)}, ${Math.round(worst.hoursSince)} h later`,
    }
  })
  const elbow = computed(() => {
    const sides = ELBOW_JOINTS.flatMap(
      joint => builder.along.value?.joints.find(held => held.joint === joint) ?? [],
    )
    const [worst] = [...sides].sort((a, b) => b.total / b.ceiling - a.total / a.ceiling)
    return worst
      ? {
          load: formatOneDecimal(worst.total),
          cap: Math.round(worst.ceiling),
          isOver: worst.passed !== undefined,
        }
      : null
  })
  const pairs = computed(
    () =>
      builder.groupings.value.filter(({ kind, slots }) => kind !== 'straight' && slots.length > 1)
        .length,
  )
  /** The day's date in the pass that today falls in, or in the first one. */
  const date = computed(() => {
    const plan = store.plan
    if (!plan) return ''
    const on = datesOfDay(plan, builder.dayAt())[passOn(plan, today.value) ?? 0]
    return on ? formatDay(on, 'wide') : ''
  })
  return { leaves, elbow, pairs, date }
}
