import { type ClientId, failure, type Result, success } from '#core/base'
import { attentionWords, dayName } from '#core/format'
import { rotationStrip } from '#core/ledger'
import { contextWith, methodById } from '#core/method'
import type { ClientView, RosterEntry, RosterView } from '#shared/contracts/client'
import type { Problem } from '#shared/contracts/problem'
import { database } from '../db/database'
import { clientOf, clientsOf } from '../db/queries/clients'
import type { Coach } from './signIn'

type StoredClient = Awaited<ReturnType<typeof clientsOf>>[number]

/** All clients of a coach, each with the one-line form of the rotation. */
export async function roster(coach: Coach): Promise<RosterView> {
  const clients = await clientsOf(database(), coach.id)
  return { studio: coach.studio, clients: clients.map(rosterEntry) }
}

function rosterEntry({ id, name, about, method, facts, block }: StoredClient): RosterEntry {
  if (!block) return { id, name, about, block: null }
  const { title, startsOn, passes, rotation } = block.plan
  const { days, attention, isUnallocated, ...week } = rotationStrip(rotation, contextWith(methodById(method), facts))
  return {
    id, name, about,
    block: {
      title, startsOn, passes, ...week,
      days: days.map((day, at) => {
        const planned = rotation.days[at]
        return { ...day, name: planned ? dayName(planned) : '', isRest: planned?.role === 'rest' }
      }),
      notices: isUnallocated ? ['Nothing allocated yet'] : attention.map((item) => {
        const { subject, matter } = attentionWords(item)
        return `${subject} ${matter}`
      }),
    },
  }
}

/** One client with the block being planned; another coach's client is not found. */
export async function client(coach: Coach, clientId: ClientId): Promise<Result<ClientView, Problem>> {
  const found = await clientOf(database(), coach.id, clientId)
  if (!found) return failure({ kind: 'not-found', what: 'client' })
  return success({ ...found, block: found.block && { ...found.block, savedAt: found.block.savedAt.toISOString() } })
}
