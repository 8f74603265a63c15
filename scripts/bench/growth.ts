// `npm run bench growth`: how time grows with size. Each row is measured at one, two, four and eight times its size, nothing
// remembered; the exponent is the slope of the logarithms: 1 where twice the size takes twice the time.
import { seededRandom } from '#core/base'
import type { PlanDocument } from '#core/plan/block'
import { rotationLedger } from '#core/count/ledger'
import { blockConcerns, blockVerdict, expandedBlock, usualBlock } from '#core/design/progress'
import { floorDay, floorSessionOf } from '#core/follow/floor'
import { season } from '#core/follow/season'
import { checkInput, findingsOf } from '#core/judge/checks'
import { defaultContext } from '#core/plan/method'
import { review } from '../../server/services/review'
import { roster } from '../../server/services/roster'
import { forgetRoster } from '../../server/services/rosterMemory'
import { roomFor, someDay } from './floor'
import { nineDayPlan, repeated } from './plans'
import { rosterStudio } from './rosterStudio'
import { fiveYears, seasonDay } from './season'

const TIMES = [1, 2, 4, 8] as const
const MOST_EXPONENT = 1.1
/** Runs of each, the first of which only warm up; the median counts. */
const RUNS = { warm: 3, counted: 9 } as const

interface Growing {
  readonly what: string
  /** What one, two, four, eight times are. */
  readonly size: (times: number) => string
  /** Makes what is measured at a size; called before every run, outside the time. */
  readonly prepared: (times: number) => Promise<() => unknown>
}

const context = defaultContext({ trainingAgeMonths: 40 })
/** The same plan as nobody has seen it: no day of it is one that something is remembered of. */
const unseen = (plan: PlanDocument): PlanDocument =>
  JSON.parse(JSON.stringify(plan)) as PlanDocument
const sync =
  <Input>(input: (times: number) => Input, run: (input: Input) => unknown) =>
  (times: number) => {
    const made = input(times)
    return Promise.resolve(() => run(made))
  }
const held = new Map<string, ReturnType<typeof rosterStudio>>()
function studio(count: number, weeks: number): ReturnType<typeof rosterStudio> {
  const key = `${count} ${weeks}`
  const known = held.get(key) ?? rosterStudio({ count, weeks })
  held.set(key, known)
  return known
}

const GROWING: readonly Growing[] = [
  {
    what: 'ledger of a rotation',
    size: times => `${8 * times} sessions`,
    prepared: sync(
      times => unseen(repeated(nineDayPlan(), times)).rotation,
      rotation => rotationLedger(rotation, context),
    ),
  },
  {
    what: 'board of a rotation, with its checks',
    size: times => `${8 * times} sessions`,
    prepared: sync(
      times => unseen(repeated(nineDayPlan(), times)),
      plan => findingsOf(checkInput(plan, context)),
    ),
  },
  {
    what: 'block laid out and judged',
    size: times => `${3 * times} rotations`,
    prepared: sync(
      times => {
        const plan = { ...unseen(nineDayPlan()), passes: 3 * times }
        return { ...plan, block: usualBlock(plan, context) }
      },
      plan => {
        const expanded = expandedBlock(plan, context)
        return [blockVerdict(expanded, context), blockConcerns(expanded, context)]
      },
    ),
  },
  {
    what: 'review, with the database',
    size: times => `${6 * times} weeks of log`,
    prepared: async times => {
      const { coach, today, clients } = await studio(1, 6 * times)
      return () => review(coach, clients[0]!.id, 'latest', today)
    },
  },
  {
    what: 'roster, first time, with the database',
    size: times => `${12 * times} clients`,
    prepared: async times => {
      const { coach, today } = await studio(12 * times, 12)
      forgetRoster()
      return () => roster(coach, today)
    },
  },
  {
    what: 'season, read for the first time',
    size: times => `${5 * times} blocks`,
    prepared: sync(
      times => fiveYears(5 * times),
      blocks => season(blocks, context, seasonDay),
    ),
  },
  {
    what: 'floor of a day, rooms as full',
    size: times => `${8 * times} clients`,
    prepared: sync(
      times => someDay(seededRandom(24), 8 * times, 2).map(one => structuredClone(one)),
      guests => floorDay(guests.map(floorSessionOf), roomFor(guests.length)),
    ),
  },
]

async function medianMs({ prepared }: Growing, times: number): Promise<number> {
  const took: number[] = []
  for (let run = 0; run < RUNS.warm + RUNS.counted; run++) {
    const work = await prepared(times)
    const begun = performance.now()
    await work()
    if (run >= RUNS.warm) took.push(performance.now() - begun)
  }
  return took.sort((a, b) => a - b)[Math.floor(took.length / 2)]!
}

/** Slope of the line through the logarithms of sizes and times. */
export function exponentOf(sizes: readonly number[], times: readonly number[]): number {
  const [x, y] = [sizes.map(Math.log), times.map(Math.log)]
  const mean = (of: readonly number[]) => of.reduce((sum, one) => sum + one, 0) / of.length
  const [mx, my] = [mean(x), mean(y)]
  const over = x.reduce((sum, one, at) => sum + (one - mx) * (y[at]! - my), 0)
  return over / x.reduce((sum, one) => sum + (one - mx) ** 2, 0)
}

/** Prints the table as docs/scale.md has it; fails where something grows faster than it may. */
export async function benchGrowth(): Promise<void> {
  console.log('| what | once | twice | four times | eight times | exponent |')
  console.log('|---|---|---|---|---|---|')
  const over: string[] = []
  for (const growing of GROWING) {
    const took: number[] = []
    for (const times of TIMES) took.push(await medianMs(growing, times))
    const exponent = exponentOf(TIMES, took)
    if (exponent > MOST_EXPONENT) over.push(growing.what)
    const cells = TIMES.map((times, at) => `${growing.size(times)}: ${took[at]!.toFixed(1)} ms`)
    console.log(`| ${[growing.what, ...cells, exponent.toFixed(2)].join(' | ')} |`)
  }
  if (over.length > 0)
    throw new Error(`grows faster than size^${MOST_EXPONENT}: ${over.join(', ')}`)
}
