import type postgres from 'postgres'

/** Who the application is to its database. */
export interface AppRole {
  readonly name: string
  readonly password: string
}

/** The name and password that a connection URL carries. Errors: throws where it carries none. */
export function roleOf(url: string): AppRole {
  const { username, password } = new URL(url)
  if (!username) throw new Error('The application’s database URL names no user')
  return { name: decodeURIComponent(username), password: decodeURIComponent(password) }
}

const literal = (text: string) => `'${text.replaceAll("'", "''")}'`
const identifier = (text: string) => `"${text.replaceAll('"', '""')}"`

/**
 * Makes the role the application works under, unless it is there: it reads and writes rows and changes no table, so that
 * a hole in the application is no way into the machine. Tables made since the last time are opened to it too.
 */
export async function grantedTo({ name, password }: AppRole, client: postgres.Sql): Promise<void> {
  const role = identifier(name)
  // Two that make it at once: one finds it there. An owner who may make no roles has had it made.
  await client.unsafe(`do $$ begin
    create role ${role} login nosuperuser nocreatedb nocreaterole noreplication password ${literal(password)};
  exception when duplicate_object or unique_violation or insufficient_privilege then null; end $$`)
  await client.unsafe(`grant usage on schema public to ${role}`)
  await client.unsafe(
    `grant select, insert, update, delete on all tables in schema public to ${role}`,
  )
  await client.unsafe(`grant usage, select on all sequences in schema public to ${role}`)
}
