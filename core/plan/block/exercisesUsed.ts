import { remembered } from '../../base'
import type { Catalogue } from '../catalogue'
import { daySlots, type RotationDay } from '../rotation'
import { workStages } from '../scheme'
import { type Session, sessionSlots, type Slot } from '../session'
import type { PlanDocument } from './planDocument'

interface Named {
  readonly exercise: string
  readonly intent: string | null
}

function namedIn(slot: Slot): readonly Named[] {
  const stages = slot.scheme.runs.flatMap(run =>
    workStages(run).flatMap(({ exercise }) =>
      exercise ? [{ exercise: exercise.id, intent: exercise.intent }] : [],
    ),
  )
  return [{ exercise: slot.exercise, intent: slot.intent }, ...stages]
}

const NOTHING = {}
const namedOfDay = remembered((day: RotationDay, _: object): readonly Named[] =>
  daySlots(day).flatMap(namedIn),
)

const NONE: readonly Named[] = []
const namedOfSession = remembered((session: Session, _: object): readonly Named[] =>
  sessionSlots(session).flatMap(namedIn),
)

/** What single dates and kept versions name besides the rotation. */
function namedBesides({ oneOffs, variants }: PlanDocument): readonly Named[] {
  if (!oneOffs && !variants) return NONE
  return [...(oneOffs ?? []), ...(variants ?? [])].flatMap(({ content }) =>
    namedOfSession(content, NOTHING),
  )
}

/** Ids of all exercises a plan names, each once, those of single stages among them. */
export function exercisesUsed(plan: PlanDocument): ReadonlySet<string> {
  return new Set(
    [...plan.rotation.days.flatMap(day => namedOfDay(day, NOTHING)), ...namedBesides(plan)].map(
      ({ exercise }) => exercise,
    ),
  )
}

/** Days (from 0) on which a plan names an exercise, or a purpose, that a catalogue does not have; null where a single date or a kept version does. */
export function unknownExercises(
  plan: PlanDocument,
  catalogue: Catalogue,
): readonly { readonly day: number | null; readonly exercise: string }[] {
  const isUnknown = ({ exercise, intent }: Named): boolean => {
    const known = catalogue.get(exercise)
    return !known || (intent !== null && !known.intents.some(({ id }) => id === intent))
  }
  return [
    ...plan.rotation.days.flatMap((content, day) =>
      namedOfDay(content, NOTHING)
        .filter(isUnknown)
        .map(({ exercise }) => ({ day, exercise })),
    ),
    ...namedBesides(plan)
      .filter(isUnknown)
      .map(({ exercise }) => ({ day: null, exercise })),
  ]
}
