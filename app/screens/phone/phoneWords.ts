import { farFromOwn } from '#core/body/log'
import {
  farSentence,
  type DonePart,
  type SheetMovement,
  type SheetExercise,
  type StandingTurn,
} from '#core/follow/sheet'
import type { SheetView } from '#shared/contracts/sheet'
import type { SessionEntry } from './useSheetApi'

/** Words and figures of the phone sheet. They stand here, not with the coach's, so that a phone loads no more than it shows. */

const WEEKDAYS = [
  'Sunday',
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
] as const
const MONTHS = [
  'Jan',
  'Feb',
  'Mar',
  'Apr',
  'May',
  'Jun',
  'Jul',
  'Aug',
  'Sep',
  'Oct',
  'Nov',
  'Dec',
] as const

/** `27.5`, `12`: no more digits than there are. */
export function phoneNumber(value: number): string {
  return String(Math.round(value * 100) / 100)
}

/** `2:05`. */
export function phoneClock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}

/** `Tuesday 3 Apr`; `short` leaves `3 Apr`. */
export function phoneDay(day: string, room: 'long' | 'short' = 'long'): string {
  const date = new Date(`${day}T12:00:00Z`)
  const short = `${date.getUTCDate()} ${MONTHS[date.getUTCMonth()]}`
  return room === 'short' ? short : `${WEEKDAYS[date.getUTCDay()]} ${short}`
}

/** ` at 17:30`, ` at 17:45 instead of 17:30`; nothing where no start is known. */
export function startWords(start: SheetView['sessions'][number]['start']): string {
  if (!start) return ''
  return ` at ${start.start}${start.start === start.usual ? '' : ` instead of ${start.usual}`}`
}

/** `27.5 × 12`, `12 reps`, `30 s`. */
export function doneWords({
  load,
  reps,
  seconds,
}: Pick<DonePart, 'load' | 'reps' | 'seconds'>): string {
  const count = reps ?? seconds
  if (count === null) return load ? `${phoneNumber(load.amount)} ${load.unit}` : '–'
  if (load) return `${phoneNumber(load.amount)} × ${phoneNumber(count)}`
  return seconds === null ? `${phoneNumber(count)} reps` : `${phoneNumber(count)} s`
}

/** Everything logged of a set: `27.5 × 12, 20 × 8`. */
export function turnWords({ parts }: StandingTurn): string {
  return parts
    .flatMap(({ standing, part }) =>
      standing
        ? [`${part.side ? `${part.side === 'left' ? 'L' : 'R'} ` : ''}${doneWords(standing.done)}`]
        : [],
    )
    .join(', ')
}

/** `Set 3`, `Warm-up 1`, `Primer`. */
export function setName({ plan }: Pick<StandingTurn, 'plan'>): string {
  const name = { warmup: 'Warm-up', working: 'Set', primer: 'Primer', ramp: 'Build-up' }[plan.role]
  return `${name} ${plan.number}`
}

/** `Set 3, left`: which part of a set is to be done where it has several. */
export function partName(
  turn: Pick<StandingTurn, 'plan'> & { readonly parts: readonly unknown[] },
  { part }: Pick<StandingTurn['parts'][number], 'part'>,
): string {
  const name = setName(turn)
  return turn.parts.length > 1 ? `${name}, ${part.side ?? `part ${part.stage}`}` : name
}

/** `Set 2 went on`, with its exercise where another one is on the screen by now. */
export function wentOnWords(
  last: StandingTurn,
  shown: Pick<StandingTurn, 'slot'> | null,
  exercises: readonly SheetExercise[],
): string {
  const name = exercises.find(({ slot }) => slot === last.slot)?.name ?? ''
  return `${setName(last)}${last.slot === shown?.slot ? '' : ` of ${name}`} went on`
}

// Joints have the same names on the phone as everywhere.
export { JOINT_NAMES } from '#core/words'

/** More than this over last time is asked about, unless the plan itself asks for it. */
const SANE_JUMP = 1.1

/** A question where a load falls from the set before although it is to hold; null where it does not. */
export function fallOf(before: number | null, amount: number | null, unit: string): string | null {
  return before !== null && amount !== null && amount < before
    ? `Load: it is to hold over the sets, and ${phoneNumber(amount)} ${unit} is below the ${phoneNumber(before)} before. Rest longer if need be.`
    : null
}

/**
 * A question where a load or a count is far outside what was done of the movement last time; null where it is not.
 * Such a figure is a slip of the thumb more often than not.
 */
export function farFromLast(
  { last, scale, countUnit }: SheetMovement,
  amount: number | null,
  count: number,
  suggested: number | null = null,
): string | null {
  const sets = last?.sets ?? []
  const known = (of: (set: (typeof sets)[number]) => number | null) =>
    sets.map(of).filter(value => value !== null)
  const usualLoad =
    amount === null
      ? null
      : farFromOwn(
          'load',
          amount,
          known(set => set.amount),
        )
  if (amount !== null && usualLoad !== null)
    return farSentence('load', { value: amount, usual: usualLoad, unit: ` ${scale.unit}` })
  const most = Math.max(...known(set => set.amount))
  if (amount !== null && suggested !== null && amount > Math.max(suggested, most * SANE_JUMP))
    return `Load: ${phoneNumber(amount)} ${scale.unit} is more than a tenth above the ${phoneNumber(most)} of last time.`
  const usual = farFromOwn(
    'count',
    count,
    known(set => set.count),
  )
  return usual === null ? null : farSentence(countUnit, { value: count, usual, unit: '' })
}

/** What was logged, in words for whoever reads it without the sheet at hand. */
export function refusedWords({ word, session }: SessionEntry, view: SheetView | null): string {
  const held = view?.sessions.find(one => one.session.id === session)?.session
  const of = held ? `${held.name}, ` : ''
  const named = (slot: string | null) => {
    const exercise = held?.exercises.find(one => one.slot === slot)
    return exercise ? `${exercise.name}, ` : ''
  }
  switch (word.kind) {
    case 'set':
      return `${of}${named(word.place.slot)}set ${word.place.set}: ${doneWords(word.done)}`
    case 'clear':
      return `${of}${named(word.place.slot)}set ${word.place.set} taken out`
    case 'note':
      return `${of}${named(word.slot)}note: ${word.text}`
    case 'pain':
      return `${of}pain: ${word.joints.map(joint => JOINT_NAMES[joint]).join(', ')}, ${word.score} of 10`
    case 'finish':
      return `${of}the end of the session${word.note ? `: ${word.note}` : ''}`
    default:
      return `${of}a change of what is done`
  }
}
