import { type ExerciseId, exerciseId } from '#core/base'
import { plain } from '#core/exchange/imports'
import type { Catalogue } from '#core/plan/catalogue'
import type { ShownName } from './NamesRead.vue'

const SHOWN_ROWS = 3

/** Where a name stands: `row 4`, `rows 4, 5, 6 and 9 more`. */
function placeWords(rows: readonly number[], place: 'row' | 'line'): string {
  const [first, ...others] = rows
  if (others.length === 0) return `${place} ${first}`
  const more = rows.length > SHOWN_ROWS ? ` and ${rows.length - SHOWN_ROWS} more` : ''
  return `${place}s ${rows.slice(0, SHOWN_ROWS).join(', ')}${more}`
}

/** What the coach says about names that are not spelt as in the library; null leaves them out. */
export function useNamesRead(catalogue: () => Catalogue) {
  const answers = shallowRef<ReadonlyMap<string, ExerciseId | null>>(new Map())
  const named = (id: string) => ({ id, name: catalogue().get(id)?.name ?? id })
  function say(name: string, exercise: string): void {
    answers.value = new Map(answers.value).set(
      plain(name),
      exercise === 'leave' ? null : exerciseId(exercise),
    )
  }
  const shown = (
    names: readonly {
      readonly name: string
      readonly rows: readonly number[]
      readonly exercise: string | null | undefined
      readonly near: readonly string[]
    }[],
    place: 'row' | 'line' = 'row',
  ): readonly ShownName[] =>
    names.map(({ name, rows, exercise, near }) => ({
      name,
      where: placeWords(rows, place),
      chosen: exercise === null ? 'leave' : (exercise ?? ''),
      near: near.map(named),
    }))
  const exercises = computed(() =>
    [...catalogue().values()]
      .map(({ id, name }) => ({ id, name }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  )
  /** What was left out is asked again; what was named stays. */
  const takeBack = () =>
    (answers.value = new Map([...answers.value].filter(([, exercise]) => exercise !== null)))
  return { answers, say, shown, exercises, takeBack, forget: () => (answers.value = new Map()) }
}
