import { blockId } from '#core/base'
import { GROUPS } from '#core/plan/catalogue'
import { MODES } from '#core/plan/method'
import { z } from 'zod'
import {
  BaseWeeksContract,
  EndsContract,
  PhaseContract,
  PlainDateContract,
  SessionContract,
} from './plan'
import { LIMITS } from './limits'

/** Sends one going through the rotation to the client; `again` replaces what she has of it and has not done. */
export const SendBody = z.strictObject({
  pass: z.int().min(0).max(59),
  version: z.int().min(1),
  again: z.boolean(),
})
export const SentAnswer = z.object({ sessions: z.int() })

/** What of a block the client has, as it was prescribed. */
export const SentView = z.object({
  sent: z.array(
    z.object({
      pass: z.int(),
      day: z.int(),
      place: z.int(),
      on: PlainDateContract,
      name: z.string(),
      content: SessionContract,
      isDone: z.boolean(),
      isOpened: z.boolean(),
      setsDone: z.int(),
    }),
  ),
})

/** Closes the block and begins the next from it. */
export const NextBlockBody = z.strictObject({
  version: z.int().min(1),
  title: z.string().trim().min(1, 'needs a title').max(LIMITS.title),
  startsOn: PlainDateContract,
  weeks: z.int().min(LIMITS.nextBlockWeeks.min).max(LIMITS.nextBlockWeeks.max),
  /** Which sets it begins with: those of the first rotation, or of the last working one. */
  from: z.enum(['first', 'last']),
  modes: z.partialRecord(z.enum(GROUPS), z.enum(MODES)).readonly(),
  /** Where the running block would still go on, it ends earlier. */
  isCut: z.boolean().default(false),
  /** Only emphasis and days are decided; the exercises go on being those of the block before. */
  isDraft: z.boolean().exactOptional(),
  /** The phase it is in; left out, that of the block before goes on. */
  phase: PhaseContract.nullable().exactOptional(),
})
/** What is decided of a draft. */
export const DraftBody = z.strictObject({
  version: z.int().min(1),
  modes: z.partialRecord(z.enum(GROUPS), z.enum(MODES)).readonly(),
  ends: EndsContract,
  /** Weeks before arm work comes in; null for none. */
  baseWeeks: BaseWeeksContract.nullable(),
})
/** The phase a block is in, and what comes first in it where that changes too. */
export const PhaseBody = z.strictObject({
  version: z.int().min(1),
  phase: PhaseContract.nullable(),
  modes: z.partialRecord(z.enum(GROUPS), z.enum(MODES)).readonly().exactOptional(),
})
/** A draft becomes a plan, fitted from the block before as it is now. */
export const DraftMadeBody = z.strictObject({ version: z.int().min(1) })
export const DraftAnswer = z.object({ version: z.int() })
export const NextBlockAnswer = z.object({ id: z.uuid().transform(blockId) })

/** Path of a block's export. */
export const ExportParams = z.object({
  blockId: z.uuid().transform(blockId),
  kind: z.enum(['calendar', 'csv', 'json', 'xlsx']),
})
