import { evidenceOf, type Observed, slopeOf, TREND } from '#core/body/trend'
import {
  paceEvidence,
  type PaceExposure,
  pacesTogether,
  PERFORMANCE_LOSS,
  RECOVERY,
} from '#core/body/recovery'
import { isClear } from '#core/body/recovery-rate'
import { chance, SIMULATED } from '#core/follow/rehearsal'
import { observedIn, simulatedLog, type World } from '#core/testing/simulatedLifter'

/** Clients a cell: one truth in one world, and one recovery rate. */
const CLIENTS = 3000
const RATE_CLIENTS = 1000
/** Twelve weeks, a look after every session. */
const SESSIONS = 24
const SOON = 16
const LATER = 20

/** Worlds a verdict must stay honest in, beside the plain one. */
const WORLDS: Readonly<Record<string, Omit<World, 'slope' | 'exercises'>>> = {
  plain: {},
  'days that hang together (0.5)': { dayMemory: 0.5 },
  outliers: { outliers: 0.05 },
  'easier weeks': { easierEvery: 5 },
  'sets of 12 to 20': { low: 12, high: 20 },
  'reps styles mixed': { mixedReps: true },
  'misses in clusters': { clusters: true },
  'weights that stop': { mostLoad: 45 },
  'slow tiredness': { slowTired: 0.25 },
}

interface Course {
  /** Looks, by the number of sessions behind them. */
  readonly up: number | null
  readonly down: number | null
  readonly flat: readonly number[]
  /** Of the whole: how far the slope lies off the truth, in standard errors. */
  readonly z: number
}

/** What is said of one simulated client over the weeks: the first session after which each verdict speaks. */
function courseOf(all: readonly Observed[], truth: number): Course {
  const days = [...new Set(all.map(({ day }) => day))]
  let [up, down]: [number | null, number | null] = [null, null]
  const flat: number[] = []
  let z = 0
  for (let count = TREND.leastDays; count <= days.length; count++) {
    const last = days[count - 1]!
    if (last - days[0]! < TREND.leastWeeks * 7) continue
    const { slope, error } = slopeOf(all.filter(({ day }) => day <= last))
    const evidence = evidenceOf(slope, error)
    if (evidence.up >= TREND.speaks) up ??= count
    if (evidence.down >= TREND.speaks) down ??= count
    if (evidence.flat >= TREND.surelyFlat) flat.push(count)
    z = (slope - truth) / error
  }
  return { up, down, flat, z }
}

const share = (all: readonly Course[], is: (course: Course) => boolean) =>
  `${((100 * all.filter(is).length) / all.length).toFixed(1)} %`
const within = (count: number | null, most: number) => count !== null && count <= most

/** Clients of one truth in a world, looked at after every session. */
const coursesOf = (world: World, seeds: number): readonly Course[] =>
  Array.from({ length: CLIENTS }, (_, at) =>
    courseOf(observedIn(simulatedLog(world, SESSIONS, seeds + at)), world.slope),
  )

/** How far slopes scatter about the truth, in standard errors. */
function spreadOf(all: readonly Course[]): string {
  const mean = all.reduce((sum, { z }) => sum + z, 0) / all.length
  return Math.sqrt(all.reduce((sum, { z }) => sum + (z - mean) ** 2, 0) / all.length).toFixed(2)
}

function rowOf(world: string, exercises: number) {
  const like = (slope: number): World => ({ ...WORLDS[world], slope, exercises })
  const [flat, rising, falling] = [
    coursesOf(like(0), 1),
    coursesOf(like(0.01), 10_001),
    coursesOf(like(-0.01), 20_001),
  ]
  const moving = [...rising, ...falling]
  const right = (most: number) => {
    const called =
      rising.filter(({ up }) => within(up, most)).length +
      falling.filter(({ down }) => within(down, most)).length
    return `${((100 * called) / moving.length).toFixed(1)} %`
  }
  const wrong = [
    ...rising.filter(({ down }) => down !== null),
    ...falling.filter(({ up }) => up !== null),
  ]
  return {
    world,
    exercises,
    'flat: ever rising': share(flat, ({ up }) => up !== null),
    'flat: ever falling': share(flat, ({ down }) => down !== null),
    'flat: plateau by 20': share(flat, one => one.flat.some(count => count <= LATER)),
    '±1 %: called by 16': right(SOON),
    'by 20': right(LATER),
    'the other way': share(moving, course => wrong.includes(course)),
    'plateau at ±1 %': share(moving, ({ flat: said, up, down }) =>
      said.some(count => count < Math.min(up ?? Infinity, down ?? Infinity)),
    ),
    'spread of z': spreadOf(flat),
  }
}

const verdictRows = () =>
  Object.keys(WORLDS).flatMap(world => [1, 3].map(exercises => rowOf(world, exercises)))

const percent = (count: number, of: number) => `${((100 * count) / of).toFixed(1)} %`

const GAPS = [24, 72, 48, 96, 24, 48, 72, 120] as const
const IMPULSE = 7
const MUSCLES = ['biceps', 'triceps', 'lats'] as const
const DAY_SCATTER = 0.04

/** How the sheet asks whether the muscles have recovered; yes and no stand in older logs. */
const ASKED = ['0 to 10', 'yes or no'] as const
type Asked = (typeof ASKED)[number]
const RATING_SCATTER = 0.2

/** What a client says who comes so far above what she calls recovered; units: her scale. */
function answerOf(above: number, asked: Asked, by: ReturnType<typeof chance>): boolean | number {
  const share = 1 / (1 + Math.exp(-above))
  if (asked === 'yes or no') return by.uniform() < share
  return Math.round(10 * Math.min(1, Math.max(0, share + by.normal(0, RATING_SCATTER))))
}

/** Exposures of a muscle with a known pace, at gaps as a rotation with an arm day after a pull day has them. */
function exposuresOf(
  group: (typeof MUSCLES)[number],
  {
    pace,
    centre,
    count,
    asked,
  }: {
    readonly pace: number
    readonly centre: number
    readonly count: number
    readonly asked: Asked
  },
  by: ReturnType<typeof chance>,
): readonly PaceExposure[] {
  const { tauHours, capacity } = RECOVERY[group]
  let hour = 0
  return Array.from({ length: count }, (_, at): PaceExposure => {
    const hours = GAPS[(at + group.length) % GAPS.length] ?? 48
    const before = GAPS[(at + group.length + GAPS.length - 1) % GAPS.length] ?? 48
    hour += hours
    const doses = [
      { impulse: IMPULSE, hours },
      { impulse: IMPULSE, hours: hours + before },
    ]
    const fatigue = doses.reduce(
      (sum, dose) => sum + dose.impulse * Math.exp(-dose.hours / (tauHours * pace)),
      0,
    )
    const readiness = 100 * (1 - fatigue / capacity)
    return {
      doses,
      week: hour / 168,
      deviation: (-PERFORMANCE_LOSS * fatigue) / capacity + by.normal(0, DAY_SCATTER),
      recovered: answerOf((readiness - centre) / SIMULATED.answerScale, asked, by),
    }
  })
}

const CENTRES = [70, 80, 90] as const

function paceRow(asked: Asked, truth: number, centre: number, count: number) {
  const all = Array.from({ length: RATE_CLIENTS }, (_, seed) => {
    const by = chance(seed + 1)
    // The muscle asked about, and two others that recover as is usual: what counts as recovered is the client's own.
    return pacesTogether(
      new Map(
        MUSCLES.map(group => [
          group,
          paceEvidence(
            exposuresOf(group, { pace: group === 'biceps' ? truth : 1, centre, count, asked }, by),
            group,
          ),
        ]),
      ),
    ).get('biceps')!
  })
  const learned = all.flatMap(own => (own.kind === 'pace' ? [own] : []))
  const errors = learned.map(({ pace }) => Math.abs(pace / truth - 1)).sort((a, b) => a - b)
  const used = learned.filter(isClear)
  return {
    asked,
    'true rate': truth,
    centre,
    sessions: count,
    'middle error': `${(100 * (errors[errors.length >> 1] ?? 0)).toFixed(1)} %`,
    'interval holds the truth': percent(
      learned.filter(({ low, high }) => low <= truth && truth <= high).length,
      learned.length,
    ),
    'used of itself': percent(used.length, all.length),
    'the wrong way': percent(
      used.filter(({ low, high }) => (truth <= 1 && low > 1) || (truth >= 1 && high < 1)).length,
      all.length,
    ),
  }
}

const paceRows = () =>
  ASKED.flatMap(asked =>
    [20, 40].flatMap(count =>
      CENTRES.flatMap(centre => [0.7, 1, 1.5].map(truth => paceRow(asked, truth, centre, count))),
    ),
  )

function markdown(rows: readonly Readonly<Record<string, string | number>>[]): string {
  const columns = Object.keys(rows[0] ?? {})
  return [
    `| ${columns.join(' | ')} |`,
    `|${columns.map(() => '---').join('|')}|`,
    ...rows.map(row => `| ${columns.map(column => row[column]).join(' | ')} |`),
  ].join('\n')
}

/** How often trends and paces are told rightly of simulated clients whose truth is known; as tables for docs/methods.md. */
export function honestyTables(): string {
  return `${markdown(verdictRows())}\n\n${markdown(paceRows())}`
}
