import { type Group, GROUPS, type Joint, JOINTS } from '../../plan/catalogue'
import { DECISION_ROWS, type DecisionRow } from '../review'
import type { RehearsalData } from './rehearsalData'
import type { PassRun, Run } from './run'

/** Where a tenth, half and nine tenths of the runs lie. */
export interface Spread {
  readonly low: number
  readonly middle: number
  readonly high: number
}

export interface RehearsalSpread {
  readonly runs: number
  /** Of the muscles the block trains directly, in the order of groups. */
  readonly groups: readonly {
    readonly group: Group
    readonly planned: readonly number[]
    readonly counted: readonly Spread[]
    readonly readiness: readonly Spread[]
    readonly strength: Spread
    /** The same client under the rules against herself under none: strength as a share of the beginning. */
    readonly against: Spread
  }[]
  /** Under the rules against doing nothing: rotations in pain, and exposures under 80 % ready, both on average of a run. */
  readonly againstNothing: {
    readonly pains: number
    readonly painsWithout: number
    readonly unready: number
    readonly unreadyWithout: number
  }
  readonly joints: readonly { readonly joint: Joint; readonly load: readonly Spread[] }[]
  /** Shares of all decisions about muscles, after rotations with nothing missed and with something missed. */
  readonly rows: readonly {
    readonly row: DecisionRow
    readonly whole: number
    readonly missed: number
  }[]
  readonly missedShare: number
  readonly painPasses: number
}

function spread(values: readonly number[]): Spread {
  const sorted = Float64Array.from(values).sort()
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0
  return { low: at(0.1), middle: at(0.5), high: at(0.9) }
}

const each = (runs: readonly Run[], of: (pass: PassRun) => number): number =>
  runs.reduce((sum, { passes }) => sum + passes.reduce((own, pass) => own + of(pass), 0), 0) /
  Math.max(1, runs.length)

/**
 * Many runs taken together, and beside them the same clients on the same days with nothing decided.
 *
 * Units: counted sets per 7 days, percent, points per 7 days, strength as a share of the beginning; shares 0 to 1.
 * Edge:  no runs give empty courses.
 */
export function rehearsalSpread(
  runs: readonly Run[],
  data: RehearsalData,
  without: readonly Run[] = runs,
): RehearsalSpread {
  const passes = runs.length > 0 ? data.passes.map((_, at) => at) : []
  const over = (of: (run: Run, pass: number) => number) =>
    passes.map(pass => spread(runs.map(run => of(run, pass))))
  const counts = { whole: new Map<DecisionRow, number>(), missed: new Map<DecisionRow, number>() }
  let [sessions, missed, pains] = [0, 0, 0]
  for (const run of runs) {
    for (const pass of run.passes) {
      sessions += pass.sessions
      missed += pass.missed
      pains += Math.min(1, pass.pains)
      const counted = pass.missed > 0 ? counts.missed : counts.whole
      for (const row of pass.rows) counted.set(row, (counted.get(row) ?? 0) + 1)
    }
  }
  const total = (of: ReadonlyMap<DecisionRow, number>) =>
    Math.max(
      1,
      [...of.values()].reduce((sum, one) => sum + one, 0),
    )
  return {
    runs: runs.length,
    missedShare: missed / Math.max(1, sessions),
    painPasses: pains / Math.max(1, runs.length),
    groups: data.trained.map(group => ({
      group: GROUPS[group] as Group,
      planned: data.passes.map(pass => pass.counted[group]! / pass.weeks),
      counted: over((run, pass) => run.passes[pass]?.counted[group] ?? 0),
      readiness: over((run, pass) => run.passes[pass]?.readiness[group] ?? 0),
      strength: spread(runs.map(run => Math.exp(run.strength[group]!) - 1)),
      against: spread(
        runs.map(
          (run, at) => Math.exp(run.strength[group]!) - Math.exp(without[at]!.strength[group]!),
        ),
      ),
    })),
    againstNothing: {
      pains: each(runs, ({ pains: sore }) => Math.min(1, sore)),
      painsWithout: each(without, ({ pains: sore }) => Math.min(1, sore)),
      unready: each(runs, pass => pass.unready),
      unreadyWithout: each(without, pass => pass.unready),
    },
    joints: JOINTS.map((joint, at) => ({
      joint,
      load: over((run, pass) => run.passes[pass]?.joints[at] ?? 0),
    })),
    rows: DECISION_ROWS.map(row => ({
      row,
      whole: (counts.whole.get(row) ?? 0) / total(counts.whole),
      missed: (counts.missed.get(row) ?? 0) / total(counts.missed),
    })).filter(({ whole, missed: some }) => whole + some > 0),
  }
}
