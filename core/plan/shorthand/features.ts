import {
  type Form,
  type Grip,
  type GripWidth,
  type LockOut,
  type RangeOfMotion,
  type Span,
  type Tempo,
  parsedSetUp,
  SET_UP_FIELDS,
  setUpChoices,
  type SetUpField,
  TEMPO_WORDS,
  type WorkStage,
} from '../scheme'
import {
  formatExerciseRef,
  formatSpan,
  quoted,
  requireExerciseRef,
  requireText,
  shape,
  takeSpan,
} from './atoms'
import type { Cursor } from './cursor'
import { formatLoad, takeLoad } from './loads'

/** One thing that can be said about a work stage besides its reps, both ways. */
export interface Feature {
  readonly format: (stage: WorkStage) => string | false | undefined
  readonly take: (cursor: Cursor) => Partial<WorkStage> | undefined
}

/** Words for the values of a field, both ways. */
function wordsFor<Value>(pairs: readonly (readonly [Value, string])[]) {
  return {
    format: (value: Value | undefined) => pairs.find(([candidate]) => candidate === value)?.[1],
    take: (cursor: Cursor): Value | undefined =>
      pairs.find(([, words]) => cursor.takeWords(...words.split(' ')))?.[0],
  }
}

const FORM = wordsFor<Form>([
  ['strict', 'strict'],
  ['momentum', 'momentum'],
  ['assisted', 'assisted'],
  ['lowering_only', 'lowering only'],
])
const LOCK_OUT = wordsFor<LockOut>([
  ['hard', 'hard lock-out'],
  ['soft', 'soft lock-out'],
  ['never', 'no lock-out'],
])
const GRIP = wordsFor<Grip>([
  ['supinated', 'palms up'],
  ['neutral', 'palms facing'],
  ['pronated', 'palms down'],
  ['angled', 'angled grip'],
  ['turning', 'turning grip'],
])
const WIDTH = wordsFor<GripWidth>([
  ['narrow', 'narrow grip'],
  ['medium', 'medium grip'],
  ['wide', 'wide grip'],
])

const THIRD = 1 / 3
const PARTS: readonly (readonly [from: number, to: number, words: string])[] = [
  [0, 0.5, 'lower half'],
  [0.5, 1, 'upper half'],
  [0, 2 * THIRD, 'lower two thirds'],
  [THIRD, 1, 'upper two thirds'],
  [0, THIRD, 'lower third'],
  [THIRD, 2 * THIRD, 'middle third'],
  [2 * THIRD, 1, 'upper third'],
]
const PART = shape('#-#')

function formatRange(range: RangeOfMotion): string {
  switch (range.kind) {
    case 'landmark':
      return `range ${quoted(range.text)}`
    case 'may_shorten':
      return 'range may shorten'
    case 'part':
      return (
        PARTS.find(([from, to]) => from === range.from && to === range.to)?.[2] ??
        `range ${range.from}-${range.to}`
      )
  }
}

function takeRange(cursor: Cursor): RangeOfMotion | undefined {
  const named = PARTS.find(([, , words]) => cursor.takeWords(...words.split(' ')))
  if (named) return { kind: 'part', from: named[0], to: named[1] }
  if (cursor.takeWords('range', 'may', 'shorten')) return { kind: 'may_shorten' }
  if (!cursor.takeWords('range')) return undefined
  const part = cursor.takeShape(PART)
  return part
    ? { kind: 'part', from: Number(part[0]), to: Number(part[1]) }
    : { kind: 'landmark', text: requireText(cursor) }
}

const TEMPO_PLACES = ['lower', 'longPause', 'lift', 'shortPause'] as const
const TEMPO_PART = shape('#(?:\\.\\.#)?')

function tempoPlace(span: Span | undefined): string {
  if (span === undefined) return 'x'
  return typeof span === 'number' ? String(span) : `${span.low}..${span.high}`
}

function formatTempo(tempo: Tempo): string {
  const given = TEMPO_PLACES.filter(place => tempo[place] !== undefined)
  const counted =
    given.length === 1 && tempo.lower !== undefined
      ? `lower ${formatSpan(tempo.lower)}`
      : given.length > 0 && `tempo ${TEMPO_PLACES.map(place => tempoPlace(tempo[place])).join('-')}`
  return [
    counted,
    tempo.midPause !== undefined && `pause ${formatSpan(tempo.midPause)} midway`,
    tempo.word,
    tempo.deadStop && 'dead stop',
  ]
    .filter(Boolean)
    .join(' ')
}

function takeTempo(cursor: Cursor): Tempo | undefined {
  if (cursor.takeWords('lower'))
    return { lower: takeSpan(cursor) ?? cursor.fail('seconds such as 5s or 3-4s') }
  if (cursor.takeWords('tempo')) return requireTempoRow(cursor)
  if (cursor.takeWords('dead', 'stop')) return { deadStop: true }
  if (cursor.takeWords('pause')) {
    const midPause = takeSpan(cursor) ?? cursor.fail('seconds such as 2s')
    return cursor.takeWords('midway') ? { midPause } : cursor.fail('midway')
  }
  const word = TEMPO_WORDS.find(candidate => cursor.takeWords(candidate))
  return word && { word }
}

function requireTempoRow(cursor: Cursor): Tempo {
  const parts = cursor.peek()?.value.split('-') ?? []
  const spans = parts.map(part => {
    const found = TEMPO_PART.exec(part)
    if (part === 'x') return null
    if (!found) return undefined
    return found[2] === undefined
      ? Number(found[1])
      : { low: Number(found[1]), high: Number(found[2]) }
  })
  if (parts.length !== TEMPO_PLACES.length || spans.includes(undefined))
    cursor.fail('four numbers such as 3-0-1-0, with x for one that is open')
  cursor.next()
  return Object.fromEntries(
    TEMPO_PLACES.flatMap((place, at) => (spans[at] === null ? [] : [[place, spans[at]]])),
  ) as Tempo
}

function formatEffort({ effort }: WorkStage): string | undefined {
  switch (effort?.kind) {
    case 'rir':
      return `rir ${effort.rir}`
    case 'failure':
      return 'at failure'
    case 'in_words':
      return `effort ${quoted(effort.text)}`
    case undefined:
      return undefined
  }
}

const ONE = shape('#')

/** How near to failure the stage ends. */
export const EFFORT: Feature = {
  format: formatEffort,
  take: cursor => {
    if (cursor.takeWords('at', 'failure')) return { effort: { kind: 'failure' } }
    if (cursor.takeWords('effort'))
      return { effort: { kind: 'in_words', text: requireText(cursor) } }
    if (!cursor.takeWords('rir')) return undefined
    const [rir] = cursor.takeShape(ONE) ?? cursor.fail('a number of reps in reserve such as 2')
    return { effort: { kind: 'rir', rir: Number(rir) } }
  },
}

/** What is lifted. */
export const LOAD: Feature = {
  format: ({ load }) => load && formatLoad(load),
  take: cursor => {
    const load = takeLoad(cursor)
    return load && { load }
  },
}

/** Pace of the reps. */
export const TEMPO: Feature = {
  format: ({ tempo }) => (tempo && formatTempo(tempo)) || undefined,
  take: cursor => {
    const tempo = takeTempo(cursor)
    return tempo && { tempo }
  },
}

/** One field of the set-up: `bench 30`, `cable low`. */
function setUpFeature(field: SetUpField): Feature {
  return {
    format: ({ setUp }) => setUp?.[field] !== undefined && `${field} ${setUp[field]}`,
    take: cursor => {
      if (!cursor.takeWords(field)) return undefined
      const word = cursor.peek()?.value ?? ''
      const value = parsedSetUp(field, word)
      if (value === undefined) return cursor.fail(setUpChoices(field))
      cursor.next()
      return { setUp: { [field]: value } }
    },
  }
}

/** Everything else, in the order it is printed; it may be typed in any order. */
export const FEATURES: readonly Feature[] = [
  {
    format: stage => stage.repsInAll && 'in all',
    take: cursor => (cursor.takeWords('in', 'all') ? { repsInAll: true } : undefined),
  },
  {
    format: ({ range }) => range && formatRange(range),
    take: cursor => {
      const range = takeRange(cursor)
      return range && { range }
    },
  },
  {
    format: ({ form }) => FORM.format(form),
    take: cursor => {
      const form = FORM.take(cursor)
      return form && { form }
    },
  },
  {
    format: ({ lockOut }) => LOCK_OUT.format(lockOut),
    take: cursor => {
      const lockOut = LOCK_OUT.take(cursor)
      return lockOut && { lockOut }
    },
  },
  {
    format: ({ grip }) => GRIP.format(grip),
    take: cursor => {
      const grip = GRIP.take(cursor)
      return grip && { grip }
    },
  },
  {
    format: ({ gripWidth }) => WIDTH.format(gripWidth),
    take: cursor => {
      const gripWidth = WIDTH.take(cursor)
      return gripWidth && { gripWidth }
    },
  },
  {
    format: ({ thumbless }) => thumbless && 'thumbless',
    take: cursor => (cursor.takeWords('thumbless') ? { thumbless: true } : undefined),
  },
  {
    format: ({ exercise }) => exercise && `as ${formatExerciseRef(exercise.id, exercise.intent)}`,
    take: cursor => (cursor.takeWords('as') ? { exercise: requireExerciseRef(cursor) } : undefined),
  },
  {
    format: ({ attachment }) => attachment && `with ${quoted(attachment)}`,
    take: cursor => (cursor.takeWords('with') ? { attachment: requireText(cursor) } : undefined),
  },
  {
    format: ({ position }) => position && `at ${quoted(position)}`,
    take: cursor =>
      cursor.peek()?.value === 'at' && cursor.peek(1)?.kind === 'text' && cursor.next()
        ? { position: requireText(cursor) }
        : undefined,
  },
  ...SET_UP_FIELDS.map(setUpFeature),
  {
    format: ({ optional }) => (optional ? 'optional' : undefined),
    take: cursor => (cursor.takeWords('optional') ? { optional: true } : undefined),
  },
  {
    format: ({ onlyIf }) => onlyIf && `if ${quoted(onlyIf)}`,
    take: cursor => (cursor.takeWords('if') ? { onlyIf: requireText(cursor) } : undefined),
  },
]
