import type { PlanDocument } from '#core/plan/block'
import type { PlanContext } from '#core/plan/method'
import { expandedBlock } from '#core/design/progress'
import {
  rehearsalData,
  rehearsalSpread,
  type RehearsalSpread,
  rehearsedRun,
  type Run,
} from '#core/follow/rehearsal'

export interface RehearseQuestion {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly runs: number
  readonly seed: number
}

export type RehearseAnswer =
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'rehearsed'; readonly spread: RehearsalSpread; readonly milliseconds: number }

/** Runs between two words about how far it is. */
const STEP = 25

function answer(message: RehearseAnswer): void {
  postMessage(message)
}

addEventListener(
  'message',
  ({ data: { plan, context, runs, seed } }: MessageEvent<RehearseQuestion>) => {
    const began = performance.now()
    const data = rehearsalData(expandedBlock(plan, context), context)
    const [done, without]: [Run[], Run[]] = [[], []]
    for (let at = 0; at < runs; at++) {
      done.push(rehearsedRun(data, seed + at))
      without.push(rehearsedRun(data, seed + at, { policy: { kind: 'nothing' } }))
      if (at % STEP === 0) answer({ kind: 'progress', share: at / runs })
    }
    answer({
      kind: 'rehearsed',
      spread: rehearsalSpread(done, data, without),
      milliseconds: performance.now() - began,
    })
  },
)
