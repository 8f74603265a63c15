import { z } from 'zod'

/** What the sign-in form sends. */
export const SignInBody = z.strictObject({
  email: z.email().max(200).transform(email => email.toLowerCase()),
  password: z.string().min(1).max(200),
})

/** The coach who is signed in, as screens know her. */
export const SignedInCoach = z.object({ name: z.string(), studio: z.string() })
