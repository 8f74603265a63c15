// A value as text that a test can keep: short enough to be read in a diff, and changed by any change of the value.
import { createHash } from 'node:crypto'

const SHOWN = 160
const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}|\b[0-9a-f]{24}\b/g
/** A moment of the machine's clock, as it stands in rows that the database dated by itself. */
const MOMENT = /\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z/g

/**
 * A value in one line. Ids are numbered in the order they come, moments of the machine's clock (from `now` on, an ISO
 * date) are masked, figures have six digits; what is long is told by its beginning, its length and a digest of it all.
 */
export function portrait(value: unknown, now = '9999'): string {
  const ids = new Map<string, string>()
  const numbered = (id: string) => {
    if (!ids.has(id)) ids.set(id, `#${ids.size + 1}`)
    return ids.get(id)!
  }
  const text = (JSON.stringify(plain(value, [])) ?? 'undefined')
    .replace(UUID, numbered)
    .replace(MOMENT, moment => (moment.slice(0, 10) >= now ? '(now)' : moment))
  if (text.length <= SHOWN) return text
  const digest = createHash('sha256').update(text).digest('hex').slice(0, 12)
  return `${text.slice(0, SHOWN)}… ${text.length} characters, ${digest}`
}

/** Whether something only holds a value for the framework. */
export const isRef = (value: object) => '__v_isRef' in value

/** A value as plain data: maps and sets as lists, refs as what they hold; stores and what holds itself are left out. */
function plain(value: unknown, way: readonly object[]): unknown {
  if (typeof value === 'number') return rounded(value)
  if (typeof value === 'function') return undefined
  if (typeof value !== 'object' || value === null) return value
  if (isRef(value)) return plain((value as { readonly value?: unknown }).value, way)
  if ('$id' in value || way.includes(value)) return undefined
  const further = [...way, value]
  if (value instanceof Date) return value.toISOString()
  if (Array.isArray(value)) return value.map(one => plain(one, further))
  if (value instanceof Map || value instanceof Set)
    return Array.from(value, one => plain(one, further))
  const made: Record<string, unknown> = {}
  for (const key of Object.keys(value))
    made[key] = plain((value as Record<string, unknown>)[key], further)
  return made
}

const rounded = (value: number): unknown =>
  Number.isSafeInteger(value)
    ? Math.abs(value) < 1e6
      ? value
      : Number(value.toPrecision(6))
    : Number.isFinite(value)
      ? Number(value.toPrecision(6))
      : String(value)

/** Each part of an object as a line `name: value`, by name; of a ref what it holds. */
export function portraitLines(of: Readonly<Record<string, unknown>>, now?: string): string[] {
  if (isRef(of)) return [`value: ${portrait(of, now)}`]
  return Object.keys(of)
    .filter(name => typeof of[name] !== 'function')
    .sort()
    .map(name => `${name}: ${portrait(of[name], now)}`)
}
