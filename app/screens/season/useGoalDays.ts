import { plainDate } from '#core/base'
import type { Catalogue } from '#core/plan/catalogue'
import { formatOneDecimal, goalMeasureWords, NBSP } from '#core/words'
import { GoalsView } from '#shared/contracts/notes'

/** The days a client's goals are set for, as they stand beside events. */
export function useGoalDays(clientId: string, catalogue: () => Catalogue) {
  const { ask } = useApi()
  const held = shallowRef<(typeof GoalsView._output)['goals']>([])
  onMounted(async () => {
    const result = await ask(`/api/clients/${clientId}/goals`, { answer: GoalsView })
    if (result.ok) held.value = result.value.goals
  })
  return computed(() =>
    held.value.map(({ words, measure, target, by }) => {
      const { name, unit } = goalMeasureWords(measure, id => catalogue().get(id)?.name ?? id)
      const day = plainDate(by)
      return {
        what: `${words === '' ? name : words}: ${formatOneDecimal(target)}${NBSP}${unit}`,
        from: day,
        to: day,
      }
    }),
  )
}
