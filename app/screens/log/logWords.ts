import {
  isTypedSet,
  type LogWord,
  numberSentence,
  parsedNumber,
  readTypedSet,
  type SetPlace,
} from '#core/follow/sheet'
import type { LineFields, LogLine } from './logLines'

export { recoverySaid } from '#core/follow/sheet'

/** The numbers of a line's fields, empty ones as planned; a complaint where one is none. */
function numbersOf(
  line: LogLine,
  fields: LineFields,
):
  { readonly amount: number | null; readonly count: number; readonly rir: number | null } | string {
  const text = {
    load: fields.load.trim() || line.usual.load,
    count: fields.count.trim() || line.usual.count,
    rir: (fields.rir.trim() || line.usual.rir).replace('+', ''),
  }
  const amount = line.hasLoad && text.load !== '' ? parsedNumber(text.load, 'load') : null
  if (amount && !amount.ok) return numberSentence(amount.error, 'load')
  const field = line.isSeconds ? 'seconds' : 'reps'
  const count = parsedNumber(text.count, field)
  if (!count.ok) return numberSentence(count.error, field)
  const rir = text.rir === '' ? null : parsedNumber(text.rir, 'rir')
  if (rir && !rir.ok) return numberSentence(rir.error, 'rir')
  return { amount: amount?.value ?? null, count: count.value, rir: rir?.value ?? null }
}

/** A set typed in one line, `6@20, drop 5@16`: its parts at the line's own place and those after it. */
function typedWords(
  { place, movement, isSeconds, usual }: LogLine,
  text: string,
  entry: (at: SetPlace) => string | null,
): readonly LogWord[] | string {
  const parts = readTypedSet(text)
  if (!parts.ok) return parts.error
  const usualLoad = parsedNumber(usual.load, 'load')
  return parts.value.map(({ count, amount, rir, isRirOpen, lapses }, at) => {
    const stage = { ...place, stage: place.stage + at }
    const load = amount ?? (usualLoad.ok ? usualLoad.value : null)
    return {
      kind: 'set' as const,
      place: stage,
      replaces: entry(stage),
      done: {
        exercise: movement.exercise,
        intent: movement.intent,
        load: load === null ? null : { amount: load, unit: movement.scale.unit },
        reps: isSeconds ? null : count,
        seconds: isSeconds ? count : null,
        rir,
        isRirOpen,
        ...(lapses.length > 0 && { lapses }),
      },
    }
  })
}

/** What a line's fields say, as words for the log; a complaint where a number is none. */
export function wordsOf(
  line: LogLine,
  fields: LineFields,
  entry: (at: SetPlace) => string | null,
): readonly LogWord[] | string {
  const typed = [fields.count, fields.load].find(isTypedSet)
  if (typed !== undefined) return typedWords(line, typed, entry)
  const numbers = numbersOf(line, fields)
  if (typeof numbers === 'string') return numbers
  const { amount, count, rir } = numbers
  return [
    {
      kind: 'set',
      place: line.place,
      replaces: entry(line.place),
      done: {
        exercise: line.movement.exercise,
        intent: line.movement.intent,
        load: amount === null ? null : { amount, unit: line.movement.scale.unit },
        reps: line.isSeconds ? null : count,
        seconds: line.isSeconds ? count : null,
        rir,
        isRirOpen: fields.rir.includes('+'),
        ...(line.lapses.length > 0 && { lapses: line.lapses }),
      },
    },
  ]
}
