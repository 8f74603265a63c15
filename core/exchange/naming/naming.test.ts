import { describe, expect, test } from '@jest/globals'
import { BUILT_IN_CATALOGUE } from '../../plan/catalogue'
import { nameReader } from '.'

const read = nameReader(BUILT_IN_CATALOGUE)

describe('names of exercises', () => {
  test('every name, alias and id of the library is read as its own', () => {
    for (const { id, name, aliases } of BUILT_IN_CATALOGUE.values())
      for (const text of [id, name, ...aliases])
        expect([text, read(text).exercise]).toEqual([text, id])
  })
  test.each([
    ['DB bench', 'bench_press_dumbbell'],
    ['cgbp', 'narrow_grip_bench_press'],
    ['curl, hammer, rope', 'rope_hammer_curl'],
    ['tricep rope pushdowns', 'pushdown_rope'],
    ['dumbell curl', 'dumbbell_curl'],
    ['pushdwon', 'pushdown_bar'],
    ['Bankdrücken (pausiert)', 'bench_press_barbell'],
  ])('%s', (text, exercise) => expect(read(text)).toEqual({ exercise, near: [] }))
  // What leaves out what tells exercises apart, or says more than the library knows, is asked.
  test.each([
    'curls',
    'front squat',
    'cable overhead extension',
    'sumo deadlift',
    'push press',
    'concentration',
    'bench row',
    '',
  ])('“%s” is asked', text => expect(read(text).exercise).toBeUndefined())
  test('with what comes near, likeliest first', () => {
    expect(read('front squat').near).toContain('squat_dumbbell_front')
    expect(read('xyzzy').near).toEqual([])
  })
})
