import { mapNonEmpty } from '../../base'
import { directGroups, type Exercise } from '../catalogue'
import { type Method, STEADY_MIDDLE } from '../method'
import type { Reps, Rest, SetRun, SetScheme, Stage } from '../scheme'

/*
 * The catalogue's rep ranges and rests, and the templates, are meant for the steady middle. Another method has them by as much
 * otherwise as it differs from it, so that an exercise of many reps stays one of many reps.
 */

/** Reps nobody is asked to go below or above by a method. */
const REPS = { least: 3, most: 30 } as const
const REST_STEP = 5
/** Compounds whose reps begin so low rest as heavy ones. */
const HEAVY_FROM = 6

type Class = 'compound' | 'isolation' | 'forearms'
function classOf({ kind, intents: [{ credits }] }: Exercise): Class {
  if (kind !== 'isolation') return 'compound'
  return directGroups(credits)[0] === 'forearms' ? 'forearms' : 'isolation'
}

/** Within what a method may ask; what lies outside already is not brought in. */
const bounded = (reps: number, from: number) =>
  Math.min(Math.max(from, REPS.most), Math.max(Math.min(from, REPS.least), reps))

/** A rep range as a method has it. */
export function repsIn(
  [low, high]: readonly [number, number],
  exercise: Exercise,
  { reps }: Method,
): readonly [low: number, high: number] {
  const [own, usual] = [reps[classOf(exercise)], STEADY_MIDDLE.reps[classOf(exercise)]]
  const first = bounded(low + own[0] - usual[0], low)
  return [first, Math.max(first, bounded(high + own[1] - usual[1], high))]
}

/** Seconds of rest as a method has them, to five. */
export function restIn(seconds: number, exercise: Exercise, { rest }: Method): number {
  const kind =
    exercise.kind === 'isolation'
      ? 'isolation'
      : exercise.repRange[0] <= HEAVY_FROM
        ? 'compoundHeavy'
        : 'compound'
  const scaled = (seconds * rest[kind]) / STEADY_MIDDLE.rest[kind]
  return Math.max(REST_STEP, Math.round(scaled / REST_STEP) * REST_STEP)
}

function repsStyled(reps: Reps, exercise: Exercise, method: Method): Reps {
  if (reps.kind !== 'between') return reps
  const [low, high] = repsIn([reps.low, reps.high], exercise, method)
  return { ...reps, low, high }
}

const restStyled = (rest: Rest, exercise: Exercise, method: Method): Rest =>
  rest.kind === 'seconds' ? { ...rest, seconds: restIn(rest.seconds, exercise, method) } : rest

function stageStyled(stage: Stage, exercise: Exercise, method: Method): Stage {
  if (stage.kind !== 'work') return stage
  const extendsElbow = (exercise.intents[0].credits.triceps ?? 0) > 0
  return {
    ...stage,
    ...(stage.reps && { reps: repsStyled(stage.reps, exercise, method) }),
    ...(method.range.lockout === 'shortOf' && extendsElbow && !stage.lockOut
      ? { lockOut: 'soft' as const }
      : {}),
  }
}

/**
 * A scheme that was meant for the steady middle, as a method has it: reps, rests, and how straight the elbow gets.
 *
 * Edge: warm-ups, exact counts and rests in words stay; under the steady middle nothing changes.
 */
export function inMethod(scheme: SetScheme, exercise: Exercise, method: Method): SetScheme {
  return {
    ...scheme,
    runs: scheme.runs.map((run): SetRun =>
      run.role === 'warmup'
        ? run
        : {
            ...run,
            stages: mapNonEmpty(run.stages, stage => stageStyled(stage, exercise, method)),
            ...(run.restAfter && { restAfter: restStyled(run.restAfter, exercise, method) }),
          },
    ),
  }
}
