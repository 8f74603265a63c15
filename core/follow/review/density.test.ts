import { expect, test } from '@jest/globals'
import { plainDate } from '../../base'
import { logged } from '../../testing/loads'
import { densities } from '.'

const on = plainDate('2026-03-02')
const sets = logged('cable_curl', '2026-03-02', [
  [30, 10],
  [30, 8],
])

test('sets and weight per minute; a part of a set moves weight and is no set of its own', () => {
  const drop = { ...sets[1]!, stage: 2, loadKg: 20, reps: 6 }
  const [one] = densities([{ on, name: 'Arms', minutes: 6, sets: [...sets, drop] }])
  expect(one).toMatchObject({ sets: 2 / 6, kg: (300 + 240 + 120) / 6 })
})

test.each([
  ['minutes nobody said', null, sets],
  ['no working set', 6, sets.map(set => ({ ...set, role: 'warmup' as const }))],
])('%s: left out', (_, minutes, own) =>
  expect(densities([{ on, name: 'Arms', minutes, sets: own }])).toEqual([]),
)
