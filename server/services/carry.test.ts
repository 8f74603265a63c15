import { describe, expect, test } from '@jest/globals'
import { randomUUID } from 'node:crypto'
import { blockId } from '#core/base'
import { applyEdits } from '#core/plan/block'
import { templateDifference } from '#core/design/templates'
import { contextWith } from '#core/plan/method'
import { catalogueWith, isPossibleWith, requireExercise } from '#core/plan/catalogue'
import { sessionSeconds } from '#core/plan/minutes'
import { daySlots } from '#core/plan/rotation'
import type { CarryBody } from '#shared/contracts/planTemplate'
import { database } from '../db/database'
import { blockOf } from '../db/queries/blocks'
import { problemOf, stranger, unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { carry } from './carry'
import { client } from './clients'
import {
  exportTemplate,
  importTemplate,
  keepPlan,
  planTemplates,
  removePlanTemplate,
  renameTemplate,
  replaceTemplate,
  templateSince,
} from './planTemplates'
import { profile, saveProfile } from './profiles'
import { savePlan } from './savePlan'

useTestDatabase()

async function studio() {
  const made = await unitStudio()
  const { coach, client: of, today } = made
  const from = valueOf(await client(coach, of('Marit').id, { today })).block!
  return {
    ...made,
    from,
    block: { kind: 'block' as const, id: from.id, part: 'rotation' as const },
  }
}
const body = (from: CarryBody['from'], isTrial = false): CarryBody => ({ from, isTrial })

describe('a plan carried to another client', () => {
  test('on trial nothing is written; for good it lies on the client’s days, in the minutes, with the equipment there', async () => {
    const { coach, client: of, today, block } = await studio()
    const { id } = of('Emil')
    const before = valueOf(await client(coach, id, { today }))
    const trial = valueOf(await carry(coach, id, body(block, true), today))
    expect(valueOf(await client(coach, id, { today })).block?.version).toBe(before.block!.version)
    expect(trial.changes.length).toBeGreaterThan(0)
    const done = valueOf(await carry(coach, id, body(block), today))
    expect(done).toEqual(trial)
    const after = valueOf(await client(coach, id, { today }))
    expect(after.block!.version).toBe(before.block!.version + 1)
    const { equipment, days: own = [] } = after.facts
    const context = contextWith(after.method, after.facts, catalogueWith(after.library))
    const { days, anchor } = after.block!.plan.rotation
    expect(anchor.kind).toBe('weekday')
    expect(days.filter(({ sessions }) => sessions.length > 0).length).toBeLessThanOrEqual(
      own.length,
    )
    for (const day of days) {
      for (const { exercise } of daySlots(day))
        expect(isPossibleWith(requireExercise(context.catalogue, exercise), equipment)).toBe(true)
      for (const session of day.sessions)
        expect(sessionSeconds(session, context)).toBeLessThanOrEqual(day.minuteLimit! * 60 + 1)
    }
  })
  test('no weight of the one stands in the plan of the other, unless her own log says it', async () => {
    const { coach, client: of, today, block } = await studio()
    const { id } = of('Emil')
    valueOf(await carry(coach, id, body(block), today))
    const { plan } = valueOf(await client(coach, id, { today })).block!
    const heavy = plan.rotation.days
      .flatMap(daySlots)
      .filter(slot => JSON.stringify(slot.scheme).includes('"kind":"weight"'))
    expect(heavy).toEqual([])
  })
  test('a client whose days are fewer is told what finds none', async () => {
    const { coach, client: of, today, block } = await studio()
    const { id } = of('Emil')
    const own = valueOf(await profile(coach, id))
    valueOf(
      await saveProfile(coach, id, { ...own, days: [{ weekday: 2, minutes: 60, start: '17:30' }] }),
    )
    const { changes, sessions } = valueOf(await carry(coach, id, body(block, true), today))
    expect(sessions).toBe(1)
    expect(changes.filter(line => line.includes('no day is left for it')).length).toBeGreaterThan(1)
  })
  test('goes from and to one’s own only', async () => {
    const { client: of, today, block } = await studio()
    const other = await stranger()
    const own = await studio()
    expect(problemOf(await carry(other, of('Emil').id, body(block), today)).kind).toBe('not-found')
    expect(
      problemOf(await carry(own.coach, own.client('Emil').id, body(block), today)),
    ).toMatchObject({ kind: 'not-found', what: 'block' })
    expect(
      problemOf(
        await carry(
          own.coach,
          own.client('Emil').id,
          body({ kind: 'template', id: randomUUID() }),
          today,
        ),
      ),
    ).toMatchObject({ kind: 'not-found', what: 'template' })
  })
})

describe('templates of one’s own', () => {
  const keep = (part: 'rotation' | 'block', block: string, name = 'Harbour week') => ({
    name,
    reason: 'For four days',
    block,
    part,
  })
  test('kept, renamed, carried, out as a file and in again, removed', async () => {
    const { coach, client: of, today, from } = await studio()
    const { id } = valueOf(await keepPlan(coach, keep('block', from.id), today))
    expect(
      problemOf(await keepPlan(coach, keep('block', from.id, 'harbour WEEK'), today)).kind,
    ).toBe('invalid')
    valueOf(await renameTemplate(coach, id, { name: 'Quay week', reason: '' }))
    const [kept] = (await planTemplates(coach)).templates
    expect([kept!.name, kept!.content.passes]).toEqual(['Quay week', from.plan.passes])
    valueOf(await carry(coach, of('Emil').id, body({ kind: 'template', id }), today))
    const emil = valueOf(await client(coach, of('Emil').id, { today }))
    expect(emil.block!.plan.passes).toBe(from.plan.passes)
    const file = valueOf(await exportTemplate(coach, id))
    valueOf(await importTemplate(coach, file))
    expect((await planTemplates(coach)).templates.map(({ name }) => name).sort()).toEqual([
      'Quay week',
      'Quay week (2)',
    ])
    valueOf(await removePlanTemplate(coach, id))
    expect((await planTemplates(coach)).templates).toHaveLength(1)
  })
  test('an exercise that was erased is named, and nothing is written', async () => {
    const { coach, client: of, today, from } = await studio()
    const { id } = valueOf(await keepPlan(coach, keep('rotation', from.id), today))
    const file = valueOf(await exportTemplate(coach, id))
    const strange = JSON.parse(
      JSON.stringify(file).replaceAll('cable_curl', 'wall_curl'),
    ) as typeof file
    expect(problemOf(await importTemplate(coach, strange))).toMatchObject({
      kind: 'invalid',
      errors: [{ detail: expect.stringContaining('wall_curl') }],
    })
    expect(of('Emil').id).toBeTruthy()
  })
  test('a stranger finds none of it', async () => {
    const { coach, today, from } = await studio()
    const { id } = valueOf(await keepPlan(coach, keep('rotation', from.id), today))
    const other = await stranger()
    expect(problemOf(await exportTemplate(other, id)).kind).toBe('not-found')
    expect(problemOf(await removePlanTemplate(other, id)).kind).toBe('not-found')
    expect(problemOf(await renameTemplate(other, id, { name: 'X', reason: '' })).kind).toBe(
      'not-found',
    )
    expect(problemOf(await keepPlan(other, keep('rotation', blockId(from.id)), today)).kind).toBe(
      'not-found',
    )
  })
})

describe('a template that changes', () => {
  test('tells those who use it what changed since, and nobody else', async () => {
    const { coach, client, today } = await unitStudio()
    const [joren, marit] = [client('Joren'), client('Marit')]
    const { id } = valueOf(
      await keepPlan(
        coach,
        { name: 'Quay week', reason: '', block: joren.blockId, part: 'rotation' },
        today,
      ),
    )
    const from = { kind: 'template' as const, id }
    valueOf(await carry(coach, marit.id, { from, isTrial: false }, today))
    const block = async (of: typeof marit) => (await blockOf(database(), coach.id, of.blockId))!
    expect((await block(marit)).plan.madeFrom).toEqual({ template: id, version: 1 })
    expect(valueOf(await templateSince(coach, id, 1))).toMatchObject({ version: 1, contents: null })

    const { plan, version } = await block(joren)
    const slot = plan.rotation.days.flatMap(daySlots)[0]!
    const more = applyEdits(plan, [{ kind: 'add_sets', slot: slot.id, count: 1 }], () => '')
    if (!more.ok) throw new Error(more.error.kind)
    valueOf(await savePlan(coach, { blockId: joren.blockId, version, plan: more.value }))
    const body = { block: joren.blockId, part: 'rotation' as const }
    valueOf(await replaceTemplate(coach, id, body, today))
    const { contents, version: now } = valueOf(await templateSince(coach, id, 1))
    expect(now).toBe(2)
    expect(templateDifference(contents!.before, contents!.after)).toEqual([
      { kind: 'sets', day: 0, exercise: slot.exercise, by: 1 },
    ])
    expect(valueOf(await templateSince(coach, id, 9)).contents).toBeNull()
    expect((await block(marit)).plan.madeFrom).toEqual({ template: id, version: 1 })

    const other = await stranger()
    expect(problemOf(await templateSince(other, id, 1)).kind).toBe('not-found')
    expect(problemOf(await replaceTemplate(other, id, body, today)).kind).toBe('not-found')
  })
})
