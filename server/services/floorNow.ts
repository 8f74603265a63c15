import { groupedBy, type PlainDate, type Result, success } from '#core/base'
import { floorProgress } from '#core/follow/floor'
import { requireExercise } from '#core/plan/catalogue'
import { floorPainWords, nextSetWords } from '#core/words'
import type { FloorNow } from '#shared/contracts/floor'
import type { Problem } from '#shared/contracts/problem'
import type { z } from 'zod'
import { currentTime } from '../clock'
import { database } from '../db/database'
import { clientNames } from '../db/queries/clients'
import { painsSince } from '../db/queries/health'
import { entriesOf } from '../db/queries/logEntries'
import { toldSince } from '../db/queries/messages'
import { type FloorPerson, floorPeople } from './floorPeople'
import type { Coach } from './signIn'

/** Pain said so long ago is still news on the floor. */
const NEWS_MS = 12 * 3_600_000

type Entries = readonly Awaited<ReturnType<typeof entriesOf>>[number][]

/** Where somebody is in her session, by what the phone said. */
function progressOf({ guest, what }: FloorPerson, entries: Entries) {
  const sets = entries.flatMap(({ at, word, outcome }) =>
    word.kind === 'set' && outcome === 'taken' && word.place.role === 'working'
      ? [{ at, slot: word.place.slot, set: word.place.set - 1 }]
      : [],
  )
  const said = sets.sort((a, b) => a.at.getTime() - b.at.getTime())
  const { done, of, next, lastEnds } = floorProgress(guest.content, guest.context, said)
  const name = next && requireExercise(guest.context.catalogue, next.exercise).name
  return {
    id: guest.id,
    done,
    of,
    next: next && name ? nextSetWords(name, next) : what,
    lastAt: said.at(-1)?.at.toISOString() ?? null,
    lastEnds,
  }
}

/** What a client was told after she had said something, the first and the last of it. */
const toldIn =
  (answers: Awaited<ReturnType<typeof toldSince>>) =>
  (client: string, kind: 'pain' | 'own', at: Date) => {
    const own = answers.filter(
      one => one.clientId === client && one.kind === kind && one.writtenAt >= at,
    )
    return { first: own.at(0)?.text ?? '', last: own.at(-1)?.text ?? '' }
  }

/** What somebody wrote while she trained. */
const notesIn = (
  { client, name }: FloorPerson,
  entries: Entries,
  toldTo: ReturnType<typeof toldIn>,
) =>
  entries.flatMap(({ id, at, word, outcome }) =>
    word.kind === 'note' && outcome === 'taken'
      ? [
          {
            id,
            client,
            name,
            at: at.toISOString(),
            text: word.text,
            told: toldTo(client, 'own', at).last,
          },
        ]
      : [],
  )

/** Where everybody is who has begun, what hurts since this morning, and what was written. */
export async function floorNow(
  coach: Coach,
  today: PlainDate,
): Promise<Result<z.input<typeof FloorNow>, Problem>> {
  const db = database()
  const since = new Date(currentTime().getTime() - NEWS_MS)
  const [{ people }, pains, answers] = await Promise.all([
    floorPeople(coach, today, today),
    painsSince(db, coach.id, since),
    toldSince(db, coach.id, since),
  ])
  const sent = people.flatMap(({ sent: id }) => id ?? [])
  const hurt = pains.map(({ clientId }) => clientId)
  const [entries, names] = await Promise.all([
    entriesOf(db, coach.id, sent),
    clientNames(db, coach.id, hurt),
  ])
  const bySession = groupedBy(entries, ({ session }) => session)
  const entriesFor = ({ sent: id }: FloorPerson) => bySession.get(id ?? '') ?? []
  const toldTo = toldIn(answers)
  return success({
    sessions: people
      .filter(person => bySession.has(person.sent ?? ''))
      .map(person => progressOf(person, entriesFor(person))),
    pains: pains.map(pain => ({
      id: pain.id,
      client: pain.clientId,
      name: names.get(pain.clientId) ?? '',
      at: pain.at.toISOString(),
      words: floorPainWords(pain),
      told: toldTo(pain.clientId, 'pain', pain.at).first,
    })),
    wrote: people
      .flatMap(person => notesIn(person, entriesFor(person), toldTo))
      .sort((a, b) => b.at.localeCompare(a.at)),
  })
}
