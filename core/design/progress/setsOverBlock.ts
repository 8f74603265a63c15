import { SECOND_SESSION_HOURS } from '../../plan/rotation'
import { roundHalfUp, type SlotId, mapNonEmpty, DAYS_PER_WEEK, HOURS_PER_DAY } from '../../base'
import type { BlockPlan, PlanDocument } from '../../plan/block'
import { directGroups, type Group, GROUPS, requireExercise } from '../../plan/catalogue'
import { type CountedWork, countedWorkOfDay, rotationLedger, spanLedger } from '../../count/ledger'
import { COUNTING_SCHOOLS, intentFor, type PlanContext, sessionMaxOf } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import { mayGrow } from '../../body/joints'
import { decayMatrix, impulsesOf, readinessPercent, tauHours } from '../../body/recovery'
import { MAX_SETS_PER_EXERCISE, plannedSets } from '../../plan/scheme'
import type { Session, Slot } from '../../plan/session'
import { withSetCount } from './passContent'
import { setRamp, spreadSets } from './ramp'

const SLACK = 1e-6

/** Sets of every exercise in one pass, and those that no place could take. */
export interface PassSets {
  readonly of: ReadonlyMap<SlotId, number>
  readonly notPlaced: readonly {
    readonly group: Group
    readonly sets: number
    /** What stood in the way at most of its exercises. */ readonly by: SetObstacle
  }[]
}

export const SET_OBSTACLES = ['pain', 'minutes', 'session', 'readiness', 'exercise'] as const
/** Why a place takes no set more: the day's minutes, what a session may hold, a muscle that would not be ready, a joint that is sore, or no exercise left to ask. */
export type SetObstacle = (typeof SET_OBSTACLES)[number]

interface Cell {
  readonly slot: Slot
  readonly session: number
  readonly group: Group
}

/** A session under some numbers of sets. */
function withSets(session: Session, sets: ReadonlyMap<SlotId, number>): Session {
  return {
    ...session,
    groupings: session.groupings.map(grouping => ({
      ...grouping,
      slots: mapNonEmpty(grouping.slots, slot => ({
        ...slot,
        scheme: withSetCount(slot.scheme, sets.get(slot.id) ?? plannedSets(slot.scheme)),
      })),
    })),
  }
}

/** Whether one set more still fits the minutes, the most of a session, and the readiness that the muscle is asked for. */
function limitsOf({ rotation }: PlanDocument, context: PlanContext) {
  const held = rotation.days.flatMap((day, at) =>
    day.sessions.map((session, place) => ({
      day,
      session,
      hour: at * HOURS_PER_DAY + place * SECOND_SESSION_HOURS,
    })),
  )
  const hours = held.map(({ hour }) => hour)
  const decay = new Map<Group, Float64Array>()
  const decayOf = (group: Group) => {
    const known =
      decay.get(group) ??
      decayMatrix(hours, rotation.days.length * HOURS_PER_DAY, tauHours(group, context))
    decay.set(group, known)
    return known
  }
  const workOf = (session: Session, at: number): readonly CountedWork[] =>
    countedWorkOfDay({ role: held[at]?.day.role ?? 'open', sessions: [session] }, context)
  const impulses = held.map(({ session }, at) => impulsesOf(workOf(session, at), context))

  function readiness(group: Group, at: number, of: readonly ReadonlyMap<Group, number>[]): number {
    const matrix = decayOf(group)
    return readinessPercent(
      group,
      of.reduce(
        (sum, own, from) => sum + (own.get(group) ?? 0) * matrix[at * hours.length + from]!,
        0,
      ),
    )
  }
  function isTired(
    group: Group,
    at: number,
    after: readonly ReadonlyMap<Group, number>[],
  ): boolean {
    const { required } = context.method.recovery
    return after.some((own, s) => {
      if (s === at || (own.get(group) ?? 0) <= 0) return false
      const now = readiness(group, s, after)
      return now < required.other - SLACK && now < readiness(group, s, impulses) - SLACK
    })
  }
  return {
    obstacle(
      { slot, session: at, group }: Cell,
      sets: ReadonlyMap<SlotId, number>,
    ): SetObstacle | null {
      const place = held[at]
      const own = sets.get(slot.id) ?? 0
      if (!place || own >= MAX_SETS_PER_EXERCISE) return 'exercise'
      if (!mayGrow(stressesOf(slot, context), context)) return 'pain'
      const grown = withSets(place.session, new Map([...sets, [slot.id, own + 1]]))
      if (sessionSeconds(grown, context) > (place.day.minuteLimit ?? Infinity) * 60 + SLACK)
        return 'minutes'
      const work = workOf(grown, at)
      if (
        spanLedger(work, COUNTING_SCHOOLS.fractional).groups[group].counted.value >
        (sessionMaxOf(context, group) ?? Infinity) + SLACK
      )
        return 'session'
      return isTired(
        group,
        at,
        impulses.map((before, s) => (s === at ? impulsesOf(work, context) : before)),
      )
        ? 'readiness'
        : null
    },
    taken({ session: at }: Cell, sets: ReadonlyMap<SlotId, number>): void {
      const place = held[at]
      if (place) impulses[at] = impulsesOf(workOf(withSets(place.session, sets), at), context)
    },
  }
}

function stressesOf(slot: Slot, context: PlanContext) {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  return intentFor(context, exercise, slot.intent).jointStress
}

function cellsOf({ rotation }: PlanDocument, context: PlanContext): readonly Cell[] {
  let session = -1
  return rotation.days.flatMap(day =>
    day.sessions.flatMap(content => {
      session += 1
      return content.groupings.flatMap(({ slots, placement }) =>
        slots.flatMap((slot): Cell[] => {
          const [group] = directGroups(
            slot.credits ??
              intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent)
                .credits,
          )
          return group && placement !== 'warmup' && !slot.isHeld ? [{ slot, session, group }] : []
        }),
      )
    }),
  )
}

/**
 * Sets of each exercise in every working pass, as the ramps have it.
 *
 * Shape:   one entry per working pass, the first is the rotation as it stands.
 * Edge:    sets go round the exercises of a muscle in the order they stand, one each and pass; a place whose minutes, session or
 *          readiness would break takes none, and what no place takes is told. Exercises held fixed keep their sets.
 * Source:  docs/methods.md#block; example P4.
 */
export function setsOverBlock(
  plan: PlanDocument,
  context: PlanContext,
  passes: number,
  ramps: NonNullable<BlockPlan['ramps']>,
  ledger = rotationLedger(plan.rotation, context),
): readonly PassSets[] {
  const cells = cellsOf(plan, context)
  const now = new Map(cells.map(({ slot }) => [slot.id, plannedSets(slot.scheme)]))
  const limits = limitsOf(plan, context)
  const scale = plan.rotation.days.length / DAYS_PER_WEEK
  const wanted = GROUPS.flatMap(group => {
    const ramp = ramps[group]
    const start = roundHalfUp(ledger.groups[group].week.counted.value)
    return ramp && ramp.kind !== 'none'
      ? [
          {
            group,
            own: cells.filter(cell => cell.group === group),
            sets: setRamp({
              kind: ramp.kind,
              start,
              end: Math.round(ramp.end),
              rotations: passes,
              cap: context.method.progress.setRampCap,
            }),
          },
        ]
      : []
  })
  const placed = new Map<Group, number>()
  return Array.from({ length: passes }, (_, pass): PassSets => {
    const notPlaced = wanted.flatMap(({ group, own, sets }) => {
      const before = placed.get(group) ?? 0
      const change = roundHalfUp((sets[pass]! - sets[0]!) * scale) - before
      if (change <= 0) {
        placed.set(group, before - cut(own, -change, now))
        return []
      }
      const sum = own.reduce((total, { slot }) => total + (now.get(slot.id) ?? 0), 0)
      const met: SetObstacle[] = []
      const { left } = spreadSets(
        own.map(({ slot }) => now.get(slot.id) ?? 0),
        sum + change,
        at => {
          const cell = own[at]
          const obstacle = cell ? limits.obstacle(cell, now) : 'exercise'
          if (obstacle) met.push(obstacle)
          if (!cell || obstacle) return false
          now.set(cell.slot.id, (now.get(cell.slot.id) ?? 0) + 1)
          limits.taken(cell, now)
          return true
        },
      )
      placed.set(group, before + change - left)
      return left > 0 ? [{ group, sets: left, by: commonest(met) }] : []
    })
    return { of: new Map(now), notPlaced }
  })
}

function commonest(met: readonly SetObstacle[]): SetObstacle {
  const times = (obstacle: SetObstacle) => met.filter(other => other === obstacle).length
  return met.length === 0
    ? 'exercise'
    : SET_OBSTACLES.reduce((most, other) => (times(other) > times(most) ? other : most))
}

/** Takes sets out, the largest exercise first; each keeps one. Gives how many went. */
function cut(cells: readonly Cell[], sets: number, now: Map<SlotId, number>): number {
  let gone = 0
  while (gone < sets) {
    const [largest] = [...cells]
      .filter(({ slot }) => (now.get(slot.id) ?? 0) > 1)
      .sort((a, b) => (now.get(b.slot.id) ?? 0) - (now.get(a.slot.id) ?? 0))
    if (!largest) break
    now.set(largest.slot.id, (now.get(largest.slot.id) ?? 0) - 1)
    gone += 1
  }
  return gone
}

/** More or fewer sets of a muscle in one pass. */
export interface SetChange {
  readonly group: Group
  readonly change: number
  /** Decided earlier for good: what loads a joint that is sore by now takes none of it. */
  readonly isHeld: boolean
}

/** Sets of one pass with what the coach wants otherwise in it; limits are hers to judge. */
export function withChangedSets(
  plan: PlanDocument,
  context: PlanContext,
  sets: ReadonlyMap<SlotId, number>,
  { group, change, isHeld }: SetChange,
): ReadonlyMap<SlotId, number> {
  const cells = cellsOf(plan, context).filter(
    cell =>
      cell.group === group &&
      !(isHeld && change > 0 && !mayGrow(stressesOf(cell.slot, context), context)),
  )
  const changed = new Map(sets)
  if (change < 0) cut(cells, -change, changed)
  for (let at = 0; at < change && cells.length > 0; at++) {
    const slot = cells[at % cells.length]?.slot
    if (slot) changed.set(slot.id, Math.min(MAX_SETS_PER_EXERCISE, (changed.get(slot.id) ?? 0) + 1))
  }
  return changed
}

/** Sets that a ramp asked for and no place could take, by muscle: the rotation with most of them. Those with most first. */
export interface Unplaced {
  readonly group: Group
  readonly pass: number
  readonly sets: number
  readonly by: SetObstacle
}

export function setsWithoutPlace({
  passes,
}: {
  readonly passes: readonly {
    readonly at: number
    readonly notPlaced: PassSets['notPlaced']
  }[]
}): readonly Unplaced[] {
  const worst = new Map<Group, Unplaced>()
  for (const { at, notPlaced } of passes)
    for (const miss of notPlaced)
      if (miss.sets > (worst.get(miss.group)?.sets ?? 0))
        worst.set(miss.group, { ...miss, pass: at })
  return [...worst.values()].sort((a, b) => b.sets - a.sets)
}
