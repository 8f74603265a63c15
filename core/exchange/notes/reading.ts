import { nameReader } from '../naming'
import type { Catalogue } from '../../plan/catalogue'
import type { DayRole } from '../../plan/rotation'
import type { WeightUnit } from '../../plan/scheme'
import type { GroupingKind, Placement } from '../../plan/session'
import { type DayHeading, headingIn, type WeekHeading } from './headings'
import {
  type NotedExercise,
  notedExercise,
  type NoteReading,
  piecesOfLine,
  saysSets,
} from './lines'

export interface NotedLine extends NotedExercise {
  /** The line it stands in, from 1. */
  readonly line: number
}
export interface NotedGroup {
  readonly kind: GroupingKind
  readonly placement: Placement
  readonly exercises: readonly NotedLine[]
}
export interface NotedDay {
  /** As it was written; empty for what stands before the first heading. */
  readonly title: string
  readonly weekdays: readonly number[]
  readonly number: number | undefined
  readonly role: DayRole | undefined
  readonly minutes: number | undefined
  readonly groups: readonly NotedGroup[]
}
/** A line that says something no exercise, day or week is made from. */
export interface UnreadLine {
  readonly line: number
  readonly text: string
}
export interface NotedPlan {
  /** The first week, or everything where no weeks are named. */
  readonly days: readonly NotedDay[]
  /** How many weeks are named, and which of them are easier; none where no week is named. */
  readonly weeks: { readonly count: number; readonly deloads: readonly number[] } | undefined
  /** Weeks that are written out and differ from the first: they are told, not taken. */
  readonly otherWeeks: readonly number[]
  readonly unread: readonly UnreadLine[]
}

interface OpenGroup extends NotedGroup {
  readonly exercises: NotedLine[]
  /** `A` of A1 and A2, which are done together. */
  readonly letter?: string
}
interface OpenDay extends Omit<NotedDay, 'groups'> {
  readonly groups: OpenGroup[]
}
interface OpenWeek {
  readonly from: number
  readonly to: number
  readonly days: readonly OpenDay[]
}

const LABEL =
  /^\s*(?:[-*•·>–—]+\s+|#+\s+|\[[ x]\]\s+|\d{1,2}[.)]\s+(?!\d)|([a-z])\s?(\d)[.):]?\s+|([a-z])[.)]\s+)/i
/** `C hammer curl 2x15`: a capital by itself. */
const CAPITAL = /^\s*([A-H])\s+(?=\p{L}{2})/u
const PLACED: readonly (readonly [Placement, RegExp])[] = [
  [
    'warmup',
    /^(?:warm[- ]?ups?|w\/u|aufwarmen|aufwärmen|echauffement|échauffement|calentamiento)\s*[:–-]?\s*/i,
  ],
  ['finisher', /^finishers?\s*[:–-]?\s*/i],
]
const TOGETHER_HEAD: readonly (readonly [GroupingKind, RegExp])[] = [
  ['superset', /^(?:super ?sets?|ss|supersatz)\s*[:–-]\s*/i],
  ['circuit', /^(?:circuits?|giant sets?|zirkel)\s*[:–-]\s*/i],
]

const openDay = (heading?: DayHeading): OpenDay => ({
  title: heading?.title ?? '',
  weekdays: heading?.weekdays ?? [],
  number: heading?.number,
  role: heading?.role,
  minutes: heading?.minutes,
  groups: [],
})

/** A beginning of a line that names a day: `Mon push: bench 4x8`, `Push - bench 4x8`, `Day 1 | bench 4x8`. */
function headed(text: string): { readonly heading: DayHeading; readonly rest: string } | undefined {
  for (const cut of [/:\s*/, /\s+[-–—|]\s+/]) {
    const found = cut.exec(text)
    if (!found) continue
    const heading = headingIn(text.slice(0, found.index))
    if (heading?.kind === 'day') return { heading, rest: text.slice(found.index + found[0].length) }
  }
  return headedWithoutSign(text)
}

const MOST_HEADING_WORDS = 4
/** `Mon push bench 4x8`, `day1 bench 4x8`: a weekday or a numbered day, and on it goes. */
function headedWithoutSign(
  text: string,
): { readonly heading: DayHeading; readonly rest: string } | undefined {
  const words = text.trim().split(/\s+/)
  if ((words[0]?.length ?? 0) < 3) return undefined
  for (let count = Math.min(MOST_HEADING_WORDS, words.length - 1); count >= 1; count--) {
    const heading = headingIn(words.slice(0, count).join(' '))
    if (heading?.kind === 'day' && (heading.weekdays.length > 0 || heading.number !== undefined))
      return { heading, rest: words.slice(count).join(' ') }
  }
  return undefined
}

const dayCalled = (title: string): DayHeading => ({
  kind: 'day',
  title: title.trim(),
  weekdays: [],
  number: undefined,
  role: undefined,
  minutes: undefined,
})

/** A row of a table: one exercise, whatever signs stand in it. */
const oneOf = (body: string): Line => ({
  body,
  letter: undefined,
  placement: 'main',
  kind: undefined,
  isOne: true,
})

/** What stands before an exercise in its line. */
interface Line {
  readonly body: string
  readonly letter: string | undefined
  readonly placement: Placement
  readonly kind: GroupingKind | undefined
  readonly isOne?: boolean
}
function lineOf(text: string): Line {
  const label = LABEL.exec(text) ?? CAPITAL.exec(text)
  const [, letterOfPair, , letterAlone] = label ?? []
  let body = label ? text.slice(label[0].length) : text.trim()
  const placed = PLACED.find(([, spelling]) => spelling.test(body))
  if (placed) body = body.replace(placed[1], '')
  const together = TOGETHER_HEAD.find(([, spelling]) => spelling.test(body))
  if (together) body = body.replace(together[1], '')
  return {
    body: body.replace(/\*\*|__/g, ' ').trim(),
    letter: (letterOfPair ?? letterAlone)?.toLowerCase(),
    placement: placed?.[0] ?? 'main',
    kind: together?.[0],
  }
}

/**
 * A plan out of notes: a session, a week or several weeks, as a coach jots them down.
 *
 * Shape:  days in the order of the text with their exercises and sets; nothing is lost: what is not understood stands in
 *         `unread`, an unknown name in its line with what comes near.
 * Edge:   of several weeks the first is read, and those that differ from it are named; a text without headings is one day.
 * Source: docs/formats.md#plans-from-notes-and-tables; habits in `core/testing/notesCorpus.ts`.
 */
export function readNotes(text: string, catalogue: Catalogue, unit: WeightUnit = 'kg'): NotedPlan {
  return readRows(
    text.split(/\r?\n/).map((line, at) => ({ line: at + 1, text: line })),
    catalogue,
    unit,
  )
}

/** A line as it was written, or what a table says in its place. */
export interface Written {
  /** Where it stands, from 1. */
  readonly line: number
  readonly text: string
  /** It names a day, whatever its words are. */
  readonly isDay?: boolean
  /** It is one exercise, however many signs stand in it. */
  readonly isOne?: boolean
}

/** As `readNotes`, of lines that come with their places. */
export function readRows(
  lines: readonly Written[],
  catalogue: Catalogue,
  unit: WeightUnit,
): NotedPlan {
  const reader = notesReader({ read: nameReader(catalogue), unit })
  for (const line of lines) reader.take(line)
  return reader.read()
}

/** Takes a text line by line. */
function notesReader(reading: NoteReading) {
  const weeks: OpenWeek[] = []
  const deloads = new Set<number>()
  const unread: UnreadLine[] = []
  let days: OpenDay[] = []
  const current = (): OpenDay => {
    if (days.length === 0) days.push(openDay())
    return days.at(-1)!
  }
  function beginWeek({ from, to, isDeload }: WeekHeading): void {
    for (let week = from; isDeload && week <= to; week++) deloads.add(week)
    days = []
    weeks.push({ from, to, days })
  }
  function takeExercises(own: Line, line: number, raw: string): void {
    const groups = groupsIn(own, line, reading)
    if (groups.every(({ exercises }) => exercises.every(isRemark)))
      return void unread.push({ line, text: raw.trim() })
    for (const group of groups) {
      const before = current().groups.at(-1)
      if (group.letter !== undefined && before?.letter === group.letter)
        before.exercises.push(...group.exercises)
      else current().groups.push(group)
    }
  }
  function take({ line, text: raw, isDay, isOne }: Written): void {
    if (raw.trim() === '' || /^[\s=_*-]+$/.test(raw)) return
    if (isOne) return takeExercises(oneOf(raw), line, raw)
    const heading = saysSets(raw) ? undefined : headingIn(raw)
    if (isDay && heading?.kind !== 'day') return void days.push(openDay(dayCalled(raw)))
    if (heading?.kind === 'week') return beginWeek(heading)
    if (heading) return void days.push(openDay(heading))
    const begun = headed(raw)
    if (begun) days.push(openDay(begun.heading))
    const own = lineOf(begun ? begun.rest : raw)
    if (own.body !== '') takeExercises(own, line, raw)
  }
  return { take, read: () => planOf({ weeks, days, deloads, unread }) }
}

interface Taken {
  readonly weeks: readonly OpenWeek[]
  /** The days since the last week was named; all of them where none was. */
  readonly days: readonly OpenDay[]
  readonly deloads: ReadonlySet<number>
  readonly unread: readonly UnreadLine[]
}

function planOf({ weeks, days, deloads, unread }: Taken): NotedPlan {
  const written = weeks.filter(week => week.days.length > 0)
  const first = written[0]?.days ?? days
  return {
    days: first.map(closed),
    weeks:
      weeks.length > 0
        ? { count: Math.max(...weeks.map(({ to }) => to)), deloads: [...deloads] }
        : undefined,
    otherWeeks: written
      .slice(1)
      .filter(week => shapeOf(week.days) !== shapeOf(first))
      .map(({ from }) => from),
    unread,
  }
}

/** Words that name neither an exercise nor sets: told, but no question. */
const isRemark = ({ exercise, scheme, setCount, unread }: NotedLine) =>
  exercise === undefined && !scheme && setCount === undefined && unread === undefined

/** The exercises of a line, in the groups they are done in. */
function groupsIn(
  { body, letter, placement, kind, isOne }: Line,
  line: number,
  reading: NoteReading,
): readonly OpenGroup[] {
  const groups = (isOne ? [[body]] : piecesOfLine(body))
    .map(parts =>
      parts
        .flatMap(part => notedExercise(part, reading) ?? [])
        .map(exercise => ({ ...exercise, line })),
    )
    .filter(group => group.length > 0)
  const together = kind === undefined || groups.length === 0 ? groups : [groups.flat()]
  return together.map(exercises => ({
    kind: kind ?? 'superset',
    placement,
    exercises,
    ...(letter !== undefined && { letter }),
  }))
}

const shapeOf = (days: readonly OpenDay[]) =>
  JSON.stringify(
    days.map(({ groups }) =>
      groups.map(({ exercises }) =>
        exercises.map(({ name, scheme }) => [name.toLowerCase(), scheme]),
      ),
    ),
  )

function closed(day: OpenDay): NotedDay {
  return {
    ...day,
    groups: day.groups.map(({ kind, placement, exercises }) => ({
      kind: exercises.length > 1 ? kind : 'straight',
      placement,
      exercises,
    })),
  }
}
