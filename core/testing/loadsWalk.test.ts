import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate, type PlainDate, type SlotId } from '../base'
import { type Exposure, exposuresByExercise, type LoggedSet } from '../body/log'
import { type LoadHistory, loadsAhead } from '../design/loads'
import { sheetSession } from '../exchange/prescription'
import {
  type LogEntry,
  nextTurn,
  prefillOf,
  sessionStanding,
  type SetWord,
  turnsOf,
} from '../follow/sheet'
import { kilogramsOf } from '../plan/estimate'
import { LOAD_PROGRESSIONS, type LoadProgression } from '../plan/method'
import { type Session, sessionSlots, type Slot } from '../plan/session'
import { parseSession } from '../plan/shorthand'
import { CASES } from './cases'
import { usualContext } from './loads'
import { idsInARow } from './notation'
import { entry, saidSet } from './sheets'

/* The way of a weight: typed, sent, shown on the phone, done, logged, and the next sheet. */

const FIRST = plainDate('2026-03-02')

function sessionOf(lines: readonly string[]): Session {
  const parsed = parseSession(lines.join('\n'), idsInARow())
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.error))
  return parsed.value
}

type Rules = Readonly<Record<string, { readonly rule: LoadProgression }>>
const rulesFor = (content: Session, rule: LoadProgression): Rules =>
  Object.fromEntries(sessionSlots(content).map(({ exercise }) => [exercise, { rule }]))

function sheetOn(on: PlainDate, content: Session, history: LoadHistory, rules: Rules) {
  const loads = loadsAhead([{ key: 'x', on, content, isDeload: false }], history, {
    context: usualContext,
    unit: 'kg',
    bodyKg: 80,
    rules,
    rotation: null,
  }).get('x')!
  return sheetSession({
    id: 'x',
    on,
    name: 'Arms',
    minuteLimit: null,
    content,
    pass: 0,
    context: usualContext,
    unit: 'kg',
    loads,
    log: history.exposures,
  })
}

/** Every part of every set logged as the phone offers it, in the order it leads through them. */
function doneAsOffered(sheet: ReturnType<typeof sheetSession>): readonly SetWord[] {
  const entries: LogEntry[] = []
  for (let taps = 0; taps < 500; taps++) {
    const turns = turnsOf(sheet, sessionStanding(entries))
    const turn = nextTurn(turns)
    if (!turn) break
    const part = turn.parts.find(({ standing }) => standing === null)!
    const exercise = sheet.exercises.find(({ slot }) => slot === turn.slot)!
    const { amount, count } = prefillOf(turn, turn.parts.indexOf(part), turns, exercise)
    entries.push(entry(saidSet(part.place, amount, count ?? 1)))
  }
  return entries.flatMap(({ word }) => (word.kind === 'set' ? [word] : []))
}

/** The logged sets, under the exercise of their slot. */
function asLogged(words: readonly SetWord[], content: Session): readonly LoggedSet[] {
  const slots = new Map(sessionSlots(content).map(slot => [slot.id, slot]))
  return words.map(({ place, done }): LoggedSet => {
    const slot = slots.get(place.slot)!
    return {
      ...place,
      exercise: slot.exercise,
      intent: slot.intent,
      loadKg: done.load && kilogramsOf(done.load),
      reps: done.reps,
      seconds: done.seconds,
      rir: done.rir,
      isRirOpen: false,
    }
  })
}

const NOTHING: LoadHistory = { exposures: new Map(), lastPlanned: new Map() }
const after = (
  days: readonly (readonly [PlainDate, readonly LoggedSet[]])[],
  content: Session,
): LoadHistory => ({
  exposures: exposuresByExercise(days.flatMap(([on, sets]) => sets.map(set => ({ ...set, on })))),
  lastPlanned: new Map<SlotId, Slot>(sessionSlots(content).map(slot => [slot.id, slot])),
})

const spoken = (words: readonly SetWord[]) =>
  words.map(({ place: { slot, role, set, stage, side }, done }) =>
    [slot, role, set, stage, side, done.load?.amount ?? null].join(' '),
  )

describe('done as planned, where the load stays, the next sheet offers the same again', () => {
  test.each(CASES.map(({ id, lines }) => ({ id, lines })))('$id', ({ lines }) => {
    const content = sessionOf(lines)
    const rules = rulesFor(content, 'held')
    const first = doneAsOffered(sheetOn(FIRST, content, NOTHING, rules))
    const history = after([[FIRST, asLogged(first, content)]], content)
    const second = doneAsOffered(sheetOn(addDays(FIRST, 7), content, history, rules))
    expect(spoken(second)).toEqual(spoken(first))
  })
})

test.each([
  ['barbell_curl 4 x 14/11/9/7, 30kg; load +4kg a set', [30, 34, 38, 42]],
  ['barbell_curl 1 x 6, 60kg, then 3 x 10, lighter', [60, 52.5, 52.5, 52.5]],
  ['cable_curl 2 x 13 40kg | drop 30% 9 | drop 30% 7', [40, 27.5, 17.5, 40, 27.5, 17.5]],
  ['cable_curl 2 x 8 40kg | rest 20s | to failure', [40, 40, 40, 40]],
  ['dumbbell_curl 2 x 11 12kg per hand | drop 3kg up to 9', [12, 9, 12, 9]],
  ['barbell_curl 2 x 6 30kg | 3 25kg', [30, 25, 30, 25]],
] as const)('%s is offered part by part as %j', (line, amounts) => {
  const words = doneAsOffered(sheetOn(FIRST, sessionOf([line]), NOTHING, {}))
  expect(words.map(({ done }) => done.load?.amount)).toEqual(amounts)
})

/** Loads of the reference set of a client who meets every target, session after session. */
function course(line: string, rule: LoadProgression, everyDays: number): readonly number[] {
  const content = sessionOf([line])
  const [slot] = sessionSlots(content)
  const days: [PlainDate, readonly LoggedSet[]][] = []
  const loads: number[] = []
  for (let day = 0; day < 112; day += everyDays) {
    const on = addDays(FIRST, day)
    const history = days.length === 0 ? NOTHING : after(days, content)
    const rotation = {
      anchor: { kind: 'floating' as const },
      days: Array.from({ length: everyDays }, (_, at) => ({
        role: at === 0 ? ('arms' as const) : ('rest' as const),
        sessions: at === 0 ? [content] : [],
      })),
    }
    const own = loadsAhead([{ key: 'x', on, content, isDeload: false }], history, {
      context: usualContext,
      unit: 'kg',
      bodyKg: null,
      rules: rulesFor(content, rule),
      rotation: rotation as never,
    })
      .get('x')!
      .get(slot!.id)!
    loads.push(own.sets[own.reference]!.amount!)
    const sets = own.sets.map(({ amount, target }, at): LoggedSet => ({
      slot: slot!.id,
      exercise: slot!.exercise,
      intent: null,
      set: at + 1,
      stage: 1,
      side: null,
      role: 'working',
      loadKg: amount,
      reps: target ?? 10,
      seconds: null,
      rir: 2,
      isRirOpen: false,
    }))
    days.push([on, sets])
  }
  return loads
}

describe('a client who meets every target for 16 weeks', () => {
  const LINES = {
    range: 'barbell_curl 3 x 8-12, 30kg, rir 2',
    fixed: 'barbell_curl 3 x 10, 30kg, rir 2',
    stack: 'cable_curl 3 x 10-15, 20kg, rir 2',
  }
  test.each(
    LOAD_PROGRESSIONS.flatMap(rule =>
      Array.from({ length: 13 }, (_, at) => ({ rule, every: at + 2 })),
    ),
  )('$rule, every $every days: never lighter', ({ rule, every }) => {
    for (const line of Object.values(LINES)) {
      const loads = course(line, rule, every)
      loads.slice(1).forEach((load, at) => expect(load).toBeGreaterThanOrEqual(loads[at]!))
      // Exactly what was asked is no more than was asked: only effort that is left over makes a load from effort grow.
      const grows = rule !== 'held' && rule !== 'load_from_rir' && every <= 7
      if (grows) expect(loads.at(-1)!).toBeGreaterThan(loads[0]!)
    }
  })
  test('every eight days is no loss against every seven but for the sessions it has fewer', () => {
    const [seven, eight] = [7, 8].map(every => course(LINES.fixed, 'double_progression', every))
    expect(eight).toEqual(seven!.slice(0, eight!.length))
  })
})

test('the forecast of a block says for its first session what the phone says for it', () => {
  const content = sessionOf([
    'barbell_curl 3 x 8-12, rir 2',
    'cable_curl 2 x 15/12, 20kg; load +5kg a set',
  ])
  const exposure: Exposure = {
    on: FIRST,
    sets: [0, 1, 2].map((at): LoggedSet => ({
      slot: sessionSlots(content)[0]!.id,
      exercise: sessionSlots(content)[0]!.exercise,
      intent: null,
      set: at + 1,
      stage: 1,
      side: null,
      role: 'working',
      loadKg: 30,
      reps: 12,
      seconds: null,
      rir: 2,
      isRirOpen: false,
    })),
  }
  const history: LoadHistory = {
    exposures: new Map([['barbell_curl', [exposure]]]),
    lastPlanned: new Map([[sessionSlots(content)[0]!.id, sessionSlots(content)[0]!]]),
  }
  const basis = {
    context: usualContext,
    unit: 'kg' as const,
    bodyKg: null,
    rules: {},
    rotation: null,
  }
  const sessions = [7, 14, 21].map(day => ({
    key: String(day),
    on: addDays(FIRST, day),
    content,
    isDeload: false,
  }))
  const block = loadsAhead(sessions, history, basis)
  expect(block.get('7')).toEqual(loadsAhead(sessions.slice(0, 1), history, basis).get('7'))
  // A session that is missed moves nothing on.
  const missed = loadsAhead([{ ...sessions[0]!, isMissed: true }, sessions[1]!], history, basis)
  expect(missed.get('14')!.get(sessionSlots(content)[0]!.id)!.sets).toEqual(
    block.get('7')!.get(sessionSlots(content)[0]!.id)!.sets,
  )
  // What is easier moves nothing on either.
  const easy = loadsAhead([{ ...sessions[0]!, isDeload: true }, sessions[1]!], history, basis)
  const [curl] = sessionSlots(content)
  expect(easy.get('7')!.get(curl!.id)!.sets[0]!.amount).toBeLessThan(30)
  expect(easy.get('14')!.get(curl!.id)!.sets[0]!.amount).toBe(32.5)
})

test('a step the coach wants is taken once in its rotation, and the rule goes on from there', () => {
  const content = sessionOf(['cable_curl 3 x 10-15, 20kg, rir 2'])
  const [slot] = sessionSlots(content)
  const loads = (step?: 'up' | 'down') => {
    const found = loadsAhead(
      [0, 3, 7].map(day => ({
        key: String(day),
        on: addDays(FIRST, 14 + day),
        content,
        isDeload: false,
        steps:
          step && day < 7
            ? { of: new Map([['cable_curl', step] as const]), since: addDays(FIRST, 14) }
            : undefined,
      })),
      after(
        [
          [
            addDays(FIRST, 7),
            asLogged(doneAsOffered(sheetOn(FIRST, content, NOTHING, {})), content),
          ],
        ],
        content,
      ),
      {
        context: usualContext,
        unit: 'kg',
        bodyKg: null,
        rules: rulesFor(content, 'held'),
        rotation: null,
      },
    )
    return [...found.values()].map(own => own.get(slot!.id)!.sets[0]!.amount)
  }
  expect(loads()).toEqual([20, 20, 20])
  expect(loads('up')).toEqual([22.5, 22.5, 22.5])
  expect(loads('down')).toEqual([17.5, 17.5, 17.5])
})
