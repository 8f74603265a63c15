import { assert, failure, type Result, success } from '../../base'
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

/** The same in words; empty where it is as usual. */
export const formatDoneAs = (as: DoneAs): string =>
  formatScheme(doneAs(ONE_SET, as))
    .slice(ONE.length)
    .replace(/^[ ,]+/, '')
