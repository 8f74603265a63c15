import { groupedBy, type SlotId } from '../../base'
import { ASSUMED_RIR, type Exposure, type LoggedSet } from '../../body/log'
import type { DoneSet } from '../progress'
import { onScale, type Scale } from './scale'

/** One set as it was done at its first load; of two arms the weaker one. */
export interface DoneAt extends DoneSet {
  readonly load: number
}

/** Sets of the exposure that belong together: those of the slots asked for, else of the slot that came first. */
function ownSets({ sets }: Exposure, slots: ReadonlySet<SlotId>): readonly LoggedSet[] {
  const counted = sets.filter(
    ({ role, stage, loadKg, reps }) =>
      role !== 'warmup' && stage === 1 && loadKg !== null && reps !== null,
  )
  const own = counted.filter(({ slot }) => slot !== null && slots.has(slot))
  const from = own.length > 0 ? own : counted
  const [first] = from
  return from.filter(({ slot }) => slot === first?.slot)
}

/** Reps and reserve that can be built on: what was cut short, swung or helped shows one rep fewer and nothing left. */
const ownReps = ({ reps, lapses }: LoggedSet) => Math.max(0, (reps ?? 0) - (lapses?.length ? 1 : 0))
const ownRir = ({ rir, lapses }: LoggedSet) => (lapses?.length ? 0 : (rir ?? ASSUMED_RIR))

function weaker(sides: readonly LoggedSet[], scale: Scale): DoneAt {
  return {
    load: Math.min(...sides.map(({ loadKg }) => onScale(loadKg ?? 0, scale))),
    reps: Math.min(...sides.map(ownReps)),
    rir: Math.min(...sides.map(ownRir)),
  }
}

const slotNames = new WeakMap<ReadonlySet<SlotId>, string>()
function askedBy(slots: ReadonlySet<SlotId>, { unit, sign }: Scale): string {
  const names = slotNames.get(slots) ?? slotNames.set(slots, [...slots].join(' ')).get(slots)!
  return unit + sign + names
}

type DoneSets = ReadonlyMap<number, DoneAt>
const known = new WeakMap<Exposure, Map<string, DoneSets>>()

/** What was done, by the set's number from 0. */
export function doneBySet(exposure: Exposure, slots: ReadonlySet<SlotId>, scale: Scale): DoneSets {
  // A forecast asks the same of an exposure again and again.
  const asked = askedBy(slots, scale)
  const answers = known.get(exposure) ?? known.set(exposure, new Map()).get(exposure)!
  const answer = answers.get(asked)
  if (answer) return answer
  const done: DoneSets = new Map(
    [...groupedBy(ownSets(exposure, slots), ({ set }) => set)].map(([set, sides]) => [
      set - 1,
      weaker(sides, scale),
    ]),
  )
  answers.set(asked, done)
  return done
}

/** Whether any set of an exposure was logged under one of the slots. */
export const isUnder = ({ sets }: Exposure, slots: ReadonlySet<SlotId>): boolean =>
  sets.some(({ slot }) => slot !== null && slots.has(slot))
