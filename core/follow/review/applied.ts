import { exerciseId, type PlainDate } from '../../base'
import { type PlanDocument, withException, withHeldChange, withPart } from '../../plan/block'
import { requireExercise } from '../../plan/catalogue'
import { rotationLedger } from '../../count/ledger'
import { intentFor, type PlanContext } from '../../plan/method'
import type { Session } from '../../plan/session'
import { groupWeeks, shortSession } from '../../design/short'
import { standIn } from '../../design/suggest'
import type { Adjustment, Change, DecisionRow } from './adjustment'

/** What is added to an exception that is there already. */
function changeOf(
  plan: PlanDocument,
  pass: number,
  kind: 'sets' | 'rir',
  group: Adjustment['group'],
): number {
  const held = plan.block?.exceptions?.find(
    exception =>
      exception.kind === kind &&
      exception.pass === pass &&
      'group' in exception === (group !== null) &&
      (group === null || ('group' in exception && exception.group === group)),
  )
  return held && 'change' in held ? held.change : 0
}

function withSessions(
  plan: PlanDocument,
  of: (session: Session, day: number, place: number) => Session,
): PlanDocument {
  return {
    ...plan,
    rotation: {
      ...plan.rotation,
      days: plan.rotation.days.map((day, d) => ({
        ...day,
        sessions: day.sessions.map((session, place) => of(session, d, place)),
      })),
    },
  }
}

/** Another exercise wherever the plan has this one; each place keeps its own sets. */
function withSwap(
  plan: PlanDocument,
  { from, to, intent }: Extract<Change, { kind: 'swap' }>,
  context: PlanContext,
): PlanDocument {
  const exercise = requireExercise(context.catalogue, to)
  const choice = { exercise, intent: intentFor(context, exercise, intent) }
  return withSessions(plan, session => ({
    ...session,
    groupings: session.groupings.map(grouping => {
      const [first, ...others] = grouping.slots.map(slot =>
        slot.exercise === exerciseId(from)
          ? standIn(slot, { ...choice, scheme: slot.scheme })
          : slot,
      )
      return first ? { ...grouping, slots: [first, ...others] as const } : grouping
    }),
  }))
}

function withShorter(
  plan: PlanDocument,
  { day, place, minutes }: Extract<Change, { kind: 'shorten' }>,
  context: PlanContext,
): PlanDocument {
  const weeks = groupWeeks(rotationLedger(plan.rotation, context))
  return withSessions(plan, (session, d, p) =>
    d === day && p === place
      ? shortSession({ session, minutes, context, weeks, lengthDays: plan.rotation.days.length })
          .session
      : session,
  )
}

/** How a proposal is taken: for good or for the next rotation only, and what is kept about it. */
export interface Taking {
  readonly isOnce: boolean
  readonly on: PlainDate
  readonly why: string
}

/** Rows whose change of sets is meant for one rotation: coming back is over after it. */
const ONCE_BY_NATURE: readonly DecisionRow[] = ['G1']

/** Whether a proposal can hold from its rotation on; an easier rotation, a load and more in reserve are for the next one. */
export const mayHold = ({ row, change }: Pick<Adjustment, 'row' | 'change'>): boolean =>
  (change.kind === 'hold_ramp' || (change.kind === 'sets' && change.by !== 0)) &&
  !ONCE_BY_NATURE.includes(row)

function withSets(
  plan: PlanDocument,
  pass: number,
  { group, row, change }: Pick<Adjustment, 'change' | 'group' | 'row'>,
  { by, rir }: { readonly by: number; readonly rir: number },
  { isOnce, on, why }: Taking,
): PlanDocument {
  const block = plan.block ?? {}
  const withMore =
    group === null || by === 0
      ? block
      : !isOnce && mayHold({ row, change })
        ? withHeldChange(block, { from: pass, group, change: by, on, row, why })
        : withException(block, {
            kind: 'sets',
            pass,
            group,
            change: changeOf(plan, pass, 'sets', group) + by,
          })
  return {
    ...plan,
    block:
      rir === 0
        ? withMore
        : withException(withMore, {
            kind: 'rir',
            pass,
            ...(group !== null && { group }),
            change: changeOf(plan, pass, 'rir', group) + rir,
          }),
  }
}

/**
 * A plan with a proposal taken, as one step: a change of sets that holds from its rotation on or is for that one alone, an easier
 * rotation, another exercise, a shorter session.
 *
 * Edge: what is done by hand, or goes on as planned, leaves the plan as it is; taking it twice adds up, as two decisions do;
 *       a swap and a shorter session hold from then on, sessions that were sent stay as they are.
 */
export function withAdjustment(
  plan: PlanDocument,
  pass: number,
  proposal: Pick<Adjustment, 'change' | 'group' | 'row'>,
  context: PlanContext,
  taking: Taking,
): PlanDocument {
  const block = plan.block ?? {}
  const { change } = proposal
  switch (change.kind) {
    case 'go_on':
    case 'replan':
    case 'pace':
    case 'confirm':
    case 'by_hand':
      return plan
    case 'deload':
      return {
        ...plan,
        block: withPart(
          block,
          'deloads',
          [...new Set([...(block.deloads ?? []), pass])].sort((a, b) => a - b),
        ),
      }
    case 'rir':
      return withSets(plan, pass, proposal, { by: 0, rir: change.by }, taking)
    case 'hold_ramp':
      return withSets(plan, pass, proposal, { by: change.by, rir: 0 }, taking)
    case 'sets':
      return withSets(plan, pass, proposal, change, taking)
    case 'load':
      return {
        ...plan,
        block: withException(block, {
          kind: 'load',
          pass,
          exercise: change.exercise,
          step: change.step,
        }),
      }
    case 'swap':
      return withSwap(plan, change, context)
    case 'shorten':
      return withShorter(plan, change, context)
  }
}
