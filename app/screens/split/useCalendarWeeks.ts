import { ARM_GROUPS } from '#core/plan/catalogue'
import { calendarWeeks, dailySets, rollingWindows } from '#core/count/ledger'

/** The rotation laid over the weeks of the calendar: sets and exposures of each arm group, and the smallest and largest 7 days in a row. */
export function useCalendarWeeks() {
  const store = usePlanStore()
  return computed(() => {
    const [plan, ledger, context] = [store.plan, store.ledger, store.context]
    if (!plan || !ledger || !context) return null
    const lengthDays = plan.passes * plan.rotation.days.length
    const laid = (daily: readonly number[]) => ({
      dailySets: daily,
      startsOn: plan.startsOn,
      lengthDays,
    })
    const rows = ARM_GROUPS.map(group => {
      const daily = dailySets(ledger.days, group)
      const exposed = daily.map(sets => Number(sets >= context.method.dose.minSetsPerExposure))
      const [weeks, exposures] = [calendarWeeks(laid(daily)), calendarWeeks(laid(exposed))]
      const rolling = rollingWindows(laid(daily))
      return {
        group,
        weeks: weeks.map((week, at) => ({ ...week, exposures: exposures[at]?.sets ?? 0 })),
        rolling:
          rolling.length === 0 ? null : { min: Math.min(...rolling), max: Math.max(...rolling) },
        band: ledger.groups[group].band,
      }
    })
    return {
      rows,
      weeks:
        rows[0]?.weeks.map(({ startsOn, days, isPartial }) => ({ startsOn, days, isPartial })) ??
        [],
      length: plan.rotation.days.length,
    }
  })
}
