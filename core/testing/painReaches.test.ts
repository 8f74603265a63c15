import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { plainDate } from '../base'
import { applyEdits, type PlanDocument } from '../plan/block'
import { JOINTS, type Joint, requireExercise } from '../plan/catalogue'
import { contextWith, intentFor, PAIN_LEVELS, type PainLevel, STEADY_MIDDLE } from '../plan/method'
import { leadRir, nominalReps, plannedSets, workStages } from '../plan/scheme'
import { sessionSlots, type Slot } from '../plan/session'
import {
  isSore,
  isTooHard,
  mayGrow,
  painCeiling,
  rotationJoints,
  soreJoints,
  stressLimits,
} from '../body/joints'
import { checkInput, findingsOf } from '../judge/checks'
import { propose } from '../design/allocation'
import { setsOverBlock } from '../design/progress/setsOverBlock'
import { catchUpOffers, groupWeeks, shortSession } from '../design/short'
import { rankedChoices, swapChoices } from '../design/suggest'
import { bearingAt, fittedSession, SESSION_TEMPLATES, templateSession } from '../design/templates'
import { expandedBlock, issuedBlock } from '../design/progress'
import { painNotices } from '../words'
import { merged, replans } from '../follow/replan'
import { planArbitrary } from './arbitraries'
import { idsInARow } from './notation'
import { planIn, written } from './shorthandPlans'

/* A sore joint bears on everything that suggests, lays out or makes up: nothing here may load it more than it is now. */

const SORE = ['hold', 'swap', 'stop'] as const
const FLEXOR = 'elbow_flexor_side'
const context = (pain: Partial<Record<Joint, PainLevel>> = {}) =>
  contextWith(STEADY_MIDDLE, {
    trainingAgeMonths: 48,
    modes: { biceps: 'build', triceps: 'build', elbow_flexors_other: 'build' },
    pain,
  })
const rest = { ...written('rest'), sessions: [] }
/** Few curls, so that everything that fills bands wants more of them. */
const plan: PlanDocument = {
  ...planIn(
    7,
    written('push', 'bench_press_dumbbell 3 x 8, rir 2', 'pushdown_rope 3 x 12, rir 2'),
    rest,
    written('pull', 'pulldown_neutral 3 x 10, rir 2', 'cable_curl 3 x 12, rir 2'),
    rest,
    written('arms', 'hammer_curl 3 x 12, rir 2', 'overhead_extension_rope 3 x 12, rir 2'),
  ),
  startsOn: plainDate('2026-04-06'),
  passes: 4,
}
const stressOf = (slot: Slot, of = context()) =>
  intentFor(of, requireExercise(of.catalogue, slot.exercise), slot.intent).jointStress
const weekOf = (of: PlanDocument, joint: Joint) =>
  rotationJoints(of.rotation, context())[joint].weekLoad

describe('what a level asks of a change', () => {
  test.each([
    ['none', Infinity, undefined, true],
    ['note', Infinity, undefined, true],
    ['hold', 10, 1, false],
    ['swap', 5, 1, false],
    ['stop', 0, 0, false],
  ] as const)(
    '%s: %d of 10 points, stress of new exercises at most %s',
    (level, most, stress, grows) => {
      const of = context({ [FLEXOR]: level })
      expect(painCeiling(FLEXOR, 10, of)).toBe(most)
      expect(stressLimits(of)).toEqual(stress === undefined ? {} : { [FLEXOR]: stress })
      expect(mayGrow({ [FLEXOR]: 1 }, of)).toBe(grows)
      expect(mayGrow({ [FLEXOR]: 0, wrist: 2 }, of)).toBe(true)
      expect(isSore(level)).toBe(!grows)
      for (const own of [0, 1, 2, 3])
        expect(isTooHard({ [FLEXOR]: own }, of)).toBe(stress !== undefined && own > stress)
    },
  )
  test('the gravest of the joints an exercise stresses comes first', () => {
    const of = context({ wrist: 'hold', [FLEXOR]: 'stop', low_back: 'swap' })
    expect(soreJoints({ wrist: 2, [FLEXOR]: 1 }, of)).toEqual([FLEXOR, 'wrist'])
  })
})

describe.each(SORE)('an elbow at %s', level => {
  const sore = context({ [FLEXOR]: level })
  const input = checkInput(plan, sore)

  test('proposals never load it more than now, and at swap and stop less', () => {
    const before = weekOf(plan, FLEXOR)
    const calm = propose({ plan, context: context() }, { moves: 600 })
    const loads = (of: typeof calm) =>
      of.proposals.map(({ changes }) => {
        const edited = applyEdits(
          plan,
          changes.map(({ edit }) => edit),
          idsInARow(),
        )
        return edited.ok ? weekOf(edited.value, FLEXOR) : NaN
      })
    // Without pain the same plan is given more curls, so there is something to hold back.
    expect(Math.max(...loads(calm))).toBeGreaterThan(before + 1)
    for (const load of loads(propose({ plan, context: sore }, { moves: 600 }))) {
      expect(load).toBeLessThanOrEqual(before + 1e-6)
      if (level !== 'hold') expect(load).toBeLessThan(before)
    }
  })

  test('ramps give it no set, and say why', () => {
    const ramps = {
      biceps: { kind: 'linear', end: 14 },
      triceps: { kind: 'linear', end: 14 },
    } as const
    const calm = setsOverBlock(plan, context(), 4, ramps).at(-1)!
    const last = setsOverBlock(plan, sore, 4, ramps).at(-1)!
    const slots = plan.rotation.days.flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
    for (const slot of slots) {
      const now = plannedSets(slot.scheme)
      if (stressOf(slot)[FLEXOR] > 0) expect(last.of.get(slot.id) ?? now).toBeLessThanOrEqual(now)
    }
    const curl = slots.find(({ exercise }) => exercise === 'cable_curl')!
    expect(calm.of.get(curl.id)).toBeGreaterThan(plannedSets(curl.scheme))
    expect(last.notPlaced).toMatchObject([{ group: 'biceps', by: 'pain' }])
  })

  test('nothing that is harder on it stands in for anything', () => {
    for (const view of input.sessions)
      for (const { slot } of view.slots)
        for (const reason of ['other', 'taken', 'hurts'] as const)
          for (const choice of swapChoices(input, view, { slot: slot.id, reason, joint: FLEXOR }))
            expect(choice.intent.jointStress[FLEXOR]).toBeLessThanOrEqual(stressOf(slot)[FLEXOR])
  })

  test('templates come without what is too hard on it', () => {
    for (const template of SESSION_TEMPLATES) {
      const { session } = fittedSession(templateSession(template, idsInARow()), {
        context: sore,
        ledger: input.ledger,
        newId: idsInARow(),
      })
      for (const slot of sessionSlots(session))
        expect(stressOf(slot)[FLEXOR]).toBeLessThanOrEqual(level === 'stop' ? 0 : 1)
    }
  })

  test('nor does a template in a session’s place load it more than that session does', () => {
    const before = plan.rotation.days[2]!.sessions[0]!
    const bearing = bearingAt(plan.rotation, before, sore)!
    expect(bearing[FLEXOR]).toBeGreaterThan(0)
    for (const template of SESSION_TEMPLATES) {
      const fitted = (now: typeof bearing | undefined) =>
        fittedSession(templateSession(template, idsInARow()), {
          context: sore,
          ledger: input.ledger,
          newId: idsInARow(),
          bearing: now,
        })
      const { session, eased } = fitted(bearing)
      const own = bearingAt(plan.rotation, session, sore)![FLEXOR]
      expect(own).toBeLessThanOrEqual(painCeiling(FLEXOR, bearing[FLEXOR], sore) + 1e-6)
      const free = bearingAt(plan.rotation, fitted(undefined).session, sore)![FLEXOR]
      expect(eased.length > 0).toBe(free > own)
    }
    expect(bearingAt({ ...plan.rotation, days: [] }, null, sore)).toBeUndefined()
  })

  test('no rotation of a block takes it nearer to failure, or heavier for fewer reps', () => {
    const block = {
      effort: { compound: { from: 3, to: 0 }, isolation: { from: 3, to: 0 } },
      repWave: [0, -4],
    }
    const leads = (of: ReturnType<typeof context>) =>
      expandedBlock({ ...plan, passes: 4, block }, of).passes.flatMap(({ sessions }) =>
        sessions.flatMap(({ content }) =>
          sessionSlots(content).map(slot => ({ slot, run: slot.scheme.runs.at(-1)! })),
        ),
      )
    const now = plan.rotation.days.flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
    const plannedRun = (id: string) => now.find(slot => slot.id === id)!.scheme.runs.at(-1)!
    const nearer = leads(context()).filter(
      ({ slot, run }) =>
        stressOf(slot)[FLEXOR] > 0 && leadRir(run)! < leadRir(plannedRun(slot.id))!,
    )
    expect(nearer.length).toBeGreaterThan(0)
    for (const { slot, run } of leads(sore)) {
      if (stressOf(slot)[FLEXOR] === 0) continue
      expect(leadRir(run)).toBeGreaterThanOrEqual(leadRir(plannedRun(slot.id))!)
      expect(nominalReps(workStages(run)[0]?.reps)).toBeGreaterThanOrEqual(
        nominalReps(workStages(plannedRun(slot.id))[0]?.reps)!,
      )
    }
  })

  test('what a short session leaves out is not made up on it', () => {
    const view = input.sessions.find(({ day }) => day === 2)!
    const short = shortSession({
      session: view.content,
      minutes: 12,
      context: sore,
      weeks: groupWeeks(input.ledger),
      lengthDays: 7,
    })
    for (const { slot } of catchUpOffers(short, 2, input)) expect(stressOf(slot)[FLEXOR]).toBe(0)
  })

  test('nor is a missed session', () => {
    const question = (of: ReturnType<typeof context>) => {
      const expanded = issuedBlock(expandedBlock(plan, of), [])
      const missed = expanded.passes[0]!.sessions.find(({ role }) => role === 'pull')!
      return {
        expanded,
        missed,
        context: of,
        today: plainDate('2026-04-09'),
        plan,
        isClosed: () => false,
      } as never
    }
    const refilled = (of: ReturnType<typeof context>) =>
      (merged(question(of))?.refilled ?? []).flatMap(({ sets }) => sets.map(({ group }) => group))
    expect(refilled(context())).toContain('biceps')
    expect(refilled(sore)).not.toContain('biceps')
    for (const { refilled: held } of replans(question(sore)))
      for (const { sets } of held) expect(sets.map(({ group }) => group)).not.toContain('biceps')
  })

  test('suggestions name it, and put it behind what spares it', () => {
    const choices = rankedChoices(input, 'biceps', 4)
    for (const { exercise, intent, reasons } of choices) {
      const stress = stressOf({ exercise: exercise.id, intent } as Slot)[FLEXOR]
      const isNamed = reasons.some(reason => reason.kind === 'joint' && reason.joint === FLEXOR)
      if (stress > 0) expect([exercise.id, isNamed]).toEqual([exercise.id, true])
    }
  })
})

test('no fix of any finding gives a sore joint more sets or a harder exercise', () => {
  fc.assert(
    fc.property(
      planArbitrary,
      fc.constantFrom(...SORE),
      fc.constantFrom(...JOINTS),
      (of, level, joint) => {
        const input = checkInput(of, context({ [joint]: level }))
        const slots = of.rotation.days.flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
        for (const { fix = [], check } of findingsOf(input))
          for (const edit of fix) {
            if (edit.kind !== 'add_sets') continue
            const slot = slots.find(({ id }) => id === edit.slot)!
            expect([check, joint, stressOf(slot)[joint]]).toEqual([check, joint, 0])
          }
      },
    ),
    { numRuns: 40 },
  )
})

describe('what is said first', () => {
  test('each joint with its last report and what that asks for, the gravest first', () => {
    const words = painNotices({
      pain: { wrist: 'hold', [FLEXOR]: 'stop', low_back: 'note' },
      lastPain: {
        wrist: { on: plainDate('2026-11-26'), score: 4 },
        [FLEXOR]: { on: plainDate('2026-11-27'), score: 8 },
      },
    })
    expect(words.map(({ joint }) => joint)).toEqual([FLEXOR, 'wrist', 'low_back'])
    expect(words[0]!.words).toMatch(
      /, 8 of 10 on Fri 27 Nov: nothing loads it until .* cleared it\.$/,
    )
    expect(words[1]!.words).toMatch(/, 4 of 10 on Thu 26 Nov: nothing loads it more than now/)
    expect(words[2]!.words).toMatch(/: noted; watch whether it grows\.$/)
  })
  test('nothing where nothing was reported; every level but none has a sentence', () => {
    expect(painNotices({})).toEqual([])
    for (const level of PAIN_LEVELS)
      expect(painNotices({ pain: { wrist: level } })).toHaveLength(level === 'none' ? 0 : 1)
  })
})

describe('a swap because it hurts always ends somewhere', () => {
  const all = plan.rotation.days.flatMap(({ sessions }) => sessions.flatMap(sessionSlots))
  test.each(['none', 'note', 'hold', 'swap', 'stop'] as const)('at %s', level => {
    const input = checkInput(plan, context({ [FLEXOR]: level }))
    for (const slot of all.filter(held => stressOf(held)[FLEXOR] > 0)) {
      const view = input.sessions.find(({ slots }) => slots.some(held => held.slot.id === slot.id))!
      const choices = swapChoices(input, view, { slot: slot.id, reason: 'hurts', joint: FLEXOR })
      const eased = choices.filter(({ form }) => form === 'eased')
      expect(eased).toHaveLength(level === 'swap' || level === 'stop' ? 0 : 1)
      for (const { scheme } of eased)
        for (const run of scheme.runs)
          expect(run.stages).toMatchObject([{ effort: { kind: 'rir', rir: 4 } }])
      const stresses = choices
        .filter(({ form }) => form === 'other')
        .map(({ intent }) => intent.jointStress[FLEXOR])
      expect(stresses).toEqual([...stresses].sort((a, b) => a - b))
      // Where the joint is to be left alone, taking the exercise out is what is left.
      if (level !== 'swap' && level !== 'stop') expect(choices.length).toBeGreaterThan(0)
    }
  })
})
