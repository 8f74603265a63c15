import type {
  AllocationConcern,
  AllocationScope,
  LimitUse,
  Miss,
  Proposals,
  ProposedChange,
  Purchase,
  ScenarioKind,
} from '../design/allocation'
import type { Joint, Catalogue } from '../plan/catalogue'
import { formatOneDecimal, formatSetCount, formatSets, NBSP } from './figures'
import { JOINT_NAMES } from './joints'
import { GROUP_NAMES } from './names'
import { slotName } from './session'

/** What a search may move, as the coach chooses it. */
export const SCOPE_NAMES: Readonly<Record<AllocationScope, string>> = {
  arms: 'direct arm sets only',
  chosen: 'arms and chosen muscles',
  all: 'every exercise',
}

/** A want that is missed, in a few words. */
export function missWords({ kind, group, amount, day }: Miss): string {
  const name = group ? GROUP_NAMES[group] : ''
  const on = day === undefined ? '' : ` on day ${day + 1}`
  switch (kind) {
    case 'floor':
      return `${name} ${formatOneDecimal(amount)} under the floor`
    case 'target':
      return `${name} ${formatOneDecimal(amount)} below target`
    case 'ceiling':
      return `${name} ${formatOneDecimal(amount)} over the ceiling`
    case 'frequency':
      return `${name} ${amount} ${amount === 1 ? 'day' : 'days'} fewer than wanted`
    case 'readiness':
      return `${name} ${Math.max(1, Math.round(amount))} points short of ready${on}`
    case 'overhead':
      return 'Triceps without enough work with the arm overhead'
    case 'ratio':
      return 'Flexors and extensors off the wished ratio'
    case 'crowded':
      return `${name} ${formatSets(amount)} more than one session should hold${on}`
  }
}

/** A limit in words: `minutes of day 4`, `front of the elbow on day 4`. */
export function limitWords({ kind, day, of }: Pick<LimitUse, 'kind' | 'day' | 'of'>): string {
  if (kind === 'minutes') return `minutes of day ${(day ?? 0) + 1}`
  const joint = JOINT_NAMES[of as Joint]
  return kind === 'joint' ? `${joint} on day ${(day ?? 0) + 1}` : `${joint} in seven days`
}

/** What one step more of a limit would buy. */
export function purchaseWords({ limit, step, gains }: Purchase): string {
  const bought = gains.map(({ miss: { group, kind }, amount }) =>
    kind === 'floor' || kind === 'target'
      ? `${group ? GROUP_NAMES[group].toLowerCase() : ''} +${formatOneDecimal(amount)} sets`
      : `${group ? GROUP_NAMES[group].toLowerCase() : 'the ratio'} better`,
  )
  const more =
    limit.kind === 'minutes'
      ? `${step} more minutes on day ${(limit.day ?? 0) + 1}`
      : `${step} points more for the joints`
  return `${more}: ${[...new Set(bought)].join(', ')}`
}

/** One change: `+ 3 sets of Wrist curl, day 2`. */
export function changeWords({ cell, day, sets }: ProposedChange, catalogue: Catalogue): string {
  const name = slotName(cell.slot, catalogue)
  if (cell.isNew) return `${formatSetCount(sets)} of ${name} new on day ${day + 1}`
  if (sets === 0) return `${name} out of day ${day + 1} (${formatSetCount(cell.now)})`
  return `${name} on day ${day + 1}: ${formatSets(sets)} sets, was ${formatSets(cell.now)}`
}

/** How sure it is that nothing better is possible; `points` are those of the best proposal. */
export function proofWords(
  { solver, bound }: Pick<Proposals, 'solver' | 'bound'>,
  points: number,
): string {
  const gap = bound === null ? 0 : Math.max(0, points - bound)
  const sets = Math.ceil(gap / 8)
  switch (solver) {
    case 'proven':
      return 'Proven: within these limits no plan meets the wants better.'
    case 'gap':
      return `Not proven to the last set: at most about ${formatSetCount(Math.max(1, sets))} better might be possible.`
    case 'stopped':
      return bound === null
        ? 'Stopped before anything was proven.'
        : `The proof ran out of time: at most about ${formatSetCount(Math.max(1, sets))} better might be possible.`
    case 'failed':
      return 'The solver did not answer, so nothing is proven. The proposals stand; draw again to try once more.'
    case 'none':
      return 'Nothing was proven.'
  }
}

/** What stands in the way before anything is placed, and the way out. */
export function concernWords(concern: AllocationConcern): string {
  switch (concern.kind) {
    case 'no_training_day':
      return 'The rotation has no session yet. Put in a template on the board, or make a training day.'
    case 'nothing_open':
      return 'Nothing may change: every exercise is held fixed or no new one fits. Let some go on the board, or allow more equipment.'
    case 'band_inverted':
      return `${GROUP_NAMES[concern.group]}: the floor lies above the target or the ceiling. Put them in order on the Targets page.`
    case 'no_exercise':
      return `${GROUP_NAMES[concern.group]}: no exercise fits the equipment, the joints and the list to avoid. Allow one in the profile, or accept what comes indirectly.`
    case 'fixed_over_limit':
      return `What stands fixed uses ${formatOneDecimal(concern.limit.used)} of ${formatOneDecimal(concern.limit.limit)}${concern.limit.kind === 'minutes' ? `${NBSP}min` : ''} (${limitWords(concern.limit)}). Nothing is added there; let something go or raise the limit.`
  }
}

/** Names of the other terms a rotation is tried under. */
export function scenarioWords(kind: ScenarioKind, day: number | null): string {
  switch (kind) {
    case 'as_is':
      return 'As it is, placed again'
    case 'shorter':
      return 'A quarter less time on every day'
    case 'day_less':
      return `Without day ${(day ?? 0) + 1}`
    case 'finishers':
      return day === null
        ? 'New arm work as finishers, 45 s between sets'
        : `Without the arm day (day ${day + 1}), arms as finishers, 45 s between sets`
    case 'no_arm_day':
      return `Without the arm day (day ${(day ?? 0) + 1}), arms on the other days`
  }
}
