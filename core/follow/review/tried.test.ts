import { describe, expect, test } from '@jest/globals'
import { addDays, exerciseId, type PlainDate, plainDate, seededRandom } from '../../base'
import type { DatedValue } from '../../body/log'
import { onTrialUntil, trialEnd } from '../../plan/block'
import { BUILT_IN_CATALOGUE } from '../../plan/catalogue'
import { trialStateWords, triedWords } from '../../words'
import { type TriedLog, triedTrial } from '.'

const from = plainDate('2026-03-02')
const trial = { what: 'Arm day', from, weeks: 6, groups: ['biceps'] as const }
const over = addDays(trialEnd(trial), 1)

/** Curls twice a week from ten weeks before on, with a rise a week before and in the trial, and a scatter of the day. */
function logOf(before: number, during: number, seed = 1, scatter = 0.015): TriedLog {
  const random = seededRandom(seed)
  const normal = () =>
    Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random()) * scatter
  const exercise = exerciseId('barbell_curl')
  const values: DatedValue[] = []
  const sets: TriedLog['sets'][number][] = []
  for (let day = -70; day < 42; day += day % 7 === 0 ? 3 : 4) {
    const on: PlainDate = addDays(from, day)
    const weeks = day / 7
    const value = 50 * Math.exp((weeks < 0 ? before : during) * weeks + normal())
    values.push({ exercise, on, value, repsToFailure: 10 } as DatedValue)
    for (let set = 1; set <= (day < 0 ? 3 : 5); set += 1)
      sets.push({
        on,
        slot: null,
        exercise,
        intent: null,
        set,
        stage: 1,
        side: null,
        role: 'working',
        loadKg: value,
        reps: 9,
        seconds: null,
        rir: 1,
        isRirOpen: false,
      })
  }
  return { values, sets, pains: [] }
}
const tried = (log: TriedLog, today = over) => triedTrial(trial, log, BUILT_IN_CATALOGUE, today)

describe('a trial', () => {
  test('has an end, and until then the muscles in it', () => {
    expect(trialEnd(trial)).toBe('2026-04-12')
    const block = { trials: [trial] }
    expect(onTrialUntil(block, 'biceps', from)).toBe('2026-04-12')
    expect(onTrialUntil(block, 'biceps', plainDate('2026-04-12'))).toBe('2026-04-12')
    expect(onTrialUntil(block, 'biceps', plainDate('2026-04-13'))).toBeNull()
    expect(onTrialUntil(block, 'biceps', addDays(from, -1))).toBeNull()
    expect(onTrialUntil(block, 'triceps', from)).toBeNull()
  })

  test('says nothing of strength before its time', () => {
    const running = tried(logOf(0, 0.03), addDays(from, 20))
    expect(running).toMatchObject({ isOver: false, weeksDone: 3, muscles: [] })
    expect(trialStateWords(running)).toMatch(/^3 of 6 weeks behind\. No verdict on strength before/)
    expect(tried(logOf(0, 0), addDays(from, -3)).weeksDone).toBe(0)
  })

  test('that did much is told as faster, with the sets of both stretches', () => {
    const [biceps] = tried(logOf(0, 0.03)).muscles
    expect(biceps).toMatchObject({ group: 'biceps', verdict: 'faster' })
    expect(biceps!.before.slope).toBeCloseTo(0, 2)
    expect(biceps!.during.slope).toBeCloseTo(0.03, 2)
    expect([biceps!.before.setsPerWeek, biceps!.during.setsPerWeek]).toEqual([
      expect.closeTo(6, 0),
      expect.closeTo(10, 0),
    ])
    expect(triedWords(biceps!)).toMatch(/^Biceps: \+.* It rose faster in the trial\.$/)
    expect(tried(logOf(0.02, -0.02)).muscles[0]!.verdict).toBe('slower')
  })

  test('is called by the difference of its slopes over their errors, and by nothing less', () => {
    const all = [0, 0.002, 0.004, 0.006, 0.01, 0.02, -0.01].flatMap(more =>
      Array.from({ length: 12 }, (_, at) => tried(logOf(0.002, 0.002 + more, 40 + at)).muscles[0]!),
    )
    const zOf = ({ before, during }: (typeof all)[number]) =>
      (during.slope - before.slope) / Math.hypot(before.error!, during.error!)
    for (const one of all) {
      const z = zOf(one)
      expect(one.verdict).toBe(z >= 1.96 ? 'faster' : z <= -1.96 ? 'slower' : 'unclear')
    }
    expect(all.some(one => Math.abs(zOf(one)) > 1 && Math.abs(zOf(one)) < 1.96)).toBe(true)
  })

  test('that did nothing is called something in few clients of a hundred', () => {
    const called = Array.from({ length: 200 }, (_, at) => tried(logOf(0.005, 0.005, 10 + at)))
      .flatMap(({ muscles }) => muscles)
      .filter(({ verdict }) => verdict !== 'unclear').length
    expect(called / 200).toBeLessThan(0.06)
  })

  test('with hardly a session before it compares nothing, and tells of pain', () => {
    const log = logOf(0, 0.02)
    const short = {
      ...log,
      values: log.values.filter(({ on }) => on >= from),
      pains: [
        { joint: 'wrist' as const, score: 4, on: addDays(from, 5) },
        { joint: 'wrist' as const, score: 2, on: addDays(from, 6) },
        { joint: 'elbow_extensor_side' as const, score: 6, on: addDays(from, 6) },
      ],
    }
    const [biceps] = tried(short).muscles
    expect(biceps).toMatchObject({ verdict: 'too_early', during: { pains: 1 } })
    expect(triedWords(biceps!)).toContain('1 report of pain')
  })
})
