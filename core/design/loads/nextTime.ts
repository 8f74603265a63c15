import type { PlainDate, SlotId } from '../../base'
import { type Session, sessionSlots, type Slot } from '../../plan/session'
import type { LoadSession } from './loadsAhead'
import type { SlotLoads } from './reason'

/** How the next time differs from this one; `turn`: another exercise has its turn. */
export type NextChange = 'heavier' | 'lighter' | 'more_reps' | 'same' | 'easier' | 'turn'

/** What comes of an exercise the next time it is in the plan. */
export interface NextTime {
  /** The one that was done, and the one that comes. */
  readonly done: string
  readonly comes: string
  readonly on: PlainDate
  readonly change: NextChange
  /** null where nothing says a load. */
  readonly loads: SlotLoads | null
}

function changeOf(loads: SlotLoads | undefined, isEasier: boolean): NextChange {
  if (isEasier) return 'easier'
  switch (loads?.reason.kind) {
    case 'up':
    case 'by_set':
      return 'heavier'
    case 'down':
    case 'away':
    case 'left_out':
      return 'lighter'
    case 'step':
      return loads.reason.step === 'up' ? 'heavier' : 'lighter'
    case 'same':
      return loads.sets.some(({ target }) => target !== null) ? 'more_reps' : 'same'
    default:
      return 'same'
  }
}

/** The next session that has a slot; where none has it, the next with its exercise. */
function nextWith(
  slot: Slot,
  ahead: readonly LoadSession[],
): { readonly session: LoadSession; readonly slot: Slot } | undefined {
  const find = (fits: (other: Slot) => boolean) => {
    for (const session of ahead) {
      const found = sessionSlots(session.content).find(fits)
      if (found) return { session, slot: found }
    }
    return undefined
  }
  return find(({ id }) => id === slot.id) ?? find(({ exercise }) => exercise === slot.exercise)
}

/**
 * What comes next time of each exercise of a session, by the loads of the sessions ahead.
 *
 * Shape: in the session's order; what is in no session ahead is left out.
 * Edge:  `ahead` in any order; sessions on or before `on`, and missed ones, are not ahead.
 */
export function nextTime(
  { content, on }: { readonly content: Session; readonly on: PlainDate },
  ahead: readonly LoadSession[],
  loads: ReadonlyMap<string, ReadonlyMap<SlotId, SlotLoads>>,
): readonly NextTime[] {
  const coming = ahead
    .filter(session => session.on > on && !session.isMissed)
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))
  return sessionSlots(content).flatMap(slot => {
    const next = nextWith(slot, coming)
    if (!next) return []
    const own = loads.get(next.session.key)?.get(next.slot.id)
    const isTurn = next.slot.exercise !== slot.exercise
    return [
      {
        done: slot.exercise,
        comes: next.slot.exercise,
        on: next.session.on,
        change: isTurn ? 'turn' : changeOf(own, next.session.isDeload),
        loads: own ?? null,
      },
    ]
  })
}
