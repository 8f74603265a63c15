import { randomUUID } from 'node:crypto'
import { addDays, daysBetween, groupedBy, type PlainDate, type Result, success } from '#core/base'
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
    view: told(kind === 'closed' ? `${what}: closed on the floor.` : '', lines(touched)),
    write: async (client): Promise<Result<Written, Problem>> => {
      const own = touched.filter(one => one.client === client && !one.isDraft)
      for (const { blockId, version, plan } of own) {
        const after = withEvent(plan, { ...event, id: randomUUID() })
        const saved = await savePlan(coach, { blockId, version, plan: after }, today)
        if (!saved.ok) return saved
      }
      return success(own.map(({ blockId }) => blockId))
    },
    writeStudio: async () => (kind === 'closed' ? closeStudio(coach, { from, to }) : success({})),
  }
}

type Touched = Awaited<ReturnType<typeof touchedBy>>

/** One line a client, also where the days reach over a seam into another block. */
const lines = (touched: Touched) =>
  [...groupedBy(touched, ({ client }) => client)].map(([client, own]) => {
    const [words = '', ...details] = own.flatMap(one => one.lines)
    return {
      client,
      name: own[0]?.name ?? '',
      words,
      details,
      isWritten: own.some(({ isDraft }) => !isDraft),
    }
  })

/** Blocks with sessions on the days of an event, and what becomes of them; a draft is laid out anew later. */
async function touchedBy(coach: Coach, event: BlockEvent, today: PlainDate) {
  const blocks = await blocksOn(coach, event.from < today ? today : event.from, event.to)
  const all = await Promise.all(
    [...blocks].map(async ([blockId, { id: client, name }]) => {
      const opened = await issued(coach, blockId)
      if (!opened.ok) return []
      const { plan, context, version } = opened.value
      const sent = await sentRows(coach, blockId)
      const effects = eventEffects(plan, event, { context, sent, today })
      if (effects.touched.length === 0) return []
      const isDraft = plan.draft !== undefined
      const told = eventEffectLines(effects)
      return [
        {
          client,
          name,
          blockId,
          version,
          plan,
          isDraft,
          lines: isDraft ? [...told, 'A draft: nothing is written.'] : told,
        },
      ]
    }),
  )
  return all.flat()
}

/** Blocks that anybody is in on some of the days, each with whose it is. */
async function blocksOn(coach: Coach, from: PlainDate, to: PlainDate) {
  const days = Array.from({ length: daysBetween(from, to) + 1 }, (_, at) => addDays(from, at))
  const found = await Promise.all(days.map(on => rosterLines(database(), coach.id, on)))
  return new Map(
    found.flat().flatMap(line => (line.blockId ? [[line.blockId, line] as const] : [])),
  )
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
