import {
  creditKey,
  type Credits,
  type Equipment,
  type Exercise,
  type Group,
  GROUPS,
  type Intent,
  type Joint,
  type Muscle,
  otherForms,
  rankedSubstitutes,
  searchExercises,
} from '#core/plan/catalogue'
import { EQUIPMENT_PRESETS } from '#core/plan/catalogue'
import { SET_UP, setUpFieldsOf } from '#core/plan/scheme'
import { ClientCreditsView } from '#shared/contracts/library'

/** The library screen: search, the exercise in sight, its purposes and substitutes. */
export function useExerciseLibrary() {
  const studio = useStudioSettings()
  const { ask } = useApi()
  const { data: clients, refresh: refreshClients } = useAsyncData(
    'client-credits',
    async () => {
      const result = await ask('/api/exercises/clients', { answer: ClientCreditsView })
      return result.ok ? result.value.clients : []
    },
    { default: () => [], deep: false },
  )
  const route = useRoute()
  const search = reactive({
    words: '',
    group: '' as Group | '',
    head: '' as Muscle | '',
    length: '' as Intent['lengthBias'] | '',
    preset: '',
    easyOn: '' as Joint | '',
    own: false,
  })
  const retired = computed(() => studio.library.value?.retired ?? [])
  const ownIds = computed(
    () => new Set(studio.library.value?.library.exercises.map(({ id }) => id)),
  )
  const changedIds = computed(
    () =>
      new Set(
        [
          ...Object.keys(studio.library.value?.library.credits ?? {}),
          ...clients.value.flatMap(({ credits }) => Object.keys(credits)),
        ].map(key => key.split(':')[0] ?? ''),
      ),
  )

  const equipment = computed((): readonly Equipment[] | undefined => {
    const preset = EQUIPMENT_PRESETS.find(({ id }) => id === search.preset)
    return preset && preset.equipment.length > 0 ? preset.equipment : undefined
  })
  const shown = computed(() =>
    searchExercises(studio.catalogue.value.values(), {
      words: search.words.trim(),
      ...(search.group && { group: search.group }),
      ...(search.head && { head: search.head }),
      ...(search.length && { length: search.length }),
      ...(search.easyOn && { easyOn: search.easyOn }),
      ...(equipment.value && { equipment: equipment.value }),
    }).filter(
      ({ id }) =>
        !retired.value.includes(id) &&
        (!search.own || ownIds.value.has(id) || changedIds.value.has(id)),
    ),
  )
  const selectedId = computed(() => String(route.query.id ?? ''))
  const selected = computed(
    (): Exercise | null => studio.catalogue.value.get(selectedId.value) ?? shown.value[0] ?? null,
  )

  const substitutes = computed(() => {
    const exercise = selected.value
    return exercise
      ? rankedSubstitutes(exercise, exercise.intents[0], studio.catalogue.value, {
          without: retired.value,
        })
          .slice(0, 6)
          .map(({ exercise: other, likeness }) => ({ id: other.id, name: other.name, likeness }))
      : []
  })
  /** The same movement in other forms: another implement, one arm, lying. */
  const forms = computed(() =>
    otherForms(selected.value?.id ?? '').flatMap(id => {
      const form = studio.catalogue.value.get(id)
      return form && !retired.value.includes(id) ? [{ id, name: form.name }] : []
    }),
  )
  /** What there is to set up, and in which ways: standing, seated and braced are ways of one exercise. */
  const setUps = computed(() =>
    (selected.value ? setUpFieldsOf(selected.value) : []).map(field => ({
      field,
      name: SET_UP[field].name,
      ways: SET_UP[field].words.join(', '),
    })),
  )
  const ownCredits = (client: string | null) =>
    clients.value.find(({ id }) => id === client)?.credits
  /** Credits of a purpose as they hold for a client, or for everyone where none is named. */
  function creditsFor(exercise: Exercise, intent: string | null, client: string | null): Credits {
    const purpose = exercise.intents.find(({ id }) => id === intent) ?? exercise.intents[0]
    const own = ownCredits(client)
    return own?.[creditKey(exercise.id, intent)] ?? own?.[exercise.id] ?? purpose.credits
  }
  function isChanged(exercise: Exercise, intent: string | null, client: string | null): boolean {
    const changes = client === null ? studio.library.value?.library.credits : ownCredits(client)
    return changes?.[creditKey(exercise.id, intent)] !== undefined
  }
  function select(id: string): void {
    void navigateTo({ query: { ...route.query, id } }, { replace: true })
  }
  return {
    ...studio,
    clients,
    /** What counts was changed: for everyone, or for one. */
    refreshCredits: () => Promise.all([studio.refreshLibrary(), refreshClients()]),
    search,
    shown,
    selected,
    select,
    substitutes,
    forms,
    setUps,
    ownIds,
    changedIds,
    creditsFor,
    isChanged,
    groups: GROUPS,
    presets: EQUIPMENT_PRESETS,
  }
}
