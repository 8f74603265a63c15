/*
 * What coaches write about sets, wherever it stands in a line. Each row takes its piece out of the text and says it in the
 * shorthand; what is left over is the name of the exercise, or was not understood.
 */

/** Where a piece belongs in a scheme. */
export type PieceKind = 'sets' | 'reps' | 'load' | 'effort' | 'rest' | 'tempo' | 'sides' | 'last'

interface PieceRow {
  readonly kind: PieceKind
  readonly spelling: RegExp
  /** The piece in shorthand; undefined where these words mean something else after all. */
  readonly written: (found: readonly string[]) => string | undefined
}

const SETS_WORD = '(?:working sets?|sets?|satze|satz|series|serie|sett|serier|tours?|rounds?)'
const REPS_WORD = '(?:reps?|repetitions?|wiederholungen|wdh|reps|repeticiones|repetisjoner|r)'
const RANGE = '\\d{1,3}(?:\\s?[-–—]\\s?\\d{1,3}|\\s?to\\s?\\d{1,3})?'
const OPEN =
  '(?:amrap|max|to failure|till failure|failure|zum muskelversagen|bis zum versagen|bis versagen|f)'
const TIMES = '(?:x|×|✕|\\*)'
const of = (source: string) => new RegExp(`(?<![\\p{L}\\d.,])${source}`, 'iu')

const range = (text: string) => text.replace(/\s*(?:to|[-–—])\s*/g, '-').trim()
const openReps = (text: string) =>
  new RegExp(`^${OPEN}$`, 'i').test(text.trim()) ? 'to failure' : range(text)
const seconds = (amount: string, unit: string) =>
  Math.round(Number(amount.replace(',', '.')) * (/^(?:m|min|')/i.test(unit) ? 60 : 1))
const MOST_RPE = 10
const reserve = (rpe: string) => {
  const left = MOST_RPE - Number(rpe.replace(',', '.'))
  return left <= 0 ? 'at failure' : `rir ${Math.round(left)}`
}
const REST_SPAN =
  '(\\d+(?:[.,]\\d+)?)(?:\\s?[-–]\\s?(\\d+(?:[.,]\\d+)?))?\\s?(seconds?|secs?|s|minutes?|mins?|m|\'|")?'
const rest = (from = '', to = '', unit = '') => {
  // A bare `rest 2` is minutes, `rest 90` seconds.
  const known = unit || (Number(from) <= 5 ? 'min' : 's')
  return `rest ${[from, to]
    .filter(Boolean)
    .map(amount => seconds(amount, known))
    .join('-')}s`
}

/** Tried in this order; the first that fits is taken out, then all again. */
export const PIECES: readonly PieceRow[] = [
  {
    kind: 'rest',
    spelling: of(
      `(?:rest(?:ing)?|pause|repos|descanso)\\s?(?:of|:|=)?\\s?${REST_SPAN}(?![\\p{L}])`,
    ),
    written: ([, from, to, unit]) => rest(from, to, unit),
  },
  {
    kind: 'rest',
    spelling: of(
      `${REST_SPAN.replace(')?', ')?').replace(/\?$/, '')}\\s?(?:of )?(?:rest|pause|repos|between sets)(?![\\p{L}])`,
    ),
    written: ([, from, to, unit]) => rest(from, to, unit),
  },
  {
    kind: 'tempo',
    spelling: of('(?:tempo\\s?:?\\s?)?(\\d)[-.](\\d)[-.](\\d|x)[-.](\\d)(?!\\d)'),
    written: ([, ...parts]) => `tempo ${parts.join('-').toLowerCase()}`,
  },
  {
    kind: 'tempo',
    spelling: of('tempo\\s?:?\\s?(\\d)(\\d)(\\d|x)(\\d)(?!\\d)'),
    written: ([, ...parts]) => `tempo ${parts.join('-').toLowerCase()}`,
  },
  {
    kind: 'last',
    spelling: of(
      '(?:\\+\\s?)?(?:last set\\s?:?\\s?)?(?:as a |with a |w/ ?)?drop\\s?-?sets?(?:\\s?(?:on|in)?\\s?(?:the )?(?:last|final)(?: sets?)?)?',
    ),
    written: () => 'last: drop 20% to failure',
  },
  {
    kind: 'last',
    spelling: of(
      '(?:\\+\\s?)?(?:drop (?:on )?(?:the )?(?:last|final)(?: sets?)?|(?:last|final)(?: sets?)? drop|\\+\\s?drop)(?![\\p{L}])',
    ),
    written: () => 'last: drop 20% to failure',
  },
  {
    kind: 'effort',
    spelling: of(
      '(\\d)(?:\\s?[-–]\\s?(\\d))?\\s?(?:rir|reps? (?:left|in reserve|in the tank)|in reserve|in the tank)(?![\\p{L}])',
    ),
    // Of a span the safer end is taken.
    written: ([, low = '', high]) => `rir ${high ?? low}`,
  },
  {
    kind: 'effort',
    spelling: of('@?\\s?rir\\s?:?=?\\s?(\\d)(?:\\s?[-–]\\s?(\\d))?'),
    written: ([, low = '', high]) => `rir ${high ?? low}`,
  },
  {
    kind: 'effort',
    spelling: of('@?\\s?rpe\\s?:?\\s?(\\d+(?:[.,]5)?)(?:\\s?[-–]\\s?\\d+(?:[.,]5)?)?'),
    written: ([, low = '']) => reserve(low),
  },
  {
    kind: 'sides',
    spelling: of(
      '(?:(?:each|per|pro|par|a)\\s(?:side|arm|hand|leg|seite|bras|cote|lado|brazo)|e/s|p/s)(?![\\p{L}])',
    ),
    written: () => 'left then right',
  },
  {
    kind: 'sides',
    spelling: /\s?\/\s?(?:side|arm|leg|seite)(?!\p{L})/iu,
    written: () => 'left then right',
  },
  {
    kind: 'load',
    spelling: of('@?\\s?\\+\\s?(\\d+(?:[.,]\\d+)?)\\s?(kgs?|kilos?|lbs?|pounds?)(?![\\p{L}])'),
    written: ([, amount = '', unit = '']) => `+${amount.replace(',', '.')}${unitOf(unit)}`,
  },
  {
    kind: 'load',
    spelling: of(
      '@?\\s?(?:at |mit |with )?((?:\\d+(?:[.,]\\d+)?\\s?/\\s?)*\\d+(?:[.,]\\d+)?)\\s?(kgs?|kilos?|lbs?|pounds?)(?:\\s(?:each|per hand|pro hand))?(?![\\p{L}])',
    ),
    written: ([, amounts = '', unit = '']) =>
      `${amounts.replace(/,/g, '.').replace(/\s/g, '')}${unitOf(unit)}`,
  },
  {
    kind: 'load',
    spelling: of('@?\\s?(\\d{2,3})\\s?%(?:\\s?(?:of )?(?:e?1rm|max))?'),
    written: ([, percent = '']) => `${percent}% e1rm`,
  },
  {
    kind: 'load',
    spelling: of('@?\\s?(?:body ?weight|bw)(?![\\p{L}])'),
    written: () => 'bodyweight',
  },
  {
    kind: 'sets',
    spelling: of(`(\\d{1,2}(?:\\s?[-–]\\s?\\d{1,2})?)\\s?${TIMES}\\s?21s(?![\\p{L}\\d])`),
    written: ([, sets = '']) => `${range(sets)} x 7 lower half | 7 upper half | 7`,
  },
  {
    kind: 'sets',
    spelling: of('21s(?![\\p{L}\\d])'),
    written: () => '1 x 7 lower half | 7 upper half | 7',
  },
  {
    kind: 'sets',
    spelling: of(
      `(\\d{1,2})\\s?${TIMES}\\s?(\\d{1,3}(?:\\s?[/,]\\s?\\d{1,3})+)(?:\\s?${REPS_WORD}(?![\\p{L}]))?(?!\\s?(?:kg|lb))`,
    ),
    written: ([, sets = '', row = '']) => {
      const reps = row.split(/\s?[/,]\s?/)
      return reps.length === Number(sets) ? `${sets} x ${reps.join('/')}` : undefined
    },
  },
  {
    kind: 'sets',
    spelling: of(
      `(\\d{1,2}(?:\\s?[-–]\\s?\\d{1,2})?)\\s?${TIMES}\\s?(\\d{1,3})\\s?(?:seconds?|secs?|sek|s|")(?![\\p{L}])`,
    ),
    written: ([, sets = '', held = '']) => `${range(sets)} x hold ${held}s midway`,
  },
  {
    kind: 'sets',
    spelling: of(
      `(\\d{1,2}(?:\\s?[-–]\\s?\\d{1,2})?)\\s?${TIMES}\\s?(${OPEN}|${RANGE})(?:\\s?\\+)?(?:\\s?${REPS_WORD})?(?![\\p{L}\\d]|[.,]\\d)`,
    ),
    written: ([, sets = '', reps = '']) => withReps(range(sets), openReps(reps)),
  },
  {
    kind: 'sets',
    spelling: of(
      `(\\d{1,2}(?:\\s?[-–]\\s?\\d{1,2})?)\\s?${SETS_WORD}\\s?(?:of|x|×|a|à|mit|de|med|con|with|,|@)?\\s?(${OPEN}|${RANGE})(?:\\s?${REPS_WORD})?(?![\\p{L}\\d]|[.,]\\d|\\s?(?:kg|lb))`,
    ),
    written: ([, sets = '', reps = '']) => withReps(range(sets), openReps(reps)),
  },
  {
    kind: 'sets',
    spelling: of(
      `(${RANGE})\\s?${REPS_WORD}\\s?(?:x|×|for|in)\\s?(\\d{1,2})(?:\\s?${SETS_WORD})?(?![\\p{L}\\d])`,
    ),
    written: ([, reps = '', sets = '']) => withReps(sets, range(reps)),
  },
  {
    kind: 'sets',
    spelling: of(
      `(\\d{1,3}(?:\\s?[/,]\\s?\\d{1,3}){2,})(?:\\s?${REPS_WORD})?(?![\\p{L}\\d/]|\\s?(?:kg|lb))`,
    ),
    written: ([, row = '']) => row.split(/\s?[/,]\s?/).join('/'),
  },
  {
    kind: 'sets',
    spelling: of(`(\\d{1,2}(?:\\s?[-–]\\s?\\d{1,2})?)\\s?${SETS_WORD}(?![\\p{L}])`),
    written: ([, sets = '']) => range(sets),
  },
  {
    kind: 'reps',
    spelling: of(`(${RANGE})\\s?${REPS_WORD}(?![\\p{L}])`),
    written: ([, reps = '']) => range(reps),
  },
  {
    kind: 'last',
    spelling: of(
      '(?:(?:last|final) set )?(?:to|till|until|bis zum) (?:failure|muskelversagen|versagen)(?: on (?:the )?(?:last|final)(?: set)?)?',
    ),
    written: () => 'last: to failure',
  },
  {
    kind: 'effort',
    spelling: of('@\\s?(\\d+(?:[.,]5)?)(?![\\p{L}\\d]|[.,]\\d)'),
    written: ([, rpe = '']) =>
      Number(rpe.replace(',', '.')) <= MOST_RPE ? reserve(rpe) : undefined,
  },
]

function unitOf(word: string): 'kg' | 'lb' {
  return /^(?:lb|pound)/i.test(word) ? 'lb' : 'kg'
}
/** Sets that are a span are counted as its lower end. */
function withReps(sets: string, reps: string): string {
  const [low] = sets.split('-')
  return sets.includes('-') ? `${sets} (${low}) x ${reps}` : `${sets} x ${reps}`
}
