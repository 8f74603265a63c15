import { describe, expect, test } from '@jest/globals'
import { exerciseId, plainDate } from '../../base'
import { entry, placeAt, saidSet, smallSheet, SLOTS } from '../../testing/sheets'
import { feltElsewhereWords, moreSaidWords } from '../../words'
import {
  feltElsewhere,
  type FeltOn,
  feltToAsk,
  lastDoneTurn,
  type LogWord,
  saidOfSession,
  sessionStanding,
  turnsOf,
} from '.'

const session = smallSheet()
const [a, b] = SLOTS
const feltIn = (slot: typeof a, where: FeltOn['where'] = 'target'): LogWord => ({
  kind: 'felt',
  slot,
  exercise: exerciseId('cable_curl'),
  where,
})
/** The exercise asked about after these words, said a minute apart. */
function asked(words: readonly LogWord[]) {
  const entries = words.map((word, at) =>
    entry(word, { at: `2026-04-06T17:${String(10 + at).padStart(2, '0')}:00.000Z` }),
  )
  const standing = sessionStanding(entries)
  const turns = turnsOf(session, standing)
  return feltToAsk(turns, lastDoneTurn(turns), standing.felt)
}
const rounds = (count: number) =>
  Array.from({ length: count }, (_, at) => SLOTS.map(slot => saidSet(placeAt(slot, at + 1)))).flat()

describe('asked where it was felt', () => {
  test.each<readonly [string, readonly LogWord[], typeof a | undefined]>([
    ['nothing done: nothing asked', [], undefined],
    ['sets to come: not yet', rounds(2), undefined],
    ['after its last set', [...rounds(2), saidSet(placeAt(a, 3))], a],
    ['answered: not again', [...rounds(2), saidSet(placeAt(a, 3)), feltIn(a)], undefined],
    ['the next exercise’s last set: about that one', rounds(3), b],
    ['skipped before any set', [{ kind: 'skip', slot: a, isSkipped: true }], undefined],
    [
      'the rest of it skipped: it was done all the same',
      [saidSet(placeAt(a, 1)), { kind: 'skip', slot: a, isSkipped: true }],
      a,
    ],
    [
      'one set more asked for: not yet',
      [...rounds(2), saidSet(placeAt(a, 3)), { kind: 'more_sets', slot: a }],
      undefined,
    ],
  ])('%s', (_, words, slot) => expect(asked(words)).toBe(slot))
})

describe('felt elsewhere', () => {
  const on = (day: string, where: FeltOn['where'], exercise = 'hammer_curl'): FeltOn => ({
    exercise,
    on: plainDate(day),
    where,
  })
  test.each<readonly [string, readonly FeltOn[], readonly string[]]>([
    ['once is no pattern', [on('2026-04-06', 'forearms')], []],
    ['twice running', [on('2026-04-06', 'forearms'), on('2026-04-13', 'shoulders')], ['shoulders']],
    ['in any order', [on('2026-04-13', 'shoulders'), on('2026-04-06', 'forearms')], ['shoulders']],
    [
      'the last time as meant: it is over',
      [on('2026-04-06', 'forearms'), on('2026-04-13', 'torso'), on('2026-04-20', 'target')],
      [],
    ],
    [
      'two exercises, once each',
      [on('2026-04-06', 'forearms'), on('2026-04-06', 'forearms', 'cable_curl')],
      [],
    ],
    [
      'twice on one day is one answer',
      [on('2026-04-06', 'forearms'), on('2026-04-06', 'torso')],
      [],
    ],
  ])('%s', (_, felt, places) => {
    expect(feltElsewhere(felt).map(({ where }) => where)).toEqual(places)
  })
  test('is told with its days, the earlier first', () => {
    const [found] = feltElsewhere([on('2026-04-06', 'forearms'), on('2026-04-13', 'shoulders')])
    expect(feltElsewhereWords(found!, 'Hammer curl')).toBe(
      'Hammer curl: felt in the shoulders last, and elsewhere than meant on Mon 6 Apr and Mon 13 Apr. Change how it is set up, or put something else in its place.',
    )
  })
})

describe('what was said of a session', () => {
  const finish: LogWord = {
    kind: 'finish',
    minutes: 40,
    isRecovered: true,
    recovery: 8,
    note: '',
    feelings: { pump: 2, energy: 0 },
    word: 'heavy',
    warmUpMinutes: 8,
  }
  test('the later word counts', () => {
    const said = saidOfSession([
      entry(feltIn(a, 'forearms')),
      entry(finish),
      entry(feltIn(a, 'torso')),
      entry({ ...finish, recovery: 5 }),
    ])
    expect(said.felt).toMatchObject([{ slot: a, where: 'torso' }])
    expect(said.finish?.recovery).toBe(5)
  })
  test('is told in words, only what was said', () => {
    expect(moreSaidWords(finish)).toBe('pump strong, energy low, “heavy”, 8 min of warming up')
    expect(moreSaidWords({})).toBe('')
    expect(moreSaidWords({ feelings: { soreness: 1 }, wayMinutes: 25 })).toBe(
      'sore from last time a little, 25 min on the way',
    )
  })
})
