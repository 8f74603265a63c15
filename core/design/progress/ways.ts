import { mapNonEmpty, type PlainDate, daysBetween, DAYS_PER_WEEK } from '../../base'
import type { Way } from '../../plan/block'
import type { Exercise } from '../../plan/catalogue'
import { restSeconds, type SetScheme, type Span } from '../../plan/scheme'

/** Seconds of lowering where nothing was said. */
const USUAL_LOWERING = 2

/** A way with the steps that are behind. */
export interface TakenWay {
  readonly way: Way
  readonly steps: number
}

/** Steps of a way that are behind on a day, from 0. */
export const waySteps = ({ everyWeeks }: Way, startsOn: PlainDate, on: PlainDate): number =>
  Math.max(0, Math.floor(daysBetween(startsOn, on) / (everyWeeks * DAYS_PER_WEEK)))

/** Where a value has got to: never beyond `to`, and never back from where it began. */
export function reached({ kind, by, to }: Way, base: number, steps: number): number {
  return kind === 'rest'
    ? Math.min(base, Math.max(to, base - by * steps))
    : Math.max(base, Math.min(to, base + by * steps))
}

const middleOf = (span: Span) => (typeof span === 'number' ? span : (span.low + span.high) / 2)

/** Seconds of rest after a set, as planned or as usual for the exercise. */
export const restOf = (scheme: SetScheme, exercise: Exercise): number => {
  const run = scheme.runs.find(({ role }) => role !== 'warmup')
  return (run?.restAfter && restSeconds(run.restAfter)) ?? exercise.restSeconds
}

/** Seconds of lowering of the first working set, as planned or as usual. */
export function loweringOf(scheme: SetScheme): number {
  const stage = scheme.runs
    .find(({ role }) => role !== 'warmup')
    ?.stages.find(({ kind }) => kind === 'work')
  return stage?.kind === 'work' && stage.tempo?.lower ? middleOf(stage.tempo.lower) : USUAL_LOWERING
}

/** A scheme so many steps along its way; a set more is counted elsewhere, with all other sets. */
export function withWay(scheme: SetScheme, way: Way, steps: number, exercise: Exercise): SetScheme {
  if (steps === 0 || way.kind === 'sets') return scheme
  if (way.kind === 'rest') {
    const seconds = reached(way, restOf(scheme, exercise), steps)
    return {
      ...scheme,
      runs: scheme.runs.map(run =>
        run.role === 'warmup' ? run : { ...run, restAfter: { kind: 'seconds', seconds } },
      ),
    }
  }
  const seconds = reached(way, loweringOf(scheme), steps)
  return {
    ...scheme,
    runs: scheme.runs.map(run =>
      run.role === 'warmup'
        ? run
        : {
            ...run,
            stages: mapNonEmpty(run.stages, stage =>
              stage.kind === 'work'
                ? { ...stage, tempo: { ...stage.tempo, lower: seconds } }
                : stage,
            ),
          },
    ),
  }
}
