import type { PlanContext } from '../../plan/method'
import type { Rotation } from '../../plan/rotation'
import { type Attention, attentionList, isUnallocated } from './attention'
import { rotationLedger } from './rotationLedger'
import { highestCredit, tallyOnce } from './tally'
import type { CountedWork } from './countedWork'
import { per7Days } from './spread'

/** A rotation in one line: direct arm sets by day, and what the week comes to. */
export interface RotationStrip {
  readonly days: readonly {
    readonly flexors: number
    readonly triceps: number
    readonly hasOtherWork: boolean
  }[]
  /** Units: counted sets per 7 days, each set once per side. */
  readonly flexorsPer7Days: number
  readonly tricepsPer7Days: number
  readonly attention: readonly Attention[]
  readonly isUnallocated: boolean
}

const FLEXORS = ['biceps', 'elbow_flexors_other'] as const
const TRICEPS = ['triceps'] as const

function directSets(work: readonly CountedWork[], groups: typeof FLEXORS | typeof TRICEPS): number {
  return work
    .filter(piece => highestCredit(piece, groups) === 1)
    .reduce((sum, piece) => sum + piece.sets.value, 0)
}

/** The one-line form of a rotation for lists of clients. */
export function rotationStrip(rotation: Rotation, context: PlanContext): RotationStrip {
  const ledger = rotationLedger(rotation, context)
  const all = ledger.work.flat()
  const week = (groups: typeof FLEXORS | typeof TRICEPS) =>
    per7Days(tallyOnce(all, groups, context.method.school).counted.value, rotation.days.length)
  return {
    days: ledger.work.map(work => {
      const [flexors, triceps] = [directSets(work, FLEXORS), directSets(work, TRICEPS)]
      return { flexors, triceps, hasOtherWork: work.length > 0 && flexors + triceps === 0 }
    }),
    flexorsPer7Days: week(FLEXORS),
    tricepsPer7Days: week(TRICEPS),
    attention: attentionList(ledger),
    isUnallocated: isUnallocated(ledger),
  }
}
