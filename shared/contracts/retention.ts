import { z } from 'zod'

/** After how long something is erased by itself, or how much of it is kept; null keeps all of it. */
export const RETENTION_CHOICES = {
  /** Clients in the archive, with all that is kept about them. Units: months. */
  archivedMonths: [null, 6, 12, 24, 60],
  /** Messages that went out. Units: months. */
  messageMonths: [null, 12, 24, 60],
  /** Earlier versions of each plan besides those with a name. */
  revisions: [null, 50, 200],
} as const
const oneOf = <const Choice extends number | null>(choices: readonly Choice[]) =>
  z.union(choices.map(choice => z.literal(choice)))

export const RetentionContract = z.strictObject({
  archivedMonths: oneOf(RETENTION_CHOICES.archivedMonths),
  messageMonths: oneOf(RETENTION_CHOICES.messageMonths),
  revisions: oneOf(RETENTION_CHOICES.revisions),
})
export type Retention = z.output<typeof RetentionContract>
export const KEEP_ALL: Retention = { archivedMonths: null, messageMonths: null, revisions: null }

/** What the rules would erase as things stand, and from when on they are followed. */
export const RetentionView = z.object({
  retention: RetentionContract,
  from: z.iso.datetime().nullable(),
  due: z.object({ clients: z.array(z.string()), messages: z.int(), revisions: z.int() }),
})
export type RetentionView = z.output<typeof RetentionView>
