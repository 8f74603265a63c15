import type { PlanContext } from '../../plan/method'
import type { RotationDay } from '../../plan/rotation'
import { isHoldAlone, leadRir, type SetRun } from '../../plan/scheme'
import type { Slot } from '../../plan/session'
import { type CountedWork, countedWorkOfDay } from './countedWork'
import { additionsOf, type Target } from './tally'

/** Why a set counts as it does. */
export type DerivedRule =
  | 'direct'
  | 'indirect'
  | 'indirect_ignored'
  | 'too_far_from_failure'
  | 'rir_assumed'
  | 'reps_assumed'
  | 'warm_up'
  | 'primer'
  | 'build_up'
  | 'hold_alone'
  | 'restricted_flow'
  | 'running_total'
  | 'one_side'
  | 'conditional'
  | 'open_count'
  | 'slot_credits'
  | 'client_credits'
  | 'highest_of_stages'
  | 'long_set'
  | 'session_cap'

/** What some equal sets of one exercise add to a figure. */
export interface DerivedLine {
  readonly slot: Slot
  readonly run: SetRun
  /** Sets before credits. */
  readonly sets: number
  readonly credit: number
  /** What they add under the school. */
  readonly counted: number
  readonly rules: readonly DerivedRule[]
}

/** A figure and the lines it is the sum of; lines that add nothing say why. */
export interface Derivation {
  readonly counted: number
  readonly lines: readonly DerivedLine[]
}

/**
 * Where the counted sets of one target on one day come from.
 *
 * Shape:  one line for each run of sets that touches the target, in order; lines add up to the ledger's figure.
 */
export function derivation(day: RotationDay, target: Target, context: PlanContext): Derivation {
  const work = countedWorkOfDay(day, context)
  const additions = additionsOf(work, target, context.method.school)
  const lines = work.flatMap((piece): DerivedLine[] => {
    const credit = target.credit(piece.credits)
    if (credit === 0) return []
    const own = additions.filter(addition => addition.work === piece)
    const counted = own.reduce((sum, { figure, worth }) => sum + figure.value * worth, 0)
    return [
      {
        slot: piece.slot,
        run: piece.run,
        sets: piece.sets.value,
        credit,
        counted,
        rules: rulesOf(
          piece,
          credit,
          counted,
          own.some(({ cap }) => cap < 1),
          context,
        ),
      },
    ]
  })
  return {
    counted: lines.reduce((sum, line) => sum + line.counted, 0),
    lines: [...lines, ...warmUps(day, target, context)],
  }
}

function rulesOf(
  { slot, run, sets, weighted }: CountedWork,
  credit: number,
  counted: number,
  isCapped: boolean,
  context: PlanContext,
): readonly DerivedRule[] {
  const { school } = context.method
  const isBuildUp = run.role === 'ramp' && sets.high === 0
  const isHold = isHoldAlone(run) && counted === 0
  const isSpecial = run.role === 'primer' || isBuildUp || isHold
  const isTooEasy =
    !isSpecial &&
    school.value !== 'weighted' &&
    (leadRir(run) ?? context.method.effort.defaultRir) > context.method.counts.easiest
  const says: readonly (readonly [boolean, DerivedRule])[] = [
    [run.role === 'primer', 'primer'],
    [isBuildUp, 'build_up'],
    [isHold, 'hold_alone'],
    [isTooEasy, 'too_far_from_failure'],
    [!isTooEasy && counted === 0 && credit < 1 && !isSpecial, 'indirect_ignored'],
    [counted > 0 && credit === 1, 'direct'],
    [counted > 0 && credit < 1, 'indirect'],
    [run.protocol === 'restricted_flow', 'restricted_flow'],
    [
      run.stages.some(stage => stage.kind === 'work' && stage.reps?.kind === 'until_total'),
      'running_total',
    ],
    [weighted.some(({ bonus }) => bonus > 0), 'long_set'],
    [isCapped, 'session_cap'],
    [run.side !== undefined, 'one_side'],
    [run.onlyIf !== undefined || (sets.low === 0 && sets.value > 0), 'conditional'],
    [run.countRange !== undefined, 'open_count'],
    [slot.credits !== undefined, 'slot_credits'],
    [
      slot.credits === undefined && context.client.credits[slot.exercise] !== undefined,
      'client_credits',
    ],
    [
      run.stages.some(
        stage =>
          stage.kind === 'work' && (stage.grip !== undefined || stage.exercise !== undefined),
      ),
      'highest_of_stages',
    ],
    [sets.assumed.includes('rir'), 'rir_assumed'],
    [sets.assumed.includes('reps'), 'reps_assumed'],
  ]
  return says.filter(([holds]) => holds).map(([, rule]) => rule)
}

/** Warm-up sets are listed too, so that nobody has to wonder where they went. */
function warmUps(day: RotationDay, target: Target, context: PlanContext): readonly DerivedLine[] {
  return day.sessions.flatMap(session =>
    session.groupings.flatMap(({ placement, slots }) =>
      slots.flatMap(slot =>
        slot.scheme.runs.flatMap((run): DerivedLine[] => {
          if (run.role !== 'warmup' && placement !== 'warmup') return []
          const exercise = context.catalogue.get(slot.exercise)
          const intent =
            exercise?.intents.find(({ id }) => id === slot.intent) ?? exercise?.intents[0]
          const credit = intent ? target.credit(slot.credits ?? intent.credits) : 0
          return credit === 0
            ? []
            : [{ slot, run, sets: run.count, credit, counted: 0, rules: ['warm_up'] }]
        }),
      ),
    ),
  )
}
