import type { BlockId, ClientId, Result } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import type { WhatIfView } from '#shared/contracts/whatIf'

/** Blocks whose plan was changed for a client. */
export type Written = readonly BlockId[]
type Line = WhatIfView['lines'][number]

/** What would happen, and how it is done. */
export interface Prepared {
  readonly view: WhatIfView
  /** In one sentence, when it is done. */
  readonly what: string
  /** Does it for one client of the lines. */
  readonly write: (client: ClientId) => Promise<Result<Written, Problem>>
  /** What else is written, with those who are left out. */
  readonly writeStudio: (leftOut: readonly ClientId[]) => Promise<Result<unknown, Problem>>
}

/** Lines of those anything happens to, by name. */
export const told = (studio: string, lines: readonly Line[]): WhatIfView => ({
  studio,
  lines: lines.toSorted((a, b) => a.name.localeCompare(b.name)),
})
