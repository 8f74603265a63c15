import { randomUUID } from 'node:crypto'
import { type ClientId, clientId, failure, type Result, success } from '#core/base'
import { exercisesUsed } from '#core/plan/block'
import { screeningState } from '#core/plan/safety'
import type { ClientDocument } from '#shared/contracts/clientDocument'
import { fieldErrors } from '#shared/contracts/fieldErrors'
import type { Problem } from '#shared/contracts/problem'
import { type Profile, ProfileContract } from '#shared/contracts/profile'
import { renewedDocument } from '#shared/exchange/renewed'
import { serverToday } from '../clock'
import { database } from '../db/database'
import { documentParts, insertDocument } from '../db/queries/clientDocument'
import { allClientIds, clientOf, followers } from '../db/queries/clients'
import { profileOf } from '../db/queries/profiles'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

/** Whether the file holds screening answers: health data go along only where they are asked for. */
export type Screened = 'without' | 'with'

/** Every client of a coach, archived ones too, with what is the studio's own. */
export async function exportStudio(coach: Coach) {
  const db = database()
  const [ids, { library, gear, methods }] = await Promise.all([
    allClientIds(db, coach.id),
    studioSettings(db, coach.id),
  ])
  const clients = await Promise.all(ids.map(id => exportClient(coach, id, 'with')))
  const refused = clients.find(result => !result.ok)
  if (refused && !refused.ok) return refused
  return success({
    format: 'tholepin-studio' as const,
    version: 1 as const,
    studio: coach.studio,
    methods: [...methods.values()].filter(({ basedOn }) => basedOn !== null),
    exercises: library.exercises,
    credits: library.credits,
    gear,
    clients: clients.flatMap(result => (result.ok ? [result.value] : [])),
  })
}

/** Everything kept of a client as one document (docs/formats.md). Taking it in again gives the same client. */
export async function exportClient(
  coach: Coach,
  id: ClientId,
  screened: Screened,
): Promise<Result<ClientDocument, Problem>> {
  const db = database()
  const [known, client] = await Promise.all([
    profileOf(db, coach.id, id),
    clientOf(db, coach.id, id, { today: serverToday() }),
  ])
  if (!known || !client) return failure({ kind: 'not-found', what: 'client' })
  const { screening, ...profile } = ProfileContract.parse(known.profile)
  const { screening: state, ...facts } = known.facts
  return success({
    format: 'tholepin-client',
    version: 2,
    method: client.method,
    ...(await documentParts(db, coach.id, id)),
    profile: screened === 'with' ? { ...profile, screening } : profile,
    facts: screened === 'with' && state ? { ...facts, screening: state } : facts,
  })
}

const UNASKED: Profile['screening'] = { answers: {}, clearance: null }

/** A name that no other client of the coach bears. */
function freeName(name: string, taken: readonly string[]): string {
  const isTaken = (candidate: string) =>
    taken.some(other => other.toLowerCase() === candidate.toLowerCase())
  if (!isTaken(name)) return name
  for (let copy = 2; ; copy++) if (!isTaken(`${name} (${copy})`)) return `${name} (${copy})`
}

/** Takes a client in from a document, as a client of her own; what the coach does not have for her is told, and nothing is written. */
export async function importClient(
  coach: Coach,
  document: ClientDocument,
): Promise<Result<{ id: ClientId }, Problem>> {
  const db = database()
  const [settings, others] = await Promise.all([
    studioSettings(db, coach.id),
    followers(db, coach.id),
  ])
  const parsed = ProfileContract.safeParse({
    screening: UNASKED,
    ...document.profile,
    method: document.method,
  })
  if (!parsed.success)
    return failure({
      kind: 'invalid',
      errors: fieldErrors(parsed.error.issues).map(error => ({
        ...error,
        pointer: `/profile${error.pointer}`,
      })),
    })
  const missing = [
    ...new Set(document.blocks.flatMap(({ plan }) => [...exercisesUsed(plan)])),
  ].filter(exercise => !settings.catalogue.has(exercise))
  const errors = [
    ...(settings.methods.has(document.method)
      ? []
      : [
          {
            pointer: '/method',
            kind: 'custom',
            detail: `method ${document.method} is not one of yours. Make it on the Methods page, or put a built-in one into the file.`,
          },
        ]),
    ...missing.map(exercise => ({
      pointer: '/blocks',
      kind: 'custom',
      detail: `blocks use the exercise ${exercise}, which is not in your library. Add it first.`,
    })),
  ]
  const blockIds = new Set(document.blocks.map(({ id }) => id))
  if (document.sessions.some(({ blockId }) => !blockIds.has(blockId)))
    errors.push({
      pointer: '/sessions',
      kind: 'custom',
      detail: 'sessions belong to a block that is not in the file.',
    })
  if (document.blocks.every(({ closedAt }) => closedAt !== null))
    errors.push({
      pointer: '/blocks',
      kind: 'custom',
      detail: 'blocks must hold at least one that is open (closedAt null).',
    })
  if (errors.length > 0) return failure({ kind: 'invalid', errors })
  const id = clientId(randomUUID())
  const profile = {
    ...parsed.data,
    name: freeName(
      parsed.data.name,
      others.map(({ name }) => name),
    ),
  }
  await insertDocument(
    db,
    {
      coachId: coach.id,
      clientId: id,
      profile,
      method: document.method,
      facts: {
        ...document.facts,
        screening: screeningState(profile.screening),
        ...(profile.days.length > 0 && { days: profile.days }),
      },
    },
    renewedDocument(document, randomUUID),
  )
  return success({ id })
}
