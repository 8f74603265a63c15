/** A repeatable source of numbers in [0, 1) (mulberry32): the same seed gives the same row on every machine. */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6D2B79F5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32
  }
}

/** Ids in the form of a version 4 UUID from a repeatable source. */
export function seededUuids(random: () => number): () => string {
  const hex = (digits: number) => Array.from({ length: digits }, () => Math.floor(random() * 16).toString(16)).join('')
  return () => `${hex(8)}-${hex(4)}-4${hex(3)}-8${hex(3)}-${hex(12)}`
}
