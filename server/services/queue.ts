import { type ClientId, failure, type PlainDate, type Result, success } from '#core/base'
import {
  byQueue,
  passEnd,
  passToReview,
  type QueueRotation,
  queueItems,
  safeChanges,
  type SafeFacts,
  toDecide,
  unseen,
} from '#core/follow/queue'
import { type Adjustment, adjustmentKey } from '#core/follow/review'
import { adjustmentReason, adjustmentWords, notSafeWords, queueWhy } from '#core/words'
import type { Problem } from '#shared/contracts/problem'
import type { QueueEntry, QueueView, SafeAnswer, SafeBody, SeenBody } from '#shared/contracts/queue'
import { LRUCache } from 'lru-cache'
import type { z } from 'zod'
import { database } from '../db/database'
import { keepSeen } from '../db/queries/clients'
import { lastSent } from '../db/queries/blockSessions'
import { decidedStamps } from '../db/queries/decisions'
import { decideProposal, openReview } from './review'
import { type Known, knownClients, needsOf } from './roster'
import type { Coach } from './signIn'

type Reviewed = NonNullable<Awaited<ReturnType<typeof openReview>>>

/** Reviews are remembered under the versions they were made from, as rosters are. */
const reviews = new LRUCache<string, { readonly of: Reviewed | null }>({ max: 5000 })

const sessionsMissed = ({ sessions }: Known, needs: ReturnType<typeof needsOf>) =>
  needs.flatMap(need =>
    need.kind === 'missed_session'
      ? sessions.filter(({ id }) => id === need.session).map(({ pass }) => pass)
      : [],
  )

/** Which rotation of a client is looked back at; null where nothing of the block was ever sent. */
function passOf(known: Known, today: PlainDate): number | null {
  const { plan, sessions } = known
  if (!plan || !sessions.some(({ sentOn }) => sentOn !== null)) return null
  const block = { startsOn: plan.startsOn, lengthDays: plan.days.length, passes: plan.passes }
  return passToReview(block, sessionsMissed(known, needsOf(known)), today)
}

/**
 * Reviews one after the other, the worst first.
 *
 * Units: ms that logs are waited for; who was not reached in this time is not in it yet, and `unread` counts them.
 */
export async function queue(
  coach: Coach,
  today: PlainDate,
  patienceMs = Infinity,
): Promise<QueueView> {
  const until = performance.now() + patienceMs
  const [known, stamps, sent] = await Promise.all([
    knownClients(coach, today, patienceMs),
    decidedStamps(database(), coach.id),
    lastSent(database(), coach.id),
  ])
  const entries: Placed[] = []
  let unread = 0
  let read = 0
  for (const one of known.filter(({ line }) => !isLater(line, today))) {
    const reviewed = await reviewOf(coach, one, {
      today,
      stamp: stamps.get(one.line.id) ?? '',
      isOver: () => read > 0 && performance.now() > until,
    })
    if (reviewed === 'unread') unread += 1
    else {
      read += 1
      entries.push(...placed(one, reviewed, { today, sentAt: sent.get(one.line.id) }))
    }
  }
  const behind = entries.filter(({ entry }) => entry.isBehind)
  const waiting = entries.filter(({ entry }) => !entry.isBehind).sort(byQueue)
  return {
    entries: [...behind, ...waiting].map(({ entry }) => entry),
    unread,
    next: waiting.length === 0 ? nextEnd(known, today) : null,
  }
}

const isLater = ({ laterUntil }: Known['line'], today: PlainDate) =>
  laterUntil !== null && laterUntil > today

async function reviewOf(
  coach: Coach,
  known: Known,
  {
    today,
    stamp,
    isOver,
  }: { readonly today: PlainDate; readonly stamp: string; readonly isOver: () => boolean },
): Promise<Reviewed | null | 'unread'> {
  const pass = passOf(known, today)
  if (pass === null) return null
  const key = [known.versions, pass, known.clearances.length, stamp].join(' ')
  const held = reviews.get(key)
  if (held) return held.of
  if (isOver()) return 'unread'
  const of = await openReview(coach, known.line.id, pass, today)
  reviews.set(key, { of })
  return of
}

interface Placed {
  readonly entry: QueueEntry
  readonly name: string
  readonly items: ReturnType<typeof queueItems>
  readonly needs: ReturnType<typeof needsOf>
}

interface Looked {
  readonly today: PlainDate
  readonly sentAt: Date | undefined
}

/** A client as the queue has her; none where there is nothing to look at and nothing was today. */
function placed(known: Known, reviewed: Reviewed | null, looked: Looked): readonly Placed[] {
  const { line } = known
  const needs = needsOf(known)
  const rotation = rotationOf(known, reviewed)
  const open = toDecide(reviewed?.open ?? [])
  const items = queueItems({ today: looked.today, needs, rotation, open })
  const left = unseen(items, line.seen?.keys ?? [])
  const isBehind = left.length === 0
  if (isBehind && line.seen?.on !== looked.today) return []
  const nameOf = (exercise: string) => reviewed?.catalogue.get(exercise)?.name ?? exercise
  const { today } = looked
  return [
    {
      name: line.name,
      needs,
      items: left,
      entry: {
        id: line.id,
        name: line.name,
        about: line.about,
        pass: rotation?.pass ?? null,
        block: line.blockId,
        version: line.version,
        why: [...queueWhy({ items: left, needs, open, rotation, today, nameOf })],
        keys: items.map(({ key }) => key),
        isBehind,
        ...whatCame(reviewed, looked),
        ...safeOf({
          open: isBehind || rotation === null || rotation.to >= today ? [] : open,
          of: open.length,
          pain: reviewed?.pain,
          missed: items.filter(({ kind }) => kind === 'missed').length,
          nameOf,
        }),
      },
    },
  ]
}

/** What was taken after the rotation, and whether what follows from it is with the client. */
function whatCame(
  reviewed: Reviewed | null,
  { sentAt }: Looked,
): Pick<QueueEntry, 'changed' | 'isSent' | 'toSend'> {
  if (!reviewed) return { changed: 0, isSent: false, toSend: [] }
  const { taken, toSend } = reviewed
  const [last] = taken
  const isSince = last !== undefined && sentAt !== undefined && sentAt > last.decidedAt
  return {
    changed: taken.length,
    isSent: isSince && toSend.length === 0,
    toSend: [...toSend],
  }
}

/** What can be taken with that of others, or why nothing can. */
function safeOf({
  of,
  nameOf,
  ...facts
}: SafeFacts & {
  /** Proposals to decide about in all. */
  readonly of: number
  readonly nameOf: (exercise: string) => string
}): Pick<QueueEntry, 'safe' | 'notSafe' | 'isSettledBySafe'> {
  const { safe, not } = safeChanges(facts)
  return {
    safe: safe.map(one => safeLine(one, nameOf)),
    notSafe: not ? notSafeWords(not) : '',
    isSettledBySafe: safe.length > 0 && safe.length === of,
  }
}

const safeLine = (one: Adjustment, nameOf: (exercise: string) => string) => ({
  key: adjustmentKey(one),
  words: adjustmentWords(one, nameOf),
  why: adjustmentReason(one),
})

function rotationOf({ line, plan }: Known, reviewed: Reviewed | null): QueueRotation | null {
  if (!reviewed || !plan || !line.blockId) return null
  return { block: line.blockId, pass: reviewed.pass, to: reviewed.to }
}

/** Whose rotation ends next, where nobody waits. */
function nextEnd(known: readonly Known[], today: PlainDate): QueueView['next'] {
  const ends = known.flatMap(({ line, plan }) => {
    if (!plan) return []
    const block = { startsOn: plan.startsOn, lengthDays: plan.days.length }
    return Array.from({ length: plan.passes }, (_, pass) => passEnd(block, pass))
      .filter(on => on >= today)
      .slice(0, 1)
      .map(on => ({ name: line.name, on }))
  })
  return ends.sort((a, b) => (a.on < b.on ? -1 : Number(a.on > b.on)))[0] ?? null
}

/** A client is behind: what was there to look at does not come again. */
export async function markSeen(
  coach: Coach,
  client: ClientId,
  { keys }: z.output<typeof SeenBody>,
  today: PlainDate,
): Promise<Result<{ isDone: true }, Problem>> {
  const isThere = await keepSeen(database(), coach.id, client, { on: today, keys })
  return isThere ? success({ isDone: true }) : failure({ kind: 'not-found', what: 'client' })
}

/** Takes changes of many clients at once: those that are still safe as it is now; the others are left out and told. */
export async function takeSafe(
  coach: Coach,
  { changes }: z.output<typeof SafeBody>,
  today: PlainDate,
): Promise<Result<z.input<typeof SafeAnswer>, Problem>> {
  const offered = new Map((await queue(coach, today)).entries.map(entry => [entry.id, entry]))
  const left: { name: string; why: string }[] = []
  const settled = new Map<ClientId, number>()
  let count = 0
  for (const { client, pass, key } of changes) {
    const entry = offered.get(client)
    const change = entry?.safe.find(one => one.key === key)
    if (!entry || !change || entry.pass !== pass) {
      if (entry) left.push({ name: entry.name, why: 'It changed meanwhile. Look at the review.' })
      continue
    }
    const version = settled.get(client) ?? entry.version ?? 1
    const body = { key, decision: 'taken', isOnce: false, reason: '', version } as const
    const taken = await decideProposal(coach, client, pass, body, today)
    if (taken.ok) {
      settled.set(client, taken.value.version)
      count += 1
    } else left.push({ name: entry.name, why: `${change.words} no longer follows from the log.` })
  }
  for (const client of settled.keys())
    await seenWhereSettled(coach, client, { changes, offered, today })
  return success({ taken: count, clients: settled.size, left })
}

/** Who had nothing but what was taken is behind. */
async function seenWhereSettled(
  coach: Coach,
  client: ClientId,
  {
    changes,
    offered,
    today,
  }: {
    readonly changes: z.output<typeof SafeBody>['changes']
    readonly offered: ReadonlyMap<ClientId, QueueEntry>
    readonly today: PlainDate
  },
): Promise<void> {
  const entry = offered.get(client)
  const taken = changes.filter(one => one.client === client).map(({ key }) => key)
  if (!entry?.isSettledBySafe || !entry.safe.every(({ key }) => taken.includes(key))) return
  await keepSeen(database(), coach.id, client, { on: today, keys: entry.keys })
}
