import type { Credits, Exercise, Group } from '#core/plan/catalogue'
import { effectWords } from '#core/words'
import { CreditEffectsView } from '#shared/contracts/library'
import { useDebounceFn } from '@vueuse/core'

/** A change of credits being made: what it would do is asked of the server with every step, and shown before it is saved. */
export function useCreditChange(
  exercise: () => Exercise,
  credits: (intent: string | null, client: string | null) => Credits,
  onSaved: () => Promise<unknown>,
) {
  const { ask } = useApi()
  const intent = ref<string | null>(null)
  const client = ref<string | null>(null)
  const draft = shallowRef<Credits>({})
  const effects = shallowRef<readonly string[] | null>(null)
  const complaint = ref('')
  const isSaved = ref(false)

  function begin(): void {
    draft.value = credits(intent.value, client.value)
    effects.value = null
    complaint.value = ''
  }
  watch(
    [() => exercise().id],
    () => ((intent.value = null), (client.value = null), begin(), (isSaved.value = false)),
    { immediate: true },
  )
  watch([intent, client], begin)

  const body = (value: Credits | null) => ({
    intent: intent.value,
    client: client.value,
    credits: value,
  })
  const path = () => `/api/exercises/${exercise().id}`
  const lookAhead = useDebounceFn(async () => {
    const result = await ask(`${path()}/effect`, {
      method: 'POST',
      body: body(draft.value),
      answer: CreditEffectsView,
    })
    complaint.value = result.ok
      ? ''
      : result.error.kind === 'refused'
        ? result.error.problem.detail
        : 'The server does not answer.'
    effects.value = result.ok ? result.value.effects.map(effectWords) : null
  }, 200)

  function set(group: Group, credit: number): void {
    const { [group]: _before, ...others } = draft.value
    draft.value = credit === 0 ? others : { ...others, [group]: credit }
    isSaved.value = false
    void lookAhead()
  }
  async function write(value: Credits | null): Promise<void> {
    const result = await ask(`${path()}/credits`, {
      method: 'PUT',
      body: body(value),
      answer: CreditEffectsView,
    })
    complaint.value = result.ok
      ? ''
      : result.error.kind === 'refused'
        ? result.error.problem.detail
        : 'The server does not answer. Nothing was saved; try again.'
    if (!result.ok) return
    await onSaved()
    begin()
    isSaved.value = true
  }
  return {
    intent,
    client,
    draft,
    effects,
    complaint: readonly(complaint),
    isSaved: readonly(isSaved),
    set,
    save: () => write(draft.value),
    restore: () => write(null),
  }
}
