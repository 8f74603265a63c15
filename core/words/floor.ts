import {
  type Arrangement,
  type BeforeAfter,
  clockOf,
  type FloorRemedy,
  type FloorWait,
  startsOf,
  type StationKind,
  STATIONS,
} from '../follow/floor'
import { NBSP } from './figures'
import type { BodySide } from '../body/log'
import type { Joint } from '../plan/catalogue'
import { JOINT_NAMES } from './joints'
import { GROUP_NAMES } from './names'
import { swapChangeWords } from './session'
import { listed } from './text'

const minutesOf = (seconds: number): number => Math.round(seconds / 60)

/** A wait as the waiter's row says it: `waits about 9 min for the cable tower; Marit has it`. */
export function floorWaitWords(
  { seconds, station, holders }: FloorWait,
  nameOf: (session: string) => string,
): string {
  const names = holders.map(nameOf)
  const who = listed(names)
  return `waits about ${Math.max(1, minutesOf(seconds))} min for ${STATIONS[station].one}${who ? `; ${who} ${names.length > 1 ? 'have them' : 'has it'}` : ''}`
}

/** What all wait together: `16 min of waiting, 2 clients`; empty where it is less than half a minute. */
export function floorSumWords(waits: readonly FloorWait[]): string {
  const minutes = minutesOf(waits.reduce((sum, { seconds }) => sum + seconds, 0))
  const clients = new Set(waits.map(({ session }) => session)).size
  return minutes === 0
    ? ''
    : `${minutes} min of waiting, ${clients} ${clients === 1 ? 'client' : 'clients'}`
}

/** What the studio does not have and a plan needs: `needs the rack, and there is none`. */
export const floorLackWords = (station: StationKind): string =>
  `needs ${STATIONS[station].one}, and there is none`

/** Whose session it is, and what is done at a place of it, in words. */
interface FloorNames {
  /** First name of whoever has a session. */
  readonly nameOf: (session: string) => string
  /** Name of the exercise at a place of a session. */
  readonly exerciseOf: (session: string, slot: string) => string
  /** Name of an exercise. */
  readonly nameOfExercise: (exercise: string) => string
}

/** What a remedy is, as its button says it: `Joren starts at 17:35`. */
export function remedyTitle({ change }: Pick<FloorRemedy, 'change'>, names: FloorNames): string {
  const who = names.nameOf(change.session)
  switch (change.kind) {
    case 'start':
      return startsOf(change)
        .map(({ session, start }) => `${names.nameOf(session)} starts at ${clockOf(start)}`)
        .join(', ')
    case 'turn':
      return `${who}: ${lowered(names.exerciseOf(change.session, change.slot))} before ${lowered(names.exerciseOf(change.session, change.before))}`
    case 'stand_in':
      return `${who}: ${lowered(names.nameOfExercise(change.exercise))} instead of ${lowered(names.exerciseOf(change.session, change.slot))}`
  }
}

const lowered = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1)
const turned = ({ before, after }: BeforeAfter): string =>
  `${minutesOf(before)} → ${minutesOf(after)} min`

/** What a remedy brings and what it costs, line by line. */
export function remedyLines(remedy: FloorRemedy, { nameOf }: FloorNames): readonly string[] {
  const { own, all, ends, others, lacks } = remedy
  const longer = others.filter(({ seconds }) => minutesOf(seconds) > 0)
  return [
    `waits ${turned(own)}, all ${turned(all)}, ends ${clockOf(ends.before)} → ${clockOf(ends.after)}`,
    ...(lacks.after < lacks.before ? ['nothing is missing for it any more'] : []),
    ...longer.map(
      ({ session, seconds }) => `${nameOf(session)} waits ${minutesOf(seconds)} min longer`,
    ),
    ...costLines(remedy, nameOf),
  ]
}

/** What the client pays for it: in readiness, in counted sets, in her joints. */
function costLines({ change, cost }: FloorRemedy, nameOf: FloorNames['nameOf']): readonly string[] {
  if (change.kind === 'start') {
    const told = startsOf(change).map(({ session }) => nameOf(session))
    return [
      `sets, readiness and joints stay as they are; ${listed(told)} ${told.length > 1 ? 'get a message each' : 'gets a message'}`,
    ]
  }
  if (change.kind === 'turn') {
    const { readiness } = cost
    const [before, after] = [readiness?.before ?? 0, readiness?.after ?? 0].map(Math.round)
    return readiness && before !== after
      ? [
          `${GROUP_NAMES[readiness.group].toLowerCase()} ${after}${NBSP}% ready for it, was ${before}${NBSP}%`,
        ]
      : ['nothing comes less ready for its sets']
  }
  const said = swapChangeWords(cost)
  return said.length > 0 ? said : ['counts the same, and is as hard on the joints']
}

/** What laying a group side by side brings: `Waiting 12 → 1 min, 2 sets to failure without a spotter → 0`. */
export function arrangementWords({ changes, before, after }: Arrangement): string {
  const [was, is] = [before, after].map(({ waited }) => minutesOf(waited))
  const alone = (count: number) =>
    `${count} ${count === 1 ? 'set' : 'sets'} to failure under a bar without a spotter`
  if (changes.length > 0) {
    const waiting = `Waiting ${was} → ${is}${NBSP}min`
    return before.unspotted === 0
      ? waiting
      : `${waiting}, ${alone(before.unspotted)} → ${after.unspotted}`
  }
  const left = [
    ...(was === 0 ? [] : [`${was}${NBSP}min of waiting`]),
    ...(before.unspotted === 0 ? [] : [alone(before.unspotted)]),
  ]
  return left.length === 0
    ? 'Nobody of the group waits.'
    : `${listed(left)}: no other start or order of theirs spares any of it.`
}

/** What somebody does next: `Calf raise, set 2 of 3`. */
export const nextSetWords = (
  exercise: string,
  { set, sets }: { readonly set: number; readonly sets: number },
): string => `${exercise}, set ${set} of ${Math.max(set, sets)}`

/** What hurts, on the floor: `left elbow, inner side 4 of 10`. */
export const floorPainWords = ({
  joint,
  side,
  score,
}: {
  readonly joint: Joint
  readonly side: BodySide | 'both'
  readonly score: number
}): string => `${side === 'both' ? '' : `${side} `}${JOINT_NAMES[joint]} ${score} of 10`

/** How far ahead or behind somebody is. Units: seconds, late is more than nothing. */
export function lateWords(late: number): string {
  const minutes = minutesOf(Math.abs(late))
  return minutes === 0 ? 'on time' : `${minutes}${NBSP}min ${late > 0 ? 'behind' : 'ahead'}`
}

/** What the client is told of a change of her start. */
export const startMessage = (day: string, start: string, isAlways = false): string =>
  `${startMessageOpening(day)}${start}${isAlways ? ', and on that weekday from then on' : ''}.`
/** How what she is told of a day's start begins. */
export const startMessageOpening = (day: string): string => `Your session on ${day} begins at `

/** What somebody's day says before it comes: `Tue 1 Dec 17:30: waits about 6 min for the cable tower; Marit has it, 2 more to look at`. */
export function aheadWords(day: string, start: string, notices: readonly string[]): string {
  const more = notices.length - 1
  return `${day} ${start}: ${notices[0] ?? ''}${more > 0 ? `, ${more} more to look at` : ''}`
}
