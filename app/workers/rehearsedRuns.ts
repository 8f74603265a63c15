import type { PlanDocument } from '#core/plan/block'
import type { PlanContext } from '#core/plan/method'
import { expandedBlock } from '#core/design/progress'
import { type BothWays, bothWays, rehearsalData, type Seeds } from '#core/follow/rehearsal'

/** A plan, and the clients that go through it. */
export interface RunsQuestion {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly seeds: Seeds
}

export type RunsAnswer =
  { readonly kind: 'begun' } | { readonly kind: 'gone_through'; readonly runs: BothWays }

function answer(message: RunsAnswer): void {
  postMessage(message)
}

/** Some of the runs of a rehearsal, for the worker that takes them all together. */
addEventListener('message', ({ data: { plan, context, seeds } }: MessageEvent<RunsQuestion>) => {
  answer({ kind: 'begun' })
  const data = rehearsalData(expandedBlock(plan, context), context)
  answer({ kind: 'gone_through', runs: bothWays(data, seeds) })
})
