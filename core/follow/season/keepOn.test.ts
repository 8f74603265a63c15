import { describe, expect, test } from '@jest/globals'
import { addDays, plainDate } from '../../base'
import { type PlanDocument, planEnd } from '../../plan/block'
import { contextWith, STEADY_MIDDLE } from '../../plan/method'
import { daySlots } from '../../plan/rotation'
import { keptOnEffects, keptOnWords } from '../../words'
import { planIn, written } from '../../testing/shorthandPlans'
import { keptOn, seam } from '.'

const context = contextWith(STEADY_MIDDLE, { trainingAgeMonths: 48 })
const rest = { ...written('rest'), sessions: [] }
function block(startsOn: string, passes: number, ...arms: readonly string[]): PlanDocument {
  return {
    ...planIn(
      7,
      written('push', 'bench_press_dumbbell 3 x 8, rir 2'),
      rest,
      written('arms', ...arms),
      ...[rest, rest, rest, rest],
    ),
    startsOn: plainDate(startsOn),
    passes,
  }
}
const PUSHDOWN = 'pushdown_rope 3 x 12, rir 2'
const CURL = 'cable_curl 3 x 12, rir 2'
const PREACHER = 'preacher_curl_bar 4 x 8, rir 1'
const lined = (id: string, plan: PlanDocument) => ({ id, plan })
const exercises = ({ rotation }: PlanDocument) =>
  rotation.days.flatMap(daySlots).map(({ exercise }) => exercise)
const short = block('2026-03-02', 4, CURL, PUSHDOWN)
const after = (plan: PlanDocument, ...arms: readonly string[]) =>
  block(addDays(planEnd(plan), 1), 6, ...arms)

describe('exercises that leave early', () => {
  test('are those that were there for less than six weeks, blocks before counted', () => {
    const next = after(short, PREACHER, PUSHDOWN)
    const earlyAfter = (earlier?: PlanDocument) =>
      seam(lined('a', short), lined('b', next), context, earlier).early
    expect(earlyAfter()).toEqual([{ exercise: 'cable_curl', weeks: 4 }])
    expect(earlyAfter(block('2026-02-16', 2, CURL))).toEqual([])
    expect(earlyAfter(block('2026-02-16', 2, PREACHER))).toHaveLength(1)
    const long = { ...short, passes: 6 }
    expect(seam(lined('a', long), lined('b', after(long, PREACHER)), context).early).toEqual([])
  })

  test('stay on in place of what is new for the same muscle, with the sets that stand there', () => {
    const next = after(short, PREACHER, PUSHDOWN)
    const found = keptOn(lined('a', short), lined('b', next), context)!
    expect(found.kept).toEqual([{ exercise: 'cable_curl', inPlaceOf: 'preacher_curl_bar' }])
    expect(exercises(found.plan)).toEqual(exercises(short))
    const [, curl] = found.plan.rotation.days.flatMap(daySlots)
    expect(curl!.scheme.runs[0]!.count).toBe(4)
    expect(found.isEnough).toBe(true)
    expect(found.after.early).toEqual([])
    const nameOf = (id: string) => context.catalogue.get(id)!.name
    expect(keptOnWords(found.kept, nameOf)).toBe(`Keep on: ${nameOf('cable_curl')}`)
    expect(keptOnEffects(found.kept, nameOf)).toEqual([
      `${nameOf('cable_curl')} in place of ${nameOf('preacher_curl_bar')}`,
    ])
  })

  test('make no room where nothing new stands for their muscle, and say what is left', () => {
    expect(keptOn(lined('a', short), lined('b', after(short, PUSHDOWN)), context)).toBeNull()
    const both = after(short, PREACHER, 'kickback_cable 3 x 12, rir 2')
    const found = keptOn(lined('a', short), lined('b', both), context)!
    expect(found.kept.map(({ exercise }) => exercise).sort()).toEqual([
      'cable_curl',
      'pushdown_rope',
    ])
    const onlyOne = after(short, PREACHER)
    expect(keptOn(lined('a', short), lined('b', onlyOne), context)!.isEnough).toBe(false)
    expect(keptOn(lined('a', short), lined('b', after(short, CURL, PUSHDOWN)), context)).toBeNull()
  })

  test('do not stay on a joint that is spared', () => {
    const sore = contextWith(STEADY_MIDDLE, {
      trainingAgeMonths: 48,
      pain: { elbow_flexor_side: 'hold' },
    })
    const next = after(short, PREACHER, PUSHDOWN)
    expect(keptOn(lined('a', short), lined('b', next), sore)).toBeNull()
  })
})
