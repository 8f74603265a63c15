import { addDays, type ClientId, type PlainDate, type Result, success } from '#core/base'
import { exposuresByExercise, type LoggedSet, splitByUse } from '#core/body/log'
import { TREND } from '#core/body/trend'
import { type LoadHistory, MOST_EXPOSURES, plannedKey } from '#core/design/loads'
import type { WeightUnit } from '#core/plan/scheme'
import { sessionSlots, type Slot } from '#core/plan/session'
import { turnsHeld } from '#core/plan/shorthand'
import { ProfileContract } from '#shared/contracts/profile'
import type { LoadsView } from '#shared/contracts/loads'
import type { Problem } from '#shared/contracts/problem'
import type { ClientView } from '#shared/contracts/client'
import { sessionDocument } from '../db/documents'
import { database } from '../db/database'
import { closedSessions, easyDays, sessionsWithTurnsHeld, weightOn } from '../db/queries/loadLog'
import { setsSince } from '../db/queries/logEntries'
import { profileOf } from '../db/queries/profiles'
import { exposuresOf } from '../db/queries/training'
import { client } from './clients'
import type { Coach } from './signIn'
import { exclusionFactsOf } from './trends'

/** Days of log behind a load, and of closed sessions that tell how a slot was last planned. */
const DAYS = { log: 180, planned: 35 } as const

/** What loads are reckoned from, but for plan and method. */
export interface LoadData {
  readonly unit: WeightUnit
  readonly bodyKg: number | null
  readonly history: LoadHistory
}

/** Slots as they were last planned, from sessions latest first; easier days say nothing. */
function lastPlannedIn(
  rows: Awaited<ReturnType<typeof closedSessions>>,
  easy: ReadonlySet<PlainDate>,
): LoadHistory['lastPlanned'] {
  const last = new Map<string, Slot>()
  for (const { on, prescribed } of rows) {
    if (easy.has(on)) continue
    for (const slot of sessionSlots(sessionDocument(prescribed)))
      if (!last.has(plannedKey(slot))) last.set(plannedKey(slot), slot)
  }
  return last
}

/** Reads what a client's loads are reckoned from. Figures that are a slip by all appearance are left out until the coach confirms them. */
export async function loadData(
  coach: Coach,
  view: ClientView,
  today: PlainDate,
): Promise<LoadData> {
  const db = database()
  const since = addDays(today, -DAYS.log)
  const [profile, sets, easy, closed, turned, bodyKg, values, facts] = await Promise.all([
    profileOf(db, coach.id, view.id),
    setsSince(db, coach.id, view.id, since),
    easyDays(db, coach.id, view.id, since),
    closedSessions(db, coach.id, view.id, addDays(today, -DAYS.planned)),
    sessionsWithTurnsHeld(db, coach.id, view.id, since),
    weightOn(db, coach.id, view.id, today),
    exposuresOf(db, coach.id, [view.id], addDays(today, -TREND.windowDays)),
    exclusionFactsOf(db, coach, view),
  ])
  const doubtful = new Set(
    splitByUse(values, facts)
      .leftOut.filter(({ reason }) => reason === 'outlier' || reason === 'unit')
      .map(({ exercise, on }) => `${exercise} ${on}`),
  )
  const held = new Map(
    turned.map(({ id, prescribed }) => [id, turnsHeld(sessionDocument(prescribed))] as const),
  )
  return {
    unit: ProfileContract.parse(profile?.profile).units,
    bodyKg,
    history: {
      exposures: exposuresByExercise(
        sets.filter(({ exercise, on }) => !doubtful.has(`${exercise} ${on}`)),
        on => easy.has(on),
        ({ sessionId, slot }) => slot && held.get(sessionId)?.get(slot),
      ),
      lastPlanned: lastPlannedIn(closed, easy),
    },
  }
}

/** A set without what only the log needs. */
function bareSet(logged: LoggedSet): LoggedSet {
  const {
    on: _on,
    sessionId: _session,
    unit: _unit,
    ...set
  } = logged as LoggedSet & Record<'on' | 'sessionId' | 'unit', unknown>
  return set
}

/** What the coach's pages reckon loads from. */
export async function loads(
  coach: Coach,
  clientId: ClientId,
  today: PlainDate,
): Promise<Result<LoadsView, Problem>> {
  const found = await client(coach, clientId, { today })
  if (!found.ok) return found
  const { unit, bodyKg, history } = await loadData(coach, found.value, today)
  return success({
    unit,
    bodyKg,
    exposures: [...history.exposures].map(([exercise, done]) => [
      exercise,
      done
        .slice(-MOST_EXPOSURES)
        .map(exposure => ({ ...exposure, sets: exposure.sets.map(bareSet) })),
    ]),
    lastPlanned: [...history.lastPlanned.values()],
  })
}
