import type { Feeling, FeltPlace, MoreSaid } from '../follow/sheet'
import type { PlainDate } from '../base'
import { formatDay } from './dates'

/** Where an exercise was felt, as it is asked and as it is told. */
export const FELT_WORDS: Readonly<
  Record<FeltPlace, { readonly asked: string; readonly told: string }>
> = {
  target: { asked: 'In the target', told: 'where it should be' },
  forearms: { asked: 'Forearms', told: 'in the forearms' },
  shoulders: { asked: 'Shoulders', told: 'in the shoulders' },
  torso: { asked: 'Back or chest', told: 'in the back or chest' },
  elsewhere: { asked: 'Elsewhere', told: 'somewhere else' },
}

/** How a session was, in three steps each. */
export const FEELING_WORDS: Readonly<
  Record<Feeling, { readonly name: string; readonly steps: readonly [string, string, string] }>
> = {
  pump: { name: 'Pump', steps: ['none', 'some', 'strong'] },
  soreness: { name: 'Sore from last time', steps: ['no', 'a little', 'a lot'] },
  energy: { name: 'Energy', steps: ['low', 'as usual', 'high'] },
}

/** `energy high, pump some, “heavy”, 10 min of warming up`; empty where nothing was said. */
export function moreSaidWords({ feelings, word, warmUpMinutes, wayMinutes }: MoreSaid): string {
  const felt = (Object.keys(FEELING_WORDS) as Feeling[]).flatMap(feeling => {
    const step = feelings?.[feeling]
    const { name, steps } = FEELING_WORDS[feeling]
    return step === undefined ? [] : [`${name.toLowerCase()} ${steps[step] ?? ''}`]
  })
  return [
    ...felt,
    word ? `“${word}”` : '',
    warmUpMinutes === undefined ? '' : `${warmUpMinutes} min of warming up`,
    wayMinutes === undefined ? '' : `${wayMinutes} min on the way`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** `Hammer curl: felt in the forearms on Thu 3 Dec and Thu 10 Dec. Change its set-up or swap it.` */
export function feltElsewhereWords(
  { where, days }: { readonly where: FeltPlace; readonly days: readonly PlainDate[] },
  name: string,
): string {
  const told = [...days]
    .reverse()
    .map(day => formatDay(day))
    .join(' and ')
  return `${name}: felt ${FELT_WORDS[where].told} last, and elsewhere than meant on ${told}. Change how it is set up, or put something else in its place.`
}
