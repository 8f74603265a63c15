import { withException, withPart, type PlanDocument } from '../block'
import type { Adjustment } from './decide'

/** What is added to an exception that is there already. */
function changeOf(plan: PlanDocument, pass: number, kind: 'sets' | 'rir', group: Adjustment['group']): number {
  const held = plan.block?.exceptions?.find(exception => exception.kind === kind && exception.pass === pass && (exception.kind !== 'sets' || exception.group === group))
  return held && 'change' in held ? held.change : 0
}

/**
 * A plan with a proposal taken: exceptions of the next rotation, or an easier one.
 *
 * Edge: what is done by hand, or goes on as planned, leaves the plan as it is; taking it twice adds up, as two decisions do.
 */
export function withAdjustment(plan: PlanDocument, pass: number, { change, group }: Adjustment): PlanDocument {
  const block = plan.block ?? {}
  switch (change.kind) {
    case 'go_on':
    case 'by_hand': return plan
    case 'deload': return { ...plan, block: withPart(block, 'deloads', [...new Set([...block.deloads ?? [], pass])].sort((a, b) => a - b)) }
    case 'rir': return { ...plan, block: withException(block, { kind: 'rir', pass, change: changeOf(plan, pass, 'rir', null) + change.by }) }
    case 'hold_ramp':
    case 'sets': {
      const withSets = group === null || change.by === 0 ? block : withException(block, { kind: 'sets', pass, group, change: changeOf(plan, pass, 'sets', group) + change.by })
      return { ...plan, block: change.kind === 'sets' && change.rir !== 0 ? withException(withSets, { kind: 'rir', pass, change: changeOf(plan, pass, 'rir', null) + change.rir }) : withSets }
    }
  }
}
