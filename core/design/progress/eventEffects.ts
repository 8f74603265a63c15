import { daysBetween, type PlainDate } from '../../base'
import { type BlockEvent, planEnd, type PlanDocument, withPart } from '../../plan/block'
import type { PlanContext } from '../../plan/method'
import { blockAsTold, type BlockSession, type SentSession } from './expand'

/** What an event does to a block. */
export interface EventEffects {
  readonly effect: BlockEvent['effect']
  /** Sessions that would be on its days without it, those that are done left out. */
  readonly touched: readonly BlockSession[]
  /** Days the block ends later. */
  readonly later: number
  readonly endsOn: PlainDate
}

/** A block with an event put in, in place of one with the same id. */
export const withEvent = (plan: PlanDocument, event: BlockEvent): PlanDocument => ({
  ...plan,
  block: withPart(plan.block ?? {}, 'events', [...otherEvents(plan, event.id), event]),
})
/** A block without an event. */
export const withoutEvent = (plan: PlanDocument, id: string): PlanDocument => ({
  ...plan,
  block: withPart(plan.block ?? {}, 'events', otherEvents(plan, id)),
})
const otherEvents = ({ block = {} }: PlanDocument, id: string): readonly BlockEvent[] =>
  (block.events ?? []).filter(event => event.id !== id)

interface EventQuestion {
  readonly context: PlanContext
  readonly sent: readonly SentSession[]
  readonly today: PlainDate
}

/** What putting an event into a block changes, before it is put there. */
export function eventEffects(
  plan: PlanDocument,
  event: BlockEvent,
  { context, sent, today }: EventQuestion,
): EventEffects {
  const without = withoutEvent(plan, event.id)
  const endsOn = planEnd(withEvent(plan, event))
  return {
    effect: event.effect,
    touched: blockAsTold(without, context, sent, today)
      .passes.flatMap(({ sessions }) => sessions)
      .filter(
        ({ on, isSkipped, sent: mark }) =>
          !isSkipped && mark?.isDone !== true && event.from <= on && on <= event.to,
      ),
    later: daysBetween(planEnd(without), endsOn),
    endsOn,
  }
}
