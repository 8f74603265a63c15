import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { parseScheme } from '../shorthand'
import { schemeArbitrary } from '../../testing/schemes'
import { leadRir, lowestRir } from './effort'
import { normalScheme, type SetRun } from './setScheme'
import { classedStages, isExtended, isLighter, restSeconds } from './stageClass'

function run(text: string): SetRun {
  const result = parseScheme(`1 x ${text}`)
  const [first] = result.ok ? result.value.runs : []
  if (!first) throw new Error(text)
  return first
}
const classes = (text: string) =>
  classedStages(run(text))
    .map(({ class: own }) => own)
    .join(' ')

describe('what each stage of a set is', () => {
  test.each([
    ['9 rir 2', 'lead'],
    ['9 rir 0 | drop 30% 6', 'lead drop'],
    ['9 rir 0 30kg | 6 20kg', 'lead drop'],
    ['9 rir 0 | rest 20s | 4', 'lead pause'],
    ['9 rir 3 | rest 20s | 4', 'lead join'],
    ['9 | 9 | 9', 'lead join join'],
    ['9 rir 0 | rest 15s | drop 30% 6', 'lead pause'],
    ['9 rir 0 | rest 60s | 9', 'lead apart'],
    ['9 rir 0 | 5 lower half', 'lead tail_partial'],
    ['7 lower half | 7 upper half | 7', 'lead join join'],
    ['9 rir 0 | 2 lowering only', 'lead tail_slow'],
    ['9 rir 0 | 3 assisted', 'lead tail_slow'],
    ['6 palms up | 6 palms facing', 'lead grip'],
    ['9 | 9 as hammer_curl', 'lead grip'],
    ['9 narrow grip | 9 wide grip', 'lead grip'],
    ['9 rir 0 | hold 30s long', 'lead hold'],
    ['hold 45s long', 'hold'],
    ['8 +10kg rir 0 | 6 bodyweight', 'lead drop'],
    ['11 rir 3 | rest 20s | until 30', 'lead pause'],
  ])('%s: %s', (text, expected) => expect(classes(text)).toBe(expected))
})

describe('what follows from it', () => {
  test.each([
    ['9 rir 0 | drop 30% 6', true],
    ['9 rir 3 | drop 30% 6', true],
    ['9 | 9 palms facing', true],
    ['9 rir 3 | rest 20s | 9', false],
    ['9 rir 3 | hold 30s long', false],
    ['9 rir 1 | hold 30s long', true],
    ['7 | 7 | 7 rir 0', false],
    ['9 rir 0', false],
  ])('%s goes on after coming near failure: %s', (text, expected) =>
    expect(isExtended(run(text))).toBe(expected),
  )
  test.each([
    ['7 | 7 | 7 rir 1', 1],
    ['9 rir 2 | drop 30% to failure', 2],
    ['to failure', 0],
    ['9', undefined],
    ['9 effort "easy"', undefined],
  ])('%s ends its lead at RIR %s', (text, expected) => expect(leadRir(run(text))).toBe(expected))
  test('the lowest RIR is that of any stage', () =>
    expect([lowestRir(run('9 rir 2 | drop 30% to failure')), lowestRir(run('9'))]).toEqual([
      0,
      undefined,
    ]))
  test('rests in numbers', () =>
    expect(
      [
        { kind: 'seconds', seconds: 30 },
        { kind: 'between', low: 20, high: 40 },
        { kind: 'none' },
        { kind: 'stretch', seconds: 15 },
        { kind: 'in_words', text: 'a bit' },
      ].map(rest => restSeconds(rest as never)),
    ).toEqual([30, 30, 0, 15, undefined]))
  test('pounds and kilograms are not compared', () =>
    expect(
      isLighter(
        { kind: 'weight', amount: 20, unit: 'kg', basis: 'total' },
        { kind: 'weight', amount: 45, unit: 'lb', basis: 'total' },
      ),
    ).toBe(false))
})

test('every set with work has one lead, it comes first among the work, and spelling it normally changes no class', () => {
  fc.assert(
    fc.property(schemeArbitrary, scheme => {
      for (const each of scheme.runs) {
        const classed = classedStages(each)
        const works = classed
          .filter(({ stage }) => stage.kind === 'work')
          .map(({ class: own }) => own)
        expect(works.filter(own => own === 'lead')).toHaveLength(works.length > 0 ? 1 : 0)
        if (works.length > 0) expect(works[0]).toBe('lead')
      }
      expect(normalScheme(normalScheme(scheme))).toEqual(normalScheme(scheme))
    }),
    { numRuns: 200 },
  )
})
