// How long the hot paths take on this machine; run through `npm run bench`, which gives the database that DATABASE_URL names.
// A word given as argument chooses the rows that contain it.
import { seededRandom } from '#core/base'
import { applyEdit, type PlanDocument } from '#core/plan/block'
import { checkInput, findingsOf } from '#core/judge/checks'
import { blockLedger, rotationLedger } from '#core/count/ledger'
import { defaultContext } from '#core/plan/method'
import { blockConcerns, blockVerdict, expandedBlock, usualBlock } from '#core/design/progress'
import { groupWeeks, shortSession } from '#core/design/short'
import { formatSession, parseSession } from '#core/plan/shorthand'
import { Bench } from 'tinybench'
import { roster } from '../server/services/roster'
import { forgetRoster } from '../server/services/rosterMemory'
import { benchAllocation } from './bench/allocation'
import { loadBench } from './bench/loads'
import { decisionTables } from './bench/decisions'
import { honestyTables } from './bench/honesty'
import { nineDayPlan, repeated } from './bench/plans'
import { rosterStudio } from './bench/rosterStudio'
import { proposedTurns } from '#core/design/turns'
import { benchFloor } from './bench/floor'
import { benchGrowth } from './bench/growth'
import { benchScale } from './bench/scale'
import { seasonBench } from './bench/season'
import { studioTable } from './bench/studio'
import { verdictTimes } from './bench/verdicts'
import { seededUuids } from '../server/demo/seededIds'

const context = defaultContext({ trainingAgeMonths: 40 })
const newId = seededUuids(seededRandom(1))
const bench = new Bench({ time: 1000, warmupTime: 1500, retainSamples: true })
const wanted = process.argv[2] ?? ''

function add(name: string, run: () => unknown, before?: () => unknown): void {
  if (name.includes(wanted)) bench.add(name, run, before && { beforeEach: before as () => void })
}

/** A plan that is another one each time, as after an edit: one slot gains a set and loses it again. */
function edited(plan: PlanDocument): () => PlanDocument {
  const slot = plan.rotation.days[0]?.sessions[0]?.groupings[0]?.slots[0]
  if (!slot) throw new Error('the bench plan has no exercise')
  let current = plan
  let isMore = false
  return () => {
    isMore = !isMore
    const result = applyEdit(
      current,
      { kind: isMore ? 'add_sets' : 'cut_sets', slot: slot.id, count: 1 },
      newId,
    )
    if (!result.ok) throw new Error(result.error.kind)
    return (current = result.value)
  }
}

/** Everything the board shows: ledger, recovery, joints, minutes, checks. */
function board(plan: PlanDocument): unknown {
  return findingsOf(checkInput(plan, context))
}

for (const times of [1, 2, 4, 8]) {
  const { rotation } = repeated(nineDayPlan(), times)
  add(`ledger of 9 days × ${times} (${8 * times} sessions of 8 exercises)`, () =>
    rotationLedger(rotation, context),
  )
}
add('turns proposed, 9 days, 8 rotations', () =>
  proposedTurns({ ...nineDayPlan(), passes: 8 }, context),
)
add('season of 40 blocks, first time', seasonBench.firstTime)
add('season of 40 blocks, one of them changed', seasonBench.again)
const { forecast, phone } = loadBench()
add('loads: forecast of a 16-week block', forecast)
add('loads: one session with two years of log', phone)
for (const times of [1, 2, 4, 8]) {
  const next = edited(repeated(nineDayPlan(), times))
  add(`board after an edit, 9 days × ${times}`, () => board(next()))
}
{
  // Ten rotations of nine days are just over twelve weeks; every dated session counted by itself, as exceptions and ramps make them differ.
  const block = edited({ ...repeated(nineDayPlan(), 10), passes: 1 })
  add('board of a block of 90 days, 80 sessions of 8 exercises', () => {
    const plan = block()
    return [board(plan), blockLedger(plan, context)]
  })
}
{
  const session = nineDayPlan().rotation.days[0]?.sessions[0]
  const text = session ? formatSession(session) : ''
  add('shorthand of a session of 8 exercises, read', () => parseSession(text, newId))
}

{
  // Forty groupings are the most a session holds; five minutes take every step there is.
  const longest = parseSession(
    Array.from(
      { length: 40 },
      (_, at) =>
        `${['cable_curl', 'pushdown_rope', 'hammer_curl', 'overhead_extension_rope'][at % 4]} warm-up 2 x 10, then 6 x 10, rir 2`,
    ).join('\n'),
    newId,
  )
  const ledger = rotationLedger(nineDayPlan().rotation, context)
  if (longest.ok)
    add('a session of 40 exercises and 240 sets shortened to 5 minutes', () =>
      shortSession({
        session: {
          ...longest.value,
          groupings: longest.value.groupings.map(grouping => ({ ...grouping })),
        },
        minutes: 5,
        context,
        weeks: groupWeeks(ledger),
        lengthDays: 9,
      }),
    )
}

{
  // Sixteen weeks, eight sessions in nine days; every run changes the ramps, so that nothing is known from before.
  const plan: PlanDocument = { ...nineDayPlan(), passes: 12 }
  const usual = usualBlock(plan, context)
  let end = 0
  add('block of 16 weeks, 8 sessions in 9 days, laid out and judged after a change of ramp', () => {
    end = (end + 1) % 8
    const changed: PlanDocument = {
      ...plan,
      block: { ...usual, ramps: { ...usual.ramps, triceps: { kind: 'linear', end: 10 + end } } },
    }
    const expanded = expandedBlock(changed, context)
    return [blockVerdict(expanded, context), blockConcerns(expanded, context)]
  })
}

if ('roster of 200 clients'.includes(wanted)) {
  const { coach, today } = await rosterStudio({ count: 200, weeks: 12 })
  add('roster of 200 clients with 12 weeks of logs', () => roster(coach, today))
  add('roster of 200 clients, first time after a start', () => roster(coach, today), forgetRoster)
}

if (wanted === 'decisions') {
  decisionTables()
  process.exit(0)
}

// Of a process that has reckoned nothing yet.
if (wanted === 'verdicts') {
  console.log(verdictTimes())
  process.exit(0)
}

// Not about time: how often the program is right. Its tables stand in docs/methods.md.
if (wanted === 'honesty') {
  console.log(honestyTables())
  process.exit(0)
}

// The floor's clock and its ways out, timed and told by quality.
if (wanted === 'floor') {
  await benchFloor()
  process.exit(0)
}

// How time grows with size; its table stands in docs/scale.md.
if (wanted === 'growth') {
  await benchGrowth()
  process.exit(0)
}

// What the records weigh, drawn to the size of a country; its tables stand in docs/scale.md.
if (wanted === 'scale') {
  await benchScale(process.env.DATABASE_URL ?? '')
  process.exit(0)
}

// A studio's whole work, with the database, done once.
if (wanted === 'studio') {
  console.table(await studioTable())
  process.exit(0)
}

// Whole proposals take seconds, not milliseconds, and are told by quality too: they have a table of their own.
if (wanted === 'allocation') {
  await benchAllocation(60)
  process.exit(0)
}

await bench.run()
console.table(
  bench.tasks.map(({ name, result }) => {
    if (!('latency' in result)) return { what: name, 'median ms': 'failed' }
    return {
      what: name,
      'median ms': result.latency.p50.toFixed(3),
      'p95 ms': percentile(result.latency.samples, 0.95),
      'p99 ms': result.latency.p99.toFixed(3),
      runs: result.latency.samplesCount,
    }
  }),
)
process.exit(0)

function percentile(samples: readonly number[] | undefined, share: number): string {
  const sorted = [...(samples ?? [])].sort((a, b) => a - b)
  return sorted[Math.floor(share * sorted.length)]?.toFixed(3) ?? ''
}
