import { groupedBy } from '../../base'
import type { LoggedSet } from '../../body/log'
import { type SetRun, workStages } from '../../plan/scheme'
import type { Slot } from '../../plan/session'

/** Something inside the sets of an exercise that came out otherwise than it was meant. Shares of 1; `times` of `of` sets. */
export type MeantOtherwise =
  | {
      readonly kind: 'drop'
      readonly meant: number
      readonly done: number
      readonly times: number
      readonly of: number
    }
  /** The load fell from one set to the next where it must not. */
  | { readonly kind: 'load_fell'; readonly times: number; readonly of: number }

/** Points of a share by which a drop may miss what was meant. */
const DROP_SLACK = 0.03
const LEAST_FALLS = 2

/** Loads of a set at its stages, one side for both. */
function loadsByStage(sets: readonly LoggedSet[]): ReadonlyMap<number, number> {
  return new Map(sets.flatMap(({ stage, loadKg }) => (loadKg ? [[stage, loadKg] as const] : [])))
}

interface Drop {
  readonly meant: number
  readonly done: number
}

/** Drops of a set that are meant as a share, with what they were. */
function dropsIn(run: SetRun, sets: readonly LoggedSet[]): readonly Drop[] {
  const loads = loadsByStage(sets)
  return workStages(run).flatMap(({ load }, at): Drop[] => {
    if (load?.kind !== 'drop_percent' || at === 0) return []
    const base = loads.get(load.from === 'first' ? 1 : at)
    const to = loads.get(at + 1)
    return base && to ? [{ meant: load.percent / 100, done: 1 - to / base }] : []
  })
}

const middle = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length)

/** Sets of a slot that are no warm-up, by their number from 1. */
const bySet = (sets: readonly LoggedSet[]) =>
  groupedBy(
    sets.filter(({ role }) => role !== 'warmup'),
    ({ set }) => set,
  )

function dropsOtherwise(slot: Slot, sets: readonly LoggedSet[]): readonly MeantOtherwise[] {
  const done = bySet(sets)
  const runs = slot.scheme.runs
    .filter(({ role }) => role !== 'warmup')
    .flatMap(run => Array.from({ length: run.count }, () => run))
  const drops = runs.flatMap((run, at) => dropsIn(run, done.get(at + 1) ?? []))
  const off = drops.filter(drop => Math.abs(drop.done - drop.meant) > DROP_SLACK)
  if (off.length === 0) return []
  return [
    {
      kind: 'drop',
      meant: middle(off.map(({ meant }) => meant)),
      done: middle(off.map(drop => drop.done)),
      times: off.length,
      of: drops.length,
    },
  ]
}

function fallsOtherwise(slot: Slot, sets: readonly LoggedSet[]): readonly MeantOtherwise[] {
  const { loadRule } = slot.scheme
  if (loadRule !== 'must_not_fall' && loadRule !== 'hold' && loadRule !== 'hold_or_rise') return []
  const loads = [...bySet(sets)]
    .sort(([a], [b]) => a - b)
    .flatMap(([, own]) => loadsByStage(own).get(1) ?? [])
  const times = loads.slice(1).filter((load, at) => load < loads[at]!).length
  return times === 0 ? [] : [{ kind: 'load_fell', times, of: loads.length - 1 }]
}

/**
 * What of an exercise's sets came out otherwise than it was meant, over the sessions given.
 *
 * Shape: drops first; a load that must not fall is told from the second time on.
 */
export function meantOtherwise(
  done: readonly { readonly slot: Slot; readonly sets: readonly LoggedSet[] }[],
): readonly MeantOtherwise[] {
  const found = done.flatMap(({ slot, sets }) => {
    const own = sets.filter(set => set.slot === slot.id && set.exercise === slot.exercise)
    return [...dropsOtherwise(slot, own), ...fallsOtherwise(slot, own)]
  })
  const drops = found.flatMap(one => (one.kind === 'drop' ? [one] : []))
  const falls = found.flatMap(one => (one.kind === 'load_fell' ? [one] : []))
  const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0)
  const fell = sum(falls.map(({ times }) => times))
  return [
    ...(drops.length > 0
      ? [
          {
            kind: 'drop' as const,
            meant: middle(drops.map(({ meant }) => meant)),
            done: middle(drops.map(drop => drop.done)),
            times: sum(drops.map(({ times }) => times)),
            of: sum(drops.map(({ of }) => of)),
          },
        ]
      : []),
    ...(fell >= LEAST_FALLS
      ? [{ kind: 'load_fell' as const, times: fell, of: sum(falls.map(({ of }) => of)) }]
      : []),
  ]
}
