import { dropsAhead, loadingWords, parsedNumber, prefillOf } from '#core/follow/sheet'
import { setUpSummary } from './phoneSetUp'
import { phoneNumber } from './phoneWords'
import type { usePhoneSession } from './usePhoneSession'

/** Where nothing says a load, the first sets find it. */
const FIND_A_WEIGHT =
  'find a weight: begin light; each set brings the next nearer to the reps and reserve asked'

/** What stands beside the numbers of the set in hand: last time, why this load, and how to load it. */
export function usePhoneHints(phone: ReturnType<typeof usePhoneSession>) {
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
        ? phone.isFurther.value
          ? 'a fifth less than before; the same again after a pause'
          : 'from the part before'
        : isPlanned
          ? exercise.why.replace(/^\S/, letter => letter.toLowerCase()) || FIND_A_WEIGHT
          : 'choose a weight for it'
    const said = [movement.scale.words, why].filter(Boolean).join(', ')
    return [said.replace(/^./, letter => letter.toUpperCase()), loadingHint.value]
      .filter(Boolean)
      .join('. ')
  })

  /** What to make ready at the next station while one rests: `22.5 kg, seat 3`. */
  function toPrepare(): string {
    const [turn, movement] = [phone.turn.value, phone.movement.value]
    if (!turn || !movement) return ''
    const { amount } = prefillOf(turn, 0, phone.turns.value, movement)
    return [
      amount === null ? '' : `${phoneNumber(amount)} ${movement.scale.unit}`,
      setUpSummary(movement, phone.standing.value.setUps.get(movement.exercise)),
    ]
      .filter(Boolean)
      .join(', ')
  }

  return { lastWords, loadHint, toPrepare }
}
