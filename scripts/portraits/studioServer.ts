// The services of a studio behind the paths of the routes, for tests that look at many screens at once.
import { blockId, type ClientId, clientId, type PlainDate } from '#core/base'
import { archive } from '../../server/services/archive'
import { sentSessions } from '../../server/services/blocks'
import { exportClient } from '../../server/services/clientDocument'
import { client } from '../../server/services/clients'
import { history, strengths } from '../../server/services/history'
import { loads } from '../../server/services/loads'
import { creditsOfClients, library } from '../../server/services/library'
import { logList, sessionLog } from '../../server/services/log'
import { exportLog } from '../../server/services/logImport'
import { methods } from '../../server/services/methods'
import { clientOutbox, outbox } from '../../server/services/outbox'
import { profile } from '../../server/services/profiles'
import { report } from '../../server/services/report'
import { replansFor, review } from '../../server/services/review'
import { revisions } from '../../server/services/revisions'
import { roster } from '../../server/services/roster'
import { sessionTemplates } from '../../server/services/sessionTemplates'
import { sheet } from '../../server/services/sheet'
import { linkState } from '../../server/services/sheetLinks'
import type { Coach } from '../../server/services/signIn'
import { trends } from '../../server/services/trendsPage'

type Answer = (coach: Coach, today: PlainDate, id: ClientId, more: string[]) => unknown

const inClient = (rest: string) => new RegExp(`^/api/clients/([^/]+)${rest}$`)

/** What a client has done lately goes by the day of the run, which a portrait does not know. */
function withoutLately<Answer>(given: Answer): Answer {
  const { value } = given as { readonly value?: { readonly facts: object } }
  if (!value) return given
  return { ...given, value: { ...value, facts: { ...value.facts, doneExercises: undefined } } }
}

/** What is asked for, by path; the first group is the client's id. */
const READS: readonly (readonly [path: RegExp, answer: Answer])[] = [
  [/^\/api\/roster$/, (coach, today) => roster(coach, today)],
  [/^\/api\/exercises$/, coach => library(coach)],
  [/^\/api\/exercises\/clients$/, coach => creditsOfClients(coach)],
  [/^\/api\/methods$/, coach => methods(coach)],
  [/^\/api\/session-templates$/, coach => sessionTemplates(coach)],
  [/^\/api\/outbox$/, coach => outbox(coach)],
  [/^\/api\/clients\/archived$/, coach => archive(coach)],
  [/^\/api\/blocks\/([^/]+)\/sent$/, (coach, _, id) => sentSessions(coach, blockId(id))],
  [/^\/api\/blocks\/([^/]+)\/revisions$/, (coach, _, id) => revisions(coach, blockId(id))],
  [inClient(''), async (coach, _, id) => withoutLately(await client(coach, id))],
  [inClient('/profile'), (coach, _, id) => profile(coach, id)],
  [inClient('/history'), (coach, today, id) => history(coach, id, today)],
  [inClient('/strengths'), (coach, today, id) => strengths(coach, id, today)],
  [inClient('/loads'), (coach, today, id) => loads(coach, id, today)],
  [inClient('/trends'), (coach, today, id) => trends(coach, id, today)],
  [inClient('/report'), (coach, today, id) => report(coach, id, today)],
  [inClient('/log'), (coach, today, id) => logList(coach, id, today)],
  [inClient('/log/csv'), (coach, _, id) => exportLog(coach, id)],
  [inClient('/link'), (coach, _, id) => linkState(coach, id)],
  [inClient('/messages'), (coach, _, id) => clientOutbox(coach, id)],
  [inClient('/export'), (coach, _, id) => exportClient(coach, id, 'with')],
  [inClient('/sheet'), (coach, today, id) => sheet({ coach, clientId: id } as never, today)],
  [
    inClient('/sessions/([^/]+)/log'),
    (coach, today, id, [session]) => sessionLog(coach, id, session!, today),
  ],
  [
    inClient('/review/([^/]+)'),
    (coach, today, id, [pass]) => review(coach, id, pass === 'latest' ? pass : Number(pass), today),
  ],
  [
    inClient('/review/latest/replans/([^/]+)'),
    (coach, today, id, [session]) => replansFor(coach, id, 'latest', session!, today),
  ],
]

/** What the server gives for a path, as the framework's `ask` has it: `{ ok, value }` or `{ ok: false, error }`. */
export async function read(coach: Coach, today: PlainDate, path: string): Promise<unknown> {
  for (const [pattern, answer] of READS) {
    const found = pattern.exec(path)
    if (!found) continue
    const given = await answer(coach, today, clientId(found[1] ?? coach.id), found.slice(2))
    const isResult = typeof given === 'object' && given !== null && 'ok' in given
    return isResult ? given : { ok: true, value: given }
  }
  throw new Error(`No service is named for ${path}`)
}
