import { GROUPS, JOINTS, MUSCLES } from '#core/plan/catalogue'
import { MODES } from '#core/plan/method'
import { z } from 'zod'
import { LIMITS } from './limits'

const sets = z.number().min(LIMITS.weekSets.min).max(LIMITS.weekSets.max)

/** Floor, target and ceiling in their order. */
export const BandContract = z
  .strictObject({ floor: sets, target: sets, ceiling: sets })
  .readonly()
  .refine(({ floor, target }) => floor <= target, {
    path: ['floor'],
    message: 'may not lie above the target',
  })
  .refine(({ target, ceiling }) => target <= ceiling, {
    path: ['target'],
    message: 'may not lie above the ceiling',
  })

/** A coach's own targets of a client; what is left out follows from training age, mode and method. */
export const TargetsContract = z
  .strictObject({
    modes: z.partialRecord(z.enum(GROUPS), z.enum(MODES)).readonly(),
    bands: z.partialRecord(z.enum(GROUPS), BandContract).readonly(),
    headFloors: z.partialRecord(z.enum(MUSCLES), sets).readonly(),
    frequencyMin: z
      .partialRecord(z.enum(GROUPS), z.number().min(LIMITS.frequency.min).max(LIMITS.frequency.max))
      .readonly(),
    sessionMax: z
      .partialRecord(
        z.enum(GROUPS),
        z.number().min(LIMITS.sessionSets.min).max(LIMITS.sessionSets.max),
      )
      .readonly(),
    jointCeilings: z
      .partialRecord(
        z.enum(JOINTS),
        z
          .strictObject({ week: z.number().min(1).max(400), session: z.number().min(1).max(200) })
          .readonly(),
      )
      .readonly(),
    ratioWish: z.number().min(0.3).max(3).nullable(),
  })
  .readonly()
export type Targets = z.output<typeof TargetsContract>

/** Targets as they are wanted, and as they were when the page was opened. */
export const TargetsSave = z.strictObject({ mine: TargetsContract, was: TargetsContract })
