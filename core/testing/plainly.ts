/* eslint complexity: off -- long walks, plain on purpose */
import type { PlanDocument } from '../plan/block'
import {
  type Credits,
  type Exercise,
  type Group,
  GROUP_MUSCLES,
  GROUPS,
  type HeadShares,
  type Intent,
  type Joint,
  JOINT_TABLE,
  type Muscle,
} from '../plan/catalogue'
import type { PlanContext } from '../plan/method'
import type { Load, Reps, Rest, SetRun, Stage, Tempo, WorkStage } from '../plan/scheme'
import type { Grouping, Session, Slot } from '../plan/session'

/*
 * Sets, recovery, joints and minutes once more, after docs/methods.md alone and as plainly as possible: no caches, no
 * shortcuts, loops and sums. Only data (the catalogue, hours and capacities, a method's settings) is shared with the
 * program; `plainly.test.ts` compares the two over random plans.
 */

// ── Stages ────────────────────────────────────────────────────────────────

interface Part {
  readonly stage: Exclude<Stage, { kind: 'rest' }>
  readonly at: number
  readonly what: 'lead' | 'join' | 'pause' | 'apart' | 'drop' | 'grip' | 'partial' | 'slow' | 'hold'
  readonly rir: number | undefined
  readonly goesOn: boolean
}

function restIn(rest: Rest): number | undefined {
  if (rest.kind === 'seconds' || rest.kind === 'stretch') return rest.seconds
  if (rest.kind === 'between') return (rest.low + rest.high) / 2
  return rest.kind === 'none' ? 0 : undefined
}

function middleOf(reps: Reps | undefined): number | undefined {
  if (!reps) return undefined
  if (reps.kind === 'exactly') return Math.floor(reps.count)
  if (reps.kind === 'between') return Math.floor((reps.low + reps.high) / 2)
  if (reps.kind === 'first_to_last') return Math.floor((reps.first + reps.last) / 2)
  if (reps.kind === 'up_to') return Math.floor(reps.high)
  if (reps.kind === 'to_failure') {
    if (reps.high === undefined) return reps.low
    return Math.floor(((reps.low ?? reps.high) + reps.high) / 2)
  }
  return undefined
}

function ownReserve({ effort, reps }: WorkStage): number | undefined {
  const fails =
    reps?.kind === 'exactly' && reps.intended !== undefined && reps.count < reps.intended
  if (effort?.kind === 'failure' || fails) return 0
  if (effort?.kind === 'rir') return effort.rir
  return effort === undefined && reps?.kind === 'to_failure' ? 0 : undefined
}

function isLess(load: Load | undefined, before: Load | undefined): boolean {
  if (!load) return false
  if (load.kind.startsWith('drop_')) return true
  if (load.kind === 'than_before') return load.direction === 'lighter'
  if (load.kind === 'bodyweight') return before?.kind === 'weight' && before.basis === 'added'
  return (
    load.kind === 'weight' &&
    before?.kind === 'weight' &&
    before.unit === load.unit &&
    load.amount < before.amount
  )
}

function isEqual(load: Load | undefined, before: Load | undefined): boolean {
  if (!load) return true
  if (load.kind !== 'weight' || before?.kind !== 'weight') return false
  return load.amount === before.amount && load.unit === before.unit
}

function isOther(now: WorkStage, before: WorkStage): boolean {
  if (now.grip && now.grip !== before.grip) return true
  if (now.exercise && now.exercise.id !== before.exercise?.id) return true
  if (now.gripWidth && now.gripWidth !== before.gripWidth) return true
  const had = (before.setUp ?? {}) as Record<string, unknown>
  if (Object.entries(now.setUp ?? {}).some(([key, value]) => had[key] !== value)) return true
  return now.attachment !== undefined && now.attachment !== before.attachment
}

function kindOf(now: WorkStage, before: WorkStage, rir: number | undefined, rested: number) {
  const isEnd = rir !== undefined && rir <= 1
  if (rested > 40) return 'apart'
  const same = isEqual(now.load, before.load)
  if (rested <= 10) {
    if (isEnd && same && now.form && now.form !== 'strict') return 'slow'
    if (isEnd && same && now.range && now.range.kind !== 'may_shorten') return 'partial'
    if (isOther(now, before)) return 'grip'
    if (isLess(now.load, before.load)) return 'drop'
  }
  const isRunning = now.reps?.kind === 'until_total'
  return !isEnd && same && !isRunning && !isOther(now, before) ? 'join' : 'pause'
}

function partsOf(run: SetRun): readonly Part[] {
  const parts: Part[] = []
  let main: WorkStage | undefined
  let rir: number | undefined
  let rested = 0
  run.stages.forEach((stage, at) => {
    const isEnd = rir !== undefined && rir <= 1
    if (stage.kind === 'rest') {
      rested += restIn(stage.rest) ?? 0
    } else if (stage.kind === 'hold') {
      parts.push({ stage, at, what: 'hold', rir: undefined, goesOn: isEnd })
    } else {
      const what = main ? kindOf(stage, main, rir, rested) : 'lead'
      const changed = ['drop', 'grip', 'partial', 'slow'].includes(what)
      const reserve = ownReserve(stage) ?? (changed ? 0 : rir)
      const goesOn =
        what !== 'lead' && what !== 'join' && (isEnd || what === 'drop' || what === 'grip')
      parts.push({ stage, at, what, rir: reserve, goesOn })
      if (what !== 'slow' && what !== 'partial') {
        const kept = main
        main = { ...stage }
        const load = stage.load ?? kept?.load
        const grip = stage.grip ?? kept?.grip
        if (load) main = { ...main, load }
        if (grip) main = { ...main, grip }
      }
      rir = reserve
      rested = 0
    }
  })
  return parts
}

const works = (run: SetRun) => run.stages.flatMap(stage => (stage.kind === 'work' ? stage : []))

/** Reserve at the end of the lead and what is joined to it; lowest reserve of the set. */
function reserves(run: SetRun): { lead: number | undefined; lowest: number | undefined } {
  let lead: number | undefined
  let isOpen = true
  const all: number[] = []
  for (const { stage, what, rir } of partsOf(run)) {
    if (stage.kind !== 'work') continue
    if (what !== 'lead' && what !== 'join') isOpen = false
    if (isOpen) lead = rir
    if (rir !== undefined) all.push(rir)
  }
  return { lead, lowest: all.length > 0 ? Math.min(...all) : undefined }
}

// ── Counting ──────────────────────────────────────────────────────────────

function find(context: PlanContext, id: string): Exercise {
  const exercise = context.catalogue.get(id)
  if (!exercise) throw new Error(`no exercise ${id}`)
  return exercise
}

function purpose(exercise: Exercise, id: string | null): Intent {
  return exercise.intents.find(intent => intent.id === id) ?? exercise.intents[0]
}

function repsIn(stage: WorkStage, exercise: Exercise): number | undefined {
  const reps = middleOf(stage.reps)
  return reps !== undefined && exercise.repUnit === 'seconds' ? reps / 4 : reps
}

function plainWorth(run: SetRun, exercise: Exercise, context: PlanContext): number {
  const { counts } = context.method
  const work = works(run)
  if (run.role === 'warmup' || run.role === 'primer') return 0
  if (run.role === 'ramp' && counts.buildUp === 'nothing') return 0
  if (work.length === 0) return exercise.repUnit === 'seconds' ? 1 : 0
  if (run.protocol === 'restricted_flow') {
    const stages = work.filter(({ reps }) => (middleOf(reps) ?? 12) >= 12).length
    return stages * (counts.restricted === 'by_stage' ? 0.75 : 0.25)
  }
  const running = work.map(({ reps }) => reps).find(reps => reps?.kind === 'until_total')
  if (running?.kind !== 'until_total') return 1
  const first = middleOf(work[0]?.reps)
  return first ? Math.min(3, Math.max(1, Math.floor(running.total / first))) : 1
}

interface Shared {
  readonly credits: Credits
  readonly headShares: HeadShares
}

function sharesOfStage(stage: WorkStage, slot: Slot, context: PlanContext): Shared {
  const exercise = find(context, slot.exercise)
  const own = purpose(exercise, slot.intent)
  const usual = { credits: slot.credits ?? own.credits, headShares: own.headShares }
  if (slot.credits && !stage.exercise) return usual
  const performed = stage.exercise ? find(context, stage.exercise.id) : exercise
  const curls = { supinated: 'dumbbell_curl', neutral: 'hammer_curl', pronated: 'reverse_curl' }
  const like =
    performed.pattern === 'curl' && stage.grip ? curls[stage.grip as keyof typeof curls] : undefined
  if (like && like !== performed.id) return purpose(find(context, like), null)
  return stage.exercise ? purpose(performed, stage.exercise.intent) : usual
}

function sharesOfRun(slot: Slot, run: SetRun, context: PlanContext): Shared {
  const own = purpose(find(context, slot.exercise), slot.intent)
  const usual = { credits: slot.credits ?? own.credits, headShares: own.headShares }
  const stages = works(run)
  if (!stages.some(stage => stage.grip || stage.exercise)) return usual
  const credits: Partial<Record<Group, number>> = {}
  const heads: Record<string, unknown> = {}
  for (const stage of stages) {
    const shared = sharesOfStage(stage, slot, context)
    for (const group of GROUPS) {
      const credit = shared.credits[group] ?? 0
      if (credit <= (credits[group] ?? 0)) continue
      credits[group] = credit
      if (shared.headShares[group]) heads[group] = shared.headShares[group]
    }
  }
  return { credits, headShares: heads as HeadShares }
}

const headOf = (shares: HeadShares, group: Group, muscle: Muscle) =>
  (GROUP_MUSCLES[group] as readonly Muscle[]).length === 1 ? 1 : (shares[group]?.[muscle] ?? 0)

function onLine(x: number, points: readonly (readonly [number, number])[]): number {
  const [first, last] = [points[0]!, points.at(-1)!]
  if (x <= first[0]) return first[1]
  if (x >= last[0]) return last[1]
  for (let at = 1; at < points.length; at++) {
    const [[x0, y0], [x1, y1]] = [points[at - 1]!, points[at]!]
    if (x <= x1) return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0)
  }
  return last[1]
}

const worthOfRir = (rir: number) =>
  onLine(rir, [
    [1, 1],
    [2, 0.95],
    [3, 0.85],
    [4, 0.7],
    [5, 0.5],
    [6, 0.3],
    [7, 0.15],
    [8, 0],
  ])

function worthOfReps(reps: number): number {
  const whole = Math.max(0, Math.floor(reps))
  if (whole < 2) return 0.25
  if (whole === 2) return 0.4
  if (whole === 3) return 0.5
  if (whole === 4) return 0.75
  if (reps > 40) return 0.6
  return reps > 30 ? 0.85 : 1
}

type Length = 'full' | 'long' | 'short' | 'middle'
function lengthOf({ range }: WorkStage, exercise: Exercise): Length {
  if (range?.kind !== 'part') return 'full'
  const goesDown =
    ['pushdown_', 'pulldown_'].some(start => exercise.id.startsWith(start)) ||
    [
      'cross_cable_extension',
      'band_pushdown',
      'straight_arm_pulldown',
      'machine_dip',
      'cable_crunch',
    ].some(start => exercise.id.startsWith(start))
  const [bottom, top] = [range.from <= 1e-9, range.to >= 1 - 1e-9]
  if (bottom && top) return 'full'
  if (bottom) return goesDown ? 'short' : 'long'
  if (top) return goesDown ? 'long' : 'short'
  return 'middle'
}

const worthOfLength = { full: 1, long: 1, short: 0.75, middle: 0.9 } as const

/** Value of each stage of a set in the school that weighs, by its place; adds up to at most 2.5. */
function weighed(
  run: SetRun,
  exercise: Exercise,
  context: PlanContext,
  isCircuit: boolean,
): ReadonlyMap<number, number> {
  const values = new Map<number, number>()
  const { method } = context
  if (run.role === 'warmup') return values
  if (run.role === 'ramp' && method.counts.buildUp === 'nothing') return values
  if (run.role === 'primer') return values.set(0, 0.25)
  const parts = partsOf(run)
  const work = parts.flatMap(part => (part.stage.kind === 'work' ? [part.stage] : []))
  const [first] = parts
  if (!first) return values
  const leadAt = parts.find(({ what }) => what === 'lead')?.at
  if (run.protocol === 'restricted_flow' && leadAt !== undefined) {
    const counted = work.filter(({ reps }) => (middleOf(reps) ?? 12) >= 12).length
    const each = method.counts.restricted === 'by_stage' ? 0.625 : 0.25
    return values.set(leadAt, Math.min(2.5, counted * each))
  }
  if (run.protocol === 'eccentric_only' && leadAt !== undefined) {
    const reps = middleOf(work[0]?.reps) ?? 5
    const lower = work[0]?.tempo?.lower ?? 3
    const seconds = typeof lower === 'number' ? lower : (lower.low + lower.high) / 2
    return values.set(leadAt, reps >= 3 && reps <= 10 && seconds >= 3 ? 1 : 0.75)
  }
  if (leadAt === undefined) {
    if (first.stage.kind !== 'hold') return values
    const { seconds, at } = first.stage
    if (exercise.repUnit === 'seconds')
      return values.set(
        first.at,
        (seconds === undefined ? 1 : worthOfReps(seconds / 4)) *
          worthOfRir(method.effort.defaultRir),
      )
    const least = at === 'lengthened' ? 30 : 20
    if ((seconds ?? least) >= least) values.set(first.at, at === 'lengthened' ? 0.25 : 0.5)
    return values
  }
  let [leadReps, knowsLead] = [0, true]
  let leadRir = method.effort.defaultRir
  const lengths: (readonly [reps: number, length: Length])[] = []
  const known: (number | undefined)[] = []
  let [drops, grips, tails, holds] = [0, 0, 0, 0]
  for (const { stage, at, what, rir } of parts) {
    if (stage.kind === 'hold') {
      const value = Math.min(0.2 - holds, 0.1 * Math.floor((stage.seconds ?? 0) / 15))
      holds += value
      values.set(at, value)
      continue
    }
    const performed = stage.exercise ? find(context, stage.exercise.id) : exercise
    let reps = repsIn(stage, performed)
    if (stage.reps?.kind === 'same_as') {
      const same = known[stage.reps.stage]
      reps = same !== undefined && performed.repUnit === 'seconds' ? same / 4 : same
    }
    known[at] = reps
    const length = lengthOf(stage, performed)
    if (what === 'lead' || what === 'join') {
      if (reps === undefined) knowsLead = false
      leadReps += reps ?? 0
      leadRir = ownReserve(stage) ?? leadRir
      lengths.push([reps ?? 1, length])
    } else if (what === 'slow' || what === 'partial') {
      const value = Math.min(0.3 - tails, (what === 'slow' ? 0.1 : 0.05) * (reps ?? 0))
      tails += value
      values.set(at, value)
    } else if (what === 'drop') {
      const share = [0.5, 0.3, 0.2][drops++] ?? 0
      const factor = worthOfRir(rir ?? 0) * worthOfLength[length]
      values.set(at, (reps ?? 4) < 4 ? 0 : share * factor)
    } else if (what === 'grip') {
      const share = [0.6, 0.4][grips++] ?? 0
      values.set(at, share * worthOfRir(rir ?? 0) * worthOfLength[length])
    } else if (leadReps === 0) values.set(at, 0.8 / 3)
    else {
      let done = reps ?? Math.max(1, Math.round(leadReps / 3))
      if (stage.reps?.kind === 'until_total') done = Math.max(0, stage.reps.total - leadReps)
      values.set(at, (0.8 * done) / leadReps)
    }
  }
  const kinds = lengths.map(([, length]) => length)
  const total = lengths.reduce((sum, [reps]) => sum + reps, 0)
  let range = total === 0 ? worthOfLength[kinds[0] ?? 'full'] : 0
  if (total > 0)
    for (const [reps, length] of lengths) range += (reps * worthOfLength[length]) / total
  if (kinds.includes('long') && kinds.includes('short')) range = 1
  const q = !knowsLead && leadReps === 0 ? 1 : worthOfReps(leadReps)
  values.set(leadAt, q * worthOfRir(leadRir) * range * (isCircuit ? 0.9 : 1))
  const sum = [...values.values()].reduce((all, value) => all + value, 0)
  if (sum > 2.5) for (const [at, value] of values) values.set(at, (value * 2.5) / sum)
  return values
}

/** One way in which some sets add to totals. */
interface Booking {
  readonly amount: number
  readonly kind: 'sets' | 'bonus' | 'primer'
  readonly shared: Shared
}

function bookings(slot: Slot, run: SetRun, grouping: Grouping, context: PlanContext): Booking[] {
  const exercise = find(context, slot.exercise)
  const { school, effort } = context.method
  const isOff = grouping.turn !== undefined && grouping.turn.at !== 1
  const count = (isOff ? 0 : run.count) * (run.side ? 0.5 : 1)
  if (school.value !== 'weighted') {
    const isHard = (reserves(run).lead ?? effort.defaultRir) <= context.method.counts.easiest
    const amount = isHard ? count * plainWorth(run, exercise, context) : 0
    return [{ amount, kind: 'sets', shared: sharesOfRun(slot, run, context) }]
  }
  const own = purpose(exercise, slot.intent)
  let shared: Shared = { credits: slot.credits ?? own.credits, headShares: own.headShares }
  const values = weighed(run, exercise, context, grouping.kind === 'circuit')
  const sum = [...values.values()].reduce((all, value) => all + value, 0)
  const booked: Booking[] = []
  for (const at of [...values.keys()].sort((a, b) => a - b)) {
    const stage = run.stages[at]
    if (stage?.kind === 'work' && (stage.grip || stage.exercise) && run.role !== 'primer')
      shared = sharesOfStage(stage, slot, context)
    const value = values.get(at) ?? 0
    if (run.role === 'primer') booked.push({ amount: count * value, kind: 'primer', shared })
    else if (sum > 0) {
      const share = value / sum
      booked.push({ amount: count * share * Math.min(1, sum), kind: 'sets', shared })
      booked.push({ amount: count * share * Math.max(0, sum - 1), kind: 'bonus', shared })
    }
  }
  return booked
}

function worthOf(credit: number, { school }: PlanContext['method']): number {
  if (credit === 1) return 1
  if (school.credit === 'direct') return 0
  if (school.credit === 'as_is') return credit
  return credit >= school.wholeFrom && credit > 0 ? school.wholeIndirect : 0
}

interface Sums {
  direct: number
  counted: number
}

/** Sets per seven days of every group and head. */
export function plainSets(plan: PlanDocument, context: PlanContext): Record<string, Sums> {
  const sums: Record<string, Sums> = {}
  const add = (name: string, credit: number, sets: number) => {
    const own = (sums[name] ??= { direct: 0, counted: 0 })
    own.counted += sets
    if (credit === 1) own.direct += sets
  }
  const week = 7 / plan.rotation.days.length
  for (const { sessions } of plan.rotation.days)
    for (const session of sessions) {
      const all = working(session).flatMap(({ slot, run, grouping }) =>
        bookings(slot, run, grouping, context),
      )
      for (const group of GROUPS) {
        const counted = (booking: Booking) =>
          booking.amount * worthOf(booking.shared.credits[group] ?? 0, context.method)
        const of = (kind: Booking['kind']) =>
          all.reduce((sum, one) => sum + (one.kind === kind ? counted(one) : 0), 0)
        const cap = {
          sets: 1,
          bonus: of('bonus') > 3 ? 3 / of('bonus') : 1,
          primer: of('primer') > 0.5 ? 0.5 / of('primer') : 1,
        }
        for (const booking of all) {
          const credit = booking.shared.credits[group] ?? 0
          const sets = counted(booking) * cap[booking.kind] * week
          add(group, credit, sets)
          for (const muscle of GROUP_MUSCLES[group] as readonly Muscle[])
            if ((GROUP_MUSCLES[group] as readonly Muscle[]).length > 1)
              add(muscle, credit, sets * headOf(booking.shared.headShares, group, muscle))
        }
      }
    }
  return sums
}

/** Every run that is not warm-up, with where it stands. */
function working({ groupings }: Session) {
  return groupings.flatMap(grouping =>
    grouping.placement === 'warmup'
      ? []
      : grouping.slots.flatMap(slot =>
          slot.scheme.runs
            .filter(({ role }) => role !== 'warmup')
            .map(run => ({ slot, run, grouping })),
        ),
  )
}

// ── What a set costs ──────────────────────────────────────────────────────

function stagesLater(run: SetRun): number {
  const lead = middleOf(works(run)[0]?.reps) ?? 12
  let extra = 0
  for (const { stage, goesOn } of partsOf(run)) {
    if (!goesOn) continue
    if (stage.kind === 'hold') extra += Math.min(0.2, 0.01 * (stage.seconds ?? 0))
    else {
      const reps = middleOf(stage.reps) ?? Math.round(lead / 3)
      extra += Math.min(0.35, 0.04 * reps * (stage.range?.kind === 'part' ? 0.5 : 1))
    }
  }
  return 1 + Math.min(0.6, extra)
}

function sizeOf(run: SetRun, exercise: Exercise): number {
  if (run.role === 'primer') return 0.5
  if (works(run).length > 0 || exercise.repUnit === 'seconds') return 1
  let seconds = 0
  for (const stage of run.stages) if (stage.kind === 'hold') seconds += stage.seconds ?? 30
  return Math.min(1, seconds / 30)
}

function endsAt(run: SetRun, context: PlanContext): number {
  return reserves(run).lowest ?? (run.role === 'ramp' ? 5 : context.method.effort.defaultRir)
}

function fatigueOf(run: SetRun, slot: Slot, context: PlanContext): number {
  const exercise = find(context, slot.exercise)
  const months = context.client.trainingAgeMonths
  const parts = partsOf(run)
  const lengths = new Set(
    parts.flatMap(({ stage, what }) =>
      stage.kind === 'work' && (what === 'lead' || what === 'join')
        ? [lengthOf(stage, exercise)]
        : [],
    ),
  )
  const bias = purpose(exercise, slot.intent).lengthBias
  let long = { lengthened: 1.15, mid: 1, shortened: 0.9 }[bias]
  if (lengths.size === 1 && lengths.has('long')) long = 1.15
  if (lengths.size === 1 && lengths.has('short')) long = 0.9
  const isPast = parts.some(({ what }) => what === 'slow' || what === 'partial')
  const near = onLine(isPast ? -1 : endsAt(run, context), [
    [-1, 1.4],
    [0, 1.25],
    [1, 1.1],
    [2, 1],
    [3, 0.9],
    [4, 0.8],
    [5, 0.7],
  ])
  const load = works(run)[0]?.load
  const isLow =
    run.protocol === 'restricted_flow' || (load?.kind === 'percent_of_e1rm' && load.percent < 40)
  const age = months < 12 ? 1.25 : months <= 36 ? 1 : 0.9
  return sizeOf(run, exercise) * near * long * stagesLater(run) * age * (isLow ? 0.7 : 1)
}

function timesOf(run: SetRun, grouping: Grouping): number {
  const isOff = grouping.turn !== undefined && grouping.turn.at !== 1
  return (isOff ? 0 : run.count) * (run.side ? 0.5 : 1)
}

interface Hours {
  readonly tau: number
  readonly capacity: number
}

/** After so many time constants nothing that could be seen is left. */
const FADED = 25

/** What earlier sessions have left at each session of a rotation that has gone on for ever. */
function leftBefore(
  doses: readonly (readonly [hour: number, dose: number])[],
  days: number,
  tau: number,
) {
  return doses.map(([at]) => {
    let left = 0
    for (const [hour, dose] of doses)
      for (let since = at - hour; since < FADED * tau; since += days * 24)
        if (since > 0) left += dose * Math.exp(-since / tau)
    return left
  })
}

const sessionsOf = ({ rotation }: PlanDocument) =>
  rotation.days.flatMap(({ sessions }, day) =>
    sessions.map((session, place) => ({ session, day, hour: day * 24 + place * 6 })),
  )

/** What each session costs every group. */
export function plainFatigue(plan: PlanDocument, context: PlanContext) {
  return sessionsOf(plan).map(({ session, hour }) => {
    const costs: Partial<Record<Group, number>> = {}
    for (const { slot, run, grouping } of working(session)) {
      const { credits } = sharesOfRun(slot, run, context)
      const cost = timesOf(run, grouping) * fatigueOf(run, slot, context)
      for (const group of GROUPS) costs[group] = (costs[group] ?? 0) + cost * (credits[group] ?? 0)
    }
    return { hour, costs }
  })
}

/** Readiness in per cent of a group at each session that works it. */
export function plainReadiness(
  sessions: ReturnType<typeof plainFatigue>,
  days: number,
  group: Group,
  { tau, capacity }: Hours,
): readonly number[] {
  const doses = sessions.flatMap(({ hour, costs }) =>
    costs[group] ? [[hour, costs[group]] as const] : [],
  )
  return leftBefore(doses, days, tau).map(left => 100 * Math.max(0, 1 - left / capacity))
}

function strainOf(run: SetRun, slot: Slot, joint: Joint, context: PlanContext): number {
  const exercise = find(context, slot.exercise)
  const stress = purpose(exercise, slot.intent).jointStress[joint]
  if (stress === 0) return 0
  const work = works(run)
  let reps: number | undefined
  for (const { stage, what } of partsOf(run)) {
    if (stage.kind !== 'work' || !['lead', 'join', 'grip'].includes(what)) break
    const own = middleOf(stage.reps)
    if (own !== undefined) reps = (reps ?? 0) + own
  }
  if (reps !== undefined && exercise.repUnit === 'seconds') reps /= 4
  let load = 0.85
  if (reps === undefined || reps <= 15) load = 1
  if (reps !== undefined && reps <= 8) load = 1.15
  if (reps !== undefined && reps <= 5) load = 1.3
  if (run.protocol === 'restricted_flow') load = 0.6
  const rir = endsAt(run, context)
  let more = rir <= 0 ? 1.1 : rir <= 1 ? 1.05 : 1
  if (work.some(({ form }) => form === 'momentum')) more *= 1.2
  if (joint === 'elbow_extensor_side' && work.some(({ lockOut }) => lockOut === 'hard')) more *= 1.1
  if (joint === 'wrist' && exercise.kind === 'isolation' && exercise.equipment.includes('barbell'))
    more *= 1.15
  const holdsLong = run.stages.some(
    stage => stage.kind === 'hold' && stage.at === 'lengthened' && (stage.seconds ?? 0) >= 20,
  )
  if (holdsLong) more *= 1.15
  const { torso, elbows, stance, stop } = work[0]?.setUp ?? {}
  if (torso === 'hinged' && joint === 'low_back') more *= 1.15
  if (torso === 'supported' && joint === 'low_back') more *= 0.7
  if (elbows === 'flared' && joint === 'shoulder') more *= 1.1
  if (elbows === 'flared' && joint === 'elbow_extensor_side') more *= 1.05
  if (elbows === 'tucked' && joint === 'shoulder') more *= 0.95
  if (stance === 'braced' && joint === 'low_back') more *= 0.7
  if (stance === 'seated' && joint === 'low_back') more *= 0.85
  if (stop === 'right-angle' && joint === 'shoulder') more *= 0.85
  if (stop === 'floor' && joint === 'shoulder') more *= 0.9
  return stress * sizeOf(run, exercise) * load * more * stagesLater(run)
}

/** What each joint bears in each session, what is still in it before, and its largest seven days in a row. */
export function plainJoint(plan: PlanDocument, context: PlanContext, joint: Joint) {
  const days = plan.rotation.days.length
  const daily = new Array<number>(days).fill(0)
  const loads = sessionsOf(plan).map(({ session, day, hour }) => {
    let load = 0
    for (const { slot, run, grouping } of working(session))
      load += timesOf(run, grouping) * strainOf(run, slot, joint, context)
    daily[day]! += load
    return [hour, load] as const
  })
  let week = 0
  for (let start = 0; start < days; start++) {
    let sum = 0
    for (let ahead = 0; ahead < 7; ahead++) sum += daily[(start + ahead) % days]!
    week = Math.max(week, sum)
  }
  return {
    week,
    loads: loads.map(([, load]) => load),
    stores: leftBefore(loads, days, JOINT_TABLE[joint].tauHours),
  }
}

// ── Minutes ───────────────────────────────────────────────────────────────

const mean = (span: number | { readonly low: number; readonly high: number }) =>
  typeof span === 'number' ? span : (span.low + span.high) / 2

function secondsOfRep(tempo: Tempo | undefined, { method }: PlanContext): number {
  const [lower, long, lift, short] = method.tempo
  const given = tempo ?? {}
  const waits = mean(given.midPause ?? 0)
  if (given.word && given.lower === undefined && given.lift === undefined)
    return (
      { slow: 4, controlled: 3, quick: 1 }[given.word] +
      mean(given.longPause ?? 0) +
      mean(given.shortPause ?? 0) +
      waits
    )
  return (
    mean(given.lower ?? lower) +
    mean(given.longPause ?? long) +
    mean(given.lift ?? lift) +
    mean(given.shortPause ?? short) +
    waits
  )
}

function secondsToLoad({ equipment, loadBasis }: Exercise): number {
  const has = (...pieces: readonly string[]) => equipment.some(piece => pieces.includes(piece))
  if (has('barbell', 'cambered_bar', 'rail_guided_barbell')) return 30
  if (has('dumbbell') || ['stack', 'added', 'counterweight'].includes(loadBasis)) return 8
  return has('machine') ? 25 : 0
}

function secondsBetween(now: WorkStage, before: WorkStage, exercise: Exercise): number {
  if (now.exercise && now.exercise.id !== before.exercise?.id) return 15
  if (!now.load) return 0
  const { load } = now
  const isRelative =
    load.kind === 'drop_open' ||
    load.kind === 'than_before' ||
    ((load.kind === 'drop_percent' || load.kind === 'drop_weight') && load.from === 'previous')
  const isSame = JSON.stringify(load) === JSON.stringify(before.load)
  return isRelative || !isSame ? secondsToLoad(exercise) : 0
}

type Arms = 'one' | 'together' | 'switch' | 'rest_between' | 'alternating_reps' | 'alternating_sets'
function armsOf(run: SetRun, exercise: Exercise, isPaired: boolean): Arms {
  if (run.side) return 'one'
  const usual = exercise.laterality === 'unilateral' ? 'rest_between' : 'together'
  const order = run.sideOrder ?? usual
  return order === 'rest_between' && isPaired ? 'switch' : order
}

function secondsOfSet(
  run: SetRun,
  exercise: Exercise,
  context: PlanContext,
  isPaired: boolean,
): number {
  let [work, rests, changes, done, firstBout] = [0, 0, 0, 0, 0]
  const counts: number[] = []
  let last: WorkStage | undefined
  let bouts = 0
  run.stages.forEach((stage, at) => {
    const before = run.stages[at - 1]
    if (stage.kind === 'hold') work += stage.seconds ?? 0
    else if (stage.kind === 'rest') {
      const next = run.stages.slice(at + 1).find(({ kind }) => kind === 'work')
      const isStation =
        next?.kind === 'work' && next.exercise && next.exercise.id !== last?.exercise?.id
      const change =
        next?.kind === 'work' && last && !isStation ? secondsBetween(next, last, exercise) : 0
      rests += Math.max(restIn(stage.rest) ?? 15, change)
    } else {
      if (last && before?.kind !== 'rest') changes += secondsBetween(stage, last, exercise)
      const performed = stage.exercise ? find(context, stage.exercise.id) : exercise
      const usual = (performed.repRange[0] + performed.repRange[1]) / 2
      const { reps } = stage
      let count = middleOf(reps) ?? usual
      if (reps?.kind === 'between') count = (reps.low + reps.high) / 2
      if (reps?.kind === 'first_to_last') count = (reps.first + reps.last) / 2
      if (reps?.kind === 'to_failure' && reps.low !== undefined && reps.high !== undefined)
        count = (reps.low + reps.high) / 2
      if (reps?.kind === 'same_as') count = counts[reps.stage] ?? usual
      if (reps?.kind === 'until_total') {
        count = Math.max(0, reps.total - done)
        const pause = before?.kind === 'rest' ? (restIn(before.rest) ?? 15) : 0
        const each = Math.max(1, Math.floor(firstBout / 3 + 0.5))
        if (firstBout > 0) rests += Math.max(0, Math.ceil(count / each) - 1) * pause
      }
      const pace =
        performed.repUnit === 'seconds'
          ? 1
          : secondsOfRep(stage.tempo, context) * (stage.range?.kind === 'part' ? 0.6 : 1)
      work += count * pace
      if (bouts === 0) firstBout = count
      bouts++
      done += count
      counts[at] = count
      last = stage.load || !last?.load ? stage : { ...stage, load: last.load }
    }
  })
  const arms = armsOf(run, exercise, isPaired)
  const inAll = works(run).some(({ repsInAll }) => repsInAll)
  const twice =
    arms === 'switch' || arms === 'alternating_sets' || (arms === 'alternating_reps' && !inAll)
  const turning = arms === 'switch' || arms === 'alternating_sets' ? 5 : 0
  return 8 + work * (twice ? 2 : 1) + rests + changes + turning
}

function firstDirect(slot: Slot, context: PlanContext): Group | undefined {
  const { credits } = purpose(find(context, slot.exercise), slot.intent)
  const own = slot.credits ?? credits
  return (Object.keys(own) as Group[]).find(group => own[group] === 1)
}

function secondsOfRest(run: SetRun, slot: Slot, context: PlanContext): number {
  const exercise = find(context, slot.exercise)
  const given = run.restAfter && restIn(run.restAfter)
  if (given !== undefined) return given
  if (armsOf(run, exercise, false) === 'rest_between') return 45
  const main = firstDirect(slot, context)
  if (main && ['forearms', 'calves', 'abs'].includes(main)) return 60
  const { rest } = context.method
  if (exercise.kind === 'isolation') return rest.isolation
  const reps = middleOf(works(run)[0]?.reps) ?? (exercise.repRange[0] + exercise.repRange[1]) / 2
  return reps <= 8 ? rest.compoundHeavy : rest.compound
}

/** Seconds of a session with the number of sets that the plan counts with. */
export function plainSeconds(session: Session, context: PlanContext): number {
  const { method } = context
  const isOff = ({ turn }: Grouping) => turn !== undefined && turn.at !== 1
  const kept = session.groupings.filter(
    grouping => !isOff(grouping) && grouping.slots.some(({ scheme }) => scheme.runs.length > 0),
  )
  let total = 0
  if (session.preparation) for (const { minutes } of session.preparation) total += minutes * 60
  else if (kept.length > 0) total += method.time.generalWarmup
  kept.forEach((grouping, at) => {
    const before = kept[at - 1]
    if (before) {
      const own = before.restAfterGrouping ? (restIn(before.restAfterGrouping) ?? 0) : 0
      const muscles = session.restBetweenMuscles ? (restIn(session.restBetweenMuscles) ?? 0) : 0
      const other =
        firstDirect(before.slots[0], context) !== firstDirect(grouping.slots[0], context)
      total += Math.max(45, own, other ? muscles : 0)
    }
    total += secondsOfGrouping(grouping, context)
  })
  return total
}

function secondsOfGrouping(grouping: Grouping, context: PlanContext): number {
  const { pairing } = context.method
  const parts = grouping.slots
    .map(slot => ({
      slot,
      exercise: find(context, slot.exercise),
      sets: slot.scheme.runs.flatMap(run =>
        run.role === 'warmup' ? [] : new Array<SetRun>(run.count).fill(run),
      ),
      warmups: slot.scheme.runs.flatMap(run =>
        run.role === 'warmup' ? new Array<SetRun>(run.count).fill(run) : [],
      ),
    }))
    .filter(({ sets, warmups }) => sets.length + warmups.length > 0)
  const isPaired = grouping.kind !== 'straight' && grouping.slots.length > 1
  let total = 0
  for (const { exercise, warmups } of parts) {
    total += exercise.setupSeconds
    for (const run of warmups)
      total +=
        secondsOfSet(run, exercise, context, true) +
        ((run.restAfter && restIn(run.restAfter)) ?? 45)
  }
  const straight = ({ slot, exercise, sets }: (typeof parts)[number]) =>
    sets.forEach((run, at) => {
      const arms = armsOf(run, exercise, false) === 'rest_between' ? 2 : 1
      const rests = at === sets.length - 1 ? arms - 1 : arms
      total +=
        arms * secondsOfSet(run, exercise, context, isPaired) +
        rests * secondsOfRest(run, slot, context)
    })
  if (!isPaired || parts.length < 2) {
    total += 45 * Math.max(0, parts.length - 1)
    parts.forEach(straight)
    return total
  }
  const usual = { superset: [15, 75], alternating: [60, 60], circuit: [15, 75], straight: [0, 0] }
  const goesByMethod =
    pairing.mode === grouping.kind || (grouping.kind === 'circuit' && pairing.mode === 'superset')
  const [inside, after] = goesByMethod
    ? [pairing.inside, pairing.after]
    : (usual[grouping.kind] as [number, number])
  const between = grouping.restBetweenPartners && restIn(grouping.restBetweenPartners)
  const round = grouping.restAfterRound && restIn(grouping.restAfterRound)
  const rounds = Math.min(...parts.map(({ sets }) => sets.length))
  const pause = Math.max(between ?? inside, grouping.changeOverSeconds ?? 0)
  total += rounds * (parts.length - 1) * pause + Math.max(0, rounds - 1) * (round ?? after)
  let isFirst = rounds === 0
  for (const { exercise, sets } of parts)
    for (const run of sets.slice(0, rounds)) total += secondsOfSet(run, exercise, context, true)
  for (const { slot, exercise, sets } of parts)
    for (const run of sets.slice(rounds)) {
      if (!isFirst) total += secondsOfRest(run, slot, context)
      isFirst = false
      total += secondsOfSet(run, exercise, context, true)
    }
  return total
}
