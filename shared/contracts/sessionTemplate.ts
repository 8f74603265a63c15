import { z } from 'zod'
import { SessionContract } from './plan'
import { LIMITS } from './limits'

const name = z.string().trim().min(1).max(LIMITS.name)
const reason = z.string().trim().max(LIMITS.shortText)

/** A session of the coach's own, kept to be put on other days. */
export const OwnSessionTemplate = z.object({ id: z.uuid(), name, reason, content: SessionContract })
export type OwnSessionTemplate = z.output<typeof OwnSessionTemplate>

/** The coach's own session templates, the newest first. */
export const SessionTemplatesView = z.object({ templates: z.array(OwnSessionTemplate) })

/** What keeping a session as a template takes. */
export const KeepSessionBody = z.strictObject({ name, reason, content: SessionContract })
export type KeepSessionBody = z.output<typeof KeepSessionBody>

export const SessionTemplateParams = z.object({ templateId: z.uuid() })
/** What keeping or removing a template answers. */
export const KeptSession = z.object({ id: z.uuid() })
