import { exerciseId } from '#core/base'
import { type ExerciseChoice, exerciseChoices, matchesChoice, usualScheme } from '#core/block'
import type { Group } from '#core/catalogue'
import { editProblemSentence, formatSetCount } from '#core/format'
import { carriedPieces, railGroups, rotationLedger } from '#core/ledger'
import { daySetCount } from '#core/rotation'
import { type Carry, useCarry } from './useCarry'
import { useBoardRails } from './useBoardRails'

/** A place on the board. */
export interface BoardPlace { readonly rail: number, readonly day: number }

/** The state of the Split board beyond the plan itself, and everything that can be done on it. */
export function useSplitBoard() {
  const store = usePlanStore()
  const place = ref<BoardPlace>({ rail: 0, day: 0 })
  /** Exercise picked in the selected cluster, by its place there. */
  const pick = ref<number | null>(null)
  const hovered = ref<BoardPlace | null>(null)
  const message = ref('')
  const isPickerOpen = ref(false)

  const carry = useCarry({ plan: () => store.plan, putDown })
  const shownPlan = computed(() => carry.preview.value ?? store.plan)
  const shownLedger = computed(() => (carry.preview.value && store.context ? rotationLedger(carry.preview.value.rotation, store.context) : store.ledger))
  const { railsOf, toggle } = useBoardRails(() => store.context)
  const rails = computed(() => railsOf(shownLedger.value))
  /** While sets are in hand the figures before the move stand beside the new ones. */
  const restingRails = computed(() => new Map((carry.preview.value ? railsOf(store.ledger) : rails.value).map(rail => [rail.key, rail])))

  const days = computed(() => store.plan?.rotation.days ?? [])
  const setCounts = computed(() => (shownPlan.value?.rotation.days ?? []).map(daySetCount))
  const selectedRail = computed(() => rails.value[place.value.rail])
  const selectedCell = computed(() => selectedRail.value?.view.cells[place.value.day])

  function say(text: string): void {
    message.value = text
  }

  function select(next: BoardPlace): void {
    const rail = Math.min(rails.value.length - 1, Math.max(0, next.rail))
    const day = Math.min(days.value.length - 1, Math.max(0, next.day))
    if (rail !== place.value.rail || day !== place.value.day) pick.value = null
    place.value = { rail, day }
    say('')
  }

  function go(step: { days: number, rails: number }): void {
    if (carry.inHand.value) return step.days === 0 ? undefined : carryOver(carry.inHand.value.toDay + step.days)
    select({ rail: place.value.rail + step.rails, day: place.value.day + step.days })
  }

  function goToDay(day: number): void {
    if (carry.inHand.value) carryOver(day)
    else select({ rail: place.value.rail, day })
  }

  function pickNext(step: 1 | -1): void {
    const pieces = selectedCell.value?.pieces.length ?? 0
    if (pieces === 0) return
    const turn = pieces + 1
    const now = pick.value === null ? pieces : pick.value
    const next = (now + step + turn) % turn
    pick.value = next === pieces ? null : next
  }

  function pieceToChange() {
    const cell = selectedCell.value
    return cell && carriedPieces(cell, pick.value).at(-1)
  }

  function changeSets(step: 1 | -1): void {
    if (carry.inHand.value) return carry.takeMore(step)
    const piece = pieceToChange()
    if (!piece) {
      if (step > 0) openPicker()
      else say(selectedCell.value?.pieces.length ? 'Only indirect sets here. Pick the exercise with , or . first.' : 'Nothing to cut here.')
      return
    }
    report(store.edit({ kind: step > 0 ? 'add_sets' : 'cut_sets', slot: piece.slot.id, count: 1 }))
  }

  function report(result: ReturnType<typeof store.edit>): boolean {
    if (!result.ok && store.context) say(editProblemSentence(result.error, store.context.catalogue))
    else say('')
    return result.ok
  }

  // ── adding an exercise ────────────────────────────────────────────────
  const pickerGroups = computed<readonly Group[]>(() => (selectedRail.value ? railGroups(selectedRail.value.view.rail) : []))

  function openPicker(): void {
    const day = days.value[place.value.day]
    if (day?.role === 'rest') say(`Day ${place.value.day + 1} is rest. Choose a training day.`)
    else isPickerOpen.value = true
  }

  function choices(typed: string): readonly ExerciseChoice[] {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context) return []
    const seen = new Set<string>()
    return pickerGroups.value.flatMap(group => exerciseChoices(plan, group, context))
      .filter(choice => seen.size < seen.add(`${choice.exercise.id} ${choice.intent}`).size && matchesChoice(choice, typed))
  }

  function addExercise({ exercise, intent }: ExerciseChoice, sets: number): void {
    if (!store.context) return
    isPickerOpen.value = false
    const scheme = usualScheme(exercise, sets, store.context.method)
    const added = report(store.edit({ kind: 'add_exercise', day: place.value.day, exercise: exerciseId(exercise.id), intent, scheme }))
    if (added) say(`${formatSetCount(sets)} of ${exercise.name} added on day ${place.value.day + 1}.`)
  }

  // ── carrying ──────────────────────────────────────────────────────────
  function lift(at: BoardPlace, options: { pick: number | null, onlyOne?: boolean }): boolean {
    const rail = rails.value[at.rail]
    const cell = rail?.view.cells[at.day]
    if (!rail || !cell) return false
    const lifted = carry.lift({ railKey: rail.key, day: at.day, cell, ...options })
    if (!lifted) say(cell.pieces.length > 0 ? 'Only indirect sets here. Pick the exercise with , or . first.' : 'No sets to carry here.')
    return lifted
  }

  function carryBy(step: number): void {
    if (!carry.inHand.value && !lift(place.value, { pick: pick.value })) return
    if (carry.inHand.value) carryOver(carry.inHand.value.toDay + step)
  }

  function carryOver(day: number): void {
    carry.over(Math.min(days.value.length - 1, Math.max(0, day)))
    sayProblem()
  }

  function sayProblem(): void {
    const problem = carry.problem.value
    say(problem && store.context ? editProblemSentence(problem, store.context.catalogue) : '')
  }

  function putDown(held: Carry, moves: Parameters<Parameters<typeof useCarry>[0]['putDown']>[1]): void {
    const names = held.pieces.map(piece => store.context?.catalogue.get(piece.slot.exercise)?.name).join(', ')
    if (!report(store.edit({ kind: 'move_sets', toDay: held.toDay, moves }))) return
    pick.value = null
    place.value = { rail: Math.max(0, rails.value.findIndex(rail => rail.key === held.railKey)), day: held.toDay }
    say(`${formatSetCount(held.count)} of ${names} moved from day ${held.fromDay + 1} to day ${held.toDay + 1}.`)
  }

  function moveTo(day: number, sets: number | null): void {
    if (!lift(place.value, { pick: pick.value })) return
    if (sets !== null) carry.takeMore(sets - (carry.inHand.value?.count ?? 0))
    carryOver(day)
    if (!carry.putDown()) carry.putBack()
  }

  function confirm(): void {
    if (carry.inHand.value && !carry.putDown()) sayProblem()
  }

  function cancel(): void {
    if (carry.inHand.value) carry.putBack()
    else pick.value = null
    say('')
  }

  function undo(): void {
    if (!carry.inHand.value) say(store.undo() ? 'Undone.' : 'Nothing to undo.')
  }

  function redo(): void {
    if (!carry.inHand.value) say(store.redo() ? 'Done again.' : 'Nothing to do again.')
  }

  function toggleHeads(): void {
    const at = place.value.rail
    const parent = rails.value.slice(0, at + 1).findLastIndex(rail => rail.opens !== null)
    const opens = rails.value[parent]?.opens
    if (!opens) return
    place.value = { ...place.value, rail: parent }
    toggle(opens.key)
  }

  let noticeAt = -1
  function nextNotice(): void {
    const notices = store.attention
    noticeAt = notices.length > 0 ? (noticeAt + 1) % notices.length : -1
    const notice = notices[noticeAt]
    if (notice) showGroup(notice.group)
  }

  /** Selects the line that shows a group, opening a folded one if need be. */
  function showGroup(group: Group): void {
    const own = rails.value.findIndex(({ view: { rail } }) => rail.kind === 'group' && rail.group === group)
    if (own >= 0) return select({ rail: own, day: place.value.day })
    const folded = rails.value.find(({ view: { rail } }) => rail.kind === 'bundle' && railGroups(rail).includes(group))
    if (!folded?.opens) return select({ rail: rails.value.findIndex(rail => rail === folded), day: place.value.day })
    toggle(folded.opens.key)
    select({ rail: rails.value.findIndex(({ view: { rail } }) => rail.kind === 'group' && rail.group === group), day: place.value.day })
  }

  return {
    rails, restingRails, days, setCounts, shownPlan, place, pick, hovered, message, carry,
    selectedRail, selectedCell, isPickerOpen, pickerGroups,
    select, go, goToDay, pickNext, changeSets, openPicker, choices, addExercise,
    lift, carryBy, carryOver, moveTo, confirm, cancel, undo, redo, toggle, toggleHeads, nextNotice, showGroup, say,
  }
}

export type SplitBoardState = ReturnType<typeof useSplitBoard>
