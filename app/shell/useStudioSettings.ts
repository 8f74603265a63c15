import { catalogueWith } from '#core/plan/catalogue'
import { type Method, METHODS } from '#core/plan/method'
import { LibraryView } from '#shared/contracts/library'
import { MethodsView } from '#shared/contracts/method'

/** The coach's methods and exercises, presets and own ones, loaded once for all screens that need them. */
export function useStudioSettings() {
  const { ask } = useApi()
  const own = useAsyncData(
    'own-methods',
    async () => {
      const result = await ask('/api/methods', { answer: MethodsView })
      return result.ok ? result.value.methods : []
    },
    { default: () => [], deep: false },
  )
  const library = useAsyncData(
    'library',
    async () => {
      const result = await ask('/api/exercises', { answer: LibraryView })
      return result.ok ? result.value : null
    },
    { default: () => null, deep: false },
  )

  const methods = computed((): readonly Method[] => [
    ...METHODS,
    ...own.data.value.map(({ method }) => method),
  ])
  const catalogue = computed(() =>
    catalogueWith(library.data.value?.library ?? { exercises: [], credits: {} }),
  )
  const exerciseNames = computed(() => {
    const retired = library.data.value?.retired ?? []
    return [...catalogue.value.values()]
      .filter(({ id }) => !retired.includes(id))
      .map(({ id, name }) => ({ id, name }))
      .sort((a, b) => a.name.localeCompare(b.name))
  })
  return {
    own: own.data,
    library: library.data,
    methods,
    catalogue,
    exerciseNames,
    refreshMethods: own.refresh,
    refreshLibrary: library.refresh,
  }
}
