import { randomUUID } from 'node:crypto'
import { blockId, failure, type PlainDate, type Result, success } from '#core/base'
import { type CarriedPlan, carriedPlan } from '#core/plan/block'
import type { Problem } from '#shared/contracts/problem'
import type {
  KeepPlanBody,
  PlanTemplate,
  PlanTemplateFile,
  RenameTemplateBody,
  ReplaceTemplateBody,
  TemplateSinceView,
} from '#shared/contracts/planTemplate'
import { asOneTransaction, database } from '../db/database'
import { openBlock } from '../db/queries/blockSessions'
import { blockOf } from '../db/queries/blocks'
import {
  deletePlanTemplate,
  insertPlanTemplate,
  planTemplateSince,
  planTemplatesOf,
  renamePlanTemplate,
  replacePlanTemplate,
} from '../db/queries/planTemplates'
import { client } from './clients'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

/** More templates than a list can be looked through. */
const MOST_TEMPLATES = 200
const NOT_FOUND: Problem = { kind: 'not-found', what: 'template' }

const refused = (pointer: string, detail: string): Result<never, Problem> =>
  failure({ kind: 'invalid', errors: [{ pointer, kind: 'custom', detail }] })

/** The coach's own rotations and blocks. */
export async function planTemplates(coach: Coach): Promise<{ templates: PlanTemplate[] }> {
  return { templates: await planTemplatesOf(database(), coach.id) }
}

const isTaken = (name: string) =>
  refused('/name', `name ${JSON.stringify(name)} is taken by another template; choose another.`)

/** Puts a template beside the others, under a name of its own. */
async function added(
  coach: Coach,
  template: Omit<PlanTemplate, 'id' | 'version'>,
): Promise<Result<{ id: string }, Problem>> {
  const own = await planTemplatesOf(database(), coach.id)
  if (own.length >= MOST_TEMPLATES)
    return refused(
      '/name',
      `name cannot be added: ${MOST_TEMPLATES} templates are kept already; remove one first.`,
    )
  const id = randomUUID()
  return (await insertPlanTemplate(database(), coach.id, { id, version: 1, ...template }))
    ? success({ id })
    : isTaken(template.name)
}

/** A block of the coach's as it can be carried; another coach's is not found. */
export async function carriedFrom(
  coach: Coach,
  { id, part }: { readonly id: string; readonly part: KeepPlanBody['part'] },
  today: PlainDate,
): Promise<Result<CarriedPlan, Problem>> {
  const db = database()
  const [block, owner] = await Promise.all([
    blockOf(db, coach.id, blockId(id)),
    openBlock(db, coach.id, blockId(id)),
  ])
  if (!block || !owner) return failure({ kind: 'not-found', what: 'block' })
  const of = await client(coach, owner.clientId, { today })
  return of.ok ? success(carriedPlan(block.plan, of.value.method, part)) : of
}

/** Keeps the rotation or the whole of a block as a template. */
export async function keepPlan(
  coach: Coach,
  { name, reason, block, part }: KeepPlanBody,
  today: PlainDate,
): Promise<Result<{ id: string }, Problem>> {
  const content = await carriedFrom(coach, { id: block, part }, today)
  return content.ok ? added(coach, { name, reason, content: content.value }) : content
}

export async function renameTemplate(
  coach: Coach,
  id: string,
  { name, reason }: RenameTemplateBody,
): Promise<Result<{ id: string }, Problem>> {
  const own = await planTemplatesOf(database(), coach.id)
  if (own.some(other => other.id !== id && other.name.toLowerCase() === name.toLowerCase()))
    return isTaken(name)
  return (await renamePlanTemplate(database(), coach.id, { id, name, reason }))
    ? success({ id })
    : failure(NOT_FOUND)
}

/** Puts a plan of the coach's in place of a template's content; those who have it are offered the difference. */
export async function replaceTemplate(
  coach: Coach,
  id: string,
  { block, part }: ReplaceTemplateBody,
  today: PlainDate,
): Promise<Result<{ id: string }, Problem>> {
  const content = await carriedFrom(coach, { id: block, part }, today)
  if (!content.ok) return content
  const isDone = await asOneTransaction(db =>
    replacePlanTemplate(db, coach.id, { id, content: content.value }),
  )
  return isDone ? success({ id }) : failure(NOT_FOUND)
}

/** What a template was when a plan was made from it, and what it is now. */
export async function templateSince(
  coach: Coach,
  id: string,
  version: number,
): Promise<Result<TemplateSinceView, Problem>> {
  const found = await planTemplateSince(database(), coach.id, id, version)
  if (!found) return failure(NOT_FOUND)
  const { name, version: now, before, content } = found
  return success({ name, version: now, contents: before ? { before, after: content } : null })
}

/** Removes a template; plans that were made from it stay as they are. */
export async function removePlanTemplate(
  coach: Coach,
  id: string,
): Promise<Result<{ id: string }, Problem>> {
  return (await deletePlanTemplate(database(), coach.id, id)) ? success({ id }) : failure(NOT_FOUND)
}

/** A template as a file. */
export async function exportTemplate(
  coach: Coach,
  id: string,
): Promise<Result<PlanTemplateFile, Problem>> {
  const found = (await planTemplatesOf(database(), coach.id)).find(template => template.id === id)
  if (!found) return failure(NOT_FOUND)
  const { id: _, version: _version, ...template } = found
  return success({ format: 'tholepin-template', version: 1, ...template })
}

/** Exercises of a carried plan that the coach's library lacks. */
export async function missingExercises(
  coach: Coach,
  { days }: CarriedPlan,
): Promise<readonly string[]> {
  const { catalogue } = await studioSettings(database(), coach.id)
  const used = days.flatMap(({ sessions }) =>
    sessions.flatMap(({ groupings }) =>
      groupings.flatMap(({ slots }) => slots.map(({ exercise }) => exercise)),
    ),
  )
  return [...new Set(used)].filter(exercise => !catalogue.has(exercise))
}
/** Refuses a plan that needs exercises which are not there. */
export const lacks = (exercises: readonly string[]) =>
  refused(
    '/content',
    `content uses ${exercises.join(', ')}, which your library does not have. Add ${exercises.length === 1 ? 'it' : 'them'} on the Exercises page first.`,
  )

/** Takes a template in from a file; a name that is taken gets a number. */
export async function importTemplate(
  coach: Coach,
  { name, reason, content }: PlanTemplateFile,
): Promise<Result<{ id: string }, Problem>> {
  const absent = await missingExercises(coach, content)
  if (absent.length > 0) return lacks(absent)
  const taken = new Set(
    (await planTemplatesOf(database(), coach.id)).map(other => other.name.toLowerCase()),
  )
  let free = name
  for (let copy = 2; taken.has(free.toLowerCase()); copy++) free = `${name} (${copy})`
  return added(coach, { name: free, reason, content })
}
