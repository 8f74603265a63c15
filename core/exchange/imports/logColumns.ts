/** What a column of a log can be. Exercise, date and a count are needed; the rest has defaults. */
export const LOG_COLUMNS = [
  'date',
  'session',
  'exercise',
  'purpose',
  'set',
  'part',
  'side',
  'role',
  'load',
  'unit',
  'reps',
  'seconds',
  'rir',
  'form',
] as const
export type LogColumn = (typeof LOG_COLUMNS)[number]
/** Which column of the file is which; columns that are not there are left out. */
export type LogMapping = Readonly<Partial<Record<LogColumn, string>>>

const GUESSES: Readonly<Record<LogColumn, readonly string[]>> = {
  date: ['date', 'day', 'datum'],
  session: ['session', 'name', 'workout'],
  exercise: ['exercise', 'exercise_id', 'movement', 'lift'],
  purpose: ['purpose', 'intent'],
  set: ['set', 'set_number', 'set no'],
  part: ['part', 'stage'],
  side: ['side', 'arm'],
  role: ['role', 'type', 'kind'],
  load: ['load', 'weight', 'kg', 'lb', 'lbs'],
  unit: ['unit', 'units'],
  reps: ['reps', 'repetitions', 'rep'],
  seconds: ['seconds', 'sec', 'time'],
  rir: ['rir', 'reps left', 'reps_left', 'in reserve'],
  form: ['form'],
}

/** A header or a word of a cell without its spelling. */
export const plain = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ')

/** Columns by the names they usually have; the file's own order decides between two that fit. */
export function guessedMapping(headers: readonly string[]): LogMapping {
  return Object.fromEntries(
    LOG_COLUMNS.flatMap(column => {
      const found = GUESSES[column]
        .map(guess => headers.find(header => plain(header) === plain(guess)))
        .find(header => header !== undefined)
      return found === undefined ? [] : [[column, found]]
    }),
  )
}
