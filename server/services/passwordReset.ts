import { createHash, randomBytes } from 'node:crypto'
import { failure, type Result, success } from '#core/base'
import type { NewPasswordBody } from '#shared/contracts/session'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { currentTime } from '../clock'
import { asOneTransaction, database } from '../db/database'
import { coachByEmail, deleteSignIns, setCoachPassword } from '../db/queries/coaches'
import { keepReset, takeReset } from '../db/queries/passwordResets'
import { countAttempt, LIMITS } from './attempts'
import { hashedPassword } from './passwords'

const GOOD_FOR_MS = 60 * 60 * 1000
const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')

/**
 * Makes a way back in for a coach who has lost the password, good once and for an hour.
 *
 * Shape: the path of its link; the secret stands behind `#`, so that no server's log has it. Undefined where nobody has the email.
 */
export async function resetLink(email: string): Promise<string | undefined> {
  const coach = await coachByEmail(database(), email.trim().toLowerCase())
  if (!coach) return undefined
  const token = randomBytes(32).toString('base64url')
  await keepReset(database(), {
    coachId: coach.id,
    tokenHash: hashOf(token),
    expiresAt: new Date(currentTime().getTime() + GOOD_FOR_MS),
  })
  return `/new-password#${token}`
}

/** Sets a new password by a link that is still good, and ends every sign-in. */
export async function setNewPassword(
  { token, password }: z.output<typeof NewPasswordBody>,
  from: string,
): Promise<Result<Record<string, never>, Problem>> {
  const counted = await countAttempt(LIMITS.unknownLink, from)
  if (!counted.ok) return counted
  const passwordHash = await hashedPassword(password)
  return asOneTransaction(async tx => {
    const coachId = await takeReset(tx, hashOf(token), currentTime())
    if (!coachId)
      return failure<Problem>({
        kind: 'invalid',
        errors: [
          {
            pointer: '/token',
            kind: 'custom',
            detail:
              'This link was used already or has run out. Ask whoever runs the server for another; your password is as it was.',
          },
        ],
      })
    await setCoachPassword(tx, coachId, passwordHash)
    await deleteSignIns(tx, coachId)
    return success({})
  })
}
