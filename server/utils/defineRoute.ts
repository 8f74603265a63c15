import { randomUUID } from 'node:crypto'
import { coachId, failure, type Result, success } from '#core/base'
import { fieldErrors } from '#shared/contracts/fieldErrors'
import { type Problem, problemDetails, problemWords } from '#shared/contracts/problem'
import type { ChangeKind } from '#core/words'
import type { EventHandler, H3Event } from 'h3'
import type { z } from 'zod'
import { type SheetReader, sheetReader } from '../services/sheetLinks'
import { recorded, subjectOf } from '../services/changes'
import { type Coach, coachSignedIn, type SignIn } from '../services/signIn'
import { hasNoRoom, isAway, whileThere } from '../db/away'
import { hashedCoach, logger, redacted } from '../seen/logger'
import { countEvent } from '../seen/metrics'
import { writeFor } from './writing'

type Parsed<T> = T extends z.ZodType ? z.output<T> : undefined

interface Request<Params, Body> {
  readonly event: H3Event
  readonly params: Parsed<Params>
  readonly body: Parsed<Body>
}

interface Route<Params, Body, Answer extends z.ZodType, Asker> {
  readonly params?: Params
  readonly body?: Body
  /** Most a body may hold, where it is more than a plan. */
  readonly limitBytes?: number
  readonly answer: Answer
  /** What it does, where it changes something that can be taken back. */
  readonly doing?: ChangeKind
  readonly handle: (
    request: Request<Params, Body> & Asker,
  ) => Promise<Result<z.input<Answer>, Problem>>
}

/** A route for whoever is signed in: reads the sign-in, parses what comes in, turns failures into problem details. */
export function defineRoute<
  Answer extends z.ZodType,
  Params extends z.ZodType | undefined = undefined,
  Body extends z.ZodType | undefined = undefined,
>(route: Route<Params, Body, Answer, { readonly coach: Coach }>): EventHandler {
  return guarded(async event => {
    const coach = await askingCoach(event)
    writeFor(coach?.writing)
    return coach
      ? answered(event, taughtToUndo(route), { coach })
      : failure<Problem>({ kind: 'not-signed-in' })
  })
}

/** The same route, its work kept so that it can be taken back where it says what it does. */
function taughtToUndo<Params, Body, Answer extends z.ZodType>(
  route: Route<Params, Body, Answer, { readonly coach: Coach }>,
): Route<Params, Body, Answer, { readonly coach: Coach }> {
  const { doing, handle } = route
  if (!doing) return route
  return {
    ...route,
    handle: async request => {
      const clientId = await subjectOf(request.coach, request)
      return recorded(request.coach, { clientId, kind: doing }, () => handle(request))
    },
  }
}

/** A route that needs no sign-in. */
export function defineOpenRoute<
  Answer extends z.ZodType,
  Params extends z.ZodType | undefined = undefined,
  Body extends z.ZodType | undefined = undefined,
>(route: Route<Params, Body, Answer, object>): EventHandler {
  return guarded(event => answered(event, route, {}))
}

/** A route for a client's phone, which shows the key it got when her link was opened on it. */
export function defineSheetRoute<
  Answer extends z.ZodType,
  Params extends z.ZodType | undefined = undefined,
  Body extends z.ZodType | undefined = undefined,
>(route: Route<Params, Body, Answer, { readonly reader: SheetReader }>): EventHandler {
  return guarded(async event => {
    const [, key] = /^Sheet (\S{20,100})$/.exec(getHeader(event, 'authorization') ?? '') ?? []
    const reader =
      key === undefined ? failure<Problem>({ kind: 'not-signed-in' }) : await sheetReader(key)
    if (reader.ok) writeFor(reader.value.coach.writing)
    return reader.ok ? answered(event, route, { reader: reader.value }) : reader
  })
}

/** A route that tells whoever is signed in for as long as she listens; without a sign-in it is refused as every other is. */
export function defineLiveRoute(
  follow: (event: H3Event, coach: Coach) => Promise<unknown>,
): EventHandler {
  return defineEventHandler(async event => {
    setHeader(event, 'cache-control', 'no-store')
    const coach = await whileThere(() => askingCoach(event))
    return coach ? follow(event, coach) : sentProblem(event, { kind: 'not-signed-in' })
  })
}

/** The sign-in a request's cookie names, good or not. */
export async function signInOf(event: H3Event): Promise<SignIn | undefined> {
  const { secure } = await getUserSession(event)
  return secure && { coachId: coachId(secure.coachId), id: secure.signInId }
}

async function askingCoach(event: H3Event): Promise<Coach | undefined> {
  const kept = await signInOf(event)
  const coach = kept && (await coachSignedIn(kept))
  if (coach) event.context.askedBy = hashedCoach(coach.id)
  return coach
}

async function answered<Params, Body, Answer extends z.ZodType, Asker>(
  event: H3Event,
  route: Route<Params, Body, Answer, Asker>,
  asker: Asker,
): Promise<Result<unknown, Problem>> {
  const params = parsed(route.params, getRouterParams(event))
  // An id that is none is as absent as an id nobody has.
  if (!params.ok) return failure({ kind: 'not-found', what: 'page' })
  const raw = route.body ? await jsonBody(event, route.limitBytes) : success(undefined)
  if (!raw.ok) return raw
  const body = parsed(route.body, raw.value)
  if (!body.ok) return failure({ kind: 'invalid', errors: fieldErrors(body.error) })
  const result = await route.handle({
    event,
    params: params.value,
    body: body.value,
    ...asker,
  } as Request<Params, Body> & Asker)
  // What goes out is what the contract declares, and nothing besides.
  return result.ok ? success(route.answer.parse(result.value)) : result
}

function parsed(contract: unknown, value: unknown): Result<unknown, readonly z.core.$ZodIssue[]> {
  if (!contract) return success(undefined)
  const outcome = (contract as z.ZodType).safeParse(value)
  return outcome.success ? success(outcome.data) : failure(outcome.error.issues)
}

const READING = new Set(['GET', 'HEAD'])

function isFromElsewhere(event: H3Event): boolean {
  if (READING.has(event.method)) return false
  const site = getHeader(event, 'sec-fetch-site')
  if (site !== undefined) return site !== 'same-origin' && site !== 'none'
  // Older browsers say where a form came from only in `origin`; what is no browser says nothing.
  const origin = getHeader(event, 'origin')
  return origin !== undefined && !isOwn(origin, getHeader(event, 'host'))
}

function isOwn(origin: string, host: string | undefined): boolean {
  try {
    return new URL(origin).host === host
  } catch {
    return false
  }
}

function guarded(run: (event: H3Event) => Promise<Result<unknown, Problem>>): EventHandler {
  return defineEventHandler(async event => {
    setHeader(event, 'cache-control', 'no-store')
    if (isFromElsewhere(event)) return sentProblem(event, { kind: 'foreign-origin' })
    // No id and no day holds it, and no database takes it.
    if (/%00/.test(event.path)) return sentProblem(event, { kind: 'not-found', what: 'page' })
    try {
      const result = await whileThere(() => run(event))
      return result.ok ? result.value : sentProblem(event, result.error)
    } catch (error) {
      const { requestId = randomUUID() } = event.context
      if (hasNoRoom(error)) logger.error({ requestId }, 'the database has no room to write')
      if (isAway(error)) return sentProblem(event, { kind: 'away', retryAfterSeconds: 2 })
      logger.error({ requestId, method: event.method, reason: redacted(error) }, 'failed')
      return sentProblem(event, { kind: 'internal', requestId })
    }
  })
}

const CONFLICTS: ReadonlySet<Problem['kind']> = new Set(['stale-version', 'changed-meanwhile'])

function sentProblem(event: H3Event, problem: Problem): Record<string, unknown> {
  if (CONFLICTS.has(problem.kind)) countEvent('conflicts')
  setResponseStatus(event, problemWords(problem).status)
  setHeader(event, 'content-type', 'application/problem+json')
  if (problem.kind === 'too-many-attempts' || problem.kind === 'away')
    setHeader(event, 'retry-after', problem.retryAfterSeconds)
  return problemDetails(problem)
}
