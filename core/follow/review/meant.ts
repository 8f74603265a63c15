import { groupedBy } from '../../base'
import { type LoggedSet, median, SET_LAPSES, type SetLapse } from '../../body/log'
import type { TakenGap } from '../../body/times'
import { mayNotFall, type SetRun, workStages } from '../../plan/scheme'
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
  /** Sets done with less than what was asked: cut short, loose, helped. */
  | {
      readonly kind: 'lapse'
      readonly lapse: SetLapse
      readonly times: number
      readonly of: number
    }
  /** Parts nobody planned: sets that went on after a drop or a pause. */
  | { readonly kind: 'went_on'; readonly times: number; readonly of: number }
  /** Rests between its sets, the middle of those taken. Units: seconds. */
  | {
      readonly kind: 'rest'
      readonly asked: number
      readonly taken: number
      readonly of: number
    }
  /** The load fell from one set to the next where it must not. */
  | { readonly kind: 'load_fell'; readonly times: number; readonly of: number }

/** Points of a share by which a drop may miss what was meant. */
const DROP_SLACK = 0.03
const LEAST_FALLS = 2
/** Rests are told from this many on, where they miss what was asked by a quarter and by 15 s. */
const LEAST_RESTS = 3
const REST_SHARE = 0.25
const REST_SECONDS = 15

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
  if (!mayNotFall(slot.scheme)) return []
  const loads = [...bySet(sets)]
    .sort(([a], [b]) => a - b)
    .flatMap(([, own]) => loadsByStage(own).get(1) ?? [])
  const times = loads.slice(1).filter((load, at) => load < loads[at]!).length
  return times === 0 ? [] : [{ kind: 'load_fell', times, of: loads.length - 1 }]
}

const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0)

interface Meant {
  readonly slot: Slot
  readonly sets: readonly LoggedSet[]
  /** Rests and ways of the session, as taken. */
  readonly gaps?: readonly TakenGap[]
}
const ownSets = ({ slot, sets }: Meant) =>
  sets.filter(set => set.slot === slot.id && set.exercise === slot.exercise)

function lapsesIn(done: readonly Meant[]): readonly MeantOtherwise[] {
  const working = done
    .flatMap(ownSets)
    .filter(({ role, stage }) => role === 'working' && stage === 1)
  return SET_LAPSES.flatMap((lapse): MeantOtherwise[] => {
    const times = working.filter(({ lapses }) => lapses?.includes(lapse)).length
    return times > 0 ? [{ kind: 'lapse', lapse, times, of: working.length }] : []
  })
}

/** Sets with more parts than the plan has. */
function goneOn(done: readonly Meant[]): readonly MeantOtherwise[] {
  const sets = done.flatMap(meant => {
    const runs = meant.slot.scheme.runs
      .filter(({ role }) => role !== 'warmup')
      .flatMap(run => Array.from({ length: run.count }, () => run))
    return [...bySet(ownSets(meant))].map(([number, own]) => {
      const planned = (runs[number - 1] ?? runs.at(-1))?.stages.filter(
        ({ kind }) => kind === 'work' || kind === 'hold',
      )
      return Math.max(...own.map(({ stage }) => stage)) > (planned?.length ?? 1)
    })
  })
  const times = sets.filter(Boolean).length
  return times > 0 ? [{ kind: 'went_on', times, of: sets.length }] : []
}

function restsOtherwise(done: readonly Meant[]): readonly MeantOtherwise[] {
  const rests = done.flatMap(({ slot, gaps }) =>
    (gaps ?? []).filter(gap => gap.kind === 'rest' && gap.slot === slot.id),
  )
  if (rests.length < LEAST_RESTS) return []
  const [asked, taken] = [median(rests.map(gap => gap.asked)), median(rests.map(gap => gap.taken))]
  const off = Math.abs(taken - asked)
  return off >= REST_SECONDS && off >= REST_SHARE * asked
    ? [{ kind: 'rest', asked, taken, of: rests.length }]
    : []
}

/**
 * What of an exercise's sets came out otherwise than it was meant, over the sessions given.
 *
 * Shape: drops first; a load that must not fall is told from the second time on, rests from the third.
 */
export function meantOtherwise(done: readonly Meant[]): readonly MeantOtherwise[] {
  const found = done.flatMap(meant => {
    const own = ownSets(meant)
    return [...dropsOtherwise(meant.slot, own), ...fallsOtherwise(meant.slot, own)]
  })
  const drops = found.flatMap(one => (one.kind === 'drop' ? [one] : []))
  const falls = found.flatMap(one => (one.kind === 'load_fell' ? [one] : []))
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
    ...goneOn(done),
    ...lapsesIn(done),
    ...restsOtherwise(done),
  ]
}
