import { type ClientId, clientId } from '#core/base'
import { z } from 'zod'
import { PlainDateContract } from './plan'

const stripDay = z.object({
  name: z.string(),
  isRest: z.boolean(),
  flexors: z.number(),
  triceps: z.number(),
  hasOtherWork: z.boolean(),
  /** How the day went in the current rotation; `planned` where there is no dated session. */
  state: z.enum(['planned', 'done', 'missed', 'ahead']),
})

/** One reason why a client is where she is, in words, and the place where it is settled. */
const need = z.object({
  kind: z.enum([
    'pain',
    'missed_session',
    'no_plan',
    'not_sent',
    'falling',
    'block_ends',
    'trial_over',
    'out_of_band',
    'not_opened',
  ]),
  headline: z.string(),
  detail: z.string(),
  to: z.string(),
  session: z.string().nullable(),
})

/** One line of the roster. */
export const RosterEntry = z.object({
  id: z.uuid().transform((text): ClientId => clientId(text)),
  name: z.string(),
  about: z.string(),
  section: z.enum(['now', 'week', 'steady']),
  isFlagged: z.boolean(),
  laterUntil: PlainDateContract.nullable(),
  needs: z.array(need),
  next: z
    .object({
      on: PlainDateContract,
      start: z.string().nullable(),
      name: z.string(),
      minutes: z.int().nullable(),
      /** Day of the rotation, from 0. */
      day: z.int(),
    })
    .nullable(),
  block: z
    .object({
      title: z.string(),
      startsOn: PlainDateContract,
      passes: z.int(),
      days: z.array(stripDay),
      flexorsPer7Days: z.number(),
      tricepsPer7Days: z.number(),
      isEmpty: z.boolean(),
    })
    .nullable(),
})
export type RosterEntry = z.output<typeof RosterEntry>

/** All clients of the coach, sorted by what waits for her. */
export const RosterView = z.object({
  studio: z.string(),
  clients: z.array(RosterEntry),
  archived: z.int(),
  /** Clients whose log has not been read yet; what it says of them is absent. */
  unread: z.int(),
})
export type RosterView = z.output<typeof RosterView>

/** Clients put away; nothing of theirs is lost. */
export const ArchiveView = z.object({
  clients: z.array(
    z.object({ id: z.uuid(), name: z.string(), about: z.string(), archivedAt: z.iso.datetime() }),
  ),
})

/** The coach's marks on a client. */
export const MarksBody = z.strictObject({
  isFlagged: z.boolean(),
  laterUntil: PlainDateContract.nullable(),
})
/** The client's name, typed to confirm that everything is to be erased. */
export const EraseBody = z.strictObject({ name: z.string().max(200) })
