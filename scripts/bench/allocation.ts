import {
  allocationProblem,
  fewestQuestion,
  greedyStart,
  type LinearSolver,
  LOSS,
  type Problem,
  propose,
  type Proposals,
  relaxedQuestion,
  search,
  whyNotMore,
  winnerOf,
} from '#core/design/allocation'
import { draftsFrom } from '#core/design/draft'
import { exerciseId, groupingId, plainDate, seededRandom, sessionId, slotId } from '#core/base'
import { type PlanDocument, starterPlan, usualScheme } from '#core/plan/block'
import { type CatalogueId, type Equipment, requireExercise } from '#core/plan/catalogue'
import {
  type ClientFacts,
  contextWith,
  METHODS,
  type PlanContext,
  STEADY_MIDDLE,
} from '#core/plan/method'
import type { DayRole, RotationDay } from '#core/plan/rotation'
import { PERMITS } from '#core/plan/safety'
import { linearSolver } from '#shared/solver/highs'
import { seededUuids } from '../../server/demo/seededIds'

/** Compounds and arm work that a day of a role may begin with. */
const BY_ROLE: Readonly<Partial<Record<DayRole, readonly CatalogueId[]>>> = {
  push: [
    'bench_press_dumbbell',
    'overhead_press_dumbbell',
    'pushdown_rope',
    'overhead_extension_rope',
  ],
  pull: ['pulldown_neutral', 'machine_row', 'cable_curl', 'hammer_curl'],
  upper: ['incline_press_dumbbell', 'seated_cable_row', 'cable_curl', 'pushdown_bar'],
  arms: ['preacher_curl_bar', 'overhead_extension_rope', 'hammer_curl', 'pushdown_rope'],
  legs: ['leg_press', 'leg_curl_seated'],
}
const ROLES = Object.keys(BY_ROLE) as DayRole[]
const KITS: readonly (readonly Equipment[])[] = [
  [],
  ['dumbbell', 'bench', 'incline_bench', 'bodyweight'],
  ['dumbbell', 'bench', 'cable', 'bodyweight', 'machine'],
]

interface Instance {
  readonly plan: PlanDocument
  readonly context: PlanContext
  readonly name: string
}

const REST: RotationDay = { role: 'rest', sessions: [] }

/** A day of a role drawn by chance, with most of what such a day begins with. */
function trainingDay({
  minutes,
  context,
  random,
  newId,
}: {
  readonly minutes: number
  readonly context: PlanContext
  readonly random: () => number
  readonly newId: () => string
}): RotationDay {
  const role = ROLES[Math.floor(random() * ROLES.length)]!
  const groupings = (BY_ROLE[role] ?? [])
    .filter(() => random() < 0.85)
    .map(id => {
      const exercise = requireExercise(context.catalogue, id)
      const grouping = groupingId(newId())
      const own = { id: slotId(newId()), exercise: exerciseId(id), intent: null }
      const held = random() < 0.08 ? { isHeld: true as const } : {}
      const scheme = usualScheme(exercise, 2 + Math.floor(random() * 2), context.method)
      const slots = [{ ...own, ...held, scheme }] as const
      return { id: grouping, kind: 'straight' as const, placement: 'main' as const, slots }
    })
  return { role, minuteLimit: minutes, sessions: [{ id: sessionId(newId()), groupings }] }
}

/** Rotations of 5 to 10 days with 2 to 6 training days, tight and loose in minutes, wants, equipment and joints. */
export function instances(count: number): readonly Instance[] {
  const random = seededRandom(5)
  const newId = seededUuids(random)
  const pick = <Item>(items: readonly Item[]): Item =>
    items[Math.floor(random() * items.length)] as Item
  return Array.from({ length: count }, (_, at): Instance => {
    const length = 5 + (at % 6)
    const training = Math.min(length - 1, 2 + (at % 5))
    const minutes = pick([30, 40, 50, 60, 80])
    const method = METHODS[at % METHODS.length] ?? STEADY_MIDDLE
    const client: Partial<ClientFacts> & { trainingAgeMonths: number } = {
      trainingAgeMonths: pick([8, 24, 60]),
      equipment: pick(KITS),
      ...(random() < 0.2 && { pain: { elbow_extensor_side: 'hold' as const } }),
      modes: random() < 0.3 ? { forearms: 'build', elbow_flexors_other: 'build' } : {},
    }
    const context = contextWith(method, client)
    const days = Array.from({ length }, (_unused, day): RotationDay => {
      const isTraining =
        day === 0 ||
        Math.floor((day * training) / length) !== Math.floor(((day - 1) * training) / length)
      return isTraining ? trainingDay({ minutes, context, random, newId }) : REST
    })
    return {
      name: `${length} days, ${training} trained, ${minutes} min, ${method.id}`,
      context,
      plan: {
        schema: 1,
        title: 'Bench',
        startsOn: plainDate('2026-04-06'),
        passes: 4,
        rotation: { kind: 'places', anchor: { kind: 'floating' }, days },
      },
    }
  })
}

/** The same rotations held otherwise: from nothing, with pain, with what a client is permitted; three methods. */
export function furtherInstances(count: number): readonly Instance[] {
  const methods = METHODS.slice(0, 3)
  return instances(count).map(({ plan, context: { client } }, at): Instance => {
    const method = methods[at % methods.length]!
    const kind = (['nothing', 'pain', 'permits'] as const)[Math.floor(at / methods.length) % 3]!
    const facts: ClientFacts = {
      ...client,
      ...(kind === 'pain' && {
        pain: { elbow_flexor_side: 'hold', wrist: at % 2 === 0 ? 'swap' : 'hold' },
      }),
      ...(kind === 'permits' && { permits: PERMITS, hasSafeties: true }),
    }
    const days = plan.rotation.days.map(day =>
      kind === 'nothing' && day.role !== 'rest'
        ? { ...day, sessions: day.sessions.map(session => ({ ...session, groupings: [] })) }
        : day,
    )
    return {
      name: `${plan.rotation.days.length} days, ${kind}, ${method.id}`,
      context: contextWith(method, facts),
      plan: { ...plan, rotation: { ...plan.rotation, days } },
    }
  })
}

const share = (values: readonly number[], part: number) =>
  [...values].sort((a, b) => a - b)[
    Math.min(values.length - 1, Math.floor(part * values.length))
  ] ?? 0
const spread = (what: string, values: readonly number[], digits = 0) => ({
  what,
  p50: share(values, 0.5).toFixed(digits),
  p95: share(values, 0.95).toFixed(digits),
  max: Math.max(...values).toFixed(digits),
})

/** Milliseconds that the proof of the fewest changes and the reasons take by themselves. */
function explanationTimes(problem: Problem, all: Proposals, solver: LinearSolver) {
  const started = performance.now()
  const within = Math.min(...all.proposals.map(({ points }) => points)) + LOSS
  if (problem.cells.length > 0) solver(fewestQuestion(problem, within), 20)
  const counted = performance.now()
  const winner = winnerOf(all)
  if (winner && winner.misses.length > 0) whyNotMore(problem, winner, solver)
  return { fewestTime: counted - started, explained: performance.now() - counted }
}

/** How one instance does: times in milliseconds, points of wants missed. */
function measured({ plan, context, name }: Instance, solver: LinearSolver) {
  const started = performance.now()
  const problem = allocationProblem({ plan, context })
  const first = search(problem, { kind: 'best', random: seededRandom(1), moves: 9000 })
  const drawn = performance.now()
  const proof =
    problem.cells.length > 0
      ? solver(relaxedQuestion(problem), 20)
      : { status: 'optimal' as const, bound: 0 }
  const proved = performance.now()
  const all = propose({ plan, context }, { solver })
  const whole = performance.now()
  const plain = propose({ plan, context })
  const ready = performance.now()
  const fewest = all.proposals.find(({ kind }) => kind === 'fewest_changes')
  const local = { kind: 'fewest_changes', random: seededRandom(1), moves: 0 } as const
  const points = Math.min(...all.proposals.map(proposal => proposal.points))
  return {
    name,
    cells: problem.cells.length,
    first: drawn - started,
    proof: proved - drawn,
    whole: whole - proved,
    ready: ready - whole,
    plain: Math.min(...plain.proposals.map(proposal => proposal.points)),
    ...explanationTimes(problem, all, solver),
    isFewest:
      fewest === undefined ||
      (all.fewestBound !== null && fewest.changes.length <= all.fewestBound),
    status: all.solver,
    gap: Math.max(0, points - Math.max(0, proof.bound ?? 0)),
    points,
    greedy: greedyStart(problem).points,
    local: search(problem, local).points,
    firstPoints: first.points,
  }
}

/** Milliseconds that three drafts of an empty week take, over days, minutes, methods and pain. */
function draftTimes(count: number): readonly number[] {
  const random = seededRandom(9)
  return Array.from({ length: count }, (_, at) => {
    const minutes = [35, 45, 60, 75][at % 4]!
    const days = Array.from({ length: 2 + (at % 5) }, (_unused, day) => ({
      weekday: day + 1,
      minutes,
      start: '17:30',
    }))
    const context = contextWith(METHODS[at % METHODS.length]!, {
      trainingAgeMonths: 6 + 12 * (at % 6),
      ...(at % 3 === 0 && { pain: { elbow_flexor_side: 'hold' as const } }),
    })
    const started = performance.now()
    draftsFrom(starterPlan(days, plainDate('2026-04-06')), context, { newId: seededUuids(random) })
    return performance.now() - started
  })
}

/** Times and quality of proposals and drafts over generated rotations; `npm run bench allocation`. */
export async function benchAllocation(count: number): Promise<void> {
  const solver = await linearSolver()
  for (const [title, all] of [
    ['as before', instances(count)],
    ['from nothing, with pain, with permits; three methods', furtherInstances(count)],
  ] as const) {
    console.log(`\n${all.length} rotations, ${title}`)
    tell(all.map(instance => measured(instance, solver)))
  }
  console.table([spread('three drafts from nothing, ms', draftTimes(count))])
}

type Row = ReturnType<typeof measured>

function tell(rows: readonly Row[]): void {
  const times = (what: string, of: (row: Row) => number, digits = 0) =>
    spread(what, rows.map(of), digits)
  console.table([
    times('first plan from scratch, ms', row => row.first),
    times('solver by itself, ms', row => row.proof),
    times('proposals ready, without the proofs, ms', row => row.ready),
    times('proposals with both proofs, ms', row => row.whole),
    times('proof of the fewest changes by itself, ms', row => row.fewestTime),
    times('why not more, ms', row => row.explained),
    times('cells', row => row.cells),
    times('gap to the bound, points', row => row.gap, 1),
  ])
  console.table(
    Object.entries(QUALITIES).map(([what, holds]) => ({
      what,
      share: `${rows.filter(holds).length} of ${rows.length}`,
    })),
  )
  const open = [...rows].sort((a, b) => b.gap - a.gap).slice(0, 5)
  console.table(
    open.map(({ name, cells, gap, points, greedy, status }) => ({
      name,
      cells,
      gap: gap.toFixed(1),
      points: points.toFixed(1),
      greedy: greedy.toFixed(1),
      status,
    })),
  )
}

const isNear = ({ gap, points }: Row) => gap <= Math.max(8, points / 100)

/** What is counted over all rotations. */
const QUALITIES: Readonly<Record<string, (row: Row) => boolean>> = {
  'proven within one point': row => row.status === 'proven',
  'within one set (8 points) or 1 %': isNear,
  'that within 2 s of solver time': row => isNear(row) && row.proof <= 2000,
  'proven within one point in 2 s': row => row.status === 'proven' && row.proof <= 2000,
  'proven within one point in 10 s': row => row.status === 'proven' && row.proof <= 10_000,
  'fewest changes proven in 5 s': row => row.isFewest && row.fewestTime <= 5000,
  'as good without the solver': row => row.plain <= row.points + 1e-6,
  'never worse than greedy': row => row.points <= row.greedy + 1e-6,
  'better than greedy': row => row.points < row.greedy - 0.5,
  'never worse than local search': row => row.points <= row.local + 1e-6,
  'better than local search': row => row.points < row.local - 0.5,
}
