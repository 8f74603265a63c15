import { randomUUID } from 'node:crypto'
import { expect, test } from '@jest/globals'
import { and, asc, eq, gte } from 'drizzle-orm'
import { addDays, clientId, type ClientId, coachId, exerciseId, type PlainDate } from '#core/base'
import { unitStudio, useTestDatabase } from '../testing/database'
import { database } from './database'
import { setsSince } from './queries/logEntries'
import { datedSessions, loggedSets } from './schema'

useTestDatabase()

type Studio = Awaited<ReturnType<typeof unitStudio>>
const logged = async () => {
  const studio = await unitStudio({ logsOf: ['Marit', 'Joren'] })
  return { ...studio, id: studio.client('Marit').id }
}

/** The same question, read row by row and column by column. */
async function byColumns({ coach, id }: Studio & { readonly id: ClientId }, since: PlainDate) {
  const rows = await database()
    .select()
    .from(loggedSets)
    .innerJoin(
      datedSessions,
      and(
        eq(datedSessions.coachId, loggedSets.coachId),
        eq(datedSessions.id, loggedSets.sessionId),
      ),
    )
    .where(
      and(
        eq(datedSessions.coachId, coach.id),
        eq(datedSessions.clientId, id),
        gte(datedSessions.on, since),
      ),
    )
    .orderBy(asc(datedSessions.on), asc(loggedSets.set), asc(loggedSets.stage), asc(loggedSets.at))
  return rows.map(({ logged_sets: set, dated_sessions: { on } }) => {
    const { coachId: _coach, clientId: _client, at: _at, entryId: _entry, ...said } = set
    return { on, ...said }
  })
}

test('a log read as one document says what its rows say, to the last figure', async () => {
  const studio = await logged()
  const { coach, id, today } = studio
  const [any] = await byColumns(studio, addDays(today, -60))
  // Shares that no binary number holds, nothing at all, and words with every kind of quote.
  const odd: readonly Partial<typeof loggedSets.$inferInsert>[] = [
    { loadKg: 22.55, reps: 7.5, rir: 0.1, lapses: ['loose', 'helped'] },
    { loadKg: null, reps: null, seconds: 41.3, intent: `a "strict" \\ 'slow' ⟨way⟩` },
  ]
  await database()
    .insert(loggedSets)
    .values(
      odd.map((values, at) => ({
        coachId: coach.id,
        clientId: id,
        sessionId: any!.sessionId,
        at: 900 + at,
        exercise: exerciseId('cable_curl'),
        set: 30,
        stage: at,
        role: 'working' as const,
        ...values,
      })),
    )
  for (const days of [400, 60, 20]) {
    const since = addDays(today, -days)
    const read = await setsSince(database(), coach.id, id, since)
    expect(read).toEqual(await byColumns(studio, since))
    expect(read.every(({ on }) => on >= since)).toBe(true)
  }
  const [first, second] = (await setsSince(database(), coach.id, id, any!.on)).filter(
    ({ set }) => set === 30,
  )
  expect(first).toMatchObject(odd[0]!)
  expect(second).toMatchObject(odd[1]!)
})

test('nothing logged, or nobody’s client, is an empty log', async () => {
  const { coach, id, today } = await logged()
  expect(await setsSince(database(), coach.id, id, addDays(today, 1))).toEqual([])
  expect(
    await setsSince(database(), coach.id, clientId(randomUUID()), addDays(today, -400)),
  ).toEqual([])
  expect(await setsSince(database(), coachId(randomUUID()), id, addDays(today, -400))).toEqual([])
})
