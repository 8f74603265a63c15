import { JOINTS, type Joint } from '../../plan/catalogue'
import { type ClientFacts, PAIN_LEVELS, type PainLevel } from '../../plan/method'
import type { Adjustment } from '../review'
import { toDecide } from './queue'

/** Most direct sets, and reps in reserve, that a small change moves. */
export const SMALL = { sets: 1, rir: 1 } as const

/** Whether a change is small: a set, a rep in reserve, the next step of weight, or a step of the plan's own left out. */
export function isSmall({ change }: Adjustment): boolean {
  switch (change.kind) {
    case 'sets':
      return Math.abs(change.by) <= SMALL.sets && Math.abs(change.rir) <= SMALL.rir
    case 'rir':
      return Math.abs(change.by) <= SMALL.rir
    case 'load':
    case 'hold_ramp':
      return true
    default:
      return false
  }
}

/** Why a client’s changes are not among those that are safe for all. */
export type NotSafe =
  | { readonly kind: 'pain'; readonly joint: Joint; readonly level: PainLevel }
  | { readonly kind: 'missed' }
  | { readonly kind: 'evidence' }
  | { readonly kind: 'big' }

export interface SafeFacts {
  /** Proposals nobody has decided about. */
  readonly open: readonly Adjustment[]
  readonly pain: ClientFacts['pain']
  readonly missed: number
}

/** The joint that hurts most, at note or worse. */
function sorest(pain: SafeFacts['pain']): Extract<NotSafe, { kind: 'pain' }> | null {
  const [worst] = JOINTS.flatMap(joint => {
    const level = pain?.[joint] ?? 'none'
    return level === 'none' ? [] : [{ kind: 'pain' as const, joint, level }]
  }).sort((a, b) => PAIN_LEVELS.indexOf(b.level) - PAIN_LEVELS.indexOf(a.level))
  return worst ?? null
}

/**
 * The changes of a client that can be taken with those of others, unseen; or why none can.
 *
 * Shape:  strong evidence, small, no joint at note or worse, no missed session that waits for an answer.
 * Edge:   nothing to decide about: no changes and no reason.
 * Source: docs/methods.md#queue.
 */
export function safeChanges({ open, pain, missed }: SafeFacts): {
  readonly safe: readonly Adjustment[]
  readonly not: NotSafe | null
} {
  const asked = toDecide(open)
  if (asked.length === 0) return { safe: [], not: null }
  const hurts = sorest(pain)
  if (hurts) return { safe: [], not: hurts }
  if (missed > 0) return { safe: [], not: { kind: 'missed' } }
  const safe = asked.filter(one => one.confidence === 'strong' && isSmall(one))
  if (safe.length > 0) return { safe, not: null }
  return { safe, not: { kind: asked.some(isSmall) ? 'evidence' : 'big' } }
}
