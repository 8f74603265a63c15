import { describe, expect, test } from '@jest/globals'
import { exerciseId, plainDate } from '../../base'
import { requireExercise } from '../../plan/catalogue'
import { exposuresByExercise, type LoggedSet } from '../../body/log'
import { loadsAhead } from '../../design/loads'
import { defaultContext } from '../../plan/method'
import type { SetScheme } from '../../plan/scheme'
import type { Session } from '../../plan/session'
import { type LogEntry, nextTurn, prefillOf, sessionStanding, turnsOf } from '../../follow/sheet'
import { parseScheme, parseSession } from '../../plan/shorthand'
import { CASES } from '../../testing/cases'
import { entry, saidSet } from '../../testing/sheets'
import { sheetSession, sheetSets } from '.'

const context = defaultContext({ trainingAgeMonths: 40 })
const newId = () => `id ${Math.floor(++ids)}`
let ids = 0
const scheme = (text: string): SetScheme => {
  const parsed = parseScheme(text)
  if (!parsed.ok) throw new Error(text)
  return parsed.value
}
const session = (text: string): Session => {
  const parsed = parseSession(text, newId)
  if (!parsed.ok) throw new Error(`${text}: ${JSON.stringify(parsed.error)}`)
  return parsed.value
}
const setsOf = (text: string, exercise = 'cable_curl', isPaired = false) =>
  sheetSets(scheme(text), requireExercise(context.catalogue, exercise), context, {
    loads: null,
    isPaired,
  })

describe('sets as they are logged', () => {
  test('plain sets, one part each', () =>
    expect(
      setsOf('3 x 12, rir 2').map(({ number, role, parts }) => [
        number,
        role,
        parts.length,
        parts[0].count,
        parts[0].rir,
      ]),
    ).toEqual([
      [1, 'working', 1, 12, 2],
      [2, 'working', 1, 12, 2],
      [3, 'working', 1, 12, 2],
    ]))
  test('warm-up sets are numbered among themselves', () =>
    expect(
      setsOf('warm-up 2 x 10, then 2 x 8').map(({ role, number }) => `${role} ${number}`),
    ).toEqual(['warmup 1', 'warmup 2', 'working 1', 'working 2']))
  test('a drop is a part of its set, with its share of the load', () => {
    const [, last] = setsOf('2 x 10, last: drop 30% to failure')
    expect(last?.parts.map(({ stage, load, rir }) => [stage, load, rir])).toEqual([
      [1, { kind: 'open' }, null],
      [2, { kind: 'share', of: 'previous', share: 0.7 }, 0],
    ])
  })
  test('a set of parts says what they come to, where each is a number', () => {
    const first = (text: string) => setsOf(text)[0]!.parts[0].words
    expect(first('1 x 7 lower half | 7 upper half | 7')).toMatch(/; 7 \+ 7 \+ 7 = 21$/)
    expect(first('1 x 16 | rest 20s | 8 | rest 20s | 8')).toMatch(/; 16 \+ 8 \+ 8 = 32$/)
    expect(first('1 x 10 | drop 30% to failure')).not.toContain('=')
    expect(first('1 x 10')).not.toContain('=')
  })
  test('one arm after the other: parts side by side, with the rest between them', () => {
    const [first] = setsOf('2 x 10, rest 60s', 'concentration_curl')
    expect(first?.parts.map(({ side, restBefore }) => [side, restBefore])).toEqual([
      ['left', 0],
      ['right', 60],
    ])
    expect(setsOf('2 x 10', 'concentration_curl', true)[0]?.parts[1]?.restBefore).toBe(0)
  })
})

const on = plainDate('2026-04-20')
const did = (
  exercise: string,
  day: string,
  loadKg: number,
  reps: readonly number[],
  rir: number | readonly number[] = 1,
): (LoggedSet & { on: ReturnType<typeof plainDate> })[] =>
  reps.map((count, at) => ({
    on: plainDate(day),
    slot: null,
    exercise: exerciseId(exercise),
    intent: null,
    set: at + 1,
    stage: 1,
    side: null,
    role: 'working' as const,
    loadKg,
    reps: count,
    seconds: null,
    rir: typeof rir === 'number' ? rir : rir[at]!,
    isRirOpen: false,
  }))
const log = exposuresByExercise(did('cable_curl', '2026-04-17', 20, [12, 11, 10]))
const loadsIn = (content: Session) =>
  loadsAhead(
    [{ key: 'x', on, content, isDeload: false }],
    { exposures: log, lastPlanned: new Map() },
    { context, unit: 'kg', bodyKg: null, rules: undefined, rotation: null },
  ).get('x')!

describe('a session on the sheet', () => {
  const content = session(
    'superset: cable_curl 3 x 10-12, rir 1 & pushdown_rope 3 x 10-12, rir 1\nhammer_curl 2 x 10',
  )
  const question = {
    id: 'x',
    on,
    name: 'Arms',
    minuteLimit: 45,
    content,
    pass: 0,
    context,
    unit: 'kg' as const,
    log,
    loads: loadsIn(content),
  }
  const sheet = sheetSession(question)
  test('exercises with letters, the partners in rounds', () => {
    expect(sheet.exercises.map(({ letter, family }) => `${letter} ${family}`)).toEqual([
      '1a flex',
      '1b ext',
      '2 flex',
    ])
    const names = new Map(sheet.exercises.map(({ slot, exercise }) => [slot, exercise]))
    expect(sheet.ways[0].turns.map(({ slot }) => names.get(slot))).toEqual([
      'cable_curl',
      'pushdown_rope',
      'cable_curl',
      'pushdown_rope',
      'cable_curl',
      'pushdown_rope',
      'hammer_curl',
      'hammer_curl',
    ])
  })
  test('turns and rests end when the session does', () => {
    const [way] = sheet.ways
    const last = way.turns.at(-1)!
    expect(last.start + last.seconds).toBeCloseTo(way.seconds, 6)
    way.turns
      .slice(1)
      .forEach((turn, at) =>
        expect(turn.start).toBeCloseTo(
          way.turns[at]!.start + way.turns[at]!.seconds + way.turns[at]!.rest,
          6,
        ),
      )
  })
  test('last time and the number under the thumb', () => {
    expect(sheet.exercises[0]?.last?.sets.map(({ amount, count }) => [amount, count])).toEqual([
      [20, 12],
      [20, 11],
      [20, 10],
    ])
    expect(turnsOf(sheet, sessionStanding([]))[0]?.parts[0]?.part.load).toEqual({
      kind: 'weight',
      amount: 20,
    })
    expect(sheet.exercises[1]?.last).toBeNull()
  })
  test('what can stand in trains the same muscle, is not in the session, and something is kinder to a stressed joint', () => {
    const skull = sheetSession({ ...question, content: session('overhead_extension_rope 3 x 10') })
      .exercises[0]!
    expect(skull.swaps.length).toBeGreaterThan(2)
    expect(skull.swaps.map(({ exercise }) => exercise)).not.toContain('overhead_extension_rope')
    if ((skull.stress.elbow_extensor_side ?? 0) >= 2)
      expect(skull.swaps.some(({ stress }) => (stress.elbow_extensor_side ?? 0) <= 1)).toBe(true)
  })
  test('last time is told in the unit that the plan names', () => {
    const pounds = sheetSession({ ...question, content: session('cable_curl 3 x 10 45lb') })
    const [movement] = pounds.exercises
    expect(movement!.scale.unit).toBe('lb')
    expect(movement!.last!.sets[0]!.amount).toBeCloseTo(20 / 0.45359237, 0)
  })
  test('a finisher that may be exchanged offers the plan’s other finishers first', () => {
    const finishers = ['pushdown_rope', 'band_curl', 'cable_curl'].map(id => ({
      exercise: exerciseId(id),
      intent: null,
    }))
    const offered = (text: string) =>
      sheetSession({ ...question, content: session(text), finishers }).exercises[0]!.swaps.map(
        ({ exercise }) => exercise,
      )
    expect(offered('finisher, replaceable: cable_curl 2 x 15').slice(0, 2)).toEqual([
      'pushdown_rope',
      'band_curl',
    ])
    expect(offered('finisher: cable_curl 2 x 15')).not.toContain('pushdown_rope')
  })
  test('what is done every other time is on the sheet every other time', () => {
    const turned = session('cable_curl 2 x 12\nstraight, turn 2 of 2: hammer_curl 2 x 12')
    expect(
      [0, 1, 2, 3].map(
        pass => sheetSession({ ...question, content: turned, pass }).exercises.length,
      ),
    ).toEqual([1, 2, 1, 2])
  })
  test('no shortening is offered without the weeks it is judged by', () =>
    expect(sheet.ways).toHaveLength(1))
})

describe('every set structure is logged with one tap after the other (cases C1 to C50)', () => {
  test.each(CASES.map(({ id, lines }) => ({ name: id, lines })))('$name', ({ lines }) => {
    const content = session(lines.join('\n'))
    const sheet = sheetSession({
      id: 'x',
      on,
      name: 'Case',
      minuteLimit: null,
      content,
      pass: 0,
      context,
      unit: 'kg',
      loads: new Map(),
      log: new Map(),
    })
    const planned = content.groupings
      .filter(({ turn }) => turn === undefined || turn.at === 1)
      .flatMap(({ slots }) => slots)
      .reduce(
        (sum, { scheme: own }) =>
          sum +
          own.runs.reduce(
            (part, { count, stages }) =>
              part + (stages.some(({ kind }) => kind !== 'rest') ? count : 0),
            0,
          ),
        0,
      )
    const entries: LogEntry[] = []
    for (let taps = 0; taps < 500; taps++) {
      const turns = turnsOf(sheet, sessionStanding(entries))
      const turn = nextTurn(turns)
      if (!turn) break
      const part = turn.parts.find(({ standing }) => standing === null)!
      const exercise = sheet.exercises.find(({ slot }) => slot === turn.slot)!
      const { amount, count } = prefillOf(turn, turn.parts.indexOf(part), turns, exercise)
      expect(part.part.words).not.toBe('')
      expect(amount === null || amount >= 0).toBe(true)
      entries.push(entry(saidSet(part.place, amount, count ?? 1)))
    }
    const done = turnsOf(sheet, sessionStanding(entries))
    expect(done).toHaveLength(planned)
    expect(done.every(({ state }) => state === 'done')).toBe(true)
  })
})
