import type { Band } from './band'

/**
 * A band with one own number keeps the usual ones beside it, pushed out of the way where they would cross it.
 *
 * Shape: floor ≤ target ≤ ceiling whenever the numbers given are in that order themselves.
 * Units: those of the band.
 */
export function ownBand({ floor, target, ceiling }: Partial<Band>, usual: Band): Band {
  const least = floor ?? Math.min(usual.floor, target ?? ceiling ?? usual.floor)
  const wish = target ?? Math.min(Math.max(usual.target, least), ceiling ?? Infinity)
  return { floor: least, target: wish, ceiling: ceiling ?? Math.max(usual.ceiling, wish) }
}
