import { applyEdits, type PlanEdit } from '#core/plan/block'
import { Done } from '#shared/contracts/history'
import { NameRevisionBody } from '#shared/contracts/revisions'
import { newId } from '~/shell/newId'

interface TrialWish {
  readonly client: string
  readonly name: string
  readonly edits: readonly PlanEdit[]
}

/** Changes to look at on the board: asked for on one page, shown by the next, kept or put back there. */
export function useTrial() {
  const store = usePlanStore()
  const { ask } = useApi()
  const wish = useState('trial-wish', () => shallowRef<TrialWish | null>(null))

  async function showOnBoard(name: string, edits: readonly PlanEdit[]): Promise<void> {
    const client = store.client?.id
    if (!client) return
    wish.value = { client, name, edits }
    await navigateTo(`/clients/${client}/split`)
  }
  /** Shows what another page asked for, once the board is ready for edits; true where something is shown. */
  function takeUp(): boolean {
    const asked = wish.value
    wish.value = null
    if (!asked || !store.plan || asked.client !== store.client?.id) return false
    const after = applyEdits(store.plan, asked.edits, newId)
    return after.ok && store.tryOut(after.value, asked.name).ok
  }
  async function keep(): Promise<void> {
    const name = store.trial?.name
    await store.keepTrial()
    if (name) await nameVersion(name)
  }
  /** The name is a convenience: without it the version is in the history all the same. */
  async function nameVersion(name: string): Promise<void> {
    const block = store.client?.block
    if (block && store.isSaved)
      await ask(`/api/blocks/${block.id}/revisions/${store.version}/name`, {
        method: 'PUT',
        body: NameRevisionBody.parse({ name }),
        answer: Done,
      })
  }
  return { showOnBoard, takeUp, keep, putBack: () => store.endTrial(), nameVersion }
}
