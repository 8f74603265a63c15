import {
  PLAN_COLUMNS,
  type PlanColumn,
  type PlanMapping,
  planTable,
  readNotes,
  readTable,
} from '#core/exchange/notes'
import type { Catalogue } from '#core/plan/catalogue'
import type { WeightUnit } from '#core/plan/scheme'

const COLUMN_WORDS: Readonly<Record<PlanColumn, string>> = {
  week: 'Week',
  day: 'Day',
  exercise: 'Exercise',
  sets: 'Sets',
  reps: 'Reps',
  load: 'Load',
  effort: 'Reps left or RPE',
  rest: 'Rest',
  tempo: 'Tempo',
  note: 'Note',
}

/** What a plan is read from: typed notes, or a sheet of a file with its columns. */
export function useNotesSource(catalogue: () => Catalogue) {
  const file = useSheetFile()
  const text = ref('')
  const unit = ref<WeightUnit>('kg')
  const table = computed(() => file.sheet.value && planTable(file.sheet.value.rows))
  const mapping = ref<PlanMapping>({})
  watch(table, found => (mapping.value = found?.mapping ?? {}))
  const read = computed(() =>
    file.sheet.value && table.value
      ? readTable(
          file.sheet.value.rows,
          { ...table.value, mapping: mapping.value },
          catalogue(),
          unit.value,
        )
      : readNotes(text.value, catalogue(), unit.value),
  )
  function choose(column: PlanColumn, place: string): void {
    const { [column]: _, ...others } = mapping.value
    mapping.value = place === '' ? others : { ...others, [column]: Number(place) }
  }
  const columns = computed(() =>
    PLAN_COLUMNS.map(id => ({ id, words: COLUMN_WORDS[id], chosen: mapping.value[id] })),
  )
  return {
    file,
    text,
    unit,
    read,
    columns,
    headings: computed(() => table.value?.headings ?? []),
    choose,
  }
}
