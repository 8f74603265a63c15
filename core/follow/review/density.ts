import type { PlainDate } from '../../base'
import type { LoggedSet } from '../../body/log'

/** Work per minute of a session. Units: working sets and kilograms times reps, a minute. */
export interface Density {
  readonly on: PlainDate
  readonly name: string
  readonly sets: number
  readonly kg: number
}

/**
 * How dense finished sessions were: less rest is a way to add work that volume does not show.
 *
 * Edge: sessions whose minutes nobody said, and those without a working set, are left out.
 */
export function densities(
  sessions: readonly {
    readonly on: PlainDate
    readonly name: string
    readonly minutes: number | null
    readonly sets: readonly LoggedSet[]
  }[],
): readonly Density[] {
  return sessions.flatMap(({ on, name, minutes, sets }): Density[] => {
    const working = sets.filter(({ role }) => role === 'working')
    const count = new Set(working.map(({ slot, exercise, set }) => `${slot} ${exercise} ${set}`))
      .size
    if (!minutes || count === 0) return []
    const moved = working.reduce((sum, { loadKg, reps }) => sum + (loadKg ?? 0) * (reps ?? 0), 0)
    return [{ on, name, sets: count / minutes, kg: moved / minutes }]
  })
}
