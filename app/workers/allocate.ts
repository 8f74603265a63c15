import {
  type AllocationScope,
  type LinearSolver,
  type Proposal,
  propose,
  type Proposals,
  type Reasons,
  type Scenario,
  scenarios,
  whyNotMore,
} from '#core/design/allocation'
import type { PlanDocument } from '#core/plan/block'
import type { Group } from '#core/plan/catalogue'
import type { PlanContext } from '#core/plan/method'
import { linearSolver } from '#shared/solver/highs'
import wasmUrl from 'highs/runtime?url'

/** A plan, and what of it may move. */
export interface Asked {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly scope: AllocationScope
  readonly chosen: readonly Group[]
}

/** What the page asks; a second question is answered by a second worker. */
export type AllocateQuestion =
  | (Asked & { readonly kind: 'propose' })
  | (Asked & { readonly kind: 'why_not'; readonly proposal: Pick<Proposal, 'changes'> })
  | (Pick<Asked, 'plan' | 'context'> & { readonly kind: 'scenarios' })

export type AllocateAnswer =
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'proposals'; readonly proposals: Proposals }
  | { readonly kind: 'reasons'; readonly reasons: Reasons }
  | { readonly kind: 'scenarios'; readonly scenarios: readonly Scenario[] }

function answer(message: AllocateAnswer): void {
  postMessage(message)
}

/** Without the solver there are proposals all the same, only no proof. */
async function solverIfAny(): Promise<LinearSolver> {
  try {
    return await linearSolver(() => wasmUrl)
  } catch {
    return () => ({ status: 'failed', bound: null, values: null })
  }
}

const onProgress = (share: number) => {
  answer({ kind: 'progress', share })
  return false
}

async function answered(asked: AllocateQuestion): Promise<AllocateAnswer> {
  switch (asked.kind) {
    case 'scenarios':
      return { kind: asked.kind, scenarios: scenarios(asked.plan, asked.context, { onProgress }) }
    case 'why_not':
      return { kind: 'reasons', reasons: whyNotMore(asked, asked.proposal, await solverIfAny()) }
    case 'propose':
      return {
        kind: 'proposals',
        proposals: propose(asked, { solver: await solverIfAny(), onProgress }),
      }
  }
}

addEventListener('message', async ({ data }: MessageEvent<AllocateQuestion>) =>
  answer(await answered(data)),
)
