import {
  blockCoverage,
  type CoverageLine,
  groupOf,
  proposedTurns,
  type ProposedTurns,
} from '#core/design/turns'
import { findSlot, withPart } from '#core/plan/block'
import {
  COVERAGE_STATES,
  coverageRowName,
  GROUP_NAMES,
  listed,
  slotName,
  turnName,
  wholeRowName,
} from '#core/words'
import type { BlockPlace } from './blockPlace'

const percent = (share: number) => `${Math.round(share * 100)}\u00A0%`

/** Heads, grips and lengths over the block, and turns that would fill what is missed. */
export function useBlockHeads({ passes, message }: BlockPlace) {
  const store = usePlanStore()
  const lines = computed(() =>
    store.context
      ? blockCoverage(
          passes.value.map(({ ledger }) => ledger),
          store.context,
        )
      : [],
  )
  const rows = computed(() =>
    lines.value.map((line, at) => {
      const group = groupOf(line.row)
      const isFirst = at === 0 || groupOf(lines.value[at - 1]!.row) !== group
      return {
        key: wholeRowName(line.row),
        group: isFirst ? GROUP_NAMES[group] : '',
        name: coverageRowName(line.row),
        cells: line.cells.map(({ state, share }, n) => ({
          state,
          words: `${wholeRowName(line.row)}, rotation ${n + 1}: ${COVERAGE_STATES[state]}${state === 'none' ? '' : `, ${percent(share)}`}`,
        })),
        over: line.over.state === 'none' ? '' : percent(line.over.share),
        wish: line.wish > 0 ? percent(line.wish) : '',
        isMissed: line.wish > 0 && (line.over.state === 'thin' || line.over.state === 'hollow'),
      }
    }),
  )

  const proposal = shallowRef<ProposedTurns | null>(null)
  // Proposed for the plan as it is; another plan asks anew.
  watch(
    () => store.plan,
    () => (proposal.value = null),
  )
  function propose(): void {
    const { plan, context } = store
    if (!plan || !context) return
    proposal.value = proposedTurns(toRaw(plan), toRaw(context))
    message.value =
      proposal.value.added.length > 0
        ? `${proposal.value.added.length} ${proposal.value.added.length === 1 ? 'turn' : 'turns'} proposed. Enter takes them.`
        : 'No turn helps: nothing is missed, or nothing possible fills it.'
  }
  function take(): void {
    if (!proposal.value || proposal.value.added.length === 0) return
    const { alternations } = proposal.value
    const block = withPart(store.plan?.block ?? {}, 'alternations', alternations)
    if (!store.edit({ kind: 'set_block', block }).ok) return
    message.value = 'The turns are in the block. Z takes them back.'
  }
  const proposed = computed(() =>
    (proposal.value?.added ?? []).map(turn => {
      const { plan, context } = store
      const held = plan && findSlot(plan, turn.slot)
      const name = context ? turnName(turn, context.catalogue) : ''
      return {
        key: `${turn.slot} ${name}`,
        words:
          held && context
            ? `Day ${held.day + 1}: ${slotName(held.slot, context.catalogue)} and ${name} take turns`
            : '',
      }
    }),
  )
  const effects = computed(() => {
    const { before = [], after = [] } = proposal.value ?? {}
    return after.flatMap((line: CoverageLine, at) => {
      const was = before[at]!
      return Math.abs(line.over.share - was.over.share) < 0.01
        ? []
        : [`${wholeRowName(line.row)} ${percent(was.over.share)} to ${percent(line.over.share)}`]
    })
  })
  return {
    rows,
    proposal,
    propose,
    take,
    proposed,
    effects: computed(() => listed(effects.value)),
  }
}
