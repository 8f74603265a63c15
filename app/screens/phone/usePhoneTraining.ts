import {
  dropsAhead,
  loadingWords,
  type LogEntry,
  type LogWord,
  painLimit,
  parsedNumber,
  type SheetMovement,
  type SheetSession,
  type SheetSwap,
} from '#core/follow/sheet'
import { phoneNumber, setName } from './phoneWords'
import { usePhoneSession } from './usePhoneSession'
import { useRestTimer } from './useRestTimer'

/** A session as it is being trained: sets, rests, swaps and pain, each said as it happens. */
export function usePhoneTraining(
  asked: () => { readonly session: SheetSession; readonly entries: readonly LogEntry[] },
) {
  const store = useSheetStore()
  const phone = usePhoneSession(asked)
  const rest = useRestTimer()
  const say = (word: LogWord) => store.say(phone.session.value.id, word)

  const elapsed = computed(() => {
    const { startedAt } = phone.standing.value
    return startedAt === null ? null : Math.max(0, (rest.now.value - Date.parse(startedAt)) / 1000)
  })
  const isDone = computed(
    () =>
      phone.turns.value.length > 0 &&
      phone.turns.value.every(({ state }) => state !== 'open' && state !== 'begun') &&
      phone.standing.value.finish === null,
  )

  /** Logs what is in hand and begins the rest that follows it. */
  async function logged(): Promise<void> {
    const [before, partBefore] = [phone.turn.value, phone.part.value]
    const isNew = partBefore?.standing === null
    if (!(await phone.log()) || !before || !partBefore || !isNew) return
    const next = before.parts.find(
      ({ part, standing }) => part !== partBefore.part && standing === null,
    )
    const follows = phone.turn.value
    if (next)
      rest.start(
        next.part.restBefore,
        next.part.side && next.part.side !== partBefore.part.side
          ? `${next.part.side} side`
          : next.part.words,
      )
    else if (follows && follows.state === 'open')
      rest.start(
        before.rest,
        `${phone.movement.value?.name ?? ''}, ${setName(follows).toLowerCase()}`,
      )
    else rest.skip()
  }

  const lastWords = computed(() => {
    const last = phone.movement.value?.last
    if (!last) return ''
    const [first] = last.sets
    const isOneLoad = last.sets.every(({ amount }) => amount === first?.amount)
    const counts = last.sets.map(({ count }) => (count === null ? '–' : phoneNumber(count)))
    if (isOneLoad)
      return `${first?.amount === null || first?.amount === undefined ? '' : `${phoneNumber(first.amount)} ${phone.movement.value?.scale.unit}: `}${counts.join(', ')}`
    return last.sets
      .map(({ amount }, at) => `${amount === null ? '' : `${phoneNumber(amount)}×`}${counts[at]}`)
      .join(', ')
  })

  /** What the number under the thumb is, and why it is this one. */
  const loadHint = computed(() => {
    const [exercise, movement, part] = [
      phone.exercise.value,
      phone.movement.value,
      phone.part.value,
    ]
    if (!exercise || !movement || !part) return ''
    const isPlanned = movement.exercise === exercise.exercise
    const why =
      part.part.stage > 1
        ? 'from the part before'
        : isPlanned
          ? exercise.why.replace(/^\S/, letter => letter.toLowerCase()) || 'choose a weight'
          : 'choose a weight for it'
    return [movement.scale.words, why]
      .filter(Boolean)
      .join(', ')
      .replace(/^./, letter => letter.toUpperCase())
  })

  /** How to load the bar, and what a drop to come comes out as; empty where nothing need be said. */
  const loadingHint = computed(() => {
    const [movement, turn] = [phone.movement.value, phone.turn.value]
    const typed = parsedNumber(phone.amountText.value, 'load')
    if (!movement || !turn || !typed.ok) return ''
    const at = turn.parts.findIndex(({ part }) => part === phone.part.value?.part)
    return [
      loadingWords(typed.value, movement.scale),
      dropsAhead(
        turn.parts.map(({ part }) => part),
        at,
        typed.value,
        movement.scale,
      ),
    ]
      .filter(Boolean)
      .join('. ')
  })

  /** How a choice treats the joints that hurt. */
  function soreWords(movement: SheetMovement): string {
    const limit = painLimit(movement, store.levels)
    if (limit)
      return limit.isStopped ? 'loads the joint that is stopped' : 'still loads the sore joint'
    return phone.soreJoints.value.length > 0 ? 'leaves the sore joint alone' : ''
  }
  async function swap(choice: SheetSwap | null): Promise<void> {
    const slot = phone.exercise.value?.slot
    if (slot)
      await say({
        kind: 'swap',
        slot,
        exercise: choice?.exercise ?? null,
        intent: choice?.intent ?? null,
      })
  }
  const hurt = (word: Extract<LogWord, { kind: 'pain' }>) => void say(word)
  function saidSets(): void {
    const slot = phone.exercise.value?.slot
    if (slot) void say({ kind: 'more_sets', slot })
  }
  return {
    phone: { ...phone, levels: computed(() => store.levels) },
    rest,
    elapsed,
    loadHint,
    loadingHint,
    logged,
    isDone,
    lastWords,
    soreWords,
    swap,
    say,
    hurt,
    saidSets,
  }
}
