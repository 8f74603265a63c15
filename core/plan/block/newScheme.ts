import type { Exercise } from '../catalogue'
import type { Method } from '../method'
import type { SetScheme } from '../scheme'
import { inMethod } from './inMethod'

/** Straight sets as an exercise is usually done, in the method's way: its reps, rest and RIR. */
export function usualScheme(exercise: Exercise, count: number, method: Method): SetScheme {
  const [low, high] = exercise.repRange
  const usual: SetScheme = {
    runs: [
      {
        count,
        role: 'working',
        stages: [
          {
            kind: 'work',
            reps: { kind: 'between', low, high },
            effort: { kind: 'rir', rir: method.effort.defaultRir },
          },
        ],
        restAfter: { kind: 'seconds', seconds: exercise.restSeconds },
      },
    ],
  }
  return inMethod(usual, exercise, method)
}
