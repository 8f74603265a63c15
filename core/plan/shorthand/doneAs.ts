import { assert, failure, type Result, type SlotId, success } from '../../base'
import { type Session, sessionSlots, type Slot } from '../session'
import { type DoneAs, doneAs, sharedControls } from '../scheme'
import { formatScheme, parseScheme } from './scheme'
import type { ShorthandProblem } from './problem'

const ONE = '1 x 10'
const parsed = parseScheme(ONE)
assert(parsed.ok, 'one set of ten can be read')
const ONE_SET = parsed.value

/**
 * How an exercise is held and set up, as it is typed behind sets: `palms facing wide grip bench 45`.
 *
 * Errors: what is no grip, width, handle or set-up, with its place in the text.
 */
export function parseDoneAs(text: string): Result<DoneAs, ShorthandProblem> {
  const read = parseScheme(`${ONE} ${text.trim()}`)
  if (!read.ok) return failure({ ...read.error, at: Math.max(0, read.error.at - ONE.length - 1) })
  const { grip, gripWidth, attachment, setUp } = sharedControls(read.value).shared
  const held: DoneAs = {
    ...(grip && { grip }),
    ...(gripWidth && { gripWidth }),
    ...(attachment && { attachment }),
    ...(setUp && { setUp }),
  }
  // What is left besides would be lost: sets, reps and effort are the place's own.
  return formatScheme(doneAs(ONE_SET, held)) === formatScheme(read.value)
    ? success(held)
    : failure({
        kind: 'unexpected',
        at: 0,
        end: text.trim().length,
        found: text.trim(),
        expected: ['a grip', 'a width', 'a handle', 'a set-up such as bench 45'],
      })
}

/** How a place is held or set up for its turn, in words; null where it is as usual. */
export const heldAs = ({ as }: Slot): string | null => (as ? formatDoneAs(as) : null)

/** Places of a session that are held or set up otherwise because it is their turn, in words. */
export const turnsHeld = (session: Session): ReadonlyMap<SlotId, string> =>
  new Map(
    sessionSlots(session).flatMap(slot => {
      const words = heldAs(slot)
      return words ? [[slot.id, words] as const] : []
    }),
  )

/** The same in words; empty where it is as usual. */
export const formatDoneAs = (as: DoneAs): string =>
  formatScheme(doneAs(ONE_SET, as))
    .slice(ONE.length)
    .replace(/^[ ,]+/, '')
