import { isDeepStrictEqual } from 'node:util'
import { type ClientId, failure, type Result, success } from '#core/base'
import type { ClientFacts } from '#core/plan/method'
import type { Problem } from '#shared/contracts/problem'
import { ProfileContract } from '#shared/contracts/profile'
import type { Targets } from '#shared/contracts/targets'
import { database } from '../db/database'
import { serverToday } from '../clock'
import { dropEmphasis, emphasisOf, lockedFacts, updateFacts } from '../db/queries/clients'
import { changedMeanwhile } from './changedMeanwhile'
import type { Coach } from './signIn'

/** The targets as their page shows them. */
function shownTargets(facts: ClientFacts, modes: Targets['modes']): Targets {
  const { bands, headFloors = {}, frequencyMin = {}, sessionMax = {}, jointCeilings = {} } = facts
  const ratioWish = facts.ratioWish ?? null
  return { modes, bands, headFloors, frequencyMin, sessionMax, jointCeilings, ratioWish }
}

/**
 * Keeps a coach's own targets of a client; modes are part of the profile too and change in both.
 *
 * Edge: `was` is what the page showed; what was changed elsewhere since is kept, and where both changed one target it is refused.
 */
export async function saveTargets(
  coach: Coach,
  id: ClientId,
  mine: Targets,
  was?: Targets,
): Promise<Result<{ id: ClientId }, Problem>> {
  return database().transaction(async (tx): Promise<Result<{ id: ClientId }, Problem>> => {
    const found = await lockedFacts(tx, coach.id, id)
    if (!found) return failure({ kind: 'not-found', what: 'client' })
    const profile = ProfileContract.parse(found.profile)
    const today = serverToday()
    const emphasis = await emphasisOf(tx, coach.id, id, today)
    const now = shownTargets(found.facts, { ...found.facts.modes, ...emphasis })
    const met = changedMeanwhile({ was: was ?? now, mine, now })
    if (!met.ok) return met
    const targets = met.value
    // The page shows the emphasis of today's block; saved as it was shown, it stays the block's.
    const isAsShown = isDeepStrictEqual(targets.modes, now.modes)
    const modes = isAsShown ? profile.modes : targets.modes
    await updateFacts(tx, coach.id, id, {
      facts: withTargets(found.facts, { ...targets, modes }),
      profile: { ...profile, modes },
    })
    if (!isAsShown) await dropEmphasis(tx, coach.id, id, today)
    return success({ id })
  })
}

function withTargets(facts: ClientFacts, { ratioWish, ...targets }: Targets): ClientFacts {
  const { ratioWish: _before, ...others } = facts
  return { ...others, ...targets, ...(ratioWish !== null && { ratioWish }) }
}
