import {
  derivation,
  groupTarget,
  headTarget,
  onceTarget,
  per7Days,
  railGroups,
} from '#core/count/ledger'
import type { SplitBoardState } from './useSplitBoard'

/** Where the weekly figure of the selected line comes from, day by day. */
export function useDerivation(board: SplitBoardState) {
  const store = usePlanStore()
  return computed(() => {
    const [rail, plan, context] = [board.selectedRail.value?.view.rail, store.plan, store.context]
    if (!rail || !plan || !context) return null
    const target =
      rail.kind === 'group'
        ? groupTarget(rail.group)
        : rail.kind === 'head'
          ? headTarget(rail.group, rail.muscle)
          : onceTarget(railGroups(rail))
    const days = plan.rotation.days
      .map((day, at) => ({ at, day, ...derivation(day, target, context) }))
      .filter(({ lines }) => lines.length > 0)
    const sum = days.reduce((total, { counted }) => total + counted, 0)
    return {
      sum,
      per7Days: per7Days(sum, plan.rotation.days.length),
      length: plan.rotation.days.length,
      days: days.map(({ at, day, counted, lines }) => ({
        at,
        day,
        counted,
        lines: lines.map(({ slot, sets, credit, counted: own, rules }) => ({
          name: context.catalogue.get(slot.exercise)?.name ?? slot.exercise,
          sets,
          credit,
          counted: own,
          rules,
        })),
      })),
    }
  })
}
