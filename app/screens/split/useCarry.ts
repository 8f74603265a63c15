import { applyEdit, type EditProblem, type PlanDocument } from '#core/plan/block'
import {
  carriedPieces,
  movesOf,
  type RailCell,
  type RailPiece,
  setsInHand,
} from '#core/count/ledger'
import { newId } from '~/shell/newId'

/** Sets that have been lifted off a day and not been put down yet. */
export interface Carry {
  readonly railKey: string
  readonly fromDay: number
  readonly toDay: number
  readonly pieces: readonly RailPiece[]
  readonly count: number
}

export interface CarryOptions {
  readonly plan: () => PlanDocument | null
  readonly putDown: (carry: Carry, moves: ReturnType<typeof movesOf>) => void
}

/** Carrying sets from day to day: what is in hand, what the plan would be, and the verbs of the carry keys. */
export function useCarry({ plan, putDown: onPutDown }: CarryOptions) {
  const inHand = shallowRef<Carry | null>(null)

  /** The plan as it would be if the sets were put down now, or why they cannot be. */
  const outcome = computed(() => {
    const document = plan()
    const carry = inHand.value
    if (!carry || !document || carry.toDay === carry.fromDay) return null
    return applyEdit(
      document,
      { kind: 'move_sets', toDay: carry.toDay, moves: movesOf(carry.pieces, carry.count) },
      newId,
    )
  })
  const preview = computed(() => (outcome.value?.ok ? outcome.value.value : null))
  const problem = computed<EditProblem | null>(() =>
    outcome.value && !outcome.value.ok ? outcome.value.error : null,
  )

  function lift(from: {
    railKey: string
    day: number
    cell: RailCell
    pick: number | null
    onlyOne?: boolean
    others?: readonly RailCell[]
  }): boolean {
    const pieces = [
      ...carriedPieces(from.cell, from.pick),
      ...(from.others ?? []).flatMap(cell => carriedPieces(cell, null)),
    ].filter((piece, at, all) => all.findIndex(other => other.slot.id === piece.slot.id) === at)
    const all = setsInHand(pieces)
    if (all === 0) return false
    inHand.value = {
      railKey: from.railKey,
      fromDay: from.day,
      toDay: from.day,
      pieces,
      count: from.onlyOne ? 1 : all,
    }
    return true
  }
  function over(day: number): void {
    if (inHand.value) inHand.value = { ...inHand.value, toDay: day }
  }
  function takeMore(step: number): void {
    const carry = inHand.value
    if (carry)
      inHand.value = {
        ...carry,
        count: Math.min(setsInHand(carry.pieces), Math.max(1, carry.count + step)),
      }
  }
  function putBack(): void {
    inHand.value = null
  }
  function putDown(): boolean {
    const carry = inHand.value
    if (!carry) return false
    if (carry.toDay === carry.fromDay) {
      putBack()
      return true
    }
    if (!preview.value) return false
    inHand.value = null
    onPutDown(carry, movesOf(carry.pieces, carry.count))
    return true
  }

  return {
    inHand: readonly(inHand) as Readonly<Ref<Carry | null>>,
    preview,
    problem,
    lift,
    over,
    takeMore,
    putBack,
    putDown,
  }
}
