import { exerciseId, plainDate, slotId } from '../base'
import { type Exposure, exposuresByExercise, type LoggedSet } from '../body/log'
import { type LoadBasis, movementOf, plannedKey, slotLoads, type SlotLoads } from '../design/loads'
import { directGroups, requireExercise } from '../plan/catalogue'
import { defaultContext, type PlanContext } from '../plan/method'
import type { SetScheme } from '../plan/scheme'
import type { Slot } from '../plan/session'
import { parseScheme } from '../plan/shorthand'

/* Slots and logs in a line each, for everything that is about loads. */

export function schemeOf(text: string): SetScheme {
  const parsed = parseScheme(text)
  if (!parsed.ok) throw new Error(`${text}: ${JSON.stringify(parsed.error)}`)
  return parsed.value
}

export const slotWith = (exercise: string, text: string, id = 's'): Slot => ({
  id: slotId(id),
  exercise: exerciseId(exercise),
  intent: null,
  scheme: schemeOf(text),
})

/** A set as it was logged: load, reps, and those left. */
export type Said = readonly [load: number | null, reps: number, rir?: number]

/** Working sets of one exercise on a day, in order. */
export const logged = (
  exercise: string,
  day: string,
  sets: readonly Said[],
  more: Partial<LoggedSet> = {},
): readonly (LoggedSet & { on: ReturnType<typeof plainDate> })[] =>
  sets.map(([loadKg, reps, rir = 1], at) => ({
    on: plainDate(day),
    slot: slotId('s'),
    exercise: exerciseId(exercise),
    intent: null,
    set: at + 1,
    stage: 1,
    side: null,
    role: 'working',
    loadKg,
    reps,
    seconds: null,
    rir,
    isRirOpen: false,
    ...more,
  }))

/** Equal sets at one load. */
export const straight = (load: number, reps: readonly number[], rir = 1): readonly Said[] =>
  reps.map(count => [load, count, rir])

export const usualContext = defaultContext({ trainingAgeMonths: 40 })

interface Asked extends Partial<Omit<LoadBasis, 'context'>> {
  readonly on?: string
  readonly log?: ReturnType<typeof logged>
  readonly context?: PlanContext
  readonly lastPlanned?: readonly Slot[]
  readonly easy?: readonly string[]
  readonly isDeload?: boolean
  readonly step?: 'up' | 'down'
}

/** The loads of one slot, from its log and what is said besides. */
export function loadsOf(
  slot: Slot,
  {
    on = '2026-04-20',
    log = [],
    context = usualContext,
    lastPlanned,
    easy = [],
    isDeload = false,
    step,
    ...basis
  }: Asked = {},
): SlotLoads | undefined {
  const day = plainDate(on)
  const exposures = exposuresByExercise(
    log.filter(set => set.on < day),
    held => easy.includes(held),
  )
  const lastWorked = new Map(
    [...exposures].flatMap(([exercise, own]) =>
      directGroups(requireExercise(context.catalogue, exercise).intents[0].credits).map(
        group => [group, own.at(-1)!.on] as const,
      ),
    ),
  )
  const own: readonly Exposure[] = exposures.get(movementOf(slot)) ?? []
  const planned = lastPlanned ?? (own.length > 0 ? [slot] : [])
  return slotLoads(
    slot,
    {
      on: day,
      exposures: own,
      lastWorked,
      lastPlanned: new Map(planned.map(held => [plannedKey(held), held])),
      isDeload,
      step,
    },
    { unit: 'kg', bodyKg: null, rules: undefined, rotation: null, ...basis, context },
  )
}

/** Loads of all sets in a row; null where nothing says a number. */
export const amountsOf = (loads: SlotLoads | undefined): readonly (number | null)[] =>
  loads?.sets.map(({ amount }) => amount) ?? []
