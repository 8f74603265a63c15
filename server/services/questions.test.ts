import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { beforeAll, expect, test } from '@jest/globals'
import { and, desc, eq } from 'drizzle-orm'
import { exerciseId } from '#core/base'
import { database, databaseClient } from '../db/database'
import { datedSessions } from '../db/schema'
import { unitStudio, type UnitStudio, useTestDatabase } from '../testing/database'
import { account } from './account'
import { archive } from './archive'
import { sentSessions } from './blocks'
import { changesFor, lastChanges } from './changes'
import { exportClient } from './clientDocument'
import { client } from './clients'
import { exportBlock } from './exports'
import { floor } from './floor'
import { floorAhead } from './floorAhead'
import { floorNow } from './floorNow'
import { history, strengths } from './history'
import { creditsOfClients, library } from './library'
import { loads } from './loads'
import { logList, sessionLog } from './log'
import { exportLog } from './logImport'
import { plateau } from './manyRotations'
import { methods } from './methods'
import { clientGoals, clientNotes, searchedNotes } from './notes'
import { clientOutbox, outbox } from './outbox'
import { planTemplates } from './planTemplates'
import { profile } from './profiles'
import { queue } from './queue'
import { report } from './report'
import { retention } from './retention'
import { replansFor, review } from './review'
import { revision, revisions } from './revisions'
import { roster } from './roster'
import { seamFixes } from './seams'
import { clientSeason } from './season'
import { sessionTemplates } from './sessionTemplates'
import { sheet } from './sheet'
import { linkState } from './sheetLinks'
import { shownLinksOf } from './shown'
import { story } from './story'
import { trends } from './trendsPage'

useTestDatabase()

type Asked = (of: Desk) => Promise<unknown>
interface Desk extends UnitStudio {
  readonly id: ReturnType<UnitStudio['client']>['id']
  readonly blockId: ReturnType<UnitStudio['client']>['blockId']
  /** A session that was sent. */
  readonly held: { readonly id: string; readonly pass: number }
}

/** Questions to the database that a page's data takes once the program has been asked before, by route. */
const QUESTIONS: Readonly<Record<string, readonly [number, Asked]>> = {
  'account/index': [1, of => account(of.coach)],
  'account/retention': [1, of => retention(of.coach)],
  'blocks/[blockId]/export/[kind]': [13, of => exportBlock(of.coach, of.blockId, 'csv', of.today)],
  'blocks/[blockId]/revisions/[version]/index': [1, of => revision(of.coach, of.blockId, 1)],
  'blocks/[blockId]/revisions/index': [6, of => revisions(of.coach, of.blockId)],
  'blocks/[blockId]/seam-fix': [13, of => seamFixes(of.coach, of.blockId, of.today)],
  'blocks/[blockId]/sent': [2, of => sentSessions(of.coach, of.blockId)],
  'changes/anyone/index': [5, of => changesFor(of.coach, 'anyone')],
  'changes/anyone/last': [1, of => lastChanges(of.coach, 'anyone')],
  'changes/index': [5, of => changesFor(of.coach, null)],
  'changes/last': [1, of => lastChanges(of.coach, null)],
  'clients/[clientId]/changes/index': [6, of => changesFor(of.coach, of.id)],
  'clients/[clientId]/changes/last': [2, of => lastChanges(of.coach, of.id)],
  'clients/[clientId]/export': [11, of => exportClient(of.coach, of.id, 'without')],
  'clients/[clientId]/floor': [27, of => floorAhead(of.coach, of.id, of.today)],
  'clients/[clientId]/goals/index': [16, of => clientGoals(of.coach, of.id, of.today)],
  'clients/[clientId]/history': [19, of => history(of.coach, of.id, of.today)],
  'clients/[clientId]/index': [10, of => client(of.coach, of.id, { today: of.today })],
  'clients/[clientId]/link/index': [2, of => linkState(of.coach, of.id)],
  'clients/[clientId]/loads': [20, of => loads(of.coach, of.id, of.today)],
  'clients/[clientId]/log/csv': [6, of => exportLog(of.coach, of.id)],
  'clients/[clientId]/log/index': [3, of => logList(of.coach, of.id, of.today)],
  'clients/[clientId]/messages/index': [3, of => clientOutbox(of.coach, of.id)],
  'clients/[clientId]/notes/index': [2, of => clientNotes(of.coach, of.id)],
  'clients/[clientId]/plateau/[group]': [19, of => plateau(of.coach, of.id, 'triceps', of.today)],
  'clients/[clientId]/profile': [1, of => profile(of.coach, of.id)],
  'clients/[clientId]/report': [22, of => report(of.coach, of.id, of.today)],
  'clients/[clientId]/review/[pass]/index': [21, of => review(of.coach, of.id, 'latest', of.today)],
  'clients/[clientId]/review/[pass]/replans/[sessionId]': [
    19,
    of => replansFor(of.coach, of.id, of.held.pass, of.held.id, of.today),
  ],
  'clients/[clientId]/season': [14, of => clientSeason(of.coach, of.id, of.today)],
  'clients/[clientId]/sessions/[sessionId]/log': [
    28,
    of => sessionLog(of.coach, of.id, of.held.id, of.today),
  ],
  'clients/[clientId]/sheet': [30, of => sheet({ coach: of.coach, clientId: of.id }, of.today)],
  'clients/[clientId]/shown/index': [2, of => shownLinksOf(of.coach, of.id)],
  'clients/[clientId]/stories/[exerciseId]': [
    19,
    of => story(of.coach, of.id, exerciseId('cable_curl'), of.today),
  ],
  'clients/[clientId]/strengths': [14, of => strengths(of.coach, of.id, of.today)],
  'clients/[clientId]/trends': [22, of => trends(of.coach, of.id, of.today)],
  'clients/archived': [1, of => archive(of.coach)],
  'exercises/clients': [1, of => creditsOfClients(of.coach)],
  'exercises/index': [4, of => library(of.coach)],
  'floor/index': [10, of => floor(of.coach, of.today, of.today)],
  'floor/now': [13, of => floorNow(of.coach, of.today)],
  'methods/index': [2, of => methods(of.coach)],
  notes: [1, of => searchedNotes(of.coach, 'elbow')],
  'outbox/index': [3, of => outbox(of.coach)],
  'plan-templates/index': [1, of => planTemplates(of.coach)],
  'queue/index': [9, of => queue(of.coach, of.today)],
  roster: [8, of => roster(of.coach, of.today)],
  'session-templates/index': [1, of => sessionTemplates(of.coach)],
}
/** What is not counted here, and why. */
const ELSEWHERE = {
  'account/export': 'reads every client by itself, one after the other',
  'calendar/[token]': 'is opened by a link',
  'plan-templates/[planTemplateId]/export': 'reads one template',
  'plan-templates/[planTemplateId]/since/[version]': 'reads one template',
  'sheet/index': 'is the sheet of a client, as above',
  'floor/live': 'tells as long as somebody listens',
  health: 'is asked by whoever runs the program',
  ready: 'is asked by whoever runs the program',
} as const

let desk: Desk
beforeAll(async () => {
  const studio = await unitStudio({ logsOf: ['Marit', 'Joren', 'Oskar'] })
  const { id, blockId } = studio.client('Marit')
  const [held] = await database()
    .select({ id: datedSessions.id, pass: datedSessions.pass })
    .from(datedSessions)
    .where(and(eq(datedSessions.clientId, id), eq(datedSessions.blockId, blockId)))
    .orderBy(desc(datedSessions.pass))
    .limit(1)
  desk = { ...studio, id, blockId, held: held! }
})

/** How many questions some work puts to the database, whoever of its services asks. */
async function counted(work: () => Promise<unknown>): Promise<number> {
  const client = databaseClient()
  const { unsafe } = client
  let count = 0
  client.unsafe = ((...asked: Parameters<typeof unsafe>) => {
    count += 1
    return unsafe.apply(client, asked)
  }) as typeof unsafe
  try {
    await work()
  } finally {
    client.unsafe = unsafe
  }
  return count
}

test.each(Object.entries(QUESTIONS))('%s puts %j questions', async (_, [most, ask]) => {
  await ask(desk)
  expect(await counted(() => ask(desk))).toBe(most)
})

test('every page’s data is counted, or it is said why not', () => {
  const routes = readdirSync(join('server', 'api'), { recursive: true, encoding: 'utf8' })
    .filter(file => file.endsWith('.get.ts'))
    .map(file => file.replace('.get.ts', ''))
  expect(routes.sort()).toEqual([...Object.keys(QUESTIONS), ...Object.keys(ELSEWHERE)].sort())
})
