import { meant, type NotedLine, rotationFromNotes } from '#core/exchange/notes'
import { plain } from '#core/exchange/imports'
import { applyEdits, type PlanEdit } from '#core/plan/block'
import { formatScheme } from '#core/plan/shorthand'
import { editProblemSentence, formatSetCount } from '#core/words'
import { newId } from '~/shell/newId'

/** A plan out of notes or a table: what is read, what must be said, and showing it on the board on trial. */
export function usePlanNotes() {
  const store = usePlanStore()
  const problem = ref('')
  const catalogue = computed(() => store.context?.catalogue ?? new Map())
  const source = useNotesSource(() => catalogue.value)
  const { read } = source
  const names = useNamesRead(() => catalogue.value)
  const lines = computed(() =>
    read.value.days.flatMap(({ groups }) => groups.flatMap(({ exercises }) => exercises)),
  )
  const named = computed(() => {
    const byName = new Map<string, NotedLine & { readonly rows: number[] }>()
    for (const line of lines.value) {
      const before = byName.get(plain(line.name))
      if (before) before.rows.push(line.line)
      else byName.set(plain(line.name), { ...line, rows: [line.line] })
    }
    return [...byName.values()].map(({ name, rows, near, ...line }) => ({
      name,
      rows,
      near,
      exercise: meant({ name, exercise: line.exercise }, names.answers.value),
    }))
  })
  const isReady = computed(
    () => lines.value.length > 0 && named.value.every(({ exercise }) => exercise !== undefined),
  )
  const days = computed(() =>
    read.value.days.map(({ title, groups }, at) => ({
      title: title || `Day ${at + 1}`,
      lines: groups.flatMap(({ kind, exercises }) =>
        exercises.map((line, place) => wordsOf(line, place > 0 && kind !== 'straight')),
      ),
    })),
  )
  function wordsOf(line: NotedLine, isPartner: boolean) {
    const id = meant(line, names.answers.value)
    return {
      key: `${line.line} ${line.name}`,
      name: id === null ? '' : id === undefined ? line.name : (catalogue.value.get(id)?.name ?? id),
      isAsked: id === undefined,
      isPartner,
      sets: line.scheme
        ? formatScheme(line.scheme)
        : line.setCount === undefined
          ? 'usual sets'
          : `${formatSetCount(line.setCount)}, usual reps`,
      note: [line.note, line.unread].filter(Boolean).join('; '),
    }
  }

  function edits(): readonly PlanEdit[] {
    const { plan, context } = store
    if (!plan || !context) return []
    const { days: made, onWeekdays } = rotationFromNotes(read.value, {
      context: toRaw(context),
      startsOn: plan.startsOn,
      names: names.answers.value,
      newId,
    })
    const { weeks } = read.value
    return [
      { kind: 'use_days', days: made, ...(onWeekdays && { onWeekdays }) },
      ...(weeks && made.length === 7
        ? [
            {
              kind: 'set_block' as const,
              passes: weeks.count,
              block: {
                ...plan.block,
                deloads: weeks.deloads.map(week => week - 1),
              },
            },
          ]
        : []),
    ]
  }
  /** Shows the plan on the board, on trial; true where it is there. */
  function show(): boolean {
    const { plan, context } = store
    if (!plan || !context) return false
    const after = applyEdits(toRaw(plan), edits(), newId)
    const shown = after.ok ? store.tryOut(after.value, 'plan from notes') : after
    if (!shown.ok) problem.value = editProblemSentence(shown.error, context.catalogue)
    return shown.ok
  }
  return {
    ...source,
    problem: readonly(problem),
    days,
    isReady,
    show,
    say: names.say,
    exercises: names.exercises,
    names: computed(() =>
      names.shown(named.value.filter(isTold), source.file.sheet.value ? 'row' : 'line'),
    ),
    unread: computed(() => read.value.unread),
    weeks: computed(() => read.value.weeks),
    otherWeeks: computed(() => read.value.otherWeeks),
    lineCount: computed(() => lines.value.length),
  }
  /** Names that stand in the library as they are need no word. */
  function isTold({ name, exercise }: { name: string; exercise: string | null | undefined }) {
    return !exercise || plain(catalogue.value.get(exercise)?.name ?? '') !== plain(name)
  }
}
