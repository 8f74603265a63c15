import { randomUUID } from 'node:crypto'
import { expect, test } from '@jest/globals'
import { and, eq } from 'drizzle-orm'
import { success } from '#core/base'
import { KEEP_ALL } from '#shared/contracts/retention'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { setArchived } from '../db/queries/clients'
import { gearOf } from '../db/queries/coaches'
import { insertMessage } from '../db/queries/messages'
import { alone } from '../db/queries/retention'
import { blockRevisions, clients, messages, rowChanges } from '../db/schema'
import { unitStudio, type UnitStudio, useTestDatabase, valueOf } from '../testing/database'
import { saveGear } from './account'
import { lastChanges, recorded, undoChange } from './changes'
import { eraseDue, retention, saveRetention } from './retention'

useTestDatabase()

const DAY_MS = 86_400_000
const ago = (days: number) => new Date(currentTime().getTime() - days * DAY_MS)
const tomorrow = () => new Date(currentTime().getTime() + 25 * 3_600_000)

/** Two clients in the archive, one for seven months and one for five; messages of two years and of today; 60 versions of a plan. */
async function oldStudio(): Promise<UnitStudio> {
  const studio = await unitStudio()
  const [db, marit] = [database(), studio.client('Marit')]
  await setArchived(db, studio.coach.id, studio.client('Joren').id, ago(215))
  await setArchived(db, studio.coach.id, studio.client('Emil').id, ago(150))
  for (const days of [750, 0])
    await insertMessage(db, {
      coachId: studio.coach.id,
      id: randomUUID(),
      clientId: marit.id,
      kind: 'own',
      text: `${days} days ago`,
      writtenAt: ago(days),
    })
  await db.delete(blockRevisions).where(eq(blockRevisions.coachId, studio.coach.id))
  await db.insert(blockRevisions).values(
    Array.from({ length: 60 }, (_, at) => ({
      coachId: studio.coach.id,
      blockId: marit.blockId,
      version: at + 1,
      plan: marit.plan,
      name: at === 0 ? 'Begun' : null,
      savedAt: ago(60 - at),
    })),
  )
  return studio
}

async function left({ coach }: UnitStudio) {
  const db = database()
  const ofCoach = <Table extends { coachId: typeof clients.coachId }>(table: Table) =>
    eq(table.coachId, coach.id)
  const [names, texts, versions] = await Promise.all([
    db.select({ name: clients.name }).from(clients).where(ofCoach(clients)),
    db
      .select({ text: messages.text })
      .from(messages)
      .where(and(eq(messages.coachId, coach.id), eq(messages.kind, 'own'))),
    db
      .select({ version: blockRevisions.version })
      .from(blockRevisions)
      .where(eq(blockRevisions.coachId, coach.id))
      .orderBy(blockRevisions.version),
  ])
  return {
    clients: names
      .map(({ name }) => name.split(' ')[0])
      .filter(name => /Joren|Emil/.test(name!))
      .sort(),
    messages: texts.map(({ text }) => text).sort(),
    versions: versions.map(({ version }) => version),
  }
}

const ALL = { archivedMonths: 6, messageMonths: 12, revisions: 50 } as const

test('rules say what they would erase, wait a day, then erase that and nothing else', async () => {
  const [studio, other] = [await oldStudio(), await oldStudio()]
  const before = await left(studio)
  expect(before.clients).toHaveLength(2)
  const { due, from } = valueOf(await saveRetention(studio.coach, ALL))
  expect(due).toMatchObject({ messages: 1, revisions: 9 })
  expect(due.clients.map(name => name.split(' ')[0])).toEqual(['Joren'])
  expect(Date.parse(from!) - currentTime().getTime()).toBeGreaterThan(23 * 3_600_000)
  expect(await eraseDue(currentTime())).toBe(true)
  expect(await left(studio)).toEqual(before)
  await eraseDue(tomorrow())
  const after = await left(studio)
  expect(after.clients).toEqual(['Emil'])
  expect(after.messages).toEqual(['0 days ago'])
  // The one with a name stays, and the latest fifty besides.
  expect(after.versions).toEqual([1, ...Array.from({ length: 50 }, (_, at) => at + 11)])
  expect(await left(other)).toEqual(before)
  expect(valueOf(await retention(studio.coach)).due).toEqual({
    clients: [],
    messages: 0,
    revisions: 0,
  })
})

test('nothing of an old message is left where changes are kept', async () => {
  const { coach, client } = await oldStudio()
  const of = { clientId: client('Marit').id, coachId: coach.id, kind: 'own' as const }
  for (const days of [750, 0])
    await recorded(coach, { clientId: of.clientId, kind: 'message' }, async () => {
      await insertMessage(database(), {
        ...of,
        id: randomUUID(),
        text: `${days} days ago`,
        writtenAt: ago(days),
      })
      return success(null)
    })
  valueOf(await saveRetention(coach, ALL))
  await eraseDue(tomorrow())
  const kept = await database()
    .select({ after: rowChanges.after })
    .from(rowChanges)
    .where(and(eq(rowChanges.coachId, coach.id), eq(rowChanges.inTable, 'messages')))
  expect(kept.map(({ after }) => after?.text)).toEqual(['0 days ago'])
})

test('without rules everything stays', async () => {
  const studio = await oldStudio()
  const before = await left(studio)
  valueOf(await saveRetention(studio.coach, ALL))
  valueOf(await saveRetention(studio.coach, KEEP_ALL))
  await eraseDue(tomorrow())
  expect(await left(studio)).toEqual(before)
})

test('a rule is taken back like everything else, what was set besides stays', async () => {
  const studio = await oldStudio()
  const { coach } = studio
  valueOf(
    await recorded(coach, { clientId: null, kind: 'retention' }, () => saveRetention(coach, ALL)),
  )
  valueOf(await saveGear(coach, { gear: { bands: 'yellow' } }))
  const { undo } = valueOf(await lastChanges(coach, null))
  expect(valueOf(await undoChange(coach, null, undo!.id)).did).toBe('how long records are kept')
  expect(valueOf(await retention(coach))).toMatchObject({ retention: KEEP_ALL, from: null })
  expect(await gearOf(database(), coach.id)).toEqual({ bands: 'yellow' })
  const before = await left(studio)
  await eraseDue(tomorrow())
  expect(await left(studio)).toEqual(before)
})

test('of several servers one is at it', async () => {
  const db = database()
  const seen: boolean[] = []
  await alone(db, async () => void seen.push(await alone(db, async () => {})))
  expect(seen).toEqual([false])
})
