import type { Gear } from '../estimate'
import type { ClientTimes } from './clientTimes'
import type { ExerciseRule } from './exerciseRules'
import { type PlainDate, remembered } from '../../base'
import type {
  Catalogue,
  Credits,
  Equipment,
  Exercise,
  Group,
  Intent,
  Joint,
  Muscle,
} from '../catalogue'
import { ARM_GROUPS, BUILT_IN_CATALOGUE, creditsFor, requireIntent } from '../catalogue'
import { type Band, bandFor, DEFAULT_MODES, type Mode, trainingAge } from './band'
import type { Permit } from '../safety'
import type { Method } from './method'
import { frequencyIn, isLean, type Phase } from './phase'
import { STEADY_MIDDLE } from './presets'
import { schoolOf } from './school'
import type { SideLoad } from './sideLoad'

export const PAIN_LEVELS = ['none', 'note', 'hold', 'swap', 'stop'] as const
/** What a joint's latest pain reports ask for. Source: docs/methods.md#pain. */
export type PainLevel = (typeof PAIN_LEVELS)[number]

export const HINDRANCES = ['energy_deficit', 'age_50', 'age_60', 'short_sleep'] as const
/** What slows recovery and lowers what is worth doing. */
export type Hindrance = (typeof HINDRANCES)[number]

type Hindered = Pick<ClientFacts, 'slowedBy' | 'phase'>

/** What slows recovery: what the coach has ticked, and what the phase of the block brings with it. */
export const hindrancesOf = ({ slowedBy = [], phase }: Hindered): readonly Hindrance[] =>
  isLean(phase) && !slowedBy.includes('energy_deficit') ? [...slowedBy, 'energy_deficit'] : slowedBy

/** Eating less than is used up: strength that holds is what can be had. */
export const eatsLess = (client: Hindered): boolean =>
  hindrancesOf(client).includes('energy_deficit')

/** What the plan is for: muscles outside it have no floor, since they are trained elsewhere or left alone. */
export const PLAN_SCOPES = ['whole_body', 'upper_body', 'arms'] as const
export type PlanScope = (typeof PLAN_SCOPES)[number]

const LEGS: readonly Group[] = ['glutes', 'quads', 'hamstrings', 'calves']
const OUTSIDE: Readonly<Record<PlanScope, (group: Group) => boolean>> = {
  whole_body: () => false,
  upper_body: group => LEGS.includes(group),
  arms: group => !(ARM_GROUPS as readonly Group[]).includes(group),
}

export type JointSetting = 'normal' | 'sensitive'

/** Where a pace in force comes from. */
export interface PaceRecord {
  readonly by: 'log' | 'coach'
  /** When the steps of these 28 days began, and from which pace. */
  readonly on: PlainDate
  readonly was: number
  /** Nothing before is learned from: the coach has begun anew. */
  readonly since?: PlainDate
}

/** The last thing a client reported about a joint. */
export interface LastPain {
  readonly on: PlainDate
  readonly score: number
}

/** What is known of a client and bears on the numbers. Left out means the default. */
export interface ClientFacts {
  readonly trainingAgeMonths: number
  readonly modes: Readonly<Partial<Record<Group, Mode>>>
  readonly bands: Readonly<Partial<Record<Group, Band>>>
  /** Everything there is to train with; empty means a full gym. */
  readonly equipment: readonly Equipment[]
  /** What can be loaded there, line by line as it was typed; the usual steps where nothing is said. */
  readonly gear?: Gear
  /** Credits that hold for this client, by credit key: of one purpose, or of every purpose of an exercise. */
  readonly credits: Readonly<Record<string, Credits>>
  /** Wanted extensor sets per flexor set, where it differs from the method's. */
  readonly ratioWish?: number
  /** Exposures per 7 days that a group should have at least. */
  readonly frequencyMin?: Readonly<Partial<Record<Group, number>>>
  /** Counted sets (fractional) a group may have in one session. */
  readonly sessionMax?: Readonly<Partial<Record<Group, number>>>
  /** Counted sets per 7 days that a head should have at least. */
  readonly headFloors?: Readonly<Partial<Record<Muscle, number>>>
  /** Ceilings of a joint in points, replacing those that follow from training age and setting. */
  readonly jointCeilings?: Readonly<
    Partial<Record<Joint, { readonly week: number; readonly session: number }>>
  >
  /** Exercises that are not to be planned, and those that are to stay in the plan. */
  readonly avoid?: readonly string[]
  readonly keep?: readonly string[]
  /** What holds for single exercises: a heaviest load, another in its place. */
  readonly exerciseRules?: readonly ExerciseRule[]
  readonly joints?: Readonly<Partial<Record<Joint, JointSetting>>>
  readonly pain?: Readonly<Partial<Record<Joint, PainLevel>>>
  /** The last report about each joint that has a level: its day, and 0 to 10. */
  readonly lastPain?: Readonly<Partial<Record<Joint, LastPain>>>
  /** Joints cleared after a stop, with the week of the way back, from 1; what they may bear grows week by week. */
  readonly returning?: Readonly<Partial<Record<Joint, number>>>
  /** Multiplier on the hours a group needs, learned or set. */
  readonly recoveryPace?: Readonly<Partial<Record<Group, number>>>
  /** Where those come from: the log, or the coach. */
  readonly paceRecords?: Readonly<Partial<Record<Group, PaceRecord>>>
  /** What the plan is for; the whole body where left out. */
  readonly scope?: PlanScope
  /** What slows recovery now, ticked by the coach. */
  readonly slowedBy?: readonly Hindrance[]
  readonly sideLoads?: readonly SideLoad[]
  /** Exercises in the client's log of the last half year; left out where there is too little of it to tell. */
  readonly doneExercises?: readonly string[]
  /** What provokes a joint, in the words of the coach's notes on it. */
  readonly provokedBy?: readonly string[]
  /** Safety bars or a spotter for bars over the body. */
  readonly hasSafeties?: boolean
  /** How long the client takes against the estimate, once the log tells. */
  readonly times?: ClientTimes
  readonly screening?: 'open' | 'clear' | 'refer'
  /** Ways to train that are off until the coach allows them for this client. */
  readonly permits?: readonly Permit[]
  readonly isMinor?: boolean
  /** Days on which the client can train, with the minutes there are; left out where nothing was said. */
  readonly days?: readonly AvailableDay[]
  /** The phase the block that is looked at is in. */
  readonly phase?: Phase
  /** What the last sessions of the block before leave for the one that is looked at. */
  readonly carried?: readonly CarriedSession[]
}

/** A planned session before a block. Units: impulses as recovery reads them, joints in points. */
export interface CarriedSession {
  readonly on: PlainDate
  readonly place: number
  readonly impulses: Readonly<Partial<Record<Group, number>>>
  readonly joints: Readonly<Partial<Record<Joint, number>>>
}

/** A weekday on which a client can train. 1 is Monday; `start` is the usual hour, `17:30`. */
export interface AvailableDay {
  readonly weekday: number
  readonly minutes: number
  readonly start: string
}

/** All that a plan is computed with besides the plan itself. */
export interface PlanContext {
  readonly catalogue: Catalogue
  readonly method: Method
  readonly client: ClientFacts
}

/** The context of a client who follows the default method with the built-in catalogue. */
export function defaultContext(
  client: Partial<ClientFacts> & Pick<ClientFacts, 'trainingAgeMonths'>,
): PlanContext {
  return {
    catalogue: BUILT_IN_CATALOGUE,
    method: STEADY_MIDDLE,
    client: { modes: {}, bands: {}, equipment: [], credits: {}, ...client },
  }
}

type SomeFacts = Partial<ClientFacts> & Pick<ClientFacts, 'trainingAgeMonths'>

const contexts = remembered(
  (_client: SomeFacts, _catalogue: Catalogue) => new WeakMap<Method, PlanContext>(),
)

/** The context of a client who follows a method, with the coach's own library where there is one; the same for the same. */
export function contextWith(
  method: Method,
  client: SomeFacts,
  catalogue: Catalogue = BUILT_IN_CATALOGUE,
): PlanContext {
  const known = contexts(client, catalogue)
  const school = schoolOf(method)
  const own = school === method.school ? method : { ...method, school }
  const context = known.get(method) ?? { ...defaultContext(client), method: own, catalogue }
  known.set(method, context)
  return context
}

const withoutTimes = remembered(
  ({ times: _, ...client }: ClientFacts, context: PlanContext): PlanContext => ({
    ...context,
    client,
  }),
)

/** The same context without what the log says of the client's minutes: what is asked for, and what estimates are held against. */
export const asEstimated = (context: PlanContext): PlanContext =>
  context.client.times ? withoutTimes(context.client, context) : context

/** How much a group matters to the client. */
export function modeOf(context: PlanContext, group: Group): Mode {
  return context.client.modes[group] ?? DEFAULT_MODES[group]
}

/** Floor, target and ceiling of a group for the client; the coach's own numbers come first. */
export function bandOf(context: PlanContext, group: Group): Band {
  const { client, method } = context
  const known = bandsOf(client, method)
  const band =
    known.get(group) ??
    inPhase(client.phase, group, client.bands[group] ?? usualBand(context, group))
  known.set(group, band)
  return band
}

/** What follows from training age, mode and method, where the coach has said nothing of a muscle. */
function usualBand(context: PlanContext, group: Group): Band {
  const { client, method } = context
  return within(
    client.scope,
    group,
    hindered(
      bandFor(group, {
        age: trainingAge(client.trainingAgeMonths),
        mode: modeOf(context, group),
        school: method.school,
        scale: method.dose.bandScale,
      }),
      hindrancesOf(client),
    ),
  )
}

/** A band with as much of target and ceiling as the phase has of arm work; the floor stays. */
function inPhase(phase: Phase | undefined, group: Group, band: Band): Band {
  const share = phase?.volume ?? 1
  return share === 1 || !(ARM_GROUPS as readonly Group[]).includes(group)
    ? band
    : scaled(band, share)
}

/** A band without its floor where the muscle is outside what the plan is for. */
function within(scope: PlanScope = 'whole_body', group: Group, band: Band): Band {
  return OUTSIDE[scope](group) ? { ...band, floor: 0 } : band
}

const LOWERED_BY: Readonly<Record<Hindrance, number>> = {
  energy_deficit: 0.9,
  age_50: 1,
  age_60: 0.85,
  short_sleep: 0.9,
}
const LEAST_FACTOR = 0.7

/** Target and ceiling as far down as what hinders the client asks for; the floor stays. */
function hindered(band: Band, by: readonly Hindrance[] = []): Band {
  const factor = Math.max(
    LEAST_FACTOR,
    by.reduce((product, hindrance) => product * LOWERED_BY[hindrance], 1),
  )
  return factor === 1 ? band : scaled(band, factor)
}

const scaled = ({ floor, target, ceiling }: Band, factor: number): Band => ({
  floor,
  target: Math.max(floor, target * factor),
  ceiling: Math.max(floor, ceiling * factor),
})

const bandsOf = remembered((_client: ClientFacts, _method: Method) => new Map<Group, Band>())

/** The purpose an exercise is planned with, after what the client's own credits change. */
export function intentFor(
  context: PlanContext,
  exercise: Exercise,
  intentId: string | null,
): Intent {
  const intent = requireIntent(exercise, intentId)
  const own = creditsFor(context.client.credits, exercise.id, intent.id)
  return own ? { ...intent, credits: own } : intent
}

const LEAST_FREQUENCY: Readonly<Record<Mode, number>> = { build: 1.5, keep: 1, maintain: 0.75 }

/** Exposures per 7 days a group should have at least: what the phase asks for, the client's own figure, the method's for arms in build, else by mode. Source: docs/methods.md#bands. */
export function leastFrequency(context: PlanContext, group: Group): number {
  const mode = modeOf(context, group)
  const isArm = (ARM_GROUPS as readonly Group[]).includes(group)
  return (
    frequencyIn(context.client.phase, group) ??
    context.client.frequencyMin?.[group] ??
    (isArm && mode === 'build' ? context.method.dose.frequencyMin : LEAST_FREQUENCY[mode])
  )
}

/**
 * Wanted extensor sets per flexor set: the client's own wish, else what follows from the bands.
 *
 * Edge:   the method's figure is for arms that are both built up; where one has a lower or higher target than that, the
 *         wish moves in the same proportion.
 * Source: docs/methods.md#ratio.
 */
export function ratioWishOf(context: PlanContext): number {
  const { client, method } = context
  if (client.ratioWish !== undefined) return client.ratioWish
  const usual = (group: Group) =>
    bandFor(group, {
      age: trainingAge(client.trainingAgeMonths),
      mode: 'build',
      school: method.school,
      scale: method.dose.bandScale,
    }).target
  const share = (group: Group) => bandOf(context, group).target / usual(group)
  const [extensors, flexors] = [share('triceps'), share('biceps')]
  return extensors > 0 && flexors > 0 ? (method.ratioWish * extensors) / flexors : method.ratioWish
}

/** Counted sets a group may have in one session by the client's own figure or, for arms, the method's; undefined where neither says. */
export function sessionMaxOf({ client, method }: PlanContext, group: Group): number | undefined {
  return (
    client.sessionMax?.[group] ??
    ((ARM_GROUPS as readonly Group[]).includes(group) ? method.dose.maxSetsPerExposure : undefined)
  )
}
