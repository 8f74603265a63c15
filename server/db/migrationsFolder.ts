import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const journalIn = (folder: string) => join(folder, 'meta', '_journal.json')

/** Where the migrations lie: beside this file, or beside the program where it is built. Errors: throws where they are at neither. */
export function migrationsFolder(): string {
  const found = [
    fileURLToPath(new URL('./migrations', import.meta.url)),
    join(dirname(process.argv[1] ?? ''), 'migrations'),
  ].find(folder => existsSync(journalIn(folder)))
  if (!found) throw new Error('The migrations are not beside the program; build it anew.')
  return found
}

let last: number | undefined

/** The number of the last migration this version knows. */
export function lastMigration(): number {
  if (last !== undefined) return last
  const { entries } = JSON.parse(readFileSync(journalIn(migrationsFolder()), 'utf8')) as {
    readonly entries: readonly { readonly idx: number }[]
  }
  return (last = entries.at(-1)?.idx ?? -1)
}
