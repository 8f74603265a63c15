import {
  ARM_GROUPS,
  type Group,
  GROUP_MUSCLES,
  GROUPS,
  LARGE_GROUPS,
  type Muscle,
} from '../../../plan/catalogue'
import { armBalance, coverage, dailySets, rollingWeek } from '../../../count/ledger'
import { directSetsWanted, leastFrequency, mostGapIn } from '../../../plan/method'
import type { FoundBy, Rule } from '../finding'
import { fewerDirect, moreDirect } from '../fixes'
import { type CheckInput, strictly } from '../input'

/* What a week gives each muscle. Bands, shares and frequencies come from the ledger; docs/methods.md#bands. */

const SPEAK_FROM = 0.5
const SLACK = 1e-9

function inDays(setsPer7Days: number, { plan }: CheckInput): number {
  return Math.max(1, Math.ceil((setsPer7Days * plan.rotation.days.length) / 7 - SLACK))
}

/** Small muscles that others work along with: what they get is seen on their line, and nobody is asked to plan for it. */
const COMPANIONS: readonly Group[] = ['lower_back', 'traps', 'glutes', 'forearms', 'delts_front']

/** Whether it is a fault that a muscle stays under its floor: not of a companion that nobody builds up or has set a band for. */
const isOwed = (group: Group, { ledger, context }: CheckInput) =>
  !COMPANIONS.includes(group) ||
  ledger.groups[group].mode === 'build' ||
  context.client.bands[group] !== undefined

const belowFloor: Rule = {
  id: 'below-floor',
  reason: 'Under its floor a muscle is not given what its mode asks for.',
  tunedBy: 'dose.bandScale',
  find: input =>
    GROUPS.flatMap(group => {
      const { outside, week, band } = input.ledger.groups[group]
      if (outside > -SPEAK_FROM + SLACK || !isOwed(group, input)) return []
      const fix = moreDirect(group, Math.min(6, inDays(-outside, input)), input)
      return [
        {
          place: { group },
          figures: { group, sets: week.counted.value, floor: band.floor, missing: -outside },
          ...(fix && { fix }),
        },
      ]
    }),
}

const aboveCeiling: Rule = {
  id: 'above-ceiling',
  reason: 'Over its ceiling a muscle costs more than it gains.',
  tunedBy: 'dose.bandScale',
  find: input =>
    GROUPS.flatMap(group => {
      const { outside, week, band } = input.ledger.groups[group]
      if (outside < SPEAK_FROM - SLACK) return []
      const fix = fewerDirect(group, inDays(outside, input), input)
      return [
        {
          place: { group },
          figures: { group, sets: week.counted.value, ceiling: band.ceiling, surplus: outside },
          ...(fix && { fix }),
        },
      ]
    }),
}

const indirectOnly: Rule = {
  id: 'indirect-only',
  reason: 'Presses leave the long head short, pulls end with the back: some sets should be direct.',
  tunedBy: 'counting.school',
  find: input =>
    GROUPS.flatMap(group => {
      const { week, mode, band } = input.ledger.groups[group]
      const wanted = directSetsWanted(group, mode, band)
      const missing = wanted - week.direct.value
      if (missing < SPEAK_FROM - SLACK || input.ledger.groups[group].outside < 0) return []
      const fix = moreDirect(group, inDays(missing, input), input)
      return [
        {
          place: { group },
          figures: { group, direct: week.direct.value, wanted },
          ...(fix && { fix }),
        },
      ]
    }),
}

const MOST_GAP = { small: 5, large: 6 } as const

const frequencyLow: Rule = {
  id: 'frequency-low',
  reason: "More days share a week's sets out better; at equal sets frequency itself adds little.",
  tunedBy: 'dose.frequencyMin',
  find: input =>
    GROUPS.flatMap((group): readonly FoundBy[] => {
      const {
        spread: { frequencyPer7Days },
        week,
        band,
        mode,
      } = input.ledger.groups[group]
      const least = leastFrequency(input.context, group)
      const { frequencyMin, phase } = input.context.client
      const isAsked =
        mode === 'build' || frequencyMin?.[group] !== undefined || mostGapIn(phase, group) !== null
      if (
        frequencyPer7Days >= least - SLACK ||
        band.floor === 0 ||
        week.counted.value < SLACK ||
        !isAsked
      )
        return []
      return [{ place: { group }, figures: { group, frequency: frequencyPer7Days, least } }]
    }),
}

const gapLong: Rule = {
  id: 'gap-long',
  reason: 'A long gap leaves a built-up muscle without work.',
  find: input =>
    GROUPS.flatMap((group): readonly FoundBy[] => {
      const {
        spread: { gaps },
        mode,
      } = input.ledger.groups[group]
      const longest = Math.max(0, ...(gaps ?? []))
      const asked = mostGapIn(input.context.client.phase, group)
      const most = asked ?? (LARGE_GROUPS.includes(group) ? MOST_GAP.large : MOST_GAP.small)
      return (mode === 'build' || asked !== null) && longest > most
        ? [{ place: { group }, figures: { group, days: longest, most } }]
        : []
    }),
}

const ROLLING_SLACK = 1.15

const rollingPeak: Rule = {
  id: 'rolling-peak',
  reason:
    'Some seven days in a row hold clearly more than the ceiling, though the average does not.',
  find: input =>
    input.plan.rotation.days.length === 7
      ? []
      : GROUPS.filter(group => input.ledger.groups[group].mode === 'build').flatMap(
          (group): readonly FoundBy[] => {
            const { max } = rollingWeek(dailySets(input.ledger.days, group))
            const {
              band: { ceiling },
            } = input.ledger.groups[group]
            return max > ceiling * ROLLING_SLACK + SLACK
              ? [{ place: { group }, figures: { group, sets: max, ceiling } }]
              : []
          },
        ),
}

const headUncovered: Rule = {
  id: 'head-uncovered',
  reason: 'Heads, muscle lengths and grips should all get their share.',
  find: input =>
    [...ARM_GROUPS, 'chest' as const]
      .filter(group => input.ledger.groups[group].mode === 'build')
      .flatMap(group =>
        coverage(input.ledger, group, input.context).gaps.map((gap): FoundBy => ({
          place: { group },
          figures: {
            group,
            gap: gap.kind,
            ...('muscle' in gap && { muscle: gap.muscle }),
            ...('share' in gap && { share: gap.share, wish: gap.wish }),
          },
        })),
      ),
}

const headBelowFloor: Rule = {
  id: 'head-below-floor',
  reason: 'The coach has set how many sets this head should have at least.',
  find: input =>
    (Object.entries(input.context.client.headFloors ?? {}) as [Muscle, number][]).flatMap(
      ([muscle, floor]): readonly FoundBy[] => {
        const sets = input.ledger.muscles[muscle].counted.value
        const group = GROUPS.find(candidate =>
          (GROUP_MUSCLES[candidate] as readonly Muscle[]).includes(muscle),
        )
        return group && floor - sets >= SPEAK_FROM - SLACK
          ? [{ place: { group }, figures: { group, muscle, sets, floor, missing: floor - sets } }]
          : []
      },
    ),
}

const balance: Rule = {
  id: 'arm-balance',
  reason: 'Flexors and triceps are far from the wished ratio; a wish, not a law.',
  tunedBy: 'checks.strictness',
  find: input => {
    const { verdict, flexors, extensors, ratio } = armBalance(
      input.ledger.work.flat(),
      input.context,
    )
    return verdict === 'outside'
      ? [{ place: {}, figures: { flexors, extensors, ratio: ratio ?? 0 } }]
      : []
  },
}

const BUILDS = 2

const tooManyBuilds: Rule = {
  id: 'too-many-builds',
  reason: 'Recovery is shared: few muscles can be built up at once.',
  find: input => {
    const arms = new Set<Group>(['biceps', 'triceps', 'elbow_flexors_other', 'forearms'])
    const building = GROUPS.filter(group => input.ledger.groups[group].mode === 'build')
    const count =
      building.filter(group => !arms.has(group)).length +
      Number(building.some(group => arms.has(group)))
    return count > strictly(input.context, BUILDS, 'count')
      ? [{ place: {}, figures: { count, groups: building.join(', ') } }]
      : []
  },
}

export const VOLUME: readonly Rule[] = [
  belowFloor,
  aboveCeiling,
  indirectOnly,
  frequencyLow,
  gapLong,
  rollingPeak,
  headUncovered,
  headBelowFloor,
  balance,
  tooManyBuilds,
]
