import type { Band } from '#core/plan/method'

const FOOT = 42
const HEIGHT = 40

/** Heights of a stack and its channel from the foot up; `scale` is the number of sets that fills the height. Units: px. */
export function stackLayout({
  direct,
  indirect,
  band,
  scale,
}: {
  readonly direct: number
  readonly indirect: number
  readonly band: Band
  readonly scale: number
}) {
  const height = (sets: number) => Math.max(0, Math.min(1, sets / Math.max(scale, 1e-9))) * HEIGHT
  const own = height(direct)
  return {
    foot: FOOT,
    direct: own,
    indirect: Math.min(HEIGHT - own, height(indirect)),
    floor: FOOT - height(band.floor),
    target: FOOT - height(band.target),
    ceiling: FOOT - height(band.ceiling),
  }
}
