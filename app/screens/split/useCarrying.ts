import { refusalWords } from '~/shell/refusalWords'
import type { CarriedPart } from '#core/plan/block'
import { LastChanges, TurnAnswer } from '#shared/contracts/changes'
import { CarryAnswer, KeepPlanBody, KeptTemplate } from '#shared/contracts/planTemplate'
import { RosterView } from '#shared/contracts/roster'
import type { ApiFailure } from '~/shell/useApi'

/** Clients asked for at a time: the server does each by itself. */
const AT_ONCE = 4

/** How carrying to one client stands. */
export interface Carried {
  readonly id: string
  readonly name: string
  readonly state: 'seen' | 'carried' | 'refused' | 'taken_back'
  readonly block: string
  readonly reasons: string
  readonly changes: readonly string[]
  /** Why it was refused. */
  readonly problem: string
  /** What takes it back, and nothing else that was done for the client. */
  readonly change: string | null
}

const refusedWords = (error: ApiFailure): string =>
  refusalWords(error, 'The server did not answer; try again.')

/** Gives the plan of the board to other clients: looked at first, then for good, each by itself, and taken back as one. */
export function useCarrying() {
  const store = usePlanStore()
  const { ask } = useApi()
  const part = ref<CarriedPart>('rotation')
  const chosen = ref<string[]>([])
  const others = shallowRef<readonly { id: string; name: string; about: string }[]>([])
  const carried = shallowRef<readonly Carried[]>([])
  const done = ref(0)
  const isBusy = ref(false)

  onMounted(async () => {
    const roster = await ask('/api/roster', { answer: RosterView })
    if (roster.ok)
      others.value = roster.value.clients
        .filter(({ id, block }) => id !== store.client?.id && block !== null)
        .map(({ id, name, about }) => ({ id, name, about }))
  })
  watch([chosen, part], () => (carried.value = []))

  async function one(id: string, isTrial: boolean): Promise<Carried> {
    const name = others.value.find(other => other.id === id)?.name ?? ''
    const result = await ask(`/api/clients/${id}/carry`, {
      method: 'POST',
      body: {
        from: { kind: 'block', id: store.client?.block?.id, part: part.value },
        isTrial,
      },
      answer: CarryAnswer,
    })
    const empty = { id, name, block: '', reasons: '', changes: [], problem: '', change: null }
    if (!result.ok)
      return {
        ...empty,
        state: 'refused',
        problem: refusedWords(result.error),
      }
    const { block, reasons, changes } = result.value
    const last = isTrial
      ? null
      : await ask(`/api/clients/${id}/changes/last`, { answer: LastChanges })
    return {
      ...empty,
      state: isTrial ? 'seen' : 'carried',
      block,
      reasons: reasons.join(' · '),
      changes,
      change: (last?.ok && last.value.undo?.id) || null,
    }
  }
  /** Every chosen client by itself: one that is refused keeps nobody else from it. */
  async function forAll(work: (id: string) => Promise<Carried>): Promise<void> {
    isBusy.value = true
    done.value = 0
    const ids = [...chosen.value]
    const results = new Map<string, Carried>()
    const next = async (): Promise<void> => {
      const id = ids.shift()
      if (id === undefined) return
      results.set(id, await work(id))
      done.value += 1
      await next()
    }
    await Promise.all(Array.from({ length: AT_ONCE }, next))
    carried.value = chosen.value.flatMap(id => results.get(id) ?? [])
    isBusy.value = false
  }
  async function run(isTrial: boolean): Promise<void> {
    // What is carried is what the server has.
    await store.save()
    await forAll(id => one(id, isTrial))
  }
  async function backFor(entry: Carried): Promise<Carried> {
    const result =
      entry.change &&
      (await ask(`/api/clients/${entry.id}/changes/undo`, {
        method: 'POST',
        body: { change: entry.change },
        answer: TurnAnswer,
      }))
    return result && result.ok
      ? { ...entry, state: 'taken_back' }
      : { ...entry, problem: 'Changed again since; take it back on this client’s board.' }
  }
  /** Takes it back for everybody who got it. */
  async function takeBack(): Promise<void> {
    isBusy.value = true
    carried.value = await Promise.all(
      carried.value.map(entry => (entry.state === 'carried' ? backFor(entry) : entry)),
    )
    isBusy.value = false
  }

  const keeping = useSubmission({
    path: () => '/api/plan-templates',
    body: KeepPlanBody,
    answer: KeptTemplate,
  })
  async function keep(name: string, reason: string): Promise<boolean> {
    await store.save()
    const block = store.client?.block?.id ?? ''
    return (await keeping.send({ name, reason, block, part: part.value })) !== undefined
  }
  return {
    part,
    chosen,
    others,
    carried,
    done,
    isBusy,
    keeping,
    keep,
    run,
    takeBack,
    count: computed(() => carried.value.filter(({ state }) => state === 'carried').length),
    isSeen: computed(
      () => carried.value.length > 0 && carried.value.every(({ state }) => state !== 'carried'),
    ),
  }
}
