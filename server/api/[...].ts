import { failure } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import { z } from 'zod'
import { defineOpenRoute } from '../utils/defineRoute'

/** Paths nobody answers get the same kind of refusal as all others. */
export default defineOpenRoute({
  answer: z.never(),
  handle: async () => failure<Problem>({ kind: 'not-found', what: 'path' }),
})
