import type { Group } from '../../plan/catalogue'
import type { RotationLedger } from './rotationLedger'

/** Something about a week's numbers that a coach would want pointed out. */
export type Attention =
  | { readonly kind: 'under_floor'; readonly group: Group; readonly sets: number }
  | { readonly kind: 'over_ceiling'; readonly group: Group; readonly sets: number }

/** Less than this outside a band shows on the rail only. Source: docs/methods.md#bands. */
const SPEAK_FROM_SETS = 0.5
const SLACK = 1e-9

/** Whether nothing has been planned yet: then no group is out of anything. */
export function isUnallocated({ work }: RotationLedger): boolean {
  return work.every(day => day.length === 0)
}

/** Groups outside their band by half a set or more, priorities first, then the largest gap for its band. */
export function attentionList(ledger: RotationLedger): readonly Attention[] {
  if (isUnallocated(ledger)) return []
  return Object.values(ledger.groups)
    .filter(({ outside }) => Math.abs(outside) >= SPEAK_FROM_SETS - SLACK)
    .sort(
      (a, b) =>
        Number(b.mode === 'build') - Number(a.mode === 'build') ||
        Math.abs(b.outside) / b.band.target - Math.abs(a.outside) / a.band.target,
    )
    .map(({ group, outside }) =>
      outside < 0
        ? { kind: 'under_floor', group, sets: -outside }
        : { kind: 'over_ceiling', group, sets: outside },
    )
}
