import { type Joint, JOINTS } from '../../../plan/catalogue'
import type { Rule } from '../finding'
import { sparing, withRir } from '../fixes'
import { type CheckInput, extendedSets } from '../input'
import { everySlot, placeOf } from './slots'

/* What reported pain asks of a plan: it repeats what was reported and never diagnoses. docs/methods.md#pain. */

function jointsAt({ context: { client } }: CheckInput, level: string): readonly Joint[] {
  return JOINTS.filter(joint => client.pain?.[joint] === level)
}

const painStop: Rule = {
  id: 'pain-stop',
  reason:
    'A joint whose pain reports ask to stop is not trained until a licensed professional has cleared it.',
  find: input =>
    jointsAt(input, 'stop').flatMap(joint =>
      everySlot(input, (placed, session) =>
        placed.intent.jointStress[joint] < 1
          ? []
          : [
              {
                place: { ...placeOf(session, placed), joint },
                figures: { exercise: placed.exercise.name, joint },
                fix: [{ kind: 'remove_exercise', slot: placed.slot.id }],
              },
            ],
      ),
    ),
}

const painSwap: Rule = {
  id: 'pain-swap',
  reason:
    'At this level of reported pain only exercises with little stress on the joint stay, with three reps in reserve.',
  find: input =>
    jointsAt(input, 'swap').flatMap(joint =>
      everySlot(input, (placed, session) => {
        const stress = placed.intent.jointStress[joint]
        if (stress < 1 || (stress < 2 && placed.lowestRir >= 3)) return []
        const fix =
          stress >= 2
            ? (sparing(placed, session, input, joint, 0) ?? [
                { kind: 'remove_exercise' as const, slot: placed.slot.id },
              ])
            : withRir(placed, 3)
        return [
          {
            place: { ...placeOf(session, placed), joint },
            figures: { exercise: placed.exercise.name, joint, stress },
            fix,
          },
        ]
      }),
    ),
}

const painHold: Rule = {
  id: 'pain-hold-increase',
  reason:
    'A joint that is to settle gets no more load, sets or stages, and two reps stay in reserve.',
  find: input =>
    jointsAt(input, 'hold').flatMap(joint =>
      everySlot(input, (placed, session) =>
        placed.intent.jointStress[joint] < 1 ||
        (placed.lowestRir >= 2 && extendedSets(placed) === 0)
          ? []
          : [
              {
                place: { ...placeOf(session, placed), joint },
                figures: { exercise: placed.exercise.name, joint, rir: placed.lowestRir },
                fix: withRir(placed, 2),
              },
            ],
      ),
    ),
}

export const PAIN: readonly Rule[] = [painStop, painSwap, painHold]
