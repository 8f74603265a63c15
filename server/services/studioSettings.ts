import type { CoachId } from '#core/base'
import { type Catalogue, catalogueWith, type Library } from '#core/plan/catalogue'
import {
  type ClientFacts,
  contextWith,
  type Method,
  METHODS,
  type PlanContext,
  STEADY_MIDDLE,
} from '#core/plan/method'
import type { Database } from '../db/database'
import { libraryOf, ownMethods } from '../db/queries/studioSettings'

/** What a coach's plans are computed with besides plan and client: her methods and her library. */
export interface StudioSettings {
  readonly methods: ReadonlyMap<
    string,
    { readonly method: Method; readonly basedOn: string | null }
  >
  readonly library: Library
  readonly retired: readonly string[]
  readonly catalogue: Catalogue
  /** Changes whenever any of it does. */
  readonly key: string
}

/** Methods and library of a coach. */
export async function studioSettings(db: Database, coachId: CoachId): Promise<StudioSettings> {
  const [own, { exercises, credits }] = await Promise.all([
    ownMethods(db, coachId),
    libraryOf(db, coachId),
  ])
  const library: Library = { exercises: exercises.map(({ exercise }) => exercise), credits }
  return {
    methods: new Map(
      [...METHODS.map(method => ({ method, basedOn: null })), ...own].map(entry => [
        entry.method.id,
        entry,
      ]),
    ),
    library,
    retired: exercises.filter(({ isRetired }) => isRetired).map(({ exercise }) => exercise.id),
    catalogue: catalogueWith(library),
    key: JSON.stringify([own, library]),
  }
}

/** The method with an id; one that is gone is the default. */
export function followedMethod(
  { methods }: StudioSettings,
  id: string,
): { readonly method: Method; readonly basedOn: string | null } {
  return methods.get(id) ?? { method: STEADY_MIDDLE, basedOn: null }
}

/** The context a client's plan is computed in. */
export function contextIn(
  settings: StudioSettings,
  methodId: string,
  facts: ClientFacts,
): PlanContext {
  return contextWith(followedMethod(settings, methodId).method, facts, settings.catalogue)
}
