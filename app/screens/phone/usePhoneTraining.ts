import {
  type LogEntry,
  type LogWord,
  movementOf,
  feltToAsk,
  type FeltPlace,
  painLimit,
  type SheetMovement,
  type SheetSession,
  type SheetSwap,
} from '#core/follow/sheet'
import { setName } from './phoneWords'
import { usePhoneHints } from './usePhoneHints'
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
        follows.slot === before.slot ? '' : toPrepare(),
      )
    else rest.skip()
  }

  const { lastWords, loadHint, toPrepare } = usePhoneHints(phone)

  /** The exercise whose last set has just been done, to be asked where it was felt. */
  const askedAbout = computed(() =>
    feltToAsk(phone.turns.value, phone.lastDone.value, phone.standing.value.felt),
  )
  const named = ({ exercise, name }: SheetMovement) => ({ exercise, name })
  const toFeel = computed(() => {
    const exercise = phone.session.value.exercises.find(({ slot }) => slot === askedAbout.value)
    return exercise && { slot: exercise.slot, ...named(movementOf(exercise, phone.standing.value)) }
  })
  async function feel(where: FeltPlace): Promise<void> {
    const of = toFeel.value
    if (of) await say({ kind: 'felt', slot: of.slot, exercise: of.exercise, where })
  }

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
    logged,
    isDone,
    toFeel,
    feel,
    lastWords,
    soreWords,
    swap,
    say,
    hurt,
    saidSets,
  }
}
