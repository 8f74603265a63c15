import type { SlotId } from '../../base'
import type { SheetSet, SheetTurn } from '../../follow/sheet'
import type { TimeSpan } from '../../plan/minutes'

/** The sets of a session in the order its minutes are reckoned in, with the rest that follows each. */
export function turnsOfSpans(
  spans: readonly TimeSpan[],
  sets: ReadonlyMap<SlotId, readonly SheetSet[]>,
): readonly SheetTurn[] {
  const turns: SheetTurn[] = []
  const warmups = new Map<SlotId, number>()
  for (const { kind, slot, set, start, seconds } of spans) {
    const own = slot && sets.get(slot)
    const last = turns.at(-1)
    if (!slot || !own || (kind !== 'set' && kind !== 'warmup')) {
      // Warming up for a partner, changing place and resting all are time until the next set.
      if (last) turns[turns.length - 1] = { ...last, rest: last.rest + seconds }
      continue
    }
    const at =
      kind === 'warmup' ? nth(own, 'warmup', warmups.get(slot) ?? 0) : nth(own, 'other', set ?? 0)
    if (kind === 'warmup') warmups.set(slot, (warmups.get(slot) ?? 0) + 1)
    if (at < 0) continue
    if (last && last.slot === slot && last.set === at)
      turns[turns.length - 1] = { ...last, seconds: last.seconds + last.rest + seconds, rest: 0 }
    else
      turns.push({
        slot,
        set: at,
        start,
        seconds: kind === 'warmup' ? Math.max(10, seconds - WARM_UP_REST) : seconds,
        rest: kind === 'warmup' ? WARM_UP_REST : 0,
      })
  }
  return turns.map((turn, at) => (at === turns.length - 1 ? { ...turn, rest: 0 } : turn))
}
const WARM_UP_REST = 45

/** Place of the n-th warm-up or other set among all sets of an exercise. */
function nth(sets: readonly SheetSet[], kind: 'warmup' | 'other', wanted: number): number {
  let left = wanted
  return sets.findIndex(({ role }) => (role === 'warmup') === (kind === 'warmup') && left-- === 0)
}
