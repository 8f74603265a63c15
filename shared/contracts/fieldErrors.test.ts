import { describe, expect, test } from '@jest/globals'
import { day, planOf, REST_DAY, straight } from '#core/testing/notation'
import { fieldErrors, jsonPointer } from './fieldErrors'
import { PlanContract } from './plan'
import { type Problem, problemDetails, problemWords } from './problem'
import { SignInBody } from './session'

function sentences(change: (raw: any) => void): readonly string[] {
  const raw = JSON.parse(JSON.stringify(planOf(day(straight('cable_curl', 3, 10, 1)), REST_DAY)))
  change(raw)
  return fieldErrors(PlanContract.safeParse(raw).error?.issues ?? []).map(error => error.detail)
}
const firstRun = (raw: any) => raw.rotation.days[0].sessions[0].groupings[0].slots[0].scheme.runs[0]
const runName = 'rotation.days[1].sessions[1].groupings[1].slots[1].scheme.runs[1].count'

describe('a refused field is named, with the remedy', () => {
  test.each([
    {
      change: (raw: any) => {
        raw.rotation.days = Array.from({ length: 40 }, () => REST_DAY)
      },
      says: 'rotation.days may be at most 14 entries.',
    },
    {
      change: (raw: any) => {
        raw.rotation.days = []
      },
      says: 'rotation.days must be at least 2 entries.',
    },
    {
      change: (raw: any) => {
        raw.schema = 0
      },
      says: 'schema must be 1.',
    },
    {
      change: (raw: any) => {
        firstRun(raw).count = 1.5
      },
      says: `${runName} must be a whole number.`,
    },
    {
      change: (raw: any) => {
        firstRun(raw).count = -2
      },
      says: `${runName} must be at least 1.`,
    },
    {
      change: (raw: any) => {
        raw.title = 7
      },
      says: 'title must be of type string.',
    },
    {
      change: (raw: any) => {
        raw.extra = 7
      },
      says: 'the request does not know "extra"; leave it out.',
    },
    {
      change: (raw: any) => {
        raw.rotation.anchor = { kind: 'drifting' }
      },
      says: 'rotation.anchor.kind must be one of the documented kinds.',
    },
  ])('$says', ({ change, says }) => expect(sentences(change)).toContain(says))

  test('an address that is none', () => {
    const { error } = SignInBody.safeParse({ email: 'kaja', password: '' })
    expect(fieldErrors(error?.issues ?? []).map(({ detail }) => detail)).toEqual([
      'email must be an email address.',
      'password is empty; fill it in.',
    ])
  })
})

test('pointers escape what RFC 6901 asks for', () => {
  expect(jsonPointer(['a/b', 0, 'c~d'])).toBe('/a~1b/0/c~0d')
})

test('every problem has a status, a title and a sentence', () => {
  const current = {
    version: 7,
    savedAt: '2026-04-01T07:00:00Z',
    plan: PlanContract.parse(planOf(REST_DAY, REST_DAY)),
  }
  const problems: readonly Problem[] = [
    { kind: 'unreadable-json' },
    { kind: 'not-signed-in' },
    { kind: 'wrong-credentials' },
    { kind: 'foreign-origin' },
    { kind: 'not-found', what: 'client' },
    { kind: 'stale-version', current },
    { kind: 'too-large', limitBytes: 1_000_000 },
    { kind: 'invalid', errors: [{ pointer: '/a', kind: 'custom', detail: 'a must be b.' }] },
    { kind: 'too-many-attempts', retryAfterSeconds: 61 },
    { kind: 'internal', requestId: 'r-1' },
  ]
  expect(problems.map(problem => problemWords(problem).status)).toEqual([
    400, 401, 401, 403, 404, 409, 413, 422, 429, 500,
  ])
  expect(problems.every(problem => problemWords(problem).detail.endsWith('.'))).toBe(true)
  expect(problemDetails({ kind: 'not-found', what: 'client' })).toEqual({
    type: '/problems/not-found',
    status: 404,
    title: 'Not found',
    detail: 'There is no such client.',
    what: 'client',
  })
})
