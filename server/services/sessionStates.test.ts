import { randomUUID } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { eq } from 'drizzle-orm'
import { addDays, type PlainDate } from '#core/base'
import { sessionSlots } from '#core/plan/session'
import { database } from '../db/database'
import { datedSessions, loggedSets } from '../db/schema'
import { unitStudio, type UnitStudio, useTestDatabase } from '../testing/database'
import { history } from './history'
import { logList } from './log'
import { report } from './report'
import { review } from './review'
import { roster } from './roster'

useTestDatabase()

async function yesterdaysPull({ client, today }: UnitStudio) {
  const rows = await database()
    .select()
    .from(datedSessions)
    .where(eq(datedSessions.clientId, client('Ines').id))
  const found = rows.find(({ on }) => on === addDays(today, -1))
  if (!found) throw new Error('Ines has no session yesterday')
  return found
}

/** Thirteen working sets on the phone, and nobody pressed Finish. */
async function logThirteenSets(studio: UnitStudio): Promise<string> {
  const session = await yesterdaysPull(studio)
  const [slot] = sessionSlots(session.prescribed)
  if (!slot) throw new Error('the session has no exercise')
  await database()
    .insert(loggedSets)
    .values(
      Array.from({ length: 13 }, (_, at) => ({
        coachId: studio.coach.id,
        clientId: studio.client('Ines').id,
        sessionId: session.id,
        at: at + 1000,
        slot: slot.id,
        exercise: slot.exercise,
        intent: slot.intent,
        set: at + 1,
        stage: 1,
        side: null,
        role: 'working' as const,
        loadKg: 20,
        reps: 10,
        seconds: null,
        rir: 1,
        isRirOpen: false,
      })),
    )
  return session.id
}

/** What every page says of a client's session of yesterday, asked on a day. */
async function saidBy({ coach, client }: UnitStudio, id: string, today: PlainDate) {
  const ines = client('Ines').id
  const [past, log, seen, floor, told] = await Promise.all([
    history(coach, ines, today),
    logList(coach, ines, today),
    review(coach, ines, 'latest', today),
    roster(coach, today),
    report(coach, ines, today),
  ])
  if (!past.ok || !log.ok || !seen.ok || !told.ok) throw new Error('a page could not be made')
  const onRoster = floor.clients.find(entry => entry.id === ines)
  return {
    history: past.value.sessions.find(session => session.id === id)?.state,
    log: log.value.sessions.find(session => session.id === id)?.state,
    isMissedOnReview: seen.value.missed.some(session => session.id === id),
    isMissedOnRoster: onRoster?.needs.some(({ kind }) => kind === 'missed_session'),
    strip: onRoster?.block?.days.map(({ state }) => state),
  }
}

describe('one state of a session on every page', () => {
  test('missed: history, log, review and roster say so', async () => {
    const studio = await unitStudio({ logsOf: ['Ines'] })
    const { id } = await yesterdaysPull(studio)
    expect(await saidBy(studio, id, studio.today)).toMatchObject({
      history: 'missed',
      log: 'missed',
      isMissedOnReview: true,
      isMissedOnRoster: true,
    })
  })

  test('thirteen sets and never finished: part done everywhere, missed nowhere', async () => {
    const studio = await unitStudio({ logsOf: ['Ines'] })
    const id = await logThirteenSets(studio)
    const said = await saidBy(studio, id, studio.today)
    expect(said).toMatchObject({
      history: 'part_done',
      log: 'part_done',
      isMissedOnReview: false,
      isMissedOnRoster: false,
    })
    expect(said.strip).not.toContain('missed')
  })

  test('the asking person’s own day decides, not the database’s: a day before, it is under way', async () => {
    const studio = await unitStudio({ logsOf: ['Ines'] })
    const id = await logThirteenSets(studio)
    const said = await saidBy(studio, id, addDays(studio.today, -1))
    expect(said).toMatchObject({ history: 'begun', log: 'begun', isMissedOnRoster: false })
  })

  test('another coach’s session is in nobody else’s lists', async () => {
    const studio = await unitStudio({ logsOf: ['Ines'] })
    const stranger = { id: studio.coach.id, name: 'Other', studio: 'Other' }
    const other = { ...stranger, id: randomUUID() as typeof stranger.id }
    const past = await history(other, studio.client('Ines').id, studio.today)
    expect(past).toMatchObject({ ok: false, error: { kind: 'not-found' } })
  })
})
