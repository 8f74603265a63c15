import { databaseClient } from '../db/database'
import { logger, redacted } from '../seen/logger'

/*
 * News of the floor goes from server to server through the database: whoever took something from a phone says whose studio it was,
 * every server hears it and wakes the floors that are open at it. What is told is only that there is something to look at.
 */
const CHANNEL = 'tholepin_floor'
/** What happens within so long is told once. Units: ms. */
const GATHER_MS = 250

type Wake = () => void
const open = new Map<string, Set<Wake>>()
let heardOn: ReturnType<typeof databaseClient> | undefined
let told = new Set<string>()
let due: NodeJS.Timeout | undefined

/** Floors that are open at this server. */
export const openFloors = (): number => [...open.values()].reduce((sum, { size }) => sum + size, 0)

/**
 * Hears what all servers tell; called again it sees to it that it still does, as after the connections were made anew. Whenever hearing
 * begins everybody is woken, since something may have been missed.
 */
export function hearFloors(): void {
  const client = databaseClient()
  if (heardOn === client) return
  heardOn = client
  client
    .listen(CHANNEL, hear, () => open.forEach(wake))
    .catch((error: unknown) => {
      if (heardOn === client) heardOn = undefined
      logger.warn({ reason: redacted(error) }, 'the floor does not hear of other servers')
    })
}
const wake = (floors: ReadonlySet<Wake>) => floors.forEach(one => one())
function hear(coachId: string): void {
  const floors = open.get(coachId)
  if (floors) wake(floors)
}

/** Wakes a floor whenever there is news of a coach's studio, until what is given back is called. */
export function onFloorNews(coachId: string, woken: Wake): () => void {
  hearFloors()
  const floors = open.get(coachId) ?? new Set()
  open.set(coachId, floors.add(woken))
  return () => {
    floors.delete(woken)
    if (floors.size === 0) open.delete(coachId)
  }
}

/** Tells every server that there is news; a failure costs a floor a few seconds, not the set. */
export function tellFloor(coachId: string): void {
  told.add(coachId)
  due ??= setTimeout(() => {
    const ids = [...told]
    told = new Set()
    due = undefined
    void databaseClient()`select pg_notify(${CHANNEL}, id) from unnest(${ids}::text[]) as id`.catch(
      (error: unknown) => logger.warn({ reason: redacted(error) }, 'the floor was not told'),
    )
  }, GATHER_MS).unref()
}

/** Hears no more, as when the server ends. */
export function endFloorNews(): void {
  clearTimeout(due)
  due = undefined
  open.clear()
  heardOn = undefined
}
