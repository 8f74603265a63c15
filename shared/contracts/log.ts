import { clientId } from '#core/base'
import type { LogEntry, LogWord, SheetSession } from '#core/sheet'
import { z } from 'zod'
import { PlainDateContract } from './plan'
import { ENTRY_OUTCOMES } from './sheet'

export const LogParams = z.object({ clientId: z.uuid().transform(clientId), sessionId: z.uuid() })

/** Sessions of a client's log, the newest first. */
export const LogListView = z.object({
  name: z.string(), units: z.enum(['kg', 'lb']),
  sessions: z.array(z.object({
    id: z.uuid(), on: PlainDateContract, name: z.string(), state: z.enum(['done', 'begun', 'missed', 'decided', 'ahead']), setsDone: z.int(), setsPlanned: z.int(), minutes: z.int().nullable(),
    /** Entries kept aside for the coach to look at. */
    aside: z.int(),
  })),
})
export type LogListView = z.output<typeof LogListView>

/** Something said about a session, with who said it and what became of it. */
export interface ToldEntry extends LogEntry { readonly author: 'client' | 'coach' | 'import', readonly outcome: (typeof ENTRY_OUTCOMES)[number], readonly clockOffSeconds: number }

/** A session as it was prescribed, and everything said about it. */
export interface SessionLog {
  readonly session: SheetSession
  /** What was logged without entries, before there were any. */
  readonly base: readonly Extract<LogWord, { kind: 'set' }>[]
  readonly entries: readonly ToldEntry[]
  readonly finish: { readonly at: string, readonly minutes: number | null, readonly isRecovered: boolean | null, readonly note: string } | null
}
export const SessionLogAnswer = z.custom<SessionLog>(value => typeof value === 'object' && value !== null)
