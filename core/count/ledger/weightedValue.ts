import { type Exercise, requireExercise } from '../../plan/catalogue'
import type { PlanContext } from '../../plan/method'
import {
  type ClassedStage,
  classedStages,
  nominalReps,
  repsFor,
  RESTRICTED_STAGE_REPS,
  type SetRun,
  type StageClass,
  statedRir,
  type WorkStage,
} from '../../plan/scheme'
import { rangeLength } from './rangeLength'

/** What one stage adds to a set's weighted value; `at` is its place among the stages. */
export interface StageWorth {
  readonly at: number
  readonly value: number
  readonly isAssumed: boolean
}

type Row = readonly [x: number, y: number]

function onTable(x: number, rows: readonly Row[]): number {
  const [first] = rows
  const above = rows.findIndex(([at]) => at >= x)
  if (above < 0) return rows.at(-1)?.[1] ?? 0
  const [x1, y1] = rows[above] ?? [0, 0]
  const [x0, y0] = rows[above - 1] ?? first ?? [0, 0]
  return x1 === x0 ? y1 : y0 + ((y1 - y0) * Math.max(0, x - x0)) / (x1 - x0)
}

const EFFORT: readonly Row[] = [
  [1, 1],
  [2, 0.95],
  [3, 0.85],
  [4, 0.7],
  [5, 0.5],
  [6, 0.3],
  [7, 0.15],
  [8, 0],
]

/** Worth of a set by RIR, straight lines between the points. Source: docs/methods.md#effort. */
export function effortFactor(rir: number): number {
  return onTable(rir, EFFORT)
}

/** Worth of a set by reps; few reps give little, very many a little less. Source: docs/methods.md#effort. */
export function repFactor(reps: number): number {
  if (reps >= 5) return reps > 40 ? 0.6 : reps > 30 ? 0.85 : 1
  return ([0.25, 0.25, 0.4, 0.5, 0.75] as const)[Math.max(0, Math.floor(reps))] ?? 1
}

/** Settings of the weighing; all of them rules of thumb. Source: docs/methods.md#long-sets. */
const WORTH = {
  primer: 0.25,
  restricted: { by_stage: 0.625, as_one: 0.25 },
  eccentricFew: 0.75,
  circuit: 0.9,
  shortenedRange: 0.75,
  middleRange: 0.9,
  drops: [0.5, 0.3, 0.2],
  grips: [0.6, 0.4],
  leastDropReps: 4,
  pause: 0.8,
  slowRep: 0.1,
  partialRep: 0.05,
  tails: 0.3,
  hold: 0.1,
  holdSeconds: 15,
  holds: 0.2,
  holdAloneLong: 0.25,
  holdAloneOther: 0.5,
} as const
/** No set is worth more than this. */
const MOST = 2.5

interface Lead {
  reps: number
  rir: number
  isRirKnown: boolean
  ranges: { reps: number; range: ReturnType<typeof rangeLength> }[]
}

/** Factor of the part of the range; joined parts that hold both ends are as good as full. */
function romFactor(ranges: Lead['ranges']): number {
  const kinds = new Set(ranges.map(({ range }) => range))
  if (kinds.has('lengthened') && kinds.has('shortened')) return 1
  const factor = {
    full: 1,
    lengthened: 1,
    shortened: WORTH.shortenedRange,
    middle: WORTH.middleRange,
  } as const
  const reps = ranges.reduce((sum, part) => sum + part.reps, 0)
  if (reps === 0) return factor[ranges[0]?.range ?? 'full']
  return ranges.reduce((sum, part) => sum + part.reps * factor[part.range], 0) / reps
}

/**
 * What each stage adds to the weighted value of one set of a run, in the school that weighs sets.
 *
 * Shape:  stages that add something, in order; their values add up to the set's, at most 2.5.
 * Edge:   a primer is told apart by its role: its value is capped per session, not here; warm-up sets give nothing.
 * Source: docs/methods.md#long-sets; column X of the examples in countedWork.test.ts.
 */
export function stageWorths(
  run: SetRun,
  exercise: Exercise,
  context: PlanContext,
  isInCircuit: boolean,
): readonly StageWorth[] {
  if (run.role === 'warmup') return []
  if (run.role === 'ramp' && context.method.counts.buildUp === 'nothing') return []
  if (run.role === 'primer') return [{ at: 0, value: WORTH.primer, isAssumed: false }]
  const classed = classedStages(run)
  const flagged = protocolWorth(run, classed, context)
  if (flagged) return flagged
  const worths = classed.some(({ class: own }) => own === 'lead')
    ? worthsOf(classed, exercise, context, isInCircuit)
    : holdAlone(classed, exercise, context)
  const sum = worths.reduce((total, { value }) => total + value, 0)
  return sum > MOST
    ? worths.map(worth => ({ ...worth, value: (worth.value * MOST) / sum }))
    : worths
}

function protocolWorth(
  run: SetRun,
  classed: readonly ClassedStage[],
  { method }: PlanContext,
): readonly StageWorth[] | undefined {
  const works = classed.filter(
    (entry): entry is ClassedStage & { stage: WorkStage } => entry.stage.kind === 'work',
  )
  const [lead] = works
  if (!lead || !run.protocol) return undefined
  const reps = works.map(({ stage }) => nominalReps(stage.reps))
  const isAssumed = reps.includes(undefined)
  if (run.protocol === 'restricted_flow') {
    const counted = reps.filter(
      (count = RESTRICTED_STAGE_REPS) => count >= RESTRICTED_STAGE_REPS,
    ).length
    const value = Math.min(MOST, WORTH.restricted[method.counts.restricted] * counted)
    return [{ at: lead.at, value, isAssumed }]
  }
  const isUsual = (reps[0] ?? 5) >= 3 && (reps[0] ?? 5) <= 10 && lowerSeconds(lead.stage) >= 3
  return [{ at: lead.at, value: isUsual ? 1 : WORTH.eccentricFew, isAssumed }]
}

function lowerSeconds({ tempo }: WorkStage): number {
  const lower = tempo?.lower
  if (lower === undefined) return 3
  return typeof lower === 'number' ? lower : (lower.low + lower.high) / 2
}

/** A hold of an exercise that is counted in seconds is the set itself; of any other it is worth a part of one. */
function holdAlone(
  classed: readonly ClassedStage[],
  { repUnit }: Exercise,
  { method }: PlanContext,
): readonly StageWorth[] {
  const [first] = classed
  if (first?.stage.kind !== 'hold') return []
  const { at: position, seconds } = first.stage
  if (repUnit === 'seconds')
    return [
      {
        at: first.at,
        value:
          (seconds === undefined ? 1 : repFactor(repsFor(seconds, repUnit))) *
          effortFactor(method.effort.defaultRir),
        isAssumed: true,
      },
    ]
  const isLong = position === 'lengthened'
  const least = isLong ? 30 : 20
  if ((seconds ?? least) < least) return []
  return [
    {
      at: first.at,
      value: isLong ? WORTH.holdAloneLong : WORTH.holdAloneOther,
      isAssumed: seconds === undefined,
    },
  ]
}

function repsOf(
  stage: WorkStage,
  exercise: Exercise,
  earlier: readonly (number | undefined)[],
): number | undefined {
  const reps = stage.reps?.kind === 'same_as' ? earlier[stage.reps.stage] : nominalReps(stage.reps)
  return reps === undefined ? undefined : repsFor(reps, exercise.repUnit)
}

/** How much of each kind of later stage a set has used up; later ones give less, then nothing. */
interface Used {
  drops: number
  grips: number
  tails: number
  holds: number
}

function worthsOf(
  classed: readonly ClassedStage[],
  exercise: Exercise,
  context: PlanContext,
  isInCircuit: boolean,
): readonly StageWorth[] {
  const repsAt: (number | undefined)[] = []
  const worths: StageWorth[] = []
  const lead: Lead = {
    reps: 0,
    rir: context.method.effort.defaultRir,
    isRirKnown: false,
    ranges: [],
  }
  const used: Used = { drops: 0, grips: 0, tails: 0, holds: 0 }
  let leadAt = 0
  let isLeadOpen = false
  for (const { stage, at, class: own, rir } of classed) {
    if (stage.kind === 'hold') {
      worths.push({
        at,
        value: upTo(
          WORTH.holds,
          'holds',
          used,
          WORTH.hold * Math.floor((stage.seconds ?? 0) / WORTH.holdSeconds),
        ),
        isAssumed: stage.seconds === undefined,
      })
      continue
    }
    const performed = stage.exercise
      ? requireExercise(context.catalogue, stage.exercise.id)
      : exercise
    const reps = repsOf(stage, performed, repsAt)
    const part = { reps: reps ?? 1, range: rangeLength(stage.range, performed) }
    repsAt[at] = reps
    if (own === 'lead' || own === 'join') {
      if (own === 'lead') leadAt = at
      isLeadOpen ||= reps === undefined
      addToLead(lead, stage, reps, part)
    } else worths.push({ at, ...laterWorth({ stage, own, rir, reps, part }, lead, used) })
  }
  const q = isLeadOpen && lead.reps === 0 ? 1 : repFactor(lead.reps)
  const value =
    q * effortFactor(lead.rir) * romFactor(lead.ranges) * (isInCircuit ? WORTH.circuit : 1)
  return [{ at: leadAt, value, isAssumed: isLeadOpen || !lead.isRirKnown }, ...worths].sort(
    (a, b) => a.at - b.at,
  )
}

function addToLead(
  lead: Lead,
  stage: WorkStage,
  reps: number | undefined,
  part: Lead['ranges'][number],
): void {
  const rir = statedRir(stage)
  lead.reps += reps ?? 0
  lead.rir = rir ?? lead.rir
  lead.isRirKnown ||= rir !== undefined
  lead.ranges.push(part)
}

/** Takes what is left of a cap. */
function upTo(cap: number, key: 'tails' | 'holds', used: Used, value: number): number {
  const taken = Math.min(cap - used[key], value)
  used[key] += taken
  return taken
}

interface Later {
  readonly stage: WorkStage
  readonly own: StageClass
  readonly rir: number | undefined
  readonly reps: number | undefined
  readonly part: Lead['ranges'][number]
}

function laterWorth(
  { stage, own, rir, reps, part }: Later,
  lead: Lead,
  used: Used,
): Omit<StageWorth, 'at'> {
  const isAssumed = reps === undefined
  const factor = effortFactor(rir ?? 0) * romFactor([part])
  switch (own) {
    case 'tail_slow':
      return { value: upTo(WORTH.tails, 'tails', used, WORTH.slowRep * (reps ?? 0)), isAssumed }
    case 'tail_partial':
      return { value: upTo(WORTH.tails, 'tails', used, WORTH.partialRep * (reps ?? 0)), isAssumed }
    case 'grip':
      return { value: (WORTH.grips[used.grips++] ?? 0) * factor, isAssumed }
    case 'drop': {
      const share = WORTH.drops[used.drops++] ?? 0
      return {
        value: (reps ?? WORTH.leastDropReps) < WORTH.leastDropReps ? 0 : share * factor,
        isAssumed,
      }
    }
    case 'lead':
    case 'join':
    case 'hold':
    case 'pause':
    case 'apart':
      return pauseWorth(stage, reps, lead)
  }
}

/** Reps after a pause against those of the lead; what a running total still lacks is done in pauses. */
function pauseWorth(
  stage: WorkStage,
  reps: number | undefined,
  lead: Lead,
): { readonly value: number; readonly isAssumed: boolean } {
  const done = lead.reps || undefined
  const left =
    stage.reps?.kind === 'until_total'
      ? Math.max(0, stage.reps.total - (done ?? stage.reps.total))
      : reps
  const usual = done === undefined ? undefined : Math.max(1, Math.round(done / 3))
  const counted = left ?? usual
  if (counted === undefined || done === undefined)
    return { value: WORTH.pause / 3, isAssumed: true }
  return { value: (WORTH.pause * counted) / done, isAssumed: left === undefined }
}
