import { failure, type Result, success } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { databaseClient } from '../db/database'

/** How often something may be tried with the same key. */
interface Limit {
  readonly name: string
  readonly attempts: number
  readonly seconds: number
}

/**
 * Wrong passwords for one account from one address, for any account from one address, for one account from anywhere, and in all;
 * new accounts from one address, wrong PINs of one link, and unknown links from one address.
 */
export const LIMITS = {
  wrongPassword: { name: 'wrong-password', attempts: 5, seconds: 15 * 60 },
  wrongFromAddress: { name: 'wrong-from-address', attempts: 240, seconds: 15 * 60 },
  wrongForAccount: { name: 'wrong-for-account', attempts: 60, seconds: 15 * 60 },
  wrongInAll: { name: 'wrong-in-all', attempts: 3000, seconds: 15 * 60 },
  wrongPin: { name: 'wrong-pin', attempts: 5, seconds: 15 * 60 },
  unknownLink: { name: 'unknown-link', attempts: 30, seconds: 15 * 60 },
  signUp: { name: 'sign-up', attempts: 20, seconds: 60 * 60 },
  demo: { name: 'demo', attempts: 10, seconds: 60 * 60 },
} as const satisfies Record<string, Limit>

/** The limiter's SQL over this application's own connection; it asks for rows in the manner of another driver. */
const storeClient = {
  query: async ({ text, values }: { text: string; values?: (string | number | null)[] }) => {
    const rows = await databaseClient().unsafe(text, values ?? [])
    return { rows, rowCount: rows.length }
  },
}

const limiters = new Map<string, RateLimiterPostgres>()

function limiterOf({ name, attempts, seconds }: Limit): RateLimiterPostgres {
  const known = limiters.get(name)
  if (known) return known
  const limiter = new RateLimiterPostgres({
    storeClient,
    storeType: 'client',
    tableName: 'attempt_limits',
    tableCreated: true,
    keyPrefix: name,
    points: attempts,
    duration: seconds,
  })
  limiters.set(name, limiter)
  return limiter
}

function tooMany(state: RateLimiterRes): Problem {
  return { kind: 'too-many-attempts', retryAfterSeconds: Math.ceil(state.msBeforeNext / 1000) }
}

/** Counts an attempt before it is looked at, so that a thousand at once are no more than one after the other; a failure once there were too many. */
export async function countAttempt(limit: Limit, key: string): Promise<Result<true, Problem>> {
  try {
    await limiterOf(limit).consume(key)
    return success(true)
  } catch (error) {
    if (!(error instanceof RateLimiterRes)) throw error
    if (!isFromTheFuture(limit, error)) return failure(tooMany(error))
    await forgetAttempts(limit, key)
    return countAttempt(limit, key)
  }
}

/** Counted by a clock that was ahead and has been put back since: nobody waits for longer than the limit says. */
const isFromTheFuture = ({ seconds }: Limit, { msBeforeNext }: RateLimiterRes) =>
  msBeforeNext > seconds * 1000

/** Forgets the attempts made with a key. */
export async function forgetAttempts(limit: Limit, key: string): Promise<void> {
  await limiterOf(limit).delete(key)
}

/** Whether there were too many attempts already; counts none. For what can be told without looking at a secret. */
export async function isOpen(limit: Limit, key: string): Promise<Result<true, Problem>> {
  const state = await limiterOf(limit).get(key)
  return state && state.remainingPoints <= 0 && !isFromTheFuture(limit, state)
    ? failure(tooMany(state))
    : success(true)
}

interface Counted {
  readonly limit: Limit
  readonly key: string
}

/** Counts one attempt under several limits; none of those after one that is used up. */
export async function countAll(all: readonly Counted[]): Promise<Result<true, Problem>> {
  for (const { limit, key } of all) {
    const counted = await countAttempt(limit, key)
    if (!counted.ok) return counted
  }
  return success(true)
}

/** Gives an attempt back that turned out to be right. */
export async function giveBack(all: readonly Counted[]): Promise<void> {
  await Promise.all(all.map(({ limit, key }) => limiterOf(limit).reward(key, 1)))
}
