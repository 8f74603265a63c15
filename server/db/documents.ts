import { ClientFactsContract } from '#shared/contracts/client'
import { PlanContract, SessionContract } from '#shared/contracts/plan'
import { CarriedPlanContract } from '#shared/contracts/planTemplate'
import { digestOf } from '../digest'

/** Documents kept at a time, of each kind; a studio's open plans and sent sessions fit. */
const MOST_KEPT = 1000

function frozen<T>(value: T): T {
  if (value !== null && typeof value === 'object' && !Object.isFrozen(value)) {
    Object.freeze(value)
    Object.values(value).forEach(frozen)
  }
  return value
}

/**
 * Reads documents that say the same into one and the same object, never to be changed: read once, and what was computed
 * from it by whoever asked last is found again. The ones not asked for longest are let go.
 */
export function readOnce<Raw, Read>(read: (raw: Raw) => Read): (raw: Raw) => Read {
  const known = new Map<string, Read>()
  return raw => {
    const key = digestOf(raw)
    const value = known.get(key) ?? frozen(read(raw))
    known.delete(key)
    known.set(key, value)
    if (known.size > MOST_KEPT) known.delete(known.keys().next().value!)
    return value
  }
}

/** Documents are checked on their way out too: what an older program wrote is caught here, not on a screen. */
export const planDocument = readOnce((raw: unknown) => PlanContract.parse(raw))
export const sessionDocument = readOnce((raw: unknown) => SessionContract.parse(raw))
export const carriedDocument = readOnce((raw: unknown) => CarriedPlanContract.parse(raw))
export const factsDocument = readOnce((raw: unknown) => ClientFactsContract.parse(raw))
