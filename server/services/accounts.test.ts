import { randomBytes } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { sql } from 'drizzle-orm'
import { coachId } from '#core/base'
import { database } from '../db/database'
import { problemOf, stranger, unitStudio, useTestDatabase, valueOf } from '../testing/database'
import { account, changePassword, signOutEverywhere, signUp } from './account'
import { countAttempt, forgetAttempts, LIMITS, isOpen } from './attempts'
import { clientOutbox, outbox, writeMessage } from './outbox'
import { resetLink, setNewPassword } from './passwordReset'
import { hashedPassword, isPassword } from './passwords'
import { coachSignedIn, signIn, signOut, startedSignIn } from './signIn'

useTestDatabase()

const address = () => `10.0.0.${randomBytes(6).toString('hex')}`
const newcomer = (more: Partial<Parameters<typeof signUp>[0]> = {}) => ({
  name: 'Ebba Storskog',
  studio: 'Boathouse',
  email: `ebba-${randomBytes(6).toString('hex')}@skerrylane.example`,
  password: 'spring-tide-1',
  from: address(),
  ...more,
})

type Newcomer = ReturnType<typeof newcomer>
/** Makes an account and signs in with it. */
async function joined(asked: Newcomer = newcomer()) {
  valueOf(await signUp(asked))
  return valueOf(await signIn({ ...asked, from: address() }))
}

describe('passwords', () => {
  test('are kept as something they cannot be read from, different each time', async () => {
    const [one, other] = await Promise.all([hashedPassword('tide'), hashedPassword('tide')])
    expect(one).not.toContain('tide')
    expect(one).not.toBe(other)
    expect(await isPassword(one, 'tide')).toBe(true)
    expect(await isPassword(one, 'Tide')).toBe(false)
  })
})

describe('an account', () => {
  test('is made once for an email; asked again it is answered alike, stays as it was and its owner is told', async () => {
    const asked = newcomer()
    const first = await signUp(asked)
    const { coach, signIn: kept } = valueOf(await signIn({ ...asked, from: address() }))
    expect(await coachSignedIn(kept)).toMatchObject({ id: coach.id, studio: 'Boathouse' })
    expect(valueOf(await outbox(coach))).toEqual({ messages: [] })
    const other = { ...asked, name: 'Somebody', password: 'another-tide', from: address() }
    expect(await signUp(other)).toEqual(first)
    expect(valueOf(await account(coach))).toMatchObject({ email: asked.email, name: asked.name })
    expect(problemOf(await signIn(other)).kind).toBe('wrong-credentials')
    expect(await coachSignedIn(kept)).toBeDefined()
    expect(valueOf(await outbox(coach)).signUpTriedAt).toMatch(/^\d{4}-/)
    const { coach: neighbour } = await joined()
    expect(valueOf(await outbox(neighbour))).toEqual({ messages: [] })
  })

  test('shows nothing of its password', async () => {
    const { coach } = await joined()
    expect(JSON.stringify(valueOf(await account(coach)))).not.toMatch(/hash|password/i)
  })

  test('nobody makes twenty-one of them from one address within an hour', async () => {
    const from = address()
    for (let at = 0; at < LIMITS.signUp.attempts; at++)
      valueOf(await countAttempt(LIMITS.signUp, from))
    expect(problemOf(await signUp(newcomer({ from }))).kind).toBe('too-many-attempts')
    expect((await signUp(newcomer({ from: address() }))).ok).toBe(true)
  })
})

describe('signing in', () => {
  test('with the right password opens, with another it does not and says no more', async () => {
    const asked = newcomer()
    valueOf(await signUp(asked))
    const [email, from] = [asked.email, address()]
    const opened = valueOf(await signIn({ email, password: asked.password, from }))
    expect(await coachSignedIn(opened.signIn)).toBeDefined()
    const wrong = problemOf(await signIn({ email, password: 'neap-tide-1', from }))
    const nobody = problemOf(await signIn({ email: 'nobody@x.example', password: 'x', from }))
    expect([wrong.kind, nobody.kind]).toEqual(['wrong-credentials', 'wrong-credentials'])
  })

  test('is stopped after five wrong passwords, the right one too, until time has passed', async () => {
    const asked = newcomer()
    valueOf(await signUp(asked))
    const attempt = { email: asked.email, from: address() }
    const kinds = []
    for (let at = 0; at < 6; at++)
      kinds.push(problemOf(await signIn({ ...attempt, password: 'wrong-one' })).kind)
    expect(kinds[0]).toBe('wrong-credentials')
    expect(kinds.at(-1)).toBe('too-many-attempts')
    const right = problemOf(await signIn({ ...attempt, password: asked.password }))
    expect(right).toMatchObject({ kind: 'too-many-attempts' })
    expect((right as { retryAfterSeconds: number }).retryAfterSeconds).toBeGreaterThan(0)
  })

  test('is limited for an account from anywhere and for an address with any account; the right ones cost nothing', async () => {
    const asked = newcomer()
    valueOf(await signUp(asked))
    const wrong = async (email: string, from: string) =>
      problemOf(await signIn({ email, password: 'wrong-one', from })).kind
    // Many addresses, one account: each alone is within its own limit.
    const spread = Array.from({ length: LIMITS.wrongForAccount.attempts + 1 }, () => address())
    const kinds = await Promise.all(spread.map(from => wrong(asked.email, from)))
    expect(kinds.filter(kind => kind === 'wrong-credentials')).toHaveLength(
      LIMITS.wrongForAccount.attempts,
    )
    // One address, many accounts.
    const from = address()
    for (let at = 0; at < LIMITS.wrongFromAddress.attempts; at++)
      valueOf(await countAttempt(LIMITS.wrongFromAddress, from))
    expect(await wrong('one-more@x.example', from)).toBe('too-many-attempts')
    // Many right ones from one address are given back.
    const gym = address()
    const other = newcomer()
    valueOf(await signUp(other))
    for (let at = 0; at < 8; at++)
      valueOf(await signIn({ email: other.email, password: other.password, from: gym }))
    await forgetAttempts(LIMITS.wrongInAll, 'all')
  })

  test('ends with signing out, and with nothing else of that coach', async () => {
    const { coach, signIn: kept } = await joined()
    const other = await startedSignIn(coach)
    await signOut(kept)
    expect(await coachSignedIn(kept)).toBeUndefined()
    expect(await coachSignedIn(other.signIn)).toBeDefined()
  })

  test('of a coach who does not exist opens nothing', async () => {
    const { signIn: kept } = await joined()
    const forged = { ...kept, coachId: coachId('6f9619ff-8b86-4011-b42d-00c04fc964ff') }
    expect(await coachSignedIn(forged)).toBeUndefined()
  })
})

describe('another password', () => {
  test('ends every other sign-in, keeps the present one, and is the one that counts', async () => {
    const asked = newcomer()
    const { coach, signIn: kept } = await joined(asked)
    const other = await startedSignIn(coach)
    const change = { current: asked.password, next: 'neap-tide-22', keep: kept.id }
    valueOf(await changePassword(coach, change))
    expect(await coachSignedIn(kept)).toBeDefined()
    expect(await coachSignedIn(other.signIn)).toBeUndefined()
    const old = { email: asked.email, password: asked.password, from: address() }
    expect(problemOf(await signIn(old)).kind).toBe('wrong-credentials')
    expect((await signIn({ ...old, password: 'neap-tide-22' })).ok).toBe(true)
  })

  test('needs the present one, at its field', async () => {
    const { coach, signIn: kept } = await joined()
    const change = { current: 'not-it-at-all', next: 'neap-tide-22', keep: kept.id }
    expect(problemOf(await changePassword(coach, change))).toMatchObject({
      kind: 'invalid',
      errors: [{ pointer: '/current' }],
    })
    expect(await coachSignedIn(kept)).toBeDefined()
  })

  test('signing out everywhere leaves no sign-in behind', async () => {
    const { coach, signIn: kept } = await joined()
    const other = await startedSignIn(coach)
    valueOf(await signOutEverywhere(coach))
    expect(await Promise.all([kept, other.signIn].map(coachSignedIn))).toEqual([
      undefined,
      undefined,
    ])
  })
})

describe('attempts', () => {
  test('are counted by limit and key, and forgotten when asked', async () => {
    const [key, other] = [address(), address()]
    for (let at = 0; at < LIMITS.wrongPin.attempts; at++)
      valueOf(await countAttempt(LIMITS.wrongPin, key))
    expect((await isOpen(LIMITS.wrongPin, key)).ok).toBe(false)
    expect((await isOpen(LIMITS.wrongPin, other)).ok).toBe(true)
    expect((await isOpen(LIMITS.wrongPassword, key)).ok).toBe(true)
    await forgetAttempts(LIMITS.wrongPin, key)
    expect((await isOpen(LIMITS.wrongPin, key)).ok).toBe(true)
  })
})

describe('a clock that was ahead', () => {
  const DAY_MS = 86_400_000
  const LIMIT = LIMITS.wrongPin
  /** Used up by a clock that was so far ahead. */
  async function usedUp(key: string, aheadMs: number): Promise<void> {
    await database().execute(sql`insert into attempt_limits (key, points, expire)
      values (${`${LIMIT.name}:${key}`}, ${LIMIT.attempts + 1}, ${Date.now() + LIMIT.seconds * 1000 - 1000 + aheadMs})`)
  }
  test.each([
    ['is right', 0, false],
    ['was a day ahead', DAY_MS, true],
  ])('a limit used up while it %s', async (_, ahead, isOver) => {
    const key = address()
    await usedUp(key, ahead)
    expect((await isOpen(LIMIT, key)).ok).toBe(isOver)
    expect((await countAttempt(LIMIT, key)).ok).toBe(isOver)
    // Counting begins anew, and ends as it should.
    for (let at = 1; at < LIMIT.attempts; at++) await countAttempt(LIMIT, key)
    expect((await countAttempt(LIMIT, key)).ok).toBe(false)
  })
})

describe('messages', () => {
  test('lie in the outbox, newest first, and with their client', async () => {
    const { coach, client: of } = await unitStudio()
    const [joren, marit] = [of('Joren').id, of('Marit').id]
    valueOf(await writeMessage(coach, joren, 'The gym is closed on Friday.'))
    valueOf(await writeMessage(coach, marit, 'New handles have come.'))
    const all = valueOf(await outbox(coach)).messages.map(({ text }) => text)
    expect(all).toEqual(['New handles have come.', 'The gym is closed on Friday.'])
    const own = valueOf(await clientOutbox(coach, joren)).messages.map(({ text }) => text)
    expect(own).toEqual(['The gym is closed on Friday.'])
  })

  test('reach one’s own clients only', async () => {
    const { client: of } = await unitStudio()
    const other = await stranger()
    expect(problemOf(await writeMessage(other, of('Joren').id, 'Hello')).kind).toBe('not-found')
    expect(problemOf(await clientOutbox(other, of('Joren').id)).kind).toBe('not-found')
    expect(valueOf(await outbox(other)).messages).toEqual([])
  })
})

describe('a lost password', () => {
  const tokenOf = async (email: string) => (await resetLink(email))?.split('#')[1] ?? ''
  const set = (token: string, password = 'neap-tide-22') =>
    setNewPassword({ token, password }, address())

  test('is set anew by a link, once, and every sign-in ends', async () => {
    const asked = newcomer()
    const { coach, signIn: kept } = await joined(asked)
    const token = await tokenOf(asked.email.toUpperCase())
    valueOf(await set(token))
    expect(await coachSignedIn(kept)).toBeUndefined()
    const old = { email: asked.email, password: asked.password, from: address() }
    expect(problemOf(await signIn(old)).kind).toBe('wrong-credentials')
    expect(valueOf(await signIn({ ...old, password: 'neap-tide-22' })).coach.id).toBe(coach.id)
    expect(problemOf(await set(token, 'another-tide'))).toMatchObject({
      errors: [{ pointer: '/token' }],
    })
  })

  test('has one link at a time, good for an hour; of two who use it at once one does', async () => {
    const asked = newcomer()
    valueOf(await signUp(asked))
    const [first, second] = [await tokenOf(asked.email), await tokenOf(asked.email)]
    expect((await set(first)).ok).toBe(false)
    const both = await Promise.all([set(second), set(second)])
    expect(both.map(({ ok }) => ok).sort()).toEqual([false, true])
    const late = await tokenOf(asked.email)
    await database().execute(
      sql`update password_resets set expires_at = now() - interval '1 second'`,
    )
    expect((await set(late)).ok).toBe(false)
    expect(await resetLink('nobody@skerrylane.example')).toBeUndefined()
  })
})
