import { remembered, recordOf, HOURS_PER_DAY } from '../../base'
import { directGroups, type Group, GROUPS } from '../../plan/catalogue'
import { type CountedWork, countedWorkOfDay, workOfSession } from '../../count/ledger'
import { modeOf, type PlanContext } from '../../plan/method'
import { type Rotation, SECOND_SESSION_HOURS } from '../../plan/rotation'
import {
  cyclicBefore,
  cyclicLeftovers,
  type Dose,
  hoursToReady,
  readinessPercent,
  tauHours,
} from './decay'
import { impulsesOf } from './impulse'

const NO_WORK: readonly CountedWork[] = []
/** Shortfalls up to here are cautions, beyond it a fix is proposed. Percent. */
const SMALL_SHORTFALL = 10

export type ExposureRole = 'lead' | 'other' | 'indirect'
export type ReadinessState = 'ready' | 'nearly' | 'part' | 'not'
/** How a thread between two exposures is drawn: enough, up to ten points short, more. */
export type ThreadState = 'whole' | 'taut' | 'frayed'

/** A group as it comes to a session that works it. */
export interface Arrival {
  readonly group: Group
  readonly day: number
  readonly session: number
  readonly fromDay: number
  readonly hoursSince: number
  readonly readiness: number
  readonly required: number
  readonly role: ExposureRole
  readonly state: ReadinessState
  readonly thread: ThreadState
  /** From the session's start; 0 if ready. */
  readonly hoursToReady: number
  readonly fatigue: number
}

/** One session of a rotation with what it leaves in each group. */
export interface SessionLoad {
  readonly day: number
  readonly session: number
  readonly hour: number
  readonly work: readonly CountedWork[]
  readonly impulses: ReadonlyMap<Group, number>
}

export interface RotationRecovery {
  readonly periodHours: number
  readonly sessions: readonly SessionLoad[]
  readonly arrivals: Readonly<Record<Group, readonly Arrival[]>>
}

/** Words of the four states. Units: percent. */
export function readinessState(readiness: number): ReadinessState {
  if (readiness >= 90) return 'ready'
  if (readiness >= 80) return 'nearly'
  return readiness >= 65 ? 'part' : 'not'
}

/** How far readiness falls short of what an exposure asks for. */
export function threadState(readiness: number, required: number): ThreadState {
  if (readiness >= required) return 'whole'
  return required - readiness <= SMALL_SHORTFALL ? 'taut' : 'frayed'
}

/** Every session of a rotation in order, with its hour and what it leaves behind. */
export function sessionLoads(
  rotation: Rotation,
  work: readonly (readonly CountedWork[])[],
  context: PlanContext,
): readonly SessionLoad[] {
  return rotation.days.flatMap((day, at) =>
    day.sessions.map((session, place) => {
      const own = workOfSession(session, work[at] ?? NO_WORK)
      return {
        day: at,
        session: place,
        hour: at * HOURS_PER_DAY + place * SECOND_SESSION_HOURS,
        work: own,
        impulses: impulsesOf(own, context),
      }
    }),
  )
}

/** Direct sets of a session by group. */
const directByGroup = remembered((work: readonly CountedWork[], _context: PlanContext) => {
  const sums = new Map<Group, number>()
  for (const { credits, sets } of work) {
    for (const group of directGroups(credits)) sums.set(group, (sums.get(group) ?? 0) + sets.value)
  }
  return sums
})

/** The session with most direct sets of a group that is built up; the earlier on a tie. */
function leadOf(
  sessions: readonly SessionLoad[],
  group: Group,
  context: PlanContext,
): SessionLoad | undefined {
  if (modeOf(context, group) !== 'build') return undefined
  return sessions.reduce<SessionLoad | undefined>(
    (lead, session) =>
      (directByGroup(session.work, context).get(group) ?? 0) >
      (lead ? (directByGroup(lead.work, context).get(group) ?? 0) : 0)
        ? session
        : lead,
    undefined,
  )
}

/**
 * How ready each group comes to each session that works it, in a rotation repeated for long.
 *
 * Shape:   arrivals of a group in the order of the rotation; the first comes over the turn from the last.
 * Units:   hours and percent, unrounded; linear in sets, so that the optimiser can use the same figures.
 * Edge:    a group worked once comes from itself, a whole rotation ago.
 * Source:  docs/methods.md#recovery; examples R9 to R17.
 */
export function rotationRecovery(
  rotation: Rotation,
  context: PlanContext,
  work: readonly (readonly CountedWork[])[] = rotation.days.map(day =>
    countedWorkOfDay(day, context),
  ),
): RotationRecovery {
  const sessions = sessionLoads(rotation, work, context)
  const periodHours = rotation.days.length * HOURS_PER_DAY
  const arrivals = recordOf(GROUPS, group => arrivalsOf(group, sessions, periodHours, context))
  return { periodHours, sessions, arrivals }
}

function arrivalsOf(
  group: Group,
  all: readonly SessionLoad[],
  periodHours: number,
  context: PlanContext,
): readonly Arrival[] {
  const sessions = all.filter(({ impulses }) => (impulses.get(group) ?? 0) > 0)
  if (sessions.length === 0) return []
  const tau = tauHours(group, context)
  const doses = sessions.map((session): Dose => ({
    hour: session.hour,
    impulse: session.impulses.get(group) ?? 0,
  }))
  const fatigues = cyclicBefore(doses, periodHours, tau)
  const lead = leadOf(sessions, group, context)
  return sessions.map((session, at): Arrival => {
    const before = sessions[(at - 1 + sessions.length) % sessions.length] ?? session
    const fatigue = fatigues[at]!
    const readiness = readinessPercent(group, fatigue)
    const role: ExposureRole =
      session === lead
        ? 'lead'
        : (directByGroup(session.work, context).get(group) ?? 0) > 0
          ? 'other'
          : 'indirect'
    const required = context.method.recovery.required[role]
    return {
      group,
      day: session.day,
      session: session.session,
      fromDay: before.day,
      hoursSince: (session.hour - before.hour + periodHours) % periodHours || periodHours,
      readiness,
      required,
      role,
      state: readinessState(readiness),
      thread: threadState(readiness, required),
      hoursToReady: hoursToReady(group, fatigue, context),
      fatigue,
    }
  })
}

/** After so many time constants less than a third of a percent is left. */
const FADED_TAUS = 6

/** Sessions that still weigh on a group at an arrival, with their share of the fatigue; those under a tenth are left out. */
export function fatigueSources(
  { sessions, periodHours }: RotationRecovery,
  arrival: Arrival,
  context: PlanContext,
): readonly { readonly day: number; readonly session: number; readonly share: number }[] {
  const { group } = arrival
  const at = sessions.find(({ day, session }) => day === arrival.day && session === arrival.session)
  if (!at || arrival.fatigue === 0) return []
  const tau = tauHours(group, context)
  const since = ({ hour }: SessionLoad) =>
    (((at.hour - hour) % periodHours) + periodHours) % periodHours || periodHours
  const loaded = sessions.filter(
    session => session.impulses.has(group) && since(session) <= FADED_TAUS * tau,
  )
  const left = cyclicLeftovers(
    loaded.map(session => ({ hour: session.hour, impulse: session.impulses.get(group) ?? 0 })),
    at.hour,
    periodHours,
    tau,
  )
  return loaded
    .map(({ day, session }, place) => ({
      day,
      session,
      share: (left[place]?.left ?? 0) / arrival.fatigue,
    }))
    .filter(({ share }) => share >= 0.1)
    .sort((a, b) => b.share - a.share)
}
