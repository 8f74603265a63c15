import { isSore } from '../../body/joints'
import { exerciseId, type ExerciseId } from '../../base'
import {
  type Intent,
  type Joint,
  JOINTS,
  rankedSubstitutes,
  requireExercise,
} from '../../plan/catalogue'
import { type LoggedSet, median } from '../../body/log'
import {
  insteadOf,
  intentFor,
  notPlanned,
  PAIN_LEVELS,
  type PainLevel,
  type PlanContext,
} from '../../plan/method'
import { sessionSeconds } from '../../plan/minutes'
import type { BlockPass, BlockSession } from '../../design/progress'
import { leadRir } from '../../plan/scheme'
import { sessionSlots, type Slot } from '../../plan/session'
import type { Adjustment, OwnFacts } from './adjustment'
import { isWorkingSet, lowEnd, outcomeOf } from './outcome'
import type { ReviewQuestion, SessionOutcome } from './reviewed'

/** Numbers of the rows about one exercise or one session; rules of thumb. Source: docs/methods.md#adjustments. */
export const OWN = {
  rirError: 1.5,
  leastSets: 4,
  leastShortSets: 3,
  missedReps: 2,
  missedShare: 0.5,
  overMinutes: 5,
  overTimes: 2,
  ofSessions: 3,
  painStress: 2,
} as const

/** What is known of an exercise over the rotation. Units: reps. */
interface Efforts {
  readonly slot: Slot
  readonly errors: number[]
  readonly short: number[]
}

function effortsOf(
  reviewed: BlockPass,
  outcomes: readonly SessionOutcome[],
): ReadonlyMap<ExerciseId, Efforts> {
  const found = new Map<ExerciseId, Efforts>()
  for (const session of reviewed.sessions) {
    for (const set of outcomeOf(session, outcomes)?.sets.filter(isWorkingSet) ?? []) {
      const slot = sessionSlots(session.content).find(
        ({ id, exercise }) => id === set.slot && exercise === set.exercise,
      )
      const run = slot?.scheme.runs.find(({ role }) => role === 'working')
      // What the coach has not looked at yet speaks for nothing.
      if (!slot || !run || set.loadKg === null || set.reps === null) continue
      const efforts = found.get(slot.exercise) ?? { slot, errors: [], short: [] }
      found.set(slot.exercise, efforts)
      addEffort(efforts, set, { rir: leadRir(run), low: lowEnd(run) })
    }
  }
  return found
}

function addEffort(
  { errors, short }: Efforts,
  { rir, reps }: LoggedSet,
  planned: { readonly rir: number | undefined; readonly low: number | undefined },
): void {
  if (rir !== null && planned.rir !== undefined) errors.push(rir - planned.rir)
  if (planned.low !== undefined) short.push(Math.max(0, planned.low - (reps ?? 0)))
}

const TO_SWAP: readonly PainLevel[] = ['swap', 'stop']
const intentOf = (slot: Slot, context: PlanContext): Intent =>
  intentFor(context, requireExercise(context.catalogue, slot.exercise), slot.intent)

function soreOf(
  slot: Slot,
  context: PlanContext,
  least: number,
): { readonly joint: Joint; readonly level: PainLevel } | undefined {
  const { jointStress } = intentOf(slot, context)
  return JOINTS.filter(joint => jointStress[joint] >= least)
    .map(joint => ({ joint, level: context.client.pain?.[joint] ?? ('none' as const) }))
    .sort((a, b) => PAIN_LEVELS.indexOf(b.level) - PAIN_LEVELS.indexOf(a.level))[0]
}

const bare = (
  row: Adjustment['row'],
  change: Adjustment['change'],
  facts: OwnFacts,
  confidence: Adjustment['confidence'],
): Adjustment => ({
  row,
  group: null,
  change,
  before: 0,
  after: 0,
  evidence: null,
  signs: [],
  facts,
  confidence,
  isWaiting: false,
})

/** The load one step up or a twentieth down, where efforts say so and no joint holds it. */
function loadRows(
  efforts: ReadonlyMap<ExerciseId, Efforts>,
  next: readonly Slot[],
  context: PlanContext,
): readonly Adjustment[] {
  return [...efforts].flatMap(([exercise, { slot, errors, short }]): Adjustment[] => {
    if (!next.some(other => other.exercise === exercise)) return []
    const missed = short.filter(reps => reps >= OWN.missedReps).length
    const error = errors.length >= OWN.leastSets ? median(errors) : 0
    const facts = { exercise, error, sets: Math.max(short.length, errors.length), missed }
    if (
      error <= -OWN.rirError ||
      (short.length >= OWN.leastShortSets && missed / short.length >= OWN.missedShare)
    )
      return [bare('E2', { kind: 'load', exercise, step: 'down' }, facts, 'fair')]
    const isHeld = isSore(soreOf(slot, context, 1)?.level)
    return error >= OWN.rirError && !isHeld
      ? [bare('E1', { kind: 'load', exercise, step: 'up' }, facts, 'fair')]
      : []
  })
}

/** The likeliest stand-in that the client can do and that spares the joint. */
function substituteFor(
  slot: Slot,
  joint: Joint | undefined,
  taken: readonly string[],
  context: PlanContext,
) {
  const { client, catalogue } = context
  const purpose = intentOf(slot, context)
  const [best] = rankedSubstitutes(requireExercise(catalogue, slot.exercise), purpose, catalogue, {
    ...(client.equipment.length > 0 && { equipment: client.equipment }),
    without: [...taken, ...notPlanned(client)],
    first: insteadOf(client, slot.exercise),
    ...(joint && { mostStress: { [joint]: Math.max(0, purpose.jointStress[joint] - 1) } }),
  })
  return best
}

function swapRow(
  slot: Slot,
  sore: { readonly joint: Joint; readonly level: PainLevel } | undefined,
  slope: number | undefined,
  next: readonly Slot[],
  context: PlanContext,
): readonly Adjustment[] {
  const best = substituteFor(
    slot,
    sore?.joint,
    next.map(({ exercise }) => exercise),
    context,
  )
  if (!best) return []
  const to = exerciseId(best.exercise.id)
  const intent = best.exercise.intents[0].id === best.intent.id ? null : best.intent.id
  return [
    bare(
      'E3',
      { kind: 'swap', from: slot.exercise, to, intent },
      { exercise: slot.exercise, ...(sore && { sore }), ...(slope !== undefined && { slope }) },
      sore ? 'strong' : 'fair',
    ),
  ]
}

/** Exercises to be replaced: what loads a joint at `swap` or worse, and the worst of a muscle that falls though recovered. */
function swapRows(
  groups: readonly Adjustment[],
  next: readonly Slot[],
  { context, trends }: ReviewQuestion,
): readonly Adjustment[] {
  const each = [...new Map(next.map(slot => [slot.exercise, slot])).values()]
  const sore = each.flatMap(slot => {
    const worst = soreOf(slot, context, OWN.painStress)
    return worst && TO_SWAP.includes(worst.level)
      ? swapRow(slot, worst, undefined, next, context)
      : []
  })
  const falling = groups
    .filter(({ row }) => row === 'A5')
    .flatMap(({ group }) => {
      const [worst] = each
        .filter(slot => group !== null && (intentOf(slot, context).credits[group] ?? 0) >= 1)
        .flatMap(slot => {
          const trend = trends.find(({ exercise }) => exercise === slot.exercise)?.trend
          return trend?.verdict === 'decline' ? [{ slot, slope: trend.slope }] : []
        })
        .sort((a, b) => a.slope - b.slope)
      return worst ? swapRow(worst.slot, undefined, worst.slope, next, context) : []
    })
  return [...sore, ...falling]
}

/** Minutes a session is to be planned at so that it takes no longer than its limit, at the pace it really went. */
function estimatedFor(
  { content }: BlockSession,
  limit: number,
  took: number,
  context: PlanContext,
): number {
  return Math.max(
    LEAST_MINUTES,
    Math.floor(Math.min(limit, ((sessionSeconds(content, context) / 60) * limit) / took)),
  )
}
const LEAST_MINUTES = 10

/** Sessions that went over their limit in two of the last three times. */
function shortRows(
  { outcomes, pass, context }: ReviewQuestion,
  reviewed: BlockPass,
): readonly Adjustment[] {
  return reviewed.sessions.flatMap((session: BlockSession): Adjustment[] => {
    const limit = session.minuteLimit
    if (limit === undefined) return []
    const took = Array.from(
      { length: pass + 1 },
      (_, at) => outcomeOf(session, outcomes.get(at) ?? [])?.minutes,
    )
      .flatMap(minutes => minutes ?? [])
      .slice(-OWN.ofSessions)
    const over = took.filter(minutes => minutes > limit + OWN.overMinutes)
    return over.length >= OWN.overTimes
      ? [
          bare(
            'S1',
            {
              kind: 'shorten',
              day: session.day,
              place: session.place,
              minutes: estimatedFor(session, limit, median(over), context),
            },
            {
              session: session.name,
              minutes: median(over),
              limit,
              times: over.length,
              of: took.length,
            },
            'fair',
          ),
        ]
      : []
  })
}

/**
 * Proposals about single exercises and sessions, beside the table of muscles: load steps, stand-ins, a session made to fit.
 *
 * Shape:  what spares a joint first, then loads down, loads up, and time.
 * Source: docs/methods.md#adjustments.
 */
export function ownChanges(
  question: ReviewQuestion,
  reviewed: BlockPass,
  nextPass: BlockPass,
  groups: readonly Adjustment[],
): readonly Adjustment[] {
  const outcomes = question.outcomes.get(question.pass) ?? []
  const next = nextPass.sessions
    .filter(({ isSkipped }) => !isSkipped)
    .flatMap(({ content }) => sessionSlots(content))
  const swaps = swapRows(groups, next, question)
  const gone = new Set(swaps.map(({ facts }) => facts?.exercise))
  const loads = loadRows(effortsOf(reviewed, outcomes), next, question.context).filter(
    ({ facts }) => !gone.has(facts?.exercise),
  )
  return [
    ...swaps,
    ...loads.filter(({ row }) => row === 'E2'),
    ...loads.filter(({ row }) => row === 'E1'),
    ...shortRows(question, reviewed),
  ]
}
