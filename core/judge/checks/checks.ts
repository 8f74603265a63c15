import { remembered } from '../../base'
import type { PlanDocument } from '../../plan/block'
import type { PlanContext } from '../../plan/method'
import { CHECK_TABLE, watchOf } from './checkTable'
import type { Check, Finding, Rule } from './finding'
import { costOf, harmRank } from './folded'
import { SEVERITIES } from './finding'
import { type CheckInput, checkInput, type History, type SessionView } from './input'
import { CLIENT_RULES } from './rules/clientRules'
import { DOSE } from './rules/dose'
import { FIT } from './rules/fit'
import { ODD_FIGURES } from './rules/oddFigures'
import { ORDER } from './rules/order'
import { PAIN } from './rules/pain'
import { PAIRING } from './rules/pairing'
import { ROTATION } from './rules/rotationRecovery'
import { SAFETY } from './rules/safety'
import { SESSION_JOINTS } from './rules/sessionJoints'
import { VOLUME } from './rules/volume'

const RULES: readonly Rule[] = [
  ...PAIN,
  ...SAFETY,
  ...CLIENT_RULES,
  ...ORDER,
  ...DOSE,
  ...PAIRING,
  ...SESSION_JOINTS,
  ...FIT,
  ...ODD_FIGURES,
  ...VOLUME,
  ...ROTATION,
]

/** All rules with their rows of the table, safety first. */
export const CHECKS: readonly Check[] = RULES.map(rule => ({ ...CHECK_TABLE[rule.id], ...rule }))

/**
 * Findings of all rules over what was looked at: what can hurt first, then what costs the plan most.
 *
 * Edge:  a method of low strictness hides what is only worth knowing, and one that leaves a rule of order alone what it finds.
 */
export function findingsOf(
  input: CheckInput,
  checks: readonly Check[] = CHECKS,
): readonly Finding[] {
  const hidesInfo = input.context.method.checks.strictness === 'low'
  const inSessions = input.sessions.flatMap(session => sessionFindings(session, input, checks))
  const beyond = checks.flatMap(check => (check.scope === 'session' ? [] : found(check, input)))
  return [...inSessions, ...beyond]
    .filter(({ check, severity }) => {
      const watch = watchOf(check)
      const isLeft = watch !== undefined && input.context.method.order.watch[watch] === 'left'
      return !isLeft && (!hidesInfo || severity !== 'info')
    })
    .map(finding => ({
      finding,
      severity: SEVERITIES.indexOf(finding.severity),
      harm: harmRank(CHECK_TABLE[finding.check].anchor),
      cost: costOf(finding),
    }))
    .sort((a, b) => a.severity - b.severity || a.harm - b.harm || b.cost - a.cost)
    .map(({ finding }) => finding)
}

function found(check: Check, input: CheckInput): readonly Finding[] {
  return check
    .find(input)
    .map(finding => ({ check: check.id, severity: check.severity, ...finding }))
}

/** What the rules about one session find in it; remembered, since a rule of that scope looks at nothing but the session and the client. */
function sessionFindings(
  session: SessionView,
  input: CheckInput,
  checks: readonly Check[],
): readonly Finding[] {
  const known = findingsOfSession(session, input.newExercises)
  const kept =
    known.get(checks) ??
    checks
      .filter(({ scope }) => scope === 'session')
      .flatMap(check => found(check, { ...input, sessions: [session] }))
  known.set(checks, kept)
  return kept
}

const findingsOfSession = remembered(
  (_session: SessionView, _newExercises: readonly string[]) =>
    new Map<readonly Check[], readonly Finding[]>(),
)

/** Findings of all rules over a plan. Errors: InvariantError if the plan names an exercise the catalogue lacks. */
export function checkPlan(
  plan: PlanDocument,
  context: PlanContext,
  history: History = {},
): readonly Finding[] {
  return findingsOf(checkInput(plan, context, history))
}
