import { createHash } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))))
export const isRoot = process.getuid?.() === 0

/**
 * Folder that keeps a profile's database and secrets between starts. PostgreSQL refuses to run as root, and the
 * `postgres` user may not be able to reach the project, so as root it lies in /var/lib, told apart by the project's path.
 */
export function dataHome(profile) {
  const name = createHash('sha256').update(ROOT).digest('hex').slice(0, 12)
  const home = isRoot ? join('/var/lib/tholepin', name, profile) : join(ROOT, '.data', profile)
  if (!existsSync(home)) mkdirSync(home, { recursive: true })
  if (isRoot)
    for (const folder of ['/var/lib/tholepin', dirname(home), home]) chmodSync(folder, 0o711)
  return home
}
