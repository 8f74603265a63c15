import type { PlanDocument } from '#core/plan/block'
import { editProblemSentence } from '#core/words'
import { checkInput } from '#core/judge/checks'
import { underMethod } from '#core/judge/second-method'
import { type RailView, rotationLedger } from '#core/count/ledger'
import type { Method } from '#core/plan/method'
import { daySetCount } from '#core/plan/rotation'
import { type CarryOptions, useCarry } from './useCarry'
import { useBoardRails } from './useBoardRails'

/** A place on the board. */
export interface BoardPlace {
  readonly rail: number
  readonly day: number
}

/** What can stand over the board. */
export type BoardPanel =
  | 'why'
  | 'calendar'
  | 'revisions'
  | 'rotation'
  | 'notes'
  | 'checks'
  | 'method'
  | 'swap'
  | 'copy'
  | 'move'
  | 'dismiss'

/** What is selected, picked and marked, and what stands over the board. */
function useBoardMarks() {
  return {
    place: ref<BoardPlace>({ rail: 0, day: 0 }),
    /** Exercise picked in the selected peg group, by its place there. */
    pick: ref<number | null>(null),
    /** Exercise a drag began on, by its place in the peg group. */
    grabbed: ref<number | null>(null),
    hovered: ref<BoardPlace | null>(null),
    message: ref(''),
    /** What stands over the board: at most one thing at a time. */
    opened: ref<BoardPanel | null>(null),
    /** The plan as a finding's fix would leave it, while the coach looks at it. */
    tried: shallowRef<PlanDocument | null>(null),
    /** Cells that are changed together with the selected one. */
    marked: ref<ReadonlySet<string>>(new Set()),
    /** The method that is laid over the board beside the client's own. */
    laidOver: shallowRef<Method | null>(null),
  }
}

/** The board as it is drawn: the plan, or what it would be while sets are in hand or a fix is tried; and the cell that is selected. */
export function useShownBoard(putDown: CarryOptions['putDown']) {
  const store = usePlanStore()
  const marks = useBoardMarks()
  const { place, pick, message, tried, marked, laidOver } = marks
  const carry = useCarry({ plan: () => store.plan, putDown })
  const preview = computed(() => carry.preview.value ?? tried.value)
  const shownPlan = computed(() => preview.value ?? store.plan)
  const shownInput = computed(() =>
    preview.value && store.context ? checkInput(preview.value, store.context) : store.input,
  )
  const recovery = computed(() => shownInput.value?.recovery ?? null)
  const { railsOf, toggle } = useBoardRails()
  const rails = computed(() => railsOf(shownInput.value?.ledger ?? store.ledger, store.context))
  const days = computed(() => shownPlan.value?.rotation.days ?? [])
  const selectedRail = computed(() => rails.value[place.value.rail])
  const selectedCell = computed(() => selectedRail.value?.view.cells[place.value.day])

  function say(text: string): void {
    message.value = text
  }

  function report(result: ReturnType<typeof store.edit>): boolean {
    if (!result.ok && store.context) say(editProblemSentence(result.error, store.context.catalogue))
    else say('')
    return result.ok
  }

  function select(next: BoardPlace): void {
    const rail = Math.min(rails.value.length - 1, Math.max(0, next.rail))
    const day = Math.min(days.value.length - 1, Math.max(0, next.day))
    if (rail !== place.value.rail || day !== place.value.day) pick.value = null
    place.value = { rail, day }
    say('')
  }

  /** Cells that an action is for: the selected one and those marked with it. */
  function actedCells() {
    const keys = new Set([...marked.value, `${selectedRail.value?.key} ${place.value.day}`])
    return rails.value.flatMap(rail =>
      rail.view.cells.flatMap((cell, day) =>
        keys.has(`${rail.key} ${day}`) ? [{ rail, cell, day }] : [],
      ),
    )
  }

  return {
    ...marks,
    store,
    carry,
    shownPlan,
    shownInput,
    recovery,
    restingRecovery: computed(() =>
      preview.value ? (store.input?.recovery ?? null) : recovery.value,
    ),
    rails,
    /** While sets are in hand the figures before the move stand beside the new ones. */
    restingRails: computed(() => {
      const resting = preview.value ? railsOf(store.ledger, store.context) : rails.value
      return new Map(resting.map(rail => [rail.key, rail]))
    }),
    /** The lines as the method laid over counts them; none where none is. */
    laidOverRails: computed(() => {
      const method = laidOver.value
      const [plan, context] = [shownPlan.value, store.context]
      if (!method || !plan || !context) return new Map<string, RailView>()
      const under = underMethod(context, method)
      const lines = railsOf(rotationLedger(plan.rotation, under), under)
      return new Map(lines.map(({ key, view }) => [key, view]))
    }),
    days,
    setCounts: computed(() => days.value.map(daySetCount)),
    selectedRail,
    selectedCell,
    say,
    report,
    select,
    actedCells,
    toggle,
  }
}

export type ShownBoard = ReturnType<typeof useShownBoard>
