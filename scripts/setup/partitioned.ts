import type postgres from 'postgres'

const PARTS = 4

interface Part {
  readonly table: string
  readonly name: string
  readonly def: string
}

const named = (text: string) => `"${text}"`

/** What belongs to the tables of coaches and has to be made anew with them. */
async function belongings(sql: postgres.Sql) {
  const tables = (
    await sql<{ name: string }[]>`
      select c.table_name as name from information_schema.columns c
      join information_schema.tables t using (table_schema, table_name)
      where table_schema = 'public' and column_name = 'coach_id' and table_type = 'BASE TABLE' order by 1`
  ).map(({ name }) => name)
  const constraints = await sql<(Part & { kind: string })[]>`
    select conrelid::regclass::text as table, conname as name, contype::text as kind, pg_get_constraintdef(oid) as def
    from pg_constraint where conrelid::regclass::text = any(${tables}) and contype in ('p', 'u', 'f')`
  const indexes = await sql<Part[]>`
    select indrelid::regclass::text as table, indexrelid::regclass::text as name, pg_get_indexdef(indexrelid) as def
    from pg_index where indrelid::regclass::text = any(${tables})
      and not exists (select from pg_constraint where conindid = indexrelid)`
  const triggers = await sql<Part[]>`
    select tgrelid::regclass::text as table, tgname as name, pg_get_triggerdef(oid) as def
    from pg_trigger where tgrelid::regclass::text = any(${tables}) and not tgisinternal`
  const sequences = await sql<{ name: string }[]>`
    select s.oid::regclass::text as name from pg_class s join pg_depend d on d.objid = s.oid and d.deptype = 'a'
    where s.relkind = 'S' and d.refobjid::regclass::text = any(${tables})`
  return { tables, constraints, indexes, triggers, sequences }
}

/**
 * Makes every table of coaches anew as one that is spread by hash of the coach over several, with the same keys, references,
 * indexes and triggers. For trying that the application's statements hold on it; what is in the tables is left out.
 *
 * Edge: a key that does not begin with the coach (secrets, which are looked up before it is known whose they are) becomes an index: over
 *       several tables it cannot be kept unique, and it need not be, since secrets are random.
 */
export async function spreadByCoach(sql: postgres.Sql): Promise<readonly string[]> {
  const { tables, constraints, indexes, triggers, sequences } = await belongings(sql)
  const statements: string[] = []
  for (const { table, name, kind } of constraints)
    if (kind === 'f') statements.push(`alter table ${table} drop constraint ${named(name)}`)
  for (const { name } of sequences) statements.push(`alter sequence ${name} owned by none`)
  for (const table of tables) {
    statements.push(
      `alter table ${table} rename to ${table}_plain`,
      `create table ${table} (like ${table}_plain including defaults including constraints including identity including generated) partition by hash (coach_id)`,
      `drop table ${table}_plain cascade`,
    )
    for (let part = 0; part < PARTS; part++)
      statements.push(
        `create table ${table}_${part} partition of ${table} for values with (modulus ${PARTS}, remainder ${part})`,
      )
  }
  for (const wanted of ['p', 'u', 'f'])
    for (const { table, name, kind, def } of constraints) {
      if (kind !== wanted) continue
      const isSpread = kind === 'f' || def.includes('coach_id')
      statements.push(
        isSpread
          ? `alter table ${table} add constraint ${named(name)} ${def}`
          : `create index ${named(name)} on ${table} ${def.replace(/^\S+ /, '')}`,
      )
    }
  for (const { def } of [...indexes, ...triggers]) statements.push(def.replaceAll('_plain', ''))
  await sql.begin(async tx => {
    for (const statement of statements) await tx.unsafe(statement)
  })
  return tables
}
