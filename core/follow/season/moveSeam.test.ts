import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { addDays, daysBetween, isoWeekday, plainDate } from '../../base'
import { overlapOf, type PlanDocument, planEnd } from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { seamStopWords, softStartEffects, softStartWords } from '../../words'
import { planIn, written } from '../../testing/shorthandPlans'
import { seam, seamMoved, type SeasonLine, shiftedBy, softStart } from '.'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const TODAY = plainDate('2026-04-10')
const NOTHING_SENT = { today: TODAY, sent: new Map<string, number>() }

/** Seven days with an arm day of so many sets of each. */
function block(
  title: string,
  startsOn: string,
  { sets = 3, ...more }: Partial<PlanDocument> & { sets?: number } = {},
): PlanDocument {
  const rest = { ...written('rest'), sessions: [] }
  return {
    ...planIn(
      7,
      written('push', 'bench_press_dumbbell 3 x 8, rir 2'),
      rest,
      written('arms', `cable_curl ${sets} x 12, rir 2`, `pushdown_rope ${sets} x 12, rir 2`),
      ...[rest, rest, rest, rest],
    ),
    title,
    startsOn: plainDate(startsOn),
    passes: 4,
    ...more,
  }
}
const lined = (...plans: readonly PlanDocument[]): readonly SeasonLine[] =>
  plans.map((plan, at) => ({ id: `${at}`, plan }))
/** Keel runs on the day, Ribs and Planking lie behind it without a day between. */
const running = block('Keel', '2026-04-06')
const next = block('Ribs', addDays(planEnd(running), 1))
const last = block('Planking', addDays(planEnd(next), 1))
const line = lined(running, next, last)

function moved(...[by, more]: [1 | -1, Partial<typeof NOTHING_SENT>?]) {
  const found = seamMoved(line, '1', by, { ...NOTHING_SENT, ...more })
  if (!found.ok) throw new Error(found.error.why)
  return found.value
}

describe('a seam moved', () => {
  test.each([1, -1] as const)('by %i: the block before is resized, all behind it go along', by => {
    const [first, second, third] = moved(by)
    expect(first!.plan.passes).toBe(4 + by)
    expect(second!.plan.startsOn).toBe(addDays(next.startsOn, 7 * by))
    expect(third!.plan.startsOn).toBe(addDays(last.startsOn, 7 * by))
    expect(daysBetween(planEnd(first!.plan), second!.plan.startsOn)).toBe(1)
  })

  test('there and back is where it was, and no block ever lies over another', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(1 as const, -1 as const), { maxLength: 6 }),
        fc.constantFrom('1', '2'),
        (steps, at) => {
          let now = line
          const walk = (by: 1 | -1) => {
            const found = seamMoved(now, at, by, NOTHING_SENT)
            if (!found.ok) return false
            now = now.map(one => found.value.find(({ id }) => id === one.id) ?? one)
            for (const { id, plan } of now) expect(overlapOf(now, id, plan)).toBeUndefined()
            return true
          }
          const done = steps.filter(walk)
          for (const by of [...done].reverse()) expect(walk(by === 1 ? -1 : 1)).toBe(true)
          expect(now).toEqual(line)
        },
      ),
    )
  })

  test('an easier rotation at the end stays at the end, unless the client has it', () => {
    const eased = { ...running, block: { deloads: [1, 3] } }
    const of = (sent: number) => {
      const found = seamMoved(lined(eased, next), '1', 1, {
        today: TODAY,
        sent: new Map([['0', sent]]),
      })
      return found.ok && found.value[0]!.plan.block?.deloads
    }
    expect(of(0)).toEqual([1, 4])
    expect(of(4)).toEqual([1, 3])
  })

  test('where nothing runs before it, it moves by a week and keeps off what is behind', () => {
    const over = block('Over', '2026-03-02')
    const ahead = block('Ahead', '2026-04-20')
    const found = seamMoved(lined(over, ahead), '1', -1, NOTHING_SENT)
    expect(found.ok && found.value.map(({ plan }) => plan.startsOn)).toEqual(['2026-04-13'])
    const again = seamMoved(lined(over, { ...ahead, startsOn: plainDate('2026-04-13') }), '1', -1, {
      ...NOTHING_SENT,
    })
    expect(again).toMatchObject({ ok: false, error: { why: 'past' } })
  })

  const sent = (id: string, passes: number) => ({ today: TODAY, sent: new Map([[id, passes]]) })
  test.each([
    ['the first block', '0', -1, NOTHING_SENT, 'first', 'The first block has no seam before it'],
    ['nobody', 'none', 1, NOTHING_SENT, 'first', 'Choose a later one'],
    ['one begun', '1', 1, { ...NOTHING_SENT, today: next.startsOn }, 'begun', 'Ribs has begun'],
    ['one sent', '2', 1, sent('2', 1), 'sent', 'Planking: the rotation that would move'],
    ['one behind it sent', '1', 1, sent('2', 1), 'sent', 'Planking'],
    ['a rotation that is sent', '1', -1, sent('0', 4), 'sent', 'Keel'],
    [
      'an end before today',
      '1',
      -1,
      { ...NOTHING_SENT, today: addDays(planEnd(running), -3) },
      'past',
      'Keel',
    ],
  ] as const)('%s stays: %s %i', (_, after, by, given, why, words) => {
    const found = seamMoved(line, after, by, given)
    expect(found).toMatchObject({ ok: false, error: { why } })
    expect(!found.ok && seamStopWords(found.error)).toContain(words)
  })
  test.each([
    ['shortest', 1, -1, 'has only one rotation left'],
    ['longest', 60, 1, 'as long as a block can be'],
  ] as const)('a block of %s stays', (why, passes, by, words) => {
    const long = { ...running, passes }
    const behind = block('Behind', addDays(planEnd(long), 1))
    const found = seamMoved(lined(long, behind), '1', by, NOTHING_SENT)
    expect(found).toMatchObject({ ok: false, error: { why } })
    expect(!found.ok && seamStopWords(found.error)).toContain(words)
  })

  test('days said within a block go along, events stay', () => {
    const dated: PlanDocument = {
      ...next,
      rotation: {
        ...next.rotation,
        anchor: { kind: 'weekday', startsOn: isoWeekday(next.startsOn) },
      },
      block: {
        exceptions: [
          { kind: 'moved', pass: 1, day: 2, place: 0, on: plainDate('2026-05-15') },
          { kind: 'sets', pass: 0, group: 'biceps', change: 1 },
        ],
        trials: [{ what: 'slower', from: plainDate('2026-05-10'), weeks: 4, groups: ['biceps'] }],
        events: [
          {
            id: '1',
            what: 'Regatta',
            from: plainDate('2026-05-20'),
            to: plainDate('2026-05-20'),
            effect: 'skip',
          },
        ],
      },
    }
    const later = shiftedBy(dated, 9)
    expect(later.block?.exceptions?.[0]).toMatchObject({ on: '2026-05-24' })
    expect(later.block?.exceptions?.[1]).toEqual(dated.block?.exceptions?.[1])
    expect(later.block?.trials?.[0]?.from).toBe('2026-05-19')
    expect(later.block?.events).toEqual(dated.block?.events)
    const { anchor } = later.rotation
    expect(anchor.kind === 'weekday' && anchor.startsOn).toBe(isoWeekday(later.startsOn))
  })
})

describe('a softer start', () => {
  const before = { id: 'before', plan: running }
  const heavy = { id: 'after', plan: { ...block('Heavy', next.startsOn, { sets: 7 }), passes: 8 } }

  test('takes out as few sets as nothing jumps past its limit, and gives them back one a rotation', () => {
    const found = softStart(before, heavy, context)!
    expect(found.isEnough).toBe(true)
    const first = found.cuts.find(({ group }) => group === 'triceps')!
    const changes = (found.plan.block?.exceptions ?? []).flatMap(one =>
      one.kind === 'sets' && one.group === 'triceps' ? [one.change] : [],
    )
    expect(changes).toEqual(Array.from({ length: first.sets }, (_, at) => at - first.sets))
    for (const { before: was, after: is } of [...found.after.jumps, ...found.after.joints])
      if (was > 0) expect(is / was).toBeLessThanOrEqual(1.2 + 1e-9)
    // One set more of any of them would be too much again.
    for (const { group } of found.cuts) {
      const more = (found.plan.block?.exceptions ?? []).map(one =>
        one.kind === 'sets' && one.group === group ? { ...one, change: one.change + 1 } : one,
      )
      const plan = { ...found.plan, block: { ...found.plan.block, exceptions: more } }
      const at = seam(before, { ...heavy, plan }, context)
      const past = [...at.jumps, ...at.joints].some(
        ({ before: was, after: is }) => was > 0 && is > was * 1.2,
      )
      expect(past).toBe(true)
    }
    expect(softStartWords(found.cuts)).toMatch(/^Start .*triceps \d sets? .*lower and step up$/)
    expect(softStartEffects(found).join()).toMatch(/Triceps × \d\.\d\d to × 1\.\d\d/)
  })

  test('a rotation that is lower than the first by itself is left alone', () => {
    const once = {
      ...heavy,
      plan: {
        ...block('Once', next.startsOn),
        block: { exceptions: [{ kind: 'sets', pass: 0, group: 'triceps', change: 6 } as const] },
      },
    }
    const found = softStart(before, once, context)!
    expect(found.isEnough).toBe(true)
    expect((found.plan.block?.exceptions ?? []).filter(({ pass }) => pass > 0)).toEqual([])
  })

  test('nothing is offered where nothing jumps', () => {
    expect(softStart(before, { id: 'after', plan: next }, context)).toBeNull()
  })
})
