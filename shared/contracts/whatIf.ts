import { blockId, clientId } from '#core/base'
import { MOST_STATIONS, STATION_KINDS } from '#core/follow/floor'
import { GROUPS, PATTERNS } from '#core/plan/catalogue'
import { z } from 'zod'
import { MethodIdContract } from './method'
import { PlainDateContract } from './plan'

/** Days a what-if can reach over. */
export const WHAT_IF_DAYS = 42
const days = { from: PlainDateContract, to: PlainDateContract }

/** Something that happens to many clients at once. */
export const WhatIf = z
  .discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('station'),
      station: z.enum(STATION_KINDS),
      /** How many of them can still be used. */
      left: z.int().min(0).max(MOST_STATIONS),
      ...days,
    }),
    z.strictObject({
      kind: z.literal('away'),
      effect: z.enum(['skip', 'shift', 'light']),
      ...days,
    }),
    z.strictObject({ kind: z.literal('closed'), effect: z.enum(['skip', 'shift']), ...days }),
    z.strictObject({
      kind: z.literal('credit'),
      pattern: z.enum(PATTERNS),
      group: z.enum(GROUPS),
      credit: z.number().min(0).max(0.75).multipleOf(0.05),
    }),
    z.strictObject({
      kind: z.literal('method'),
      method: MethodIdContract,
      setting: z.string().min(1).max(80),
      value: z.string().min(1).max(60),
    }),
  ])
  .refine(asked => !('from' in asked) || asked.from <= asked.to, {
    path: ['to'],
    error: 'must not lie before the first day',
  })
export type WhatIf = z.output<typeof WhatIf>

/** What it would do to one client. */
const line = z.object({
  client: z.uuid().transform(clientId),
  name: z.string(),
  /** In one line, and one by one. */
  words: z.string(),
  details: z.array(z.string()),
  /** Whether anything of hers would be written: else it is only told. */
  isWritten: z.boolean(),
})

/** What it would do to everybody; nothing is written. */
export const WhatIfView = z.object({
  /** What of the studio is written besides; empty where nothing is. */
  studio: z.string(),
  lines: z.array(line),
})
export type WhatIfView = z.output<typeof WhatIfView>

/** Does it, but for who is left out. */
export const TakeWhatIfBody = z.strictObject({
  asked: WhatIf,
  leftOut: z.array(z.uuid().transform(clientId)).max(2000),
})
/** What was done, what could not be, and what the clients do not have yet. */
export const TakenWhatIf = z.object({
  did: z.string(),
  failed: z.array(z.object({ name: z.string(), why: z.string() })),
  toSend: z.array(
    z.object({
      name: z.string(),
      block: z.uuid().transform(blockId),
      version: z.int(),
      pass: z.int(),
    }),
  ),
})
export type TakenWhatIf = z.output<typeof TakenWhatIf>
