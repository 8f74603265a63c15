import { ARM_GROUPS, type Group } from '#core/plan/catalogue'
import { blockConcerns, blockVerdict } from '#core/design/progress'
import {
  blockBodyRails,
  blockColumns,
  blockLooks,
  blockRails,
  blockReadout,
  blockWeeks,
  shareOfBlock,
  sinceBefore,
} from './blockRows'
import { useBlockHeads } from './useBlockHeads'
import { useBlockSteps } from './useBlockSteps'
import { useSendRotation } from './useSendRotation'
import { useTrials } from './useTrials'

/** The block as it is laid out and judged: rotations, muscles, weeks, what to look at. */
function useShownBlock() {
  const store = usePlanStore()
  const issued = useIssuedStore()
  const today = useToday()
  const verdict = computed(() =>
    issued.expanded && store.context ? blockVerdict(issued.expanded, store.context) : null,
  )
  const passes = computed(() => verdict.value?.passes ?? [])
  const rows = computed(() => {
    const { context } = store
    return context
      ? {
          columns: blockColumns(passes.value, context, today.value),
          rails: blockRails(passes.value, context),
          body: blockBodyRails(passes.value, context),
        }
      : { columns: [], rails: [], body: [] }
  })
  return {
    verdict,
    passes,
    columns: computed(() => rows.value.columns),
    rails: computed(() => rows.value.rails),
    bodyRails: computed(() => rows.value.body),
    weeks: computed(() => (issued.expanded ? blockWeeks(issued.expanded) : [])),
    /** What the rotation does otherwise than the block before; null where there was none. */
    sinceBefore: computed(() =>
      store.plan && store.client?.before && store.context
        ? sinceBefore(store.plan, store.client.before, store.context.catalogue)
        : null,
    ),
    todayShare: computed(() =>
      issued.expanded ? shareOfBlock(issued.expanded, today.value) : null,
    ),
    looks: computed(() =>
      issued.expanded && store.context
        ? blockLooks(blockConcerns(issued.expanded, store.context, store.client?.before))
        : [],
    ),
  }
}

/** Everything the Block page shows and does, apart from its forms, charts and calendar. */
export function useBlock() {
  const shown = useShownBlock()
  const { passes, columns, rails, looks } = shown
  const at = ref(0)
  const groupAt = ref(0)
  const message = ref('')
  const current = computed(() => passes.value[Math.min(at.value, passes.value.length - 1)])
  const group = computed<Group>(() => ARM_GROUPS[groupAt.value] ?? 'biceps')
  const place = { at, group, current, passes, message }

  const go = (by: { readonly passes: number; readonly rails: number }): void => {
    at.value = Math.min(passes.value.length - 1, Math.max(0, at.value + by.passes))
    groupAt.value = Math.min(ARM_GROUPS.length - 1, Math.max(0, groupAt.value + by.rails))
    message.value = ''
  }
  let lookAt = -1
  function nextLook(): void {
    if (looks.value.length === 0) return void (message.value = 'Nothing to look at.')
    lookAt = (lookAt + 1) % looks.value.length
    const look = looks.value[lookAt]!
    if (look.pass !== null) at.value = look.pass
    message.value = `${look.what}: ${look.much}`
  }

  const steps = useBlockSteps(place)
  return {
    ...shown,
    ...steps,
    ...useTrials(place, steps.change),
    ...useSendRotation(place),
    heads: useBlockHeads(place),
    at,
    groupAt,
    group,
    message,
    current,
    readout: computed(() => blockReadout(columns.value, rails.value[groupAt.value], at.value)),
    go,
    nextLook,
  }
}

export type BlockState = ReturnType<typeof useBlock>
