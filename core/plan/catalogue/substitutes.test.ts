import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  BUILT_IN_CATALOGUE,
  directGroups,
  EXERCISES,
  requireExercise,
  requireIntent,
} from './catalogue'
import { EQUIPMENT } from './exercise'
import { likeness, rankedSubstitutes, type SubstituteLimits } from './substitutes'

function ranked(
  id: string,
  limits: SubstituteLimits = {},
  intent: string | null = null,
): readonly string[] {
  const exercise = requireExercise(BUILT_IN_CATALOGUE, id)
  return rankedSubstitutes(
    exercise,
    requireIntent(exercise, intent),
    BUILT_IN_CATALOGUE,
    limits,
  ).map(found => found.exercise.id)
}

describe('stand-ins a coach would agree with', () => {
  test.each([
    {
      name: 'bar taken: the cambered bar or the cable',
      ids: ranked('barbell_curl'),
      first: ['cambered_bar_curl', 'cable_curl', 'dumbbell_curl'],
    },
    {
      name: 'long length stays long',
      ids: ranked('incline_dumbbell_curl'),
      first: [
        'cable_curl_behind_body',
        'preacher_curl_dumbbell',
        'preacher_curl_bar',
        'dumbbell_curl',
      ],
    },
    {
      name: 'overhead stays overhead',
      ids: ranked('overhead_extension_rope'),
      first: [
        'overhead_extension_cambered',
        'overhead_extension_dumbbell',
        'overhead_extension_cable_single',
        'lying_extension_behind_head',
      ],
    },
    {
      name: 'a dip for the triceps is not a chest press',
      ids: ranked('dip', {}, 'triceps'),
      first: ['machine_dip', 'narrow_grip_bench_press', 'bench_dip', 'narrow_push_up'],
    },
  ])('$name', ({ ids, first }) => expect(first).toContain(ids[0]))

  test("the first of the catalogue's own list is among the first four of the ranking, nearly always", () => {
    const agreeing = EXERCISES.filter(
      ({ id, substitutes }) => substitutes[0] && ranked(id).slice(0, 4).includes(substitutes[0]),
    )
    expect(agreeing.length / EXERCISES.length).toBeGreaterThan(0.9)
  })
  test('only what the client has, and nothing that loads the sore joint', () => {
    const home = ranked('pushdown_rope', { equipment: ['dumbbell', 'bench', 'band'] })
    expect(home.length).toBeGreaterThan(2)
    expect(
      home.every(id =>
        requireExercise(BUILT_IN_CATALOGUE, id).equipment.every(piece =>
          ['dumbbell', 'bench', 'band', 'bodyweight'].includes(piece),
        ),
      ),
    ).toBe(true)
    const easy = rankedSubstitutes(
      requireExercise(BUILT_IN_CATALOGUE, 'lying_extension_cambered'),
      requireIntent(requireExercise(BUILT_IN_CATALOGUE, 'lying_extension_cambered'), null),
      BUILT_IN_CATALOGUE,
      { mostStress: { elbow_extensor_side: 1 } },
    )
    expect(easy.length).toBeGreaterThan(0)
    expect(easy.every(({ intent }) => intent.jointStress.elbow_extensor_side <= 1)).toBe(true)
  })
})

test('every stand-in serves a group the exercise was chosen for, and nothing is more like it than itself', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...EXERCISES),
      fc.subarray([...EQUIPMENT]),
      (exercise, equipment) => {
        for (const intent of exercise.intents) {
          const wanted = directGroups(intent.credits)
          expect(likeness(exercise, intent, exercise, intent)).toBeCloseTo(1, 9)
          for (const found of rankedSubstitutes(exercise, intent, BUILT_IN_CATALOGUE, {
            equipment,
          })) {
            expect(directGroups(found.intent.credits).some(group => wanted.includes(group))).toBe(
              true,
            )
            expect(found.likeness).toBeLessThanOrEqual(1)
          }
        }
      },
    ),
    { numRuns: 60 },
  )
})

test('the catalogue’s own list speaks for an eighth at most, its first the most', () => {
  for (const from of EXERCISES.slice(0, 30)) {
    const purpose = requireIntent(from, null)
    for (const { exercise, intent, likeness: found } of rankedSubstitutes(
      from,
      purpose,
      BUILT_IN_CATALOGUE,
    )) {
      const plain = likeness(from, purpose, exercise, intent)
      const at = (from.substitutes as readonly string[]).indexOf(exercise.id)
      const listed = at < 0 ? 0 : 0.12 * (1 - at / (from.substitutes.length + 1))
      expect(found).toBeCloseTo(Math.min(1, plain * 0.88 + listed), 9)
    }
  }
})
