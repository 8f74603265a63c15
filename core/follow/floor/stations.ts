import { failure, type Result, success } from '../../base'
import type { Equipment } from '../../plan/catalogue'

interface StationRow {
  /** In front of a column of them. */
  readonly name: string
  /** As in “waits for …”. */
  readonly one: string
  /** How it is typed, besides; the first is how it is written back. */
  readonly typed: readonly string[]
  /** What of an exercise's equipment means that it is needed. */
  readonly equipment: readonly Equipment[]
}

/** Stations of a gym: what one client at a time can use, and there are few of. The only list of them. */
export const STATIONS = {
  cable: {
    name: 'Cable tower',
    one: 'the cable tower',
    typed: ['cable tower', 'cable', 'tower'],
    equipment: ['cable'],
  },
  preacher_bench: {
    name: 'Preacher bench',
    one: 'the preacher bench',
    typed: ['preacher bench', 'preacher'],
    equipment: ['preacher_bench'],
  },
  bench: {
    name: 'Bench',
    one: 'a bench',
    typed: ['bench', 'adjustable bench', 'incline bench', 'flat bench'],
    equipment: ['bench', 'incline_bench'],
  },
  decline_bench: {
    name: 'Decline bench',
    one: 'the decline bench',
    typed: ['decline bench'],
    equipment: ['decline_bench'],
  },
  rack: { name: 'Rack', one: 'the rack', typed: ['rack', 'power rack'], equipment: ['rack'] },
  dip_bars: {
    name: 'Dip bars',
    one: 'the dip bars',
    typed: ['dip bars', 'dip bar', 'dips'],
    equipment: ['dip_bars'],
  },
  pull_up_bar: {
    name: 'Pull-up bar',
    one: 'the pull-up bar',
    typed: ['pull-up bar', 'pull up bar', 'chin-up bar'],
    equipment: ['pull_up_bar'],
  },
  guided_bar: {
    name: 'Guided bar',
    one: 'the guided bar',
    typed: ['guided bar', 'rail', 'rail-guided bar'],
    equipment: ['rail_guided_barbell'],
  },
  assisted: {
    name: 'Assisted station',
    one: 'the assisted station',
    typed: ['assisted station', 'assisted'],
    equipment: ['assisted_station'],
  },
} as const satisfies Readonly<Record<string, StationRow>>
export type StationKind = keyof typeof STATIONS
export const STATION_KINDS = Object.keys(STATIONS) as readonly StationKind[]
const rowOf = (kind: StationKind): StationRow => STATIONS[kind]

/** How many there are of each; one that is left out is plenty, 0 is none. */
export type Stations = Readonly<Partial<Record<StationKind, number>>>

/** Kinds of stations that equipment stands for, in the order of the table. */
export const stationsFor = (equipment: readonly Equipment[]): readonly StationKind[] =>
  STATION_KINDS.filter(kind => rowOf(kind).equipment.some(piece => equipment.includes(piece)))

export const MOST_STATIONS = 50
const PART = /^(.*?)\s*(?:[x×]\s*)?(\d+)?$/

function kindOf(name: string): StationKind | undefined {
  const singular = name.replace(/benches$/, 'bench').replace(/(?<=[^s])s$/, '')
  return STATION_KINDS.find(kind =>
    rowOf(kind).typed.some(typed => typed === name || typed === singular),
  )
}

/**
 * A line of stations as it is typed: `cable tower 2, preacher bench 1, rack 2`; without a number there is one.
 *
 * Errors: a sentence that names the part that is not read, and what can be typed.
 */
export function parsedStations(text: string): Result<Stations, string> {
  const found: Partial<Record<StationKind, number>> = {}
  const parts = text
    .split(/[,;\n]/)
    .map(part => part.trim().toLowerCase())
    .filter(part => part !== '')
  for (const part of parts) {
    const [, name = '', digits] = PART.exec(part) ?? []
    const kind = kindOf(name.trim())
    if (!kind)
      return failure(
        `Stations: “${part.slice(0, 40)}” is not known. Type ${STATION_KINDS.map(one => rowOf(one).typed[0]).join(', ')}, each with how many there are.`,
      )
    const count = digits === undefined ? 1 : Number(digits)
    if (count > MOST_STATIONS)
      return failure(
        `Stations: “${part.slice(0, 40)}” is more than ${MOST_STATIONS}; check the digits.`,
      )
    if (found[kind] !== undefined)
      return failure(`Stations: “${part.slice(0, 40)}” is there twice; leave one out.`)
    found[kind] = count
  }
  return success(found)
}

/** The line that reads as these stations. */
export const stationsText = (stations: Stations): string =>
  STATION_KINDS.flatMap(kind =>
    stations[kind] === undefined ? [] : [`${rowOf(kind).typed[0] ?? kind} ${stations[kind]}`],
  ).join(', ')
