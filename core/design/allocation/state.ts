import { sessionSeconds } from '../../plan/minutes'
import type { Grouping, Session } from '../../plan/session'
import { type Cell, type CellWorth, type Problem, slotWith } from './cells'

/** What a session gives, added up cell by cell. */
export type Sums = {
  -readonly [Key in keyof CellWorth]: CellWorth[Key] extends number ? number : number[]
}

function mutable(worth: CellWorth): Sums {
  return {
    ...worth,
    counted: [...worth.counted],
    fractional: [...worth.fractional],
    direct: [...worth.direct],
    impulse: [...worth.impulse],
    joints: [...worth.joints],
  }
}

const BY_GROUP = ['counted', 'fractional', 'direct', 'impulse'] as const

/** Takes one worth out and another in, and marks the groups it made a difference to. */
function shift(sums: Sums, before: CellWorth, after: CellWorth, stamps: Int32Array): void {
  for (const key of BY_GROUP) {
    const [sum, minus, plus] = [sums[key], before[key], after[key]]
    for (let g = 0; g < sum.length; g++) {
      if (plus[g] === minus[g]) continue
      sum[g] = sum[g]! + plus[g]! - minus[g]!
      stamps[g] = stamps[g]! + 1
    }
  }
  const { joints } = sums
  for (let at = 0; at < joints.length; at++)
    joints[at] = joints[at]! + after.joints[at]! - before.joints[at]!
  sums.flexors += after.flexors - before.flexors
  sums.extensors += after.extensors - before.extensors
  sums.overhead += after.overhead - before.overhead
}

/** More sets than any cell may have: what numbers of sets are told apart by in one number. */
const MORE_THAN_SETS = 64

/** Groupings of a session under some numbers of sets; each is made once. */
function sessionMaker({ places }: Problem, sets: Int16Array): (place: number) => Session {
  /** By the sets of its cells. */
  type Made = Map<number, Grouping | null>
  function part(grouping: Grouping, own: readonly Cell[], made: Made): Grouping | null {
    let key = 0
    for (const { at } of own) key = key * MORE_THAN_SETS + sets[at]!
    const known = made.get(key)
    if (known !== undefined) return known
    const [first, ...others] = grouping.slots.flatMap(slot => {
      const cell = own.find(candidate => candidate.slot.id === slot.id)
      const wanted = cell ? (sets[cell.at] ?? 0) : -1
      return wanted === 0 ? [] : [wanted < 0 ? slot : slotWith(slot, wanted)]
    })
    const now = first
      ? {
          ...grouping,
          kind: others.length === 0 ? ('straight' as const) : grouping.kind,
          slots: [first, ...others] as const,
        }
      : null
    made.set(key, now)
    return now
  }
  const layout = places.map(({ content, cells }) => ({
    content,
    standing: content.groupings.map(grouping => ({
      grouping,
      own: cells.filter(
        cell => !cell.isNew && grouping.slots.some(({ id }) => id === cell.slot.id),
      ),
      made: new Map() as Made,
    })),
    added: cells
      .filter(({ isNew }) => isNew)
      .map(cell => ({ cell, own: [cell], made: new Map() as Made })),
  }))
  return at => {
    const place = layout[at] as (typeof layout)[number]
    const groupings = [
      ...place.standing.map(({ grouping, own, made }) =>
        own.length === 0 ? grouping : part(grouping, own, made),
      ),
      ...place.added
        .filter(({ cell }) => (sets[cell.at] ?? 0) > 0)
        .map(({ cell, own, made }) => part(cell.grouping, own, made)),
    ]
    return { ...place.content, groupings: groupings.filter(grouping => grouping !== null) }
  }
}

/** A vector of sets and everything that follows from it, kept up to date cell by cell exactly as ledger, recovery and minutes have it. */
export function allocationState(problem: Problem) {
  const { places, cells, context, groups } = problem
  const sets = new Int16Array(cells.length)
  /** Grows with every change of what a group gets. */
  const stamps = new Int32Array(groups.length)
  const sums = places.map(({ base }) => mutable(base))
  const sessionNow = sessionMaker(problem, sets)
  const secondsOf = places.map((_, place) => sessionSeconds(sessionNow(place), context))
  const exercises = places.map(
    ({ content, cells: own }) =>
      content.groupings.reduce((sum, { slots }) => sum + slots.length, 0) -
      own.filter(({ isNew }) => !isNew).length,
  )

  function set(at: number, wanted: number): void {
    const cell = cells[at] as Cell
    const before = sets[at] ?? 0
    if (before === wanted) return
    sets[at] = wanted
    shift(
      sums[cell.place] as Sums,
      cell.worth[before] as CellWorth,
      cell.worth[wanted] as CellWorth,
      stamps,
    )
    exercises[cell.place] = exercises[cell.place]! + Number(wanted > 0) - Number(before > 0)
    secondsOf[cell.place] = sessionSeconds(sessionNow(cell.place), context)
  }
  return {
    sets,
    sums,
    stamps,
    exercises,
    set,
    seconds: () => secondsOf.reduce((sum, value) => sum + value, 0),
    secondsOnDay: (day: number) =>
      places.reduce((sum, place, at) => sum + (place.day === day ? secondsOf[at]! : 0), 0),
  }
}

export type AllocationState = ReturnType<typeof allocationState>
