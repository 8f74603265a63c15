/** Ids in the form of a version 4 UUID from a repeatable source. */
export function seededUuids(random: () => number): () => string {
  const hex = (digits: number) =>
    Array.from({ length: digits }, () => Math.floor(random() * 16).toString(16)).join('')
  return () => `${hex(8)}-${hex(4)}-4${hex(3)}-8${hex(3)}-${hex(12)}`
}
