import {
  type Credits,
  evenShares,
  type Exercise,
  type Group,
  type Joint,
} from '#core/plan/catalogue'
import { NewExerciseBody, SavedExercise } from '#shared/contracts/library'

/** What an own exercise is entered as; one purpose, to begin with. */
export function useOwnExercise(onSaved: (id: string) => Promise<unknown>) {
  const draft = shallowRef<Exercise | null>(null)
  const editing = ref<string | null>(null)
  const submission = useSubmission({
    path: () => (editing.value === null ? '/api/exercises' : `/api/exercises/${editing.value}`),
    body: NewExerciseBody,
    answer: SavedExercise,
  })
  const change = useSubmission({
    path: () => `/api/exercises/${editing.value ?? ''}`,
    method: 'PUT',
    body: NewExerciseBody,
    answer: SavedExercise,
  })
  const active = computed(() => (editing.value === null ? submission : change))

  function copy(exercise: Exercise): void {
    editing.value = null
    draft.value = {
      ...exercise,
      name: '',
      aliases: [],
      substitutes: [exercise.id, ...exercise.substitutes].slice(0, 10),
    }
  }
  function edit(exercise: Exercise): void {
    editing.value = exercise.id
    draft.value = exercise
  }
  function put(part: Partial<Exercise>): void {
    if (draft.value) draft.value = { ...draft.value, ...part }
  }
  /** Changes the first purpose; the others stay as they were copied. */
  function purpose(part: Partial<Exercise['intents'][number]>): void {
    const [first, ...others] = draft.value?.intents ?? []
    if (first) put({ intents: [{ ...first, ...part }, ...others] })
  }
  function setCredit(group: Group, credit: number): void {
    const first = draft.value?.intents[0]
    if (!first) return
    const { [group]: _before, ...others } = first.credits
    const credits: Credits = credit === 0 ? others : { ...others, [group]: credit }
    purpose({ credits, headShares: evenShares(credits, first.headShares) })
  }
  function setStress(joint: Joint, stress: 0 | 1 | 2 | 3): void {
    const first = draft.value?.intents[0]
    if (first) purpose({ jointStress: { ...first.jointStress, [joint]: stress } })
  }
  async function save(): Promise<void> {
    if (!draft.value) return
    const { id: _id, ...body } = draft.value
    const saved = await active.value.send(body)
    if (!saved) return
    draft.value = null
    await onSaved(saved.id)
  }
  return {
    draft,
    editing: readonly(editing),
    copy,
    edit,
    put,
    purpose,
    setCredit,
    setStress,
    save,
    cancel: () => (draft.value = null),
    errors: computed(() => active.value.errors.value),
    complaint: computed(() => active.value.complaint.value),
    complaintAbout: (pointer: string, label: string) => active.value.complaintAbout(pointer, label),
  }
}
