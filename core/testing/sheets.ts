import fc from 'fast-check'
import { exerciseId, plainDate, type SlotId, slotId } from '../base'
import type {
  LogEntry,
  LogWord,
  SetPlace,
  SheetExercise,
  SheetPart,
  SheetSession,
  SheetSet,
} from '../follow/sheet'

export const SLOTS = [slotId('a'), slotId('b')] as const

/** A part of a set that asks for a weight. */
export function part(more: Partial<SheetPart> = {}): SheetPart {
  return {
    stage: 1,
    side: null,
    kind: 'work',
    words: '10 reps',
    count: 10,
    countWords: '10 reps',
    rir: 1,
    load: { kind: 'weight', amount: 20 },
    restBefore: 0,
    as: null,
    ...more,
  }
}

export function sheetSet(
  number: number,
  parts: readonly SheetPart[] = [part()],
  role: SheetSet['role'] = 'working',
): SheetSet {
  const [first = part(), ...others] = parts
  return { role, number, parts: [first, ...others], onlyIf: null }
}

function exercise(slot: SlotId, more: Partial<SheetExercise>): SheetExercise {
  return {
    slot,
    exercise: exerciseId('cable_curl'),
    intent: null,
    name: 'Cable curl',
    letter: '1',
    family: 'flex',
    how: '',
    cues: [],
    cautions: [],
    note: '',
    why: '',
    countUnit: 'reps',
    stress: {},
    last: null,
    setUp: { fields: [], planned: null, last: null },
    swaps: [],
    scale: { unit: 'kg', grid: { kind: 'steps', base: 0, step: 2.5 }, words: '', bar: null },
    ...more,
  }
}

/** Two exercises in rounds, each with the sets given; turns go from one to the other. */
export function smallSheet(
  sets: readonly (readonly SheetSet[])[] = [
    [sheetSet(1), sheetSet(2), sheetSet(3)],
    [sheetSet(1), sheetSet(2), sheetSet(3)],
  ],
  more: readonly Partial<SheetExercise>[] = [],
): SheetSession {
  const rounds = Math.max(...sets.map(own => own.length))
  const turns = Array.from({ length: rounds }, (_, set) =>
    SLOTS.flatMap((slot, at) =>
      sets[at]?.[set] ? [{ slot, set, start: 0, seconds: 30, rest: 60 }] : [],
    ),
  ).flat()
  return {
    id: 'session',
    on: plainDate('2026-04-06'),
    name: 'Arms',
    minuteLimit: null,
    preparation: [],
    exercises: SLOTS.flatMap((slot, at) => (sets[at] ? [exercise(slot, more[at] ?? {})] : [])),
    ways: [
      {
        minutes: null,
        words: '',
        seconds: 600,
        sets: Object.fromEntries(SLOTS.map((slot, at) => [slot, sets[at] ?? []])),
        turns,
        groups: [],
      },
    ],
  }
}

export const placeAt = (slot: SlotId, set: number, more: Partial<SetPlace> = {}): SetPlace => ({
  slot,
  role: 'working',
  set,
  stage: 1,
  side: null,
  ...more,
})

/** A set as it was said. */
export function saidSet(
  place: SetPlace,
  amount: number | null = 20,
  reps = 10,
): Extract<LogWord, { kind: 'set' }> {
  return {
    kind: 'set',
    place,
    replaces: null,
    done: {
      exercise: exerciseId('cable_curl'),
      intent: null,
      load: amount === null ? null : { amount, unit: 'kg' },
      reps,
      seconds: null,
      rir: 1,
      isRirOpen: false,
    },
  }
}

let count = 0
export const entry = (word: LogWord, more: Partial<LogEntry> = {}): LogEntry => ({
  id: `entry ${++count}`,
  at: '2026-04-06T17:30:00.000Z',
  word,
  ...more,
})

const slot = fc.constantFrom(...SLOTS)
const place = fc
  .record({ slot, set: fc.integer({ min: 1, max: 4 }) })
  .map(({ slot: own, set }) => placeAt(own, set))
const word: fc.Arbitrary<LogWord> = fc.oneof(
  {
    weight: 5,
    arbitrary: fc
      .record({
        place,
        amount: fc.integer({ min: 0, max: 80 }),
        reps: fc.integer({ min: 0, max: 30 }),
      })
      .map(({ place: own, amount, reps }): LogWord => saidSet(own, amount, reps)),
  },
  place.map((own): LogWord => ({ kind: 'clear', place: own, replaces: 'x' })),
  slot.map((own): LogWord => ({ kind: 'more_sets', slot: own })),
  fc.record({ slot, isSkipped: fc.boolean() }).map((own): LogWord => ({ kind: 'skip', ...own })),
  fc.constant<LogWord>({ kind: 'finish', minutes: 40, isRecovered: null, note: '' }),
  slot.map((own): LogWord => ({
    kind: 'swap',
    slot: own,
    exercise: exerciseId('hammer_curl'),
    intent: null,
  })),
  fc.constant<LogWord>({ kind: 'opened' }),
)
/** Entries as phones and coaches say them, each with a key of its own. */
export const entriesArbitrary: fc.Arbitrary<readonly LogEntry[]> = fc
  .array(word, { maxLength: 25 })
  .map(words =>
    words.map((own, at) => ({ id: `e${at}`, at: '2026-04-06T17:30:00.000Z', word: own })),
  )
