import type {
  AllocationConcern,
  AllocationScope,
  Hurdle,
  LeftOut,
  LimitUse,
  Miss,
  Proposals,
  ProposedChange,
  Purchase,
  Terms,
  TermsCost,
  TermsNote,
  TermsProblem,
  WhyNot,
  Withheld,
} from '../design/allocation'
import { PROPOSAL_GOALS } from '../design/allocation'
import type { Catalogue, Group, Joint } from '../plan/catalogue'
import type { PlanContext } from '../plan/method'
import { formatOneDecimal, formatSetCount, formatSets, NBSP } from './figures'
import { JOINT_NAMES } from './joints'
import { GROUP_NAMES } from './names'
import { PAIN_ASKS } from './pain'
import { slotName } from './session'
import { capitalised, listed } from './text'

/** What a search may move, as the coach chooses it. */
export const SCOPE_NAMES: Readonly<Record<AllocationScope, string>> = {
  arms: 'direct arm sets only',
  chosen: 'arms and chosen muscles',
  all: 'every exercise',
}

const pointsWords = (amount: number) => {
  const points = Math.max(1, Math.round(amount))
  return `${points} ${points === 1 ? 'point' : 'points'}`
}

/** A want that is missed, in a few words. */
export function missWords({
  kind,
  group,
  amount,
  day,
}: Pick<Miss, 'kind' | 'group' | 'amount' | 'day'>): string {
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
      return `${name} ${pointsWords(amount)} short of ready${on}`
    case 'overhead':
      return 'Triceps without enough work with the arm overhead'
    case 'ratio':
      return 'Flexors and extensors off the wished ratio'
    case 'lost':
      return group === 'triceps'
        ? 'No work with the arm overhead is left'
        : 'No palms-facing curl is left'
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

/** What stands in the way of a want: a limit, or another want that would have to give. */
export function hurdleWords(hurdle: Hurdle): string {
  switch (hurdle.kind) {
    case 'minutes':
      return `the minutes of day ${hurdle.day + 1}`
    case 'exercises':
      return `the number of exercises on day ${hurdle.day + 1}`
    case 'joint':
      return `the cap of the ${JOINT_NAMES[hurdle.joint]} on day ${hurdle.day + 1}`
    case 'joint_week':
      return `the cap of the ${JOINT_NAMES[hurdle.joint]} in seven days`
    case 'crowded':
      return `what one session should hold of the ${muscle(hurdle.group)} on day ${hurdle.day + 1}`
    case 'readiness':
      return `the recovery of the ${muscle(hurdle.group)} by day ${hurdle.day + 1}`
    case 'ceiling':
      return `the ceiling of the ${muscle(hurdle.group)}`
    case 'target':
      return `the wanted sets of the ${muscle(hurdle.group)}`
    case 'frequency':
      return `the training days of the ${muscle(hurdle.group)}`
    case 'ratio':
      return 'the wished ratio of flexors to extensors'
    case 'overhead':
      return 'the wish for work with the arm overhead'
    case 'lost':
      return hurdle.group === 'triceps' ? 'keeping overhead work' : 'keeping palms-facing curls'
  }
}
const muscle = (group: Group) => GROUP_NAMES[group].toLowerCase()

/** Why a want is not met: one line for each smallest set of hurdles that alone forbids it. */
export function whyNotLines({ miss, sets }: WhyNot): readonly string[] {
  if (sets.length === 0)
    return ['No plan was found that does better, though nothing proves that there is none.']
  return sets.map(hurdles =>
    hurdles.length === 0
      ? miss.kind === 'frequency'
        ? 'The training days there are do not allow it.'
        : 'What stands fixed forbids it.'
      : capitalised(
          `${listed(hurdles.map(hurdleWords))} ${hurdles.length > 1 ? 'together forbid it' : 'alone forbids it'}.`,
        ),
  )
}

/** One step of a hurdle: `10 more minutes on day 4`. */
function stepWords({ hurdle, step }: Purchase): string {
  switch (hurdle.kind) {
    case 'minutes':
      return `${step} more minutes on day ${hurdle.day + 1}`
    case 'exercises':
      return `${step} more exercise in a session`
    case 'joint':
    case 'joint_week':
      return `${step} points more for every joint`
    case 'crowded':
      return `${step} set more of the ${muscle(hurdle.group)} in one session`
    case 'readiness':
      return `The ${muscle(hurdle.group)} ${step} points less ready`
    case 'ceiling':
      return `${step} set over the ceiling of the ${muscle(hurdle.group)}`
    case 'target':
      return `${step} set less for the ${muscle(hurdle.group)}`
  }
}

/** What one step more of a hurdle would buy. */
export function purchaseWords(purchase: Purchase): string {
  const bought = purchase.gains.map(({ miss: { group, kind }, amount }) => {
    const name = group ? muscle(group) : 'the ratio'
    if (kind === 'floor' || kind === 'target') return `${name} +${formatOneDecimal(amount)} sets`
    if (kind === 'readiness') return `${name} ${pointsWords(amount)} readier`
    if (kind === 'crowded') return `${name} ${formatOneDecimal(amount)} sets less crowded`
    return `${name} better`
  })
  return `${stepWords(purchase)}: ${[...new Set(bought)].join(', ')}`
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

/** Why fewer than three are shown, in the order of their letters. */
export function leftOutWords({ kind, sameAs }: LeftOut): string {
  const { letter, name } = PROPOSAL_GOALS[kind]
  return sameAs
    ? `${letter} ${name} would be the same as ${PROPOSAL_GOALS[sameAs].letter}, but for one exercise at most.`
    : `${letter} ${name} would save less than a twentieth of the time.`
}

/** How sure it is that no fewer changes do; `changes` are those of the proposal with the fewest. */
export function fewestWords(bound: number | null, changes: number): string {
  if (bound === null) return ''
  const fewer = changes - bound
  return fewer <= 0
    ? 'Proven: with fewer changes no plan comes within one set of the best.'
    : `Not proven: at most ${fewer} ${fewer === 1 ? 'change' : 'changes'} fewer might do.`
}

/** What is not offered for the sake of a joint, a line for each reason. */
export function withheldWords(
  withheld: readonly Withheld[],
  { catalogue, client }: PlanContext,
): readonly string[] {
  const names = (why: Withheld['why']) =>
    withheld
      .filter(one => one.why === why)
      .map(({ exercise }) => catalogue.get(exercise)?.name ?? exercise)
      .join(', ')
  return [...new Set(withheld.map(({ why }) => why))].map(why =>
    why === 'notes'
      ? `Held back, since the notes name it: ${names(why)}.`
      : `Held back for the ${JOINT_NAMES[why]}: ${names(why)}. ${capitalised(PAIN_ASKS[client.pain?.[why] ?? 'none'])}`,
  )
}

/** Terms in words, as they could have been typed: `4 days, 45 minutes, no arm day`. */
export function termsWords({ days, minutes, armDay, overhead, finishers }: Terms): string {
  const words = [
    days === undefined ? '' : `${days} ${days === 1 ? 'day' : 'days'}`,
    minutes === undefined ? '' : `${minutes} minutes`,
    armDay ? 'no arm day' : '',
    overhead ? 'no overhead' : '',
    finishers ? 'arms as finishers' : '',
  ].filter(Boolean)
  return words.length === 0 ? 'As it is, placed again' : words.join(', ')
}

/** Why terms are answered otherwise than asked. */
export function termsNoteWords(note: TermsNote): string {
  switch (note.kind) {
    case 'fewer_days':
      return `The rotation has ${note.there} training ${note.there === 1 ? 'day' : 'days'}; more are made on the board.`
    case 'no_arm_day':
      return 'There is no arm day to go without.'
    case 'no_overhead':
      return 'Nothing stands overhead; nothing new does either.'
    case 'last_day_stays':
      return 'One training day has to stay.'
  }
}

/** What a rotation comes to under some terms, in one line. */
export function termsCostWords({
  trainingDays,
  minutes,
  stimulus,
  misses,
  givenUp,
}: TermsCost): string {
  const gives = misses.slice(0, MOST_GIVEN).map(missWords)
  const days = `${trainingDays} training ${trainingDays === 1 ? 'day' : 'days'}`
  const up =
    givenUp.length > 0 ? ` (without ${givenUp.map(day => `day ${day + 1}`).join(', ')})` : ''
  return `${days}${up}, ${Math.round(minutes)}${NBSP}min, ${formatOneDecimal(stimulus)} effective sets; ${gives.length === 0 ? 'every want is met' : gives.join('; ')}`
}
const MOST_GIVEN = 4

/** What is wrong with typed terms, and what can be typed. */
export function termsProblemWords(problem: TermsProblem): string {
  const known = 'Days, minutes, “no arm day”, “no overhead” and “arms as finishers” are understood.'
  switch (problem.kind) {
    case 'nothing':
      return `Type the terms first. ${known}`
    case 'unknown':
      return `“${problem.phrase}” is not understood. ${known}`
    case 'bounds':
      return `“${problem.phrase}”: from ${problem.from} to ${problem.to} can be tried.`
  }
}
