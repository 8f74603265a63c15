import { ARM_GROUPS, easierFormOf, monthsFor } from '../../../plan/catalogue'
import { modeOf } from '../../../plan/method'
import { suitsRole } from '../../../plan/session'
import { isHeldLong, nominalReps, withControl, workStages } from '../../../plan/scheme'
import type { FoundBy, Rule } from '../finding'
import { swapped } from '../fixes'
import { extendedSets, type PlacedSlot, type SessionView } from '../input'
import { everySlot, placeOf } from './slots'

/* Whether what is planned fits the client and its place: level, novelty, load under a lock, what comes before what. */

const MOST_NEW = 3
const NAMED = 4
/** Reps up to which a load is too much for a hard lock-out or a long wait. */
const HEAVY_REPS = 5
const EARLY = 0.5
/** Direct sets of a muscle in a session from which on it should be worked at long length too. */
const STRETCH_FROM = 4
/** A single long set at the end is a finish; from two on they exhaust. */
const EXHAUSTING_SETS = 2

const aboveLevel: Rule = {
  id: 'above-level',
  reason:
    'It asks for control that comes with months of training; the easier form trains the same.',
  find: input =>
    everySlot(input, (placed, session) => {
      const asks = monthsFor(placed.exercise.id)
      if (input.context.client.trainingAgeMonths >= asks) return []
      const fix = swapped(placed, session, input, { first: easierFormOf(placed.exercise.id) })
      return [
        {
          place: placeOf(session, placed),
          figures: { exercise: placed.exercise.name, months: asks },
          ...(fix && { fix }),
        },
      ]
    }),
}

const manyNew: Rule = {
  id: 'many-new',
  reason: 'New movements make sore and hide what works; three at a time can be told apart.',
  find: ({ sessions, newExercises }): readonly FoundBy[] => {
    const fresh = new Map(
      sessions
        .flatMap(({ slots }) => slots)
        .filter(({ exercise }) => newExercises.includes(exercise.id))
        .map(({ exercise }) => [exercise.id, exercise.name]),
    )
    const names = [...fresh.values()]
    const more = names.length - NAMED
    return names.length <= MOST_NEW
      ? []
      : [
          {
            place: {},
            figures: {
              count: names.length,
              names: `${names.slice(0, NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}`,
            },
          },
        ]
  },
}

const heavyLock: Rule = {
  id: 'heavy-lock',
  reason: 'A load for so few reps is too much to snap straight or to hang on to at full stretch.',
  find: input =>
    everySlot(input, (placed, session) => {
      const found = placed.runs
        .flatMap(run => workStages(run))
        .find(stage => {
          const reps = nominalReps(stage.reps)
          const isHeavy = reps !== undefined && reps <= HEAVY_REPS
          return isHeavy && (stage.lockOut === 'hard' || isHeldLong(stage))
        })
      if (!found) return []
      const isLock = found.lockOut === 'hard'
      const { slot } = placed
      const { longPause: _, ...tempo } = found.tempo ?? {}
      const scheme = isLock
        ? withControl(slot.scheme, 'lockOut', 'soft')
        : withControl(slot.scheme, 'tempo', Object.keys(tempo).length > 0 ? tempo : null)
      return [
        {
          place: placeOf(session, placed),
          figures: {
            exercise: placed.exercise.name,
            reps: nominalReps(found.reps) ?? 0,
            what: isLock ? 'lock' : 'pause',
          },
          fix: [{ kind: 'set_scheme' as const, slot: slot.id, scheme }],
        },
      ]
    }),
}

const roleUnfit: Rule = {
  id: 'role-unfit',
  reason: 'The slot is there for something this exercise does not do.',
  find: input =>
    everySlot(input, (placed, session) => {
      const { role } = placed.slot
      if (!role || suitsRole(role, placed.exercise, placed.intent)) return []
      const fix = swapped(placed, session, input)
      return [
        {
          place: placeOf(session, placed),
          figures: { exercise: placed.exercise.name, role },
          ...(fix && { fix }),
        },
      ]
    }),
}

const isExhausting = (placed: PlacedSlot) =>
  placed.slot.role === 'burn-out' ||
  extendedSets(placed) >= EXHAUSTING_SETS ||
  placed.runs.some(({ protocol }) => protocol === 'restricted_flow')

/** Whether a later exercise of the session trains directly what this one exhausts. */
const laterLike = (placed: PlacedSlot, session: SessionView) =>
  session.slots
    .slice(session.slots.indexOf(placed) + 1)
    .find(
      other =>
        other.grouping !== placed.grouping &&
        other.main !== undefined &&
        other.main === placed.main &&
        !isExhausting(other),
    )

const exhaustingEarly: Rule = {
  id: 'exhausting-early',
  reason: 'What follows for the same muscle gets fewer and lighter reps out of it.',
  tunedBy: 'order.watch.exhausting',
  find: input =>
    everySlot(input, (placed, session) => {
      const later = isExhausting(placed) && placed.startsAt < EARLY && laterLike(placed, session)
      return later
        ? [
            {
              place: placeOf(session, placed),
              figures: { exercise: placed.exercise.name, later: later.exercise.name },
              fix: [{ kind: 'move_grouping' as const, slot: placed.slot.id, to: 'last' as const }],
            },
          ]
        : []
    }),
}

const leadLate: Rule = {
  id: 'lead-late',
  reason: 'What is built up should get the fresh half of a session.',
  tunedBy: 'order.watch.lead',
  find: ({ context, sessions }) =>
    sessions.flatMap((session): FoundBy[] => {
      const own = session.slots.filter(
        ({ exercise, main }) => exercise.kind === 'isolation' && main !== undefined,
      )
      const early = own.findIndex(({ main }) => modeOf(context, main!) === 'maintain')
      const late = own.slice(early + 1).find(({ main }) => modeOf(context, main!) === 'build')
      const first = own[early]
      return first && late
        ? [
            {
              place: placeOf(session, first),
              figures: { exercise: first.exercise.name, later: late.exercise.name },
              fix: [{ kind: 'move_grouping', slot: first.slot.id, to: 'last' }],
            },
          ]
        : []
    }),
}

const noStretch: Rule = {
  id: 'session-no-stretch',
  reason: 'This method wants each muscle worked at long length whenever it is trained.',
  tunedBy: 'order.watch.stretch',
  find: ({ sessions }) =>
    sessions.flatMap(session =>
      ARM_GROUPS.flatMap((group): FoundBy[] => {
        const own = session.slots.filter(({ intent }) => intent.credits[group] === 1)
        const sets = own.reduce((sum, placed) => sum + placed.sets, 0)
        const [first] = own
        return first &&
          sets >= STRETCH_FROM &&
          own.every(({ intent }) => intent.lengthBias !== 'lengthened')
          ? [{ place: { ...placeOf(session, first), group }, figures: { group, sets } }]
          : []
      }),
    ),
}

export const FIT: readonly Rule[] = [
  noStretch,

  aboveLevel,
  manyNew,
  heavyLock,
  roleUnfit,
  exhaustingEarly,
  leadLate,
]
