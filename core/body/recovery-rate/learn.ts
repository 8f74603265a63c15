import { SECOND_SESSION_HOURS } from '../../plan/rotation'
import { daysBetween, groupedBy, type PlainDate, DAYS_PER_WEEK, HOURS_PER_DAY } from '../../base'
import { directGroups, type Group, GROUPS, requireExercise } from '../../plan/catalogue'
import { countedWorkOfDay } from '../../count/ledger'
import { type DatedValue, dayValue, median, placeOffsets } from '../log'
import { intentFor, type PlanContext } from '../../plan/method'
import {
  impulsesOf,
  type OwnPace,
  paceEvidence,
  type PaceExposure,
  pacesTogether,
  tauHours,
} from '../recovery'
import { type Session, sessionSlots } from '../../plan/session'

/** A session as it was done. */
export interface TrainedSession {
  readonly on: PlainDate
  readonly place: number
  readonly content: Session
  /** As the client said it: yes or no, or 0 to 10. */
  readonly isRecovered: boolean | number | null
  /** A joint hurt at three or more: performance says nothing about recovery. */
  readonly isPainful: boolean
}

/** Days of log that are learned from. */
export const LEARNING_DAYS = 84
/** Earlier work than this has long faded. */
const DOSE_DAYS = 12
const LEAST_FOR_LINE = 4

interface Held {
  readonly session: TrainedSession
  readonly hour: number
  readonly impulses: ReadonlyMap<Group, number>
  readonly first: ReadonlyMap<Group, string>
}

/** ln of each day's value over the level of its exercise; exercises with fewer than four say nothing. */
function deviations(values: readonly DatedValue[]): ReadonlyMap<string, number> {
  const found = new Map<string, number>()
  for (const [exercise, own] of groupedBy(values, value => value.exercise)) {
    if (own.length < LEAST_FOR_LINE) continue
    const offsets = placeOffsets(own.map(({ sets }) => sets ?? []))
    const said = own.map(({ on, value, sets }) => ({
      on,
      y: dayValue(sets ?? [], offsets)?.y ?? Math.log(value),
    }))
    const level = median(said.map(({ y }) => y))
    for (const { on, y } of said) found.set(`${exercise} ${on}`, y - level)
  }
  return found
}

/** For each muscle the exercise that trains it directly and comes first. */
function firstDirect(content: Session, context: PlanContext): ReadonlyMap<Group, string> {
  const first = new Map<Group, string>()
  for (const slot of sessionSlots(content)) {
    for (const group of directGroups(
      slot.credits ??
        intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent).credits,
    ))
      if (!first.has(group)) first.set(group, slot.exercise)
  }
  return first
}

/** What of a muscle's work before a session has not faded yet, the earliest first. */
function dosesBefore(at: number, group: Group, held: readonly Held[]): PaceExposure['doses'] {
  const doses: { impulse: number; hours: number }[] = []
  const { hour } = held[at]!
  for (let before = at - 1; before >= 0; before--) {
    const { hour: earlier, impulses } = held[before]!
    if (hour - earlier > DOSE_DAYS * HOURS_PER_DAY) break
    const impulse = impulses.get(group) ?? 0
    if (impulse > 0) doses.push({ impulse, hours: hour - earlier })
  }
  return doses.reverse()
}

function exposuresFor(
  group: Group,
  held: readonly Held[],
  deviation: ReadonlyMap<string, number>,
): readonly PaceExposure[] {
  return held.flatMap(({ session, hour, first }, at): PaceExposure[] => {
    const exercise = session.isPainful ? undefined : first.get(group)
    const off = exercise === undefined ? undefined : deviation.get(`${exercise} ${session.on}`)
    const doses = off === undefined ? [] : dosesBefore(at, group, held)
    return off === undefined || doses.length === 0
      ? []
      : [
          {
            doses,
            deviation: off,
            week: hour / HOURS_PER_DAY / DAYS_PER_WEEK,
            ...(session.isRecovered !== null && { recovered: session.isRecovered }),
          },
        ]
  })
}

/**
 * How fast each muscle of a client recovers, from performance against spacing and the client's own answers.
 *
 * Shape:  an entry for each muscle with at least one exposure that says something; sessions in any order.
 * Units:  multiplier on the hours that are usual for the client, with an 80 % interval.
 * Edge:   fewer than eight exposures, or gaps all alike: not enough data, and the usual hours stay.
 * Source: docs/methods.md#learned-recovery.
 */
export function learnedPaces(
  sessions: readonly TrainedSession[],
  values: readonly DatedValue[],
  context: PlanContext,
): ReadonlyMap<Group, OwnPace> {
  const [earliest] = [...sessions].sort((a, b) => a.on.localeCompare(b.on) || a.place - b.place)
  if (!earliest) return new Map()
  const held = sessions
    .map((session): Held => ({
      session,
      hour:
        daysBetween(earliest.on, session.on) * HOURS_PER_DAY + session.place * SECOND_SESSION_HOURS,
      impulses: impulsesOf(
        countedWorkOfDay({ role: 'open', sessions: [session.content] }, context),
        context,
      ),
      first: firstDirect(session.content, context),
    }))
    .sort((a, b) => a.hour - b.hour)
  const deviation = deviations(values)
  const { recoveryPace: _, ...client } = context.client
  const usual = { ...context, client }
  return pacesTogether(
    new Map(
      GROUPS.flatMap((group): (readonly [Group, ReturnType<typeof paceEvidence>])[] => {
        const exposures = exposuresFor(group, held, deviation)
        return exposures.length === 0
          ? []
          : [[group, paceEvidence(exposures, group, tauHours(group, usual))]]
      }),
    ),
  )
}
