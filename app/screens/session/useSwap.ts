import {
  type Equipment,
  EQUIPMENT,
  type Joint,
  JOINTS,
  requireExercise,
} from '#core/plan/catalogue'
import { EQUIPMENT_NAMES, JOINT_NAMES, newStimulusWords, slotName, swapWords } from '#core/words'
import {
  editedSession,
  hasWeights,
  stationsOf,
  SWAP_REASONS,
  type SwapChoice,
  swapChoices,
  swapEdits,
  swapEverywhere,
  type SwapReason,
  TRAVEL_EQUIPMENT,
} from '#core/design/suggest'
import { isSore } from '#core/body/joints'
import { sessionSlots } from '#core/plan/session'
import { AvoidBody, SavedClient } from '#shared/contracts/profile'
import { newId } from '~/shell/newId'
import type { SessionBuilder } from './useSessionBuilder'
import { useSessionDates } from './useShortSession'

const FORM_NAMES = { other: '', lowering_only: ', lowering only', eased: ', eased' } as const

/** Finding what can stand in for the chosen exercise, and putting it in for a date, for the block or for good. */
export function useSwap(builder: SessionBuilder) {
  const store = usePlanStore()
  const { ask } = useApi()
  const issued = useIssuedStore()
  const today = useToday()
  onMounted(() => issued.load())
  const slot = builder.selected.value
  const context = store.context
  const exercise = slot && context ? requireExercise(context.catalogue, slot.exercise) : null
  const intent = slot ? builder.intentOf(slot) : null
  const stressed = JOINTS.filter(joint => (intent?.jointStress[joint] ?? 0) > 0)
  const stations = exercise ? stationsOf(exercise) : []
  const sore = stressed.find(joint => isSore(context?.client.pain?.[joint]))

  const reason = ref<SwapReason>(sore ? 'hurts' : 'other')
  const joint = ref<Joint | undefined>(sore ?? stressed[0])
  const taken = ref<Equipment | undefined>(stations[0])
  const onTheWay = ref<readonly Equipment[]>(TRAVEL_EQUIPMENT)
  const dates = useSessionDates(builder)
  const on = ref(dates.value[0]?.on ?? null)
  const chosen = ref(0)
  const isBusy = ref(false)
  const complaint = ref('')

  const choices = computed((): readonly SwapChoice[] => {
    const [input, view] = [store.input, builder.view.value]
    if (!input || !view || !slot) return []
    return swapChoices(input, view, {
      slot: slot.id,
      reason: reason.value,
      ...(joint.value && { joint: joint.value }),
      ...(taken.value && { taken: taken.value }),
      equipment: onTheWay.value,
    })
  })
  watch([reason, joint, taken, onTheWay], () => (chosen.value = 0))
  const shown = computed(() =>
    choices.value.map((choice, at) => ({
      at,
      name: `${choice.exercise.name}${FORM_NAMES[choice.form]}`,
      purpose: choice.exercise.intents[0].id === choice.intent.id ? '' : choice.intent.name,
      words: [
        ...swapWords(choice),
        ...(exercise ? newStimulusWords(exercise, choice.exercise) : []),
      ],
    })),
  )
  const choice = computed(() => choices.value[chosen.value])
  const name = slot && context ? slotName(slot, context.catalogue) : ''

  function done(words: string): void {
    builder.close()
    builder.say(words)
  }
  function forDate(): void {
    const [plan, session, stand, date] = [store.plan, builder.session.value, choice.value, on.value]
    if (!plan || !session || !stand || !date || !slot) return
    const content = editedSession(
      plan,
      builder.dayAt(),
      builder.sessionAt(),
      swapEdits(slot.id, stand),
      newId,
    )
    if (
      content &&
      builder.edit({
        kind: 'put_one_off',
        oneOff: { on: date, session: session.id, reason: 'swap', content },
      })
    )
      done('Swapped on that date only; the plan stays as it is.')
  }
  function here(): void {
    // Once it stands here, the choices are others.
    const stand = choice.value
    if (slot && stand && builder.edit(...swapEdits(slot.id, stand)))
      done(`${stand.exercise.name} stands here now. Z undoes it.`)
  }
  /** Where nothing can stand in, or nothing should: the exercise goes. */
  function takeOut(): void {
    if (slot && builder.edit({ kind: 'remove_exercise', slot: slot.id }))
      done(`${name} taken out. Z brings it back.`)
  }
  /** The client has sessions ahead with the exercise in them: they stay as they were sent until sent again. */
  const isOut = () =>
    issued.sent.some(
      ({ on: day, isDone, content }) =>
        !isDone &&
        day >= today.value &&
        sessionSlots(content).some(held => held.exercise === slot?.exercise),
    )
  function forBlock(): boolean {
    const [plan, stand] = [store.plan, choice.value]
    if (!plan || !stand || !slot) return false
    if (!builder.edit(...swapEverywhere(plan, slot, stand))) return false
    done(
      `${stand.exercise.name} stands in on every day of the block, single dates included.${isOut() ? ' The client has the old one: send again on the Block page.' : ''} Z undoes it.`,
    )
    return true
  }
  /** For good: also on the client's list of exercises to avoid, so that nothing proposes it again. */
  async function forGood(): Promise<void> {
    const client = store.client
    if (!client || !slot) return
    isBusy.value = true
    const result = await ask(`/api/clients/${client.id}/avoid`, {
      method: 'POST',
      body: AvoidBody.parse({ exercise: slot.exercise }),
      answer: SavedClient,
    })
    isBusy.value = false
    if (!result.ok)
      return void (complaint.value =
        result.error.kind === 'unreachable'
          ? 'The server does not answer. Try again, or swap for the block only.'
          : result.error.problem.detail)
    store.client = {
      ...client,
      facts: { ...client.facts, avoid: [...(client.facts.avoid ?? []), slot.exercise] },
    }
    if (forBlock()) builder.say(`${name} is avoided from now on. The profile lists it.`)
  }

  return {
    name,
    reason,
    reasons: SWAP_REASONS,
    joint,
    joints: stressed.map(one => ({ id: one, name: JOINT_NAMES[one] })),
    taken,
    stations: stations.map(one => ({ id: one, name: EQUIPMENT_NAMES[one] })),
    onTheWay,
    allEquipment: EQUIPMENT.map(one => ({ id: one, name: EQUIPMENT_NAMES[one] })),
    dates,
    on,
    chosen,
    shown,
    choice,
    losesWeights: slot !== null && hasWeights(slot.scheme),
    isBusy,
    complaint,
    forDate,
    here,
    takeOut,
    forBlock,
    forGood,
  }
}
