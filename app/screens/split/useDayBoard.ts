import { growthHeldBy } from '#core/body/joints'
import { requireExercise } from '#core/plan/catalogue'
import { mainGroup } from '#core/plan/minutes'
import { daySlots } from '#core/plan/rotation'
import { plannedSets } from '#core/plan/scheme'
import type { Slot } from '#core/plan/session'
import { rotationLedger } from '#core/count/ledger'
import { formatOneDecimal, heldGrowthWords, railName, slotName } from '#core/words'
import { familyOfGroup } from '~/ui/pegFamily'
import { useBoardRails } from './useBoardRails'
import type { SplitBoardState } from './useSplitBoard'

/** The board of one day at a time, as a phone shows it: exercises with their sets, and what each change does to the week. */
export function useDayBoard(board: SplitBoardState) {
  const store = usePlanStore()
  /** The plan as the page was opened: what is new is told beside it. */
  const begun = shallowRef(store.plan)
  const { railsOf } = useBoardRails()
  const at = computed(() => board.place.value.day)
  const day = computed(() => board.days.value[at.value] ?? null)
  const setsBefore = computed(
    () =>
      new Map(
        (begun.value?.rotation.days ?? [])
          .flatMap(held => daySlots(held))
          .map(slot => [slot.id, plannedSets(slot.scheme)]),
      ),
  )

  function lineOf(slot: Slot) {
    const { context } = store
    const sets = plannedSets(slot.scheme)
    const before = setsBefore.value.get(slot.id) ?? 0
    const held = context ? growthHeldBy(slot, context) : undefined
    return {
      id: slot.id,
      exercise: slot.exercise,
      name: context ? slotName(slot, context.catalogue) : '',
      family: familyOfGroup(
        context
          ? mainGroup(slot, requireExercise(context.catalogue, slot.exercise), context)
          : undefined,
      ),
      sets,
      was: before === sets ? null : before,
      held: held ? heldGrowthWords(held) : null,
    }
  }
  const groupings = computed(() =>
    (day.value?.sessions ?? []).flatMap((session, n) =>
      session.groupings.map(grouping => ({
        key: `${n} ${grouping.id}`,
        isTogether: grouping.slots.length > 1,
        lines: grouping.slots.map(lineOf),
      })),
    ),
  )

  const totals = computed(() => {
    const { context } = store
    if (!context || !begun.value) return []
    const before = railsOf(rotationLedger(begun.value.rotation, context), context)
    return board.rails.value
      .filter(({ size, view }) => size === 'arm' && view.band)
      .map(rail => {
        const was = formatOneDecimal(
          before.find(({ key }) => key === rail.key)?.view.band?.value ?? 0,
        )
        const now = formatOneDecimal(rail.view.band?.value ?? 0)
        return { rail, name: railName(rail.view), was: was === now ? null : was, now }
      })
  })

  function change(slot: Slot['id'], step: 1 | -1): void {
    const kind = step > 0 ? 'add_sets' : 'cut_sets'
    if (board.report(store.edit({ kind, slot, count: 1 }))) board.say('')
  }
  return { at, day, groupings, totals, change, foot: useBoardFoot(board) }
}
