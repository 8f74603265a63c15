import { clientId } from '#core/base'
import { MEASUREMENT_KINDS } from '#core/body/measurements'
import type { GoalCourse } from '#core/follow/goals'
import { z } from 'zod'
import { LIMITS } from './limits'
import { PlainDateContract } from './plan'

/** A note of the coach's own, on a day or about a session. */
export const NoteBody = z.strictObject({
  on: PlainDateContract,
  session: z.uuid().nullable(),
  text: z.string().trim().min(1).max(LIMITS.longText),
})
const note = z.object({
  id: z.uuid(),
  on: PlainDateContract,
  text: z.string(),
  session: z.object({ id: z.uuid(), name: z.string() }).nullable(),
})
export const NotesView = z.object({ notes: z.array(note) })
export type NotesView = z.output<typeof NotesView>

/** Notes that hold what was typed, across clients. */
export const FoundNotes = z.object({
  notes: z.array(note.extend({ client: z.string(), clientId: z.uuid().transform(clientId) })),
})
export type FoundNotes = z.output<typeof FoundNotes>

/** What a goal is measured by: something measured on the body, or the estimate of an exercise. */
export const GoalMeasureContract = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('measurement'), of: z.enum(MEASUREMENT_KINDS) }),
  z.strictObject({ kind: z.literal('strength'), of: z.string().min(1).max(80) }),
])
export type GoalMeasure = z.output<typeof GoalMeasureContract>

export const GoalBody = z.strictObject({
  words: z.string().trim().max(LIMITS.shortText),
  measure: GoalMeasureContract,
  target: z.number().min(1).max(1000),
  by: PlainDateContract,
})
export interface GoalView {
  readonly id: string
  readonly words: string
  readonly measure: GoalMeasure
  readonly target: number
  readonly since: z.output<typeof PlainDateContract>
  readonly by: z.output<typeof PlainDateContract>
  readonly course: GoalCourse
  /** The values it is read from since it was set. */
  readonly values: readonly { readonly on: string; readonly value: number }[]
}
/** The application's own answer to its own page; its shape is held by types. */
export const GoalsView = z.custom<{ readonly goals: readonly GoalView[] }>(
  value => typeof value === 'object' && value !== null,
)

export const NoteParams = z.object({ clientId: z.uuid().transform(clientId), noteId: z.uuid() })
export const GoalParams = z.object({ clientId: z.uuid().transform(clientId), goalId: z.uuid() })
