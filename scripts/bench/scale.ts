// What the records weigh and how hard an evening presses, measured on studios written here and drawn to the size of a country.
import { seededRandom } from '#core/base'
import { connectedDatabase } from '../../server/db/database'
import { rosterStudio } from './rosterStudio'

const [STUDIO, WEEKS] = [60, 26]
/** The size asked about. */
const AT = { coaches: 100_000, clients: 2_000_000, sets: 1_000_000_000 }
/** One client in so many is drawn; the rest do as she does. */
const ONE_IN = 100
const [SESSIONS_A_WEEK, SETS, SESSION_MINUTES] = [3.2, 24, 55]
/** How the starts of sessions lie over a weekday: shares of the hours from 5 to 22. */
const HOURS = [1, 5, 8, 6, 5, 4, 4, 5, 4, 4, 6, 10, 16, 13, 7, 3, 1]
const FIRST_HOUR = 5
/** Saves, pages and reviews of a coach at work. */
const COACH_REQUESTS_A_DAY = 180

interface Weight {
  readonly table: string
  readonly rows: number
  readonly bytes: number
}

/** Rows and bytes of every table, indexes and all, of a studio with half a year of logs. */
async function weights(databaseUrl: string): Promise<readonly Weight[]> {
  await rosterStudio({ count: STUDIO, weeks: WEEKS })
  const { client, close } = connectedDatabase(databaseUrl)
  await client`vacuum analyze`
  const rows = await client<Weight[]>`
    select c.relname as table, c.reltuples::int as rows, pg_total_relation_size(c.oid)::float8 as bytes
    from pg_class c join pg_namespace n on n.oid = c.relnamespace
    where n.nspname = 'public' and c.relkind = 'r' and c.reltuples > 0 order by 3 desc`
  await close()
  return rows
}

/** Sets and sessions that begin in each second of one weekday, one client in a hundred drawn. */
function evening(): { readonly sets: Float64Array; readonly perDay: number } {
  const random = seededRandom(20_261_201)
  const sets = new Float64Array(86_400)
  const all = HOURS.reduce((sum, share) => sum + share, 0)
  const sessions = Math.round((AT.clients / ONE_IN) * (SESSIONS_A_WEEK / 6))
  for (let at = 0; at < sessions; at++) {
    let left = random() * all
    const hour = HOURS.findIndex(share => (left -= share) < 0)
    // Most begin at the full or half hour, give or take some minutes.
    const half = random() < 0.5 ? 0 : 1800
    const start = (FIRST_HOUR + hour) * 3600 + half + (random() - 0.5) * 900
    for (let set = 0; set < SETS; set++) {
      const when = start + ((set + random()) / SETS) * SESSION_MINUTES * 60
      const second = Math.floor(when)
      if (second >= 0 && second < sets.length) sets[second]! += ONE_IN
    }
  }
  return { sets, perDay: sessions * ONE_IN }
}

/** The most in any minute, a second's mean. */
function busiestMinute(seconds: Float64Array): number {
  let most = 0
  for (let at = 0; at + 60 <= seconds.length; at += 60)
    most = Math.max(most, seconds.subarray(at, at + 60).reduce((sum, one) => sum + one, 0) / 60)
  return most
}

const gigabytes = (bytes: number) => `${(bytes / 1e9).toFixed(bytes > 1e11 ? 0 : 1)} GB`

/** Prints what `docs/scale.md` says. */
export async function benchScale(databaseUrl: string): Promise<void> {
  const rows = await weights(databaseUrl)
  const logged = rows.find(({ table }) => table === 'logged_sets')
  if (!logged) throw new Error('nothing was logged')
  // Tables that grow with what is logged are drawn to the number of sets, others to the number of clients.
  const growing = new Set(['logged_sets', 'log_entries', 'exposures', 'dated_sessions'])
  console.table(
    rows.slice(0, 12).map(({ table, rows: count, bytes }) => {
      const factor = growing.has(table) ? AT.sets / logged.rows : AT.clients / STUDIO
      return {
        table,
        'bytes a row': Math.round(bytes / count),
        'a client': (count / STUDIO).toFixed(1),
        'rows at size': `${((count * factor) / 1e6).toFixed(0)} M`,
        'size with indexes': gigabytes(bytes * factor),
      }
    }),
  )
  const { sets, perDay } = evening()
  const peak = busiestMinute(sets)
  const mean = sets.reduce((sum, one) => sum + one, 0) / 86_400
  console.table([
    {
      'sessions a weekday': perDay,
      'sets a second, mean of the day': mean.toFixed(0),
      'sets a second, busiest minute': peak.toFixed(0),
      'requests of coaches a second, busiest hour': (
        (AT.coaches * COACH_REQUESTS_A_DAY) /
        (8 * 3600)
      ).toFixed(0),
    },
  ])
}
