import { z } from 'zod'
import { ClientFactsContract } from './client'
import { FileSession } from './planFile'
import { PlainDateContract } from './plan'

const weighIn = z.strictObject({ on: PlainDateContract, kg: z.number().min(20).max(400) })

/** A client's log in the shape of the client export; a plan file with its `log` does as well. What is left out is the default. */
export const LogFile = z
  .looseObject({
    name: z.string().max(200).optional(),
    profile: z.looseObject({ name: z.string() }).optional(),
    facts: ClientFactsContract.optional(),
    client: ClientFactsContract.optional(),
    sessions: z.array(FileSession).max(5000).optional(),
    log: z.array(FileSession).max(5000).optional(),
    weighIns: z.array(weighIn).max(2000).optional(),
    pain: z
      .array(z.looseObject({ reportedAt: z.iso.datetime(), score: z.number() }))
      .max(20_000)
      .optional(),
    measurements: z
      .array(z.looseObject({ on: PlainDateContract, kind: z.string(), value: z.number() }))
      .max(20_000)
      .optional(),
  })
  .refine(({ sessions, log }) => sessions !== undefined || log !== undefined, 'needs sessions')
export type LogFile = z.output<typeof LogFile>
