import { randomUUID } from 'node:crypto'
import { assert, type ClientId, failure, type PlainDate, type Result, success } from '#core/base'
import { applyEdits, type CarriedPlan, type MadeFrom, type PlanDocument } from '#core/plan/block'
import { catalogueWith } from '#core/plan/catalogue'
import { contextWith } from '#core/plan/method'
import { offeredPlan } from '#core/design/templates'
import { fitChangeWords, fitReasons } from '#core/words'
import type { ClientView } from '#shared/contracts/client'
import type { Problem } from '#shared/contracts/problem'
import type { CarryAnswer, CarryBody } from '#shared/contracts/planTemplate'
import { database } from '../db/database'
import { planTemplatesOf } from '../db/queries/planTemplates'
import { client } from './clients'
import { strengths } from './history'
import { carriedFrom, lacks, missingExercises } from './planTemplates'
import { savePlan } from './savePlan'
import type { Coach } from './signIn'

interface Wanted {
  readonly content: CarriedPlan
  readonly madeFrom: MadeFrom | null
}

async function wantedPlan(
  coach: Coach,
  from: CarryBody['from'],
  today: PlainDate,
): Promise<Result<Wanted, Problem>> {
  if (from.kind === 'block') {
    const content = await carriedFrom(coach, from, today)
    return content.ok ? success({ content: content.value, madeFrom: null }) : content
  }
  const found = (await planTemplatesOf(database(), coach.id)).find(({ id }) => id === from.id)
  if (!found) return failure({ kind: 'not-found', what: 'template' })
  const { id, version, content } = found
  return success({ content, madeFrom: { template: id, version } })
}

/** A plan laid before a client: fitted to days, minutes, equipment, joints, method and strength. */
function laidBefore(
  { content, madeFrom }: Wanted,
  { method, facts, library }: ClientView,
  plan: PlanDocument,
  strong: Awaited<ReturnType<typeof strengths>>,
) {
  const context = contextWith(method, facts, catalogueWith(library))
  const oneReps = strong.ok
    ? strong.value.strengths.map(
        ({ exercise, kg }) => [exercise, { load: kg, unit: 'kg' as const }] as const,
      )
    : []
  const fit = { context, newId: randomUUID, oneReps: new Map(oneReps) }
  const laid = offeredPlan(null, content, plan, fit, madeFrom)
  return { ...laid, context }
}

/**
 * A plan fitted to a client and put into the block of today; on trial nothing is written.
 *
 * Edge: written as one save, so that one step takes it back; what was sent stays as it was sent.
 */
export async function carry(
  coach: Coach,
  id: ClientId,
  { from, isTrial }: CarryBody,
  today: PlainDate,
): Promise<Result<CarryAnswer, Problem>> {
  const [wanted, found, strong] = await Promise.all([
    wantedPlan(coach, from, today),
    client(coach, id, { today }),
    strengths(coach, id, today),
  ])
  if (!found.ok) return found
  if (!wanted.ok) return wanted
  const { block } = found.value
  if (!block) return failure({ kind: 'not-found', what: 'block' })
  const absent = await missingExercises(coach, wanted.value.content)
  if (absent.length > 0) return lacks(absent)
  const { offer, edits, context } = laidBefore(wanted.value, found.value, block.plan, strong)
  const answer: CarryAnswer = {
    block: block.plan.title,
    reasons: [...fitReasons(offer)],
    changes: [...fitChangeWords(offer.fitted, context.catalogue)],
    sessions: offer.sessions,
  }
  if (isTrial) return success(answer)
  const edited = applyEdits(block.plan, edits, randomUUID)
  assert(edited.ok, 'other days can always be put into a plan')
  const saved = await savePlan(coach, {
    blockId: block.id,
    version: block.version,
    plan: edited.value,
  })
  return saved.ok ? success(answer) : saved
}
