import type { ExerciseId, PlainDate, SlotId } from '../../base'
import type { Group } from '../catalogue'
import type { LoadProgression, Mode } from '../method'
import type { DoneAs } from '../scheme'

/** How a muscle's sets go over the block: counted sets per 7 days in its last working rotation. */
export interface GroupRamp {
  readonly kind: 'none' | 'linear' | 'step'
  readonly end: number
}

interface FromTo {
  readonly from: number
  readonly to: number
}

export const ALTERNATION_MODES = ['exposure', 'week', 'half'] as const
/** Another exercise, or the same held or set up otherwise, that takes turns with one of the rotation: time by time, week by week, or from the block's middle on. */
export interface Alternation {
  readonly slot: SlotId
  readonly exercise: ExerciseId
  readonly intent: string | null
  readonly as?: DoneAs
  readonly by: (typeof ALTERNATION_MODES)[number]
}

export const EVENT_EFFECTS = ['none', 'skip', 'shift', 'short', 'light'] as const
/** Days on which something else comes first: nothing changes, no training, everything later, so many minutes only, or light work. */
export interface BlockEvent {
  readonly id: string
  readonly what: string
  readonly from: PlainDate
  readonly to: PlainDate
  readonly effect: (typeof EVENT_EFFECTS)[number]
  /** For `short`. */
  readonly minutes?: number
}

/** What one rotation (pass, from 0) does otherwise than the block; it stays visible as such. */
export type BlockException =
  /** Sets of a muscle more or fewer in the rotation. */
  | { readonly kind: 'sets'; readonly pass: number; readonly group: Group; readonly change: number }
  /** Reps in reserve more or fewer: of the exercises whose main muscle is the group, or of all where none is named. */
  | { readonly kind: 'rir'; readonly pass: number; readonly group?: Group; readonly change: number }
  /** The other of two exercises that take turns. */
  | { readonly kind: 'choice'; readonly pass: number }
  /** One session on another date. */
  | {
      readonly kind: 'moved'
      readonly pass: number
      readonly day: number
      readonly place: number
      readonly on: PlainDate
    }
  /** One session left out, to make room for one that was missed. */
  | {
      readonly kind: 'dropped'
      readonly pass: number
      readonly day: number
      readonly place: number
    }
  /** The load of an exercise one extra step up, or a twentieth lower, against what its rule would have. */
  | {
      readonly kind: 'load'
      readonly pass: number
      readonly exercise: ExerciseId
      readonly step: 'up' | 'down'
    }

/** Something about a muscle that holds from one rotation (pass, from 0) on, until it is changed again; with why, and when it was decided. */
interface HeldFrom {
  readonly from: number
  /** The last rotation it holds in; left out, it holds to the end. */
  readonly to?: number
  readonly group: Group
  readonly on: PlainDate
  readonly why: string
}

/** Sets of a muscle more or fewer. */
export interface HeldSets extends HeldFrom {
  readonly change: number
  /** The row of the review's table it came from. */
  readonly row: string
}

/** Reps more or fewer, of the exercises whose main muscle it is. */
export interface HeldReps extends HeldFrom {
  readonly reps: number
}

/** What is wanted of the muscle: built up, kept or maintained. */
export interface HeldMode extends HeldFrom {
  readonly mode: Mode
}
export type HeldChange = HeldSets | HeldReps | HeldMode

export const isHeldSets = (held: HeldChange): held is HeldSets => 'change' in held
export const isHeldReps = (held: HeldChange): held is HeldReps => 'reps' in held
export const isHeldMode = (held: HeldChange): held is HeldMode => 'mode' in held

export const WAY_KINDS = ['sets', 'rest', 'lowering'] as const
/**
 * What an exercise gains by while its load stays: a set more, less rest, a slower lowering.
 * Units: `by` every so many weeks, up or down to `to`; sets or seconds.
 */
export interface Way {
  readonly kind: (typeof WAY_KINDS)[number]
  readonly everyWeeks: number
  readonly by: number
  readonly to: number
}

/** Something tried out for a while: nothing is judged by strength before its time is over, and then it is told what came of it. */
export interface Trial {
  readonly what: string
  readonly from: PlainDate
  readonly weeks: number
  /** Muscles it is about. */
  readonly groups: readonly Group[]
}

/** What makes a block of a rotation: how sets, effort, exercises and dates go from pass to pass. Left out means: every pass the same. */
export interface BlockPlan {
  readonly ramps?: Readonly<Partial<Record<Group, GroupRamp>>>
  /** So many weeks at its beginning are the base: single-joint work for the arms comes in after them, and ramps begin there. */
  readonly base?: { readonly weeks: number }
  /** Reps in reserve of the first working set, from the first to the last working rotation. */
  readonly effort?: { readonly compound: FromTo; readonly isolation: FromTo }
  /** From which week on the last set of single-joint work goes to failure; 1 is from the beginning. */
  readonly failure?: { readonly fromWeek: number }
  /** Reps more or fewer than planned, rotation by rotation, over and over. */
  readonly repWave?: readonly number[]
  /** Passes, from 0, that are easier on purpose. */
  readonly deloads?: readonly number[]
  readonly alternations?: readonly Alternation[]
  readonly events?: readonly BlockEvent[]
  readonly exceptions?: readonly BlockException[]
  /** In the order they were decided. */
  readonly changes?: readonly HeldChange[]
  readonly trials?: readonly Trial[]
  /** What exercises gain by other than load and reps. */
  readonly ways?: Readonly<Record<string, Way>>
  /** How the load of an exercise goes up, where it differs from the method's rule. */
  readonly rules?: Readonly<
    Record<string, { readonly rule: LoadProgression; readonly backOffPercent?: number }>
  >
}

/** More passes than any block has; two to sixteen weeks are usual. */
export const MOST_PASSES = 60

type Kept = NonNullable<BlockPlan[keyof BlockPlan]>

/** A block plan with one part replaced; an empty part is left out, so that equal plans are written alike. */
export function withPart<Key extends keyof BlockPlan>(
  block: BlockPlan,
  key: Key,
  value: BlockPlan[Key],
): BlockPlan {
  const { [key]: _, ...others } = block
  const isEmpty = value === undefined || Object.keys(value as Kept).length === 0
  return isEmpty ? others : { ...others, [key]: value }
}

const isAbout = (a: BlockException, b: BlockException) =>
  a.kind === b.kind &&
  a.pass === b.pass &&
  (a.kind !== 'sets' || (b.kind === 'sets' && a.group === b.group)) &&
  (a.kind !== 'rir' || (b.kind === 'rir' && a.group === b.group)) &&
  (!('place' in a) || ('place' in b && a.day === b.day && a.place === b.place)) &&
  (a.kind !== 'load' || (b.kind === 'load' && a.exercise === b.exercise))

/** A block plan with an exception put in, in place of one about the same; a change of nothing takes it out. */
export function withException(block: BlockPlan, exception: BlockException): BlockPlan {
  const others = (block.exceptions ?? []).filter(other => !isAbout(other, exception))
  const isNothing =
    (exception.kind === 'sets' || exception.kind === 'rir') && exception.change === 0
  return withPart(block, 'exceptions', isNothing ? others : [...others, exception])
}

/** The exception of a kind about a pass, or undefined. */
export function exceptionOf(block: BlockPlan, asked: BlockException): BlockException | undefined {
  return block.exceptions?.find(other => isAbout(other, asked))
}

/** Takes out an exception about the same as another. */
export function withoutException(block: BlockPlan, exception: BlockException): BlockPlan {
  return withPart(
    block,
    'exceptions',
    (block.exceptions ?? []).filter(other => !isAbout(other, exception)),
  )
}

/** Takes every exception of a pass out. */
export function withoutExceptions(block: BlockPlan, pass: number): BlockPlan {
  return withPart(
    block,
    'exceptions',
    (block.exceptions ?? []).filter(exception => exception.pass !== pass),
  )
}

/** The changes that hold in a pass. */
export const heldIn = ({ changes = [] }: BlockPlan, pass: number): readonly HeldChange[] =>
  changes.filter(({ from, to }) => from <= pass && pass <= (to ?? Infinity))

/** A block plan with a change that holds from its rotation on; a change of nothing changes nothing. */
export const withHeldChange = (block: BlockPlan, change: HeldChange): BlockPlan =>
  (isHeldSets(change) && change.change === 0) || (isHeldReps(change) && change.reps === 0)
    ? block
    : withPart(block, 'changes', [...(block.changes ?? []), change])

/** What is wanted of muscles in a pass, where it was changed inside the block; the latest word counts. */
export const modesIn = (block: BlockPlan, pass: number): Readonly<Partial<Record<Group, Mode>>> =>
  Object.fromEntries(
    heldIn(block, pass)
      .filter(isHeldMode)
      .map(({ group, mode }) => [group, mode]),
  )

/** A block plan in which a change holds no longer from a pass on; one that has not begun by then goes altogether. */
export function withChangeEnded(block: BlockPlan, ended: HeldChange, pass: number): BlockPlan {
  return withPart(
    block,
    'changes',
    (block.changes ?? []).flatMap(change =>
      change !== ended ? [change] : change.from >= pass ? [] : [{ ...change, to: pass - 1 }],
    ),
  )
}
