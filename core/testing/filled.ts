import { plainDate } from '../base'
import { type RotationTemplate, templateDays } from '../plan/block'
import type { PlanContext } from '../plan/method'
import type { RotationDay } from '../plan/rotation'
import { fittedRotation } from '../design/templates'
import { idsInARow } from './notation'

/** The days of a template as one client gets them. */
export function filledFor(
  template: RotationTemplate,
  context: PlanContext,
): readonly RotationDay[] {
  const newId = idsInARow()
  return fittedRotation(templateDays(template, context, newId), {
    context,
    newId,
    startsOn: plainDate('2026-03-02'),
  }).days
}
