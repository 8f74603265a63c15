import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { GROUPS, JOINTS } from '../../plan/catalogue'
import { checkInput, type SessionView } from '../checks'
import { defaultContext } from '../../plan/method'
import { readinessPercent } from '../../body/recovery'
import { planArbitrary } from '../../testing/arbitraries'
import { planIn, written } from '../../testing/shorthandPlans'
import { withinSession } from '.'

const context = defaultContext({ trainingAgeMonths: 48 })
const look = (...lines: readonly string[]) => {
  const input = checkInput(planIn(7, written('arms', ...lines)), context)
  return withinSession(input.sessions[0] as SessionView, input)
}

describe('a session as muscles and joints feel it', () => {
  test('each set takes something, indirect ones less', () => {
    const { groups } = look('cable_curl 3 x 12, rir 2, rest 90s', 'hammer_curl 2 x 12, rir 2')
    const biceps = groups.find(({ group }) => group === 'biceps')
    expect(biceps?.sets.map(({ credit }) => credit)).toEqual([1, 1, 1, 0.75, 0.75])
    const drops =
      biceps?.sets.map(
        ({ readiness }, at) =>
          (biceps.sets[at - 1]?.readiness ?? biceps.startReadiness) - readiness,
      ) ?? []
    expect(drops[0]).toBeGreaterThan(drops[4] ?? Infinity)
    expect(groups.map(({ group }) => group).slice(0, 2)).toEqual(['biceps', 'elbow_flexors_other'])
  })
  test('pairing leaves a muscle more time between its sets', () => {
    const shortest = (...lines: readonly string[]) =>
      look(...lines).groups.find(({ group }) => group === 'triceps')?.shortestRest
    expect(shortest('pushdown_rope 3 x 12, rest 75s')).toBe(75)
    expect(
      shortest('superset, between 15s, after 75s: pushdown_rope 3 x 12 & cable_curl 3 x 12'),
    ).toBe(75 + 15 + 44)
    expect(shortest('pushdown_rope 1 x 12')).toBeUndefined()
  })
  test('a joint that passes its ceiling says when and where', () => {
    const { joints } = look(
      'lying_extension_behind_head 6 x 8, rir 1',
      'overhead_extension_rope 6 x 8, rir 1',
    )
    const elbow = joints.find(({ joint }) => joint === 'elbow_extensor_side')
    expect(elbow?.total).toBeGreaterThan(elbow?.ceiling ?? Infinity)
    expect(elbow?.passed?.at).toBeGreaterThan(0)
    expect(
      look('pushdown_rope 2 x 12').joints.find(({ joint }) => joint === 'elbow_extensor_side')
        ?.passed,
    ).toBeUndefined()
  })
})

test("what the sets leave adds up to the session's fatigue and joint load", () => {
  fc.assert(
    fc.property(planArbitrary, plan => {
      const input = checkInput(plan, context)
      for (const view of input.sessions) {
        const { groups, joints } = withinSession(view, input)
        const load = input.recovery.sessions.find(
          ({ day, session }) => day === view.day && session === view.session,
        )
        for (const group of GROUPS) {
          const along = groups.find(candidate => candidate.group === group)
          const impulse = load?.impulses.get(group) ?? 0
          const before =
            input.recovery.arrivals[group].find(
              ({ day, session }) => day === view.day && session === view.session,
            )?.fatigue ?? 0
          if (along)
            expect(along.endReadiness).toBeCloseTo(readinessPercent(group, before + impulse), 6)
          else expect(impulse).toBeCloseTo(0, 9)
        }
        for (const joint of JOINTS)
          expect(joints.find(candidate => candidate.joint === joint)?.total ?? 0).toBeCloseTo(
            view.joints[joint],
            6,
          )
      }
    }),
    { numRuns: 60 },
  )
})
