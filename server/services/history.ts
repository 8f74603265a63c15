import { randomUUID } from 'node:crypto'
import { addDays, type ClientId, failure, type PlainDate, type Result, success } from '#core/base'
import { JOINTS } from '#core/plan/catalogue'
import { liftsBody } from '#core/plan/estimate'
import { recentBest, sessionState, splitByUse } from '#core/body/log'
import { TREND } from '#core/body/trend'
import type {
  ClearanceBody,
  HistoryView,
  MeasurementBody,
  PainBody,
} from '#shared/contracts/history'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { database } from '../db/database'
import { clientName } from '../db/queries/clients'
import {
  clearancesOf,
  deleteMeasurement,
  insertClearance,
  insertMeasurement,
  insertPainReport,
  measurementsOf,
  painReportsOf,
} from '../db/queries/health'
import { saidSince } from '../db/queries/clientLog'
import { decideMissed, exposuresOf, sessionsOf } from '../db/queries/training'
import { client } from './clients'
import { painOf } from './pain'
import { saidOfSessions } from './said'
import type { Coach } from './signIn'
import { exclusionFactsOf, saidTrends, trendsOf } from './trends'
import { currentTime } from '../clock'

/** Twelve weeks of sessions are shown. */
const SHOWN_DAYS = 84
const DONE = { isDone: true } as const

/** What was done, where it is going, and what hurts. */
export async function history(
  coach: Coach,
  id: ClientId,
  today: PlainDate,
): Promise<Result<HistoryView, Problem>> {
  const db = database()
  const [found, sessions, exposures, reports, clearances, measurements, said] = await Promise.all([
    client(coach, id, { today }),
    sessionsOf(db, coach.id, id, addDays(today, -SHOWN_DAYS)),
    exposuresOf(db, coach.id, [id], addDays(today, -TREND.windowDays)),
    painReportsOf(db, coach.id, id),
    clearancesOf(db, coach.id, id),
    measurementsOf(db, coach.id, id),
    saidSince(db, coach.id, id, addDays(today, -SHOWN_DAYS)),
  ])
  if (!found.ok) return found
  const facts = await exclusionFactsOf(db, coach, found.value)
  const levels = painOf(reports, clearances)
  return success({
    name: found.value.name,
    measurements,
    said: saidOfSessions(said),
    sessions: sessions.map(({ setsDone, ...session }) => ({
      ...session,
      setsDone: setsDone ?? 0,
      state: sessionState(session, today),
    })),
    trends: saidTrends(trendsOf(exposures, facts), found.value.facts),
    joints: JOINTS.flatMap(joint => {
      const own = reports.filter(report => report.joint === joint)
      const clearance = clearances.find(candidate => candidate.joint === joint)
      return own.length === 0 && !clearance
        ? []
        : [
            {
              joint,
              level: levels[joint] ?? ('none' as const),
              reports: [...own].reverse(),
              clearance: clearance ?? null,
            },
          ]
    }),
  })
}

async function ofClient(
  coach: Coach,
  id: ClientId,
  write: () => Promise<unknown>,
): Promise<Result<typeof DONE, Problem>> {
  if (!(await clientName(database(), coach.id, id)))
    return failure({ kind: 'not-found', what: 'client' })
  await write()
  return success(DONE)
}

/** Keeps what the coach decided about a missed session. */
export async function decide(
  coach: Coach,
  client: ClientId,
  session: string,
  decision: string,
): Promise<Result<typeof DONE, Problem>> {
  return (await decideMissed(database(), coach.id, client, session, decision))
    ? success(DONE)
    : failure({ kind: 'not-found', what: 'missed session' })
}

/** Noon: a report of a day without a time stands in its middle, and never after a clearance that is recorded this morning. */
function noonOf(on: PlainDate): Date {
  return new Date(Math.min(Date.parse(`${on}T12:00:00Z`), currentTime().getTime()))
}

function inTheFuture(on: PlainDate, today: PlainDate): Result<never, Problem> | undefined {
  return on > addDays(today, 1)
    ? failure({
        kind: 'invalid',
        errors: [
          {
            pointer: '/on',
            kind: 'custom',
            detail: 'on may not lie in the future; give the day it happened.',
          },
        ],
      })
    : undefined
}

/** A pain report that reached the coach by word of mouth. */
export async function reportPain(
  coach: Coach,
  client: ClientId,
  { on, ...report }: z.output<typeof PainBody>,
  today: PlainDate,
): Promise<Result<typeof DONE, Problem>> {
  return (
    inTheFuture(on, today) ??
    ofClient(coach, client, () =>
      insertPainReport(database(), {
        coachId: coach.id,
        id: randomUUID(),
        clientId: client,
        ...report,
        reportedAt: noonOf(on),
      }),
    )
  )
}

/** A record that a licensed professional has cleared a joint. */
export async function recordClearance(
  coach: Coach,
  client: ClientId,
  clearance: z.output<typeof ClearanceBody>,
  today: PlainDate,
): Promise<Result<typeof DONE, Problem>> {
  return (
    inTheFuture(clearance.on, today) ??
    ofClient(coach, client, () =>
      insertClearance(database(), {
        coachId: coach.id,
        id: randomUUID(),
        clientId: client,
        ...clearance,
      }),
    )
  )
}

export async function addMeasurement(
  coach: Coach,
  client: ClientId,
  measurement: Omit<z.output<typeof MeasurementBody>, 'isPumped'> & { isPumped?: boolean },
  today: PlainDate,
): Promise<Result<typeof DONE, Problem>> {
  return (
    inTheFuture(measurement.on, today) ??
    ofClient(coach, client, () =>
      insertMeasurement(database(), {
        coachId: coach.id,
        id: randomUUID(),
        clientId: client,
        ...measurement,
      }),
    )
  )
}

export async function removeMeasurement(
  coach: Coach,
  client: ClientId,
  id: string,
): Promise<Result<typeof DONE, Problem>> {
  return (await deleteMeasurement(database(), coach.id, client, id))
    ? success(DONE)
    : failure({ kind: 'not-found', what: 'measurement' })
}

/** How strong the client is lately, exercise by exercise. */
export async function strengths(
  coach: Coach,
  id: ClientId,
  today: PlainDate,
): Promise<Result<{ strengths: { exercise: string; kg: number }[] }, Problem>> {
  const db = database()
  const [found, exposures] = await Promise.all([
    client(coach, id, { today }),
    exposuresOf(db, coach.id, [id], addDays(today, -TREND.windowDays)),
  ])
  if (!found.ok) return found
  // What is doubtful plans no load.
  const { used } = splitByUse(exposures, await exclusionFactsOf(db, coach, found.value))
  return success({
    // Body-weight work is planned by what is added to it, which its estimate does not say.
    strengths: recentBest(used.filter(({ exercise }) => !liftsBody(exercise))).map(
      ({ exercise, value }) => ({ exercise, kg: value }),
    ),
  })
}
