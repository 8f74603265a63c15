import type { PlanDocument } from '../plan/block'
import type { DayRole, RotationDay } from '../plan/rotation'
import type { Session } from '../plan/session'
import { parseSession } from '../plan/shorthand'
import { planOf } from './notation'

let nextId = 0

/** A session written in shorthand, line by line; problems in the text throw. */
export function writtenSession(...lines: readonly string[]): Session {
  const result = parseSession(lines.join('\n'), () => `written-${nextId++}`)
  if (!result.ok) throw new Error(`${JSON.stringify(result.error)} in ${lines.join('\n')}`)
  return result.value
}

/** A training day written in shorthand, line by line. */
export function written(role: DayRole, ...lines: readonly string[]): RotationDay {
  return { role, sessions: [writtenSession(...lines)] }
}

/** The plan with some days, filled up with rest to `length` days. */
export function planIn(length: number, ...days: readonly RotationDay[]): PlanDocument {
  return planOf(
    ...days,
    ...Array.from({ length: length - days.length }, (): RotationDay => ({
      role: 'rest',
      sessions: [],
    })),
  )
}
