import { HOURS_PER_DAY } from '#core/base'
import type { Arrival } from '#core/body/recovery'

/** One stretch of recovery as it is drawn in the cell of the day it starts from, or, over the turn, of the day it ends on. */
export interface ThreadPart {
  readonly state: Arrival['thread']
  readonly path: string
  /** Short strokes across a taut one, whiskers of a frayed one. */
  readonly marks: string
  /** Middle of the label; null on the second part of one that goes over the turn. */
  readonly labelX: number | null
  readonly arrival: Arrival
}

const SAG = 9
const DROP = 6
const SHOULDER = 8
const PARTED = 26

interface Span {
  readonly from: number
  readonly to: number
  /** What of it lies on the board. */ readonly left: number
  readonly right: number
}

/** The part of a hanging curve between two places; the whole of it is one quadratic. */
function sagging({ from, to, left, right }: Span): string {
  const at = (x: number) => {
    const t = (x - from) / (to - from)
    return { y: 4 * SAG * t * (1 - t), t }
  }
  const [a, b] = [at(left), at(right)]
  const control = { x: (left + right) / 2, y: 2 * SAG * (a.t + b.t - 2 * a.t * b.t) }
  return `M${left} ${a.y}Q${control.x} ${control.y} ${right} ${b.y}`
}

function straight({ from, to, left, right }: Span, gap: readonly [number, number] | null): string {
  const [start, end] = [
    left <= from ? `M${from} 0L${from + SHOULDER} ${DROP}` : `M${left} ${DROP}`,
    right >= to ? `H${to - SHOULDER}L${to} 0` : `H${right}`,
  ]
  if (!gap || gap[0] < left || gap[1] > right) return `${start}${end}`
  return `${start}H${gap[0]}M${gap[1]} ${DROP}${end}`
}

function marksOf(state: Arrival['thread'], middle: number): string {
  if (state === 'taut')
    return [-5, 0, 5].map(step => `M${middle + step - 2} ${DROP + 4}l4 -8`).join('')
  if (state === 'frayed')
    return [-1, 1]
      .map(side =>
        [-4, 0, 4]
          .map(spread => `M${middle + (side * PARTED) / 2} ${DROP}l${-side * 6} ${spread}`)
          .join(''),
      )
      .join('')
  return ''
}

function part(arrival: Arrival, span: Span, hasLabel: boolean): ThreadPart {
  const middle = (span.left + span.right) / 2
  const path =
    arrival.thread === 'whole'
      ? sagging(span)
      : straight(
          span,
          arrival.thread === 'frayed' && hasLabel
            ? [middle - PARTED / 2, middle + PARTED / 2]
            : null,
        )
  return {
    arrival,
    state: arrival.thread,
    path,
    marks: hasLabel ? marksOf(arrival.thread, middle) : '',
    labelX: hasLabel ? middle : null,
  }
}

/**
 * Threads to draw in the cell of one day: those that leave it, and the ends of those that come over the turn.
 *
 * Units: pixels from the left of the cell, 0 at the eyelets' height; a day is `width` wide, so that length is time.
 */
export function threadsOfDay(
  arrivals: readonly Arrival[],
  day: number,
  days: number,
  width: number,
): readonly ThreadPart[] {
  const middle = width / 2
  return arrivals.flatMap((arrival): ThreadPart[] => {
    const length = (arrival.hoursSince / HOURS_PER_DAY) * width
    const edge = (days - day) * width
    const leaves =
      arrival.fromDay === day && length >= width / 2
        ? [
            part(
              arrival,
              {
                from: middle,
                to: middle + length,
                left: middle,
                right: Math.min(middle + length, edge),
              },
              true,
            ),
          ]
        : []
    const isOver = arrival.fromDay * width + middle + length > days * width
    const arrives =
      arrival.day === day && isOver
        ? [
            part(
              arrival,
              { from: middle - length, to: middle, left: -day * width, right: middle },
              false,
            ),
          ]
        : []
    return [...leaves, ...arrives]
  })
}
