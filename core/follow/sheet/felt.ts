import type { PlainDate, SlotId } from '../../base'
import type { LogEntry, LogWord } from './entry'
import type { FeltPlace, MoreSaid } from './feelings'
import type { StandingTurn } from './standing'

const isFinal = ({ state }: StandingTurn) => state !== 'open' && state !== 'begun'

/**
 * The exercise to be asked about now: the one whose last set has just been done, unless it was asked about already.
 *
 * Edge: undefined while it has sets to come, where nothing of it was done, and once the next exercise has a set.
 */
export function feltToAsk(
  turns: readonly StandingTurn[],
  last: StandingTurn | undefined,
  felt: ReadonlyMap<SlotId, unknown>,
): SlotId | undefined {
  if (!last || felt.has(last.slot)) return undefined
  return turns.filter(({ slot }) => slot === last.slot).every(isFinal) ? last.slot : undefined
}

/** Where an exercise was felt in a session. */
export interface FeltOn {
  readonly exercise: string
  readonly on: PlainDate
  readonly where: FeltPlace
}

/** How often in a row it takes. */
const IN_A_ROW = 2

/**
 * Exercises that were felt elsewhere the last two times they were asked about.
 *
 * Shape: by exercise, the days latest first, and where it was the last time.
 * Edge:  answers in any order; of two on one day the later counts.
 */
export function feltElsewhere(felt: readonly FeltOn[]): readonly {
  readonly exercise: string
  readonly where: FeltPlace
  readonly days: readonly PlainDate[]
}[] {
  const byExercise = new Map<string, Map<PlainDate, FeltPlace>>()
  for (const { exercise, on, where } of felt) {
    const own = byExercise.get(exercise) ?? new Map<PlainDate, FeltPlace>()
    byExercise.set(exercise, own.set(on, where))
  }
  return [...byExercise].flatMap(([exercise, own]) => {
    const latest = [...own].sort(([a], [b]) => (a < b ? 1 : -1)).slice(0, IN_A_ROW)
    const isTwice = latest.length === IN_A_ROW && latest.every(([, where]) => where !== 'target')
    return isTwice ? [{ exercise, where: latest[0]![1], days: latest.map(([on]) => on) }] : []
  })
}

/** What was said at a session's end besides; only what was said. */
export function moreSaidIn(finish: MoreSaid | null | undefined): MoreSaid {
  const { feelings, word, warmUpMinutes, wayMinutes } = finish ?? {}
  return {
    ...(feelings && { feelings }),
    ...(word !== undefined && { word }),
    ...(warmUpMinutes !== undefined && { warmUpMinutes }),
    ...(wayMinutes !== undefined && { wayMinutes }),
  }
}

/** A session's words about how it was: where its exercises were felt, and what was said at its end; the last word counts. */
export function saidOfSession(entries: readonly LogEntry[]): {
  readonly felt: readonly Extract<LogWord, { kind: 'felt' }>[]
  readonly finish: Extract<LogWord, { kind: 'finish' }> | null
} {
  const felt = new Map<SlotId, Extract<LogWord, { kind: 'felt' }>>()
  let finish: Extract<LogWord, { kind: 'finish' }> | null = null
  for (const { word } of entries) {
    if (word.kind === 'felt') felt.set(word.slot, word)
    if (word.kind === 'finish') finish = word
  }
  return { felt: [...felt.values()], finish }
}
