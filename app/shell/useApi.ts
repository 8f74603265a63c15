import { failure, type Result, success } from '#core/base'
import { type ProblemDetails, ProblemDetailsContract } from '#shared/contracts/problem'
import { until } from '@vueuse/core'
import { FetchError } from 'ofetch'
import type { z } from 'zod'
import { NOT_SIGNED_IN } from './useEndedElsewhere'

/** Why a request brought nothing: the server refused it, or it was not reached at all. */
export type ApiFailure =
  { readonly kind: 'unreachable' } | { readonly kind: 'refused'; readonly problem: ProblemDetails }

interface ApiRequest<Answer extends z.ZodType> {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE'
  readonly body?: object
  readonly answer: Answer
}

const UNKNOWN_FAILURE: ProblemDetails = {
  type: '/problems/internal',
  status: 500,
  title: 'The server failed',
  detail: 'The server gave an answer that cannot be read. Try again.',
}

const AWAY: ReadonlySet<number> = new Set([502, 503, 504])

/** Grows whenever the server has taken something from this page. */
export const useWritten = () => useState('written', () => 0)

/** What was sent from this page and has not been answered yet. */
const useOnTheWay = () => useState('on-the-way', () => 0)
/** Nobody waits longer than this for what is on its way. */
const ARRIVES_MS = 10_000

/** Asks this application's server; answers are parsed by their contract, refusals come back as values. */
export function useApi() {
  const fetchHere = useRequestFetch()
  // The asking person's own day: sessions of today are not missed yet, wherever the server stands.
  const today = useToday()
  const written = useWritten()
  const onTheWay = useOnTheWay()
  async function ask<Answer extends z.ZodType>(
    path: string,
    { method = 'GET', body, answer }: ApiRequest<Answer>,
  ): Promise<Result<z.output<Answer>, ApiFailure>> {
    const isChange = method !== 'GET'
    if (isChange) onTheWay.value += 1
    try {
      const raw: unknown = await fetchHere(path, {
        method,
        ...(body && { body }),
        retry: 0,
        headers: { 'x-today': today.value },
      })
      if (isChange) written.value += 1
      return success(answer.parse(raw))
    } catch (error) {
      if (!(error instanceof FetchError)) throw error
      const failed = asFailure(error)
      if (failed.kind === 'refused') tellIfNobody(failed.problem, path)
      return failure(failed)
    } finally {
      if (isChange) onTheWay.value -= 1
    }
  }
  /** Done once everything that was sent is answered. */
  const arrived = () => until(onTheWay).toBe(0, { timeout: ARRIVES_MS })
  return { ask, arrived }
}

/** A coach's page that is answered as to nobody has lost its sign-in; a phone's has its own. */
function tellIfNobody({ type }: ProblemDetails, path: string): void {
  if (import.meta.client && type === '/problems/not-signed-in' && !path.startsWith('/api/sheet'))
    window.dispatchEvent(new Event(NOT_SIGNED_IN))
}

function asFailure(error: FetchError): ApiFailure {
  // A server that cannot reach its records, or that a proxy cannot reach, is as good as none: what waits is sent again.
  if (error.response === undefined || AWAY.has(error.response.status))
    return { kind: 'unreachable' }
  const problem = ProblemDetailsContract.safeParse(error.data)
  return { kind: 'refused', problem: problem.success ? problem.data : UNKNOWN_FAILURE }
}
