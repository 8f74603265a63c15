import { SavedClient } from '#shared/contracts/profile'
import { z } from 'zod'
import type { ApiFailure } from '~/shell/useApi'

/** A file with every client of a studio, each in the form of a client's own file. */
const StudioDocument = z.object({
  format: z.literal('tholepin-studio'),
  clients: z.array(z.unknown()),
})

function complaintsOf(error: ApiFailure, before: number): readonly string[] {
  const already = before > 0 ? [`${before} clients of the file are in; the next was refused.`] : []
  if (error.kind === 'unreachable')
    return [...already, 'The server does not answer. Nothing more was written; try again.']
  const { errors, detail } = error.problem
  const said = errors?.map(one => `${one.pointer}: ${one.detail}`).slice(0, 6) ?? [detail]
  return [...already, ...said]
}

/** Taking a client in from a file of hers, or all clients from a studio's. */
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
    const whole = StudioDocument.safeParse(document)
    // A client is taken in whole or not at all; of a studio's file those before a refused one are in.
    const taken: string[] = []
    for (const one of whole.success ? whole.data.clients : [document]) {
      const result = await ask('/api/clients/import', {
        method: 'POST',
        body: one as object,
        answer: SavedClient,
      })
      if (!result.ok) {
        complaints.value = complaintsOf(result.error, taken.length)
        break
      }
      taken.push(result.value.id)
    }
    isBusy.value = false
    if (complaints.value.length === 0)
      await navigateTo(whole.success ? '/roster' : `/clients/${taken[0]}`)
  }
  return { complaints: readonly(complaints), isBusy: readonly(isBusy), take }
}
