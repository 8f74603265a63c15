import { exerciseId, type SlotId } from '#core/base'
import { growthHeldBy } from '#core/body/joints'
import { type ExerciseChoice, matchesChoice, type PlanEdit, usualScheme } from '#core/plan/block'
import { ARM_GROUPS, GROUPS, type Intent, requireExercise } from '#core/plan/catalogue'
import { canBeDismissed, type Finding, findingKey, type SessionView } from '#core/judge/checks'
import { withinSession } from '#core/judge/within-session'
import {
  clientTimesWords,
  editProblemSentence,
  formatSetCount,
  heldGrowthWords,
  ownTimeWords,
  slotName,
} from '#core/words'
import {
  mainGroup,
  ownSessionTime,
  pairingEffects,
  pairRests,
  restAfterSet,
  sessionTime,
  straightSession,
  warmUpRuns,
} from '#core/plan/minutes'
import { intentFor } from '#core/plan/method'
import { plannedSets, type SetScheme } from '#core/plan/scheme'
import {
  type Grouping,
  GROUPING_KINDS,
  type GroupingKind,
  PLACEMENTS,
  sessionSlots,
  type Slot,
} from '#core/plan/session'
import { type RankedChoice, rankedChoices } from '#core/design/suggest'
import { familyOfGroup, type PegFamily } from '~/ui/pegFamily'

/** What can stand over the builder: at most one thing at a time. */
export type SessionPanel = 'add' | 'short' | 'swap' | 'templates' | 'text' | 'versions' | 'dismiss'

const REST_STEP = 15
const LONGEST_REST = 3600
const USUAL_SETS = 3

/** The state of the Session builder beyond the plan itself, and everything that can be done in it. */
export function useSessionBuilder(dayAt: () => number, sessionAt: () => number) {
  const store = usePlanStore()
  const opened = ref<SessionPanel | null>(null)
  const message = ref('')
  const chosen = ref<SlotId | null>(null)
  const showsStraight = ref(false)

  const day = computed(() => store.plan?.rotation.days[dayAt()] ?? null)
  const session = computed(() => day.value?.sessions[sessionAt()] ?? null)
  const view = computed(
    (): SessionView | null =>
      store.input?.sessions.find(held => held.day === dayAt() && held.session === sessionAt()) ??
      null,
  )
  const groupings = computed((): readonly Grouping[] => session.value?.groupings ?? [])
  const slots = computed((): readonly Slot[] => (session.value ? sessionSlots(session.value) : []))
  const along = computed(() =>
    view.value && store.input ? withinSession(view.value, store.input) : null,
  )
  const effects = computed(() =>
    session.value && store.context ? pairingEffects(session.value, store.context) : [],
  )
  const straight = computed(() =>
    session.value && store.context && effects.value.length > 0
      ? sessionTime(straightSession(session.value, store.context), store.context)
      : null,
  )
  const limit = computed(() => day.value?.minuteLimit ?? null)
  /** The estimate beside how the client takes the session; empty while the log does not tell. */
  const ownTime = computed(() =>
    session.value && store.context
      ? ownTimeWords(ownSessionTime(session.value, store.context), store.client?.name ?? '')
      : '',
  )
  const timesWords = computed(() => {
    const times = store.context?.client.times
    return times ? clientTimesWords(times, store.client?.name ?? '') : ''
  })
  const findings = useAfterPaint(() =>
    store.findings.filter(
      ({ place }) =>
        place.day === dayAt() && (place.session === undefined || place.session === sessionAt()),
    ),
  )

  const selected = computed(
    (): Slot | null => slots.value.find(({ id }) => id === chosen.value) ?? slots.value[0] ?? null,
  )
  const selectedGrouping = computed(
    (): Grouping | null =>
      groupings.value.find(({ slots: held }) => held.some(({ id }) => id === selected.value?.id)) ??
      null,
  )

  function say(text: string): void {
    message.value = text
  }
  function nameOf(id: SlotId): string {
    const slot = slots.value.find(held => held.id === id)
    return slot && store.context ? slotName(slot, store.context.catalogue) : ''
  }
  /** Colour and head of an exercise's pegs, by the muscle it is chosen for. */
  function familyOf(id: SlotId | undefined): PegFamily {
    const slot = slots.value.find(held => held.id === id)
    const group =
      slot && store.context
        ? mainGroup(slot, requireExercise(store.context.catalogue, slot.exercise), store.context)
        : undefined
    return familyOfGroup(group)
  }
  /** How ready the muscle an exercise is chosen for is when its first set begins, and whether earlier sets of the session have worked it; null where it leaves nothing. */
  function readinessAt(
    id: SlotId,
  ): { readonly percent: number; readonly isWorked: boolean } | null {
    const slot = slots.value.find(held => held.id === id)
    const group =
      slot && store.context
        ? mainGroup(slot, requireExercise(store.context.catalogue, slot.exercise), store.context)
        : undefined
    const felt = along.value?.groups.find(held => held.group === group)
    const first = felt?.sets.findIndex(set => set.slot === id) ?? -1
    return felt && first >= 0
      ? { percent: felt.sets[first - 1]?.readiness ?? felt.startReadiness, isWorked: first > 0 }
      : null
  }
  function restsOf(grouping: Grouping): { readonly inside: number; readonly after: number } {
    if (!store.context) return { inside: 0, after: 0 }
    const { inside, after } = pairRests(grouping, store.context)
    return { inside: inside.seconds, after: after.seconds }
  }
  function report(result: ReturnType<typeof store.edit>): boolean {
    if (!result.ok && store.context) say(editProblemSentence(result.error, store.context.catalogue))
    else say('')
    return result.ok
  }
  const edit = (...changes: readonly PlanEdit[]): boolean => report(store.editAll(changes))

  function select(id: SlotId | null): void {
    chosen.value = id
    say('')
  }
  /** Left and right go from grouping to grouping, up and down between partners and on to the next. */
  function go(step: { groupings: number; slots: number }): void {
    const all = slots.value
    if (!selected.value || all.length === 0) return
    if (step.slots !== 0)
      return select(
        all[Math.min(all.length - 1, Math.max(0, all.indexOf(selected.value) + step.slots))]?.id ??
          null,
      )
    const at = groupings.value.findIndex(grouping => grouping === selectedGrouping.value)
    const next =
      groupings.value[Math.min(groupings.value.length - 1, Math.max(0, at + step.groupings))]
    select(next?.slots[0].id ?? null)
  }
  /** Moves the whole grouping left or right, or the exercise among its partners. */
  function move(step: { groupings: number; slots: number }): void {
    const grouping = selectedGrouping.value
    if (!grouping || !selected.value) return
    // What moves stays selected, also where it was selected only for being the first.
    chosen.value = selected.value.id
    if (step.slots !== 0 && grouping.slots.length > 1)
      return void edit({
        kind: 'move_partner',
        slot: selected.value.id,
        by: step.slots > 0 ? 1 : -1,
      })
    const others = groupings.value.filter(other => other !== grouping)
    const at = groupings.value.indexOf(grouping) + (step.groupings || step.slots)
    if (at < 0 || at > others.length) return say('It stands at the end already.')
    moveBefore(grouping.slots[0].id, others[at]?.slots[0].id ?? null)
  }
  /** Puts the grouping that holds a slot before another one; last of all where there is none. */
  function moveBefore(slot: SlotId, before: SlotId | null): void {
    if (edit({ kind: 'move_grouping', slot, to: before === null ? 'last' : { before } }))
      say(`${nameOf(slot)} moved.`)
  }

  // ── together and apart ────────────────────────────────────────────────
  function usualPairing(): Exclude<GroupingKind, 'straight'> {
    return store.context?.method.pairing.mode === 'alternating' ? 'alternating' : 'superset'
  }
  function pair(slot: SlotId, partner: SlotId): void {
    const kind = groupings.value.find(({ slots: held }) => held.some(({ id }) => id === slot))?.kind
    if (
      edit({
        kind: 'pair',
        slot,
        with: partner,
        as: kind && kind !== 'straight' ? kind : usualPairing(),
      })
    )
      say(`${nameOf(slot)} and ${nameOf(partner)} are done together.`)
  }
  /** Pairs with the next exercise, with the one before where none follows; takes a pair apart. */
  function togglePair(): void {
    const grouping = selectedGrouping.value
    if (!grouping || !selected.value) return
    if (grouping.slots.length > 1) {
      if (edit({ kind: 'ungroup', slot: selected.value.id })) say('Each by itself again.')
      return
    }
    const at = groupings.value.indexOf(grouping)
    const partner = groupings.value[at + 1] ?? groupings.value[at - 1]
    if (!partner) return say('There is no second exercise to pair with. E adds one.')
    pair(selected.value.id, partner.slots[0].id)
  }
  function convert(slot: SlotId, to: GroupingKind): void {
    edit({ kind: 'convert', slot, to })
  }

  // ── sets, rests, schemes ──────────────────────────────────────────────
  function changeSets(step: 1 | -1, slot = selected.value?.id): void {
    const own = slots.value.find(({ id }) => id === slot)
    if (!own) return
    const held = step > 0 && store.context ? growthHeldBy(own, store.context) : undefined
    if (held) return say(heldGrowthWords(held))
    edit({ kind: step > 0 ? 'add_sets' : 'cut_sets', slot: own.id, count: 1 })
  }
  function setScheme(slot: SlotId, scheme: SetScheme): void {
    edit({ kind: 'set_scheme', slot, scheme })
  }
  /** Rest after a round of partners, or after every set of an exercise by itself, in steps of 15 s. */
  function changeRest(step: 1 | -1): void {
    const [slot, grouping, context] = [selected.value, selectedGrouping.value, store.context]
    if (!slot || !grouping || !context) return
    const stepped = (seconds: number) =>
      Math.min(LONGEST_REST, Math.max(0, seconds + step * REST_STEP))
    if (grouping.kind !== 'straight' && grouping.slots.length > 1) {
      const now =
        view.value?.time.spans.find(span => span.grouping === grouping.id && span.kind === 'rest')
          ?.seconds ?? 75
      return void edit({
        kind: 'tune_grouping',
        slot: slot.id,
        change: { restAfterRound: { kind: 'seconds', seconds: stepped(now) } },
      })
    }
    const exercise = requireExercise(context.catalogue, slot.exercise)
    setScheme(slot.id, {
      ...slot.scheme,
      runs: slot.scheme.runs.map(run =>
        run.role === 'warmup'
          ? run
          : {
              ...run,
              restAfter: {
                kind: 'seconds' as const,
                seconds: stepped(restAfterSet(run, slot, exercise, context).seconds),
              },
            },
      ),
    })
  }
  function remove(slot = selected.value?.id): void {
    if (!slot) return
    const name = nameOf(slot)
    if (edit({ kind: 'remove_exercise', slot })) say(`${name} taken out. Z brings it back.`)
  }
  /** Puts the proposed warm-up sets before the working sets, in place of those that are there. */
  function warmUp(slot: Slot): void {
    if (!session.value || !store.context) return
    const runs = warmUpRuns(session.value, slot, store.context)
    if (runs.length === 0)
      return say('No warm-up sets are needed: earlier sets have warmed these joints.')
    setScheme(slot.id, {
      ...slot.scheme,
      runs: [...runs, ...slot.scheme.runs.filter(({ role }) => role !== 'warmup')],
    })
  }

  // ── adding ────────────────────────────────────────────────────────────
  function choices(typed: string): readonly RankedChoice[] {
    const input = store.input
    if (!input) return []
    const seen = new Set<string>()
    const groups = typed.trim() === '' ? ARM_GROUPS : GROUPS
    return groups
      .flatMap(group => rankedChoices(input, group, dayAt()))
      .sort((a, b) => b.score - a.score)
      .filter(
        choice =>
          matchesChoice(choice, typed) &&
          seen.size < seen.add(`${choice.exercise.id} ${choice.intent}`).size,
      )
  }
  function add(choice: ExerciseChoice, sets = USUAL_SETS, isPaired = false): void {
    if (!store.context) return
    const before = slots.value.at(-1)
    const known = new Set(slots.value.map(({ id }) => id))
    const scheme = usualScheme(choice.exercise, sets, store.context.method)
    const added = edit({
      kind: 'add_exercise',
      day: dayAt(),
      ...(session.value && { session: session.value.id }),
      exercise: exerciseId(choice.exercise.id),
      intent: choice.intent,
      scheme,
    })
    if (!added) return
    const slot = slots.value.find(({ id }) => !known.has(id))
    chosen.value = slot?.id ?? null
    if (slot && before && isPaired) pair(before.id, slot.id)
    say(`${formatSetCount(sets)} of ${choice.exercise.name} added.`)
  }

  // ── findings ──────────────────────────────────────────────────────────
  const noticeAt = ref(-1)
  const notice = computed((): Finding | null =>
    noticeAt.value < 0 ? null : (findings.value[noticeAt.value] ?? null),
  )
  function nextNotice(): void {
    const { length } = findings.value
    noticeAt.value = length > 0 ? (noticeAt.value + 1) % length : -1
    const slot = notice.value?.place.slot
    if (slot) chosen.value = slot
  }
  function showFinding(finding: Finding): void {
    noticeAt.value = findings.value.findIndex(other => findingKey(other) === findingKey(finding))
    if (finding.place.slot) chosen.value = finding.place.slot
  }
  function fix(finding: Finding): void {
    if (finding.fix && edit(...finding.fix)) say('Fixed. Z undoes it.')
  }
  function dismiss(finding: Finding, note: string): void {
    opened.value = null
    if (edit({ kind: 'dismiss', finding: findingKey(finding), note }))
      say('Dismissed. The checks panel of the board lists it, and brings it back.')
  }

  function undo(): void {
    say(store.undo() ? 'Undone.' : 'Nothing to undo.')
  }
  function redo(): void {
    say(store.redo() ? 'Done again.' : 'Nothing to do again.')
  }
  function open(panel: SessionPanel): void {
    opened.value = opened.value === panel ? null : panel
  }
  function close(): void {
    opened.value = null
  }
  function intentOf(slot: Slot): Intent | null {
    return store.context
      ? intentFor(
          store.context,
          requireExercise(store.context.catalogue, slot.exercise),
          slot.intent,
        )
      : null
  }
  const setCount = computed(() =>
    slots.value.reduce((sum, { scheme }) => sum + plannedSets(scheme), 0),
  )

  return {
    dayAt,
    sessionAt,
    day,
    session,
    view,
    groupings,
    slots,
    along,
    effects,
    straight,
    ownTime,
    timesWords,
    limit,
    findings,
    selected,
    selectedGrouping,
    opened,
    message,
    showsStraight,
    notice,
    noticeAt,
    setCount,
    isFirm: computed(() => notice.value !== null && !canBeDismissed(notice.value)),
    GROUPING_KINDS,
    PLACEMENTS,
    say,
    nameOf,
    familyOf,
    readinessAt,
    restsOf,
    edit,
    select,
    go,
    move,
    moveBefore,
    pair,
    togglePair,
    convert,
    changeSets,
    setScheme,
    changeRest,
    remove,
    warmUp,
    choices,
    add,
    nextNotice,
    showFinding,
    fix,
    dismiss,
    undo,
    redo,
    open,
    close,
    intentOf,
  }
}

export type SessionBuilder = ReturnType<typeof useSessionBuilder>
