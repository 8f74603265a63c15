interface Known<Second, Value> {
  readonly second: Second
  readonly value: Value
}

/** More different second objects than this are rarely in use for one first object at a time. */
const MOST_KNOWN = 4

/**
 * Remembers what was computed from two frozen objects, for as long as the first is in use.
 *
 * Plans are replaced, never changed, and an edit keeps the identity of what it does not touch. So what was computed
 * from an untouched day is still right, and after an edit only the touched day is computed anew.
 */
export function remembered<First extends object, Second extends object, Value>(
  compute: (first: First, second: Second) => Value,
): (first: First, second: Second) => Value {
  const byFirst = new WeakMap<First, Known<Second, Value>[]>()
  return (first, second) => {
    const known = byFirst.get(first)
    const found = known?.find(entry => entry.second === second)
    if (found) return found.value
    const value = compute(first, second)
    if (!known) byFirst.set(first, [{ second, value }])
    else if (known.push({ second, value }) > MOST_KNOWN) known.shift()
    return value
  }
}
