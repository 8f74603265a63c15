import * as vue from 'vue'
import { clientId } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { type ClientFacts, STEADY_MIDDLE } from '#core/plan/method'
import { type Answering, type Asked, frameworkWith, provideGlobally } from './framework'

export const CLIENT_ID = clientId('6f9619ff-8b86-4011-b42d-00c04fc964ff')
export const BLOCK_ID = '7f9619ff-8b86-4011-b42d-00c04fc964ff'
export const TODAY = '2026-04-02'

/** A client who trains with everything there is, with what a test wants otherwise. */
export function clientView(plan: PlanDocument, facts: Partial<ClientFacts> = {}) {
  return {
    id: CLIENT_ID,
    name: 'Joren',
    about: '',
    method: STEADY_MIDDLE,
    basedOn: null,
    library: { exercises: [], credits: {} },
    facts: { trainingAgeMonths: 30, modes: {}, bands: {}, equipment: [], credits: {}, ...facts },
    block: { id: BLOCK_ID, version: 1, savedAt: '2026-04-01T08:00:00.000Z', plan },
  }
}

interface PlanScreen {
  readonly store: ReturnType<(typeof import('~/stores/plan'))['usePlanStore']>
  readonly asked: readonly Asked[]
}

const mounted: (() => unknown)[] = []

/**
 * The plan store loaded with a client, and in place what the framework gives a screen's composables by itself: the store,
 * today, a route, forms that are sent. What is asked of the server beside the client is answered by `answering`.
 */
export async function planScreen(
  plan: PlanDocument,
  {
    facts = {},
    answering = () => ({ ok: true, value: {} }),
  }: {
    readonly facts?: Partial<ClientFacts>
    readonly answering?: Answering
  } = {},
): Promise<PlanScreen> {
  const states = new Map<string, vue.Ref<unknown>>()
  const view = clientView(plan, facts)
  const asked = frameworkWith(one =>
    one.path === `/api/clients/${CLIENT_ID}` && one.method === 'GET'
      ? { ok: true, value: view }
      : answering(one),
  )
  provideGlobally({
    useToday: () => vue.ref(TODAY),
    useState: (key: string, first: () => unknown) => {
      if (!states.has(key)) states.set(key, vue.ref(first()))
      return states.get(key)
    },
    useRoute: () => ({ params: { clientId: CLIENT_ID }, query: {} }),
    navigateTo: async () => {},
    onMounted: (work: () => unknown) => mounted.push(work),
    // A test looks at once: nothing waits for the next painting.
    useAfterPaint: (of: () => unknown) => vue.computed(of),
  })
  const { useSubmission } = await import('~/shell/useSubmission')
  const { usePlanStore } = await import('~/stores/plan')
  const { useIssuedStore } = await import('~/stores/issued')
  const { useLoadsStore } = await import('~/stores/loads')
  provideGlobally({ useSubmission, usePlanStore, useIssuedStore, useLoadsStore })
  const store = usePlanStore()
  await store.load(CLIENT_ID)
  return { store, asked }
}
