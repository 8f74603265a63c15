import type { FieldError } from '#shared/contracts/problem'

/** More than this no column of whole numbers holds, and nothing a coach means. */
const MOST = 2_147_483_647
/** Faults told at once. */
const TOLD = 5

function faultOf(value: unknown): string | undefined {
  if (typeof value === 'string') {
    if (value.includes('\0')) return 'holds a character that cannot be kept (NUL). Take it out.'
    if (!value.isWellFormed()) return 'holds half of a character. Type it anew.'
  }
  if (typeof value === 'number' && Math.abs(value) > MOST)
    return `is too large. Give a number up to ${MOST}.`
  return undefined
}

const escaped = (key: string) => key.replaceAll('~', '~0').replaceAll('/', '~1')

/**
 * What of a body no database can keep, each with its place; empty where all can be.
 *
 * Shape: at most five faults, in the order of the body; names of members are looked at too.
 */
export function unstorable(body: unknown): readonly FieldError[] {
  const faults: FieldError[] = []
  const add = (pointer: string, detail: string) => {
    const name = pointer.split('/').at(-1) || 'The body'
    faults.push({ pointer, kind: 'custom', detail: `${name} ${detail}` })
  }
  const waiting: (readonly [pointer: string, value: unknown])[] = [['', body]]
  for (let next = waiting.pop(); next && faults.length < TOLD; next = waiting.pop()) {
    const [pointer, value] = next
    const fault = faultOf(value)
    if (fault) add(pointer, fault)
    if (typeof value !== 'object' || value === null) continue
    const members = Object.entries(value)
    const bad = members.find(([key]) => faultOf(key) !== undefined)
    if (bad) add(pointer, 'has a member whose name cannot be kept. Take it out.')
    waiting.push(
      ...members.map(([key, member]) => [`${pointer}/${escaped(key)}`, member] as const).reverse(),
    )
  }
  return faults
}
