import { STEADY_MIDDLE } from '#core/plan/method'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { clientId } from '#core/base'
import { applyEdits, type PlanDocument } from '#core/plan/block'
import { findingKey } from '#core/judge/checks'
import { daySlots } from '#core/plan/rotation'
import { plannedSets } from '#core/plan/scheme'
import { planIn, written } from '#core/testing/shorthandPlans'
import { type Asked, frameworkWith } from '~/testing/framework'

const id = clientId('6f9619ff-8b86-4011-b42d-00c04fc964ff')
const blockId = '7f9619ff-8b86-4011-b42d-00c04fc964ff'
const plan = planIn(
  3,
  written('push', 'pushdown_rope 3 x 12, rir 1'),
  written('arms', 'cable_curl 4 x 12, rir 1'),
)
const slot = daySlots(plan.rotation.days[0]!)[0]!
const view = {
  id,
  name: 'Joren',
  about: '',
  method: STEADY_MIDDLE,
  basedOn: null,
  library: { exercises: [], credits: {} },
  facts: { trainingAgeMonths: 30, modes: {}, bands: {}, equipment: [], credits: {} },
  block: { id: blockId, version: 4, savedAt: '2026-04-01T08:00:00.000Z', plan },
}
const saved = (version: number) => ({
  ok: true,
  value: { version, savedAt: '2026-04-01T08:01:00.000Z' },
})
const unreachable = { ok: false, error: { kind: 'unreachable' } }
const stale = (current: object) => ({
  ok: false,
  error: {
    kind: 'refused',
    problem: {
      type: '/problems/stale-version',
      status: 409,
      title: 'Saved elsewhere meanwhile',
      detail: 'Compare.',
      current,
    },
  },
})

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
const setsOf = (document: PlanDocument | null) =>
  plannedSets(daySlots(document!.rotation.days[0]!)[0]!.scheme)
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
    expect(
      store.edit({ kind: 'move_sets', toDay: 2, moves: [{ slot: slot.id, count: 1 }] }),
    ).toEqual({ ok: false, error: { kind: 'rest_day', day: 2 } })
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
    expect(asked[1]).toMatchObject({
      path: `/api/blocks/${blockId}/plan`,
      method: 'PUT',
      body: { version: 4 },
    })
    expect([store.version, store.isSaved, store.unsavedChanges, store.saveState.kind]).toEqual([
      5,
      false,
      1,
      'idle',
    ])
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
    expect([store.saveState.kind, setsOf(store.plan), store.unsavedChanges]).toEqual([
      'unreachable',
      4,
      1,
    ])
    await store.save()
    expect([store.saveState.kind, store.isSaved]).toEqual(['idle', true])
  })
  test('a refusal is told and nothing is lost', async () => {
    const store = await loaded({
      ok: false,
      error: {
        kind: 'refused',
        problem: {
          type: '/problems/invalid',
          status: 422,
          title: 'Not accepted',
          detail: 'runs holds 22 sets.',
        },
      },
    })
    store.edit(addSet)
    await store.save()
    expect([store.saveState, setsOf(store.plan)]).toEqual([
      { kind: 'refused', detail: 'runs holds 22 sets.' },
      4,
    ])
  })
})

describe('a newer plan from elsewhere', () => {
  const otherDay = daySlots(plan.rotation.days[1]!)[0]!
  /** What another window made of the same plan. */
  function theirsAfter(...edits: Parameters<typeof applyEdits>[1]): PlanDocument {
    const result = applyEdits(plan, edits, () => 'new')
    if (!result.ok) throw new Error(result.error.kind)
    return result.value
  }
  const clash = {
    version: 9,
    savedAt: '2026-04-01T09:00:00.000Z',
    plan: theirsAfter({ kind: 'cut_sets', slot: slot.id, count: 1 }),
  }
  const beside = {
    version: 9,
    savedAt: '2026-04-01T09:00:00.000Z',
    plan: theirsAfter({ kind: 'add_sets', slot: otherDay.id, count: 2 }),
  }
  const setsOn = (document: PlanDocument | null, day: number) =>
    plannedSets(daySlots(document!.rotation.days[day]!)[0]!.scheme)

  test('what we sent before the connection broke is ours, whatever we changed since', async () => {
    const taken = { version: 5, savedAt: '2026-04-01T09:00:00.000Z', plan: theirsAfter(addSet) }
    const store = await loaded(unreachable, stale(taken), saved(6))
    store.edit(addSet)
    await store.save()
    expect(store.saveState.kind).toBe('unreachable')
    store.edit(addSet)
    await store.save()
    expect([store.saveState.kind, store.version, setsOn(store.plan, 0)]).toEqual(['idle', 6, 5])
    expect(asked[3]).toMatchObject({ method: 'PUT', body: { version: 5 } })
    expect(store.mergedAt).toBe(0)
    store.undo()
    expect(setsOn(store.plan, 0)).toBe(4)
  })

  test('of several saves without an answer any may have arrived', async () => {
    const taken = { version: 5, savedAt: '2026-04-01T09:00:00.000Z', plan: theirsAfter(addSet) }
    const store = await loaded(unreachable, unreachable, stale(taken), saved(6))
    for (let times = 0; times < 3; times++) {
      store.edit(addSet)
      await store.save()
    }
    expect([store.saveState.kind, store.version, setsOn(store.plan, 0)]).toEqual(['idle', 6, 6])
  })

  test('an answer that never came makes nobody else’s change our own', async () => {
    const store = await loaded(unreachable, stale(clash))
    store.edit(addSet)
    await store.save()
    store.edit(addSet)
    await store.save()
    expect(store.saveState.kind).toBe('conflict')
  })

  test('changes of different days are laid together and saved over theirs, without a question', async () => {
    const store = await loaded(stale(beside), saved(10))
    store.edit(addSet)
    await store.save()
    expect(asked[2]).toMatchObject({ method: 'PUT', body: { version: 9 } })
    expect([
      store.saveState.kind,
      store.version,
      setsOn(store.plan, 0),
      setsOn(store.plan, 1),
      store.isSaved,
      store.mergedAt,
    ]).toEqual(['idle', 10, 4, 6, true, 1])
  })
  test('undo after that goes back over our own step and leaves theirs', async () => {
    const store = await loaded(stale(beside), saved(10))
    store.edit(addSet)
    await store.save()
    store.undo()
    expect([setsOn(store.plan, 0), setsOn(store.plan, 1)]).toEqual([3, 6])
    store.redo()
    expect([setsOn(store.plan, 0), setsOn(store.plan, 1)]).toEqual([4, 6])
  })
  test('a window without edits takes up what another has saved', async () => {
    const store = await loaded({
      ok: true,
      value: { ...view, block: { ...view.block, ...beside } },
    })
    await store.catchUp()
    expect([store.version, setsOn(store.plan, 1), store.isSaved, asked.length]).toEqual([
      9,
      6,
      true,
      2,
    ])
  })
  test('one with an edit of the same day asks', async () => {
    const store = await loaded({ ok: true, value: { ...view, block: { ...view.block, ...clash } } })
    store.edit(addSet)
    await store.catchUp()
    expect([store.saveState.kind, setsOn(store.plan, 0)]).toEqual(['conflict', 4])
  })
  test('nothing newer changes nothing; without a connection neither', async () => {
    const store = await loaded({ ok: true, value: view }, unreachable)
    await store.catchUp()
    await store.catchUp()
    expect([store.version, store.plan, store.mergedAt]).toEqual([4, plan, 0])
  })
  test('keeping mine saves over the newer version', async () => {
    const store = await loaded(stale(clash), saved(10))
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
    const store = await loaded(stale(clash))
    store.edit(addSet)
    await store.save()
    store.takeTheirs()
    expect([setsOf(store.plan), store.version, store.isSaved]).toEqual([2, 9, true])
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

describe('findings', () => {
  test('a finding that was dismissed is listed apart until it is brought back', async () => {
    const store = await loaded()
    const finding = store.findings.find(({ check }) => check === 'below-floor')!
    const all = store.findings.length
    store.edit({ kind: 'dismiss', finding: findingKey(finding), note: 'later' })
    expect([store.findings.length, store.dismissed.length]).toEqual([all - 1, 1])
    store.edit({ kind: 'undismiss', finding: findingKey(finding) })
    expect([store.findings.length, store.dismissed.length]).toEqual([all, 0])
  })
  test('an open screening cannot be dismissed, whatever the document says', async () => {
    answers = [{ ok: true, value: { ...view, facts: { ...view.facts, screening: 'open' } } }]
    frameworkWith(() => answers.shift())
    const { usePlanStore } = await import('./plan')
    const store = usePlanStore()
    await store.load(id)
    const open = store.findings.find(({ check }) => check === 'screening-open')!
    store.edit({ kind: 'dismiss', finding: findingKey(open), note: 'they look fine' })
    expect(store.findings.map(({ check }) => check)).toContain('screening-open')
    expect(store.dismissed).toEqual([])
  })
  test('several edits are one step of undo, and one that cannot be made stops them all', async () => {
    const store = await loaded()
    expect(store.editAll([addSet, addSet]).ok).toBe(true)
    expect([setsOf(store.plan), store.past.length]).toEqual([5, 1])
    expect(store.editAll([addSet, { kind: 'swap_days', day: 0, with: 9 }]).ok).toBe(false)
    expect([setsOf(store.plan), store.past.length]).toEqual([5, 1])
    store.undo()
    expect(setsOf(store.plan)).toBe(3)
  })
  test('a plan brought back from the history is one step, and steps kept over a reload can be walked', async () => {
    const store = await loaded()
    store.put({ ...plan, title: 'Older' })
    store.undo()
    expect(store.plan?.title).toBe(plan.title)
    store.restoreSteps({
      past: [{ ...plan, title: 'Before' }],
      future: [{ ...plan, title: 'After' }],
    })
    store.redo()
    expect(store.plan?.title).toBe('After')
    store.undo()
    store.undo()
    expect(store.plan?.title).toBe('Before')
  })
})

describe('a part that is opened by itself', () => {
  test('is shown, read and changed in place of the whole, which is what is saved and undone', async () => {
    const store = await loaded(saved(5))
    const whole = store.whole!
    const reader = store.context!
    const own = { ...reader, client: { ...reader.client, trainingAgeMonths: 6 } }
    store.openPart({
      shown: of => ({ ...of, title: 'Part' }),
      context: () => own,
      taken: (of, next) =>
        next.title === 'Part'
          ? { ok: true, value: { ...of, rotation: next.rotation } }
          : { ok: false, error: { kind: 'one_rotation' } },
    })
    expect([store.plan?.title, store.context, store.input?.context]).toEqual(['Part', own, own])
    expect(store.edit({ kind: 'set_block', title: 'Other' })).toMatchObject({ ok: false })
    expect(store.edit(addSet).ok).toBe(true)
    expect([store.whole?.title, setsOf(store.whole)]).toEqual([whole.title, 4])
    await store.save()
    expect(asked[1]).toMatchObject({ body: { plan: { title: whole.title } } })
    expect(store.isSaved).toBe(true)
    store.undo()
    expect(store.whole).toBe(whole)
    store.openPart(null)
    expect([store.plan, store.context]).toEqual([whole, reader])
  })
})
