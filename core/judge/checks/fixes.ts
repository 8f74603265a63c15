import { exerciseId, mapNonEmpty } from '../../base'
import { firstChoice, type PlanEdit, usualScheme } from '../../plan/block'
import {
  type Group,
  type Joint,
  rankedSubstitutes,
  type SubstituteLimits,
  requireIntent,
} from '../../plan/catalogue'
import {
  allSets,
  type Load,
  MAX_SETS_PER_EXERCISE,
  type Reps,
  type SetRun,
  type Stage,
  type WorkStage,
} from '../../plan/scheme'
import type { CheckInput, PlacedSlot, SessionView } from './input'
import { mayGrow } from '../../body/joints'
import { suitsRole } from '../../plan/session'
import { amountIn, type Gear, kilogramsOf, loadGrid, roundLoad } from '../../plan/estimate'
import { insteadOf, notPlanned } from '../../plan/method'

/* Edits that settle findings. Each is a list that the caller applies as one step. */

function editedRuns({ slot }: PlacedSlot, change: (run: SetRun) => SetRun): readonly PlanEdit[] {
  return [
    {
      kind: 'set_scheme',
      slot: slot.id,
      scheme: {
        ...slot.scheme,
        runs: slot.scheme.runs.map(run => (run.role === 'warmup' ? run : change(run))),
      },
    },
  ]
}

function editedWork(run: SetRun, change: (stage: WorkStage) => WorkStage): SetRun {
  const stages = mapNonEmpty(run.stages, stage => (stage.kind === 'work' ? change(stage) : stage))
  return { ...run, stages }
}

function stagesUpToLead(run: SetRun): SetRun['stages'] {
  const lead = run.stages.find(stage => stage.kind === 'work') ?? run.stages[0]
  return [lead] as readonly [Stage]
}

/** Straight sets with at least so many reps in reserve. */
export function withRir(placed: PlacedSlot, rir: number): readonly PlanEdit[] {
  return editedRuns(placed, run => {
    const { protocol: _, ...plain } = run
    return editedWork(
      { ...plain, stages: stagesUpToLead(run) },
      ({ effort: _effort, ...stage }) => ({
        ...stage,
        ...(stage.reps?.kind === 'to_failure' && { reps: usualReps(placed) }),
        effort: { kind: 'rir', rir },
      }),
    )
  })
}

function usualReps({
  exercise: {
    repRange: [low, high],
  },
}: PlacedSlot): Reps {
  return { kind: 'between', low, high }
}

/** Another rep range in the first stage of every set. */
export function withReps(placed: PlacedSlot, low: number, high: number): readonly PlanEdit[] {
  return editedRuns(placed, run =>
    editedWork(run, stage => ({ ...stage, reps: { kind: 'between', low, high } })),
  )
}

/** Every set straight: what follows after the first stage is left out. */
export function straightened(placed: PlacedSlot): readonly PlanEdit[] {
  return editedRuns(placed, run => ({ ...run, stages: stagesUpToLead(run) }))
}

/** Long sets moved to the last set alone. */
export function extendedLast(placed: PlacedSlot): readonly PlanEdit[] {
  const { slot, runs } = placed
  const longest = runs.reduce((a, b) => (b.stages.length > a.stages.length ? b : a))
  const plain = { ...longest, stages: stagesUpToLead(longest) }
  const sets = runs.reduce((sum, run) => sum + run.count, 0)
  const warmups = slot.scheme.runs.filter(({ role }) => role === 'warmup')
  const rebuilt =
    sets === 1
      ? [longest]
      : [
          { ...plain, count: sets - 1 },
          { ...longest, count: 1 },
        ]
  return [
    {
      kind: 'set_scheme',
      slot: slot.id,
      scheme: { ...slot.scheme, runs: [...warmups, ...rebuilt] },
    },
  ]
}

/** The usual grip round the bar. */
export function withThumb(placed: PlacedSlot): readonly PlanEdit[] {
  return editedRuns(placed, run => editedWork(run, ({ thumbless: _, ...stage }) => stage))
}

/** No swing: reps done with momentum are done strictly, and what only momentum made possible is left out. */
export function strictForm(placed: PlacedSlot): readonly PlanEdit[] {
  const isSwung = (stage: Stage) => stage.kind === 'work' && stage.form === 'momentum'
  return editedRuns(placed, run => {
    const [first, ...later] = run.stages
    const kept: SetRun['stages'] = [first, ...later.filter(stage => !isSwung(stage))]
    return editedWork({ ...run, stages: kept }, ({ form, ...stage }) => ({
      ...stage,
      ...(form !== undefined && form !== 'momentum' && { form }),
    }))
  })
}

/** At least so much rest after every set. */
export function withRest(placed: PlacedSlot, seconds: number): readonly PlanEdit[] {
  return editedRuns(placed, run => ({ ...run, restAfter: { kind: 'seconds', seconds } }))
}

/** Warm-up sets before the working sets: lighter, fewer reps as they get heavier. */
export function withWarmups(placed: PlacedSlot, count: number): readonly PlanEdit[] {
  const reps = [10, 6, 4, 2]
  const room = MAX_SETS_PER_EXERCISE - placed.runs.reduce((sum, run) => sum + run.count, 0)
  const warmups = reps.slice(0, Math.min(count, room)).map((number, at): SetRun => ({
    count: 1,
    role: 'warmup',
    stages: [
      {
        kind: 'work',
        reps: { kind: 'exactly', count: number },
        load: { kind: 'percent_of_usual', percent: [50, 70, 80, 85][at] ?? 85 },
      },
    ],
    restAfter: { kind: 'seconds', seconds: at === 0 ? 45 : 60 },
  }))
  return [
    {
      kind: 'set_scheme',
      slot: placed.slot.id,
      scheme: { ...placed.slot.scheme, runs: [...warmups, ...placed.runs] },
    },
  ]
}

/** Working weights over a limit brought down to it, to what can be loaded. Units: kilograms. */
export function withHeaviest(
  placed: PlacedSlot,
  mostKg: number,
  gear: Gear | undefined,
): readonly PlanEdit[] {
  const lowered = (load: Load | undefined): Load | undefined => {
    if (load?.kind !== 'weight' || kilogramsOf(load) <= mostKg) return load
    const most = amountIn({ amount: mostKg, unit: 'kg' }, load.unit)
    return { ...load, amount: roundLoad(most, loadGrid(placed.exercise, load.unit, gear), 'down') }
  }
  const runs = placed.slot.scheme.runs.map(run => ({
    ...run,
    stages: mapNonEmpty(run.stages, stage => {
      const load = stage.kind === 'work' ? lowered(stage.load) : undefined
      return stage.kind === 'work' && load ? { ...stage, load } : stage
    }),
  }))
  return [{ kind: 'set_scheme', slot: placed.slot.id, scheme: { ...placed.slot.scheme, runs } }]
}

/** The best stand-in within some limits; nothing where there is none. */
export function swapped(
  placed: PlacedSlot,
  session: SessionView,
  { context }: CheckInput,
  limits: SubstituteLimits = {},
): readonly PlanEdit[] | undefined {
  const [best] = rankedSubstitutes(placed.exercise, placed.intent, context.catalogue, {
    equipment: context.client.equipment,
    without: [
      ...session.slots.map(({ exercise }) => exercise.id),
      ...(limits.without ?? []),
      ...notPlanned(context.client),
    ],
    first: insteadOf(context.client, placed.exercise.id) ?? limits.first ?? null,
    suits: (...doing) => suitsRole(placed.slot.role, ...doing),
    ...(limits.mostStress && { mostStress: limits.mostStress }),
  })
  if (!best) return undefined
  const isDefault = best.exercise.intents[0] === best.intent
  return [
    {
      kind: 'swap_exercise',
      slot: placed.slot.id,
      exercise: exerciseId(best.exercise.id),
      intent: isDefault ? null : best.intent.id,
    },
  ]
}

/** A stand-in that spares a joint. */
export function sparing(
  placed: PlacedSlot,
  session: SessionView,
  input: CheckInput,
  joint: Joint,
  mostStress: number,
): readonly PlanEdit[] | undefined {
  return swapped(placed, session, input, { mostStress: { [joint]: mostStress } })
}

/** Whether an exercise can take so many sets more; a fix never asks for more than a session holds. */
export function hasRoomFor(
  sets: number,
  { slot, intent }: PlacedSlot,
  { context }: CheckInput,
): boolean {
  // No fix asks more of a joint that is sore.
  return (
    allSets(slot.scheme) + sets <= MAX_SETS_PER_EXERCISE && mayGrow(intent.jointStress, context)
  )
}

function daysFor(
  group: Group,
  { ledger, plan }: CheckInput,
): readonly { readonly day: number; readonly sets: number }[] {
  return plan.rotation.days.flatMap((day, at) =>
    day.role === 'rest' || day.role === 'open' || day.sessions.length === 0
      ? []
      : [{ day: at, sets: ledger.days[at]?.groups[group].counted.value ?? 0 }],
  )
}

/** More direct sets on the day that has least of the group: more of an exercise that is there, else a new one. */
export function moreDirect(
  group: Group,
  sets: number,
  input: CheckInput,
): readonly PlanEdit[] | undefined {
  const [least] = [...daysFor(group, input)].sort((a, b) => a.sets - b.sets)
  if (!least) return undefined
  const there = input.sessions
    .filter(({ day }) => day === least.day)
    .flatMap(({ slots }) => slots)
    .find(placed => placed.intent.credits[group] === 1 && hasRoomFor(sets, placed, input))
  if (there) return [{ kind: 'add_sets', slot: there.slot.id, count: sets }]
  const choice = firstChoice(input.plan, group, input.context, sets)
  if (!choice || !mayGrow(requireIntent(choice.exercise, choice.intent).jointStress, input.context))
    return undefined
  return [
    {
      kind: 'add_exercise',
      day: least.day,
      exercise: exerciseId(choice.exercise.id),
      intent: choice.intent,
      scheme: usualScheme(choice.exercise, sets, input.context.method),
    },
  ]
}

/** Fewer direct sets on the day that has most of the group. */
export function fewerDirect(
  group: Group,
  sets: number,
  input: CheckInput,
): readonly PlanEdit[] | undefined {
  const direct = input.sessions
    .flatMap(session =>
      session.slots.flatMap(placed =>
        placed.intent.credits[group] === 1 && placed.sets > 0
          ? [{ placed, load: input.ledger.days[session.day]?.groups[group].counted.value ?? 0 }]
          : [],
      ),
    )
    .sort((a, b) => b.load - a.load || b.placed.startsAt - a.placed.startsAt)
  const edits: PlanEdit[] = []
  let left = sets
  for (const { placed } of direct) {
    const taken = Math.min(left, placed.sets)
    if (taken > 0) edits.push({ kind: 'cut_sets', slot: placed.slot.id, count: taken })
    left -= taken
  }
  return edits.length > 0 && left <= 0 ? edits : undefined
}
