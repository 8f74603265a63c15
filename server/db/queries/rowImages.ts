import { isDeepStrictEqual } from 'node:util'
import { sql, type SQL } from 'drizzle-orm'
import type { Database } from '../database'
import type { RowImage } from '../schema/changes'

interface Recorded {
  readonly key: readonly [string, ...string[]]
  /** Columns that count changes: they only grow, whatever is taken back. */
  readonly counting?: readonly string[]
}

const BY_ID: Recorded = { key: ['coach_id', 'id'] }
/** Tables whose rows are recorded; the same that carry the trigger. */
const RECORDED: Readonly<Record<string, Recorded>> = {
  coaches: { key: ['id'] },
  clients: { ...BY_ID, counting: ['revision', 'training_revision', 'position'] },
  blocks: { ...BY_ID, counting: ['version', 'saved_at'] },
  dated_sessions: BY_ID,
  logged_sets: { key: ['coach_id', 'session_id', 'at'] },
  exposures: { key: ['coach_id', 'session_id', 'exercise'] },
  log_entries: BY_ID,
  messages: BY_ID,
  pain_reports: BY_ID,
  clearances: BY_ID,
  measurements: BY_ID,
  decisions: BY_ID,
  own_exercises: BY_ID,
  credit_changes: { key: ['coach_id', 'key'] },
  methods: BY_ID,
  session_templates: BY_ID,
  plan_templates: BY_ID,
  notes: BY_ID,
  goals: BY_ID,
  shown_links: { ...BY_ID, counting: ['seen_at'] },
}
/** A session that was sent anew must not have been opened, begun or finished since. */
const UNTOUCHED = ['opened_at', 'started_at', 'finished_at'] as const

/** Tables whose rows are recorded. */
export const RECORDED_TABLES = Object.keys(RECORDED)

function recorded(inTable: string): Recorded {
  const found = RECORDED[inTable]
  if (!found) throw new Error(`${inTable} is recorded by a trigger but not in RECORDED`)
  return found
}

const without = (image: RowImage, names: readonly string[] = []): RowImage =>
  Object.fromEntries(Object.entries(image).filter(([name]) => !names.includes(name)))

function whereKey({ key }: Recorded, image: RowImage): SQL {
  const parts = key.map(name => sql`${sql.identifier(name)}::text = ${String(image[name])}`)
  return sql.join(parts, sql` and `)
}

async function standing(
  tx: Database,
  inTable: string,
  image: RowImage,
): Promise<RowImage | undefined> {
  const rows = await tx.execute(
    sql`select to_jsonb(t) as image from ${sql.identifier(inTable)} t where ${whereKey(recorded(inTable), image)} for update`,
  )
  return rows[0]?.image as RowImage | undefined
}

const populated = (inTable: string, image: RowImage): SQL =>
  sql`jsonb_populate_record(null::${sql.identifier(inTable)}, ${JSON.stringify(image)}::jsonb)`

async function insertImage(tx: Database, inTable: string, to: RowImage): Promise<boolean> {
  if (await standing(tx, inTable, to)) return false
  // A name that was given to another row meanwhile is taken.
  const made = await tx.execute(
    sql`insert into ${sql.identifier(inTable)} select * from ${populated(inTable, to)} on conflict do nothing returning true`,
  )
  return made.length > 0
}

async function deleteImage(tx: Database, inTable: string, from: RowImage): Promise<boolean> {
  const held = recorded(inTable)
  const now = await standing(tx, inTable, from)
  if (!now || !isDeepStrictEqual(without(now, held.counting), without(from, held.counting)))
    return false
  await tx.execute(sql`delete from ${sql.identifier(inTable)} where ${whereKey(held, from)}`)
  return true
}

async function updateImage(
  tx: Database,
  inTable: string,
  { from, to }: { readonly from: RowImage; readonly to: RowImage },
): Promise<boolean> {
  const held = recorded(inTable)
  const names = Object.keys(to).filter(
    name => !held.counting?.includes(name) && !isDeepStrictEqual(from[name], to[name]),
  )
  if (names.length === 0) return true
  const watched =
    inTable === 'dated_sessions' && names.includes('sent_at') ? [...names, ...UNTOUCHED] : names
  const now = await standing(tx, inTable, from)
  if (!now || watched.some(name => !isDeepStrictEqual(now[name], from[name]))) return false
  const columns = sql.join(
    names.map(name => sql.identifier(name)),
    sql`, `,
  )
  await tx.execute(
    sql`update ${sql.identifier(inTable)} set (${columns}) = (select ${columns} from ${populated(inTable, to)}) where ${whereKey(held, from)}`,
  )
  return true
}

/**
 * Makes a row that stands as `from` stand as `to`; null is no row. Columns that `from` and `to` agree on stay as they are.
 *
 * Edge: false, and nothing written, where the row does not stand as `from` any more.
 */
export function turnRow(
  tx: Database,
  inTable: string,
  from: RowImage | null,
  to: RowImage | null,
): Promise<boolean> {
  if (from && to) return updateImage(tx, inTable, { from, to })
  if (to) return insertImage(tx, inTable, to)
  return from ? deleteImage(tx, inTable, from) : Promise.resolve(true)
}
