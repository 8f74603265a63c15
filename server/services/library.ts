import { randomUUID } from 'node:crypto'
import { type ClientId, failure, type Result, success } from '#core/base'
import { exercisesUsed } from '#core/plan/block'
import {
  type Catalogue,
  catalogueWith,
  creditKey,
  type CreditChanges,
  type Exercise,
  OWN_EXERCISE_PREFIX,
} from '#core/plan/catalogue'
import { type CreditEffect, creditEffects } from '#core/count/ledger'
import type { ClientFacts } from '#core/plan/method'
import type { ChangeCredits, ClientCreditsView, LibraryView } from '#shared/contracts/library'
import type { Problem } from '#shared/contracts/problem'
import { database } from '../db/database'
import { clientCredits, lockedFacts, plannedClients, updateFacts } from '../db/queries/clients'
import { putCredits, putExercise, setRetired } from '../db/queries/studioSettings'
import type { Coach } from './signIn'
import { contextIn, type StudioSettings, studioSettings } from './studioSettings'
import { currentTime, serverToday } from '../clock'

const NOT_FOUND: Problem = { kind: 'not-found', what: 'exercise' }

/** What counts otherwise for single clients. */
export async function creditsOfClients(coach: Coach): Promise<ClientCreditsView> {
  return { clients: await clientCredits(database(), coach.id) }
}

/** What the coach has added and changed for everyone. */
export async function library(coach: Coach): Promise<LibraryView> {
  const { library: own, retired } = await studioSettings(database(), coach.id)
  return { library: own, retired: [...retired] }
}

function changed(
  changes: CreditChanges,
  { intent, credits }: ChangeCredits,
  exercise: string,
): CreditChanges {
  const key = creditKey(exercise, intent)
  const { [key]: _before, ...others } = changes
  return credits === null ? others : { ...others, [key]: credits }
}

function knownPurpose(catalogue: Catalogue, exercise: string, intent: string | null): boolean {
  const found = catalogue.get(exercise)
  return found !== undefined && (intent === null || found.intents.some(({ id }) => id === intent))
}

/** What a change of credits would do to every client's weekly sets; nothing is written. */
export async function creditEffect(
  coach: Coach,
  exercise: string,
  change: ChangeCredits,
): Promise<Result<{ effects: CreditEffect[] }, Problem>> {
  const [settings, clients] = await Promise.all([
    studioSettings(database(), coach.id),
    plannedClients(database(), coach.id, serverToday()),
  ])
  if (!knownPurpose(settings.catalogue, exercise, change.intent)) return failure(NOT_FOUND)
  if (change.client !== null && !clients.some(({ id }) => id === change.client))
    return failure({ kind: 'not-found', what: 'client' })
  const forAll: StudioSettings = {
    ...settings,
    catalogue: catalogueWith({
      ...settings.library,
      credits: changed(settings.library.credits, change, exercise),
    }),
  }
  return success({
    effects: [
      ...creditEffects(
        clients.flatMap(({ id, method, facts, plan }) => {
          if (!plan || (change.client !== null && change.client !== id)) return []
          const after =
            change.client === null
              ? contextIn(forAll, method, facts)
              : contextIn(
                  settings,
                  method,
                  withCredits(facts, changed(facts.credits, change, exercise)),
                )
          return [{ rotation: plan.rotation, before: contextIn(settings, method, facts), after }]
        }),
      ),
    ],
  })
}

function withCredits(facts: ClientFacts, credits: CreditChanges): ClientFacts {
  return { ...facts, credits }
}

/** Changes credits for everyone or for one client, and tells what that did. */
export async function changeCredits(
  coach: Coach,
  exercise: string,
  change: ChangeCredits,
): Promise<Result<{ effects: CreditEffect[] }, Problem>> {
  const effect = await creditEffect(coach, exercise, change)
  if (!effect.ok) return effect
  const { client } = change
  if (client === null)
    await putCredits(database(), coach.id, creditKey(exercise, change.intent), change.credits)
  else {
    await database().transaction(async tx => {
      const found = await lockedFacts(tx, coach.id, client as ClientId)
      if (found)
        await updateFacts(tx, coach.id, client as ClientId, {
          facts: withCredits(found.facts, changed(found.facts.credits, change, exercise)),
        })
    })
  }
  return effect
}

function nameTaken(
  settings: StudioSettings,
  name: string,
  except?: string,
): Result<never, Problem> | undefined {
  const isTaken = [...settings.catalogue.values()].some(
    exercise =>
      exercise.id !== except &&
      !settings.retired.includes(exercise.id) &&
      exercise.name.toLowerCase() === name.toLowerCase(),
  )
  return isTaken
    ? failure({
        kind: 'invalid',
        errors: [
          {
            pointer: '/name',
            kind: 'custom',
            detail: `name ${JSON.stringify(name)} is taken by another exercise; choose another.`,
          },
        ],
      })
    : undefined
}

/** Adds an exercise to the coach's library. */
export async function addExercise(
  coach: Coach,
  exercise: Exercise,
): Promise<Result<{ id: string }, Problem>> {
  const taken = nameTaken(await studioSettings(database(), coach.id), exercise.name)
  if (taken) return taken
  const id = `${OWN_EXERCISE_PREFIX}${randomUUID()}`
  await putExercise(database(), coach.id, { ...exercise, id })
  return success({ id })
}

/** Changes an exercise of the coach's own. */
export async function saveExercise(
  coach: Coach,
  id: string,
  exercise: Exercise,
): Promise<Result<{ id: string }, Problem>> {
  const settings = await studioSettings(database(), coach.id)
  if (!settings.library.exercises.some(own => own.id === id)) return failure(NOT_FOUND)
  const taken = nameTaken(settings, exercise.name, id)
  if (taken) return taken
  await putExercise(database(), coach.id, { ...exercise, id })
  return success({ id })
}

/** Takes an exercise of the coach's own out of the library, unless a client's plan uses it. */
export async function removeExercise(
  coach: Coach,
  id: string,
): Promise<Result<{ id: string }, Problem>> {
  const [settings, clients] = await Promise.all([
    studioSettings(database(), coach.id),
    plannedClients(database(), coach.id, serverToday()),
  ])
  if (!settings.library.exercises.some(own => own.id === id)) return failure(NOT_FOUND)
  const where = clients.flatMap(({ name, plan }) =>
    plan && exercisesUsed(plan).has(id) ? [`${name}: ${plan.title}`] : [],
  )
  if (where.length > 0) return failure({ kind: 'in-use', what: 'exercise', where })
  await setRetired(database(), coach.id, id, currentTime())
  return success({ id })
}
