import { expect, test } from '@jest/globals'
import { addDays, plainDate } from '../../base'
import { defaultContext } from '../../plan/method'
import { SECOND_SESSION_HOURS } from '../../plan/rotation'
import { day, straight } from '../../testing/notation'
import { RECOVERY } from '../recovery'
import { type DoneWork, tiredBefore, tiredFor } from '.'

const context = defaultContext({ trainingAgeMonths: 36 })
const START = plainDate('2026-03-02')
const arms = day(straight('cable_curl', 6, 10, 1)).sessions[0]!
const legs = day(straight('machine_squat', 4, 10, 1)).sessions[0]!
const at = (days: number, content = arms, place = 0): DoneWork => ({
  id: `${days} ${place}`,
  on: addDays(START, days),
  place,
  content,
})
const bicepsAt = (sessions: readonly DoneWork[], id: string, own = context) =>
  tiredFor('cable_curl', tiredBefore(sessions, own).get(id), own)

/** What is left of tiredness after some hours, worked out by hand. */
const fading = (hours: number) =>
  0.95 * Math.exp(-hours / RECOVERY.biceps.tauHours) + 0.05 * Math.exp(-hours / 96)

test('the first session is fresh; the sooner the next one, the more is left', () => {
  expect(bicepsAt([at(0)], '0 0')).toBe(0)
  const [soon, later] = [1, 5].map(days => bicepsAt([at(0), at(days)], `${days} 0`)!)
  expect(soon!).toBeGreaterThan(0.2)
  expect(later!).toBeLessThan(0.05)
  expect(bicepsAt([at(0), at(0, arms, 1)], '0 1')!).toBeGreaterThan(soon!)
})
test('a twentieth of what work leaves fades over days, whatever the muscle', () => {
  const share = (days: number) => bicepsAt([at(0), at(days)], `${days} 0`)!
  const begun = bicepsAt([at(0), at(0, arms, 1)], '0 1')! / fading(SECOND_SESSION_HOURS)
  expect(share(1)).toBeCloseTo(begun * fading(24), 6)
  expect(share(9)).toBeCloseTo(begun * fading(216), 6)
  // After nine days what is left is all but what lasts.
  expect(share(9)).toBeGreaterThan(5 * begun * 0.95 * Math.exp(-216 / RECOVERY.biceps.tauHours))
})
test('work for other muscles leaves a muscle fresh, and what is unknown is not guessed', () => {
  expect(bicepsAt([at(0, legs), at(1)], '1 0')).toBe(0)
  expect(tiredFor('no_such_exercise', new Map(), context)).toBeNull()
  expect(bicepsAt([at(0)], 'elsewhere')).toBeNull()
})
test('a learned rate changes nothing, and neither does the order given', () => {
  const slow = { ...context, client: { ...context.client, recoveryPace: { biceps: 2 } } }
  const sessions = [at(0), at(2), at(3)]
  expect(bicepsAt(sessions, '3 0', slow)).toBe(bicepsAt(sessions, '3 0'))
  expect(bicepsAt([...sessions].reverse(), '3 0')).toBe(bicepsAt(sessions, '3 0'))
})
