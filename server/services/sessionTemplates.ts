import { randomUUID } from 'node:crypto'
import { failure, type Result, success } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import type { KeepSessionBody, OwnSessionTemplate } from '#shared/contracts/sessionTemplate'
import { database } from '../db/database'
import {
  deleteSessionTemplate,
  insertSessionTemplate,
  sessionTemplatesOf,
} from '../db/queries/sessionTemplates'
import type { Coach } from './signIn'

/** More templates than a list can be looked through. */
const MOST_TEMPLATES = 200

/** The coach's own session templates. */
export async function sessionTemplates(coach: Coach): Promise<{ templates: OwnSessionTemplate[] }> {
  return { templates: await sessionTemplatesOf(database(), coach.id) }
}

function refused(detail: string): Result<never, Problem> {
  return failure({ kind: 'invalid', errors: [{ pointer: '/name', kind: 'custom', detail }] })
}

/** Keeps a session as a template under a name of its own. */
export async function keepSession(
  coach: Coach,
  { name, reason, content }: KeepSessionBody,
): Promise<Result<{ id: string }, Problem>> {
  const own = await sessionTemplatesOf(database(), coach.id)
  if (own.length >= MOST_TEMPLATES)
    return refused(
      `name cannot be added: ${MOST_TEMPLATES} templates are kept already; remove one first.`,
    )
  const id = randomUUID()
  return (await insertSessionTemplate(database(), coach.id, { id, name, reason, content }))
    ? success({ id })
    : refused(`name ${JSON.stringify(name)} is taken by another template; choose another.`)
}

/** Removes a template; sessions that were made from it stay as they are. */
export async function removeSessionTemplate(
  coach: Coach,
  id: string,
): Promise<Result<{ id: string }, Problem>> {
  return (await deleteSessionTemplate(database(), coach.id, id))
    ? success({ id })
    : failure({ kind: 'not-found', what: 'template' })
}
