import {
  parsedSetUp,
  SET_UP,
  type SetUp,
  type SetUpField,
  setUpChoices,
  setUpText,
} from '#core/plan/scheme'
import type { SheetMovement } from '#core/follow/sheet'
import { phoneDay } from './phoneWords'

/** What was typed into the fields, by field; one that is not there was left as it is. */
export type SetUpTexts = Readonly<Partial<Record<SetUpField, string>>>

interface SetUpRow {
  readonly field: SetUpField
  readonly name: string
  readonly example: string
  readonly value: string
}

/** Fields of a movement with what is known of them. */
export function setUpFields(
  { setUp }: Pick<SheetMovement, 'setUp'>,
  today: SetUp | undefined,
): readonly SetUpRow[] {
  const known = today ?? setUp?.last?.setUp ?? setUp?.planned
  // A sheet kept on the phone since before there were set-ups has none.
  return (setUp?.fields ?? []).map(field => ({
    field,
    name: SET_UP[field].name,
    example: SET_UP[field].example,
    value: known?.[field] === undefined ? '' : String(known[field]),
  }))
}

/** What the fields say together; the first that cannot be so is told, and nothing is lost. */
export function setUpTyped(
  rows: readonly SetUpRow[],
  typed: SetUpTexts,
): { readonly setUp: SetUp; readonly complaint: string } {
  const setUp: Partial<Record<SetUpField, number | string>> = {}
  for (const { field, value } of rows) {
    const text = (typed[field] ?? value).trim()
    if (text === '') continue
    const read = parsedSetUp(field, text)
    if (read === undefined) return { setUp: {}, complaint: setUpChoices(field) }
    setUp[field] = read
  }
  return { setUp, complaint: '' }
}

/** One line: as said today, else as last time with its day, else as planned. */
export function setUpSummary(
  { setUp }: Pick<SheetMovement, 'setUp'>,
  today: SetUp | undefined,
): string {
  if (today) return setUpText(today)
  const last = setUp?.last
  if (last) return `${setUpText(last.setUp)} on ${phoneDay(last.on, 'short')}`
  return setUpText(setUp?.planned ?? undefined)
}
