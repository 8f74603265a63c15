import { GROUPS, JOINTS } from '../../plan/catalogue'
import { type Called, NOTHING_CALLED, type Observed } from '../../body/trend'
import type { PainLevel } from '../../plan/method'
import type { ChangedBefore } from '../review'
import { chance, type Chance } from './chance'
import { type Hidden, hiddenClient } from './hidden'

/** By what a pass differs from the plan: sets for good and for once, reps in reserve, an easier pass. By the order of GROUPS. */
export interface PassChange {
  readonly held: Float64Array
  readonly once: Float64Array
  readonly rir: Float64Array
  isDeload: boolean
}

/** Where a simulated client stands. */
export interface State {
  readonly seed: number
  readonly hidden: Hidden
  chance: Chance
  /** ln of strength against the beginning, and what is left of fatigue: really, and as the model reckons it. */
  readonly strength: Float64Array
  readonly fatigue: Float64Array
  readonly assumed: Float64Array
  /** The same as if all of it lasted for days; a trend takes a twentieth of tiredness to be so. */
  readonly lasting: Float64Array
  hour: number
  readonly believed: Map<number, number[]>
  /** Everything done, in the order of its days, and what was said of each muscle by it. */
  readonly observed: Observed[]
  readonly called: Called[]
  readonly jointWeeks: number[][]
  sore: readonly PainLevel[]
  readonly change: PassChange
  readonly belowFloor: Int8Array
  /** Of each muscle: its last answers, the last change of its sets with the pass it began in, and sets owed. */
  readonly lately: boolean[][]
  readonly changed: (
    (Omit<ChangedBefore, 'rotations' | 'weeks'> & { readonly from: number }) | null
  )[]
  readonly owed: Float64Array
  /** Exercises whose load a decision moved, and those another stands in for. */
  readonly loads: Map<number, number>
  readonly swapped: Set<number>
}

export const newState = (seed: number): State => ({
  seed,
  hidden: hiddenClient(chance(seed)),
  chance: chance(seed),
  strength: new Float64Array(GROUPS.length),
  fatigue: new Float64Array(GROUPS.length),
  assumed: new Float64Array(GROUPS.length),
  lasting: new Float64Array(GROUPS.length),
  hour: 0,
  believed: new Map(),
  observed: [],
  called: GROUPS.map(() => NOTHING_CALLED),
  jointWeeks: JOINTS.map(() => []),
  sore: JOINTS.map(() => 'none' as const),
  change: {
    held: new Float64Array(GROUPS.length),
    once: new Float64Array(GROUPS.length),
    rir: new Float64Array(GROUPS.length),
    isDeload: false,
  },
  belowFloor: new Int8Array(GROUPS.length),
  lately: GROUPS.map(() => []),
  changed: GROUPS.map(() => null),
  owed: new Float64Array(GROUPS.length),
  loads: new Map(),
  swapped: new Set(),
})

/** What came of a pass, by the orders of GROUPS and JOINTS. */
export interface Tally {
  readonly counted: Float64Array
  readonly readiness: Float64Array
  readonly lowest: Float64Array
  readonly exposures: Int16Array
  readonly low: Int16Array
  /** Exposures at which it was truly under 80 % ready; and what unready ones left of growth, summed. */
  readonly unready: Int16Array
  readonly ready: Float64Array
  readonly joints: Float64Array
  readonly recovered: Int16Array
  readonly notRecovered: Int16Array
  /** Reps in reserve said less those planned, by exercise. */
  readonly errors: Map<number, number[]>
  done: number
  missed: number
}

export const newTally = (): Tally => ({
  counted: new Float64Array(GROUPS.length),
  readiness: new Float64Array(GROUPS.length),
  lowest: new Float64Array(GROUPS.length).fill(100),
  exposures: new Int16Array(GROUPS.length),
  low: new Int16Array(GROUPS.length),
  unready: new Int16Array(GROUPS.length),
  ready: new Float64Array(GROUPS.length),
  joints: new Float64Array(JOINTS.length),
  recovered: new Int16Array(GROUPS.length),
  notRecovered: new Int16Array(GROUPS.length),
  errors: new Map(),
  done: 0,
  missed: 0,
})
