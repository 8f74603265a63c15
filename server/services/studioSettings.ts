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
import type { Gear } from '#core/plan/estimate'
import type { Database } from '../db/database'
import { readOnce } from '../db/documents'
import { gearOf } from '../db/queries/coaches'
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
  /** What the studio can load. */
  readonly gear: Gear
  /** Changes whenever any of it does. */
  readonly key: string
}

type Rows = readonly [
  own: Awaited<ReturnType<typeof ownMethods>>,
  library: Awaited<ReturnType<typeof libraryOf>>,
  gear: Gear,
]

/** Settings that say the same are the same. */
const settingsOf = readOnce(([own, { exercises, credits }, gear]: Rows): StudioSettings => {
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
    gear,
    key: JSON.stringify([own, library, gear]),
  }
})

/** Methods and library of a coach. */
export async function studioSettings(db: Database, coachId: CoachId): Promise<StudioSettings> {
  return settingsOf(
    await Promise.all([ownMethods(db, coachId), libraryOf(db, coachId), gearOf(db, coachId)]),
  )
}

/** The method with an id; one that is gone is the default. */
export function followedMethod(
  { methods }: StudioSettings,
  id: string,
): { readonly method: Method; readonly basedOn: string | null } {
  return methods.get(id) ?? { method: STEADY_MIDDLE, basedOn: null }
}

/** Facts with what can be loaded: the client's own lines first, then the studio's. */
export const withStudioGear = (facts: ClientFacts, { gear }: StudioSettings): ClientFacts =>
  Object.keys(gear).length === 0 ? facts : { ...facts, gear: { ...gear, ...facts.gear } }

/** The context a client's plan is computed in. */
export function contextIn(
  settings: StudioSettings,
  methodId: string,
  facts: ClientFacts,
): PlanContext {
  return contextWith(
    followedMethod(settings, methodId).method,
    withStudioGear(facts, settings),
    settings.catalogue,
  )
}
