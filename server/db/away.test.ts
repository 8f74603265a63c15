import { createServer, connect, type Socket } from 'node:net'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { useTestDatabase } from '../testing/database'
import { DatabaseAway, hasNoRoom, isAway, isDatabaseUp, stoppedLooking, whileThere } from './away'
import { closeDatabase, database } from './database'

useTestDatabase()

/** A way to the database that can be frozen, so that nobody is told anything, or cut. */
const way = {
  isFrozen: false,
  isShut: false,
  port: 0,
  sockets: new Set<Socket>(),
  server: createServer(),
}
function cut(): void {
  way.isShut = true
  for (const socket of way.sockets) socket.destroy()
}

beforeAll(async () => {
  const real = new URL(process.env.DATABASE_URL!)
  const target = new URL(real)
  way.server.on('connection', from => {
    if (way.isShut) return void from.destroy()
    const to = connect(Number(real.port), real.hostname)
    for (const [one, other] of [
      [from, to],
      [to, from],
    ] as const) {
      way.sockets.add(one)
      one.on('data', data => !way.isFrozen && other.write(data))
      one.on('error', () => undefined)
      one.on('close', () => {
        way.sockets.delete(one)
        other.destroy()
      })
    }
  })
  await new Promise<void>(resolve => way.server.listen(0, '127.0.0.1', resolve))
  way.port = (way.server.address() as { port: number }).port
  target.port = String(way.port)
  target.hostname = '127.0.0.1'
  process.env.DATABASE_URL = target.href
})
afterAll(async () => {
  way.isFrozen = false
  await stoppedLooking()
  await closeDatabase()
  cut()
  way.server.close()
})

const ask = async () => database().execute(sql`select 1 as one`)
const timed = async (work: () => Promise<unknown>) => {
  const began = Date.now()
  const error: unknown = await work().then(
    () => null,
    (thrown: unknown) => thrown,
  )
  return { error, ms: Date.now() - began }
}

describe('a database that is gone', () => {
  test('in silence: whoever waits is told within four seconds, and it is used again as soon as it is back', async () => {
    await whileThere(ask)
    way.isFrozen = true
    const all = await Promise.all(Array.from({ length: 25 }, () => timed(() => whileThere(ask))))
    for (const { error, ms } of all) {
      expect(isAway(error)).toBe(true)
      expect(ms).toBeLessThan(4000)
    }
    expect(all.some(({ error }) => error instanceof DatabaseAway)).toBe(true)
    expect(await isDatabaseUp(ask)).toBe(false)
    way.isFrozen = false
    const back = await timed(() => whileThere(ask))
    expect(back).toMatchObject({ error: null })
    expect(await isDatabaseUp(ask)).toBe(true)
  }, 30_000)

  test('at once: requests under way and new ones are told, none hangs, and no start anew is needed', async () => {
    await whileThere(ask)
    const slow = timed(() => whileThere(async () => database().execute(sql`select pg_sleep(20)`)))
    await new Promise(resolve => setTimeout(resolve, 300))
    cut()
    const under = await slow
    expect([isAway(under.error), under.ms < 4000]).toEqual([true, true])
    for (const { error, ms } of await Promise.all(
      Array.from({ length: 20 }, () => timed(() => whileThere(ask))),
    ))
      expect([isAway(error), ms < 4000]).toEqual([true, true])
    way.isShut = false
    let wait = 0
    const began = Date.now()
    for (; wait < 25; wait++) if ((await timed(() => whileThere(ask))).error === null) break
    expect(Date.now() - began).toBeLessThan(5000)
    expect(wait).toBeLessThan(25)
  }, 30_000)

  test('is told apart from a question that was wrong', async () => {
    const { error } = await timed(() =>
      whileThere(async () => database().execute(sql`select nothing`)),
    )
    expect(error).toBeInstanceOf(Error)
    expect(isAway(error)).toBe(false)
    expect(isAway(Object.assign(new Error('x'), { code: '57P01' }))).toBe(true)
    expect(isAway('CONNECTION_CLOSED')).toBe(false)
    const full = new Error('insert', { cause: { code: '53100' } })
    expect([isAway(full), hasNoRoom(full), hasNoRoom({ code: '57P01' })]).toEqual([
      true,
      true,
      false,
    ])
  })
})
