import { describe, expect, test } from '@jest/globals'
import { addDays, daysBetween } from '#core/base'
import {
  blockLoadSessions,
  loadKey,
  loadsAhead,
  plannedKey,
  type SlotLoads,
} from '#core/design/loads'
import { expandedBlock, issuedBlock } from '#core/design/progress'
import { catalogueWith } from '#core/plan/catalogue'
import { contextWith } from '#core/plan/method'
import { loadingWords } from '#core/follow/sheet'
import { loadReasonWords } from '#core/words'
import { SentView } from '#shared/contracts/block'
import { database } from '../db/database'
import { datedSessions } from '../db/schema'
import { and, eq } from 'drizzle-orm'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { send, sentSessions } from './blocks'
import { account, saveGear } from './account'
import { client } from './clients'
import { loads } from './loads'
import { profile, saveProfile } from './profiles'
import { sessionLog } from './log'
import { sheet } from './sheet'

useTestDatabase()

const NAMES = ['Marit', 'Joren', 'Ines', 'Teo'] as const

/** The rotation of today and the next are sent. */
async function sentAhead(studio: UnitStudio, name: string) {
  const { id, blockId, plan } = studio.client(name)
  const at = Math.floor(daysBetween(plan.startsOn, studio.today) / plan.rotation.days.length)
  for (const pass of [at, at + 1])
    await send(studio.coach, blockId, { pass, version: 1, again: false })
  return { id, blockId, plan }
}

/** Loads as the coach's pages reckon them. */
async function forecast(studio: UnitStudio, name: string) {
  const { id, blockId } = studio.client(name)
  const [view, basis, { sent }] = [
    valueOf(await client(studio.coach, id)),
    valueOf(await loads(studio.coach, id, studio.today)),
    valueOf(await sentSessions(studio.coach, blockId)),
  ]
  const context = contextWith(view.method, view.facts, catalogueWith(view.library))
  const { plan } = view.block!
  const expanded = issuedBlock(expandedBlock(plan, context), SentView.parse({ sent }).sent)
  return loadsAhead(
    blockLoadSessions(expanded, studio.today),
    {
      exposures: new Map(basis.exposures),
      lastPlanned: new Map(basis.lastPlanned.map(slot => [plannedKey(slot), slot])),
    },
    {
      context,
      unit: basis.unit,
      bodyKg: basis.bodyKg,
      rules: plan.block?.rules,
      rotation: plan.rotation,
    },
  )
}

const numbers = (own: SlotLoads) => own.sets.flatMap(({ amount }) => amount ?? [])

describe.each(NAMES)('loads of %s', name => {
  test('are the same on the coach’s pages, on the phone and in the log, session by session', async () => {
    const studio = await unitStudio({ logsOf: NAMES })
    const { id } = await sentAhead(studio, name)
    const ahead = await forecast(studio, name)
    const { sessions } = valueOf(
      await sheet({ coach: studio.coach, clientId: id } as never, studio.today),
    )
    let compared = 0
    for (const { session, isFinished } of sessions) {
      if (isFinished || session.on < studio.today) continue
      const [row] = await database()
        .select()
        .from(datedSessions)
        .where(and(eq(datedSessions.clientId, id), eq(datedSessions.id, session.id)))
      const own = ahead.get(loadKey(row!))
      const log = valueOf(await sessionLog(studio.coach, id, session.id, studio.today))
      for (const { slot, why } of session.exercises) {
        const slotLoads = own?.get(slot)
        const shown = session.ways[0].sets[slot]!.flatMap(({ role, parts }) =>
          role !== 'warmup' && parts[0].load.kind === 'weight' ? [parts[0].load.amount] : [],
        )
        if (!slotLoads) continue
        compared++
        expect(shown).toEqual(numbers(slotLoads))
        expect(why).toContain(loadReasonWords(slotLoads))
        expect(log.session.ways[0].sets[slot]).toEqual(session.ways[0].sets[slot])
      }
    }
    expect(compared).toBeGreaterThan(5)
  })
})

test('a client of an eight-day rotation is not made lighter for training as planned', async () => {
  const studio = await unitStudio({ logsOf: ['Marit'] })
  expect(studio.client('Marit').plan.rotation.days).toHaveLength(8)
  const ahead = await forecast(studio, 'Marit')
  const reasons = [...ahead.values()].flatMap(session => [...session.values()])
  expect(reasons.length).toBeGreaterThan(10)
  expect(reasons.map(({ reason }) => reason.kind)).not.toContain('away')
})

test('a stranger learns nothing of them, and a client without a log has none', async () => {
  const studio = await unitStudio()
  const { id } = studio.client('Joren')
  expect(problemOf(await loads(await stranger(), id, studio.today)).kind).toBe('not-found')
  expect(valueOf(await loads(studio.coach, id, studio.today))).toMatchObject({
    exposures: [],
    lastPlanned: [],
  })
  expect(valueOf(await loads(studio.coach, id, addDays(studio.today, 400))).exposures).toEqual([])
})

test('what the studio can load reaches the phone; a client’s own lines come first, another studio learns nothing', async () => {
  const studio = await unitStudio({ logsOf: ['Joren'] })
  const { id } = await sentAhead(studio, 'Joren')
  const scales = async () => {
    const { sessions } = valueOf(
      await sheet({ coach: studio.coach, clientId: id } as never, studio.today),
    )
    return new Map(
      sessions.flatMap(({ session }) =>
        session.exercises.map(({ exercise, scale }) => [exercise as string, scale] as const),
      ),
    )
  }
  expect((await scales()).get('bench_press_barbell')?.bar).toBeNull()
  const gear = { plates: '20x4, 10, 5, 2.5', dumbbells: '10, 20' }
  valueOf(await saveGear(studio.coach, { gear }))
  const after = await scales()
  expect(loadingWords(55, after.get('bench_press_barbell')!)).toBe('20 bar, 10 + 5 + 2.5 each side')
  expect(after.get('lateral_raise_dumbbell')?.grid).toEqual({ kind: 'list', weights: [10, 20] })
  const before = valueOf(await profile(studio.coach, id))
  valueOf(await saveProfile(studio.coach, id, { ...before, gear: { dumbbells: '1-10 by 1' } }))
  expect((await scales()).get('lateral_raise_dumbbell')?.grid).toMatchObject({
    weights: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10],
  })
  expect(valueOf(await account(studio.coach)).gear).toEqual(gear)
  expect(valueOf(await account(await stranger())).gear).toEqual({})
})
