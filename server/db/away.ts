import postgres from 'postgres'
import { databaseUrl, renewedPool } from './database'

/** The database did not answer in time. */
export class DatabaseAway extends Error {
  constructor() {
    super('The database does not answer')
  }
}

/** A request that takes longer has the database looked after; then this often, each look with a deadline, and how late its end may be told. Milliseconds. */
const LOOK = { first: 800, every: 500, deadline: 2000, late: 300 } as const

/** What PostgreSQL and its driver call a connection that is gone or cannot be made. */
const GONE = new Set([
  'CONNECTION_CLOSED',
  'CONNECTION_ENDED',
  'CONNECTION_DESTROYED',
  'CONNECT_TIMEOUT',
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOENT',
  'EPIPE',
  'ETIMEDOUT',
  // Shut down by hand, after a crash, not yet up, no place free.
  '57P01',
  '57P02',
  '57P03',
  '53300',
])
/** It is there and can write nothing: its disk is full or broken. Whoever sends again does so until it has room. */
const NO_ROOM = new Set(['53100', '53200', '58030'])

const hasCode = (error: unknown, codes: ReadonlySet<string>): boolean => {
  if (typeof error !== 'object' || error === null) return false
  const { code, cause } = error as { readonly code?: unknown; readonly cause?: unknown }
  return (typeof code === 'string' && codes.has(code)) || hasCode(cause, codes)
}

/** Whether the database has no room to write. */
export const hasNoRoom = (error: unknown): boolean => hasCode(error, NO_ROOM)

/** Whether an error means that the database cannot be had just now, and not that what was asked was wrong. */
export const isAway = (error: unknown): boolean =>
  error instanceof DatabaseAway || hasCode(error, GONE) || hasNoRoom(error)

let probe: postgres.Sql | undefined

/** Whether the database answers on a connection of its own, which no queue of the pool holds up. */
async function answers(): Promise<boolean> {
  probe ??= postgres(databaseUrl(), {
    max: 1,
    connect_timeout: 2,
    idle_timeout: 20,
    onnotice: () => {},
  })
  const own = probe
  let isThere = false
  const began = performance.now()
  const asked = own`select 1`.then(
    () => void (isThere = true),
    () => undefined,
  )
  await Promise.race([asked, new Promise(resolve => setTimeout(resolve, LOOK.deadline).unref())])
  // A busy process hears the answer after its own clock: what is here already is read first.
  if (!isThere) await new Promise(resolve => setImmediate(resolve))
  // A process that could not even look at its clock has said nothing about the database.
  if (!isThere && performance.now() - began > LOOK.deadline + LOOK.late) return true
  if (!isThere) {
    probe = undefined
    void own.end({ timeout: 0 }).catch(() => undefined)
  }
  return isThere
}

const waiting = new Set<(away: DatabaseAway) => void>()
let timer: NodeJS.Timeout | undefined

async function look(): Promise<void> {
  if (waiting.size > 0 && !(await answers())) {
    // What hangs on its connections would hang for ever: the next request opens others.
    renewedPool()
    for (const fail of waiting) fail(new DatabaseAway())
    waiting.clear()
  }
  timer = waiting.size > 0 ? setTimeout(() => void look(), LOOK.every).unref() : undefined
}

/**
 * Work that needs the database, given up as soon as the database does not answer.
 *
 * Errors: DatabaseAway within about three seconds of its silence; whatever the work throws.
 */
export function whileThere<Value>(work: () => Promise<Value>): Promise<Value> {
  return new Promise((resolve, reject) => {
    waiting.add(reject)
    timer ??= setTimeout(() => void look(), LOOK.first).unref()
    work()
      .then(resolve, reject)
      .finally(() => waiting.delete(reject))
  })
}

/** Whether the database answers within the deadline, through the pool that requests use. */
export async function isDatabaseUp(ask: () => Promise<unknown>): Promise<boolean> {
  let isThere = false
  await Promise.race([
    ask().then(
      () => void (isThere = true),
      () => undefined,
    ),
    new Promise(resolve => setTimeout(resolve, LOOK.deadline).unref()),
  ])
  return isThere
}

/** Ends the connection that is only for looking. */
export async function stoppedLooking(): Promise<void> {
  const own = probe
  probe = undefined
  await own?.end({ timeout: 1 })
}
