import type { DayRole } from '../../plan/rotation'

/*
 * Lines and beginnings of lines that say which day or week follows. All words are small letters without accents.
 */

const wordTable = <Value>(
  rows: readonly (readonly [Value, string])[],
): ReadonlyMap<string, Value> =>
  new Map(rows.flatMap(([value, words]) => words.split(' ').map(word => [word, value] as const)))

/** 1 is Monday. */
const WEEKDAYS = wordTable<number>([
  [1, 'monday mon mo montag lundi lun lunes mandag man maandag ma lunedi'],
  [2, 'tuesday tue tues tu di dienstag mardi mar martes tirsdag tir dinsdag martedi'],
  [3, 'wednesday wed weds we mi mittwoch mercredi mer miercoles mie onsdag ons woensdag mercoledi'],
  [
    4,
    'thursday thu thur thurs th do donnerstag jeudi jeu jueves jue torsdag tor donderdag giovedi',
  ],
  [5, 'friday fri fr freitag vendredi ven viernes vie fredag fre vrijdag vr venerdi'],
  [6, 'saturday sat sa samstag sonnabend samedi sam sabado sab lordag lor zaterdag za sabato'],
  [7, 'sunday sun su sonntag so dimanche dim domingo dom sondag son zondag zo domenica'],
])
const ROLES = wordTable<DayRole>([
  ['push', 'push pushing druck drucken pousser empuje'],
  ['pull', 'pull pulling zug ziehen tirer tiron jale'],
  ['legs', 'legs leg beine bein jambes piernas bein'],
  ['upper', 'upper oberkorper haut superior overkropp'],
  ['lower', 'lower unterkorper bas inferior underkropp'],
  ['arms', 'arms arm arme bras brazos armer guns'],
  ['full', 'full fullbody ganzkorper complet completo helkropp'],
  ['rest', 'rest off ruhetag pause repos descanso hvile fri frei'],
  ['conditioning', 'cardio conditioning ausdauer'],
])
const DAY_WORDS = new Set(
  'day tag jour dia dag session workout training einheit seance sesion okt trening'.split(' '),
)
const WEEK_WORDS = new Set(
  'w week weeks wk woche wochen semaine semana uke uker semaines semanas weken'.split(' '),
)
/** Words that may stand in a heading beside those above. */
const BESIDE = new Set(
  'body a b c d e i ii iii iv and und et y og heavy light volume strength hypertrophy focus plus the for leicht schwer min mins minutes minuten gym home morning evening x times am pm exercises main work'.split(
    ' ',
  ),
)
const MUSCLES_IN_HEADINGS = new Set(
  'lats lat traps core abs forearms calves glutes chest back shoulders shoulder biceps triceps bis tris delts quads hams brust rucken schulter schultern bizeps trizeps poitrine dos'.split(
    ' ',
  ),
)
const EASIER = new Set('deload entlastung decharge descarga avlastning easy'.split(' '))

export interface DayHeading {
  readonly kind: 'day'
  /** As it was written. */
  readonly title: string
  /** 1 is Monday; several where the line names several. */
  readonly weekdays: readonly number[]
  /** `Day 3`, from 1. */
  readonly number: number | undefined
  readonly role: DayRole | undefined
  readonly minutes: number | undefined
}
export interface WeekHeading {
  readonly kind: 'week'
  readonly from: number
  readonly to: number
  readonly isDeload: boolean
}
export type Heading = DayHeading | WeekHeading

/** Small letters without accents and signs. */
export const plainWords = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replaceAll('ø', 'o')
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .match(/[a-z]+|\d+/g) ?? []

const isNumber = (word: string) => /^\d+$/.test(word)

function weekHeading(words: readonly string[]): WeekHeading | undefined {
  const [first = '', ...others] = words
  const isDeload = words.some(word => EASIER.has(word))
  if (!WEEK_WORDS.has(first) && !(EASIER.has(first) && others.some(word => WEEK_WORDS.has(word))))
    return undefined
  const numbers = words.filter(isNumber).map(Number)
  const rest = words.filter(word => !isNumber(word) && !WEEK_WORDS.has(word) && !EASIER.has(word))
  if (numbers.length === 0 || rest.some(word => word !== 'to' && word !== 'bis' && word !== 'and'))
    return undefined
  return { kind: 'week', from: numbers[0]!, to: numbers[1] ?? numbers[0]!, isDeload }
}

/** `Upper body`, `full body`: the words of a role; `arm day` too. */
function roleIn(words: readonly string[]): DayRole | undefined {
  const found = words.map(word => ROLES.get(word)).filter(role => role !== undefined)
  return found[0]
}

/**
 * The day or week that a line, or the beginning of one, announces; undefined where it is something else.
 *
 * Edge: every word must belong to a heading, so that an exercise is never taken for a day.
 */
export function headingIn(text: string): Heading | undefined {
  const title = text.replace(/^[\s#*_=>-]+|[\s#*_=:.,>–—-]+$/g, '').trim()
  const words = plainWords(title)
  if (words.length === 0 || words.length > 8) return undefined
  const week = weekHeading(words)
  if (week) return week
  const weekdays = words.flatMap(word => WEEKDAYS.get(word) ?? [])
  const role = roleIn(words)
  const hasDayWord = words.some(word => DAY_WORDS.has(word))
  const muscles = words.filter(word => MUSCLES_IN_HEADINGS.has(word))
  const isHeading = words.every(
    word =>
      isNumber(word) ||
      [WEEKDAYS, ROLES].some(table => table.has(word)) ||
      [DAY_WORDS, BESIDE, MUSCLES_IN_HEADINGS].some(table => table.has(word)),
  )
  if (!isHeading || (weekdays.length === 0 && !role && !hasDayWord && muscles.length === 0))
    return undefined
  const minutes = /(\d{2,3})\s*(?:min|mins|minutes|minuten|')/i.exec(title)?.[1]
  const afterWord =
    /(?:day|tag|jour|d[ií]a|dag|session|workout|training|einheit|s[ée]ance)\s*(\d{1,2})(?!\s*min)/i.exec(
      title,
    )?.[1]
  return {
    kind: 'day',
    title,
    weekdays: [...new Set(weekdays)],
    number: afterWord === undefined ? undefined : Number(afterWord),
    role,
    minutes: minutes === undefined ? undefined : Number(minutes),
  }
}

/** Weekdays named in a cell, 1 is Monday: `Mon, Wed & Fri`, `Di/Do`; undefined where something else stands there too. */
export function weekdaysIn(text: string): readonly number[] | undefined {
  const words = plainWords(text).filter(word => !BESIDE.has(word))
  const found = words.map(word => WEEKDAYS.get(word))
  return found.every(day => day !== undefined)
    ? [...new Set(found)].sort((a, b) => a - b)
    : undefined
}
