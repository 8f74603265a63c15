import { failure, type Result, success } from '#core/base'
import { EFFORT, shorthandProblemSentence } from '#core/words'
import type { SetScheme } from '#core/plan/scheme'
import type { Session } from '#core/plan/session'
import { parseScheme, parseSession } from '#core/plan/shorthand'
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

/** What a save would refuse is refused here already, so that it never stands in the plan. */
function within<Value>(
  text: string,
  value: unknown,
  contract: z.ZodType<Value>,
): Result<Value, TextProblem> {
  const checked = contract.safeParse(value)
  if (checked.success) return success(checked.data)
  const [issue] = checked.error.issues
  const field =
    FIELD_WORDS[String(issue?.path.findLast(part => typeof part === 'string'))] ?? 'The text'
  const detail = issue ? (fieldErrors([issue])[0]?.detail ?? '') : ''
  return failure({ words: `${field}${detail.slice(detail.indexOf(' '))}`, at: 0, end: text.length })
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

/** Reads a whole session as it was typed, line by line. */
export function readSession(text: string): Result<Session, TextProblem> {
  const parsed = parseSession(text, newId)
  if (!parsed.ok)
    return failure({
      words: shorthandProblemSentence(parsed.error),
      at: parsed.error.at,
      end: parsed.error.end,
    })
  return within(text, parsed.value, SessionContract)
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
