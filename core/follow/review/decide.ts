import { roundHalfUp } from '../../base'
import { isSore } from '../../body/joints'
import { ARM_GROUPS } from '../../plan/catalogue'
import { type Mode, overCeiling, setsUnderCeiling } from '../../plan/method'
import type { Adjustment, DecisionRow, DeloadSign, GroupEvidence } from './adjustment'

/** Numbers of the decision table; rules of thumb. Source: docs/methods.md#adjustments. */
export const DECIDE = {
  adherence: 0.6,
  notRecoveredShare: 0.5,
  leastAnswers: 2,
  readiness: 80,
  cutShare: 0.3,
  leastCut: 2,
  moreBuild: 2,
  moreKeep: 1,
  floorSlack: 0.5,
  floorWeeks: 2,
  mostUp: 2,
  /** Sets over the target taken out at once for a muscle they tire. */
  mostSpared: 2,
  /** Answers that recovery is judged by, and how many of them have to agree. */
  lastAnswers: 3,
  agreeing: 2,
  /** Rotations and weeks a change is given before the same thing is looked at again. */
  againRotations: 2,
  againWeeks: 5,
  underTarget: 1,
  /** Share of a joint's ceiling from which on no set is added to what loads it. */
  strain: 0.8,
  /** Points of readiness above the least ready muscle of a session within which a muscle may be meant by "not recovered". */
  meantWithin: 5,
  absentDays: 7,
  longAbsentDays: 28,
  newStartDays: 56,
  absentShare: 0.6,
  longAbsentShare: 0.5,
  absentRir: 2,
  weekShare: 0.1,
  mostGroups: 3,
  deloadSigns: 2,
  sure: 0.95,
  fair: 0.8,
} as const

/** Whether an answer about a session is one about a muscle: "recovered" holds for all of it, "not" for those that came least ready by the model. */
export const isMeant = (isRecovered: boolean, readiness: number, least: number): boolean =>
  isRecovered || readiness <= least + DECIDE.meantWithin

/** The last answers; where only the rotation's are known, those, the good ones first. */
function lastAnswers({ lately, recovered, notRecovered }: GroupEvidence): readonly boolean[] {
  const answers = lately ?? [
    ...Array.from({ length: recovered }, () => true),
    ...Array.from({ length: notRecovered }, () => false),
  ]
  return answers.slice(-DECIDE.lastAnswers)
}

/** Two of the last three answers say so; fewer than three are too weak a reason to take anything away. */
export function sayNotRecovered(answers: readonly boolean[]): boolean {
  const last = answers.slice(-DECIDE.lastAnswers)
  return (
    last.length >= DECIDE.lastAnswers && last.filter(answer => !answer).length >= DECIDE.agreeing
  )
}
const isNotRecovered = (of: GroupEvidence): boolean => sayNotRecovered(lastAnswers(of))

function isRecovered(of: GroupEvidence): boolean {
  return lastAnswers(of).filter(Boolean).length >= DECIDE.agreeing
}

/** Whether a change is too young for the same thing to be looked at again. */
const isYoung = (changed: GroupEvidence['changed'], least: number, of: 'rotations' | 'weeks') =>
  changed !== undefined && changed !== null && changed[of] < least

type Found = Pick<Adjustment, 'row' | 'change'>

function sets(row: DecisionRow, by: number, rir = 0): Found {
  return { row, change: { kind: 'sets', by, rir } }
}

/** The plan's own step held back; nothing to do where it takes none. */
function held(row: DecisionRow, { ramp }: GroupEvidence): Found {
  return { row, change: ramp > 0 ? { kind: 'hold_ramp', by: -ramp } : { kind: 'go_on' } }
}

/** Nothing more yet: what was changed last has not had its time. */
const WAITS: Found = { row: 'A13', change: { kind: 'go_on' } }

/** What is tried out has its time before strength is asked; recovery, joints and ceilings hold all the same. */
const ON_TRIAL: Found = { row: 'A16', change: { kind: 'go_on' } }
/** Eating less, nothing more than holding can be had. */
const HOLDS: Found = { row: 'A17', change: { kind: 'go_on' } }

function falling(of: GroupEvidence): Found {
  if (isYoung(of.changed, DECIDE.againWeeks, 'weeks')) return WAITS
  if (!isNotRecovered(of) && of.readiness >= DECIDE.readiness)
    return { row: 'A5', change: { kind: 'rir', by: 1 } }
  // One tired exposure among fresh ones is a matter of days, not of dose.
  if (!isNotRecovered(of) && of.lowExposures === 1 && of.exposures > 1)
    return { row: 'A4', change: { kind: 'by_hand' } }
  const cut = Math.max(DECIDE.leastCut, roundHalfUp(DECIDE.cutShare * of.direct))
  return sets('A4', -Math.max(0, Math.min(cut, Math.floor(of.counted - of.band.floor))), 1)
}

/** One set fewer, once in two rotations; at the floor more in reserve in its place. */
function tired(of: GroupEvidence): Found {
  if (of.ramp > 0) return held('A6', of)
  if (of.changed?.row === 'A6' && isYoung(of.changed, DECIDE.againRotations, 'rotations'))
    return WAITS
  return of.direct > 1 && of.counted - 1 >= of.band.floor
    ? sets('A6', -1)
    : { row: 'A6', change: { kind: 'rir', by: 1 } }
}

/** What was taken out because it had not recovered comes back, a set at a time and up to the target: beyond it, it was too much. */
function givenBack(of: GroupEvidence): Found | undefined {
  return (of.owed ?? 0) > 0 && isRecovered(of) && of.counted + 1 <= of.band.target
    ? sets('A14', 1)
    : undefined
}

/** A set more on the way to the target, where it is recovered. */
function towardTarget(of: GroupEvidence): Found | undefined {
  const isUnder = of.band.target - of.counted >= DECIDE.underTarget
  return of.mode !== 'maintain' && isUnder && of.ramp === 0 && isRecovered(of)
    ? sets('A15', 1)
    : undefined
}

function overCeilingBy(of: GroupEvidence): Found | undefined {
  const over = overCeiling(of, of.band, of.mode)
  if (over <= DECIDE.floorSlack) return undefined
  return of.changed?.row === 'A10' && isYoung(of.changed, DECIDE.againRotations, 'rotations')
    ? WAITS
    : sets('A10', -Math.ceil(over))
}

function flat(of: GroupEvidence): Found {
  if (of.eatsLess) return HOLDS
  if (isYoung(of.changed, DECIDE.againWeeks, 'weeks')) return towardTarget(of) ?? WAITS
  if (setsUnderCeiling(of, of.mode) >= of.band.ceiling)
    return { row: 'A8', change: { kind: 'by_hand' } }
  if (of.mode === 'maintain') return { row: 'A12', change: { kind: 'go_on' } }
  return sets(
    'A7',
    Math.min(
      of.mode === 'build' && of.counted <= of.band.target ? DECIDE.moreBuild : DECIDE.moreKeep,
      Math.max(1, Math.floor(of.band.ceiling - setsUnderCeiling(of, of.mode))),
    ),
  )
}

/** Fewer sets and more in reserve after so many days without it. Source: docs/methods.md#after-an-absence; example A-18. */
function absent({ daysAway, direct, counted, band }: GroupEvidence): Found | undefined {
  if (daysAway === undefined || daysAway === null || daysAway <= DECIDE.absentDays) return undefined
  const by =
    daysAway > DECIDE.newStartDays
      ? Math.floor(band.floor - counted)
      : roundHalfUp(
          direct * (daysAway > DECIDE.longAbsentDays ? DECIDE.longAbsentShare : DECIDE.absentShare),
        ) - direct
  return sets('G1', Math.max(-direct, Math.min(0, by)), DECIDE.absentRir)
}

/** Growing waits while a joint bears much of its ceiling as it is; what is given back it bore before. */
const GROWING: readonly DecisionRow[] = ['A7', 'A15']
const withRoom = (found: Found, { strain, changed }: GroupEvidence): Found =>
  GROWING.includes(found.row) && (strain?.share ?? 0) > DECIDE.strain && (changed?.change ?? 0) >= 0
    ? { row: 'A18', change: { kind: 'go_on' } }
    : found

/** Rows that leave a muscle's sets alone, or try more of them. */
const LEAVING: readonly DecisionRow[] = ['A7', 'A8', 'A11', 'A12', 'A13', 'A17', 'A18']

/** Sets over the target that tire another muscle, which does not recover, are taken out before that muscle's own are. */
function sparing(found: Found, { wearsOn = [], counted, band, direct }: GroupEvidence): Found {
  const over = Math.min(DECIDE.mostSpared, Math.floor(counted - band.target), direct - 1)
  return LEAVING.includes(found.row) && wearsOn.length > 0 && over >= 1 ? sets('A19', -over) : found
}

/** The first row of the table that fits a muscle. */
const decided = (of: GroupEvidence): Found => sparing(withRoom(firstRow(of), of), of)

function firstRow(of: GroupEvidence): Found {
  if (isSore(of.sore?.level)) return held('A1', of)
  const away = absent(of)
  if (away) return away
  if (of.adherence < DECIDE.adherence) return held('A2', of)
  const isOnTrial = Boolean(of.onTrialUntil)
  if (of.verdict === 'decline' && !isOnTrial) return falling(of)
  // Down to the ceiling is more than the one set that tiredness takes.
  const over = overCeilingBy(of)
  if (over && over !== WAITS) return over
  if (isNotRecovered(of)) return tired(of)
  if (over) return over
  if (isOnTrial) return ON_TRIAL
  const back = givenBack(of)
  if (back) return back
  if (of.verdict === 'plateau') return flat(of)
  if (of.belowFloorFor >= DECIDE.floorWeeks)
    return sets('A9', Math.min(DECIDE.mostUp, Math.ceil(of.band.floor - of.counted)))
  const more = towardTarget(of)
  if (more) return more
  if (of.verdict === 'progress') return { row: 'A11', change: { kind: 'go_on' } }
  const answers = of.recovered + of.notRecovered
  return answers === 0 || of.recovered / answers >= DECIDE.notRecoveredShare
    ? { row: 'A12', change: { kind: 'go_on' } }
    : held('A12', of)
}

type Confidence = Adjustment['confidence']

const bySureness = (sure: number): Confidence =>
  sure >= DECIDE.sure ? 'strong' : sure >= DECIDE.fair ? 'fair' : 'weak'

/** How well a row is supported, by what it rests on: counted facts, answers, or the verdict of the log. */
function confidenceOf({ row }: Found, of: GroupEvidence): Confidence {
  switch (row) {
    case 'A1':
    case 'A2':
    case 'A9':
    case 'A10':
    case 'A13':
    case 'A16':
    case 'A18':
    case 'G1':
      return 'strong'
    case 'A6':
    case 'A14':
    case 'A15': {
      const answers = lastAnswers(of)
      const agreeing = answers.filter(answer => answer === (row !== 'A6')).length
      return answers.length < DECIDE.lastAnswers
        ? 'weak'
        : agreeing === answers.length
          ? 'strong'
          : 'fair'
    }
    case 'A4':
    case 'A5':
      return bySureness(1 - of.probability)
    // Looked for as flat: eight of ten that it lies within the band of no change is what the verdict asks. Of A19 it is another
    // muscle's answers, and that these sets tire it.
    case 'A7':
    case 'A8':
    case 'A17':
    case 'A19':
      return 'fair'
    case 'A11':
      return bySureness(of.probability)
    default:
      return 'weak'
  }
}

const PRIORITY: Readonly<Record<Mode, number>> = { build: 3, keep: 2, maintain: 1 }

function weightOf({ evidence }: Adjustment): number {
  return evidence
    ? PRIORITY[evidence.mode] * Math.max(1, Math.abs(evidence.band.target - evidence.counted))
    : Infinity
}

/** Coming back after a long time is no choice among others. */
const changesSets = ({ change, row }: Adjustment) =>
  (row !== 'G1' && change.kind === 'sets' && change.by !== 0) || change.kind === 'rir'

/** A set more on the way back or to the target is a small step; what takes sets away strains nobody. Both are no change to wait with. */
const isLarge = ({ change }: Adjustment) =>
  change.kind === 'rir' || (change.kind === 'sets' && change.by > 1)
const addedBy = ({ change }: Adjustment) => (change.kind === 'sets' ? Math.max(0, change.by) : 0)

/** No more changes in one week than a client can answer to: the heaviest first, the rest waits. */
function withinOneWeek(all: readonly Adjustment[], total: number): readonly Adjustment[] {
  const chosen = new Set<Adjustment>()
  let [added, large] = [0, 0]
  for (const adjustment of all.filter(changesSets).sort((a, b) => weightOf(b) - weightOf(a))) {
    const more = addedBy(adjustment)
    if (
      (isLarge(adjustment) && large >= DECIDE.mostGroups) ||
      (more > 0 && added + more > Math.max(DECIDE.mostUp, DECIDE.weekShare * total))
    )
      continue
    added += more
    if (isLarge(adjustment)) large += 1
    chosen.add(adjustment)
  }
  return all.map(adjustment =>
    changesSets(adjustment) && !chosen.has(adjustment)
      ? { ...adjustment, isWaiting: true }
      : adjustment,
  )
}

/**
 * What to do about each muscle in the next rotation, by the first row of the table that fits, and whether all of it should be easier.
 *
 * Shape:  a deload first where two signs ask for it, then one entry for each muscle in the order given.
 * Edge:   more than three changes, or a tenth more sets in all, wait.
 * Source: docs/methods.md#adjustments; examples.
 */
export function adjustments(
  evidence: readonly GroupEvidence[],
  signs: readonly DeloadSign[],
): readonly Adjustment[] {
  const each = evidence.map((of): Adjustment => {
    const found = decided(of)
    const by =
      found.change.kind === 'sets' || found.change.kind === 'hold_ramp' ? found.change.by : 0
    return {
      row: found.row,
      change: found.change,
      group: of.group,
      before: of.direct,
      after: Math.max(0, of.direct + by),
      evidence: of,
      signs: [],
      confidence: confidenceOf(found, of),
      isWaiting: false,
    }
  })
  const limited = withinOneWeek(
    each,
    evidence.reduce((sum, { counted }) => sum + counted, 0),
  )
  if (signs.length < DECIDE.deloadSigns) return limited
  return [
    {
      row: 'A3',
      group: null,
      change: { kind: 'deload' },
      before: 0,
      after: 0,
      evidence: null,
      signs,
      confidence: 'fair',
      isWaiting: false,
    },
    ...limited,
  ]
}

/** What remains of it while arm work waits for its base: no set of an arm muscle comes in earlier. Source: docs/methods.md#phases. */
export const asInBase = (proposed: readonly Adjustment[]): readonly Adjustment[] =>
  proposed.filter(
    ({ group, change }) =>
      !(
        ARM_GROUPS.some(arm => arm === group) &&
        (change.kind === 'hold_ramp' || (change.kind === 'sets' && change.by > 0))
      ),
  )
