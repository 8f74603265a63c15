import { createHash } from 'node:crypto'
import pino from 'pino'

/** Lines of JSON on the standard output. Never a name, a note, a token or what a query carried. */
export const logger = pino({
  level: process.env.LOG_LEVEL ?? (process.env.NODE_ENV === 'test' ? 'silent' : 'info'),
  base: null,
  timestamp: pino.stdTimeFunctions.isoTime,
  formatters: { level: level => ({ level }) },
})

const SHOWN = 12

/** Whose request it was, so that lines of one coach are found together and nobody is named. */
export const hashedCoach = (coachId: string): string =>
  createHash('sha256').update(coachId).digest('hex').slice(0, SHOWN)

/** Query errors carry SQL and parameters, which may hold a client's data: only the cause's own message is told. */
export function redacted(error: unknown): string {
  if (!(error instanceof Error)) return 'unknown failure'
  return error.cause instanceof Error
    ? error.cause.message
    : `${error.message}\n${error.stack ?? ''}`
}
