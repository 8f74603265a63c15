import { failure, type Result, success } from '#core/base'
import type { Problem } from '#shared/contracts/problem'
import type { H3Event } from 'h3'
import { unstorable } from './unstorable'
import rawBody from 'raw-body'

/** Far above any plan (a full 14-day rotation has about 100 kB), far below what hurts. */
const LIMIT_BYTES = 1_000_000

/** Reads the body of a request as JSON, whatever its announced length. */
export async function jsonBody(
  event: H3Event,
  limitBytes = LIMIT_BYTES,
): Promise<Result<unknown, Problem>> {
  try {
    const text = await rawBody(event.node.req, { limit: limitBytes, encoding: 'utf-8' })
    const value: unknown = JSON.parse(text)
    const errors = unstorable(value)
    return errors.length > 0 ? failure({ kind: 'invalid', errors }) : success(value)
  } catch (error) {
    const { type } = error as { readonly type?: string }
    // Whoever went away while sending has sent nothing that can be read, and is not there to be told.
    if (
      error instanceof SyntaxError ||
      type === 'request.aborted' ||
      type === 'stream.not.readable'
    )
      return failure({ kind: 'unreadable-json' })
    if (type === 'entity.too.large') {
      drained(event)
      return failure({ kind: 'too-large', limitBytes })
    }
    throw error
  }
}

/** Lets the rest of an oversized body run into the sand, so that the sender gets to read the answer. */
function drained(event: H3Event): void {
  event.node.req.unpipe()
  event.node.req.resume()
}
