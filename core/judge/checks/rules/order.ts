import { ARM_GROUPS, directGroups, type Group } from '../../../plan/catalogue'
import type { FoundBy, Rule } from '../finding'
import { extendedLast, swapped, withReps, withWarmups } from '../fixes'
import {
  type CheckInput,
  extendedSets,
  type PlacedSlot,
  type SessionView,
  setsUpToRir,
} from '../input'
import { placeOf } from './slots'

/* In which order things are done. Order rules advise; docs/methods.md#checks gives reasons and thresholds. */

const LATE = 0.6
const LOW_REPS = 6
const HARD_RIR = 3
const SPENT_SETS = 3
const PRIMER_SETS = 2

function everySession(
  input: CheckInput,
  find: (session: SessionView) => readonly FoundBy[],
): readonly FoundBy[] {
  return input.sessions.flatMap(find)
}
const place = (session: SessionView, placed: PlacedSlot, group?: Group) => ({
  ...placeOf(session, placed),
  ...(group && { group }),
})

const compoundAfterArms: Rule = {
  id: 'compound-after-arms',
  reason: 'Tired arms cut a compound short before its own muscles are trained.',
  tunedBy: 'order.first',
  find: input => {
    const allowsPrimer = input.context.method.order.first === 'primer'
    const { defaultRir } = input.context.method.effort
    return everySession(input, session =>
      session.slots.flatMap((compound, at): readonly FoundBy[] => {
        if (compound.exercise.kind !== 'compound') return []
        const helped = ARM_GROUPS.filter(
          group =>
            (compound.intent.credits[group] ?? 0) >= 0.5 && compound.intent.credits[group] !== 1,
        )
        return helped
          .flatMap(group => {
            const before = session.slots
              .slice(0, at)
              .filter(
                ({ intent, exercise }) =>
                  intent.credits[group] === 1 && exercise.kind === 'isolation',
              )
            const hard = before.reduce(
              (sum, placed) => sum + setsUpToRir(placed, HARD_RIR, defaultRir),
              0,
            )
            const isSpent = allowsPrimer
              ? before.reduce((sum, { sets }) => sum + sets, 0) > PRIMER_SETS && hard > 0
              : hard >= SPENT_SETS
            const [first] = before
            return isSpent && first
              ? [
                  {
                    place: place(session, compound, group),
                    figures: {
                      exercise: compound.exercise.name,
                      before: first.exercise.name,
                      sets: hard,
                      group,
                    },
                    fix: before.map(({ slot }) => ({
                      kind: 'move_grouping' as const,
                      slot: slot.id,
                      to: 'last' as const,
                    })),
                  },
                ]
              : []
          })
          .slice(0, 1)
      }),
    )
  },
}

const gripWorkEarly: Rule = {
  id: 'grip-work-early',
  reason: 'A spent grip costs about a tenth of the reps of every pull and curl that follows.',
  tunedBy: 'order.forearms',
  find: input =>
    everySession(input, session =>
      session.slots.flatMap((placed, at) => {
        const holds =
          placed.runs.some(run =>
            run.stages.some(stage => stage.kind === 'hold' && (stage.seconds ?? 0) >= 20),
          ) && placed.isGripLimited
        const isGripWork = placed.intent.credits.forearms === 1 || holds
        const later = session.slots
          .slice(at + 1)
          .find(other => other.isGripLimited && other.grouping !== placed.grouping)
        return isGripWork && later
          ? [
              {
                place: place(session, placed),
                figures: { exercise: placed.exercise.name, later: later.exercise.name },
                fix: [
                  { kind: 'move_grouping' as const, slot: placed.slot.id, to: 'last' as const },
                ],
              },
            ]
          : []
      }),
    ),
}

const overheadCold: Rule = {
  id: 'overhead-extension-cold',
  reason: 'A warm elbow bears deep extensions better, and chooses the load better.',
  tunedBy: 'order.overhead',
  find: input =>
    everySession(input, session => {
      const first = session.slots.find(({ intent }) => intent.jointStress.elbow_extensor_side > 0)
      const isOverhead =
        first !== undefined &&
        first.intent.jointStress.elbow_extensor_side >= 2 &&
        first.exercise.pattern === 'elbow_extension'
      if (!first || !isOverhead || first.warmups >= 2) return []
      const pushdown = session.slots.find(
        ({ exercise, slot, intent }) =>
          slot !== first.slot &&
          exercise.pattern === 'elbow_extension' &&
          intent.jointStress.elbow_extensor_side <= 1,
      )
      const fix =
        pushdown && pushdown.grouping !== first.grouping
          ? [
              {
                kind: 'move_grouping' as const,
                slot: pushdown.slot.id,
                to: { before: first.slot.id },
              },
            ]
          : withWarmups(first, 2)
      return [
        {
          place: place(session, first),
          figures: { exercise: first.exercise.name, warmups: first.warmups },
          fix,
        },
      ]
    }),
}

const lowRepsLate: Rule = {
  id: 'low-reps-late',
  reason: 'Heavy sets late in a session meet tired form.',
  find: input =>
    everySession(input, session =>
      session.slots.flatMap(placed =>
        placed.fewestReps !== undefined &&
        placed.fewestReps <= LOW_REPS &&
        placed.startsAt >= LATE &&
        placed.exercise.repRange[1] > LOW_REPS
          ? [
              {
                place: place(session, placed),
                figures: { exercise: placed.exercise.name, reps: placed.fewestReps },
                fix: withReps(placed, 8, 10),
              },
            ]
          : [],
      ),
    ),
}

const extendedNotLast: Rule = {
  id: 'extended-not-last',
  reason: 'A long set in the middle takes reps from the sets that follow.',
  find: input =>
    everySession(input, session =>
      session.slots.flatMap(placed => {
        const last = placed.runs.at(-1)
        const early = placed.runs.filter(
          run => run !== last && extendedSets({ ...placed, runs: [run] }) > 0,
        )
        const laterPlain =
          early.length > 0 && last !== undefined && extendedSets({ ...placed, runs: [last] }) === 0
        return laterPlain
          ? [
              {
                place: place(session, placed),
                figures: {
                  exercise: placed.exercise.name,
                  sets: early.reduce((sum, { count }) => sum + count, 0),
                },
                fix: extendedLast(placed),
              },
            ]
          : []
      }),
    ),
}

const lowBackCrowd: Rule = {
  id: 'low-back-crowd',
  reason:
    'A low back that has held hinges or squats should not have to hold rows and curls as well.',
  tunedBy: 'form.momentum',
  find: input =>
    everySession(input, session => {
      const heavy = session.slots.findIndex(
        ({ exercise, sets, intent }) =>
          (exercise.pattern === 'hinge' || exercise.pattern === 'squat') &&
          intent.jointStress.low_back >= 2 &&
          sets >= 4,
      )
      const after =
        heavy < 0
          ? undefined
          : session.slots
              .slice(heavy + 1)
              .find(
                ({ exercise, intent, runs }) =>
                  (exercise.pattern === 'horizontal_pull' && intent.jointStress.low_back >= 2) ||
                  (exercise.pattern === 'curl' &&
                    runs.some(run =>
                      run.stages.some(stage => stage.kind === 'work' && stage.form === 'momentum'),
                    )),
              )
      if (!after) return []
      const fix = swapped(after, session, input, { mostStress: { low_back: 1 } })
      return [
        {
          place: place(session, after),
          figures: {
            exercise: after.exercise.name,
            before: session.slots[heavy]?.exercise.name ?? '',
          },
          ...(fix && { fix }),
        },
      ]
    }),
}

const isolationFirst: Rule = {
  id: 'isolation-before-compound',
  reason: 'What comes first gains most strength; compounds are usually meant to.',
  tunedBy: 'order.first',
  find: input =>
    input.context.method.order.first === 'primer'
      ? []
      : everySession(input, session => {
          const firstCompound = session.slots.findIndex(
            ({ exercise }) => exercise.kind === 'compound',
          )
          const early = session.slots
            .slice(0, Math.max(0, firstCompound))
            .find(
              ({ exercise, intent }) =>
                exercise.kind === 'isolation' &&
                directGroups(intent.credits).some(
                  group => session.slots[firstCompound]?.intent.credits[group] === 1,
                ),
            )
          const compound = session.slots[firstCompound]
          return early && compound
            ? [
                {
                  place: place(session, early),
                  figures: { exercise: early.exercise.name, compound: compound.exercise.name },
                  fix: [
                    {
                      kind: 'move_grouping' as const,
                      slot: compound.slot.id,
                      to: 'first' as const,
                    },
                  ],
                },
              ]
            : []
        }),
}

export const ORDER: readonly Rule[] = [
  compoundAfterArms,
  gripWorkEarly,
  overheadCold,
  lowRepsLate,
  extendedNotLast,
  lowBackCrowd,
  isolationFirst,
]
