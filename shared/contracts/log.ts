import { clientId, exerciseId } from '#core/base'
import type { ImportedSet } from '#core/exchange/imports'
import { SET_ROLES, WEIGHT_UNITS } from '#core/plan/scheme'
import { BODY_SIDES, SESSION_STATES, SET_LAPSES } from '#core/body/log'
import { LOG_LIMITS, type LogEntry, type LogWord, type SheetSession } from '#core/follow/sheet'
import { z } from 'zod'
import type { Equal, Proven } from './equal'
import { PlainDateContract } from './plan'
import type { ENTRY_OUTCOMES } from './sheet'

export const LogParams = z.object({ clientId: z.uuid().transform(clientId), sessionId: z.uuid() })

/** Sessions of a client's log, the newest first. */
export const LogListView = z.object({
  name: z.string(),
  units: z.enum(['kg', 'lb']),
  sessions: z.array(
    z.object({
      id: z.uuid(),
      on: PlainDateContract,
      name: z.string(),
      state: z.enum(SESSION_STATES),
      setsDone: z.int(),
      setsPlanned: z.int(),
      minutes: z.int().nullable(),
      /** Entries kept aside for the coach to look at. */
      aside: z.int(),
    }),
  ),
})
export type LogListView = z.output<typeof LogListView>

/** Something said about a session, with who said it and what became of it. */
export interface ReportedEntry extends LogEntry {
  readonly author: 'client' | 'coach' | 'import'
  readonly outcome: (typeof ENTRY_OUTCOMES)[number]
  readonly clockOffSeconds: number
}

/** A session as it was prescribed, and everything said about it. */
export interface SessionLog {
  readonly session: SheetSession
  /** What was logged without entries, before there were any. */
  readonly base: readonly Extract<LogWord, { kind: 'set' }>[]
  readonly entries: readonly ReportedEntry[]
  readonly finish: {
    readonly at: string
    readonly minutes: number | null
    readonly isRecovered: boolean | null
    readonly recovery: number | null
    readonly note: string
  } | null
}
export const SessionLogAnswer = z.custom<SessionLog>(
  value => typeof value === 'object' && value !== null,
)

/** Sets to be taken in, all or none; on trial nothing is written. */
export const ImportLogBody = z.strictObject({
  isTrial: z.boolean(),
  sets: z
    .array(
      z
        .strictObject({
          on: PlainDateContract,
          session: z.string().max(120),
          exercise: z.string().min(1).max(60).transform(exerciseId),
          intent: z.string().max(60).nullable(),
          set: z.int().min(1).max(40),
          stage: z.int().min(1).max(30),
          side: z.enum(BODY_SIDES).nullable(),
          role: z.enum(SET_ROLES),
          load: z
            .strictObject({
              amount: z.number().min(LOG_LIMITS.load.least).max(LOG_LIMITS.load.most),
              unit: z.enum(WEIGHT_UNITS),
            })
            .readonly()
            .nullable(),
          reps: z.number().min(0).max(LOG_LIMITS.reps.most).nullable(),
          seconds: z.number().min(0).max(LOG_LIMITS.seconds.most).nullable(),
          rir: z.number().min(0).max(LOG_LIMITS.rir.most).nullable(),
          isRirOpen: z.boolean(),
          lapses: z.array(z.enum(SET_LAPSES)).max(SET_LAPSES.length).readonly().exactOptional(),
        })
        .readonly(),
    )
    .min(1, 'needs at least one row')
    .max(5000),
})
export type ImportLogBody = z.output<typeof ImportLogBody>
export type _SetIsCore = Proven<Equal<ImportLogBody['sets'][number], ImportedSet>>

/** What an import makes of the sessions: found ones are filled in, others are added. */
export const ImportLogAnswer = z.object({
  sets: z.int(),
  found: z.int(),
  added: z.int(),
  /** Figures far outside the client's own, by row from 1, to be looked at before all of it is taken in. */
  questions: z.array(z.object({ row: z.int(), detail: z.string() })),
})
