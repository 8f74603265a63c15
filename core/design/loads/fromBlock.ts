import type { PlainDate } from '../../base'
import { sessionInTurn, sessionSlots } from '../../plan/session'
import type { BlockPass, BlockSession, ExpandedBlock } from '../progress'
import type { LoadSession, WantedSteps } from './loadsAhead'
import type { SlotLoads } from './reason'

/** What the loads of a block's session are asked for by. */
export const loadKey = ({
  pass,
  day,
  place,
}: Pick<BlockSession, 'pass' | 'day' | 'place'>): string => `${pass} ${day} ${place}`

/** Loads of an exercise in a rotation's sessions that are still to be done. */
export const loadsInPass = (
  pass: BlockPass,
  exercise: string,
  ahead: ReadonlyMap<string, ReadonlyMap<string, SlotLoads>>,
): readonly SlotLoads[] =>
  pass.sessions.flatMap(session =>
    sessionSlots(session.content).flatMap(slot => {
      const loads =
        slot.exercise === exercise ? ahead.get(loadKey(session))?.get(slot.id) : undefined
      return loads ? [loads] : []
    }),
  )

/** Whether a session is an easier one: of an easier rotation, or in an event with light work. */
export const isEasier = (
  { event }: Pick<BlockSession, 'event'>,
  { isDeload }: Pick<BlockPass, 'isDeload'>,
): boolean => isDeload || event?.effect === 'light'

/** Exercises that a rotation's exceptions ask to be done heavier or lighter, since the day it began on. */
export function stepsOf(
  exceptions: BlockPass['exceptions'],
  since: PlainDate,
): WantedSteps | undefined {
  const steps = exceptions.flatMap(exception =>
    exception.kind === 'load' ? [[exception.exercise as string, exception.step] as const] : [],
  )
  return steps.length > 0 ? { of: new Map(steps), since } : undefined
}

/** A block's sessions as loads are reckoned for them: those that were done are left out, for the log speaks for them. */
export function blockLoadSessions(
  { passes }: ExpandedBlock,
  today: PlainDate,
): readonly (LoadSession & Pick<BlockSession, 'day' | 'place'>)[] {
  return passes.flatMap(pass =>
    pass.sessions
      .filter(({ isSkipped, sent }) => !isSkipped && !sent?.isDone)
      .map(session => ({
        key: loadKey(session),
        day: session.day,
        place: session.place,
        on: session.on,
        content: sessionInTurn(session.content, pass.at),
        isDeload: isEasier(session, pass),
        steps: stepsOf(pass.exceptions, pass.from),
        isMissed: session.on < today,
      })),
  )
}
