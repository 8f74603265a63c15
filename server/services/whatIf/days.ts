import { randomUUID } from 'node:crypto'
import {
  addDays,
  type BlockId,
  type ClientId,
  daysBetween,
  failure,
  type PlainDate,
  type Result,
  success,
} from '#core/base'
import { eventEffects, withEvent } from '#core/design/progress'
import { daysWords, eventEffectLines } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import type { WhatIf, WhatIfView } from '#shared/contracts/whatIf'
import { database } from '../../db/database'
import { floorOf, setFloor } from '../../db/queries/floor'
import { rosterLines } from '../../db/queries/clients'
import { issued, sentRows } from '../blocks'
import { savePlan } from '../savePlan'
import type { Coach } from '../signIn'
import { type Prepared, told, type Written } from './asked'

type Days = Extract<WhatIf, { kind: 'away' | 'closed' }>
const WHAT = { away: 'Coach away', closed: 'Studio closed' } as const
type Open = Extract<Awaited<ReturnType<typeof issued>>, { ok: true }>['value']

/** Nobody trains as planned on some days: an event in everybody's block. */
export async function daysOff(coach: Coach, asked: Days, today: PlainDate): Promise<Prepared> {
  const { kind, effect, from, to } = asked
  const event = { id: randomUUID(), what: WHAT[kind], from, to, effect }
  const clients = await rosterLines(database(), coach.id, from < today ? today : from)
  const of = new Map<ClientId, Open & { readonly blockId: BlockId }>()
  const lines: WhatIfView['lines'] = []
  for (const { id: client, name, blockId } of clients) {
    const opened = blockId && (await issued(coach, blockId))
    if (!blockId || !opened || !opened.ok) continue
    const { plan, context } = opened.value
    const sent = await sentRows(coach, blockId)
    const effects = eventEffects(plan, event, { context, sent, today })
    if (effects.touched.length === 0) continue
    const isDraft = plan.draft !== undefined
    if (!isDraft) of.set(client, { ...opened.value, blockId })
    const [words = '', ...details] = eventEffectLines(effects)
    lines.push({
      client,
      name,
      words,
      details: isDraft ? [...details, 'A draft: nothing is written.'] : details,
      isWritten: !isDraft,
    })
  }
  const what = `${WHAT[kind]} ${daysWords(from, to)}`
  return {
    what,
    view: told(kind === 'closed' ? `${what}: closed on the floor.` : '', lines),
    write: async (client): Promise<Result<Written, Problem>> => {
      const opened = of.get(client)
      if (!opened) return failure({ kind: 'not-found', what: 'client' })
      const { blockId, version, plan } = opened
      const saved = await savePlan(
        coach,
        { blockId, version, plan: withEvent(plan, { ...event, id: randomUUID() }) },
        today,
      )
      return saved.ok ? success({ client, block: blockId }) : saved
    },
    writeStudio: async () => (kind === 'closed' ? closeStudio(coach, { from, to }) : success({})),
  }
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
