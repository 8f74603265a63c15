import type { PlanEdit } from '#core/plan/block'
import { requireExercise } from '#core/plan/catalogue'
import { parsedNumber } from '#core/follow/sheet'
import { daySlots } from '#core/plan/rotation'
import { type Load, USUAL_BASIS, withControl } from '#core/plan/scheme'
import type { Slot } from '#core/plan/session'
import { formatSets, NBSP, slotName, startWords } from '#core/words'

/** Exercises of the block that have no load yet, each with a suggestion and a field; the loads after follow from it. */
export function useStartingLoads() {
  const store = usePlanStore()
  const loads = useLoadsStore()
  const typed = reactive<Record<string, string>>({})
  const message = ref('')

  /** The first slot of every exercise that nothing says a load for. */
  const slots = computed((): readonly Slot[] => {
    const { plan, context } = store
    if (!plan || !context || !loads.view) return []
    const known = new Set(
      [...loads.ahead.values()].flatMap(session => [...session.keys()] as string[]),
    )
    const found = new Map<string, Slot>()
    for (const slot of plan.rotation.days.flatMap(daySlots)) {
      const exercise = requireExercise(context.catalogue, slot.exercise)
      const takesWeight = exercise.repUnit === 'reps' && exercise.loadStepKg > 0
      if (takesWeight && !known.has(slot.id) && !found.has(slot.exercise))
        found.set(slot.exercise, slot)
    }
    return [...found.values()]
  })
  const rows = computed(() =>
    slots.value.map(slot => {
      const { catalogue } = store.context!
      const start = loads.startFor(slot)
      return {
        exercise: slot.exercise as string,
        name: slotName({ ...slot, intent: null }, catalogue),
        unit: start?.unit ?? loads.view?.unit ?? 'kg',
        suggested: start ? formatSets(start.amount) : '',
        known: start
          ? startWords(start, catalogue)
          : 'nothing like it was logged: the first session finds a weight on the phone',
      }
    }),
  )

  /** Writes a load into every slot of the exercise, as one step of undo. */
  function set(exercise: string, amount: number, unit: 'kg' | 'lb'): void {
    const { plan, context } = store
    if (!plan || !context) return
    const own = requireExercise(context.catalogue, exercise)
    const load: Load = { kind: 'weight', amount, unit, basis: USUAL_BASIS[own.loadBasis] }
    const edits = plan.rotation.days
      .flatMap(daySlots)
      .filter(slot => slot.exercise === exercise)
      .map((slot): PlanEdit => ({
        kind: 'set_scheme',
        slot: slot.id,
        scheme: withControl(slot.scheme, 'load', load),
      }))
    if (!store.editAll(edits).ok) return void (message.value = 'It cannot be set here.')
    message.value = `${own.name} begins with ${formatSets(amount)}${NBSP}${unit}. Undo takes it back.`
  }
  function take(exercise: string): void {
    const row = rows.value.find(one => one.exercise === exercise)
    const text = typed[exercise]?.trim() || row?.suggested || ''
    const read = parsedNumber(text, 'load')
    if (!row || !read.ok || read.value <= 0)
      return void (message.value = `${row?.name ?? 'Load'}: give a weight above 0.`)
    set(exercise, read.value, row.unit)
    typed[exercise] = ''
  }
  return { rows, typed, message, take }
}
