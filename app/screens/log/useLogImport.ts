import { EFFORT } from '#core/words'
import { catalogueWith } from '#core/plan/catalogue'
import type { DATE_ORDERS, LogColumn, LogMapping } from '#core/exchange/imports'
import { guessedMapping, LOG_COLUMNS, readLogRows } from '#core/exchange/imports'
import type { WeightUnit } from '#core/plan/scheme'
import { ImportLogAnswer } from '#shared/contracts/log'
import { LibraryView } from '#shared/contracts/library'
import { rowsOfCsv } from '#shared/exports/csv'

const SHOWN = 8
const COLUMN_WORDS: Readonly<Record<LogColumn, string>> = {
  date: 'Date',
  session: 'Session',
  exercise: 'Exercise',
  purpose: 'Purpose',
  set: 'Set number',
  part: 'Part of the set',
  side: 'Side',
  role: 'Warm-up or working',
  load: 'Load',
  unit: 'Unit',
  reps: 'Reps',
  seconds: 'Seconds',
  rir: EFFORT.logged,
  form: 'Cut short, loose, helped',
}
const NEEDED: readonly LogColumn[] = ['date', 'exercise', 'reps']

/** Reading a log from a CSV file: which column is which, what it will become, what is wrong, and taking it in whole. */
export function useLogImport(clientId: string) {
  const { ask } = useApi()
  const today = useToday()
  const text = ref('')
  const mapping = ref<LogMapping>({})
  const unit = ref<WeightUnit>('kg')
  const dateOrder = ref<(typeof DATE_ORDERS)[number]>('day_first')
  const catalogue = shallowRef(catalogueWith({ exercises: [], credits: {} }))
  const refused = shallowRef<readonly { readonly row: number; readonly detail: string }[]>([])
  const outcome = ref('')
  const trial = shallowRef<{
    readonly sets: number
    readonly found: number
    readonly added: number
    readonly questions: readonly { readonly row: number; readonly detail: string }[]
  } | null>(null)
  const names = useNamesRead(() => catalogue.value)
  /** Rows that stay outside on purpose. */
  const leftOut = shallowRef<ReadonlySet<number>>(new Set())
  /** What is far outside the client's own was looked at and is right. */
  const isLookedAt = ref(false)
  const isBusy = ref(false)

  onMounted(async () => {
    const library = await ask('/api/exercises', { answer: LibraryView })
    if (library.ok) catalogue.value = catalogueWith(library.value.library)
  })
  const file = computed(() => rowsOfCsv(text.value))
  watch(
    () => file.value.headers.join('\n'),
    () => (mapping.value = guessedMapping(file.value.headers)),
  )
  watch(text, () => {
    names.forget()
    leftOut.value = new Set()
  })
  const read = computed(() =>
    file.value.headers.length === 0
      ? { sets: [], rows: [], problems: [], names: [], leftOut: 0 }
      : readLogRows(file.value.rows, mapping.value, {
          catalogue: catalogue.value,
          unit: unit.value,
          dateOrder: dateOrder.value,
          today: today.value,
          names: names.answers.value,
          leftOut: leftOut.value,
        }),
  )
  const problems = computed(() => [
    ...file.value.complaints.map(detail => ({ row: 0, detail })),
    ...read.value.problems.map(({ row, detail }) => ({ row, detail })),
    ...refused.value,
  ])
  const isReady = computed(
    () =>
      read.value.sets.length > 0 &&
      problems.value.length === 0 &&
      read.value.names.every(({ exercise }) => exercise !== undefined),
  )
  const badRows = computed(() => [
    ...new Set(problems.value.map(({ row }) => row).filter(row => row > 0)),
  ])
  const leaveOut = (rows: readonly number[]) =>
    (leftOut.value = new Set([...leftOut.value, ...rows]))

  /** The row of the file that became a set, by the set's place; 0 is the file itself. */
  const rowOf = (place: number) => read.value.rows[place] ?? 0
  async function taken(isTrial: boolean): Promise<boolean> {
    isBusy.value = true
    const result = await ask(`/api/clients/${clientId}/log/import`, {
      method: 'POST',
      body: { isTrial, sets: [...read.value.sets] },
      answer: ImportLogAnswer,
    })
    isBusy.value = false
    if (result.ok) {
      trial.value = result.value
      outcome.value = isTrial
        ? ''
        : `Taken in: ${result.value.sets} sets in ${result.value.found + result.value.added} sessions.`
      return true
    }
    trial.value = null
    if (result.error.kind === 'unreachable')
      outcome.value = 'The server does not answer. Nothing was written; try again.'
    else
      refused.value = (
        result.error.problem.errors ?? [
          { pointer: '', kind: '', detail: result.error.problem.detail },
        ]
      ).map(({ pointer, detail }) => ({
        row: rowOf(Number(/^\/sets\/(\d+)/.exec(pointer)?.[1] ?? -1)),
        detail,
      }))
    return false
  }
  // What it would become is asked for as soon as every row can be read.
  watch(read, () => {
    refused.value = []
    trial.value = null
    isLookedAt.value = false
    outcome.value = ''
  })
  watchDebounced(isReady, ready => ready && !trial.value && void taken(true), { debounce: 250 })

  const questions = computed(() =>
    (trial.value?.questions ?? []).map(({ row, detail }) => ({ row: rowOf(row - 1), detail })),
  )

  async function take(file: File | undefined): Promise<void> {
    if (file) text.value = await file.text()
  }
  return {
    text,
    unit,
    dateOrder,
    outcome,
    isBusy,
    trial,
    isReady,
    isLookedAt,
    questions,
    problems,
    badRows,
    leaveOut,
    leaveNothingOut: () => {
      leftOut.value = new Set()
      names.takeBack()
    },
    outside: computed(() => read.value.leftOut),
    names: computed(() => names.shown(read.value.names)),
    exercises: names.exercises,
    say: names.say,
    take,
    importAll: () => taken(false),
    headers: computed(() => file.value.headers),
    rowCount: computed(() => file.value.rows.length),
    columns: computed(() =>
      LOG_COLUMNS.map(column => ({
        id: column,
        words: COLUMN_WORDS[column],
        chosen: mapping.value[column] ?? '',
        isNeeded: NEEDED.includes(column),
      })),
    ),
    choose: (column: LogColumn, header: string) => {
      const { [column]: _, ...others } = mapping.value
      mapping.value = header === '' ? others : { ...others, [column]: header }
    },
    preview: computed(() =>
      read.value.sets
        .slice(0, SHOWN)
        .map(
          ({ on, session, exercise, set, stage, side, load, reps, seconds, rir, isRirOpen }) => ({
            key: [on, session, exercise, set, stage, side].join(' '),
            on,
            session,
            name: catalogue.value.get(exercise)?.name ?? exercise,
            set: `${set}${stage > 1 ? `, part ${stage}` : ''}${side ? ` ${side}` : ''}`,
            load: load ? `${load.amount} ${load.unit}` : '',
            count: reps ?? (seconds === null ? '' : `${seconds} s`),
            rir: rir === null ? '' : `${rir}${isRirOpen ? '+' : ''}`,
          }),
        ),
    ),
  }
}
