import type { Exercise } from '../catalogue'
import type { Method } from '../method'
import type { SetScheme } from '../scheme'

/** Straight sets as an exercise is usually done: its rep range and rest, the method's RIR. */
export function usualScheme(exercise: Exercise, count: number, method: Method): SetScheme {
  const [low, high] = exercise.repRange
  return {
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
}
