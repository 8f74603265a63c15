import { beforeEach, describe, expect, test } from '@jest/globals'
import { clientId } from '#core/base'
import type { PlanDocument } from '#core/block'
import { daySlots } from '#core/rotation'
import { plannedSets } from '#core/scheme'
import { planIn, written } from '#core/testing/shorthandPlans'
import { type Asked, frameworkWith } from '../testing/framework'

const id = clientId('6f9619ff-8b86-4011-b42d-00c04fc964ff')
const blockId = '7f9619ff-8b86-4011-b42d-00c04fc964ff'
const plan = planIn(3, written('push', 'pushdown_rope 3 x 12, rir 1'), written('arms', 'cable_curl 4 x 12, rir 1'))
const slot = daySlots(plan.rotation.days[0]!)[0]!
const view = { id, name: 'Joren', about: '', method: 'steady-middle', facts: { trainingAgeMonths: 30, modes: {}, bands: {}, equipment: [], credits: {} }, block: { id: blockId, version: 4, savedAt: '2026-04-01T08:00:00.000Z', plan } }
const saved = (version: number) => ({ ok: true, value: { version, savedAt: '2026-04-01T08:01:00.000Z' } })
const unreachable = { ok: false, error: { kind: 'unreachable' } }
const stale = (current: object) => ({ ok: false, error: { kind: 'refused', problem: { type: '/problems/stale-version', status: 409, title: 'Saved elsewhere meanwhile', detail: 'Compare.', current } } })

let answers: unknown[] = []
let asked: readonly Asked[] = []

/** The store with the client loaded; `next` is what the server answers to the saves that follow. */
async function loaded(...next: readonly unknown[]) {
  answers = [{ ok: true, value: view }, ...next]
  asked = frameworkWith(() => answers.shift())
  const { usePlanStore } = await import('./plan')
  const store = usePlanStore()
  await store.load(id)
  return store
}
const setsOf = (document: PlanDocument | null) => plannedSets(daySlots(document!.rotation.days[0]!)[0]!.scheme)
const addSet = { kind: 'add_sets' as const, slot: slot.id, count: 1 }

beforeEach(() => {
  answers = []
})

describe('edits and their undoing', () => {
  test('an edit counts at once, and undo and redo walk back and forth', async () => {
    const store = await loaded()
    store.edit(addSet)
    store.edit(addSet)
    expect([setsOf(store.plan), store.unsavedChanges, store.past.length]).toEqual([5, 2, 2])
    expect(store.ledger?.total.groups.triceps.counted.value).toBe(5)
    expect([store.undo(), store.undo(), store.undo()]).toEqual([true, true, false])
    expect(setsOf(store.plan)).toBe(3)
    expect([store.redo(), setsOf(store.plan)]).toEqual([true, 4])
    store.edit(addSet)
    expect([store.redo(), setsOf(store.plan)]).toEqual([false, 5])
  })
  test('an edit that cannot be made or changes nothing leaves no trace', async () => {
    const store = await loaded()
    expect(store.edit({ kind: 'move_sets', toDay: 2, moves: [{ slot: slot.id, count: 1 }] })).toEqual({ ok: false, error: { kind: 'rest_day', day: 2 } })
    store.edit({ kind: 'move_sets', toDay: 0, moves: [{ slot: slot.id, count: 1 }] })
    expect([store.plan, store.past, store.isSaved]).toEqual([plan, [], true])
  })
})

describe('saving', () => {
  test('a save sends the version it started from, and what came in between is still to be saved', async () => {
    const store = await loaded(saved(5))
    store.edit(addSet)
    const saving = store.save()
    expect(store.saveState.kind).toBe('saving')
    store.edit(addSet)
    await saving
    expect(asked[1]).toMatchObject({ path: `/api/blocks/${blockId}/plan`, method: 'PUT', body: { version: 4 } })
    expect([store.version, store.isSaved, store.unsavedChanges, store.saveState.kind]).toEqual([5, false, 1, 'idle'])
  })
  test('nothing is sent when there is nothing to save', async () => {
    const store = await loaded()
    await store.save()
    expect(asked).toHaveLength(1)
  })
  test('without a connection the edits stay and the next try saves them', async () => {
    const store = await loaded(unreachable, saved(5))
    store.edit(addSet)
    await store.save()
    expect([store.saveState.kind, setsOf(store.plan), store.unsavedChanges]).toEqual(['unreachable', 4, 1])
    await store.save()
    expect([store.saveState.kind, store.isSaved]).toEqual(['idle', true])
  })
  test('a refusal is told and nothing is lost', async () => {
    const store = await loaded({ ok: false, error: { kind: 'refused', problem: { type: '/problems/invalid', status: 422, title: 'Not accepted', detail: 'runs holds 22 sets.' } } })
    store.edit(addSet)
    await store.save()
    expect([store.saveState, setsOf(store.plan)]).toEqual([{ kind: 'refused', detail: 'runs holds 22 sets.' }, 4])
  })
})

describe('a newer plan from elsewhere', () => {
  const theirs = { ...plan, title: 'Theirs' }
  const current = { version: 9, savedAt: '2026-04-01T09:00:00.000Z', plan: theirs }

  test('keeping mine saves over the newer version', async () => {
    const store = await loaded(stale(current), saved(10))
    store.edit(addSet)
    await store.save()
    expect(store.saveState).toMatchObject({ kind: 'conflict', theirs: { version: 9 } })
    await store.save()
    expect(asked).toHaveLength(2)
    await store.keepMine()
    expect(asked[2]).toMatchObject({ body: { version: 9 } })
    expect([store.version, setsOf(store.plan), store.isSaved]).toEqual([10, 4, true])
  })
  test('taking theirs leaves mine one undo away', async () => {
    const store = await loaded(stale(current))
    store.edit(addSet)
    await store.save()
    store.takeTheirs()
    expect([store.plan?.title, store.version, store.isSaved]).toEqual(['Theirs', 9, true])
    store.undo()
    expect([setsOf(store.plan), store.isSaved]).toEqual([4, false])
  })
  test('a draft kept in the browser is taken up, as a conflict where the plan went on meanwhile', async () => {
    const mine = { ...plan, title: 'Mine' }
    const same = await loaded()
    same.restoreDraft({ version: 4, plan: mine })
    expect([same.plan?.title, same.saveState.kind, same.isSaved]).toEqual(['Mine', 'idle', false])
    const other = await loaded()
    other.restoreDraft({ version: 3, plan: mine })
    expect([other.plan?.title, other.saveState.kind]).toEqual(['Mine', 'conflict'])
    const equal = await loaded()
    equal.restoreDraft({ version: 4, plan })
    expect(equal.isSaved).toBe(true)
  })
})
