import { Done } from '#shared/contracts/history'
import { RevisionsView, RevisionView } from '#shared/contracts/revisions'

/** The saves of the block: what each changed, its name, and going back to it. */
export function useRevisions() {
  const store = usePlanStore()
  const { ask } = useApi()
  const revisions = shallowRef<RevisionsView['revisions'] | null>(null)
  const complaint = ref('')
  const path = () => `/api/blocks/${store.client?.block?.id}/revisions`

  async function load(): Promise<void> {
    await store.save()
    const result = await ask(path(), { answer: RevisionsView })
    complaint.value = result.ok ? '' : 'The history could not be fetched. Close and try again.'
    if (result.ok) revisions.value = result.value.revisions
  }
  async function restore(version: number): Promise<boolean> {
    const result = await ask(`${path()}/${version}`, { answer: RevisionView })
    complaint.value = result.ok ? '' : 'That save could not be fetched. Nothing was changed.'
    if (result.ok) store.put(result.value.plan)
    return result.ok
  }
  async function rename(version: number, name: string): Promise<void> {
    const result = await ask(`${path()}/${version}/name`, {
      method: 'PUT',
      body: { name: name.trim() === '' ? null : name.trim() },
      answer: Done,
    })
    complaint.value = result.ok ? '' : 'The name was not saved. Try again.'
    await load()
  }
  onMounted(load)
  return { revisions, complaint: readonly(complaint), restore, rename }
}
