import { blockId, clientId } from '#core/base'
import { z } from 'zod'
import { LIMITS } from './limits'

export const ShownKind = z.enum(['plan', 'rotation', 'report', 'calendar'])

/** An address at which somebody without an account looks at something. */
export const NewShownBody = z
  .strictObject({
    kind: ShownKind,
    block: z.uuid().transform(blockId).nullable(),
    pass: z.int().min(0).max(59).nullable(),
    withHealth: z.boolean(),
    /** How long it is good; null for until it is withdrawn. */
    days: z.int().min(LIMITS.linkDays.min).max(LIMITS.linkDays.max).nullable(),
  })
  .refine(({ kind, pass }) => kind !== 'rotation' || pass !== null, {
    path: ['pass'],
    error: 'must say which rotation',
  })

/** The address, told this once. */
export const NewShownAnswer = z.object({ path: z.string() })

/** Addresses of a client: all but the address. */
export const ShownView = z.object({
  links: z.array(
    z.object({
      id: z.uuid(),
      kind: ShownKind,
      words: z.string(),
      createdAt: z.iso.datetime(),
      expiresAt: z.iso.datetime().nullable(),
      seenAt: z.iso.datetime().nullable(),
      isOver: z.boolean(),
    }),
  ),
})
export type ShownView = z.output<typeof ShownView>

export const ShownParams = z.object({
  clientId: z.uuid().transform(clientId),
  shownId: z.uuid(),
})

/** What somebody shows who has an address. */
export const LookBody = z.strictObject({ token: z.string().min(20).max(100) })

/** A calendar's address, with the ending programs look for. */
export const CalendarParams = z.object({
  token: z
    .string()
    .regex(/^[\w-]{20,100}\.ics$/)
    .transform(name => name.slice(0, -'.ics'.length)),
})

/** What is seen there: tables with their heads, and nothing of anybody else. */
export const LookAnswer = z.object({
  title: z.string(),
  about: z.string(),
  until: z.iso.datetime().nullable(),
  tables: z.array(
    z.object({
      title: z.string(),
      heads: z.array(z.string()),
      rows: z.array(z.array(z.string())),
    }),
  ),
})
export type LookAnswer = z.output<typeof LookAnswer>
