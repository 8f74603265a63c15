import { mapNonEmpty } from '../../base'
import { isAlike, type SetRun, type SetScheme } from './setScheme'
import type { Stage, WorkStage } from './stage'

/** What a coach sets for all working sets at once, besides their number. */
export type SchemeControls = Pick<
  WorkStage,
  | 'reps'
  | 'load'
  | 'effort'
  | 'tempo'
  | 'form'
  | 'lockOut'
  | 'grip'
  | 'gripWidth'
  | 'attachment'
  | 'position'
  | 'setUp'
  | 'thumbless'
> &
  Pick<SetRun, 'restAfter' | 'sideOrder' | 'startSide' | 'side'>
export type SchemeControl = keyof SchemeControls

const OF_RUN: readonly SchemeControl[] = ['restAfter', 'sideOrder', 'startSide', 'side']

/** What all working sets have in common; a key is left out where nothing is given, and `varies` names those that differ from set to set. */
export interface SharedControls {
  readonly shared: SchemeControls
  readonly varies: ReadonlySet<SchemeControl>
}

const KEYS: readonly SchemeControl[] = [
  'reps',
  'load',
  'effort',
  'tempo',
  'form',
  'lockOut',
  'grip',
  'gripWidth',
  'attachment',
  'position',
  'setUp',
  'thumbless',
  ...OF_RUN,
]

function leadOf({ stages }: SetRun): WorkStage | undefined {
  return stages.find((stage): stage is WorkStage => stage.kind === 'work')
}

function valueOf(run: SetRun, key: SchemeControl): unknown {
  return OF_RUN.includes(key) ? run[key as keyof SetRun] : leadOf(run)?.[key as keyof WorkStage]
}

/** Reads the controls off a scheme: of every working set its first stage, warm-up left out. */
export function sharedControls({ runs }: SetScheme): SharedControls {
  const working = runs.filter(({ role }) => role !== 'warmup')
  const shared: Record<string, unknown> = {}
  const varies = new Set<SchemeControl>()
  for (const key of KEYS) {
    const [first, ...others] = working.map(run => valueOf(run, key))
    if (others.some(other => !isAlike(other, first))) varies.add(key)
    else if (first !== undefined) shared[key] = first
  }
  return { shared: shared as SchemeControls, varies }
}

function withKey<Target extends object>(target: Target, key: string, value: unknown): Target {
  return Object.fromEntries(
    Object.entries({ ...target, [key]: value }).filter(
      ([name, held]) => name !== key || (held !== null && held !== undefined),
    ),
  ) as Target
}

function controlled(run: SetRun, key: SchemeControl, value: unknown): SetRun {
  if (run.role === 'warmup') return run
  if (OF_RUN.includes(key)) return withKey(run, key, value)
  const lead = leadOf(run)
  const stages = mapNonEmpty(run.stages, (stage): Stage =>
    stage === lead ? withKey(lead, key, value) : stage,
  )
  return { ...run, stages }
}

/**
 * The scheme with one control set for every working set; null takes it out.
 *
 * Edge: later stages of a set, such as drops, stay as they are.
 */
export function withControl<Key extends SchemeControl>(
  scheme: SetScheme,
  key: Key,
  value: SchemeControls[Key] | null,
): SetScheme {
  return { ...scheme, runs: scheme.runs.map(run => controlled(run, key, value)) }
}
