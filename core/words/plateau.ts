import { roundHalfUp } from '../base'
import type { Lever, LeverFact, Plateau, WayCourse } from '../follow/review'
import type { Way } from '../plan/block'
import { formatOneDecimal, formatSets, NBSP } from './figures'
import { JOINT_NAMES } from './joints'
import { HINDRANCE_NAMES } from './names'
import { PAIN_LEVEL_WORDS } from './trends'

export const LEVER_NAMES: Readonly<Record<Lever, string>> = {
  attendance: 'Sets that get done',
  joint: 'Joints',
  recovery: 'Recovery',
  food_and_sleep: 'Food and sleep',
  effort: 'Effort',
  volume: 'Sets under the target',
  frequency: 'Times a week',
  load: 'Load',
  room: 'Room under the ceiling',
  exercise: 'The same exercises',
}

/** What to do about each, as said to a colleague. */
const LEVER_STEPS: Readonly<Record<Lever, string>> = {
  attendance: 'Get the plan done first: shorter sessions, another day, or the exercise put first.',
  joint: 'Spare the joint first; nothing goes up before it is calm.',
  recovery: 'A set fewer, or a day more before it: more work will not help what is not recovered.',
  food_and_sleep: 'Talk about food and sleep first. Until then holding is what can be had.',
  effort: 'Take the sets as near to failure as planned before adding any.',
  volume: 'A set more, toward the target.',
  frequency: 'The same sets over two days.',
  load: 'One step heavier with the reps at the low end, or smaller steps to load with.',
  room: 'A set or two more, under the ceiling.',
  exercise: 'Another exercise, grip or rep range for the next four weeks.',
}

const rounded = (value: number | undefined) => roundHalfUp(value ?? 0)

function reserveWords(more: number, sets: number): string {
  if (sets === 0) return 'nobody said how many reps were left'
  const middle = `the middle of ${sets} sets`
  return more === 0
    ? `as planned, ${middle}`
    : `${formatSets(Math.abs(more))} ${more > 0 ? 'more' : 'fewer'} left than planned, ${middle}`
}

/** The figures of one lever: `34 of 60 sets done over the block`. */
export function leverWords(
  { lever, figures, exercise, hindrances }: LeverFact,
  { evidence }: Plateau,
  nameOf: (exercise: string) => string,
): string {
  const [one = 0, two = 0] = figures
  switch (lever) {
    case 'attendance':
      return two === 0 ? 'nothing was due yet' : `${one} of ${two} sets done over the block`
    case 'joint':
      return evidence.sore
        ? `${JOINT_NAMES[evidence.sore.joint]} is ${PAIN_LEVEL_WORDS[evidence.sore.level]}`
        : 'no joint of it hurts'
    case 'recovery':
      return `${two === 0 ? 'nobody said' : `recovered in ${one} of the last ${two} answers`}; ${rounded(figures[2])}${NBSP}% ready on average`
    case 'food_and_sleep':
      return hindrances?.length
        ? hindrances.map(reason => HINDRANCE_NAMES[reason]).join(', ')
        : 'nothing ticked in the profile'
    case 'effort':
      return reserveWords(one, two)
    case 'volume':
      return `${formatOneDecimal(one)} a week, target ${formatOneDecimal(two)}`
    case 'frequency':
      return `${formatOneDecimal(one)} a week for ${formatOneDecimal(two)} sets`
    case 'load':
      return exercise
        ? `${nameOf(exercise)}: ${formatOneDecimal(one)}${NBSP}kg for ${rounded(two)} weeks`
        : 'no load in kilograms'
    case 'room':
      return `${formatOneDecimal(one)} of ${formatOneDecimal(two)} a week`
    case 'exercise':
      return `unchanged for ${rounded(one)} weeks`
  }
}

/** The next thing to move, one at a time. */
export function leverStepWords(next: Plateau['next']): string {
  return next === null
    ? 'Nothing stands out: an easier rotation, then on with the same plan. Look again after about 16 sessions.'
    : LEVER_STEPS[next]
}

export const WAY_NAMES: Readonly<Record<Way['kind'] | 'load', string>> = {
  load: 'reps and load, by the rule',
  sets: 'a set more',
  rest: 'less rest',
  lowering: 'slower lowering',
}

/** `a set more every 2 weeks, up to 6`. */
export function wayWords({ kind, everyWeeks, by, to }: Way): string {
  const every = everyWeeks === 1 ? 'every week' : `every ${everyWeeks} weeks`
  switch (kind) {
    case 'sets':
      return `${by === 1 ? 'a set' : `${by} sets`} more ${every}, up to ${to}`
    case 'rest':
      return `${by}${NBSP}s less rest ${every}, down to ${to}${NBSP}s`
    case 'lowering':
      return `${by}${NBSP}s slower on the way down ${every}, up to ${to}${NBSP}s`
  }
}

const WAY_MEASURES: Readonly<Record<Way['kind'], readonly [kg: string, reps: string]>> = {
  sets: ['kg moved a session', 'reps a session'],
  rest: ['kg moved a minute', 'reps a minute'],
  lowering: ['kg × seconds lowered a session', 'seconds lowered a session'],
}

/** What an exercise has come to by its own way: `A set more: 1,840 to 2,210 kg moved a session, over 9 sessions`. */
export function wayCourseWords({ way, first, last, sessions, isReps }: WayCourse): string {
  const figure = (value: number) =>
    value < 100 ? formatOneDecimal(value) : roundHalfUp(value).toLocaleString('en')
  const measure = WAY_MEASURES[way.kind][isReps ? 1 : 0]
  return `By ${WAY_NAMES[way.kind]}: ${figure(first)} to ${figure(last)} ${measure}, over ${sessions} sessions`
}
