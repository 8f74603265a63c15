import { exerciseId } from '#core/base'
import {
  applyEdits,
  type ExerciseChoice,
  matchesChoice,
  type PlanDocument,
  usualScheme,
} from '#core/plan/block'
import type { Group } from '#core/plan/catalogue'
import { editProblemSentence, formatSetCount } from '#core/words'
import { canBeDismissed, checkInput, type Finding, findingKey } from '#core/judge/checks'
import { carriedPieces, railGroups } from '#core/count/ledger'
import type { Arrival } from '#core/body/recovery'
import { type RankedChoice, rankedChoices } from '#core/design/suggest'
import { daySetCount } from '#core/plan/rotation'
import { type Carry, useCarry } from './useCarry'
import { type BoardRail, useBoardRails } from './useBoardRails'
import { newId } from '~/shell/newId'

/** A place on the board. */
export interface BoardPlace {
  readonly rail: number
  readonly day: number
}

/** What can stand over the board. */
export type BoardPanel =
  'why' | 'calendar' | 'revisions' | 'rotation' | 'checks' | 'swap' | 'copy' | 'move' | 'dismiss'

/** The state of the Split board beyond the plan itself, and everything that can be done on it. */
export function useSplitBoard() {
  const store = usePlanStore()
  const place = ref<BoardPlace>({ rail: 0, day: 0 })
  /** Exercise picked in the selected cluster, by its place there. */
  const pick = ref<number | null>(null)
  /** Exercise a drag began on, by its place in the cluster. */
  const grabbed = ref<number | null>(null)
  const hovered = ref<BoardPlace | null>(null)
  const message = ref('')
  const isPickerOpen = ref(false)

  /** What stands over the board: at most one thing at a time. */
  const opened = ref<BoardPanel | null>(null)
  /** The plan as a finding's fix would leave it, while the coach looks at it. */
  const tried = shallowRef<PlanDocument | null>(null)
  /** Cells that are changed together with the selected one. */
  const marked = ref<ReadonlySet<string>>(new Set())

  const carry = useCarry({ plan: () => store.plan, putDown })
  const preview = computed(() => carry.preview.value ?? tried.value)
  const shownPlan = computed(() => preview.value ?? store.plan)
  const shownInput = computed(() =>
    preview.value && store.context ? checkInput(preview.value, store.context) : store.input,
  )
  const shownLedger = computed(() => shownInput.value?.ledger ?? store.ledger)
  const recovery = computed(() => shownInput.value?.recovery ?? null)
  const restingRecovery = computed(() =>
    preview.value ? (store.input?.recovery ?? null) : recovery.value,
  )
  const { railsOf, toggle } = useBoardRails(() => store.context)
  const rails = computed(() => railsOf(shownLedger.value))
  /** While sets are in hand the figures before the move stand beside the new ones. */
  const restingRails = computed(
    () =>
      new Map((preview.value ? railsOf(store.ledger) : rails.value).map(rail => [rail.key, rail])),
  )

  const days = computed(() => shownPlan.value?.rotation.days ?? [])
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

  function go(step: { days: number; rails: number }): void {
    if (carry.inHand.value)
      return step.days === 0 ? undefined : carryOver(carry.inHand.value.toDay + step.days)
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
    if (marked.value.size > 0) return changeMarked(step)
    const piece = pieceToChange()
    if (!piece) {
      if (step > 0) openPicker()
      else
        say(
          selectedCell.value?.pieces.length
            ? 'Only indirect sets here. Pick the exercise with , or . first.'
            : 'Nothing to cut here.',
        )
      return
    }
    report(store.edit({ kind: step > 0 ? 'add_sets' : 'cut_sets', slot: piece.slot.id, count: 1 }))
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

  // ── whole days ────────────────────────────────────────────────────────
  function toggleRest(): void {
    const { day } = place.value
    const held = days.value[day]
    if (held)
      report(
        store.edit({
          kind: 'set_day',
          day,
          role: held.role === 'rest' ? 'full' : 'rest',
          label: null,
          minuteLimit: held.minuteLimit ?? null,
        }),
      )
  }
  function choose(what: 'swap' | 'copy' | 'move'): void {
    if (what !== 'swap' && days.value[place.value.day]?.sessions.length === 0)
      say('This day has no session.')
    else opened.value = what
  }
  /** Swaps, copies or moves the selected day's session to another day. */
  function withDay(what: 'swap' | 'copy' | 'move', from: number, to: number): void {
    opened.value = null
    const edit =
      what === 'swap'
        ? { kind: 'swap_days' as const, day: from, with: to }
        : {
            kind: what === 'copy' ? ('copy_day' as const) : ('move_session' as const),
            day: from,
            to,
          }
    if (!report(store.edit(edit))) return
    place.value = { ...place.value, day: to }
    say(
      {
        swap: `Days ${from + 1} and ${to + 1} swapped.`,
        copy: `Day ${from + 1} copied to day ${to + 1}.`,
        move: `The session of day ${from + 1} moved to day ${to + 1}.`,
      }[what],
    )
  }
  /** A day head dropped on another: onto an empty day the session moves, else the two change places. */
  function dropDay(from: number, to: number): void {
    if (from !== to) withDay(days.value[to]?.sessions.length === 0 ? 'move' : 'swap', from, to)
  }

  // ── findings ──────────────────────────────────────────────────────────
  const noticeAt = ref(-1)
  const notice = computed((): Finding | null =>
    noticeAt.value < 0 ? null : (store.findings[noticeAt.value] ?? null),
  )

  const noticeKey = computed(() => notice.value && findingKey(notice.value))

  function open(panel: BoardPanel): void {
    tried.value = null
    opened.value = opened.value === panel ? null : panel
  }
  function close(): void {
    tried.value = null
    opened.value = null
  }
  /** Shows what a fix would do, without doing it. */
  function tryFix(finding: Finding | null): void {
    const fixed =
      finding?.fix && store.plan ? applyEdits(store.plan, finding.fix, newId) : undefined
    tried.value = fixed?.ok ? fixed.value : null
  }
  function applyFix(finding: Finding): void {
    tried.value = null
    if (finding.fix && report(store.editAll(finding.fix))) say('Fixed. Z undoes it.')
  }
  function dismiss(finding: Finding, note: string): void {
    opened.value = opened.value === 'dismiss' ? null : opened.value
    if (report(store.edit({ kind: 'dismiss', finding: findingKey(finding), note })))
      say('Put aside. The checks panel lists it, and brings it back.')
  }
  function bringBack(finding: Finding): void {
    report(store.edit({ kind: 'undismiss', finding: findingKey(finding) }))
  }
  function dismissNotice(): void {
    if (notice.value) opened.value = 'dismiss'
    else say('N chooses something to look at first.')
  }
  function showFinding(finding: Finding): void {
    noticeAt.value = store.findings.findIndex(other => findingKey(other) === findingKey(finding))
    const { day, group } = finding.place
    if (group) showGroup(group)
    if (day !== undefined) select({ rail: place.value.rail, day })
  }
  /** The exposure of a folded line's groups that falls furthest short on a day. */
  function worstArrival(rail: BoardRail, day: number): Arrival | null {
    const short = railGroups(rail.view.rail).flatMap(
      group =>
        recovery.value?.arrivals[group].filter(
          arrival => arrival.day === day && arrival.thread !== 'whole',
        ) ?? [],
    )
    return short.sort((a, b) => a.readiness - b.readiness)[0] ?? null
  }

  function report(result: ReturnType<typeof store.edit>): boolean {
    if (!result.ok && store.context) say(editProblemSentence(result.error, store.context.catalogue))
    else say('')
    return result.ok
  }

  // ── adding an exercise ────────────────────────────────────────────────
  const pickerGroups = computed<readonly Group[]>(() =>
    selectedRail.value ? railGroups(selectedRail.value.view.rail) : [],
  )

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

  // ── carrying ──────────────────────────────────────────────────────────
  function lift(at: BoardPlace, options: { pick: number | null; onlyOne?: boolean }): boolean {
    const rail = rails.value[at.rail]
    const cell = rail?.view.cells[at.day]
    if (!rail || !cell) return false
    const lifted = carry.lift({
      railKey: rail.key,
      day: at.day,
      cell,
      ...options,
      others:
        marked.value.size > 0
          ? actedCells()
              .filter(other => other.cell !== cell)
              .map(other => other.cell)
          : [],
    })
    if (!lifted)
      say(
        cell.pieces.length > 0
          ? 'Only indirect sets here. Pick the exercise with , or . first.'
          : 'No sets to carry here.',
      )
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

  function putDown(
    held: Carry,
    moves: Parameters<Parameters<typeof useCarry>[0]['putDown']>[1],
  ): void {
    const names = held.pieces
      .map(piece => store.context?.catalogue.get(piece.slot.exercise)?.name)
      .join(', ')
    if (!report(store.edit({ kind: 'move_sets', toDay: held.toDay, moves }))) return
    pick.value = null
    place.value = {
      rail: Math.max(
        0,
        rails.value.findIndex(rail => rail.key === held.railKey),
      ),
      day: held.toDay,
    }
    say(
      `${formatSetCount(held.count)} of ${names} moved from day ${held.fromDay + 1} to day ${held.toDay + 1}.`,
    )
  }

  function moveTo(day: number, sets: number | null): void {
    if (!lift(place.value, { pick: pick.value })) return
    if (sets !== null) carry.takeMore(sets - (carry.inHand.value?.count ?? 0))
    carryOver(day)
    if (!carry.putDown()) carry.putBack()
  }

  function confirm(): void {
    if (carry.inHand.value) {
      if (!carry.putDown()) sayProblem()
    } else if (notice.value?.fix) applyFix(notice.value)
    else void openSession()
  }

  /** The selected day's session in detail. */
  async function openSession(): Promise<void> {
    const { day } = place.value
    if (days.value[day]?.role === 'rest')
      return say(`Day ${day + 1} is rest. R makes it a training day.`)
    await navigateTo(`/clients/${store.client?.id}/session/${day + 1}`)
  }

  function cancel(): void {
    if (carry.inHand.value) carry.putBack()
    else {
      pick.value = null
      noticeAt.value = -1
      marked.value = new Set()
      close()
    }
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

  function nextNotice(): void {
    const { length } = store.findings
    noticeAt.value = length > 0 ? (noticeAt.value + 1) % length : -1
    if (notice.value) showFinding(notice.value)
  }

  /** Selects the line that shows a group, opening a folded one if need be. */
  function showGroup(group: Group): void {
    const own = rails.value.findIndex(
      ({ view: { rail } }) => rail.kind === 'group' && rail.group === group,
    )
    if (own >= 0) return select({ rail: own, day: place.value.day })
    const folded = rails.value.find(
      ({ view: { rail } }) => rail.kind === 'bundle' && railGroups(rail).includes(group),
    )
    if (!folded?.opens)
      return select({ rail: rails.value.findIndex(rail => rail === folded), day: place.value.day })
    toggle(folded.opens.key)
    select({
      rail: rails.value.findIndex(
        ({ view: { rail } }) => rail.kind === 'group' && rail.group === group,
      ),
      day: place.value.day,
    })
  }

  return {
    rails,
    restingRails,
    days,
    setCounts,
    shownPlan,
    place,
    pick,
    grabbed,
    hovered,
    message,
    carry,
    selectedRail,
    selectedCell,
    isPickerOpen,
    pickerGroups,
    opened,
    tried,
    marked,
    recovery,
    restingRecovery,
    shownInput,
    notice,
    noticeAt,
    noticeKey,
    isFirm: computed(() => notice.value !== null && !canBeDismissed(notice.value)),
    open,
    close,
    tryFix,
    applyFix,
    dismiss,
    bringBack,
    dismissNotice,
    showFinding,
    worstArrival,
    toggleMark,
    toggleHold,
    toggleRest,
    choose,
    withDay,
    dropDay,
    select,
    go,
    goToDay,
    pickNext,
    changeSets,
    openPicker,
    choices,
    addExercise,
    lift,
    carryBy,
    carryOver,
    moveTo,
    confirm,
    openSession,
    clientId: () => store.client?.id ?? '',
    cancel,
    undo,
    redo,
    toggle,
    toggleHeads,
    nextNotice,
    showGroup,
    say,
  }
}

export type SplitBoardState = ReturnType<typeof useSplitBoard>
