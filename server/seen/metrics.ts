import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client'
import { sql } from 'drizzle-orm'
import { database } from '../db/database'
import { openFloors } from '../live/floorNews'
import { hashesWaiting } from '../services/passwords'

const registry = new Registry()
collectDefaultMetrics({ register: registry })

/** Seconds: a request that is felt, and one that is not to be. */
const SECONDS = [0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5]

const requests = new Histogram({
  name: 'tholepin_request_seconds',
  help: 'Requests by route and status.',
  labelNames: ['method', 'route', 'status'],
  buckets: SECONDS,
  registers: [registry],
})
const EVENTS = {
  sheet_entries: 'Entries taken from phones.',
  plan_saves: 'Plans saved.',
  conflicts: 'Saves refused because something was saved elsewhere meanwhile.',
} as const
const counters = Object.fromEntries(
  Object.entries(EVENTS).map(([name, help]) => [
    name,
    new Counter({ name: `tholepin_${name}_total`, help, registers: [registry] }),
  ]),
) as Record<keyof typeof EVENTS, Counter>

new Gauge({
  name: 'tholepin_hashes_waiting',
  help: 'Passwords and PINs that wait to be compared.',
  registers: [registry],
  collect() {
    this.set(hashesWaiting())
  },
})
new Gauge({
  name: 'tholepin_live_connections',
  help: 'Floors that are open and followed live at this server.',
  registers: [registry],
  collect() {
    this.set(openFloors())
  },
})
new Gauge({
  name: 'tholepin_database_connections',
  help: 'Connections of this application at its database, by state; none while it is away.',
  labelNames: ['state'],
  registers: [registry],
  async collect() {
    this.reset()
    const rows = await database()
      .execute<{ state: string; count: number }>(
        sql`select coalesce(state, 'none') as state, count(*)::int as count from pg_stat_activity where application_name = 'tholepin' and datname = current_database() group by 1`,
      )
      .catch(() => [])
    for (const { state, count } of rows) this.set({ state }, count)
  },
})

/** A request that was answered. Units: seconds. */
export const countRequest = (
  labels: { readonly method: string; readonly route: string; readonly status: number },
  seconds: number,
): void => requests.observe(labels, seconds)

/** Something happened so many times. */
export const countEvent = (what: keyof typeof EVENTS, times = 1): void => counters[what].inc(times)

/** Everything counted, as Prometheus reads it. */
export const metricsText = (): Promise<string> => registry.metrics()
export const METRICS_TYPE = registry.contentType
