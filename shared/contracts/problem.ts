import { z } from 'zod'
import { PlanContract } from './plan'

/** One field that was refused: where it is (JSON Pointer), what rule it breaks, and what to do. */
export const FieldErrorContract = z.object({
  pointer: z.string(),
  kind: z.string(),
  detail: z.string(),
})
export type FieldError = z.infer<typeof FieldErrorContract>

/** The block as it stands in the database, sent along when a save came too late. */
export const CurrentBlockContract = z.object({
  version: z.int(),
  savedAt: z.iso.datetime(),
  plan: PlanContract,
})
export type CurrentBlock = z.output<typeof CurrentBlockContract>

/** Why a request was refused. Sent as RFC 9457 problem details; the kind is the last part of `type`. */
export type Problem =
  | { readonly kind: 'unreadable-json' }
  | { readonly kind: 'not-signed-in' }
  | { readonly kind: 'wrong-credentials' }
  | { readonly kind: 'wrong-pin' }
  | { readonly kind: 'link-over' }
  | { readonly kind: 'foreign-origin' }
  | { readonly kind: 'not-found'; readonly what: string }
  | { readonly kind: 'stale-version'; readonly current: CurrentBlock }
  /** Fields that were changed elsewhere to something else; `base` is what the next save is to be held against. */
  | {
      readonly kind: 'changed-meanwhile'
      readonly fields: readonly string[]
      readonly base: object
    }
  | { readonly kind: 'too-large'; readonly limitBytes: number }
  | { readonly kind: 'already-sent'; readonly pass: number }
  | { readonly kind: 'in-use'; readonly what: string; readonly where: readonly string[] }
  | { readonly kind: 'not-confirmed'; readonly wanted: string }
  | { readonly kind: 'invalid'; readonly errors: readonly FieldError[] }
  | { readonly kind: 'too-many-attempts'; readonly retryAfterSeconds: number }
  /** The database cannot be had just now. */
  | { readonly kind: 'away'; readonly retryAfterSeconds: number }
  | { readonly kind: 'internal'; readonly requestId: string }

interface ProblemWords {
  readonly status: number
  readonly title: string
  readonly detail: string
}

const MEGABYTE = 1_000_000

/** `jointNotes` as `joint notes`, `bands.biceps` as `bands, biceps`. */
const fieldWords = (path: string) =>
  path
    .replace(/[A-Z]/g, letter => ` ${letter.toLowerCase()}`)
    .replace('.', ', ')
    .replaceAll('_', ' ')

/** Status, title and sentence of each problem: what is wrong and what to do. */
export function problemWords(problem: Problem): ProblemWords {
  switch (problem.kind) {
    case 'unreadable-json':
      return {
        status: 400,
        title: 'Not readable',
        detail:
          'The request is not valid JSON. Check it for a missing bracket or quote and send it again.',
      }
    case 'not-signed-in':
      return {
        status: 401,
        title: 'Not signed in',
        detail: 'Sign in and try again. Nothing was changed.',
      }
    case 'wrong-credentials':
      return {
        status: 401,
        title: 'Sign-in refused',
        detail: 'Email and password do not match. Check both and try again.',
      }
    case 'wrong-pin':
      return {
        status: 401,
        title: 'Wrong PIN',
        detail: 'That is not the PIN of this link. Ask your coach if you have lost it.',
      }
    case 'link-over':
      return {
        status: 410,
        title: 'Link no longer valid',
        detail:
          'This link was withdrawn or has run out. Ask your coach for a new one; what you logged before is with your coach.',
      }
    case 'foreign-origin':
      return {
        status: 403,
        title: 'Sent from elsewhere',
        detail: 'Changes are taken only from this site itself.',
      }
    case 'not-found':
      return { status: 404, title: 'Not found', detail: `There is no such ${problem.what}.` }
    case 'stale-version':
      return {
        status: 409,
        title: 'Saved elsewhere meanwhile',
        detail: `The plan is at version ${problem.current.version} by now. Compare the two and choose.`,
      }
    case 'changed-meanwhile':
      return {
        status: 409,
        title: 'Changed elsewhere meanwhile',
        detail: `Changed elsewhere meanwhile: ${problem.fields.map(fieldWords).join(', ')}. What you typed is kept here and not saved. Save again to keep yours, or load the page anew to see the other.`,
      }
    case 'already-sent':
      return {
        status: 409,
        title: 'Sent already',
        detail: `The client has rotation ${problem.pass + 1} already. Send it again to replace what is not done yet.`,
      }
    case 'in-use':
      return {
        status: 409,
        title: 'In use',
        detail: `This ${problem.what} is used by ${problem.where.slice(0, 6).join(', ')}${problem.where.length > 6 ? ` and ${problem.where.length - 6} more` : ''}. Replace it there first.`,
      }
    case 'not-confirmed':
      return {
        status: 422,
        title: 'Not confirmed',
        detail: `Type ${problem.wanted} exactly to confirm. Nothing was changed.`,
      }
    case 'too-large':
      return {
        status: 413,
        title: 'Too large',
        detail: `A request may hold ${problem.limitBytes / MEGABYTE} MB. Send a smaller plan.`,
      }
    case 'invalid':
      return {
        status: 422,
        title: 'Not accepted',
        detail: problem.errors
          .map(error => error.detail)
          .slice(0, 3)
          .join(' '),
      }
    case 'too-many-attempts':
      return {
        status: 429,
        title: 'Too many attempts',
        detail: `Wait ${Math.ceil(problem.retryAfterSeconds / 60)} min before the next attempt.`,
      }
    case 'away':
      return {
        status: 503,
        title: 'Not to be had just now',
        detail:
          'The server cannot reach its records. Nothing was lost; try again in a few seconds.',
      }
    case 'internal':
      return {
        status: 500,
        title: 'The server failed',
        detail: `Nothing was saved. Try again; if it stays, report the number ${problem.requestId}.`,
      }
  }
}

/** A problem as it goes over the wire. */
export function problemDetails(problem: Problem): Record<string, unknown> {
  const { kind, ...members } = problem
  return { type: `/problems/${kind}`, ...problemWords(problem), ...members }
}

/** What a screen reads from a refused request; anything else is taken as a server failure. */
export const ProblemDetailsContract = z.looseObject({
  type: z.string(),
  status: z.int(),
  title: z.string(),
  detail: z.string(),
  errors: z.array(FieldErrorContract).optional(),
})
export type ProblemDetails = z.infer<typeof ProblemDetailsContract>
