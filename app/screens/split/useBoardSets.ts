import { exerciseId } from '#core/base'
import { growthHeldBy } from '#core/body/joints'
import { type ExerciseChoice, matchesChoice, usualScheme } from '#core/plan/block'
import type { Group } from '#core/plan/catalogue'
import { formatSetCount, heldGrowthWords } from '#core/words'
import { carriedPieces, railGroups } from '#core/count/ledger'
import { type RankedChoice, rankedChoices } from '#core/design/suggest'
import type { BoardPlace, ShownBoard } from './useShownBoard'

const ONLY_INDIRECT = 'Only indirect sets here. Pick the exercise with , or . first.'

/** Sets of the selected and marked cells: more, fewer, held fixed; and new exercises. */
export function useBoardSets(board: ShownBoard) {
  const { store, rails, days, place, pick, marked, carry, selectedRail, selectedCell } = board
  const { say, report, actedCells } = board
  const isPickerOpen = ref(false)
  const pickerGroups = computed<readonly Group[]>(() =>
    selectedRail.value ? railGroups(selectedRail.value.view.rail) : [],
  )

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
    if (marked.value.size > 0) return changeMarked(step)
    const piece = pieceToChange()
    if (!piece) {
      if (step > 0) openPicker()
      else say(selectedCell.value?.pieces.length ? ONLY_INDIRECT : 'Nothing to cut here.')
      return
    }
    const held = step > 0 && store.context ? growthHeldBy(piece.slot, store.context) : undefined
    if (held) return say(heldGrowthWords(held))
    report(store.edit({ kind: step > 0 ? 'add_sets' : 'cut_sets', slot: piece.slot.id, count: 1 }))
  }

  /** One set more or fewer in every marked cell, as one step. */
  function changeMarked(step: 1 | -1): void {
    const slots = actedCells().flatMap(
      ({ cell }) => carriedPieces(cell, null).at(-1)?.slot.id ?? [],
    )
    report(
      store.editAll(
        [...new Set(slots)].map(slot => ({
          kind: step > 0 ? 'add_sets' : 'cut_sets',
          slot,
          count: 1,
        })),
      ),
    )
  }

  function toggleMark(at: BoardPlace): void {
    const rail = rails.value[at.rail]
    if (!rail) return
    const next = new Set(marked.value)
    const key = `${rail.key} ${at.day}`
    if (!next.delete(key)) next.add(key)
    marked.value = next
    say(
      next.size === 0
        ? 'Only the selected cell is changed.'
        : `${next.size} ${next.size === 1 ? 'cell' : 'cells'} marked: + − carry and hold act on all of them.`,
    )
  }

  /** Holds the direct sets of the selected and marked cells fixed, or lets them go if all are held. */
  function toggleHold(): void {
    const slots = actedCells().flatMap(({ cell }) =>
      cell.pieces.filter(({ credit }) => credit === 1).map(({ slot }) => slot),
    )
    if (slots.length === 0) return say('Only direct sets can be held. None here.')
    const isHeld = !slots.every(slot => slot.isHeld)
    if (report(store.edit({ kind: 'hold', slots: slots.map(({ id }) => id), isHeld })))
      say(isHeld ? 'Held fixed: proposals leave it alone.' : 'No longer held.')
  }

  function openPicker(): void {
    const day = days.value[place.value.day]
    if (day?.role === 'rest') say(`Day ${place.value.day + 1} is rest. Choose a training day.`)
    else isPickerOpen.value = true
  }

  function choices(typed: string): readonly RankedChoice[] {
    const input = store.input
    if (!input) return []
    const seen = new Set<string>()
    return pickerGroups.value
      .flatMap(group => rankedChoices(input, group, place.value.day))
      .sort((a, b) => b.score - a.score)
      .filter(
        choice =>
          seen.size < seen.add(`${choice.exercise.id} ${choice.intent}`).size &&
          matchesChoice(choice, typed),
      )
  }

  function addExercise({ exercise, intent }: ExerciseChoice, sets: number): void {
    if (!store.context) return
    isPickerOpen.value = false
    const scheme = usualScheme(exercise, sets, store.context.method)
    const added = report(
      store.edit({
        kind: 'add_exercise',
        day: place.value.day,
        exercise: exerciseId(exercise.id),
        intent,
        scheme,
      }),
    )
    if (added)
      say(`${formatSetCount(sets)} of ${exercise.name} added on day ${place.value.day + 1}.`)
  }

  return {
    isPickerOpen,
    pickerGroups,
    pickNext,
    changeSets,
    toggleMark,
    toggleHold,
    openPicker,
    choices,
    addExercise,
  }
}
