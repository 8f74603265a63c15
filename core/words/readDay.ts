import {
  addDays,
  daysBetween,
  failure,
  isPlainDate,
  type PlainDate,
  type Result,
  success,
} from '../base'
import { formatDay } from './dates'
import { DATE_NAMES } from './dateNames'
import { writing } from './writing'

/** Why a text is no day. */
export type DayProblem = 'unreadable' | 'no_such_day'

/** Days of other names than a date, in English as everywhere. */
const BESIDES: Readonly<Record<string, number>> = { yesterday: -1, today: 0, tomorrow: 1 }
const LEAST_LETTERS = 3
/** A day without a year is the one nearest to today. */
const HALF_A_YEAR = 183

const plain = (word: string) =>
  word
    .normalize('NFD')
    .replace(/\p{Mn}/gu, '')
    .toLowerCase()

/** The month a word names in any of the languages, from 1; long names are read by their beginning. */
function monthNamed(word: string): number | undefined {
  if (word.length < LEAST_LETTERS) return undefined
  const names = [writing().language, ...Object.keys(DATE_NAMES)] as (keyof typeof DATE_NAMES)[]
  for (const language of names) {
    const at = DATE_NAMES[language].months
      .map(plain)
      .findIndex(month => word.startsWith(month) || month.startsWith(word))
    if (at >= 0) return at + 1
  }
  return undefined
}
/** Names of weekdays; `mar`, which is a month to others, is not one of them. */
const isWeekday = (word: string) =>
  monthNamed(word) === undefined &&
  Object.values(DATE_NAMES).some(({ weekdays }) =>
    weekdays
      .map(plain)
      .some(day => word === day || (day.length >= LEAST_LETTERS && word.startsWith(day))),
  )

function dayOf(year: number, month: number, day: number): Result<PlainDate, DayProblem> {
  const two = (part: number) => String(part).padStart(2, '0')
  const text = `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`
  return isPlainDate(text) ? success(text) : failure('no_such_day')
}

/** The day of that month that is nearest to today; the 29th of February may be years away. */
function nearest(month: number, day: number, today: PlainDate): Result<PlainDate, DayProblem> {
  const year = Number(today.slice(0, 4))
  const found = [0, 1, -1, 2, -2, 3, -3, 4]
    .map(away => dayOf(year + away, month, day))
    .flatMap(read => (read.ok ? [read.value] : []))
  const close = found.find(on => Math.abs(daysBetween(today, on)) <= HALF_A_YEAR) ?? found[0]
  return close ? success(close) : failure('no_such_day')
}

const longYear = (digits: string) => (digits.length === 2 ? 2000 + Number(digits) : Number(digits))

/** Day and month from figures alone: with points the day is first, else as the reader has dates written. */
function fromFigures(parts: readonly string[], isPointed: boolean, today: PlainDate) {
  const [first, second, year] = parts.map(Number)
  if (first === undefined || second === undefined) return failure('unreadable' as const)
  const isMonthFirst = second > 12 || (!isPointed && writing().dates === 'month_day' && first <= 12)
  const [day, month] = isMonthFirst ? [second, first] : [first, second]
  return year === undefined ? nearest(month, day, today) : dayOf(longYear(parts[2]!), month, day)
}

function fromWords(words: readonly string[], today: PlainDate): Result<PlainDate, DayProblem> {
  const rest = words.filter(word => !isWeekday(word))
  const months = rest.filter(word => monthNamed(word) !== undefined)
  // `Mar` is Tuesday to some; where a month stands beside it, it is the weekday.
  const month = monthNamed(months.at(-1) ?? '')
  const figures = rest.filter(word => /^\d+$/.test(word))
  const isKnown = rest.every(word => /^\d+$/.test(word) || monthNamed(word) !== undefined)
  if (month === undefined || !isKnown || figures.length === 0 || figures.length > 2)
    return failure('unreadable')
  const [day, year] = figures
  if (day!.length > 2) return failure('unreadable')
  return year === undefined
    ? nearest(month, Number(day), today)
    : year.length === 4
      ? dayOf(Number(year), month, Number(day))
      : failure('unreadable')
}

/**
 * A day as a hand types it: `28 Nov`, `Sat 28 Nov 2026`, `Nov 28`, `28.11.`, `11/28`, `2026-11-28`, `today`, `+3`.
 *
 * Edge:   without a year the day nearest to `today`; two figures of a year are of this century.
 * Errors: `unreadable`, or `no_such_day` for the 30th of February.
 */
export function readDay(text: string, today: PlainDate): Result<PlainDate, DayProblem> {
  const typed = plain(text.trim())
  const besides = BESIDES[typed]
  if (besides !== undefined) return success(addDays(today, besides))
  const steps = /^([+-])(\d{1,3})$/.exec(typed)
  if (steps) return success(addDays(today, Number(`${steps[1]}${steps[2]}`)))
  const whole = /(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(typed)
  if (whole) return dayOf(Number(whole[1]), Number(whole[2]), Number(whole[3]))
  const words = typed.split(/[\s,.'/-]+/).filter(Boolean)
  const figures = words.filter(word => !isWeekday(word))
  if (figures.every(word => /^\d{1,2}$/.test(word) || /^\d{4}$/.test(word)))
    return figures.length >= 2 && figures.length <= 3
      ? fromFigures(figures, typed.includes('.'), today)
      : failure('unreadable')
  return fromWords(words, today)
}

/** `Sat 28 Nov 2026`: a day as fields have it, in the form of the reader at hand. */
export function formatWholeDay(date: PlainDate): string {
  const { dates } = writing()
  if (dates === 'year_first') return formatDay(date)
  const year = date.slice(0, 4)
  return dates === 'month_day' ? `${formatDay(date)}, ${year}` : `${formatDay(date)} ${year}`
}

/** What is wrong with a day that was typed, and how it may be written. */
export function daySentence(problem: DayProblem, text: string, today: PlainDate): string {
  const typed = `“${text.trim().slice(0, 30)}”`
  return problem === 'no_such_day'
    ? `${typed} is not in the calendar. Check the day and the month.`
    : `${typed} is no day. Write it like ${formatWholeDay(today)}, or choose it in the calendar.`
}
