import { type Figure, plus, type SlotId } from '../../base'
import {
  type BundleId,
  BUNDLES,
  type Group,
  GROUP_MUSCLES,
  type Muscle,
} from '../../plan/catalogue'
import {
  type Band,
  type BandPosition,
  COUNTING_SCHOOLS,
  type PlanContext,
  worthOfCredit,
} from '../../plan/method'
import type { Slot } from '../../plan/session'
import type { CountedWork } from './countedWork'
import type { GroupWeek, RotationLedger } from './rotationLedger'
import { per7Days, spreadOf } from './spread'
import {
  groupTarget,
  headTarget,
  highestCredit,
  NO_SETS,
  onceTarget,
  type Tally,
  tallyFor,
  tallyPlus,
  tallyTimes,
  type Target,
} from './tally'

/** What one line of the board counts: a group, several groups folded into one, or a head. */
export type Rail =
  | { readonly kind: 'group'; readonly group: Group }
  | { readonly kind: 'bundle'; readonly bundle: BundleId }
  | { readonly kind: 'head'; readonly group: Group; readonly muscle: Muscle }

/** What one exercise puts on a rail on one day. */
export interface RailPiece {
  readonly slot: Slot
  readonly credit: number
  /** Sets before credits. */
  readonly sets: Figure
  /** Whole pegs to draw: one for each set that counts here, fewer for a head that gets little of it. */
  readonly pegs: number
}

/** One day of a rail: direct pieces first, each kind in the order they are done. */
export interface RailCell {
  readonly tally: Tally
  readonly pieces: readonly RailPiece[]
}

/** One line of the board. */
export interface RailView {
  readonly rail: Rail
  readonly cells: readonly RailCell[]
  /** Units: sets per 7 days. */
  readonly week: Tally
  readonly frequencyPer7Days: number
  /** The band that the line is held against; heads have none. */
  readonly band: {
    readonly group: Group
    readonly limits: Band
    readonly value: number
    readonly position: BandPosition
    readonly outside: number
  } | null
}

/** A set stands on the line of a head that gets at least this part of an even share. */
const HEAD_PEG_SHARE = 0.9

/** Groups whose sets a rail counts. */
export function railGroups(rail: Rail): readonly Group[] {
  if (rail.kind !== 'bundle') return [rail.group]
  return BUNDLES.find(bundle => bundle.id === rail.bundle)?.groups ?? []
}

/**
 * One line of the board from the ledger of a rotation.
 *
 * Shape:  one cell per day; a set counts once per line, at its highest credit among the line's groups.
 * Units:  sets under the method's school.
 */
export function railView(ledger: RotationLedger, rail: Rail, context: PlanContext): RailView {
  const cells = ledger.work.map(work => railCell(work, rail, context))
  const week = tallyTimes(
    cells.reduce((sum, cell) => tallyPlus(sum, cell.tally), NO_SETS),
    per7Days(1, cells.length),
  )
  return {
    rail,
    cells,
    week,
    frequencyPer7Days: frequency(ledger, rail, context),
    band: bandOfRail(ledger, rail),
  }
}

function targetOf(rail: Rail): Target {
  switch (rail.kind) {
    case 'group':
      return groupTarget(rail.group)
    case 'head':
      return headTarget(rail.group, rail.muscle)
    case 'bundle':
      return onceTarget(railGroups(rail))
  }
}

function railCell(work: readonly CountedWork[], rail: Rail, context: PlanContext): RailCell {
  const target = targetOf(rail)
  const { school } = context.method
  const pieces = new Map<SlotId, RailPiece>()
  for (const piece of work) {
    const credit = target.credit(piece.credits)
    if (worthOfCredit(school, credit) === 0) continue
    const before = pieces.get(piece.slot.id)
    const added = isOnHead(rail, target.share(piece.headShares)) ? Math.ceil(piece.sets.value) : 0
    pieces.set(
      piece.slot.id,
      before
        ? {
            ...before,
            credit: Math.max(before.credit, credit),
            sets: plus(before.sets, piece.sets),
            pegs: before.pegs + added,
          }
        : { slot: piece.slot, credit, sets: piece.sets, pegs: added },
    )
  }
  return {
    tally: tallyFor(work, target, school),
    pieces: [...pieces.values()].sort((a, b) => Number(b.credit === 1) - Number(a.credit === 1)),
  }
}

function isOnHead(rail: Rail, share: number): boolean {
  return rail.kind !== 'head' || share >= HEAD_PEG_SHARE / GROUP_MUSCLES[rail.group].length
}

function frequency(ledger: RotationLedger, rail: Rail, context: PlanContext): number {
  if (rail.kind !== 'bundle') return ledger.groups[rail.group].spread.frequencyPer7Days
  const groups = railGroups(rail)
  const daily = ledger.work.map(work =>
    work.reduce(
      (sum, piece) =>
        sum +
        piece.sets.value * worthOfCredit(COUNTING_SCHOOLS.fractional, highestCredit(piece, groups)),
      0,
    ),
  )
  return spreadOf(daily, context.method.dose.minSetsPerExposure).frequencyPer7Days
}

/** A folded line shows the band of the member that is furthest from its target, for its size. */
function bandOfRail(ledger: RotationLedger, rail: Rail): RailView['band'] {
  if (rail.kind === 'head') return null
  const [first, ...others] = railGroups(rail).map(group => ledger.groups[group])
  if (!first) return null
  const lead = others.reduce(
    (furthest, member) => (distance(member) > distance(furthest) ? member : furthest),
    first,
  )
  return {
    group: lead.group,
    limits: lead.band,
    value: lead.week.counted.value,
    position: lead.position,
    outside: lead.outside,
  }
}

function distance({ week, band }: GroupWeek): number {
  return Math.abs(week.counted.value - band.target) / Math.max(1, band.target)
}
