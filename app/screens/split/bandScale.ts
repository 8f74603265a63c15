import type { Band } from '#core/plan/method'

/** Places of floor, target and ceiling in the channel, the same on every line, as shares of its width. */
export const BAND_MARKS = { floor: 0.24, target: 0.5, ceiling: 0.76 } as const
/** The right end stands for this many ceilings; anything beyond is drawn there. */
const END_AT_CEILINGS = 1.4

/** Where a weekly number stands in the channel, 0 to 1: straight between floor, target, ceiling and the end. */
export function bandShare(value: number, { floor, target, ceiling }: Band): number {
  const stops: readonly (readonly [number, number])[] = [
    [0, 0],
    [floor, BAND_MARKS.floor],
    [target, BAND_MARKS.target],
    [ceiling, BAND_MARKS.ceiling],
    [END_AT_CEILINGS * ceiling, 1],
  ]
  for (let at = 1; at < stops.length; at++) {
    const [from, to] = [stops[at - 1], stops[at]]
    if (!from || !to || value > to[0]) continue
    return to[0] === from[0]
      ? to[1]
      : from[1] + ((value - from[0]) / (to[0] - from[0])) * (to[1] - from[1])
  }
  return 1
}
