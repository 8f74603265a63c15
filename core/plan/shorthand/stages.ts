import type { HoldStage, Load, Reps, SetUp, Stage, Tempo, WorkStage } from '../scheme'
import { formatRest, shape, takeRest } from './atoms'
import type { Cursor } from './cursor'
import { EFFORT, type Feature, FEATURES, LOAD, TEMPO } from './features'
import { isDrop, takeWeightRow } from './loads'
import { stop } from './problem'
import { formatReps, takeReps, takeRepsRow } from './reps'

const HOLD_WORDS = [
  ['lengthened', 'long'],
  ['mid', 'midway'],
  ['shortened', 'short'],
] as const

/** What may stand behind a comma and then belongs to the first stage; a set of one stage prints it there. */
export const COMMA_FEATURES: readonly Feature[] = [LOAD, TEMPO, EFFORT]
/** Order of trying: `lower half` is a range, `lower 5s` a pace. */
const ALL_FEATURES: readonly Feature[] = [...FEATURES, ...COMMA_FEATURES]

/** Values of the first stage that change from set to set. */
export interface Rows {
  readonly reps?: readonly Reps[]
  readonly rir?: readonly number[]
  readonly loads?: readonly Load[]
}

/** Features in the order given, those that say nothing left out. */
export function formatFeatures(stage: WorkStage, features: readonly Feature[]): readonly string[] {
  return features.flatMap(feature => feature.format(stage) || [])
}

/** A stage in words. A drop stands before the reps; reps that are not given are a question mark. */
export function formatStage(stage: Stage): string {
  switch (stage.kind) {
    case 'rest':
      return formatRest(stage.rest)
    case 'hold':
      return formatHold(stage)
    case 'work': {
      const reps = stage.reps ? formatReps(stage.reps) : '?'
      const load = formatFeatures(stage, [LOAD])
      const head = isDrop(stage.load) ? [...load, reps] : [reps]
      return [
        ...head,
        ...formatFeatures(stage, FEATURES),
        ...(isDrop(stage.load) ? [] : load),
        ...formatFeatures(stage, [TEMPO, EFFORT]),
      ].join(' ')
    }
  }
}

function formatHold({ seconds, at }: HoldStage): string {
  const where = HOLD_WORDS.find(([position]) => position === at)?.[1] ?? at
  return seconds === undefined ? `hold ${where}` : `hold ${seconds}s ${where}`
}

const SECONDS = shape('#s')

function takeHold(cursor: Cursor): HoldStage | undefined {
  if (!cursor.takeWords('hold')) return undefined
  const seconds = cursor.takeShape(SECONDS)?.[0]
  const where =
    HOLD_WORDS.find(([, word]) => cursor.takeWords(word)) ?? cursor.fail('long', 'midway', 'short')
  return { kind: 'hold', at: where[0], ...(seconds !== undefined && { seconds: Number(seconds) }) }
}

/** Takes one feature out of a list and adds it to a stage; false if none is there. */
export function takeFeature(
  cursor: Cursor,
  features: readonly Feature[],
  stage: Record<string, unknown>,
): boolean {
  const { at, end } = cursor.place()
  const found = cursor.peek()?.value ?? ''
  for (const feature of features) {
    const taken = feature.take(cursor)
    if (!taken) continue
    const place = { at, end, found }
    // Tempo and set-up are said part by part.
    if (taken.tempo) stage.tempo = merged(stage.tempo as Tempo | undefined, taken.tempo, place)
    else if (taken.setUp) stage.setUp = merged(stage.setUp as SetUp | undefined, taken.setUp, place)
    else addOnce(stage, taken, place)
    return true
  }
  return false
}

function addOnce(
  stage: Record<string, unknown>,
  taken: object,
  place: { at: number; end: number; found: string },
): void {
  if (Object.keys(taken).some(key => key in stage)) stop({ kind: 'repeated', ...place })
  Object.assign(stage, taken)
}

function merged<Parts extends object>(
  before: Parts | undefined,
  taken: Parts,
  place: { at: number; end: number; found: string },
): Parts {
  if (before && Object.keys(taken).some(key => key in before)) stop({ kind: 'repeated', ...place })
  return { ...before, ...taken }
}

const RIR_ROW = /^\d+(?:\.\d+)?(?:\/\d+(?:\.\d+)?)+$/

/** Takes a row of values that only the first stage of a set may have. */
export function takeRow(cursor: Cursor): Rows | undefined {
  const loads = takeWeightRow(cursor)
  if (loads) return { loads }
  if (cursor.peek()?.value === 'rir' && RIR_ROW.test(cursor.peek(1)?.value ?? '')) {
    cursor.next()
    return { rir: (cursor.next()?.value ?? '').split('/').map(Number) }
  }
  const reps = takeRepsRow(cursor)
  return reps && { reps }
}

/** Takes the stage that stands before the next mark; `rows` collects what changes from set to set. */
export function requireStage(cursor: Cursor, rows?: (row: Rows) => void): Stage {
  const rest = takeRest(cursor)
  if (rest) return { kind: 'rest', rest }
  return takeHold(cursor) ?? requireWork(cursor, rows)
}

function requireWork(cursor: Cursor, rows?: (row: Rows) => void): WorkStage {
  const stage: Record<string, unknown> = { kind: 'work' }
  let isOpen = false
  let taken = 0
  while (!cursor.isAtEnd() && cursor.peek()?.kind !== 'mark') {
    const row = rows && takeRow(cursor)
    if (row) rows(row)
    else if (cursor.takeWords('?')) isOpen = true
    else if (!takeFeature(cursor, ALL_FEATURES, stage)) requireReps(cursor, stage)
    taken += 1
  }
  if (taken === 0 || (isOpen && 'reps' in stage)) cursor.fail('reps such as 9, 7-9 or to failure')
  // Every key was put there by the reader of that feature (features.ts).
  return stage as unknown as WorkStage
}

function requireReps(cursor: Cursor, stage: Record<string, unknown>): void {
  const { at, end } = cursor.place()
  const found = cursor.peek()?.value ?? ''
  const reps =
    takeReps(cursor) ??
    cursor.fail(
      'reps such as 9, 7-9 or to failure',
      'a load such as 20kg or drop 30%',
      'rir 2',
      'tempo 3-0-1-0',
    )
  addOnce(stage, { reps }, { at, end, found })
}
