import { missingPieces } from '../../../plan/catalogue'
import { kilogramsOf } from '../../../plan/estimate'
import { mostKgOf, notPlanned } from '../../../plan/method'
import { workStages } from '../../../plan/scheme'
import type { FoundBy, Rule } from '../finding'
import { swapped, withHeaviest } from '../fixes'
import { everySlot, placeOf } from './slots'

/* What there is to train with, and what the coach has said of single exercises for this client. */

const equipmentMissing: Rule = {
  id: 'equipment-missing',
  reason: 'What is not there cannot be trained with.',
  find: input => {
    const { equipment } = input.context.client
    if (equipment.length === 0) return []
    return everySlot(input, (placed, session) => {
      const isRestricted = placed.runs.some(({ protocol }) => protocol === 'restricted_flow')
      const missing = missingPieces(
        [...placed.exercise.equipment, ...(isRestricted ? (['cuffs'] as const) : [])],
        equipment,
      )
      const fix = missing.length > 0 ? swapped(placed, session, input) : undefined
      return missing.length === 0
        ? []
        : [
            {
              place: placeOf(session, placed),
              figures: { exercise: placed.exercise.name, missing: missing.join(', ') },
              ...(fix && { fix }),
            },
          ]
    })
  },
}

const avoided: Rule = {
  id: 'exercise-avoided',
  reason: 'The client is not to do this exercise.',
  find: input => {
    const avoid = notPlanned(input.context.client)
    if (avoid.length === 0) return []
    return everySlot(input, (placed, session) => {
      if (!avoid.includes(placed.exercise.id)) return []
      const fix = swapped(placed, session, input)
      return [
        {
          place: placeOf(session, placed),
          figures: { exercise: placed.exercise.name },
          ...(fix && { fix }),
        },
      ]
    })
  },
}

const overHeaviest: Rule = {
  id: 'over-heaviest',
  reason: 'The client is to lift no more than this with the exercise.',
  find: input =>
    everySlot(input, (placed, session) => {
      const most = mostKgOf(input.context.client, placed.exercise.id)
      const loads = placed.slot.scheme.runs
        .flatMap(run => workStages(run))
        .flatMap(({ load }) => (load?.kind === 'weight' ? [kilogramsOf(load)] : []))
      const heaviest = Math.max(0, ...loads)
      if (heaviest <= most + 1e-6) return []
      return [
        {
          place: placeOf(session, placed),
          figures: { exercise: placed.exercise.name, load: heaviest, most },
          fix: withHeaviest(placed, most, input.context.client.gear),
        },
      ]
    }),
}

const keptMissing: Rule = {
  id: 'kept-exercise-missing',
  reason: 'The client wants to keep this exercise in the plan.',
  find: ({ context, sessions }) => {
    const planned = new Set<string>(
      sessions.flatMap(({ slots }) => slots.map(({ exercise }) => exercise.id)),
    )
    return planned.size === 0
      ? []
      : (context.client.keep ?? [])
          .filter(id => !planned.has(id))
          .map((id): FoundBy => ({
            place: {},
            figures: { exercise: context.catalogue.get(id)?.name ?? id },
          }))
  },
}

export const CLIENT_RULES: readonly Rule[] = [equipmentMissing, avoided, overHeaviest, keptMissing]
