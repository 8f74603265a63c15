import { daysBetween, type PlainDate, remembered } from '../../base'
import type { Exposure } from '../../body/log'
import { directGroups, type Group, GROUPS, requireExercise } from '../../plan/catalogue'
import { intentFor, type PlanContext } from '../../plan/method'
import { daySlots, type Rotation } from '../../plan/rotation'

/** How much lighter after so many days beyond the plan. Source: docs/methods.md#after-an-absence. */
const ABSENCE = [
  [7, 1],
  [14, 0.95],
  [28, 0.9],
  [56, 0.8],
] as const
/** After longer than that a load is found anew. */
export const NEW_START = 0.7
/** A gap that every plan has room for. */
const LEAST_GAP = 7
/** A lift left out so long beyond the plan, while its muscle was trained, comes back carefully. */
const LIFT = { days: 28, share: 0.85 } as const

/** Days beyond the plan, and the share of the load they leave; 1 where nothing is lost. */
export interface Away {
  readonly days: number
  readonly share: number
  readonly what: 'muscle' | 'exercise'
}

/** Longest wait between days that satisfy something, going round; undefined where no day does. */
function longestGap(length: number, days: readonly number[]): number | undefined {
  const [first] = days
  if (first === undefined) return undefined
  return Math.max(...days.map((day, at) => (days[at + 1] ?? first + length) - day))
}

const muscleGaps = remembered((rotation: Rotation, context: PlanContext) => {
  const days = new Map<Group, number[]>()
  rotation.days.forEach((day, at) => {
    const trained = new Set(
      daySlots(day).flatMap(slot =>
        directGroups(
          intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent)
            .credits,
        ),
      ),
    )
    for (const group of trained) days.set(group, [...(days.get(group) ?? []), at])
  })
  return new Map(
    GROUPS.map(group => [group, longestGap(rotation.days.length, days.get(group) ?? [])]),
  )
})

/** Longest wait for direct work of a muscle in a rotation as planned, at least a week. Units: days. */
export function plannedGap(group: Group, rotation: Rotation | null, context: PlanContext): number {
  const gap = rotation ? muscleGaps(rotation, context).get(group) : undefined
  return Math.max(LEAST_GAP, gap ?? rotation?.days.length ?? 0)
}

/** The share of a load that so many days beyond the plan leave; undefined where it has to be found anew. */
export function shareAfter(beyond: number): number | undefined {
  return ABSENCE.find(([most]) => beyond <= most)?.[1]
}

const NOTHING = {}
const exerciseDays = remembered((rotation: Rotation, _: object) => {
  const days = new Map<string, number[]>()
  rotation.days.forEach((day, at) => {
    for (const { exercise } of daySlots(day))
      if (days.get(exercise)?.at(-1) !== at) days.set(exercise, [...(days.get(exercise) ?? []), at])
  })
  return days
})

/** Longest wait for an exercise in a rotation as planned, at least a week. */
function exerciseGap(id: string, rotation: Rotation | null): number {
  if (!rotation) return LEAST_GAP
  const days = exerciseDays(rotation, NOTHING).get(id) ?? []
  const { length } = rotation.days
  return Math.max(LEAST_GAP, longestGap(length, days) ?? length)
}

/**
 * What an absence leaves of a load: days since the muscle was last worked directly, less the longest wait the plan itself has.
 *
 * Edge:   an exercise left out for weeks while its muscle was trained comes back carefully; nothing is lost where nothing is known.
 * Source: docs/methods.md#after-an-absence.
 */
export function awayFor(
  id: string,
  groups: readonly Group[],
  {
    on,
    lastWorked,
    own,
    rotation,
    context,
  }: {
    readonly on: PlainDate
    /** The last day each muscle was worked directly on. */
    readonly lastWorked: ReadonlyMap<Group, PlainDate>
    /** The exercise's own exposures. */
    readonly own: readonly Exposure[]
    readonly rotation: Rotation | null
    readonly context: PlanContext
  },
): Away {
  const beyond = groups.flatMap(group => {
    const last = lastWorked.get(group)
    return last ? [daysBetween(last, on) - plannedGap(group, rotation, context)] : []
  })
  const least = beyond.length > 0 ? Math.min(...beyond) : 0
  const share = shareAfter(least)
  if (share !== 1) return { days: least, share: share ?? NEW_START, what: 'muscle' }
  const lastOwn = own.at(-1)?.on
  const days = lastOwn ? daysBetween(lastOwn, on) - exerciseGap(id, rotation) : 0
  return days > LIFT.days
    ? { days, share: LIFT.share, what: 'exercise' }
    : { days: 0, share: 1, what: 'muscle' }
}
