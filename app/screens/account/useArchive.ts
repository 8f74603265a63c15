import { Done } from '#shared/contracts/history'
import { ArchiveView } from '#shared/contracts/roster'

/** Clients who are put away: restoring, and erasing after the name was typed. */
export async function useArchive() {
  const { ask } = useApi()
  const complaint = ref('')
  const erasing = ref<string | null>(null)
  const typed = ref('')
  const { data, refresh } = await useAsyncData('archive', async () => {
    const result = await ask('/api/clients/archived', { answer: ArchiveView })
    if (result.ok) return result.value
    throw createError({
      statusCode: result.error.kind === 'refused' ? result.error.problem.status : 503,
      fatal: true,
    })
  })
  const clients = computed(() => data.value?.clients ?? [])

  async function done(path: string, method: 'POST' | 'DELETE', body?: object): Promise<void> {
    const result = await ask(path, { method, ...(body && { body }), answer: Done })
    complaint.value = result.ok
      ? ''
      : result.error.kind === 'refused'
        ? result.error.problem.detail
        : 'The server does not answer. Nothing was changed; try again.'
    if (result.ok) erasing.value = null
    await refresh()
  }
  return {
    clients,
    complaint: readonly(complaint),
    erasing,
    typed,
    restore: (id: string) => done(`/api/clients/${id}/restore`, 'POST'),
    erase: (id: string) => done(`/api/clients/${id}`, 'DELETE', { name: typed.value }),
    exportPath: (id: string) => `/api/clients/${id}/export`,
  }
}
