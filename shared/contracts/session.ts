import { DATE_LANGUAGES, DATE_ORDERS, DECIMALS } from '#core/words'
import { z } from 'zod'
import { GearContract } from './gear'

/** What the sign-in form sends. */
export const SignInBody = z.strictObject({
  email: z
    .email()
    .max(200)
    .transform(email => email.toLowerCase()),
  password: z.string().min(1).max(200),
})

/** Long enough that guessing is hopeless, without rules about signs that make people write it down. */
const LEAST_PASSWORD = 10
const newPassword = z.string().min(LEAST_PASSWORD).max(200)

/** What the sign-up form sends. */
export const SignUpBody = z.strictObject({
  name: z.string().trim().min(1).max(100),
  studio: z.string().trim().min(1).max(100),
  email: z
    .email()
    .max(200)
    .transform(email => email.toLowerCase()),
  password: newPassword,
})

/** The answer is the same whether the email was new or had an account. */
export const SignUpAnswer = z.object({})

/** A new password by a link that was given out for it. */
export const NewPasswordBody = z.strictObject({
  token: z.string().min(20).max(100),
  password: newPassword,
})

/** What changing a password takes. */
export const ChangePasswordBody = z.strictObject({
  current: z.string().min(1).max(200),
  next: newPassword,
})

const writing = z.strictObject({
  dates: z.enum(DATE_ORDERS),
  decimals: z.enum(DECIMALS),
  language: z.enum(DATE_LANGUAGES),
})

/** What a coach calls herself and her studio, and how she has dates and figures written. */
export const AccountBody = z.strictObject({
  name: z.string().trim().min(1, 'needs a name').max(100),
  studio: z.string().trim().min(1, 'needs a name').max(100),
  writing,
})

/** The email, typed to confirm that the account goes. */
export const EraseAccountBody = z.strictObject({ email: z.string().max(200) })

/** How many places a coach is signed in at. */
export const AccountView = z.object({
  name: z.string(),
  studio: z.string(),
  email: z.string(),
  signIns: z.int(),
  writing,
  isDemo: z.boolean(),
  /** What the studio can load, for every client without lines of her own. */
  gear: GearContract,
})
export type AccountView = z.output<typeof AccountView>

/** The coach who is signed in, as screens know her. */
export const SignedInCoach = z.object({ name: z.string(), studio: z.string() })
