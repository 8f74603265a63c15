import { ARM_GROUPS } from '#core/plan/catalogue'
import { isGirth, MEASUREMENT_TABLE } from '#core/body/measurements'
import { isSurelyChanged, type SeasonBlock, usualWeek } from '#core/follow/season'
import { formatDay, formatOneDecimal, GROUP_NAMES, strengthInWords } from '#core/words'
import type { ReportView } from '#shared/contracts/report'
import type { BlockReports } from './useBlockReports'

/** Exercises that both blocks have; the others are in the trends. */
const MOST_EXERCISES = 8

interface Line {
  readonly name: string
  readonly cells: readonly (string | undefined)[]
}
const of = (done: number, due: number) => (due === 0 ? 'nothing yet' : `${done} of ${due}`)

/** What two blocks of a client came to, line by line: what was put in, what it cost, what grew. */
export function useBlocksBeside(
  { told, load }: BlockReports,
  blocks: () => readonly SeasonBlock[],
  chosen: () => SeasonBlock | null,
) {
  const begun = computed(() => blocks().filter(({ state }) => state !== 'ahead'))
  const pair = ref<[string, string]>(['', ''])
  const problem = ref('')
  const isOpen = ref(false)

  async function fetchOne(id: string): Promise<void> {
    if (id === '') return
    problem.value = (await load(id)) ? '' : 'A block could not be fetched. Close and try again.'
  }
  watch(pair, ids => void Promise.all(ids.map(fetchOne)), { deep: true })

  /** The chosen block beside the one before it; nothing where fewer than two have begun. */
  function open(): void {
    const own = begun.value
    const at = own.findIndex(({ id }) => id === chosen()?.id)
    const right = at < 0 ? own.length - 1 : Math.max(1, at)
    if (own.length < 2) return
    pair.value = [own[right - 1]!.id, own[right]!.id]
    isOpen.value = true
  }
  const sides = computed(() => pair.value.map(id => told.value.get(id)))
  const each = (name: string, cell: (view: ReportView) => string): Line => ({
    name,
    cells: sides.value.map(view => view && cell(view)),
  })
  function girthLines(): readonly Line[] {
    const kinds = new Set(sides.value.flatMap(view => view?.measured.map(({ kind }) => kind) ?? []))
    return [...kinds].map(kind =>
      each(MEASUREMENT_TABLE[kind].name, view => {
        const own = view.measured.find(one => one.kind === kind)
        if (!own) return 'not measured twice'
        const words = `${formatOneDecimal(own.first)} to ${formatOneDecimal(own.last)} ${MEASUREMENT_TABLE[kind].unit}`
        return isGirth(kind) && !isSurelyChanged(own) ? `${words}, within what a tape errs` : words
      }),
    )
  }
  function strengthLines(): readonly Line[] {
    const [left, right] = sides.value
    const both = left?.exercises.filter(({ exercise }) =>
      right?.exercises.some(other => other.exercise === exercise),
    )
    return (both ?? []).slice(0, MOST_EXERCISES).map(({ exercise, name }) =>
      each(name, view => {
        const { verdict, slope, spanWeeks } = view.exercises.find(
          other => other.exercise === exercise,
        )!.trend
        return strengthInWords(verdict, slope, spanWeeks)
      }),
    )
  }
  const parts = computed(() => [
    {
      title: 'What was put in',
      lines: [
        each('Dates', ({ from, to }) => `${formatDay(from)} to ${formatDay(to)}`),
        each('Sessions done', ({ sessionsDone, sessionsDue }) => of(sessionsDone, sessionsDue)),
        each('Sets done', ({ setsDone, setsDue }) => of(setsDone, setsDue)),
        ...ARM_GROUPS.map(group =>
          each(`${GROUP_NAMES[group]}, sets in a usual week`, view =>
            formatOneDecimal(usualWeek(view.volume, group).done),
          ),
        ),
      ],
    },
    {
      title: 'What it cost',
      lines: [
        each('Pain told', ({ pain }) =>
          pain.reports === 0
            ? 'none'
            : `${pain.reports} ${pain.reports === 1 ? 'time' : 'times'}, the worst ${pain.worst} of 10`,
        ),
      ],
    },
    { title: 'What grew', lines: [...strengthLines(), ...girthLines()] },
  ])
  return {
    isOpen,
    open,
    pair,
    begun,
    parts,
    problem: readonly(problem),
    canCompare: computed(() => begun.value.length > 1),
  }
}
