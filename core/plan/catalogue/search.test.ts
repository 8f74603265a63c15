import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  type Equipment,
  EQUIPMENT,
  EXERCISES,
  type ExerciseSearch,
  GROUPS,
  isPossibleWith,
  JOINTS,
  searchExercises,
} from '.'

const found = (search: ExerciseSearch) => searchExercises(EXERCISES, search).map(({ id }) => id)

test.each<{
  name: string
  search: ExerciseSearch
  has: readonly string[]
  lacks: readonly string[]
}>([
  {
    name: 'words in any order, aliases too',
    search: { words: 'curl reclined' },
    has: ['incline_dumbbell_curl'],
    lacks: ['cable_curl'],
  },
  {
    name: 'a muscle that is trained directly',
    search: { group: 'triceps' },
    has: ['pushdown_rope'],
    lacks: ['cable_curl', 'lateral_raise_cable'],
  },
  {
    name: 'a head',
    search: { head: 'biceps_long' },
    has: ['incline_dumbbell_curl'],
    lacks: ['pushdown_rope', 'preacher_curl_bar'],
  },
  {
    name: 'length',
    search: { group: 'biceps', length: 'lengthened' },
    has: ['incline_dumbbell_curl'],
    lacks: ['barbell_curl'],
  },
  {
    name: 'equipment',
    search: { group: 'biceps', equipment: ['dumbbell'] },
    has: ['dumbbell_curl'],
    lacks: ['incline_dumbbell_curl', 'cable_curl'],
  },
  {
    name: 'a joint that is to be spared',
    search: { group: 'biceps', easyOn: 'wrist' },
    has: ['dumbbell_curl'],
    lacks: ['barbell_curl'],
  },
])('searching by $name', ({ search, has, lacks }) => {
  const ids = found(search)
  for (const id of has) expect(ids).toContain(id)
  for (const id of lacks) expect(ids).not.toContain(id)
})

test('asking for nothing gives everything; asking for more never gives more', () => {
  expect(found({})).toHaveLength(EXERCISES.length)
  const search = fc.record(
    {
      group: fc.constantFrom(...GROUPS),
      easyOn: fc.constantFrom(...JOINTS),
      length: fc.constantFrom('lengthened' as const, 'mid' as const, 'shortened' as const),
      equipment: fc.subarray<Equipment>([...EQUIPMENT], { minLength: 1 }),
    },
    { requiredKeys: [] },
  )
  fc.assert(
    fc.property(search, search, (one, other) => {
      const both = found({ ...one, ...other })
      expect(new Set(found(other))).toEqual(new Set([...found(other), ...both]))
      if (other.equipment)
        for (const exercise of searchExercises(EXERCISES, other))
          expect(isPossibleWith(exercise, other.equipment)).toBe(true)
    }),
  )
})
