import { describe, expect, test } from '@jest/globals'
import { type Group, GROUPS } from '../catalogue'
import {
  type Band,
  BAND_ROWS,
  bandFor,
  bandPosition,
  directSetsWanted,
  groupPosition,
  type Mode,
  setsOutsideBand,
  type TrainingAge,
  trainingAge,
} from './band'
import { COUNTING_SCHOOLS, type CountingSchoolId } from './school'

function band(
  group: Group,
  age: TrainingAge,
  mode: Mode,
  school: CountingSchoolId = 'fractional',
  scale = 1,
): string {
  const { floor, target, ceiling } = bandFor(group, {
    age,
    mode,
    school: COUNTING_SCHOOLS[school],
    scale,
  })
  return [floor, target, ceiling].join('/')
}

describe('bands (domain B1 to B3, domain-2 M1 to M4)', () => {
  const rows: readonly { name: string; actual: string; expected: string }[] = [
    {
      name: 'B1 biceps, direct only',
      actual: band('biceps', 'adv', 'build', 'direct_only'),
      expected: '7/11/16',
    },
    {
      name: 'B1 biceps, whole',
      actual: band('biceps', 'adv', 'build', 'whole'),
      expected: '17/25/36',
    },
    {
      name: 'B2 triceps, direct only',
      actual: band('triceps', 'mid', 'build', 'direct_only'),
      expected: '6/10/13',
    },
    {
      name: 'B2 triceps, whole',
      actual: band('triceps', 'mid', 'build', 'whole'),
      expected: '14/22/31',
    },
    { name: 'B3 triceps, keep', actual: band('triceps', 'mid', 'keep'), expected: '7/10/13' },
    { name: 'B3 triceps, maintain', actual: band('triceps', 'mid', 'maintain'), expected: '3/5/8' },
    { name: 'M1 scale 1', actual: band('biceps', 'adv', 'build'), expected: '12/18/26' },
    {
      name: 'M2 few hard sets',
      actual: band('biceps', 'adv', 'build', 'direct_only', 0.6),
      expected: '4/7/10',
    },
    {
      name: 'M3 own arm day',
      actual: band('biceps', 'adv', 'build', 'fractional', 1.15),
      expected: '14/21/30',
    },
    {
      name: 'M4 compounds, then arms',
      actual: band('biceps', 'adv', 'build', 'whole', 0.8),
      expected: '14/20/29',
    },
    {
      name: 'a build floor of 0 stays 0',
      actual: band('forearms', 'new', 'keep'),
      expected: '0/2/2',
    },
    {
      name: 'maintain keeps a floor of at least 1',
      actual: band('traps', 'mid', 'maintain'),
      expected: '1/2/3',
    },
    {
      name: 'upper back, adv, maintain',
      actual: band('upper_back', 'adv', 'maintain'),
      expected: '3/5/8',
    },
  ]
  test.each(rows)('$name', ({ actual, expected }) => expect(actual).toBe(expected))

  test('every cell of every group rises from floor to ceiling', () => {
    for (const group of GROUPS) {
      expect(BAND_ROWS[group]).toBeDefined()
      for (const age of ['new', 'mid', 'adv'] as const) {
        for (const mode of ['build', 'keep', 'maintain'] as const) {
          const { floor, target, ceiling } = bandFor(group, {
            age,
            mode,
            school: COUNTING_SCHOOLS.fractional,
            scale: 1,
          })
          expect(floor).toBeLessThanOrEqual(target)
          expect(target).toBeLessThanOrEqual(ceiling)
        }
      }
    }
  })
})

const advBiceps: Band = { floor: 12, target: 18, ceiling: 26 }

describe('position in the band (domain B4, B6, B10)', () => {
  test.each([
    [11.9, 'below'],
    [12, 'low'],
    [16.25, 'on_target'],
    [19.8, 'on_target'],
    [26, 'high'],
    [26.1, 'above'],
    [14.219, 'low'],
  ] as const)('%d sets are %s', (sets, expected) =>
    expect(bandPosition(sets, advBiceps)).toBe(expected),
  )

  test('B10 indirect sets alone over a keep ceiling are not reported', () => {
    const keep = bandFor('forearms', {
      age: 'mid',
      mode: 'keep',
      school: COUNTING_SCHOOLS.fractional,
      scale: 1,
    })
    expect(groupPosition({ direct: 0, counted: 5.5 }, keep, 'keep')).toBe('high')
    expect(groupPosition({ direct: 1, counted: 5.5 }, keep, 'keep')).toBe('high')
    expect(groupPosition({ direct: 4.1, counted: 5.5 }, keep, 'keep')).toBe('above')
    expect(groupPosition({ direct: 0, counted: 30 }, advBiceps, 'build')).toBe('above')
  })

  test.each([
    [11, 'build', -1],
    [12, 'build', 0],
    [26, 'build', 0],
    [26.6, 'build', 0.6],
    [11, 'keep', -1],
    [26.6, 'keep', 0],
    [60, 'keep', 0],
  ] as const)('%d sets, eight of them direct, are in %s %d outside', (counted, mode, expected) =>
    expect(setsOutsideBand({ direct: 8, counted }, advBiceps, mode)).toBeCloseTo(expected, 9),
  )
  test('the first direct sets over a ceiling that indirect ones passed are no step', () => {
    const over = (direct: number) =>
      setsOutsideBand({ direct, counted: 30 + direct }, advBiceps, 'keep')
    for (let tenths = 0; tenths < 400; tenths++)
      expect(over((tenths + 1) / 10) - over(tenths / 10)).toBeLessThanOrEqual(0.1 + 1e-9)
    expect([over(0), over(26), over(29)]).toEqual([0, 0, 3])
  })
})

test('B11 direct share of an advanced biceps build', () => {
  expect(directSetsWanted('biceps', 'build', advBiceps)).toBeCloseTo(7.2, 9)
  expect(directSetsWanted('chest', 'build', advBiceps)).toBe(0)
})

test.each([
  [0, 'new'],
  [11, 'new'],
  [12, 'mid'],
  [36, 'mid'],
  [37, 'adv'],
] as const)('%d months are %s', (months, age) => {
  expect(trainingAge(months)).toBe(age)
})

describe('the numbers of the table', () => {
  // Floor, target and ceiling of each training age in build, then the factors to direct sets only and to whole sets.
  // prettier-ignore
  const NUMBERS: Readonly<Record<Group, string>> = {
    biceps: '6/9/13 9/14/20 12/18/26 0.6 1.4',
    elbow_flexors_other: '4/7/12 6/11/17 8/14/22 0.25 2',
    triceps: '6/10/14 10/16/22 13/20/28 0.6 1.4',
    forearms: '0/3/8 2/5/11 3/7/14 0.3 0.5',
    chest: '6/9/12 9/13/18 11/16/22 0.95 1.05',
    delts_front: '3/6/10 4/8/14 5/9/16 0.35 1.6',
    delts_side: '5/8/12 8/13/20 10/16/24 0.8 1.2',
    delts_rear: '4/7/12 6/10/17 8/13/21 0.6 1.4',
    lats: '6/9/13 8/13/18 10/15/22 0.65 1.2',
    upper_back: '6/9/13 8/13/19 10/15/23 0.65 1.3',
    traps: '1/3/8 2/5/12 3/7/14 0.4 1.4',
    lower_back: '2/4/7 3/5/9 3/6/10 0.4 1.5',
    abs: '3/6/10 4/8/14 5/10/16 0.9 1',
    glutes: '5/8/12 7/11/16 8/13/20 0.5 1.4',
    quads: '6/9/12 8/12/17 10/14/20 0.95 1.05',
    hamstrings: '5/8/11 6/10/15 8/12/17 0.75 1.2',
    calves: '5/8/12 7/11/16 9/13/20 1 1',
  }

  test.each(GROUPS)('%s', group => {
    const { build, directFactor, wholeFactor } = BAND_ROWS[group]
    const cells = (['new', 'mid', 'adv'] as const).map(age => build[age].join('/'))
    expect([...cells, directFactor, wholeFactor].join(' ')).toBe(NUMBERS[group])
  })

  test.each(GROUPS)('%s: more training asks for no less, and every band is in order', group => {
    for (const mode of ['build', 'keep', 'maintain'] as const) {
      const bands = (['new', 'mid', 'adv'] as const).map(age =>
        bandFor(group, { age, mode, school: COUNTING_SCHOOLS.fractional, scale: 1 }),
      )
      for (const { floor, target, ceiling } of bands) {
        expect(floor).toBeLessThanOrEqual(target)
        expect(target).toBeLessThanOrEqual(ceiling)
      }
      const targets = bands.map(({ target }) => target)
      expect([...targets].sort((a, b) => a - b)).toEqual(targets)
    }
  })
})
