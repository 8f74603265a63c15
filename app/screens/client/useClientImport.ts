import { SavedClient } from '#shared/contracts/profile'

/** Taking a client in from a file of hers. */
export function useClientImport() {
  const { ask } = useApi()
  const complaints = shallowRef<readonly string[]>([])
  const isBusy = ref(false)

  async function take(file: File | undefined): Promise<void> {
    if (!file) return
    complaints.value = []
    let document: unknown
    try {
      document = JSON.parse(await file.text())
    } catch {
      complaints.value = [
        `${file.name} is not readable JSON. Choose a file made with “Export everything as JSON”.`,
      ]
      return
    }
    isBusy.value = true
    const result = await ask('/api/clients/import', {
      method: 'POST',
      body: document as object,
      answer: SavedClient,
    })
    isBusy.value = false
    if (result.ok) await navigateTo(`/clients/${result.value.id}`)
    else if (result.error.kind === 'unreachable')
      complaints.value = ['The server does not answer. Nothing was written; try again.']
    else
      complaints.value = (result.error.problem.errors ?? [])
        .map(({ detail, pointer }) => `${pointer}: ${detail}`)
        .slice(0, 6)
        .concat(result.error.problem.errors ? [] : [result.error.problem.detail])
  }
  return { complaints: readonly(complaints), isBusy: readonly(isBusy), take }
}
