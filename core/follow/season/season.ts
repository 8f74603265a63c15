import { DAYS_PER_WEEK, daysBetween, type PlainDate, remembered } from '../../base'
import { ARM_GROUPS, type Group, JOINTS } from '../../plan/catalogue'
import {
  type BlockState,
  blockState,
  type Draft,
  type PlanDocument,
  planEnd,
  weeksUntil,
} from '../../plan/block'
import { type Mode, modeOf, type Phase, type PlanContext } from '../../plan/method'
import { sessionSlots } from '../../plan/session'
import {
  type BlockVerdict,
  blockVerdict,
  expandedBlock,
  fittedLine,
  ownContext,
  sessionsCarried,
} from '../../design/progress'
import { type Seam, SEAM_LIMITS } from './atSeam'

/** A block of a client's line. */
export interface SeasonLine {
  readonly id: string
  readonly plan: PlanDocument
}

/** Sets of the arm muscles in one rotation. Units: counted sets per 7 days. */
export interface SeasonPass {
  readonly from: PlainDate
  readonly to: PlainDate
  readonly isDeload: boolean
  readonly sets: Readonly<Partial<Record<Group, number>>>
}

export interface SeasonBlock {
  readonly id: string
  readonly title: string
  readonly from: PlainDate
  readonly to: PlainDate
  readonly state: BlockState
  /** Only its emphasis, days and volumes are decided; null where it is a plan. */
  readonly draft: Draft | null
  /** What this stretch of training is for; null where nothing was said. */
  readonly phase: Phase | null
  /** Weeks of base before arm work comes in; 0 without. */
  readonly baseWeeks: number
  /** Whole weeks until it begins; 0 and less once it has. */
  readonly weeksToGo: number
  /** What comes first in it, muscle by muscle. */
  readonly modes: Readonly<Partial<Record<Group, Mode>>>
  readonly passes: readonly SeasonPass[]
  readonly events: readonly {
    readonly what: string
    readonly from: PlainDate
    readonly to: PlainDate
  }[]
}

export interface Season {
  readonly blocks: readonly SeasonBlock[]
  readonly seams: readonly Seam[]
}

/** A seam looks back on rotations that ended within so many days before it. */
const LOOKS_BACK_DAYS = 28

const expandedOf = remembered((plan: PlanDocument, context: PlanContext) =>
  expandedBlock(plan, ownContext(plan, context)),
)
/** Verdicts of a block by what lies before it. */
const verdictsOf = remembered(
  (_plan: PlanDocument, _context: PlanContext) => new WeakMap<object, BlockVerdict>(),
)
const NOTHING_BEFORE = {}

/** A block judged with what the one before leaves in the body, as its own page has it. */
function verdictOf(
  plan: PlanDocument,
  before: PlanDocument | undefined,
  context: PlanContext,
): BlockVerdict {
  const known = verdictsOf(plan, context)
  const found = known.get(before ?? NOTHING_BEFORE)
  if (found) return found
  const own = ownContext(plan, context)
  const carried = before ? sessionsCarried(before, plan, context) : []
  const verdict = blockVerdict(
    expandedOf(plan, context),
    carried.length > 0 ? { ...own, client: { ...own.client, carried } } : own,
  )
  known.set(before ?? NOTHING_BEFORE, verdict)
  return verdict
}

/** The first rotation alone, come to rested. */
const restedStart = remembered((plan: PlanDocument, context: PlanContext) => {
  const expanded = expandedOf(plan, context)
  return blockVerdict(
    { ...expanded, passes: expanded.passes.slice(0, 1) },
    ownContext(plan, context),
  )
})

const exercisesOf = ({ rotation }: PlanDocument): ReadonlySet<string> =>
  new Set(
    rotation.days.flatMap(({ sessions }) =>
      sessions.flatMap(session => sessionSlots(session).map(({ exercise }) => exercise as string)),
    ),
  )
const setsOf = ({ ledger }: BlockVerdict['passes'][number]) =>
  Object.fromEntries(
    ARM_GROUPS.map(group => [group, ledger.groups[group].week.counted.value] as const),
  )

function seasonBlock(
  { id, plan }: SeasonLine,
  before: PlanDocument | undefined,
  context: PlanContext,
  today: PlainDate,
): SeasonBlock {
  const own = ownContext(plan, context)
  return {
    id,
    title: plan.title,
    from: plan.startsOn,
    to: planEnd(plan),
    state: blockState(plan, today),
    draft: plan.draft ?? null,
    phase: plan.phase ?? null,
    baseWeeks: plan.block?.base?.weeks ?? 0,
    weeksToGo: weeksUntil(plan, today),
    modes: Object.fromEntries(ARM_GROUPS.map(group => [group, modeOf(own, group)])),
    passes: verdictOf(plan, before, context).passes.map(held => ({
      from: held.pass.from,
      to: held.pass.to,
      isDeload: held.pass.isDeload,
      sets: setsOf(held),
    })),
    events: (plan.block?.events ?? []).map(({ what, from, to }) => ({ what, from, to })),
  }
}

/** The least ready muscle of a block's first rotation, with what is carried into it and without. */
function leastReady(carried: BlockVerdict, alone: BlockVerdict): Seam['carried'] {
  const first = (verdict: BlockVerdict, group: Group) =>
    verdict.arrivals[group].find(({ pass }) => pass === 0)?.readiness
  const found = ARM_GROUPS.flatMap(group => {
    const [readiness, fresh] = [first(carried, group), first(alone, group)]
    return readiness !== undefined && fresh !== undefined ? [{ group, readiness, fresh }] : []
  })
  return found.reduce<Seam['carried']>(
    (least, one) => (least && least.readiness <= one.readiness ? least : one),
    null,
  )
}

type Judged = BlockVerdict['passes'][number]

function jumpsOf(last: Judged | undefined, first: Judged | undefined): Seam['jumps'] {
  if (!last || !first) return []
  const weekly = ({ ledger }: Judged, group: Group) => ledger.groups[group].week.counted.value
  return ARM_GROUPS.map(group => ({
    group,
    before: weekly(last, group),
    after: weekly(first, group),
  }))
}

const jointsOf = (lately: readonly Judged[], first: Judged | undefined): Seam['joints'] =>
  JOINTS.map(joint => ({
    joint,
    before: Math.max(0, ...lately.map(({ joints }) => joints[joint].week)),
    after: first?.joints[joint].week ?? 0,
  }))

const weeksOf = (plan: PlanDocument): number =>
  (daysBetween(plan.startsOn, planEnd(plan)) + 1) / DAYS_PER_WEEK

/** Exercises of a block that the next has no more, and that were not there long enough by its end. */
function leavingEarly(
  before: PlanDocument,
  next: ReadonlySet<string>,
  earlier: PlanDocument | undefined,
): Seam['early'] {
  const since = earlier ? exercisesOf(earlier) : new Set<string>()
  const [own, earlierWeeks] = [weeksOf(before), earlier ? weeksOf(earlier) : 0]
  return [...exercisesOf(before)].flatMap(exercise => {
    const weeks = Math.round(own + (since.has(exercise) ? earlierWeeks : 0))
    return next.has(exercise) || weeks >= SEAM_LIMITS.weeks ? [] : [{ exercise, weeks }]
  })
}

/** Where a block follows another; `earlier` is the plan that lay before both. */
export function seam(
  before: SeasonLine,
  after: SeasonLine,
  context: PlanContext,
  earlier?: PlanDocument,
): Seam {
  const was = verdictOf(before.plan, earlier, context)
  const is = verdictOf(after.plan, before.plan, context)
  const working = was.passes.filter(({ pass }) => !pass.isDeload)
  const last = working.at(-1)
  const first = is.passes.find(({ pass }) => !pass.isDeload)
  const lately = working.filter(
    ({ pass }) => daysBetween(pass.to, after.plan.startsOn) <= LOOKS_BACK_DAYS,
  )
  const known = exercisesOf(before.plan)
  const next = exercisesOf(after.plan)
  return {
    before: before.id,
    after: after.id,
    gapDays: daysBetween(planEnd(before.plan), after.plan.startsOn) - 1,
    jumps: jumpsOf(last, first),
    joints: jointsOf(lately.length > 0 ? lately : last ? [last] : [], first),
    carried: leastReady(is, restedStart(after.plan, context)),
    kept: [...next].filter(exercise => known.has(exercise)),
    fresh: [...next].filter(exercise => !known.has(exercise)),
    early: leavingEarly(before.plan, next, earlier),
  }
}

/**
 * A client's blocks in the order of their days, and what each asks where it follows another.
 *
 * Shape:  one seam between every two that follow one another.
 * Edge:   no blocks give an empty season; each block is read with its own emphasis, a draft as it fits behind the block before.
 * Source: docs/methods.md#season.
 */
export function season(
  line: readonly SeasonLine[],
  context: PlanContext,
  today: PlainDate,
): Season {
  const inOrder = fittedLine(line, context)
  return {
    blocks: inOrder.map((held, at) => seasonBlock(held, inOrder[at - 1]?.plan, context, today)),
    seams: inOrder
      .slice(1)
      .map((after, at) => seam(inOrder[at]!, after, context, inOrder[at - 1]?.plan)),
  }
}
