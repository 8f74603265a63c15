import type { Catalogue, Credits, Equipment, Exercise, Group, Intent } from '../catalogue'
import { BUILT_IN_CATALOGUE, requireIntent } from '../catalogue'
import { type Band, bandFor, DEFAULT_MODES, type Mode, trainingAge } from './band'
import { type Method, STEADY_MIDDLE } from './method'

/** What is known of a client and bears on the numbers. Left out means the default. */
export interface ClientFacts {
  readonly trainingAgeMonths: number
  readonly modes: Readonly<Partial<Record<Group, Mode>>>
  readonly bands: Readonly<Partial<Record<Group, Band>>>
  /** Everything there is to train with; empty means a full gym. */
  readonly equipment: readonly Equipment[]
  /** Credits that hold for this client, by exercise id, replacing those of every intent. */
  readonly credits: Readonly<Record<string, Credits>>
}

/** All that a plan is computed with besides the plan itself. */
export interface PlanContext {
  readonly catalogue: Catalogue
  readonly method: Method
  readonly client: ClientFacts
}

/** The context of a client who follows the default method with the built-in catalogue. */
export function defaultContext(client: Partial<ClientFacts> & Pick<ClientFacts, 'trainingAgeMonths'>): PlanContext {
  return {
    catalogue: BUILT_IN_CATALOGUE, method: STEADY_MIDDLE,
    client: { modes: {}, bands: {}, equipment: [], credits: {}, ...client },
  }
}

/** How much a group matters to the client. */
export function modeOf(context: PlanContext, group: Group): Mode {
  return context.client.modes[group] ?? DEFAULT_MODES[group]
}

/** Floor, target and ceiling of a group for the client; the coach's own numbers come first. */
export function bandOf(context: PlanContext, group: Group): Band {
  const { client, method } = context
  return client.bands[group]
    ?? bandFor(group, { age: trainingAge(client.trainingAgeMonths), mode: modeOf(context, group), school: method.school, scale: method.bandScale })
}

/** The purpose an exercise is planned with, after what the client's own credits change. */
export function intentFor(context: PlanContext, exercise: Exercise, intentId: string | null): Intent {
  const intent = requireIntent(exercise, intentId)
  const own = context.client.credits[exercise.id]
  return own ? { ...intent, credits: own } : intent
}
