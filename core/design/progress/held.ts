import { SECOND_SESSION_HOURS } from '../../plan/rotation'
import { daysBetween, type PlainDate, remembered, HOURS_PER_DAY } from '../../base'
import { directGroups, type Group, type Joint } from '../../plan/catalogue'
import { jointLoads } from '../../body/joints'
import { type CountedWork, countedWorkOfDay } from '../../count/ledger'
import type { CarriedSession, PlanContext } from '../../plan/method'
import { impulsesOf } from '../../body/recovery'
import type { BlockPass, BlockSession } from './expand'

/** A session that will be done, with what it leaves in muscles and joints. */
export interface Held {
  readonly session: BlockSession
  /** From the block's first, from 0. */ readonly dayAt: number
  readonly hour: number
  readonly work: readonly CountedWork[]
  readonly direct: ReadonlyMap<Group, number>
  readonly impulses: ReadonlyMap<Group, number>
  readonly joints: Readonly<Record<Joint, number>>
}

const workOf = remembered((content: BlockSession['content'], context: PlanContext) =>
  countedWorkOfDay({ role: 'open', sessions: [content] }, context),
)

/** Direct sets of a session by group. */
const directOf = remembered(
  (work: readonly CountedWork[], _: PlanContext): ReadonlyMap<Group, number> => {
    const sums = new Map<Group, number>()
    for (const { credits, sets } of work)
      for (const group of directGroups(credits))
        sums.set(group, (sums.get(group) ?? 0) + sets.value)
    return sums
  },
)

/** Sessions that will be done, by date, with what they leave. */
export function heldSessions(
  passes: readonly BlockPass[],
  from: PlainDate,
  context: PlanContext,
): readonly Held[] {
  return passes
    .flatMap(({ sessions }) => sessions)
    .filter(({ isSkipped }) => !isSkipped)
    .map((session): Held => {
      const work = workOf(session.content, context)
      const dayAt = daysBetween(from, session.on)
      return {
        session,
        dayAt,
        hour: dayAt * HOURS_PER_DAY + session.place * SECOND_SESSION_HOURS,
        work,
        direct: directOf(work, context),
        impulses: impulsesOf(work, context),
        joints: jointLoads(work, context),
      }
    })
    .sort((a, b) => a.hour - b.hour)
}

/** What a session before the block still leaves; days and hours are below 0. */
export interface CarriedIn {
  readonly dayAt: number
  readonly hour: number
  readonly impulses: CarriedSession['impulses']
  readonly joints: CarriedSession['joints']
}

/** What is carried into a block that begins on a day, in the order of the hours. */
export function carriedInto(from: PlainDate, { client }: PlanContext): readonly CarriedIn[] {
  return (client.carried ?? [])
    .filter(({ on }) => on < from)
    .map(({ on, place, impulses, joints }) => {
      const dayAt = daysBetween(from, on)
      return {
        dayAt,
        hour: dayAt * HOURS_PER_DAY + place * SECOND_SESSION_HOURS,
        impulses,
        joints,
      }
    })
    .sort((a, b) => a.hour - b.hour)
}
