import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { defaultContext } from '../../plan/method'
import { sessionTime } from '../../plan/minutes'
import { written } from '../../testing/shorthandPlans'
import { type FloorSession, floorDay } from './day'
import { floorParts } from './parts'
import { unspotted } from './spots'

const context = defaultContext({ trainingAgeMonths: 40 })
const partsOf = (line: string) => {
  const [session] = written('push', line).sessions
  return { session: session!, parts: floorParts(session!, context) }
}

describe('sets that want somebody beside them', () => {
  test.each([
    ['lying_extension_cambered 3 x 10, rir 0', 3],
    ['lying_extension_cambered 3 x 10, rir 2', 0],
    ['pushdown_rope 3 x 10, rir 0', 0],
    ['bench_press_dumbbell 3 x 10, rir 0', 0],
    ['bench_press_barbell 3 x 8, rir 0', 3],
    ['bench_press_barbell 2 x 8, rir 2', 0],
  ])('%s: %d', (line, count) => {
    expect(partsOf(line).parts.flatMap(({ spots = [] }) => spots)).toHaveLength(count)
  })

  test('lie within their part, on its own clock', () => {
    const { session, parts } = partsOf(
      'lying_extension_cambered warm-up 2 x 10, then 3 x 10, rir 0',
    )
    const sets = sessionTime(session, context).spans.filter(({ kind }) => kind === 'set')
    const [part] = parts
    expect(part?.spots?.map(({ seconds }) => seconds)).toEqual(sets.map(({ seconds }) => seconds))
    for (const { at, seconds } of part?.spots ?? []) {
      expect(at).toBeGreaterThan(0)
      expect(at + seconds).toBeLessThanOrEqual(part!.seconds + 1e-6)
    }
  })
})

const session = (
  id: string,
  start: number,
  ...spots: readonly [at: number, seconds: number][]
) => ({
  id,
  start,
  parts: [
    { before: 0, seconds: 600, needs: [], spots: spots.map(([at, seconds]) => ({ at, seconds })) },
  ],
})
const missed = (sessions: readonly FloorSession[], coaches?: number) =>
  unspotted(sessions, floorDay(sessions, {}), coaches)

describe('coaches who spot', () => {
  const two = [session('a', 0, [100, 30]), session('b', 0, [110, 30], [200, 30])]

  test('one is with one client at a time; whoever began first keeps her', () => {
    expect(missed(two, 1)).toEqual([{ session: 'b', part: 0, at: 110, spotted: ['a'] }])
    expect(missed(two, 2)).toEqual([])
    expect(missed(two)).toEqual([])
  })

  test('are never with more clients than there are of them, and stand by nobody while somebody is missed', () => {
    const spot = fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 1, max: 60 }))
    const some = fc
      .array(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.array(spot, { maxLength: 3 })), {
        maxLength: 6,
      })
      .map(all => all.map(([start, spots], at) => session(`s${at}`, start, ...spots)))
    fc.assert(
      fc.property(some, fc.integer({ min: 1, max: 3 }), (sessions, coaches) => {
        const gone = missed(sessions, coaches)
        const all = sessions.flatMap(({ id, start, parts }) =>
          parts.flatMap(({ spots }) =>
            spots.map(({ at, seconds }) => ({ id, from: start + at, until: start + at + seconds })),
          ),
        )
        const isMissed = (one: (typeof all)[number]) =>
          gone.some(({ session: of, at }) => of === one.id && at === one.from)
        for (const one of all) {
          const others = all.filter(
            other =>
              other !== one && !isMissed(other) && other.from <= one.from && other.until > one.from,
          )
          if (isMissed(one)) expect(others.length).toBeGreaterThanOrEqual(coaches)
          else expect(others.length).toBeLessThanOrEqual(coaches)
        }
      }),
    )
  })
})
