import { randomUUID } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import { blockId, clientId } from '#core/base'
import { toDecide } from '#core/follow/queue'
import { adjustmentKey } from '#core/follow/review'
import type { QueueEntry } from '#shared/contracts/queue'
import {
  problemOf,
  stranger,
  unitStudio,
  type UnitStudio,
  useTestDatabase,
  valueOf,
} from '../testing/database'
import { send } from './blocks'
import { lastChanges, recorded, redoChange, undoChange } from './changes'
import { reportPain } from './history'
import { markSeen, queue, takeSafe } from './queue'
import { decideProposal, review } from './review'

useTestDatabase()

const LOGGED = ['Ines', 'Joren', 'Oskar', 'Ruben', 'Kaja', 'Amara']
const everybody = () => unitStudio({ logsOf: LOGGED })
const seen = ({ coach, today }: UnitStudio) => queue(coach, today)
const waiting = (entries: readonly QueueEntry[]) => entries.filter(({ isBehind }) => !isBehind)
const find = (entries: readonly QueueEntry[], name: string) => {
  const found = entries.find(entry => entry.name.startsWith(name))
  if (!found) throw new Error(`${name} is not in the queue`)
  return found
}
const safeOf = (entries: readonly QueueEntry[]) =>
  entries.flatMap(entry =>
    entry.safe.map(({ key }) => ({ client: entry.id, pass: entry.pass ?? 0, key })),
  )
/** Puts somebody behind, as the route does. */
const pass = ({ coach, today }: UnitStudio, { id, keys }: QueueEntry) =>
  recorded(coach, { clientId: id, kind: 'seen' }, () => markSeen(coach, id, { keys }, today))

describe('the queue', () => {
  test('says of everybody what her own review says, and nothing of who has nothing', async () => {
    const studio = await everybody()
    const { entries, unread } = await seen(studio)
    expect(unread).toBe(0)
    expect(waiting(entries).length).toBeGreaterThan(3)
    for (const entry of entries) {
      const own = valueOf(
        await review(studio.coach, entry.id, entry.pass ?? 'latest', studio.today),
      )
      const open = toDecide(
        own.review.adjustments.filter(one => own.open.includes(adjustmentKey(one))),
      )
      const told = entry.keys.filter(key => key.startsWith('proposal'))
      // A rotation that is not over has no proposals yet.
      const due = own.review.to < studio.today ? open.length : 0
      expect(told).toHaveLength(due)
      expect(entry.toSend).toEqual(own.toSend)
      for (const { key } of entry.safe)
        expect(open.find(one => adjustmentKey(one) === key)?.confidence).toBe('strong')
    }
  })

  test('with little patience it says how many are still to be read, and has them the next time', async () => {
    const studio = await everybody()
    const first = await queue(studio.coach, studio.today, 0)
    expect(first.unread).toBeGreaterThan(0)
    const whole = await seen(studio)
    expect(whole.unread).toBe(0)
    expect(waiting(whole.entries).length).toBeGreaterThan(waiting(first.entries).length)
    expect((await queue(studio.coach, studio.today, 0)).unread).toBe(0)
  })

  test('who was looked at is behind for the day, and is gone the next', async () => {
    const studio = await everybody()
    const before = waiting((await seen(studio)).entries)
    const [one] = before
    valueOf(await pass(studio, one!))
    const after = (await seen(studio)).entries
    expect(find(after, one!.name)).toMatchObject({ isBehind: true, changed: 0, isSent: false })
    expect(waiting(after)).toHaveLength(before.length - 1)
    const { undo } = valueOf(await lastChanges(studio.coach, 'anyone'))
    expect(undo?.did).toMatch(/^client put behind in the queue, \S+$/)
    valueOf(await undoChange(studio.coach, 'anyone', undo!.id))
    expect(waiting((await seen(studio)).entries)).toEqual(before)
    valueOf(await redoChange(studio.coach, 'anyone', undo!.id))
    expect(waiting((await seen(studio)).entries)).toHaveLength(before.length - 1)
  })

  test('pain that comes after brings her back, first of all', async () => {
    const studio = await everybody()
    const calm = waiting((await seen(studio)).entries).at(-1)!
    valueOf(await pass(studio, calm))
    valueOf(
      await reportPain(
        studio.coach,
        calm.id,
        {
          joint: 'low_back',
          side: 'both',
          score: 8,
          hasAlarmSign: false,
          nextMorning: null,
          on: studio.today,
        },
        studio.today,
      ),
    )
    const [first] = waiting((await seen(studio)).entries)
    expect(first).toMatchObject({ id: calm.id, safe: [] })
    expect(first?.why[0]).toMatchObject({ kind: 'pain' })
  })

  test('what was taken and sent since is told as sent, what was only taken is not', async () => {
    const studio = await everybody()
    const take = async (one: QueueEntry) => {
      const key = one.keys.find(isProposal)!.split(' ').slice(3).join(' ')
      const body = { key, decision: 'taken', isOnce: false, reason: '' } as const
      const asked = { ...body, version: one.version! }
      valueOf(await decideProposal(studio.coach, one.id, one.pass!, asked, studio.today))
      return find((await seen(studio)).entries, one.name)
    }
    const open = (await seen(studio)).entries.filter(({ keys }) => keys.some(isProposal))
    const all = []
    for (const one of open) all.push(await take(one))
    for (const one of all) expect(one).toMatchObject({ changed: 1, isSent: false })
    const taken = all.find(({ toSend }) => toSend.length > 0)!
    for (const { pass: at, again } of taken.toSend)
      valueOf(
        await send(studio.coach, blockId(taken.block!), {
          pass: at,
          version: taken.version!,
          again,
        }),
      )
    expect(find((await seen(studio)).entries, taken.name)).toMatchObject({
      isSent: true,
      toSend: [],
    })
  })

  test('another coach’s clients are nobody’s', async () => {
    const studio = await everybody()
    const [one] = (await seen(studio)).entries
    const other = await stranger()
    expect((await queue(other, studio.today)).entries).toEqual([])
    const put = await markSeen(other, one!.id, { keys: [] }, studio.today)
    expect(problemOf(put).kind).toBe('not-found')
    const taken = await takeSafe(other, { changes: safeOf([one!]) }, studio.today)
    expect(valueOf(taken)).toEqual({ taken: 0, clients: 0, left: [] })
  })
})

describe('what is safe for all', () => {
  const take = (studio: UnitStudio, changes: ReturnType<typeof safeOf>) =>
    recorded(studio.coach, { clientId: null, kind: 'safe_changes' }, () =>
      takeSafe(studio.coach, { changes }, studio.today),
    )

  test('is taken for all at once, settles who had nothing else, and one undo takes all of it back', async () => {
    const studio = await everybody()
    const before = (await seen(studio)).entries
    const changes = safeOf(before)
    const owners = new Set(changes.map(({ client }) => client))
    expect(owners.size).toBeGreaterThan(1)
    const answer = valueOf(await take(studio, changes))
    expect(answer).toEqual({ taken: changes.length, clients: owners.size, left: [] })
    const after = (await seen(studio)).entries
    expect(safeOf(after)).toEqual([])
    for (const entry of before.filter(({ id }) => owners.has(id))) {
      const now = find(after, entry.name)
      expect(now.isBehind).toBe(entry.isSettledBySafe)
      expect(now.changed).toBe(entry.safe.length)
      expect(now.version).toBeGreaterThan(entry.version!)
      // Nothing was sent since.
      expect(now.isSent).toBe(false)
    }
    const { undo } = valueOf(await lastChanges(studio.coach, 'anyone'))
    valueOf(await undoChange(studio.coach, 'anyone', undo!.id))
    const back = (await seen(studio)).entries
    expect(back.map(({ version: _, ...entry }) => entry)).toEqual(
      before.map(({ version: _, ...entry }) => entry),
    )
  })

  test('what was decided meanwhile is left out and told; the others are taken', async () => {
    const studio = await everybody()
    const changes = safeOf((await seen(studio)).entries)
    const [first, ...others] = changes
    const entry = (await seen(studio)).entries.find(({ id }) => id === first!.client)!
    const body = { key: first!.key, decision: 'refused', isOnce: false, reason: '' } as const
    valueOf(
      await decideProposal(
        studio.coach,
        first!.client,
        first!.pass,
        { ...body, version: entry.version! },
        studio.today,
      ),
    )
    const unknown = { client: clientId(randomUUID()), pass: 0, key: 'A1 biceps sets 1' }
    const answer = valueOf(await take(studio, [...changes, unknown]))
    expect(answer.taken).toBe(others.length)
    expect(answer.left).toEqual([
      { name: entry.name, why: 'It changed meanwhile. Look at the review.' },
    ])
  })

  test('what is not safe is not taken, whatever is asked for', async () => {
    const studio = await everybody()
    const { entries } = await seen(studio)
    const unsafe = entries.find(({ keys, safe }) => safe.length === 0 && keys.some(isProposal))!
    const key = unsafe.keys.find(isProposal)!.split(' ').slice(3).join(' ')
    const answer = valueOf(await take(studio, [{ client: unsafe.id, pass: unsafe.pass ?? 0, key }]))
    expect(answer.taken).toBe(0)
    expect(find((await seen(studio)).entries, unsafe.name)).toEqual(unsafe)
  })
})
const isProposal = (key: string) => key.startsWith('proposal')
