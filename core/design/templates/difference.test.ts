import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { applyEdits, type CarriedPlan, carriedPlan, type PlanDocument } from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { daySlots } from '../../plan/rotation'
import { formatScheme } from '../../plan/shorthand'
import { idsInARow } from '../../testing/notation'
import { planIn, written } from '../../testing/shorthandPlans'
import { templateChangeWords } from '../../words'
import { templateChangeEdits, templateDifference } from '.'

const { catalogue } = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const rest = { ...written('rest'), sessions: [] }
const PRESS = 'bench_press_dumbbell 3 x 8, rir 2'
const planOf = (push: readonly string[], arms: readonly string[]): PlanDocument =>
  planIn(7, written('push', ...push), rest, written('arms', ...arms))
const template = (push: readonly string[], arms: readonly string[]): CarriedPlan =>
  carriedPlan(planOf(push, arms), STEADY_MIDDLE, 'rotation')
const before = template(
  [PRESS, 'pushdown_rope 3 x 12, rir 2'],
  ['cable_curl 3 x 12, rir 2', 'kickback_cable 2 x 15, rir 1'],
)
const lines = ({ rotation }: Pick<PlanDocument, 'rotation'>) =>
  rotation.days.map(day =>
    daySlots(day).map(({ exercise, scheme }) => `${exercise} ${formatScheme(scheme)}`),
  )
function carriedOver(plan: PlanDocument, after: CarriedPlan): PlanDocument {
  return templateDifference(before, after).reduce((now, change) => {
    const edited = applyEdits(now, templateChangeEdits(now, before, change) ?? [], idsInARow())
    if (!edited.ok) throw new Error(edited.error.kind)
    return edited.value
  }, plan)
}
const words = (after: CarriedPlan) =>
  templateDifference(before, after).map(change => templateChangeWords(change, catalogue))

describe('what a template has otherwise', () => {
  test('is nothing where it is the same, whatever its identities', () => {
    expect(
      templateDifference(
        before,
        template(
          [PRESS, 'pushdown_rope 3 x 12, rir 2'],
          ['cable_curl 3 x 12, rir 2', 'kickback_cable 2 x 15, rir 1'],
        ),
      ),
    ).toEqual([])
  })

  test('is told exercise by exercise: sets, manner, another one, a new one, one that is out', () => {
    const after = template(
      [PRESS, 'pushdown_rope 4 x 12, rir 2', 'lateral_raise_dumbbell 3 x 15, rir 2'],
      ['preacher_curl_bar 3 x 8, rir 1'],
    )
    expect(words(after)).toEqual([
      'Day 1: Rope pushdown, 1 set more',
      expect.stringMatching(/^Day 1: .* is new: 3 x 15/),
      expect.stringMatching(/^Day 3: Cable curl, bar is Preacher curl.* now$/),
      expect.stringMatching(/^Day 3: .*is out$/),
    ])
    expect(
      words(
        template(
          [PRESS, 'pushdown_rope 3 x 8, rir 2'],
          before.days[2]!.sessions.length
            ? ['cable_curl 3 x 12, rir 2', 'kickback_cable 2 x 15, rir 1']
            : [],
        ),
      ),
    ).toEqual([expect.stringMatching(/^Day 1: Rope pushdown, done otherwise: 3 x 8/)])
  })

  test('goes to a plan that is still as the template was', () => {
    const after = template(
      [PRESS, 'pushdown_rope 4 x 12, rir 2'],
      ['preacher_curl_bar 3 x 12, rir 2', 'kickback_cable 2 x 12, rir 0'],
    )
    const plan = planOf(
      [PRESS, 'pushdown_rope 3 x 12, rir 2'],
      ['cable_curl 3 x 12, rir 2', 'kickback_cable 2 x 15, rir 1'],
    )
    expect(lines(carriedOver(plan, after)).slice(0, 3)).toEqual(
      lines({ rotation: { ...plan.rotation, days: after.days } }).slice(0, 3),
    )
  })

  test('goes over what the client has by now: her own sets, days and exercises stay', () => {
    const fitted = planIn(
      7,
      rest,
      written('arms', 'cable_curl 2 x 12, rir 2', 'hammer_curl 2 x 12, rir 2'),
      rest,
      written('push', PRESS, 'pushdown_rope 2 x 12, rir 2'),
    )
    const after = template(
      [PRESS, 'pushdown_rope 5 x 12, rir 2'],
      ['cable_curl 3 x 12, rir 2', 'kickback_cable 2 x 12, rir 0'],
    )
    const changes = templateDifference(before, after)
    expect(changes.map(change => templateChangeEdits(fitted, before, change) !== null)).toEqual([
      true,
      false,
    ])
    expect(lines(carriedOver(fitted, after))).toEqual([
      [],
      ['cable_curl 2 x 12, rir 2', 'hammer_curl 2 x 12, rir 2'],
      [],
      ['bench_press_dumbbell 3 x 8, rir 2', 'pushdown_rope 4 x 12, rir 2'],
      ...[[], [], []],
    ])
  })

  test('never takes the last set of what stays', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 6 }), (after, own) => {
        const plan = planOf(
          [PRESS, `pushdown_rope ${own} x 12, rir 2`],
          ['cable_curl 3 x 12, rir 2'],
        )
        const [, pushdown] = lines(
          carriedOver(
            plan,
            template(
              [PRESS, `pushdown_rope ${after} x 12, rir 2`],
              ['cable_curl 3 x 12, rir 2', 'kickback_cable 2 x 15, rir 1'],
            ),
          ),
        )[0]!
        expect(pushdown).toBe(`pushdown_rope ${Math.max(1, own + after - 3)} x 12, rir 2`)
      }),
    )
  })
})
