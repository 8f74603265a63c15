import { withPart } from '#core/plan/block'
import { requireExercise } from '#core/plan/catalogue'
import { formatSets, slotName } from '#core/words'
import type { LoadProgression } from '#core/plan/method'
import { loadRuleOf, type PlannedLoad, plannedLoads } from '#core/design/progress'
import { StrengthsView } from '#shared/contracts/history'

/** Planned loads of every exercise from rotation to rotation, and the rules they go by. */
export function useBlockLoads() {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const { ask } = useApi()
  const strengths = shallowRef<ReadonlyMap<string, number>>(new Map())
  const isKnown = ref(false)
  onMounted(async () => {
    const result = await ask(`/api/clients/${store.client?.id}/strengths`, {
      answer: StrengthsView,
    })
    if (result.ok)
      strengths.value = new Map(result.value.strengths.map(({ exercise, kg }) => [exercise, kg]))
    isKnown.value = true
  })
  const rules = computed(() => store.plan?.block?.rules ?? {})
  const loads = computed(() =>
    issued.expanded && store.context
      ? plannedLoads(issued.expanded, store.context, {
          strengths: strengths.value,
          rules: rules.value,
        })
      : [],
  )
  const passes = computed(
    () =>
      issued.expanded?.passes.map(({ at, isDeload }) => ({ at, number: at + 1, isDeload })) ?? [],
  )

  const rows = computed(() => {
    const context = store.context
    if (!context || !store.plan) return []
    const byExercise = new Map<string, PlannedLoad[]>()
    for (const load of loads.value)
      byExercise.set(load.slot.exercise, [...(byExercise.get(load.slot.exercise) ?? []), load])
    const planned = new Map(
      issued.expanded?.passes
        .flatMap(({ sessions }) =>
          sessions.flatMap(({ content }) => content.groupings.flatMap(({ slots }) => slots)),
        )
        .map(slot => [slot.exercise as string, slot]) ?? [],
    )
    return [...planned].map(([exercise, slot]) => {
      const own = requireExercise(context.catalogue, exercise)
      const known = byExercise.get(exercise) ?? []
      return {
        exercise,
        name: slotName({ ...slot, intent: null }, context.catalogue),
        rule: loadRuleOf(own, rules.value, context),
        isOwn: rules.value[exercise] !== undefined,
        from: known[0]?.from ?? null,
        cells: passes.value.map(({ at }) => {
          const here = known.filter(({ pass }) => pass === at)
          const [first] = here
          const last = here.at(-1)
          const jump = here.find(load => load.jump !== null)?.jump ?? null
          return first && last
            ? {
                at,
                words:
                  first.load === last.load
                    ? `${formatSets(first.load)} × ${first.reps}`
                    : `${formatSets(first.load)} to ${formatSets(last.load)}`,
                unit: first.unit,
                jump: jump === null ? null : Math.round(jump * 100),
              }
            : { at, words: '', unit: '', jump: null }
        }),
      }
    })
  })
  function setRule(exercise: string, rule: LoadProgression | ''): void {
    const { [exercise]: _, ...others } = rules.value
    store.edit({
      kind: 'set_block',
      block: withPart(
        store.plan?.block ?? {},
        'rules',
        rule === '' ? others : { ...others, [exercise]: { rule } },
      ),
    })
  }
  return { rows, passes, isKnown, setRule }
}
