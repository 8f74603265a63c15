import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  type Equipment,
  EQUIPMENT,
  EXERCISES,
  type ExerciseSearch,
  GROUPS,
  isNamedIn,
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

test.each<{ note: string; names: readonly string[]; lacks: readonly string[] }>([
  {
    note: 'Straight-bar curls, long stitching days',
    names: ['barbell_curl'],
    lacks: ['cable_curl', 'pushdown_bar'],
  },
  { note: 'the cold and preacher curls', names: ['preacher_curl_bar'], lacks: ['cable_curl'] },
  { note: 'Long days at the desk', names: [], lacks: EXERCISES.map(({ id }) => id) },
  { note: ' ,; ', names: [], lacks: EXERCISES.map(({ id }) => id) },
])('the note "$note" names its exercises and no others', ({ note, names, lacks }) => {
  const named = EXERCISES.filter(exercise => isNamedIn(exercise, note)).map(({ id }) => id)
  for (const id of names) expect(named).toContain(id)
  for (const id of lacks) expect(named).not.toContain(id)
})
