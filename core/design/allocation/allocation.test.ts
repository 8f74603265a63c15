import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { applyEdits, type PlanDocument } from '../../plan/block'
import { checkInput } from '../../judge/checks'
import { rotationLedger } from '../../count/ledger'
import { BUILT_IN_CATALOGUE } from '../../plan/catalogue'
import { type ClientFacts, contextWith, type PlanContext, STEADY_MIDDLE } from '../../plan/method'
import type { RotationDay } from '../../plan/rotation'
import {
  concernWords,
  missWords,
  proofWords,
  termsProblemWords,
  termsWords,
  withheldWords,
} from '../../words'
import { planArbitrary } from '../../testing/arbitraries'
import { idsInARow } from '../../testing/notation'
import { planIn, written } from '../../testing/shorthandPlans'
import {
  allocationConcerns,
  allocationEdits,
  allocationProblem,
  costOfTerms,
  costsOfTerms,
  greedyStart,
  LOSS,
  type LinearSolver,
  propose,
  readTerms,
  relaxedQuestion,
  scorer,
  type Terms,
  usualTerms,
} from '.'

const client = (more: Partial<ClientFacts> = {}) =>
  contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48, ...more })
const push = written(
  'push',
  'bench_press_dumbbell 3 x 8, rir 2',
  'lateral_raise_dumbbell 3 x 12, rir 2',
  'pushdown_rope 2 x 12, rir 2',
)
const pull = written(
  'pull',
  'pulldown_neutral 3 x 10, rir 2',
  'machine_row 3 x 10, rir 2',
  'cable_curl 2 x 12, rir 2',
)
const arms = written(
  'arms',
  'superset: cable_curl 3 x 12, rir 2 & pushdown_rope 3 x 12, rir 2',
  'hammer_curl 2 x 12, rir 2',
)
const limited = (plan: PlanDocument, minutes: number): PlanDocument => ({
  ...plan,
  rotation: {
    ...plan.rotation,
    days: plan.rotation.days.map(day =>
      day.role === 'rest' ? day : { ...day, minuteLimit: minutes },
    ),
  },
})
const rest = written('rest')
const plan = limited(
  planIn(7, push, { ...rest, sessions: [] }, pull, { ...rest, sessions: [] }, arms),
  70,
)
const QUICK = { moves: 600 } as const

function after(
  of: PlanDocument,
  edits: readonly Parameters<typeof applyEdits>[1][number][],
): PlanDocument {
  const edited = applyEdits(of, edits, idsInARow())
  if (!edited.ok) throw new Error(JSON.stringify(edited.error))
  return edited.value
}

describe('a proposal is what the board shows after it', () => {
  test('sets, minutes, recovery and joints of any vector of sets are those of the edited plan', () => {
    const context = client()
    const problem = allocationProblem({ plan, context })
    fc.assert(
      fc.property(
        fc.array(fc.nat(), { minLength: problem.cells.length, maxLength: problem.cells.length }),
        dice => {
          const state = scorer(problem)
          problem.cells.forEach(({ at, values }) =>
            state.set(at, values[(dice[at] ?? 0) % values.length] ?? 0),
          )
          const edited = after(
            plan,
            allocationEdits(problem, Array.from(state.sets)).map(({ edit }) => edit),
          )
          const changed = problem.cells.filter(({ at, now }) => state.sets[at] !== now)
          expect(state.changes()).toEqual({
            lines: changed.length,
            comeAndGo: changed.filter(({ at, now }) => !(state.sets[at] && now)).length,
            sets: changed.reduce((sum, { at, now }) => sum + Math.abs(state.sets[at]! - now), 0),
          })
          const input = checkInput(edited, context)
          const again = allocationProblem({ plan: edited, context })
          const fresh = scorer(again)
          for (const { at, now } of again.cells) fresh.set(at, now)
          const wanted = (of: typeof state) =>
            of
              .scored()
              .misses.map(({ kind, group, amount, day }) =>
                [kind, group, day, amount.toFixed(6)].join(' '),
              )
              .sort()
          expect(state.seconds()).toBeCloseTo(
            input.sessions.reduce((sum, { time }) => sum + time.seconds, 0),
            6,
          )
          // What is wanted may differ only by muscles that nothing is open for any more.
          expect(wanted(fresh).filter(miss => miss.startsWith('readiness'))).toEqual(
            wanted(state).filter(miss => miss.startsWith('readiness')),
          )
          expect(fresh.stimulus()).toBeCloseTo(state.stimulus(), 6)
        },
      ),
      { numRuns: 12 },
    )
  })
  test('each group gets just what the ledger counts after the edits', () => {
    const context = client()
    const { proposals } = propose({ plan, context }, QUICK)
    const problem = allocationProblem({ plan, context })
    for (const { changes } of proposals) {
      const ledger = rotationLedger(
        after(
          plan,
          changes.map(({ edit }) => edit),
        ).rotation,
        context,
      )
      const sums = problem.groups.map((group, g) => {
        const open = problem.cells.reduce((sum, cell) => {
          const change = changes.find(({ cell: { slot } }) => slot.id === cell.slot.id)
          return sum + (cell.worth[change ? change.sets : cell.now]?.counted[g] ?? 0)
        }, 0)
        return [
          group,
          problem.places.reduce((sum, { base }) => sum + (base.counted[g] ?? 0), open) +
            (problem.beside[g] ?? 0),
        ] as const
      })
      for (const [group, sets] of sums)
        expect(ledger.groups[group].week.counted.value).toBeCloseTo(sets, 9)
    }
  })
})

describe('three proposals', () => {
  const context = client()
  const { proposals, now } = propose({ plan, context }, { moves: 3000 })
  const of = (kind: (typeof proposals)[number]['kind']) =>
    proposals.find(proposal => proposal.kind === kind)
  test('they meet the wants better than the plan does and differ in kind', () => {
    expect(proposals.length).toBeGreaterThan(1)
    const [best, fewest] = [of('best')!, of('fewest_changes')!]
    for (const proposal of proposals) {
      expect(proposal.points).toBeLessThan(now.points)
      expect(best.stimulus).toBeGreaterThanOrEqual(proposal.stimulus - 2)
      expect(fewest.changes.length).toBeLessThanOrEqual(proposal.changes.length)
      expect(fewest.points).toBeLessThanOrEqual(proposal.points + LOSS)
    }
  })
  test('two that differ in fewer than two exercises are one, and the shortest saves a twentieth', () => {
    for (const minuteLimit of [24, 30, 40, 60]) {
      const days = plan.rotation.days.map(day =>
        day.role === 'rest' ? day : { ...day, minuteLimit },
      )
      const tight = { ...plan, rotation: { ...plan.rotation, days } }
      const { proposals: shown, leftOut } = propose({ plan: tight, context }, QUICK)
      expect(shown.length + leftOut.length).toBe(3)
      const setsIn = (proposal: (typeof shown)[number]) =>
        new Map(proposal.changes.map(({ cell, sets }) => [cell.slot.id, sets]))
      shown.forEach((one, at) =>
        shown.slice(0, at).forEach(other => {
          const [mine, theirs] = [setsIn(one), setsIn(other)]
          const ids = new Set([...mine.keys(), ...theirs.keys()])
          const differ = [...ids].filter(id => mine.get(id) !== theirs.get(id))
          expect(differ.length).toBeGreaterThan(1)
          if (one.kind === 'shortest')
            expect(one.minutes).toBeLessThanOrEqual(0.95 * other.minutes + 1e-6)
        }),
      )
    }
  })
  test('limits hold and compounds stay', () => {
    for (const { changes } of proposals) {
      const edited = after(
        plan,
        changes.map(({ edit }) => edit),
      )
      for (const { day, time } of checkInput(edited, context).sessions)
        expect(time.seconds).toBeLessThanOrEqual(
          (edited.rotation.days[day]?.minuteLimit ?? 0) * 60 + 1e-6,
        )
      expect(
        changes.every(
          ({ cell }) =>
            !['bench_press_dumbbell', 'pulldown_neutral', 'machine_row'].includes(
              cell.slot.exercise,
            ),
        ),
      ).toBe(true)
    }
  })
  test('none is worse than a greedy placement, but for the set that few changes may cost', () => {
    const { points } = greedyStart(allocationProblem({ plan, context }))
    for (const proposal of proposals)
      expect(proposal.points).toBeLessThanOrEqual(
        points + 0.25 + (proposal.kind === 'fewest_changes' ? LOSS : 0) + 1e-6,
      )
  })
  test('the same question has the same answer', () =>
    expect(propose({ plan, context }, QUICK)).toEqual(propose({ plan, context }, QUICK)))
  test('held exercises, exercises to keep and those to avoid are left alone', () => {
    const curl = plan.rotation.days[2]?.sessions[0]?.groupings[2]?.slots[0]
    const held = curl ? after(plan, [{ kind: 'hold', slots: [curl.id], isHeld: true }]) : plan
    const problem = allocationProblem({
      plan: held,
      context: client({ keep: ['hammer_curl'], avoid: ['preacher_curl_bar'] }),
    })
    const open = problem.cells.map(({ slot }) => slot.id)
    expect(open).not.toContain(curl?.id)
    expect(
      problem.cells.some(
        ({ slot }) => slot.exercise === 'hammer_curl' && !slot.id.startsWith('new'),
      ),
    ).toBe(false)
    expect(
      problem.cells.some(({ slot, isNew }) => isNew && slot.exercise === 'preacher_curl_bar'),
    ).toBe(false)
  })
  test('a joint that must stop gets nothing new that touches it', () => {
    const sore = client({ pain: { elbow_extensor_side: 'stop' } })
    for (const { changes } of propose({ plan, context: sore }, QUICK).proposals) {
      for (const { cell } of changes.filter(change => change.cell.isNew))
        expect(
          sore.catalogue.get(cell.slot.exercise)?.intents[0].jointStress.elbow_extensor_side,
        ).toBe(0)
    }
  })
})

describe('what gives', () => {
  const over = limited(planIn(7, push, { ...rest, sessions: [] }, pull), 38)
  test('a week that asks too much gets the honest list and what binds', () => {
    const { proposals } = propose({ plan: over, context: client() }, { moves: 3000 })
    const [best] = proposals
    expect(best?.misses.map(missWords).join(' ')).toMatch(/under the floor|below target/)
    expect(best?.limits.some(({ kind }) => kind === 'minutes')).toBe(true)
  })
  test.each([
    ['no session at all', planIn(7), client(), /no session yet/],
    [
      'nothing that fits',
      limited(planIn(7, pull), 60),
      client({ equipment: ['wrist_roller'] }),
      /no exercise fits/,
    ],
    [
      'a floor over its ceiling',
      plan,
      client({ bands: { triceps: { floor: 20, target: 10, ceiling: 8 } } }),
      /floor lies above/,
    ],
    [
      'what stands fixed takes more than there is',
      limited(planIn(7, push), 12),
      client(),
      /minutes of day 1/,
    ],
  ])('%s is told with the way out', (_, asked, context, words) => {
    const { concerns, proposals } = propose({ plan: asked, context }, QUICK)
    expect(concerns.map(concernWords).join(' ')).toMatch(words)
    expect(proposals.length).toBeGreaterThan(0)
  })
  test('floors above ceilings never make it impossible', () => {
    const problem = allocationProblem({
      plan,
      context: client({ bands: { biceps: { floor: 30, target: 20, ceiling: 10 } } }),
    })
    expect(allocationConcerns(problem).map(({ kind }) => kind)).toContain('band_inverted')
  })
})

describe('the solver behind its port', () => {
  const answering =
    (answer: Partial<ReturnType<LinearSolver>>): LinearSolver =>
    () => ({ status: 'optimal', bound: 0, values: null, ...answer })
  test.each([
    ['a proof', answering({ bound: 1e6 }), 'proven'],
    ['a bound that leaves room', answering({ bound: -1000, status: 'stopped' }), 'stopped'],
    ['no answer', answering({ status: 'failed', bound: null }), 'failed'],
  ] as const)('%s', (_, solver, expected) => {
    const easy = limited(
      planIn(7, push, { ...rest, sessions: [] }, pull, { ...rest, sessions: [] }, arms),
      200,
    )
    const proposals = propose(
      { plan: expected === 'stopped' ? limited(planIn(7, push), 30) : easy, context: client() },
      { solver, ...QUICK },
    )
    expect(proposals.solver).toBe(expected)
    expect(proofWords(proposals, 4)).not.toBe('')
  })
  test('the model names every cell and is text that a solver reads', () => {
    const problem = allocationProblem({ plan, context: client() })
    const { text } = relaxedQuestion(problem)
    for (const { at } of problem.cells) expect(text).toContain(` y${at} `)
    expect(text).toMatch(
      /^Minimize\n v: [\s\S]*Subject To\n[\s\S]*Bounds\n[\s\S]*Generals\n[\s\S]*Binaries\n[\s\S]*End$/,
    )
    expect(text).not.toMatch(/NaN|Infinity|undefined/)
  })
  test('it can be stopped between two moves', () => {
    let heard = 0
    const { proposals } = propose({ plan, context: client() }, { onProgress: () => ++heard > 3 })
    expect(proposals.length).toBeGreaterThan(0)
  })
})

test('usual terms are compared, and the day that costs least is the one given up', () => {
  const costs = costsOfTerms(plan, client(), usualTerms(plan), { moves: 400 })
  expect(costs.map(({ terms }) => termsWords(terms))).toEqual([
    'As it is, placed again',
    '55 minutes',
    '2 days',
    'no arm day',
    'no arm day, arms as finishers',
  ])
  expect(costs[3]).toMatchObject({ givenUp: [4], trainingDays: 2 })
  expect(costs[2]!.trainingDays).toBe(2)
  for (const given of [0, 2, 4]) {
    const days = plan.rotation.days.map((day, at) => (at === given ? rest : day))
    const without = { ...plan, rotation: { ...plan.rotation, days } }
    const other = costOfTerms(without, client(), {}, { moves: 400 })
    expect(costs[2]!.points).toBeLessThanOrEqual(other.points + LOSS)
  }
})

test.each<{ line: string; terms: Terms }>([
  {
    line: 'four days, 45 minutes, no arm day, no overhead',
    terms: { days: 4, minutes: 45, armDay: 'without', overhead: 'without' },
  },
  { line: ' 3 training days ;  60 min ', terms: { days: 3, minutes: 60 } },
  {
    line: 'Without an arm day and arms as finishers',
    terms: { armDay: 'without', finishers: true },
  },
])('terms typed as "$line"', ({ line, terms }) => {
  expect(readTerms(line)).toEqual({ ok: true, value: terms })
  // What they are called can be typed again.
  expect(readTerms(termsWords(terms))).toEqual({ ok: true, value: terms })
})

test.each<{ line: string; says: RegExp }>([
  { line: '', says: /^Type the terms first/ },
  { line: 'more pump', says: /“more pump” is not understood/ },
  { line: 'many days', says: /“many days” is not understood/ },
  { line: '0 days', says: /from 1 to 14/ },
  { line: '400 minutes', says: /from 10 to 240/ },
])('"$line" is told with what can be typed', ({ line, says }) => {
  const read = readTerms(line)
  expect(read.ok ? '' : termsProblemWords(read.error)).toMatch(says)
})

test('terms that contradict the rotation are answered with what is possible', () => {
  const cost = (terms: Terms, of = plan) => costOfTerms(of, client(), terms, { moves: 300 })
  const onDays = (change: (day: RotationDay, at: number) => RotationDay) => ({
    ...plan,
    rotation: { ...plan.rotation, days: plan.rotation.days.map(change) },
  })
  expect(cost({ days: 5 })).toMatchObject({
    trainingDays: 3,
    notes: [{ kind: 'fewer_days', there: 3 }],
  })
  expect(cost({ armDay: 'without', days: 3 })).toMatchObject({ trainingDays: 3, givenUp: [] })
  // Two arm days go both; asked for three days, one of them is an upper day instead.
  const twice = onDays((day, at) => (at === 2 ? { ...arms, minuteLimit: 70 } : day))
  expect(cost({ armDay: 'without' }, twice)).toMatchObject({ trainingDays: 1, givenUp: [2, 4] })
  expect(cost({ armDay: 'without', days: 2 }, twice)).toMatchObject({
    trainingDays: 2,
    givenUp: [4],
  })
  const alone = onDays((day, at) => (at === 4 ? day : rest))
  expect(cost({ armDay: 'without' }, alone)).toMatchObject({
    trainingDays: 1,
    notes: [{ kind: 'last_day_stays' }],
  })
  expect(cost({ overhead: 'without' }).notes).toEqual([{ kind: 'no_overhead' }])
  const over = onDays((day, at) =>
    at === 0
      ? written(
          'push',
          'bench_press_dumbbell 3 x 8, rir 2',
          'overhead_extension_rope 3 x 12, rir 2',
        )
      : day,
  )
  const without = cost({ overhead: 'without' }, over)
  expect(without.notes).toEqual([])
  expect(without.misses.map(({ kind }) => kind)).toContain('overhead')
})

test('without an arm day finishers are tried on the days there are, with short rests', () => {
  const bare = limited(planIn(7, push, { ...rest, sessions: [] }, pull), 45)
  expect(usualTerms(bare)).toContainEqual({ finishers: true })
  const { cells } = allocationProblem({ plan: bare, context: client(), newAs: 'finisher' })
  for (const { grouping } of cells.filter(({ isNew }) => isNew))
    expect(grouping).toMatchObject({
      placement: 'finisher',
      slots: [{ scheme: { runs: [{ restAfter: { seconds: 45 } }] } }],
    })
})

describe('what may move', () => {
  const cellsOf = (scope: 'arms' | 'chosen' | 'all', chosen: readonly ('chest' | 'lats')[] = []) =>
    allocationProblem({ plan, context: client(), scope, chosen }).cells
  const standing = (cells: ReturnType<typeof cellsOf>) =>
    cells.filter(({ isNew }) => !isNew).map(({ slot }) => slot.exercise)
  test.each([
    [
      'arms',
      [],
      ['pushdown_rope', 'cable_curl', 'hammer_curl'],
      ['bench_press_dumbbell', 'lateral_raise_dumbbell', 'pulldown_neutral'],
    ],
    [
      'chosen',
      ['chest'],
      ['pushdown_rope', 'bench_press_dumbbell'],
      ['lateral_raise_dumbbell', 'pulldown_neutral'],
    ],
    ['chosen', ['lats'], ['cable_curl', 'pulldown_neutral'], ['bench_press_dumbbell']],
    [
      'all',
      [],
      ['bench_press_dumbbell', 'lateral_raise_dumbbell', 'pulldown_neutral', 'cable_curl'],
      [],
    ],
  ] as const)('%s %j', (scope, chosen, open, still) => {
    const there = standing(cellsOf(scope, chosen))
    expect(there).toEqual(expect.arrayContaining([...open]))
    for (const exercise of still) expect(there).not.toContain(exercise)
  })
  test('new exercises come for what may move, compounds too where their muscle was chosen', () => {
    expect(cellsOf('chosen', ['chest']).some(({ isNew, main }) => isNew && main === 'chest')).toBe(
      true,
    )
    expect(
      cellsOf('arms').every(
        ({ isNew, main }) =>
          !isNew || ['biceps', 'elbow_flexors_other', 'triceps', 'forearms'].includes(main),
      ),
    ).toBe(true)
  })
  test('a chosen muscle that was below its band gets sets', () => {
    const {
      proposals: [best],
    } = propose({ plan, context: client(), scope: 'chosen', chosen: ['chest'] }, { moves: 3000 })
    expect(best?.changes.some(({ cell: { main } }) => main === 'chest')).toBe(true)
  })
})

test('whatever the plan, proposals never break it and never cost more points than leaving the open sets out', () => {
  const context = client({ equipment: ['dumbbell', 'bench', 'cable'] })
  fc.assert(
    fc.property(planArbitrary, any => {
      const { proposals } = propose({ plan: any, context }, { moves: 60 })
      for (const { changes } of proposals)
        expect(
          applyEdits(
            any,
            changes.map(({ edit }) => edit),
            idsInARow(),
          ),
        ).toMatchObject({ ok: true })
    }),
    { numRuns: 3 },
  )
})

describe('proposals that a coach would sign', () => {
  const sore = { pain: { elbow_extensor_side: 'hold' as const } }
  test('nothing loads a sore joint more than now, and what is held back for it is told', () => {
    const context = client(sore)
    const { proposals, withheld } = propose({ plan, context }, QUICK)
    const loadsOf = (of: PlanDocument) =>
      checkInput(of, context).sessions.map(({ joints }) => joints.elbow_extensor_side)
    const before = loadsOf(plan)
    for (const { changes } of proposals)
      loadsOf(
        after(
          plan,
          changes.map(({ edit }) => edit),
        ),
      ).forEach((load, at) => expect(load).toBeLessThanOrEqual((before[at] ?? 0) + 1e-6))
    expect(withheld.length).toBeGreaterThan(0)
    for (const { why } of withheld) expect(why).toBe('elbow_extensor_side')
    expect(withheldWords(withheld, context)[0]).toMatch(/^Held back for the back of the elbow: /)
    expect(propose({ plan, context: client() }, QUICK).withheld).toEqual([])
  })

  test('an exercise that a note on a joint names is not put in', () => {
    const isOffered = (context: PlanContext, id: string) =>
      allocationProblem({ plan, context }).cells.some(
        ({ isNew, slot }) => isNew && slot.exercise === id,
      )
    const [offered] = allocationProblem({ plan, context: client() }).cells.filter(
      ({ isNew, main }) => isNew && main === 'triceps',
    )
    const { name, id } = BUILT_IN_CATALOGUE.get(offered!.slot.exercise)!
    const noted = client({ provokedBy: [`${name}, and the cold`] })
    expect(isOffered(client(), id)).toBe(true)
    expect(isOffered(noted, id)).toBe(false)
    expect(withheldWords(propose({ plan, context: noted }, QUICK).withheld, noted)).toEqual([
      `Held back, since the notes name it: ${name}.`,
    ])
  })

  test('palms-facing and overhead work stay, however low the ceiling', () => {
    const withBoth = planIn(
      7,
      written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'overhead_extension_rope 3 x 12, rir 2'),
      written('rest'),
      written('pull', 'machine_row 4 x 10, rir 2', 'hammer_curl 3 x 12, rir 2'),
    )
    const low = { floor: 0, target: 1, ceiling: 1 }
    const context = client({
      bands: { elbow_flexors_other: low, triceps: low },
      modes: { elbow_flexors_other: 'build', triceps: 'build' },
    })
    for (const { changes, misses } of propose({ plan: withBoth, context }, QUICK).proposals) {
      const edited = after(
        withBoth,
        changes.map(({ edit }) => edit),
      )
      const { groups } = rotationLedger(edited.rotation, context)
      expect(groups.elbow_flexors_other.week.direct.value).toBeGreaterThan(0)
      expect(misses.map(({ kind }) => kind)).not.toContain('lost')
    }
  })

  test('a ratio nobody asked for costs nothing; one that is asked for does', () => {
    const ratioOf = (facts: Partial<ClientFacts>) => {
      const problem = allocationProblem({ plan, context: client(facts) })
      const state = scorer(problem)
      for (const cell of problem.cells)
        state.set(cell.at, cell.main === 'triceps' ? cell.values.at(-1)! : 2)
      return state.scored().misses.find(({ kind }) => kind === 'ratio')
    }
    expect(ratioOf({})).toBeUndefined()
    expect(ratioOf({ ratioWish: 1 })?.amount).toBeGreaterThan(0)
  })

  test('no plan with one or two changes comes as near where more are proposed: every one is tried', () => {
    const context = client({ equipment: ['cable', 'bodyweight'] })
    const small = planIn(
      7,
      written('pull', 'seated_cable_row 3 x 10, rir 2', 'cable_curl 2 x 12, rir 2'),
      written('rest'),
      written('push', 'pushdown_rope 2 x 12, rir 2'),
    )
    const question = { plan: limited(small, 30), context }
    const { proposals } = propose(question, { moves: 3000 })
    const fewest = proposals.find(({ kind }) => kind === 'fewest_changes') ?? proposals[0]!
    const within = Math.min(...proposals.map(({ points }) => points)) + LOSS
    const problem = allocationProblem(question)
    const state = scorer(problem)
    for (const { at, now } of problem.cells) state.set(at, now)
    const isNear = () => problem.cells.every(({ at }) => state.fits(at)) && state.points() <= within
    function fewestFrom(from: number, changes: number): number {
      if (isNear()) return changes
      if (changes === 2) return Infinity
      let least = Infinity
      for (const { at, now, values } of problem.cells.slice(from))
        for (const sets of values.filter(value => value !== now)) {
          state.set(at, sets)
          least = Math.min(least, fewestFrom(at + 1, changes + 1))
          state.set(at, now)
        }
      return least
    }
    expect(fewest.changes.length).toBeLessThanOrEqual(fewestFrom(0, 0))
  })
})
