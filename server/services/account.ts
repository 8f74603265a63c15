import { randomUUID } from 'node:crypto'
import { coachId, failure, type Result, success } from '#core/base'
import type { Gear } from '#core/plan/estimate'
import type { Problem } from '#shared/contracts/problem'
import type { AccountBody, AccountView } from '#shared/contracts/session'
import { USUAL_WRITING } from '#core/words'
import type { z } from 'zod'
import { database } from '../db/database'
import {
  accountOf,
  deleteSignIns,
  eraseCoach,
  insertCoach,
  keepTriedSignUp,
  setCoachPassword,
  setGear,
  updateCoach,
} from '../db/queries/coaches'
import { countAttempt, forgetAttempts, LIMITS } from './attempts'
import { hashedPassword, isPassword } from './passwords'
import type { Coach } from './signIn'
import { currentTime } from '../clock'

interface NewAccount {
  readonly name: string
  readonly studio: string
  readonly email: string
  readonly password: string
  readonly from: string
}

/**
 * Makes an account. Whoever asks is answered alike when the email has one already, which then stays
 * as it is: its owner is told, and who knows its password signs in with it.
 */
export async function signUp({
  from,
  password,
  ...account
}: NewAccount): Promise<Result<Record<string, never>, Problem>> {
  const counted = await countAttempt(LIMITS.signUp, from)
  if (!counted.ok) return counted
  const coach = await insertCoach(database(), {
    id: coachId(randomUUID()),
    ...account,
    passwordHash: await hashedPassword(password),
  })
  if (!coach) await keepTriedSignUp(database(), account.email, currentTime())
  return success({})
}

/** A coach's own account. */
export async function account(coach: Coach): Promise<Result<AccountView, Problem>> {
  const found = await accountOf(database(), coach.id, currentTime())
  if (!found) return failure({ kind: 'not-found', what: 'account' })
  const { passwordHash: _, writing, ...view } = found
  return success({ ...view, writing: { ...USUAL_WRITING, ...writing } })
}

/** Saves what the studio can load; every client without lines of her own is reckoned with it from now on. */
export async function saveGear(
  coach: Coach,
  { gear }: { readonly gear: Gear },
): Promise<Result<{ gear: Gear }, Problem>> {
  await setGear(database(), coach.id, gear)
  return success({ gear })
}

/** Saves what the coach calls herself and her studio, and how she has dates and figures written. */
export async function saveAccount(
  coach: Coach,
  account: z.output<typeof AccountBody>,
): Promise<Result<Coach, Problem>> {
  await updateCoach(database(), coach.id, account)
  return success({ ...coach, ...account })
}

/** Erases the account with every client of it, once its email was typed. */
export async function eraseAccount(
  coach: Coach,
  typed: string,
): Promise<Result<Record<string, never>, Problem>> {
  const found = await accountOf(database(), coach.id, currentTime())
  if (!found) return failure({ kind: 'not-found', what: 'account' })
  if (found.email !== typed.trim().toLowerCase())
    return failure({ kind: 'not-confirmed', wanted: found.email })
  await eraseCoach(database(), coach.id)
  return success({})
}

/** Changes the password and ends every other sign-in; the present one, `keep`, stays. */
export async function changePassword(
  coach: Coach,
  change: { current: string; next: string; keep: string },
): Promise<Result<Record<string, never>, Problem>> {
  const counted = await countAttempt(LIMITS.wrongPassword, coach.id)
  if (!counted.ok) return counted
  const found = await accountOf(database(), coach.id, currentTime())
  if (!found || !(await isPassword(found.passwordHash, change.current))) {
    return failure({
      kind: 'invalid',
      errors: [
        {
          pointer: '/current',
          kind: 'wrong',
          detail: 'current is not your password. Check it and try again.',
        },
      ],
    })
  }
  await forgetAttempts(LIMITS.wrongPassword, coach.id)
  await setCoachPassword(database(), coach.id, await hashedPassword(change.next))
  await deleteSignIns(database(), coach.id, change.keep)
  return success({})
}

/** Ends every sign-in of the coach, this one too. */
export async function signOutEverywhere(
  coach: Coach,
): Promise<Result<Record<string, never>, Problem>> {
  await deleteSignIns(database(), coach.id)
  return success({})
}
