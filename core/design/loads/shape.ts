import type { Ask, Place } from './places'

/** How the sets of an exercise stand to each other. */
export interface Shape {
  /** The set the rule is about; -1 where no set moves a load that can be written as a number. */
  readonly reference: number
  /** Sets that are done with the reference's load by the plan, the reference among them. */
  readonly alike: readonly number[]
  /** Weights by name or step that differ from set to set: each place may go forward by its own reps. */
  readonly isLadder: boolean
  /** What a named weight or step makes of each set, against the reference; undefined where the plan gives no difference. */
  readonly offsets: readonly (number | undefined)[]
  /** The reference's weight as the plan names it. */
  readonly named: number | undefined
}

/** Weights as far as the plan names them, set after set: a step goes on from the set before. */
function namedAmounts(places: readonly Place[]): readonly (number | undefined)[] {
  const amounts: (number | undefined)[] = []
  places.forEach(({ ask }, at) => {
    const before = amounts[at - 1]
    amounts.push(
      ask.kind === 'named'
        ? ask.amount
        : ask.kind === 'step'
          ? before === undefined
            ? undefined
            : before + ask.by
          : ask.kind === 'like_before'
            ? before
            : undefined,
    )
  })
  return amounts
}

/** Differences against the first working set where nothing but steps is said: +4 a set on a load still to be found. */
function steppedOffsets(places: readonly Place[]): readonly (number | undefined)[] {
  let now: number | undefined
  return places.map(({ ask, isWorking }) => {
    if (!isWorking) return undefined
    if (now === undefined) now = ask.kind === 'like_before' ? 0 : undefined
    else if (ask.kind === 'step') now += ask.by
    else if (ask.kind !== 'like_before') now = undefined
    return now
  })
}

const isRelative = ({ kind }: Ask) =>
  kind === 'heavier' || kind === 'lighter' || kind === 'share' || kind === 'less'

function topOf(amounts: readonly (number | undefined)[], places: readonly Place[]): number {
  const working = places.flatMap(({ isWorking }, at) =>
    isWorking && amounts[at] !== undefined ? [at] : [],
  )
  const [first] = working
  const last = working.at(-1)
  if (first === undefined || last === undefined) return -1
  const rises = amounts[last]! > amounts[first]!
  const most = Math.max(...working.map(at => amounts[at]!))
  return rises ? working.find(at => amounts[at] === most)! : first
}

/** The first set of the heaviest run where sets are only said to be heavier; the first set else. */
function relativeTop(places: readonly Place[]): number {
  let [level, best, top] = [0, 0, -1]
  places.forEach(({ ask, isWorking }, at) => {
    if (!isWorking || ask.kind === 'none') return
    if (ask.kind === 'heavier') level++
    else if (ask.kind === 'lighter' || ask.kind === 'share' || ask.kind === 'less') level--
    if (top < 0 || level > best) [best, top] = [level, at]
  })
  return top
}

/** Sets in the reference's group: neighbours that repeat it. */
function alikeTo(
  reference: number,
  places: readonly Place[],
  offsets: readonly (number | undefined)[],
): readonly number[] {
  if (reference < 0) return []
  if (
    offsets[reference] !== undefined &&
    offsets.some((offset, at) => places[at]!.isWorking && offset !== undefined && offset !== 0)
  )
    return places.flatMap(({ isWorking }, at) => (isWorking && offsets[at] === 0 ? [at] : []))
  const alike = [reference]
  for (let at = reference + 1; at < places.length; at++) {
    const { isWorking, ask } = places[at]!
    if (!isWorking) continue
    if (isRelative(ask) || ask.kind === 'none') break
    alike.push(at)
  }
  return alike
}

const shapes = new WeakMap<readonly Place[], Shape>()

/** The shape of an exercise's loads over its sets. Source: docs/methods.md#loads. */
export function shapeOf(places: readonly Place[]): Shape {
  const known = shapes.get(places) ?? computedShape(places)
  shapes.set(places, known)
  return known
}

function computedShape(places: readonly Place[]): Shape {
  const named = namedAmounts(places)
  const hasNames = places.some(({ isWorking }, at) => isWorking && named[at] !== undefined)
  const amounts = hasNames ? named : steppedOffsets(places)
  const hasRow = places.some(({ isWorking }, at) => isWorking && amounts[at] !== undefined)
  const reference =
    hasNames || places.some(({ ask }) => ask.kind === 'step')
      ? hasRow
        ? topOf(amounts, places)
        : -1
      : relativeTop(places)
  const base = amounts[reference]
  const offsets = amounts.map(amount =>
    amount === undefined || base === undefined ? undefined : amount - base,
  )
  return {
    reference,
    alike: alikeTo(reference, places, offsets),
    isLadder: places.some(({ isWorking }, at) => isWorking && (offsets[at] ?? 0) !== 0),
    offsets,
    named: hasNames ? named[reference] : undefined,
  }
}
