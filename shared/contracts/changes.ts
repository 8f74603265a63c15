import { z } from 'zod'

/** What a coach did in one go, in words. */
const ChangeView = z.object({
  id: z.uuid(),
  /** With a small first letter: `targets`. */
  did: z.string(),
  /** What exactly, where that can be said: `2 sets more of Cable curl on day 3`. */
  detail: z.string(),
  place: z.string(),
  /** Done for several clients at once: taken back where it was done, not with what is one client’s own. */
  isForSeveral: z.boolean(),
  isPlan: z.boolean(),
  by: z.string(),
  at: z.iso.datetime(),
  isUndone: z.boolean(),
})
export type ChangeView = z.output<typeof ChangeView>

/** What was done last, newest first. */
export const ChangesView = z.object({ changes: z.array(ChangeView) })
export type ChangesView = z.output<typeof ChangesView>

/** What `Z` would take back, and `⇧Z` do again: enough to say so. */
const lastChange = z.object({ id: z.uuid(), did: z.string(), isPlan: z.boolean() }).nullable()
export const LastChanges = z.object({ undo: lastChange, redo: lastChange })
export type LastChanges = z.output<typeof LastChanges>

/** The change a page believes to be the last one. */
export const TurnBody = z.strictObject({ change: z.uuid() })

/** What was taken back or done again. */
export const TurnAnswer = z.object({ did: z.string(), detail: z.string() })
