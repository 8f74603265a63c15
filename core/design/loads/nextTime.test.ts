import { describe, expect, test } from '@jest/globals'
import { plainDate, slotId } from '../../base'
import { exposuresByExercise } from '../../body/log'
import type { Session } from '../../plan/session'
import { logged, type Said, slotWith, straight, usualContext } from '../../testing/loads'
import { nextTimeWords } from '../../words'
import { loadsAhead, type LoadSession, nextTime } from '.'

const curl = slotWith('barbell_curl', '3 x 8-12, rir 1')
const DONE = plainDate('2026-04-17')
const content = (...slots: readonly ReturnType<typeof slotWith>[]): Session =>
  ({ name: 'Pull', groupings: [{ kind: 'single', slots }] }) as unknown as Session
const ahead = (on: string, of: Session, more: Partial<LoadSession> = {}): LoadSession => ({
  key: on,
  on: plainDate(on),
  content: of,
  isDeload: false,
  ...more,
})

/** What is said of the session of 17 April, its sets as given, before these. */
function next(
  sets: readonly Said[],
  sessions: readonly LoadSession[],
  done: Session = content(curl),
) {
  const history = {
    exposures: exposuresByExercise(logged('barbell_curl', DONE, sets)),
    lastPlanned: new Map(),
  }
  const loads = loadsAhead(sessions, history, {
    context: usualContext,
    unit: 'kg',
    bodyKg: null,
    rules: undefined,
    rotation: null,
  })
  return nextTime({ content: done, on: DONE }, sessions, loads)
}
const words = (...asked: Parameters<typeof next>) =>
  next(...asked).map(one => nextTimeWords(one, id => id.replaceAll('_', ' ')))

const NEXT = [ahead('2026-04-24', content(curl))]

describe('what comes next time', () => {
  test.each<readonly [string, readonly Said[], readonly string[]]>([
    ['the top reached', straight(30, [12, 12, 12]), ['barbell curl: 32.5\u00a0kg, heavier']],
    ['inside the window', straight(30, [12, 11, 10]), ['barbell curl: the same weight, more reps']],
  ])('%s', (_, sets, said) => expect(words(sets, NEXT)).toEqual(said))

  test('lighter after falling short twice is in the words too', () => {
    const twice = [
      ...logged('barbell_curl', '2026-04-14', straight(40, [7, 7, 6])),
      ...logged('barbell_curl', DONE, straight(40, [8, 7, 6])),
    ]
    const history = { exposures: exposuresByExercise(twice), lastPlanned: new Map() }
    const basis = {
      context: usualContext,
      unit: 'kg' as const,
      bodyKg: null,
      rules: undefined,
      rotation: null,
    }
    const found = nextTime(
      { content: content(curl), on: DONE },
      NEXT,
      loadsAhead(NEXT, history, basis),
    )
    expect(found).toMatchObject([{ change: 'lighter', on: '2026-04-24' }])
  })
  test('easier days are easier on purpose', () => {
    const easy = [ahead('2026-04-24', content(curl), { isDeload: true })]
    expect(next(straight(30, [12, 12, 12]), easy)).toMatchObject([{ change: 'easier' }])
  })
  test('the first session that has it, in whatever order they come', () => {
    const found = next(straight(30, [12, 12, 12]), [
      ahead('2026-05-01', content(curl)),
      ahead('2026-04-20', content(slotWith('cable_curl', '3 x 10', 'other'))),
      ...NEXT,
    ])
    expect(found).toMatchObject([{ on: '2026-04-24' }])
  })
  test('another exercise has its turn in the same place', () => {
    const other = slotWith('hammer_curl', '3 x 10')
    expect(words(straight(30, [12, 12, 12]), [ahead('2026-04-24', content(other))])).toEqual([
      'barbell curl: hammer curl has its turn',
    ])
  })
  test('the same exercise at another place counts where its own place is gone', () => {
    const moved = { ...curl, id: slotId('elsewhere') }
    expect(next(straight(30, [12, 12, 12]), [ahead('2026-04-24', content(moved))])).toMatchObject([
      { change: 'heavier' },
    ])
  })
  test.each([
    ['nothing ahead', []],
    ['only what is behind', [ahead('2026-04-17', content(curl))]],
    ['only what was missed', [ahead('2026-04-24', content(curl), { isMissed: true })]],
    ['out of the plan', [ahead('2026-04-24', content())]],
  ])('%s: nothing said', (_, sessions) =>
    expect(next(straight(30, [12, 12, 12]), sessions)).toEqual([]),
  )
})
