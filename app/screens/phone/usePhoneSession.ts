import { isSore } from '#core/body/joints'
import type { SetLapse } from '#core/body/log'
import type { PainLevel } from '#core/plan/method'
import type { Joint } from '#core/plan/catalogue'
import {
  type LogEntry,
  movementOf,
  nextTurn,
  numberSentence,
  painLimit,
  parsedNumber,
  prefillOf,
  repsToStopAt,
  type SessionStanding,
  sessionStanding,
  type SheetMovement,
  type SheetSession,
  type StandingTurn,
  steppedLoad,
  turnsOf,
  wayOf,
  wentOn,
  lastDoneTurn,
} from '#core/follow/sheet'
import { fallOf, farFromLast, phoneNumber } from './phoneWords'

interface Aim {
  readonly slot: string
  readonly number: number
  readonly role: string
}

/** One session on the phone, or in a column of the tablet: which set is next, its fields, and what a tap on them says. */
export function usePhoneSession(
  asked: () => { readonly session: SheetSession; readonly entries: readonly LogEntry[] },
  store: Pick<ReturnType<typeof useSheetStore>, 'levels' | 'say'> = useSheetStore(),
) {
  const session = computed(() => asked().session)
  const standing = computed((): SessionStanding => sessionStanding(asked().entries))
  /** A set that went on after it was logged: it has one part more, until that is logged or left. */
  const further = shallowRef<Aim | null>(null)
  const isAt = ({ slot, plan }: StandingTurn, aim: Aim | null) =>
    slot === aim?.slot && plan.number === aim.number && plan.role === aim.role
  const turns = computed(() =>
    turnsOf(session.value, standing.value, store.levels).map(one =>
      isAt(one, further.value) ? wentOn(one) : one,
    ),
  )
  const way = computed(() => wayOf(session.value, standing.value))

  /** A set looked at by itself; null follows the order of the session. */
  const chosen = shallowRef<Aim | null>(null)
  const turn = computed(
    (): StandingTurn | undefined =>
      turns.value.find(candidate => isAt(candidate, chosen.value)) ?? nextTurn(turns.value),
  )
  /** The set that was done last: it may turn out to have gone on. */
  const lastDone = computed(() => (further.value ? undefined : lastDoneTurn(turns.value)))
  const partAt = ref(0)
  const part = computed(() => turn.value?.parts[partAt.value] ?? turn.value?.parts[0])
  const exercise = computed(() =>
    session.value.exercises.find(({ slot }) => slot === turn.value?.slot),
  )
  const movement = computed(() => exercise.value && movementOf(exercise.value, standing.value))
  const limit = computed(
    () => movement.value && painLimit(movement.value, store.levels, part.value?.part.side ?? null),
  )
  const own = computed(() => turns.value.filter(({ slot }) => slot === turn.value?.slot))
  /** What the set's partners are and how they rest: `superset, 15 s between, 75 s after each round`. */
  const group = computed(() => {
    const words =
      way.value.groups.find(
        ({ slots }) => turn.value !== undefined && slots.includes(turn.value.slot),
      )?.words ?? ''
    const seconds = turn.value?.rest ?? 0
    return words
      ? words.charAt(0).toUpperCase() + words.slice(1)
      : seconds > 0
        ? `Rest ${seconds} s after the set`
        : ''
  })
  const after = computed(() => {
    const at = turn.value ? turns.value.indexOf(turn.value) : -1
    const next = turns.value
      .slice(at + 1)
      .find(({ state }) => state === 'open' || state === 'begun')
    return next && session.value.exercises.find(({ slot }) => slot === next.slot)
  })

  const amountText = ref('')
  const countText = ref('')
  const rir = ref<number | null>(null)
  const isOpenRir = ref(false)
  const lapses = ref<readonly SetLapse[]>([])
  const complaint = ref('')
  const isSeconds = computed(
    () => part.value?.part.kind === 'hold' || movement.value?.countUnit === 'seconds',
  )
  const hasLoad = computed(
    () =>
      part.value !== undefined &&
      part.value.part.load.kind !== 'none' &&
      part.value.part.kind === 'work',
  )
  const aimRir = computed(() =>
    part.value?.part.rir === null || part.value === undefined
      ? null
      : Math.max(part.value.part.rir, limit.value?.leastRir ?? 0),
  )

  /** Fields begin with what was logged, else with what the plan and the sets before say. */
  function fill(): void {
    complaint.value = ''
    if (!turn.value || !part.value || !movement.value) return
    const { standing: held } = part.value
    const at = turn.value.parts.indexOf(part.value)
    const {
      amount,
      count,
      rir: planned,
    } = held
      ? {
          amount: held.done.load?.amount ?? null,
          count: held.done.reps ?? held.done.seconds,
          rir: held.done.rir,
        }
      : { ...prefillOf(turn.value, at, turns.value, movement.value), rir: aimRir.value }
    amountText.value = amount === null ? '' : phoneNumber(amount)
    countText.value = count === null ? '' : phoneNumber(count)
    rir.value = planned === null ? null : Math.min(4, planned)
    isOpenRir.value = held?.done.isRirOpen ?? false
    lapses.value = held?.done.lapses ?? []
  }
  /** Which field is shown: the first part of the set that is not logged, or the one that was chosen. */
  const fieldKey = computed(() =>
    [
      turn.value?.slot,
      turn.value?.plan.role,
      turn.value?.plan.number,
      partAt.value,
      movement.value?.exercise,
      limit.value?.level,
    ].join(' '),
  )
  watch(
    () =>
      [
        turn.value?.slot,
        turn.value?.plan.role,
        turn.value?.plan.number,
        turn.value?.parts.filter(({ standing: held }) => held !== null).length,
        turn.value?.parts.length,
      ].join(' '),
    () => {
      const open = turn.value?.parts.findIndex(({ standing: held }) => held === null) ?? 0
      partAt.value = Math.max(0, open)
    },
    { immediate: true },
  )
  watch(fieldKey, fill, { immediate: true })

  function stepLoad(direction: 1 | -1): void {
    if (!movement.value) return
    const typed = parsedNumber(amountText.value, 'load')
    amountText.value = phoneNumber(
      steppedLoad(typed.ok ? typed.value : null, movement.value.scale.grid, direction),
    )
    complaint.value = ''
  }
  function stepCount(direction: 1 | -1): void {
    const typed = parsedNumber(countText.value, isSeconds.value ? 'seconds' : 'reps')
    countText.value = phoneNumber(
      Math.max(0, Math.floor(typed.ok ? typed.value : 0) + direction * (isSeconds.value ? 5 : 1)),
    )
    complaint.value = ''
  }
  function chooseRir(value: number): void {
    rir.value = value
    isOpenRir.value = value === 4
  }

  /** The load of the working set before, as it was logged. */
  function loadBefore({ plan, slot }: StandingTurn): number | null {
    const before = turns.value.find(
      turn =>
        turn.slot === slot && turn.plan.role === 'working' && turn.plan.number === plan.number - 1,
    )
    return before?.parts[0]?.standing?.done.load?.amount ?? null
  }
  let askedAbout = ''
  /** What looks like a slip: far from last time, less than it is to hold, more than the weak side did. */
  function doubtAbout(
    of: StandingTurn,
    here: StandingTurn['parts'][number],
    doing: SheetMovement,
    { amount, count }: { readonly amount: number | null; readonly count: number },
  ): string | null {
    const at = of.parts.indexOf(here)
    const stop = repsToStopAt(of, at)
    if (stop !== null && count > stop)
      return `The ${here.part.side} stops at the ${stop} reps the ${here.part.stopsAt} did.`
    if (of.plan.role !== 'working' || here.part.stage > 1) return null
    const planned = prefillOf(of, at, turns.value, doing).amount
    return (
      farFromLast(doing, amount, count, planned) ??
      (exercise.value?.holdsLoad ? fallOf(loadBefore(of), amount, doing.scale.unit) : null)
    )
  }
  /** The fields as they are typed; null where one of them is no number or looks like a slip, which is told. */
  function read(of: StandingTurn, here: StandingTurn['parts'][number], doing: SheetMovement) {
    const field = isSeconds.value ? 'seconds' : 'reps'
    const [amount, count] = [
      hasLoad.value && amountText.value.trim() !== ''
        ? parsedNumber(amountText.value, 'load')
        : null,
      parsedNumber(countText.value, field),
    ]
    if (amount && !amount.ok) complaint.value = numberSentence(amount.error, 'load')
    else if (!count.ok) complaint.value = numberSentence(count.error, field)
    if ((amount && !amount.ok) || !count.ok) return null
    // What looks like a slip is asked about once; the same figures said again are meant.
    const doubt = doubtAbout(of, here, doing, { amount: amount?.value ?? null, count: count.value })
    const said = `${fieldKey.value} ${amountText.value} ${countText.value}`
    complaint.value = doubt && askedAbout !== said ? `${doubt} Log it again if it is right.` : ''
    askedAbout = said
    return complaint.value === '' ? { amount: amount?.value ?? null, count: count.value } : null
  }

  /** Logs the part in hand, unless its fields cannot be read. */
  async function log(): Promise<boolean> {
    const [here, of, doing] = [part.value, turn.value, movement.value]
    const typed = here && of && doing ? read(of, here, doing) : null
    if (!here || !of || !doing || !typed) return false
    const isLastPart = of.parts.filter(({ standing: held }) => held === null).length <= 1
    chosen.value = isLastPart ? null : { slot: of.slot, number: of.plan.number, role: of.plan.role }
    further.value = null
    await store.say(session.value.id, {
      kind: 'set',
      place: here.place,
      replaces: here.standing?.entry ?? null,
      done: {
        exercise: doing.exercise,
        intent: doing.intent,
        load: typed.amount === null ? null : { amount: typed.amount, unit: doing.scale.unit },
        reps: isSeconds.value ? null : typed.count,
        seconds: isSeconds.value ? typed.count : null,
        rir: here.part.kind === 'hold' ? null : rir.value,
        isRirOpen: isOpenRir.value,
        ...(lapses.value.length > 0 && { lapses: lapses.value }),
      },
    })
    return true
  }
  async function clear(): Promise<void> {
    const here = part.value
    if (here?.standing)
      await store.say(session.value.id, {
        kind: 'clear',
        place: here.place,
        replaces: here.standing.entry,
      })
  }
  function choose(of: StandingTurn | null, part = 0): void {
    further.value = null
    chosen.value = of && { slot: of.slot, number: of.plan.number, role: of.plan.role }
    partAt.value = part
  }

  /** The set done last went on: with less after a drop, or with the same after a pause. */
  function goOn(): void {
    const last = lastDone.value
    if (!last) return
    chosen.value = { slot: last.slot, number: last.plan.number, role: last.plan.role }
    further.value = chosen.value
    partAt.value = last.parts.length
  }
  function toggleLapse(lapse: SetLapse): void {
    lapses.value = lapses.value.includes(lapse)
      ? lapses.value.filter(other => other !== lapse)
      : [...lapses.value, lapse]
  }

  /** The joint that keeps most from being done, for the notice on top. */
  const soreJoints = computed(() =>
    (
      Object.entries(store.levels) as [Joint, Readonly<Record<'left' | 'right', PainLevel>>][]
    ).filter(([, { left, right }]) => [left, right].some(isSore)),
  )
  return {
    session,
    standing,
    turns,
    way,
    turn,
    part,
    partAt,
    exercise,
    movement,
    limit,
    own,
    group,
    after,
    soreJoints,
    amountText,
    countText,
    rir,
    lapses,
    lastDone,
    isFurther: computed(() => further.value !== null),
    complaint,
    isSeconds,
    hasLoad,
    aimRir,
    stepLoad,
    stepCount,
    chooseRir,
    log,
    clear,
    choose,
    goOn,
    toggleLapse,
  }
}
export type PhoneSession = ReturnType<typeof usePhoneSession>
