import {
  type AllocationScope,
  type LinearSolver,
  propose,
  type Proposals,
  type Scenario,
  scenarios,
} from '#core/design/allocation'
import type { PlanDocument } from '#core/plan/block'
import type { Group } from '#core/plan/catalogue'
import type { PlanContext } from '#core/plan/method'
import { linearSolver } from '#shared/solver/highs'
import wasmUrl from 'highs/runtime?url'

/** What the page asks; a second question is answered by a second worker. */
export type AllocateQuestion = { readonly plan: PlanDocument; readonly context: PlanContext } & (
  | { readonly kind: 'propose'; readonly scope: AllocationScope; readonly chosen: readonly Group[] }
  | { readonly kind: 'scenarios' }
)

export type AllocateAnswer =
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'proposals'; readonly proposals: Proposals }
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

addEventListener('message', async ({ data }: MessageEvent<AllocateQuestion>) => {
  const onProgress = (share: number) => {
    answer({ kind: 'progress', share })
    return false
  }
  if (data.kind === 'scenarios')
    answer({ kind: 'scenarios', scenarios: scenarios(data.plan, data.context, { onProgress }) })
  else
    answer({
      kind: 'proposals',
      proposals: propose(
        { plan: data.plan, context: data.context, scope: data.scope, chosen: data.chosen },
        { solver: await solverIfAny(), onProgress },
      ),
    })
})
