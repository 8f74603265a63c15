import { failure, type Result, success } from '#core/base'
import { EFFORT, shorthandProblemSentence } from '#core/words'
import type { SetScheme } from '#core/plan/scheme'
import type { Session } from '#core/plan/session'
import { groupingPlaces, parseScheme, parseSession } from '#core/plan/shorthand'
import { fieldErrors } from '#shared/contracts/fieldErrors'
import { SessionContract } from '#shared/contracts/plan'
import { SetSchemeContract } from '#shared/contracts/scheme'
import { useLocalStorage } from '@vueuse/core'
import type { z } from 'zod'
import { newId } from '~/shell/newId'

/** Why a text was not taken, and which part of it is meant; places count from 0. */
export interface TextProblem {
  readonly words: string
  readonly at: number
  readonly end: number
}

/** Fields of a scheme as a coach calls them. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  runs: 'One exercise',
  count: 'The number of sets',
  seconds: 'A rest or hold, in seconds,',
  amount: 'A load',
  percent: 'A share in per cent',
  low: 'The lower number',
  high: 'The higher number',
  rir: EFFORT.short,
  groupings: 'A session',
  exercise: 'An exercise',
  reps: 'Reps',
  total: 'A total',
}

type Path = readonly PropertyKey[]

/** What a save would refuse is refused here already, so that it never stands in the plan. */
function within<Value>(
  text: string,
  value: unknown,
  contract: z.ZodType<Value>,
  placeOf: (path: Path) => Omit<TextProblem, 'words'> = () => ({ at: 0, end: text.length }),
): Result<Value, TextProblem> {
  const checked = contract.safeParse(value)
  if (checked.success) return success(checked.data)
  const [issue] = checked.error.issues
  const field =
    FIELD_WORDS[String(issue?.path.findLast(part => typeof part === 'string'))] ?? 'The text'
  const detail = issue ? (fieldErrors([issue])[0]?.detail ?? '') : ''
  return failure({
    words: `${field}${detail.slice(detail.indexOf(' '))}`,
    ...placeOf(issue?.path ?? []),
  })
}

/** Reads a set scheme as it was typed. */
export function readScheme(text: string): Result<SetScheme, TextProblem> {
  const parsed = parseScheme(text)
  if (!parsed.ok)
    return failure({
      words: shorthandProblemSentence(parsed.error),
      at: parsed.error.at,
      end: parsed.error.end,
    })
  return within(text, parsed.value, SetSchemeContract)
}

/** The line that a part of a session stands in, and in it the exercise that is meant. */
function placeIn(text: string, session: Session, path: Path): Omit<TextProblem, 'words'> {
  const grouping = path[0] === 'groupings' ? Number(path[1]) : Number.NaN
  const line = groupingPlaces(text)[grouping]
  if (!line) return { at: 0, end: text.length }
  const slot = session.groupings[grouping]?.slots[Number(path[3])]
  const at = slot ? text.indexOf(slot.exercise, line.at) : -1
  return slot && at >= 0 && at < line.end ? { at, end: at + slot.exercise.length } : line
}

/** Reads a whole session as it was typed, line by line. */
export function readSession(text: string): Result<Session, TextProblem> {
  const parsed = parseSession(text, newId)
  if (!parsed.ok)
    return failure({
      words: shorthandProblemSentence(parsed.error),
      at: parsed.error.at,
      end: parsed.error.end,
    })
  return within(text, parsed.value, SessionContract, path => placeIn(text, parsed.value, path))
}

/** Texts that do not read yet, kept in this browser by what they belong to, so that nothing typed is ever lost. */
export function useTextDrafts() {
  const drafts = useLocalStorage<Record<string, string>>(
    'tholepin-shorthand',
    {},
    { initOnMounted: true },
  )
  function keep(key: string, text: string): void {
    drafts.value = { ...drafts.value, [key]: text }
  }
  function drop(key: string): void {
    drafts.value = Object.fromEntries(
      Object.entries(drafts.value).filter(([other]) => other !== key),
    )
  }
  return { drafts, keep, drop }
}
