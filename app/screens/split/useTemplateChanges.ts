import { applyEdits, type PlanDocument } from '#core/plan/block'
import {
  templateChangeEdits,
  type TemplateChange,
  templateDifference,
} from '#core/design/templates'
import { templateChangeWords } from '#core/words'
import { TemplateSinceView } from '#shared/contracts/planTemplate'
import { newId } from '~/shell/newId'

/** What the template that this plan was made from has otherwise by now, to be taken over line by line. */
export function useTemplateChanges() {
  const store = usePlanStore()
  const { ask } = useApi()
  const since = shallowRef<TemplateSinceView | null>(null)
  const left = ref<ReadonlySet<number>>(new Set())
  const isOpen = ref(false)
  const from = computed(() => store.whole?.madeFrom)

  watch(
    () => from.value && `${from.value.template}/since/${from.value.version}`,
    async path => {
      since.value = null
      left.value = new Set()
      if (!path || import.meta.server) return
      const result = await ask(`/api/plan-templates/${path}`, { answer: TemplateSinceView })
      // A template that is gone says nothing any more.
      if (result.ok) since.value = result.value
    },
    { immediate: true },
  )
  const changes = computed((): readonly TemplateChange[] => {
    const contents = since.value?.contents
    return contents ? templateDifference(contents.before, contents.after) : []
  })
  const editsFor = (plan: PlanDocument, change: TemplateChange) =>
    templateChangeEdits(plan, since.value!.contents!.before, change)
  const rows = computed(() => {
    const { plan, context } = store
    if (!plan || !context) return []
    return changes.value.map((change, at) => ({
      at,
      words: templateChangeWords(change, context.catalogue),
      hasPlace: editsFor(plan, change) !== null,
      isTaken: !left.value.has(at),
    }))
  })
  function toggle(at: number): void {
    const next = new Set(left.value)
    if (!next.delete(at)) next.add(at)
    left.value = next
  }
  /** The plan says from now on that it is made from the template as it is. */
  const upToDate = () => ({
    kind: 'set_made_from' as const,
    madeFrom: { template: from.value!.template, version: since.value!.version },
  })
  /** What is ticked, on the board on trial; true where it is there. */
  function show(): boolean {
    if (!store.plan || !since.value) return false
    let plan = store.plan
    for (const row of rows.value.filter(({ isTaken }) => isTaken)) {
      const edited = applyEdits(plan, editsFor(plan, changes.value[row.at]!) ?? [], newId)
      if (edited.ok) plan = edited.value
    }
    const marked = applyEdits(plan, [upToDate()], newId)
    isOpen.value = false
    return marked.ok && store.tryOut(marked.value, `what changed in ${since.value.name}`).ok
  }
  /** This client's plan stays as it is; it is not asked again until the template changes once more. */
  function leave(): void {
    store.edit(upToDate())
    isOpen.value = false
  }
  return {
    name: computed(() => since.value?.name ?? ''),
    isOpen,
    rows,
    toggle,
    show,
    leave,
  }
}
export type TemplateChanges = ReturnType<typeof useTemplateChanges>
