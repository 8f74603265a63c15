import { ELBOW_JOINTS, type Exercise, type Pattern } from '../../../plan/catalogue'
import { shareOfOneRep } from '../../../plan/estimate'
import { leadReps, leadRir, repsFor, workStages } from '../../../plan/scheme'
import type { FoundBy, Rule } from '../finding'
import { sparing, swapped, withRir, withWarmups } from '../fixes'
import { type CheckInput, type PlacedSlot, strictly } from '../input'
import { placeOf } from './slots'

/* Joints, warm-up and minutes of a session. Reasons: docs/methods.md#joints and #minutes. */

const elbowStressTwice: Rule = {
  id: 'elbow-stress-twice',
  reason: 'One exercise with high stress on an elbow side is enough for a session.',
  tunedBy: 'checks.strictness',
  find: input =>
    input.sessions.flatMap(session =>
      ELBOW_JOINTS.flatMap((joint): readonly FoundBy[] => {
        const high = session.slots.filter(
          ({ intent, sets }) => intent.jointStress[joint] === 3 && sets > 0,
        )
        const later = high[1]
        if (!later) return []
        const fix = sparing(later, session, input, joint, 2)
        return [
          {
            place: { ...placeOf(session, later), joint },
            figures: { exercise: later.exercise.name, first: high[0]?.exercise.name ?? '', joint },
            ...(fix && { fix }),
          },
        ]
      }),
    ),
}

const BAR_AND_CHIN_SETS = 8

const barAndChin: Rule = {
  id: 'bar-and-chin-up-crowd',
  reason: 'Palms-up straight bars and chin-ups load the same side of the elbow and the wrist.',
  find: input =>
    input.sessions.flatMap(session => {
      const slots = session.slots.filter(
        ({ exercise }) =>
          exercise.id === 'barbell_curl' ||
          exercise.id === 'drag_curl' ||
          exercise.id === 'chin_up' ||
          exercise.id === 'assisted_chin_up',
      )
      const sets = slots.reduce((sum, placed) => sum + placed.sets, 0)
      const last = slots.at(-1)
      const limit = strictly(input.context, BAR_AND_CHIN_SETS, 'count')
      return last && sets > limit
        ? [
            {
              place: placeOf(session, last),
              figures: { sets, limit },
              fix: [
                {
                  kind: 'cut_sets' as const,
                  slot: last.slot.id,
                  count: Math.min(last.sets, sets - limit),
                },
              ],
            },
          ]
        : []
    }),
}

function loadsShoulder({ exercise, runs }: PlacedSlot): boolean {
  const isWide =
    exercise.pattern === 'horizontal_press' &&
    runs.some(run => workStages(run).some(({ gripWidth }) => gripWidth === 'wide'))
  return (
    exercise.pattern === 'dip' ||
    exercise.pattern === 'vertical_press' ||
    exercise.id === 'upright_row' ||
    isWide
  )
}

const shoulderCrowd: Rule = {
  id: 'shoulder-crowd',
  reason: 'Dips, wide and overhead presses and upright rows add up at the shoulder.',
  tunedBy: 'checks.strictness',
  find: input =>
    input.sessions.flatMap(session => {
      const slots = session.slots.filter(loadsShoulder)
      const last = slots.at(-1)
      if (!last || slots.length <= strictly(input.context, 2, 'count')) return []
      const fix = swapped(last, session, input, {
        without: [...session.slots.map(({ exercise }) => exercise.id), 'dip', 'upright_row'],
        mostStress: { shoulder: 1 },
      })
      return [
        {
          place: { ...placeOf(session, last), joint: 'shoulder' as const },
          figures: { exercises: slots.length },
          ...(fix && { fix }),
        },
      ]
    }),
}

const stretchIntro: Rule = {
  id: 'stretch-intro',
  reason: 'New work at long muscle length makes sore; two sets are a beginning.',
  find: input =>
    input.sessions.flatMap(session =>
      session.slots.flatMap(placed => {
        const stress = Math.max(...Object.values(placed.intent.jointStress))
        return input.newExercises.includes(placed.exercise.id) &&
          placed.intent.lengthBias === 'lengthened' &&
          stress >= 2 &&
          placed.sets > 2
          ? [
              {
                place: placeOf(session, placed),
                figures: { exercise: placed.exercise.name, sets: placed.sets },
                fix: [{ kind: 'cut_sets' as const, slot: placed.slot.id, count: placed.sets - 2 }],
              },
            ]
          : []
      }),
    ),
}

const HEAVY_SHARE = 0.8

/** Share of the one-rep maximum that a slot's heaviest set stands for. */
function heaviestShare({ runs, exercise: { repUnit } }: PlacedSlot, usual: number): number {
  return Math.max(
    0,
    ...runs.flatMap(run => {
      const reps = leadReps(run)
      return !reps ? [] : [shareOfOneRep(repsFor(reps, repUnit), leadRir(run) ?? usual)]
    }),
  )
}

const PRESSES: readonly Pattern[] = ['horizontal_press', 'incline_press', 'vertical_press', 'dip']
/** Presses put a load on shoulders and elbows from ten reps to failure down. */
const HEAVY_PRESS_SHARE = 0.75

/** Whether the first sets of an exercise want lighter ones before them: heavy work, heavy presses, anything overhead. */
function wantsWarmUp(placed: PlacedSlot, { method }: CheckInput['context']): boolean {
  const share = heaviestShare(placed, method.effort.defaultRir)
  const { kind, pattern } = placed.exercise
  const isPress = kind === 'compound' && PRESSES.includes(pattern)
  return (
    share >= HEAVY_SHARE ||
    (isPress && share >= HEAVY_PRESS_SHARE) ||
    (isPress && pattern === 'vertical_press')
  )
}

/** One press warms up for the next. */
const isAlike = (before: Exercise, { pattern }: Exercise) =>
  PRESSES.includes(pattern) && PRESSES.includes(before.pattern)

const warmUpMissing: Rule = {
  id: 'warm-up-missing',
  reason: 'Heavy first sets need lighter ones before them.',
  find: (input: CheckInput) =>
    input.sessions.flatMap(session =>
      session.slots.flatMap((placed, at) => {
        const ramps = placed.slot.scheme.runs.some(
          ({ role }) => role === 'warmup' || role === 'ramp',
        )
        const isSore = Object.entries(placed.intent.jointStress).some(
          ([joint, stress]) =>
            stress >= 2 &&
            input.context.client.pain?.[joint as keyof typeof placed.intent.jointStress] === 'hold',
        )
        const isHeavy = wantsWarmUp(placed, input.context)
        const isFirst = !session.slots
          .slice(0, at)
          .some(({ main, exercise }) => main === placed.main || isAlike(exercise, placed.exercise))
        return !ramps && ((isHeavy && isFirst) || isSore)
          ? [
              {
                place: placeOf(session, placed),
                figures: { exercise: placed.exercise.name },
                fix: withWarmups(placed, isSore ? 3 : 2),
              },
            ]
          : []
      }),
    ),
}

const TIME_SLACK_MINUTES = 3

const timeOver: Rule = {
  id: 'time-over',
  reason: 'What does not fit is cut on the day, blindly.',
  tunedBy: 'time.compression',
  find: input =>
    input.sessions.flatMap((session): readonly FoundBy[] => {
      const limit = session.rotationDay.minuteLimit
      const minutes = session.time.seconds / 60
      if (limit === undefined || minutes <= limit) return []
      return [
        {
          place: { day: session.day, session: session.session },
          severity: minutes > limit + TIME_SLACK_MINUTES ? 'caution' : 'info',
          figures: { minutes, limit },
        },
      ]
    }),
}

const sessionJointCeiling: Rule = {
  id: 'session-joint-ceiling',
  reason: 'A joint has a ceiling for one session, after training age and setting.',
  tunedBy: 'joints.setting',
  find: input =>
    input.sessions.flatMap(session =>
      Object.values(input.joints).flatMap(({ joint, ceiling }): readonly FoundBy[] => {
        const load = session.joints[joint]
        if (load <= ceiling.session + 1e-9) return []
        const most = [...session.slots]
          .filter(({ intent }) => intent.jointStress[joint] > 0)
          .sort((a, b) => b.intent.jointStress[joint] - a.intent.jointStress[joint])[0]
        return [
          {
            place: { day: session.day, session: session.session, joint },
            figures: { joint, load, ceiling: ceiling.session },
            ...(most && most.lowestRir <= 1 && { fix: withRir(most, 2) }),
          },
        ]
      }),
    ),
}

export const SESSION_JOINTS: readonly Rule[] = [
  elbowStressTwice,
  barAndChin,
  shoulderCrowd,
  stretchIntro,
  warmUpMissing,
  timeOver,
  sessionJointCeiling,
]
