import { failure, type Result, success } from '#core/base'
import type { LogEntry } from '#core/follow/sheet'
import type { EntriesAnswer, OpenLinkAnswer, RefusedBody, SheetView } from '#shared/contracts/sheet'

/** Why a phone got nothing: no reception, or what the server said. */
export type SheetFailure =
  | { readonly kind: 'unreachable' }
  | { readonly kind: 'refused'; readonly problem: string; readonly detail: string }

/** An entry with the session it is about. */
export interface SessionEntry extends LogEntry {
  readonly session: string
}

const PATIENCE_MS = 15_000

/**
 * The few things a phone asks of the server, without the contracts' code: a phone in a gym loads what it needs and no more.
 * The server checks what it gets and its own answers; types hold both sides together.
 */
export function useSheetApi() {
  const today = () => {
    const now = new Date()
    const two = (part: number) => String(part).padStart(2, '0')
    return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
  }

  async function ask<Answer>(
    path: string,
    { key, body }: { readonly key?: string | undefined; readonly body?: object },
  ): Promise<Result<Answer, SheetFailure>> {
    try {
      const response = await fetch(path, {
        method: body ? 'POST' : 'GET',
        signal: AbortSignal.timeout(PATIENCE_MS),
        ...(body && { body: JSON.stringify(body) }),
        headers: {
          'x-today': today(),
          accept: 'application/json',
          ...(body && { 'content-type': 'application/json' }),
          ...(key && { authorization: `Sheet ${key}` }),
        },
      })
      const answer: unknown = await response.json()
      if (response.ok) return success(answer as Answer)
      // A server that fails has taken nothing: it is asked again, as where there is no reception.
      if (response.status >= 500) return failure({ kind: 'unreachable' })
      const { type = '', detail = '' } = answer as { type?: string; detail?: string }
      return failure({ kind: 'refused', problem: type.replace('/problems/', ''), detail })
    } catch {
      // No answer, half an answer, or one that is no answer of ours: all the same to whoever waits.
      return failure({ kind: 'unreachable' })
    }
  }

  return {
    open: (token: string, pin: string | null) =>
      ask<OpenLinkAnswer>('/api/sheet/open', { body: { token, pin } }),
    sheet: (key: string) => ask<SheetView>('/api/sheet', { key }),
    send: (key: string, entries: readonly SessionEntry[]) =>
      ask<EntriesAnswer>('/api/sheet/entries', {
        key,
        body: { sentAt: new Date().toISOString(), entries },
      }),
    tellRefused: (key: string, body: RefusedBody) =>
      ask<{ isDone: true }>('/api/sheet/refused', { key, body }),
  }
}
