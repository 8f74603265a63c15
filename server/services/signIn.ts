import { randomUUID } from 'node:crypto'
import { type CoachId, failure, type Result, success } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
import { database } from '../db/database'
import { coachByEmail, deleteSignIn, insertSignIn, signedInCoach } from '../db/queries/coaches'
import { hashedPassword, isPassword } from './passwords'

/** How long a sign-in stays good. */
const SIGN_IN_DAYS = 14
const MS_PER_DAY = 86_400_000
/** Wrong passwords per account and address in a quarter of an hour. */
const wrongPasswords = new RateLimiterMemory({ points: 5, duration: 15 * 60 })

export interface SignIn { readonly coachId: CoachId, readonly id: string }
export interface Coach { readonly id: CoachId, readonly name: string, readonly studio: string }

let decoy: Promise<string> | undefined

/** Signs a coach in. An unknown email takes as long as a wrong password, so that neither can be told apart. */
export async function signIn(attempt: { email: string, password: string, from: string }): Promise<Result<{ coach: Coach, signIn: SignIn }, Problem>> {
  const key = `${attempt.from} ${attempt.email}`
  const used = await wrongPasswords.get(key)
  if (used && used.remainingPoints <= 0) return failure(tooMany(used))
  const db = database()
  const coach = await coachByEmail(db, attempt.email)
  decoy ??= hashedPassword(randomUUID())
  const isRight = await isPassword(coach?.passwordHash ?? await decoy, attempt.password)
  if (!coach || !isRight) return failure(await refused(key))
  await wrongPasswords.delete(key)
  const now = new Date()
  const kept = { coachId: coach.id, id: randomUUID() }
  await insertSignIn(db, { ...kept, expiresAt: new Date(now.getTime() + SIGN_IN_DAYS * MS_PER_DAY) }, now)
  return success({ coach: { id: coach.id, name: coach.name, studio: coach.studio }, signIn: kept })
}

async function refused(key: string): Promise<Problem> {
  try {
    await wrongPasswords.consume(key)
    return { kind: 'wrong-credentials' }
  }
  catch (error) {
    if (error instanceof RateLimiterRes) return tooMany(error)
    throw error
  }
}

function tooMany(state: RateLimiterRes): Problem {
  return { kind: 'too-many-attempts', retryAfterSeconds: Math.ceil(state.msBeforeNext / 1000) }
}

/** The coach behind a cookie's sign-in; undefined once it has ended. */
export function coachSignedIn(kept: SignIn): Promise<Coach | undefined> {
  return signedInCoach(database(), kept, new Date())
}

/** Ends a sign-in everywhere its cookie is held. */
export function signOut(kept: SignIn): Promise<void> {
  return deleteSignIn(database(), kept)
}
