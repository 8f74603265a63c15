/** One exercise, or one of its purposes: `id` or `id:purpose`, three cues and where a repetition ends. */
export type CueRow = readonly [
  key: string,
  first: string,
  second: string,
  third: string,
  end: string,
]
export type CueRows = readonly CueRow[]
