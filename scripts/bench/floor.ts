// `npm run bench floor`: how long a day of the floor takes to simulate and its ways out to find, and how much waiting they end.
import { seededRandom } from '#core/base'
import {
  type FloorGuest,
  type FloorRemedy,
  floorDay,
  type FloorSession,
  floorSessionOf,
  guestsAfter,
  remediesFor,
  type Stations,
  sumOfWaits,
  waitedBy,
} from '#core/follow/floor'
import { LEVELS, PLAIN_WEEKS, plainWeek } from '#core/testing/plainPlans'
import { linearSolver } from '#shared/solver/highs'

/** Fourteen stations, as a studio has them. */
const STATIONS: Stations = {
  cable: 3,
  bench: 4,
  rack: 2,
  preacher_bench: 1,
  dip_bars: 1,
  pull_up_bar: 1,
  guided_bar: 1,
  assisted: 1,
}
/** A smaller room, so that there is waiting. */
const SMALL: Stations = { ...STATIONS, cable: 2, bench: 2, rack: 1 }
/** One of each, so that a few clients wait. */
const SCARCE: Stations = Object.fromEntries(Object.keys(STATIONS).map(kind => [kind, 1]))
const MINUTE = 60
const HOUR = 60 * MINUTE
/** Share of the waiting that is to end, and percent of a day's that may be left though it need not be. */
const WANTED = { ended: 0.7, left: 10 } as const
const LIMITS = { day12: 20, day60: 100, remedies: 300 } as const
const SOLVE_SECONDS = 20

/** Sessions of written weeks by people of every level, within so many hours of the afternoon. */
export function someDay(
  random: () => number,
  clients: number,
  hours: number,
): readonly FloorGuest[] {
  const pick = <Item>(all: readonly Item[]): Item => all[Math.floor(random() * all.length)]!
  return Array.from({ length: clients }, (_, at): FloorGuest => {
    const { plan, context } = plainWeek(pick(PLAIN_WEEKS), pick(LEVELS))
    const places = plan.rotation.days.flatMap(({ sessions }, day) =>
      sessions.map((content, place) => ({ day, place, content })),
    )
    const start = 17 * HOUR + Math.floor((random() * hours * HOUR) / (5 * MINUTE)) * 5 * MINUTE
    return {
      id: `c${at}`,
      plan,
      context,
      isBegun: false,
      canMove: true,
      start,
      usual: start,
      ...pick(places),
    }
  })
}

/** Stations for so many clients at once, as many for each of them as twelve have. */
export const roomFor = (clients: number): Stations =>
  Object.fromEntries(
    Object.entries(STATIONS).map(([kind, count]) => [kind, Math.ceil((count * clients) / 12)]),
  )

const dayOf = (guests: readonly FloorGuest[], stations: Stations) =>
  floorDay(guests.map(floorSessionOf), stations)

const MOST_TAKEN = 60

/** The day after the best way out of the longest wait was taken, again and again. */
function taken(guests: readonly FloorGuest[], stations: Stations, times: number[]) {
  let now = guests
  for (let step = 0; step < MOST_TAKEN; step++) {
    const day = dayOf(now, stations)
    const waiting = now
      .map(({ id }) => id)
      .filter(id => waitedBy(day, id) > 0)
      .sort((a, b) => waitedBy(day, b) - waitedBy(day, a))
    let best: FloorRemedy | undefined
    for (const id of waiting) {
      const begun = performance.now()
      best = remediesFor(id, now, stations)[0]
      times.push(performance.now() - begun)
      if (best) break
    }
    if (!best) return now
    const { change } = best
    now = guestsAfter(now, change)
  }
  return now
}

/**
 * The least waiting there can be with other starts alone, as a linear program: starts in steps of five minutes within half an hour,
 * everybody gives way as is best. Units: minutes.
 */
function modelOf(sessions: readonly FloorSession[]): string {
  const terms: string[] = []
  const rules: string[] = []
  const binary: string[] = []
  const parts = sessions.flatMap(({ id, parts: own }) => own.map((part, at) => ({ id, at, part })))
  const minutes = (seconds: number) => (seconds / MINUTE).toFixed(4)
  for (const { id, start, parts: own } of sessions) {
    const steps = Array.from({ length: 13 }, (_, at) => at - 6)
    const shifts = steps.map((_, at) => `x_${id}_${at}`)
    binary.push(...shifts)
    rules.push(`${shifts.join(' + ')} = 1`)
    const moved = steps
      .map((step, at) => `${step > 0 ? '-' : '+'} ${Math.abs(step) * 5} ${shifts[at]}`)
      .join(' ')
    own.forEach(({ before }, at) => {
      // b: when the part begins; w: how long it is waited for.
      const since = at === 0 ? start + before : own[at - 1]!.seconds + before
      const after = at === 0 ? moved : `- b_${id}_${at - 1}`
      rules.push(`b_${id}_${at} - w_${id}_${at} ${after} = ${minutes(since)}`)
      terms.push(`w_${id}_${at}`)
    })
  }
  const DAY = 24 * 60
  parts.forEach((one, n) => {
    for (const [m, other] of parts.entries()) {
      if (m <= n || one.id === other.id) continue
      if (!one.part.needs.some(kind => other.part.needs.includes(kind))) continue
      const first = `y_${n}_${m}`
      binary.push(first)
      const [a, b] = [`b_${one.id}_${one.at}`, `b_${other.id}_${other.at}`]
      rules.push(`${b} - ${a} - ${DAY} ${first} >= ${minutes(one.part.seconds - DAY * MINUTE)}`)
      rules.push(`${a} - ${b} + ${DAY} ${first} >= ${minutes(other.part.seconds)}`)
    }
  })
  return `Minimize\n obj: ${terms.join(' + ')}\nSubject To\n${rules.map((rule, at) => ` r${at}: ${rule}`).join('\n')}\nBinary\n ${binary.join(' ')}\nEnd\n`
}

const percentile = (of: readonly number[], share: number) =>
  [...of].sort((a, b) => a - b)[Math.floor(share * of.length)] ?? 0

function timed(times: number, run: (at: number) => unknown): readonly number[] {
  return Array.from({ length: times }, (_, at) => {
    const begun = performance.now()
    run(at)
    return performance.now() - begun
  })
}

/** Prints times and quality; fails where a figure is missed. */
export async function benchFloor(): Promise<void> {
  const random = seededRandom(24)
  const small = Array.from({ length: 100 }, () => someDay(random, 12, 1.5))
  const large = Array.from({ length: 40 }, () => someDay(random, 60, 5))
  const fresh = (guests: readonly FloorGuest[]) =>
    guests.map(one => ({ ...one, content: { ...one.content } }))
  // A server has served before: what it has not seen is the days, not the code.
  for (const guests of large.slice(0, 5).map(fresh)) dayOf(guests, STATIONS)
  const [twelve, sixty] = [small, large].map(days => {
    const made = days.map(fresh)
    return timed(made.length, at => dayOf(made[at]!, STATIONS))
  }) as [readonly number[], readonly number[]]
  const looks: number[] = []
  const sums = { before: 0, after: 0 }
  for (const guests of small) {
    sums.before += sumOfWaits(dayOf(guests, SMALL))
    sums.after += sumOfWaits(dayOf(taken(guests, SMALL, looks), SMALL))
  }
  const row = (what: string, of: readonly number[], limit: number) => ({
    what,
    median: percentile(of, 0.5).toFixed(1),
    p95: percentile(of, 0.95).toFixed(1),
    limit,
  })
  const rows = [
    row('a day of 12 clients, 14 stations, ms', twelve, LIMITS.day12),
    row('a day of 60 clients, 14 stations, ms', sixty, LIMITS.day60),
    row('ways out of one wait among 12 clients, ms', looks, LIMITS.remedies),
  ]
  console.table(rows)
  const ended = 1 - sums.after / sums.before
  console.log(
    `100 days of 12 clients in a small room: ${Math.round(sums.before / MINUTE)} min of waiting as planned, ${Math.round(sums.after / MINUTE)} after the ways out: ${(100 * ended).toFixed(1)} % less (70 wanted)`,
  )
  const exact = await againstExact(random)
  console.log(exact.words)
  if (ended < WANTED.ended || rows.some(({ p95, limit }) => Number(p95) > limit))
    throw new Error('a figure is missed')
}

const EXACT_DAYS = 30

/** Days of four to six clients against what the model proves possible. */
async function againstExact(random: () => number) {
  const solve = await linearSolver()
  let [worst, proven, days, over] = [0, 0, 0, 0]
  const sums = { before: 0, after: 0, best: 0 }
  while (days < EXACT_DAYS) {
    const guests = someDay(random, 4 + Math.floor(random() * 3), 0.5)
    const before = sumOfWaits(dayOf(guests, SCARCE)) / MINUTE
    if (before < 5) continue
    days += 1
    const after = sumOfWaits(dayOf(taken(guests, SCARCE, []), SCARCE)) / MINUTE
    const { bound, status } = solve({ text: modelOf(guests.map(floorSessionOf)) }, SOLVE_SECONDS)
    if (status === 'failed' || bound === null) throw new Error('the exact model was not solved')
    if (status === 'optimal') proven += 1
    const best = Math.max(0, bound)
    const left = (100 * (after - best)) / before
    worst = Math.max(worst, left)
    if (left > WANTED.left) over += 1
    sums.before += before
    sums.after += after
    sums.best += best
  }
  return {
    words: `${days} days of 4 to 6 clients: ${sums.before.toFixed(0)} min as planned, ${sums.after.toFixed(0)} after the ways out, ${sums.best.toFixed(0)} by the exact model with other starts alone (${proven} proven); of a day's waiting at worst ${worst.toFixed(1)} % are left that need not be, over ${WANTED.left} % on ${over} days (none wanted)`,
  }
}
