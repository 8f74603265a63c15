import { exerciseId, type PlainDate, type SlotId } from '../../base'
import type { Exposure, LoggedSet } from '../../body/log'
import { directGroups, type Group, requireExercise } from '../../plan/catalogue'
import { kilogramsOf } from '../../plan/estimate'
import { intentFor, type PlanContext } from '../../plan/method'
import { type Session, sessionSlots, type Slot } from '../../plan/session'
import { movementOf, plannedKey } from './movementOf'
import { placesOf } from './places'
import type { LoadBasis } from './loadCase'
import type { SlotLoads } from './reason'
import { slotLoads } from './slotLoads'

export interface WantedSteps {
  readonly of: ReadonlyMap<string, 'up' | 'down'>
  readonly since: PlainDate
}

/** A session as loads are reckoned for it. */
export interface LoadSession {
  /** What its loads are asked for by. */
  readonly key: string
  readonly on: PlainDate
  readonly content: Session
  readonly isDeload: boolean
  /** Exercises the coach wants a step heavier or lighter, the first time they come up since the rotation began. */
  readonly steps?: WantedSteps | undefined
  /** Not to be done any more: its loads are reckoned, and nothing after it goes on from it. */
  readonly isMissed?: boolean | undefined
}

/** What was done before. */
export interface LoadHistory {
  /** By movement. */
  readonly exposures: ReadonlyMap<string, readonly Exposure[]>
  /** Slots as they were planned when they were last done in working days, by place and movement. */
  readonly lastPlanned: ReadonlyMap<string, Slot>
}

/** What is known while going through the sessions; each one adds what was planned as if it were done. */
interface Course {
  readonly exposures: Map<string, Exposure[]>
  readonly lastPlanned: Map<string, Slot>
  readonly lastWorked: Map<Group, PlainDate>
}

function groupsOf(exercise: string, intent: string | null, context: PlanContext): readonly Group[] {
  const known = context.catalogue.get(exercise)
  if (!known) return []
  const own = known.intents.find(({ id }) => id === intent) ?? known.intents[0]
  return directGroups(
    intentFor(context, known, own.id === known.intents[0].id ? null : own.id).credits,
  )
}

function courseFrom({ exposures, lastPlanned }: LoadHistory, context: PlanContext): Course {
  const lastWorked = new Map<Group, PlainDate>()
  for (const own of exposures.values()) {
    const latest = own.at(-1)
    const exercise = latest?.sets[0]?.exercise
    if (!latest || exercise === undefined) continue
    for (const group of groupsOf(exercise, null, context)) {
      const known = lastWorked.get(group)
      if (!known || known < latest.on) lastWorked.set(group, latest.on)
    }
  }
  return {
    exposures: new Map([...exposures].map(([exercise, own]) => [exercise, [...own]])),
    lastPlanned: new Map(lastPlanned),
    lastWorked,
  }
}

/** A set as it would be logged if everything went as planned. */
function asPlanned(
  slot: Slot,
  loads: SlotLoads,
  at: number,
  place: ReturnType<typeof placesOf>[number],
): LoggedSet {
  const { amount, target } = loads.sets[at]!
  return {
    slot: slot.id,
    exercise: exerciseId(slot.exercise),
    intent: slot.intent,
    set: at + 1,
    stage: 1,
    side: null,
    role: place.isWorking ? 'working' : 'ramp',
    loadKg: amount === null ? null : kilogramsOf({ amount, unit: loads.unit }),
    reps: target ?? Math.floor((place.range[0] + place.range[1]) / 2),
    seconds: null,
    rir: place.rir,
    isRirOpen: false,
  }
}

/** Exposures that a load may go by: nothing further back says anything. Pages that reckon loads are given as many. */
export const MOST_EXPOSURES = 16

function latestBefore(exposures: readonly Exposure[], on: PlainDate): readonly Exposure[] {
  let end = exposures.length
  while (end > 0 && exposures[end - 1]!.on >= on) end--
  return exposures.slice(Math.max(0, end - MOST_EXPOSURES), end)
}

function stepFor({ exercise }: Slot, before: readonly Exposure[], { steps }: LoadSession) {
  const last = before.at(-1)?.on
  return steps && (last === undefined || last < steps.since) ? steps.of.get(exercise) : undefined
}

function goOn(
  course: Course,
  session: LoadSession,
  slot: Slot,
  loads: SlotLoads | undefined,
  context: PlanContext,
): void {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  for (const group of directGroups(intentFor(context, exercise, slot.intent).credits))
    course.lastWorked.set(group, session.on)
  if (!loads) return
  const places = placesOf(slot, context, loads.unit, session.on)
  const own = course.exposures.get(movementOf(slot)) ?? []
  own.push({
    on: session.on,
    sets: places.map((place, at) => asPlanned(slot, loads, at, place)),
    ...(session.isDeload && { isEasy: true }),
  })
  course.exposures.set(movementOf(slot), own)
  if (!session.isDeload) course.lastPlanned.set(plannedKey(slot), slot)
}

/**
 * Loads of sessions that lie ahead, each one as if those before it were done as planned; the only forecast there is.
 *
 * Shape:  by the sessions' keys, then by slot; slots without a load are left out.
 * Edge:   what was logged on or after a session's day is not yet known to it.
 * Source: docs/methods.md#loads.
 */
export function loadsAhead(
  sessions: readonly LoadSession[],
  history: LoadHistory,
  basis: LoadBasis,
): ReadonlyMap<string, ReadonlyMap<SlotId, SlotLoads>> {
  const { context } = basis
  const course = courseFrom(history, context)
  const found = new Map<string, ReadonlyMap<SlotId, SlotLoads>>()
  const inOrder = [...sessions].sort((a, b) => (a.on === b.on ? 0 : a.on < b.on ? -1 : 1))
  for (const session of inOrder) {
    const slots = sessionSlots(session.content)
    const own = new Map<SlotId, SlotLoads>()
    const loads = slots.map(slot => {
      const before = latestBefore(course.exposures.get(movementOf(slot)) ?? [], session.on)
      const known = slotLoads(
        slot,
        {
          on: session.on,
          exposures: before,
          lastWorked: course.lastWorked,
          lastPlanned: course.lastPlanned,
          isDeload: session.isDeload,
          step: stepFor(slot, before, session),
        },
        basis,
      )
      if (known) own.set(slot.id, known)
      return known
    })
    if (!session.isMissed)
      slots.forEach((slot, at) => goOn(course, session, slot, loads[at], context))
    found.set(session.key, own)
  }
  return found
}
