import { GEAR_FIELDS, gearSentence, parsedGear } from '#core/plan/estimate'
import { z } from 'zod'
import { LIMITS } from './limits'

/** What a gym can load, line by line as it was typed; each line has to be readable. */
export const GearContract = z
  .partialRecord(z.enum(GEAR_FIELDS), z.string().trim().max(LIMITS.shortText))
  .superRefine((held, at) => {
    for (const field of GEAR_FIELDS) {
      const read = held[field] === undefined ? null : parsedGear(field, held[field])
      if (read && !read.ok)
        at.addIssue({ code: 'custom', path: [field], message: gearSentence(field, read.error) })
    }
  })
  .readonly()

/** What saving a studio's weights takes, and answers. */
export const GearBody = z.strictObject({ gear: GearContract })
