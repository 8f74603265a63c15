import { randomUUID } from 'node:crypto'
import { addDays, blockId, type ClientId, clientId, failure, isoWeekday, type PlainDate, type Result, success } from '#core/base'
import { starterPlan } from '#core/block'
import type { Problem } from '#shared/contracts/problem'
import type { Profile } from '#shared/contracts/profile'
import { factsOf } from '#shared/contracts/profileFacts'
import { database } from '../db/database'
import { insertClient, profileOf, updateProfile } from '../db/queries/profiles'
import type { Coach } from './signIn'

/** A new client with an empty block on the days there is time for; it begins with this week's Monday, as its weekdays do. */
export async function addClient(coach: Coach, profile: Profile, today: PlainDate): Promise<Result<{ id: ClientId }, Problem>> {
  const id = clientId(randomUUID())
  await insertClient(database(), { coachId: coach.id, id, profile, facts: factsOf(profile), blockId: blockId(randomUUID()), plan: starterPlan(profile.days, addDays(today, 1 - isoWeekday(today))) })
  return success({ id })
}

/** The profile of a client; another coach's client is not found. */
export async function profile(coach: Coach, id: ClientId): Promise<Result<Profile, Problem>> {
  const found = await profileOf(database(), coach.id, id)
  return found ? success(found.profile) : failure({ kind: 'not-found', what: 'client' })
}

/** Changes a profile; plans stay as they are and are reckoned with what is known now. */
export async function saveProfile(coach: Coach, id: ClientId, changed: Profile): Promise<Result<{ id: ClientId }, Problem>> {
  const found = await profileOf(database(), coach.id, id)
  if (!found) return failure({ kind: 'not-found', what: 'client' })
  await updateProfile(database(), { coachId: coach.id, id, profile: changed, facts: factsOf(changed, found.facts) })
  return success({ id })
}
