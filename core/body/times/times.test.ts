import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { defaultContext } from '../../plan/method'
import { sessionSeconds, sessionTime } from '../../plan/minutes'
import { day, straight } from '../../testing/notation'
import { estimatedParts, learnedTimes, type LoggedAt, takenGaps, type TimedSession } from '.'

const context = defaultContext({ trainingAgeMonths: 36 })
const SESSION = day(
  straight('cable_curl', 4, 10, 2),
  straight('pushdown_rope', 3, 12, 2),
  straight('preacher_curl_dumbbell', 3, 12, 2),
).sessions[0]!
const { spans, seconds: estimate } = sessionTime(SESSION, context)

/** A session done with each kind of span so many times as long, logged at the end of each set; `noise` from -1 to 1, in turn. */
function trained(
  factors: { readonly rest: number; readonly setUp: number; readonly set: number },
  noise: () => number = () => 0,
) {
  let at = 0
  const logged: LoggedAt[] = []
  for (const span of spans) {
    const by = { set: 'set', warmup: 'set', rest: 'rest', inside: 'rest' } as const
    const kind = span.kind as keyof typeof by
    const factor =
      span.kind === 'preparation' ? 1 : factors[by[kind] ?? ('setUp' as keyof typeof factors)]
    at += span.seconds * factor * (1 + 0.15 * noise())
    if (span.kind === 'set' && span.slot && span.set !== undefined)
      logged.push({ slot: span.slot, role: 'working', set: span.set + 1, at })
  }
  return { logged, minutes: Math.round(at / 60) }
}
const timed = (
  factors: Parameters<typeof trained>[0],
  noise?: () => number,
): TimedSession & { readonly minutes: number } => {
  const { logged, minutes } = trained(factors, noise)
  return { estimated: estimatedParts(spans), gaps: takenGaps(spans, logged), minutes }
}
/** Gaps between sets; both arms of one set are one. */
const GAPS = 4 + 3 + 3 - 1
const USUAL = { rest: 1, setUp: 1, set: 1 }

describe('rests and ways from the moments of sets', () => {
  test('done as estimated, each is what was asked for', () => {
    const gaps = takenGaps(spans, trained(USUAL).logged)
    expect(gaps).toHaveLength(GAPS)
    for (const { asked, taken } of gaps) expect(taken).toBeCloseTo(asked, 6)
    expect(gaps.filter(({ kind }) => kind === 'setUp')).toHaveLength(2)
  })
  test.each([
    ['four hours away between two sets', 4 * 3600, 1],
    ['sixteen minutes', 16 * 60, 1],
    ['fourteen minutes', 14 * 60, 0],
  ])('%s', (_, more, fewer) => {
    const { logged } = trained(USUAL)
    const later = logged.map((one, at) => (at < 2 ? one : { ...one, at: one.at + more - 90 }))
    expect(takenGaps(spans, later)).toHaveLength(GAPS - fewer)
  })
  test('typed one after the other says nothing', () => {
    const { logged } = trained(USUAL)
    expect(
      takenGaps(
        spans,
        logged.map((one, at) => ({ ...one, at: at * 5 })),
      ),
    ).toEqual([])
  })
  test('sets done in another order say nothing where the plan has them apart', () => {
    const { logged } = trained(USUAL)
    const [first, second, third, ...others] = logged
    const turned = [third!, second!, first!, ...others].map((one, at) => ({ ...one, at: at * 100 }))
    const gaps = takenGaps(spans, turned)
    expect(gaps.length).toBeLessThan(GAPS)
  })
  test('parts of a set belong to it: the rest begins after the last', () => {
    const { logged } = trained(USUAL)
    const [first] = logged
    const withPart = [...logged, { ...first!, at: first!.at + 20 }]
    expect(takenGaps(spans, withPart)[0]!.taken).toBeCloseTo(
      takenGaps(spans, logged)[0]!.taken - 20,
      6,
    )
  })
})

describe("a client's own times", () => {
  test('three sessions are too few, four speak', () => {
    const slow = () => timed({ rest: 1.5, setUp: 1.2, set: 1 })
    expect(learnedTimes([slow(), slow(), slow()])).toBeNull()
    expect(learnedTimes([slow(), slow(), slow(), slow()])).toMatchObject({ sessions: 4 })
  })
  test.each([
    [{ rest: 1.5, setUp: 1.2, set: 1.1 }],
    [{ rest: 0.8, setUp: 1, set: 0.9 }],
    [{ rest: 1.2, setUp: 2, set: 1 }],
  ])('of %o are found, drawn to the estimate', factors => {
    fc.assert(
      fc.property(fc.infiniteStream(fc.double({ min: -1, max: 1, noNaN: true })), stream => {
        const noise = () => stream.next().value as number
        const sessions = Array.from({ length: 12 }, () => timed(factors, noise))
        const times = learnedTimes(sessions)!
        for (const part of ['rest', 'setUp'] as const) {
          const drawn = Math.exp((Math.log(factors[part]) * 12) / 13)
          expect(times[part] / drawn).toBeGreaterThan(0.88)
          expect(times[part] / drawn).toBeLessThan(1.12)
        }
        const seconds = sessionSeconds(SESSION, {
          ...context,
          client: { ...context.client, times },
        })
        const truth = trained(factors).minutes * 60
        expect(Math.abs(seconds / truth - 1)).toBeLessThan(0.07)
        expect(times.low).toBeLessThan(1)
        expect(times.high).toBeGreaterThan(1)
      }),
      { numRuns: 30 },
    )
  })
  test('one session with a phone call in it changes nothing much', () => {
    const sessions = Array.from({ length: 7 }, () => timed({ rest: 1.2, setUp: 1, set: 1 }))
    const odd = { ...sessions[0]!, minutes: sessions[0]!.minutes * 2.5 }
    const [plain, with1] = [learnedTimes(sessions)!, learnedTimes([...sessions, odd])!]
    expect(with1.set / plain.set).toBeCloseTo(1, 1)
  })
  test('minutes alone move all three alike', () => {
    const minutes = Math.round((estimate * 1.3) / 60)
    const sessions = Array.from({ length: 8 }, () => ({
      estimated: estimatedParts(spans),
      gaps: [],
      minutes,
    }))
    const { rest, setUp, set } = learnedTimes(sessions)!
    expect([setUp, set]).toEqual([rest, rest])
    expect(rest).toBeGreaterThan(1.2)
  })
  test('sessions without minutes and moments are no sessions', () => {
    const silent = { estimated: estimatedParts(spans), gaps: [], minutes: null }
    expect(learnedTimes(Array(9).fill(silent))).toBeNull()
  })
  test('nobody takes no time: a minute said of an hour is a slip', () => {
    const slip = { estimated: estimatedParts(spans), gaps: [], minutes: 1 }
    expect(learnedTimes(Array(9).fill(slip))).toBeNull()
  })
})
