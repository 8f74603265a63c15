import { ARM_CUES } from './arms'
import { BODY_CUES } from './body'

const ROWS = [...ARM_CUES, ...BODY_CUES]
const LINES: ReadonlyMap<string, readonly string[]> = new Map(
  ROWS.map(([key, ...lines]) => [key, lines]),
)

/** Every key there are cues for: `id`, or `id:purpose`. */
export const CUE_KEYS: readonly string[] = ROWS.map(([key]) => key)

/**
 * How a built-in exercise is done with a purpose, as lines to show or print: three short cues, then where a repetition
 * begins and ends. Those of its usual purpose where another changes nothing of how it is done; none for an exercise of
 * a coach's own, which has its own words (`how`).
 */
export function cueLines(exercise: string, intent?: string | null): readonly string[] {
  return LINES.get(`${exercise}:${intent ?? ''}`) ?? LINES.get(exercise) ?? []
}
