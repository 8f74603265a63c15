import { failure, type Result, seededRandom, success } from '../../base'
import type { PlanDocument } from '../../plan/block'
import { isOverhead } from '../../plan/catalogue'
import { contextWith, type PlanContext } from '../../plan/method'
import { daySlots, type RotationDay } from '../../plan/rotation'
import { withoutSlots } from './withoutSlots'
import { allocationProblem } from './problem'
import { type Found, search } from './search'
import type { Miss } from './wants'

/** Terms a rotation is tried under; what is left out stays as it is. Training days of the rotation, minutes of each. */
export interface Terms {
  readonly days?: number
  readonly minutes?: number
  readonly armDay?: 'without'
  readonly overhead?: 'without'
  /** New arm work as finishers, with short rests. */
  readonly finishers?: true
}

/** Why terms are answered otherwise than they were asked. */
export type TermsNote =
  | { readonly kind: 'fewer_days'; readonly there: number }
  | { readonly kind: 'no_arm_day' | 'no_overhead' | 'last_day_stays' }

/** What a rotation comes to under some terms, with its open sets placed anew. Days from 0. */
export interface TermsCost {
  readonly terms: Terms
  readonly givenUp: readonly number[]
  readonly notes: readonly TermsNote[]
  readonly trainingDays: number
  /** Of the whole rotation. */
  readonly minutes: number
  readonly points: number
  readonly stimulus: number
  readonly misses: readonly Miss[]
}

export interface TermsOptions {
  readonly moves?: number
  readonly onProgress?: (share: number) => boolean
}

export const TERMS_LIMITS = { days: [1, 14], minutes: [10, 240] } as const

const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
const numberOf = (word: string) => NUMBERS.indexOf(word) + 1 || Number(word)

/** What is wrong with typed terms: a phrase that says nothing known, or a figure out of bounds. */
export type TermsProblem =
  | { readonly kind: 'nothing' }
  | { readonly kind: 'unknown'; readonly phrase: string }
  | { readonly kind: 'bounds'; readonly phrase: string; readonly from: number; readonly to: number }

type Reading = (found: RegExpExecArray) => Terms

/** Everything that can be typed, a phrase each. */
const PHRASES: readonly (readonly [RegExp, Reading])[] = [
  [/^(\w+)(?: training)?[ -]days?(?: a week)?$/, ([, days = '']) => ({ days: numberOf(days) })],
  [
    /^(\d+) ?(?:min|mins|minutes)(?: each| a day)?$/,
    ([, minutes]) => ({ minutes: Number(minutes) }),
  ],
  [/^(?:no|without(?: an?)?) arms?[ -]day$/, () => ({ armDay: 'without' })],
  [/^(?:no|without) overhead(?: work| extensions?)?$/, () => ({ overhead: 'without' })],
  [/^(?:arms )?(?:as )?finishers?$/, () => ({ finishers: true })],
]

/**
 * Terms typed as a line: `four days, 45 minutes, no arm day, no overhead, arms as finishers`.
 *
 * Errors: the phrase that is not understood, or whose figure is out of bounds.
 */
export function readTerms(line: string): Result<Terms, TermsProblem> {
  const phrases = line
    .toLowerCase()
    .split(/[,;]| and /)
    .map(phrase => phrase.trim().replace(/\s+/g, ' '))
    .filter(phrase => phrase !== '')
  if (phrases.length === 0) return failure({ kind: 'nothing' })
  let terms: Terms = {}
  for (const phrase of phrases) {
    const [read] = PHRASES.flatMap(([pattern, reading]) => {
      const found = pattern.exec(phrase)
      return found ? [reading(found)] : []
    })
    if (!read || Number.isNaN(read.days)) return failure({ kind: 'unknown', phrase })
    for (const [key, [from, to]] of Object.entries(TERMS_LIMITS)) {
      const value = read[key as keyof typeof TERMS_LIMITS]
      if (value !== undefined && (value < from || value > to))
        return failure({ kind: 'bounds', phrase, from, to })
    }
    terms = { ...terms, ...read }
  }
  return success(terms)
}

const SHORTER = 0.75
const MOVES = 6000
/** Moves that are enough to tell which day costs least. */
const FEW_MOVES = 900
const REST: RotationDay = { role: 'rest', sessions: [] }

const isTraining = (day: RotationDay) => day.role !== 'rest' && day.sessions.length > 0
const trainingDays = ({ rotation }: PlanDocument) =>
  rotation.days.flatMap((day, at) => (isTraining(day) ? [at] : []))
const isArmDay = (day: RotationDay) => day.role === 'arms' && day.sessions.length > 0

function withDays(
  plan: PlanDocument,
  change: (day: RotationDay, at: number) => RotationDay,
): PlanDocument {
  return { ...plan, rotation: { ...plan.rotation, days: plan.rotation.days.map(change) } }
}

/** Terms that are asked for most: shorter days, a day less, no arm day, the arms as finishers; the plan as it is first. */
export function usualTerms(plan: PlanDocument): readonly Terms[] {
  const training = trainingDays(plan).map(at => plan.rotation.days[at]!)
  const longest = Math.max(0, ...training.map(({ minuteLimit }) => minuteLimit ?? 0))
  const [least] = TERMS_LIMITS.minutes
  const hasArmDay = training.some(isArmDay) && training.length > 1
  return [
    {},
    ...(longest > 0 ? [{ minutes: Math.max(least, 5 * Math.round((longest * SHORTER) / 5)) }] : []),
    ...(training.length > 2 ? [{ days: training.length - 1 }] : []),
    ...(hasArmDay
      ? [{ armDay: 'without' } as const, { armDay: 'without', finishers: true } as const]
      : [{ finishers: true } as const]),
  ]
}

interface Under {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly givenUp: readonly number[]
  readonly notes: readonly TermsNote[]
}

const placed = ({ plan, context }: Under, { finishers }: Terms, moves: number): Found =>
  search(allocationProblem({ plan, context, ...(finishers && { newAs: 'finisher' }) }), {
    kind: 'best',
    moves,
    random: seededRandom(60),
  })

/** A plan without arm days; as many as are asked for beside the other days become days for the whole upper body. */
function withoutArmDay(under: Under, { days, armDay }: Terms): Under {
  if (armDay === undefined) return under
  const { plan, notes } = under
  const training = trainingDays(plan)
  const arms = training.filter(at => isArmDay(plan.rotation.days[at]!))
  if (arms.length === 0) return { ...under, notes: [...notes, { kind: 'no_arm_day' }] }
  const others = training.length - arms.length
  if (others === 0 && training.length === 1)
    return { ...under, notes: [...notes, { kind: 'last_day_stays' }] }
  const staying = Math.max(others === 0 ? 1 : 0, (days ?? 0) - others)
  const upper = arms.slice(0, staying)
  const gone = arms.slice(staying)
  const changed = withDays(plan, (day, at) =>
    upper.includes(at) ? { ...day, role: 'upper' } : gone.includes(at) ? REST : day,
  )
  return { ...under, plan: changed, givenUp: [...under.givenUp, ...gone] }
}

/** Gives up training days one after the other, each time the one whose loss costs least. */
function withFewerDays(under: Under, terms: Terms): Under {
  const { days } = terms
  if (days === undefined) return under
  let now = under
  for (let left = trainingDays(now.plan); left.length > days; left = trainingDays(now.plan)) {
    const tries = left
      .map(given => ({
        ...now,
        plan: withDays(now.plan, (day, at) => (at === given ? REST : day)),
        givenUp: [...now.givenUp, given],
      }))
      .map(one => ({ one, found: placed(one, terms, FEW_MOVES) }))
      .sort((a, b) => a.found.points - b.found.points || b.found.stimulus - a.found.stimulus)
    now = tries[0]!.one
  }
  const there = trainingDays(now.plan).length
  return there < days ? { ...now, notes: [...now.notes, { kind: 'fewer_days', there }] } : now
}

/** Neither what stands overhead nor anything new of it. */
function withoutOverhead(under: Under, { overhead }: Terms): Under {
  if (overhead === undefined) return under
  const { plan, context, notes } = under
  const held = plan.rotation.days.flatMap(daySlots).filter(({ exercise }) => isOverhead(exercise))
  const none = [...context.catalogue.keys()].filter(isOverhead)
  const avoid = [...new Set([...(context.client.avoid ?? []), ...none])]
  return {
    ...under,
    plan: withoutSlots(plan, new Set(held.map(({ id }) => id))),
    context: contextWith(context.method, { ...context.client, avoid }, context.catalogue),
    notes: held.length > 0 ? notes : [...notes, { kind: 'no_overhead' }],
  }
}

/**
 * What some terms cost: the rotation under them, with its open sets placed anew.
 *
 * Edge: what contradicts the rotation is answered with what is possible, and a note says so; one training day always stays.
 */
export function costOfTerms(
  plan: PlanDocument,
  context: PlanContext,
  terms: Terms,
  { moves = MOVES }: TermsOptions = {},
): TermsCost {
  const start: Under = { plan, context, givenUp: [], notes: [] }
  const timed: Under = withoutOverhead(
    {
      ...start,
      plan:
        terms.minutes === undefined
          ? plan
          : withDays(plan, day =>
              isTraining(day) ? { ...day, minuteLimit: terms.minutes! } : day,
            ),
    },
    terms,
  )
  const under = withFewerDays(withoutArmDay(timed, terms), terms)
  const { points, stimulus, misses, seconds } = placed(under, terms, moves)
  return {
    terms,
    givenUp: under.givenUp,
    notes: under.notes,
    trainingDays: trainingDays(under.plan).length,
    minutes: seconds / 60,
    points,
    stimulus,
    misses,
  }
}

/** Several terms one after the other. */
export const costsOfTerms = (
  plan: PlanDocument,
  context: PlanContext,
  terms: readonly Terms[],
  { moves = MOVES, onProgress }: TermsOptions = {},
): readonly TermsCost[] =>
  terms.map((one, at) => {
    const cost = costOfTerms(plan, context, one, { moves })
    onProgress?.((at + 1) / terms.length)
    return cost
  })
