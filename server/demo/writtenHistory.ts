import { seededRandom } from '#core/base'
import type { PlainDate } from '#core/base'
import type { NewHistory } from '../db/queries/studio'
import { contextWith, methodById } from '#core/plan/method'
import { tiredBefore, tiredFor } from '#core/body/recovery-rate'
import { doneSession } from '#core/follow/review'
import { exposuresIn, historyOf } from './logWriter'
import { seededUuids } from './seededIds'
import type { DemoClient } from './studio'

/** Weeks of log that every client of the demo has at least. */
const LOGGED_WEEKS = 9

function seedOf(text: string): number {
  return [...text].reduce((sum, letter) => (sum * 33 + letter.charCodeAt(0)) >>> 0, 5)
}

/** The rows of a demo client's last weeks; the same for the same client and day. */
export function writtenHistory(
  client: DemoClient,
  today: PlainDate,
  weeks = LOGGED_WEEKS,
): NewHistory {
  // Chance goes by the name, so that a client's story is the same in every studio; ids go by the client's own.
  const random = seededRandom(seedOf(client.name))
  const newId = seededUuids(seededRandom(seedOf(client.id)))
  const context = contextWith(methodById(client.method), client.facts)
  const { formerBlock, sessions, pains, measurements } = historyOf(client.plan, client.blockId, {
    context,
    story: client.story,
    today,
    weeks,
    random,
    newId,
  })
  const tired = tiredBefore(
    sessions
      .filter(({ sets }) => sets.length > 0)
      .map(({ prescribed, sets, ...session }) => ({
        ...session,
        content: doneSession(prescribed, sets),
      })),
    context,
  )
  return {
    clientId: client.id,
    pains,
    measurements,
    closedBlocks: formerBlock
      ? [
          {
            id: formerBlock.id,
            plan: formerBlock.plan,
            closedAt: new Date(`${formerBlock.closedOn}T00:00:00Z`),
          },
        ]
      : [],
    sessions: sessions.map(({ sets: _sets, ...session }) => session),
    sets: sessions.flatMap(({ id, sets }) =>
      sets.map((set, at) => ({ ...set, sessionId: id, at })),
    ),
    exposures: sessions.flatMap(session =>
      exposuresIn(session, client.story.bodyKg ?? null).map(exposure => ({
        ...exposure,
        tired: tiredFor(exposure.exercise, tired.get(session.id), context),
        sessionId: session.id,
        on: session.on,
      })),
    ),
  }
}
