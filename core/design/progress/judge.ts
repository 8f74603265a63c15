import {
  addDays,
  daysBetween,
  type PlainDate,
  remembered,
  recordOf,
  DAYS_PER_WEEK,
} from '../../base'
import { type Group, GROUPS, type Joint, JOINTS } from '../../plan/catalogue'
import { type JointHistory, jointRamp, type RampVerdict } from '../../body/joints'
import { type RotationLedger, rotationLedger } from '../../count/ledger'
import { type Mode, modeOf, type PlanContext } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import {
  type ExposureRole,
  readinessPercent,
  tauHours,
  type ThreadState,
  threadState,
} from '../../body/recovery'
import { plannedSets } from '../../plan/scheme'
import { sessionSlots } from '../../plan/session'
import type { BlockPass, ExpandedBlock } from './expand'
import { passContext } from './passContext'
import { type CarriedIn, carriedInto, type Held, heldSessions } from './held'

/** A muscle as it comes to one dated session. Units: percent. */
export interface DatedArrival {
  readonly group: Group
  readonly pass: number
  readonly on: PlainDate
  readonly name: string
  readonly readiness: number
  readonly required: number
  readonly role: ExposureRole
  readonly thread: ThreadState
}

/** A joint over one pass. Units: points; the week is the largest 7 days in a row that begin in the pass. */
export interface PassJoint {
  readonly week: number
  readonly session: number
  readonly ramp: RampVerdict
}

export interface PassVerdict {
  readonly pass: BlockPass
  readonly ledger: RotationLedger
  readonly sets: number
  readonly minutes: number
  readonly joints: Readonly<Record<Joint, PassJoint>>
  /** The least ready arrival of what the coach builds up or keeps; null without one. */
  readonly lowest: DatedArrival | null
}

export interface BlockVerdict {
  readonly passes: readonly PassVerdict[]
  readonly arrivals: Readonly<Record<Group, readonly DatedArrival[]>>
  /** Counted sets in weeks of seven days from the block's first day. */
  readonly weeks: readonly {
    readonly from: PlainDate
    readonly days: number
    readonly sets: Readonly<Record<Group, { readonly direct: number; readonly indirect: number }>>
    readonly joints: Readonly<Record<Joint, number>>
  }[]
}

/** The mode of a group in each pass. */
type Modes = (group: Group, pass: number) => Mode

function leadHours(group: Group, held: readonly Held[], modes: Modes): ReadonlySet<Held> {
  const byPass = new Map<number, Held>()
  for (const one of held) {
    if (modes(group, one.session.pass) !== 'build') continue
    const best = byPass.get(one.session.pass)
    if ((one.direct.get(group) ?? 0) > (best?.direct.get(group) ?? 0))
      byPass.set(one.session.pass, one)
  }
  return new Set(byPass.values())
}

/** What earlier sessions still leave in a muscle, and the hour it is told for. */
function carriedFatigue(
  group: Group,
  carried: readonly CarriedIn[],
  tau: number,
): readonly [fatigue: number, hour: number] {
  return carried.reduce<readonly [number, number]>(
    ([fatigue, hour], one) => [
      fatigue * Math.exp(-(one.hour - hour) / tau) + (one.impulses[group] ?? 0),
      one.hour,
    ],
    [0, carried[0]?.hour ?? 0],
  )
}

/** Readiness of a group along the block's dates, with what is carried into it. */
function arrivalsOf(
  group: Group,
  held: readonly Held[],
  carried: readonly CarriedIn[],
  { context, modes }: { readonly context: PlanContext; readonly modes: Modes },
): readonly DatedArrival[] {
  const tau = tauHours(group, context)
  const leads = leadHours(group, held, modes)
  let [fatigue, hour] = carriedFatigue(group, carried, tau)
  return held.flatMap((one): DatedArrival[] => {
    const impulse = one.impulses.get(group) ?? 0
    if (impulse <= 0) return []
    fatigue *= Math.exp(-(one.hour - hour) / tau)
    const role: ExposureRole = leads.has(one)
      ? 'lead'
      : (one.direct.get(group) ?? 0) > 0
        ? 'other'
        : 'indirect'
    const readiness = readinessPercent(group, fatigue)
    const required = context.method.recovery.required[role]
    fatigue += impulse
    hour = one.hour
    return [
      {
        group,
        pass: one.session.pass,
        on: one.session.on,
        name: one.session.name,
        readiness,
        required,
        role,
        thread: threadState(readiness, required),
      },
    ]
  })
}

/** The arrival of each pass that is furthest under what is asked for, or nearest to it. */
function lowestByPass(arrivals: readonly DatedArrival[]): ReadonlyMap<number, DatedArrival> {
  const lowest = new Map<number, DatedArrival>()
  for (const arrival of arrivals) {
    const low = lowest.get(arrival.pass)
    if (!low || arrival.readiness - arrival.required < low.readiness - low.required)
      lowest.set(arrival.pass, arrival)
  }
  return lowest
}

/** Largest sum of 7 days in a row whose last day lies in each pass. */
function largestWeeks(
  joint: Joint,
  passes: readonly BlockPass[],
  held: readonly Held[],
  carried: readonly CarriedIn[],
): readonly number[] {
  const all = [...carried, ...held]
  const first = Math.min(0, ...all.map(({ dayAt }) => dayAt))
  const daily = new Float64Array(Math.max(0, ...all.map(({ dayAt }) => dayAt - first + 1)))
  for (const { dayAt, joints } of all)
    daily[dayAt - first] = daily[dayAt - first]! + (joints[joint] ?? 0)
  const ending = daily.map((_, at) =>
    daily.slice(Math.max(0, at - DAYS_PER_WEEK + 1), at + 1).reduce((sum, load) => sum + load, 0),
  )
  const most = passes.map(() => 0)
  for (const { dayAt, session } of held)
    most[session.pass] = Math.max(most[session.pass]!, ending[dayAt - first]!)
  return most
}

type WeekSets = Record<Group, { direct: number; indirect: number }>

function setsOf(held: readonly Held[]): WeekSets {
  const sums = Object.fromEntries(
    GROUPS.map(group => [group, { direct: 0, indirect: 0 }]),
  ) as WeekSets
  for (const { work } of held) {
    for (const { credits, sets } of work) {
      for (const group in credits) {
        const credit = credits[group as Group] ?? 0
        if (credit >= 1) sums[group as Group].direct += sets.value
        else sums[group as Group].indirect += credit * sets.value
      }
    }
  }
  return sums
}

function weeksOf(from: PlainDate, to: PlainDate, held: readonly Held[]): BlockVerdict['weeks'] {
  const days = daysBetween(from, to) + 1
  return Array.from({ length: Math.ceil(days / DAYS_PER_WEEK) }, (_, week) => {
    const own = held.filter(({ dayAt }) => Math.floor(dayAt / DAYS_PER_WEEK) === week)
    return {
      from: addDays(from, week * DAYS_PER_WEEK),
      days: Math.min(DAYS_PER_WEEK, days - week * DAYS_PER_WEEK),
      sets: setsOf(own),
      joints: recordOf(JOINTS, joint =>
        own.reduce((total, { joints }) => total + joints[joint], 0),
      ),
    }
  })
}

/**
 * A whole block judged before the client lifts anything: sets of every pass against the bands, readiness along the dates,
 * joints from week to week, minutes.
 *
 * Shape:  passes in order; arrivals of each group by date.
 * Units:  sets per 7 days, percent, points, minutes.
 * Edge:   without sessions carried in the first one finds the client fresh; a joint's ramp needs two passes before it.
 * Source: docs/methods.md#block.
 */
export const blockVerdict = remembered(
  (expanded: ExpandedBlock, context: PlanContext): BlockVerdict => {
    const { passes, from, to } = expanded
    const held = heldSessions(passes, from, context)
    const carried = carriedInto(from, context)
    const contexts = passes.map(pass => passContext(context, pass))
    const modes: Modes = (group, pass) => modeOf(contexts[pass] ?? context, group)
    const arrivals = recordOf(GROUPS, group => arrivalsOf(group, held, carried, { context, modes }))
    const history = new Map<Joint, JointHistory[]>(JOINTS.map(joint => [joint, []]))
    const jointWeeks = new Map(
      JOINTS.map(joint => [joint, largestWeeks(joint, passes, held, carried)]),
    )
    const lowest = lowestByPass(
      GROUPS.flatMap(group => arrivals[group]).filter(
        ({ group, pass }) => modes(group, pass) !== 'maintain',
      ),
    )
    return {
      arrivals,
      weeks: weeksOf(from, to, held),
      passes: passes.map((pass): PassVerdict => {
        const own = pass.sessions.filter(({ isSkipped }) => !isSkipped)
        // What an event takes says nothing of what the joints are used to.
        const adherence = pass.sessions.length === 0 ? 0 : own.length / pass.sessions.length
        const joints = recordOf(JOINTS, (joint): PassJoint => {
          const week = jointWeeks.get(joint)?.[pass.at] ?? 0
          const before = history.get(joint) ?? []
          const ramp = jointRamp(week, before)
          before.push({ load: week, isDeload: pass.isDeload, adherence })
          return {
            week,
            session: Math.max(
              0,
              ...held
                .filter(({ session }) => session.pass === pass.at)
                .map(one => one.joints[joint]),
            ),
            ramp,
          }
        })
        return {
          pass,
          ledger: rotationLedger(pass.rotation, contexts[pass.at] ?? context),
          joints,
          sets: own.reduce(
            (sum, { content }) =>
              sum +
              sessionSlots(content).reduce((part, { scheme }) => part + plannedSets(scheme), 0),
            0,
          ),
          minutes: own.reduce((sum, { content }) => sum + sessionSeconds(content, context) / 60, 0),
          lowest: lowest.get(pass.at) ?? null,
        }
      }),
    }
  },
)
