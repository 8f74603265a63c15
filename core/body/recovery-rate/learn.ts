import { SECOND_SESSION_HOURS } from '../../plan/rotation'
import { daysBetween, groupedBy, type PlainDate, DAYS_PER_WEEK, HOURS_PER_DAY } from '../../base'
import { directGroups, type Group, GROUPS, requireExercise } from '../../plan/catalogue'
import { countedWorkOfDay } from '../../count/ledger'
import { type DatedValue, robustLine } from '../log'
import { intentFor, type PlanContext } from '../../plan/method'
import { impulsesOf, ownPace, type OwnPace, type PaceExposure, tauHours } from '../recovery'
import { type Session, sessionSlots } from '../../plan/session'

/** A session as it was done. */
export interface TrainedSession {
  readonly on: PlainDate
  readonly place: number
  readonly content: Session
  readonly isRecovered: boolean | null
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

/** ln of each day's estimate over the exercise's robust line; exercises with fewer than four estimates say nothing. */
function deviations(values: readonly DatedValue[], from: PlainDate): ReadonlyMap<string, number> {
  const found = new Map<string, number>()
  for (const [exercise, own] of groupedBy(values, value => value.exercise)) {
    if (own.length < LEAST_FOR_LINE) continue
    const points = own.map(({ on, value }) => ({
      on,
      week: daysBetween(from, on) / DAYS_PER_WEEK,
      y: Math.log(value),
    }))
    const { slope, base } = robustLine(points)
    for (const { on, week, y } of points) found.set(`${exercise} ${on}`, y - base - slope * week)
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

function exposuresFor(
  group: Group,
  held: readonly Held[],
  deviation: ReadonlyMap<string, number>,
): readonly PaceExposure[] {
  return held.flatMap(({ session, hour, first }, at): PaceExposure[] => {
    const exercise = session.isPainful ? undefined : first.get(group)
    const off = exercise === undefined ? undefined : deviation.get(`${exercise} ${session.on}`)
    const doses = held.slice(0, at).flatMap(({ hour: earlier, impulses }) => {
      const impulse = impulses.get(group) ?? 0
      return impulse > 0 && hour - earlier <= DOSE_DAYS * HOURS_PER_DAY
        ? [{ impulse, hours: hour - earlier }]
        : []
    })
    return off === undefined || doses.length === 0
      ? []
      : [
          {
            doses,
            deviation: off,
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
  const deviation = deviations(values, earliest.on)
  const { recoveryPace: _, ...client } = context.client
  const usual = { ...context, client }
  return new Map(
    GROUPS.flatMap((group): (readonly [Group, OwnPace])[] => {
      const exposures = exposuresFor(group, held, deviation)
      return exposures.length === 0
        ? []
        : [[group, ownPace(exposures, group, tauHours(group, usual))]]
    }),
  )
}
