import { describe, expect, jest, test } from '@jest/globals'
import { catalogueWith } from '#core/plan/catalogue'
import { contextWith, STEADY_MIDDLE } from '#core/plan/method'
import { readOnce, sessionDocument } from './documents'

describe('documents that say the same', () => {
  test('are read once, into one object nobody can change', () => {
    const read = jest.fn((raw: { sets: number[] }) => ({ ...raw, isRead: true }))
    const once = readOnce(read)
    const first = once({ sets: [1, 2] })
    expect(once({ sets: [1, 2] })).toBe(first)
    expect(once({ sets: [2, 1] })).not.toBe(first)
    expect(read).toHaveBeenCalledTimes(2)
    expect(() => first.sets.push(3)).toThrow()
  })
  test('what cannot be read is refused every time, and kept by nobody', () => {
    for (const _ of [1, 2]) expect(() => sessionDocument({ id: 'no session' })).toThrow()
  })
  test('those asked for longest ago are let go, those asked for since are kept', () => {
    const once = readOnce((raw: number) => ({ raw }))
    const [first, second] = [once(1), once(2)]
    for (let n = 3; n <= 1000; n++) once(n)
    once(1)
    once(1001)
    expect(once(1)).toBe(first)
    expect(once(2)).not.toBe(second)
  })
})

test('a context is the same for the same method, facts and library, and another for any other', () => {
  const [facts, library] = [{ trainingAgeMonths: 30 }, { exercises: [], credits: { dip: {} } }]
  const context = contextWith(STEADY_MIDDLE, facts, catalogueWith(library))
  expect(contextWith(STEADY_MIDDLE, facts, catalogueWith(library))).toBe(context)
  expect(contextWith({ ...STEADY_MIDDLE }, facts, catalogueWith(library))).not.toBe(context)
  expect(contextWith(STEADY_MIDDLE, { ...facts }, catalogueWith(library))).not.toBe(context)
  expect(contextWith(STEADY_MIDDLE, facts)).not.toBe(context)
})
