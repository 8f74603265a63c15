type Fields = Readonly<Record<string, unknown>>

const isPlain = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Two changes of one record brought together. */
export interface MergedFields<Of> {
  readonly merged: Of
  /** Fields both have changed, each to something else, as `bands` or `bands.biceps`; mine stands in `merged`. */
  readonly contested: readonly string[]
  /** What mine is to be held against next: as it was, and contested fields as they are now. */
  readonly base: Of
}

interface Three {
  readonly was: unknown
  readonly mine: unknown
  readonly now: unknown
}
interface One {
  readonly merged: unknown
  readonly base: unknown
  readonly contested: readonly string[]
}

/**
 * A record as it was read, as it is wanted, and as it has become meanwhile, brought together field by field.
 *
 * Shape: fields that are records themselves are merged field by field too; what lies deeper is one value.
 * Edge:  what only one side has changed is taken from it; the same change twice is none too many.
 */
export function mergedFields<Of extends object>(
  { was, mine, now }: { readonly was: Of; readonly mine: Of; readonly now: Of },
  isSame: (a: unknown, b: unknown) => boolean,
): MergedFields<Of> {
  const value = (three: Three): One => {
    if (isSame(three.mine, three.was)) return { merged: three.now, base: three.was, contested: [] }
    const isFree = isSame(three.now, three.was) || isSame(three.now, three.mine)
    return { merged: three.mine, base: three.now, contested: isFree ? [] : [''] }
  }
  const fields = (of: Three, depth: number): One => {
    const { was: before, mine: own, now: theirs } = of
    if (depth === 0 || !isPlain(before) || !isPlain(own) || !isPlain(theirs)) return value(of)
    const keys = new Set([before, own, theirs].flatMap(one => Object.keys(one)))
    const each = [...keys].map(key => {
      const one = fields({ was: before[key], mine: own[key], now: theirs[key] }, depth - 1)
      return { key, ...one }
    })
    const put = (name: 'merged' | 'base') =>
      Object.fromEntries(
        each.flatMap(({ key, [name]: put }) => (put === undefined ? [] : [[key, put]])),
      )
    return {
      merged: put('merged'),
      base: put('base'),
      contested: each.flatMap(({ key, contested }) =>
        contested.map(path => (path === '' ? key : `${key}.${path}`)),
      ),
    }
  }
  return fields({ was, mine, now }, 2) as MergedFields<Of>
}
