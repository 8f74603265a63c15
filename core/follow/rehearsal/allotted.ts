import type { ReplanOption } from '../replan'
import { MAX_SETS_PER_EXERCISE } from '../../plan/scheme'
import type { RehearsedPass, RehearsedSession, RehearsedSlot } from './rehearsalData'

/** Sets of each exercise of a pass, by the exercise's place in it. */
export type Allotted = Int16Array

/** Gives sets out, one each and round the exercises; those that are full take none. */
function give(slots: readonly RehearsedSlot[], sets: number, now: Allotted): void {
  const open = () => slots.filter(slot => now[slot.at]! < MAX_SETS_PER_EXERCISE)
  for (let given = 0; given < sets;) {
    const places = open().slice(0, sets - given)
    if (places.length === 0) return
    for (const slot of places) now[slot.at]! += 1
    given += places.length
  }
}

/** Takes sets out, the largest exercise first; each keeps one. */
function cut(slots: readonly RehearsedSlot[], sets: number, now: Allotted): void {
  for (let gone = 0; gone < sets; gone++) {
    let largest: RehearsedSlot | undefined
    for (const slot of slots) if (now[slot.at]! > (largest ? now[largest.at]! : 1)) largest = slot
    if (!largest) return
    now[largest.at]! -= 1
  }
}

/** Sets of a pass with so many more or fewer of each muscle, as the plan would give them out. */
export function allotted(pass: RehearsedPass, change: Float64Array): Allotted {
  const { slots } = pass
  const now = Int16Array.from(pass.planned)
  change.forEach((by, group) => {
    if (by === 0) return
    const own = slots.filter(({ main }) => main === group)
    if (by > 0) give(own, by, now)
    else cut(own, -by, now)
  })
  return now
}

/** Of a missed session, half of each exercise's sets go to what trains its muscle later in the pass; into the next session all go. */
const SPREAD_SHARE = 0.5
export function refill(
  missed: RehearsedSession,
  option: ReplanOption,
  later: readonly RehearsedSession[],
  now: Allotted,
): void {
  if (option !== 'spread' && option !== 'merge') return
  const [share, takers] = option === 'spread' ? [SPREAD_SHARE, later] : [1, later.slice(0, 1)]
  const slots = takers.flatMap(({ whole }) => whole.slots)
  for (const slot of missed.whole.slots)
    give(
      slots.filter(({ main }) => main === slot.main && main >= 0),
      Math.floor(now[slot.at]! * share),
      now,
    )
}
