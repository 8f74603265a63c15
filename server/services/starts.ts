import type { ClientId } from '#core/base'
import type { ClientStarts } from '#core/follow/floor'
import { ProfileContract } from '#shared/contracts/profile'
import { database } from '../db/database'
import { profileOf } from '../db/queries/profiles'
import type { Coach } from './signIn'

/** When a client begins: by weekday, as the profile has it, and as agreed for single dates. Edge: of no client of this coach nothing is known. */
export async function clientStarts(
  coach: Pick<Coach, 'id'>,
  client: ClientId,
): Promise<ClientStarts> {
  const held = await profileOf(database(), coach.id, client)
  if (!held) return { usual: new Map(), agreed: {} }
  const { days } = ProfileContract.parse(held.profile)
  return {
    usual: new Map(days.map(({ weekday, start }) => [weekday, start])),
    agreed: held.agreed,
  }
}
