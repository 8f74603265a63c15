import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exerciseId } from '../../base'
import {
  entriesArbitrary,
  entry,
  part,
  placeAt,
  saidSet,
  sheetSet,
  SLOTS,
  smallSheet,
} from '../../testing/sheets'
import {
  type Levels,
  LOG_LIMITS,
  movementOf,
  nextTurn,
  numberSentence,
  painLimit,
  parsedNumber,
  placeKey,
  dropsAhead,
  loadingWords,
  prefillOf,
  sessionStanding,
  type SheetSwap,
  steppedLoad,
  turnsOf,
  worseLevel,
} from '.'

const [A, B] = SLOTS
const stands = (...words: Parameters<typeof entry>[0][]) =>
  sessionStanding(words.map(word => entry(word)))

describe('what entries say together', () => {
  test('the later value stands; the same entry twice is once; taking out leaves nothing', () => {
    const first = entry(saidSet(placeAt(A, 1), 20, 10))
    const second = entry(saidSet(placeAt(A, 1), 22.5, 9))
    expect(sessionStanding([first, second, first]).done.get(placeKey(placeAt(A, 1)))).toMatchObject(
      { entry: second.id, done: { load: { amount: 22.5 }, reps: 9 } },
    )
    expect(
      sessionStanding([first, entry({ kind: 'clear', place: placeAt(A, 1), replaces: first.id })])
        .done.size,
    ).toBe(0)
  })
  test('entries twice over, in the same order, change nothing', () => {
    fc.assert(
      fc.property(entriesArbitrary, entries =>
        expect(sessionStanding([...entries, ...entries])).toEqual(sessionStanding(entries)),
      ),
    )
  })
  test('what is done plus what is open is the session, whatever was said', () => {
    fc.assert(
      fc.property(entriesArbitrary, entries => {
        const standing = sessionStanding(entries)
        const turns = turnsOf(smallSheet(), standing)
        const more = [...standing.moreSets.values()].reduce((sum, count) => sum + count, 0)
        expect(turns).toHaveLength(6 + more)
        expect(
          new Set(turns.flatMap(({ parts }) => parts.map(({ place }) => placeKey(place)))).size,
        ).toBe(turns.length)
        for (const turn of turns)
          expect(turn.state === 'done').toBe(
            turn.parts.every(({ standing: held }) => held !== null),
          )
      }),
    )
  })
  test('rounds go from one exercise to the other; a set that was begun is finished first', () => {
    const drop = [part(), part({ stage: 2, load: { kind: 'share', of: 'first', share: 0.7 } })]
    const sheet = smallSheet([
      [sheetSet(1, drop), sheetSet(2)],
      [sheetSet(1), sheetSet(2)],
    ])
    const order: string[] = []
    const words: ReturnType<typeof saidSet>[] = []
    for (
      let turn = nextTurn(turnsOf(sheet, stands()));
      turn;
      turn = nextTurn(turnsOf(sheet, stands(...words)))
    ) {
      const at = turn.parts.findIndex(({ standing }) => standing === null)
      order.push(`${turn.slot}${turn.plan.number}.${at + 1}`)
      words.push(saidSet(turn.parts[at]!.place))
    }
    expect(order).toEqual(['a1.1', 'a1.2', 'b1.1', 'a2.1', 'b2.1'])
  })
  test('skipped sets are passed over, one set more comes after the last of its kind', () => {
    const turns = turnsOf(
      smallSheet(),
      stands({ kind: 'skip', slot: A, isSkipped: true }, { kind: 'more_sets', slot: B }),
    )
    expect(nextTurn(turns)?.slot).toBe(B)
    expect(
      turns
        .filter(({ slot }) => slot === B)
        .map(({ plan, isAdded }) => `${plan.number}${isAdded ? '+' : ''}`),
    ).toEqual(['1', '2', '3', '4+'])
  })
  test('a way of fewer minutes is taken where there is one', () => {
    const sheet = smallSheet()
    const short = { ...sheet.ways[0], minutes: 20, turns: sheet.ways[0].turns.slice(0, 2) }
    expect(
      turnsOf({ ...sheet, ways: [sheet.ways[0], short] }, stands({ kind: 'way', minutes: 20 })),
    ).toHaveLength(2)
    expect(turnsOf(sheet, stands({ kind: 'way', minutes: 20 }))).toHaveLength(6)
  })
})

describe('what the fields begin with', () => {
  const turns = (...words: Parameters<typeof entry>[0][]) => turnsOf(smallSheet(), stands(...words))
  const begin = (
    sheet: ReturnType<typeof smallSheet>,
    number: number,
    at: number,
    ...words: Parameters<typeof entry>[0][]
  ) => {
    const all = turnsOf(sheet, stands(...words))
    const turn = all.find(({ slot, plan }) => slot === A && plan.number === number)!
    return prefillOf(turn, at, all, sheet.exercises[0]!)
  }
  test('as planned; then as the set before was done', () => {
    expect(prefillOf(turns()[0]!, 0, turns(), smallSheet().exercises[0]!)).toEqual({
      amount: 20,
      count: 10,
      rir: 1,
    })
    expect(begin(smallSheet(), 2, 0, saidSet(placeAt(A, 1), 25))).toMatchObject({ amount: 25 })
  })
  test.each([
    {
      name: 'a fifth off what the drop before was done with',
      of: 'previous' as const,
      second: 15,
      amount: 12,
    },
    { name: 'a fifth off what the set began with', of: 'first' as const, second: 15, amount: 20 },
    { name: 'the drop before was done lighter', of: 'previous' as const, second: 10, amount: 8 },
  ])('after two drops: $name', ({ of, second, amount }) => {
    const drop = (stage: number) =>
      part({ stage, as: 'drop', load: { kind: 'share', of, share: 0.8 } })
    const sheet = smallSheet([[sheetSet(1, [part(), drop(2), drop(3)])]])
    const fine = {
      ...sheet.exercises[0]!,
      scale: {
        unit: 'kg' as const,
        grid: { kind: 'steps' as const, base: 0, step: 1 },
        words: '',
        bar: null,
      },
    }
    const stageOf = (stage: number) => ({ ...placeAt(A, 1), stage })
    const all = turnsOf(sheet, stands(saidSet(stageOf(1), 25), saidSet(stageOf(2), second)))
    const turn = all.find(({ slot, plan }) => slot === A && plan.number === 1)!
    expect(prefillOf(turn, 2, all, fine).amount).toBe(amount)
  })
  test('a pyramid keeps its own weights', () => {
    const rising = smallSheet([
      [sheetSet(1), sheetSet(2, [part({ load: { kind: 'weight', amount: 30 } })])],
    ])
    expect(begin(rising, 2, 0, saidSet(placeAt(A, 1), 25))).toMatchObject({ amount: 30 })
  })
  test.each([
    {
      name: '30 % off the first',
      load: { kind: 'share' as const, of: 'first' as const, share: 0.7 },
      amount: 17.5,
    },
    {
      name: '10 kg off the one before',
      load: { kind: 'less' as const, of: 'previous' as const, amount: 10 },
      amount: 15,
    },
    {
      name: 'more off than there is',
      load: { kind: 'less' as const, of: 'first' as const, amount: 90 },
      amount: 0,
    },
    { name: 'a weight of its own', load: { kind: 'weight' as const, amount: 12.5 }, amount: 12.5 },
    { name: 'nothing to write', load: { kind: 'none' as const }, amount: null },
  ])('a later part: $name', ({ load, amount }) => {
    const sheet = smallSheet([[sheetSet(1, [part(), part({ stage: 2, load })])]])
    expect(begin(sheet, 1, 1, saidSet(placeAt(A, 1), 25)).amount).toBe(amount)
  })
  test('the other arm begins with what the first one did', () => {
    const sides = smallSheet([[sheetSet(1, [part({ side: 'left' }), part({ side: 'right' })])]])
    expect(begin(sides, 1, 1, saidSet(placeAt(A, 1, { side: 'left' }), 15, 8))).toEqual({
      amount: 15,
      count: 8,
      rir: 1,
    })
  })
  test('a stand-in begins with its own number, and then with what it was done with', () => {
    const swap: SheetSwap = {
      ...smallSheet().exercises[0]!,
      exercise: exerciseId('hammer_curl'),
      name: 'Hammer curl',
      changes: [],
      start: 14,
    }
    const sheet = smallSheet(undefined, [{ swaps: [swap] }])
    const swapped = {
      kind: 'swap' as const,
      slot: A,
      exercise: exerciseId('hammer_curl'),
      intent: null,
    }
    const movement = movementOf(sheet.exercises[0]!, stands(swapped))
    expect(movement.name).toBe('Hammer curl')
    const open = turnsOf(sheet, stands(swapped))
    expect(prefillOf(open[0]!, 0, open, movement).amount).toBe(14)
    const said = saidSet(placeAt(A, 1), 16)
    const after = turnsOf(
      sheet,
      stands(swapped, { ...said, done: { ...said.done, exercise: exerciseId('hammer_curl') } }),
    )
    expect(
      prefillOf(
        after.find(({ slot, plan }) => slot === A && plan.number === 2)!,
        0,
        after,
        movement,
      ).amount,
    ).toBe(16)
    expect(
      movementOf(
        sheet.exercises[0]!,
        stands(swapped, { kind: 'swap', slot: A, exercise: null, intent: null }),
      ).name,
    ).toBe('Cable curl')
  })
  test('plus and minus stay on the weights there are, and come back', () => {
    const grid = { kind: 'steps' as const, base: 0, step: 2, fineUpTo: { limit: 10, step: 1 } }
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), steps => {
        let load = 0
        for (let at = 0; at < steps; at++) load = steppedLoad(load, grid, 1)
        const up = steppedLoad(load, grid, 1)
        expect(steppedLoad(up, grid, -1)).toBe(load)
        expect(up).toBeGreaterThan(load)
      }),
    )
    expect([
      steppedLoad(11, grid, -1),
      steppedLoad(11, grid, 1),
      steppedLoad(0, grid, -1),
      steppedLoad(null, { kind: 'none' }, 1),
    ]).toEqual([10, 12, 0, 1])
    expect(steppedLoad(13, { kind: 'list', weights: [8, 12, 16] }, -1)).toBe(12)
  })
})

describe('numbers as a hand types them', () => {
  test.each([
    ['27.5', 27.5],
    ['27,5', 27.5],
    [' 30 ', 30],
    ['0', 0],
  ])('%s', (text, value) => expect(parsedNumber(text, 'load')).toEqual({ ok: true, value }))
  test.each([
    {
      text: '999',
      field: 'reps' as const,
      kind: 'out_of_range',
      says: 'Reps may be 150 at most; 999 looks like a slip. Check the digits.',
    },
    {
      text: '-20',
      field: 'load' as const,
      kind: 'out_of_range',
      says: 'Load cannot be below 0. Check the sign.',
    },
    { text: '', field: 'reps' as const, kind: 'empty', says: 'Reps: enter a number.' },
    {
      text: '2O',
      field: 'load' as const,
      kind: 'not_a_number',
      says: 'Load: “2O” is not a number. Digits and one comma or point will do.',
    },
    {
      text: '1,234.5',
      field: 'load' as const,
      kind: 'not_a_number',
      says: 'Load: “1,234.5” is not a number. Digits and one comma or point will do.',
    },
    {
      text: '8.3',
      field: 'reps' as const,
      kind: 'not_whole',
      says: 'Reps: whole or half numbers only.',
    },
  ])('“$text” as $field: $kind', ({ text, field, kind, says }) => {
    const parsed = parsedNumber(text, field)
    expect(parsed).toMatchObject({ ok: false, error: { kind } })
    if (!parsed.ok) expect(numberSentence(parsed.error, field)).toBe(says)
  })
  test('whatever is read lies within its limits', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom('load' as const, 'rir' as const, 'seconds' as const),
        (text, field) => {
          const parsed = parsedNumber(text, field)
          if (parsed.ok)
            expect(
              parsed.value >= LOG_LIMITS[field].least && parsed.value <= LOG_LIMITS[field].most,
            ).toBe(true)
        },
      ),
    )
  })
})

describe('joints that hurt', () => {
  const levels = (left: 'none' | 'hold' | 'swap' | 'stop', right = left): Levels => ({
    elbow_extensor_side: { left, right },
  })
  const press = { stress: { elbow_extensor_side: 2 } }
  test.each([
    { name: 'nothing hurts', movement: press, of: {}, limit: undefined },
    {
      name: 'another joint hurts',
      movement: { stress: { wrist: 2 } },
      of: levels('stop'),
      limit: undefined,
    },
    {
      name: 'held',
      movement: press,
      of: levels('hold'),
      limit: { level: 'hold', leastRir: 2, wantsSwap: false, isStopped: false },
    },
    {
      name: 'to be swapped',
      movement: press,
      of: levels('swap'),
      limit: { level: 'swap', leastRir: 3, wantsSwap: true },
    },
    {
      name: 'to be swapped, but kind to it',
      movement: { stress: { elbow_extensor_side: 1 } },
      of: levels('swap'),
      limit: { wantsSwap: false, leastRir: 3 },
    },
    { name: 'stopped', movement: press, of: levels('stop'), limit: { isStopped: true } },
  ])('$name', ({ movement, of, limit }) =>
    limit
      ? expect(painLimit(movement, of)).toMatchObject(limit)
      : expect(painLimit(movement, of)).toBeUndefined(),
  )
  test('the other arm alone is spared', () => {
    expect(painLimit(press, levels('stop', 'none'), 'right')).toBeUndefined()
    expect(painLimit(press, levels('stop', 'none'), 'left')?.isStopped).toBe(true)
    expect(painLimit(press, levels('stop', 'none'))?.isStopped).toBe(true)
  })
  test('a stopped joint takes sets off the way, what was done stays; a held one takes the drop off', () => {
    const drop = smallSheet(
      [[sheetSet(1, [part(), part({ stage: 2 })]), sheetSet(2)], [sheetSet(1)]],
      [press],
    )
    expect(
      turnsOf(drop, stands(saidSet(placeAt(A, 1))), levels('stop')).map(
        ({ slot, state }) => `${slot} ${state}`,
      ),
    ).toEqual(['a done', 'b open', 'a stopped'])
    expect(turnsOf(drop, stands(), levels('hold'))[0]?.parts).toHaveLength(1)
    expect(turnsOf(drop, stands())[0]?.parts).toHaveLength(2)
  })
  test('the worse of two', () =>
    expect([worseLevel('none', 'hold'), worseLevel('stop', 'swap')]).toEqual(['hold', 'stop']))
})

describe('how to load', () => {
  const bar = {
    bar: 20,
    pairs: [
      { weight: 20, count: 2 },
      { weight: 10, count: 1 },
      { weight: 1.25, count: 1 },
    ],
  }
  const scale = {
    unit: 'kg' as const,
    words: '',
    grid: { kind: 'list' as const, weights: [20, 22.5, 40, 42.5, 60] },
    bar,
  }
  test.each([
    [42.5, '20 bar, 10 + 1.25 each side'],
    [100, '20 bar, 2 × 20 each side'],
    [20, '20 bar'],
    [41, 'Cannot be loaded here; 40 kg is nearest'],
    [null, ''],
  ])('%s: %s', (amount, words) => expect(loadingWords(amount, scale)).toBe(words))
  test('what hangs on a belt and what is put on top is said too', () => {
    const belt = { ...scale, bar: { ...bar, bar: 0, isBelt: true as const } }
    expect(loadingWords(11.25, belt)).toBe('10 + 1.25 on the belt')
    const top = { weights: [12, 14], pieces: [0.5] }
    const held = { ...scale, bar: null, top }
    expect([14, 14.5].map(amount => loadingWords(amount, held))).toEqual(['', '14 with 0.5 on top'])
    expect(loadingWords(13, held)).toMatch(/^Cannot be loaded here/)
  })
  test('without a bar nothing is said', () =>
    expect(loadingWords(40, { ...scale, bar: null })).toBe(''))
  test('a drop that the weights miss is told before the set', () => {
    const parts = [part(), part({ stage: 2, load: { kind: 'share', of: 'previous', share: 0.7 } })]
    const dumbbells = { grid: { kind: 'list' as const, weights: [10, 16, 20] } }
    expect(dropsAhead(parts, 0, 20, dumbbells)).toBe('The drop to 10 is 50 %; 30 % is meant')
    expect(dropsAhead(parts, 0, 60, scale)).toBe('The drop to 40 is 33 %; 30 % is meant')
    expect(dropsAhead(parts, 0, 20, { grid: { kind: 'steps', base: 0, step: 1 } })).toBe('')
    expect(dropsAhead(parts, 1, 20, dumbbells)).toBe('')
    expect(dropsAhead(parts, 0, null, dumbbells)).toBe('')
  })
})

test('a session without a load finds one: each set brings the next nearer to what is asked', () => {
  const asked = (count: number, rir: number) => {
    const open = () => part({ load: { kind: 'open' }, count, rir })
    return smallSheet([[sheetSet(1, [open()]), sheetSet(2, [open()]), sheetSet(3, [open()])]])
  }
  const short = asked(10, 2)
  const offered = (amount: number, reps: number, rir: number, sheet = short) => {
    const said = saidSet(placeAt(A, 1), amount, reps)
    const all = turnsOf(sheet, stands({ ...said, done: { ...said.done, rir } }))
    const turn = all.find(({ slot, plan }) => slot === A && plan.number === 2)!
    return prefillOf(turn, 0, all, sheet.exercises[0]!).amount
  }
  // 20 x 15 with 4 left is worth 32.7 for one; ten at two left are 23.3 of them.
  expect(offered(20, 15, 4)).toBe(22.5)
  expect(offered(20, 10, 2)).toBe(20)
  expect(offered(20, 6, 0)).toBe(15)
  // Thirty reps tell no maximum; that the weight is far too light they do.
  expect(offered(20, 30, 4)).toBe(25)
  // Nor do none: the weight is far too heavy.
  expect(offered(20, 0, 0)).toBe(12.5)
  for (const rir of [0, 2, 4, 6]) {
    const by = Array.from({ length: 31 }, (_, reps) => offered(20, reps, rir)!)
    expect(by).toEqual(by.toSorted((a, b) => a - b))
  }
  // Done as asked, the weight was right, whatever the reps.
  for (const [count, rir] of [
    [20, 1],
    [20, 4],
    [30, 2],
    [3, 0],
  ] as const)
    expect([count, offered(20, count, rir, asked(count, rir))]).toEqual([count, 20])
  const first = turnsOf(short, stands())
  expect(prefillOf(first[0]!, 0, first, short.exercises[0]!).amount).toBeNull()
})
