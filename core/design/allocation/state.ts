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

const LISTS = ['counted', 'fractional', 'direct', 'impulse', 'joints'] as const

function shift(sums: Sums, before: CellWorth, after: CellWorth): void {
  for (const key of LISTS) {
    const [sum, minus, plus] = [sums[key], before[key], after[key]]
    for (let at = 0; at < sum.length; at++) sum[at] = sum[at]! + plus[at]! - minus[at]!
  }
  sums.flexors += after.flexors - before.flexors
  sums.extensors += after.extensors - before.extensors
  sums.overhead += after.overhead - before.overhead
}

/** Groupings of a session under some numbers of sets; each is made once. */
function sessionMaker({ places }: Problem, sets: Int16Array): (place: number) => Session {
  const parts = new Map<string, Grouping | null>()
  function part(grouping: Grouping, own: readonly Cell[]): Grouping | null {
    const key = `${grouping.id} ${own.map(({ at }) => sets[at]).join(' ')}`
    const known = parts.get(key)
    if (known !== undefined) return known
    const [first, ...others] = grouping.slots.flatMap(slot => {
      const cell = own.find(candidate => candidate.slot.id === slot.id)
      const wanted = cell ? (sets[cell.at] ?? 0) : -1
      return wanted === 0 ? [] : [wanted < 0 ? slot : slotWith(slot, wanted)]
    })
    const made = first
      ? {
          ...grouping,
          kind: others.length === 0 ? ('straight' as const) : grouping.kind,
          slots: [first, ...others] as const,
        }
      : null
    parts.set(key, made)
    return made
  }
  const layout = places.map(({ content, cells }) => ({
    content,
    standing: content.groupings.map(grouping => ({
      grouping,
      own: cells.filter(
        cell => !cell.isNew && grouping.slots.some(({ id }) => id === cell.slot.id),
      ),
    })),
    added: cells.filter(({ isNew }) => isNew),
  }))
  return at => {
    const place = layout[at] as (typeof layout)[number]
    const groupings = [
      ...place.standing.map(({ grouping, own }) =>
        own.length === 0 ? grouping : part(grouping, own),
      ),
      ...place.added
        .filter(cell => (sets[cell.at] ?? 0) > 0)
        .map(cell => part(cell.grouping, [cell])),
    ]
    return { ...place.content, groupings: groupings.filter(grouping => grouping !== null) }
  }
}

/** A vector of sets and everything that follows from it, kept up to date cell by cell exactly as ledger, recovery and minutes have it. */
export function allocationState(problem: Problem) {
  const { places, cells, context } = problem
  const sets = new Int16Array(cells.length)
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
    )
    exercises[cell.place] = exercises[cell.place]! + Number(wanted > 0) - Number(before > 0)
    secondsOf[cell.place] = sessionSeconds(sessionNow(cell.place), context)
  }
  return {
    sets,
    sums,
    exercises,
    set,
    seconds: () => secondsOf.reduce((sum, value) => sum + value, 0),
    secondsOnDay: (day: number) =>
      places.reduce((sum, place, at) => sum + (place.day === day ? secondsOf[at]! : 0), 0),
  }
}

export type AllocationState = ReturnType<typeof allocationState>
