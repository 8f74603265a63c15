const NAMES = 148
const SUMMARY = { figure: 72, band: 104, frequency: 44 } as const
const DAY = { least: 64, most: 160 } as const

/** Widths of the board's columns in pixels: names, days, and the summary on the right. */
export interface BoardColumns {
  readonly day: number
  readonly template: string
  readonly total: number
}

/** Shares the room among the days of a rotation; below 64 px a day the board scrolls sideways instead. */
export function boardColumns(room: number, days: number): BoardColumns {
  const summary = SUMMARY.figure + SUMMARY.band + SUMMARY.frequency
  const day = Math.min(DAY.most, Math.max(DAY.least, Math.floor((room - NAMES - summary) / days)))
  return {
    day,
    total: NAMES + days * day + summary,
    template: `${NAMES}px repeat(${days}, ${day}px) ${SUMMARY.figure}px ${SUMMARY.band}px ${SUMMARY.frequency}px`,
  }
}
