import { beforeEach, describe, expect, test } from '@jest/globals'
import * as vue from 'vue'
import { costsOfTerms } from '#core/design/allocation'
import { draftsFrom } from '#core/design/draft'
import { plainDate } from '#core/base'
import { type PlanDocument, starterPlan } from '#core/plan/block'
import { idsInARow } from '../../../core/testing/notation'
import { planIn, written } from '../../../core/testing/shorthandPlans'
import { provideGlobally } from '~/testing/framework'
import { planScreen } from '~/testing/planScreen'
import type { AllocateAnswer, AllocateQuestion } from '~/workers/allocate'

/* What the Proposals pages do around their worker; the worker's questions are answered here by the core itself, in few moves. */

const plan = planIn(
  7,
  written('push', 'bench_press_dumbbell 3 x 8, rir 2', 'pushdown_rope 3 x 12, rir 2'),
  written('pull', 'machine_row 3 x 10, rir 2', 'cable_curl 3 x 12, rir 2'),
  written('arms', 'hammer_curl 3 x 12, rir 2', 'overhead_extension_rope 3 x 12, rir 2'),
)
let went: unknown[] = []

function answered(question: AllocateQuestion): AllocateAnswer {
  if (question.kind === 'terms')
    return {
      kind: 'terms',
      costs: costsOfTerms(question.plan, question.context, question.terms, { moves: 200 }),
    }
  if (question.kind === 'draft')
    return {
      kind: 'drafts',
      drafts: draftsFrom(question.plan, question.context, { newId: idsInARow(), moves: 300 }),
    }
  throw new Error('not asked here')
}

async function opened(of: PlanDocument) {
  const screen = await planScreen(of, {
    answering: ({ method }) =>
      method === 'PUT'
        ? { ok: true, value: { version: 2, savedAt: '2026-04-02T08:00:00.000Z' } }
        : { ok: true, value: {} },
  })
  provideGlobally({
    useAllocator: () => ({
      ask: async (question: AllocateQuestion) => answered(question),
      stop: () => {},
      progress: vue.ref(0),
    }),
    useTrial: () => ({
      showOnBoard: async (name: string) => void went.push(name),
      nameVersion: async (name: string) => void went.push(name),
    }),
    navigateTo: async (to: string) => void went.push(to),
  })
  return screen
}

beforeEach(() => {
  went = []
})

describe('other terms', () => {
  test('typed and chosen they stand beside the plan as it is, at most four, each once', async () => {
    await opened(plan)
    const { useTerms, MOST_TERMS } = await import('./useTerms')
    const terms = useTerms()
    terms.typed.value = 'two days, more pump'
    await terms.addTyped()
    expect(terms.complaint.value).toMatch(/“more pump” is not understood/)
    expect(terms.typed.value).toBe('two days, more pump')
    terms.typed.value = 'two days, 40 minutes'
    await terms.addTyped()
    expect(terms.typed.value).toBe('')
    expect(terms.rows.value.map(({ words }) => words)).toEqual([
      'As it is, placed again',
      '2 days, 40 minutes',
    ])
    expect(terms.rows.value[1]).toMatchObject({ days: 2, canGo: true })
    for (const { terms: one } of terms.suggested.value) await terms.add(one)
    expect(terms.rows.value.length).toBeLessThanOrEqual(MOST_TERMS + 1)
    await terms.add({ days: 2, minutes: 40 })
    expect(terms.complaint.value).toMatch(/stands there already/)
    terms.remove('2 days, 40 minutes')
    expect(terms.rows.value.map(({ words }) => words)).not.toContain('2 days, 40 minutes')
  })

  test('kept with the plan they are its reason, one step of undo, and can go again', async () => {
    const { store } = await opened(plan)
    const { useTerms } = await import('./useTerms')
    const terms = useTerms()
    await terms.add({ armDay: 'without' })
    expect(terms.isKept.value).toBe(false)
    await terms.keep()
    expect(terms.isKept.value).toBe(true)
    expect(store.plan?.weighed).toEqual(
      terms.rows.value.map(({ words, outcome }) => ({ terms: words, outcome })),
    )
    expect(store.undo()).toBe(true)
    expect(store.plan?.weighed).toBeUndefined()
    await terms.keep()
    await terms.forget()
    expect(terms.kept.value).toEqual([])
  })
})

test('a draft shows its days and figures, and is taken as one step with its name', async () => {
  const empty = starterPlan(
    [1, 3, 5].map(weekday => ({ weekday, minutes: 60, start: '17:30' })),
    plainDate('2026-04-06'),
  )
  const { store } = await opened(empty)
  const { useDrafts } = await import('./useDrafts')
  const drafts = useDrafts()
  await drafts.draw()
  const [first] = drafts.columns.value
  expect(drafts.state.value).toBe('drawn')
  expect(first!.days.map(({ title }) => title)).toEqual([
    expect.stringMatching(/^Day 1 /),
    expect.stringMatching(/^Day 3 /),
    expect.stringMatching(/^Day 5 /),
  ])
  expect(first!.days.every(({ lines }) => lines.length > 2)).toBe(true)
  expect(first!.figures.sets).toBeGreaterThan(20)
  await drafts.tryOnBoard(0)
  await drafts.use(0)
  expect(went).toEqual([
    expect.stringMatching(/^Draft A: /),
    expect.stringMatching(/^Draft A: /),
    expect.stringMatching(/split$/),
  ])
  expect(store.isEmpty).toBe(false)
  expect(store.undo()).toBe(true)
  expect(store.isEmpty).toBe(true)
})
