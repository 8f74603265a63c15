import { refusalWords } from '~/shell/refusalWords'
import {
  clientTable,
  monthsOf,
  type NotedClient,
  readClients,
  type TrainingUnit,
} from '#core/exchange/notes'
import { weekdayName } from '#core/words'
import { ProfileContract, SavedClient } from '#shared/contracts/profile'
import { RosterView } from '#shared/contracts/roster'
import { NEW_PROFILE, USUAL_DAYS, USUAL_MINUTES, USUAL_START } from './newProfile'

const COLUMN_WORDS: Readonly<Record<string, string>> = {
  training: 'training',
  days: 'days',
  minutes: 'minutes',
  start: 'start',
}
const known = (name: string) => name.trim().toLowerCase()

/** What came of adding a client. */
type Added = 'added' | 'failed'

/** Clients out of a table: what is read, what is asked once for all, and adding them one by one. */
export function useClientTable() {
  const { ask } = useApi()
  const file = useSheetFile()
  const unit = ref<TrainingUnit>('years')
  /** Months of training where a row says none. */
  const usualMonths = ref(12)
  const left = ref<ReadonlySet<number>>(new Set())
  const outcomes = ref<ReadonlyMap<number, { readonly state: Added; readonly words: string }>>(
    new Map(),
  )
  const there = shallowRef<ReadonlySet<string>>(new Set())
  const isBusy = ref(false)

  async function open(chosen: File | undefined): Promise<void> {
    outcomes.value = new Map()
    const roster = await ask('/api/roster', { answer: RosterView })
    if (roster.ok) there.value = new Set(roster.value.clients.map(({ name }) => known(name)))
    await file.open(chosen)
  }
  const table = computed(() => file.sheet.value && clientTable(file.sheet.value.rows))
  const clients = computed(() =>
    file.sheet.value && table.value ? readClients(file.sheet.value.rows, table.value) : [],
  )
  // Who is there already is left out until the coach says otherwise.
  watch(clients, found => {
    left.value = new Set(
      found.filter(({ name }) => there.value.has(known(name))).map(({ row }) => row),
    )
  })
  const monthsFor = ({ trainingAgeMonths, bareTraining }: NotedClient): number =>
    trainingAgeMonths ??
    (bareTraining === undefined ? usualMonths.value : monthsOf(bareTraining, unit.value))

  function profileOf(client: NotedClient) {
    const { weekdays = USUAL_DAYS, minutes = USUAL_MINUTES, start = USUAL_START } = client
    return ProfileContract.safeParse({
      ...NEW_PROFILE,
      name: client.name,
      about: client.about,
      goal: client.goal,
      trainingAgeMonths: monthsFor(client),
      days: weekdays.map(weekday => ({ weekday, minutes, start })),
    })
  }
  function wordsOf(client: NotedClient): string {
    const { weekdays, minutes, start, bareTraining, trainingAgeMonths } = client
    const isUsual = trainingAgeMonths === undefined && bareTraining === undefined
    return [
      `${monthsFor(client)} months of training${isUsual ? ', as is usual here' : ''}`,
      weekdays ? weekdays.map(day => weekdayName(day)).join(' ') : 'usual days',
      `${minutes ?? USUAL_MINUTES} min`,
      start ?? USUAL_START,
    ].join(', ')
  }
  const rows = computed(() =>
    clients.value.map(client => ({
      row: client.row,
      name: client.name,
      words: wordsOf(client),
      isThere: there.value.has(known(client.name)),
      isChosen: !left.value.has(client.row),
      unread: client.unread.map(
        ({ column, cell }) => `${COLUMN_WORDS[column] ?? column} “${cell}” could not be read`,
      ),
      outcome: outcomes.value.get(client.row),
    })),
  )
  function toggle(row: number): void {
    const next = new Set(left.value)
    if (!next.delete(row)) next.add(row)
    left.value = next
  }
  async function addOne(client: NotedClient) {
    const profile = profileOf(client)
    if (!profile.success) {
      const [issue] = profile.error.issues
      return { state: 'failed', words: `${issue?.path.join(' ')}: ${issue?.message}` } as const
    }
    const result = await ask('/api/clients', {
      method: 'POST',
      body: profile.data,
      answer: SavedClient,
    })
    if (result.ok) return { state: 'added', words: 'added' } as const
    const words = refusalWords(result.error, 'the server does not answer; try again')
    return { state: 'failed', words } as const
  }
  const waiting = computed(() =>
    clients.value.filter(
      ({ row }) => !left.value.has(row) && outcomes.value.get(row)?.state !== 'added',
    ),
  )
  /** Each client is a save of its own: one that is refused keeps nobody else out. */
  async function add(): Promise<void> {
    isBusy.value = true
    for (const client of waiting.value)
      outcomes.value = new Map(outcomes.value).set(client.row, await addOne(client))
    isBusy.value = false
  }
  return {
    file,
    open,
    rows,
    toggle,
    add,
    unit,
    usualMonths,
    isBusy: readonly(isBusy),
    count: computed(() => waiting.value.length),
    added: computed(() => [...outcomes.value.values()].filter(one => one.state === 'added').length),
    asksUnit: computed(() => clients.value.some(one => one.bareTraining !== undefined)),
    problem: computed(
      () =>
        file.problem.value ||
        (file.sheet.value && clients.value.length === 0
          ? 'There is no column of names in this table. Give it a heading such as Name, and open it again.'
          : ''),
    ),
  }
}
