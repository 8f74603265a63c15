import { expect, test } from '@jest/globals'
import { asOneTransaction, database } from '../db/database'
import { plansOf, rosterLines } from '../db/queries/clients'
import { unitStudio, type UnitStudio, useTestDatabase, valueOf } from '../testing/database'
import { client } from './clients'
import { changeCredits } from './library'
import { lastChanges, recorded, undoChange } from './changes'
import { plansBy } from './planMemory'
import { savePlan } from './savePlan'

useTestDatabase()

const remembered = async ({ coach, today }: UnitStudio) =>
  plansBy(database(), coach.id, await rosterLines(database(), coach.id, today), today)

/** The plans as they stand, read past the memory. */
async function standing({ coach, today, clients }: UnitStudio) {
  const ids = clients.map(({ id }) => id)
  const rows = await plansOf(database(), coach.id, ids, today)
  return new Map(rows.map(({ id, plan, facts }) => [id, { plan, facts }]))
}

test('connections do not compile short questions first', async () => {
  expect([...(await database().execute('show jit'))]).toEqual([{ jit: 'off' }])
})

test('plans are read once, and anew where a version is another one', async () => {
  const studio = await unitStudio()
  const { coach, today, client: of } = studio
  const first = await remembered(studio)
  expect(first.size).toBe(studio.clients.length)
  expect(first).toEqual(await standing(studio))
  const again = await remembered(studio)
  for (const [id, held] of first) expect(again.get(id)).toBe(held)

  const { id, blockId } = of('Joren')
  const { block } = valueOf(await client(coach, id, { today }))
  const plan = { ...block!.plan, title: 'Another title' }
  valueOf(await savePlan(coach, { blockId, version: block!.version, plan }, today))
  const saved = await remembered(studio)
  expect(saved.get(id)?.plan.title).toBe('Another title')
  expect(saved).toEqual(await standing(studio))
  for (const [other, held] of first) if (other !== id) expect(saved.get(other)).toBe(held)
})

test('what a transaction wrote and did not keep is not remembered', async () => {
  const studio = await unitStudio()
  const { coach, today, client: of } = studio
  const { id, blockId } = of('Joren')
  const titled = async (title: string) => {
    const { block } = valueOf(await client(coach, id, { today }))
    const plan = { ...block!.plan, title }
    valueOf(await savePlan(coach, { blockId, version: block!.version, plan }, today))
    return (await remembered(studio)).get(id)?.plan.title
  }
  const broken = asOneTransaction(async () => {
    expect(await titled('Given up')).toBe('Given up')
    throw new Error('the next step was refused')
  })
  await expect(broken).rejects.toThrow('the next step was refused')
  expect(await remembered(studio)).toEqual(await standing(studio))
  expect(await titled('Kept')).toBe('Kept')
})

test('facts that were changed, taken back and changed otherwise are never the ones before', async () => {
  const studio = await unitStudio()
  const { coach, client: of } = studio
  const { id } = of('Joren')
  const credits = async (biceps: number) =>
    valueOf(
      await recorded(coach, { clientId: id, kind: 'credits' }, () =>
        changeCredits(coach, 'cable_curl', { intent: null, credits: { biceps }, client: id }),
      ),
    )
  const isAsItStands = async (said: object) => {
    const held = await remembered(studio)
    expect(held.get(id)?.facts.credits).toEqual(said)
    expect(held).toEqual(await standing(studio))
  }
  await isAsItStands({})
  await credits(0.5)
  await isAsItStands({ cable_curl: { biceps: 0.5 } })
  const { undo } = valueOf(await lastChanges(coach, id))
  valueOf(await undoChange(coach, id, undo!.id))
  await isAsItStands({})
  await credits(0.75)
  await isAsItStands({ cable_curl: { biceps: 0.75 } })
})
