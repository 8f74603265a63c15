import type { FloorDay } from './day'

/** What a session waits in all. Units: seconds. */
export const waitedBy = ({ waits }: Pick<FloorDay, 'waits'>, session: string): number =>
  waits.reduce((sum, wait) => (wait.session === session ? sum + wait.seconds : sum), 0)

/** What all wait together. Units: seconds. */
export const sumOfWaits = ({ waits }: Pick<FloorDay, 'waits'>): number =>
  waits.reduce((sum, { seconds }) => sum + seconds, 0)
