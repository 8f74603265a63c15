import type { Group } from '../../plan/catalogue'
import type { CellWorth, Problem } from './cells'

/** A kind of work, and how many direct sets of it something gives. */
export interface KeptKind {
  readonly group: Group
  readonly of: (worth: Pick<CellWorth, 'direct' | 'overhead'>) => number
}

const SLACK = 1e-6

/**
 * Kinds of arm work that the plan has and that no proposal throws out altogether, however tight a ceiling is: palms-facing
 * curls and triceps work with the arm overhead. Source: docs/methods.md#proposals.
 */
export function keptKinds({ groups, places, cells }: Problem): readonly KeptKind[] {
  const g = groups.indexOf('elbow_flexors_other')
  const kinds: readonly KeptKind[] = [
    { group: 'elbow_flexors_other', of: ({ direct }) => direct[g] ?? 0 },
    { group: 'triceps', of: ({ overhead }) => overhead },
  ]
  return kinds.filter(({ of }) => {
    const fixed = places.reduce((sum, { base }) => sum + of(base), 0)
    return cells.reduce((sum, { worth, now }) => sum + of(worth[now]!), fixed) > SLACK
  })
}
