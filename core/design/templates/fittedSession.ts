import { assert, exerciseId, sessionId, mapNonEmpty } from '../../base'
import {
  copiedSession,
  fittedSets,
  inMethod,
  sessionInOrder,
  TEMPLATE_SETS,
} from '../../plan/block'
import {
  isPossibleWith,
  type Joint,
  rankedSubstitutes,
  requireExercise,
  requireIntent,
} from '../../plan/catalogue'
import { isTooHard, type JointLoads, stressLimits } from '../../body/joints'
import { loadForReps, loadGrid, roundLoad } from '../../plan/estimate'
import type { RotationLedger } from '../../count/ledger'
import { insteadOf, intentFor, notPlanned, type PlanContext } from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import {
  leadRir,
  nominalReps,
  plannedSets,
  type SetRun,
  type SetScheme,
  splitSets,
  type WeightUnit,
  withSetsAdded,
  workStages,
} from '../../plan/scheme'
import { type Grouping, type Session, type Slot, suitsRole } from '../../plan/session'
import { parseSession } from '../../plan/shorthand'
import { heaviestFor } from '../progress'
import { groupWeeks, shortSession } from '../short'
import { easedForPain } from './easedForPain'
import type { SessionTemplate } from './sessionTemplates'

/** What a template is fitted to. */
export interface Fit {
  readonly context: PlanContext
  /** Minutes there are; none means no limit. */
  readonly minutes?: number
  readonly ledger: RotationLedger
  /** The client's estimated one-rep maximum by exercise, where the log knows one. */
  readonly oneReps?: ReadonlyMap<string, { readonly load: number; readonly unit: WeightUnit }>
  /** What each joint bears now at its place (`bearingAt`): a sore one gets no more than its reports leave of it. */
  readonly bearing?: JointLoads | undefined
  readonly newId: () => string
}

/** Sets of one exercise a session was written for; left out where its sets are to stay as they are. */
export interface WrittenFor {
  readonly writtenFor?: number | undefined
}
/** Sets follow the client's method where the session is for any. */
export const forAny = (scales: boolean | undefined): WrittenFor => ({
  writtenFor: scales ? TEMPLATE_SETS : undefined,
})

/** What was changed to make a template fit. */
export interface FittedSession {
  readonly session: Session
  readonly swapped: readonly { readonly wanted: string; readonly given: string }[]
  /** Sore joints for whose sake sets were taken out. */
  readonly eased: readonly Joint[]
  /** Exercises for which the client has nothing that could stand in. */
  readonly leftOut: readonly string[]
  readonly seconds: number
  /** Seconds before it was made to fit the minutes; equal where it fitted. */
  readonly unfitted: number
}

const WEIGHED = new Set(['total', 'per_hand', 'stack', 'added'])

/** The template as it is written. Errors: InvariantError if its shorthand does not read, which a test holds. */
export function templateSession({ lines }: SessionTemplate, newId: () => string): Session {
  const parsed = parseSession(lines.join('\n'), newId)
  assert(parsed.ok, 'a session template reads as shorthand')
  return parsed.value
}

function fits(slot: Slot, context: PlanContext): boolean {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const { jointStress } = intentFor(context, exercise, slot.intent)
  return (
    isPossibleWith(exercise, context.client.equipment) &&
    !notPlanned(context.client).includes(exercise.id) &&
    !isTooHard(jointStress, context)
  )
}

/** The slot itself, or with what comes nearest under the client's equipment, joints and list to avoid. */
function possible(slot: Slot, context: PlanContext, taken: readonly string[]): Slot | undefined {
  if (fits(slot, context)) return slot
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const [best] = rankedSubstitutes(
    exercise,
    requireIntent(exercise, slot.intent),
    context.catalogue,
    {
      equipment: context.client.equipment,
      without: [...taken, ...notPlanned(context.client)],
      mostStress: stressLimits(context),
      first: insteadOf(context.client, exercise.id),
      suits: (...doing) => suitsRole(slot.role, ...doing),
    },
  )
  return (
    best && {
      ...slot,
      exercise: exerciseId(best.exercise.id),
      intent: best.exercise.intents[0].id === best.intent.id ? null : best.intent.id,
    }
  )
}

function scaled(scheme: SetScheme, { method }: PlanContext, writtenFor: number): SetScheme {
  const now = plannedSets(scheme)
  const wanted = fittedSets(now, method, writtenFor)
  return wanted >= now ? withSetsAdded(scheme, wanted - now) : splitSets(scheme, now - wanted).kept
}

/** Working sets with the load that the client's strength and the planned reps ask for, rounded down to what can be loaded. */
function loaded(slot: Slot, { context, oneReps }: Fit): SetScheme {
  const exercise = requireExercise(context.catalogue, slot.exercise)
  const best = oneReps?.get(slot.exercise)
  if (!best || !WEIGHED.has(exercise.loadBasis)) return slot.scheme
  const basis = exercise.loadBasis as 'total' | 'per_hand' | 'stack' | 'added'
  return {
    ...slot.scheme,
    runs: slot.scheme.runs.map((run): SetRun => {
      const [lead] = workStages(run)
      const reps = nominalReps(lead?.reps)
      if (
        run.role === 'warmup' ||
        run.role === 'primer' ||
        !lead ||
        lead.load ||
        reps === undefined
      )
        return run
      const fitting = roundLoad(
        loadForReps(best.load, reps, leadRir(run) ?? context.method.effort.defaultRir),
        loadGrid(exercise, best.unit, context.client.gear),
        'down',
      )
      const amount = Math.min(fitting, heaviestFor(exercise, best.unit, context.client))
      const stages = mapNonEmpty(run.stages, stage =>
        stage === lead
          ? { ...lead, load: { kind: 'weight' as const, amount, unit: best.unit, basis } }
          : stage,
      )
      return { ...run, stages }
    }),
  }
}

/**
 * A session fitted to a client: what cannot be done is replaced by what comes nearest, sets follow the method, loads the
 * client's strength, and the whole the minutes there are.
 *
 * Edge: with nothing to stand in an exercise is left out and named; `session` may be left without exercises.
 */
export function fittedSession(
  wanted: Session,
  fit: Fit,
  { writtenFor }: WrittenFor = {},
): FittedSession {
  const { context, minutes, ledger, newId } = fit
  const swapped: { wanted: string; given: string }[] = []
  const scales = writtenFor !== undefined
  const leftOut: string[] = []
  const taken: string[] = []
  const groupings = copiedSession(wanted, newId).groupings.flatMap((grouping): Grouping[] => {
    const [first, ...others] = grouping.slots.flatMap(({ isHeld: _, ...slot }): Slot[] => {
      const chosen = possible(slot, context, taken)
      if (!chosen) {
        leftOut.push(slot.exercise)
        return []
      }
      if (chosen.exercise !== slot.exercise)
        swapped.push({ wanted: slot.exercise, given: chosen.exercise })
      taken.push(chosen.exercise)
      const sized = scales
        ? {
            ...chosen,
            scheme: inMethod(
              scaled(chosen.scheme, context, writtenFor),
              requireExercise(context.catalogue, chosen.exercise),
              context.method,
            ),
          }
        : chosen
      return [{ ...sized, scheme: loaded(sized, fit) }]
    })
    return first
      ? [
          {
            ...grouping,
            kind: others.length === 0 ? 'straight' : grouping.kind,
            slots: [first, ...others],
          },
        ]
      : []
  })
  const made = { ...wanted, id: sessionId(newId()), groupings }
  const ordered = scales ? sessionInOrder(made, context) : made
  const { session, eased } = easedForPain(ordered, fit.bearing, context)
  const unfitted = sessionSeconds(session, context)
  if (minutes === undefined || unfitted <= minutes * 60)
    return { session, swapped, eased, leftOut, seconds: unfitted, unfitted }
  const short = shortSession({
    session,
    minutes,
    context,
    weeks: groupWeeks(ledger),
    lengthDays: ledger.days.length,
  })
  return { session: short.session, swapped, eased, leftOut, seconds: short.seconds, unfitted }
}
