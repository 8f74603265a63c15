import { canPin, isFreeOverhead } from '../../../plan/catalogue'
import { isSore } from '../../../body/joints'
import { classedStages, type SetRun, workStages } from '../../../plan/scheme'
import type { Rule } from '../finding'
import { straightened, strictForm, withReps, withRir, withThumb } from '../fixes'
import { extendedSets, type PlacedSlot } from '../input'
import { everySlot, placeOf } from './slots'

/* What can hurt. Thresholds and words: docs/methods.md#checks. */

const screening: Rule = {
  id: 'screening-open',
  reason: 'The screening is there so that nobody starts who should be seen by a physician first.',
  find: ({ context: { client } }) =>
    client.screening === 'open' || client.screening === 'refer'
      ? [{ place: {}, figures: { state: client.screening } }]
      : [],
}

const NOT_FOR_RESTRICTION = [
  'trunk',
  'hinge',
  'hip_extension',
  'squat',
  'horizontal_press',
  'incline_press',
  'vertical_press',
]

const usesRestrictedFlow = ({ runs }: PlacedSlot) =>
  runs.some(({ protocol }) => protocol === 'restricted_flow')

/** Reps that follow when no whole one is left: partial, helped, swung or lowered ones. */
const goesPastFailure = ({ runs }: PlacedSlot) =>
  runs.some(run =>
    classedStages(run).some(({ class: own }) => own === 'tail_partial' || own === 'tail_slow'),
  )

const isThumbless = ({ runs }: PlacedSlot) =>
  runs.some(run => workStages(run).some(stage => stage.thumbless))

const restrictedFlow: Rule = {
  id: 'restricted-flow-excluded',
  reason:
    'Restricted-flow sets are for arms and legs of screened adults with a trained supervisor.',
  find: input =>
    everySlot(input, (placed, session) => {
      if (!usesRestrictedFlow(placed)) return []
      const { client } = input.context
      const isAllowed =
        client.permits?.includes('restricted_flow') &&
        !client.isMinor &&
        !NOT_FOR_RESTRICTION.includes(placed.exercise.pattern)
      return isAllowed
        ? []
        : [
            {
              place: placeOf(session, placed),
              figures: { exercise: placed.exercise.name },
              fix: withReps({ ...placed, slot: straightSlot(placed) }, 20, 30),
            },
          ]
    }),
}

/** The slot without the protocol, two reps in reserve. */
function straightSlot(placed: PlacedSlot): PlacedSlot['slot'] {
  const [edit] = withRir(placed, 2)
  return edit?.kind === 'set_scheme' ? { ...placed.slot, scheme: edit.scheme } : placed.slot
}

function goesToFailure({ runs, lowestRir }: PlacedSlot): boolean {
  return (
    lowestRir <= 0 ||
    runs.some(run => workStages(run).some(({ load }, place) => place > 0 && load !== undefined))
  )
}

const failureUnderBar: Rule = {
  id: 'failure-under-bar',
  reason: 'Alone under a bar without safety arms a failed rep cannot be escaped.',
  find: input =>
    input.context.client.hasSafeties
      ? []
      : everySlot(input, (placed, session) => {
          if (!goesToFailure(placed) || !canPin(placed.exercise)) return []
          return [
            {
              place: placeOf(session, placed),
              figures: { exercise: placed.exercise.name },
              fix: withRir(placed, 2),
            },
          ]
        }),
}

const THUMB = ['thumb_round_bar', 'weight_over_face', 'fail_needs_safety'] as const

const thumbless: Rule = {
  id: 'thumbless-press',
  reason: 'A bar over the body can roll off a hand whose thumb is not round it.',
  find: input =>
    everySlot(input, (placed, session) =>
      isThumbless(placed) && THUMB.some(caution => placed.exercise.cautions.includes(caution))
        ? [
            {
              place: placeOf(session, placed),
              figures: { exercise: placed.exercise.name },
              fix: withThumb(placed),
            },
          ]
        : [],
    ),
}

const overheadFailure: Rule = {
  id: 'overhead-failure',
  reason: 'Free weights above the head are put down before the form breaks, not after.',
  find: input =>
    everySlot(input, (placed, session) =>
      isFreeOverhead(placed.exercise) && placed.lowestRir <= 0
        ? [
            {
              place: placeOf(session, placed),
              figures: { exercise: placed.exercise.name },
              fix: withRir(placed, 1),
            },
          ]
        : [],
    ),
}

const notPermitted: Rule = {
  id: 'not-permitted',
  reason: 'Some ways to train are off until the coach has allowed them for this client.',
  find: input =>
    everySlot(input, (placed, session) => {
      const { permits = [] } = input.context.client
      const missing = [
        ...(isThumbless(placed) && !permits.includes('thumbless')
          ? [{ permit: 'thumbless' as const, fix: withThumb(placed) }]
          : []),
        ...(goesPastFailure(placed) && !permits.includes('past_failure')
          ? [{ permit: 'past_failure' as const, fix: straightened(placed) }]
          : []),
      ]
      return missing.map(({ permit, fix }) => ({
        place: placeOf(session, placed),
        figures: { exercise: placed.exercise.name, permit },
        fix,
      }))
    }),
}

/** Months in which a client learns to lift before sets are made longer than they are. */
const FIRST_MONTHS = 6

const firstMonths: Rule = {
  id: 'first-months',
  reason:
    'In the first half year plain sets do as much; what goes on after failure teaches bad reps and costs days of soreness.',
  find: input =>
    input.context.client.trainingAgeMonths >= FIRST_MONTHS
      ? []
      : everySlot(input, (placed, session) => {
          const what = usesRestrictedFlow(placed)
            ? 'restricted_flow'
            : extendedSets(placed) > 0 && 'long'
          return what
            ? [
                {
                  place: placeOf(session, placed),
                  figures: { exercise: placed.exercise.name, what },
                  fix: withRir(placed, 2),
                },
              ]
            : []
        }),
}

const momentumLowBack: Rule = {
  id: 'momentum-low-back',
  reason: 'A swing moves the load from the arm to the low back, which is marked as sensitive.',
  find: input => {
    const { joints, pain } = input.context.client
    if (joints?.low_back !== 'sensitive' && !isSore(pain?.low_back)) return []
    return everySlot(input, (placed, session) =>
      placed.runs.some(run => workStages(run).some(({ form }) => form === 'momentum'))
        ? [
            {
              place: { ...placeOf(session, placed), joint: 'low_back' as const },
              figures: { exercise: placed.exercise.name },
              fix: strictForm(placed),
            },
          ]
        : [],
    )
  },
}

/** A method that has strict form, or a swing in the last reps only. */
const momentumUnwanted: Rule = {
  id: 'momentum-unwanted',
  reason:
    'Strict reps keep the load where it is counted; a method may allow a swing at the end of a set.',
  tunedBy: 'form.momentum',
  find: input => {
    const { momentum } = input.context.method.form
    const isSwung = (run: SetRun) =>
      workStages(run).some(
        ({ form }, at, all) =>
          form === 'momentum' && (momentum === 'strict' || at < all.length - 1 || all.length === 1),
      )
    return momentum === 'allowed'
      ? []
      : everySlot(input, (placed, session) =>
          placed.runs.some(isSwung)
            ? [
                {
                  place: placeOf(session, placed),
                  figures: { exercise: placed.exercise.name, allows: momentum },
                  fix: strictForm(placed),
                },
              ]
            : [],
        )
  },
}

const minor: Rule = {
  id: 'minor-limits',
  reason: 'Under 18: at least two reps in reserve, at least eight reps, no long sets.',
  find: input =>
    !input.context.client.isMinor
      ? []
      : everySlot(input, (placed, session) =>
          placed.lowestRir >= 2 && (placed.fewestReps ?? 8) >= 8 && extendedSets(placed) === 0
            ? []
            : [
                {
                  place: placeOf(session, placed),
                  figures: {
                    exercise: placed.exercise.name,
                    rir: placed.lowestRir,
                    reps: placed.fewestReps ?? 8,
                  },
                  fix: withReps({ ...placed, slot: straightSlot(placed) }, 10, 15),
                },
              ],
        ),
}

export const SAFETY: readonly Rule[] = [
  screening,
  restrictedFlow,
  failureUnderBar,
  thumbless,
  overheadFailure,
  notPermitted,
  firstMonths,
  momentumLowBack,
  momentumUnwanted,
  minor,
]
