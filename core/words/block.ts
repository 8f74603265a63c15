import type { ExerciseId } from '../base'
import type { BlockEvent, BlockException, HeldChange, SinceLast } from '../plan/block'
import type { LoadProgression } from '../plan/method'
import type {
  BlockConcern,
  BlockSession,
  EventEffects,
  MoveEffect,
  SetObstacle,
  Unplaced,
} from '../design/progress'
import { formatDay } from './dates'
import { EFFORT } from './effort'
import { formatOneDecimal, formatSets, NBSP, wholeReadiness } from './figures'
import { JOINT_NAMES } from './joints'
import { capitalised } from './text'
import { GROUP_NAMES, MODE_NAMES } from './names'

/** Why a set finds no place, and what would make room. */
const OBSTACLE_WORDS: Readonly<Record<SetObstacle, readonly [why: string, remedy: string]>> = {
  pain: ['a joint its exercises load is sore', 'swap them for kinder ones, or end lower'],
  minutes: ['its days have no minutes left', 'give a day more minutes, or take sets out elsewhere'],
  session: ['its sessions hold as much as they should', 'train it on one more day'],
  readiness: ['it would not be ready the next time', 'put its days further apart'],
  exercise: ['each of its exercises has taken one', 'add an exercise for it'],
}

/** A ramp that finds no place for all its sets: how many, where, why, and what would make room. Rotations from 1. */
export function unplacedWords({ sets, pass, by }: Omit<Unplaced, 'group'>): string {
  const [why, remedy] = OBSTACLE_WORDS[by]
  return `${sets} ${sets === 1 ? 'set finds' : 'sets find'} no place in rotation ${pass + 1}: ${why}. To make room: ${remedy}.`
}
const signed = (value: number) => (value < 0 ? `−${Math.abs(value)}` : `+${value}`)

/** What there is to look at in a block: what, and by how much. Rotations from 1. */
export function blockConcernWords(concern: BlockConcern): readonly [what: string, much: string] {
  switch (concern.kind) {
    case 'over_ceiling':
      return [
        `${GROUP_NAMES[concern.group]} over the ceiling ${concern.from === concern.to ? `in rotation ${concern.from + 1}` : `from rotation ${concern.from + 1}`}`,
        `${formatOneDecimal(concern.most)} at most`,
      ]
    case 'not_placed':
      return [
        `${GROUP_NAMES[concern.group]}: ${formatSets(concern.sets)} more ${concern.sets === 1 ? 'set finds' : 'sets find'} no place`,
        `rotation ${concern.pass + 1}; ${OBSTACLE_WORDS[concern.by].join('. To make room: ')}`,
      ]
    case 'readiness':
      return [
        `${GROUP_NAMES[concern.arrival.group]} ${wholeReadiness(concern.arrival.readiness)}${NBSP}% ready for ${concern.arrival.name}`,
        `${formatDay(concern.arrival.on)}, ${concern.arrival.required}${NBSP}% wanted`,
      ]
    case 'joint_week':
      return [
        `${capitalised(JOINT_NAMES[concern.joint])} over its ceiling of seven days`,
        `${formatOneDecimal(concern.load)} of ${formatOneDecimal(concern.ceiling)} in rotation ${concern.pass + 1}`,
      ]
    case 'joint_session':
      return [
        `${capitalised(JOINT_NAMES[concern.joint])} over its ceiling of a session`,
        `${formatOneDecimal(concern.load)} of ${formatOneDecimal(concern.ceiling)} in rotation ${concern.pass + 1}`,
      ]
    case 'joint_ramp':
      return [
        `${capitalised(JOINT_NAMES[concern.joint])} rises steeply in rotation ${concern.pass + 1}`,
        `${formatOneDecimal(concern.ramp)} times the weeks before`,
      ]
    case 'over_time':
      return [
        `Day ${concern.day + 1} takes too long in rotation ${concern.pass + 1}`,
        `${Math.round(concern.minutes)} of ${concern.limit}${NBSP}min`,
      ]
    case 'no_deload':
      return [
        `${concern.working} weeks of training without an easier one`,
        `${concern.after} are usual`,
      ]
    case 'return':
      return [
        `Rotation ${concern.pass + 1} comes after ${concern.days} days without training`,
        `${Math.round(concern.share * 100)}${NBSP}% of the sets before; four fifths are a good return`,
      ]
    case 'steep_sets':
      return [
        `${GROUP_NAMES[concern.group]} rises steeply in rotation ${concern.pass + 1}`,
        `${formatOneDecimal(concern.before)} to ${formatOneDecimal(concern.after)} sets per 7 days; a fifth at once is much`,
      ]
    case 'total_jump':
      return [
        'The whole week jumps over the block before',
        `${formatOneDecimal(concern.before)} to ${formatOneDecimal(concern.after)} sets per 7 days; begin lower and step up`,
      ]
    case 'churn':
      return [
        `Only ${concern.kept} of ${concern.of} exercises were there before`,
        'what is new has to be learned; keep half at least',
      ]
  }
}

export const EFFECT_NAMES: Readonly<Record<BlockEvent['effect'], string>> = {
  none: 'train as planned',
  skip: 'no training',
  shift: 'everything later',
  short: 'so many minutes only',
  light: 'light work',
}

export const ALTERNATION_NAMES = {
  exposure: 'time by time',
  week: 'week by week',
  half: 'from the middle on',
} as const

export const RAMP_NAMES = {
  none: 'level',
  linear: 'rising evenly',
  step: 'one more now and then',
} as const

export const RULE_NAMES: Readonly<Record<LoadProgression, readonly [name: string, what: string]>> =
  {
    double_progression: [
      'Reps, then load',
      'Reps rise within the range; at its top the next weight.',
    ],
    top_set_back_off: ['Top set and back-off', 'The first set decides; the others follow lighter.'],
    fixed_load_add_reps: [
      'Fixed load, more reps',
      'The load stays; each time a rep more until the top.',
    ],
    load_from_rir: [
      'Load from effort',
      `The load that the last estimates allow at the planned ${EFFORT.inText}.`,
    ],
    held: ['Stays', 'The load stays as it is until you change it.'],
  }

/** What a rotation does otherwise than the block. */
export function exceptionWords(
  exception: BlockException,
  nameOf: (exercise: ExerciseId) => string,
): string {
  switch (exception.kind) {
    case 'sets':
      return `${GROUP_NAMES[exception.group]} ${signed(exception.change)} ${Math.abs(exception.change) === 1 ? 'set' : 'sets'}`
    case 'rir':
      return `${exception.group ? `${GROUP_NAMES[exception.group]} ` : ''}${signed(exception.change)} ${EFFORT.after}`
    case 'choice':
      return 'the other exercises'
    case 'moved':
      return `day ${exception.day + 1} on ${formatDay(exception.on)}`
    case 'dropped':
      return `day ${exception.day + 1} left out`
    case 'load':
      return `${nameOf(exception.exercise)} ${exception.step === 'up' ? 'one step heavier' : 'lighter'}`
  }
}

/** What a change that holds does: `Triceps +1 set`, `Biceps −2 reps`, `Triceps: build up`. */
function changeHeld(held: HeldChange): string {
  const name = GROUP_NAMES[held.group]
  if ('mode' in held) return `${name}: ${MODE_NAMES[held.mode]}`
  const [much, one, many] =
    'reps' in held ? [held.reps, 'rep', 'reps'] : [held.change, 'set', 'sets']
  return `${name} ${signed(much)} ${Math.abs(much) === 1 ? one : many}`
}

/** A change that holds: `Triceps +1 set from rotation 4 on`. */
export function heldWords(held: HeldChange): string {
  const { from, to } = held
  const until = to === undefined ? ' on' : to === from ? ' only' : ` to ${to + 1}`
  return `${changeHeld(held)} from rotation ${from + 1}${until}`
}

/** The same in the column of the rotation it begins in: `Triceps +1 set, holds`. */
export const heldShort = (held: HeldChange): string => `${changeHeld(held)}, holds`

/** How a dated session stands. */
export function sessionStateWords({ sent, isSkipped, waits, event }: BlockSession): string {
  if (sent?.isDone) return 'done'
  if (sent) return sent.isEdited ? 'sent, edited since' : sent.isOpened ? 'sent, opened' : 'sent'
  if (waits) return 'left out: its arm work comes in after the base'
  if (isSkipped) return `left out: ${event?.what ?? 'for a missed session'}`
  return event ? event.what : 'planned'
}

/** What moving a session to another day changes. */
export function moveEffectWords(effect: MoveEffect): string {
  switch (effect.kind) {
    case 'day_taken':
      return `${formatDay(effect.on)} holds ${effect.names.join(' and ')} already`
    case 'client_has_it':
      return 'The client has this session already: send the rotation again, to show the new day'
    case 'past':
      return 'This day is past'
    case 'same_readiness':
      return 'Readiness stays as it is'
    case 'readiness': {
      const { group, readiness, required, name, on } = effect.arrival
      const wanted = readiness < required ? `; ${required}${NBSP}% wanted` : ''
      return `${GROUP_NAMES[group]} ${wholeReadiness(readiness)}${NBSP}% ready for ${name} on ${formatDay(on)}, was ${wholeReadiness(effect.was)}${NBSP}%${wanted}`
    }
  }
}

/** One exercise that is done otherwise than in the block before: `Cable curl: 5 sets in 7 days, 3 before`. */
export function sinceLastWords({ before, after }: SinceLast): string {
  const sets = (count: number) => `${formatSets(count)} ${count === 1 ? 'set' : 'sets'} in 7 days`
  if (before === 0) return `new, ${sets(after)}`
  return after === 0
    ? `gone, ${sets(before)} before`
    : `${sets(after)}, ${formatSets(before)} before`
}

/** All of it in one line: `2 new, 1 gone, 3 with more or fewer sets`. */
export function sinceLastSummary(rows: readonly SinceLast[]): string {
  const fresh = rows.filter(({ before }) => before === 0).length
  const gone = rows.filter(({ after }) => after === 0).length
  const other = rows.length - fresh - gone
  return (
    [
      fresh > 0 && `${fresh} new`,
      gone > 0 && `${gone} gone`,
      other > 0 && `${other} with more or fewer sets`,
    ]
      .filter(Boolean)
      .join(', ') || 'the same exercises and sets'
  )
}

/** What an event does to a block, line by line. */
export function eventEffectLines({
  effect,
  touched,
  later,
  endsOn,
}: EventEffects): readonly string[] {
  const sessions = touched.map(({ name, on }) => `${name} on ${formatDay(on)}`).join(', ')
  const ends =
    later > 0
      ? [`The block ends ${later} ${later === 1 ? 'day' : 'days'} later, on ${formatDay(endsOn)}.`]
      : []
  if (touched.length === 0)
    return ends.length > 0 ? ends : ['No session is left on these days: nothing changes.']
  const LINES: Readonly<Record<EventEffects['effect'], string>> = {
    none: `Stays as planned: ${sessions}.`,
    skip: `Left out: ${sessions}.`,
    shift: `Goes to later days, with everything after it: ${sessions}.`,
    short: `Shortened: ${sessions}.`,
    light: `Light: ${sessions}.`,
  }
  const isSent = effect !== 'none' && touched.some(({ sent }) => sent !== undefined)
  return [
    LINES[effect],
    ...ends,
    ...(isSent ? ['Some of it was sent: send it again for the client to see it.'] : []),
  ]
}
