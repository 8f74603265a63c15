import { addDays, plainDate } from '#core/base'
import { type PlanDocument, planEnd } from '#core/plan/block'
import { defaultContext } from '#core/plan/method'
import { season, type SeasonLine } from '#core/follow/season'
import { planIn, written } from '#core/testing/shorthandPlans'

const context = defaultContext({ trainingAgeMonths: 40 })
const BLOCKS = 40
const rotation = planIn(
  7,
  ...['push', 'pull', 'upper', 'arms'].map(role =>
    written(
      role as 'push',
      'bench_press_barbell 4 x 6-8, rir 2',
      'barbell_row 3 x 8-10, rir 2',
      'cable_curl 3 x 10-15, rir 1',
      'pushdown_rope 3 x 10-15, rir 1',
      'hammer_curl 3 x 8-12, rir 1',
      'lateral_raise_dumbbell 3 x 12-15, rir 1',
    ),
  ),
)

/** Five years of blocks of six rotations and a week between, or fewer blocks, each a plan object of its own. */
export function fiveYears(blocks = BLOCKS): readonly SeasonLine[] {
  const line: { id: string; plan: PlanDocument }[] = []
  let startsOn = plainDate('2022-01-03')
  for (let at = 0; at < blocks; at++) {
    const plan: PlanDocument = {
      ...structuredClone(rotation),
      title: `Block ${at + 1}`,
      startsOn,
      passes: 6,
    }
    line.push({ id: String(at), plan })
    startsOn = addDays(planEnd(plan), 8)
  }
  return line
}
export const seasonDay = plainDate('2026-11-28')
const known = fiveYears()

/** What the Season page asks of the core: everything read for the first time, and after one block was changed. */
export const seasonBench = {
  firstTime: () => season(fiveYears(), context, seasonDay),
  again: () =>
    season(
      known.map((held, at) => (at === BLOCKS - 1 ? { ...held, plan: { ...held.plan } } : held)),
      context,
      seasonDay,
    ),
}
