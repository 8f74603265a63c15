import type { GroupEvidence } from '../follow/review'

/** A muscle at its target of which nothing stands out, but for what is said of it. */
export const groupEvidence = (more: Partial<GroupEvidence> = {}): GroupEvidence => ({
  group: 'biceps',
  mode: 'build',
  direct: 10,
  counted: 14,
  band: { floor: 8, target: 14, ceiling: 20 },
  verdict: 'unclear',
  probability: 0.5,
  slope: 0,
  sore: null,
  adherence: 1,
  done: 20,
  planned: 20,
  recovered: 2,
  notRecovered: 0,
  readiness: 90,
  exposures: 2,
  lowExposures: 0,
  belowFloorFor: 0,
  ramp: 0,
  ...more,
})
