import type { PlanDocument } from '#core/plan/block'
import type { PlanContext } from '#core/plan/method'
import { expandedBlock } from '#core/design/progress'
import {
  bothWays,
  partsOf,
  rehearsalData,
  rehearsalSpread,
  type RehearsalSpread,
} from '#core/follow/rehearsal'
import type { RunsAnswer, RunsQuestion } from './rehearsedRuns'

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
/** More workers than that bring little, and the machine has other things to do. */
const MOST_WORKERS = 4

function answer(message: RehearseAnswer): void {
  postMessage(message)
}

const isOf = <Kind extends RunsAnswer['kind']>(
  data: RunsAnswer,
  kind: Kind,
): data is Extract<RunsAnswer, { kind: Kind }> => data.kind === kind

/** What another worker makes of its part; one that fails ends the rehearsal, as a fault here would. */
function elsewhere(question: RunsQuestion) {
  const worker = new Worker(new URL('./rehearsedRuns.ts', import.meta.url), { type: 'module' })
  const heard = <Kind extends RunsAnswer['kind']>(kind: Kind) =>
    new Promise<Extract<RunsAnswer, { kind: Kind }>>(resolve => {
      worker.addEventListener('message', ({ data }: MessageEvent<RunsAnswer>) => {
        if (isOf(data, kind)) resolve(data)
      })
    })
  worker.postMessage(question)
  return { begun: heard('begun'), runs: heard('gone_through').then(({ runs }) => runs) }
}

/** A part for each core of the machine: one is gone through here, the others by workers of their own. */
async function rehearse({ plan, context, runs, seed }: RehearseQuestion): Promise<void> {
  const began = performance.now()
  const hands = Math.min(MOST_WORKERS, navigator.hardwareConcurrency)
  const [own, ...rest] = partsOf({ from: seed, to: seed + runs }, hands)
  if (!own) return
  const others = rest.map(seeds => elsewhere({ plan, context, seeds }))
  // A worker hears its question only while the one that made it is not busy.
  await Promise.all(others.map(({ begun }) => begun))
  const data = rehearsalData(expandedBlock(plan, context), context)
  const mine = bothWays(data, own, done => {
    if (done % STEP === 0) answer({ kind: 'progress', share: done / (own.to - own.from) })
  })
  const all = [mine, ...(await Promise.all(others.map(other => other.runs)))]
  const spread = rehearsalSpread(
    all.flatMap(({ ruled }) => ruled),
    data,
    all.flatMap(({ without }) => without),
  )
  answer({ kind: 'rehearsed', spread, milliseconds: performance.now() - began })
}

addEventListener('message', ({ data }: MessageEvent<RehearseQuestion>) => void rehearse(data))
