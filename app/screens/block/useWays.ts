import type { Ref } from 'vue'
import { type BlockPlan, type Way, withPart } from '#core/plan/block'
import { requireExercise } from '#core/plan/catalogue'
import { type BlockPass, loweringOf, restOf } from '#core/design/progress'
import { MAX_SETS_PER_EXERCISE, plannedSets } from '#core/plan/scheme'
import type { Grouping, Slot } from '#core/plan/session'

type Kind = Way['kind']
type Limits = Readonly<Record<'everyWeeks' | 'by' | 'to', readonly [least: number, most: number]>>

/** What a way may be, and what it begins with: weeks; sets or seconds. */
export const WAY_LIMITS: Readonly<Record<Kind, Limits>> = {
  sets: { everyWeeks: [1, 8], by: [1, 2], to: [2, 10] },
  rest: { everyWeeks: [1, 8], by: [5, 60], to: [20, 300] },
  lowering: { everyWeeks: [1, 8], by: [1, 3], to: [2, 8] },
}
const FIELD_NAMES = { everyWeeks: 'Every so many weeks', by: 'By', to: 'Up or down to' } as const
export type WayField = keyof typeof FIELD_NAMES

interface Place {
  readonly slot: Slot
  readonly grouping: Grouping
}

function placesOf(passes: readonly BlockPass[], exercise: string): readonly Place[] {
  return (passes[0]?.sessions ?? []).flatMap(({ content }) =>
    content.groupings.flatMap(grouping =>
      grouping.slots.flatMap(slot => (slot.exercise === exercise ? [{ slot, grouping }] : [])),
    ),
  )
}

/** What an exercise gains by other than load: its load stays meanwhile. */
export function useWays(passes: Ref<readonly BlockPass[]>) {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const problem = ref('')
  const block = computed(() => store.plan?.block ?? {})

  function put(exercise: string, way: Way | undefined): void {
    const { [exercise]: _, ...others } = block.value.ways ?? {}
    const { [exercise]: __, ...rules } = block.value.rules ?? {}
    const withWays = withPart(block.value, 'ways', way ? { ...others, [exercise]: way } : others)
    // One thing at a time: while it goes its way, the load stays; after it, the method's rule holds again.
    const next: BlockPlan = withPart(
      withWays,
      'rules',
      way ? { ...rules, [exercise]: { rule: 'held' } } : rules,
    )
    store.edit({ kind: 'set_block', block: next })
    problem.value = ''
  }

  /** A way with usual figures, from where the exercise stands. */
  function usual(kind: Kind, { slot }: Place): Way {
    const [sets, exercise] = [
      plannedSets(slot.scheme),
      requireExercise(store.context!.catalogue, slot.exercise),
    ]
    switch (kind) {
      case 'sets':
        return { kind, everyWeeks: 2, by: 1, to: Math.min(10, sets + 2) }
      case 'rest':
        return {
          kind,
          everyWeeks: 1,
          by: 15,
          to: Math.max(30, Math.round(restOf(slot.scheme, exercise) / 10) * 5),
        }
      case 'lowering':
        return { kind, everyWeeks: 2, by: 1, to: Math.min(8, loweringOf(slot.scheme) + 3) }
    }
  }

  function setWay(exercise: string, kind: Kind | ''): void {
    if (kind === '') return put(exercise, undefined)
    const places = placesOf(issued.expanded?.passes ?? passes.value, exercise)
    const [first] = places
    if (!first) return
    const paired = places.find(({ grouping }) => grouping.slots.length > 1)
    if (kind === 'rest' && paired)
      return void (problem.value =
        'It is done in a pair, whose rest is set for both: shorten that rest on the session, or do it alone.')
    if (kind === 'sets' && plannedSets(first.slot.scheme) >= MAX_SETS_PER_EXERCISE)
      return void (problem.value = 'It has as many sets as a session can hold.')
    put(exercise, usual(kind, first))
  }

  function setWayField(exercise: string, field: WayField, value: number): void {
    const way = block.value.ways?.[exercise]
    if (!way) return
    const [least, most] = WAY_LIMITS[way.kind][field]
    if (!Number.isInteger(value) || value < least || value > most)
      return void (problem.value = `${FIELD_NAMES[field]} must be a whole number between ${least} and ${most}.`)
    put(exercise, { ...way, [field]: value })
  }

  return {
    wayProblem: readonly(problem),
    setWay,
    setWayField,
    wayLimits: WAY_LIMITS,
  }
}
