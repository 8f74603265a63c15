/** The nearest whole number, halves up for all signs: the one way this program rounds. */
export function roundHalfUp(value: number): number {
  return Math.floor(value + 0.5)
}
