import { exerciseId, slotId } from '../base'
import { dayValue, type LoggedSet, placeOffsets, setValues } from '../body/log'
import { LASTING, tiredShare } from '../body/recovery'
import type { Observed } from '../body/trend'
import { chance } from '../follow/rehearsal'
import { expectedReps, loadForReps } from '../plan/estimate'

/** A world a simulated client lives in; everything beyond the first lines is off where left out. */
export interface World {
  /** True change of strength a week, as a share. */
  readonly slope: number
  readonly exercises: number
  /** Correlation of one day's shift with the day before. */
  readonly dayMemory?: number
  /** Share of sets that are far off for no reason. */
  readonly outliers?: number
  /** Every so many weeks is easier: half the sets, four left; it is known and left out. */
  readonly easierEvery?: number
  readonly low?: number
  readonly high?: number
  /** Some exercises at 8 to 12, some at 12 to 20. */
  readonly mixedReps?: boolean
  /** Share of answers that are “four or more” whatever is left beyond three. */
  readonly openAnswers?: boolean
  /** Sessions are missed in runs. */
  readonly clusters?: boolean
  /** The heaviest there is to load: from there on only reps grow. */
  readonly mostLoad?: number
  /** Share of tiredness that takes four days to fade. */
  readonly slowTired?: number
}

/** How the simulated client differs from the model, and from one day to the next. */
const SCATTER = {
  dayShared: 0.02,
  dayOwn: 0.022,
  rirBias: -0.7,
  rirBiasOwn: 0.3,
  rirSpread: 0.9,
  rirSpreadNear: 0.4,
  rirShared: 0.37,
  missed: 0.1,
  pace: 0.25,
  lostPerSet: 0.013,
  loss: 0.18,
  tau: 30,
  slowTau: 96,
  dosePerSet: 1.05,
  capacity: 12,
  step: 2.5,
  sets: 3,
} as const
const GAPS = [2, 5, 3, 4, 1, 6, 4, 3] as const
const WANTED_RIR = 1

const bare = (
  set: number,
  loadKg: number,
  reps: number,
  rir: number,
  isOpen: boolean,
): LoggedSet => ({
  slot: slotId('s'),
  exercise: exerciseId('cable_curl'),
  intent: null,
  set,
  stage: 1,
  side: null,
  role: 'working',
  loadKg,
  reps,
  seconds: null,
  rir,
  isRirOpen: isOpen,
})

interface Progress {
  load: number
  strength: number
  low: number
  high: number
}

/** Sessions of one muscle, twice a week, as its log has them. Units: days; the same for the same seed. */
export function simulatedLog(
  world: World,
  sessions: number,
  seed: number,
): readonly {
  readonly day: number
  readonly tired: number
  readonly sets: readonly (readonly LoggedSet[])[]
}[] {
  const by = chance(seed)
  const pace = Math.exp(by.normal(0, SCATTER.pace))
  const bias = SCATTER.rirBias + by.normal(0, SCATTER.rirBiasOwn)
  const held = Array.from({ length: world.exercises }, (_, at): Progress => {
    const isHigh = world.mixedReps && at % 2 === 1
    const [low, high] = isHigh ? [12, 20] : [world.low ?? 8, world.high ?? 12]
    const load = 30 + Math.round(by.uniform() * 12) * SCATTER.step
    return { load, strength: load / loadForReps(1, (low + high) / 2, WANTED_RIR), low, high }
  })
  const rows = []
  let [day, fatigue, slow, assumed, lasting, shift, missing] = [0, 0, 0, 0, 0, 0, 0]
  for (let at = 0; rows.length < sessions; at++) {
    const gap = GAPS[(at + seed) % GAPS.length]!
    day += gap
    fatigue *= Math.exp((-gap * 24) / (SCATTER.tau * pace))
    slow *= Math.exp((-gap * 24) / SCATTER.slowTau)
    assumed *= Math.exp((-gap * 24) / SCATTER.tau)
    lasting *= Math.exp((-gap * 24) / LASTING.tauHours)
    if (world.clusters && missing === 0 && by.uniform() < 0.04) missing = 3
    const isMissed = missing > 0 || by.uniform() < (world.clusters ? 0.02 : SCATTER.missed)
    missing = Math.max(0, missing - 1)
    if (isMissed) continue
    const week = day / 7
    const isEasier =
      world.easierEvery !== undefined &&
      Math.floor(week) % world.easierEvery === world.easierEvery - 1
    const memory = world.dayMemory ?? 0
    shift = memory * shift + Math.sqrt(1 - memory ** 2) * by.normal(0, SCATTER.dayShared)
    const rirDay = by.normal(0, Math.sqrt(SCATTER.rirShared))
    const tiredness = (fatigue + slow) / SCATTER.capacity
    const sets = held.map(progress => doneSets(progress, isEasier))
    if (!isEasier) rows.push({ day, tired: tiredShare(assumed, lasting, SCATTER.capacity), sets })
    const dose = SCATTER.dosePerSet * world.exercises * (isEasier ? 1 : SCATTER.sets)
    fatigue += dose * (1 - (world.slowTired ?? 0))
    slow += dose * (world.slowTired ?? 0)
    assumed += dose
    lasting += dose

    function doneSets(progress: Progress, easier: boolean): readonly LoggedSet[] {
      const today =
        progress.strength *
        Math.exp(world.slope * week + shift + by.normal(0, SCATTER.dayOwn)) *
        (1 - SCATTER.loss * tiredness)
      const own = Array.from({ length: SCATTER.sets }, (_, n) => {
        const wild = world.outliers && by.uniform() < world.outliers ? by.normal(0, 0.12) : 0
        const able = expectedReps(
          today * (1 - SCATTER.lostPerSet * n) * Math.exp(wild),
          progress.load,
        )
        const wanted = easier ? 4 : WANTED_RIR
        const reps = Math.max(1, Math.min(progress.high, Math.floor(able - wanted + 1e-9)))
        const left = Math.max(0, able - reps)
        const spread = left <= 1 ? SCATTER.rirSpreadNear : SCATTER.rirSpread
        const off = spread * (rirDay + by.normal(0, Math.sqrt(1 - SCATTER.rirShared)))
        const said = Math.max(0, Math.min(4, Math.round(left + bias + off)))
        return bare(n + 1, progress.load, reps, said, said >= 4 && world.openAnswers !== false)
      })
      const isTop = own.every(({ reps }) => (reps ?? 0) >= progress.high)
      if (isTop && progress.load < (world.mostLoad ?? Infinity)) progress.load += SCATTER.step
      else if ((own[0]?.reps ?? 0) < progress.low)
        progress.load = Math.max(SCATTER.step, progress.load - SCATTER.step)
      return own
    }
  }
  return rows
}

/** A simulated log as a trend sees it. */
export function observedIn(log: ReturnType<typeof simulatedLog>): readonly Observed[] {
  const exercises = log[0]?.sets.length ?? 0
  const offsets = Array.from({ length: exercises }, (_, e) =>
    placeOffsets(log.map(({ sets }) => setValues(sets[e] ?? []))),
  )
  return log.flatMap(({ day, tired, sets }) =>
    sets.flatMap((own, exercise) => {
      const value = dayValue(setValues(own), offsets[exercise]!)
      return value ? [{ exercise, day, tired, ...value }] : []
    }),
  )
}
