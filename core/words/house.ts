import { addDays, daysBetween, failure, type PlainDate, type Result, success } from '../base'
import { type House, MOST_CLOSED, MOST_COACHES, secondsOf } from '../follow/floor'
import { daySentence, formatWholeDay, readDay } from './readDay'

/** A studio's hours and days as they are typed. */
export interface TypedHouse {
  readonly opens: string
  readonly closes: string
  readonly coaches: string
  readonly closed: string
}
export type HouseField = keyof TypedHouse

const CLOCK = /^(\d{1,2})(?:[:.h](\d{2}))?$/

/** `6`, `6:30` and `06.30` as clocks; null where it is none. */
function readClock(text: string): string | null {
  const [, hours = '', minutes = '00'] = CLOCK.exec(text.trim()) ?? []
  if (hours === '' || Number(hours) > 23 || Number(minutes) > 59) return null
  return `${hours.padStart(2, '0')}:${minutes}`
}

/** Days with semicolons between them; `3 May 2027 to 10 May 2027` is every day from one to the other. */
function readClosed(text: string, today: PlainDate): Result<readonly PlainDate[], string> {
  const found = new Set<PlainDate>()
  const parts = text
    .split(/[;\n]/)
    .map(part => part.trim())
    .filter(part => part !== '')
  for (const part of parts) {
    const [first = '', last = first] = part.split(/\s+to\s+/i)
    const ends = [first, last].map(day => readDay(day, today))
    const [from, until] = ends
    if (!from?.ok || !until?.ok) {
      const wrong = ends.find(end => !end.ok)
      return failure(wrong && !wrong.ok ? daySentence(wrong.error, part, today) : '')
    }
    const days = daysBetween(from.value, until.value)
    if (days < 0) return failure(`“${part.slice(0, 40)}” ends before it begins; turn it round.`)
    if (found.size + days >= MOST_CLOSED)
      return failure(`More than ${MOST_CLOSED} days; leave out those that are over.`)
    for (let at = 0; at <= days; at++) found.add(addDays(from.value, at))
  }
  return success([...found].sort())
}

/** Hours and days as they are typed; a sentence for each field that is not read. What is empty was not said. */
export function readHouse(
  typed: TypedHouse,
  today: PlainDate,
): { readonly house: House; readonly complaints: Readonly<Partial<Record<HouseField, string>>> } {
  const [opens, closes] = [typed.opens, typed.closes].map(text =>
    text.trim() === '' ? undefined : readClock(text),
  )
  const coaches = typed.coaches.trim()
  const isCount = /^\d+$/.test(coaches) && Number(coaches) >= 1 && Number(coaches) <= MOST_COACHES
  const closed = readClosed(typed.closed, today)
  const isTurned = opens && closes && secondsOf(closes) <= secondsOf(opens)
  const clock = (text: string) =>
    `“${text.trim().slice(0, 20)}” is no time; type one such as 06:30.`
  return {
    house: {
      ...(opens && { opens }),
      ...(closes && { closes }),
      ...(isCount && { coaches: Number(coaches) }),
      ...(closed.ok && closed.value.length > 0 && { closed: closed.value }),
    },
    complaints: {
      ...(opens === null && { opens: clock(typed.opens) }),
      ...(closes === null && { closes: clock(typed.closes) }),
      ...(isTurned && { closes: 'Closes before it opens; type a later time.' }),
      ...(coaches !== '' &&
        !isCount && { coaches: `Type how many there are, 1 to ${MOST_COACHES}.` }),
      ...(!closed.ok && { closed: closed.error }),
    },
  }
}

/** What reads as these hours and days. */
export const houseText = ({ opens, closes, coaches, closed = [] }: House): TypedHouse => ({
  opens: opens ?? '',
  closes: closes ?? '',
  coaches: coaches === undefined ? '' : String(coaches),
  closed: closed.map(formatWholeDay).join('; '),
})
