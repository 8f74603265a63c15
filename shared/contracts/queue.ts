import { type ClientId, clientId } from '#core/base'
import { QUEUE_KINDS } from '#core/follow/queue'
import { z } from 'zod'
import { LIMITS } from './limits'
import { PlainDateContract } from './plan'

const client = z.uuid().transform((text): ClientId => clientId(text))
const key = z.string().min(1).max(300)

/** One client of the queue. */
export const QueueEntry = z.object({
  id: client,
  name: z.string(),
  about: z.string(),
  /** The rotation to look back at, from 0; null for the latest. */
  pass: z.int().nullable(),
  block: z.uuid().nullable(),
  version: z.int().nullable(),
  /** What for, in words, the most pressing first, each with its kind. */
  why: z.array(z.object({ kind: z.enum(QUEUE_KINDS), words: z.string() })),
  /** Everything that is looked at with her, by its keys. */
  keys: z.array(z.string()),
  /** Looked at today, and nothing came since. */
  isBehind: z.boolean(),
  /** Proposals taken after this rotation, and whether what follows from them is with the client. */
  changed: z.int(),
  isSent: z.boolean(),
  toSend: z.array(z.object({ pass: z.int(), again: z.boolean() })),
  /** Changes that can be taken with those of others. */
  safe: z.array(z.object({ key: z.string(), words: z.string(), why: z.string() })),
  /** Why none can; empty where there is nothing to say. */
  notSafe: z.string(),
  /** Whether she is settled once the safe ones are taken. */
  isSettledBySafe: z.boolean(),
})
export type QueueEntry = z.output<typeof QueueEntry>

/** Reviews one after the other, the worst first. */
export const QueueView = z.object({
  entries: z.array(QueueEntry),
  /** Clients whose log has not been read yet. */
  unread: z.int(),
  /** Whose rotation ends next, where nobody waits. */
  next: z.object({ name: z.string(), on: PlainDateContract }).nullable(),
})
export type QueueView = z.output<typeof QueueView>

/** What of a client was looked at. */
export const SeenBody = z.strictObject({ keys: z.array(key).max(300) })

/** Changes to be taken together, as they were offered. */
export const SafeBody = z.strictObject({
  changes: z
    .array(
      z.strictObject({
        client: z.uuid().transform(clientId),
        pass: z.int().min(0).max(59),
        key: z.string().min(1).max(200),
      }),
    )
    .min(1)
    .max(2000),
})
/** What was taken; who was left out because something changed meanwhile, with the reason. */
export const SafeAnswer = z.object({
  taken: z.int(),
  clients: z.int(),
  left: z.array(z.object({ name: z.string().max(LIMITS.longText), why: z.string() })),
})
