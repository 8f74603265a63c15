import { isDeepStrictEqual } from 'node:util'
import { failure, mergedFields, type Result, success } from '#core/base'
import type { Problem } from '#shared/contracts/problem'

/** What is wanted, brought together with what was changed elsewhere since; refused where both changed one field. */
export function changedMeanwhile<Of extends object>(three: {
  readonly was: Of
  readonly mine: Of
  readonly now: Of
}): Result<Of, Problem> {
  const { merged, contested, base } = mergedFields(three, isDeepStrictEqual)
  return contested.length === 0
    ? success(merged)
    : failure({ kind: 'changed-meanwhile', fields: contested, base })
}
