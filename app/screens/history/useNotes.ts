import { plainDate } from '#core/base'
import type { Catalogue } from '#core/plan/catalogue'
import { formatDay, goalMeasureWords, goalSentence, throughWords } from '#core/words'
import { Done } from '#shared/contracts/history'
import { GoalBody, GoalsView, NoteBody, NotesView } from '#shared/contracts/notes'

/** What the coach has noted about a client, and what the client wants to reach. */
export function useNotes(clientId: string, catalogue: () => Catalogue) {
  const { ask } = useApi()
  const exerciseName = (id: string) => catalogue().get(id)?.name ?? id
  const today = useToday()
  const notes = shallowRef<NotesView['notes']>([])
  const goals = shallowRef<(typeof GoalsView._output)['goals']>([])
  const note = useSubmission({
    path: () => `/api/clients/${clientId}/notes`,
    body: NoteBody,
    answer: Done,
  })
  const goal = useSubmission({
    path: () => `/api/clients/${clientId}/goals`,
    body: GoalBody,
    answer: Done,
  })
  async function load(): Promise<void> {
    const [noted, aimed] = await Promise.all([
      ask(`/api/clients/${clientId}/notes`, { answer: NotesView }),
      ask(`/api/clients/${clientId}/goals`, { answer: GoalsView }),
    ])
    if (noted.ok) notes.value = noted.value.notes
    if (aimed.ok) goals.value = aimed.value.goals
  }
  onMounted(load)
  async function write(text: string, on: string): Promise<boolean> {
    const isKept = (await note.send({ text, on, session: null })) !== undefined
    if (isKept) await load()
    return isKept
  }
  async function aim(entered: unknown): Promise<boolean> {
    const isKept = (await goal.send(entered)) !== undefined
    if (isKept) await load()
    return isKept
  }
  async function remove(what: 'notes' | 'goals', id: string): Promise<void> {
    await ask(`/api/clients/${clientId}/${what}/${id}`, { method: 'DELETE', answer: Done })
    await load()
  }
  return {
    notes: computed(() => notes.value.map(one => ({ ...one, day: formatDay(one.on) }))),
    goals: computed(() =>
      goals.value.map(one => {
        const measure = goalMeasureWords(one.measure, exerciseName)
        return {
          ...one,
          title: one.words === '' ? measure.name : one.words,
          measure: measure.name,
          unit: measure.unit,
          through:
            one.measure.kind === 'strength' ? throughWords(catalogue().get(one.measure.of)) : '',
          stands: goalSentence(
            one.course,
            { target: one.target, by: plainDate(one.by), unit: measure.unit },
            today.value,
          ),
        }
      }),
    ),
    write,
    aim,
    remove,
    noteComplaint: computed(() => note.errors.value[0]?.detail ?? note.complaint.value),
    goalComplaint: computed(() => goal.errors.value[0]?.detail ?? goal.complaint.value),
  }
}
