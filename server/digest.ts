import { createHash } from 'node:crypto'

/** What a value says as JSON, as one short word: values that say the same have the same. */
export function digestOf(value: unknown): string {
  return createHash('sha1').update(JSON.stringify(value)).digest('base64')
}
