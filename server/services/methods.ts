import { randomUUID } from 'node:crypto'
import { failure, type Result, success } from '#core/base'
import type { Method } from '#core/plan/method'
import type { OwnMethodView } from '#shared/contracts/method'
import type { Problem } from '#shared/contracts/problem'
import { database } from '../db/database'
import { followers } from '../db/queries/clients'
import { deleteMethod, insertMethod, ownMethods, updateMethod } from '../db/queries/studioSettings'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

const NOT_FOUND: Problem = { kind: 'not-found', what: 'method' }

/** The coach's own methods, each with who follows it. */
export async function methods(coach: Coach): Promise<{ methods: OwnMethodView[] }> {
  const [own, clients] = await Promise.all([
    ownMethods(database(), coach.id),
    followers(database(), coach.id),
  ])
  return {
    methods: own.map(({ method, basedOn }) => ({
      method,
      basedOn,
      clients: clients
        .filter(client => client.method === method.id)
        .map(({ id, name }) => ({ id, name })),
    })),
  }
}

/** A copy under a name of its own; a copy of a copy is still compared with the preset both come from. */
export async function copyMethod(
  coach: Coach,
  { from, name }: { from: string; name: string },
): Promise<Result<{ id: string }, Problem>> {
  const { methods: known } = await studioSettings(database(), coach.id)
  const original = known.get(from)
  if (!original) return failure(NOT_FOUND)
  const taken = nameTaken(known, name)
  if (taken) return taken
  const id = `own-${randomUUID()}`
  await insertMethod(database(), coach.id, original.basedOn ?? from, {
    ...original.method,
    id,
    name,
  })
  return success({ id })
}

/** Changes a method of the coach's own; plans of its followers are reckoned with it from now on. */
export async function saveMethod(
  coach: Coach,
  id: string,
  method: Method,
): Promise<Result<{ id: string }, Problem>> {
  const { methods: known } = await studioSettings(database(), coach.id)
  if (!known.has(id)) return failure(NOT_FOUND)
  const taken = nameTaken(known, method.name, id)
  if (taken) return taken
  return (await updateMethod(database(), coach.id, { ...method, id }))
    ? success({ id })
    : failure(NOT_FOUND)
}

function nameTaken(
  known: ReadonlyMap<string, { readonly method: Method }>,
  name: string,
  except?: string,
): Result<never, Problem> | undefined {
  const other = [...known.values()].find(
    ({ method }) => method.id !== except && method.name.toLowerCase() === name.toLowerCase(),
  )
  return (
    other &&
    failure({
      kind: 'invalid',
      errors: [
        {
          pointer: '/name',
          kind: 'custom',
          detail: `name ${JSON.stringify(name)} is taken by another method; choose another.`,
        },
      ],
    })
  )
}

/** Removes a method nobody follows. */
export async function removeMethod(
  coach: Coach,
  id: string,
): Promise<Result<{ id: string }, Problem>> {
  const found = (await methods(coach)).methods.find(({ method }) => method.id === id)
  if (!found) return failure(NOT_FOUND)
  if (found.clients.length > 0)
    return failure({ kind: 'in-use', what: 'method', where: found.clients.map(({ name }) => name) })
  await deleteMethod(database(), coach.id, id)
  return success({ id })
}
