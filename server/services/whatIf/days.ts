import { randomUUID } from 'node:crypto'
import { addDays, daysBetween, failure, type PlainDate, type Result, success } from '#core/base'
import { eventEffects, withEvent } from '#core/design/progress'
import type { BlockEvent } from '#core/plan/block'
import { daysWords, eventEffectLines } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import type { WhatIf } from '#shared/contracts/whatIf'
import { database } from '../../db/database'
import { floorOf, setFloor } from '../../db/queries/floor'
import { rosterLines } from '../../db/queries/clients'
import { issued, sentRows } from '../blocks'
import { savePlan } from '../savePlan'
import type { Coach } from '../signIn'
import { type Prepared, told, type Written } from './asked'

type Days = Extract<WhatIf, { kind: 'away' | 'closed' }>
const WHAT = { away: 'Coach away', closed: 'Studio closed' } as const

/** Nobody trains as planned on some days: an event in everybody's block. */
export async function daysOff(coach: Coach, asked: Days, today: PlainDate): Promise<Prepared> {
  const { kind, effect, from, to } = asked
  const event = { id: randomUUID(), what: WHAT[kind], from, to, effect }
  const touched = await touchedBy(coach, event, today)
  const what = `${WHAT[kind]} ${daysWords(from, to)}`
  return {
    what,
    view: told(
      kind === 'closed' ? `${what}: closed on the floor.` : '',
      touched.map(({ line }) => line),
    ),
    write: async (client): Promise<Result<Written, Problem>> => {
      const opened = touched.find(({ line }) => line.client === client)?.opened
      if (!opened) return failure({ kind: 'not-found', what: 'client' })
      const { blockId, version, plan } = opened
      const own = withEvent(plan, { ...event, id: randomUUID() })
      const saved = await savePlan(coach, { blockId, version, plan: own }, today)
      return saved.ok ? success({ client, block: blockId }) : saved
    },
    writeStudio: async () => (kind === 'closed' ? closeStudio(coach, { from, to }) : success({})),
  }
}

/** Whose sessions lie on the days of an event, and what becomes of them; a draft is laid out anew later. */
async function touchedBy(coach: Coach, event: BlockEvent, today: PlainDate) {
  const { from } = event
  const clients = await rosterLines(database(), coach.id, from < today ? today : from)
  const all = await Promise.all(
    clients.map(async ({ id: client, name, blockId }) => {
      const opened = blockId && (await issued(coach, blockId))
      if (!blockId || !opened || !opened.ok) return []
      const { plan, context } = opened.value
      const sent = await sentRows(coach, blockId)
      const effects = eventEffects(plan, event, { context, sent, today })
      if (effects.touched.length === 0) return []
      const isDraft = plan.draft !== undefined
      const [words = '', ...details] = eventEffectLines(effects)
      const more = isDraft ? [...details, 'A draft: nothing is written.'] : details
      const line = { client, name, words, details: more, isWritten: !isDraft }
      return [{ line, opened: { ...opened.value, blockId } }]
    }),
  )
  return all.flat()
}

async function closeStudio(
  coach: Coach,
  { from, to }: { readonly from: PlainDate; readonly to: PlainDate },
): Promise<Result<unknown, Problem>> {
  const { stations, house } = await floorOf(database(), coach.id)
  const days = Array.from({ length: daysBetween(from, to) + 1 }, (_, at) => addDays(from, at))
  const closed = [...new Set([...(house.closed ?? []), ...days])].toSorted()
  await setFloor(database(), coach.id, { stations, house: { ...house, closed } })
  return success({})
}
