import { type ClientId, failure, type PlainDate, type Result, success } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import { database } from '../db/database'
import {
  archivedClients,
  clientName,
  deleteClient,
  setArchived,
  updateMarks,
} from '../db/queries/clients'
import type { Coach } from './signIn'
import { currentTime } from '../clock'

const DONE = { isDone: true } as const
const NOT_FOUND: Problem = { kind: 'not-found', what: 'client' }

/** Clients that are put away. */
export async function archive(coach: Coach) {
  const clients = await archivedClients(database(), coach.id)
  return {
    clients: clients.map(({ archivedAt, ...client }) => ({
      ...client,
      archivedAt: archivedAt.toISOString(),
    })),
  }
}

/** Puts a client away. Nothing is lost, and nothing of hers is shown on the roster. */
export async function archiveClient(
  coach: Coach,
  id: ClientId,
): Promise<Result<typeof DONE, Problem>> {
  return (await setArchived(database(), coach.id, id, currentTime()))
    ? success(DONE)
    : failure(NOT_FOUND)
}

/** Takes a client back. */
export async function restoreClient(
  coach: Coach,
  id: ClientId,
): Promise<Result<typeof DONE, Problem>> {
  return (await setArchived(database(), coach.id, id, null)) ? success(DONE) : failure(NOT_FOUND)
}

/** Erases an archived client for good, once her name has been typed to confirm it. */
export async function eraseClient(
  coach: Coach,
  id: ClientId,
  typed: string,
): Promise<Result<typeof DONE, Problem>> {
  const client = await clientName(database(), coach.id, id)
  if (!client) return failure(NOT_FOUND)
  if (!client.archivedAt)
    return failure({
      kind: 'invalid',
      errors: [
        {
          pointer: '',
          kind: 'custom',
          detail: 'The client is not archived. Archive first, then erase.',
        },
      ],
    })
  if (typed.trim() !== client.name)
    return failure({ kind: 'not-confirmed', wanted: `the client’s name, ${client.name},` })
  await deleteClient(database(), coach.id, id)
  return success(DONE)
}

/** The coach's marks on a client: flagged, and out of sight until a day. */
export async function markClient(
  coach: Coach,
  id: ClientId,
  marks: { isFlagged: boolean; laterUntil: PlainDate | null },
): Promise<Result<typeof DONE, Problem>> {
  return (await updateMarks(database(), coach.id, id, marks)) ? success(DONE) : failure(NOT_FOUND)
}
