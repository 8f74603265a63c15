import { randomUUID } from 'node:crypto'
import { readdirSync } from 'node:fs'
import { join, relative } from 'node:path'
import type { APIRequestContext } from '@playwright/test'
import { EXERCISES } from '#core/plan/catalogue'
import { METHODS } from '#core/plan/method'
import { currentTime, serverToday } from '../../server/clock'
import { NO_TARGETS } from './noTargets'
import { newStudio, type TestStudio } from './studio'

const API = join(import.meta.dirname, '../../server/api')

export interface RouteFile {
  readonly file: string
  readonly method: string
  readonly path: string
}

/** Path and method of every route file, `clients/[clientId]/index.get.ts` among them. */
export function routes(folder = API): readonly RouteFile[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry => {
    const full = join(folder, entry.name)
    if (entry.isDirectory()) return routes(full)
    const file = relative(API, full)
    const [, stem = '', method = ''] = /^(.*)\.(get|post|put|patch|delete)\.ts$/.exec(file) ?? []
    return method === ''
      ? []
      : [
          {
            file,
            method: method.toUpperCase(),
            path: `/api/${stem.replace(/(^|\/)index$/, '')}`.replace(/\/$/, ''),
          },
        ]
  })
}

/** Routes anybody may ask. */
export const OPEN = [
  'demo.post.ts',
  'sheet/open.post.ts',
  'health.get.ts',
  'ready.get.ts',
  'sign-in.post.ts',
  'sign-out.post.ts',
  'sign-up.post.ts',
  'new-password.post.ts',
  'shown/look.post.ts',
  'calendar/[token].get.ts',
]

/** What another coach owns, one of each kind that an id can name. */
export interface Owned {
  readonly studio: TestStudio
  readonly ids: Readonly<Record<string, string>>
}

/** The ids a path names put in. */
export const pathWith = (path: string, ids: Readonly<Record<string, string>>) =>
  path.replace(/\[(\w+)\]/g, (_, name: string) => ids[name] ?? randomUUID())

/** Names of the ids in a path. */
export const idsIn = (path: string): readonly string[] =>
  [...path.matchAll(/\[(\w+)\]/g)].map(([, name = '']) => name)

/** A studio with an exercise, a method and a measurement of its own besides the demo's clients and sessions. */
export async function owned(playwright: {
  request: { newContext: (options: { baseURL: string }) => Promise<APIRequestContext> }
}): Promise<Owned> {
  const studio = await newStudio('logged')
  const asking = await playwright.request.newContext({ baseURL: process.env.BASE_URL! })
  await asking.post('/api/sign-in', { data: { email: studio.email, password: studio.password } })
  const { id: clientId, blockId } = studio.client('Marit')
  const { id: _id, ...curl } = EXERCISES[0]
  const made = async (path: string, data: object) =>
    ((await (await asking.post(path, { data })).json()) as { id: string }).id
  const history = (await (await asking.get(`/api/clients/${clientId}/history`)).json()) as {
    sessions: { id: string; state: string }[]
    measurements: { id: string }[]
  }
  const kept = async (what: 'notes' | 'goals', data: object) => {
    const path = `/api/clients/${clientId}/${what}`
    await asking.post(path, { data })
    const all = (await (await asking.get(path)).json()) as Record<string, { id: string }[]>
    return all[what]![0]!.id
  }
  const first = async (path: string, list: string) =>
    ((await (await asking.get(path)).json()) as Record<string, { id: string }[]>)[list]![0]!.id
  const shown = { kind: 'plan', block: null, pass: null, withHealth: false, days: null }
  await asking.post(`/api/clients/${clientId}/shown`, { data: shown })
  await asking.post(`/api/clients/${clientId}/messages`, { data: { text: 'Theirs' } })
  return {
    studio,
    ids: {
      clientId,
      shownId: await first(`/api/clients/${clientId}/shown`, 'links'),
      messageId: await first('/api/outbox', 'messages'),
      noteId: await kept('notes', { on: today, session: null, text: 'Theirs' }),
      goalId: await kept('goals', {
        words: '',
        measure: { kind: 'measurement', of: 'waist' },
        target: 80,
        by: '2030-01-07',
      }),
      blockId,
      version: '1',
      pass: '0',
      group: 'triceps',
      kind: 'csv',
      exerciseId: await made('/api/exercises', { ...curl, name: 'Wall curl' }),
      methodId: await made('/api/methods', { from: 'steady-middle', name: 'Theirs' }),
      sessionId: history.sessions.find(({ state }) =>
        ['planned', 'sent', 'opened'].includes(state),
      )!.id,
      measurementId: history.measurements[0]!.id,
      planTemplateId: await made('/api/plan-templates', {
        name: 'Theirs',
        reason: '',
        block: blockId,
        part: 'rotation',
      }),
      templateId: await made('/api/session-templates', {
        name: 'Theirs',
        reason: '',
        content: studio.client('Marit').plan.rotation.days[3]!.sessions[0]!,
      }),
    },
  }
}

/** Bodies that the door lets in, so that ownership is what decides. */
const today = serverToday()
const CREDITS = { intent: null, client: null, credits: { biceps: 1 } }
export const BODIES: Readonly<Record<string, (of: TestStudio) => unknown>> = {
  'blocks/[blockId]/plan.put.ts': of => ({ version: 1, plan: of.client('Marit').plan }),
  'blocks/[blockId]/send.post.ts': () => ({ pass: 5, version: 1, again: false }),
  'blocks/[blockId]/draft.put.ts': () => ({ version: 1, modes: {}, ends: {}, baseWeeks: null }),
  'blocks/[blockId]/phase.put.ts': () => ({ version: 1, phase: null }),
  'blocks/[blockId]/draft.post.ts': () => ({ version: 1 }),
  'blocks/[blockId]/seam.post.ts': () => ({ by: 1 }),
  'blocks/[blockId]/seam-fix.post.ts': () => ({ fix: 'soften', version: 1 }),
  'blocks/[blockId]/next.post.ts': () => ({
    version: 1,
    title: 'Mine now',
    startsOn: '2030-01-07',
    weeks: 8,
    from: 'first',
    modes: {},
  }),
  'clients/[clientId]/profile.put.ts': of => {
    const { profile } = of.client('Marit')
    return { mine: profile, was: profile }
  },
  'clients/[clientId]/index.delete.ts': () => ({ name: 'Marit Solheim-Okafor' }),
  'clients/[clientId]/notes/index.post.ts': () => ({ on: today, session: null, text: 'Hello' }),
  'clients/[clientId]/goals/index.post.ts': () => ({
    words: '',
    measure: { kind: 'measurement', of: 'waist' },
    target: 80,
    by: '2030-01-07',
  }),
  'clients/[clientId]/changes/undo.post.ts': () => ({ change: randomUUID() }),
  'clients/[clientId]/changes/redo.post.ts': () => ({ change: randomUUID() }),
  'clients/[clientId]/sides.put.ts': () => ({ exercise: 'cable_curl', sides: null }),
  'clients/[clientId]/method.put.ts': () => ({ method: 'steady-middle' }),
  'clients/[clientId]/marks.put.ts': () => ({ isFlagged: true, laterUntil: null }),
  'clients/[clientId]/targets.put.ts': () => ({ mine: NO_TARGETS, was: NO_TARGETS }),
  'clients/[clientId]/pain.post.ts': () => ({
    joint: 'wrist',
    side: 'left',
    score: 8,
    nextMorning: null,
    hasAlarmSign: false,
    on: today,
  }),
  'clients/[clientId]/clearances.post.ts': () => ({
    joint: 'wrist',
    on: today,
    profession: 'physician',
    limits: '',
  }),
  'clients/[clientId]/measurements/index.post.ts': () => ({ on: today, kind: 'waist', value: 80 }),
  'clients/[clientId]/sessions/[sessionId]/decision.put.ts': () => ({ decision: 'drop' }),
  'blocks/[blockId]/revisions/[version]/name.put.ts': () => ({ name: 'Mine now' }),
  'clients/[clientId]/link/index.post.ts': () => ({ pin: null, days: null }),
  'clients/[clientId]/messages/index.post.ts': () => ({ text: 'Mine now' }),
  'clients/[clientId]/log/import.post.ts': () => ({
    isTrial: false,
    sets: [
      {
        on: '2026-04-03',
        session: '',
        exercise: 'cable_curl',
        intent: null,
        set: 1,
        stage: 1,
        side: null,
        role: 'working',
        load: null,
        reps: 10,
        seconds: null,
        rir: null,
        isRirOpen: false,
      },
    ],
  }),
  'clients/[clientId]/sessions/[sessionId]/entries.post.ts': () => ({
    sentAt: currentTime().toISOString(),
    entries: [
      {
        id: randomUUID(),
        session: randomUUID(),
        at: currentTime().toISOString(),
        word: { kind: 'opened' },
      },
    ],
  }),
  'clients/[clientId]/review/[pass]/decide.post.ts': () => ({
    key: 'A11 biceps go_on ',
    decision: 'refused',
    reason: '',
    version: 1,
  }),
  'clients/[clientId]/review/[pass]/replan.post.ts': () => ({
    session: randomUUID(),
    option: 'drop',
    version: 1,
  }),
  'clients/[clientId]/review/[pass]/confirm.post.ts': () => ({
    exercise: 'cable_curl',
    on: today,
    value: 40,
  }),
  'clients/[clientId]/pace.post.ts': () => ({ group: 'triceps', decision: { kind: 'usual' } }),
  'clients/[clientId]/shown/index.post.ts': () => ({
    kind: 'plan',
    block: null,
    pass: null,
    withHealth: false,
    days: null,
  }),
  'clients/[clientId]/seen.put.ts': () => ({ keys: [] }),
  'clients/[clientId]/avoid.post.ts': () => ({ exercise: 'cable_curl' }),
  'clients/[clientId]/carry.post.ts': () => ({
    from: { kind: 'template', id: randomUUID() },
    isTrial: false,
  }),
  'plan-templates/[planTemplateId]/index.put.ts': () => ({ name: 'Mine now', reason: '' }),
  'plan-templates/[planTemplateId]/content.put.ts': () => ({
    block: randomUUID(),
    part: 'rotation',
  }),
  'methods/[methodId].put.ts': () => ({ ...METHODS[0], name: 'Mine now' }),
  'exercises/[exerciseId]/index.put.ts': () => ({ ...EXERCISES[0], name: 'Mine now' }),
  'exercises/[exerciseId]/credits.put.ts': () => CREDITS,
  'exercises/[exerciseId]/effect.post.ts': () => CREDITS,
}
/** Routes about the signed-in coach, or the phone with its key, alone: there is no id of anybody else's to try. */
export const OWN = [
  'sheet/index.get.ts',
  'sheet/entries.post.ts',
  'sheet/refused.post.ts',
  'outbox/index.get.ts',
  'clients/import.post.ts',
  'roster.get.ts',
  'clients/index.post.ts',
  'clients/archived.get.ts',
  'methods/index.get.ts',
  'methods/index.post.ts',
  'plan-templates/index.get.ts',
  'plan-templates/index.post.ts',
  'plan-templates/import.post.ts',
  'session-templates/index.get.ts',
  'session-templates/index.post.ts',
  'exercises/index.get.ts',
  'exercises/clients.get.ts',
  'exercises/index.post.ts',
  'account/gear.put.ts',
  'account/retention.get.ts',
  'account/studio.put.ts',
  'floor/index.get.ts',
  'floor/now.get.ts',
  'floor/live.get.ts',
  'floor/remedies.post.ts',
  'floor/take.post.ts',
  'floor/together.post.ts',
  'floor/start.post.ts',
  'account/retention.put.ts',
  'notes.get.ts',
  'what-if/look.post.ts',
  'what-if/take.post.ts',
  'queue/index.get.ts',
  'queue/take.post.ts',
  'changes/anyone/index.get.ts',
  'changes/anyone/last.get.ts',
  'changes/anyone/undo.post.ts',
  'changes/anyone/redo.post.ts',
  'changes/index.get.ts',
  'changes/last.get.ts',
  'changes/undo.post.ts',
  'changes/redo.post.ts',
  'account/index.get.ts',
  'account/index.put.ts',
  'account/index.delete.ts',
  'account/export.get.ts',
  'account/password.put.ts',
  'account/sign-out-everywhere.post.ts',
]
