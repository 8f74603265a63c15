import { randomUUID } from 'node:crypto'
import { type CoachId, failure, type Result, success, MS_PER_DAY } from '#core/base'
import type { Writing } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import { database } from '../db/database'
import { coachByEmail, deleteSignIn, insertSignIn, signedInCoach } from '../db/queries/coaches'
import { countAll, forgetAttempts, giveBack, LIMITS } from './attempts'
import { hashedPassword, isPassword } from './passwords'
import { currentTime } from '../clock'

/** How long a sign-in stays good. */
const SIGN_IN_DAYS = 14

export interface SignIn {
  readonly coachId: CoachId
  readonly id: string
}
export interface Coach {
  readonly id: CoachId
  readonly name: string
  readonly studio: string
  readonly writing?: Partial<Writing>
  readonly isDemo?: boolean
}
export interface SignedIn {
  readonly coach: Coach
  readonly signIn: SignIn
}

let decoy: Promise<string> | undefined

/** Signs a coach in. An unknown email takes as long as a wrong password, so that neither can be told apart. */
export async function signIn(attempt: {
  email: string
  password: string
  from: string
}): Promise<Result<SignedIn, Problem>> {
  const { from, email } = attempt
  const key = `${from} ${email}`
  const others = [
    { limit: LIMITS.wrongFromAddress, key: from },
    { limit: LIMITS.wrongForAccount, key: email },
    { limit: LIMITS.wrongInAll, key: 'all' },
  ]
  const counted = await countAll([{ limit: LIMITS.wrongPassword, key }, ...others])
  if (!counted.ok) return counted
  const coach = await coachByEmail(database(), attempt.email)
  decoy ??= hashedPassword(randomUUID())
  const isRight = await isPassword(coach?.passwordHash ?? (await decoy), attempt.password)
  if (!coach || !isRight) return failure({ kind: 'wrong-credentials' })
  await Promise.all([forgetAttempts(LIMITS.wrongPassword, key), giveBack(others)])
  return success(await startedSignIn(coach))
}

/** A new sign-in of a coach who has proven who she is. */
export async function startedSignIn(coach: Coach): Promise<SignedIn> {
  const { id, name, studio, writing, isDemo } = coach
  const now = currentTime()
  const kept = { coachId: id, id: randomUUID() }
  await insertSignIn(
    database(),
    { ...kept, expiresAt: new Date(now.getTime() + SIGN_IN_DAYS * MS_PER_DAY) },
    now,
  )
  return {
    coach: { id, name, studio, ...(writing && { writing }), ...(isDemo && { isDemo }) },
    signIn: kept,
  }
}

/** The coach behind a cookie's sign-in; undefined once it has ended. */
export function coachSignedIn(kept: SignIn): Promise<Coach | undefined> {
  return signedInCoach(database(), kept, currentTime())
}

/** Ends a sign-in everywhere its cookie is held. */
export function signOut(kept: SignIn): Promise<void> {
  return deleteSignIn(database(), kept)
}
