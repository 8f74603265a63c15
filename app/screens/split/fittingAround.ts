/** Lines there is room for beside the balance, and letters of a line; nothing takes more than two. */
const ROOM = { lines: 4, letters: 50, most: 2 } as const

/**
 * The items that fit whole, in their order: from the first, or moved along so that the one at `at` is among them.
 *
 * Shape: `lettersOf` says how long an item is; at least one item is there.
 */
export function fittingAround<Item>(
  items: readonly Item[],
  at: number,
  lettersOf: (item: Item) => number,
): readonly Item[] {
  const linesOf = (item: Item) =>
    Math.max(1, Math.min(ROOM.most, Math.ceil(lettersOf(item) / ROOM.letters)))
  const from = (first: number): readonly Item[] => {
    let left: number = ROOM.lines
    const end = items.findIndex((item, place) => place >= first && (left -= linesOf(item)) < 0)
    return items.slice(first, end < 0 ? items.length : end)
  }
  for (let first = 0; first < items.length; first++) {
    const shown = from(first)
    if (at < first + shown.length) return shown
  }
  return from(0)
}
