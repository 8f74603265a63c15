import { RosterView } from '#shared/contracts/roster'
import { defineStore } from 'pinia'
import type { ApiFailure } from '~/shell/useApi'

/** The coach's clients as the roster shows them. */
export const useRosterStore = defineStore('roster', () => {
  const view = shallowRef<RosterView | null>(null)
  const failure = shallowRef<ApiFailure | null>(null)
  const { ask } = useApi()

  async function load(): Promise<void> {
    const result = await ask('/api/roster', { answer: RosterView })
    failure.value = result.ok ? null : result.error
    if (result.ok) view.value = result.value
  }
  return { view, failure, load }
})
