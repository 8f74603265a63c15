import {
  type AllocationScope,
  costsOfTerms,
  type LinearSolver,
  type Proposal,
  propose,
  type Proposals,
  type Reasons,
  type Terms,
  type TermsCost,
  whyNotMore,
} from '#core/design/allocation'
import { type Drafts, draftsFrom } from '#core/design/draft'
import type { PlanDocument } from '#core/plan/block'
import type { Group } from '#core/plan/catalogue'
import type { PlanContext } from '#core/plan/method'
import { linearSolver } from '#shared/solver/highs'
import { newId } from '~/shell/newId'
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
  | (Pick<Asked, 'plan' | 'context'> & { readonly kind: 'draft' })
  | (Pick<Asked, 'plan' | 'context'> & { readonly kind: 'terms'; readonly terms: readonly Terms[] })

export type AllocateAnswer =
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'proposals'; readonly proposals: Proposals }
  | { readonly kind: 'drafts'; readonly drafts: Drafts }
  | { readonly kind: 'reasons'; readonly reasons: Reasons }
  | { readonly kind: 'terms'; readonly costs: readonly TermsCost[] }

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
    case 'terms':
      return {
        kind: asked.kind,
        costs: costsOfTerms(asked.plan, asked.context, asked.terms, { onProgress }),
      }
    case 'draft':
      return {
        kind: 'drafts',
        drafts: draftsFrom(asked.plan, asked.context, { newId, onProgress }),
      }
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
