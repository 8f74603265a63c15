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

/** Some of the runs of a rehearsal, for the worker that takes them all together. */
addEventListener('message', ({ data: { plan, context, seeds } }: MessageEvent<RunsQuestion>) => {
  const runs: BothWays = bothWays(rehearsalData(expandedBlock(plan, context), context), seeds)
  postMessage(runs)
})
