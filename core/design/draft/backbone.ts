import { exerciseId, groupingId, type SlotId, slotId } from '../../base'
import { checkInput } from '../../judge/checks'
import { type PlanDocument, usualScheme } from '../../plan/block'
import type { Group } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import type { DayRole, RotationDay } from '../../plan/rotation'
import type { Grouping } from '../../plan/session'
import { offers } from '../allocation'

/** What a day of a role is built on: for each line one compound, for the muscles in turn from day to day. */
const BACKBONE: Readonly<Partial<Record<DayRole, readonly (readonly Group[])[]>>> = {
  push: [
    ['chest', 'delts_front'],
    ['delts_front', 'chest'],
  ],
  pull: [
    ['lats', 'upper_back'],
    ['upper_back', 'lats'],
  ],
  legs: [
    ['quads', 'hamstrings', 'glutes'],
    ['hamstrings', 'glutes', 'quads'],
  ],
  lower: [
    ['quads', 'glutes'],
    ['hamstrings', 'glutes', 'quads'],
  ],
  upper: [
    ['chest', 'delts_front'],
    ['upper_back', 'lats'],
  ],
  full: [
    ['chest', 'delts_front'],
    ['lats', 'upper_back'],
    ['quads', 'hamstrings', 'glutes'],
  ],
}
/** Sets that a backbone exercise begins with: as few as the method does of one; the search may change that, but for none. */
const setsOf = ({ method }: PlanContext) =>
  Math.min(MOST, Math.max(LEAST, method.dose.setsPerExercise[0]))
const [LEAST, MOST] = [2, 5]

/** A plan with the compounds that its days are built on, and which these are. */
export interface WithBackbone {
  readonly plan: PlanDocument
  readonly backbone: ReadonlySet<SlotId>
}

/**
 * Puts the compounds in that the days of a rotation are built on, each once where there are enough.
 *
 * Edge: where equipment, pain or lists leave no compound for a line, the day goes without.
 */
export function withBackbone(
  empty: PlanDocument,
  context: PlanContext,
  newId: () => string,
): WithBackbone {
  const input = checkInput(empty, context)
  const backbone = new Set<SlotId>()
  const used: string[] = []
  const seen = new Map<DayRole, number>()
  const days = empty.rotation.days.map((day, at): RotationDay => {
    const [session] = day.sessions
    if (!session) return day
    const turn = seen.get(day.role) ?? 0
    seen.set(day.role, turn + 1)
    const onDay: string[] = []
    const isOnDay = (id: string) => onDay.includes(id)
    const groupings = (BACKBONE[day.role] ?? []).flatMap((groups): readonly Grouping[] => {
      const inTurn = groups.map((_, step) => groups[(turn + step) % groups.length]!)
      const choices = inTurn.flatMap(group =>
        offers(group, at, input).filter(
          ({ exercise }) => exercise.kind === 'compound' && !isOnDay(exercise.id),
        ),
      )
      const chosen = choices.find(({ exercise }) => !used.includes(exercise.id)) ?? choices[0]
      if (!chosen) return []
      used.push(chosen.exercise.id)
      onDay.push(chosen.exercise.id)
      const id = slotId(newId())
      backbone.add(id)
      const scheme = usualScheme(chosen.exercise, setsOf(context), context.method)
      const slot = { id, exercise: exerciseId(chosen.exercise.id), intent: chosen.intent, scheme }
      return [{ id: groupingId(newId()), kind: 'straight', placement: 'main', slots: [slot] }]
    })
    return { ...day, sessions: [{ ...session, groupings }] }
  })
  return { plan: { ...empty, rotation: { ...empty.rotation, days } }, backbone }
}
