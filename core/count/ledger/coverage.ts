import { remembered } from '../../base'
import {
  ARM_GROUPS,
  type Group,
  GROUP_MUSCLES,
  type Intent,
  isOverhead,
  type Muscle,
  requireExercise,
} from '../../plan/catalogue'
import { COUNTING_SCHOOLS, intentFor, modeOf, type PlanContext } from '../../plan/method'
import type { Grip } from '../../plan/scheme'
import type { CountedWork } from './countedWork'
import { lengthBiasOf } from './rangeLength'
import type { RotationLedger } from './rotationLedger'
import { spanLedger } from './tally'

/** How a group's sets lie over heads, muscle lengths and grips. */
export interface Coverage {
  readonly group: Group
  /** Share of the counted sets by head; empty for groups of one muscle. */
  readonly heads: readonly {
    readonly muscle: Muscle
    readonly share: number
    readonly wish: readonly [number, number]
  }[]
  /** Shares of the direct sets; grips of all direct flexor sets together. */
  readonly lengths: Readonly<Record<Intent['lengthBias'], number>>
  readonly grips: Readonly<Record<'supinated' | 'neutral' | 'pronated', number>>
  /** Direct triceps sets with the arm overhead or the bar behind the head. */
  readonly overheadShare: number
  readonly directSets: number
  readonly gaps: readonly CoverageGap[]
}

/** A wish that is missed. */
export type CoverageGap =
  | {
      readonly kind: 'head_short' | 'head_much'
      readonly muscle: Muscle
      readonly share: number
      readonly wish: number
    }
  | {
      readonly kind: 'lengthened_short' | 'shortened_much' | 'overhead_short' | 'neutral_short'
      readonly share: number
      readonly wish: number
    }
  | { readonly kind: 'forearm_side'; readonly muscle: Muscle }

type HeadWish = Readonly<Partial<Record<Muscle, readonly [number, number]>>>

/** Shares of a group's counted sets that each head should get. Source: docs/methods.md#coverage. */
const HEAD_WISH: HeadWish = {
  biceps_long: [0.4, 0.6],
  biceps_short: [0.4, 0.6],
  brachialis: [0.4, 0.65],
  brachioradialis: [0.35, 0.6],
  triceps_long: [0.3, 0.5],
  triceps_lateral: [0.25, 0.42],
  triceps_medial: [0.2, 0.36],
  wrist_flexors: [0.35, 0.8],
  wrist_extensors: [0.2, 0.65],
  chest_clavicular: [0.25, 0.55],
  chest_sternocostal: [0.45, 0.75],
}
const WISH = {
  lengthened: 0.3,
  shortened: 0.5,
  overhead: 0.25,
  neutral: 0.2,
  headsFromSets: 6,
  forearmSidesFromSets: 3,
} as const
/** The least shares that are wished for, heads by their bounds. */
export const COVERAGE_WISHES = {
  heads: HEAD_WISH,
  lengthened: WISH.lengthened,
  overhead: WISH.overhead,
  neutral: WISH.neutral,
} as const
const SLACK = 1e-9
/** What rounds to a wish in whole per cent meets it. */
const MET = 0.005

/** Both groups of elbow flexors share one wish about grips. */
const FLEXORS: readonly Group[] = ['biceps', 'elbow_flexors_other']
const NEUTRAL = new Set([
  'hammer_curl',
  'rope_hammer_curl',
  'cross_body_hammer_curl',
  'rotating_curl',
])

interface DirectSets {
  readonly sets: number
  readonly length: Intent['lengthBias']
  readonly grip: 'supinated' | 'neutral' | 'pronated'
  readonly isOverhead: boolean
}

/** Grip of an elbow flexion exercise where the slot's set-up says nothing. */
function gripOf(
  exercise: string,
  intent: string | null,
  stated: Grip | undefined,
): DirectSets['grip'] {
  if (stated === 'supinated' || stated === 'neutral' || stated === 'pronated') return stated
  if (exercise === 'reverse_curl') return 'pronated'
  const isNeutral =
    (NEUTRAL.has(exercise) && intent !== 'biceps') ||
    (exercise === 'pulldown_neutral' && intent === 'elbow_flexors')
  return isNeutral ? 'neutral' : 'supinated'
}

function directSets(
  work: readonly CountedWork[],
  groups: readonly Group[],
  context: PlanContext,
): readonly DirectSets[] {
  return work
    .filter(({ credits, sets }) => groups.some(group => credits[group] === 1) && sets.value > 0)
    .map(piece => describedSets(piece, context))
}

const describedSets = remembered(
  ({ slot, run, sets }: CountedWork, context: PlanContext): DirectSets => {
    const exercise = requireExercise(context.catalogue, slot.exercise)
    const lead = run.stages.find(stage => stage.kind === 'work')
    return {
      sets: sets.value,
      isOverhead: isOverhead(exercise.id),
      length: lengthBiasOf(run, exercise, intentFor(context, exercise, slot.intent)),
      grip: gripOf(exercise.id, slot.intent, lead?.kind === 'work' ? lead.grip : undefined),
    }
  },
)

/** Sets by head, length and grip, before they are shares: what several rotations or exercises come to can be added up. */
export interface CoverageSums {
  /** Counted sets of each head; empty for groups of one muscle. */
  readonly heads: Readonly<Partial<Record<Muscle, number>>>
  readonly direct: number
  readonly lengths: Coverage['lengths']
  /** Direct sets that have a grip; of both groups of flexors together. */
  readonly gripped: number
  readonly grips: Coverage['grips']
  readonly overhead: number
}

const setsWhere = (direct: readonly DirectSets[], holds: (sets: DirectSets) => boolean): number =>
  direct.filter(holds).reduce((sum, { sets }) => sum + sets, 0)
const all = () => true

/** Sets of one group by head, length and grip. Units: sets of a rotation. */
export function coverageSums(
  ledger: Pick<RotationLedger, 'work'>,
  group: Group,
  context: PlanContext,
): CoverageSums {
  const work = ledger.work.flat()
  const direct = directSets(work, [group], context)
  const gripped = FLEXORS.includes(group) ? directSets(work, FLEXORS, context) : direct
  return {
    heads: Object.fromEntries(heads(ledger, group).map(({ muscle, sets }) => [muscle, sets])),
    direct: setsWhere(direct, all),
    lengths: {
      lengthened: setsWhere(direct, ({ length }) => length === 'lengthened'),
      mid: setsWhere(direct, ({ length }) => length === 'mid'),
      shortened: setsWhere(direct, ({ length }) => length === 'shortened'),
    },
    gripped: setsWhere(gripped, all),
    grips: {
      supinated: setsWhere(gripped, ({ grip }) => grip === 'supinated'),
      neutral: setsWhere(gripped, ({ grip }) => grip === 'neutral'),
      pronated: setsWhere(gripped, ({ grip }) => grip === 'pronated'),
    },
    overhead: setsWhere(direct, ({ isOverhead }) => isOverhead),
  }
}

const shareOf = (part: number, whole: number) => (whole === 0 ? 0 : part / whole)
const shares = <Key extends string>(
  parts: Readonly<Record<Key, number>>,
  whole: number,
): Readonly<Record<Key, number>> =>
  Object.fromEntries(
    Object.entries<number>(parts).map(([key, part]) => [key, shareOf(part, whole)]),
  ) as Record<Key, number>

/**
 * How one group's sets of a rotation lie over heads, lengths and grips, and which wishes are missed.
 *
 * Edge:   wishes hold in build only; heads are judged from 6 counted sets up; fractional counting whatever the school.
 * Source: docs/methods.md#coverage.
 */
export function coverage(
  ledger: Pick<RotationLedger, 'work'>,
  group: Group,
  context: PlanContext,
): Coverage {
  const sums = coverageSums(ledger, group, context)
  const counted = Object.entries(sums.heads).map(([muscle, sets]) => ({
    muscle: muscle as Muscle,
    sets,
  }))
  const sum = counted.reduce((total, { sets }) => total + sets, 0)
  const part: Omit<Coverage, 'gaps'> = {
    group,
    heads: counted.map(({ muscle, sets }) => ({
      muscle,
      share: shareOf(sets, sum),
      wish: HEAD_WISH[muscle] ?? [0, 1],
    })),
    lengths: shares(sums.lengths, sums.direct),
    grips: shares(sums.grips, sums.gripped),
    overheadShare: shareOf(sums.overhead, sums.direct),
    directSets: sums.direct,
  }
  return { ...part, gaps: modeOf(context, group) === 'build' ? gapsOf(part, sum, counted) : [] }
}

function heads(
  { work }: Pick<RotationLedger, 'work'>,
  group: Group,
): readonly { readonly muscle: Muscle; readonly sets: number }[] {
  const muscles: readonly Muscle[] = GROUP_MUSCLES[group]
  if (muscles.length === 1) return []
  return muscles.map(muscle => ({
    muscle,
    sets: work.reduce(
      (sum, day) =>
        sum + spanLedger(day, COUNTING_SCHOOLS.fractional).muscles[muscle].counted.value,
      0,
    ),
  }))
}

function gapsOf(
  {
    group,
    heads: shares,
    lengths,
    grips,
    overheadShare,
    directSets: direct,
  }: Omit<Coverage, 'gaps'>,
  counted: number,
  sets: readonly { muscle: Muscle; sets: number }[],
): readonly CoverageGap[] {
  const gaps: CoverageGap[] = []
  if (counted >= WISH.headsFromSets - SLACK) {
    for (const {
      muscle,
      share,
      wish: [least, most],
    } of shares) {
      if (share < least - MET) gaps.push({ kind: 'head_short', muscle, share, wish: least })
      if (share > most + MET) gaps.push({ kind: 'head_much', muscle, share, wish: most })
    }
  }
  const isArm = (ARM_GROUPS as readonly Group[]).includes(group) && group !== 'forearms'
  if (isArm && direct > 0) {
    if (lengths.lengthened < WISH.lengthened - MET)
      gaps.push({ kind: 'lengthened_short', share: lengths.lengthened, wish: WISH.lengthened })
    if (lengths.shortened > WISH.shortened + MET)
      gaps.push({ kind: 'shortened_much', share: lengths.shortened, wish: WISH.shortened })
  }
  if (group === 'triceps' && direct > 0 && overheadShare < WISH.overhead - MET)
    gaps.push({ kind: 'overhead_short', share: overheadShare, wish: WISH.overhead })
  const turned = grips.neutral + grips.pronated
  if (group === 'biceps' && direct > 0 && turned < WISH.neutral - MET)
    gaps.push({ kind: 'neutral_short', share: turned, wish: WISH.neutral })
  if (group === 'forearms' && direct >= WISH.forearmSidesFromSets) {
    for (const { muscle, sets: own } of sets)
      if (own < SLACK) gaps.push({ kind: 'forearm_side', muscle })
  }
  return gaps
}
