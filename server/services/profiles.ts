import { randomUUID } from 'node:crypto'
import {
  blockId,
  type ClientId,
  clientId,
  failure,
  mondayFrom,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { starterPlan } from '#core/plan/block'
import type { Catalogue } from '#core/plan/catalogue'
import { withSides } from '#core/plan/method'
import type { FieldError, Problem } from '#shared/contracts/problem'
import {
  type FollowBody,
  type Profile,
  ProfileContract,
  type SidesBody,
} from '#shared/contracts/profile'
import { factsOf } from '#shared/contracts/profileFacts'
import { serverToday } from '../clock'
import { database } from '../db/database'
import { dropEmphasis, followers, lockedFacts, updateFacts } from '../db/queries/clients'
import { insertClient, profileOf, updateProfile } from '../db/queries/profiles'
import { changedMeanwhile } from './changedMeanwhile'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

/** A new client with an empty block on the days there is time for; it begins with this week's Monday, as its weekdays do. */
export async function addClient(
  coach: Coach,
  profile: Profile,
  today: PlainDate,
): Promise<Result<{ id: ClientId }, Problem>> {
  const unknown = await unknownNames(coach, profile, null)
  if (unknown) return unknown
  const id = clientId(randomUUID())
  await insertClient(database(), {
    coachId: coach.id,
    id,
    profile,
    facts: factsOf(profile),
    blockId: blockId(randomUUID()),
    plan: starterPlan(profile.days, mondayFrom(today)),
  })
  return success({ id })
}

/** The profile of a client; another coach's client is not found. */
export async function profile(coach: Coach, id: ClientId): Promise<Result<Profile, Problem>> {
  const found = await profileOf(database(), coach.id, id)
  return found ? success(found.profile) : failure({ kind: 'not-found', what: 'client' })
}

/**
 * Changes a profile; plans stay as they are and are reckoned with what is known now.
 *
 * Edge: `was` is the profile as the form had it; what was changed elsewhere since is kept, and where both changed one field the save
 *       is refused with it. Left out, everything is as it is wanted.
 */
export async function saveProfile(
  coach: Coach,
  id: ClientId,
  mine: Profile,
  was?: Profile,
): Promise<Result<{ id: ClientId }, Problem>> {
  return database().transaction(async (tx): Promise<Result<{ id: ClientId }, Problem>> => {
    const found = await lockedFacts(tx, coach.id, id)
    if (!found) return failure({ kind: 'not-found', what: 'client' })
    const unknown = await unknownNames(coach, mine, id)
    if (unknown) return unknown
    const now = ProfileContract.parse(found.profile)
    const met = changedMeanwhile({ was: was ?? now, mine, now })
    if (!met.ok) return met
    const changed = ProfileContract.parse(met.value)
    await updateProfile(tx, {
      coachId: coach.id,
      id,
      profile: changed,
      facts: factsOf(changed, found.facts),
    })
    if (JSON.stringify(changed.modes) !== JSON.stringify(now.modes))
      await dropEmphasis(tx, coach.id, id, serverToday())
    return success({ id })
  })
}

/** The client follows another of the coach's methods from now on; plans stay as they are and are read by it. */
export async function followMethod(
  coach: Coach,
  id: ClientId,
  { method }: FollowBody,
): Promise<Result<{ id: ClientId }, Problem>> {
  const found = await profileOf(database(), coach.id, id)
  return found
    ? saveProfile(coach, id, { ...found.profile, method })
    : failure({ kind: 'not-found', what: 'client' })
}

/** Puts an exercise on the list of those the client is not to be given; saying it twice changes nothing. */
export async function avoidExercise(
  coach: Coach,
  id: ClientId,
  exercise: string,
): Promise<Result<{ id: ClientId }, Problem>> {
  const { catalogue } = await studioSettings(database(), coach.id)
  return database().transaction(async (tx): Promise<Result<{ id: ClientId }, Problem>> => {
    const found = await lockedFacts(tx, coach.id, id)
    if (!found) return failure({ kind: 'not-found', what: 'client' })
    if (!catalogue.has(exercise))
      return failure({
        kind: 'invalid',
        errors: [
          {
            pointer: '/exercise',
            kind: 'custom',
            detail: 'exercise is not in your library; choose one that is.',
          },
        ],
      })
    const before = ProfileContract.parse(found.profile)
    const avoid = [...new Set([...before.avoid, exercise])]
    const keep = before.keep.filter(kept => kept !== exercise)
    await updateFacts(tx, coach.id, id, {
      facts: { ...found.facts, avoid, keep },
      profile: { ...before, avoid, keep },
    })
    return success({ id })
  })
}

/** How left and right of an exercise are done from now on; null leaves it to the plan. */
export async function setSides(
  coach: Coach,
  id: ClientId,
  { exercise, sides }: SidesBody,
): Promise<Result<{ id: ClientId }, Problem>> {
  const { catalogue } = await studioSettings(database(), coach.id)
  return database().transaction(async (tx): Promise<Result<{ id: ClientId }, Problem>> => {
    const found = await lockedFacts(tx, coach.id, id)
    if (!found || !catalogue.has(exercise))
      return failure({ kind: 'not-found', what: found ? 'exercise' : 'client' })
    const profile = ProfileContract.parse(found.profile)
    const exerciseRules = withSides(profile.exerciseRules, exercise, sides)
    await updateFacts(tx, coach.id, id, {
      facts: { ...found.facts, exerciseRules },
      profile: { ...profile, exerciseRules },
    })
    return success({ id })
  })
}

/** Rows of a profile's lists that name an exercise the library does not have. */
function unknownExercises(
  { avoid, keep, exerciseRules }: Pick<Profile, 'avoid' | 'keep' | 'exerciseRules'>,
  catalogue: Catalogue,
): FieldError[] {
  const lists = {
    avoid: avoid.map(one => [one]),
    keep: keep.map(one => [one]),
    exerciseRules: exerciseRules.map(({ exercise, instead }) =>
      instead ? [exercise, instead] : [exercise],
    ),
  }
  return Object.entries(lists).flatMap(([list, rows]) =>
    rows.flatMap((ids, at) =>
      ids.every(one => catalogue.has(one))
        ? []
        : [
            {
              pointer: `/${list}/${at}`,
              kind: 'custom',
              detail: `${list}[${at + 1}] names an exercise that the library does not have; choose one from the list.`,
            },
          ],
    ),
  )
}

/** Methods and exercises a profile names that the coach does not have, and a name that another client of hers has. */
async function unknownNames(
  coach: Coach,
  { name, method, avoid, keep, exerciseRules }: Profile,
  id: ClientId | null,
): Promise<Result<never, Problem> | undefined> {
  const { methods, catalogue } = await studioSettings(database(), coach.id)
  const errors = unknownExercises({ avoid, keep, exerciseRules }, catalogue)
  const others = await followers(database(), coach.id)
  if (others.some(other => other.id !== id && other.name.toLowerCase() === name.toLowerCase()))
    errors.unshift({
      pointer: '/name',
      kind: 'custom',
      detail: 'name is another client’s already; add something that tells the two apart.',
    })
  if (!methods.has(method))
    errors.unshift({
      pointer: '/method',
      kind: 'custom',
      detail: 'method must be one of the methods on the Methods page.',
    })
  return errors.length > 0 ? failure({ kind: 'invalid', errors }) : undefined
}
