import { exerciseId, isPlainDate, plainDate, DAYS_PER_WEEK } from '#core/base'
import {
  type Alternation,
  CHOICE_LETTERS,
  choicesForSlot,
  type GroupRamp,
  MOST_PASSES,
  turnsIn,
  withPart,
  withTurn,
} from '#core/plan/block'
import { type Group, GROUPS, requireExercise } from '#core/plan/catalogue'
import {
  EFFORT,
  GROUP_NAMES,
  shorthandProblemSentence,
  slotName,
  turnName,
  unplacedWords,
} from '#core/words'
import { parseDoneAs } from '#core/plan/shorthand'
import { bandOf, modeOf } from '#core/plan/method'
import {
  passesFor,
  proposedDeloads,
  setsWithoutPlace,
  specialisation,
  usualBlock,
  usualEnd,
  type Trade,
} from '#core/design/progress'
import { daySlots } from '#core/plan/rotation'
import { type EnteredEvent, useBlockEvents } from './useBlockEvents'

const WEEKS = { least: 2, most: 16 } as const

/** The forms of a block: its dates, ramps, effort, waves, deloads, exercises that take turns, events, and the trade that more arm work is. */
export function useBlockTerms() {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const today = useToday()
  /** What is wrong with the last entry, and what was done. */
  const message = ref('')
  const note = ref('')
  const block = computed(() => store.plan?.block ?? {})
  const lengthDays = computed(() => store.plan?.rotation.days.length ?? DAYS_PER_WEEK)

  function put(change: Parameters<typeof store.edit>[0]): void {
    const result = store.edit(change)
    note.value = ''
    message.value = result.ok ? '' : 'This cannot be changed.'
  }
  const putPart = <Key extends keyof typeof block.value>(
    key: Key,
    value: (typeof block.value)[Key],
  ) => put({ kind: 'set_block', block: withPart(block.value, key, value) })

  function setStart(text: string): void {
    if (!isPlainDate(text))
      return void (message.value =
        'Start: this is no calendar day. Choose one, such as 2026-03-02.')
    put({ kind: 'set_block', startsOn: plainDate(text) })
    if (text < today.value)
      note.value =
        'The block begins in the past: sessions before today that were not sent count as planned.'
  }
  function setPasses(count: number): void {
    if (!Number.isInteger(count) || count < 1 || count > MOST_PASSES)
      return void (message.value = `Rotations: give a whole number from 1 to ${MOST_PASSES}.`)
    put({ kind: 'set_block', passes: count })
    const weeks = Math.round(((count * lengthDays.value) / DAYS_PER_WEEK) * 10) / 10
    if (weeks < WEEKS.least || weeks > WEEKS.most)
      note.value = `${weeks} weeks: blocks of ${WEEKS.least} to ${WEEKS.most} weeks are usual.`
  }
  function setWeeks(weeks: number): void {
    if (!Number.isInteger(weeks) || weeks < 1 || weeks > 52)
      return void (message.value = 'Weeks: give a whole number from 1 to 52.')
    setPasses(passesFor(weeks, lengthDays.value))
    const days = passesFor(weeks, lengthDays.value) * lengthDays.value
    if (days !== weeks * DAYS_PER_WEEK)
      note.value = `A rotation takes ${lengthDays.value} days: the block is ${days} days long, not ${weeks * DAYS_PER_WEEK}.`
  }
  function useMethodsBlock(): void {
    if (!store.plan || !store.context) return
    put({ kind: 'set_block', block: usualBlock(store.plan, store.context) })
    note.value = `As ${store.client?.method.name} has it: ramps, effort and deloads.`
  }

  const ramps = computed(() => {
    const [context, ledger] = [store.context, store.ledger]
    if (!context || !ledger) return []
    const unplaced = issued.expanded ? setsWithoutPlace(issued.expanded) : []
    return GROUPS.filter(
      group => ledger.groups[group].week.direct.value > 0 || block.value.ramps?.[group],
    ).map(group => {
      const band = bandOf(context, group)
      const ramp = block.value.ramps?.[group]
      const miss = unplaced.find(one => one.group === group)
      const start = Math.round(ledger.groups[group].week.counted.value)
      const end = ramp?.end ?? usualEnd(context, group)
      return {
        group,
        name: GROUP_NAMES[group],
        mode: modeOf(context, group),
        start,
        end,
        kind: ramp?.kind ?? ('none' as const),
        floor: band.floor,
        ceiling: band.ceiling,
        /** What the rotations cannot take of it, why, and what would make room. */
        unplaced: miss ? unplacedWords(miss) : '',
        problem:
          ramp && ramp.kind !== 'none' && ramp.end > band.ceiling + 0.05
            ? `over the ceiling of ${Math.round(band.ceiling * 10) / 10}`
            : ramp && ramp.kind !== 'none' && ramp.end < band.floor - 0.05
              ? `under the floor of ${Math.round(band.floor * 10) / 10}`
              : band.floor > band.ceiling
                ? 'its floor is over its ceiling: see Targets'
                : '',
      }
    })
  })
  function setRamp(group: Group, change: Partial<GroupRamp>): void {
    const now = block.value.ramps?.[group] ?? {
      kind: 'none' as const,
      end: ramps.value.find(row => row.group === group)?.end ?? 0,
    }
    const next = { ...now, ...change }
    if (!Number.isFinite(next.end) || next.end < 0 || next.end > 60)
      return void (message.value = `${GROUP_NAMES[group]}: give the sets of the last working rotation, from 0 to 60.`)
    const { [group]: _, ...others } = block.value.ramps ?? {}
    putPart('ramps', next.kind === 'none' ? others : { ...others, [group]: next })
  }

  /** Weeks before arm work comes in, as typed; nothing for none. */
  function setBase(typed: string): void {
    const weeks = Number(typed.trim() === '' ? 0 : typed)
    const { min, max } = LIMITS.baseWeeks
    if (weeks !== 0 && !(Number.isInteger(weeks) && weeks >= min && weeks <= max))
      return void (message.value = `Base: give whole weeks from ${min} to ${max}, or nothing for none.`)
    putPart('base', weeks === 0 ? undefined : { weeks })
  }

  const effort = computed(() => block.value.effort ?? null)
  function setEffort(kind: 'compound' | 'isolation', end: 'from' | 'to', value: number): void {
    const now = effort.value ?? {
      compound: store.client!.method.effort.rirCompound,
      isolation: store.client!.method.effort.rirIsolation,
    }
    if (!Number.isInteger(value) || value < 0 || value > 6)
      return void (message.value = `${EFFORT.name}: give a whole number from 0 to 6.`)
    putPart('effort', { ...now, [kind]: { ...now[kind], [end]: value } })
  }
  function setWave(text: string): void {
    const steps = text
      .split(/[\s,;/]+/)
      .filter(Boolean)
      .map(step => Number(step.replace('−', '-')))
    if (steps.some(step => !Number.isInteger(step) || Math.abs(step) > 8) || steps.length > 16)
      return void (message.value = 'Rep wave: give whole numbers from −8 to 8, such as 0 −2 −4.')
    putPart('repWave', steps.every(step => step === 0) ? [] : steps)
  }
  /** From which week on the last set of single-joint work goes to failure; empty is never. */
  function setFailure(text: string): void {
    const fromWeek = Number(text)
    if (text.trim() !== '' && !(Number.isInteger(fromWeek) && fromWeek >= 1 && fromWeek <= 16))
      return void (message.value =
        'Last set to failure: give the week it begins in, from 1 to 16, or nothing for never.')
    putPart('failure', text.trim() === '' ? undefined : { fromWeek })
  }
  const deloads = computed(() => block.value.deloads ?? [])
  function toggleDeload(pass: number): void {
    putPart(
      'deloads',
      deloads.value.includes(pass)
        ? deloads.value.filter(other => other !== pass)
        : [...deloads.value, pass].sort((a, b) => a - b),
    )
  }
  function proposeDeloads(): void {
    if (store.plan && store.context) putPart('deloads', proposedDeloads(store.plan, store.context))
  }

  const slots = computed(() =>
    store.plan && store.context
      ? store.plan.rotation.days.flatMap((day, at) =>
          daySlots(day).map(slot => ({
            slot,
            words: `Day ${at + 1}: ${slotName(slot, store.context!.catalogue)}`,
          })),
        )
      : [],
  )
  const turns = computed(() =>
    turnsIn(block.value).map(({ slot, others, by }) => ({
      slot,
      by,
      words:
        slots.value.find(one => one.slot.id === slot)?.words ??
        'An exercise that is not in the rotation any more',
      others: others.map((other, at) => ({
        letter: CHOICE_LETTERS[at + 1]!,
        name: store.context ? turnName(other, store.context.catalogue) : (other.exercise as string),
      })),
    })),
  )
  /** The exercise of a place itself, held or set up otherwise, and others for the same muscle. */
  function choices(slotId: string) {
    const [plan, context] = [store.plan, store.context]
    const own = slots.value.find(one => one.slot.id === slotId)?.slot
    if (!plan || !context || !own) return []
    const { exercise, intent } = own
    const name = `${slotName(own, context.catalogue)}, done otherwise`
    return [
      { exercise: exercise as string, intent, name },
      ...choicesForSlot(plan, context, slotId),
    ]
  }
  function addTurn(slot: string, other: string, by: Alternation['by'], how = ''): void {
    const held = slots.value.find(one => one.slot.id === slot)
    const choice = choices(slot).find(({ exercise }) => exercise === other)
    if (!held || !choice)
      return void (message.value = 'Turns: choose an exercise of the rotation and the other one.')
    const as = how.trim() === '' ? null : parseDoneAs(how)
    if (as && !as.ok)
      return void (message.value = `Turns, held or set up: ${shorthandProblemSentence(as.error)}`)
    if (!as && choice.exercise === held.slot.exercise)
      return void (message.value =
        'Turns: say how the same exercise is held or set up then, such as palms facing, wide grip or bench 45.')
    const next = withTurn(block.value.alternations ?? [], {
      slot: held.slot.id,
      exercise: exerciseId(choice.exercise),
      intent: choice.intent,
      ...(as && { as: as.value }),
      by,
    })
    if (!next)
      return void (message.value = `Turns: a place changes between ${CHOICE_LETTERS.length} exercises at most, each once.`)
    putPart('alternations', next)
  }
  function dropTurn(slot: string): void {
    putPart(
      'alternations',
      (block.value.alternations ?? []).filter(other => other.slot !== slot),
    )
  }

  const { events, put: putEvent, drop: dropEvent } = useBlockEvents()
  function addEvent(draft: EnteredEvent): boolean {
    message.value = putEvent(draft) ?? ''
    return message.value === ''
  }

  /** Sets that the ramps of what is built up add by the end, and what would go for them. */
  const trade = computed((): (Trade & { readonly lines: readonly string[] }) | null => {
    const [plan, context] = [store.plan, store.context]
    if (!plan || !context) return null
    const added = ramps.value
      .filter(({ mode, kind }) => mode === 'build' && kind !== 'none')
      .reduce((sum, { start, end }) => sum + Math.max(0, end - start), 0)
    const found = specialisation(plan, context, added)
    return {
      ...found,
      lines: found.cuts.map(
        ({ sets, exercise, day, group }) =>
          `${sets} ${sets === 1 ? 'set' : 'sets'} of ${requireExercise(context.catalogue, exercise).name} on day ${day + 1} (${GROUP_NAMES[group]})`,
      ),
    }
  })
  function takeTrade(): void {
    const cuts = trade.value?.cuts ?? []
    if (cuts.length === 0) return
    const result = store.editAll(
      cuts.map(({ slot, sets }) => ({ kind: 'cut_sets' as const, slot, count: sets })),
    )
    note.value = result.ok ? 'Taken out of the rotation, as one step of undo.' : ''
    message.value = result.ok ? '' : 'This cannot be taken out.'
  }

  return {
    message,
    note,
    block,
    lengthDays,
    ramps,
    effort,
    deloads,
    turns,
    slots,
    events,
    trade,
    choices,
    setStart,
    setPasses,
    setWeeks,
    useMethodsBlock,
    setRamp,
    setBase,
    setEffort,
    setWave,
    setFailure,
    toggleDeload,
    proposeDeloads,
    addTurn,
    dropTurn,
    addEvent,
    dropEvent,
    takeTrade,
  }
}
