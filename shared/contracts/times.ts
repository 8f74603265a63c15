import type { SessionTimes } from '#core/body/times'
import type { ClientTimes } from '#core/plan/method'
import { slotId } from '#core/base'
import { z } from 'zod'
import type { Equal, Proven } from './equal'

const factor = z.number().min(0.1).max(10)
const seconds = z.number().min(0).max(86_400)

/** How long a client takes against the estimate, as core has it. */
export const ClientTimesContract = z
  .strictObject({
    rest: factor,
    setUp: factor,
    set: factor,
    low: factor,
    high: factor,
    sessions: z.int().min(1),
  })
  .readonly()

/** What a finished session says of the client's minutes, as core has it. */
export const SessionTimesContract = z
  .strictObject({
    estimated: z
      .strictObject({ rest: seconds, setUp: seconds, set: seconds, warm: seconds })
      .readonly(),
    gaps: z
      .array(
        z
          .strictObject({
            kind: z.enum(['rest', 'setUp']),
            slot: z.string().max(100).transform(slotId),
            asked: seconds,
            taken: seconds,
          })
          .readonly(),
      )
      .max(500)
      .readonly(),
  })
  .readonly()
export type _TimesAreCore = Proven<Equal<z.output<typeof ClientTimesContract>, ClientTimes>>
export type _SessionTimesAreCore = Proven<
  Equal<z.output<typeof SessionTimesContract>, SessionTimes>
>
