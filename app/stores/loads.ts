import {
  blockLoadSessions,
  type LoadBasis,
  loadKey,
  loadsAhead,
  plannedKey,
  type LoadSession,
  startingLoad,
} from '#core/design/loads'
import type { Slot } from '#core/plan/session'
import type { PlanDocument } from '#core/plan/block'
import type { PlanContext } from '#core/plan/method'
import type { BlockSession } from '#core/design/progress'
import { LoadsAnswer, type LoadsView } from '#shared/contracts/loads'
import { defineStore } from 'pinia'

type Loads = ReturnType<typeof loadsAhead>

const NOTHING: Loads = new Map()

const basisFor = (
  { unit, bodyKg }: LoadsView,
  plan: PlanDocument,
  context: PlanContext,
): LoadBasis => ({
  context,
  unit,
  bodyKg,
  rules: plan.block?.rules,
  rotation: plan.rotation,
})

function reckonedFor(
  sessions: readonly LoadSession[],
  view: LoadsView,
  plan: PlanDocument,
  context: PlanContext,
): Loads {
  if (sessions.length === 0) return NOTHING
  return loadsAhead(
    sessions,
    {
      exposures: new Map(view.exposures),
      lastPlanned: new Map(view.lastPlanned.map(slot => [plannedKey(slot), slot])),
    },
    basisFor(view, plan, context),
  )
}

/** Loads of the next session of a day and place that is still to be done, with its date. */
function nextIn(
  sessions: ReturnType<typeof blockLoadSessions>,
  reckoned: (wanted: readonly LoadSession[]) => Loads,
  day: number,
  place: number,
) {
  const wanted = sessions.find(
    session => !session.isMissed && session.day === day && session.place === place,
  )
  const before = sessions.filter(({ on }) => wanted && on <= wanted.on)
  const loads = wanted && reckoned(before).get(wanted.key)
  return loads ? { on: wanted.on, loads } : null
}

/** Loads of the open block's sessions that are still to be done: the forecast that phone, paper, board and block share. */
export const useLoadsStore = defineStore('loads', () => {
  const plans = usePlanStore()
  const issued = useIssuedStore()
  const today = useToday()
  const { ask } = useApi()
  const held = shallowRef<{ readonly client: string; readonly view: LoadsView } | null>(null)
  const view = computed(() =>
    held.value && held.value.client === plans.client?.id ? held.value.view : null,
  )
  const sessions = computed(() =>
    issued.expanded ? blockLoadSessions(issued.expanded, today.value) : [],
  )
  const reckoned = (wanted: readonly LoadSession[]): Loads =>
    view.value && plans.context && plans.plan
      ? reckonedFor(wanted, view.value, plans.plan, plans.context)
      : NOTHING
  const ahead = computed(() => reckoned(sessions.value))
  const nextOf = (day: number, place: number) => nextIn(sessions.value, reckoned, day, place)

  /** Reads what the loads are reckoned from; false where nothing came. */
  async function load(): Promise<boolean> {
    const client = plans.client?.id
    if (!client) return false
    const [result] = await Promise.all([
      ask(`/api/clients/${client}/loads`, { answer: LoadsAnswer }),
      issued.load(),
    ])
    if (!result.ok) return false
    held.value = { client, view: result.value }
    return true
  }
  const ofSession = (session: Pick<BlockSession, 'pass' | 'day' | 'place'>) =>
    ahead.value.get(loadKey(session))
  /** A load to begin with, for a slot that has none. */
  function startFor(slot: Slot) {
    const { plan, context } = plans
    if (!view.value || !plan || !context) return undefined
    const basis = basisFor(view.value, plan, context)
    return startingLoad(slot, new Map(view.value.exposures), basis, plan.startsOn)
  }
  return { held, view, ahead, nextOf, load, ofSession, startFor }
})
