import type { QueueEntry } from '#shared/contracts/queue'

/** The one after a client among those who wait; the first where she is the last. */
export function after(
  at: QueueEntry | null,
  waiting: readonly QueueEntry[],
): QueueEntry | undefined {
  const place = waiting.findIndex(({ id }) => id === at?.id)
  const others = waiting.filter(({ id }) => id !== at?.id)
  return others[place < 0 ? 0 : place] ?? others[0]
}
