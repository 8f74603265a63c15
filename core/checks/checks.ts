import type { PlanDocument } from '../block'
import type { PlanContext } from '../method'
import type { Check, Finding } from './finding'
import { SEVERITIES } from './finding'
import { type CheckInput, checkInput, type History } from './input'
import { DOSE } from './rules/dose'
import { ORDER } from './rules/order'
import { PAIRING } from './rules/pairing'
import { ROTATION } from './rules/rotationRecovery'
import { SAFETY } from './rules/safety'
import { SESSION_JOINTS } from './rules/sessionJoints'
import { VOLUME } from './rules/volume'

/** All rules, safety first. */
export const CHECKS: readonly Check[] = [...SAFETY, ...ORDER, ...DOSE, ...PAIRING, ...SESSION_JOINTS, ...VOLUME, ...ROTATION]

/**
 * Findings of all rules over what was looked at, worst first.
 *
 * Edge:  a method of low strictness hides what is only worth knowing.
 */
export function findingsOf(input: CheckInput, checks: readonly Check[] = CHECKS): readonly Finding[] {
  const hidesInfo = input.context.method.checks.strictness === 'low'
  return checks.flatMap(check => check.find(input).map((found): Finding => ({ check: check.id, severity: check.severity, ...found })))
    .filter(({ severity }) => !hidesInfo || severity !== 'info')
    .sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity))
}

/** Findings of all rules over a plan. Errors: InvariantError if the plan names an exercise the catalogue lacks. */
export function checkPlan(plan: PlanDocument, context: PlanContext, history: History = {}): readonly Finding[] {
  return findingsOf(checkInput(plan, context, history))
}
