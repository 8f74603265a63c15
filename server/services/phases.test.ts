import { describe, expect, test } from '@jest/globals'
import { addDays, blockId, type BlockId } from '#core/base'
import { planEnd } from '#core/plan/block'
import { bandOf, contextWith, eatsLess, leastFrequency, type Phase } from '#core/plan/method'
import { sessionSlots } from '#core/plan/session'
import { problemOf, stranger, unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { send, sentSessions, startNextBlock } from './blocks'
import { client } from './clients'
import { decidePhase } from './phases'
import { savePlan } from './savePlan'
import { clientSeason } from './season'
import { lockedFacts, plansOf } from '../db/queries/clients'
import { database } from '../db/database'
import { sessionDocument } from '../db/documents'

useTestDatabase()

const LEAN: Phase = { kind: 'lean', what: 'the summer', armsEvery: 5, volume: 0.8 }
const KEPT = { triceps: 'keep' } as const

async function begun() {
  const { coach, client: of, today } = await unitStudio()
  const own = of('Joren')
  const shown = async (block: BlockId) => valueOf(await client(coach, own.id, { block, today }))
  const version = async (block: BlockId) => (await shown(block)).block!.version
  const put = async (phase?: Phase | null) => {
    const { plan } = (await shown(own.blockId)).block!
    const next = await startNextBlock(coach, own.blockId, {
      version: await version(own.blockId),
      title: 'Ribs',
      startsOn: addDays(planEnd(plan), 1),
      weeks: 6,
      from: 'first',
      modes: {},
      isCut: false,
      ...(phase !== undefined && { phase }),
    })
    return blockId(valueOf(next).id)
  }
  return { coach, own, today, shown, version, put }
}

describe('the phase of a block', () => {
  test('reaches every page about the block, and stays out of what is known of the client', async () => {
    const { coach, own, today, shown, version } = await begun()
    const before = await shown(own.blockId)
    const said = { version: await version(own.blockId), phase: LEAN, modes: KEPT }
    valueOf(await decidePhase(coach, own.blockId, said))
    const { facts, method, block } = await shown(own.blockId)
    expect(block!.plan).toMatchObject({ phase: LEAN, emphasis: { triceps: 'keep' } })
    const context = contextWith(method, facts)
    expect(leastFrequency(context, 'biceps')).toBe(7 / 5)
    expect(eatsLess(facts)).toBe(true)
    expect(bandOf(context, 'biceps').ceiling).toBeLessThan(
      bandOf(contextWith(before.method, before.facts), 'biceps').ceiling,
    )
    // The roster reckons with the same facts.
    const [listed] = await plansOf(database(), coach.id, [own.id], today)
    expect(listed!.facts.phase).toEqual(LEAN)
    const stored = await database().transaction(tx => lockedFacts(tx, coach.id, own.id))
    expect(stored!.facts.phase).toBeUndefined()
    expect(stored!.facts.slowedBy ?? []).not.toContain('energy_deficit')
  })

  test('goes on in the next block until its day, and ends where the coach says so', async () => {
    const { coach, own, today, shown, version, put } = await begun()
    const decide = async (phase: Phase | null) =>
      valueOf(await decidePhase(coach, own.blockId, { version: await version(own.blockId), phase }))
    await decide(LEAN)
    const next = await put()
    expect((await shown(next)).facts.phase).toEqual(LEAN)
    const season = valueOf(await clientSeason(coach, own.id, today)).season
    expect(season.blocks.slice(-2).map(({ phase }) => phase)).toEqual([LEAN, LEAN])
    await decide(null)
    // The other block keeps its own, and this one is as before.
    expect((await shown(own.blockId)).facts.phase).toBeUndefined()
    expect((await shown(next)).facts.phase).toEqual(LEAN)
  })

  test.each([
    ['its day has passed', undefined, -1, null],
    ['its day is to come', undefined, 30, 'event'],
    ['the coach ends it', null, 30, null],
    ['the coach begins another', { kind: 'hold' } as const, 30, 'hold'],
  ])('where %s', async (_, said, days, kind) => {
    const { coach, own, shown, version, put } = await begun()
    const { plan } = (await shown(own.blockId)).block!
    const phase = { kind: 'event', on: addDays(planEnd(plan), days) } as const
    valueOf(await decidePhase(coach, own.blockId, { version: await version(own.blockId), phase }))
    expect((await shown(await put(said))).block!.plan.phase?.kind ?? null).toBe(kind)
  })

  test('is nobody else’s, and an older version is refused', async () => {
    const { coach, own, version } = await begun()
    const now = await version(own.blockId)
    const said = { version: now, phase: LEAN }
    expect(problemOf(await decidePhase(await stranger(), own.blockId, said)).kind).toBe('not-found')
    valueOf(await decidePhase(coach, own.blockId, said))
    expect(problemOf(await decidePhase(coach, own.blockId, said)).kind).toBe('stale-version')
  })
})

test('a base keeps arm work off the phone until its weeks are over', async () => {
  const { coach, shown, put } = await begun()
  const next = await put()
  const { plan, version } = (await shown(next)).block!
  const based = { ...plan, block: { ...plan.block, base: { weeks: 2 } } }
  const saved = valueOf(await savePlan(coach, { blockId: next, version, plan: based }))
  const { catalogue } = contextWith((await shown(next)).method, { trainingAgeMonths: 1 })
  const isArms = (exercise: string) =>
    catalogue.get(exercise)?.kind === 'isolation' &&
    ['biceps', 'triceps', 'elbow_flexors_other'].some(
      group => catalogue.get(exercise)?.intents[0].credits[group as 'biceps'] === 1,
    )
  const onPhone = async (pass: number) => {
    valueOf(await send(coach, next, { pass, version: saved.version, again: false }))
    const { sent } = valueOf(await sentSessions(coach, next))
    return sent
      .filter(one => one.pass === pass)
      .flatMap(({ content }) => sessionSlots(sessionDocument(content)))
      .filter(({ exercise }) => isArms(exercise)).length
  }
  expect(await onPhone(0)).toBe(0)
  expect(await onPhone(Math.ceil(14 / plan.rotation.days.length))).toBeGreaterThan(0)
})

test('what was planned of a block that is over stays as it was', async () => {
  const { coach, own, shown } = await begun()
  const { plan, version } = (await shown(own.blockId)).block!
  const after = addDays(planEnd(plan), 1)
  const save = (changed: object) =>
    savePlan(coach, { blockId: own.blockId, version, plan: { ...plan, ...changed } }, after)
  for (const changed of [{ phase: LEAN }, { block: {} }, { startsOn: addDays(plan.startsOn, 700) }])
    expect(problemOf(await save(changed))).toMatchObject({ errors: [{ pointer: '/plan' }] })
  valueOf(await save({ title: 'As it was called', closingNotes: 'Wrist was fine.' }))
  const said = { version: version + 1, phase: LEAN }
  expect(problemOf(await decidePhase(coach, own.blockId, said, after))).toMatchObject({
    errors: [{ pointer: '/plan' }],
  })
  // On its last day it is still the coach's to change.
  const last = { blockId: own.blockId, version: version + 1, plan: { ...plan, phase: LEAN } }
  valueOf(await savePlan(coach, last, planEnd(plan)))
})
