import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** Passwords of this machine alone, made on first use and readable by their owner only. */
export function secretsIn(home) {
  const file = join(home, 'secrets.json')
  if (!existsSync(file)) {
    const secret = () => randomBytes(32).toString('hex')
    writeFileSync(
      file,
      JSON.stringify({
        database: secret(),
        session: secret(),
        demoPassword: `tide-${randomBytes(4).toString('hex')}`,
      }),
      { mode: 0o600 },
    )
  }
  return JSON.parse(readFileSync(file, 'utf8'))
}
