import { randomUUID } from 'node:crypto'
import {
  type ClientId,
  failure,
  groupedBy,
  type Result,
  sessionId,
  slotId,
  success,
} from '#core/base'
import { farFromOwn } from '#core/body/log'
import { farSentence } from '#core/follow/sheet'
import { kilogramsOf } from '#core/plan/estimate'
import { logRows } from '#core/exchange/exports'
import type { ImportedSet } from '#core/exchange/imports'
import { sessionSlots } from '#core/plan/session'
import type { ImportLogAnswer, ImportLogBody } from '#shared/contracts/log'
import type { FieldError, Problem } from '#shared/contracts/problem'
import { csvOf } from '#shared/exports/csv'
import type { z } from 'zod'
import { sessionDocument } from '../db/documents'
import { serverToday } from '../clock'
import { database } from '../db/database'
import { clientName } from '../db/queries/clients'
import { wholeLog } from '../db/queries/logEntries'
import { blockForLog, type FilledSession, insertLog, sessionsOn } from '../db/queries/logImport'
import type { ExportedFile } from './exports'
import type { Coach } from './signIn'
import { studioSettings } from './studioSettings'

type Found = Awaited<ReturnType<typeof sessionsOn>>[number]

/** The session of a day that sets belong to: the one of that name, else the only one there is. */
function sessionFor(found: readonly Found[], name: string): Found | undefined {
  const named = found.find(session => session.name.toLowerCase() === name.toLowerCase())
  return named ?? (name === '' && found.length === 1 ? found[0] : undefined)
}

function rowsOf(sets: readonly ImportedSet[], session: Found | undefined): FilledSession['sets'] {
  const slots = session ? sessionSlots(sessionDocument(session.prescribed)) : []
  return sets.map(({ on: _on, session: _name, load, ...set }) => ({
    ...set,
    slot:
      slots.find(
        slot =>
          slot.exercise === set.exercise && (set.intent === null || slot.intent === set.intent),
      )?.id ?? slotId(set.exercise),
    loadKg: load && kilogramsOf(load),
    unit: load?.unit ?? 'kg',
  }))
}

const MOST_QUESTIONS = 50

/**
 * Rows with a load or a count far outside what the client has done of the exercise, in this file and before.
 * First parts of working sets speak; drops and warm-ups are lighter on purpose.
 */
export function importQuestions(
  sets: readonly ImportedSet[],
  before: readonly KnownSet[],
): z.output<typeof ImportLogAnswer>['questions'] {
  const isLead = ({ role, stage }: { role: string; stage: number }) =>
    role === 'working' && stage === 1
  const kg = ({ load }: ImportedSet) => load && kilogramsOf(load)
  const known = groupedBy(
    [...before.filter(isLead), ...sets.filter(isLead).map(set => ({ ...set, loadKg: kg(set) }))],
    ({ exercise }) => exercise,
  )
  return sets
    .flatMap((set, at) => {
      const own = isLead(set) ? (known.get(set.exercise) ?? []) : []
      const values = (of: (one: (typeof own)[number]) => number | null) =>
        own.map(of).filter(value => value !== null)
      const [load, count] = [kg(set), set.reps ?? set.seconds ?? 0]
      const usualKg =
        load === null
          ? null
          : farFromOwn(
              'load',
              load,
              values(one => one.loadKg),
            )
      const usual = farFromOwn(
        'count',
        count,
        values(one => one.reps ?? one.seconds),
      )
      const field = set.reps === null ? 'seconds' : 'reps'
      return [
        ...(load !== null && usualKg !== null
          ? [farSentence('load', { value: load, usual: usualKg, unit: ' kg' })]
          : []),
        ...(usual === null ? [] : [farSentence(field, { value: count, usual, unit: '' })]),
      ].map(detail => ({ row: at + 1, detail }))
    })
    .slice(0, MOST_QUESTIONS)
}
type KnownSet = Pick<
  Awaited<ReturnType<typeof wholeLog>>[number],
  'exercise' | 'role' | 'stage' | 'loadKg' | 'reps' | 'seconds'
>

/** Takes a log from a file in: sets go to the sessions of their days, days without one get one. */
export async function importLog(
  coach: Coach,
  client: ClientId,
  { isTrial, sets }: ImportLogBody,
): Promise<Result<z.output<typeof ImportLogAnswer>, Problem>> {
  const db = database()
  const [known, settings, blockId, found, before] = await Promise.all([
    clientName(db, coach.id, client),
    studioSettings(db, coach.id),
    blockForLog(db, coach.id, client, serverToday()),
    sessionsOn(db, coach.id, client, [...new Set(sets.map(({ on }) => on))]),
    isTrial ? wholeLog(db, coach.id, client) : [],
  ])
  if (!known || !blockId) return failure({ kind: 'not-found', what: 'client' })
  const errors: FieldError[] = sets.flatMap(({ exercise }, at) =>
    settings.catalogue.has(exercise)
      ? []
      : [
          {
            pointer: `/sets/${at}/exercise`,
            kind: 'custom',
            detail: `exercise ${exercise} is not in your library.`,
          },
        ],
  )
  const groups = [...groupedBy(sets, ({ on, session }) => `${on} ${session}`).values()]
  const sessions = groups.flatMap((own): FilledSession[] => {
    const [first] = own
    if (!first) return []
    const ofDay = found.filter(({ on }) => on === first.on)
    const session = sessionFor(ofDay, first.session)
    if (session && session.sets > 0) {
      errors.push({
        pointer: `/sets/${sets.indexOf(first)}/on`,
        kind: 'already-logged',
        detail: `${session.name} of ${first.on} has a log already. Take its rows out of the file, or put it right on the Log page.`,
      })
      return []
    }
    const id = session?.id ?? randomUUID()
    return [
      {
        id,
        on: first.on,
        name: session?.name ?? (first.session || 'Imported'),
        sets: rowsOf(own, session),
        added: session
          ? null
          : { blockId, place: ofDay.length, prescribed: { id: sessionId(id), groupings: [] } },
      },
    ]
  })
  if (errors.length > 0) return failure({ kind: 'invalid', errors: errors.slice(0, 50) })
  if (!isTrial) await insertLog(db, coach.id, client, sessions)
  return success({
    sets: sets.length,
    found: sessions.filter(({ added }) => !added).length,
    added: sessions.filter(({ added }) => added).length,
    questions: isTrial ? importQuestions(sets, before) : [],
  })
}

/** The whole log of a client as a table. */
export async function exportLog(
  coach: Coach,
  client: ClientId,
): Promise<Result<ExportedFile, Problem>> {
  const db = database()
  const [known, settings, sets] = await Promise.all([
    clientName(db, coach.id, client),
    studioSettings(db, coach.id),
    wholeLog(db, coach.id, client),
  ])
  if (!known) return failure({ kind: 'not-found', what: 'client' })
  return success({
    name: `${
      known.name
        .normalize('NFKD')
        .replace(/[^\w -]/g, '')
        .trim()
        .replace(/\s+/g, '-')
        .toLowerCase() || 'client'
    }-log.csv`,
    type: 'text/csv; charset=utf-8',
    text: csvOf(logRows(sets, settings.catalogue)),
  })
}
