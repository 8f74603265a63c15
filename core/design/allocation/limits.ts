import { type Group, type Joint, JOINTS } from '../../plan/catalogue'
import { jointCeiling, painCeiling } from '../../body/joints'
import type { Cell, Problem } from './cells'
import type { AllocationState } from './state'

/** More exercises than this in one session are not proposed. */
export const MOST_EXERCISES = 8
const SLACK = 1e-6
/** Where nothing stands yet there is no load to hold a sore joint to: this share of its ceiling is taken for it. */
const FROM_NOTHING = 0.5
/** A limit binds from here on: less than a set's room is left. */
const TIGHT = { seconds: 150, session: 0.93, week: 0.95 } as const

/** A hard limit and how much of it is used. Minutes, or points of a joint. */
export interface LimitUse {
  readonly kind: 'minutes' | 'joint' | 'joint_week'
  readonly day: number | null
  readonly of: string
  readonly used: number
  readonly limit: number
  /** More is used than the limit allows: what stands fixed does so already. */ readonly isLifted: boolean
}

/** What of a muscle's wants is let go, in sets or points of readiness: under its band, over it, in one session, less ready. */
export interface LoosenedWants {
  readonly under?: number
  readonly over?: number
  readonly crowded?: number
  readonly unready?: number
}

/** Limits and wants loosened to see what that would buy: minutes by day, points of every joint, exercises of every session, wants by muscle. */
export interface Loosened {
  readonly minutes?: Readonly<Record<number, number>>
  readonly joints?: number
  readonly exercises?: number
  readonly wants?: Readonly<Partial<Record<Group, LoosenedWants>>>
}

/** The hard limits of a problem. Seconds by day; points of each joint by session, and in a week; exercises by session. */
export interface HardLimits {
  readonly minutes: readonly { readonly own: number; readonly lifted: number }[]
  readonly joints: readonly {
    readonly joint: Joint
    readonly own: { readonly session: number; readonly week: number }
    readonly session: readonly number[]
    readonly week: number
  }[]
  readonly exercises: readonly number[]
  /** Sessions within any seven days running, by index. */
  readonly weeks: readonly (readonly number[])[]
}

/**
 * The sessions within any seven days running, by index and each kind of week once; a rotation shorter than a week comes
 * round again within it.
 */
function weeksOf(places: Problem['places'], length: number): readonly (readonly number[])[] {
  const weeks = Array.from({ length }, (_, start) =>
    places.flatMap(({ day }, at) => {
      const first = (((day - start) % length) + length) % length
      return first < 7 ? Array<number>(Math.ceil((7 - first) / length)).fill(at) : []
    }),
  )
  return [...new Map(weeks.map(week => [week.join(' '), week])).values()]
}

/** Hard limits, lifted to what stands fixed; the state must have no open sets yet. */
export function limitsOf(
  { places, cells, context, plan, isFromNothing }: Problem,
  state: AllocationState,
  loosened: Loosened,
) {
  const { sums } = state
  const weeks = weeksOf(places, plan.rotation.days.length)
  function largestWeek(joint: number, loads?: readonly number[]): number {
    let most = 0
    for (const held of weeks) {
      let week = 0
      for (const at of held) week += loads ? loads[at]! : sums[at]!.joints[joint]!
      most = Math.max(most, week)
    }
    return most
  }
  const minutes = plan.rotation.days.map(({ minuteLimit }, at) => ({
    own: (minuteLimit ?? Infinity) * 60,
    lifted: Math.max(
      (minuteLimit ?? Infinity) * 60 + (loosened.minutes?.[at] ?? 0) * 60,
      state.secondsOnDay(at),
    ),
  }))
  const joints = JOINTS.map((joint, j) => {
    const own = jointCeiling(joint, context)
    const now = places.map(({ base, cells: open }) =>
      isFromNothing
        ? FROM_NOTHING * own.session
        : base.joints[j]! + open.reduce((sum, cell) => sum + cell.worth[cell.now]!.joints[j]!, 0),
    )
    const weekNow = isFromNothing ? FROM_NOTHING * own.week : largestWeek(j, now)
    // A sore joint bears no more than its reports allow, whatever its ceiling would.
    const allowed = (ceiling: number, of: number) =>
      Math.min(ceiling + (loosened.joints ?? 0), painCeiling(joint, of, context))
    return {
      joint,
      own,
      session: sums.map((sum, at) => Math.max(allowed(own.session, now[at]!), sum.joints[j]!)),
      week: Math.max(allowed(own.week, weekNow), largestWeek(j)),
    }
  })
  const exercises = state.exercises.map(count =>
    Math.max(MOST_EXERCISES + (loosened.exercises ?? 0), count),
  )
  const limits: HardLimits = { minutes, joints, exercises, weeks }

  /** Whether the limits of one cell's session and day hold. */
  function fits(at: number): boolean {
    const { place } = cells[at] as Cell
    const day = places[place]?.day ?? 0
    if (state.secondsOnDay(day) > (minutes[day]?.lifted ?? Infinity) + SLACK) return false
    if (state.exercises[place]! > exercises[place]!) return false
    return joints.every(({ session, week }, j) => {
      const load = sums[place]?.joints[j] ?? 0
      return load <= session[place]! + SLACK && (load === 0 || largestWeek(j) <= week + SLACK)
    })
  }

  /** Limits that leave less than one set's room, or none. */
  function tight(): readonly LimitUse[] {
    const ofDays = minutes.flatMap(({ own }, day): LimitUse[] => {
      const used = state.secondsOnDay(day)
      return used > own - TIGHT.seconds
        ? [
            {
              kind: 'minutes',
              day,
              of: '',
              used: used / 60,
              limit: own / 60,
              isLifted: used > own + SLACK,
            },
          ]
        : []
    })
    const ofJoints = joints.flatMap(({ joint, own }, j): LimitUse[] => [
      ...sums.flatMap((sum, at): LimitUse[] => {
        const used = sum.joints[j]!
        return used > own.session * TIGHT.session
          ? [
              {
                kind: 'joint',
                day: places[at]?.day ?? 0,
                of: joint,
                used,
                limit: own.session,
                isLifted: used > own.session + SLACK,
              },
            ]
          : []
      }),
      ...(largestWeek(j) > own.week * TIGHT.week
        ? [
            {
              kind: 'joint_week' as const,
              day: null,
              of: joint,
              used: largestWeek(j),
              limit: own.week,
              isLifted: largestWeek(j) > own.week + SLACK,
            },
          ]
        : []),
    ])
    return [...ofDays, ...ofJoints]
  }
  return { fits, tight, limits }
}
