import { ARM_GROUPS, type Group, GROUP_MUSCLES, type Muscle } from '../../plan/catalogue'
import {
  type Coverage,
  COVERAGE_WISHES,
  coverageSums,
  type CoverageSums,
  type RotationLedger,
} from '../../count/ledger'
import type { PlanContext } from '../../plan/method'

/** A head, a length or a grip that a block should reach. */
export type CoverageRow =
  | { readonly kind: 'head'; readonly group: Group; readonly muscle: Muscle }
  | {
      readonly kind: 'length'
      readonly group: Group
      readonly length: keyof Coverage['lengths']
    }
  | { readonly kind: 'grip'; readonly grip: keyof Coverage['grips'] }
  | { readonly kind: 'overhead' }

/** `full` reaches its wish, `thin` is there but under it, `hollow` is not there at all, `none` has nothing to share. */
export type CoverageState = 'full' | 'thin' | 'hollow' | 'none'
export interface CoverageCell {
  /** Share of the muscle's sets; counted for heads, direct for lengths and grips. */
  readonly share: number
  readonly state: CoverageState
}
export interface CoverageLine {
  readonly row: CoverageRow
  /** The least share that is wished for; 0 where being there is enough. */
  readonly wish: number
  readonly cells: readonly CoverageCell[]
  /** The mean over the rotations, by their sets. */
  readonly over: CoverageCell
}

/** Muscles of the upper arm whose heads, lengths and grips are looked at. */
const GROUPS: readonly Group[] = ARM_GROUPS.filter(group => group !== 'forearms')
const LENGTHS = ['lengthened', 'mid', 'shortened'] as const
const GRIPS = ['supinated', 'neutral', 'pronated'] as const

/** Everything a block could reach, in the order it is shown. */
export const COVERAGE_ROWS: readonly CoverageRow[] = [
  ...GROUPS.flatMap(group =>
    (GROUP_MUSCLES[group] as readonly Muscle[]).map(muscle => ({
      kind: 'head' as const,
      group,
      muscle,
    })),
  ),
  ...GRIPS.map(grip => ({ kind: 'grip' as const, grip })),
  ...(['biceps', 'triceps'] as const).flatMap(group =>
    LENGTHS.map(length => ({ kind: 'length' as const, group, length })),
  ),
  { kind: 'overhead' as const },
]

export const groupOf = (row: CoverageRow): Group =>
  'group' in row ? row.group : row.kind === 'grip' ? 'biceps' : 'triceps'

/** The least share a row should have. Palms facing and palms down are wished for together. */
export function wishOf(row: CoverageRow): number {
  switch (row.kind) {
    case 'head':
      return COVERAGE_WISHES.heads[row.muscle]?.[0] ?? 0
    case 'length':
      return row.length === 'lengthened' ? COVERAGE_WISHES.lengthened : 0
    case 'grip':
      return row.grip === 'neutral' ? COVERAGE_WISHES.neutral : 0
    case 'overhead':
      return COVERAGE_WISHES.overhead
  }
}

/** Sets of the groups that are looked at. */
export type Sums = ReadonlyMap<Group, CoverageSums>

/** What a row has of its muscle's sets, and how many those are. */
function partOf(row: CoverageRow, of: Sums): { readonly part: number; readonly whole: number } {
  const own = of.get(groupOf(row))!
  switch (row.kind) {
    case 'head':
      return {
        part: own.heads[row.muscle] ?? 0,
        whole: Object.values(own.heads).reduce((sum, sets) => sum + sets, 0),
      }
    case 'length':
      return { part: own.lengths[row.length], whole: own.direct }
    case 'grip':
      return {
        part: row.grip === 'neutral' ? own.grips.neutral + own.grips.pronated : own.grips[row.grip],
        whole: own.gripped,
      }
    case 'overhead':
      return { part: own.overhead, whole: own.direct }
  }
}

/** What rounds to a wish in whole per cent meets it. */
const MET = 0.005
/** A row of some sets. */
export function cellOf(row: CoverageRow, of: Sums): CoverageCell {
  const { part, whole } = partOf(row, of)
  if (whole === 0) return { share: 0, state: 'none' }
  const share = part / whole
  if (share <= MET) return { share, state: 'hollow' }
  return { share, state: share < wishOf(row) - MET ? 'thin' : 'full' }
}

/** Sets of the groups that are looked at, in one rotation. */
export const sumsOf = (ledger: Pick<RotationLedger, 'work'>, context: PlanContext): Sums =>
  new Map(GROUPS.map(group => [group, coverageSums(ledger, group, context)]))

const scaled = <Key extends string>(
  a: Readonly<Partial<Record<Key, number>>>,
  b: Readonly<Partial<Record<Key, number>>>,
  by: number,
) =>
  Object.fromEntries(
    ([...new Set([...Object.keys(a), ...Object.keys(b)])] as Key[]).map(key => [
      key,
      (a[key] ?? 0) + by * (b[key] ?? 0),
    ]),
  ) as Record<Key, number>

const NOTHING: CoverageSums = {
  heads: {},
  direct: 0,
  lengths: { lengthened: 0, mid: 0, shortened: 0 },
  gripped: 0,
  grips: { supinated: 0, neutral: 0, pronated: 0 },
  overhead: 0,
}

/** Some sets and a share of others beside them. */
export const withSums = (a: Sums | null, b: Sums, by = 1): Sums =>
  new Map(
    GROUPS.map(group => {
      const [one, other] = [a?.get(group) ?? NOTHING, b.get(group)!]
      return [
        group,
        {
          heads: scaled(one.heads, other.heads, by),
          direct: one.direct + by * other.direct,
          lengths: scaled(one.lengths, other.lengths, by),
          gripped: one.gripped + by * other.gripped,
          grips: scaled(one.grips, other.grips, by),
          overhead: one.overhead + by * other.overhead,
        },
      ]
    }),
  )

/**
 * Heads, grips and lengths over a block: a line each, a cell a rotation.
 *
 * Units: shares 0 to 1.
 * Edge:  a rotation without sets for the muscle says nothing; the whole is of all sets together, so that an easier rotation weighs less.
 */
export function blockCoverage(
  ledgers: readonly Pick<RotationLedger, 'work'>[],
  context: PlanContext,
): readonly CoverageLine[] {
  const all = ledgers.map(ledger => sumsOf(ledger, context))
  const whole = all.reduce<Sums | null>((sum, one) => withSums(sum, one), null)
  return COVERAGE_ROWS.map(row => ({
    row,
    wish: wishOf(row),
    cells: all.map(of => cellOf(row, of)),
    over: whole ? cellOf(row, whole) : { share: 0, state: 'none' },
  }))
}

/** The same of one sum, without its rotations. */
export const linesOfSums = (of: Sums): readonly CoverageLine[] =>
  COVERAGE_ROWS.map(row => ({ row, wish: wishOf(row), cells: [], over: cellOf(row, of) }))

/** How much of the wishes a block misses, all lines together; 0 where every one is reached. */
export const missedCoverage = (lines: readonly CoverageLine[]): number =>
  lines.reduce(
    (sum, { over, wish }) => (over.state === 'none' ? sum : sum + Math.max(0, wish - over.share)),
    0,
  )
