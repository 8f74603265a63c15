import { exerciseId, groupingId, type Result, sessionId, slotId } from '../../base'
import { type Credits, type Group, GROUPS } from '../catalogue'
import {
  type Grouping,
  type GroupingKind,
  type Placement,
  type Preparation,
  type Session,
  type Slot,
  SLOT_ROLES,
  type SlotRole,
} from '../session'
import {
  formatExerciseRef,
  formatRestValue,
  quoted,
  requireExerciseRef,
  requireRestValue,
  requireSeconds,
  requireText,
  shape,
} from './atoms'
import { attempt, type Cursor } from './cursor'
import { type ShorthandProblem, stop } from './problem'
import { formatScheme, takeScheme } from './scheme'

/*
 * A session is written line by line: what comes before the first exercise, then one line for each grouping,
 * `superset, after 90s: cable_curl 4 x 12 & pushdown_rope 4 x 12`.
 */

const PLACEMENTS: readonly (readonly [Placement, string])[] = [
  ['warmup', 'warm-up block'],
  ['finisher', 'finisher'],
]
const KINDS: readonly GroupingKind[] = ['straight', 'superset', 'alternating', 'circuit']
const NUMBER = shape('#')

// ── printing ──────────────────────────────────────────────────────────────

function formatCredits(credits: Credits): string {
  return `(${GROUPS.filter(group => credits[group] !== undefined)
    .map(group => `${group} ${credits[group]}`)
    .join(', ')})`
}

function formatSlot(slot: Slot): string {
  return [
    formatExerciseRef(slot.exercise, slot.intent),
    slot.credits && formatCredits(slot.credits),
    slot.note && `note ${quoted(slot.note)}`,
    slot.role && `role ${slot.role}`,
    formatScheme(slot.scheme),
  ]
    .filter(Boolean)
    .join(' ')
}

/** One grouping in one line; straight sets of one exercise need no heading. */
export function formatGrouping(grouping: Grouping): string {
  const { kind, placement, slots } = grouping
  const placed = PLACEMENTS.find(([candidate]) => candidate === placement)?.[1]
  const isInRounds = kind !== 'straight'
  const options = [
    grouping.part && `part ${quoted(grouping.part)}`,
    isInRounds &&
      grouping.restBetweenPartners &&
      `between ${formatRestValue(grouping.restBetweenPartners)}`,
    isInRounds && grouping.restAfterRound && `after ${formatRestValue(grouping.restAfterRound)}`,
    grouping.restAfterGrouping && `afterwards ${formatRestValue(grouping.restAfterGrouping)}`,
    isInRounds &&
      grouping.changeOverSeconds !== undefined &&
      `change-over ${grouping.changeOverSeconds}s`,
    grouping.sameMuscleIntended && 'same muscle',
    grouping.replaceable && 'replaceable',
    grouping.turn && `turn ${grouping.turn.at} of ${grouping.turn.of}`,
    grouping.onlyIf && `if ${quoted(grouping.onlyIf)}`,
  ].filter(Boolean)
  const body = slots.map(formatSlot).join(' & ')
  if (!placed && kind === 'straight' && options.length === 0)
    return slots.length === 1 ? body : `straight: ${body}`
  const heading = [placed, kind === 'straight' && placed ? '' : kind].filter(Boolean).join(' ')
  return `${[heading, ...options].join(', ')}: ${body}`
}

/** A whole session, line by line; ids are not part of it. */
export function formatSession(session: Session): string {
  return [
    session.name && `session ${quoted(session.name)}`,
    ...(session.preparation ?? []).map(
      ({ minutes, what, onlyIf }) =>
        `prepare ${minutes} min ${quoted(what)}${onlyIf ? ` if ${quoted(onlyIf)}` : ''}`,
    ),
    session.restBetweenMuscles && `between muscles ${formatRestValue(session.restBetweenMuscles)}`,
    ...session.groupings.map(formatGrouping),
  ]
    .filter(Boolean)
    .join('\n')
}

// ── reading ───────────────────────────────────────────────────────────────

function takeCredits(cursor: Cursor): Credits | undefined {
  if (!cursor.takeMark('(')) return undefined
  const credits: Partial<Record<Group, number>> = {}
  do {
    const group =
      GROUPS.find(candidate => cursor.takeWords(candidate)) ??
      cursor.fail('a muscle group such as triceps')
    credits[group] = Number((cursor.takeShape(NUMBER) ?? cursor.fail('a credit such as 0.5'))[0])
  } while (cursor.takeMark(','))
  return cursor.takeMark(')') ? credits : cursor.fail(')')
}

function requireRole(cursor: Cursor): SlotRole {
  return SLOT_ROLES.find(role => cursor.takeWords(role)) ?? cursor.fail(SLOT_ROLES.join(', '))
}

function requireSlot(cursor: Cursor, newId: () => string): Slot {
  const { id, intent } = requireExerciseRef(cursor)
  const credits = takeCredits(cursor)
  const note = cursor.takeWords('note') ? requireText(cursor) : undefined
  const role = cursor.takeWords('role') ? requireRole(cursor) : undefined
  return {
    id: slotId(newId()),
    exercise: exerciseId(id),
    intent,
    ...(credits && { credits }),
    ...(note !== undefined && { note }),
    ...(role && { role }),
    scheme: takeScheme(cursor),
  }
}

interface Heading {
  readonly kind: GroupingKind
  readonly placement: Placement
  readonly options: Partial<Grouping>
}

function takeHeading(cursor: Cursor): Heading {
  const placement = PLACEMENTS.find(([, words]) => cursor.takeWords(...words.split(' ')))?.[0]
  const kind = KINDS.find(word => cursor.takeWords(word))
  if (!placement && !kind) return { kind: 'straight', placement: 'main', options: {} }
  const options: Record<string, unknown> = {}
  const known = kind === 'straight' ? OPTIONS.filter(([, key]) => !OF_ROUNDS.has(key)) : OPTIONS
  while (cursor.takeMark(',')) requireOption(cursor, options, known)
  if (!cursor.takeMark(':')) cursor.fail(':', ', after 90s', ', between 15s')
  return { kind: kind ?? 'straight', placement: placement ?? 'main', options }
}

const OPTIONS: readonly (readonly [
  words: string,
  key: string,
  value: (cursor: Cursor) => unknown,
])[] = [
  ['part', 'part', requireText],
  ['between', 'restBetweenPartners', requireRestValue],
  ['after', 'restAfterRound', requireRestValue],
  ['afterwards', 'restAfterGrouping', requireRestValue],
  ['change-over', 'changeOverSeconds', requireSeconds],
  ['same muscle', 'sameMuscleIntended', () => true],
  ['replaceable', 'replaceable', () => true],
  ['turn', 'turn', requireTurn],
  ['if', 'onlyIf', requireText],
]

/** What only says something where exercises are done by turns; straight sets rest by their own `rest`. */
const OF_ROUNDS: ReadonlySet<string> = new Set([
  'restBetweenPartners',
  'restAfterRound',
  'changeOverSeconds',
])

function requireOption(
  cursor: Cursor,
  options: Record<string, unknown>,
  known: typeof OPTIONS,
): void {
  const { at, end } = cursor.place()
  const option =
    known.find(([words]) => cursor.takeWords(...words.split(' '))) ??
    cursor.fail(...known.map(([words]) => words))
  const [words, key, value] = option
  if (key in options) stop({ kind: 'repeated', at, end, found: words })
  options[key] = value(cursor)
}

function requireTurn(cursor: Cursor): Grouping['turn'] {
  const number = () => Number((cursor.takeShape(NUMBER) ?? cursor.fail('a number'))[0])
  const at = number()
  return cursor.takeWords('of') ? { at, of: number() } : cursor.fail('of')
}

function takeGrouping(cursor: Cursor, newId: () => string): Grouping {
  const { kind, placement, options } = takeHeading(cursor)
  const first = requireSlot(cursor, newId)
  const others: Slot[] = []
  while (cursor.takeMark('&')) others.push(requireSlot(cursor, newId))
  return { id: groupingId(newId()), kind, placement, ...options, slots: [first, ...others] }
}

/**
 * The grouping that a line describes.
 *
 * Errors: the first problem with its place in the line. Whether the exercises exist is for the plan's contract to say.
 */
export function parseGrouping(
  line: string,
  newId: () => string,
): Result<Grouping, ShorthandProblem> {
  return attempt(line, cursor => takeGrouping(cursor, newId))
}

interface Lines {
  name?: string
  preparation: Preparation[]
  restBetweenMuscles?: Session['restBetweenMuscles']
  groupings: Grouping[]
}

function takeLine(cursor: Cursor, lines: Lines, newId: () => string): void {
  if (cursor.takeWords('session')) lines.name = requireText(cursor)
  else if (cursor.takeWords('between', 'muscles'))
    lines.restBetweenMuscles = requireRestValue(cursor)
  else if (cursor.takeWords('prepare')) {
    const minutes = Number((cursor.takeShape(NUMBER) ?? cursor.fail('minutes such as 5 min'))[0])
    if (!cursor.takeWords('min')) cursor.fail('min')
    const what = requireText(cursor)
    lines.preparation.push({
      minutes,
      what,
      ...(cursor.takeWords('if') && { onlyIf: requireText(cursor) }),
    })
  } else lines.groupings.push(takeGrouping(cursor, newId))
}

const NO_GROUPING = /^\s*(?:$|session\b|prepare\b|between\s+muscles\b)/

/** Where each grouping of a session's text stands, in characters from 0; one place per grouping, in order. */
export function groupingPlaces(
  text: string,
): readonly { readonly at: number; readonly end: number }[] {
  let at = 0
  return text.split('\n').flatMap(line => {
    const place = { at, end: at + line.length }
    at += line.length + 1
    return NO_GROUPING.test(line) ? [] : [place]
  })
}

/** The session that some lines describe; a problem is placed in the whole text. */
export function parseSession(text: string, newId: () => string): Result<Session, ShorthandProblem> {
  const lines: Lines = { preparation: [], groupings: [] }
  let at = 0
  for (const line of text.split('\n')) {
    if (line.trim() !== '') {
      const result = attempt(line, cursor => takeLine(cursor, lines, newId))
      if (!result.ok)
        return {
          ok: false,
          error: { ...result.error, at: result.error.at + at, end: result.error.end + at },
        }
    }
    at += line.length + 1
  }
  const { name, preparation, restBetweenMuscles, groupings } = lines
  return {
    ok: true,
    value: {
      id: sessionId(newId()),
      ...(name !== undefined && { name }),
      ...(preparation.length > 0 && { preparation }),
      groupings,
      ...(restBetweenMuscles && { restBetweenMuscles }),
    },
  }
}
