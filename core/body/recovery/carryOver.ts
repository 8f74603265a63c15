/** Within a session nothing has decayed yet: what earlier sets take from later ones. Source: docs/methods.md#recovery. */
const PER_CREDITED_SET = 0.015
const MOST = 0.15
const GRIP_COST = 0.08

/** What is left of the load of a direct set after so many credited sets of its muscle in the session, 0 to 1. */
export function loadLeftAfter(creditedSets: number): number {
  return 1 - Math.min(MOST, PER_CREDITED_SET * creditedSets)
}

/** What is left of the reps of a grip-limited set after direct grip work or long holds, 0 to 1. */
export function repsLeftAfterGrip(hadGripWork: boolean): number {
  return hadGripWork ? 1 - GRIP_COST : 1
}
