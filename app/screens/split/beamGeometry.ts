/** The beam as drawn: an oar whose pin sits off centre, so that level always means "as wished". */
export interface BeamGeometry {
  /** Pixels from the pin to each end. */
  readonly flexorArm: number
  readonly extensorArm: number
  /** Degrees; above 0 the flexor side (left) goes down. */
  readonly tilt: number
}

const SPAN = 206
const DEGREES_PER_E = 40
const STEEPEST = 12

/** Arm lengths in inverse proportion to the wish, tilt by how far the flexors exceed it (a share; null hangs level). */
export function beamGeometry(wish: number, flexorExcess: number | null): BeamGeometry {
  const extensorArm = SPAN / (1 + wish)
  const tilt = flexorExcess === null ? 0 : DEGREES_PER_E * Math.log(1 + flexorExcess)
  return {
    extensorArm,
    flexorArm: SPAN - extensorArm,
    tilt: Math.min(STEEPEST, Math.max(-STEEPEST, tilt)),
  }
}
