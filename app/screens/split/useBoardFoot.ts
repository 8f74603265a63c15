import { ELBOW_JOINTS } from '#core/plan/catalogue'
import { elbowUse, minutesOn } from '#core/judge/checks'
import { asTaken, formatOneDecimal } from '#core/words'
import type { SplitBoardState } from './useSplitBoard'

/** One day of a foot row: the value against its limit. */
export interface FootCell {
  readonly value: string
  readonly of: string
  /** 0 to 1 and beyond. */ readonly share: number | null
  readonly over: string
  readonly isRest: boolean
  readonly isChanged: boolean
}
export interface FootRow {
  readonly name: string
  readonly icon: 'clock' | 'elbow'
  readonly cells: readonly FootCell[]
  readonly week: string
  readonly note: string
}

const EMPTY = { value: '', of: '', share: null, over: '', isChanged: false }

/** What each day costs: minutes against its limit, elbow load against its cap. */
export function useBoardFoot(board: SplitBoardState) {
  const store = usePlanStore()
  const minutesOf = (input: typeof store.input, day: number) => (input ? minutesOn(input, day) : 0)
  const elbowOf = (input: typeof store.input, day: number) =>
    input ? elbowUse(input, day) : { load: 0, cap: 1 }

  return computed((): readonly FootRow[] => {
    const [input, resting] = [board.shownInput.value, store.input]
    const days = board.days.value
    const scale = 7 / Math.max(1, days.length)
    const minutes = days.map((_, at) => minutesOf(input, at))
    const total = Math.round(minutes.reduce((sum, value) => sum + value, 0) * scale)
    const hours = `${Math.floor(total / 60)} h ${String(total % 60).padStart(2, '0')}`
    const loads = days.map((_, at) => elbowOf(input, at))
    return [
      {
        name: 'Minutes, limit',
        icon: 'clock',
        week: hours,
        note: ['per 7 days', asTaken(store.context?.client.times, store.client?.name ?? '')]
          .filter(Boolean)
          .join(', '),
        cells: days.map((day, at) => {
          const value = minutes[at] ?? 0
          const limit = day.minuteLimit
          if (day.role === 'rest' || day.sessions.length === 0)
            return { ...EMPTY, isRest: day.role === 'rest' }
          return {
            value: String(Math.round(value)),
            of: limit === undefined ? 'min' : `of ${limit}`,
            share: limit === undefined ? null : value / limit,
            over: limit !== undefined && value > limit ? `${Math.ceil(value - limit)} over` : '',
            isRest: false,
            isChanged: Math.round(value) !== Math.round(minutesOf(resting, at)),
          }
        }),
      },
      {
        name: 'Elbow load, cap',
        icon: 'elbow',
        week: input
          ? formatOneDecimal(Math.max(...ELBOW_JOINTS.map(joint => input.joints[joint].weekLoad)))
          : '',
        note: 'in 7 days',
        cells: days.map((day, at) => {
          const { load, cap } = loads[at] ?? { load: 0, cap: 1 }
          if (load === 0) return { ...EMPTY, isRest: day.role === 'rest' }
          return {
            value: formatOneDecimal(load),
            of: `of ${Math.round(cap)}`,
            share: load / cap,
            over: load > cap + 0.05 ? `${formatOneDecimal(load - cap)} over` : '',
            isRest: false,
            isChanged: formatOneDecimal(load) !== formatOneDecimal(elbowOf(resting, at).load),
          }
        }),
      },
    ]
  })
}
