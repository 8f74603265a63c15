import { leftWords, formatSets, NBSP } from '#core/words'
import { instantWords } from '~/shell/instantWords'
import {
  type DonePart,
  type LogEntry,
  type LogWord,
  movementOf,
  placeKey,
  prefillOf,
  type SessionStanding,
  sessionStanding,
  type SetPlace,
  type SheetExercise,
  type SheetMovement,
  type StandingTurn,
  turnsOf,
} from '#core/follow/sheet'
import { LAPSE_WORDS, type SetLapse } from '#core/body/log'
import type { ReportedEntry, SessionLog } from '#shared/contracts/log'

/** An earlier or other value of a place, with who said it. */
export interface OtherValue {
  readonly key: string
  readonly words: string
  readonly by: string
  readonly at: string
  /** Kept aside: the coach may take it. */
  readonly isAside: boolean
  readonly done: DonePart
}

/** What the three fields of a line hold, as typed. */
export interface LineFields {
  readonly load: string
  readonly count: string
  readonly rir: string
}

export const NOTHING_TYPED: LineFields = { load: '', count: '', rir: '' }

/** One line to fill in: a set, or a part of one. */
export interface LogLine extends LineFields {
  readonly key: string
  readonly place: SetPlace
  readonly name: string
  readonly planned: string
  readonly hasLoad: boolean
  readonly isSeconds: boolean
  /** What the fields would hold as planned. */
  readonly usual: LineFields
  readonly state: 'empty' | 'done'
  readonly others: readonly OtherValue[]
  readonly movement: SheetMovement
  /** Said with it: cut short, loose, helped. */
  readonly lapses: readonly SetLapse[]
}

export interface LogBlock {
  readonly slot: string
  readonly letter: string
  readonly name: string
  readonly planned: string
  readonly swappedFrom: string
  readonly isSkipped: boolean
  readonly lines: readonly LogLine[]
}

/** A log with what follows from it: what was there before entries were kept, and what stands now. */
export interface StandingLog {
  readonly log: SessionLog
  readonly base: readonly LogEntry[]
  readonly standing: SessionStanding
}

type SetEntry = LogEntry & { readonly word: Extract<LogWord, { kind: 'set' }> }
type Reported<Kind extends LogWord['kind']> = ReportedEntry & {
  readonly word: Extract<LogWord, { kind: Kind }>
}

const BASE = 'base'
const AUTHORS = { client: 'client', coach: 'you', import: 'as it came in' } as const
const ASIDE_WORDS = {
  conflict: 'from another phone',
  too_old: 'sent late',
  unknown_session: '',
  taken: '',
} as const

const figure = (value: number | null | undefined) =>
  value === null || value === undefined ? '' : formatSets(value)
const isSet = (entry: LogEntry): entry is SetEntry => entry.word.kind === 'set'
const isOfKind =
  <Kind extends LogWord['kind']>(kind: Kind) =>
  (entry: ReportedEntry): entry is Reported<Kind> =>
    entry.word.kind === kind

export function standingLog(log: SessionLog): StandingLog {
  const base = log.base.map((word, at): LogEntry => ({
    id: `${BASE} ${at}`,
    at: log.finish?.at ?? '',
    word,
  }))
  const taken = log.entries.filter(({ outcome }) => outcome === 'taken')
  return { log, base, standing: sessionStanding([...base, ...taken]) }
}

function doneWords({ load, reps, seconds, rir, isRirOpen, lapses }: DonePart): string {
  const count = reps ?? seconds
  return [
    load ? `${formatSets(load.amount)}${NBSP}${load.unit}` : '',
    count === null ? '' : `${load ? '× ' : ''}${formatSets(count)}${seconds === null ? '' : ' s'}`,
    rir === null ? '' : leftWords(rir, isRirOpen),
    ...(lapses ?? []).map(lapse => LAPSE_WORDS[lapse]),
  ]
    .filter(Boolean)
    .join(' ')
}

function fieldsOf(done: DonePart | undefined): LineFields {
  return {
    load: figure(done?.load?.amount),
    count: figure(done?.reps ?? done?.seconds),
    rir: done?.isRirOpen ? '4+' : figure(done?.rir),
  }
}

/** Everything ever said about a place but what stands there now, the latest first. */
function othersAt({ log, base, standing }: StandingLog, key: string): readonly OtherValue[] {
  const now = standing.done.get(key)?.entry
  const isOther = ({ word, id }: SetEntry) => placeKey(word.place) === key && id !== now
  const earlier = base
    .filter(isSet)
    .filter(isOther)
    .map(({ word, id, at }) => ({
      key: id,
      words: doneWords(word.done),
      by: 'client',
      at: at && instantWords(at),
      isAside: false,
      done: word.done,
    }))
  const said = log.entries
    .filter(isOfKind('set'))
    .filter(isOther)
    .map(({ id, word, author, at, outcome }) => ({
      key: id,
      words: doneWords(word.done),
      by: [AUTHORS[author], ASIDE_WORDS[outcome]].filter(Boolean).join(', '),
      at: instantWords(at),
      isAside: outcome !== 'taken',
      done: word.done,
    }))
  return [...earlier, ...said].reverse()
}

function nameOfPart(turn: StandingTurn, { part }: StandingTurn['parts'][number]): string {
  const side = part.side === null ? '' : part.side === 'left' ? ' L' : ' R'
  const stage = part.stage > 1 ? `, part ${part.stage}` : ''
  return `${turn.plan.role === 'warmup' ? 'warm-up ' : ''}${turn.plan.number}${stage}${side}`
}

function linesOfTurn(
  turn: StandingTurn,
  turns: readonly StandingTurn[],
  movement: SheetMovement,
  held: StandingLog,
): readonly LogLine[] {
  return turn.parts.map((one, at): LogLine => {
    const { part, place, standing } = one
    const { amount, count, rir } = prefillOf(turn, at, turns, movement)
    const key = placeKey(place)
    return {
      key,
      place,
      name: nameOfPart(turn, one),
      movement,
      planned: part.words,
      hasLoad: part.kind === 'work' && part.load.kind !== 'none',
      isSeconds: part.kind === 'hold' || movement.countUnit === 'seconds',
      state: standing ? 'done' : 'empty',
      ...fieldsOf(standing?.done),
      lapses: standing?.done.lapses ?? [],
      usual: { load: figure(amount), count: figure(count), rir: figure(rir) },
      others: othersAt(held, key),
    }
  })
}

function plannedBlock(
  exercise: SheetExercise,
  turns: readonly StandingTurn[],
  held: StandingLog,
): LogBlock {
  const movement = movementOf(exercise, held.standing)
  const own = turns.filter(({ slot }) => slot === exercise.slot)
  return {
    slot: exercise.slot,
    letter: exercise.letter,
    name: movement.name,
    swappedFrom: movement.exercise === exercise.exercise ? '' : exercise.name,
    isSkipped: held.standing.skipped.has(exercise.slot),
    planned: `${own.filter(({ plan }) => plan.role !== 'warmup').length} sets`,
    lines: own.flatMap(turn => linesOfTurn(turn, turns, movement, held)),
  }
}

/** A line of an exercise nobody prescribed: what is known of it is what was logged. */
function unplannedLine({ place, done }: SetEntry['word'], held: StandingLog): LogLine {
  const key = placeKey(place)
  const isSeconds = done.seconds !== null
  return {
    key,
    place,
    name: `${place.set}${place.stage > 1 ? `, part ${place.stage}` : ''}`,
    planned: '',
    hasLoad: true,
    isSeconds,
    state: 'done',
    ...fieldsOf(done),
    lapses: done.lapses ?? [],
    usual: NOTHING_TYPED,
    others: othersAt(held, key),
    movement: {
      exercise: done.exercise,
      intent: done.intent,
      name: done.exercise.replaceAll('_', ' '),
      how: '',
      cues: [],
      cautions: [],
      countUnit: isSeconds ? 'seconds' : 'reps',
      scale: { unit: done.load?.unit ?? 'kg', grid: { kind: 'none' }, words: '', bar: null },
      stress: {},
      last: null,
      setUp: { fields: [], planned: null, last: null },
    },
  }
}

/** What was done besides the plan: sets of exercises nobody prescribed. */
function unplannedBlocks(held: StandingLog, planned: ReadonlySet<string>): readonly LogBlock[] {
  const { log, base, standing } = held
  const words = [...base, ...log.entries.filter(({ outcome }) => outcome === 'taken')]
    .filter(isSet)
    .map(({ word }) => word)
    .filter(({ place }) => !planned.has(placeKey(place)) && standing.done.get(placeKey(place)))
  const exercises = [...new Set(words.map(({ done }) => done.exercise))]
  return exercises.map(exercise => ({
    slot: exercise,
    letter: '+',
    name: exercise.replaceAll('_', ' '),
    planned: 'not in the plan',
    swappedFrom: '',
    isSkipped: false,
    lines: words
      .filter(({ done }) => done.exercise === exercise)
      .map(word => unplannedLine(word, held)),
  }))
}

/** A session exercise by exercise, as prescribed beside as done; what was done besides comes last. */
export function logBlocks(held: StandingLog): readonly LogBlock[] {
  const { session } = held.log
  const turns = turnsOf(session, held.standing)
  const planned = session.exercises.map(exercise => plannedBlock(exercise, turns, held))
  const keys = planned.flatMap(({ lines }) => lines.map(({ key }) => key))
  return [...planned, ...unplannedBlocks(held, new Set(keys))]
}

/** Pain reported in a session. */
export function painsIn({ entries }: SessionLog) {
  return entries
    .filter(isOfKind('pain'))
    .map(({ id, word, at }) => ({ id, ...word, at: instantWords(at) }))
}

/** What stands at a line, for the server to know what is replaced; what came without entries has none. */
export function entryAt({ standing }: StandingLog, place: SetPlace): string | null {
  const held = standing.done.get(placeKey(place))
  return !held || held.entry.startsWith(BASE) ? null : held.entry
}
