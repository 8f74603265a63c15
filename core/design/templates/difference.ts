import type { ExerciseId } from '../../base'
import type { CarriedPlan, PlanDocument, PlanEdit } from '../../plan/block'
import { daySlots, type RotationDay } from '../../plan/rotation'
import { forAnotherClient, isAlike, plannedSets, type SetScheme } from '../../plan/scheme'
import type { Slot } from '../../plan/session'

/** One thing that a template has otherwise than before. Days from 0. */
export type TemplateChange = { readonly day: number; readonly exercise: ExerciseId } & (
  | { readonly kind: 'sets'; readonly by: number }
  | { readonly kind: 'scheme'; readonly scheme: SetScheme }
  | { readonly kind: 'swapped'; readonly to: Placed }
  | { readonly kind: 'added'; readonly placed: Placed }
  | { readonly kind: 'gone' }
)
type Placed = Pick<Slot, 'exercise' | 'intent' | 'scheme'>

/** The same exercises of two lists, first with first, second with second, and what has no like. */
function matched(before: readonly Slot[], after: readonly Slot[]) {
  const left = [...after]
  const gone: Slot[] = []
  const pairs = before.flatMap((slot): (readonly [Slot, Slot])[] => {
    const at = left.findIndex(({ exercise }) => exercise === slot.exercise)
    if (at < 0) {
      gone.push(slot)
      return []
    }
    return [[slot, left.splice(at, 1)[0]!] as const]
  })
  return { pairs, gone, added: left }
}
const placedOf = ({ exercise, intent, scheme }: Slot): Placed => ({ exercise, intent, scheme })

/** One set of a scheme, to compare how sets are done without how many they are. */
const manner = ({ runs, ...rest }: SetScheme) => ({
  ...rest,
  runs: runs.map(({ count: _, ...run }) => run),
})

function otherwise(day: number, was: Slot, is: Slot): TemplateChange[] {
  const { exercise } = was
  if (isAlike(was.scheme, is.scheme)) return []
  const by = plannedSets(is.scheme) - plannedSets(was.scheme)
  return isAlike(manner(was.scheme), manner(is.scheme))
    ? [{ kind: 'sets', day, exercise, by }]
    : [{ kind: 'scheme', day, exercise, scheme: is.scheme }]
}

function dayChanges(
  day: number,
  before: RotationDay | undefined,
  after: RotationDay | undefined,
): readonly TemplateChange[] {
  const { pairs, gone, added } = matched(
    before ? daySlots(before) : [],
    after ? daySlots(after) : [],
  )
  return [
    ...pairs.flatMap(([was, is]) => otherwise(day, was, is)),
    ...gone.map(({ exercise }, at): TemplateChange => {
      const to = added[at]
      return to
        ? { kind: 'swapped', day, exercise, to: placedOf(to) }
        : { kind: 'gone', day, exercise }
    }),
    ...added.slice(gone.length).map((slot): TemplateChange => ({
      kind: 'added',
      day,
      exercise: slot.exercise,
      placed: placedOf(slot),
    })),
  ]
}

/** What a template has otherwise than before, day by day; the same exercises are told by their sets and manner. */
export const templateDifference = (
  before: Pick<CarriedPlan, 'days'>,
  after: Pick<CarriedPlan, 'days'>,
): readonly TemplateChange[] =>
  Array.from({ length: Math.max(before.days.length, after.days.length) }, (_, day) =>
    dayChanges(day, before.days[day], after.days[day]),
  ).flat()

/** The day of a plan that a template's day became: the one with most of its exercises, else the first of its role. */
function dayOf(plan: PlanDocument, was: RotationDay | undefined, at: number): number | undefined {
  const exercises = new Set(was ? daySlots(was).map(({ exercise }) => exercise) : [])
  const shared = plan.rotation.days.map(
    day => daySlots(day).filter(({ exercise }) => exercises.has(exercise)).length,
  )
  const most = Math.max(0, ...shared)
  if (most > 0) return shared[at] === most ? at : shared.indexOf(most)
  const byRole = plan.rotation.days.findIndex(
    ({ role, sessions }) => role === was?.role && sessions.length > 0,
  )
  return byRole < 0 ? undefined : byRole
}

/**
 * What carries a change of a template over to a plan that was made from it; null where there is no place for it any more.
 *
 * Edge: sets are given and taken over what the plan has by now, which was fitted to the client; one set stays at least.
 */
export function templateChangeEdits(
  plan: PlanDocument,
  before: Pick<CarriedPlan, 'days'>,
  change: TemplateChange,
): readonly PlanEdit[] | null {
  const day = dayOf(plan, before.days[change.day], change.day)
  const content = day === undefined ? undefined : plan.rotation.days[day]
  if (day === undefined || !content) return null
  if (change.kind === 'added') {
    const { exercise, intent, scheme } = change.placed
    return [{ kind: 'add_exercise', day, exercise, intent, scheme: forAnotherClient(scheme) }]
  }
  const slot = daySlots(content).find(({ exercise }) => exercise === change.exercise)
  if (!slot) return null
  switch (change.kind) {
    case 'gone':
      return [{ kind: 'remove_exercise', slot: slot.id }]
    case 'swapped':
      return [
        {
          kind: 'swap_exercise',
          slot: slot.id,
          exercise: change.to.exercise,
          intent: change.to.intent,
        },
      ]
    case 'scheme':
      return [{ kind: 'set_scheme', slot: slot.id, scheme: forAnotherClient(change.scheme) }]
    case 'sets': {
      const left = plannedSets(slot.scheme) - 1
      const cut = Math.min(-change.by, left)
      if (change.by > 0) return [{ kind: 'add_sets', slot: slot.id, count: change.by }]
      return cut > 0 ? [{ kind: 'cut_sets', slot: slot.id, count: cut }] : []
    }
  }
}
