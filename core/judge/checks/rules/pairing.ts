import { givenRest, pairRelation, partnersOf, restClass } from '../../../plan/minutes'
import type { FoundBy, Rule } from '../finding'
import { withRest } from '../fixes'
import type { CheckInput, PlacedSlot, SessionView } from '../input'
import { placeOf } from './slots'

/* What is done together, and how long is rested. Reasons: docs/methods.md#pairing. */

interface Pair {
  readonly first: PlacedSlot
  readonly second: PlacedSlot
  readonly session: SessionView
}

function pairs({ sessions }: CheckInput): readonly Pair[] {
  return sessions.flatMap(session =>
    [...new Set(session.slots.map(({ grouping }) => grouping))].flatMap(grouping =>
      partnersOf(grouping).flatMap(([a, b]): Pair[] => {
        const [first, second] = [a, b].map(slot =>
          session.slots.find(placed => placed.slot === slot),
        )
        return first && second ? [{ first, second, session }] : []
      }),
    ),
  )
}

const ungroup = ({ slot }: PlacedSlot) => [{ kind: 'ungroup' as const, slot: slot.id }]

const pairSharesGrip: Rule = {
  id: 'pair-shares-grip',
  reason: 'A grip, wrist or back that both exercises need gives out before their muscles do.',
  tunedBy: 'pairing.mode',
  find: input =>
    pairs(input).flatMap(({ first, second, session }) => {
      const grips =
        first.isGripLimited &&
        second.isGripLimited &&
        (first.exercise.kind === 'compound' || second.exercise.kind === 'compound')
      const joint = (['wrist', 'low_back'] as const).find(
        held => first.intent.jointStress[held] >= 2 && second.intent.jointStress[held] >= 2,
      )
      return grips || joint
        ? [
            {
              place: placeOf(session, first),
              figures: {
                exercise: first.exercise.name,
                partner: second.exercise.name,
                shared: joint ?? 'grip',
              },
              fix: ungroup(first),
            },
          ]
        : []
    }),
}

const LEAD_REST = 60

const pairLeadCompound: Rule = {
  id: 'pair-lead-compound',
  reason: 'The first heavy lift deserves rest of its own.',
  tunedBy: 'pairing.mode',
  find: input =>
    pairs(input).flatMap(({ first, second, session }): readonly FoundBy[] => {
      const lead = session.slots.find(({ exercise }) => exercise.kind === 'compound')
      const paired = lead === first ? first : lead === second ? second : undefined
      const after = givenRest(first.grouping.restAfterRound)?.seconds
      const isHeavy = paired !== undefined && (paired.fewestReps ?? 10) <= 8
      const isDense =
        first.grouping.kind === 'superset' &&
        (givenRest(first.grouping.restBetweenPartners)?.seconds ?? 15) < LEAD_REST &&
        (after ?? 75) < 120
      return paired && isHeavy && isDense
        ? [
            {
              place: placeOf(session, paired),
              figures: {
                exercise: paired.exercise.name,
                partner: (paired === first ? second : first).exercise.name,
              },
              fix: ungroup(paired),
            },
          ]
        : []
    }),
}

const pairSameGroup: Rule = {
  id: 'pair-same-group',
  reason: 'Two exercises of one muscle back to back cost the second about a fifth of its reps.',
  find: input =>
    pairs(input).flatMap(({ first, second, session }) =>
      first.grouping.kind === 'superset' &&
      !first.grouping.sameMuscleIntended &&
      pairRelation(first.slot, second.slot, input.context) === 'same_group'
        ? [
            {
              place: placeOf(session, second),
              figures: { exercise: first.exercise.name, partner: second.exercise.name },
              fix: ungroup(first),
            },
          ]
        : [],
    ),
}

const restTooShort: Rule = {
  id: 'rest-too-short',
  reason: 'Less rest means fewer reps at the same load.',
  tunedBy: 'rest.compoundMin',
  find: input =>
    input.sessions.flatMap(session =>
      session.slots.flatMap((placed): readonly FoundBy[] => {
        if (placed.grouping.kind !== 'straight' || placed.grouping.slots.length > 1) return []
        const isShortMuscle =
          placed.main === 'forearms' || placed.main === 'calves' || placed.main === 'abs'
        const run = placed.runs.find(({ restAfter }) => restAfter !== undefined)
        const seconds = givenRest(run?.restAfter)?.seconds
        if (
          !run ||
          seconds === undefined ||
          isShortMuscle ||
          placed.exercise.laterality === 'unilateral'
        )
          return []
        const least =
          restClass(run, placed.exercise) === 'isolation'
            ? input.context.method.rest.isolationMin
            : input.context.method.rest.compoundMin
        return seconds < least - 1e-9 && placed.sets > 1
          ? [
              {
                place: placeOf(session, placed),
                figures: { exercise: placed.exercise.name, seconds, least },
                fix: withRest(placed, least),
              },
            ]
          : []
      }),
    ),
}

const STATIONS_AT_ONCE = 3

const piecesAtOnce: Rule = {
  id: 'pieces-at-once',
  reason: 'Three stations at once are hard to hold in a full gym.',
  find: input =>
    input.sessions.flatMap(session =>
      [...new Set(session.slots.map(({ grouping }) => grouping))].flatMap(grouping => {
        const stations = session.slots.filter(
          placed =>
            placed.grouping === grouping &&
            placed.exercise.equipment.some(
              piece => piece === 'cable' || piece === 'machine' || piece === 'rack',
            ),
        )
        const [first] = stations
        return grouping.kind !== 'straight' && first && stations.length >= STATIONS_AT_ONCE
          ? [{ place: placeOf(session, first), figures: { stations: stations.length } }]
          : []
      }),
    ),
}

export const PAIRING: readonly Rule[] = [
  pairSharesGrip,
  pairLeadCompound,
  pairSameGroup,
  restTooShort,
  piecesAtOnce,
]
