import { assert } from './invariant'

/** A list with at least one item. */
export type NonEmpty<Item> = readonly [Item, ...Item[]]

/** One value for each key, and no key without one. */
export function recordOf<const Key extends string, Value>(
  keys: readonly Key[],
  valueOf: (key: Key, at: number) => Value,
): Readonly<Record<Key, Value>> {
  return Object.fromEntries(keys.map((key, at) => [key, valueOf(key, at)])) as Record<Key, Value>
}

/** The keys of a table in the order in which they stand. Errors: InvariantError for a table without rows. */
export function keysOf<Table extends object>(table: Table): NonEmpty<keyof Table & string> {
  return nonEmpty(Object.keys(table) as (keyof Table & string)[], 'keys of a table')
}

/** What stands in a record under its keys; keys without a value are left out. */
export function entriesOf<Key extends string, Value>(
  record: Readonly<Partial<Record<Key, Value>>>,
): readonly (readonly [Key, Value])[] {
  const entries = Object.entries(record) as [Key, Value | undefined][]
  return entries.flatMap(([key, value]) => (value === undefined ? [] : [[key, value] as const]))
}

/** The same list, known to hold something. Errors: InvariantError that says what is empty. */
export function nonEmpty<Item>(items: readonly Item[], what: string): NonEmpty<Item> {
  const [first, ...others] = items
  assert(items.length > 0, `${what}: at least one is expected, and there is none`)
  // The length was just asserted: the first is an item, whatever items are.
  return [first as Item, ...others]
}

/** Changes every item of a list that is not empty; it stays so. */
export function mapNonEmpty<Item, Other>(
  items: NonEmpty<Item>,
  change: (item: Item, at: number) => Other,
): NonEmpty<Other> {
  const [first, ...others] = items
  return [change(first, 0), ...others.map((item, at) => change(item, at + 1))]
}

/** The item at a place that is known to be there. Errors: InvariantError that names the list and the place. */
export function itemAt<Item>(items: readonly Item[], at: number, what = 'items'): Item {
  assert(at >= 0 && at < items.length, `${what}: there is no place ${at} among ${items.length}`)
  return items[at] as Item
}
