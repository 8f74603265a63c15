import { useOwnTemplates } from './useOwnTemplates'
import {
  byFit,
  offeredPlan,
  type OfferedRotation,
  rankedTemplates,
  rotationEdit,
} from '#core/design/templates'
import type { PlanEdit } from '#core/plan/block'
import type { WeightUnit } from '#core/plan/scheme'
import { capitalised, fitChangeWords, fitReasons, ROLE_NAMES } from '#core/words'
import { type PlanTemplate, PlanTemplatesView } from '#shared/contracts/planTemplate'
import { StrengthsView } from '#shared/contracts/history'
import { newId } from '~/shell/newId'

/** What a template is, whoever made it. */
interface Shown {
  readonly id: string
  readonly name: string
  readonly about: string
  /** Of the coach's own, what puts it into the plan; it can be removed, and goes out as a file. */
  readonly edits?: readonly PlanEdit[]
}

/** Rotations to start from, built in and the coach's own, fitted to the client, those first that fit best. */
export function useTemplates() {
  const store = usePlanStore()
  const { ask } = useApi()
  const own = shallowRef<readonly PlanTemplate[]>([])
  const strengths = shallowRef<ReadonlyMap<string, { load: number; unit: WeightUnit }>>(new Map())

  async function load(): Promise<void> {
    const client = store.client?.id
    const [mine, strong] = await Promise.all([
      ask('/api/plan-templates', { answer: PlanTemplatesView }),
      client ? ask(`/api/clients/${client}/strengths`, { answer: StrengthsView }) : null,
    ])
    // Loads follow the log, as where a plan is given to the client.
    if (strong?.ok)
      strengths.value = new Map(
        strong.value.strengths.map(({ exercise, kg }) => [exercise, { load: kg, unit: 'kg' }]),
      )
    if (mine.ok) own.value = mine.value.templates
  }
  // Fitted once, when the list opens: the plan on the board is what it is laid against.
  const [plan, context] = [toRaw(store.plan), toRaw(store.context)]
  const builtIn =
    plan && context
      ? rankedTemplates(plan, context, newId).map(offer => ({
          ...offer,
          wanted: {
            id: offer.wanted.id,
            name: offer.wanted.name,
            about: offer.wanted.reasons.join(' '),
          } as Shown,
        }))
      : []
  const ofOwn = computed(() =>
    plan && context
      ? own.value.map(template => {
          const shown: Shown = { id: template.id, name: template.name, about: template.reason }
          const fit = { context, newId, oneReps: strengths.value }
          const { offer, edits } = offeredPlan(shown, template.content, plan, fit, {
            template: template.id,
            version: template.version,
          })
          return { ...offer, wanted: { ...shown, edits } }
        })
      : [],
  )
  const offered = computed(() => byFit<Shown>([...ofOwn.value, ...builtIn]).map(shownOf))
  function shownOf(offer: OfferedRotation<Shown>) {
    return {
      ...offer.wanted,
      reasons: capitalised(fitReasons(offer).join(' · ')),
      changes: context ? fitChangeWords(offer.fitted, context.catalogue) : [],
      flexors: offer.strip.flexorsPer7Days,
      triceps: offer.strip.tricepsPer7Days,
      days: offer.strip.days.map((day, at) => {
        const { role, label, sessions } = offer.fitted.days[at]!
        return {
          ...day,
          name: label ?? ROLE_NAMES[role],
          isRest: sessions.length === 0,
          state: 'planned' as const,
        }
      }),
      fitted: offer.fitted,
    }
  }
  type Offered = ReturnType<typeof shownOf>

  const use = ({ fitted, edits }: Offered) => store.editAll(edits ?? [rotationEdit(fitted)])
  return { offered, use, load, ...useOwnTemplates(own, load) }
}
