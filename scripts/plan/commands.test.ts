import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { addDays } from '#core/base'
import { planIn, written } from '#core/testing/shorthandPlans'
import { planFileSchema } from '#shared/contracts/planFile'
import { run } from './commands'

const plan = planIn(
  7,
  written('push', 'bench_press_dumbbell 4 x 8, rir 2', 'pushdown_rope 3 x 12, rir 1'),
  written('arms', 'cable_curl 2-4 (3) x 12, rir 1', 'lying_extension_cambered 3 x 10, rir 0'),
)
const file = (value: unknown) => () => (typeof value === 'string' ? value : JSON.stringify(value))
const out = (args: readonly string[], value: unknown = { plan }) =>
  JSON.parse(run(args, file(value)).out ?? 'null')

describe('plan on the command line', () => {
  test('ledger counts under the school that is asked for', () => {
    const triceps = (school: string) =>
      out(['ledger', 'plan.json', '--school', school]).groups.find(
        ({ group }: { group: string }) => group === 'triceps',
      ).counted.value
    expect(['direct_only', 'fractional', 'whole'].map(triceps)).toEqual([6, 8, 10])
    expect(out(['ledger', 'plan.json']).school).toBe('fractional')
  })
  test('a method brings its own school, a bare plan the default one', () => {
    expect(out(['ledger', 'plan.json'], { plan, method: 'few-hard-sets' }).school).toBe(
      'direct_only',
    )
    expect(out(['ledger', 'plan.json'], plan).school).toBe('fractional')
  })
  test('recovery names days as a coach counts them', () => {
    expect(out(['recovery', 'plan.json']).triceps[1]).toMatchObject({
      day: 2,
      fromDay: 1,
      hoursSince: 24,
      sources: [{ day: 1 }],
    })
  })
  test('minutes give a range where the plan leaves a choice', () => {
    const [, arms] = out(['minutes', 'plan.json'])
    expect(arms).toMatchObject({ day: 2, date: 'Sat 4 Apr' })
    expect(arms.low).toBeLessThan(arms.minutes)
  })
  test('checks come with a sentence, a reason and the place', () => {
    expect(out(['checks', 'plan.json'])[0]).toMatchObject({
      check: 'failure-under-bar',
      severity: 'stop',
      place: { day: 2, session: 1 },
      sentence: expect.stringContaining('Lying extension'),
    })
  })
  test('sheet gives the next session set by set, loads the whole block; both go on from the log', () => {
    const ladder = {
      ...planIn(7, written('arms', 'barbell_curl 3 x 12/10/8, 30kg; load +5kg a set')),
      passes: 3,
    }
    expect(out(['loads', 'plan.json'], ladder).map(({ exercises }: never) => exercises[0])).toEqual(
      [
        expect.objectContaining({ loads: [30, 35, 40], reason: 'As planned' }),
        expect.objectContaining({ loads: [32.5, 37.5, 42.5] }),
        expect.objectContaining({ loads: [35, 40, 45] }),
      ],
    )
    const [day] = ladder.rotation.days
    const done = [30, 35, 40].map((loadKg, at) => ({
      slot: day!.sessions[0]!.groupings[0]!.slots[0].id,
      exercise: 'barbell_curl',
      set: at + 1,
      loadKg,
      reps: [12, 9, 7][at],
      rir: 2,
    }))
    const after = { plan: ladder, log: [{ on: ladder.startsOn, sets: done }] }
    const sheet = out(['sheet', 'plan.json'], after)
    expect(sheet).toMatchObject({ rotation: 2, day: 1, date: addDays(ladder.startsOn, 7) })
    expect(
      sheet.exercises[0].sets.map(
        ({ parts }: { parts: readonly { load: unknown }[] }) => parts[0]!.load,
      ),
    ).toEqual([32.5, 35, 40].map(amount => ({ kind: 'weight', amount })))
    expect(sheet.exercises[0].why).toMatch(/^One set made its reps/)
    expect(out(['sheet', 'plan.json', '--on', addDays(ladder.startsOn, 10)], after).rotation).toBe(
      3,
    )
    expect(
      run(['sheet', 'plan.json', '--on', 'Friday'], file({ plan: ladder })).errors![0],
    ).toMatch(/"Friday" is not a day/)
    const odd = { plan: ladder, log: [{ on: ladder.startsOn, sets: [{ ...done[0], set: 'one' }] }] }
    expect(run(['sheet', 'plan.json'], file(odd)).errors![0]).toMatch(/^\/log\/0\/sets\/0\/set:/)
  })
  test.each([
    { name: 'no command', args: [], code: 2, error: /A command is missing/ },
    {
      name: 'unknown command',
      args: ['rehearse', 'plan.json'],
      code: 2,
      error: /no command "rehearse"/,
    },
    { name: 'no file', args: ['ledger'], code: 2, error: /A file is missing/ },
    {
      name: 'unknown school',
      args: ['ledger', 'plan.json', '--school', 'evening'],
      code: 2,
      error: /no counting school "evening"/,
    },
    {
      name: 'too much',
      args: ['ledger', 'plan.json', 'other.json'],
      code: 2,
      error: /Too many arguments: other.json/,
    },
  ])('refused: $name', ({ args, code, error }) => {
    const outcome = run(args, file({ plan }))
    expect(outcome).toMatchObject({ code, errors: [expect.stringMatching(error)] })
    expect(outcome.out).toBeUndefined()
  })
  test('a file that is missing, broken, or no plan', () => {
    expect(
      run(['ledger', 'gone.json'], () => {
        throw new Error('ENOENT')
      }),
    ).toMatchObject({ code: 1, errors: [expect.stringContaining('gone.json cannot be read')] })
    expect(run(['ledger', 'plan.json'], file('{"plan": '))).toMatchObject({
      code: 1,
      errors: [expect.stringContaining('is not valid JSON')],
    })
    expect(run(['ledger', 'plan.json'], file({ plan: { ...plan, passes: 0 } }))).toEqual({
      code: 1,
      errors: ['/plan/passes: plan.passes must be at least 1.'],
    })
  })
})

test('the committed schema is the one the contract gives', () => {
  const committed: unknown = JSON.parse(
    readFileSync(new URL('../../docs/schema/plan-file.schema.json', import.meta.url), 'utf8'),
  )
  expect(committed).toEqual(JSON.parse(JSON.stringify(planFileSchema())))
})
