import { z } from 'zod'

/** A time of day such as `17:30`. */
export const ClockContract = z
  .string()
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time such as 17:30')
