import { clientId } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { catalogueWith, type Group, GROUPS } from '#core/plan/catalogue'
import { rotationLedger, rotationStrip } from '#core/count/ledger'
import { contextWith } from '#core/plan/method'
import { dayName } from '#core/words'
import { ClientView } from '#shared/contracts/client'
import { RevisionsView, RevisionView } from '#shared/contracts/revisions'
import { RosterView } from '#shared/contracts/roster'

/** What stands on one side: a client, which save of her plan (null as it stands), and by which method (null her own). */
interface Side {
  readonly client: string
  readonly version: number | null
  readonly method: string | null
}

/** Two rotations side by side: two clients', or two saves of one plan. */
export async function useComparison() {
  const { ask } = useApi()
  const route = useRoute()
  const { methods } = useStudioSettings()
  const { data: roster } = await useAsyncData(
    'compare-clients',
    async () => {
      const result = await ask('/api/roster', { answer: RosterView })
      return result.ok
        ? result.value.clients
            .map(({ id, name }) => ({ id: String(id), name }))
            .sort((a, b) => a.name.localeCompare(b.name))
        : []
    },
    { default: () => [], deep: false },
  )

  const first = String(route.query.left ?? roster.value[0]?.id ?? '')
  const sides = reactive<{ left: Side; right: Side }>({
    left: { client: first, version: null, method: null },
    right: { client: String(route.query.right ?? first), version: null, method: null },
  })
  const [left, right] = [loaded(() => sides.left), loaded(() => sides.right)]

  function loaded(side: () => Side) {
    const view = shallowRef<{
      client: ClientView
      plan: PlanDocument
      revisions: RevisionsView['revisions']
    } | null>(null)
    const complaint = ref('')
    watch(
      () => [side().client, side().version] as const,
      async ([client, version]) => {
        const found = await ask(`/api/clients/${client}`, { answer: ClientView })
        const block = found.ok ? found.value.block : null
        if (!found.ok || !block) {
          view.value = null
          complaint.value = found.ok
            ? 'No block is planned for this client yet.'
            : 'This client could not be fetched. Choose again.'
          return
        }
        const [revisions, old] = await Promise.all([
          ask(`/api/blocks/${block.id}/revisions`, { answer: RevisionsView }),
          version === null
            ? null
            : ask(`/api/blocks/${block.id}/revisions/${version}`, { answer: RevisionView }),
        ])
        complaint.value = ''
        view.value = {
          client: found.value,
          plan: old?.ok ? old.value.plan : block.plan,
          revisions: revisions.ok ? revisions.value.revisions : [],
        }
      },
      { immediate: import.meta.client },
    )
    const shown = computed(() => {
      if (!view.value) return null
      const { client, plan } = view.value
      const method = methods.value.find(({ id }) => id === side().method) ?? client.method
      const context = contextWith(method, client.facts, catalogueWith(client.library))
      const strip = rotationStrip(plan.rotation, context)
      return {
        title: plan.title,
        ledger: rotationLedger(plan.rotation, context),
        flexors: strip.flexorsPer7Days,
        triceps: strip.tricepsPer7Days,
        method: method.name,
        days: strip.days.map((day, at) => ({
          ...day,
          name: plan.rotation.days[at] ? dayName(plan.rotation.days[at]) : '',
          isRest: plan.rotation.days[at]?.role === 'rest',
          state: 'planned' as const,
        })),
      }
    })
    return { shown, complaint, revisions: computed(() => view.value?.revisions ?? []) }
  }

  const rows = computed(() =>
    GROUPS.map((group: Group) => {
      const [a, b] = [
        left.shown.value?.ledger.groups[group],
        right.shown.value?.ledger.groups[group],
      ]
      return {
        group,
        left: a && {
          counted: a.week.counted.value,
          direct: a.week.direct.value,
          frequency: a.spread.frequencyPer7Days,
        },
        right: b && {
          counted: b.week.counted.value,
          direct: b.week.direct.value,
          frequency: b.spread.frequencyPer7Days,
        },
      }
    }),
  )
  return {
    roster,
    methods,
    sides,
    left,
    right,
    rows,
    open: (id: string) => navigateTo(`/clients/${clientId(id)}/split`),
  }
}
