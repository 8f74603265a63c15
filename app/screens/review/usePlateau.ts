import { catalogueWith, GROUPS } from '#core/plan/catalogue'
import { GROUP_NAMES, LEVER_NAMES, leverStepWords, leverWords, trendSentence } from '#core/words'
import { LibraryView } from '#shared/contracts/library'
import { PlateauAnswer } from '#shared/contracts/review'

/** A muscle that does not move: what was looked at, and the next thing to try. */
export async function usePlateau(clientId: string, group: string) {
  const { ask } = useApi()
  const { data } = await useAsyncData(
    `plateau-${clientId}-${group}`,
    async () => {
      const [found, library] = await Promise.all([
        ask(`/api/clients/${clientId}/plateau/${group}`, { answer: PlateauAnswer }),
        ask('/api/exercises', { answer: LibraryView }),
      ])
      if (!found.ok)
        throw createError({
          statusCode: found.error.kind === 'refused' ? found.error.problem.status : 503,
          fatal: true,
        })
      const catalogue = catalogueWith(
        library.ok ? library.value.library : { exercises: [], credits: {} },
      )
      return { view: found.value, catalogue }
    },
    { deep: false },
  )
  const view = computed(() => data.value?.view ?? null)
  const nameOf = (exercise: string) => data.value?.catalogue.get(exercise)?.name ?? exercise
  return {
    name: computed(() => view.value?.name ?? ''),
    muscle: computed(() => {
      const known = GROUPS.find(one => one === group)
      return known ? GROUP_NAMES[known] : ''
    }),
    trend: computed(() => (view.value ? trendSentence(view.value.trend) : '')),
    isFlat: computed(() => view.value?.trend.verdict === 'plateau'),
    step: computed(() => (view.value ? leverStepWords(view.value.plateau.next) : '')),
    rows: computed(() => {
      const plateau = view.value?.plateau
      return plateau
        ? plateau.facts.map(fact => ({
            lever: fact.lever,
            name: LEVER_NAMES[fact.lever],
            words: leverWords(fact, plateau, nameOf),
            isOff: fact.isOff,
            isNext: fact.lever === plateau.next,
          }))
        : []
    }),
  }
}
