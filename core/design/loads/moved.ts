import { mapNonEmpty, type SlotId } from '../../base'
import type { PlanDocument } from '../../plan/block'
import { amountIn } from '../../plan/estimate'
import type { SetScheme, WorkStage } from '../../plan/scheme'
import type { SlotLoads } from './reason'

/** What holds a load back for a while is no reason to write it into a plan. */
const LASTING: readonly SlotLoads['reason']['kind'][] = ['up', 'same', 'down', 'by_set', 'most']

function movedStage(stage: WorkStage, { shift, unit }: SlotLoads): WorkStage {
  const { load } = stage
  if (load?.kind !== 'weight') return stage
  const amount = load.amount + amountIn({ amount: shift, unit }, load.unit)
  return { ...stage, load: { ...load, amount: Math.max(0, Math.round(amount * 100) / 100) } }
}

const movedScheme = (scheme: SetScheme, loads: SlotLoads): SetScheme => ({
  ...scheme,
  runs: scheme.runs.map(run => ({
    ...run,
    stages: mapNonEmpty(run.stages, stage =>
      stage.kind === 'work' && run.role !== 'warmup' ? movedStage(stage, loads) : stage,
    ),
  })),
})

/** A plan whose named weights have gone along with what was done since they were named: what the next block begins with. */
export function withMovedWeights(
  plan: PlanDocument,
  loads: ReadonlyMap<SlotId, SlotLoads>,
): PlanDocument {
  return {
    ...plan,
    rotation: {
      ...plan.rotation,
      days: plan.rotation.days.map(day => ({
        ...day,
        sessions: day.sessions.map(session => ({
          ...session,
          groupings: session.groupings.map(grouping => ({
            ...grouping,
            slots: mapNonEmpty(grouping.slots, slot => {
              const own = loads.get(slot.id)
              return own && own.shift !== 0 && LASTING.includes(own.reason.kind)
                ? { ...slot, scheme: movedScheme(slot.scheme, own) }
                : slot
            }),
          })),
        })),
      })),
    },
  }
}
