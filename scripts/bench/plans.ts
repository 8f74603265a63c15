import { plainDate, seededRandom } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { type CatalogueId, EXERCISES } from '#core/plan/catalogue'
import type { DayRole, RotationDay } from '#core/plan/rotation'
import { seededUuids } from '../../server/demo/seededIds'
import { line, planFrom, restDay, trainingDay } from '../../server/demo/planWriter'

const SESSIONS = 8
const EXERCISES_PER_SESSION = 8
const ROLES: readonly DayRole[] = ['push', 'pull', 'arms', 'upper', 'legs', 'arms', 'push', 'pull']

/** A 9-day rotation with 8 sessions of 8 exercises, drawn from the catalogue with a fixed seed. */
export function nineDayPlan(): PlanDocument {
  const random = seededRandom(7)
  const newId = seededUuids(random)
  const exercise = (): CatalogueId =>
    EXERCISES[Math.floor(random() * EXERCISES.length)]?.id ?? 'cable_curl'
  const days = ROLES.slice(0, SESSIONS).map(role =>
    trainingDay(
      role,
      90,
      ...Array.from({ length: EXERCISES_PER_SESSION }, () => line(exercise(), 3)),
    ),
  )
  return planFrom(
    {
      title: 'Bench',
      startsOn: plainDate('2026-01-05'),
      passes: 9,
      anchor: { kind: 'floating' },
      days: [...days, restDay],
    },
    newId,
  )
}

/** The plan with its days repeated, for seeing how time grows with size. */
export function repeated(plan: PlanDocument, times: number): PlanDocument {
  const days: readonly RotationDay[] = Array.from(
    { length: times },
    () => plan.rotation.days,
  ).flat()
  return { ...plan, rotation: { ...plan.rotation, days } }
}
